/** Work for which nobody is to wait: what is done at that moment would wait for it. */
import { useEventListener, useTimeoutFn } from '@vueuse/core'

const REST_MS = 3000
/** Of the whole page: what scrolls inside it says so to nobody above. */
const USES = ['keydown', 'pointerdown', 'pointermove', 'scroll', 'wheel']

/** @param work done once, when nothing has been pressed, typed, moved or scrolled for a moment */
export function onceAtRest(work: () => void): void {
  const rest = useTimeoutFn(() => {
    stopListening()
    work()
  }, REST_MS)
  const stopListening = useEventListener(document, USES, rest.start, { capture: true, passive: true })
}
