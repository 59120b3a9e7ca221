import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'jobs',
    path: '/jobs',
    place: 'Jobs',
    help: [
      'Every job with its verdict, its set-up and what is still to settle.',
      'Open a job for its welds. Open Fit to see whether its set-up can do it.',
    ],
    component: () => import('./JobsView.vue'),
  },
  {
    name: 'job',
    path: '/jobs/:jobId',
    place: 'Jobs',
    help: [
      'List the welds: joint, part, length and number. Type them as you would on a drawing, for example 1/4 fillet 3-6.',
      'The advice beside a weld comes from its own figures. Nothing is saved until a line is complete.',
    ],
    component: () => import('./JobView.vue'),
  },
  {
    name: 'job-order',
    path: '/jobs/:jobId/order',
    place: 'Jobs',
    help: [
      'The order of the welds and how long each takes.',
      'Arc time comes from the weld. Fit-up and handling times are your own.',
    ],
    title: 'Order and times',
    component: () => import('./JobView.vue'),
  },
]
