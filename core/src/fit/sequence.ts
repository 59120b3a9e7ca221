/** The order of welding as arcs and pauses: what a duty cycle is asked, for a piece and for the batch. */
import type { Assume } from '../assumptions/assume.ts'
import type { AssumptionKey } from '../assumptions/list.ts'
import { PERIOD_S, type WeldRun } from '../duty/window.ts'
import type { Handling, Job } from '../model/job.ts'
import type { JointFigures } from './jointFigures.ts'

const REPOSITION: Readonly<Record<Handling, AssumptionKey>> = {
  bench: 'repositionBenchS',
  turned: 'repositionTurnedS',
  hoisted: 'repositionHoistS',
}
export const repositionKey = (handling: Handling): AssumptionKey => REPOSITION[handling]

/** Spells of welding that are laid out at most, unless one piece alone has more. */
const MOST_RUNS = 40_000

/** One line of the sequence: tacks first, then the welds. */
export interface SequenceLine {
  readonly jointId: string
  readonly tacks: number
  /** Seconds of tacking for one weld, arcs and all around them. */
  readonly tackS: number
  readonly arcS: number
  readonly arcs: number
  readonly repositionS: number
  /** Of one piece: tacks, arcs and repositioning of all welds of this line, s. */
  readonly pieceS: number
}

/** @returns one line a weld line, in the order of welding; arcs of 0 s where no wire is chosen */
export function sequenceOf(
  job: Job,
  joints: readonly JointFigures[],
  assume: Assume,
): readonly SequenceLine[] {
  const handling = assume.value(repositionKey(job.handling))
  return joints.map(({ joint, arcPerPassS, arcsPerWeld, runMm }) => {
    const tacks = Math.max(2, Math.ceil(runMm / assume.value('tackEveryMm')) + 1)
    const tackS = joint.tackS ?? tacks * (assume.value('tackArcS') + assume.value('tackAroundS'))
    const repositionS = job.pauseS ?? joint.repositionS ?? handling
    const arcS = arcPerPassS ?? 0
    return {
      jointId: joint.id,
      tacks,
      tackS,
      arcS,
      arcs: arcsPerWeld * joint.count,
      repositionS,
      pieceS: joint.count * (tackS + arcsPerWeld * (arcS + repositionS)),
    }
  })
}

/**
 * The arcs of the batch, in order; the lines stand in the order of the job's joints. A piece is repeated only as
 * often as ten minutes can tell it from more; pieces that are done in a moment are taken several at once.
 * @param heats (I/I_ref)² of each line
 */
export function runsOf(
  job: Job,
  lines: readonly SequenceLine[],
  heats: readonly number[],
  tackArcS: number,
): readonly WeldRun[] {
  const line = (
    { arcS, arcs, repositionS, tacks, tackS }: SequenceLine,
    index: number,
    pieces: number,
    count: number,
  ): WeldRun[] => {
    const heat = heats[index] ?? 1
    // Tacks are so short beside ten minutes that their arcs and pauses are spread evenly over the tacking.
    const arcShare = tackS > 0 ? Math.min(1, (tacks * tackArcS) / tackS) : 0
    return [
      { arcS: tackS * count * pieces, offS: 0, times: 1, stretches: false, heat: heat * arcShare },
      { arcS, offS: repositionS, times: arcs * pieces, stretches: true, heat },
    ]
  }
  const countOf = (index: number): number => job.joints[index]?.count ?? 1
  if (job.order === 'weld-by-weld') {
    return lines.flatMap((one, index) => line(one, index, job.quantity, countOf(index)))
  }
  const pieceS = lines.reduce((sum, { pieceS: s }) => sum + s, 0)
  const pieces = Math.min(job.quantity, pieceS > 0 ? Math.ceil(PERIOD_S / pieceS) + 1 : 1)
  const atOnce = Math.ceil((2 * lines.length * pieces) / MOST_RUNS)
  const batch = lines.flatMap((one, index) => line(one, index, atOnce, countOf(index)))
  return Array.from({ length: Math.ceil(pieces / atOnce) }, () => batch).flat()
}
