import { flushPromises, mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { type ComputedRef, defineComponent, h } from 'vue'
import { createMemoryHistory, createRouter, type RouteRecordRaw } from 'vue-router'
import { routes } from './router.ts'
import { demoWorkspace, shopDocument } from './testing/demo.ts'
import { finder } from './search/finder.ts'
import { type Command, useCommands } from './useCommands.ts'

/** The addresses alone: what stands there is not looked at. */
const addresses = routes.map((route) => ({ ...route, component: () => h('p') }) as RouteRecordRaw)

async function commandsAt(path: string) {
  const { workspace } = await demoWorkspace()
  const router = createRouter({ history: createMemoryHistory(), routes: addresses })
  await router.push(path)
  const helped: string[] = []
  let commands: ComputedRef<readonly Command[]> | undefined
  const Asker = defineComponent(() => {
    commands = useCommands({
      undo: () => undefined,
      redo: () => undefined,
      switchUnits: () => undefined,
      newJob: () => undefined,
      showHelp: (part, search = '') => helped.push(`${part} ${search}`),
    })
    return () => h('p')
  })
  mount(Asker, { global: { plugins: [router] } })
  const find = (title: string): Command => {
    const found = commands?.value.find((one) => one.title === title)
    if (!found) throw new Error(`nothing is called ${title}`)
    return found
  }
  return { workspace, router, find, helped, all: () => commands?.value ?? [] }
}

it('finds every thing of the shelf, and opens it', async () => {
  const { router, find, all } = await commandsAt('/jobs')
  const things = [
    ...shopDocument.powerSources,
    ...shopDocument.guns,
    ...shopDocument.parts,
    ...shopDocument.wires,
  ]
  const titles = new Set(all().map(({ title }) => title))
  expect(things.filter(({ name }) => !titles.has(name))).toEqual([])
  find('Quillon 210').run()
  await flushPromises()
  expect(router.currentRoute.value.fullPath).toBe('/equipment/power-sources/quillon-210')
})

it('opens a job, its fit, a set-up and a list', async () => {
  const { router, all } = await commandsAt('/jobs')
  const go = async (group: string, title: string): Promise<string> => {
    all()
      .find((one) => one.group === group && one.title === title)
      ?.run()
    await flushPromises()
    return router.currentRoute.value.fullPath
  }
  expect(await go('Job', 'Press frame')).toBe('/jobs/press-frame')
  expect(await go('Fit', 'Press frame')).toBe('/jobs/press-frame/fit')
  expect(await go('Parts of set-up', 'Bay 2 wire')).toBe('/set-ups/bay-2-wire')
  expect(await go('Equipment', 'Gas')).toBe('/equipment/gases')
})

it('gives a job another set-up only where its fit is open', async () => {
  const { workspace, all } = await commandsAt('/jobs/press-frame/fit')
  const [take] = all().filter(({ group, title }) => group === 'Set-up' && title === 'Yard, self-shielded')
  take?.run()
  expect(workspace.get('jobs', 'press-frame')?.setUpId).toBe('yard-cored')
  const elsewhere = await commandsAt('/jobs')
  expect(elsewhere.all().filter(({ group }) => group === 'Set-up')).toEqual([])
})

/** The first that is found, as the palette shows it. */
async function first(search: string, path = '/jobs'): Promise<string> {
  const [found] = finder((await commandsAt(path)).all())(search)
  return found ? `${found.group}: ${found.title}` : ''
}

it.each([
  ['help', 'Do: Help: keys'],
  ['print', 'Do: Print this page'],
  ['backup', 'Shop: Records and backup'],
  ['bakcup', 'Shop: Records and backup'],
  ['template', 'Do: Templates'],
  ['duty cycle', 'Word: Duty cycle'],
  ['board', 'Go to: Board'],
  ['press frame', 'Job: Press frame'],
  ['shortcuts', 'Do: Help: keys'],
  ['assumptions', 'Shop: Assumptions'],
])('leads from %s to %s', async (search, found) => {
  expect(await first(search)).toBe(found)
})

it('leads from quote to the fit of a job, and from copy to the open job', async () => {
  expect(await first('quote')).toMatch(/^Fit: /)
  expect(await first('copy', '/jobs/press-frame')).toBe('Do: Copy Press frame')
})

it('copies the open job, and opens the copy', async () => {
  const { workspace, router, find } = await commandsAt('/jobs/press-frame/fit')
  find('Copy Press frame').run()
  await flushPromises()
  const copy = workspace.jobs.find(({ name }) => name === 'Press frame, copy')
  expect(copy?.joints).toEqual(workspace.get('jobs', 'press-frame')?.joints)
  expect(router.currentRoute.value.fullPath).toBe(`/jobs/${copy?.id}`)
})

it('opens the glossary at a word', async () => {
  const { find, helped } = await commandsAt('/jobs')
  find('Duty cycle').run()
  find('Help: keys').run()
  expect(helped).toEqual(['words Duty cycle', 'keys '])
})
