<script setup lang="ts" generic="T">
import { onMounted, useTemplateRef } from 'vue'
import type { VDataTableVirtual } from 'vuetify/components'

/** Rows of a file as they are understood; only those in sight are drawn. The slot gives the cells of one. */
const { items, label, columns, most } = defineProps<{
  items: readonly T[]
  label: string
  /** Headings, with the width of those that are as wide as they need. */
  columns: readonly { readonly title: string; readonly width?: number }[]
  /** Rows in sight at the most. */
  most: number
}>()

/** Who has no mouse scrolls it by its arrow keys. */
const table = useTemplateRef<VDataTableVirtual>('table')
onMounted(() => {
  const root: unknown = table.value?.$el
  if (root instanceof HTMLElement) root.querySelector('.v-table__wrapper')?.setAttribute('tabindex', '0')
})

const ROW = 30
const HEAD = 28
</script>

<template>
  <VDataTableVirtual
    ref="table"
    class="preview"
    density="compact"
    :aria-label="label"
    :headers="columns.map((column, index) => ({ ...column, key: `${index}`, sortable: false }))"
    :items="[...items]"
    :item-height="ROW"
    :height="HEAD + Math.min(most, Math.max(1, items.length)) * ROW + 2"
    fixed-header
  >
    <template #item="{ item }">
      <tr>
        <slot :item="item as T" />
      </tr>
    </template>
  </VDataTableVirtual>
</template>

<style scoped>
.preview {
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.preview :deep(table) {
  table-layout: fixed;
}
.preview :deep(.v-table__wrapper :is(td, th)) {
  height: 30px;
  line-height: 29px;
  overflow: hidden;
  padding: 0 10px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.preview :deep(.v-table__wrapper th) {
  height: 28px;
}
</style>
