/** The figures of one joint with one set-up: current, passes, weld metal, filler, arc time. */
import type { Assume } from '../assumptions/assume.ts'
import type { SetUp, Wire } from '../model/equipment.ts'
import type { Job, Joint } from '../model/job.ts'
import type { Worked } from '../model/working.ts'
import { PROCESSES } from '../reference/processes.ts'
import { wireFeedSpeed } from '../trade/burnOff.ts'
import {
  arcTimeByRate,
  arcTimeByTravel,
  depositionRate,
  fillerG,
  passesOf,
  weldMetalG,
} from '../trade/deposit.ts'
import { segmentsOf, weldRun } from '../trade/run.ts'
import { burnThroughA, wantedCurrentA } from '../trade/wantedCurrent.ts'

export interface JointFigures {
  readonly joint: Joint
  /** A */
  readonly wanted: Worked
  /** The least and the most current that still makes the weld, A. */
  readonly windowA: { readonly low: number; readonly high: number }
  /** Current above which the thinner part burns through, A. */
  readonly burnThroughA: number
  readonly passes: Worked
  /** g over the whole job */
  readonly metal: Worked
  /** g over the whole job */
  readonly filler: Worked
  /** mm/min at the wanted current; null where no wire is fed */
  readonly feed: Worked | null
  /** s over the whole job; null where the wire is missing */
  readonly arcS: Worked | null
  /** Length of one weld, mm. */
  readonly runMm: number
  /** Arcs struck for one weld: passes times segments. */
  readonly arcsPerWeld: number
  /** s of one arc: one pass of one segment */
  readonly arcPerPassS: number | null
}

interface Parts {
  readonly job: Job
  readonly setUp: SetUp
  readonly wire: Wire | null
}

export function jointFigures(joint: Joint, { job, setUp, wire }: Parts, assume: Assume): JointFigures {
  const { process } = setUp
  const wanted = wantedCurrentA(joint, process, assume)
  const window = assume.value('workingWindowPct') / 100
  const passes = passesOf(joint, process, assume)
  const arcsPerWeld = passes.value * segmentsOf(joint)
  const metal = weldMetalG(joint, job.quantity, assume)
  const feedsWire = PROCESSES[process].feedsWire
  const feed = feedsWire && wire ? wireFeedSpeed(wire, wanted.value, process, assume) : null
  const arcS = feedsWire
    ? wire && feed
      ? arcTimeByRate(metal, depositionRate(wire, feed, process, assume))
      : null
    : arcTimeByTravel(joint, job.quantity, passes, assume)
  return {
    joint,
    wanted,
    windowA: { low: wanted.value * (1 - window), high: wanted.value * (1 + window) },
    burnThroughA: burnThroughA(wanted.value, assume),
    arcsPerWeld,
    runMm: weldRun(joint).value,
    passes,
    metal,
    filler: fillerG(metal, process, assume),
    feed,
    arcS,
    arcPerPassS: arcS ? arcS.value / (joint.count * job.quantity * arcsPerWeld) : null,
  }
}
