import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  { name: 'week', path: '/week', place: 'Board', title: 'Week', component: () => import('./WeekView.vue') },
]
