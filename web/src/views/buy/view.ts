import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'buy',
    path: '/buy/:part?/:id?',
    place: { title: 'Buy' },
    component: () => import('./BuyView.vue'),
  },
]
