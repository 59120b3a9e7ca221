<script setup lang="ts">
import { computed, useId } from 'vue'
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
</script>

<template>
  <FieldFrame :id="id" :label="bare ? '' : label">
    <VAutocomplete
      :id="id"
      v-model="model"
      :aria-label="label"
      :placeholder="placeholder || undefined"
      :items="choices"
      item-value="id"
      item-title="name"
      auto-select-first
    >
      <template #item="{ props: itemProps, item }">
        <VListItem v-bind="itemProps" :subtitle="item.note ?? ''" />
      </template>
    </VAutocomplete>
  </FieldFrame>
</template>
