import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'change-over',
    path: '/change-over/:id?',
    place: 'Set-ups',
    help: [
      'The steps from what is on the machine now to the set-up you want, in the order hands do them.',
      'Start, tick each step, finish. The machine then has the new set-up, and the minutes are learned.',
    ],
    title: 'Change over',
    component: () => import('./ChangeOverView.vue'),
  },
]
