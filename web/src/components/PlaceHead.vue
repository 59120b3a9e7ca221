<script setup lang="ts">
import type { PlaceTab } from './placeTabs.ts'
import PlaceTabs from './PlaceTabs.vue'

/** The head of a place: its name, its tabs, and what acts on all of it. */
const { title, tabs } = defineProps<{ title: string; tabs: readonly PlaceTab[] }>()
</script>

<template>
  <header class="place-head">
    <h1>{{ title }}</h1>
    <PlaceTabs :tabs="tabs" :label="title" />
    <slot />
  </header>
</template>

<style scoped>
.place-head {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  min-width: 0;
}
h1 {
  min-width: 0;
  overflow-wrap: anywhere;
}
</style>
