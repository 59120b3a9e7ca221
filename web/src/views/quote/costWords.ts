/** What the lines of a cost are called, and how they are grouped. */
import { COST_LINES, type CostLine, type CostLineId, type Habit, LABOUR_LINES } from '@brannik/core'

export const LINE_WORDS: Readonly<Record<CostLineId, string>> = {
  arc: 'Welding',
  tacking: 'Tacking',
  handling: 'Handling',
  preparation: 'Preparing the edges',
  changeover: 'Changeover',
  rest: 'Waiting to cool',
  finishing: 'Cleaning and testing',
  filler: 'Wire or rod',
  gas: 'Gas',
  tungsten: 'Tungsten',
  tips: 'Tips and liner',
  power: 'Electric power',
}
export const HABIT_WORDS: Readonly<Record<Habit['id'], string>> = {
  'leg-larger': 'Every fillet one leg size larger, 1/16 in',
  'bead-heavier': 'Every bead 20 % heavier, or slower travel',
  'travel-faster': 'Faster travel, beads 17 % lighter',
}

export interface LineGroup {
  readonly title: string
  readonly lines: readonly CostLine[]
  readonly cents: number
}
const GROUPS: readonly (readonly [title: string, ids: readonly CostLineId[]])[] = [
  ['Labor', LABOUR_LINES],
  ['Filler and gas', ['filler', 'gas']],
  [
    'Wear and power',
    COST_LINES.filter((id) => !LABOUR_LINES.includes(id) && id !== 'filler' && id !== 'gas'),
  ],
]

/** @returns the groups that have a line, with their sums */
export const groupsOf = (lines: readonly CostLine[]): readonly LineGroup[] =>
  GROUPS.map(([title, ids]) => {
    const own = lines.filter(({ id }) => ids.includes(id))
    return { title, lines: own, cents: own.reduce((sum, { cents }) => sum + cents, 0) }
  }).filter((group) => group.lines.length > 0)
