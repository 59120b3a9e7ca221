<script setup lang="ts">
import type { Job } from '@brannik/core'
import { computed } from 'vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { usePrinting } from '../../components/usePrinting.ts'
import { type BoardColumn, type BoardModel, type Cells, cellOf, type Shown } from './boardModel.ts'

/** The board on paper, whole: so many columns a table, its head on every page. */
const { jobs, columns, model, cells } = defineProps<{
  jobs: readonly Job[]
  columns: readonly BoardColumn[]
  model: BoardModel
  cells: Cells
  due: (job: Job) => string
}>()
const COLUMNS_A_PAGE = 6
const isPrinting = usePrinting()
const parts = computed(() =>
  Array.from({ length: Math.ceil(columns.length / COLUMNS_A_PAGE) }, (_, at) =>
    columns.slice(at * COLUMNS_A_PAGE, (at + 1) * COLUMNS_A_PAGE),
  ),
)
const shownIn = (part: readonly BoardColumn[], job: Job) =>
  part.map((column): { readonly id: string; readonly shown: Shown | null } => {
    const cell = cellOf(cells, job.id, column.id)
    return { id: column.id, shown: cell && model.shownOf(cell, column) }
  })
</script>

<template>
  <div v-if="isPrinting" class="board-print">
    <table v-for="(part, index) in parts" :key="index">
      <thead>
        <tr>
          <th scope="col">Job</th>
          <th v-for="column in part" :key="column.id" scope="col">
            {{ column.name }}<span>{{ column.price || column.note }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="job in jobs" :key="job.id">
          <th scope="row">
            {{ job.name }}<span>{{ due(job) }}</span>
          </th>
          <td v-for="column in shownIn(part, job)" :key="column.id">
            <template v-if="column.shown">
              <VerdictMark :verdict="column.shown.tone" :word="false" /> {{ column.shown.head }}
              <span>{{ column.shown.way }}</span>
              <span>{{ column.shown.first }}</span>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
@media screen {
  .board-print {
    display: none;
  }
}
table {
  border-collapse: collapse;
  font-size: 10px;
  margin-bottom: 16px;
  table-layout: fixed;
  width: 100%;
}
th,
td {
  border-bottom: 1px solid var(--line);
  overflow-wrap: anywhere;
  padding: 3px 6px 3px 0;
  text-align: left;
  vertical-align: top;
}
span {
  display: block;
  font-weight: 400;
}
td :deep(.verdict) {
  display: inline-block;
}
</style>
