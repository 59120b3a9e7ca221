<script setup lang="ts" generic="T">
/** Rows of a file as they are understood; only those in sight are drawn. */
const { items, label, columns, most } = defineProps<{
  items: readonly T[]
  label: string
  /** As CSS lays a grid out. */
  columns: string
  /** Rows in sight at the most. */
  most: number
}>()

const ROW = 30
</script>

<template>
  <div class="preview" role="table" :aria-label="label">
    <VVirtualScroll
      :items="[...items]"
      :item-height="ROW"
      :height="Math.min(most, Math.max(1, items.length)) * ROW"
    >
      <template #default="{ item }">
        <div class="row" role="row" :style="{ gridTemplateColumns: columns }">
          <slot :item="item as T" />
        </div>
      </template>
    </VVirtualScroll>
  </div>
</template>

<style scoped>
.preview {
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.row {
  border-bottom: 1px solid var(--line);
  display: grid;
  gap: 10px;
  height: 30px;
  line-height: 30px;
  padding: 0 10px;
  white-space: nowrap;
}
.row > :slotted(*) {
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
