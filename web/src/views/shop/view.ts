import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'shop',
    path: '/shop',
    place: 'Shop',
    component: () => import('./ShopView.vue'),
  },
  {
    name: 'assumptions',
    path: '/assumptions',
    place: 'Shop',
    title: 'Assumptions',
    component: () => import('./AssumptionsView.vue'),
  },
]
