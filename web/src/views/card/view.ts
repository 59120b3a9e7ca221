import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'card',
    path: '/jobs/:jobId/card',
    place: 'Jobs',
    title: 'Card',
    component: () => import('./CardView.vue'),
  },
]
