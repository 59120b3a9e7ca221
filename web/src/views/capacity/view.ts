import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'capacity',
    path: '/capacity/:id?',
    place: 'Set-ups',
    title: 'Capacity',
    component: () => import('./CapacityView.vue'),
  },
]
