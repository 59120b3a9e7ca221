<script setup lang="ts">
import { PROCESS_IDS, PROCESSES, titleOf, VERDICTS, verdictText } from '@brannik/core'
import { computed } from 'vue'
import CountField from '../../components/CountField.vue'
import PickField from '../../components/PickField.vue'
import { useWorkspace } from '../../shop/workspace.ts'
import { DUE_CHOICES } from '../jobs/dueWithin.ts'
import type { FiltersInUse } from './boardFilters.ts'
import type { BoardColumn, Cells } from './boardModel.ts'

/** The filters of the board, opened from its head. */
const { used, columns, cells } = defineProps<{
  used: FiltersInUse
  columns: readonly BoardColumn[]
  cells: Cells
}>()
const workspace = useWorkspace()
const filters = computed(() => used.filters)
const verdicts = VERDICTS.map((id) => [id, verdictText(workspace.speech, id).toLowerCase()] as const)
const processes = PROCESS_IDS.map((id) => [id, PROCESSES[id].workshopWord] as const)
const limits = computed(() => {
  const titles = new Map<string, string>()
  for (const row of cells.values())
    for (const { id } of columns) {
      const limit = row.limitOf(id)
      if (limit && !titles.has(limit.criterion)) titles.set(limit.criterion, titleOf(workspace.speech, limit))
    }
  return [...titles].toSorted(([, a], [, b]) => a.localeCompare(b))
})
const circuits = computed(() => workspace.shelf.circuits.map(({ id, name }) => [id, name] as const))
</script>

<template>
  <VMenu :close-on-content-click="false" location="bottom start" :transition="false">
    <template #activator="{ props: activator }">
      <button class="plain-button screen-only" v-bind="activator">
        {{ used.count.value > 0 ? `Filters: ${used.count.value}` : 'Filters' }}
      </button>
    </template>
    <section class="filters sheet" aria-label="Filters">
      <PickField v-model="filters.verdict" label="Verdict" optional="any" :items="verdicts" />
      <PickField v-model="filters.limit" label="Limited by" optional="anything" :items="limits" />
      <PickField v-model="filters.process" label="Process" optional="any process" :items="processes" />
      <PickField v-model="filters.circuitId" label="Circuit" optional="any circuit" :items="circuits" />
      <PickField v-model="filters.dueWithin" label="Due" optional="any time" :items="DUE_CHOICES" />
      <CountField
        v-model="filters.mostHours"
        label="Takes at most, h"
        decimals
        :least="0"
        :most="10000"
        optional="any time"
      />
      <CountField
        v-model="filters.mostCost"
        :label="`Costs at most, ${workspace.shop?.currency ?? ''}`"
        decimals
        :least="0"
        :most="1e9"
        optional="any cost"
      />
      <button class="link-button" :disabled="used.count.value === 0" @click="used.clear">
        Clear filters
      </button>
    </section>
  </VMenu>
</template>

<style scoped>
.filters {
  display: grid;
  gap: 8px 12px;
  grid-template-columns: 1fr 1fr;
  padding: 12px 14px;
  width: 380px;
}
</style>
