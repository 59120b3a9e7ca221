/** Current that a power source draws from its circuit, and back: the welding current that a draw allows. */
import { computed, dataPlate, type Source, standard } from '../basis/source.ts'
import { calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import { type Reckoner, UNTRACED } from '../calculation/reckoner.ts'
import type { Circuit, PowerSource, SupplyRating } from '../kinds/equipment.ts'
import type { ProcessFamily } from '../model/process.ts'
import { LOAD_LINE_SOURCE, LOAD_LINES } from '../reference/processes.ts'
import { breakerOverload, heldByBreaker } from './breaker/overload.ts'
import { loadVoltage, loadVoltageOf } from '../trade/arcVoltage.ts'

const DRAW = standard('IEC 60974-1, rated supply current; I₁ = P / U₁', true)
const EFFECTIVE = standard('IEC 60974-1, effective supply current I₁eff', true)
const PLATE = dataPlate()

const phaseFactor = input('√3 with three phases, else 1', '', computed('phases of the circuit'))
const supplyVolts = input('supply voltage', 'V', dataPlate('circuit'))
const efficiency = inputOrAssumed('efficiency', '%', PLATE)
const powerFactor = inputOrAssumed('power factor', '', PLATE)

/** Factor of the line current: √3 with three phases. */
export const rootPhases = (phases: 1 | 3): number => (phases === 3 ? Math.sqrt(3) : 1)

const printedInput = calculation({
  id: 'plate-input',
  title: 'Greatest supply current',
  symbol: 'I_1max',
  unit: 'A',
  expression: 'I_1max',
  inputs: { I_1max: input('greatest supply current', 'A', PLATE) },
  compute: ({ I_1max }) => I_1max,
  source: PLATE,
})
const kvaInput = calculation({
  id: 'plate-input-by-kva',
  title: 'Greatest supply current',
  symbol: 'I_1max',
  unit: 'A',
  expression: 'S * 1000 / (U_1 * p)',
  inputs: { S: input('rated input', 'kVA', PLATE), U_1: input('rated voltage', 'V', PLATE), p: phaseFactor },
  compute: ({ S, U_1, p }) => (S * 1000) / (U_1 * p),
  source: PLATE,
})

/** The rated point of the greatest current. */
export const highestPoint = ({ ratedPoints }: SupplyRating) =>
  ratedPoints.reduce((most, next) => (next.currentA > most.currentA ? next : most))

/** The greatest supply current as the plate gives it, or from its kVA, A; null where it has neither. */
export function plateInputA(
  { i1MaxA, inputKva, voltageV, phases }: SupplyRating,
  reckoner: Reckoner = UNTRACED,
): number | null {
  if (i1MaxA !== null) return reckoner.compute(printedInput, { I_1max: i1MaxA })
  if (inputKva === null || voltageV === null) return null
  return reckoner.compute(kvaInput, { S: inputKva, U_1: voltageV, p: rootPhases(phases) })
}

const idleCurrent = calculation({
  id: 'idle-current',
  title: 'Current drawn idling',
  symbol: 'I_0',
  unit: 'A',
  expression: 'P_0 / (U_1 * p * f)',
  inputs: {
    P_0: inputOrAssumed('idle power', 'W', PLATE),
    U_1: supplyVolts,
    p: phaseFactor,
    f: powerFactor,
  },
  compute: ({ P_0, U_1, p, f }) => P_0 / (U_1 * p * f),
  source: DRAW,
})

const arcWatts = {
  title: 'Arc power for each ampere drawn',
  symbol: 'w',
  unit: 'W/A',
  source: DRAW,
} as const

const arcWattsByPlate = calculation({
  ...arcWatts,
  id: 'arc-watts-by-plate',
  expression: 'U_2 * I_2 / I_1max * U_1 / U_r',
  inputs: {
    U_2: { ...input('load voltage there', 'V', PLATE), from: [loadVoltage.id] },
    I_2: input('highest rated current', 'A', PLATE),
    I_1max: from(printedInput, kvaInput),
    U_1: supplyVolts,
    U_r: input('supply voltage of the plate’s column', 'V', PLATE),
  },
  compute: ({ U_2, I_2, I_1max, U_1, U_r }) => (((U_2 * I_2) / I_1max) * U_1) / U_r,
})
const arcWattsByEfficiency = calculation({
  ...arcWatts,
  id: 'arc-watts-by-efficiency',
  expression: 'η / 100 * f * U_1 * p',
  inputs: { η: efficiency, f: powerFactor, U_1: supplyVolts, p: phaseFactor },
  compute: ({ η, f, U_1, p }) => (η / 100) * f * U_1 * p,
})
const arcWattsFrom = from(arcWattsByPlate, arcWattsByEfficiency)

/** How one source draws on one circuit. */
export interface Draw {
  readonly family: ProcessFamily
  /** Arc watts delivered for each ampere drawn: η·PF·U₁ (·√3 with three phases). */
  readonly arcWattsPerA: number
  readonly idleA: number
}

/**
 * From the plate's I₁max where it gives one: it belongs to the highest rated current, and efficiency and power
 * factor are taken as the same below it. A circuit of less volts than the plate's column draws more: power stays. Otherwise from efficiency and power factor, plate's or assumed.
 */
export function drawOf(
  source: PowerSource,
  supply: SupplyRating,
  circuit: Circuit,
  family: ProcessFamily,
  reckoner: Reckoner,
): Draw {
  const p = rootPhases(circuit.phases)
  const f = source.powerFactor ?? 'powerFactor'
  const U_1 = circuit.voltageV
  const idleA = reckoner.compute(idleCurrent, { P_0: source.idleW ?? 'idleW', U_1, p, f })
  const I_1max = plateInputA(supply, reckoner)
  if (I_1max === null) {
    const η = source.efficiencyPct ?? 'efficiencyPct'
    return { family, arcWattsPerA: reckoner.compute(arcWattsByEfficiency, { η, f, U_1, p }), idleA }
  }
  const { currentA, loadV } = highestPoint(supply)
  const U_2 = loadV ?? loadVoltageOf(family, currentA, reckoner)
  return {
    family,
    arcWattsPerA: reckoner.compute(arcWattsByPlate, {
      U_2,
      I_2: currentA,
      I_1max,
      U_1,
      U_r: supply.voltageV ?? U_1,
    }),
    idleA,
  }
}

/** A source gives no more than it has: a weld that wants more is burnt with less, and draws less. */
export const weldingDrawn = calculation({
  id: 'welding-drawn',
  title: 'Welding current that is drawn',
  symbol: 'I_2',
  unit: 'A',
  expression: 'min(I_want, I_max)',
  inputs: {
    I_want: input('current needed', 'A', computed('joint'), 'wanted-current'),
    I_max: input('greatest output', 'A', PLATE),
  },
  compute: ({ I_want, I_max }) => Math.min(I_want, I_max),
  source: computed('the joint asks, the machine gives at most its greatest output'),
})

/** @returns the welding current with which a weld is burnt on this supply, A */
export const weldingDrawnA = (supply: SupplyRating, wantedA: number, reckoner: Reckoner = UNTRACED): number =>
  reckoner.compute(weldingDrawn, { I_want: wantedA, I_max: supply.outputMaxA })

export const inputCurrent = calculation({
  id: 'input-current',
  title: 'Current drawn while the arc burns',
  symbol: 'I_1',
  unit: 'A',
  expression: 'U_2 * I_2 / w',
  inputs: {
    U_2: from(loadVoltage),
    I_2: input('welding current', 'A', computed('current needed'), 'wanted-current', 'welding-drawn'),
    w: arcWattsFrom,
  },
  compute: ({ U_2, I_2, w }) => (U_2 * I_2) / w,
  source: DRAW,
})

/** @returns supply current while the arc burns at this welding current, A */
export const inputCurrentA = (draw: Draw, currentA: number, reckoner: Reckoner = UNTRACED): number =>
  reckoner.compute(inputCurrent, {
    U_2: loadVoltageOf(draw.family, currentA, reckoner),
    I_2: currentA,
    w: draw.arcWattsPerA,
  })

const ratedInput = calculation({
  id: 'rated-input',
  title: 'Greatest supply current',
  symbol: 'I_1max',
  unit: 'A',
  expression: 'U_2 * I_2 / w',
  inputs: {
    U_2: from(loadVoltage),
    I_2: input('highest rated current', 'A', PLATE),
    w: arcWattsFrom,
  },
  compute: ({ U_2, I_2, w }) => (U_2 * I_2) / w,
  source: computed('from efficiency and power factor; the plate gives none'),
})
export const greatestInput = from(printedInput, kvaInput, ratedInput)

/** @returns the greatest current that the source draws: of the plate, or worked out for its highest rated current, A */
export function greatestInputA(supply: SupplyRating, draw: Draw, reckoner: Reckoner): number {
  const printed = plateInputA(supply, reckoner)
  if (printed !== null) return printed
  const I_2 = highestPoint(supply).currentA
  return reckoner.compute(ratedInput, {
    U_2: loadVoltageOf(draw.family, I_2, reckoner),
    I_2,
    w: draw.arcWattsPerA,
  })
}

export const effectiveInput = calculation({
  id: 'effective-input',
  title: 'Its heating over the worst ten minutes',
  symbol: 'I_1eff',
  unit: 'A',
  expression: 'sqrt(I_1^2 * X / 100 + I_0^2 * (1 - X / 100))',
  inputs: {
    I_1: from(inputCurrent),
    X: input(
      'duty of the worst ten minutes',
      '%',
      computed('duty of the job'),
      'job-duty',
      'capacity-duty',
      'capacity-limit-duty',
    ),
    I_0: from(idleCurrent),
  },
  compute: ({ I_1, X, I_0 }) => Math.sqrt((I_1 ** 2 * X) / 100 + I_0 ** 2 * (1 - X / 100)),
  source: EFFECTIVE,
})

/** @param dutyPct 0 to 100 @returns effective supply current, A: its heating over ten minutes */
export const effectiveInputA = (
  draw: Draw,
  currentA: number,
  dutyPct: number,
  reckoner: Reckoner = UNTRACED,
): number =>
  reckoner.compute(effectiveInput, {
    I_1: inputCurrentA(draw, currentA, reckoner),
    X: dutyPct,
    I_0: draw.idleA,
  })

/** The welding current I₂ with (U₀ + s·I₂)·I₂ = P. */
const currentAtPower = (U_0: number, s: number, watts: number): number =>
  (-U_0 + Math.sqrt(U_0 ** 2 + 4 * s * Math.max(0, watts))) / (2 * s)

/** Everything of a calculation that solves the load line for the current but its name, and what gives the current drawn. */
interface Solving {
  readonly id: string
  readonly title: string
  readonly symbol: string
  readonly I_1: ReturnType<typeof from>
  readonly source: Source
}
/** The welding current at which a source draws this much: the load line solved for it. */
export const weldingCurrentAt = ({ I_1, ...named }: Solving) =>
  calculation({
    ...named,
    unit: 'A',
    expression: '(-U_0 + sqrt(U_0^2 + 4 * s * w * I_1)) / (2 * s)',
    inputs: {
      U_0: input('base of the load line', 'V', LOAD_LINE_SOURCE),
      s: input('slope of the load line', 'V/A', LOAD_LINE_SOURCE),
      w: arcWattsFrom,
      I_1,
    },
    compute: ({ U_0, s, w, I_1: drawnA }) => currentAtPower(U_0, s, w * drawnA),
  })

/** @returns A, by a calculation that {@link weldingCurrentAt} made */
export function weldingCurrentA(
  solved: ReturnType<typeof weldingCurrentAt>,
  { family, arcWattsPerA }: Draw,
  inputA: number,
  reckoner: Reckoner = UNTRACED,
): number {
  const { baseV, voltsPerAmp } = LOAD_LINES[family]
  return reckoner.compute(solved, { U_0: baseV, s: voltsPerAmp, w: arcWattsPerA, I_1: inputA })
}

/** Least share of ten minutes that a job is taken to burn: below it a cable's limit has no meaning. */
const LEAST_DUTY_PCT = 0.1

const inputAtAmpacity = calculation({
  id: 'input-at-ampacity',
  title: 'Current drawn at which the cable is fully used',
  symbol: 'I_1',
  unit: 'A',
  expression: 'sqrt(max(0, A^2 - I_0^2 * (1 - X / 100)) / (X / 100))',
  inputs: {
    A: input('what the cable carries', 'A', computed('rule book')),
    I_0: from(idleCurrent),
    X: input(
      'duty of the worst ten minutes, at least 0.1 %',
      '%',
      computed('duty of the job'),
      'job-duty',
      'capacity-duty',
      'capacity-limit-duty',
    ),
  },
  compute: ({ A, I_0, X }) => Math.sqrt(Math.max(0, A ** 2 - I_0 ** 2 * (1 - X / 100)) / (X / 100)),
  source: EFFECTIVE,
})
export const currentByCable = weldingCurrentAt({
  id: 'current-by-cable',
  title: 'Welding current at which the cable is fully used',
  symbol: 'I_c',
  I_1: from(inputAtAmpacity),
  source: DRAW,
})

/**
 * The inverse of {@link effectiveInputA}: the welding current at which a cable is just fully used.
 * @param limitA what the cable carries, A
 * @returns A; 0 where idling alone is over the limit
 */
export function currentAtEffectiveInputA(
  draw: Draw,
  limitA: number,
  dutyPct: number,
  reckoner: Reckoner = UNTRACED,
): number {
  const X = Math.max(dutyPct, LEAST_DUTY_PCT)
  const I_1 = reckoner.compute(inputAtAmpacity, { A: limitA, I_0: draw.idleA, X })
  return weldingCurrentA(currentByCable, draw, I_1, reckoner)
}

export const currentAtInput = weldingCurrentAt({
  id: 'current-at-input',
  title: 'Welding current at which the breaker just holds',
  symbol: 'I_2',
  I_1: from(heldByBreaker),
  source: DRAW,
})

/**
 * The inverse of {@link inputCurrentA}: the welding current at which a source draws this much.
 * @returns A
 */
export const currentAtInputA = (draw: Draw, inputA: number, reckoner: Reckoner = UNTRACED): number =>
  weldingCurrentA(currentAtInput, draw, Math.max(0, inputA), reckoner)

export const breakerHeatCurrent = calculation({
  id: 'breaker-heat-current',
  title: 'Continuous equivalent current for the breaker',
  symbol: 'I_b',
  unit: 'A',
  expression: 'I_1 / k',
  inputs: { I_1: from(inputCurrent), k: from(breakerOverload) },
  compute: ({ I_1, k }) => I_1 / k,
  source: computed('thermal estimate of the breaker'),
})
