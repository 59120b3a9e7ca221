/**
 * What filler, gas and small parts typically cost where the shop has not entered a price: a range, and the upper end counts when a
 * purchase is chosen. Common practice, no source; in dollars or euros, and times the shop's own factor in another currency.
 */
import type { Gas, PartKind, Wire } from '../kinds/equipment.ts'
import type { Metal } from '../model/material.ts'

export interface PriceRange {
  readonly low: number
  readonly high: number
}

/** By kg, small packages and large. */
const BARE: Readonly<Record<Metal, PriceRange>> = {
  'carbon-steel': { low: 4, high: 14 },
  stainless: { low: 15, high: 35 },
  aluminium: { low: 12, high: 40 },
}
const FLUXED: Readonly<Record<Metal, PriceRange>> = {
  'carbon-steel': { low: 6, high: 18 },
  stainless: { low: 20, high: 50 },
  aluminium: { low: 30, high: 80 },
}

/** By m³ of free gas. */
const GASES = {
  argonPct: { low: 12, high: 30 },
  co2Pct: { low: 4, high: 12 },
  oxygenPct: { low: 4, high: 12 },
  heliumPct: { low: 50, high: 150 },
} as const satisfies Partial<Record<keyof Gas, PriceRange>>

const G_PER_KG = 1000
const L_PER_M3 = 1000

/** @returns the price of a gram */
export function typicalFillerPrice({ metal, form }: Pick<Wire, 'metal' | 'form'>): PriceRange {
  const { low, high } = (form === 'solid' || form === 'rod' ? BARE : FLUXED)[metal]
  return { low: low / G_PER_KG, high: high / G_PER_KG }
}

/**
 * @returns the price of a litre, by what is in it
 * @example typicalGasPrice({ argonPct: 75, co2Pct: 25, oxygenPct: 0, heliumPct: 0 }).high // 0.0255
 */
export function typicalGasPrice(gas: Pick<Gas, keyof typeof GASES>): PriceRange {
  const parts = Object.entries(GASES) as [keyof typeof GASES, PriceRange][]
  const sum = (end: keyof PriceRange): number =>
    parts.reduce((total, [part, range]) => total + (gas[part] / 100) * range[end], 0) / L_PER_M3
  return { low: sum('low'), high: sum('high') }
}

/** Each, of the generic kind: for guns and feeders of a workshop. */
const PARTS: Readonly<Record<PartKind, PriceRange>> = {
  'drive-roll': { low: 15, high: 60 },
  liner: { low: 15, high: 80 },
  'contact-tip': { low: 1, high: 6 },
  nozzle: { low: 8, high: 35 },
  collet: { low: 2, high: 10 },
  'collet-body': { low: 4, high: 25 },
  cup: { low: 2, high: 20 },
  'back-cap': { low: 3, high: 15 },
  'flow-meter': { low: 40, high: 180 },
}

/** @returns the price of a small part of its kind */
export const typicalPartPrice = (kind: PartKind): PriceRange => PARTS[kind]
