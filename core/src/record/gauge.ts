/** A cylinder read as what can still be used of it: by its gauge and the temperature, or, of CO₂, by its weight. */
import { parseQuantity } from '../quantity/parse.ts'
import { isNumberProblem, readNumber } from '../quantity/number.ts'
import type { Notation, UnitSystem } from '../quantity/units.ts'
import { isCo2 } from '../reference/gases.ts'
import { BAR_PER_PSI, CO2_L_PER_G, FILLED_AT_C, freePerL, type Shares } from '../trade/realGas.ts'

/** What is known of the cylinder: of its gas alone, or of this one. */
export interface Vessel extends Shares {
  readonly name: string
  /** Free gas in a full one, L. */
  readonly fullL: number
  /** Room in it, L; null or left out takes the gas record's `fullL`. */
  readonly waterL?: number | null
  readonly fullBar?: number | null
  readonly tareG?: number | null
}

/** What a full cylinder shows, bar: 2,200 psi, or 200 bar (common practice, no source). */
const FULL_BAR: Readonly<Record<UnitSystem, number>> = { imperial: 2200 * BAR_PER_PSI, metric: 200 }
/** In the sun a full one shows more than it was filled to. */
const WARM_FACTOR = 1.25
/** In which a gas is still a gas, and a gauge still read. */
const [COLDEST_C, HOTTEST_C] = [-30, 60]

export type GaugeRead =
  { readonly ok: true; readonly valueL: number } | { readonly ok: false; readonly message: string }
const refused = (message: string): GaugeRead => ({ ok: false, message })

const fullBarOf = ({ fullBar }: Vessel, system: UnitSystem): number => fullBar ?? FULL_BAR[system]

/** Free gas at what the gauge shows, L, down to an empty one. */
function heldL(vessel: Vessel, bar: number, temperatureC: number, system: UnitSystem): number {
  const perL = freePerL(vessel, bar, temperatureC) - freePerL(vessel, 0, temperatureC)
  if (typeof vessel.waterL === 'number') return perL * vessel.waterL
  const fullBar = fullBarOf(vessel, system)
  return (perL / (freePerL(vessel, fullBar, FILLED_AT_C) - freePerL(vessel, 0, FILLED_AT_C))) * vessel.fullL
}

/** @returns what a full one holds, L */
export const fullL = (vessel: Vessel, system: UnitSystem): number =>
  typeof vessel.waterL !== 'number' || isCo2(vessel)
    ? vessel.fullL
    : heldL(vessel, fullBarOf(vessel, system), FILLED_AT_C, system)

const READING = /^(.+?)\s*(psi|bar)(?:\s*(?:at|@)\s*([-−]?\s*[\d.,]+)\s*°?\s*([cf]))?$/i
const WEIGHT = /(?:kg|lbs?|lbm|pounds?|oz)$/i

function ofGauge(
  [, figure = '', unit, degrees, scale]: RegExpExecArray,
  vessel: Vessel,
  of: Reading,
): GaugeRead {
  const { notation, remainderBar } = of
  if (isCo2(vessel))
    return refused(
      'The gauge of CO₂ shows vapor pressure, not contents. Weigh the cylinder, for example 95 lb or 43 kg.',
    )
  const number = readNumber(figure, notation.locale)
  const perUnit = unit?.toLowerCase() === 'psi' ? BAR_PER_PSI : 1
  const bar = isNumberProblem(number) || number.rest !== '' ? Number.NaN : number.value * perUnit
  if (!(bar >= 0)) return refused('is no pressure of a cylinder. Enter for example 1200 psi or 80 bar')
  const fullBar = fullBarOf(vessel, notation.system)
  if (bar > fullBar * WARM_FACTOR) {
    const most =
      unit?.toLowerCase() === 'psi'
        ? `${Math.round(fullBar / BAR_PER_PSI)} psi`
        : `${Math.round(fullBar)} bar`
    return refused(
      `is above the pressure of this cylinder, ${most} when full. Read the high-pressure gauge again`,
    )
  }
  const sign = /^[-−]/.test(degrees ?? '') ? -1 : 1
  const asRead = degrees === undefined ? null : readNumber(degrees.replace(/^[-−]\s*/, ''), notation.locale)
  if (asRead !== null && (isNumberProblem(asRead) || asRead.rest !== ''))
    return refused('has no temperature. Enter for example 1200 psi at 40 F, or 80 bar at 5 C')
  const temperature = asRead === null || isNumberProblem(asRead) ? null : sign * asRead.value
  const temperatureC =
    temperature === null
      ? FILLED_AT_C
      : scale?.toLowerCase() === 'f'
        ? ((temperature - 32) * 5) / 9
        : temperature
  if (temperatureC < COLDEST_C || temperatureC > HOTTEST_C)
    return refused('has a temperature at which nobody welds. Enter the temperature of the cylinder')
  const left = (at: number): number => heldL(vessel, at, temperatureC, notation.system)
  return { ok: true, valueL: Math.max(0, left(bar) - left(remainderBar)) }
}

function ofWeight(text: string, vessel: Vessel, { notation }: Reading): GaugeRead {
  if (!isCo2(vessel))
    return refused('is a weight. Enter what the gauge shows, for example 1200 psi or 80 bar')
  if (typeof vessel.tareG !== 'number')
    return refused(
      'is a weight, and the empty weight is not recorded. Enter it from the shoulder of the cylinder',
    )
  const read = parseQuantity('mass', text, notation)
  if (!read.ok) return refused(read.problem.message)
  const heldG = read.value - vessel.tareG
  if (heldG < 0) return refused('is less than the cylinder weighs empty. Weigh it with its gas')
  const valueL = heldG * CO2_L_PER_G
  return valueL > vessel.fullL * WARM_FACTOR
    ? refused(`is more than a full cylinder of ${vessel.name} weighs. Check the empty weight`)
    : { ok: true, valueL }
}

export interface Reading {
  readonly notation: Notation
  /** What stays in it, bar: below this no regulator gives its flow. */
  readonly remainderBar: number
}

/**
 * Reads `60 ft³`, `1700 L`, `1200 psi`, `80 bar at 5 C`; of CO₂ `95 lb` on the scale.
 * @returns L of free gas that can be used, or what to enter
 * @example gaugeL('1100 psi', gas, { notation: imperial, remainderBar: 2 }) // about half of what a full one holds
 */
export function gaugeL(text: string, vessel: Vessel, of: Reading): GaugeRead {
  const written = text.trim()
  const reading = READING.exec(written)
  if (reading) return ofGauge(reading, vessel, of)
  if (WEIGHT.test(written)) return ofWeight(written, vessel, of)
  const read = parseQuantity('gasVolume', written, of.notation)
  if (!read.ok) return refused(read.problem.message)
  return read.value > fullL(vessel, of.notation.system) * WARM_FACTOR
    ? refused(
        `is more than a full cylinder of ${vessel.name} holds. Enter what the gauge shows, for example 1200 psi`,
      )
    : { ok: true, valueL: read.value }
}

const MOST_HALVES = 50
/**
 * What the gauge should show at 15 °C with so much usable gas in the cylinder: another reading is a leak, or a flow that was
 * not set.
 * @returns psi or bar, as the shop reads it; null for CO₂, whose gauge shows no contents
 */
export function expectedGauge(
  leftL: number,
  vessel: Vessel,
  { notation: { system }, remainderBar }: Reading,
): { readonly value: number; readonly unit: 'psi' | 'bar' } | null {
  if (isCo2(vessel)) return null
  const held = (bar: number): number => heldL(vessel, bar, FILLED_AT_C, system)
  const wanted = Math.max(0, leftL) + held(remainderBar)
  let [low, high] = [0, fullBarOf(vessel, system) * WARM_FACTOR]
  for (let step = 0; step < MOST_HALVES; step += 1) {
    const middle = (low + high) / 2
    if (held(middle) < wanted) low = middle
    else high = middle
  }
  return system === 'imperial'
    ? { value: Math.round(low / BAR_PER_PSI / 10) * 10, unit: 'psi' }
    : { value: Math.round(low), unit: 'bar' }
}
