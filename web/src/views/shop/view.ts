import type { View } from '../view.ts'

export const VIEWS: readonly View[] = [
  { name: 'shop', path: '/shop', place: { title: 'Shop' }, component: () => import('./ShopView.vue') },
]
