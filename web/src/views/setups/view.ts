import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'set-up',
    path: '/set-ups/:id?',
    place: 'Set-ups',
    help: [
      'A set-up is what you use together, from circuit to contact tip.',
      'Each place shows what fits it. What does not fit says why.',
    ],
    component: () => import('./SetUpView.vue'),
  },
]
