<script setup lang="ts">
/** What stands around a field: its name above, and below it, over what follows, what is wrong or what was understood. */
const {
  id,
  label = '',
  problem = null,
  hint = null,
} = defineProps<{
  /** Of the field. */
  id: string
  /** Empty where something beside the field says what it is. */
  label?: string
  problem?: string | null
  hint?: string | null
}>()
</script>

<template>
  <div class="frame">
    <label v-if="label" :for="id" class="label">{{ label }}</label>
    <slot />
    <p v-if="problem" :id="`${id}-told`" class="bubble problem" role="alert">{{ problem }}</p>
    <p v-else-if="hint" :id="`${id}-told`" class="bubble">{{ hint }}</p>
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  min-width: 0;
  position: relative;
}
</style>
