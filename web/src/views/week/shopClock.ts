/** What the clock of the shop says now, as minutes since 1 January 1970. */
import { dayOf, minuteOf } from '@brannik/core'
import { useNow } from '@vueuse/core'
import { computed, type ComputedRef } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'

const STEP_MIN = 5

/** @param zone null takes the zone of this device */
export function shopMinute(at: Date, zone: string | null): number {
  const parts = new Intl.DateTimeFormat('en-CA', {
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
    ...(zone === null ? {} : { timeZone: zone }),
  }).formatToParts(at)
  const of = (type: Intl.DateTimeFormatPartTypes): string =>
    parts.find((one) => one.type === type)?.value ?? ''
  return minuteOf(`${of('year')}-${of('month')}-${of('day')}T${of('hour')}:${of('minute')}`)
}

export interface ShopClock {
  /** In steps of five minutes: a plan does not move with every second. */
  readonly nowMin: ComputedRef<number>
  /** ISO 8601. */
  readonly today: ComputedRef<string>
}
export function useShopClock(): ShopClock {
  const workspace = useWorkspace()
  const now = useNow({ interval: 20_000 })
  const nowMin = computed(() => {
    const minute = shopMinute(now.value, workspace.shop?.timeZone ?? null)
    return Math.floor(minute / STEP_MIN) * STEP_MIN
  })
  return { nowMin, today: computed(() => dayOf(nowMin.value)) }
}
