<script setup lang="ts">
import { useEventListener, useTimeoutFn } from '@vueuse/core'
import { ref, shallowRef } from 'vue'
import { TIP, tipOf } from './tip.ts'

/** One tooltip for the whole page: hundreds of things have words to show, and only one shows them at a time. */
const target = shallowRef<HTMLElement | undefined>()
const words = ref('')
const shown = ref(false)
const SOON_MS = 350

const bearerOf = (event: Event): HTMLElement | null =>
  event.target instanceof Element ? event.target.closest<HTMLElement>(`[${TIP}]`) : null

function show(bearer: HTMLElement): void {
  target.value = bearer
  words.value = tipOf(bearer)
  shown.value = words.value !== ''
}
const soon = useTimeoutFn(show, SOON_MS, { immediate: false })
function hide(): void {
  soon.stop()
  shown.value = false
}
useEventListener(document, 'pointerover', (event) => {
  if (event.pointerType === 'touch') return
  const bearer = bearerOf(event)
  if (bearer === target.value && shown.value) return
  hide()
  if (bearer) soon.start(bearer)
})
useEventListener(document, 'focusin', (event) => {
  const bearer = bearerOf(event)
  hide()
  if (bearer?.matches(':focus-visible')) show(bearer)
})
for (const name of ['pointerdown', 'keydown', 'focusout', 'scroll'] as const)
  useEventListener(document, name, hide, { capture: true, passive: true })
</script>

<template>
  <VTooltip
    v-if="target"
    :model-value="shown"
    :target="target"
    :open-on-hover="false"
    location="bottom"
    offset="6"
    scroll-strategy="close"
    class="tip"
    >{{ words }}</VTooltip
  >
</template>

<style scoped>
.tip :deep(.v-overlay__content) {
  background: var(--ink);
  color: var(--sheet);
  font-size: var(--text-s);
  padding: 5px 9px;
  white-space: pre-line;
}
</style>
