/** What is pressed at a machine, on its way: it counts at once, waits out whatever comes, and is stored once. */
import type { WorkMark } from '@brannik/core'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, type EffectScope, ref } from 'vue'
import type { Ticks } from './ticks.ts'

interface Heard {
  readonly key: string
  readonly event: { readonly type: string; readonly subject: string; readonly body: object }
}

/** A server that keeps events under their keys, and does to each request what the test says. */
class EventServer {
  readonly heard: Heard[] = []
  /** Every request, in its order. */
  readonly asked: string[] = []
  /** Done to the next writes, then all is well again. */
  next: ('lost' | 'answer-lost' | number)[] = []
  isDown = false

  readonly fetch = async (path: string, init: RequestInit = {}): Promise<Response> => {
    const { method = 'GET' } = init
    this.asked.push(`${method} ${path}`)
    if (this.isDown) throw new TypeError('down')
    if (method === 'GET') {
      const query = new URL(path, 'http://shop').searchParams
      const since = Number(query.get('since'))
      const items = this.heard
        .map(({ event }, at) => ({ ...event, seq: at + 1, who: 'Hazel' }))
        .filter(({ type }) => type === query.get('type'))
        .filter(({ subject }) => (query.get('subject') ?? subject) === subject)
        .filter(({ seq }) => seq > since)
      return Response.json({ items, next: String(this.heard.length) })
    }
    const how = this.next.shift()
    if (how === 'lost') throw new TypeError('lost')
    if (typeof how === 'number') return Response.json({ detail: `told ${how}` }, { status: how })
    const key = new Headers(init.headers).get('Idempotency-Key') ?? ''
    if (this.heard.every((one) => one.key !== key))
      this.heard.push({ key, event: JSON.parse(String(init.body)) as Heard['event'] })
    if (how === 'answer-lost') throw new TypeError('lost')
    return Response.json({ seq: this.heard.length }, { status: 201 })
  }
}

let server: EventServer
let scope: EffectScope
beforeEach(() => {
  vi.useFakeTimers({ now: Date.parse('2027-02-01T12:00:00Z') })
  localStorage.clear()
  vi.resetModules()
  setActivePinia(createPinia())
  server = new EventServer()
  vi.stubGlobal('fetch', server.fetch)
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})
const settle = (): Promise<unknown> => vi.advanceTimersByTimeAsync(1)

/** A page that is loaded anew: what it had in memory is gone. */
async function outboxOf(sent?: () => void) {
  const { useOutbox } = await import('./outbox.ts')
  const outbox = scope.run(() => useOutbox(sent))
  if (!outbox) throw new Error('the scope has ended')
  return outbox
}
const event = (subject: string, step = 'leads') =>
  ({
    type: 'step-ticked',
    subject,
    body: { run: 'r1', act: 'tick', step, pressedAt: '2027-02-01T12:00:00.000Z', to: '' },
  }) as const
const steps = (): unknown[] => server.heard.map((one) => (one.event.body as { step: string }).step)

describe('the outbox', () => {
  it('counts a press at once, and has it until the page is closed', async () => {
    let tries = 0
    const outbox = await outboxOf(() => (tries += 1))
    outbox.record(event('change.a'))
    expect(outbox.own('change.a')).toHaveLength(1)
    expect(outbox.unsent('change.a')).toHaveLength(1)
    expect(outbox.unsent('change.b')).toEqual([])
    expect(outbox.waitingCount.value).toBe(1)
    await settle()
    expect(steps()).toEqual(['leads'])
    expect(tries).toBe(1)
    expect([outbox.unsent('change.a').length, outbox.waitingCount.value]).toEqual([0, 0])
    expect(outbox.own('change.a')).toHaveLength(1)
    expect(outbox.own('change.b')).toEqual([])
    expect(outbox.all.value).toHaveLength(1)
  })

  it('sends what waits again after five seconds, in its order, and stores it once though the answer was lost', async () => {
    const outbox = await outboxOf()
    server.next = ['answer-lost']
    outbox.record(event('change.a', 'first'))
    await settle()
    expect(outbox.waitingCount.value).toBe(1)
    server.next = ['lost']
    outbox.record(event('change.a', 'second'))
    await settle()
    // The first stands in the way: nothing overtakes it.
    expect(steps()).toEqual(['first'])
    expect(outbox.waitingCount.value).toBe(2)
    await vi.advanceTimersByTimeAsync(4990)
    expect(outbox.waitingCount.value).toBe(2)
    await vi.advanceTimersByTimeAsync(20)
    expect(steps()).toEqual(['first', 'second'])
    expect(outbox.waitingCount.value).toBe(0)
    // With nothing to send it asks nothing.
    const asked = server.asked.length
    await vi.advanceTimersByTimeAsync(20_000)
    expect(server.asked).toHaveLength(asked)
  })

  it('sends what is pressed while another press is on its way right behind it', async () => {
    const outbox = await outboxOf()
    for (const step of ['one', 'two', 'three']) outbox.record(event('change.a', step))
    await settle()
    expect(steps()).toEqual(['one', 'two', 'three'])
    expect(outbox.waitingCount.value).toBe(0)
  })

  it('tries at once when the network is back', async () => {
    const outbox = await outboxOf()
    server.isDown = true
    outbox.record(event('change.a'))
    await settle()
    server.isDown = false
    window.dispatchEvent(new Event('online'))
    await settle()
    expect(steps()).toEqual(['leads'])
    expect(outbox.waitingCount.value).toBe(0)
  })

  it('waits where the server is busy, breaks or asks who one is; what it refuses is told, and lets the rest through', async () => {
    const outbox = await outboxOf()
    const { useNotice } = await import('../stores/notice.ts')
    for (const status of [429, 503, 401]) {
      server.next = [status]
      outbox.record(event('change.a', `${status}`))
      await settle()
      expect(outbox.waitingCount.value, `${status}`).toBeGreaterThan(0)
      await vi.advanceTimersByTimeAsync(5010)
    }
    expect(steps()).toEqual(['429', '503', '401'])
    expect(useNotice().text).toBe('')
    server.next = [400]
    outbox.record(event('change.a', 'refused'))
    await settle()
    expect(useNotice().text).toBe('Not recorded: told 400')
    expect(outbox.waitingCount.value).toBe(0)
    expect(
      outbox.own('change.a').map(({ event: { body } }) => (body as { step: string }).step),
    ).not.toContain('refused')
    outbox.record(event('change.a', 'next'))
    await settle()
    expect(steps().at(-1)).toBe('next')
  })

  it('has what waits after a reload, under the key of before', async () => {
    server.next = ['answer-lost']
    const before = await outboxOf()
    before.record(event('change.a'))
    await settle()
    scope.stop()
    scope = effectScope()
    vi.resetModules()
    const after = await outboxOf()
    expect(after.unsent('change.a')).toHaveLength(1)
    // At once: what is read next has it.
    await settle()
    expect(steps()).toEqual(['leads'])
    expect(after.waitingCount.value).toBe(0)
  })

  it('tries before somebody reads what was recorded, and says how many are still on the way', async () => {
    const outbox = await outboxOf()
    server.isDown = true
    outbox.record(event('change.a', 'one'))
    expect(await outbox.sendNow()).toBe(1)
    server.isDown = false
    expect(await outbox.sendNow()).toBe(0)
    expect(steps()).toEqual(['one'])
    // What is on its way already is waited for, not sent beside it.
    outbox.record(event('change.a', 'two'))
    outbox.record(event('change.a', 'three'))
    expect(await outbox.sendNow()).toBe(0)
    expect(steps()).toEqual(['one', 'two', 'three'])
    expect(server.asked).toHaveLength(4)
  })

  it('sends nothing of another shop, or of who else was here', async () => {
    const { meetShop, isOpenFor } = await import('../api/client.ts')
    meetShop('shop-one')
    isOpenFor('rowan')
    const outbox = await outboxOf()
    server.isDown = true
    outbox.record(event('change.a'))
    await settle()
    server.isDown = false
    isOpenFor('hazel')
    await vi.advanceTimersByTimeAsync(5010)
    expect(steps()).toEqual([])
    isOpenFor('rowan')
    await vi.advanceTimersByTimeAsync(5010)
    expect(steps()).toEqual(['leads'])
  })
})

const mark = (act: WorkMark['act'], minutes: number | null = null): Omit<WorkMark, 'pressedAt'> => ({
  act,
  run: 'once',
  part: 1,
  setUpId: 'bay-2-wire',
  setUpName: 'Bay 2 wire',
  jobName: 'Press frame',
  welder: 'Rowan',
  minutes,
  plannedMin: 100,
})

describe('work as it goes', () => {
  async function workOf() {
    const { useWork } = await import('./work.ts')
    const work = scope.run(() => useWork())
    if (!work) throw new Error('the scope has ended')
    await settle()
    return work
  }
  const RUN = 'press-frame once 1'

  it('runs at the press, whether the server answers or not, and is not counted twice when it has', async () => {
    const work = await workOf()
    expect([work.isAway.value, work.states.value.size]).toEqual([false, 0])
    server.isDown = true
    work.press('press-frame', mark('start'))
    expect(work.states.value.get(RUN)).toMatchObject({
      state: 'running',
      startedAt: '2027-02-01T12:00:00.001Z',
    })
    await settle()
    expect(work.isAway.value).toBe(true)
    server.isDown = false
    await vi.advanceTimersByTimeAsync(5010)
    expect(work.isAway.value).toBe(false)
    expect(work.marks.value).toHaveLength(1)
    work.press('press-frame', mark('done', 92))
    await settle()
    expect(work.states.value.get(RUN)).toMatchObject({ state: 'done', minutes: 92 })
    expect(server.heard.map(({ event: of }) => of.subject)).toEqual(['work.press-frame', 'work.press-frame'])
  })

  it('reads what is new alone, when something has happened, and knows the rest after a reload', async () => {
    const work = await workOf()
    work.press('press-frame', mark('start'))
    await settle()
    const { happenings } = await import('./happenings.ts')
    server.heard.push({
      key: 'another',
      event: {
        type: 'work-marked',
        subject: 'work.gate',
        body: { ...mark('start'), pressedAt: '2027-02-01T12:30:00.000Z' },
      },
    })
    happenings.value += 1
    await settle()
    expect([...work.states.value.keys()].toSorted()).toEqual(['gate once 1', RUN])
    scope.stop()
    scope = effectScope()
    vi.resetModules()
    server.asked.length = 0
    const again = await workOf()
    expect([...again.states.value.keys()].toSorted()).toEqual(['gate once 1', RUN])
    expect(server.asked.every((one) => one.includes('since=2'))).toBe(true)
    // Away from the network what was known last counts on.
    scope.stop()
    scope = effectScope()
    vi.resetModules()
    server.isDown = true
    const away = await workOf()
    expect(away.isAway.value).toBe(true)
    expect(away.states.value.size).toBe(2)
  })

  it('has what came while a look was under way, whichever answer comes first', async () => {
    const heardOf = (job: string) => ({
      key: job,
      event: {
        type: 'work-marked',
        subject: `work.${job}`,
        body: { ...mark('start'), pressedAt: '2027-02-01T12:30:00.000Z' },
      },
    })
    const { happenings } = await import('./happenings.ts')
    for (const order of [
      [0, 1],
      [1, 0],
    ]) {
      localStorage.clear()
      vi.resetModules()
      server.heard.length = 0
      const work = await workOf()
      const { happenings: now } = await import('./happenings.ts')
      expect(now).not.toBe(happenings)
      // What is asked is answered with what there is at that moment, but the answer takes its time.
      const answers: (() => void)[] = []
      vi.stubGlobal('fetch', async (path: string, init?: RequestInit) => {
        const answer = await server.fetch(path, init)
        await new Promise<void>((resolve) => answers.push(resolve))
        return answer
      })
      for (const job of ['gate', 'tank']) {
        server.heard.push(heardOf(job))
        now.value += 1
        await settle()
      }
      for (const at of order) {
        answers[at]?.()
        await settle()
      }
      vi.stubGlobal('fetch', server.fetch)
      for (const answer of answers) answer()
      await settle()
      expect([...work.states.value.keys()].toSorted()).toEqual(['gate once 1', 'tank once 1'])
      scope.stop()
      scope = effectScope()
    }
  })

  it('knows nothing of another shop', async () => {
    const { meetShop } = await import('../api/client.ts')
    meetShop('shop-one')
    const work = await workOf()
    work.press('press-frame', mark('start'))
    await settle()
    scope.stop()
    scope = effectScope()
    vi.resetModules()
    server.heard.length = 0
    const client = await import('../api/client.ts')
    client.meetShop('shop-two')
    const other = await workOf()
    expect(other.states.value.size).toBe(0)
    expect(server.asked.at(-1)).toContain('since=0')
  })
})

describe('steps that are ticked', () => {
  async function ticksOf(subject = ref('change.quillon-210')) {
    const { useTicks } = await import('./ticks.ts')
    const ticks = scope.run(() => useTicks(subject))
    if (!ticks) throw new Error('the scope has ended')
    await settle()
    return ticks
  }
  /** At another machine, in the run in hand. */
  function hazelTicks({ run }: Ticks): void {
    const body = {
      run: run.value?.run ?? '',
      act: 'tick',
      step: 'gas',
      pressedAt: '2027-02-01T12:05:00.000Z',
      to: 'bay-2-wire',
    }
    server.heard.push({ key: 'hazel', event: { type: 'step-ticked', subject: 'change.quillon-210', body } })
  }
  it('belong to a run that was begun; without one a tick is nothing', async () => {
    const ticks = await ticksOf()
    ticks.press('tick', 'leads')
    await settle()
    expect([ticks.run.value, server.heard.length]).toEqual([null, 0])
    server.isDown = true
    ticks.press('begin', '', 'bay-2-wire')
    ticks.press('tick', 'leads')
    expect(ticks.run.value).toMatchObject({ to: 'bay-2-wire', isOver: false })
    expect([...(ticks.run.value?.done.keys() ?? [])]).toEqual(['leads'])
    expect(ticks.unsent.value).toBe(2)
    await settle()
    server.isDown = false
    await vi.advanceTimersByTimeAsync(5010)
    expect(ticks.unsent.value).toBe(0)
    expect(ticks.run.value?.done.size).toBe(1)
    expect(server.heard.map(({ event: { body } }) => (body as { to: string }).to)).toEqual([
      'bay-2-wire',
      'bay-2-wire',
    ])
  })
  it('are those of others too, and of another machine none', async () => {
    const subject = ref('change.quillon-210')
    const ticks = await ticksOf(subject)
    ticks.press('begin', '', 'bay-2-wire')
    await settle()
    hazelTicks(ticks)
    const { happenings } = await import('./happenings.ts')
    happenings.value += 1
    await settle()
    expect(ticks.run.value?.done.get('gas')).toMatchObject({ who: 'Hazel' })
    subject.value = 'change.tarn-400'
    await settle()
    expect(ticks.run.value).toBeNull()
    subject.value = 'change.quillon-210'
    await settle()
    expect(ticks.run.value?.done.has('gas')).toBe(true)
  })
  it('stay ticked where an earlier answer comes after a later one', async () => {
    const ticks = await ticksOf()
    ticks.press('begin', '', 'bay-2-wire')
    await settle()
    const { happenings } = await import('./happenings.ts')
    let letGo = (): void => undefined
    // The answer is of this moment, and on its way for long.
    vi.stubGlobal('fetch', async (path: string, init: RequestInit = {}) => {
      const answer = await server.fetch(path, init)
      await new Promise<void>((resolve) => (letGo = resolve))
      return answer
    })
    happenings.value += 1
    await settle()
    vi.stubGlobal('fetch', server.fetch)
    hazelTicks(ticks)
    happenings.value += 1
    await settle()
    expect(ticks.run.value?.done.has('gas')).toBe(true)
    letGo()
    await settle()
    expect(ticks.run.value?.done.has('gas')).toBe(true)
  })
})
