/** The backups of the shop, and how old the latest is: known all over the page. */
import { differenceInDays, differenceInSeconds, formatDistanceToNowStrict, parseISO } from 'date-fns'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { ask } from '../api/client.ts'

export interface Backup {
  readonly name: string
  readonly at: string
  readonly bytes: number
  readonly why: string
}
interface Backups {
  readonly isPossible: boolean
  readonly keepDays: number
  readonly items: readonly Backup[]
}

/** After this many days without one the page says so. */
const OLD_DAYS = 7

export const useBackups = defineStore('backups', () => {
  const all = ref<Backups | null>(null)
  /** Ages go on while nothing else changes. */
  const now = ref(0)

  async function find(): Promise<void> {
    all.value = await ask<Backups>('GET', 'backups')
    now.value += 1
  }
  async function make(): Promise<Backup> {
    const made = await ask<Backup>('POST', 'backups', {})
    await find()
    return made
  }

  const latest = computed(() => all.value?.items[0] ?? null)
  const isPossible = computed(() => all.value?.isPossible ?? false)
  /** `just now`, `3 hours ago`; null where there is none. */
  const age = computed(() => {
    if (!latest.value || now.value === 0) return null
    const at = parseISO(latest.value.at)
    return differenceInSeconds(new Date(), at) < 60
      ? 'just now'
      : formatDistanceToNowStrict(at, { addSuffix: true })
  })
  const isOld = computed(
    () =>
      now.value > 0 && (!latest.value || differenceInDays(new Date(), parseISO(latest.value.at)) >= OLD_DAYS),
  )
  return { all, find, make, latest, isPossible, age, isOld }
})
