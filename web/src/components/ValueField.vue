<script setup lang="ts" generic="T">
import TypedField from './TypedField.vue'
import { type Read, useTyped } from './useTyped.ts'

/** A field for one value that is read from text: how it works is said in `useTyped`. */
const {
  printed,
  read,
  label = '',
  name = '',
  wrong = null,
} = defineProps<{
  /** The value as it is written. */
  printed: string
  read: (text: string, before: T) => Read<T>
  label?: string
  /** Its name where no label stands above it. */
  name?: string
  /** What else is wrong with a value that can be read. */
  wrong?: string | null
}>()
const model = defineModel<T>({ required: true })

const typed = useTyped<T>({
  value: () => model.value,
  printed: () => printed,
  read: (text, before) => read(text, before),
  take: (value) => (model.value = value),
})
const { text, refusal, hint, isFocused } = typed
</script>

<template>
  <TypedField
    :model-value="text"
    :label="label"
    :name="name"
    :problem="refusal ?? wrong"
    :hint="hint"
    :is-typing="isFocused"
    @update:model-value="typed.input"
    @focused="(now) => (now ? typed.enter() : typed.leave())"
    @keydown.enter="typed.settle"
    @keydown.esc="typed.giveUp"
  />
</template>
