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
  {
    name: 'movements',
    path: '/stores/movements/:item?',
    place: 'Stores',
    title: 'Movements',
    component: () => import('./MovementsView.vue'),
  },
  {
    name: 'store-records',
    path: '/stores/:list(cylinders|spools|suppliers|offers)/:id?',
    place: 'Stores',
    title: 'Stores',
    component: () => import('../equipment/EquipmentView.vue'),
  },
]
