import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'start',
    path: '/start',
    place: 'Shop',
    help: ['Enter circuits, machines and a first job. Everything can be changed later.'],
    component: () => import('./StartView.vue'),
  },
]
