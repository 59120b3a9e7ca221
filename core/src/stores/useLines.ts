/** Where the wire, the gas and the tungsten of a job go: lines that add up to what the fit says it uses. */
import type { AssumptionKey } from '../assumptions/list.ts'
import { commonPractice, handbook, jobField, type Source } from '../basis/source.ts'
import type { Capability } from '../capability/capability.ts'
import { gasOfJobL, hasHandValve, postFlowS, usesOf } from '../criteria/use.ts'
import type { Demand } from '../demand/demand.ts'
import { DEPOSITION } from '../trade/depositionRate.ts'

export const USE_LINES = [
  'weld-metal',
  'spatter',
  'trims',
  'trial-bead',
  'more-spatter',
  'arc-gas',
  'pre-flow',
  'post-flow',
  'hand-valve',
  'surge',
  'back-purge',
  'leaks',
  'regrinds',
  'dips',
] as const
export type UseLineId = (typeof USE_LINES)[number]
export interface UseLine {
  readonly id: UseLineId
  readonly of: 'wire' | 'gas' | 'tungsten'
  /** g, L or pieces. */
  readonly amount: number
  /** The assumption that it rests on most; null where it rests on the drawing. */
  readonly assumption: AssumptionKey | null
  readonly source: Source
}

const PRACTICE = commonPractice()
const PCT = 100

function wireLines(capability: Capability, demand: Demand, wireG: number): readonly UseLine[] {
  const { process, wire, assumptions } = capability
  if (!wire || wireG === 0) return []
  const metalG = demand.welds.reduce((sum, weld) => sum + weld.metalG, 0)
  const trialG = (demand.fillerG * assumptions.trialPct) / PCT
  const trimsG = process.feedsWire ? (demand.fillerG * assumptions.wireWastePct) / PCT : 0
  const line = (
    id: UseLineId,
    amount: number,
    assumption: AssumptionKey | null,
    source: Source,
  ): UseLine => ({
    id,
    of: 'wire',
    amount,
    assumption,
    source,
  })
  return [
    line('weld-metal', metalG, null, jobField('joints of the job')),
    // Of a rod and of a covered electrode: stubs, and the covering that becomes slag.
    line(
      'spatter',
      demand.fillerG - trimsG - metalG,
      process.id === 'smaw' ? null : DEPOSITION[process.id],
      handbook('deposition efficiency, welding handbooks'),
    ),
    line('trims', trimsG, 'wireWastePct', PRACTICE),
    line('trial-bead', trialG, 'trialPct', PRACTICE),
    line('more-spatter', wireG - demand.fillerG - trialG, 'co2LossPct', handbook('welding handbooks')),
  ]
}

/** Where the gas of a job goes, L; together what it uses. */
interface GasParts {
  readonly arcL: number
  readonly preL: number
  readonly postL: number
  /** While a hand valve stays open longer than the tungsten needs. */
  readonly handValveL: number
  readonly surgeL: number
  readonly backPurgeL: number
  readonly leaksL: number
}

/** @returns null where it uses none, or where nobody knows */
function gasPartsOf(capability: Capability, demand: Demand): GasParts | null {
  const { flowLPerMin, assumptions } = capability
  const totalL = gasOfJobL(capability, demand)
  if (totalL === null || demand.arcS === null) return null
  const { arcS, arcs } = demand
  const perS = flowLPerMin / 60
  const afterS = postFlowS(capability, demand)
  const neededS = hasHandValve(capability)
    ? Math.min(
        afterS,
        Math.max(
          assumptions.postFlowGtawLeastS,
          (assumptions.postFlowGtawSPer10A * demand.hungriest.wantedA) / 10,
        ),
      )
    : afterS
  const parts = {
    arcL: perS * arcS,
    preL: perS * assumptions.preFlowS * arcs,
    postL: perS * neededS * arcs,
    handValveL: perS * (afterS - neededS) * arcs,
    surgeL: hasHandValve(capability) ? 0 : assumptions.gasSurgeL * arcs,
  }
  const flowedL = Object.values(parts).reduce((sum, one) => sum + one, 0)
  const leakShare = assumptions.gasLeakPct / 100
  const leaksL = totalL - totalL / (1 + leakShare)
  return { ...parts, backPurgeL: Math.max(0, totalL - leaksL - flowedL), leaksL }
}

function gasLines(capability: Capability, demand: Demand): readonly UseLine[] {
  const parts = gasPartsOf(capability, demand)
  if (!parts) return []
  const line = (id: UseLineId, amount: number, assumption: AssumptionKey | null): UseLine => ({
    id,
    of: 'gas',
    amount,
    assumption,
    source: PRACTICE,
  })
  return [
    line('arc-gas', parts.arcL, null),
    line('pre-flow', parts.preL, 'preFlowS'),
    line('post-flow', parts.postL, 'postFlowGtawSPer10A'),
    line('hand-valve', parts.handValveL, 'handValveOpenS'),
    line('surge', parts.surgeL, 'gasSurgeL'),
    line('back-purge', parts.backPurgeL, 'purgeFlowLPerMin'),
    line('leaks', parts.leaksL, 'gasLeakPct'),
  ]
}

function tungstenLines({ assumptions }: Capability, tungstens: number): readonly UseLine[] {
  const { regrindsPerArcHour: g, regrindLossMm: G, dipsPerArcHour: d, dipLossMm: D } = assumptions
  const all = g * G + d * D
  const share = (id: UseLineId, mm: number, assumption: AssumptionKey): UseLine => ({
    id,
    of: 'tungsten',
    amount: all > 0 ? (tungstens * mm) / all : 0,
    assumption,
    source: PRACTICE,
  })
  return [share('regrinds', g * G, 'regrindsPerArcHour'), share('dips', d * D, 'dipsPerArcHour')]
}

/** Less than this is a rounding. */
const NOTHING = 1e-9

/** @returns the lines that are something; those of one item add up to what the fit says that the job uses */
export function useLinesOf(capability: Capability, demand: Demand): readonly UseLine[] {
  const { wireG, tungstens } = usesOf(capability, demand)
  return [
    ...wireLines(capability, demand, wireG),
    ...gasLines(capability, demand),
    ...tungstenLines(capability, tungstens),
  ].filter(({ amount }) => amount > NOTHING)
}
