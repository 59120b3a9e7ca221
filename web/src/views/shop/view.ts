import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'shop',
    path: '/shop',
    place: 'Shop',
    help: ['Units, spelling and the rule book by which circuits are judged.'],
    component: () => import('./ShopView.vue'),
  },
  {
    name: 'assumptions',
    path: '/assumptions',
    place: 'Shop',
    help: [
      'Every figure that Brannik assumes, with its source. Change what you know better.',
      'The right column shows how many verdicts change if the value is off by 10 %.',
    ],
    title: 'Assumptions',
    component: () => import('./AssumptionsView.vue'),
  },
]
