/**
 * A heat store through currents that come and go: how hot it gets, and after how long it trips. Exact for steps of
 * current, with no step in time: dh/dt = ((I/I_n)² − h) / θ. An estimate of a real breaker, and said to be one.
 */
import type { HeatStore } from './breakerModel.ts'

/** The same current on and off several times. */
export interface Beat {
  readonly onS: number
  readonly offS: number
  readonly times: number
  readonly onA: number
  /** Drawn while nothing is welded. */
  readonly offA: number
}

/** Heat is counted in squares of the rating: 1 is what the rating, without end, would give. */
const towards = (heat: number, drive: number, seconds: number, constantS: number): number =>
  drive + (heat - drive) * Math.exp(-seconds / constantS)
/** How long until it is that hot; Infinity where this drive does not get it there. */
function untilS(heat: number, drive: number, level: number, constantS: number): number {
  if (heat > level) return 0
  return drive > level ? constantS * Math.log((drive - heat) / (drive - level)) : Number.POSITIVE_INFINITY
}

interface State {
  readonly atS: number
  readonly heat: number
}
interface Passed extends State {
  /** When it tripped; null where it held. */
  readonly trippedS: number | null
}

/** One on and one off. */
function oneCycle(
  { onS, offS }: Beat,
  on: number,
  off: number,
  { tripsAt, constantS }: HeatStore,
  from: State,
): Passed {
  const level = tripsAt ** 2
  const inOnS = untilS(from.heat, on, level, constantS)
  if (inOnS <= onS) return { ...from, trippedS: from.atS + inOnS }
  const hot = towards(from.heat, on, onS, constantS)
  const inOffS = untilS(hot, off, level, constantS)
  if (inOffS <= offS) return { ...from, trippedS: from.atS + onS + inOffS }
  return { atS: from.atS + onS + offS, heat: towards(hot, off, offS, constantS), trippedS: null }
}

/** Cycles all alike go towards a heat of their own: those that change nothing are leapt over. */
function beatThrough(beat: Beat, ratingA: number, store: HeatStore, from: State): Passed {
  const { onS, offS, times } = beat
  const cycleS = onS + offS
  if (times <= 0 || cycleS <= 0) return { ...from, trippedS: null }
  const [on, off] = [(beat.onA / ratingA) ** 2, (beat.offA / ratingA) ** 2]
  const first = oneCycle(beat, on, off, store, from)
  if (first.trippedS !== null || times === 1) return first
  const [keptOn, kept] = [Math.exp(-onS / store.constantS), Math.exp(-cycleS / store.constantS)]
  /** Heat at the start of a cycle that ends as it began, and at the end of its arc. */
  const settled =
    (off * (1 - Math.exp(-offS / store.constantS)) + on * Math.exp(-offS / store.constantS) * (1 - keptOn)) /
    (1 - kept)
  const peak = towards(settled, on, onS, store.constantS)
  const level = store.tripsAt ** 2
  const after = (cycles: number): State => ({
    atS: from.atS + cycles * cycleS,
    heat: settled + (from.heat - settled) * kept ** cycles,
  })
  const most = Math.max(peak, settled)
  if (most < level) return { ...after(times), trippedS: null }
  // The heat at which a cycle begins that reaches the level at its peak.
  const startsAt = (level - on) / keptOn + on
  const cycles =
    startsAt >= settled ? times : Math.log((startsAt - settled) / (from.heat - settled)) / Math.log(kept)
  const whole = Math.max(1, Math.floor(Number.isFinite(cycles) ? cycles : 1))
  let state: Passed = { ...after(Math.min(whole, times)), trippedS: null }
  // Rounding leaves the cycle that trips one off at most.
  for (let cycle = whole; cycle < Math.min(times, whole + 3); cycle += 1) {
    state = oneCycle(beat, on, off, store, state)
    if (state.trippedS !== null) return state
  }
  return whole + 3 >= times ? state : { ...after(times), trippedS: null }
}

/**
 * @param beats in the order of time, done once
 * @param from heat at the start, in squares of the rating; 0 for a cold breaker
 * @returns when it trips, s, null where it holds; else how hot it ends
 * @example heatThrough([{ onS: 3600, offS: 0, times: 1, onA: 27, offA: 0 }], 20, { tripsAt: 1.16, constantS: 195 }).trippedS
 */
export function heatThrough(
  beats: readonly Beat[],
  ratingA: number,
  store: HeatStore,
  from = 0,
): { readonly trippedS: number | null; readonly heat: number; readonly tookS: number } {
  let state: Passed = { atS: 0, heat: from, trippedS: null }
  for (const beat of beats) {
    state = beatThrough(beat, ratingA, store, state)
    if (state.trippedS !== null) break
  }
  return { trippedS: state.trippedS, heat: state.heat, tookS: state.atS }
}

/** Two passes that begin alike are alike. */
const ALIKE = 1e-9

/**
 * The same beats again and again.
 * @param mostS how long it is looked at, s
 * @returns s until it trips; null where it holds
 */
export function tripsAfterS(
  beats: readonly Beat[],
  ratingA: number,
  store: HeatStore,
  mostS: number,
): number | null {
  // No current that comes is more than it carries without end.
  if (beats.every(({ onA, offA }) => Math.max(onA, offA) <= ratingA * store.tripsAt)) return null
  let atS = 0
  let heat = 0
  while (atS < mostS) {
    const pass = heatThrough(beats, ratingA, store, heat)
    if (pass.trippedS !== null) return atS + pass.trippedS <= mostS ? atS + pass.trippedS : null
    if (pass.tookS <= 0 || Math.abs(pass.heat - heat) < ALIKE) return null
    heat = pass.heat
    atS += pass.tookS
  }
  return null
}

/** How hot it is at one time; 1 is where it trips. */
export interface HeatAt {
  readonly atS: number
  readonly share: number
}

/**
 * @param mostPoints of the curve; beats that are shorter than a point are passed over
 * @returns the heat at the end of each arc and each pause until it trips, or until `mostS`
 */
export function heatCurve(
  beats: readonly Beat[],
  ratingA: number,
  store: HeatStore,
  mostS: number,
  mostPoints = 600,
): readonly HeatAt[] {
  const level = store.tripsAt ** 2
  const points: HeatAt[] = [{ atS: 0, share: 0 }]
  let atS = 0
  let heat = 0
  const go = (drive: number, seconds: number): boolean => {
    const trips = untilS(heat, drive, level, store.constantS)
    const spent = Math.min(seconds, trips, mostS - atS)
    heat = towards(heat, drive, spent, store.constantS)
    atS += spent
    points.push({ atS, share: heat / level })
    return trips > seconds && atS < mostS && points.length < mostPoints
  }
  const cycleS = beats.reduce((sum, { onS, offS, times }) => sum + (onS + offS) * times, 0)
  if (cycleS <= 0) return points
  for (;;)
    for (const { onS, offS, times, onA, offA } of beats)
      for (let n = 0; n < times; n += 1) {
        if (onS > 0 && !go((onA / ratingA) ** 2, onS)) return points
        if (offS > 0 && !go((offA / ratingA) ** 2, offS)) return points
      }
}
