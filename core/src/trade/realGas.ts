/**
 * How far a compressed gas is from an ideal one: the equation of Redlich and Kwong (1949) with its mixing rule, from the
 * critical points of the pure gases. A welding mix at 200 bar holds up to a fifth more than an ideal gas would.
 */
import type { Gas } from '../kinds/equipment.ts'

const R = 8.314_462_618
export const BAR_PER_PSI = 0.068_947_57
const PA_PER_BAR = 1e5
/** A gauge reads from the pressure of the air up. */
const AIR_BAR = 1.013_25
/** At which a cylinder is filled, and free gas is measured: 15 °C and 1.013 bar (ISO 13443). */
export const FILLED_AT_C = 15
const KELVIN = 273.15

/** Critical temperature, K, and pressure, Pa (NIST Chemistry WebBook, from memory). */
const CRITICAL = {
  argonPct: [150.687, 4.863e6],
  co2Pct: [304.128, 7.3773e6],
  oxygenPct: [154.581, 5.043e6],
  heliumPct: [5.1953, 0.227_46e6],
} as const
export type Shares = Pick<Gas, keyof typeof CRITICAL>
const PARTS = Object.keys(CRITICAL) as readonly (keyof typeof CRITICAL)[]

/** The attraction and the room of a mole of the mix, at K. */
function constantsOf(gas: Shares, temperatureK: number): readonly [a: number, b: number] {
  let root = 0
  let b = 0
  for (const part of PARTS) {
    const share = gas[part] / 100
    const [criticalK, criticalPa] = CRITICAL[part]
    root += share * Math.sqrt((0.427_48 * R * R * criticalK ** 2.5) / criticalPa / Math.sqrt(temperatureK))
    b += (share * 0.086_64 * R * criticalK) / criticalPa
  }
  return [root * root, b]
}

const MOST_STEPS = 60
/**
 * @param bar absolute
 * @param temperatureC above the dew point of the mix
 * @returns Z = p·V / (n·R·T); 1 for an ideal gas
 * @example compressibility(argon, 201, 15) // 0.94
 */
export function compressibility(gas: Shares, bar: number, temperatureC: number): number {
  const T = temperatureC + KELVIN
  const [a, b] = constantsOf(gas, T)
  const A = (a * bar * PA_PER_BAR) / (R * T) ** 2
  const B = (b * bar * PA_PER_BAR) / (R * T)
  let z = 1
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const value = z ** 3 - z * z + (A - B - B * B) * z - A * B
    const next = z - value / (3 * z * z - 2 * z + (A - B - B * B))
    if (Math.abs(next - z) < 1e-10) return next
    z = next
  }
  return z
}

/** So much free gas is in each L of room, at what the gauge shows. */
export function freePerL(gas: Shares, gaugeBar: number, temperatureC: number): number {
  const bar = gaugeBar + AIR_BAR
  const cold = (FILLED_AT_C + KELVIN) / (temperatureC + KELVIN)
  return ((bar / AIR_BAR) * cold) / compressibility(gas, bar, temperatureC)
}

/** CO₂ is bought by weight: free gas of a gram at 15 °C and 1.013 bar, L. */
const CO2_G_PER_MOL = 44.01
export const CO2_L_PER_G = (R * (FILLED_AT_C + KELVIN)) / (AIR_BAR * PA_PER_BAR) / (CO2_G_PER_MOL / 1000)
