<script setup lang="ts">
import type { LeftOut } from '@brannik/core'
import { computed } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import type { JobOnSetUp } from '../../engine/snapshot.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** Who welds at the same time: a machine and a job a line. */
const { atWork, leftOut } = defineProps<{
  atWork: readonly JobOnSetUp[]
  leftOut: readonly LeftOut[]
}>()
const emit = defineEmits<{ change: [atWork: readonly JobOnSetUp[]] }>()

const workspace = useWorkspace()
const jobs = computed(() =>
  workspace.jobs.filter(({ state, joints }) => state !== 'archived' && joints.length > 0),
)
const setUps = computed(() => workspace.wholeSetUps)
const WHY: Readonly<Record<LeftOut['why'], string>> = {
  engine: 'makes its own power',
  'other-volts': 'has the wrong voltage, or its plate contradicts itself',
  'no-arc-time': 'has no arc time, its wire is missing',
  'same-machine': 'is already in the list',
  parts: 'has missing parts',
}
const whyNot = (setUpId: string): string => {
  const found = leftOut.find(({ id }) => id === setUpId)
  return found ? WHY[found.why] : ''
}
const put = (index: number, part: Partial<JobOnSetUp>): void =>
  emit(
    'change',
    atWork.map((one, at) => (at === index ? { ...one, ...part } : one)),
  )
const free = computed(
  () => setUps.value.find(({ id }) => !atWork.some(({ setUpId }) => setUpId === id)) ?? null,
)
function add(): void {
  const setUp = free.value
  const job = jobs.value.find(({ setUpId }) => setUpId === setUp?.id) ?? jobs.value[0]
  if (setUp && job) emit('change', [...atWork, { jobId: job.id, setUpId: setUp.id }])
}
</script>

<template>
  <section class="at-work">
    <h2>Welding at the same time</h2>
    <ul>
      <li v-for="(one, index) in atWork" :key="one.setUpId">
        <ChoiceField
          :label="`Set-up ${index + 1}`"
          bare
          :items="
            setUps.filter(({ id }) => id === one.setUpId || !atWork.some(({ setUpId }) => setUpId === id))
          "
          :model-value="one.setUpId"
          @update:model-value="(id) => id && put(index, { setUpId: id })"
        />
        <ChoiceField
          :label="`Job of set-up ${index + 1}`"
          bare
          :items="jobs"
          :model-value="one.jobId"
          @update:model-value="(id) => id && put(index, { jobId: id })"
        />
        <button
          class="link-button"
          :aria-label="`Remove set-up ${index + 1}`"
          @click="
            emit(
              'change',
              atWork.filter((_, at) => at !== index),
            )
          "
        >
          Remove
        </button>
        <span v-if="whyNot(one.setUpId)" class="label why">Not counted: {{ whyNot(one.setUpId) }}.</span>
      </li>
    </ul>
    <p v-if="atWork.length === 0" class="quiet">Nobody yet. Add a machine.</p>
    <button v-if="free" class="plain-button" @click="add">Another machine</button>
    <RouterLink class="link-button" :to="{ name: 'equipment', params: { list: 'loads' } }"
      >Other loads: {{ workspace.shelf.loads.map(({ name }) => name).join(', ') || 'none' }}</RouterLink
    >
  </section>
</template>

<style scoped>
h2 {
  font-size: var(--text-l);
  margin: 0 0 8px;
}
ul {
  display: grid;
  gap: 6px;
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
}
li {
  align-items: center;
  display: grid;
  gap: 4px 8px;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
}
.why {
  grid-column: 1 / -1;
}
.plain-button {
  margin-right: 16px;
}
</style>
