/** The one short notice at the foot of the page, with a way back where there is one. */
import { type ProcessId, PROCESSES, type Slot, slotWords } from '@brannik/core'
import { defineStore } from 'pinia'
import { ref } from 'vue'

export const useNotice = defineStore('notice', () => {
  const says = ref('')
  const shown = ref(false)
  const undoable = ref(false)
  let isRefused = false
  function show(text: string, canUndo = false): void {
    if (isRefused) return
    says.value = text
    undoable.value = canUndo
    shown.value = true
  }
  /** What was not done. Whoever asked for it does not get to say in the same breath that it is. */
  function refuse(text: string): void {
    show(text)
    isRefused = true
    queueMicrotask(() => (isRefused = false))
  }
  /** Which small parts followed a change of a set-up; nothing where none did. */
  function tellChangedAlong(along: readonly Slot[], process: ProcessId): void {
    if (along.length === 0) return
    show(`Changed with it: ${along.map((slot) => slotWords(slot, PROCESSES[process])).join(', ')}`, true)
  }
  return { says, shown, undoable, show, refuse, tellChangedAlong }
})
