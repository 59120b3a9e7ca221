/** The views and their addresses. A view that is not built has no line here and none in the rail. */
import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router'
import FitView from './views/fit/FitView.vue'

export const VIEWS = [
  { name: 'shop', title: 'Shop', also: ['start'] },
  { name: 'equipment', title: 'Equipment', also: [] },
  { name: 'set-up', title: 'Set-ups', also: ['capacity'] },
  { name: 'jobs', title: 'Jobs', also: ['job'] },
  { name: 'fit', title: 'Fit', also: [] },
  { name: 'board', title: 'Board', also: [] },
  { name: 'power', title: 'Power', also: [] },
  { name: 'buy', title: 'Buy', also: [] },
  { name: 'records', title: 'Records', also: [] },
] as const

/** A view is open where its own address is, or one below it. */
export const isHere = (view: (typeof VIEWS)[number], routeName: unknown): boolean =>
  view.name === routeName || (view.also as readonly unknown[]).includes(routeName)

export const routes: RouteRecordRaw[] = [
  { path: '/', redirect: { name: 'fit' } },
  { path: '/shop', name: 'shop', component: () => import('./views/shop/ShopView.vue') },
  {
    path: '/equipment/:list?/:id?',
    name: 'equipment',
    component: () => import('./views/equipment/EquipmentView.vue'),
  },
  { path: '/set-ups/:id?', name: 'set-up', component: () => import('./views/setups/SetUpView.vue') },
  {
    path: '/capacity/:id?',
    name: 'capacity',
    component: () => import('./views/capacity/CapacityView.vue'),
  },
  { path: '/jobs', name: 'jobs', component: () => import('./views/jobs/JobsView.vue') },
  { path: '/jobs/:jobId', name: 'job', component: () => import('./views/jobs/JobView.vue') },
  { path: '/fit/:jobId?', name: 'fit', component: FitView },
  { path: '/board', name: 'board', component: () => import('./views/board/BoardView.vue') },
  { path: '/power/:page(shop)?', name: 'power', component: () => import('./views/power/PowerView.vue') },
  { path: '/buy/:part?/:id?', name: 'buy', component: () => import('./views/buy/BuyView.vue') },
  { path: '/start', name: 'start', component: () => import('./views/start/StartView.vue') },
  { path: '/records', name: 'records', component: () => import('./views/records/RecordsView.vue') },
  { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./views/NowhereView.vue') },
]

export const router = createRouter({ history: createWebHistory(), routes })
