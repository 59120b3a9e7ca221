/** Hears what others change, as long as the page is open; after a break the server tells first what was missed. */

export interface Changed {
  readonly path: string
  /** Absent where very many changed at once. */
  readonly id?: string
  /** 0: it was deleted. */
  readonly version?: number
}

interface Ears {
  readonly changed: (changed: Changed) => void
  /** Something was missed, and the server does not know what: all of it is to be looked at again. */
  readonly lost: () => void
  /** Which shop the server holds, where it is another than the position was of, or since then. */
  readonly shop: (epoch: string) => void
  /** The server answers. */
  readonly opened: () => void
}

/** A browser gives up where it is refused, as without a session: it is asked again after this. */
const AGAIN_MS = 10_000

/**
 * @param since up to where the page has heard already; null where it does not know: then all is lost
 * @returns stops listening
 */
export function hearChanges(since: string | null, { changed, lost, shop, opened }: Ears): () => void {
  // Not in tests of single screens.
  if (typeof EventSource === 'undefined') return () => undefined
  let source: EventSource | null = null
  let again = 0
  let position = since

  function open(): void {
    // Where it is cut the browser comes again by itself, and says the last position that it heard.
    const query = position === null ? '' : `?since=${encodeURIComponent(position)}`
    const next = new EventSource(`/api/changes${query}`)
    source = next
    next.addEventListener('open', opened)
    next.addEventListener('change', ({ data }: MessageEvent<string>) => {
      changed(JSON.parse(data) as Changed)
    })
    next.addEventListener('position', ({ lastEventId }: MessageEvent<string>) => {
      position = lastEventId
    })
    next.addEventListener('lost', lost)
    next.addEventListener('another', ({ data }: MessageEvent<string>) => {
      shop((JSON.parse(data) as { epoch: string }).epoch)
    })
    next.addEventListener('error', () => {
      if (next.readyState === EventSource.CLOSED) again = window.setTimeout(open, AGAIN_MS)
    })
  }
  open()
  return () => {
    window.clearTimeout(again)
    source?.close()
  }
}
