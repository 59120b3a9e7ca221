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

const keyOf = ({ path }: Pick<PlateFigure, 'path'>): string => path.at(-1) ?? ''
const valueOf = (supply: SupplyRating, figure: PlateFigure): number | null => {
  const value: unknown = Reflect.get(supply, keyOf(figure))
  return typeof value === 'number' ? value : null
}
</script>

<template>
  <tr>
    <th scope="row" class="label">{{ row.label }}</th>
    <td v-for="(supply, column) in supplies" :key="column">
      <CountField
        v-for="figure in row.figures"
        :key="keyOf(figure)"
        decimals
        label=""
        :name="`${figure.label} at ${name(column)}`"
        :least="figure.least"
        :most="figure.most"
        :unit="figure.unit"
        :optional="figure.optional ?? ''"
        :wrong="wrong(column, keyOf(figure))"
        :model-value="valueOf(supply, figure)"
        @update:model-value="(now) => emit('change', column, keyOf(figure), now, figure.label.toLowerCase())"
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
td > .frame {
  display: inline-grid;
  margin-right: 4px;
  width: 82px;
}
</style>
