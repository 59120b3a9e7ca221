import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'change-over',
    path: '/change-over/:id?',
    place: 'Set-ups',
    title: 'Change over',
    component: () => import('./ChangeOverView.vue'),
  },
]
