<script setup lang="ts" generic="T extends string | number | boolean">
import { computed, useId } from 'vue'
import FieldFrame from './FieldFrame.vue'

/** A choice among a few words, all of them seen at once; where there are many, ChoiceField is typed into. */
const {
  items,
  label = '',
  name = '',
  optional = '',
  problem = null,
} = defineProps<{
  items: readonly (readonly [value: T, words: string])[]
  label?: string
  /** Its name where no label stands above it. */
  name?: string
  /** Where nothing may be chosen: what nothing means. */
  optional?: string
  problem?: string | null
}>()
const model = defineModel<T | null>({ required: true })

const id = useId()
const choices = computed(() => [
  ...(optional === '' ? [] : [{ value: null, title: optional }]),
  ...items.map(([value, title]) => ({ value, title })),
])
/** Nothing chosen is shown as what it means. */
const isChoice = computed(() => choices.value.some(({ value }) => value === model.value))
</script>

<template>
  <FieldFrame :id="id" :label="label" :problem="problem">
    <VSelect
      :id="id"
      :model-value="isChoice ? model : undefined"
      :items="choices"
      :error="problem !== null"
      :aria-label="name || label"
      :aria-describedby="problem ? `${id}-told` : undefined"
      @update:model-value="(now) => (model = now ?? null)"
    />
  </FieldFrame>
</template>
