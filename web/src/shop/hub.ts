/**
 * One stream of changes for all pages of a browser: a browser allows six connections to one server, and a stream a page
 * would leave none for the sixth page to load with.
 *
 * A page that comes later has heard less or more than the common stream. So it is first put on the common stream, and
 * then told what it missed by a short stream of its own, which ends at the first position: what is told twice does no
 * harm, and nothing lies between the two.
 */
import { openStream, type Told } from './stream.ts'

export interface Page {
  postMessage(told: Told): void
}

export function createHub(open: typeof openStream = openStream) {
  interface Catching {
    readonly end: () => void
    isCaughtUp: boolean
  }
  const pages = new Map<Page, Catching>()
  let stop: (() => void) | null = null

  return {
    /** @param since up to where the page has heard; null where it does not know */
    hear(page: Page, since: string | null): void {
      this.leave(page)
      if (stop === null) {
        pages.set(page, { end: () => undefined, isCaughtUp: true })
        stop = open(since, (told) => {
          // Where the common stream stands says nothing of a page that has not heard all before it.
          for (const [one, { isCaughtUp }] of pages)
            if (isCaughtUp || told.what !== 'position') one.postMessage(told)
        })
        return
      }
      const catching: Catching = {
        isCaughtUp: false,
        end: open(since, (told) => {
          if (catching.isCaughtUp) return
          page.postMessage(told)
          if (told.what !== 'position') return
          catching.isCaughtUp = true
          catching.end()
        }),
      }
      pages.set(page, catching)
    },
    /** The last one closes the stream. */
    leave(page: Page): void {
      pages.get(page)?.end()
      pages.delete(page)
      if (pages.size > 0 || stop === null) return
      stop()
      stop = null
    },
  }
}
