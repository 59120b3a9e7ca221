<script setup lang="ts" generic="T">
import { computed, onMounted, useTemplateRef } from 'vue'
import { useMediaQuery } from '@vueuse/core'
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

/** A row may hold a field: under a finger it is as high as a fingertip. */
const isByFinger = useMediaQuery('(pointer: coarse)')
const rowPx = computed(() => (isByFinger.value ? 46 : 30))
const HEAD_PX = 28
</script>

<template>
  <VDataTableVirtual
    ref="table"
    class="preview"
    :style="{ '--row': `${rowPx}px` }"
    density="compact"
    :aria-label="label"
    :headers="columns.map((column, index) => ({ ...column, key: `${index}`, sortable: false }))"
    :items="[...items]"
    :item-height="rowPx"
    :height="HEAD_PX + Math.min(most, Math.max(1, items.length)) * rowPx + 2"
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
  height: var(--row);
  line-height: calc(var(--row) - 1px);
  overflow: hidden;
  padding: 0 10px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.preview :deep(.v-table__wrapper th) {
  height: 28px;
  line-height: 27px;
}
</style>
