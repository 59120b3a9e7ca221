import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'card',
    path: '/jobs/:jobId/card',
    place: 'Jobs',
    help: [
      'One page for the machine: figures, leads, parts and steps of one weld with its set-up.',
      'Print it, or open it on a tablet. Tick the steps: who and when is recorded.',
    ],
    title: 'Card',
    component: () => import('./CardView.vue'),
  },
]
