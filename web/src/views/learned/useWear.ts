/** Wearing parts and breakers of the machines, by their own log; read once for all who ask, until something is recorded. */
import type { MachineRecord } from '@brannik/core'
import { computed, type ComputedRef, type Ref, type ShallowRef, shallowRef, watch } from 'vue'
import { ask } from '../../api/client.ts'
import { happenings } from '../../shop/happenings.ts'
import { newestLook } from '../../shop/newest.ts'

let known: { readonly at: number; readonly found: Promise<readonly MachineRecord[]> } | null = null

/** @returns a record for every machine in the log */
export function machineRecords(): Promise<readonly MachineRecord[]> {
  if (known?.at === happenings.value) return known.found
  const found = ask<{ readonly items: readonly MachineRecord[] }>('GET', 'wear').then(({ items }) => items)
  const own = { at: happenings.value, found }
  known = own
  // A failure is not kept: the next look reads again.
  found.catch(() => {
    if (known === own) known = null
  })
  return found
}

/** What was recorded here counts before the server has told of it. */
export function forgetRecords(): void {
  known = null
}

/** @returns the records as they come; what was known stays where they cannot be read */
export function useMachineRecords(): Readonly<ShallowRef<readonly MachineRecord[]>> {
  const records = shallowRef<readonly MachineRecord[]>([])
  const newest = newestLook()
  async function look(): Promise<void> {
    const found = await newest(machineRecords)
    if (found) records.value = found
  }
  watch(happenings, () => void look().catch(() => undefined), { immediate: true })
  return records
}

/** @returns what is worn and which breakers tripped, of a machine; null until it is known */
export function useMachineRecord(sourceId: Ref<string | null>): ComputedRef<MachineRecord | null> {
  const records = useMachineRecords()
  return computed(() => records.value.find((one) => one.sourceId === sourceId.value) ?? null)
}
