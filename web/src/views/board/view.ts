import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'board',
    path: '/board/:by(set-ups)?',
    place: 'Board',
    help: [
      'Rows are jobs, columns are machines on their circuits.',
      'Each cell shows the best way this machine can do the job with what you own.',
      'Press a cell for the reason, other ways and other machines. By set-up shows your recorded set-ups as columns.',
    ],
    component: () => import('./BoardView.vue'),
  },
]
