/** The views and their addresses. A view that is not built has no line here and none in the rail. */
import { createRouter, createWebHistory } from 'vue-router'
import FitView from './views/fit/FitView.vue'

export const VIEWS = [
  { name: 'shop', title: 'Shop' },
  { name: 'jobs', title: 'Jobs' },
  { name: 'fit', title: 'Fit' },
] as const

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: { name: 'fit' } },
    { path: '/shop', name: 'shop', component: () => import('./views/shop/ShopView.vue') },
    { path: '/jobs', name: 'jobs', component: () => import('./views/jobs/JobsView.vue') },
    { path: '/fit/:jobId?', name: 'fit', component: FitView },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./views/NowhereView.vue') },
  ],
})

router.afterEach((to) => {
  const view = VIEWS.find(({ name }) => name === to.name)
  document.title = view ? `${view.title} · Brannik` : 'Brannik'
})
