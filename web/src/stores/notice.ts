/** The one short notice at the foot of the page, with a way back where there is one. */
import { defineStore } from 'pinia'
import { ref } from 'vue'

export const useNotice = defineStore('notice', () => {
  const says = ref('')
  const shown = ref(false)
  const undoable = ref(false)
  function show(text: string, canUndo = false): void {
    says.value = text
    undoable.value = canUndo
    shown.value = true
  }
  return { says, shown, undoable, show }
})
