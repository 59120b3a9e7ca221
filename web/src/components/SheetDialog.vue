<script setup lang="ts">
import { useFocusReturn } from './useFocusReturn.ts'

/** A dialog with a title and a way out; what decides stands at its foot. */
const { title, width, close = 'Close' } = defineProps<{ title: string; width: number; close?: string }>()
const open = defineModel<boolean>({ required: true })
useFocusReturn(open)
</script>

<template>
  <VDialog v-model="open" :width="width" :aria-label="title">
    <section class="dialog sheet">
      <header>
        <h2>{{ title }}</h2>
        <button class="plain-button" @click="open = false">{{ close }}</button>
      </header>
      <slot />
      <footer v-if="$slots['foot']">
        <slot name="foot" />
      </footer>
    </section>
  </VDialog>
</template>

<style scoped>
.dialog {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
  max-height: 86vh;
  overflow: auto;
  padding: 16px 20px 20px;
}
header,
footer {
  align-items: center;
  display: flex;
  gap: 12px;
  justify-content: space-between;
}
footer {
  flex-wrap: wrap;
}
footer > :deep(.quiet) {
  flex: 1 1 14em;
}
h2 {
  font-size: var(--text-l);
}
</style>
