<script setup lang="ts">
/** The list behind a `ChoiceField`: most of what it takes to draw one, so it is fetched when a page may show it. */
defineProps<{ items: readonly { id: string | null; name: string; note?: string }[] }>()
</script>

<template>
  <VAutocomplete :items="items" item-value="id" item-title="name" auto-select-first>
    <template #item="{ props: itemProps, item }">
      <VListItem v-bind="itemProps" :subtitle="item.note ?? ''" />
    </template>
  </VAutocomplete>
</template>
