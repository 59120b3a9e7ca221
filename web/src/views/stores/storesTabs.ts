/** The tabs of Stores: what is there, when it ends, what to order. */
import { computed, type ComputedRef } from 'vue'
import { useRoute } from 'vue-router'
import type { PlaceTab } from '../../components/placeTabs.ts'

const TABS = [
  { name: 'stores', title: 'On hand' },
  { name: 'runs-out', title: 'Runs out' },
  { name: 'order', title: 'Order' },
] as const

export function useStoresTabs(): ComputedRef<readonly PlaceTab[]> {
  const route = useRoute()
  return computed(() => TABS.map(({ name, title }) => ({ title, to: { name }, isHere: route.name === name })))
}
