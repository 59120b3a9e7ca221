<script setup lang="ts">
import { ref } from 'vue'
import { textOf } from '../files/textOf.ts'

/** A text to read: chosen as a file, or pasted. */
const { what, choose, paste, accept } = defineProps<{
  /** What it should be, for messages: `a weld list`. */
  what: string
  /** On the button. */
  choose: string
  /** In the field: `paste it here`. */
  paste: string
  /** Kinds of file, as an input takes them. */
  accept: string
}>()
const emit = defineEmits<{ take: [text: string, name: string]; refuse: [message: string] }>()

const typed = ref('')
const MOST_ROWS = 4

async function onFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  const read = await textOf(file, what)
  // So that the same file, mended, can be chosen again.
  input.value = ''
  typed.value = ''
  if (read.ok) emit('take', read.text, file.name)
  else emit('refuse', read.message)
}

/** Taken past the field: a browser breaks a long text into lines one by one as it is pasted. */
function onPaste(event: ClipboardEvent): void {
  typed.value = ''
  emit('take', event.clipboardData?.getData('text/plain') ?? '', 'what was pasted')
}
</script>

<template>
  <label class="plain-button file">
    {{ choose }}
    <input type="file" :accept="accept" class="visually-hidden" @change="onFile" />
  </label>
  <label class="paste">
    <span class="visually-hidden">Or {{ paste }}</span>
    <textarea
      v-model="typed"
      class="field"
      :rows="Math.min(MOST_ROWS, typed.split('\n').length)"
      :placeholder="`or ${paste}`"
      @paste.prevent="onPaste"
      @input="emit('take', typed, 'what was typed')"
    ></textarea>
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
.paste {
  flex: 1;
  min-width: 160px;
}
textarea {
  display: block;
  font: inherit;
  height: auto;
  line-height: 20px;
  padding: 5px 8px;
  resize: none;
  width: 100%;
}
</style>
