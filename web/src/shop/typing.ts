/**
 * The field that is being typed in. What stands in it is looked at everywhere at once; it is stored, and kept in this
 * browser, when the field is left: a number half typed is a number too, and nobody means it.
 */
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'

export const useTyping = defineStore('typing', () => {
  const field = shallowRef<symbol | null>(null)
  /** One for each stretch of typing in one field: its changes undo as one. */
  const stretch = shallowRef(0)
  const waiting = new Map<string, () => void>()

  function leave(left: symbol): void {
    if (field.value !== left) return
    field.value = null
    const actions = [...waiting.values()]
    waiting.clear()
    for (const action of actions) action()
  }
  function enter(entered: symbol): void {
    if (field.value === entered) return
    if (field.value) leave(field.value)
    field.value = entered
    stretch.value += 1
  }
  /** Does it now, or when the field is left; of several for one thing, the last. */
  function whenLeft(what: string, action: () => void): void {
    if (field.value) waiting.set(what, action)
    else action()
  }
  // Who closes the page has left the field.
  window.addEventListener('pagehide', () => field.value && leave(field.value))

  return { enter, leave, whenLeft, isOpen: computed(() => field.value !== null), stretch }
})
