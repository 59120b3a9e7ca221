import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'records',
    path: '/records',
    place: 'Shop',
    title: 'Records and backup',
    component: () => import('./RecordsView.vue'),
  },
  {
    name: 'people',
    path: '/people',
    place: 'Shop',
    title: 'People',
    component: () => import('./PeopleView.vue'),
  },
]
