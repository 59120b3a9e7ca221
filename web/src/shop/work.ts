/** Work as it goes: started, paused, done. A press counts at once; away from the network what was known last counts on. */
import { type HeardMark, type WorkMark, workOf, type WorkState } from '@brannik/core'
import { useLocalStorage } from '@vueuse/core'
import { computed, type ComputedRef, ref, watch } from 'vue'
import { ownerNow } from '../api/client.ts'
import { eventsFrom } from './eventList.ts'
import { happenings } from './happenings.ts'
import { inTurn } from './inTurn.ts'
import { useOutbox, type Waiting } from './outbox.ts'

export interface Work {
  /** Every mark, in the order of the server, then those on their way. */
  readonly marks: ComputedRef<readonly HeardMark[]>
  /** By `workKey`. */
  readonly states: ComputedRef<ReadonlyMap<string, WorkState>>
  readonly press: (jobId: string, mark: Omit<WorkMark, 'pressedAt'>) => void
  /** Whether the server did not answer: what is shown is what was known last. */
  readonly isAway: ComputedRef<boolean>
}

interface Known {
  readonly of: string
  readonly marks: readonly HeardMark[]
  /** Where to go on. */
  readonly next: string
}
const known = useLocalStorage<Known>('brannik.work', { of: '', marks: [], next: '0' })
const away = ref(false)

const SUBJECT = 'work.'
const isMark = ({ event }: Waiting): boolean => event.type === 'work-marked'

/** Marks are many after some years: only what is new is read. */
const look = inTurn(async () => {
  const of = ownerNow()
  const before = known.value.of === of ? known.value : { of, marks: [], next: '0' }
  try {
    const { items, next } = await eventsFrom('work-marked', before.next)
    const marks = items.map(({ subject, body }) => ({ subject, body }))
    if (marks.length > 0 || before !== known.value)
      known.value = { of, marks: [...before.marks, ...marks], next }
    away.value = false
  } catch {
    away.value = true
  }
})

export function useWork(): Work {
  const outbox = useOutbox(look)
  watch(happenings, look)
  look()

  const marks = computed((): readonly HeardMark[] => {
    const heard = known.value.of === ownerNow() ? known.value.marks : []
    const mine = outbox.all.value.filter(isMark).map(({ event }) => ({
      subject: event.subject,
      body: event.body as WorkMark,
    }))
    const once = new Map(
      [...heard, ...mine].map((one) => [`${one.subject} ${JSON.stringify(one.body)}`, one]),
    )
    // Plain copies: another thread takes no proxies.
    return JSON.parse(JSON.stringify([...once.values()])) as readonly HeardMark[]
  })
  return {
    marks,
    states: computed(() => workOf(marks.value, Date.parse)),
    isAway: computed(() => away.value),
    press(jobId, mark) {
      outbox.record({
        type: 'work-marked',
        subject: `${SUBJECT}${jobId}`,
        body: { ...mark, pressedAt: new Date().toISOString() },
      })
    },
  }
}
