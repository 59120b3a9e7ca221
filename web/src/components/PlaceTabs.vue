<script setup lang="ts">
import type { PlaceTab } from './placeTabs.ts'

/** The tabs of one place, each with an address of its own. */
const { tabs, label } = defineProps<{
  tabs: readonly PlaceTab[]
  /** What a screen reader calls them. */
  label: string
}>()
</script>

<template>
  <nav class="tabs screen-only" :aria-label="label">
    <RouterLink
      v-for="{ title, to, isHere } in tabs"
      :key="title"
      :to="to"
      :class="{ here: isHere }"
      :aria-current="isHere ? 'page' : undefined"
      >{{ title }}</RouterLink
    >
  </nav>
</template>

<style scoped>
.tabs {
  display: flex;
  flex: none;
  flex-wrap: wrap;
  gap: 0 4px;
  max-width: 100%;
}
a {
  border-bottom: 2px solid transparent;
  color: var(--ink-2);
  padding: 5px 8px;
  text-decoration: none;
  white-space: nowrap;
}
a:hover {
  color: var(--ink);
}
.here {
  border-bottom-color: var(--copper);
  color: var(--ink);
  font-weight: 700;
}
@media (pointer: coarse) {
  a {
    align-items: center;
    display: inline-flex;
    min-height: 44px;
  }
}
</style>
