/**
 * Whatever comes in whichever order – keys, saves, late and lost answers, another tab, a stream that ends, no server, a
 * reload – nothing that was typed or acknowledged is lost, and nobody is asked about a conflict that is none.
 */
import fc from 'fast-check'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { runs } from '../../../core/src/testing/runs.ts'
import { type Job, ShopServer } from '../testing/shopServer.ts'
import { useTyping } from './typing.ts'
import { useWorkspace } from './workspace.ts'

const IDS = ['a', 'b', 'c'] as const
type Id = (typeof IDS)[number]
const FIELDS = ['name', 'note'] as const
type Field = (typeof FIELDS)[number]

const job = (id: string): Job => ({ id, name: `${id} at first`, note: `${id} noted`, quantity: 1 })

/** What the test knows of what was done. */
interface Book {
  /** By record and field: the values that were typed here, and those that the page had shown until then. */
  readonly typed: Map<string, { readonly value: string; readonly seen: ReadonlySet<string> }[]>
  /** What was typed last in a record that is not deleted here since. */
  readonly current: Map<string, string>
  readonly shown: Map<string, Set<string>>
  /** The stored version that an edit began from, by record. */
  readonly began: Map<string, number>
  /** Fields and records of which the owner was asked, and decided. */
  readonly decided: Set<string>
  /** A step of an edit: values are told apart by it. */
  step: number
}

class World {
  readonly server = new ShopServer([job('a'), job('b')])
  readonly book: Book = {
    typed: new Map(),
    current: new Map(),
    shown: new Map(),
    began: new Map(),
    decided: new Set(),
    step: 0,
  }
  workspace = useWorkspace()
  typing = useTyping()
  private readonly field = Symbol('field')
  /** Typed in a field that is not left yet. */
  private readonly held = new Set<Id>()

  async open(): Promise<void> {
    setActivePinia(createPinia())
    this.workspace = useWorkspace()
    this.typing = useTyping()
    const loaded = this.workspace.load()
    for (let round = 0; round < 20 && this.workspace.state === 'loading'; round += 1) {
      await this.settle()
      while (this.server.waiting.length > 0) this.server.deliver(0)
      await this.settle()
    }
    await loaded
    this.look()
  }
  settle = (ms = 0): Promise<unknown> => vi.advanceTimersByTimeAsync(ms)

  shown(id: Id): Job | null {
    return this.workspace.get('jobs', id) as unknown as Job | null
  }
  /** Notes what the page shows, and that what it asks is worth a question. */
  look(): void {
    for (const id of IDS) {
      const record = this.shown(id)
      for (const field of FIELDS) {
        const place = `${id}.${field}`
        const seen = this.book.shown.get(place) ?? new Set()
        if (record) seen.add(record[field])
        this.book.shown.set(place, seen)
      }
    }
    for (const [key, entry] of this.workspace.saves) {
      if (entry.state !== 'conflict') continue
      const id = key.split('/')[1] as Id
      const began = this.book.began.get(id) ?? 0
      const others = (this.server.history.get(id) ?? []).filter(
        ({ by, version }) => by === 'other' && version > began,
      )
      expect(others.length, `a question about ${id} that nobody else has changed since`).toBeGreaterThan(0)
      const since = (this.server.history.get(id) ?? []).filter(({ version }) => version >= began)
      // Of two that were made anew under one name, every difference is a question.
      const isAnew = began === 0 || since.some(({ record }) => record === null)
      for (const { path } of entry.clashes) {
        const field = path[0] as Field
        const isChanged = others.some(({ record }) => record?.[field] !== since[0]?.record?.[field])
        expect(isAnew || isChanged, `a question about ${field} of ${id}, which nobody else has changed`).toBe(
          true,
        )
        this.book.decided.add(`${id}.${field}`)
      }
      if (entry.clashes.length === 0) this.book.decided.add(id)
    }
  }
  edit(id: Id, change: (record: Job | null) => Job | null): void {
    if (!this.workspace.saves.has(`jobs/${id}`) && !this.held.has(id)) {
      const now = this.shown(id)
      const same = (this.server.history.get(id) ?? []).findLast(
        ({ record }) => JSON.stringify(record) === JSON.stringify(now),
      )
      this.book.began.set(id, same?.version ?? 0)
    }
    if (this.typing.isOpen) this.held.add(id)
    this.workspace.edit('jobs', id, change(this.shown(id)) as never, `edit ${(this.book.step += 1)}`)
  }
  /** @returns a value that nobody else types */
  private typed(id: Id, field: Field): string {
    const place = `${id}.${field}`
    const value = `here ${(this.book.step += 1)}`
    const seen = new Set(this.book.shown.get(place))
    this.book.typed.set(place, [...(this.book.typed.get(place) ?? []), { value, seen }])
    this.book.current.set(place, value)
    return value
  }
  type(id: Id, field: Field): void {
    if (this.shown(id)) this.edit(id, (record) => record && { ...record, [field]: this.typed(id, field) })
  }
  make(id: Id): void {
    if (this.shown(id)) return
    this.edit(id, () => ({ ...job(id), name: this.typed(id, 'name'), note: this.typed(id, 'note') }))
  }
  delete(id: Id): void {
    if (!this.shown(id)) return
    this.edit(id, () => null)
    // What was typed in it is deleted with it.
    for (const field of FIELDS) this.book.current.delete(`${id}.${field}`)
  }
  enter = (): void => this.typing.enter(this.field)
  leave(): void {
    this.typing.leave(this.field)
    this.held.clear()
  }

  other(id: Id, field: Field): void {
    const record = this.server.record(id)
    const value = `elsewhere ${(this.book.step += 1)}`
    this.server.write(id, { ...(record ?? job(id)), [field]: value }, 'other')
  }

  async reload(): Promise<void> {
    window.dispatchEvent(new Event('pagehide'))
    this.held.clear()
    // The page is gone with all that it waited for.
    vi.clearAllTimers()
    this.server.cut()
    vi.clearAllTimers()
    this.server.waiting.length = 0
    const { isDown } = this.server
    this.server.isDown = false
    await this.open()
    this.server.isDown = isDown
  }

  /** The server answers, nobody types any more, and every question is answered with what is here. */
  async rest(): Promise<void> {
    this.leave()
    this.server.isDown = false
    let quiet = 0
    // The longest wait before something is tried again is half a minute.
    for (let round = 0; round < 40 && quiet < 7; round += 1) {
      quiet = this.workspace.saves.size === 0 && this.server.waiting.length === 0 ? quiet + 1 : 0
      this.server.deliverEvents()
      while (this.server.waiting.length > 0) {
        this.server.deliver(0)
        await this.settle()
      }
      await this.settle(5000)
      this.look()
      for (const [key, { state }] of [...this.workspace.saves])
        if (state === 'conflict') this.workspace.overwriteStored(key)
    }
  }

  check(): void {
    expect([...this.workspace.saves.keys()], 'edits that are never stored').toEqual([])
    for (const id of IDS) {
      expect(this.shown(id), `${id} as the page shows it`).toEqual(this.server.record(id))
      const versions = this.server.history.get(id) ?? []
      for (const field of FIELDS) {
        const place = `${id}.${field}`
        const typed = this.book.typed.get(place) ?? []
        const isAsked = this.book.decided.has(place) || this.book.decided.has(id)
        // What was typed last is there, or was there until somebody else changed or deleted it.
        const last = this.book.current.get(place)
        if (last && !isAsked && this.server.record(id))
          expect(versions.map(({ record }) => record?.[field])).toContain(last)
        versions.forEach(({ by, record }, index) => {
          const before = versions[index - 1]?.record
          if (by !== 'page' || !before || !record || before[field] === record[field] || isAsked) return
          const own = typed.find(({ value }) => value === record[field])
          expect(own, `${place} was set back to ${record[field]}`).toBeDefined()
          // What another tab wrote is only replaced by whoever has seen it.
          if (before[field].startsWith('elsewhere')) expect([...(own?.seen ?? [])]).toContain(before[field])
        })
      }
    }
  }
}

type Step = (world: World) => Promise<void> | void
const id = fc.constantFrom(...IDS)
const field = fc.constantFrom(...FIELDS)
const at = fc.nat(5)

class Command implements fc.AsyncCommand<object, World> {
  readonly label: string
  readonly step: Step
  constructor(label: string, step: Step) {
    this.label = label
    this.step = step
  }
  check = (): boolean => true
  async run(_model: object, world: World): Promise<void> {
    await this.step(world)
    await world.settle()
    world.look()
  }
  toString = (): string => this.label
}
const plain = (label: string, step: Step) => fc.constant(new Command(label, step))
const withPlace = (label: string, step: (world: World, id: Id, field: Field) => void) =>
  fc.tuple(id, field).map(([one, name]) => new Command(`${label} ${one}.${name}`, (w) => step(w, one, name)))
const withTurn = (label: string, step: (world: World, at: number) => void) =>
  at.map((turn) => new Command(`${label} ${turn}`, (w) => step(w, turn)))

const COMMANDS = [
  withPlace('type', (w, one, name) => w.type(one, name)),
  withPlace('other tab', (w, one, name) => w.other(one, name)),
  withTurn('server does', (w, turn) => w.server.process(turn)),
  withTurn('answer', (w, turn) => w.server.deliver(turn)),
  withTurn('lost', (w, turn) => w.server.lose(turn)),
  fc
    .constantFrom(100, 600, 3000)
    .map((ms) => new Command(`wait ${ms}`, async (w) => void (await w.settle(ms)))),
  id.map((one) => new Command(`new ${one}`, (w) => w.make(one))),
  id.map((one) => new Command(`delete ${one}`, (w) => w.delete(one))),
  id.map(
    (one) =>
      new Command(`other deletes ${one}`, (w) => {
        if (w.server.record(one)) w.server.write(one, null, 'other')
      }),
  ),
  plain('enter field', (w) => w.enter()),
  plain('leave field', (w) => w.leave()),
  plain('events', (w) => w.server.deliverEvents()),
  plain('beat', (w) => w.server.beat()),
  plain('stream ends', (w) => w.server.cut()),
  plain('log forgotten', (w) => w.server.forget()),
  plain('server down', (w) => {
    w.server.isDown = true
    w.server.cut()
  }),
  plain('server up', (w) => void (w.server.isDown = false)),
  plain('reload', (w) => w.reload()),
]

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.clearAllTimers()
  vi.useRealTimers()
})

it('loses nothing that was typed or stored, and asks about no conflict that is none', async () => {
  await fc.assert(
    fc.asyncProperty(fc.commands(COMMANDS, { maxCommands: 40, size: '+1' }), async (commands) => {
      vi.clearAllTimers()
      localStorage.clear()
      sessionStorage.clear()
      setActivePinia(createPinia())
      const world = new World()
      world.server.install()
      await world.open()
      await fc.asyncModelRun(() => ({ model: {}, real: world }), commands)
      await world.rest()
      world.check()
    }),
    { numRuns: runs(80) },
  )
}, 1_200_000)
