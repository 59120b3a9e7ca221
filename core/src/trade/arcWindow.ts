/** Whether an arc runs: the wire that is fed against the wire that its volts burn off in balance. */
import { commonPractice } from '../basis/source.ts'
import { calculation, from, input } from '../calculation/calculation.ts'
import type { Assumptions } from '../assumptions/assume.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { ProcessId } from '../model/process.ts'
import { type MeltedWire, wireFeed, wireFeedSpeed } from './burnOff.ts'
import { type ArcOf, currentForVoltsOf } from './startingVolts.ts'

/** What is seen and heard, from too little wire to too much. */
export const ARC_STATES = ['burns-back', 'spatters', 'runs', 'stubs'] as const
export type ArcState = (typeof ARC_STATES)[number]

export const balance = calculation({
  id: 'arc-balance',
  title: 'Wire that is fed, of what these volts burn off',
  symbol: 'b',
  unit: '%',
  expression: '100 * v / v_b',
  inputs: {
    v: input('wire speed', 'mm/min', commonPractice()),
    v_b: { ...from(wireFeed), name: 'wire speed that suits these volts' },
  },
  compute: ({ v, v_b }) => (100 * v) / v_b,
  source: commonPractice('volts and wire speed go together'),
})

export interface ArcWindow {
  readonly state: ArcState
  /** Wire that is fed, of what the volts burn off in balance, %. */
  readonly balancePct: number
  readonly balancedMmPerMin: number
}

const stateOf = (pct: number, { arcBurnsBackPct, arcSpattersPct, arcStubsPct }: Assumptions): ArcState => {
  if (pct <= arcBurnsBackPct) return 'burns-back'
  if (pct <= arcSpattersPct) return 'spatters'
  return pct >= arcStubsPct ? 'stubs' : 'runs'
}

/**
 * @param settings volts across the arc, wire speed in mm/min, and a current near which the volts are known, A
 * @returns how the arc runs; null where the volts suit no wire at all
 * @example arcWindowOf('gmaw-short', wire, arc, { voltsV: 19, feedMmPerMin: 4000, nearA: 150 }, assumptions, r)?.state // 'spatters'
 */
export function arcWindowOf(
  process: ProcessId,
  wire: MeltedWire,
  arc: ArcOf,
  settings: { readonly voltsV: number; readonly feedMmPerMin: number; readonly nearA: number },
  assumptions: Assumptions,
  reckoner: Reckoner,
): ArcWindow | null {
  const { voltsV, feedMmPerMin: v, nearA } = settings
  const balancedMmPerMin = wireFeedSpeed(
    wire,
    currentForVoltsOf(process, arc, voltsV, nearA, reckoner),
    process,
    reckoner,
  )
  if (balancedMmPerMin <= 0) return null
  const balancePct = reckoner.compute(balance, { v, v_b: balancedMmPerMin })
  return { state: stateOf(balancePct, assumptions), balancePct, balancedMmPerMin }
}
