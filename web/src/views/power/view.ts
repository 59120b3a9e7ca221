import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'power',
    path: '/power/:page(shop)?',
    place: { title: 'Power' },
    component: () => import('./PowerView.vue'),
  },
]
