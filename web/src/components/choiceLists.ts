/** When the lists of choices are fetched: on most pages at once, on one that has something to say first after that. */
import { type Component, inject, type InjectionKey, type Ref, watchEffect } from 'vue'
import { late } from '../lazy.ts'

/** Given by a page whose answer comes before anything can be chosen: whether it stands. */
export const ANSWER_STANDS: InjectionKey<Readonly<Ref<boolean>>> = Symbol('the answer stands')

const list = late(() => import('./ChoiceList.vue'))

/** @returns null until it is there: what is chosen is shown as text meanwhile */
export function useChoiceList(): Readonly<Ref<Component | null>> {
  const stands = inject(ANSWER_STANDS, null)
  watchEffect(() => {
    if (stands?.value !== false) list.fetch()
  })
  return list.there
}
