/**
 * Whether a breaker holds while arcs come and go: its thermal element as one heat store.
 *
 * The standard gives trip times, not a model. One time constant is fitted to its two points (135 % within an
 * hour, 200 % within minutes). The element may then get no hotter than its rated current, flowing without end,
 * would make it. So the answer is an estimate, on the side of an early trip.
 */
import { computed, standard } from '../basis/source.ts'
import { calculation, from, input } from '../calculation/calculation.ts'
import { type Reckoner, UNTRACED } from '../calculation/reckoner.ts'

const MUST_TRIP = 1.35
const DOUBLE = 2
const UL_489 = standard('UL 489, trip points at 135 % and 200 %', true)

const breakerTimeConstant = calculation({
  id: 'breaker-time-constant',
  title: 'Time constant of the breaker',
  symbol: 'θ',
  unit: 's',
  expression: '-T_2 / log(1 - (1.35 / 2)^2)',
  inputs: { T_2: input('longest trip time at twice its rating', 's', UL_489) },
  compute: ({ T_2 }) => -T_2 / Math.log(1 - (MUST_TRIP / DOUBLE) ** 2),
  source: computed('one heat store fitted to the trip points of UL 489; an estimate'),
})

/**
 * Time constant of an element that trips at 135 % only after hours and at 200 % just in time.
 * @param tripAtDoubleS longest trip time at 200 %, s
 * @returns s
 */
export const timeConstantS = (tripAtDoubleS: number, r: Reckoner = UNTRACED): number =>
  r.take(breakerTimeConstant, { T_2: tripAtDoubleS })

export const breakerOverload = calculation({
  id: 'breaker-overload',
  title: 'Overload that these arcs and pauses let it take',
  symbol: 'k',
  unit: '×',
  expression: 'sqrt((1 - exp(-(a + p) / θ)) / (1 - exp(-a / θ)))',
  inputs: {
    a: input('one arc', 's', computed(), 'one-arc', 'capacity-arc'),
    p: input('pause after it', 's', computed(), 'pause', 'pause-with-changes', 'capacity-pause'),
    θ: from(breakerTimeConstant),
  },
  compute: ({ a, p, θ }) =>
    a <= 0 ? Number.POSITIVE_INFINITY : Math.sqrt((1 - Math.exp(-(a + p) / θ)) / (1 - Math.exp(-a / θ))),
  source: computed('one heat store, heated and cooled without end'),
})

/**
 * How many times its rated current a breaker holds through arcs of this length with pauses between, without end.
 * @param arcS length of an arc, s
 * @param offS pause after it, s
 * @returns at least 1; 1 for an arc without end
 */
export const overloadFactor = (
  arcS: number,
  offS: number,
  constantS: number,
  r: Reckoner = UNTRACED,
): number => r.take(breakerOverload, { a: arcS, p: offS, θ: constantS })

export const heldByBreaker = calculation({
  id: 'breaker-holds',
  title: 'Current that the breaker holds through these arcs',
  symbol: 'I_1',
  unit: 'A',
  expression: 'I_n * k',
  inputs: { I_n: input('current that it holds without end', 'A', UL_489), k: from(breakerOverload) },
  compute: ({ I_n, k }) => I_n * k,
  source: computed('thermal estimate of the breaker'),
})
