import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'equipment',
    path: '/equipment/:list?/:id?',
    place: 'Shop',
    help: [
      'What you own and what you may buy. Click a name to edit it.',
      'Add common items from the library, or enter a machine from its data plate.',
    ],
    title: 'Equipment',
    component: () => import('./EquipmentView.vue'),
  },
]
