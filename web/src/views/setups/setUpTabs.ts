/** The tabs of Set-ups, which keep the set-up in hand. */
import { computed, type ComputedRef } from 'vue'
import { useRoute } from 'vue-router'
import type { PlaceTab } from '../../components/placeTabs.ts'

const TABS = [
  { name: 'set-up', title: 'Parts' },
  { name: 'capacity', title: 'Capacity' },
  { name: 'change-over', title: 'Change over' },
] as const

export function useSetUpTabs(): ComputedRef<readonly PlaceTab[]> {
  const route = useRoute()
  return computed(() =>
    TABS.map(({ name, title }) => ({
      title,
      to: { name, params: { id: route.params['id'] ?? '' } },
      isHere: route.name === name,
    })),
  )
}
