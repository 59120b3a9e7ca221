<script setup lang="ts">
import { ref } from 'vue'
import ChooseFile from './ChooseFile.vue'

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

function onFile(text: string, name: string): void {
  typed.value = ''
  emit('take', text, name)
}
function onRefuse(message: string): void {
  typed.value = ''
  emit('refuse', message)
}

/** Taken past the field: a browser breaks a long text into lines one by one as it is pasted. */
function onPaste(event: ClipboardEvent): void {
  typed.value = ''
  emit('take', event.clipboardData?.getData('text/plain') ?? '', 'what was pasted')
}
</script>

<template>
  <ChooseFile :what="what" :accept="accept" @take="onFile" @refuse="onRefuse">{{ choose }}</ChooseFile>
  <VTextarea
    v-model="typed"
    class="paste"
    auto-grow
    rows="1"
    no-resize
    :max-rows="MOST_ROWS"
    :aria-label="`Or ${paste}`"
    :placeholder="`or ${paste}`"
    @paste.prevent="onPaste"
    @update:model-value="(now: string) => emit('take', now, 'what was typed')"
  />
</template>

<style scoped>
.paste {
  flex: 1;
  min-width: 160px;
}
</style>
