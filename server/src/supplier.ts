/**
 * A supplier over the network. It may be slow, wrong or down: it is given a time limit, asked again, left alone for a while
 * after several failures, and never believed where it is nonsense. Without one of the shop's own a simulated one plays it.
 */
import { type SupplierStandIn, startSupplier } from '@brannik/stand-ins'
import {
  BrokenCircuitError,
  circuitBreaker,
  ConsecutiveBreaker,
  ExponentialBackoff,
  handleAll,
  retry,
  TaskCancelledError,
  timeout,
  TimeoutStrategy,
  wrap,
} from 'cockatiel'
import { z } from 'zod'

const TIME_LIMIT_MS = 1500
const TRIES_AGAIN = 2
const FIRST_PAUSE_MS = 100
/** Failures in a row after which it is left alone, and for how long. */
const [FAILURES, ALONE_MS] = [5, 20_000]
/** A package of any item costs less. */
const MOST_PRICE = 100_000

export interface AskedLine {
  readonly item: string
  readonly kind: 'wire' | 'gas' | 'tungsten' | 'part'
  readonly classification: string
  readonly diameterMm: number | null
  readonly packSize: number
}

export const pricedSchema = z
  .object({
    item: z.string(),
    price: z.number().positive('is not more than 0').max(MOST_PRICE, `is more than ${MOST_PRICE}`),
    currency: z.string().regex(/^[A-Z]{3}$/, 'is no currency'),
    inStock: z.int().min(0),
    leadDays: z.int().min(0).max(365),
    breakFrom: z.int().min(2).nullable(),
    breakPrice: z.number().positive().max(MOST_PRICE).nullable(),
  })
  .refine(
    ({ breakFrom, breakPrice }) => (breakFrom === null) === (breakPrice === null),
    'has half a price break',
  )
  .refine(
    ({ price, breakPrice }) => breakPrice === null || breakPrice < price,
    'has a price break that is dearer',
  )
export type Priced = z.infer<typeof pricedSchema>
const pricesSchema = z.object({ items: z.array(z.unknown()).max(500) })
export const takenSchema = z.object({ number: z.string().min(1).max(60), leadDays: z.int().min(0).max(365) })
export type OrderTaken = z.infer<typeof takenSchema>

export interface Prices {
  readonly items: readonly Priced[]
  /** What was answered and not believed, with why. */
  readonly refused: readonly { readonly item: string; readonly why: string }[]
}

/** Why there is no answer, in words for the screen. */
export class NoAnswer extends Error {}

export interface SupplierLine {
  /** Whether what answers is simulated. */
  readonly isStandIn: boolean
  /** @throws NoAnswer */
  prices(items: readonly AskedLine[], currency: string): Promise<Prices>
  /** An order sent again under its key is the same order. @throws NoAnswer */
  order(key: string, lines: readonly { readonly item: string; readonly packs: number }[]): Promise<OrderTaken>
  close(): Promise<void>
}

/** An answer that asking again does not make better. */
class Refused extends Error {}

const whyNot = (error: unknown): string =>
  error instanceof BrokenCircuitError
    ? 'The supplier has not answered several times. It is asked again in a few seconds.'
    : error instanceof TaskCancelledError
      ? 'The supplier did not answer in time.'
      : error instanceof Refused
        ? error.message
        : 'The supplier cannot be reached.'

/** Prices that can be so; another currency than the one asked for cannot be compared. */
function believed(answer: unknown, asked: readonly AskedLine[], currency: string): Prices {
  const read = pricesSchema.safeParse(answer)
  if (!read.success) throw new Refused('The supplier answered with something that is no price list.')
  const items: Priced[] = []
  const refused: { item: string; why: string }[] = []
  for (const one of read.data.items) {
    const priced = pricedSchema.safeParse(one)
    const item = String((one as { item?: unknown } | null)?.item ?? '')
    if (!asked.some((line) => line.item === item)) continue
    if (!priced.success) {
      const [issue] = priced.error.issues
      refused.push({ item, why: `${issue?.path.join('.') ?? ''} ${issue?.message ?? 'is wrong'}`.trim() })
    } else if (priced.data.currency !== currency)
      refused.push({ item, why: `is in ${priced.data.currency}, not in ${currency}` })
    else items.push(priced.data)
  }
  return { items, refused }
}

/** @param url of the shop's own supplier; null starts the stand-in when it is first asked */
export function supplierAt(
  url: string | null,
  standInOf: () => Promise<SupplierStandIn> = () => startSupplier(),
): SupplierLine {
  let standIn: Promise<SupplierStandIn> | null = null
  const breaker = circuitBreaker(handleAll, {
    halfOpenAfter: ALONE_MS,
    breaker: new ConsecutiveBreaker(FAILURES),
  })
  const again = retry(
    handleAll.orWhen((error) => !(error instanceof Refused)),
    { maxAttempts: TRIES_AGAIN, backoff: new ExponentialBackoff({ initialDelay: FIRST_PAUSE_MS }) },
  )
  const policy = wrap(again, breaker, timeout(TIME_LIMIT_MS, TimeoutStrategy.Aggressive))
  async function ask(path: string, body: object, headers: Record<string, string> = {}): Promise<unknown> {
    standIn ??= url === null ? standInOf() : null
    const address = url ?? (await standIn)?.url ?? ''
    try {
      return await policy.execute(async ({ signal }) => {
        const response = await fetch(new URL(path, `${address}/`), {
          method: 'POST',
          headers: { 'Content-Type': 'application/json', ...headers },
          body: JSON.stringify(body),
          signal,
        })
        if (!response.ok) throw new Error(`status ${response.status}`)
        return (await response.json()) as unknown
      })
    } catch (error) {
      throw new NoAnswer(whyNot(error))
    }
  }
  return {
    isStandIn: url === null,
    async prices(items, currency) {
      try {
        return believed(await ask('prices', { items }), items, currency)
      } catch (error) {
        throw error instanceof Refused ? new NoAnswer(error.message) : error
      }
    },
    async order(key, lines) {
      const read = takenSchema.safeParse(await ask('orders', { lines }, { 'Idempotency-Key': key }))
      if (!read.success) throw new NoAnswer('The supplier answered without an order number.')
      return read.data
    },
    async close() {
      await (await standIn)?.close()
    },
  }
}
