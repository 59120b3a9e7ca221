import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'records',
    path: '/records',
    place: { title: 'Records' },
    component: () => import('./RecordsView.vue'),
  },
]
