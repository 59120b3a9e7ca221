/** The tabs of Board: by machine, by set-up, in which order. */
import { computed, type ComputedRef } from 'vue'
import { useRoute } from 'vue-router'
import type { PlaceTab } from '../../components/placeTabs.ts'

export function useBoardTabs(): ComputedRef<readonly PlaceTab[]> {
  const route = useRoute()
  return computed(() => {
    const isBySetUp = route.name === 'board' && route.params['by'] === 'set-ups'
    return [
      {
        title: 'By machine',
        to: { name: 'board', params: { by: undefined } },
        isHere: route.name === 'board' && !isBySetUp,
      },
      { title: 'By set-up', to: { name: 'board', params: { by: 'set-ups' } }, isHere: isBySetUp },
      { title: 'Week', to: { name: 'week' }, isHere: route.name === 'week' },
    ]
  })
}
