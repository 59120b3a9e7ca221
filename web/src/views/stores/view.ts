import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'stores',
    path: '/stores',
    place: 'Stores',
    component: () => import('./OnHandView.vue'),
  },
  {
    name: 'runs-out',
    path: '/stores/runs-out',
    place: 'Stores',
    title: 'Runs out',
    component: () => import('./RunsOutView.vue'),
  },
  {
    name: 'order',
    path: '/stores/order',
    place: 'Stores',
    title: 'Order',
    component: () => import('./OrderView.vue'),
  },
]
