<script setup lang="ts">
import { textOf } from '../files/textOf.ts'

/** A button that takes a file in as text. */
const {
  what,
  accept,
  unread = false,
} = defineProps<{
  /** What it should be, for messages: `a weld list`. */
  what: string
  /** Kinds of file, as an input takes them. */
  accept: string
  /** Given on as it is: a thread beside the page reads it. */
  unread?: boolean
}>()
const emit = defineEmits<{
  take: [text: string, name: string]
  refuse: [message: string]
  chosen: [file: File]
}>()

async function onFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  if (unread) {
    input.value = ''
    emit('chosen', file)
    return
  }
  const read = await textOf(file, what)
  // So that the same file, mended, can be chosen again.
  input.value = ''
  if (read.ok) emit('take', read.text, file.name)
  else emit('refuse', read.message)
}
</script>

<template>
  <label class="plain-button file">
    <slot />
    <input type="file" :accept="accept" class="visually-hidden" @change="onFile" />
  </label>
</template>

<style scoped>
.file {
  align-items: center;
  display: inline-flex;
  white-space: nowrap;
}
.file:focus-within {
  outline: 2px solid var(--copper);
}
</style>
