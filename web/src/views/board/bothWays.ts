/**
 * One listener for a board that scrolls both ways. With one for each way the second would ask where the board is after the
 * first has changed it, and the browser would lay it out twice a frame. It is told where the board is as if it rested:
 * rows and columns have sizes of their own, so that there is nothing to measure once it stops, and nothing is drawn again
 * while the same cells are in sight.
 */
import type { Virtualizer } from '@tanstack/vue-virtual'

type Observer = Virtualizer<HTMLElement, Element>['options']['observeElementOffset']
type Hear = Parameters<Observer>[1]

/** What observes rows and columns of the same element. */
export function observedBothWays(): Observer {
  const heard = new Map<Hear, boolean>()
  let stop: (() => void) | null = null

  function listenTo(element: HTMLElement): () => void {
    const tell = (): void => {
      const { scrollLeft, scrollTop } = element
      for (const [hear, isAcross] of heard) hear(isAcross ? scrollLeft : scrollTop, false)
    }
    element.addEventListener('scroll', tell, { passive: true })
    return () => {
      element.removeEventListener('scroll', tell)
    }
  }

  return ({ scrollElement, options }, hear) => {
    if (!scrollElement) return undefined
    const isAcross = options.horizontal
    heard.set(hear, isAcross)
    hear(isAcross ? scrollElement.scrollLeft : scrollElement.scrollTop, false)
    stop ??= listenTo(scrollElement)
    return () => {
      heard.delete(hear)
      if (heard.size > 0) return
      stop?.()
      stop = null
    }
  }
}
