/** Rows of the log for a weld: those of the server, and on top what this page has not sent yet. */
import { rowsThatCount, weldSubject, type WeldRecord } from '@brannik/core'
import { computed, type ComputedRef, type Ref, shallowRef, watch } from 'vue'
import { newestRows, type WeldRow } from '../../shop/eventList.ts'
import { happenings } from '../../shop/happenings.ts'
import { newestLook } from '../../shop/newest.ts'
import { type AnyNewEvent, useOutbox } from '../../shop/outbox.ts'
import { useSession } from '../../shop/session.ts'

/** Of one weld more are not looked at. */
const MOST = 60
/** What has no number yet comes last in its order. */
const UNSENT_SEQ = Number.MAX_SAFE_INTEGER

/** One row on its way and the same one come back: no two of a weld have one time, but what corrects another. */
const markOf = ({ body, corrects }: Pick<WeldRow, 'body' | 'corrects'>): string =>
  `${body.weldedAt} ${corrects ?? ''}`

export interface WeldRows {
  /** Newest first. */
  readonly rows: ComputedRef<readonly WeldRow[]>
  /** What was last saved as settings for the card with a set-up; null for none. */
  readonly savedWith: (setUpId: string) => WeldRow | null
  readonly record: (body: WeldRecord, corrects?: number | null) => void
  readonly unsentCount: ComputedRef<number>
}

export function useWeldRows(jobId: Ref<string>, jointId: Ref<string>): WeldRows {
  const session = useSession()
  const found = shallowRef<readonly WeldRow[]>([])
  const subject = computed(() => weldSubject(jobId.value, jointId.value))

  const newest = newestLook()
  async function learn(): Promise<void> {
    const [job, weld] = [jobId.value, jointId.value]
    if (job === '' || weld === '') return
    const rows = await newest(() => newestRows({ job, weld }, MOST))
    if (rows && job === jobId.value && weld === jointId.value) found.value = rows
  }
  const look = (): void => void learn().catch(() => undefined)
  const outbox = useOutbox(look)
  watch(
    subject,
    () => {
      found.value = []
      look()
    },
    { immediate: true },
  )
  watch(happenings, look)

  const asRow = (event: AnyNewEvent, index: number): WeldRow =>
    ({
      seq: UNSENT_SEQ - 1000 + index,
      at: new Date().toISOString(),
      who: session.me?.who ?? '',
      actorId: null,
      actorKind: null,
      type: 'weld-recorded',
      subject: event.subject,
      body: event.body as WeldRecord,
      corrects: event.corrects ?? null,
    }) satisfies WeldRow
  const rows = computed(() => {
    const known = new Set(found.value.map(markOf))
    const own = outbox
      .own(subject.value)
      .filter(({ event }) => event.type === 'weld-recorded')
      .map(({ event }, index) => asRow(event, index))
      .filter((row) => !known.has(markOf(row)))
    return rowsThatCount([...found.value, ...own]).toReversed()
  })
  return {
    rows,
    savedWith: (setUpId) =>
      rows.value.find(({ body }) => body.state === 'planned' && body.setUpId === setUpId) ?? null,
    record(body, corrects = null): void {
      outbox.record({ type: 'weld-recorded', subject: subject.value, body, corrects })
    },
    unsentCount: computed(() => outbox.unsent(subject.value).length),
  }
}
