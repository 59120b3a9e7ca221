/** Steps ticked off at a machine: a press counts at once, and is sent by the outbox. */
import { type Ticked, type TickAct, type TickRun, tickRunOf } from '@brannik/core'
import { computed, type ComputedRef, type Ref, shallowRef, watch } from 'vue'
import { newKey } from '../api/client.ts'
import { eventsOf } from './eventList.ts'
import { happenings } from './happenings.ts'
import { newestLook } from './newest.ts'
import { useOutbox } from './outbox.ts'
import { useSession } from './session.ts'

interface Heard {
  readonly who: string
  readonly body: Ticked
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
  const session = useSession()
  const heard = shallowRef<readonly Heard[]>([])

  const newest = newestLook()
  async function learn(): Promise<void> {
    const of = subject.value
    const items = await newest(() => eventsOf('step-ticked', of))
    if (items && of === subject.value) heard.value = items
  }
  const look = (): void => void learn().catch(() => undefined)
  const outbox = useOutbox(look)
  watch(subject, () => {
    heard.value = []
    look()
  })
  watch(happenings, look)
  look()

  const run = computed(() => {
    const me = session.me?.who ?? ''
    const mine = outbox.own(subject.value).map(({ event }) => ({ who: me, body: event.body as Ticked }))
    const all = [...heard.value, ...mine]
    const once = new Map(all.map((one) => [JSON.stringify(one.body), one]).toReversed() as [string, Heard][])
    return tickRunOf([...once.values()].toReversed(), Date.parse)
  })

  return {
    run,
    unsent: computed(() => outbox.unsent(subject.value).length),
    press(act, step = '', to = run.value?.to ?? ''): void {
      const id = act === 'begin' ? newKey() : run.value?.run
      if (id === undefined) return
      const body: Ticked = { run: id, act, step, pressedAt: new Date().toISOString(), to }
      outbox.record({ type: 'step-ticked', subject: subject.value, body })
    },
  }
}
