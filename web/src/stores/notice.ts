/** The one short notice at the foot of the page, with a way back where there is one. */
import { type ProcessId, PROCESSES, type Slot, slotText, type Speech } from '@brannik/core'
import { defineStore } from 'pinia'
import { ref } from 'vue'

export const useNotice = defineStore('notice', () => {
  const text = ref('')
  const shown = ref(false)
  const undoable = ref(false)
  /** How many there were: each has its time. */
  const told = ref(0)
  let isRefused = false
  function show(message: string, canUndo = false): void {
    if (isRefused) return
    text.value = message
    undoable.value = canUndo
    shown.value = true
    told.value += 1
  }
  /** What was not done. Whoever asked for it does not get to say in the same breath that it is. */
  function refuse(message: string): void {
    show(message)
    isRefused = true
    queueMicrotask(() => (isRefused = false))
  }
  /** Which small parts followed a change of a set-up; nothing where none did. */
  function tellChangedAlong(along: readonly Slot[], process: ProcessId, speech: Speech): void {
    if (along.length === 0) return
    const words = along.map((slot) => slotText(speech, slot, PROCESSES[process])).join(', ')
    show(`Also changed: ${words}`, true)
  }
  return { text, shown, undoable, told, show, refuse, tellChangedAlong }
})
