import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'capacity',
    path: '/capacity/:id?',
    place: 'Set-ups',
    help: [
      'The thinnest and the thickest part that each set-up welds, by metal and joint.',
      'The limit is named: the arc, the wire, the source or the circuit.',
    ],
    title: 'Capacity',
    component: () => import('./CapacityView.vue'),
  },
]
