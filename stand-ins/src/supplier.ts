/**
 * A small service that plays a supplier over HTTP: prices, stock, lead time, orders. It has a temper: at times it is slow,
 * wrong or down, or takes an order and does not answer. `GET /openapi.json` describes it.
 */
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http'
import { randomLcg } from 'd3-random'
import { SUPPLIER_API } from './supplierApi.ts'
import { type AskedItem, priceOf } from './supplierPrices.ts'

/** What may happen to a request; shares of 1. */
export interface Temper {
  readonly slow: number
  readonly wrong: number
  readonly down: number
  /** Of orders: taken, and the answer lost. */
  readonly lost: number
}
export const CALM: Temper = { slow: 0, wrong: 0, down: 0, lost: 0 }
export const MOODY: Temper = { slow: 0.08, wrong: 0.05, down: 0.1, lost: 0.1 }

interface Settings {
  readonly seed?: number
  readonly temper?: Temper
  /** How long a slow answer takes. */
  readonly slowMs?: number
  readonly currency?: string
}
export interface SupplierStandIn {
  readonly url: string
  /** Orders that it has taken, by the asker's key. */
  readonly orders: ReadonlyMap<string, { readonly number: string; readonly lines: readonly unknown[] }>
  /** Changes its temper: tests play one at a time. */
  setTemper(temper: Temper): void
  close(): Promise<void>
}

const MOST_BODY = 200_000
async function bodyOf(request: IncomingMessage): Promise<unknown> {
  let text = ''
  for await (const piece of request) {
    text += String(piece)
    if (text.length > MOST_BODY) throw new RangeError('too long')
  }
  return JSON.parse(text)
}
function send(response: ServerResponse, status: number, body: unknown): void {
  response.writeHead(status, { 'Content-Type': 'application/json' }).end(JSON.stringify(body))
}
const isAsked = (one: unknown): one is AskedItem =>
  typeof one === 'object' && one !== null && 'item' in one && 'kind' in one && 'packSize' in one

/** Nonsense as a tired clerk types it. */
const spoiled = (price: number, chance: () => number): object =>
  chance() < 0.5 ? { price: -price } : { currency: 'XXX' }

/** Starts the supplier on a free port of this machine. */
export function startSupplier({
  seed = 11,
  temper: begin = MOODY,
  slowMs = 8000,
  currency = 'USD',
}: Settings = {}): Promise<SupplierStandIn> {
  let temper = begin
  const chance = randomLcg(seed / 1000)
  const orders = new Map<string, { readonly number: string; readonly lines: readonly unknown[] }>()
  const today = (): string => new Date().toISOString().slice(0, 10)

  function prices(body: unknown, response: ServerResponse): void {
    const items = (body as { items?: unknown }).items
    if (!Array.isArray(items) || !items.every(isAsked)) {
      send(response, 422, { title: 'items must be a list of what is asked for' })
      return
    }
    const isWrong = chance() < temper.wrong
    send(response, 200, {
      items: items.map((one) => {
        const priced = priceOf(one, { seed, day: today(), currency })
        return isWrong ? { ...priced, ...spoiled(priced.price, chance) } : priced
      }),
    })
  }
  /** An order is known by the key of who sends it: sent again it is the same order. */
  function order(
    body: unknown,
    key: string | undefined,
    request: IncomingMessage,
    response: ServerResponse,
  ): void {
    const lines = (body as { lines?: unknown }).lines
    if (!key || !Array.isArray(lines) || lines.length === 0) {
      send(response, 422, { title: 'an order needs an Idempotency-Key and lines' })
      return
    }
    const known = orders.get(key)
    const taken = known ?? { number: `S-${1000 + orders.size + 1}`, lines }
    orders.set(key, taken)
    if (chance() < temper.lost) {
      request.socket.destroy()
      return
    }
    send(response, known ? 200 : 201, { number: taken.number, leadDays: 3 })
  }
  async function answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
    if (chance() < temper.down) {
      send(response, 503, { title: 'Down for a moment' })
      return
    }
    if (chance() < temper.slow) await new Promise((resolve) => setTimeout(resolve, slowMs).unref())
    const path = new URL(request.url ?? '/', 'http://supplier').pathname
    if (request.method === 'GET' && path === '/openapi.json') {
      send(response, 200, SUPPLIER_API)
      return
    }
    const key = request.headers['idempotency-key']
    if (request.method === 'POST' && path === '/prices') prices(await bodyOf(request), response)
    else if (request.method === 'POST' && path === '/orders')
      order(await bodyOf(request), typeof key === 'string' ? key : undefined, request, response)
    else send(response, 404, { title: 'No such path' })
  }

  const server = createServer((request, response) => {
    answer(request, response).catch(() => {
      send(response, 400, { title: 'This cannot be read' })
    })
  })
  return new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(0, '127.0.0.1', () => {
      const address = server.address()
      const port = typeof address === 'object' && address !== null ? address.port : 0
      resolve({
        url: `http://127.0.0.1:${port}`,
        orders,
        setTemper: (next) => {
          temper = next
        },
        close: () =>
          new Promise((closed) => {
            server.close(() => {
              closed()
            })
            server.closeAllConnections()
          }),
      })
    })
  })
}
