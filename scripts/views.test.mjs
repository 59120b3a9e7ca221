/** Every view of the application is looked at by the browser tests: by axe, for scrolling sideways, and field by field. */
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { NOTHING_TYPED, VIEWS, WALKS } from '../e2e/views.ts'
import { ROOT } from './lib/run.mjs'

const text = readFileSync(join(ROOT, 'web/src/router.ts'), 'utf8')
/** Each address of the router with a view of its own; the one of nowhere takes all that is left. */
const routes = [...text.matchAll(/path: '([^']+)'(?!, redirect)[^}]*?name: '([\w-]+)'/g)]
  .map(([, path, name]) => ({ path, name, component: {} }))
  .filter(({ name }) => name !== 'nowhere')
const router = createRouter({
  history: createMemoryHistory(),
  routes: [...routes, { path: '/:rest(.*)*', name: 'nowhere', component: {} }],
})
const namesOf = (paths) => [...new Set(paths.map((path) => router.resolve(path).name))].sort()
const every = routes.map(({ name }) => name).sort()

it('reads every route of the application', () => {
  expect(every.length).toBeGreaterThan(10)
  expect(every.length + 2).toBe([...text.matchAll(/\bpath: '/g)].length)
})

it('axe looks at every view', () => {
  expect(namesOf(VIEWS)).toEqual(every)
})

it('every view has its fields walked, or has none', () => {
  expect(namesOf([...WALKS.map(({ path }) => path), ...NOTHING_TYPED])).toEqual(every)
})
