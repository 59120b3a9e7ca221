/** What one weld line asks of a process and a wire: current, passes, weld metal, filler, arc time, tacks. */
import { weldCountOf } from '../joints/weldCount.ts'
import type { AssumptionKey } from '../assumptions/list.ts'
import { commonPractice, computed, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Handling, Job, Joint } from '../kinds/job.ts'
import type { ProcessId } from '../model/process.ts'
import { DENSITY } from '../reference/materials.ts'
import { PROCESSES } from '../reference/processes.ts'
import { type MeltedWire, wireFeedSpeed } from '../trade/burnOff.ts'
import {
  burnTimeS,
  coveredGPerMin,
  electrodeBurns,
  type MeltedElectrode,
  USUAL_ELECTRODE,
} from '../trade/covered.ts'
import {
  arcTime,
  arcTimeByRate,
  arcTimeByTravel,
  arcTimeOfBoth,
  fillerG,
  travelGtawMmPerMin,
} from '../trade/deposit.ts'
import { depositionRate } from '../trade/depositionRate.ts'
import { type Deposited, passesByKind, passesOf, passesWanted } from '../trade/passes.ts'
import { type PassKind, passThicknessMm, roundedUp } from '../trade/layers.ts'
import { hasRootPass, sharedMetalG } from '../trade/rootPass.ts'
import { segmentsOf, weldRun, weldRunMm, weldVolumeMm3 } from '../trade/run.ts'
import { count, quantity, weldMetal, weldMetalG } from '../trade/weldMetal.ts'
import { thinnerFamily, type WantedCurrent, wantedCurrentOf } from '../trade/wantedCurrent.ts'

/** What of a wire, a rod or an electrode decides how it melts. */
export type Melted = MeltedWire & MeltedElectrode

export interface WeldFigures extends WantedCurrent {
  readonly joint: Joint
  /** Which of the passes of a line this is; null for the whole line. */
  readonly pass: PassKind | null
  /**
   * Of a groove with an open root its root pass and its fill passes, which have each their own current; empty for every
   * other line. The line's own current is then that of the fill passes.
   */
  readonly runs: readonly WeldFigures[]
  /** Speed at which the wire burns off, mm/min; null without one. */
  readonly feedMmPerMin: number | null
  readonly passes: number
  /** Over the whole job, g. */
  readonly metalG: number
  /** Over the whole job, g. */
  readonly fillerG: number
  /** Over the whole job, s; null where the wire is missing. */
  readonly arcS: number | null
  /** Length of one weld, mm. */
  readonly runMm: number
  /** Arcs struck over the whole job: welds, passes, segments. */
  readonly arcs: number
  /** Arcs struck for one weld: passes times segments. */
  readonly arcsPerWeld: number
  /** One arc: one pass of one segment, s; null where the wire is missing. */
  readonly oneArcS: number | null
  readonly tacks: number
  /** Seconds of tacking for one weld, arcs and all around them. */
  readonly tackS: number
  /** From this weld to the next, s. */
  readonly pauseS: number
}

export const arcsStruck = calculation({
  id: 'arcs-struck',
  title: 'Arcs struck for this line',
  symbol: 's',
  unit: '',
  expression: 'c * q * n * k',
  inputs: {
    c: count,
    q: quantity,
    n: passesWanted,
    k: input('segments of one weld', '', jobField('pattern of the weld')),
  },
  compute: ({ c, q, n, k }) => c * q * n * k,
  source: computed('welds × passes × segments'),
})

/** A stick ends before a long pass does. */
const electrodesEach = calculation({
  id: 'electrodes-each',
  title: 'Electrodes for one pass of one segment',
  symbol: 'e',
  unit: '',
  expression: 'max(1, ceil(round(τ / (c * q * n * k) / τ_1, 6)))',
  inputs: {
    τ: arcTime,
    c: count,
    q: quantity,
    n: passesWanted,
    k: input('segments of one weld', '', jobField('pattern of the weld')),
    τ_1: from(electrodeBurns),
  },
  compute: ({ τ, c, q, n, k, τ_1 }) => Math.max(1, roundedUp(τ / (c * q * n * k) / τ_1)),
  source: computed('arc time over that of one electrode'),
})
export const arcsByStick = calculation({
  id: 'arcs-struck-stick',
  title: 'Arcs struck for this line, each new electrode among them',
  symbol: 's',
  unit: '',
  expression: 's_0 * e',
  inputs: { s_0: from(arcsStruck), e: from(electrodesEach) },
  compute: ({ s_0, e }) => s_0 * e,
  source: computed('an electrode, an arc'),
})

export const oneArc = calculation({
  id: 'one-arc',
  title: 'One arc: one pass of one segment',
  symbol: 'a',
  unit: 's',
  expression: 'τ / s',
  inputs: { τ: arcTime, s: from(arcsByStick, arcsStruck) },
  compute: ({ τ, s }) => τ / s,
  source: computed('arc time over arcs struck'),
})

const tackCount = calculation({
  id: 'tacks',
  title: 'Tacks of one weld',
  symbol: 'N_t',
  unit: '',
  expression: 'max(2, ceil(L_1 / e) + 1)',
  inputs: { L_1: weldRun, e: assumed('tackEveryMm') },
  compute: ({ L_1, e }) => Math.max(2, Math.ceil(L_1 / e) + 1),
  source: commonPractice('at both ends and in between'),
})
const tackTimeByRule = calculation({
  id: 'tack-time',
  title: 'Tacking of one weld',
  symbol: 'T',
  unit: 's',
  expression: 'N_t * (a_t + p_t)',
  inputs: { N_t: from(tackCount), a_t: assumed('tackArcS'), p_t: assumed('tackAroundS') },
  compute: ({ N_t, a_t, p_t }) => N_t * (a_t + p_t),
  source: commonPractice(),
})
const tackTimeGiven = calculation({
  id: 'tack-time-given',
  title: 'Tacking of one weld',
  symbol: 'T',
  unit: 's',
  expression: 'T',
  inputs: { T: input('tacking', 's', jobField('tacking of the weld')) },
  compute: ({ T }) => T,
  source: jobField('tacking of the weld'),
})
export const tackTime = from(tackTimeByRule, tackTimeGiven)

export const pauseAfter = calculation({
  id: 'pause',
  title: 'From this weld to the next',
  symbol: 'p',
  unit: 's',
  expression: 'p',
  inputs: { p: inputOrAssumed('pause', 's', jobField('pause of the job or of the weld')) },
  compute: ({ p }) => p,
  source: jobField('pause, or how the piece is handled'),
})

/** Between two electrodes of one pass nobody goes to another weld: the stub is dropped, the slag chipped. */
export const pauseWithChanges = calculation({
  id: 'pause-with-changes',
  title: 'After an arc, changes of the electrode and ways to the next weld together',
  symbol: 'p',
  unit: 's',
  expression: '(p_w + (e - 1) * p_e) / e',
  inputs: { p_w: from(pauseAfter), e: from(electrodesEach), p_e: assumed('stickChangeS') },
  compute: ({ p_w, e, p_e }) => (p_w + (e - 1) * p_e) / e,
  source: commonPractice(),
})

const REPOSITION: Readonly<Record<Handling, AssumptionKey>> = {
  bench: 'repositionBenchS',
  turned: 'repositionTurnedS',
  hoisted: 'repositionHoistS',
}

/** What wire or electrode lays down at a current; null by a rod, or where none is chosen. */
export function depositedOf(
  process: ProcessId,
  wire: Melted | null,
  currentA: number,
  reckoner: Reckoner,
): (Deposited & { readonly feedMmPerMin: number | null }) | null {
  if (!wire) return null
  const densityGPerCm3 = DENSITY[wire.metal].value
  if (process === 'smaw')
    return { feedMmPerMin: null, gPerMin: coveredGPerMin(wire, currentA, reckoner), densityGPerCm3 }
  if (!PROCESSES[process].feedsWire) return null
  const feedMmPerMin = wireFeedSpeed(wire, currentA, process, reckoner)
  return {
    feedMmPerMin,
    gPerMin: depositionRate(wire, feedMmPerMin, process, reckoner),
    densityGPerCm3,
  }
}

/** What the passes of one kind are made of; `pass` null where they all are of one. */
interface Passes {
  readonly pass: PassKind | null
  readonly passes: number
  readonly wanted: WantedCurrent
  readonly deposited: ReturnType<typeof depositedOf>
  /** Over the whole job, g. */
  readonly metalG: number
}
/** What is the same for all passes of a line. */
interface Line {
  readonly joint: Joint
  readonly job: Pick<Job, 'quantity' | 'pauseS' | 'handling'>
  readonly process: ProcessId
  readonly wire: Melted | null
  readonly segments: number
  readonly runMm: number
}

function passFigures(line: Line, of: Passes, reckoner: Reckoner): WeldFigures {
  const { joint, job, process, wire, segments, runMm } = line
  const { pass, passes, wanted, deposited, metalG } = of
  const { quantity: q } = job
  const c = weldCountOf(joint)
  const metal = thinnerFamily(joint)
  const arcS = deposited
    ? reckoner.compute(arcTimeByRate, { m: metalG, r: deposited.gPerMin })
    : PROCESSES[process].electrode !== 'tungsten'
      ? null
      : reckoner.compute(arcTimeByTravel, {
          L_1: runMm,
          c,
          q,
          n: passes,
          s: travelGtawMmPerMin(
            passThicknessMm(joint, process, metal, wanted.heatedMm, reckoner),
            metal,
            reckoner,
          ),
        })
  const welded = reckoner.compute(arcsStruck, { c, q, n: passes, k: segments })
  const e =
    process === 'smaw' && arcS !== null && deposited
      ? reckoner.compute(electrodesEach, {
          τ: arcS,
          c,
          q,
          n: passes,
          k: segments,
          τ_1: burnTimeS(wire ?? USUAL_ELECTRODE, deposited.gPerMin, reckoner),
        })
      : null
  const arcs = e === null ? welded : reckoner.compute(arcsByStick, { s_0: welded, e })
  const p = reckoner.compute(pauseAfter, { p: job.pauseS ?? joint.repositionS ?? REPOSITION[job.handling] })
  const isTacked = pass !== 'fill'
  const tacks = isTacked ? reckoner.compute(tackCount, { L_1: runMm }) : 0
  // Spelled out: of thousands of these, spreading costs more than reckoning them.
  return {
    joint,
    pass,
    runs: NO_RUNS,
    heatedMm: wanted.heatedMm,
    law: wanted.law,
    burnThroughMm: wanted.burnThroughMm,
    wantedA: wanted.wantedA,
    jointA: wanted.jointA,
    lowA: wanted.lowA,
    highA: wanted.highA,
    transitionA: wanted.transitionA,
    feedMmPerMin: deposited?.feedMmPerMin ?? null,
    passes,
    metalG,
    fillerG: fillerG(metalG, process, wire, reckoner),
    arcS,
    runMm,
    arcs,
    arcsPerWeld: passes * segments * (e ?? 1),
    oneArcS: arcS === null ? null : reckoner.compute(oneArc, { τ: arcS, s: arcs }),
    tacks,
    tackS: !isTacked
      ? 0
      : joint.tackS === null
        ? reckoner.compute(tackTimeByRule, { N_t: tacks })
        : reckoner.compute(tackTimeGiven, { T: joint.tackS }),
    // A rest that the owner sets is taken after every electrode.
    pauseS: e === null || job.pauseS !== null ? p : reckoner.compute(pauseWithChanges, { p_w: p, e }),
  }
}
const NO_RUNS: readonly WeldFigures[] = []

/** A line whose root pass has a current of its own: its current is that of the fill passes, its amounts are of both. */
function ofBoth(
  [root, fill]: readonly [WeldFigures, WeldFigures],
  passes: number,
  metalG: number,
  reckoner: Reckoner,
): WeldFigures {
  const arcS =
    root.arcS === null || fill.arcS === null
      ? null
      : reckoner.compute(arcTimeOfBoth, { τ_1: root.arcS, τ_2: fill.arcS })
  return {
    ...fill,
    pass: null,
    runs: [root, fill],
    passes,
    metalG,
    fillerG: root.fillerG + fill.fillerG,
    arcS,
    arcs: root.arcs + fill.arcs,
    arcsPerWeld: root.arcsPerWeld + fill.arcsPerWeld,
    tacks: root.tacks,
    tackS: root.tackS,
  }
}

/** @returns what one line of a job asks, over the whole job unless its name says otherwise */
export function weldFiguresOf(
  joint: Joint,
  job: Pick<Job, 'quantity' | 'pauseS' | 'handling' | 'preheatC'>,
  process: ProcessId,
  wire: Melted | null,
  reckoner: Reckoner,
): WeldFigures {
  const wanted = wantedCurrentOf(joint, process, wire, reckoner, job.preheatC)
  const deposited = depositedOf(process, wire, wanted.wantedA, reckoner)
  const passes = passesOf(joint, process, deposited, reckoner)
  const segments = segmentsOf(joint, reckoner)
  const runMm = weldRunMm(joint, segments, reckoner)
  const metalG = weldMetalG(joint, weldVolumeMm3(joint, runMm, reckoner), job.quantity, reckoner)
  const line: Line = { joint, job, process, wire, segments, runMm }
  if (!hasRootPass(joint, passes))
    return passFigures(line, { pass: null, passes, wanted, deposited, metalG }, reckoner)
  const atRoot = wantedCurrentOf(joint, process, wire, reckoner, job.preheatC, 'root')
  const laidAtRoot = depositedOf(process, wire, atRoot.wantedA, reckoner)
  const shared = sharedMetalG(joint, process, metalG, laidAtRoot, reckoner)
  const n = passesByKind(joint, process, deposited, { passes, rootShare: shared.root / metalG }, reckoner)
  const root = passFigures(
    line,
    { pass: 'root', passes: n.root, wanted: atRoot, deposited: laidAtRoot, metalG: shared.root },
    reckoner,
  )
  const fill = passFigures(
    line,
    { pass: 'fill', passes: n.fill, wanted, deposited, metalG: shared.fill },
    reckoner,
  )
  return ofBoth([root, fill], n.both, metalG, reckoner)
}

/** @returns each line, or its root pass and its fill passes where they have each their own current, in that order */
export const runsOf = (welds: readonly WeldFigures[]): readonly WeldFigures[] =>
  welds.some(({ runs }) => runs.length > 0)
    ? welds.flatMap((weld) => (weld.runs.length > 0 ? weld.runs : [weld]))
    : welds

/** @returns what settings are made for: of a groove with an open root its fill passes, else the line */
export const settingsAreOf = (line: WeldFigures): WeldFigures => line.runs.at(-1) ?? line

/** Ids of the calculations that end in weld metal and in arc time. */
export const metalCalculations = { metal: [weldMetal.id], arc: arcTime.from } as const
