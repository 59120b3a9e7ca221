/** The copy for when the server does not respond. */
import type { TakeOver } from '../offline/kept.ts'
import { scriptOf } from './outdated.ts'

/** Has the service worker keep pages and shop for when the server does not respond. */
export async function keepOffline(): Promise<void> {
  // Away from loopback and TLS a browser has none.
  const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined
  const registered = await workers?.register('/worker.js')
  const script = scriptOf(document)
  if (script) registered?.waiting?.postMessage({ takeOver: script } satisfies TakeOver)
}
