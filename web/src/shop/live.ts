/** Hears what others change, as long as the page is open: from the thread that all pages share, where the browser has such. */
import type { Asked } from './hub.worker.ts'
import { openStream, type Told } from './stream.ts'

type Hearing = (since: string | null, tell: (told: Told) => void) => () => void

const shared: Hearing = (since, tell) => {
  const { port } = new SharedWorker(new URL('./hub.worker.ts', import.meta.url), {
    type: 'module',
    name: 'brannik changes',
  })
  const ask = (asked: Asked): void => {
    port.postMessage(asked)
  }
  let position = since
  port.onmessage = ({ data }: MessageEvent<Told>) => {
    if (data.what === 'position') ({ position } = data)
    tell(data)
  }
  // A page that a browser puts aside to come back to it hears nothing meanwhile.
  const leave = (): void => ask({})
  const back = ({ persisted }: PageTransitionEvent): void => {
    if (persisted) ask({ hear: { since: position } })
  }
  window.addEventListener('pagehide', leave)
  window.addEventListener('pageshow', back)
  ask({ hear: { since } })
  return () => {
    window.removeEventListener('pagehide', leave)
    window.removeEventListener('pageshow', back)
    leave()
    port.close()
  }
}

/**
 * @param since up to where the page has heard already; null where it does not know: then all is lost
 * @returns stops listening
 */
export const hearChanges: Hearing = (since, tell) =>
  (typeof SharedWorker === 'undefined' ? openStream : shared)(since, tell)
