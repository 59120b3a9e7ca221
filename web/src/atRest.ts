/** Work for which nobody is to wait: what is done at that moment would wait for it. */
import { useEventListener, useTimeoutFn } from '@vueuse/core'
import { type Ref, watch } from 'vue'

const REST_MS = 3000
/** Of the whole page: what scrolls inside it says so to nobody above. */
const USES = ['keydown', 'pointerdown', 'pointermove', 'scroll', 'wheel']

/** @param work done once, when it is due and nothing has been pressed, typed, moved or scrolled for a moment */
export function onceAtRest(isDue: Ref<boolean>, work: () => void): void {
  const { start, isPending } = useTimeoutFn(() => undefined, REST_MS)
  const stopListening = useEventListener(document, USES, start, { capture: true, passive: true })
  const stopWatching = watch([isDue, isPending], () => {
    if (!isDue.value || isPending.value) return
    stopListening()
    stopWatching()
    work()
  })
}
