/** The tabs of Stores: what is there, when it ends, what to order. */
import { computed, type ComputedRef } from 'vue'
import { useRoute } from 'vue-router'
import type { PlaceTab } from '../../components/placeTabs.ts'

const TABS = [
  { name: 'stores', title: 'On hand', lists: ['cylinders', 'spools'], views: ['movements'] },
  { name: 'runs-out', title: 'Runs out', lists: [], views: [] },
  { name: 'order', title: 'Order', lists: ['suppliers', 'offers'], views: ['purchase-order'] },
] as const

export function useStoresTabs(): ComputedRef<readonly PlaceTab[]> {
  const route = useRoute()
  const isOn = ({ name, lists, views }: (typeof TABS)[number]): boolean =>
    [name, ...views].some((one) => one === route.name) ||
    (route.name === 'store-records' && lists.some((list) => list === route.params['list']))
  return computed(() => TABS.map((tab) => ({ title: tab.title, to: { name: tab.name }, isHere: isOn(tab) })))
}
