import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'power',
    path: '/power/:page(shop)?',
    place: 'Power',
    help: [
      'One job on every circuit, or the whole shop at once.',
      'Hold means the breaker carries it. May trip means it depends on the breaker and on the day.',
    ],
    component: () => import('./PowerView.vue'),
  },
]
