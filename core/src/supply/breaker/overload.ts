/**
 * Whether a breaker holds while arcs come and go: its thermal element as one heat store, which may get no hotter than what
 * it holds without end would make it. The answer is an estimate, on the side of an early trip.
 */
import { computed, dataPlate } from '../../basis/source.ts'
import { assumed, calculation, from, input } from '../../calculation/calculation.ts'
import { type Reckoner, UNTRACED } from '../../calculation/reckoner.ts'
import type { Circuit } from '../../kinds/circuit.ts'
import { type Band, type BreakerModel, constantS, type HeatStore, storesOf } from './breakerModel.ts'

const breakerTimeConstant = calculation({
  id: 'breaker-time-constant',
  title: 'Time constant of the breaker',
  symbol: 'θ',
  unit: 's',
  expression: '-T / log(1 - (k / m)^2)',
  inputs: {
    T: input('longest trip time at its test point', 's', computed('standard of the breaker')),
    k: input('times its rating at which it trips in the end', '×', computed('standard of the breaker')),
    m: input('times its rating at its test point', '×', computed('standard of the breaker')),
  },
  compute: ({ T, k, m }) => constantS(k, m, T),
  source: computed('one heat store fitted to the trip points of its standard; an estimate'),
})

/**
 * Time constant of an element that meets its standard only just.
 * @returns s
 * @example timeConstantS(UL_489, 20) // 197 s
 */
export function timeConstantS(model: BreakerModel, ratingA: number, reckoner: Reckoner = UNTRACED): number {
  const { times, withinS } = model.testPoint(ratingA)
  const { source } = model
  const notes = () => ({ T: { source }, k: { source }, m: { source } })
  return reckoner.compute(breakerTimeConstant, { T: withinS, k: model.mustTrip, m: times }, notes)
}

const earlyTimeConstant = calculation({
  id: 'breaker-early-constant',
  title: 'Time constant of the quickest breaker of its standard',
  symbol: 'θ_e',
  unit: 's',
  expression: '-t / log(1 - (c / m)^2)',
  inputs: {
    t: input('shortest trip time at its test point', 's', computed('standard of the breaker')),
    c: input('times its rating that it holds', '×', computed('standard of the breaker')),
    m: input('times its rating at that test point', '×', computed('standard of the breaker')),
  },
  compute: ({ t, c, m }) => constantS(c, m, t),
  source: computed('one heat store fitted to the least that its standard allows; an estimate'),
})

/**
 * Time constant of an element that trips as early as its standard lets it.
 * @returns s
 * @example earlyConstantS(UL_489, 20) // 35 s
 */
export function earlyConstantS(model: BreakerModel, ratingA: number, reckoner: Reckoner = UNTRACED): number {
  const { times, afterS } = model.leastPoint(ratingA)
  const { source } = model
  const notes = () => ({ t: { source }, c: { source }, m: { source } })
  return reckoner.compute(earlyTimeConstant, { t: afterS, c: model.holds, m: times }, notes)
}

/** A breaker in warm air carries less than its rating, in cold air more. */
export const breakerInWarmth = calculation({
  id: 'breaker-in-warmth',
  title: 'What the breaker holds continuously',
  symbol: 'I_h',
  unit: 'A',
  expression: 'I_n * c * max(0, 1 - w / 100 * (T_a - T_c))',
  inputs: {
    I_n: input('breaker', 'A', dataPlate('circuit')),
    c: input('times its rating that it holds', '×', computed('standard of the breaker')),
    w: assumed('breakerPctPerC'),
    T_a: input('ambient temperature', '°C', dataPlate('circuit')),
    T_c: input('rated ambient temperature', '°C', computed('standard of the breaker')),
  },
  compute: ({ I_n, c, w, T_a, T_c }) => I_n * c * Math.max(0, 1 - (w / 100) * (T_a - T_c)),
  source: computed('its standard, and what its maker’s tables show of warm panels'),
})
/** @returns the current that a circuit's breaker holds without end, A; in air as its rating is for where nobody says more */
export function heldWithoutEndA(
  { breakerA, ambientC }: Pick<Circuit, 'breakerA' | 'ambientC'>,
  model: BreakerModel,
  reckoner: Reckoner,
): number {
  const { source, calibratedC, holds } = model
  const notes = () => ({ c: { source }, T_c: { source } })
  return reckoner.compute(
    breakerInWarmth,
    { I_n: breakerA, c: holds, T_a: ambientC ?? calibratedC, T_c: calibratedC },
    notes,
  )
}

/** A breaker as it stands in the ambient temperature, and when its heat throws it. */
export interface Tripping {
  /** What it holds without end, A. */
  readonly heldA: number
  /** Rating that its heat is counted in, A: warm air takes from it what it takes from what is held. */
  readonly ratingA: number
  readonly stores: Readonly<Record<Band, HeatStore>>
}

/** @returns how the breaker of a run heats and trips, by the standard of its kind */
export function trippingOf(
  run: Pick<Circuit, 'breakerA' | 'ambientC'>,
  model: BreakerModel,
  reckoner: Reckoner,
): Tripping {
  const heldA = heldWithoutEndA(run, model, reckoner)
  return { heldA, ratingA: heldA / model.holds, stores: storesOf(model, run.breakerA) }
}

export const breakerOverload = calculation({
  id: 'breaker-overload',
  title: 'Overload that these arcs and pauses let it take',
  symbol: 'k',
  unit: '×',
  expression: 'sqrt((1 - exp(-(a + p) / θ)) / (1 - exp(-a / θ)))',
  inputs: {
    a: input('one arc', 's', computed(), 'one-arc', 'capacity-arc'),
    p: input('pause after it', 's', computed(), 'pause', 'pause-with-changes', 'capacity-pause'),
    θ: from(breakerTimeConstant, earlyTimeConstant),
  },
  compute: ({ a, p, θ }) =>
    a <= 0 ? Number.POSITIVE_INFINITY : Math.sqrt((1 - Math.exp(-(a + p) / θ)) / (1 - Math.exp(-a / θ))),
  source: computed('one heat store, heated and cooled continuously'),
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
  reckoner: Reckoner = UNTRACED,
): number => reckoner.compute(breakerOverload, { a: arcS, p: offS, θ: constantS })

export const heldByBreaker = calculation({
  id: 'breaker-holds',
  title: 'Current that the breaker holds through these arcs',
  symbol: 'I_1',
  unit: 'A',
  expression: 'I_h * k',
  inputs: {
    I_h: { ...from(breakerInWarmth), from: [breakerInWarmth.id, 'breaker-held-beside'] },
    k: from(breakerOverload),
  },
  compute: ({ I_h, k }) => I_h * k,
  source: computed('thermal estimate of the breaker'),
})
