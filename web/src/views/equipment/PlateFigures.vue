<script setup lang="ts">
import type { SupplyRating } from '@brannik/core'
import CountField from '../../components/CountField.vue'
import type { PlateFigure, PlateRow } from './plateRows.ts'

/** One row of a data plate: its figures for each supply voltage. */
const { row, supplies, name, wrong } = defineProps<{
  row: PlateRow
  supplies: readonly SupplyRating[]
  /** What a column is called. */
  name: (column: number) => string
  wrong: (column: number, key: string) => string | null
}>()
const emit = defineEmits<{ change: [column: number, key: string, value: number | null, what: string] }>()

const valueOf = (supply: SupplyRating, { key }: PlateFigure): number | null => {
  const value = supply[key]
  return typeof value === 'number' ? value : null
}
</script>

<template>
  <tr>
    <th scope="row" class="label">{{ row.label }}</th>
    <td v-for="(supply, column) in supplies" :key="column">
      <CountField
        v-for="figure in row.figures"
        :key="figure.key"
        keep
        decimals
        label=""
        :name="`${figure.says} at ${name(column)}`"
        :least="figure.least"
        :most="figure.most"
        :unit="figure.unit"
        :optional="figure.optional ?? ''"
        :wrong="wrong(column, figure.key)"
        :model-value="valueOf(supply, figure)"
        @update:model-value="(now) => emit('change', column, figure.key, now, figure.says.toLowerCase())"
      />
    </td>
  </tr>
</template>

<style scoped>
th {
  font-weight: 400;
  padding: 1px 12px 1px 0;
  text-align: left;
  white-space: nowrap;
}
td {
  padding: 1px 14px 1px 0;
  white-space: nowrap;
}
td :deep(.count) {
  display: inline-grid;
  margin-right: 4px;
  width: 76px;
}
td :deep(input) {
  height: 28px;
}
</style>
