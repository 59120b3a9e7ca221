/** When the lists of choices are fetched: on most pages at once, on one that has something to say first after that. */
import { type Component, inject, type InjectionKey, type Ref, shallowRef, watchEffect } from 'vue'

/** Given by a page whose answer comes before anything can be chosen: whether it stands. */
export const ANSWER_STANDS: InjectionKey<Readonly<Ref<boolean>>> = Symbol('the answer stands')

const AGAIN_MS = 3000
const list = shallowRef<Component | null>(null)
let isAsked = false

async function fetchList(): Promise<void> {
  if (isAsked) return
  isAsked = true
  try {
    list.value = (await import('./ChoiceList.vue')).default
  } catch {
    // The server does not answer: what is chosen is shown meanwhile.
    isAsked = false
    window.setTimeout(() => void fetchList(), AGAIN_MS)
  }
}

/** @returns null until it is there: what is chosen is shown as text meanwhile */
export function useChoiceList(): Readonly<Ref<Component | null>> {
  const stands = inject(ANSWER_STANDS, null)
  watchEffect(() => {
    if (stands?.value !== false) void fetchList()
  })
  return list
}
