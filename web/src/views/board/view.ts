import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  { name: 'board', path: '/board', place: 'Board', component: () => import('./BoardView.vue') },
]
