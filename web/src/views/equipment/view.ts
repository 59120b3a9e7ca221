import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'equipment',
    path: '/equipment/:list?/:id?',
    place: 'Shop',
    title: 'Equipment',
    component: () => import('./EquipmentView.vue'),
  },
]
