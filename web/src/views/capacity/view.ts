import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'capacity',
    path: '/capacity/:id?',
    place: 'set-up',
    component: () => import('./CapacityView.vue'),
  },
]
