/** The views and their addresses. A view that is not built has no line here and none in the rail. */
import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router'
import FitView from './views/fit/FitView.vue'

export const VIEWS = [
  { name: 'shop', title: 'Shop', also: [] },
  { name: 'equipment', title: 'Equipment', also: [] },
  { name: 'set-up', title: 'Set-ups', also: [] },
  { name: 'jobs', title: 'Jobs', also: ['job'] },
  { name: 'fit', title: 'Fit', also: [] },
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
  { path: '/jobs', name: 'jobs', component: () => import('./views/jobs/JobsView.vue') },
  { path: '/jobs/:jobId', name: 'job', component: () => import('./views/jobs/JobView.vue') },
  { path: '/fit/:jobId?', name: 'fit', component: FitView },
  { path: '/records', name: 'records', component: () => import('./views/records/RecordsView.vue') },
  { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./views/NowhereView.vue') },
]

export const router = createRouter({ history: createWebHistory(), routes })

router.afterEach((to) => {
  const view = VIEWS.find((one) => isHere(one, to.name))
  document.title = view ? `${view.title} · Brannik` : 'Brannik'
})
