/** The worst ten minutes of a sequence of welds: what a duty cycle is really asked. */

/** The period that a duty cycle is a share of (IEC 60974-1). */
export const PERIOD_S = 600

/** The same weld made several times, each followed by the pause until the next arc. */
export interface WeldRun {
  readonly arcS: number
  readonly offS: number
  readonly times: number
}

/**
 * Greatest arc-on time within any ten minutes of the sequence.
 *
 * Arc-on time within a sliding window is piecewise linear, so its maximum lies where the window starts with
 * an arc. A long run of one weld is cut to what ten minutes can hold: the rest only repeats.
 *
 * @param runs in the order of welding; times 0 is skipped
 * @returns s, from 0 to 600
 */
export function worstArcOnS(runs: readonly WeldRun[]): number {
  const starts: number[] = []
  const arcs: number[] = []
  let clock = 0
  for (const run of runs) {
    const cycle = run.arcS + run.offS
    const enough = cycle > 0 ? Math.ceil(PERIOD_S / cycle) + 1 : 1
    for (let i = 0; i < Math.min(run.times, enough); i += 1) {
      starts.push(clock)
      arcs.push(run.arcS)
      clock += cycle
    }
  }
  let worst = 0
  let sum = 0
  let end = 0
  starts.forEach((start, first) => {
    // `sum` holds the arcs from `first` up to, not including, `end`.
    while (end < starts.length && (starts[end] ?? 0) < start + PERIOD_S) {
      sum += arcs[end] ?? 0
      end += 1
    }
    const last = end - 1
    const overhang = (starts[last] ?? 0) + (arcs[last] ?? 0) - (start + PERIOD_S)
    worst = Math.max(worst, sum - Math.max(0, overhang))
    sum -= arcs[first] ?? 0
  })
  return worst
}

/** The same as a share of ten minutes, in %. */
export const worstDutyPct = (runs: readonly WeldRun[]): number => (100 * worstArcOnS(runs)) / PERIOD_S

/** Longest pause that the solver will propose, s: beyond an hour it is not the same spell of work. */
const LONGEST_PAUSE_S = 3600

/**
 * Pause between welds that brings the worst ten minutes down to a duty.
 * @param duty allowed, %
 * @returns s, rounded up to a whole second; null when one weld alone is already over it
 */
export function pauseForDutyS(runs: readonly WeldRun[], dutyPct: number): number | null {
  const withPause = (offS: number) => worstDutyPct(runs.map((run) => ({ ...run, offS })))
  if (withPause(LONGEST_PAUSE_S) > dutyPct) return null
  let low = 0
  let high = LONGEST_PAUSE_S
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (withPause(middle) > dutyPct) low = middle
    else high = middle
  }
  return withPause(low) <= dutyPct ? low : high
}
