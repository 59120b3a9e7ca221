import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  { name: 'jobs', path: '/jobs', place: { title: 'Jobs' }, component: () => import('./JobsView.vue') },
  { name: 'job', path: '/jobs/:jobId', place: 'jobs', component: () => import('./JobView.vue') },
]
