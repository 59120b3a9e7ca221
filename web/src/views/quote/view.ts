import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'cost',
    path: '/jobs/:jobId/cost',
    place: 'Jobs',
    title: 'Cost and quote',
    component: () => import('./CostView.vue'),
  },
]
