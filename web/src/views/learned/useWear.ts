/** Wearing parts of one machine, from its log; read once for all who ask, until something is recorded. */
import { breakersOf, type BreakerRecord, type Replaced, type Wear, wearOf, wearSubject } from '@brannik/core'
import { type Ref, type ShallowRef, shallowRef, watch } from 'vue'
import { eventsOf, newestRows, type WeldRow } from '../../shop/eventList.ts'
import { happenings } from '../../shop/happenings.ts'
import { newestLook } from '../../shop/newest.ts'

/** What is older wears no part that is still on the machine. */
const MOST = 2000

interface OfMachine {
  readonly rows: readonly WeldRow[]
  readonly changes: readonly { readonly body: Replaced }[]
}
let known: { readonly sourceId: string; readonly at: number; readonly found: Promise<OfMachine> } | null =
  null

function ofMachine(sourceId: string): Promise<OfMachine> {
  if (known?.sourceId === sourceId && known.at === happenings.value) return known.found
  const found = Promise.all([
    newestRows({ source: sourceId }, MOST),
    eventsOf('part-replaced', wearSubject(sourceId)),
  ]).then(([rows, changes]) => ({ rows, changes }))
  known = { sourceId, at: happenings.value, found }
  return found
}

export interface MachineWear {
  readonly sourceId: string
  readonly wear: readonly Wear[]
}

/** @returns the worn parts of every machine in the log that has any */
export const wearOfMachines = (
  rows: readonly WeldRow[],
  changes: readonly { readonly subject: string; readonly body: Replaced }[],
): readonly MachineWear[] =>
  [...new Set(rows.flatMap(({ body }) => (body.sourceId === null ? [] : [body.sourceId])))]
    .map((sourceId) => ({
      sourceId,
      wear: wearOf(
        rows.filter(({ body }) => body.sourceId === sourceId),
        changes.filter(({ subject }) => subject === wearSubject(sourceId)),
      ),
    }))
    .filter(({ wear }) => wear.length > 0)

export interface MachineRecord {
  readonly wear: readonly Wear[]
  readonly breakers: readonly BreakerRecord[]
}

/** @returns what is worn and which breakers tripped, of a machine; null until it is known */
export function useMachineRecord(sourceId: Ref<string | null>): Readonly<ShallowRef<MachineRecord | null>> {
  const record = shallowRef<MachineRecord | null>(null)
  const newest = newestLook()
  async function learn(): Promise<void> {
    const of = sourceId.value
    if (of === null) return
    const found = await newest(() => ofMachine(of))
    if (!found || of !== sourceId.value) return
    const { rows, changes } = found
    record.value = { wear: wearOf(rows, changes), breakers: breakersOf(rows) }
  }
  watch([sourceId, happenings], () => void learn().catch(() => undefined), { immediate: true })
  return record
}
