import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  { name: 'start', path: '/start', place: 'shop', component: () => import('./StartView.vue') },
]
