/** What had the focus before a dialog opened has it again once it is closed: who works by keyboard loses no place. */
import { nextTick, type Ref, watch } from 'vue'

const isElsewhere = (): boolean => {
  const { activeElement } = document
  return (
    activeElement === null || activeElement === document.body || activeElement.closest('.v-overlay') !== null
  )
}
/** A dialog that the closed one led to. */
const isAnotherOpen = (): boolean => document.querySelectorAll('.v-dialog.v-overlay--active').length > 0

/** Gives the focus back to an element, unless something else took it meanwhile or the element is gone. */
export async function giveFocusBack(to: Element | null): Promise<void> {
  await nextTick()
  if (
    to instanceof HTMLElement &&
    to.isConnected &&
    to !== document.body &&
    isElsewhere() &&
    !isAnotherOpen()
  )
    to.focus()
}

export function useFocusReturn(open: Readonly<Ref<boolean>>): void {
  let before: Element | null = null
  watch(
    open,
    (isOpen) => {
      if (isOpen) before = document.activeElement
      else void giveFocusBack(before)
    },
    // Before the dialog takes the focus.
    { immediate: true, flush: 'sync' },
  )
}
