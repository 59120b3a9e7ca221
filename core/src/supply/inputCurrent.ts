/** Current that a power source draws from its circuit, and back: the welding current that a draw allows. */
import type { Assume } from '../assumptions/assume.ts'
import type { Circuit, PowerSource, SupplyRating } from '../model/equipment.ts'
import { computed, dataPlate, standard } from '../model/source.ts'
import { type Step, term, type Term } from '../model/working.ts'
import { LOAD_LINES, type ProcessFamily } from '../reference/processes.ts'
import { loadVoltage, loadVoltageStep } from '../trade/arcVoltage.ts'

const DRAW = standard('IEC 60974-1, rated supply current; I₁ = P / U₁', true)
const EFFECTIVE = standard('IEC 60974-1, effective supply current I₁eff', true)

/** Factor of the line current: √3 with three phases. */
export const rootPhases = (phases: 1 | 3): number => (phases === 3 ? Math.sqrt(3) : 1)

/** The greatest supply current as the plate gives it, or from its kVA; null where it has neither. */
export function plateI1Max({ i1MaxA, inputKva, voltageV, phases }: SupplyRating): Term | null {
  if (i1MaxA !== null) return term('I₁max', 'greatest supply current', i1MaxA, 'A', dataPlate())
  if (inputKva === null || voltageV === null) return null
  const currentA = (inputKva * 1000) / (voltageV * rootPhases(phases))
  return term('I₁max', `${inputKva} kVA at ${voltageV} V`, currentA, 'A', dataPlate('data plate, kVA / U₁'))
}

/** How one source draws on one circuit. */
export interface Draw {
  readonly family: ProcessFamily
  /** Arc watts delivered for each ampere drawn: η·PF·U₁ (·√3 with three phases). */
  readonly arcWattsPerA: number
  readonly idleA: number
  readonly terms: readonly Term[]
  readonly formula: string
}

/**
 * From the plate's I₁max where it gives one: it belongs to the highest rated current, and efficiency and power
 * factor are taken as the same below it. Otherwise from efficiency and power factor, plate's or assumed.
 */
export function drawOf(
  source: PowerSource,
  supply: SupplyRating,
  circuit: Circuit,
  family: ProcessFamily,
  assume: Assume,
): Draw {
  const root = rootPhases(circuit.phases)
  const powerFactor = source.powerFactor ?? assume.value('powerFactor')
  const idleA = (source.idleW ?? assume.value('idleW')) / (circuit.voltageV * root * powerFactor)
  const i1Max = plateI1Max(supply)
  if (i1Max !== null) {
    const rated = supply.ratedPoints.reduce((most, next) => (next.currentA > most.currentA ? next : most))
    const ratedV = rated.loadV ?? loadVoltage(family, rated.currentA)
    return {
      family,
      arcWattsPerA: (ratedV * rated.currentA) / Number(i1Max.value),
      idleA,
      formula: 'I₁ = I₁max · (U₂·I₂) / (U₂r·I₂r)',
      terms: [
        i1Max,
        term('I₂r', 'highest rated current', rated.currentA, 'A', dataPlate()),
        term(
          'U₂r',
          'load voltage there',
          ratedV,
          'V',
          rated.loadV === null ? computed('conventional load voltage') : dataPlate(),
        ),
      ],
    }
  }
  const efficiency: Term =
    source.efficiencyPct === null
      ? assume.term('efficiencyPct', 'η')
      : term('η', 'efficiency', source.efficiencyPct, '%', dataPlate())
  const factor: Term =
    source.powerFactor === null
      ? assume.term('powerFactor', 'PF')
      : term('PF', 'power factor', source.powerFactor, '', dataPlate())
  return {
    family,
    arcWattsPerA: (Number(efficiency.value) / 100) * powerFactor * circuit.voltageV * root,
    idleA,
    formula: circuit.phases === 3 ? 'I₁ = U₂·I₂ / (η·PF·U₁·√3)' : 'I₁ = U₂·I₂ / (η·PF·U₁)',
    terms: [efficiency, factor, term('U₁', 'supply voltage', circuit.voltageV, 'V', dataPlate('circuit'))],
  }
}

/** @returns supply current while the arc burns at this welding current, A */
export const inputCurrentA = (draw: Draw, currentA: number): number =>
  (loadVoltage(draw.family, currentA) * currentA) / draw.arcWattsPerA

/**
 * The inverse of {@link inputCurrentA}: the welding current at which a source draws this much.
 * @returns A
 */
export function currentAtInputA(draw: Draw, inputA: number): number {
  const arcW = Math.max(0, inputA) * draw.arcWattsPerA
  const { baseV, voltsPerAmp } = LOAD_LINES[draw.family]
  return (-baseV + Math.sqrt(baseV ** 2 + 4 * voltsPerAmp * arcW)) / (2 * voltsPerAmp)
}

/** @param dutyPct 0 to 100 @returns effective supply current, A: its heating over ten minutes */
export function effectiveInputA(draw: Draw, currentA: number, dutyPct: number): number {
  const share = dutyPct / 100
  return Math.sqrt(inputCurrentA(draw, currentA) ** 2 * share + draw.idleA ** 2 * (1 - share))
}

/**
 * The inverse of {@link effectiveInputA}: the welding current at which a circuit is just fully used.
 * @param limitA what the circuit carries, A
 * @returns A; 0 where idling alone is over the limit
 */
export function currentAtEffectiveInputA(draw: Draw, limitA: number, dutyPct: number): number {
  const share = Math.max(dutyPct, 0.1) / 100
  const square = (limitA ** 2 - draw.idleA ** 2 * (1 - share)) / share
  if (square <= 0) return 0
  return currentAtInputA(draw, Math.sqrt(square))
}

/** The working of {@link inputCurrentA}. */
export function inputSteps(draw: Draw, currentA: number): Step[] {
  const input = inputCurrentA(draw, currentA)
  const arcV = loadVoltage(draw.family, currentA)
  return [
    loadVoltageStep(draw.family, currentA),
    {
      says: 'Current drawn while the arc burns',
      formula: draw.formula,
      terms: [
        term('U₂', 'load voltage', arcV, 'V', computed()),
        term('I₂', 'welding current', currentA, 'A', computed('current wanted')),
        ...draw.terms,
      ],
      result: { symbol: 'I₁', value: input, unit: 'A' },
      source: DRAW,
    },
  ]
}

/** The working of {@link effectiveInputA}. */
export function effectiveInputSteps(draw: Draw, currentA: number, dutyPct: number): Step[] {
  const input = inputCurrentA(draw, currentA)
  return [
    ...inputSteps(draw, currentA),
    {
      says: 'Its heating over the worst ten minutes',
      formula: 'I₁eff = √(I₁²·X + I₀²·(1 − X))',
      terms: [
        term('I₁', 'current drawn', input, 'A', computed()),
        term('X', 'duty of the worst ten minutes', dutyPct, '%', computed('duty of the job')),
        term('I₀', 'current drawn idling', draw.idleA, 'A', dataPlate('plate or assumption')),
      ],
      result: { symbol: 'I₁eff', value: effectiveInputA(draw, currentA, dutyPct), unit: 'A' },
      source: EFFECTIVE,
    },
  ]
}
