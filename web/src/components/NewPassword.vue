<script setup lang="ts">
import TypedField from './TypedField.vue'

/** A field for a password that is chosen anew. */
const { label } = defineProps<{ label: string }>()
const password = defineModel<string>({ required: true })
</script>

<template>
  <TypedField
    v-model="password"
    :label="label"
    type="password"
    autocomplete="new-password"
    minlength="10"
    maxlength="200"
    required
  />
</template>
