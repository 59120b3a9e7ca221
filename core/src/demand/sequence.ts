/** The order of welding as arcs and pauses: what a duty cycle is asked, for a piece and for the batch. */
import { weldCountOf } from '../joints/weldCount.ts'
import type { Sequence } from '../duty/rest.ts'
import { PERIOD_S, type ArcSeries } from '../duty/window.ts'
import type { Job } from '../kinds/job.ts'
import type { PassKind } from '../trade/layers.ts'
import { runsOf, type WeldFigures } from './weldFigures.ts'

/** Spells of welding that are laid out at most, unless one piece alone has more. */
const MOST_SPELLS = 40_000

/** Arcs that are all alike. */
export interface ArcsAlike {
  /** Null for all passes of a weld. */
  readonly pass: PassKind | null
  /** One of them, s; 0 where no wire is chosen. */
  readonly arcS: number
  readonly times: number
}

/** One line of the sequence: tacks first, then the welds. */
export interface SequenceLine {
  readonly jointId: string
  readonly tacks: number
  /** Seconds of tacking for one weld, arcs and all around them. */
  readonly tackS: number
  /** Arcs of one piece, in their order: root passes before fill passes where they take each their own time. */
  readonly arcs: readonly ArcsAlike[]
  readonly repositionS: number
  /** Of one piece: tacks, arcs and repositioning of all welds of this line, s. */
  readonly pieceS: number
}

/** @returns one line a weld line, in the order of welding; arcs of 0 s where no wire is chosen */
export const sequenceOf = (welds: readonly WeldFigures[]): readonly SequenceLine[] =>
  welds.map((weld) => {
    const runs = runsOf([weld])
    return {
      jointId: weld.joint.id,
      tacks: weld.tacks,
      tackS: weld.tackS,
      arcs: runs.map(({ pass, oneArcS, arcsPerWeld, joint }) => ({
        pass,
        arcS: oneArcS ?? 0,
        times: arcsPerWeld * weldCountOf(joint),
      })),
      repositionS: weld.pauseS,
      pieceS: runs.reduce((sum, run) => sum + pieceSeconds(run), 0),
    }
  })

const pieceSeconds = ({ joint, tackS, arcsPerWeld, oneArcS, pauseS }: WeldFigures): number =>
  weldCountOf(joint) * (tackS + arcsPerWeld * ((oneArcS ?? 0) + pauseS))

/** Tacks first, then the arcs of one weld line or of one of its passes, for so many pieces. */
function seriesOf(weld: WeldFigures, heat: number, pieces: number, tackArcS: number): readonly ArcSeries[] {
  const { joint, oneArcS, arcsPerWeld, tacks, tackS, pauseS } = weld
  // Tacks are so short beside ten minutes that their arcs and pauses are spread evenly over the tacking.
  const arcShare = tackS > 0 ? Math.min(1, (tacks * tackArcS) / tackS) : 0
  return [
    { arcS: tackS * weldCountOf(joint) * pieces, offS: 0, times: 1, stretches: false, heat: heat * arcShare },
    {
      arcS: oneArcS ?? 0,
      offS: pauseS,
      times: arcsPerWeld * weldCountOf(joint) * pieces,
      stretches: true,
      heat,
    },
  ]
}

/**
 * Every arc and pause of some pieces, weld by weld.
 * @param runs whatever has one current: lines, or their passes
 * @param heats (I/I_ref)² of each
 */
const batchOf = (
  pieces: number,
  runs: readonly WeldFigures[],
  heats: readonly number[],
  tackArcS: number,
): readonly ArcSeries[] => runs.flatMap((weld, index) => seriesOf(weld, heats[index] ?? 1, pieces, tackArcS))

/**
 * Every arc and pause of the job in its order.
 * @param runs whatever has one current: lines, or their passes
 * @param heats (I/I_ref)² of each
 */
export function arcsOf(
  job: Pick<Job, 'order' | 'quantity'>,
  runs: readonly WeldFigures[],
  heats: readonly number[],
  tackArcS: number,
): Sequence {
  const [atOnce, repeats] = job.order === 'weld-by-weld' ? [job.quantity, 1] : [1, job.quantity]
  return { series: batchOf(atOnce, runs, heats, tackArcS), repeats }
}

/**
 * The arcs of the batch, in order. A long batch is laid out only as far as it can change the worst ten minutes; pieces
 * that are done in a moment are taken several at once.
 * @param runs whatever has one current: lines, or their passes
 * @param heats (I/I_ref)² of each
 */
export function spellsOf(
  job: Pick<Job, 'order' | 'quantity'>,
  runs: readonly WeldFigures[],
  heats: readonly number[],
  tackArcS: number,
): readonly ArcSeries[] {
  if (job.order === 'weld-by-weld') return batchOf(job.quantity, runs, heats, tackArcS)
  const pieceS = runs.reduce((sum, run) => sum + pieceSeconds(run), 0)
  const pieces = Math.min(job.quantity, pieceS > 0 ? Math.ceil(PERIOD_S / pieceS) + 1 : 1)
  const atOnce = Math.ceil((2 * runs.length * pieces) / MOST_SPELLS)
  const batch = batchOf(atOnce, runs, heats, tackArcS)
  const repeats = Math.ceil(pieces / atOnce)
  if (repeats === 1) return batch
  return [...Array.from({ length: repeats - 1 }, () => batch).flat(), ...beginningOf(batch)]
}

/** As much as ten minutes can hold, however short the pauses: the last piece is there for those that begin in the first. */
function beginningOf(batch: readonly ArcSeries[]): readonly ArcSeries[] {
  let arcOnS = 0
  const end = batch.findIndex(({ arcS, times }) => {
    arcOnS += arcS * times
    return arcOnS >= PERIOD_S
  })
  return end < 0 ? batch : batch.slice(0, end + 1)
}
