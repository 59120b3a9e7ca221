/** Breakers by their standards. */
import { standard } from '../../basis/source.ts'
import type { BreakerModel } from './breakerModel.ts'

/** UL 489, 200 % test: rating in A up to which the breaker trips within so many minutes. */
const TRIP_AT_DOUBLE_MIN: readonly [upToA: number, minutes: number][] = [
  [30, 2],
  [50, 4],
  [100, 6],
  [150, 8],
  [225, 10],
  [400, 12],
  [600, 14],
]
const OVER_600_A_MIN = 16

/** Makers' curves of small moulded cases begin at about a twelfth of the longest time; the standard names no least. */
const LEAST_SHARE = 1 / 12

export const UL_489: BreakerModel = {
  id: 'ul-489',
  name: 'UL 489, inverse time',
  calibratedC: 40,
  holds: 1,
  mustTrip: 1.35,
  testPoint: (ratingA) => ({
    times: 2,
    withinS: 60 * (TRIP_AT_DOUBLE_MIN.find(([upToA]) => ratingA <= upToA)?.[1] ?? OVER_600_A_MIN),
  }),
  leastPoint(ratingA) {
    const { times, withinS } = this.testPoint(ratingA)
    return { times, afterS: withinS * LEAST_SHARE }
  },
  // The magnet of a moulded case is set by its maker.
  magnetic: null,
  source: standard(
    'UL 489: holds 100 %, trips at 135 %, and at 200 % within 2 min up to 30 A, 4 to 50 A, 6 to 100 A; the earliest after a twelfth of that (common practice)',
    true,
  ),
}

const IEC_60898 = standard(
  'IEC 60898-1: holds 1.13, trips at 1.45, and at 2.55 after more than 1 s and within 1 min up to 32 A, 2 above',
  true,
)
const miniature = (kind: 'B' | 'C' | 'D', low: number, high: number): BreakerModel => ({
  id: `iec-60898-${kind.toLowerCase()}`,
  name: `IEC 60898-1, ${kind}`,
  calibratedC: 30,
  holds: 1.13,
  mustTrip: 1.45,
  testPoint: (ratingA) => ({ times: 2.55, withinS: ratingA <= 32 ? 60 : 120 }),
  leastPoint: () => ({ times: 2.55, afterS: 1 }),
  magnetic: { low, high },
  source: IEC_60898,
})
export const IEC_B = miniature('B', 3, 5)
export const IEC_C = miniature('C', 5, 10)
export const IEC_D = miniature('D', 10, 20)

/** IEC 60269-1, gates of gG: rating, the current that it carries for 10 s, and the one that melts it within 5 s, A. */
const GATES: readonly (readonly [ratingA: number, holdsA: number, meltsA: number])[] = [
  [16, 33, 65],
  [20, 42, 85],
  [25, 52, 110],
  [32, 75, 150],
  [40, 95, 190],
  [50, 125, 250],
  [63, 160, 320],
  [80, 215, 425],
  [100, 290, 580],
  [125, 355, 715],
]
const MELTS_WITHIN_S = 5
const HOLDS_FOR_S = 10
const gateOf = (ratingA: number) => GATES.findLast(([size]) => size <= ratingA) ?? GATES[0] ?? [1, 1, 1]

/** Fuse links for cables, of the full range: they melt rather than trip. */
export const IEC_60269_GG: BreakerModel = {
  id: 'iec-60269-gg',
  name: 'IEC 60269, gG fuse',
  calibratedC: 30,
  holds: 1.25,
  mustTrip: 1.6,
  testPoint(ratingA) {
    const [gateA, , meltsA] = gateOf(ratingA)
    return { times: meltsA / gateA, withinS: MELTS_WITHIN_S }
  },
  leastPoint(ratingA) {
    const [gateA, holdsA] = gateOf(ratingA)
    return { times: holdsA / gateA, afterS: HOLDS_FOR_S }
  },
  // It has no magnet.
  magnetic: null,
  source: standard(
    'IEC 60269-1: holds 1.25, melts at 1.6, at about 2 not within 10 s, and at 4 to 6 within 5 s',
    true,
  ),
}

export const IEC_60947: BreakerModel = {
  id: 'iec-60947-2',
  name: 'IEC 60947-2, adjustable',
  calibratedC: 30,
  holds: 1.05,
  mustTrip: 1.3,
  // The standard's points are those two; the time at twice the rating is what is usual.
  testPoint: () => ({ times: 2, withinS: 240 }),
  leastPoint: () => ({ times: 2, afterS: 240 * LEAST_SHARE }),
  magnetic: null,
  source: standard(
    'IEC 60947-2: holds 1.05, trips at 1.30; at twice its rating within some 4 min (common practice)',
    true,
  ),
}
