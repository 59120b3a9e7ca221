/** Every whole set-up there is, for searches that are held to trying everything. */
import { type Chosen, needsOf } from '../capability/slots.ts'
import { itemsFor, SLOTS } from '../kinds/slots.ts'
import type { ProcessId } from '../model/process.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { PROCESSES } from '../reference/processes.ts'

/** Fills the places one after the other, without looking at a criterion before all are full. */
export function* everyWhole(chosen: Chosen, process: ProcessId, shelf: Shelf, at = 0): Generator<Chosen> {
  const slot = SLOTS[at]
  if (slot === undefined) {
    yield chosen
    return
  }
  const isNeeded = needsOf({ ...chosen, process: PROCESSES[process] }).some((need) => need.slot === slot)
  if (!isNeeded || chosen[slot] !== null) {
    yield* everyWhole(chosen, process, shelf, at + 1)
    return
  }
  for (const item of itemsFor(slot, shelf))
    yield* everyWhole({ ...chosen, [slot]: item }, process, shelf, at + 1)
}
