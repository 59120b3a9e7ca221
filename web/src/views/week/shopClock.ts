/** What the clock of the shop says now, as minutes since 1 January 1970. */
import { dayOf } from '@brannik/core'
import { useNow } from '@vueuse/core'
import { computed, type ComputedRef } from 'vue'
import { shopMinute } from '../../shop/shopTime.ts'
import { useWorkspace } from '../../shop/workspace.ts'

const STEP_MIN = 5

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
    const minute = shopMinute(now.value, workspace.timeZone)
    return Math.floor(minute / STEP_MIN) * STEP_MIN
  })
  return { nowMin, today: computed(() => dayOf(nowMin.value)) }
}
