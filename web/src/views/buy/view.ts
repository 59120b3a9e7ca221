import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'buy',
    path: '/buy/:part?/:id?',
    place: 'Buy',
    help: [
      'What to get so that every planned job can be done, at the lowest price.',
      'Ways to do a job compares single purchases. Requirements lists what a machine must be able to do.',
    ],
    component: () => import('./BuyView.vue'),
  },
]
