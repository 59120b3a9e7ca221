/** From what a job costs to what is asked for it. */

export interface Pricing {
  /** Rent, light, the office: on the cost, %. */
  readonly overheadPct: number
  /** Of the price, %: at 20 % a fifth of the price stays. */
  readonly marginPct: number
  /** In the shop's currency. */
  readonly minimumCharge: number
  readonly deliveryCharge: number
}
export interface Price {
  readonly overheadCents: number
  readonly marginCents: number
  /** Added where the rest is below the minimum charge. */
  readonly toMinimumCents: number
  readonly deliveryCents: number
  readonly totalCents: number
}

const CENTS = 100
/** @returns the parts of a price; with the cost they add up to its total, to the cent */
export function priceOf(
  costCents: number,
  { overheadPct, marginPct, minimumCharge, deliveryCharge }: Pricing,
): Price {
  const overheadCents = Math.round((costCents * overheadPct) / 100)
  const base = costCents + overheadCents
  const marginCents = Math.round(base / (1 - marginPct / 100)) - base
  const toMinimumCents = Math.max(0, Math.round(minimumCharge * CENTS) - base - marginCents)
  const deliveryCents = Math.round(deliveryCharge * CENTS)
  return {
    overheadCents,
    marginCents,
    toMinimumCents,
    deliveryCents,
    totalCents: base + marginCents + toMinimumCents + deliveryCents,
  }
}
