/**
 * For tests of the stores: a server of jobs in memory, as the page meets it. Requests and answers wait until the test
 * lets them through, in any order, or loses them; what was written, and by whom, is kept version by version.
 */
import { vi } from 'vitest'

export interface Job {
  readonly id: string
  readonly name: string
  readonly note: string
  readonly quantity: number
}
export type Author = 'page' | 'other'
interface Version {
  readonly version: number
  /** null: it was deleted. */
  readonly record: Job | null
  readonly by: Author
}
interface Logged {
  readonly id: string
  readonly version: number
}
interface Waiting {
  readonly method: string
  /** What the server does and answers; it is done once. */
  readonly process: () => Response
  readonly resolve: (response: Response) => void
  readonly reject: (error: Error) => void
  answer: Response | null
}

const ME = {
  who: 'this machine',
  role: 'owner',
  via: 'this machine',
  needsSignIn: false,
  needsLink: false,
  hasOwner: false,
  may: '',
}

const problem = (status: number, extra: object = {}): Response =>
  Response.json({ detail: `told ${status}`, ...extra }, { status })
const epochOf = (shop: number): string => `e${shop}`.padStart(12, '0')

export class ShopServer {
  /** Versions of the shop that it holds now. */
  history = new Map<string, Version[]>()
  /** Those that it held before, the first one first. */
  readonly before: (typeof this.history)[] = []
  readonly waiting: Waiting[] = []
  isDown = false
  /** Who is signed in in this browser; null: nobody. */
  account: string | null = 'this-machine'
  /** Every write that came to be, with the account that it was stored as and the shop, counted from the first. */
  readonly stored: { readonly account: string | null; readonly shop: number; readonly record: Job | null }[] =
    []
  private readonly answers = new Map<string, { readonly status: number; readonly body: string }>()
  private log: Logged[] = []
  private logged = 0
  private forgotten = 0
  private streams: Stream[] = []

  constructor(jobs: readonly Job[]) {
    for (const job of jobs) this.write(job.id, job, 'other')
  }

  now = (id: string): Version | null => this.history.get(id)?.at(-1) ?? null
  record = (id: string): Job | null => this.now(id)?.record ?? null

  write(id: string, record: Job | null, by: Author): number {
    const version = (this.now(id)?.version ?? 0) + 1
    this.history.set(id, [...(this.history.get(id) ?? []), { version, record, by }])
    this.log.push({ id, version: record ? version : 0 })
    this.logged += 1
    for (const stream of this.streams) stream.queue.push({ type: 'change', data: this.log.at(-1) ?? {} })
    return version
  }

  private get epoch(): string {
    return epochOf(this.before.length)
  }
  private get position(): string {
    return `${this.epoch}.${this.logged}`
  }
  /** A backup is put back, or another shop begun: other records under the same names, versions and all. */
  replace(jobs: readonly Job[]): void {
    this.before.push(this.history)
    this.history = new Map(jobs.map((record) => [record.id, [{ version: 1, record, by: 'other' as const }]]))
    this.answers.clear()
    this.log = []
    for (const stream of this.streams) stream.queue.push({ type: 'another', data: { epoch: this.epoch } })
  }

  /** What was logged so far is forgotten: who comes with an older position is told that all is lost. */
  forget(): void {
    this.forgotten = this.logged
    this.log = []
  }

  connect(stream: Stream, since: string | null): void {
    this.streams.push(stream)
    const [epoch, number] = since?.split('.') ?? []
    const position = Number(number ?? Number.NaN)
    if (epoch !== undefined && epoch !== this.epoch)
      stream.queue.push({ type: 'another', data: { epoch: this.epoch } })
    else if (position >= this.forgotten)
      for (const data of this.log.slice(position - this.forgotten))
        stream.queue.push({ type: 'change', data })
    else stream.queue.push({ type: 'lost', data: {} })
    stream.queue.push({ type: 'position', data: {}, id: this.position })
  }
  beat(): void {
    for (const stream of this.streams) stream.queue.push({ type: 'position', data: {}, id: this.position })
  }
  /** Every stream ends, as after its time is over. */
  cut(): void {
    for (const stream of this.streams) stream.cut()
    this.streams = []
  }
  deliverEvents(): void {
    for (const stream of [...this.streams]) stream.deliver()
  }

  private answer(method: string, path: string, init: RequestInit): Response {
    const answer = this.plainAnswer(method, path, init)
    if (answer.ok && path !== 'me' && !path.startsWith('history'))
      answer.headers.set('ETag', `"${this.epoch}.1"`)
    return answer
  }

  private plainAnswer(method: string, path: string, init: RequestInit): Response {
    const [name = '', id = '', number] = path.split('?')[0]?.split('/') ?? []
    if (method === 'GET') {
      if (path === 'me')
        return Response.json({
          ...ME,
          account: this.account,
          role: this.account === null ? null : 'owner',
          writes: ['jobs'],
        })
      if (this.account === null) return problem(401)
      if (path === 'shop') return Response.json({ version: 1, record: { id: 'shop', name: 'Shop' } })
      if (path === 'changes/position') return Response.json({ epoch: this.epoch, position: this.position })
      if (name === 'history') {
        const found = this.history
          .get(path.split('/')[2] ?? '')
          ?.find((one) => `${one.version}` === path.split('/')[3])
        return found?.record ? Response.json(found) : problem(404)
      }
      if (name !== 'jobs') return Response.json({ items: [], next: null })
      if (id !== '' && number === undefined) {
        const now = this.now(id)
        return now?.record ? Response.json({ version: now.version, record: now.record }) : problem(404)
      }
      const items = [...this.history.values()].flatMap((versions) => {
        const last = versions.at(-1)
        return last?.record ? [{ version: last.version, record: last.record }] : []
      })
      return Response.json({ items, next: null })
    }
    const headers = init.headers as Record<string, string>
    const match = headers['If-Match']
    if (this.account === null) return problem(401)
    if (headers['Shop-Account'] !== this.account) return problem(403, { outcome: 'another-account' })
    if (headers['Shop-Epoch'] !== this.epoch || (match !== undefined && !match.startsWith(`"${this.epoch}.`)))
      return problem(412, { outcome: 'another-shop', epoch: this.epoch })
    const key = `${headers['Idempotency-Key']} ${match ?? ''}`
    const before = this.answers.get(key)
    if (before) return new Response(before.status === 204 ? null : before.body, { status: before.status })
    const record = init.body ? (JSON.parse(`${init.body as string}`) as Job) : null
    const of = record?.id ?? id
    const has = this.now(of)
    if (method === 'POST' && has?.record) return problem(409)
    if (method !== 'POST' && !has?.record) return problem(404)
    if (method !== 'POST' && match !== `"${this.epoch}.${has?.version ?? 0}"`) return problem(412)
    const version = this.write(of, record, 'page')
    this.stored.push({ account: this.account, shop: this.before.length, record })
    const status = method === 'DELETE' ? 204 : 200
    this.answers.set(key, { status, body: JSON.stringify({ version, record }) })
    return status === 204 ? new Response(null, { status }) : Response.json({ version, record })
  }

  /** In the place of the browser’s `fetch` and `EventSource`. */
  install(): void {
    vi.stubGlobal('fetch', (address: string, init: RequestInit = {}) => {
      const path = address.replace('/api/', '')
      const method = init.method ?? 'GET'
      return new Promise<Response>((resolve, reject) => {
        const process = (): Response => this.answer(method, path, init)
        this.waiting.push({ method, process, resolve, reject, answer: null })
      })
    })
    const connect = (stream: Stream, since: string | null): boolean => {
      if (!this.isDown) this.connect(stream, since)
      return !this.isDown
    }
    vi.stubGlobal(
      'EventSource',
      class extends Stream {
        constructor(address: string) {
          super(address, connect)
        }
      },
    )
  }

  /** The server does what it is asked; nobody has heard the answer yet. */
  process(at: number): void {
    const one = this.waiting[at % Math.max(1, this.waiting.length)]
    if (one && !this.isDown) one.answer ??= one.process()
  }
  /** The answer arrives, or that there is none. */
  deliver(at: number): void {
    const [one] = this.waiting.splice(at % Math.max(1, this.waiting.length), 1)
    if (!one) return
    if (one.answer === null && this.isDown) one.reject(new TypeError('down'))
    else one.resolve(one.answer ?? one.process())
  }
  /** The answer is lost on the way, or the request was. */
  lose(at: number): void {
    const [one] = this.waiting.splice(at % Math.max(1, this.waiting.length), 1)
    one?.reject(new TypeError('lost'))
  }
}

interface Event_ {
  readonly type: string
  readonly data: object
  readonly id?: string
}

/** As a browser has it: cut, it comes again by itself with the last position that it heard. */
export class Stream extends EventTarget {
  static readonly CLOSED = 2
  readyState = 0
  queue: Event_[] = []
  private lastId: string | null
  private isClosed = false
  private readonly connect: (stream: Stream, since: string | null) => boolean

  constructor(address: string, connect: (stream: Stream, since: string | null) => boolean) {
    super()
    this.connect = connect
    this.lastId = new URLSearchParams(address.split('?')[1]).get('since')
    this.reconnect(0)
  }

  private reconnect(ms: number): void {
    setTimeout(() => {
      if (this.isClosed) return
      if (this.connect(this, this.lastId)) {
        this.readyState = 1
        this.dispatchEvent(new Event('open'))
      } else this.reconnect(1500)
    }, ms)
  }
  cut(): void {
    this.queue = []
    this.readyState = 0
    this.dispatchEvent(new Event('error'))
    this.reconnect(1500)
  }
  close(): void {
    this.isClosed = true
    this.readyState = 2
  }
  deliver(): void {
    for (const { type, data, id } of this.queue.splice(0)) {
      if (this.isClosed) return
      if (id !== undefined) this.lastId = id
      const message = { data: JSON.stringify({ path: 'jobs', ...data }), lastEventId: this.lastId ?? '' }
      this.dispatchEvent(Object.assign(new Event(type), message))
    }
  }
}
