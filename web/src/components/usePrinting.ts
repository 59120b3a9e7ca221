/** Whether the page is on its way to paper: lists that draw only what is in sight are drawn whole then. */
import { useEventListener } from '@vueuse/core'
import { type Ref, ref } from 'vue'

export function usePrinting(): Ref<boolean> {
  const isPrinting = ref(false)
  useEventListener('beforeprint', () => (isPrinting.value = true))
  useEventListener('afterprint', () => (isPrinting.value = false))
  return isPrinting
}
