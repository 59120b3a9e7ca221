<script setup lang="ts">
import type { PlateProcess } from '@brannik/core'
import { computed } from 'vue'
import { BLANK_PROCESS, BLANK_SUPPLY } from './forms.ts'
import PlateProcessTable from './PlateProcess.vue'
import type { Draft } from './useRecordDraft.ts'

/** The data plate: its processes one below the other, each with a column for every supply voltage. */
const { draft, problemAt } = defineProps<{
  draft: Draft
  problemAt: (steps: readonly (string | number)[]) => string | null
}>()
const emit = defineEmits<{ change: [processes: readonly PlateProcess[], what: string] }>()

const MOST_PROCESSES = 8
const processes = computed(() => (draft['processes'] ?? []) as readonly PlateProcess[])
const engine = computed(() =>
  processes.value.some(({ supplies }) => supplies.some(({ voltageV }) => voltageV === null)),
)
const problem = computed(() => problemAt(['processes']))

const withOne = (index: number, process: PlateProcess): PlateProcess[] =>
  processes.value.map((one, at) => (at === index ? process : one))
const add = (): void => {
  const last = processes.value.at(-1)
  // The columns of the one before: a plate has the same voltages for all.
  const supplies = (last?.supplies ?? []).map(({ voltageV, phases }) => ({
    ...BLANK_SUPPLY,
    voltageV,
    phases,
  }))
  const blank = { ...BLANK_PROCESS, ...(supplies.length > 0 ? { supplies } : {}) } as unknown as PlateProcess
  emit('change', [...processes.value, blank], 'a process')
}
/** An engine-driven set hangs on no circuit: its columns lose their voltage. */
function setEngine(isEngine: boolean): void {
  const changed = processes.value.map((process) => ({
    ...process,
    supplies: (isEngine ? process.supplies.slice(0, 1) : process.supplies).map((supply) => ({
      ...supply,
      voltageV: isEngine ? null : undefined,
    })),
  }))
  emit('change', changed as unknown as PlateProcess[], 'supply')
}
</script>

<template>
  <div class="plate">
    <div class="driven">
      <VRadioGroup
        inline
        label="Power comes from"
        :model-value="engine"
        @update:model-value="(now) => setEngine(now === true)"
      >
        <VRadio :value="false" label="a circuit" />
        <VRadio :value="true" label="its own engine" />
      </VRadioGroup>
      <button v-if="processes.length < MOST_PROCESSES" class="link-button" @click="add">Add a process</button>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <PlateProcessTable
      v-for="(process, index) in processes"
      :key="index"
      :process="process"
      :at="index"
      :engine="engine"
      :alone="processes.length === 1"
      :problem-at="problemAt"
      @change="(now, what) => emit('change', withOne(index, now), what)"
      @remove="
        emit(
          'change',
          processes.filter((_, at) => at !== index),
          'a process',
        )
      "
    />
  </div>
</template>

<style scoped>
.plate {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  padding: 0 0 12px;
}
.driven {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.driven > .v-radio-group {
  flex: none;
}
.driven button {
  margin-left: auto;
}
</style>
