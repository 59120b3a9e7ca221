/** Volts that are lost on the way to the machine: the feeders, the branch circuit, and an extension cord. */
import { computed, dataPlate } from '../basis/source.ts'
import { calculation, from, input, listOf } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Circuit, Panel } from '../kinds/equipment.ts'
import { rootPhases } from './inputCurrent.ts'
import { inputCurrent } from './inputCurrent.ts'
import type { RuleBook } from './ruleBook.ts'

const TABLE = computed('rule book')
const wayResistance = calculation({
  id: 'way-resistance',
  title: 'Resistance there and back',
  symbol: 'R',
  unit: 'Ω',
  expression: 'g * (ρ_1 * L_1 + ρ_2 * L_2) / 1000000',
  inputs: {
    g: input('2 there and back, √3 with three phases', '', computed('phases of the circuit')),
    ρ_1: input('cable', 'Ω/km', TABLE),
    L_1: input('its length', 'mm length', dataPlate('circuit')),
    ρ_2: input('extension cord', 'Ω/km', TABLE),
    L_2: input('its length; 0 for none', 'mm length', dataPlate('set-up')),
  },
  compute: ({ g, ρ_1, L_1, ρ_2, L_2 }) => (g * (ρ_1 * L_1 + ρ_2 * L_2)) / 1_000_000,
  source: computed('length and resistance; reactance of such cables is small beside it'),
})

/** With feeders above: what this machine alone draws through them. Others there take more, and that is not in it. */
const wayThroughFeeders = calculation({
  id: 'way-resistance-with-feeders',
  title: 'Resistance there and back, feeders and all',
  symbol: 'R',
  unit: 'Ω',
  expression: 'R_b + g * dot(ρ, L) / 1000000',
  inputs: {
    R_b: from(wayResistance),
    g: input('2 there and back, √3 with three phases', '', computed('phases of the circuit')),
    ρ: listOf('cable of each feeder', 'Ω/km', TABLE),
    L: listOf('its length', 'mm length', dataPlate('panel')),
  },
  compute: ({ R_b, g, ρ, L }) =>
    R_b + (g * ρ.reduce((sum, one, index) => sum + one * (L[index] ?? 0), 0)) / 1_000_000,
  source: computed('length and resistance; reactance of such cables is small beside it'),
})

/** A power source takes its power whatever volts arrive: with fewer volts it draws more, and more are lost. */
export const voltsAtMachine = calculation({
  id: 'volts-at-machine',
  title: 'Volts at the machine while the arc burns',
  symbol: 'U_m',
  unit: 'V',
  expression: '(U_1 + sqrt(max(0, U_1^2 - 4 * R * I_1 * U_1))) / 2',
  inputs: {
    U_1: input('volts at the panel', 'V', dataPlate('circuit')),
    R: from(wayResistance, wayThroughFeeders),
    I_1: from(inputCurrent),
  },
  compute: ({ U_1, R, I_1 }) => (U_1 + Math.sqrt(Math.max(0, U_1 ** 2 - 4 * R * I_1 * U_1))) / 2,
  source: computed('Ohm, with the same power at fewer volts'),
})

/** An extension cord; null for none. */
export interface Cord {
  readonly size: string
  readonly lengthMm: number
}

/** What lies between the supplier, or the generator, and the machine. */
export interface Way {
  readonly circuit: Circuit
  /** Whether the circuit's cable is on the way: of a generator's outlet it is a hand's breadth. */
  readonly hasCable: boolean
  readonly supplyPanels: readonly Panel[]
  readonly cord: Cord | null
}

/**
 * @param inputA what the machine draws where no volts are lost, A
 * @returns V; null for a cable or a cord that the rule book does not have; feeders of which it has none are passed over
 * @example voltsAtMachineV(rules, { circuit, hasCable: true, feeders: [], cord: { size: '14 AWG', lengthMm: 15_240 } }, 20, r) // 115 of 120 V
 */
export function voltsAtMachineV(
  rules: RuleBook,
  { circuit, hasCable, supplyPanels, cord }: Way,
  inputA: number,
  reckoner: Reckoner,
): number | null {
  const cable = hasCable
    ? rules.ohmPerKm(circuit.conductorSize, circuit.metal)
    : { value: 0, source: dataPlate('generator') }
  const extension = cord && rules.ohmPerKm(cord.size, 'flexible')
  if (!cable || (cord && !extension)) return null
  const g = circuit.phases === 3 ? rootPhases(3) : 2
  const given = {
    g,
    ρ_1: cable.value,
    L_1: circuit.lengthMm,
    ρ_2: extension?.value ?? 0,
    L_2: cord?.lengthMm ?? 0,
  }
  const R = reckoner.compute(wayResistance, given, () => ({
    ρ_1: { name: circuit.conductorSize, source: cable.source },
    ...(cord && extension ? { ρ_2: { name: cord.size, source: extension.source } } : {}),
  }))
  const above = supplyPanels.flatMap(({ conductorSize, metal, lengthMm }) => {
    const ohms = rules.ohmPerKm(conductorSize, metal)
    return ohms ? [{ ohms: ohms.value, lengthMm }] : []
  })
  const R_all =
    above.length === 0
      ? R
      : reckoner.compute(wayThroughFeeders, {
          R_b: R,
          g,
          ρ: above.map(({ ohms }) => ohms),
          L: above.map(({ lengthMm }) => lengthMm),
        })
  return reckoner.compute(voltsAtMachine, { U_1: circuit.voltageV, R: R_all, I_1: inputA })
}
