<script setup lang="ts">
import {
  assumptionsOf,
  type LogRow,
  type OwnStart,
  ownStart,
  type RecordStart,
  settledOf,
  type SettledAt,
  startKey,
  type WeldSettings,
} from '@brannik/core'
import { computed, shallowRef, watch } from 'vue'
import { eventsOf, newestRows } from '../../shop/eventList.ts'
import { happenings } from '../../shop/happenings.ts'
import { newestLook } from '../../shop/newest.ts'
import { useOutbox } from '../../shop/outbox.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useWhen } from '../../stores/useWhen.ts'
import { settingsText } from '../log/logWords.ts'

/** What worked here before moves the start from the chart: shown with what it rests on, to be used or left. */
const { record, chart } = defineProps<{ record: RecordStart; chart: WeldSettings }>()
const emit = defineEmits<{ use: [settings: WeldSettings] }>()
const workspace = useWorkspace()
const when = useWhen()

/** Rows of one source and wire: what is older teaches no more. */
const MOST = 300
const rows = shallowRef<readonly LogRow[]>([])
const settled = shallowRef<SettledAt | null>(null)
const key = computed(() => startKey(record))
const outbox = useOutbox()

const newest = newestLook()
async function learn(): Promise<void> {
  const of = key.value
  const filter = {
    source: record.sourceId ?? '',
    wire: record.wireId ?? '',
    gas: record.gasId ?? '',
    outcome: 'good',
  }
  const answer = await newest(() =>
    Promise.all([newestRows(filter, MOST), eventsOf('lesson-settled', `lesson.${of}`)]),
  )
  if (!answer || of !== key.value) return
  const [found, decided] = answer
  rows.value = found
  settled.value = settledOf(decided).get(of) ?? null
}
watch([key, happenings], () => void learn().catch(() => undefined), { immediate: true })

const chartWeight = computed(
  () => assumptionsOf({ assumptions: workspace.shop?.assumptions ?? {} }).chartWeight,
)
const own = computed((): OwnStart | null => ownStart(rows.value, record, chart, chartWeight.value))
/** What was left stays left until there is more evidence. */
const isLeft = computed(
  () => settled.value?.choice === 'left' && settled.value.evidence >= (own.value?.good ?? 0),
)
function settle(choice: 'taken' | 'left'): void {
  if (!own.value) return
  outbox.record({
    type: 'lesson-settled',
    subject: `lesson.${key.value}`,
    body: { choice, evidence: own.value.good, value: null },
  })
  if (choice === 'taken') emit('use', own.value.settings)
  else settled.value = { choice, evidence: own.value.good, value: null, at: new Date().toISOString() }
}
</script>

<template>
  <section v-if="own" class="own" aria-label="Your own start">
    <p>
      <strong>Your own, {{ own.good }} good {{ own.good === 1 ? 'weld' : 'welds' }}:</strong>
      {{ settingsText(own.settings, workspace.notation) }}.
    </p>
    <p class="quiet">
      The chart would say {{ settingsText(chart, workspace.notation) }}. It counts as
      <RouterLink :to="{ name: 'assumptions' }">{{ chartWeight }} good welds</RouterLink>.
      <template v-if="own.wild > 0"
        >{{ own.wild }} {{ own.wild === 1 ? 'figure' : 'figures' }} far off the others left out.</template
      >
      <template v-if="isLeft && settled"> Left on {{ when(settled.at, 'day') }}.</template>
    </p>
    <p class="acts">
      <button class="plain-button" @click="settle('taken')">Use own start</button>
      <button v-if="!isLeft" class="plain-button" @click="settle('left')">Keep the chart</button>
    </p>
  </section>
</template>

<style scoped>
.own {
  border-left: 3px solid var(--copper);
  display: grid;
  gap: 4px;
  padding: 4px 12px;
}
a {
  color: inherit;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
@media (pointer: coarse) {
  button {
    min-height: 48px;
  }
}
</style>
