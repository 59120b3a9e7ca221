/**
 * What a standard says of a breaker, made a model: its thermal element as one heat store. A standard gives points, a
 * breaker of it trips anywhere between them, so there are three stores: the earliest, the latest, and one between, each with
 * a time constant of its own.
 */
import type { Source } from '../../basis/source.ts'

export interface BreakerModel {
  readonly id: string
  readonly name: string
  /** Air around it for which its rating holds, °C. */
  readonly calibratedC: number
  /** Times its rating that it carries without end. */
  readonly holds: number
  /** Times its rating at which it trips in the end. */
  readonly mustTrip: number
  /** At so many times its rating it trips within so long at the latest. */
  testPoint(ratingA: number): { readonly times: number; readonly withinS: number }
  /** At so many times its rating it holds for so long at the least. */
  leastPoint(ratingA: number): { readonly times: number; readonly afterS: number }
  /** Times its rating between which its magnet trips at once; null where the standard leaves that to the maker. */
  readonly magnetic: { readonly low: number; readonly high: number } | null
  readonly source: Source
}

/** A heat store that is filled by the square of the current. */
export interface HeatStore {
  /** It trips when it is as hot as so many times its rating, without end, would make it. */
  readonly tripsAt: number
  readonly constantS: number
}

export const BANDS = ['early', 'nominal', 'late'] as const
export type Band = (typeof BANDS)[number]

/** Time constant of a store that trips at so many times its rating after so long from cold, s. */
export const constantS = (tripsAt: number, times: number, afterS: number): number =>
  -afterS / Math.log(1 - (tripsAt / times) ** 2)

/**
 * The latest breaker only just meets the longest time of its standard, the earliest the shortest; the usual one lies
 * between them by geometric means.
 * @example storesOf(UL_489, 20).late.tripsAt // 1.35
 */
export function storesOf(model: BreakerModel, ratingA: number): Readonly<Record<Band, HeatStore>> {
  const { times, withinS } = model.testPoint(ratingA)
  const least = model.leastPoint(ratingA)
  const early = { tripsAt: model.holds, constantS: constantS(model.holds, least.times, least.afterS) }
  const late = { tripsAt: model.mustTrip, constantS: constantS(model.mustTrip, times, withinS) }
  return {
    early,
    nominal: {
      tripsAt: Math.sqrt(early.tripsAt * late.tripsAt),
      constantS: Math.sqrt(early.constantS * late.constantS),
    },
    late,
  }
}
