<script setup lang="ts">
import { computed, nextTick, ref, useId, watch } from 'vue'
import { useChoiceList } from './choiceLists.ts'
import FieldFrame from './FieldFrame.vue'

/** A labelled choice among a few named things; filled by typing. */
const {
  bare = false,
  placeholder = '',
  label,
  items,
  optional = '',
} = defineProps<{
  label: string
  items: readonly { id: string | null; name: string; note?: string }[]
  /** Where nothing may be chosen: what nothing means. */
  optional?: string
  /** Without its label above: something beside it says what it is. */
  bare?: boolean
  /** What to do with it, while nothing is chosen. */
  placeholder?: string
}>()
const model = defineModel<string | null>({ required: true })
const id = useId()
const choices = computed(() => (optional === '' ? [...items] : [{ id: null, name: optional }, ...items]))
const chosen = computed(() => choices.value.find((one) => one.id === model.value)?.name ?? '')

const list = useChoiceList()
/** What was typed, and whether it was pressed, before the list is there. */
const NOTHING: { readonly text: string | null; readonly isOpen: boolean } = { text: null, isOpen: false }
const early = ref(NOTHING)
const isListOpen = ref(false)
watch(
  list,
  async () => {
    // Who was in the field already stays in it, with what was typed.
    if (document.activeElement?.id !== id) return
    // The field that goes is left as it goes.
    const { text, isOpen } = early.value
    await nextTick()
    const field = document.getElementById(id)
    field?.focus()
    // The list begins with what is chosen when it has the focus.
    await nextTick()
    isListOpen.value = isOpen
    if (text === null || !(field instanceof HTMLInputElement)) return
    field.value = text
    field.dispatchEvent(new Event('input', { bubbles: true }))
  },
  { flush: 'pre' },
)
</script>

<template>
  <FieldFrame :id="id" :label="bare ? '' : label">
    <component
      :is="list"
      v-if="list"
      :id="id"
      v-model="model"
      v-model:menu="isListOpen"
      :aria-label="label"
      :placeholder="placeholder || undefined"
      :items="choices"
    />
    <VTextField
      v-else
      :id="id"
      :aria-label="label"
      :placeholder="placeholder || undefined"
      :model-value="early.text ?? chosen"
      append-inner-icon="$dropdown"
      aria-haspopup="listbox"
      @update:model-value="(text: string) => (early = { ...early, text })"
      @mousedown:control="early = { ...early, isOpen: true }"
      @blur="early = NOTHING"
    />
  </FieldFrame>
</template>
