/** Runs the whole question: one job with one set-up. */
import { type Capability, capabilityOf } from '../capability/capability.ts'
import type { Chosen } from '../capability/slots.ts'
import { changeoverMinOf } from '../changeover/toSetUp.ts'
import { assess, mendsOf, worstOf } from '../criteria/index.ts'
import type { Assessment, Mend } from '../criteria/criterion.ts'
import { type Demand, demandOf, type Work as HandWork } from '../demand/demand.ts'
import { type SequenceLine, sequenceOf } from '../demand/sequence.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import type { Gun, PowerSource, SetUp } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import type { Shop } from '../kinds/shop.ts'
import type { Message } from '../model/message.ts'
import type { Verdict } from '../model/verdict.ts'
import { costOf, type Cost } from './cost.ts'
import { cautionsFor } from './cautions.ts'
import { type Chain, chainFor } from './chain.ts'
import { settingsOf, type StartingSettings } from './settings.ts'

/** A job with a set-up whose parts are there. */
export interface FitInput extends Chosen {
  readonly shop: Shop
  readonly job: Job
  readonly setUp: SetUp
  readonly powerSource: PowerSource
  readonly gun: Gun
}

/** The parts of a job's working time, s. */
export interface Work extends HandWork {
  /** From what is on the machine now. */
  readonly changeoverS: number
}
const S_PER_MIN = 60
const workOf = (capability: Capability, { work }: Demand): Work | null =>
  work && { ...work, changeoverS: changeoverMinOf(capability) * S_PER_MIN }

/** What a list shows of one weld line. */
export interface WeldSummary {
  readonly jointId: string
  readonly wantedA: number
  /** From the least that still makes the weld to where the thinner part burns through, null where it is too thick to. */
  readonly lowA: number
  readonly highA: number | null
  /** Thickness that the current has to heat: of a groove a layer. */
  readonly heatedMm: number
  readonly passes: number
  /** Over the whole job, g. */
  readonly metalG: number
  readonly fillerG: number
  /** Over the whole job, s; null without a wire. */
  readonly arcS: number | null
  readonly runMm: number
}

export interface Fit {
  /** The worst of all criteria. */
  readonly verdict: Verdict
  readonly governingJointId: string
  /** The chain of the weld with the highest current and of those that were asked for, in the order of the job. */
  readonly chains: readonly Chain[]
  /** Settings to start with, of the same welds as the chains. */
  readonly settings: readonly StartingSettings[]
  readonly welds: readonly WeldSummary[]
  readonly sequence: readonly SequenceLine[]
  readonly criteria: readonly Assessment[]
  /** What would bring each criterion in that does not fit. */
  readonly mends: Readonly<Record<string, readonly Mend[]>>
  /** Arc-on share of the worst ten minutes, %; null without a wire. */
  readonly dutyPct: number | null
  /** Its working time in parts; null without a wire. */
  readonly work: Work | null
  readonly cost: Cost | null
  readonly cautions: readonly Message[]
}

/** What the planning of a job needs: figures by weld and the order, without the criteria of a set-up. */
export type Plan = Pick<Fit, 'welds' | 'sequence' | 'dutyPct' | 'work'>

export interface FitOptions {
  /** Welds whose chain is wanted beside the hungriest one's; `all` for every one. */
  readonly chainsOf?: 'all' | readonly string[]
}

const summaryOf = (weld: WeldFigures): WeldSummary => ({
  jointId: weld.joint.id,
  wantedA: weld.wantedA,
  lowA: weld.lowA,
  highA: weld.highA,
  heatedMm: weld.heatedMm,
  passes: weld.passes,
  metalG: weld.metalG,
  fillerG: weld.fillerG,
  arcS: weld.arcS,
  runMm: weld.runMm,
})

/**
 * @returns what the set-up carries, and what the job asks of its process and wire
 * @example const { capability, demand } = sidesOf(input)
 */
export const sidesOf = (input: FitInput): { capability: Capability; demand: Demand } => ({
  capability: capabilityOf(input.shop, input.setUp, input),
  demand: demandOf(input.job, input.setUp.process, input.wire, input.shop),
})

/** @returns the mends of every criterion that does not fit, by its id */
export function mendsFor(
  criteria: readonly Assessment[],
  capability: Capability,
  demand: Demand | null,
): Fit['mends'] {
  const mends: Record<string, readonly Mend[]> = {}
  for (const assessment of criteria) {
    const own = mendsOf(assessment, capability, demand)
    if (own.length > 0) mends[assessment.criterion] = own
  }
  return mends
}

/**
 * Fits a job to a set-up.
 * @param input the shop, the job and every part of the set-up, already validated by their schemas
 * @returns plain data: criteria in the order of the chain, the chain of the weld with the highest current, cautions; never throws on
 *   valid input. Words make the sentences, {@link explain} the workings.
 * @example fitJob(input).criteria.find(({ criterion }) => criterion === 'breaker-holds')?.verdict // 'fails'
 */
export const fitJob = (input: FitInput, options: FitOptions = {}): Fit => fitOf(sidesOf(input), options)

/** The same, of sides that are made already. */
export function fitOf(
  { capability, demand }: { readonly capability: Capability; readonly demand: Demand },
  { chainsOf = [] }: FitOptions = {},
): Fit {
  const criteria = assess(capability, demand)
  const { welds, hungriest } = demand
  const shown = welds.filter(
    ({ joint: { id } }) => chainsOf === 'all' || id === hungriest.joint.id || chainsOf.includes(id),
  )
  return {
    verdict: worstOf(criteria),
    governingJointId: hungriest.joint.id,
    chains: shown.map((weld) => chainFor(capability, demand, weld)),
    settings: shown.map((weld) => settingsOf(capability, demand, weld)),
    welds: welds.map(summaryOf),
    sequence: sequenceOf(welds),
    criteria,
    mends: mendsFor(criteria, capability, demand),
    dutyPct: demand.dutyPct,
    work: workOf(capability, demand),
    cost: costOf(capability, demand),
    cautions: cautionsFor(capability, demand),
  }
}

/**
 * The same figures by weld as {@link fitJob} gives, for a job of hundreds of welds at every key.
 * @example planJob(input).dutyPct // 39: the worst ten minutes
 */
export function planJob(input: FitInput): Plan {
  const { capability, demand } = sidesOf(input)
  return {
    welds: demand.welds.map(summaryOf),
    sequence: sequenceOf(demand.welds),
    dutyPct: demand.dutyPct,
    work: workOf(capability, demand),
  }
}
