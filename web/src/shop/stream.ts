/** The server's stream of changes; after a break the server tells first what was missed. */

export interface Changed {
  readonly path: string
  /** Absent where very many changed at once. */
  readonly id?: string
  /** 0: it was deleted. */
  readonly version?: number
}

/** What a stream says, as plain data: it crosses from a thread to pages. */
export type Told =
  | { readonly what: 'changed'; readonly changed: Changed }
  /** Up to where everything has been told. */
  | { readonly what: 'position'; readonly position: string }
  /** Something was missed, and the server does not know what: all of it is to be looked at again. */
  | { readonly what: 'lost' }
  /** Which shop the server holds, where it is another than the position was of, or since then. */
  | { readonly what: 'shop'; readonly epoch: string }
  /** Something was recorded as an event. */
  | { readonly what: 'happened' }
  /** The server answers. */
  | { readonly what: 'opened' }

/** A browser gives up where it is refused, as without a session: it is asked again after this. */
const AGAIN_MS = 10_000

/**
 * @param since up to where it was heard already; null where nobody knows: then all is lost
 * @returns stops listening
 */
export function openStream(since: string | null, tell: (told: Told) => void): () => void {
  // Not in tests of single screens.
  if (typeof EventSource === 'undefined') return () => undefined
  let source: EventSource | null = null
  let again: ReturnType<typeof setTimeout> | undefined
  let position = since

  function open(): void {
    // Where it is cut the browser comes again by itself, and says the last position that it heard.
    const query = position === null ? '' : `?since=${encodeURIComponent(position)}`
    const next = new EventSource(`/api/changes${query}`)
    source = next
    next.addEventListener('open', () => tell({ what: 'opened' }))
    next.addEventListener('change', ({ data }: MessageEvent<string>) => {
      tell({ what: 'changed', changed: JSON.parse(data) as Changed })
    })
    next.addEventListener('position', ({ lastEventId }: MessageEvent<string>) => {
      position = lastEventId
      tell({ what: 'position', position })
    })
    next.addEventListener('happened', () => tell({ what: 'happened' }))
    next.addEventListener('lost', () => tell({ what: 'lost' }))
    next.addEventListener('another', ({ data }: MessageEvent<string>) => {
      tell({ what: 'shop', epoch: (JSON.parse(data) as { epoch: string }).epoch })
    })
    next.addEventListener('error', () => {
      if (next.readyState === EventSource.CLOSED) again = setTimeout(open, AGAIN_MS)
    })
  }
  open()
  return () => {
    clearTimeout(again)
    source?.close()
  }
}
