/** What the log says of each machine: how worn its parts are, and how often its breakers held and tripped. */
import { type Replaced, wearSubject } from '../events/partReplaced.ts'
import type { WeldRecord } from '../events/weldRecorded.ts'
import { BREAKER_FIELDS, type BreakerRecord, breakersOf } from './lessons.ts'
import { type Wear, WEAR_FIELDS, wearOf } from './wear.ts'

/** So many of a machine's newest rows are read: what is older wears no part that is still on it. */
export const MOST_OF_MACHINE = 4000
/** What is read of a row of the log. */
export const MACHINE_FIELDS = [...new Set([...WEAR_FIELDS, ...BREAKER_FIELDS])]
type MachineRow = Pick<WeldRecord, (typeof MACHINE_FIELDS)[number]>

export interface MachineRecord {
  readonly sourceId: string
  /** The part nearest its end first. */
  readonly wear: readonly Wear[]
  readonly breakers: readonly BreakerRecord[]
}

/**
 * @param rows that count, of each machine all or the newest `MOST_OF_MACHINE`, in any order
 * @param changes of their parts, in any order
 * @returns a record for every machine that welded, in the order of their first rows
 */
export function machineRecordsOf(
  rows: readonly { readonly body: MachineRow }[],
  changes: readonly { readonly subject: string; readonly body: Replaced }[],
): readonly MachineRecord[] {
  const bySource = new Map<string, { readonly body: MachineRow }[]>()
  for (const row of rows) {
    const { sourceId } = row.body
    if (sourceId === null) continue
    const own = bySource.get(sourceId)
    if (own) own.push(row)
    else bySource.set(sourceId, [row])
  }
  return [...bySource].map(([sourceId, own]) => ({
    sourceId,
    wear: wearOf(
      own,
      changes.filter(({ subject }) => subject === wearSubject(sourceId)),
      own.length < MOST_OF_MACHINE ? '' : own.map(({ body }) => body.weldedAt).toSorted()[0],
    ),
    breakers: breakersOf(own),
  }))
}
