/** The tabs of Shop: what the shop owns, who works there, what the computation assumes, and its records. */
import { computed, type ComputedRef } from 'vue'
import { useRoute, type RouteLocationRaw } from 'vue-router'
import type { PlaceTab } from '../../components/placeTabs.ts'
import { useSession } from '../../shop/session.ts'
import { groupOf, TABS } from '../equipment/tabs.ts'

export function useShopTabs(): ComputedRef<readonly PlaceTab[]> {
  const route = useRoute()
  const session = useSession()
  const firstOf = (group: 'equipment' | 'supply' | 'people'): RouteLocationRaw => ({
    name: 'equipment',
    params: { list: TABS.find((one) => one.group === group)?.path ?? '' },
  })
  return computed(() => {
    const group = route.name === 'equipment' ? groupOf(route.params['list']) : null
    const view = (name: string, title: string): PlaceTab => ({
      title,
      to: { name },
      isHere: route.name === name,
    })
    return [
      { title: 'Equipment', to: firstOf('equipment'), isHere: group === 'equipment' },
      { title: 'Circuits and panels', to: firstOf('supply'), isHere: group === 'supply' },
      { title: 'Welders', to: firstOf('people'), isHere: group === 'people' },
      ...(session.isOwner ? [view('people', 'People')] : []),
      view('assumptions', 'Assumptions'),
      view('learned', 'Learned'),
      view('shop', 'Units and rules'),
      view('records', 'Records and backup'),
    ]
  })
}
