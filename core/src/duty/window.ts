/** The worst ten minutes of a sequence of welds: what a duty cycle is really asked. */

/** The period that a duty cycle is a share of (IEC 60974-1). */
export const PERIOD_S = 600

/** The same weld made several times, each followed by the pause until the next arc. */
export interface WeldRun {
  readonly arcS: number
  readonly offS: number
  readonly times: number
  /** Whether the pause is one that a welder can stretch; false between tacks. */
  readonly stretches: boolean
  /** Heating against the reference current, (I/I_ref)²; 1 when all welds run at one current. */
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

/** Cycles of a run that ten minutes can tell from more: the rest only repeats. */
const cyclesOf = ({ arcS, offS, times }: WeldRun): number =>
  arcS + offS > 0 ? Math.min(times, Math.ceil(PERIOD_S / (arcS + offS)) + 1) : 0

const cyclesPerBlock = ({ arcS, offS }: WeldRun, blockS: number): number =>
  Math.max(1, Math.floor(blockS / (arcS + offS)))

/** How many arcs stand for all runs where blocks are this long; it stops counting above the most. */
function countArcs(runs: readonly WeldRun[], blockS: number, mostArcs: number): number {
  let count = 0
  for (const run of runs) {
    count += Math.ceil(cyclesOf(run) / cyclesPerBlock(run, blockS))
    if (count > mostArcs) break
  }
  return count
}

/**
 * How long a block of merged cycles must be for all runs together to stay within a number of arcs, s; 0 where
 * every arc stands for itself. A block burns first and pauses after, so what merging changes is less than one block,
 * and mostly towards more heat.
 */
function blockFor(runs: readonly WeldRun[], mostArcs: number): number {
  if (countArcs(runs, 0, mostArcs) <= mostArcs) return 0
  // A run is one arc at least: with more runs than that, blocks as long as can be are the best there is.
  if (runs.length >= mostArcs) return PERIOD_S
  let blockS = SMALLEST_BLOCK_S
  while (blockS < PERIOD_S && countArcs(runs, blockS, mostArcs) > mostArcs) blockS *= 2
  return blockS
}

function layOut(runs: readonly WeldRun[], mostArcs: number): Arcs {
  const blockS = blockFor(runs, mostArcs)
  const count = countArcs(runs, blockS, Number.POSITIVE_INFINITY)
  const figures = (): Float64Array => new Float64Array(count)
  const arcs: Arcs = { startS: figures(), endS: figures(), heat: figures(), spentS: figures() }
  let clock = 0
  let spent = 0
  let at = 0
  for (const run of runs) {
    const { arcS, offS, heat } = run
    const merged = cyclesPerBlock(run, blockS)
    for (let left = cyclesOf(run); left > 0; left -= merged) {
      const cycles = Math.min(merged, left)
      arcs.startS[at] = clock
      arcs.endS[at] = clock + cycles * arcS
      arcs.heat[at] = heat
      arcs.spentS[at] = spent
      at += 1
      spent += cycles * arcS * heat
      clock += cycles * (arcS + offS)
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
 * @param runs in the order of welding; times 0 is skipped
 * @param mostArcs arcs laid out at most, unless there are more runs than that; beyond it what repeats is merged,
 *   which changes the answer by less than one block
 * @param enoughS more than this need not be told apart, s: the search ends there
 * @returns s; 0 to 600 when no heat is above 1
 */
export function worstArcOnS(
  runs: readonly WeldRun[],
  mostArcs = MOST_ARCS,
  enoughS = Number.POSITIVE_INFINITY,
): number {
  const arcs = layOut(runs, mostArcs)
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
export function pauseForDutyS(runs: readonly WeldRun[], dutyPct: number): number | null {
  const allowedS = (dutyPct / 100) * PERIOD_S
  const isOver = (pauseS: number) =>
    worstArcOnS(
      runs.map((run) => (run.stretches ? { ...run, offS: pauseS } : run)),
      MOST_ARCS,
      allowedS,
    ) > allowedS
  if (isOver(LONGEST_PAUSE_S)) return null
  let low = 0
  let high = LONGEST_PAUSE_S
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (isOver(middle)) low = middle
    else high = middle
  }
  return isOver(low) ? high : low
}
