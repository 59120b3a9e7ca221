/** Criteria of the part in one place of a set-up. */
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import type { Slot } from '../kinds/slots.ts'
import { PROCESS_IDS, type ProcessId } from '../model/process.ts'
import { PROCESSES } from '../reference/processes.ts'
import { isConsequence } from './chosen.ts'
import { type Assessment, type Criterion, slotsOf } from './criterion.ts'
import { CRITERIA } from './list.ts'

const ofSlots = (process: ProcessId) => {
  const bySlot = new Map<Slot, Criterion[]>()
  for (const criterion of CRITERIA)
    for (const slot of slotsOf(criterion, PROCESSES[process]))
      bySlot.set(slot, [...(bySlot.get(slot) ?? []), criterion])
  return bySlot
}
const BY_SLOT = new Map(PROCESS_IDS.map((process) => [process, ofSlots(process)]))

/** @returns the criteria whose answer depends on the part in one place */
export const criteriaOfSlot = (slot: Slot, process: ProcessId): readonly Criterion[] =>
  BY_SLOT.get(process)?.get(slot) ?? []

/**
 * @returns what is to be said of the part in one place; what only follows from something else is left out
 * @example assessSlot('tip', capability, null).map(({ criterion }) => criterion) // ['tip-bore', …]
 */
export const assessSlot = (
  slot: Slot,
  capability: Capability,
  demand: Demand | null,
): readonly Assessment[] =>
  criteriaOfSlot(slot, capability.process.id).flatMap((criterion) => {
    const found = criterion.assess(capability, demand)
    return found && !isConsequence(found) ? [found] : []
  })
