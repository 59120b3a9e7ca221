import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'power',
    path: '/power/:page(shop)?',
    place: 'Power',
    component: () => import('./PowerView.vue'),
  },
]
