<script setup lang="ts">
import type { PlateProcess, PowerSource } from '@brannik/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import PickField from '../../components/PickField.vue'
import { BLANK_PROCESS, BLANK_SUPPLY } from './forms.ts'
import PlateProcessTable from './PlateProcess.vue'
import type { Draft } from './useRecordDraft.ts'
import { FAMILY_WORDS } from './words.ts'

/** The data plate: one of its processes at a time, with a column for every supply voltage, and what it means. */
const { draft, whole, wrong, problemAt } = defineProps<{
  draft: Draft
  /** The source, where all of it stands as it is typed; else null. */
  whole: PowerSource | null
  /** Processes of which something is to be filled in or mended, by their place. */
  wrong: ReadonlySet<number>
  problemAt: (steps: readonly (string | number)[]) => string | null
}>()
const emit = defineEmits<{
  change: [processes: readonly PlateProcess[], what: string]
  /** An engine drives it, or none does. */
  engine: [isEngine: boolean, processes: readonly PlateProcess[]]
}>()

const MOST_PROCESSES = 8
const DRIVEN = [
  [false, 'a circuit'],
  [true, 'its own engine'],
] as const

const route = useRoute()
const processes = computed(() => (draft['processes'] ?? []) as readonly PlateProcess[])
const linked = processes.value.findIndex(({ family }) => family === route.query['process'])
const open = ref(Math.max(0, linked))
const at = computed(() => Math.min(open.value, processes.value.length - 1))
const shown = computed(() => processes.value[at.value] ?? null)
const engine = computed(() => (draft['engine'] ?? null) !== null)
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
  open.value = processes.value.length
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
  emit('engine', isEngine, changed as unknown as PlateProcess[])
}
</script>

<template>
  <div class="plate">
    <div class="driven">
      <VTabs
        v-if="processes.length > 1"
        :model-value="at"
        aria-label="Processes of the plate"
        @update:model-value="(now) => (open = Number(now))"
      >
        <VTab v-for="(process, index) in processes" :key="index" :value="index"
          >{{ FAMILY_WORDS[process.family]
          }}<template v-if="wrong.has(index)"
            ><span class="mend" aria-hidden="true"> •</span
            ><span class="visually-hidden">, fields missing</span></template
          ></VTab
        >
      </VTabs>
      <button v-if="processes.length < MOST_PROCESSES" class="link-button" @click="add">Add a process</button>
      <PickField
        class="power"
        label="Powered by"
        :items="DRIVEN"
        :model-value="engine"
        @update:model-value="(now) => setEngine(now === true)"
      />
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <PlateProcessTable
      v-if="shown"
      :key="at"
      :process="shown"
      :at="at"
      :engine="engine"
      :alone="processes.length === 1"
      :source="whole"
      :problem-at="problemAt"
      @change="(now, what) => emit('change', withOne(at, now), what)"
      @remove="
        emit(
          'change',
          processes.filter((_, index) => index !== at),
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
  border-bottom: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.power {
  align-items: center;
  display: flex;
  flex: none;
  gap: 8px;
  margin-left: auto;
  padding-bottom: 4px;
}
.mend {
  color: var(--fails);
  font-weight: 700;
}
</style>
