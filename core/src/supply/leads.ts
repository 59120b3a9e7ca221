/** Welding leads: what they carry, the volts that they eat, and the current that is lost at the arc for it. */
import { computed, dataPlate, standard } from '../basis/source.ts'
import { calculation, from, input } from '../calculation/calculation.ts'
import { type Reckoner, UNTRACED } from '../calculation/reckoner.ts'
import type { ProcessFamily } from '../model/process.ts'
import { LOAD_LINE_SOURCE, LOAD_LINES } from '../reference/processes.ts'
import type { UnitSystem } from '../quantity/units.ts'
import { readConductor } from './conductor.ts'
import { weldingDrawn } from './inputCurrent.ts'

/** Both leads together: out through one and back through the other. */
export interface Lead {
  readonly size: string
  readonly lengthMm: number
}

const TABLE = standard('IEC 60245-6 and HD 516, welding cable H01N2-D in air of 30 °C', true)
/** Cross-section, mm², with what a single welding cable carries without end, A. */
const LEAD_A: readonly (readonly [areaMm2: number, currentA: number])[] = [
  [10, 100],
  [16, 135],
  [25, 180],
  [35, 225],
  [50, 285],
  [70, 355],
  [95, 430],
  [120, 500],
]
/** Sizes that leads come in where a shop measures so. */
const AWG_SIZES = ['6 AWG', '4 AWG', '3 AWG', '2 AWG', '1 AWG', '1/0 AWG', '2/0 AWG', '3/0 AWG', '4/0 AWG']
/** @returns sizes that leads come in where a shop measures so, the thinnest first */
export const leadSizesIn = (system: UnitSystem): readonly string[] =>
  system === 'imperial' ? AWG_SIZES : LEAD_A.map(([areaMm2]) => `${areaMm2} mm²`)

/** Thinner and thicker than the table has them no leads are sold. */
function areaMm2Of(size: string): number | null {
  const areaMm2 = readConductor(size)?.areaMm2 ?? null
  const [least, most] = [LEAD_A[0]?.[0] ?? 0, LEAD_A.at(-1)?.[0] ?? 0]
  return areaMm2 !== null && areaMm2 >= least && areaMm2 <= most ? areaMm2 : null
}

/**
 * Between two rows straight in the logarithms, as the table itself runs.
 * @returns A at 100 %; null for a size that welding leads do not come in
 * @example leadCarriesA('35 mm²') // 225
 */
export function leadCarriesA(size: string): number | null {
  const area = areaMm2Of(size)
  if (area === null) return null
  const above = LEAD_A.findIndex(([areaMm2]) => areaMm2 >= area)
  const [highMm2, highA] = LEAD_A[above] ?? [area, 0]
  const [lowMm2, lowA] = LEAD_A[above - 1] ?? [highMm2, highA]
  const share = highMm2 === lowMm2 ? 1 : Math.log(area / lowMm2) / Math.log(highMm2 / lowMm2)
  return lowA * (highA / lowA) ** share
}
export const LEAD_SOURCE = TABLE

/** Copper, warm: Ω·mm²/km (IEC 60228: 17.24 at 20 °C, a fifth more at 70 °C). */
const COPPER_WARM_OHM_MM2_PER_KM = 17.24 * 1.2

const leadResistance = calculation({
  id: 'lead-resistance',
  title: 'Resistance of the leads',
  symbol: 'R_l',
  unit: 'Ω',
  expression: 'c / A * L / 1000000',
  inputs: {
    c: input('copper, warm', 'Ω·mm²/km', standard('IEC 60228, at 70 °C', true)),
    A: input('cross-section', 'mm²', standard('ASTM B258, IEC 60228', true)),
    L: input('both leads together', 'mm length', dataPlate('set-up')),
  },
  compute: ({ c, A, L }) => ((c / A) * L) / 1_000_000,
  source: computed('length and cross-section'),
})
export const leadVolts = calculation({
  id: 'lead-volts',
  title: 'Voltage drop in the leads',
  symbol: 'U_l',
  unit: 'V',
  expression: 'R_l * I_2',
  inputs: { R_l: from(leadResistance), I_2: from(weldingDrawn) },
  compute: ({ R_l, I_2 }) => R_l * I_2,
  source: computed('Ohm'),
})
export const lostAtArc = calculation({
  id: 'current-lost-in-leads',
  title: 'Current lost at the arc for the same power',
  symbol: 'I_lost',
  unit: 'A',
  expression: 'I_2 - (-U_0 + sqrt(U_0^2 + 4 * (s + R_l) * (U_0 + s * I_2) * I_2)) / (2 * (s + R_l))',
  inputs: {
    I_2: from(weldingDrawn),
    U_0: input('base of the load line', 'V', LOAD_LINE_SOURCE),
    s: input('slope of the load line', 'V/A', LOAD_LINE_SOURCE),
    R_l: input('resistance of leads or clamp', 'Ω', computed(), leadResistance.id, 'clamp-resistance'),
  },
  compute: ({ I_2, U_0, s, R_l }) =>
    I_2 - (-U_0 + Math.sqrt(U_0 ** 2 + 4 * (s + R_l) * (U_0 + s * I_2) * I_2)) / (2 * (s + R_l)),
  source: computed('the power source gives what it gave; the leads take their share of it'),
})

/**
 * @param resistanceOhm of leads, or of a clamp
 * @returns A that the arc burns with less, where the power source gives what it gave
 */
export function lostAtArcA(
  resistanceOhm: number,
  family: ProcessFamily,
  currentA: number,
  reckoner: Reckoner = UNTRACED,
): number {
  const { baseV, voltsPerAmp } = LOAD_LINES[family]
  return reckoner.compute(lostAtArc, { I_2: currentA, U_0: baseV, s: voltsPerAmp, R_l: resistanceOhm })
}

/**
 * @param currentA welding current, A
 * @returns volts and amps that are lost; null for a size that welding leads do not come in
 */
export function lostInLeads(
  { size, lengthMm }: Lead,
  family: ProcessFamily,
  currentA: number,
  reckoner: Reckoner = UNTRACED,
): { readonly volts: number; readonly amps: number } | null {
  const area = areaMm2Of(size)
  if (area === null) return null
  const R_l = reckoner.compute(leadResistance, { c: COPPER_WARM_OHM_MM2_PER_KM, A: area, L: lengthMm })
  return {
    volts: reckoner.compute(leadVolts, { R_l, I_2: currentA }),
    amps: lostAtArcA(R_l, family, currentA, reckoner),
  }
}
