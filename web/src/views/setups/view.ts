import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'set-up',
    path: '/set-ups/:id?',
    place: 'Set-ups',
    component: () => import('./SetUpView.vue'),
  },
]
