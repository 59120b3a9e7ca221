/** Price, stock and lead time of invented goods, by classification and size: the same for the same seed, item and day. */
import { randomLcg } from 'd3-random'

/** What is asked for: one package of an item. */
export interface AskedItem {
  /** The asker's own name for it. */
  readonly item: string
  readonly kind: 'wire' | 'gas' | 'tungsten' | 'part'
  /** AWS, ISO 14175 or ISO 6848; of a part what it is. */
  readonly classification: string
  readonly diameterMm: number | null
  /** g, L or pieces in one package. */
  readonly packSize: number
}
export interface PricedItem {
  readonly item: string
  readonly price: number
  readonly currency: string
  /** Packages in stock. */
  readonly inStock: number
  readonly leadDays: number
  readonly breakFrom: number | null
  readonly breakPrice: number | null
}

/** For a gram, a liter, a piece: invented. */
const PER_UNIT = { wire: 0.0085, gas: 0.016, tungsten: 4.2, part: 6 } as const
const DEAR = /^ER[3-5]|^E3|He|WTh|316|5356|4043/i
const DEAR_FACTOR = 3.2
/** Thin wire costs more to draw. */
const THIN_MM = 0.9
const MOST_IN_STOCK = 12
const MOST_LEAD_DAYS = 9
const BREAK_AT = 6
const BREAK_SHARE = 0.92

const hashOf = (text: string): number => {
  let hash = 2_166_136_261
  for (const letter of text) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 16_777_619)
  return (hash >>> 0) / 2 ** 32
}
const cents = (amount: number): number => Math.round(amount * 100) / 100

/** @returns the price of an item on a day, which wanders by a few percent from day to day */
export function priceOf(
  asked: AskedItem,
  { seed, day, currency }: { seed: number; day: string; currency: string },
): PricedItem {
  const { item, kind, classification, diameterMm, packSize } = asked
  const own = hashOf(`${seed} ${kind} ${classification} ${diameterMm ?? ''} ${Math.round(packSize)}`)
  const chance = randomLcg(hashOf(`${seed} ${item} ${day}`))
  const dear = DEAR.test(classification) ? DEAR_FACTOR : 1
  const thin = diameterMm !== null && diameterMm < THIN_MM ? 1.15 : 1
  const price = cents(PER_UNIT[kind] * packSize * dear * thin * (0.85 + 0.3 * own) * (0.98 + 0.04 * chance()))
  const isStocked = own < 0.85
  return {
    item,
    price,
    currency,
    inStock: isStocked ? 1 + Math.floor(chance() * MOST_IN_STOCK) : 0,
    leadDays: isStocked ? 1 + Math.floor(own * 4) : 4 + Math.floor(own * MOST_LEAD_DAYS),
    breakFrom: kind === 'wire' ? BREAK_AT : null,
    breakPrice: kind === 'wire' ? cents(price * BREAK_SHARE) : null,
  }
}
