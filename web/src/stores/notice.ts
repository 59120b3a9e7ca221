/** The one short notice at the foot of the page, with a way back where there is one. */
import { type ProcessId, PROCESSES, type Slot, slotWords } from '@brannik/core'
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
  /** Which small parts followed a change of a set-up; nothing where none did. */
  function tellChangedAlong(along: readonly Slot[], process: ProcessId): void {
    if (along.length === 0) return
    show(`Changed with it: ${along.map((slot) => slotWords(slot, PROCESSES[process])).join(', ')}`, true)
  }
  return { says, shown, undoable, show, tellChangedAlong }
})
