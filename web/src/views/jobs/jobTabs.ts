/** The tabs of one job. */
import { computed, type ComputedRef } from 'vue'
import { useRoute } from 'vue-router'
import type { PlaceTab } from '../../components/placeTabs.ts'

const TABS = [
  { name: 'job', title: 'Welds' },
  { name: 'fit', title: 'Fit' },
  { name: 'card', title: 'Card' },
  { name: 'log', title: 'Log' },
  { name: 'cost', title: 'Cost and quote' },
  { name: 'job-order', title: 'Order and times' },
] as const

export function useJobTabs(jobId: () => string): ComputedRef<readonly PlaceTab[]> {
  const route = useRoute()
  return computed(() =>
    TABS.map(({ name, title }) => ({
      title,
      to: { name, params: { jobId: jobId() } },
      isHere: route.name === name,
    })),
  )
}
