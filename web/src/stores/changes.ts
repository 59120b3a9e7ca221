/** Hears what others change, as long as the page is open; what was missed in between is said to be lost. */

export interface Changed {
  readonly path: string
  /** Absent where very many changed at once. */
  readonly id?: string
  /** 0: it was deleted. */
  readonly version?: number
}

interface Ears {
  readonly changed: (changed: Changed) => void
  /** Something may have been missed: all of it is to be looked at again. */
  readonly lost: () => void
  /** The server answers for the first time. */
  readonly opened: () => void
}

/** A browser gives up where it is refused, as without a session: it is asked again after this. */
const AGAIN_MS = 10_000

/** @returns stops listening */
export function hearChanges({ changed, lost, opened }: Ears): () => void {
  // Not in tests of single screens.
  if (typeof EventSource === 'undefined') return () => undefined
  let source: EventSource | null = null
  let again = 0
  let wasOpen = false

  function open(): void {
    const next = new EventSource('/api/changes')
    source = next
    next.addEventListener('open', () => {
      if (wasOpen) lost()
      else opened()
      wasOpen = true
    })
    next.addEventListener('change', ({ data }: MessageEvent<string>) => {
      changed(JSON.parse(data) as Changed)
    })
    next.addEventListener('lost', lost)
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
