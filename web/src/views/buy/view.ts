import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'buy',
    path: '/buy/:part?/:id?',
    place: 'Buy',
    component: () => import('./BuyView.vue'),
  },
]
