/** One step of a changeover, as data: what it does to the machine, how long it takes, what to watch. */
import type { Message } from '../model/message.ts'
import type { ChangeStepCode } from '../assumptions/changeMinutes.ts'
import type { State } from './onMachine.ts'

/** What is easily missed in a pair of set-ups, said once, at its step. */
export const TRAPS = [
  'steel-liner',
  'knurled-to-smooth',
  'polarity-forgotten',
  'mixed-gas-on-tig',
  'cylinder-fitting',
  'links-first',
  'o-rings',
  'spool-adapter',
  'steel-dust',
  'meter-scale',
  'hot-parts',
] as const
export type Trap = (typeof TRAPS)[number]

/** Used up by changing over. */
export interface Waste {
  readonly wireMm: number
  readonly gasL: number
}

export interface ChangeStep extends Message {
  readonly code: ChangeStepCode
  readonly minutes: number
  /** Whether the minutes are the shop's own, and of how many timings. */
  readonly timed: number
  readonly sets: Partial<State>
  readonly traps: readonly Trap[]
  readonly waste: Waste | null
  /** Another school for the same step, with what it costs more; null where there is one way. */
  readonly otherWay: { readonly code: 'cut-and-waste'; readonly waste: Waste } | null
}
