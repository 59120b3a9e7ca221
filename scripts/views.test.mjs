/** Every view of the application is looked at by the browser tests: by axe, for scrolling sideways, and field by field. */
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { NOTHING_TYPED, VIEWS, WALKS } from '../e2e/views.ts'
import { ROOT } from './lib/run.mjs'

const FOLDER = join(ROOT, 'web/src/views')
const folders = readdirSync(FOLDER).filter((name) => existsSync(join(FOLDER, name, 'view.ts')))
const texts = folders.map((name) => readFileSync(join(FOLDER, name, 'view.ts'), 'utf8'))
/** Each address of the application with a view of its own. */
const routes = texts.flatMap((text) =>
  [...text.matchAll(/name: '([\w-]+)',\s+path: '([^']+)'/g)].map(([, name, path]) => ({
    path,
    name,
    component: {},
  })),
)
const router = createRouter({
  history: createMemoryHistory(),
  routes: [...routes, { path: '/:rest(.*)*', name: 'nowhere', component: {} }],
})
const namesOf = (paths) => [...new Set(paths.map((path) => router.resolve(path).name))].sort()
const every = routes.map(({ name }) => name).sort()

it('reads every view of the application, and each is in its list', () => {
  expect(every.length).toBeGreaterThan(10)
  expect(every.length).toBe(texts.join('').match(/\bpath: '/g).length)
  const list = readFileSync(join(FOLDER, 'index.ts'), 'utf8')
  for (const name of folders) expect(list).toContain(`'./${name}/view.ts'`)
})

it('axe looks at every view', () => {
  expect(namesOf(VIEWS)).toEqual(every)
})

it('every view has its fields walked, or has none', () => {
  expect(namesOf([...WALKS.map(({ path }) => path), ...NOTHING_TYPED])).toEqual(every)
})
