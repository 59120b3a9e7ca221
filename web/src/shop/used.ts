/** What was taken from the stores for each job, by the ledger: what is left to take is less by that. */
import type { UsedForJob } from '@brannik/core'
import { useDebounceFn } from '@vueuse/core'
import { type ShallowRef, watch } from 'vue'
import { ask } from '../api/client.ts'
import { happenings } from './happenings.ts'
import { newestLook } from './newest.ts'

export type Used = UsedForJob & { readonly id: string }

/** Several movements in a row are one look. */
const TOGETHER_MS = 300

let stop: (() => void) | null = null
/** Keeps the list as the ledger has it, from now on; a list that is the same stays the same object. */
export async function followUsed(used: ShallowRef<readonly Used[]>): Promise<void> {
  let text = JSON.stringify([])
  const newest = newestLook()
  async function look(): Promise<void> {
    try {
      const balances = await newest(() =>
        ask<{ readonly used: readonly UsedForJob[] }>('GET', 'ledger/balances'),
      )
      if (!balances) return
      const { used: found } = balances
      const now = JSON.stringify(found)
      if (now === text) return
      text = now
      used.value = found.map((one) => ({ ...one, id: `${one.jobId} ${one.item}` }))
    } catch {
      // Without it each job is held against its whole need: never less than it takes.
    }
  }
  stop?.()
  stop = watch(happenings, useDebounceFn(look, TOGETHER_MS))
  used.value = []
  await look()
}
