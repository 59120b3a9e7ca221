/** Every view, in the order of the rail. A new one is a folder beside this file, and a line here. */
import { VIEWS as BOARD } from './board/view.ts'
import { VIEWS as BUY } from './buy/view.ts'
import { VIEWS as CAPACITY } from './capacity/view.ts'
import { VIEWS as EQUIPMENT } from './equipment/view.ts'
import { VIEWS as FIT } from './fit/view.ts'
import { VIEWS as JOBS } from './jobs/view.ts'
import { VIEWS as POWER } from './power/view.ts'
import { VIEWS as RECORDS } from './records/view.ts'
import { VIEWS as SET_UPS } from './setups/view.ts'
import { VIEWS as SHOP } from './shop/view.ts'
import { VIEWS as START } from './start/view.ts'
import type { View } from './view.ts'

export const VIEWS: readonly View[] = [
  ...SHOP,
  ...START,
  ...EQUIPMENT,
  ...SET_UPS,
  ...CAPACITY,
  ...JOBS,
  ...FIT,
  ...BOARD,
  ...POWER,
  ...BUY,
  ...RECORDS,
]

export interface RailPlace {
  readonly name: string
  readonly title: string
}
/** The places of the rail. */
export const RAIL: readonly RailPlace[] = VIEWS.flatMap(({ name, place }) =>
  typeof place === 'string' ? [] : [{ name, title: place.title }],
)
/** A place is open where its own view is, or one that stands in it. */
export const isHere = ({ name }: RailPlace, routeName: unknown): boolean =>
  VIEWS.some((view) => view.name === routeName && (view.name === name || view.place === name))
