/** What the lines of a cost are called, and how they are grouped. */
import {
  COST_LINES,
  type CostLine,
  type CostLineId,
  type Habit,
  LABOUR_LINES,
  type UseLineId,
} from '@brannik/core'

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

export const USE_WORDS: Readonly<Record<UseLineId, string>> = {
  'weld-metal': 'In the weld',
  spatter: 'Spatter, slag and stubs',
  trims: 'Trims before starts, spool ends',
  'trial-bead': 'Trial bead',
  'more-spatter': 'More spatter in CO₂',
  'arc-gas': 'While the arc burns',
  'pre-flow': 'Pre-flow',
  'post-flow': 'Post-flow',
  'hand-valve': 'Hand valve left open',
  surge: 'Surge at each start',
  'back-purge': 'Back purge',
  leaks: 'Leaks and line purge',
  regrinds: 'Regrinds',
  dips: 'Dips',
}
export const USED_WORDS = { wire: 'Wire or rod', gas: 'Gas', tungsten: 'Tungsten' } as const

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
