import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'start',
    path: '/start',
    place: 'Shop',
    component: () => import('./StartView.vue'),
  },
]
