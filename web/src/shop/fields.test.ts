/** Fields that are being typed in, records that are not whole yet, and pages that hear of changes together. */
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Asked } from './hub.worker.ts'
import { hearChanges } from './live.ts'
import type { Told } from './stream.ts'
import { useTyping } from './typing.ts'
import { createUndo } from './undo.ts'
import { useUnfinished } from './unfinished.ts'

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
})

describe('a field that is being typed in', () => {
  const [name, note] = [Symbol('name'), Symbol('note')]
  it('puts off what is to be done until it is left, of several for one thing the last', () => {
    const typing = useTyping()
    const done: string[] = []
    typing.whenLeft('save', () => done.push('at once'))
    expect([done, typing.isOpen]).toEqual([['at once'], false])
    typing.enter(name)
    expect(typing.isOpen).toBe(true)
    for (const text of ['a', 'ab', 'abc']) typing.whenLeft('save', () => done.push(text))
    typing.whenLeft('keep', () => done.push('kept'))
    expect(done).toEqual(['at once'])
    typing.leave(note)
    expect(done).toEqual(['at once'])
    typing.leave(name)
    expect(done).toEqual(['at once', 'abc', 'kept'])
    typing.leave(name)
    expect(done).toHaveLength(3)
    expect(typing.isOpen).toBe(false)
  })
  it('is left by entering the next, and by closing the page', () => {
    const typing = useTyping()
    const done: string[] = []
    typing.enter(name)
    const first = typing.stretch
    typing.whenLeft('save', () => done.push('name'))
    typing.enter(name)
    expect([typing.stretch, done]).toEqual([first, []])
    typing.enter(note)
    expect([typing.stretch, done]).toEqual([first + 1, ['name']])
    typing.whenLeft('save', () => done.push('note'))
    window.dispatchEvent(new Event('pagehide'))
    expect(done).toEqual(['name', 'note'])
    window.dispatchEvent(new Event('pagehide'))
    expect(done).toHaveLength(2)
  })
})

describe('a record that is not whole yet', () => {
  it('stays in the browser by its kind and id until it is whole or thrown away', () => {
    const unfinished = useUnfinished()
    unfinished.keep('guns', 'new-gun', { name: 'Half a gun' })
    unfinished.keep('wires', 'new-wire', { name: 'Half a wire' })
    expect(unfinished.get('guns', 'new-gun')).toEqual({ name: 'Half a gun' })
    expect(unfinished.get('guns', 'new-wire')).toBeNull()
    expect(unfinished.of('guns')).toEqual([{ id: 'new-gun', record: { name: 'Half a gun' } }])
    setActivePinia(createPinia())
    const again = useUnfinished()
    expect(again.of('wires')).toEqual([{ id: 'new-wire', record: { name: 'Half a wire' } }])
    again.drop('guns', 'new-gun')
    again.drop('guns', 'gone')
    expect(again.of('guns')).toEqual([])
    setActivePinia(createPinia())
    expect(useUnfinished().get('guns', 'new-gun')).toBeNull()
    expect(useUnfinished().get('wires', 'new-wire')).not.toBeNull()
  })
  it('of the first version, which had no version, is carried up; what cannot be read is thrown away', () => {
    localStorage.setItem('brannik.unfinished.guns/old', JSON.stringify({ name: 'Old gun' }))
    localStorage.setItem(
      'brannik.unfinished.nails/odd',
      JSON.stringify({ schemaVersion: 1, record: { name: 'Nail' } }),
    )
    localStorage.setItem('brannik.unfinished.guns/torn', '{"name":')
    localStorage.setItem('another', 'stays')
    const unfinished = useUnfinished()
    expect(unfinished.get('guns', 'old')).toMatchObject({ name: 'Old gun' })
    expect(unfinished.get('nails', 'odd')).toEqual({ name: 'Nail' })
    expect(unfinished.of('guns').map(({ id }) => id)).toEqual(['old'])
    expect(localStorage.getItem('brannik.unfinished.guns/torn')).toBeNull()
    expect(localStorage.getItem('another')).toBe('stays')
  })
  it('lives in the page where the browser keeps nothing', () => {
    const unfinished = useUnfinished()
    let tries = 0
    vi.stubGlobal('localStorage', {
      setItem() {
        tries += 1
        throw new DOMException('full', 'QuotaExceededError')
      },
    })
    unfinished.keep('guns', 'new-gun', { name: 'Half a gun' })
    vi.unstubAllGlobals()
    expect(tries).toBe(1)
    expect(unfinished.get('guns', 'new-gun')).toEqual({ name: 'Half a gun' })
  })
})

describe('steps back', () => {
  const gun = (name: string) => ({ id: 'g', name }) as never
  function shelf() {
    const records = new Map<string, unknown>([['guns/g', gun('a')]])
    const undo = createUndo(
      (path, id) => (records.get(`${path}/${id}`) ?? null) as never,
      (path, id, record) =>
        record === null ? records.delete(`${path}/${id}`) : records.set(`${path}/${id}`, record),
    )
    const change = (from: string | null, to: string | null, label = 'name') => {
      if (to === null) records.delete('guns/g')
      else records.set('guns/g', gun(to))
      undo.remember(
        {
          path: 'guns',
          id: 'g',
          before: from === null ? null : gun(from),
          after: to === null ? null : gun(to),
        },
        label,
      )
    }
    const now = () => (records.get('guns/g') as { name: string } | undefined)?.name ?? null
    return { undo, change, now }
  }
  beforeEach(() => {
    vi.useFakeTimers({ toFake: ['performance'] })
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  it('take back what was changed within a moment at once, and what came later by itself', () => {
    const { undo, change, now } = shelf()
    change('a', 'b')
    vi.advanceTimersByTime(899)
    change('b', 'c')
    vi.advanceTimersByTime(900)
    change('c', 'd')
    expect(undo.nextUndo.value).toBe('name')
    expect([undo.undo(), now()]).toEqual(['name', 'c'])
    expect([undo.undo(), now()]).toEqual(['name', 'a'])
    expect([undo.undo(), undo.canUndo.value, undo.nextUndo.value]).toEqual([null, false, null])
    expect([undo.redo(), now()]).toEqual(['name', 'c'])
    expect([undo.redo(), now(), undo.redo(), undo.canRedo.value]).toEqual(['name', 'd', null, false])
  })
  it('of two fields are two, and none is left of what was typed and given up', () => {
    const { undo, change, now } = shelf()
    change('a', 'b', 'name')
    change('b', 'c', 'note')
    undo.undo()
    expect(now()).toBe('b')
    undo.undo()
    change('a', 'b')
    change('b', 'a')
    expect(undo.canUndo.value).toBe(false)
    // A new step ends the way forward.
    change('a', 'b')
    undo.undo()
    expect(undo.canRedo.value).toBe(true)
    change('a', 'x')
    expect(undo.canRedo.value).toBe(false)
    undo.forget()
    expect([undo.canUndo.value, undo.canRedo.value]).toEqual([false, false])
  })
  it('bring back what was deleted, and delete what was made', () => {
    const { undo, change, now } = shelf()
    change('a', null, 'deleted')
    expect([undo.undo(), now()]).toEqual(['deleted', 'a'])
    expect([undo.redo(), now()]).toEqual(['deleted', null])
  })
  it('take back all that an import brought, and go on with the next edit by itself', () => {
    const { undo, change, now } = shelf()
    undo.rememberAll({
      label: 'import',
      changes: [{ path: 'guns', id: 'g', before: gun('a'), after: gun('b') }],
    })
    change('b', 'c', 'import')
    expect([undo.undo(), now()]).toEqual(['import', 'b'])
    expect([undo.undo(), now()]).toEqual(['import', 'a'])
  })
  it('are two hundred at the most', () => {
    const { undo, change } = shelf()
    for (let at = 0; at < 210; at += 1) change(`${at}`, `${at + 1}`, `step ${at}`)
    let count = 0
    while (undo.undo() !== null) count += 1
    expect(count).toBe(200)
  })
})

describe('changes', () => {
  class Port {
    readonly sent: Asked[] = []
    onmessage: ((event: { data: Told }) => void) | null = null
    isClosed = false
    postMessage(asked: Asked): void {
      this.sent.push(asked)
    }
    close(): void {
      this.isClosed = true
    }
  }
  let port: Port
  beforeEach(() => {
    port = new Port()
    vi.stubGlobal(
      'SharedWorker',
      class {
        readonly port = port
      },
    )
  })
  it('are heard from the thread that all pages share, from where this page stands', () => {
    const told: Told[] = []
    const stop = hearChanges('e.5', (one) => told.push(one))
    expect(port.sent).toEqual([{ hear: { since: 'e.5' } }])
    const news = { what: 'position', position: 'e.9' } as Told
    port.onmessage?.({ data: news })
    expect(told).toEqual([news])
    // Put aside by the browser, and come back to: it goes on from where it was.
    window.dispatchEvent(new Event('pagehide'))
    expect(port.sent.at(-1)).toEqual({})
    window.dispatchEvent(Object.assign(new Event('pageshow'), { persisted: false }))
    expect(port.sent).toHaveLength(2)
    window.dispatchEvent(Object.assign(new Event('pageshow'), { persisted: true }))
    expect(port.sent.at(-1)).toEqual({ hear: { since: 'e.9' } })
    stop()
    expect([port.sent.at(-1), port.isClosed]).toEqual([{}, true])
    window.dispatchEvent(Object.assign(new Event('pageshow'), { persisted: true }))
    expect(port.sent).toHaveLength(4)
  })
})
