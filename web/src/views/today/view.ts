import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  { name: 'today', path: '/today', place: 'Today', component: () => import('./TodayView.vue') },
]
