/** What one weld line asks of a process and a wire: current, passes, weld metal, filler, arc time, tacks. */
import type { AssumptionKey } from '../assumptions/list.ts'
import { commonPractice, computed, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Handling, Job, Joint } from '../model/job.ts'
import type { ProcessId } from '../model/process.ts'
import { DENSITY } from '../reference/materials.ts'
import { PROCESSES } from '../reference/processes.ts'
import { type MeltedWire, wireFeedSpeed } from '../trade/burnOff.ts'
import {
  arcTime,
  arcTimeByRate,
  arcTimeByTravel,
  count,
  fillerG,
  quantity,
  travelGtawMmPerMin,
  weldMetal,
  weldMetalG,
} from '../trade/deposit.ts'
import { depositionRate } from '../trade/depositionRate.ts'
import { type Deposited, passesOf, passesWanted } from '../trade/passes.ts'
import { segmentsOf, weldRun, weldRunMm, weldVolumeMm3 } from '../trade/run.ts'
import { type WantedCurrent, wantedCurrentOf } from '../trade/wantedCurrent.ts'

export interface WeldFigures extends WantedCurrent {
  readonly joint: Joint
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

export const oneArc = calculation({
  id: 'one-arc',
  title: 'One arc: one pass of one segment',
  symbol: 'a',
  unit: 's',
  expression: 'τ / s',
  inputs: { τ: arcTime, s: from(arcsStruck) },
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

const REPOSITION: Readonly<Record<Handling, AssumptionKey>> = {
  bench: 'repositionBenchS',
  turned: 'repositionTurnedS',
  hoisted: 'repositionHoistS',
}

/** What the wire lays down at the weld's own current; null by a rod, or where no wire is chosen. */
function depositedOf(
  process: ProcessId,
  wire: MeltedWire | null,
  wantedA: number,
  r: Reckoner,
): (Deposited & { readonly feedMmPerMin: number }) | null {
  if (!PROCESSES[process].feedsWire || !wire) return null
  const feedMmPerMin = wireFeedSpeed(wire, wantedA, process, r)
  return {
    feedMmPerMin,
    gPerMin: depositionRate(wire, feedMmPerMin, process, r),
    densityGPerCm3: DENSITY[wire.metal].value,
  }
}

/** @returns what one line of a job asks, over the whole job unless its name says otherwise */
export function weldFiguresOf(
  joint: Joint,
  job: Pick<Job, 'quantity' | 'pauseS' | 'handling'>,
  process: ProcessId,
  wire: MeltedWire | null,
  r: Reckoner,
): WeldFigures {
  const { quantity: q } = job
  const { count: c } = joint
  const wanted = wantedCurrentOf(joint, process, wire?.diameterMm ?? null, r)
  const deposited = depositedOf(process, wire, wanted.wantedA, r)
  const passes = passesOf(joint, process, deposited, r)
  const segments = segmentsOf(joint, r)
  const runMm = weldRunMm(joint, segments, r)
  const metalG = weldMetalG(joint, weldVolumeMm3(joint, runMm, r), q, r)
  const arcS = deposited
    ? r.take(arcTimeByRate, { m: metalG, r: deposited.gPerMin })
    : PROCESSES[process].feedsWire
      ? null
      : r.take(arcTimeByTravel, { L_1: runMm, c, q, n: passes, s: travelGtawMmPerMin(wanted.heatedMm, r) })
  const arcs = r.take(arcsStruck, { c, q, n: passes, k: segments })
  const tacks = r.take(tackCount, { L_1: runMm })
  // Spelled out: of thousands of these, spreading costs more than reckoning them.
  return {
    joint,
    heatedMm: wanted.heatedMm,
    meltThroughMm: wanted.meltThroughMm,
    perMmA: wanted.perMmA,
    wantedA: wanted.wantedA,
    jointA: wanted.jointA,
    lowA: wanted.lowA,
    highA: wanted.highA,
    transitionA: wanted.transitionA,
    feedMmPerMin: deposited?.feedMmPerMin ?? null,
    passes,
    metalG,
    fillerG: fillerG(metalG, process, r),
    arcS,
    runMm,
    arcs,
    arcsPerWeld: passes * segments,
    oneArcS: arcS === null ? null : r.take(oneArc, { τ: arcS, s: arcs }),
    tacks,
    tackS:
      joint.tackS === null
        ? r.take(tackTimeByRule, { N_t: tacks })
        : r.take(tackTimeGiven, { T: joint.tackS }),
    pauseS: r.take(pauseAfter, { p: job.pauseS ?? joint.repositionS ?? REPOSITION[job.handling] }),
  }
}

/** Ids of the calculations that end in weld metal and in arc time. */
export const metalCalculations = { metal: [weldMetal.id], arc: arcTime.from } as const
