/**
 * The service worker: without the server the views still load, with the shop as it was last fetched. What is there is
 * always asked of the server first; what is kept only answers where it does not, and says since when it is kept.
 */
import { clientsClaim } from 'workbox-core'
import { matchPrecache, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { BEGINNINGS, dropKept, epochIn, isKept, keptOf, KEPT_AT, mayTakeOver, OF_NO_SHOP } from './kept.ts'

declare const self: ServiceWorkerGlobalScope & { readonly __WB_MANIFEST: readonly PrecacheEntry[] }

/** A proxy may stand where the server does not, and say so. */
const NO_SERVER = [502, 504]

async function keep(request: Request, response: Response): Promise<void> {
  const headers = new Headers(response.headers)
  headers.set(KEPT_AT, new Date().toISOString())
  const epoch = epochIn(response)
  if (epoch !== null) await dropKept([keptOf(epoch), OF_NO_SHOP])
  const cache = await caches.open(epoch === null ? OF_NO_SHOP : keptOf(epoch))
  await cache.put(request.url, new Response(await response.blob(), { headers }))
}

/** From the server; where it does not answer, as it was kept. */
async function fromServer(request: Request): Promise<Response> {
  const fromKept = () => caches.match(request.url)
  try {
    const response = await fetch(request)
    if (NO_SERVER.includes(response.status)) return (await fromKept()) ?? response
    // Whoever is no longer let in has nothing kept either.
    if (response.status === 401) await dropKept()
    else if (response.ok) await keep(request, response.clone())
    return response
  } catch (error) {
    const kept = await fromKept()
    if (kept) return kept
    throw error
  }
}

/** A view: the page of the server, which may be newer; without it the one that is kept. */
async function page(request: Request): Promise<Response> {
  const kept = () => matchPrecache('index.html')
  try {
    const response = await fetch(request)
    return NO_SERVER.includes(response.status) ? ((await kept()) ?? response) : response
  } catch (error) {
    const found = await kept()
    if (found) return found
    throw error
  }
}

/** The page that brought the worker had fetched the shop before there was one. */
async function keepBeginnings(): Promise<void> {
  for (const path of BEGINNINGS) await fromServer(new Request(path))
}

const FILES = self.__WB_MANIFEST
const URLS = FILES.map((entry) => (typeof entry === 'string' ? entry : entry.url))
self.addEventListener('message', (event) => {
  const data: unknown = event.data
  const takeOver = async (): Promise<void> => {
    const pages = await self.clients.matchAll({ type: 'window', includeUncontrolled: true })
    if (mayTakeOver(URLS, data, pages.length)) await self.skipWaiting()
  }
  event.waitUntil(takeOver())
})
clientsClaim()
self.addEventListener('activate', (event) => {
  event.waitUntil(keepBeginnings())
})
registerRoute(new NavigationRoute(({ request }) => page(request), { denylist: [/^\/(api|metrics|here)\b/] }))
registerRoute(
  ({ request, url }) => request.method === 'GET' && isKept(url.pathname),
  ({ request }) => fromServer(request),
)
// Names with a hash never change: no server is asked for them.
precacheAndRoute([...FILES], { directoryIndex: '', cleanURLs: false })
