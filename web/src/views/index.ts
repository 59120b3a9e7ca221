/** Every view. A new one is a folder beside this file, and a line here. The first view of a place opens from the rail. */
import { VIEWS as BOARD } from './board/view.ts'
import { VIEWS as BUY } from './buy/view.ts'
import { VIEWS as CHANGE_OVER } from './changeover/view.ts'
import { VIEWS as CARD } from './card/view.ts'
import { VIEWS as CAPACITY } from './capacity/view.ts'
import { VIEWS as EQUIPMENT } from './equipment/view.ts'
import { VIEWS as FIT } from './fit/view.ts'
import { VIEWS as JOBS } from './jobs/view.ts'
import { VIEWS as LEARNED } from './learned/view.ts'
import { VIEWS as LOG } from './log/view.ts'
import { VIEWS as POWER } from './power/view.ts'
import { VIEWS as QUOTE } from './quote/view.ts'
import { VIEWS as RECORDS } from './records/view.ts'
import { VIEWS as SET_UPS } from './setups/view.ts'
import { VIEWS as SHOP } from './shop/view.ts'
import { VIEWS as START } from './start/view.ts'
import { VIEWS as STORES } from './stores/view.ts'
import { VIEWS as TODAY } from './today/view.ts'
import { VIEWS as WEEK } from './week/view.ts'
import { PLACES, type Place, type View } from './view.ts'

export const VIEWS: readonly View[] = [
  ...TODAY,
  ...JOBS,
  ...FIT,
  ...CARD,
  ...LOG,
  ...QUOTE,
  ...BOARD,
  ...WEEK,
  ...SET_UPS,
  ...CAPACITY,
  ...CHANGE_OVER,
  ...STORES,
  ...POWER,
  ...BUY,
  ...EQUIPMENT,
  ...SHOP,
  ...LEARNED,
  ...RECORDS,
  ...START,
]

export interface RailPlace {
  /** The view that opens. */
  readonly name: string
  readonly title: Place
}
export const RAIL: readonly RailPlace[] = PLACES.flatMap((title) =>
  VIEWS.filter(({ place }) => place === title)
    .slice(0, 1)
    .map(({ name }) => ({ name, title })),
)

export const viewOf = (routeName: unknown): View | undefined => VIEWS.find(({ name }) => name === routeName)
export const isHere = ({ title }: RailPlace, routeName: unknown): boolean =>
  viewOf(routeName)?.place === title
/** What the browser's tab says of a view. */
export function titleOf(routeName: unknown): string | undefined {
  const view = viewOf(routeName)
  return view?.title ?? view?.place
}
