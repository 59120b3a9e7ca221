/** What to order, from whom and by when: whole packages for what planned jobs lack, with something to spare. */
import { stockId } from '../kinds/counts.ts'
import type { PriceOffer } from '../kinds/offer.ts'
import { OFFERED } from '../kinds/offer.ts'
import type { Order } from '../kinds/order.ts'
import type { Supplier } from '../kinds/supplier.ts'
import { dayNumber, daysAfter } from '../model/days.ts'
import type { RunOut } from './runOut.ts'

/** Prices move: an older one is asked for again (common practice, no source). */
export const OLD_PRICE_DAYS = 90
const CENTS = 100
const SLACK = 1e-6

export interface ToOrderLine {
  readonly run: RunOut
  readonly packs: number
  /** Null where nobody has given a price. */
  readonly priceEach: number | null
  readonly currency: string
  readonly offer: PriceOffer | null
  /** Of the price; null where the record of the item has it, without a day. */
  readonly priceAgeDays: number | null
  readonly leadDays: number | null
  /** By when the first job needs it; null where no job with a day does. */
  readonly neededBy: string | null
  /** The last day to order; null where nobody knows when it is needed, or how long it takes. */
  readonly orderBy: string | null
  /** It would come after it is needed, even if it were ordered today. */
  readonly isLate: boolean
  /** More than needed, because so many are cheaper together. */
  readonly isForBreak: boolean
}
export interface ToOrder {
  readonly supplier: Supplier | null
  readonly currency: string
  readonly lines: readonly ToOrderLine[]
  /** In cents; what has no price is not in it. */
  readonly goodsCents: number
  readonly deliveryCents: number
  readonly totalCents: number
}

const totalCents = (each: number, packs: number): number => Math.round(each * CENTS) * packs

/** @returns how many to take and what each is, where more together cost less than what is needed */
export function byBreak(
  { price, breakFrom, breakPrice }: Pick<PriceOffer, 'price' | 'breakFrom' | 'breakPrice'>,
  packs: number,
): { readonly packs: number; readonly priceEach: number } {
  if (breakFrom === null || breakPrice === null) return { packs, priceEach: price }
  if (packs >= breakFrom) return { packs, priceEach: breakPrice }
  return totalCents(breakPrice, breakFrom) <= totalCents(price, packs)
    ? { packs: breakFrom, priceEach: breakPrice }
    : { packs, priceEach: price }
}

/** @returns the count that an offer is for */
export function offeredItem(offer: PriceOffer): string | null {
  const found = Object.entries(OFFERED).find(([key]) => offer[key as keyof typeof OFFERED] !== null)
  return found ? stockId(found[1], offer[found[0] as keyof typeof OFFERED] ?? '') : null
}

export interface Buying {
  readonly offers: readonly PriceOffer[]
  readonly suppliers: readonly Supplier[]
  /** The shop's own. */
  readonly currency: string
  /** Of what planned jobs need, %: kept above it. */
  readonly safetyPct: number
  /** ISO 8601. */
  readonly today: string
}

/** So much is to be there after all planned jobs. */
const safetyOf = ({ needed }: RunOut, { safetyPct }: Buying): number => (needed * safetyPct) / 100

/** @returns whole packages that bring what is lacking and the safety stock; 0 where it is there, or not counted */
export function packsOf(run: RunOut, buying: Buying): number {
  if (run.leftAtEnd === null) return 0
  const lacking = safetyOf(run, buying) - run.leftAtEnd
  return lacking <= SLACK ? 0 : Math.ceil(lacking / run.packSize - SLACK)
}

function lineOf(run: RunOut, packs: number, buying: Buying): ToOrderLine {
  const { currency, today } = buying
  const neededBy = run.endsAt?.dueOn ?? null
  const withOffer = (offer: PriceOffer): ToOrderLine => {
    const supplier = buying.suppliers.find(({ id }) => id === offer.supplierId)
    const leadDays = offer.leadDays ?? supplier?.leadDays ?? null
    const taken = byBreak(offer, packs)
    return {
      run,
      ...taken,
      currency: offer.currency,
      offer,
      priceAgeDays: dayNumber(today) - dayNumber(offer.pricedOn),
      leadDays,
      neededBy,
      orderBy: neededBy === null || leadDays === null ? null : daysAfter(neededBy, -leadDays),
      isLate: neededBy !== null && leadDays !== null && daysAfter(today, leadDays) > neededBy,
      isForBreak: taken.packs > packs,
    }
  }
  const offered = buying.offers.filter((offer) => offeredItem(offer) === run.id).map(withOffer)
  const cost = ({ priceEach, packs: many }: ToOrderLine): number => totalCents(priceEach ?? 0, many)
  // In time before late, then in the shop's own money, then cheap.
  const [best] = offered.toSorted(
    (a, b) =>
      Number(a.isLate) - Number(b.isLate) ||
      Number(a.currency !== currency) - Number(b.currency !== currency) ||
      (a.isLate ? (a.leadDays ?? 0) - (b.leadDays ?? 0) : 0) ||
      cost(a) - cost(b) ||
      (a.offer?.id ?? '').localeCompare(b.offer?.id ?? ''),
  )
  return (
    best ?? {
      run,
      packs,
      priceEach: run.packPrice,
      currency,
      offer: null,
      priceAgeDays: null,
      leadDays: null,
      neededBy,
      orderBy: null,
      isLate: false,
      isForBreak: false,
    }
  )
}

function deliveryCentsOf(supplier: Supplier | null, goodsCents: number): number {
  if (!supplier || supplier.deliveryCost === null) return 0
  const isFree = supplier.freeFrom !== null && goodsCents >= Math.round(supplier.freeFrom * CENTS)
  return isFree ? 0 : Math.round(supplier.deliveryCost * CENTS)
}

/**
 * @param runs what planned jobs lack after what is ordered already
 * @returns one list a supplier and currency, what is needed first first; what nobody sells is last
 */
export function toOrder(runs: readonly RunOut[], buying: Buying): readonly ToOrder[] {
  const lines = runs.flatMap((run) => {
    const packs = packsOf(run, buying)
    return packs === 0 ? [] : [lineOf(run, packs, buying)]
  })
  const groups = new Map<string, ToOrderLine[]>()
  for (const line of lines) {
    const key = `${line.offer?.supplierId ?? ''} ${line.currency}`
    groups.set(key, [...(groups.get(key) ?? []), line])
  }
  return [...groups.values()]
    .map((group): ToOrder => {
      const [first] = group
      const supplier = buying.suppliers.find(({ id }) => id === first?.offer?.supplierId) ?? null
      const goodsCents = group.reduce(
        (sum, { priceEach, packs }) => sum + totalCents(priceEach ?? 0, packs),
        0,
      )
      const deliveryCents = deliveryCentsOf(supplier, goodsCents)
      return {
        supplier,
        currency: first?.currency ?? buying.currency,
        lines: group.toSorted((a, b) => (a.neededBy ?? '9999').localeCompare(b.neededBy ?? '9999')),
        goodsCents,
        deliveryCents,
        totalCents: goodsCents + deliveryCents,
      }
    })
    .toSorted(
      (a, b) =>
        Number(a.supplier === null) - Number(b.supplier === null) ||
        (a.supplier?.name ?? '').localeCompare(b.supplier?.name ?? ''),
    )
}

/** @returns an order as it is placed with a supplier; its id is made by who places it */
export const orderOf = (
  { supplier, currency, lines, deliveryCents }: ToOrder,
  { id, name, today }: { readonly id: string; readonly name: string; readonly today: string },
): Order => {
  const lead = Math.max(0, ...lines.map(({ leadDays }) => leadDays ?? 0))
  return {
    id,
    name,
    supplierId: supplier?.id ?? 'none',
    supplierName: supplier?.name ?? 'No supplier',
    state: 'placed',
    orderedOn: today,
    expectedOn: lines.some(({ leadDays }) => leadDays !== null) ? daysAfter(today, lead) : null,
    currency,
    deliveryCost: deliveryCents / CENTS,
    lines: lines.map(({ run, packs, priceEach }) => ({
      item: run.id,
      name: run.name,
      packs,
      packSize: run.packSize,
      priceEach,
      receivedPacks: 0,
    })),
    confirmation: null,
    note: '',
  }
}
