import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'learned',
    path: '/learned',
    place: 'Shop',
    title: 'Learned',
    component: () => import('./LearnedView.vue'),
  },
]
