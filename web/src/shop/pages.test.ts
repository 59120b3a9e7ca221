/** Lists that are read page by page: the log, the ledger, and what a view keeps of them. */
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, type EffectScope, ref } from 'vue'
import { eventsFrom, eventsOf, logPage, newestRows } from './eventList.ts'
import { happenings } from './happenings.ts'
import { checkLedger, ledgerPage } from './ledgerList.ts'
import { type Paged, usePaged } from './paged.ts'

/** What was asked for, and what the server answers, by the number of the request. */
let asked: URL[] = []
let answers: unknown[] = []
beforeEach(() => {
  asked = []
  answers = []
  vi.stubGlobal('fetch', (path: string) => {
    asked.push(new URL(path, 'http://shop'))
    return Promise.resolve(Response.json(answers[asked.length - 1] ?? { items: [], next: null }))
  })
})
const queries = (): unknown[] => asked.map(({ searchParams }) => Object.fromEntries(searchParams))
const rows = (count: number, from = 0): { seq: number }[] =>
  Array.from({ length: count }, (_, index) => ({ seq: from + index }))

describe('events', () => {
  it('are read on until a page is not full, from the number that the one before it gave', async () => {
    answers = [
      { items: rows(500), next: '900' },
      { items: rows(3, 500), next: '912' },
    ]
    const { items, next } = await eventsFrom('step-ticked', '7', 'change.a/b')
    expect(items.map(({ seq }) => seq as unknown as number)).toEqual(rows(503).map(({ seq }) => seq))
    expect(next).toBe('912')
    const same = { of: 'this-shop', type: 'step-ticked', subject: 'change.a/b', limit: '500' }
    expect(queries()).toEqual([
      { ...same, since: '7' },
      { ...same, since: '900' },
    ])
  })

  it('of every subject are read from the beginning', async () => {
    answers = [{ items: rows(2), next: '2' }]
    expect(await eventsOf('work-marked')).toHaveLength(2)
    expect(queries()).toEqual([{ of: 'this-shop', type: 'work-marked', limit: '500', since: '0' }])
  })
})

describe('the log', () => {
  it('is asked for by what it is cut down by, without what is left open', async () => {
    await logPage({ job: 'press-frame', search: '', wire: 'wire-1' }, '55', 20)
    expect(asked[0]?.pathname).toBe('/api/log')
    expect(queries()).toEqual([{ limit: '20', job: 'press-frame', wire: 'wire-1', before: '55' }])
  })

  it('gives as many of the newest rows as are asked for, and no page more', async () => {
    answers = [
      { items: rows(500), next: '400' },
      { items: rows(120, 500), next: '280' },
    ]
    expect(await newestRows({}, 620)).toHaveLength(620)
    expect(queries()).toEqual([{ limit: '500' }, { limit: '120', before: '400' }])
  })

  it('that is shorter ends where it ends', async () => {
    answers = [{ items: rows(4), next: null }]
    expect(await newestRows({}, 620)).toHaveLength(4)
    expect(asked).toHaveLength(1)
  })
})

describe('the ledger', () => {
  it('is asked for by what it is cut down by', async () => {
    await ledgerPage({ item: 'wire.wire-1' }, null, 50)
    await ledgerPage({ job: 'press-frame', reason: 'count' as never }, '12', 50)
    expect(asked[0]?.pathname).toBe('/api/ledger')
    expect(queries()).toEqual([
      { limit: '50', item: 'wire.wire-1' },
      { limit: '50', job: 'press-frame', reason: 'count', before: '12' },
    ])
  })

  it('says whether every event follows from the one before it', async () => {
    answers = [{ events: 9, isWhole: false, brokenAt: 4 }]
    expect(await checkLedger()).toEqual({ events: 9, isWhole: false, brokenAt: 4 })
    expect(asked[0]?.pathname).toBe('/api/ledger/check')
  })
})

describe('a list of a view', () => {
  interface Question {
    readonly filter: string
    readonly before: string | null
    readonly answer: (page: { items: string[]; next: string | null }) => void
    readonly fail: (error: Error) => void
  }
  let questions: Question[] = []
  const filter = ref('all')
  let scope: EffectScope
  beforeEach(() => {
    questions = []
    filter.value = 'all'
    scope = effectScope()
  })
  afterEach(() => {
    scope.stop()
  })
  function open(): Paged<string> {
    const paged = scope.run(() =>
      usePaged<string, string>(
        filter,
        (of, before) => new Promise((answer, fail) => questions.push({ filter: of, before, answer, fail })),
      ),
    )
    if (!paged) throw new Error('the scope has ended')
    return paged
  }

  it('is read at once, goes on where its page ended, and begins anew for another filter', async () => {
    const paged = open()
    expect(paged.isLooking.value).toBe(true)
    questions[0]?.answer({ items: ['c', 'b'], next: '2' })
    await flushPromises()
    expect([paged.rows.value, paged.next.value, paged.isLooking.value]).toEqual([['c', 'b'], '2', false])
    void paged.look(true)
    expect(questions[1]?.before).toBe('2')
    questions[1]?.answer({ items: ['a'], next: null })
    await flushPromises()
    expect([paged.rows.value, paged.next.value]).toEqual([['c', 'b', 'a'], null])
    filter.value = 'some'
    await flushPromises()
    expect(questions[2]).toMatchObject({ filter: 'some', before: null })
    // Until the answer is there the rows of before stay.
    expect(paged.rows.value).toHaveLength(3)
    questions[2]?.answer({ items: ['b'], next: null })
    await flushPromises()
    expect(paged.rows.value).toEqual(['b'])
  })

  it('is read anew when something happens', async () => {
    open()
    happenings.value += 1
    await flushPromises()
    expect(questions).toHaveLength(2)
  })

  it('takes the answer to the latest question, whichever comes first', async () => {
    const paged = open()
    filter.value = 'some'
    await flushPromises()
    questions[1]?.answer({ items: ['new'], next: null })
    await flushPromises()
    questions[0]?.answer({ items: ['old'], next: '9' })
    await flushPromises()
    expect([paged.rows.value, paged.next.value]).toEqual([['new'], null])
    filter.value = 'others'
    await flushPromises()
    filter.value = 'none'
    await flushPromises()
    questions[2]?.fail(new Error('late'))
    await flushPromises()
    // Another question is still open.
    expect([paged.failure.value, paged.isLooking.value]).toEqual(['', true])
  })

  it('says why it cannot be read, and forgets that when it can', async () => {
    const paged = open()
    questions[0]?.fail(new Error('the server does not respond'))
    await flushPromises()
    expect([paged.failure.value, paged.isLooking.value]).toEqual(['the server does not respond', false])
    void paged.look(false)
    questions[1]?.answer({ items: [], next: null })
    await flushPromises()
    expect(paged.failure.value).toBe('')
  })
})
