/** What a whole job asks of a process and a wire, with no machine in it: reckoned once, and held against many set-ups. */
import { weldCountOf } from '../joints/weldCount.ts'
import { type Position } from '../model/jointKinds.ts'
import { type Assumptions, assumptionsOf, type ChangedAssumptions } from '../assumptions/assume.ts'
import { computed, jobField, shopField, standard } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed, listOf } from '../calculation/calculation.ts'
import { type Reckoner, reckonerFor, type TracingReckoner } from '../calculation/reckoner.ts'
import { PERIOD_S, type ArcSeries, worstArcOnS } from '../duty/window.ts'
import type { Sequence } from '../duty/rest.ts'
import { settleJob } from '../joints/contradictions.ts'
import type { Job } from '../kinds/job.ts'
import type { MaterialId, Metal } from '../model/material.ts'
import type { ProcessFamily, ProcessId } from '../model/process.ts'
import { MATERIALS } from '../reference/materials.ts'
import { type PairAdvice, pairAdvice } from '../reference/pairs.ts'
import { PROCESSES } from '../reference/processes.ts'
import { arcTime, fillerUsed } from '../trade/deposit.ts'
import { serviceOf } from '../trade/service.ts'
import type { PassKind } from '../trade/layers.ts'
import { wantedCurrent, wantedCurrentOf } from '../trade/wantedCurrent.ts'
import { arcsOf, spellsOf } from './sequence.ts'
import {
  arcsByStick,
  arcsStruck,
  type Melted,
  oneArc,
  pauseAfter,
  pauseWithChanges,
  tackTime,
  runsOf,
  type WeldFigures,
  weldFiguresOf,
} from './weldFigures.ts'

/** Two metals that the job joins, with what is known of joining them. */
export interface MetalPair {
  readonly materialA: MaterialId
  readonly materialB: MaterialId
  readonly advice: PairAdvice
  /** The first weld that joins them. */
  readonly weldId: string
}

/** Which weld decides rests on the currents of all of them. */
export const mostWanted = calculation({
  id: 'most-wanted',
  title: 'Highest current of all welds',
  symbol: 'I_most',
  unit: 'A',
  expression: 'max(I)',
  inputs: { I: listOf('current needed, by weld line', 'A', computed(), wantedCurrent.id) },
  compute: ({ I }) => I.reduce((most, next) => Math.max(most, next), 0),
  source: computed('the weld with the highest current'),
})
export const leastWanted = calculation({
  id: 'least-wanted',
  title: 'Lowest current of all welds',
  symbol: 'I_least',
  unit: 'A',
  expression: 'min(I)',
  inputs: { I: listOf('current needed, by weld line', 'A', computed(), wantedCurrent.id) },
  compute: ({ I }) => I.reduce((least, next) => Math.min(least, next), Number.POSITIVE_INFINITY),
  source: computed('the thinnest weld'),
})

export const jobDuty = calculation({
  id: 'job-duty',
  title: 'Arc-on share of the worst ten minutes',
  symbol: 'X',
  unit: '%',
  expression: 'min(100, 100 * H / 600)',
  method:
    'H is the most of Σ arc · (I / I₂)² in any ten minutes of the arcs, pauses and tacks in their order; I₂ is the highest current',
  inputs: {
    H: input(
      'arc time in the worst ten minutes, weighted by heat',
      's',
      computed('search over the sequence'),
    ),
    a: listOf('one arc, by weld line', 's', computed(), oneArc.id),
    p: listOf('pause after it, by weld line', 's', computed(), pauseAfter.id, pauseWithChanges.id),
    T: listOf('tacking, by weld line', 's', computed(), ...tackTime.from),
    I: listOf('current needed, by weld line', 'A', computed(), wantedCurrent.id),
    a_t: assumed('tackArcS'),
  },
  compute: ({ H }) => Math.min(100, (100 * H) / PERIOD_S),
  source: standard('IEC 60974-1, duty cycle: share of a 10 min period', true),
})

export const fillerTotal = calculation({
  id: 'filler-total',
  title: 'Wire or rod for the whole job',
  symbol: 'W',
  unit: 'g',
  expression: 'sum(w)',
  inputs: { w: listOf('by weld line', 'g', computed(), ...fillerUsed.from) },
  compute: ({ w }) => sum(w),
  source: computed('sum'),
})
export const arcTotal = calculation({
  id: 'arc-total',
  title: 'Arc time of the whole job',
  symbol: 'τ',
  unit: 's',
  expression: 'sum(t)',
  inputs: { t: listOf('by weld line', 's', computed(), ...arcTime.from) },
  compute: ({ t }) => sum(t),
  source: computed('sum'),
})
export const arcsTotal = calculation({
  id: 'arcs-total',
  title: 'Arcs struck over the whole job',
  symbol: 's',
  unit: '',
  expression: 'sum(s_j)',
  inputs: { s_j: listOf('by weld line', '', computed(), arcsStruck.id, arcsByStick.id) },
  compute: ({ s_j }) => sum(s_j),
  source: computed('sum'),
})
/** Sum of products, line by line. */
const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((total, value, index) => total + value * (b[index] ?? 0), 0)

/** From the first tack of a job to its last arc; the changeover to its set-up is the machine's. */
export const workTime = calculation({
  id: 'work-time',
  title: 'Working time',
  symbol: 'W',
  unit: 'h',
  expression: '(τ + f / 100 * (dot(T, n) + dot(p, s))) / 3600',
  inputs: {
    f: inputOrAssumed('time beside the arc against the plan', '%', shopField('as the log has it')),
    τ: from(arcTotal),
    T: listOf('tacking of one weld, by weld line', 's', computed(), ...tackTime.from),
    n: listOf('welds of it over the job', '', jobField('count and pieces')),
    p: listOf('from arc to arc, by weld line', 's', computed(), pauseAfter.id, pauseWithChanges.id),
    s: listOf('by weld line', '', computed(), arcsStruck.id, arcsByStick.id),
  },
  compute: ({ f, τ, T, n, p, s }) => (τ + (f / 100) * (dot(T, n) + dot(p, s))) / 3600,
  source: computed('arc, tacking and handling, one after the other'),
})

/** The parts of a job's working time, without the changeover, s; null without a wire. */
export interface Work {
  readonly arcS: number
  readonly tackS: number
  readonly handlingS: number
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0)

/** Where every value is there, all of them. */
const allOf = (values: readonly (number | null)[]): readonly number[] | null =>
  values.every((value) => value !== null) ? values : null

/** The welds that want most and least, and the reference of all heat. */
function extremesOf(runs: readonly WeldFigures[], reckoner: Reckoner) {
  const I = runs.map(({ wantedA }) => wantedA)
  const [mostA, leastA] = [reckoner.compute(mostWanted, { I }), reckoner.compute(leastWanted, { I })]
  const [first] = runs
  const hungriest = runs.find(({ wantedA }) => wantedA === mostA) ?? first
  const thinnest = runs.find(({ wantedA }) => wantedA === leastA) ?? first
  if (!hungriest || !thinnest) throw new RangeError('a job has at least one weld')
  return { hungriest, thinnest }
}

/** The heat of each against the weld with the highest current: it goes with the square of the current. */
const heatsOf = (runs: readonly WeldFigures[], hungriest: WeldFigures): readonly number[] =>
  runs.map(({ wantedA }) => (wantedA / hungriest.wantedA) ** 2)

/** @returns null without a wire */
function dutyOf(
  runs: readonly WeldFigures[],
  spells: readonly ArcSeries[],
  reckoner: Reckoner,
): number | null {
  const oneArcs = allOf(runs.map(({ oneArcS }) => oneArcS))
  return oneArcs === null
    ? null
    : reckoner.compute(jobDuty, {
        H: worstArcOnS(spells),
        a: oneArcs,
        p: runs.map(({ pauseS }) => pauseS),
        T: runs.map(({ tackS }) => tackS),
        I: runs.map(({ wantedA }) => wantedA),
      })
}

/** What the log says of tacking and handling. It makes no arc hotter: the duty cycle keeps to the plan's pauses. */
export const BESIDE_ARC = {
  gmaw: 'besideArcWirePct',
  fcaw: 'besideArcWirePct',
  gtaw: 'besideArcGtawPct',
  smaw: 'besideArcStickPct',
} as const satisfies Record<ProcessFamily, keyof Assumptions>

/** Filler, arcs and hours of a job, from the figures of its welds. */
function amountsOf(
  job: Job,
  family: ProcessFamily,
  runs: readonly WeldFigures[],
  assumptions: Assumptions,
  reckoner: Reckoner,
) {
  const fillerG = reckoner.compute(fillerTotal, { w: runs.map((weld) => weld.fillerG) })
  const arcs = reckoner.compute(arcsTotal, { s_j: runs.map((weld) => weld.arcs) })
  const arcTimes = allOf(runs.map(({ arcS }) => arcS))
  if (arcTimes === null) return { fillerG, arcs, arcS: null, workH: null, work: null }
  const arcS = reckoner.compute(arcTotal, { t: arcTimes })
  const T = runs.map((weld) => weld.tackS)
  const n = runs.map((weld) => weldCountOf(weld.joint) * job.quantity)
  const p = runs.map((weld) => weld.pauseS)
  const s = runs.map((weld) => weld.arcs)
  const f = BESIDE_ARC[family]
  const share = assumptions[f] / 100
  const [tackS, handlingS] = [share * dot(T, n), share * dot(p, s)]
  const workH = reckoner.compute(workTime, { f, τ: arcS, T, n, p, s })
  const work: Work = { arcS, tackS, handlingS }
  return { fillerG, arcs, arcS, workH, work }
}

/** What a job asks whatever it is welded with. */
interface OfJob extends ReturnType<typeof settleJob> {
  readonly metals: readonly Metal[]
  readonly positions: readonly Position[]
  readonly pairs: readonly MetalPair[]
}
/** By the job as it came: a board asks for it with many processes and wires. */
const ofJobs = new WeakMap<Job, OfJob>()
function ofJobOf(asked: Job): OfJob {
  const known = ofJobs.get(asked)
  if (known) return known
  const { job, contradictions } = settleJob(asked)
  const metals = new Set<Metal>()
  const positions = new Set<Position>()
  for (const { materialA, materialB, position } of job.joints) {
    positions.add(position)
    metals.add(MATERIALS[materialA].family).add(MATERIALS[materialB].family)
  }
  const made = {
    job,
    contradictions,
    metals: [...metals],
    positions: [...positions],
    pairs: pairsOf(job),
  }
  ofJobs.set(asked, made)
  return made
}

function pairsOf(job: Job): readonly MetalPair[] {
  const pairs = new Map<string, MetalPair>()
  for (const joint of job.joints) {
    const { materialA, materialB, id: weldId } = joint
    const key = `${materialA} ${materialB}`
    if (pairs.has(key)) continue
    const advice = pairAdvice(materialA, materialB, serviceOf(job, joint))
    pairs.set(key, { materialA, materialB, advice, weldId })
  }
  return [...pairs.values()]
}

/**
 * What a job asks of one process and wire. Each figure is made when it is first asked for, and kept: of most jobs and wires
 * no more is asked than their metals.
 */
export class Demand {
  readonly job: Job
  readonly metals: readonly Metal[]
  readonly positions: readonly Position[]
  readonly pairs: readonly MetalPair[]
  /** What is written of a weld and contradicts the rest of it; `job` has what it is reckoned with. */
  readonly contradictions: ReturnType<typeof settleJob>['contradictions']
  readonly #reckoner: Reckoner
  #welds: readonly WeldFigures[] | undefined
  #runs: readonly WeldFigures[] | undefined
  #extremes: ReturnType<typeof extremesOf> | undefined
  #spells: readonly ArcSeries[] | undefined
  #dutyPct: number | null | undefined
  #amounts: ReturnType<typeof amountsOf> | undefined

  constructor(
    { job, metals, positions, pairs, contradictions }: OfJob,
    readonly processId: ProcessId,
    readonly wire: Melted | null,
    readonly assumptions: Assumptions,
  ) {
    this.job = job
    this.metals = metals
    this.positions = positions
    this.pairs = pairs
    this.contradictions = contradictions
    this.#reckoner = reckonerFor(assumptions)
  }

  get welds(): readonly WeldFigures[] {
    this.#welds ??= this.job.joints.map((joint) =>
      weldFiguresOf(joint, this.job, this.processId, this.wire, this.#reckoner),
    )
    return this.#welds
  }
  /** The same, with root and fill passes apart where each has its own current: whatever a current decides. */
  get runs(): readonly WeldFigures[] {
    this.#runs ??= runsOf(this.welds)
    return this.#runs
  }

  get #most(): ReturnType<typeof extremesOf> {
    this.#extremes ??= extremesOf(this.runs, this.#reckoner)
    return this.#extremes
  }
  /** The weld that wants most current: duty is reckoned at its current. */
  get hungriest(): WeldFigures {
    return this.#most.hungriest
  }
  /** The weld that wants least. */
  get thinnest(): WeldFigures {
    return this.#most.thinnest
  }
  /** From the weld with the highest current to the next arc, s. */
  get pauseS(): number {
    return this.hungriest.pauseS
  }

  /** Arcs in their order, as far as they can change the worst ten minutes. */
  get spells(): readonly ArcSeries[] {
    this.#spells ??= spellsOf(
      this.job,
      this.runs,
      heatsOf(this.runs, this.hungriest),
      this.assumptions.tackArcS,
    )
    return this.#spells
  }
  /** All arcs of all pieces, in their order: for what takes the whole job. */
  get allArcs(): Sequence {
    return arcsOf(this.job, this.runs, heatsOf(this.runs, this.hungriest), this.assumptions.tackArcS)
  }
  /** Arc-on share of the worst ten minutes at the weld with the highest current's current, %; null without a wire. */
  get dutyPct(): number | null {
    if (this.#dutyPct === undefined) this.#dutyPct = dutyOf(this.runs, this.spells, this.#reckoner)
    return this.#dutyPct
  }

  get #uses(): ReturnType<typeof amountsOf> {
    this.#amounts ??= amountsOf(
      this.job,
      PROCESSES[this.processId].family,
      this.runs,
      this.assumptions,
      this.#reckoner,
    )
    return this.#amounts
  }
  /** g of wire or rod */
  get fillerG(): number {
    return this.#uses.fillerG
  }
  get arcs(): number {
    return this.#uses.arcs
  }
  /** s; null without a wire */
  get arcS(): number | null {
    return this.#uses.arcS
  }
  /** Working hours, arc-on and all around it; null without a wire. */
  get workH(): number | null {
    return this.#uses.workH
  }
  get work(): Work | null {
    return this.#uses.work
  }
}

/**
 * @param asked already validated; what contradicts in it is put right first
 * @param wire what is fed; null for a rod, or where none is chosen
 * @param shop whose assumptions hold
 * @returns every figure of the job that does not depend on a machine
 * @example demandOf(job, 'gmaw-short', wire, shop).hungriest.wantedA // 210 A
 */
export const demandOf = (
  asked: Job,
  processId: ProcessId,
  wire: Melted | null,
  shop: { readonly assumptions: ChangedAssumptions },
): Demand => new Demand(ofJobOf(asked), processId, wire, assumptionsOf(shop))

/** What decides which formulas and assumptions a weld's figures go through: welds alike in it have the same working. */
const formOf = ({ joint, highA, runs }: WeldFigures): string =>
  [
    joint.kind,
    joint.materialA,
    joint.materialB,
    joint.position,
    joint.pattern,
    joint.around,
    joint.passes === null,
    joint.tackS === null,
    joint.thicknessAMm <= joint.thicknessBMm,
    highA === null,
    runs.length,
  ].join(' ')

/**
 * Reckons a demand once more, keeping the steps: of the weld that is asked about, of one weld of each form, of totals.
 * @param weldId the weld that is asked about; null for the hungriest
 * @param pass whose current is asked about, where root and fill passes have each their own
 */
export function traceDemand(
  demand: Demand,
  weldId: string | null,
  reckoner: TracingReckoner,
  pass: PassKind = 'fill',
): void {
  const { job, processId, wire, welds, runs, assumptions } = demand
  const examples = new Map<string, WeldFigures>()
  for (const weld of welds) if (!examples.has(formOf(weld))) examples.set(formOf(weld), weld)
  // The latest steps are those of the weld that is asked about.
  const last = welds.find(({ joint }) => joint.id === weldId) ?? demand.hungriest
  const traced = new Set([...examples.values(), demand.thinnest, demand.hungriest].map(({ joint }) => joint))
  traced.delete(last.joint)
  for (const joint of [...traced, last.joint]) {
    reckoner.weldId = joint.id
    weldFiguresOf(joint, job, processId, wire, reckoner)
  }
  // The latest current is that of the pass that is asked about.
  if (last.pass !== null || last.runs.length > 0)
    wantedCurrentOf(last.joint, processId, wire, reckoner, job.preheatC, pass)
  reckoner.weldId = null
  const { hungriest } = extremesOf(runs, reckoner)
  dutyOf(runs, spellsOf(job, runs, heatsOf(runs, hungriest), assumptions.tackArcS), reckoner)
  amountsOf(job, PROCESSES[processId].family, runs, assumptions, reckoner)
}
