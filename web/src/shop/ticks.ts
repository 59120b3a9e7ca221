/**
 * Steps ticked off at a machine. A press counts at once; it is sent when the server answers, under a key of its own, so
 * that it is stored once however often it is sent. What is not sent waits in the browser, over a reload too.
 */
import { type Ticked, type TickAct, type TickRun, tickRunOf } from '@brannik/core'
import { useEventListener, useIntervalFn, useLocalStorage } from '@vueuse/core'
import { computed, type ComputedRef, type Ref, shallowRef, watch } from 'vue'
import { ask, newKey, owner, RequestFailed, tellEvent } from '../api/client.ts'
import { useNotice } from '../stores/notice.ts'
import { happenings } from './happenings.ts'
import { useSession } from './session.ts'

interface Waiting {
  readonly key: string
  readonly subject: string
  readonly body: Ticked
  /** For which shop and account it was pressed. */
  readonly of: string
}
interface Heard {
  readonly who: string
  readonly body: Ticked
}
interface Page {
  readonly items: readonly (Heard & { readonly seq: number })[]
  readonly next: string
}

const AGAIN_MS = 5000
const PAGE = 500
const ofNow = (): string => `${owner().epoch} ${owner().account}`

/** Stored by the server, and not yet among what was asked for: nothing disappears between the two. */
const stored = shallowRef<readonly Pick<Waiting, 'subject' | 'body'>[]>([])
const waiting = useLocalStorage<readonly Waiting[]>('brannik.ticks', [])
let isSending = false

/** Sends what waits, the oldest first; stops at the first that the server does not take now. */
async function send(refused: (why: string) => void): Promise<void> {
  if (isSending) return
  isSending = true
  try {
    for (const one of waiting.value.filter(({ of }) => of === ofNow())) {
      try {
        await tellEvent({ type: 'step-ticked', subject: one.subject, body: one.body }, one.key)
        stored.value = [...stored.value, one]
      } catch (error) {
        if (
          !(error instanceof RequestFailed) ||
          error.status === 0 ||
          error.status === 401 ||
          error.status >= 500
        )
          return
        refused(error.message)
      }
      waiting.value = waiting.value.filter(({ key }) => key !== one.key)
    }
  } finally {
    isSending = false
  }
}

export interface Ticks {
  /** What stands of the run in hand; null where none is begun. */
  readonly run: ComputedRef<TickRun | null>
  readonly press: (act: TickAct, step?: string, to?: string) => void
  /** Presses that the server does not have yet. */
  readonly unsent: ComputedRef<number>
}

/** @param subject `change.` with a power source, or `card.` with a job and a weld */
export function useTicks(subject: Ref<string>): Ticks {
  const notice = useNotice()
  const session = useSession()
  const heard = shallowRef<readonly Heard[]>([])

  async function learn(): Promise<void> {
    const of = subject.value
    const items: Heard[] = []
    let since = '0'
    for (;;) {
      const query = `type=step-ticked&subject=${encodeURIComponent(of)}&limit=${PAGE}&since=${since}`
      const page = await ask<Page>('GET', `events?${query}`)
      items.push(...page.items)
      since = page.next
      if (page.items.length < PAGE) break
    }
    if (of === subject.value) heard.value = items
  }
  const look = (): void => void learn().catch(() => undefined)
  watch(subject, () => {
    heard.value = []
    look()
  })
  watch(happenings, look)
  look()

  const own = computed(() => waiting.value.filter(({ subject: of }) => of === subject.value))
  const run = computed(() => {
    const me = session.me?.who ?? ''
    const mine = [...stored.value.filter((one) => one.subject === subject.value), ...own.value]
    const all = [...heard.value, ...mine.map(({ body }) => ({ who: me, body }))]
    const once = new Map(all.map((one) => [JSON.stringify(one.body), one]).toReversed() as [string, Heard][])
    return tickRunOf([...once.values()].toReversed(), Date.parse)
  })
  const trySending = (): void => void send((why) => notice.refuse(`Not recorded: ${why}`)).then(look)
  useIntervalFn(() => {
    if (waiting.value.length > 0) trySending()
  }, AGAIN_MS)
  useEventListener('online', trySending)

  return {
    run,
    unsent: computed(() => own.value.length),
    press(act, step = '', to = run.value?.to ?? ''): void {
      const id = act === 'begin' ? newKey() : run.value?.run
      if (id === undefined) return
      const body: Ticked = { run: id, act, step, pressedAt: new Date().toISOString(), to }
      waiting.value = [...waiting.value, { key: newKey(), subject: subject.value, body, of: ofNow() }]
      trySending()
    },
  }
}
