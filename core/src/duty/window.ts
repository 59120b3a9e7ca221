/** The worst ten minutes of a sequence of welds: what a duty cycle is really asked. */
import { shortestPauseS } from './shortestPause.ts'

/** The period that a duty cycle is a share of (IEC 60974-1). */
export const PERIOD_S = 600

/** The same weld made several times, each followed by the pause until the next arc. */
export interface ArcSeries {
  readonly arcS: number
  readonly offS: number
  readonly times: number
  /** Whether the pause is one that a welder can stretch; false between tacks. */
  readonly stretches: boolean
  /** Heating against the reference current, (I/I_ref)²; 1 when all welds are made at one current. */
  readonly heat: number
}

/** Arcs in the order of time, one array a property: a fit walks them often. */
interface Arcs {
  readonly startS: Float64Array
  readonly endS: Float64Array
  readonly heat: Float64Array
  /** Heat spent before each arc, in s of full heat. */
  readonly spentS: Float64Array
}

/** Arcs that are laid out at most; what repeats oftener is merged into blocks. */
const MOST_ARCS = 20_000
/** The first block that is tried when there are too many arcs, s: 0.04 % of ten minutes. */
const SMALLEST_BLOCK_S = 0.25

/** A pause that takes the place of every pause that a welder can stretch, s; null keeps each series its own. */
type StretchedS = number | null

const pauseOf = ({ offS, stretches }: ArcSeries, stretchedS: StretchedS): number =>
  stretches && stretchedS !== null ? stretchedS : offS

/** Cycles of a series, no more than fill ten minutes: further ones change nothing in the worst ten minutes. */
const cyclesOf = (times: number, cycleS: number): number =>
  cycleS > 0 ? Math.min(times, Math.ceil(PERIOD_S / cycleS) + 1) : 0

const cyclesPerBlock = (cycleS: number, blockS: number): number => Math.max(1, Math.floor(blockS / cycleS))

/** How many arcs stand for all series where blocks are this long; it stops counting above the most. */
function countArcs(
  series: readonly ArcSeries[],
  stretchedS: StretchedS,
  blockS: number,
  mostArcs: number,
): number {
  let count = 0
  for (const one of series) {
    const cycleS = one.arcS + pauseOf(one, stretchedS)
    const cycles = cyclesOf(one.times, cycleS)
    count += cycles <= 1 ? cycles : Math.ceil(cycles / cyclesPerBlock(cycleS, blockS))
    if (count > mostArcs) break
  }
  return count
}

/**
 * How long a block of merged cycles must be for all series together to stay within a number of arcs, s; 0 where
 * every arc stands for itself. A block burns first and pauses after, so what merging changes is less than one block,
 * and mostly towards more heat.
 * @param likelyS where to begin the search: the answer for a like question
 */
function blocksFor(
  series: readonly ArcSeries[],
  stretchedS: StretchedS,
  mostArcs: number,
  likelyS: number,
): { readonly blockS: number; readonly count: number } {
  const single = countArcs(series, stretchedS, 0, mostArcs)
  if (single <= mostArcs) return { blockS: 0, count: single }
  const counted = (blockS: number): number =>
    countArcs(series, stretchedS, blockS, blockS >= PERIOD_S ? Number.POSITIVE_INFINITY : mostArcs)
  // Each series is at least one arc. Where there are more series than arcs, the longest block is the best there is.
  let blockS = series.length >= mostArcs ? PERIOD_S : Math.max(likelyS, SMALLEST_BLOCK_S)
  let count = counted(blockS)
  while (count <= mostArcs && blockS > SMALLEST_BLOCK_S) {
    const shorter = counted(blockS / 2)
    if (shorter > mostArcs) break
    blockS /= 2
    count = shorter
  }
  while (count > mostArcs && blockS < PERIOD_S) {
    blockS *= 2
    count = counted(blockS)
  }
  return { blockS, count }
}

function layOut(
  series: readonly ArcSeries[],
  stretchedS: StretchedS,
  mostArcs: number,
  likelyS = 0,
): Arcs & { readonly blockS: number } {
  const { blockS, count } = blocksFor(series, stretchedS, mostArcs, likelyS)
  const figures = (): Float64Array => new Float64Array(count)
  const arcs = { startS: figures(), endS: figures(), heat: figures(), spentS: figures(), blockS }
  let clock = 0
  let spent = 0
  let at = 0
  for (const one of series) {
    const { arcS, heat } = one
    const cycleS = arcS + pauseOf(one, stretchedS)
    const merged = cyclesPerBlock(cycleS, blockS)
    for (let left = cyclesOf(one.times, cycleS); left > 0; left -= merged) {
      const cycles = Math.min(merged, left)
      arcs.startS[at] = clock
      arcs.endS[at] = clock + cycles * arcS
      arcs.heat[at] = heat
      arcs.spentS[at] = spent
      at += 1
      spent += cycles * arcS * heat
      clock += cycles * cycleS
    }
  }
  return arcs
}

/** Answers the heat spent until a time, for times that only ever rise: each call goes on where the last one stopped. */
function heatMeter({ startS, endS, heat, spentS }: Arcs): (timeS: number) => number {
  let next = 0
  return (timeS) => {
    while (next < startS.length && (startS[next] ?? 0) < timeS) next += 1
    const last = next - 1
    if (last < 0) return 0
    const burnt = Math.min(timeS, endS[last] ?? 0) - (startS[last] ?? 0)
    return (spentS[last] ?? 0) + burnt * (heat[last] ?? 0)
  }
}

/**
 * Greatest arc-on time, weighted by heat, within any ten minutes of the sequence.
 *
 * Heat within a sliding window is piecewise linear in the window's start, so its maximum lies where the window
 * starts with an arc or ends with one.
 *
 * @param series in the order of welding; times 0 is skipped
 * @param mostArcs arcs laid out at most, unless there are more series than that; beyond it what repeats is merged,
 *   which changes the answer by less than one block
 * @param enoughS more than this need not be told apart, s: the search ends there
 * @returns s; 0 to 600 when no heat is above 1
 */
export function worstArcOnS(
  series: readonly ArcSeries[],
  mostArcs = MOST_ARCS,
  enoughS = Number.POSITIVE_INFINITY,
): number {
  return worstOf(layOut(series, null, mostArcs), enoughS)
}

function worstOf(arcs: Arcs, enoughS: number): number {
  const [toEnd, toStart, fromStart, fromEnd] = [
    heatMeter(arcs),
    heatMeter(arcs),
    heatMeter(arcs),
    heatMeter(arcs),
  ]
  let worst = 0
  for (let index = 0; index < arcs.startS.length && worst <= enoughS; index += 1) {
    const start = arcs.startS[index] ?? 0
    const end = arcs.endS[index] ?? start
    worst = Math.max(
      worst,
      toEnd(start + PERIOD_S) - toStart(start),
      fromStart(end) - fromEnd(end - PERIOD_S),
    )
  }
  return worst
}

/** Longest pause that the solver will propose, s: beyond an hour it is not the same spell of work. */
const LONGEST_PAUSE_S = 3600

/**
 * Pause after each weld that brings the worst ten minutes down to a duty; pauses that do not stretch stay.
 * @param dutyPct allowed, %
 * @returns s, rounded up to a whole second; null when rest alone does not bring it in
 */
export function pauseForDutyS(series: readonly ArcSeries[], dutyPct: number): number | null {
  const allowedS = (dutyPct / 100) * PERIOD_S
  let blockS = 0
  const isEnough = (pauseS: number): boolean => {
    const arcs = layOut(series, pauseS, MOST_ARCS, blockS)
    blockS = arcs.blockS
    return worstOf(arcs, allowedS) <= allowedS
  }
  return shortestPauseS(isEnough, LONGEST_PAUSE_S)
}
