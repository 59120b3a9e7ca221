import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'board',
    path: '/board/:by(set-ups)?',
    place: 'Board',
    component: () => import('./BoardView.vue'),
  },
]
