/** Flow of shielding gas: as as set on the meter, else by the cup or by the wire. */
import { commonPractice, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Cup, Gas, SetUp, Wire } from '../kinds/equipment.ts'
import type { ProcessId } from '../model/process.ts'
import type { Process } from '../reference/processes.ts'

export interface FlowParts {
  readonly settings: Pick<SetUp, 'flowLPerMin'>
  readonly process: Process
  readonly wire: Wire | null
  readonly cup: Cup | null
  readonly gas: Gas | null
}

/** Where no cup is chosen: the usual one. */
const USUAL_CUP = 7
const USUAL_WIRE_MM = 0.9

const flow = { title: 'Gas flow', symbol: 'Q', unit: 'L/min' } as const

const setFlow = calculation({
  ...flow,
  id: 'gas-flow-set',
  expression: 'Q',
  inputs: { Q: input('as set on the meter', 'L/min', jobField('flow of the set-up')) },
  compute: ({ Q }) => Q,
  source: jobField('flow of the set-up'),
})
const cupFlow = calculation({
  ...flow,
  id: 'gas-flow-by-cup',
  expression: 'q * N',
  inputs: { q: assumed('flowPerCupNumber'), N: input('cup number', '', jobField('cup of the set-up')) },
  compute: ({ q, N }) => q * N,
  source: commonPractice(),
})
const wireFlow = calculation({
  ...flow,
  id: 'gas-flow-by-wire',
  expression: 'max(q * d, Q_0)',
  inputs: {
    q: assumed('flowPerWireMm'),
    d: input('wire diameter', 'mm diameter', jobField('wire of the set-up')),
    Q_0: inputOrAssumed('least flow of its transfer', 'L/min', commonPractice()),
  },
  compute: ({ q, d, Q_0 }) => Math.max(q * d, Q_0),
  source: commonPractice(),
})
/** Helium is so light that it rises off the weld: its mixes want more. */
const heliumFlow = calculation({
  ...flow,
  id: 'gas-flow-helium',
  title: 'Gas flow, with its share of helium',
  expression: 'Q * (1 + (h - 1) * y / 100)',
  inputs: {
    Q: from(cupFlow, wireFlow),
    h: assumed('heliumFlowFactor'),
    y: input('helium in the gas', '%', jobField('gas of the set-up')),
  },
  compute: ({ Q, h, y }) => Q * (1 + ((h - 1) * y) / 100),
  source: commonPractice('helium needs two to three times the flow of argon'),
})
export const flowRules = [cupFlow, wireFlow, heliumFlow] as const
export const gasFlow = from(setFlow, ...flowRules)

/** A spray's longer arc and larger pool take more cover than short-circuit does. */
const SPRAYS: ReadonlySet<ProcessId> = new Set(['gmaw-spray', 'gmaw-pulse'])

/** @returns L/min: as as set on the meter, else by the rule */
export const gasFlowOf = (parts: FlowParts, reckoner: Reckoner): number =>
  parts.settings.flowLPerMin === null
    ? ruledFlowOf(parts, reckoner)
    : reckoner.compute(setFlow, { Q: parts.settings.flowLPerMin })

/** @returns L/min by the rule for cup or wire, whatever is as set on the meter */
export function ruledFlowOf(
  { process, wire, cup, gas }: Omit<FlowParts, 'settings'>,
  reckoner: Reckoner,
): number {
  const Q =
    process.family === 'gtaw'
      ? reckoner.compute(cupFlow, { N: cup?.number ?? USUAL_CUP })
      : reckoner.compute(wireFlow, {
          d: wire?.diameterMm ?? USUAL_WIRE_MM,
          Q_0: SPRAYS.has(process.id) ? 'flowSprayLeastLPerMin' : 'flowWireLeastLPerMin',
        })
  return gas && gas.heliumPct > 0 ? reckoner.compute(heliumFlow, { Q, y: gas.heliumPct }) : Q
}
