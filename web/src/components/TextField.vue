<script setup lang="ts">
import type { Read } from './useTyped.ts'
import ValueField from './ValueField.vue'

/** A field for a few words, such as a name: spaces within it stay, those around it go when the field is left. */
const {
  label = '',
  name = '',
  most = 120,
  empty = '',
  optional = '',
  wrong = null,
  accepts = null,
} = defineProps<{
  label?: string
  /** Its name where no label stands above it. */
  name?: string
  most?: number
  /** What is wrong with an empty one; where nothing is, it may be empty. */
  empty?: string
  /** What an empty one means; stands in it while it is empty. */
  optional?: string
  wrong?: string | null
  /** Reads what is not taken as it is typed, such as a code in capitals. */
  accepts?: ((text: string) => Read<string>) | null
}>()
const model = defineModel<string>({ required: true })

function read(text: string): Read<string> {
  const written = text.trim()
  if (written === '' && empty !== '') return { ok: false, message: empty }
  if (written.length > most)
    return {
      ok: false,
      message: `${written.length} characters is too long. Use at most ${most}.`,
    }
  return accepts ? accepts(written) : { ok: true, value: written }
}
</script>

<template>
  <ValueField
    v-model="model"
    :printed="model"
    :read="read"
    :label="label"
    :name="name"
    :wrong="wrong"
    :placeholder="optional || undefined"
  />
</template>
