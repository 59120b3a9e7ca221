import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'jobs',
    path: '/jobs',
    place: 'Jobs',
    component: () => import('./JobsView.vue'),
  },
  {
    name: 'job',
    path: '/jobs/:jobId',
    place: 'Jobs',
    component: () => import('./JobView.vue'),
  },
  {
    name: 'job-order',
    path: '/jobs/:jobId/order',
    place: 'Jobs',
    title: 'Order and times',
    component: () => import('./JobView.vue'),
  },
]
