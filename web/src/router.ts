/** The addresses of the views. */
import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router'
import { VIEWS } from './views/index.ts'

export const routes: RouteRecordRaw[] = [
  { path: '/', redirect: { name: 'today' } },
  // Bookmarks from the time when the fit was a place of its own.
  { path: '/fit', redirect: { name: 'jobs' } },
  { path: '/fit/:jobId', redirect: ({ params }) => ({ name: 'fit', params }) },
  ...VIEWS.map(({ name, path, component }): RouteRecordRaw => ({ name, path, component })),
  { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./views/NowhereView.vue') },
]

export const router = createRouter({ history: createWebHistory(), routes })
