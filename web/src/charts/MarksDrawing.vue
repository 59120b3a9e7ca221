<script setup lang="ts">
import { attributesOf, type Drawing } from './marks.ts'

/** A drawing of plain marks, in the colours of the theme. */
const { drawing, label } = defineProps<{ drawing: Drawing; label: string }>()
</script>

<template>
  <svg role="img" :aria-label="label" :viewBox="`0 0 ${drawing.width} ${drawing.height}`">
    <component
      :is="mark.tag"
      v-for="(mark, index) in drawing.marks"
      :key="index"
      v-bind="attributesOf(mark, 'page')"
    >
      {{ mark.text ?? '' }}
    </component>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  height: auto;
  max-width: 100%;
}
</style>
