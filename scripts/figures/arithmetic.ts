/**
 * The arithmetic of a board and nothing else: the formulas that its deciding figures rest on, over plain arrays of numbers,
 * without records, units, sources, sentences or checks. How many times as long the board takes is what all of those cost.
 */
import type { Job } from '../../core/src/index.ts'
import { median, timed } from './demo.ts'

/** A process with a wire. */
const WORKS = 10
/** Of the trade reference, for the sake of the arithmetic: their values decide nothing here. */
const [PER_MM, MELT_THROUGH_MM, HEAT_SINK, SINK_RATIO] = [40, 3.2, 1.2, 4]
const [DENSITY_MG, DEPOSITED, WASTE, ALPHA, BETA, EXTENSION_MM, WIRE_MM] = [
  7.85, 0.95, 0.02, 0.28, 5e-5, 12, 0.9,
]
const [PAUSE_S, PERIOD_S, RATED_A, RATED_DUTY, INPUT_A, BREAKER_A, STOCK_G] = [
  20, 600, 200, 0.3, 0.2, 40, 4500,
]

/** Metal, wire, current and arc time of each weld with each process and wire; then margins and duty of each cell. */
export function plainBoard(jobs: readonly Job[], setUpCount: number): number {
  let fits = 0
  const asked = new Float64Array(WORKS * 3)
  for (const { joints, quantity } of jobs) {
    for (let work = 0; work < WORKS; work += 1) {
      let [mostA, arcS, spentG, cycleS] = [0, 0, 0, 0]
      for (const { thicknessAMm, thicknessBMm, lengthMm, count } of joints) {
        const thinner = Math.min(thicknessAMm, thicknessBMm)
        const thicker = Math.max(thicknessAMm, thicknessBMm)
        const driving = Math.min(thinner, Math.sqrt(thinner * MELT_THROUGH_MM))
        const sink =
          1 +
          (HEAT_SINK - 1) *
            Math.min(1, (thicker / thinner - 1) / (SINK_RATIO - 1)) *
            Math.min(1, Math.max(0, 2 - thinner / MELT_THROUGH_MM))
        const wantedA = PER_MM * (1 + work / WORKS) * sink * driving
        const metalG = (thinner ** 2 / 2) * lengthMm * count * quantity * DENSITY_MG * 1e-3
        const feedMmPerS = ALPHA * wantedA * (1.2 / WIRE_MM) ** 2 + BETA * EXTENSION_MM * wantedA ** 2
        const rateGPerS = feedMmPerS * (Math.PI / 4) * WIRE_MM ** 2 * DENSITY_MG * 1e-3 * DEPOSITED
        const onS = metalG / rateGPerS
        mostA = Math.max(mostA, wantedA)
        arcS += onS
        cycleS += onS + PAUSE_S * count
        spentG += metalG / (DEPOSITED * (1 - WASTE))
      }
      asked[work * 3] = mostA
      asked[work * 3 + 1] = (Math.min(PERIOD_S, arcS) / Math.min(PERIOD_S, cycleS)) * 100
      asked[work * 3 + 2] = spentG
    }
    for (let setUp = 0; setUp < setUpCount; setUp += 1) {
      const at = (setUp % WORKS) * 3
      const [wantedA = 0, dutyPct = 0, spentG = 0] = [asked[at], asked[at + 1], asked[at + 2]]
      const allowedPct = Math.min(100, RATED_DUTY * 100 * (RATED_A / wantedA) ** 2)
      const throughBreakerA = INPUT_A * wantedA * Math.sqrt(dutyPct / 100)
      const margins =
        Math.min(RATED_A / wantedA, allowedPct / dutyPct, BREAKER_A / throughBreakerA, STOCK_G / spentG) - 1
      if (margins >= 0) fits += 1
    }
  }
  return fits
}

/**
 * @param counts of the things in each place of a set-up
 * @returns ms of the arithmetic of jobs with every set-up that could be put together of them, whether it goes or not
 */
export function plainMs(jobs: readonly Job[], counts: readonly number[]): number {
  const setUpCount = counts.reduce((product, count) => product * count, 1)
  return median(timed(() => plainBoard(jobs, setUpCount)).slice(1))
}
