<script setup lang="ts">
import { computed, nextTick, useId, watch } from 'vue'
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
watch(
  list,
  async () => {
    // Who was in the field already stays in it.
    if (document.activeElement?.id !== id) return
    await nextTick()
    document.getElementById(id)?.focus()
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
      :aria-label="label"
      :placeholder="placeholder || undefined"
      :items="choices"
    />
    <VTextField
      v-else
      :id="id"
      :aria-label="label"
      :placeholder="placeholder || undefined"
      :model-value="chosen"
      append-inner-icon="$dropdown"
      readonly
    />
  </FieldFrame>
</template>
