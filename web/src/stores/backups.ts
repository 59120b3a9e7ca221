/** The backups of the shop, and how old the latest is: known all over the page. */
import { differenceInHours, differenceInSeconds, formatDistanceToNowStrict, parseISO } from 'date-fns'
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
  /** How old the latest may become; 0: only by hand. */
  readonly everyHours: number
  readonly hasSecondPlace: boolean
  readonly freeBytes: number | null
  /** Whether the disk of the database is nearly full. */
  readonly isDiskTight: boolean
  /** Why the last one by the clock was not made. */
  readonly problem: string | null
  /** The one that was put back into a scratch database, to see whether it can be. */
  readonly tried: { readonly name: string; readonly at: string; readonly problem: string | null } | null
  readonly items: readonly Backup[]
}

/** After this many days without one the page says so, where the clock makes none. */
const OLD_DAYS = 7
/** The clock may be late by a night in which the machine was off. */
const LATE_HOURS = 24
/** So many more must fit. */
const MORE = 3
const LEAST_FREE_BYTES = 500e6

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
  const isOld = computed(() => {
    if (now.value === 0) return false
    if (!latest.value) return true
    const { everyHours = 0 } = all.value ?? {}
    const most = everyHours > 0 ? everyHours + LATE_HOURS : OLD_DAYS * 24
    return differenceInHours(new Date(), parseISO(latest.value.at)) >= most
  })
  const isTight = computed(() => {
    const { freeBytes = null } = all.value ?? {}
    return freeBytes !== null && freeBytes < Math.max(LEAST_FREE_BYTES, MORE * (latest.value?.bytes ?? 0))
  })
  /** What is wrong with them, each with its remedy; the worst first. */
  const warnings = computed((): readonly string[] => {
    const { problem = null, tried = null, isDiskTight = false } = all.value ?? {}
    return [
      ...(isDiskTight
        ? ['The database disk is almost full. Free some space. Below 100 MB nothing can be saved.']
        : []),
      ...(tried?.problem
        ? [`The backup ${tried.name} failed its restore test: ${tried.problem} Back up now.`]
        : []),
      ...(problem === null ? [] : [`The last automatic backup failed: ${problem}`]),
      ...(isTight.value
        ? ['The backup disk is almost full. Free space, or set BACKUP_FOLDER to another disk.']
        : []),
    ]
  })
  return { all, find, make, latest, isPossible, age, isOld, warnings }
})
