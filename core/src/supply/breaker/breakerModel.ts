/**
 * What a standard says of a breaker, made a model: its thermal element as one heat store. A standard gives points, a
 * breaker of it trips anywhere between them, so there are three stores: the earliest, the latest, and one between.
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

/**
 * The slowest breaker that meets the standard gives the time constant; all three are taken to have it.
 * @example storesOf(UL_489, 20).late.tripsAt // 1.35
 */
export function storesOf(model: BreakerModel, ratingA: number): Readonly<Record<Band, HeatStore>> {
  const { times, withinS } = model.testPoint(ratingA)
  const constantS = -withinS / Math.log(1 - (model.mustTrip / times) ** 2)
  const store = (tripsAt: number): HeatStore => ({ tripsAt, constantS })
  return {
    early: store(model.holds),
    nominal: store(Math.sqrt(model.holds * model.mustTrip)),
    late: store(model.mustTrip),
  }
}
