<script setup lang="ts">
import { computed } from 'vue'
import type { BoardColumn } from './boardModel.ts'

/** Heads of the columns in sight: apart from the rows, they are drawn again when other columns come into sight alone. */
const { columns, first, last, width, left, pinned } = defineProps<{
  columns: readonly BoardColumn[]
  /** Columns in sight. */
  first: number
  last: number
  /** Of a column, and of what is before the columns. */
  width: number
  left: number
  pinned: ReadonlySet<string>
}>()
const emit = defineEmits<{ sort: [columnId: string] }>()

/** The name of a group stands over its first column. */
const groupAt = (index: number): string => {
  const group = columns[index]?.group ?? ''
  return columns[index - 1]?.group === group ? '' : group
}
const startsToBuy = (index: number): boolean =>
  columns[index]?.isOwned === false && columns[index - 1]?.isOwned === true && columns[index]?.group === ''
const heads = computed(() =>
  columns.slice(first, last + 1).map((column, index) => {
    const at = first + index
    return { column, at, group: groupAt(at), startsToBuy: startsToBuy(at) }
  }),
)
</script>

<template>
  <div class="heads" role="row" aria-rowindex="1">
    <div class="corner" role="columnheader" aria-colindex="1"><span>Job</span><span>Due</span></div>
    <div
      v-for="head in heads"
      :key="head.column.id"
      class="head"
      :class="{ 'starts-to-buy': head.startsToBuy }"
      role="columnheader"
      :aria-colindex="head.at + 2"
      :style="{ left: `${left + head.at * width}px` }"
    >
      <span v-if="head.group" class="group">{{ head.group }}</span>
      <button
        v-tip="'Sort the jobs by this column'"
        class="name"
        tabindex="-1"
        @click="emit('sort', head.column.id)"
      >
        {{ head.column.name }}
      </button>
      <span v-if="head.column.price" class="buy">{{ head.column.price }}</span>
      <span v-else class="label note">{{ head.column.note }}</span>
      <span v-if="pinned.has(head.column.id)" class="pinned"
        ><span class="visually-hidden">pinned</span></span
      >
    </div>
  </div>
</template>

<style scoped>
.heads {
  background: var(--sheet);
  border-bottom: 1px solid var(--line-strong);
  height: var(--head);
  position: sticky;
  top: 0;
  z-index: 2;
}
.corner {
  align-items: end;
  background: var(--sheet);
  display: flex;
  font-weight: 700;
  gap: 10px;
  height: 100%;
  justify-content: space-between;
  left: 0;
  padding: 0 10px 6px 12px;
  position: sticky;
  width: var(--left);
  z-index: 1;
}
.head {
  align-content: end;
  display: grid;
  height: 100%;
  padding: 0 6px 6px;
  position: absolute;
  top: 0;
  width: 124px;
}
.name {
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  background: none;
  border: 0;
  color: var(--ink);
  cursor: pointer;
  display: -webkit-box;
  font-weight: 700;
  line-height: 1.2;
  overflow: hidden;
  padding: 0;
  text-align: left;
}
.note {
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  display: -webkit-box;
  line-height: 1.2;
  overflow: hidden;
}
.group {
  color: var(--ink-2);
  font-size: var(--text-s);
  left: 6px;
  position: absolute;
  line-height: 1.15;
  right: 4px;
  top: 4px;
}
.starts-to-buy {
  border-left: 2px solid var(--line-strong);
}
.buy {
  color: var(--copper);
  font-size: var(--text-s);
  font-weight: 600;
}
.pinned {
  border: 5px solid transparent;
  border-right-color: var(--copper);
  border-top-color: var(--copper);
  height: 0;
  position: absolute;
  right: 4px;
  top: 4px;
  width: 0;
}
@media screen and (max-width: 560px) {
  .corner > :last-child {
    display: none;
  }
}
</style>
