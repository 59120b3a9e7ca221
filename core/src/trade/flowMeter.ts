/** A flow meter reads true for the gas that its scale is for; on another the reading is corrected. */
import type { Gas, ScaleGas } from '../kinds/equipment.ts'
import { handbook } from '../basis/source.ts'
import { calculation, input } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'

/** Molar masses, g/mol (IUPAC standard atomic weights, rounded). */
const MOLAR_G = { argon: 39.95, co2: 44.01, oxygen: 32.0, helium: 4.003, air: 28.96 } as const
const AR_CO2_25_SHARE = 0.25

/** Specific gravity against air of what a scale is for. */
export const SCALE_GRAVITY: Readonly<Record<ScaleGas, number>> = {
  argon: MOLAR_G.argon / MOLAR_G.air,
  co2: MOLAR_G.co2 / MOLAR_G.air,
  helium: MOLAR_G.helium / MOLAR_G.air,
  'ar-co2-25': (MOLAR_G.argon * (1 - AR_CO2_25_SHARE) + MOLAR_G.co2 * AR_CO2_25_SHARE) / MOLAR_G.air,
}
/** @returns specific gravity of a gas mixture against air: its mean molar mass over air's */
export const gasGravity = (gas: Pick<Gas, 'argonPct' | 'co2Pct' | 'oxygenPct' | 'heliumPct'>): number =>
  (gas.argonPct * MOLAR_G.argon +
    gas.co2Pct * MOLAR_G.co2 +
    gas.oxygenPct * MOLAR_G.oxygen +
    gas.heliumPct * MOLAR_G.helium) /
  100 /
  MOLAR_G.air

/** Of several scales the one that needs least correction. */
export const nearestScale = (scales: readonly ScaleGas[], gravity: number): ScaleGas | undefined =>
  [...scales].sort(
    (a, b) => Math.abs(Math.log(SCALE_GRAVITY[a] / gravity)) - Math.abs(Math.log(SCALE_GRAVITY[b] / gravity)),
  )[0]

const METERS = handbook('variable-area flow meters: Q = Q_read · √(SG_scale / SG_gas)')

/** What one unit read on a scale truly is. */
export const scaleTruth = calculation({
  id: 'flow-scale',
  title: 'True flow for each unit read',
  symbol: 'k',
  unit: '×',
  expression: 'sqrt(G_s / G_g)',
  inputs: {
    G_s: input('specific gravity of what the scale is for', '', METERS),
    G_g: input('specific gravity of the gas', '', METERS),
  },
  compute: ({ G_s, G_g }) => Math.sqrt(G_s / G_g),
  source: METERS,
})

/** @returns what one unit read on the scale truly is: √(SG of the scale / SG of the gas) */
export const scaleFactor = (scale: ScaleGas, gas: Gas, reckoner: Reckoner): number =>
  reckoner.compute(scaleTruth, { G_s: SCALE_GRAVITY[scale], G_g: gasGravity(gas) })
