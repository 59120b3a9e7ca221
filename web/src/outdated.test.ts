import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { mayTakeOver } from '../offline/kept.ts'
import { keepOffline } from './keepOffline.ts'
import { isOutdated, reloadOutdated } from './outdated.ts'

const page = (script: string): string =>
  `<html><head><script type="module" src="${script}"></script></head></html>`
const serves = (answer: () => Promise<Response>): void => {
  vi.stubGlobal('fetch', answer)
}

beforeEach(() => {
  // Put in by itself, a script would be fetched.
  const inner = new DOMParser().parseFromString(page('/assets/index-old.js'), 'text/html')
  vi.spyOn(document, 'querySelector').mockImplementation((selector) => inner.querySelector(selector))
})
afterEach(() => {
  vi.restoreAllMocks()
})

it('a page is outdated where the server begins with another script, and only then', async () => {
  serves(async () => new Response(page('/assets/index-new.js')))
  expect(await isOutdated()).toBe(true)
  serves(async () => new Response(page('/assets/index-old.js')))
  expect(await isOutdated()).toBe(false)
  serves(async () => new Response('out of order', { status: 502 }))
  expect(await isOutdated()).toBe(false)
  serves(async () => Promise.reject(new TypeError('down')))
  expect(await isOutdated()).toBe(false)
})

it.each([
  ['/assets/index-new.js', ['/later?x=1']],
  ['/assets/index-old.js', []],
])('a view that is gone from the server is opened anew where that has %s', async (script, opened) => {
  serves(async () => new Response(page(script)))
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', component: {} },
      { path: '/later', component: () => Promise.reject(new TypeError('Failed to fetch')) },
    ],
  })
  const addresses: string[] = []
  reloadOutdated(router, (address) => addresses.push(address))
  await router.push('/later?x=1').catch(() => undefined)
  await vi.waitFor(() => expect(addresses).toEqual(opened))
})

it('a newer worker takes over from a page of its own version that is alone, and from no other', () => {
  const urls = ['index.html', 'assets/index-new.js']
  expect(mayTakeOver(urls, { takeOver: '/assets/index-new.js' }, 1)).toBe(true)
  expect(mayTakeOver(urls, { takeOver: '/assets/index-new.js' }, 2)).toBe(false)
  expect(mayTakeOver(urls, { takeOver: '/assets/index-old.js' }, 1)).toBe(false)
  expect(mayTakeOver(urls, null, 1)).toBe(false)
  expect(mayTakeOver(urls, { takeOver: 7 }, 1)).toBe(false)
})

it('a worker that waits is told which page is there; without workers nothing is kept', async () => {
  const told: unknown[] = []
  const waiting = { postMessage: (data: unknown) => told.push(data) }
  vi.stubGlobal('navigator', { serviceWorker: { register: async () => ({ waiting }) } })
  await keepOffline()
  expect(told).toEqual([{ takeOver: '/assets/index-old.js' }])
  vi.stubGlobal('navigator', {})
  await expect(keepOffline()).resolves.toBeUndefined()
})
