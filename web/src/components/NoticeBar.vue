<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'
import { ref, watch } from 'vue'
import { giveFocusBack } from './useFocusReturn.ts'
import { useNotice } from '../stores/notice.ts'

/** The short notice at the foot of the page: it stays its time, and as long as somebody points at it or stands on it. */
const emit = defineEmits<{ undo: [] }>()

const LASTS_MS = 8000
const notice = useNotice()
const isHeld = ref(false)
const time = useTimeoutFn(() => (notice.shown = false), LASTS_MS, { immediate: false })
watch(
  [() => notice.shown, () => notice.told, isHeld],
  () => {
    time.stop()
    if (notice.shown && !isHeld.value) time.start()
  },
  { immediate: true },
)

/** Where somebody was before he came to the notice. */
let before: EventTarget | null = null
function enter({ relatedTarget, currentTarget }: FocusEvent): void {
  isHeld.value = true
  const isWithin = relatedTarget instanceof Node && (currentTarget as Node).contains(relatedTarget)
  if (!isWithin) before = relatedTarget
}
function close(): void {
  if (before instanceof Element) void giveFocusBack(before)
  isHeld.value = false
  notice.shown = false
}
function undo(): void {
  close()
  emit('undo')
}
</script>

<template>
  <VSnackbar v-model="notice.shown" :timeout="-1" location="bottom left">
    <div
      class="notice"
      role="status"
      @mouseenter="isHeld = true"
      @mouseleave="isHeld = false"
      @focusin="enter"
      @focusout="isHeld = false"
      @keydown.esc="close"
    >
      <span>{{ notice.text }}</span>
      <button v-if="notice.undoable" class="link-button" @click="undo">Undo</button>
      <button class="link-button" @click="close">Close</button>
    </div>
  </VSnackbar>
</template>

<style scoped>
.notice {
  align-items: baseline;
  color: var(--sheet);
  display: flex;
  font-size: var(--text-m);
  gap: 16px;
}
.notice button {
  color: inherit;
  font-weight: 600;
  text-decoration-color: currentcolor;
}
.notice button:focus-visible {
  outline: 2px solid currentcolor;
  outline-offset: 3px;
}
</style>
