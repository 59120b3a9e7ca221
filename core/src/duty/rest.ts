/** How long a job waits for machine or gun to cool, beyond the pauses that it has anyway. */
import { type ArcSeries, PERIOD_S } from './window.ts'

/** Arcs and pauses in their order, over and over: a piece after the other, or all pieces weld by weld. */
export interface Sequence {
  readonly series: readonly ArcSeries[]
  readonly repeats: number
}

/** What is so short beside ten minutes is taken several at once, s. */
const BLOCK_S = 6
/** Pieces are laid out for so much work without a rest, s. */
const MOST_S = 12 * PERIOD_S
/** A weld that is longer than it may be is interrupted: so many stretches of it fill what ten minutes may have. */
const STRETCHES = 24
/** None of them is shorter, s of heat. */
const LEAST_STRETCH_S = 2.5
/** Below it nobody welds: the arcs are summed, and their order is no matter. */
const LEAST_DUTY_PCT = 1
/** Shorter than any arc. */
const SLACK_S = 1e-9

/**
 * Arcs as they are really welded: each begins as soon as the ten minutes that end with it have room for it.
 * @param mayS heat that ten minutes may have, in seconds at the highest current
 */
function welded({ series, repeats }: Sequence, mayS: number): number {
  const startS: number[] = []
  const heats: number[] = []
  /** Heat spent before each arc. */
  const beforeS: number[] = []
  /** The first arc that may still be within ten minutes. */
  let first = 0
  let clockS = 0
  let spentS = 0
  let restS = 0

  function weld(arcS: number, heat: number): void {
    const tooMuchS = spentS + arcS * heat - mayS
    if (tooMuchS > 0) {
      while ((beforeS[first + 1] ?? Infinity) < tooMuchS) first += 1
      // When so much had been spent: ten minutes later it has left them.
      const leftS = (startS[first] ?? 0) + (tooMuchS - (beforeS[first] ?? 0)) / (heats[first] ?? 1)
      const waitS = Math.max(0, leftS + PERIOD_S - arcS - clockS)
      restS += waitS
      clockS += waitS
    }
    startS.push(clockS)
    heats.push(heat)
    beforeS.push(spentS)
    spentS += arcS * heat
    clockS += arcS
  }

  /** In how many stretches so long an arc is welded. */
  const stretchesOf = (onS: number, heat: number): number =>
    onS * heat > mayS ? Math.ceil((onS * heat) / Math.max(LEAST_STRETCH_S, mayS / STRETCHES)) : 1

  /** From one to the next of arcs that go on without end, no longer than they may be, s. */
  function steadyS(onS: number, heat: number): number {
    // So many fit into ten minutes; the next one ends as soon as it takes the place of the first, but for what was free.
    const allowedS = mayS / heat
    const fitting = Math.max(1, Math.floor(allowedS / onS + SLACK_S))
    return (PERIOD_S - Math.max(0, allowedS - fitting * onS)) / fitting
  }

  function cycles({ arcS, offS, heat }: ArcSeries, times: number): void {
    const onS = arcS * times
    if (onS * heat > 0) {
      const stretchS = onS / stretchesOf(onS, heat)
      const laidOutS = stretchS < onS ? Math.min(onS, 2 * PERIOD_S) : onS
      for (let left = laidOutS; left > SLACK_S; left -= stretchS) weld(Math.min(left, stretchS), heat)
      restS += ((onS - laidOutS) / stretchS) * Math.max(0, steadyS(stretchS, heat) - stretchS)
    }
    clockS += offS * times
  }

  /** All arcs of one series; of a long one the first two periods, and what follows from them. */
  function row(one: ArcSeries, times: number): void {
    const { arcS, offS, heat } = one
    const cycleS = arcS + offS
    if (cycleS <= 0) return
    const atOnce = Math.max(1, Math.floor(BLOCK_S / cycleS))
    const enough = Math.ceil((2 * PERIOD_S) / cycleS)
    const laidOut = times <= 2 * enough ? times : enough
    for (let done = 0; done < laidOut; done += atOnce) cycles(one, Math.min(atOnce, laidOut - done))
    const [onS, blocks] = [arcS * atOnce, (times - laidOut) / atOnce]
    if (blocks <= 0 || onS * heat <= 0) return
    const stretches = stretchesOf(onS, heat)
    restS += blocks * Math.max(0, stretches * steadyS(onS / stretches, heat) - cycleS * atOnce)
  }

  // Pieces one after the other; beyond twelve periods of work, the rest of each is that of the later half.
  const pieceS = series.reduce((sum, { arcS, offS, times }) => sum + (arcS + offS) * times, 0)
  if (pieceS <= 0) return 0
  const atOnce = Math.max(1, Math.floor(BLOCK_S / pieceS))
  const most = Math.ceil(MOST_S / pieceS)
  const half = Math.floor(most / 2)
  const laidOut = Math.min(repeats, most)
  let restAtHalfS = 0
  for (let done = 0; done < laidOut; done += atOnce) {
    if (done <= half) restAtHalfS = restS
    for (const one of series) row(one, one.times * Math.min(atOnce, laidOut - done))
  }
  return repeats > most ? restS + ((restS - restAtHalfS) / (most - half)) * (repeats - most) : restS
}

/**
 * @param sequence arcs and pauses in their order, heat against the highest current
 * @param dutyPct allowed at that current (IEC 60974-1: share of ten minutes with the arc on); above 0
 * @returns s over the whole job; 0 where no ten minutes have more than they may. Nobody waits after the last arc
 * @example restS({ series: [{ arcS: 60, offS: 5, times: 5, stretches: true, heat: 1 }], repeats: 1 }, 40) // 340
 */
export function restS(sequence: Sequence, dutyPct: number): number {
  if (dutyPct < LEAST_DUTY_PCT) {
    const owedS = sequence.series.reduce(
      (sum, { arcS, offS, times, heat }) => sum + times * ((100 * arcS * heat) / dutyPct - arcS - offS),
      0,
    )
    return Math.max(0, owedS) * sequence.repeats
  }
  return welded(sequence, (dutyPct / 100) * PERIOD_S)
}
