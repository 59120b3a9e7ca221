<script setup lang="ts">
import { keptBlock, minuteOf, type PlannedBlock, timeOf, type WeekBlock } from '@brannik/core'
import { computed, ref, shallowRef, watch } from 'vue'
import PickField from '../../components/PickField.vue'
import type { Read } from '../../components/useTyped.ts'
import ValueField from '../../components/ValueField.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { readMoment } from '../../components/dates.ts'
import type { WeekAsks } from '../../engine/questions/week.ts'
import { reasonOf } from '../../reason.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { durationText, usePlanWords } from './planWords.ts'
import type { PlanInHand } from './usePlan.ts'

/** One block of the plan: when, where and by whom, and what changes that. */
const { block, plan } = defineProps<{ block: WeekBlock; plan: PlanInHand }>()
const { when, clock, conflictText, day, lateText, nameOf, saveText } = usePlanWords()
const troubles = computed(() =>
  (plan.answer.value?.conflicts ?? [])
    .filter(({ blockId, kind }) => blockId === block.id && kind !== 'late')
    .map(conflictText),
)
const emit = defineEmits<{
  /** Another start, set-up or welder: pinned there. */
  put: [block: WeekBlock, change: Partial<PlannedBlock>]
  pin: [block: WeekBlock]
  split: [block: WeekBlock]
  join: [block: WeekBlock]
}>()

const workspace = useWorkspace()

const options = shallowRef<{ readonly setUps: readonly string[]; readonly welders: readonly string[] }>({
  setUps: [],
  welders: [],
})
watch(
  () => block.id,
  async () => {
    options.value = (await plan.ask('choices', block.id)) ?? { setUps: [], welders: [] }
  },
  { immediate: true },
)
const setUps = computed(() =>
  workspace.setUps
    .filter(({ id }) => options.value.setUps.includes(id))
    .map(({ id, name }) => [id, name] as const),
)
const welders = computed(() =>
  workspace
    .all('welders')
    .filter(({ id }) => options.value.welders.includes(id))
    .map(({ id, name }) => [id, name] as const),
)
const start = computed(() => timeOf(block.startMin))
const printed = computed(() => when(block.startMin))
function readStart(text: string): Read<string> {
  const day0 = timeOf(block.startMin).slice(0, 10)
  const [year = 1970, month = 1, date = 1] = day0.split('-').map(Number)
  const moment = readMoment(text, workspace.notation.locale, new Date(year, month - 1, date))
  if (moment === null)
    return {
      ok: false,
      message: `“${text.trim()}” is not a day and a time. Enter for example ${printed.value}.`,
    }
  if (minuteOf(moment) < plan.nowMin.value)
    return { ok: false, message: `${when(minuteOf(moment))} is over. Enter a time from now on.` }
  return { ok: true, value: moment, understood: when(minuteOf(moment)) }
}

const saves = shallowRef<WeekAsks['saves']['answer'] | null>(null)
const isLooking = ref(false)
const failure = ref('')
watch(
  () => [block.id, block.lateMin > 0],
  () => {
    saves.value = null
    failure.value = ''
  },
)
const MOST_SHOWN = 2
async function look(): Promise<void> {
  isLooking.value = true
  try {
    saves.value = await plan.ask('saves', block.id)
  } catch (error) {
    failure.value = reasonOf(error)
  }
  isLooking.value = false
}
const isSplit = computed(() => keptBlock(block).sharePct < 100)
</script>

<template>
  <section class="sheet panel" aria-label="Chosen job">
    <h2>{{ nameOf(block) }}</h2>
    <p><VerdictMark :verdict="block.verdict" /> {{ block.setUpName }}, {{ block.welderName }}</p>
    <p>
      {{ when(block.startMin) }} to {{ when(block.endMin) }}. {{ durationText(block.workMin) }} of
      work<template v-if="block.changeMin > 0"
        >, change over {{ durationText(block.changeMin) }} first</template
      >.
    </p>
    <p v-if="block.pace.runs > 0 && Math.abs(block.pace.times - 1) > 0.005" class="quiet">
      {{ Math.abs(Math.round((block.pace.times - 1) * 100)) }} %
      {{ block.pace.times > 1 ? 'longer' : 'shorter' }} than planned, from {{ block.pace.runs }}
      {{ block.pace.runs === 1 ? 'run' : 'runs' }} that you did.
    </p>
    <p :class="{ bad: block.lateMin > 0 }">
      <template v-if="block.dueOn === null">No due day is set.</template>
      <template v-else-if="block.lateMin > 0"
        >Due {{ day(block.dueOn) }}: {{ lateText(block.lateMin) }}.</template
      >
      <template v-else>Due {{ day(block.dueOn) }}: in time.</template>
    </p>
    <p v-for="text in troubles" :key="text" class="bad">{{ text }}</p>
    <div v-if="block.lateMin > 0" class="saves">
      <button v-if="saves === null" class="plain-button" :disabled="isLooking" @click="look">
        {{ isLooking ? 'Looking…' : 'Find what would help' }}
      </button>
      <p v-else-if="saves.length === 0">Nothing that was tried brings it sooner.</p>
      <ul v-else>
        <li v-for="save in saves.slice(0, MOST_SHOWN)" :key="`${save.kind} ${save.setUpName}`">
          {{ saveText(save) }}
        </li>
      </ul>
      <p v-if="failure" class="problem" role="alert">This cannot be calculated. {{ failure }}</p>
    </div>
    <template v-if="block.work === null">
      <div class="fields">
        <ValueField
          :model-value="start"
          :printed="printed"
          :read="readStart"
          label="Start"
          @update:model-value="emit('put', block, { startsAt: $event ?? start })"
        />
        <PickField
          v-if="setUps.length > 0"
          :model-value="block.setUpId"
          :items="setUps"
          label="Set-up"
          @update:model-value="$event && emit('put', block, { setUpId: $event })"
        />
        <PickField
          v-if="welders.length > 0"
          :model-value="block.welderId"
          :items="welders"
          label="Welder"
          @update:model-value="$event && emit('put', block, { welderId: $event })"
        />
      </div>
      <p class="acts">
        <button class="plain-button" @click="emit('pin', block)">
          {{ block.isPinned ? 'Unpin' : `Pin at ${clock(block.startMin)}` }}
        </button>
        <button class="plain-button" @click="emit('split', block)">Split in two</button>
        <button v-if="isSplit" class="plain-button" @click="emit('join', block)">Join the parts</button>
      </p>
    </template>
    <p v-else>It is {{ block.work.state === 'running' ? 'running' : 'paused' }}, and stays where it is.</p>
    <p class="acts">
      <RouterLink class="plain-button" :to="{ name: 'change-over', params: { id: block.setUpId } }"
        >Change over</RouterLink
      >
      <RouterLink
        class="plain-button"
        :to="{ name: 'card', params: { jobId: block.jobId }, query: { 'set-up': block.setUpId } }"
        >Card</RouterLink
      >
      <RouterLink class="plain-button" :to="{ name: 'job', params: { jobId: block.jobId } }">Job</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.panel {
  align-content: start;
  display: grid;
  gap: 8px;
  padding: 12px 16px;
}
.bad {
  color: var(--fails);
}
.fields {
  display: grid;
  gap: 8px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
ul {
  display: grid;
  gap: 4px;
}
</style>
