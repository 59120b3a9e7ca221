import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'log',
    path: '/jobs/:jobId/log',
    place: 'Jobs',
    title: 'Log',
    component: () => import('./LogView.vue'),
  },
  {
    name: 'monitor',
    path: '/jobs/:jobId/monitor',
    place: 'Jobs',
    title: 'Arc monitor',
    component: () => import('./MonitorView.vue'),
  },
]
