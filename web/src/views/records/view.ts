import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  {
    name: 'records',
    path: '/records',
    place: 'Shop',
    help: ['Backups, the list of changes, deleted records and access for programs.'],
    title: 'Records and backup',
    component: () => import('./RecordsView.vue'),
  },
  {
    name: 'people',
    path: '/people',
    place: 'Shop',
    help: ['Who may sign in, and what each may change.'],
    title: 'People',
    component: () => import('./PeopleView.vue'),
  },
]
