<script setup lang="ts">
import {
  cellText,
  does,
  type Job,
  type MachineCell,
  PROCESSES,
  sentenceOf,
  type Station,
  type WhatIf,
} from '@brannik/core'
import { computed, ref } from 'vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useNotice } from '../../stores/notice.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useCould } from '../buy/useCould.ts'
import { hasSameParts } from '../setups/sameParts.ts'
import type { useMachines } from './useMachines.ts'

/** One job on one machine: the best way there, what it takes, the other ways, and the machines that do it too. */
const { job, station, cell, row, machines, whatIf } = defineProps<{
  job: Job
  station: Station
  /** Null until it is worked out. */
  cell: MachineCell | null
  /** Of the job, on every machine. */
  row: readonly MachineCell[]
  machines: ReturnType<typeof useMachines>
  /** What is tried over the whole board. */
  whatIf: WhatIf
}>()
const emit = defineEmits<{ back: [] }>()

const workspace = useWorkspace()
const notice = useNotice()
const money = useMoney()
const { print, spell } = usePrint()
const { take } = useCould()
const isTrial = computed(() => whatIf.kind !== 'as-it-is')

const way = computed(() => cell?.way ?? null)
const says = computed(() => {
  if (!cell) return ''
  if (cell.limit) return spell(sentenceOf(workspace.speech, cell.limit))
  if (!way.value) return `${station.powerSource.name} has no process for this job.`
  return cell.spareA === null
    ? 'Every check passes.'
    : `Every check passes, with ${print(cell.spareA, 'A')} to spare.`
})
const nameOf = (list: 'wires' | 'gases' | 'guns' | 'circuits', id: string | null): string =>
  id === null ? '' : (workspace.get(list, id)?.name ?? id)
type Way = NonNullable<MachineCell['way']>
const wayText = ({ setUp }: Way): string =>
  [
    PROCESSES[setUp.process].workshopWord,
    nameOf('wires', setUp.wireId),
    nameOf('gases', setUp.gasId),
    nameOf('guns', setUp.gunId),
  ]
    .filter(Boolean)
    .join(', ')
const takes = computed(() => {
  const { workH = null, cost = null } = cell?.takes ?? {}
  return [workH === null ? '' : print(workH * 3600, 's'), cost === null ? '' : money(Math.round(cost))]
    .filter(Boolean)
    .join(', ')
})
const supply = computed(() => {
  const { circuit, cables } = station
  const on = circuit?.name ?? nameOf('circuits', way.value?.setUp.circuitId ?? null)
  const cord =
    cables.cordLengthMm === null
      ? ''
      : `with ${print(cables.cordLengthMm, 'mm')} of ${cables.cordSize ?? ''} extension cord`
  return [on, on === '' ? '' : cord || 'no extension cord'].filter(Boolean).join(', ')
})
const onNow = computed(() => workspace.get('present-set-ups', station.powerSource.id)?.name ?? '')
const isUsed = computed(() => way.value !== null && machines.recorded(way.value)?.id === job.setUpId)

const MOST_WAYS = 6
const { answer: ways } = useAnswer<'machineWays'>(
  computed((): Question<'machineWays'> => ['machineWays', job.id, station.id, MOST_WAYS, whatIf]),
)
const otherWays = computed(() =>
  (ways.value ?? []).filter((one) => !way.value || !hasSameParts(one.setUp, way.value.setUp)),
)
/** Without a purchase, and with most room first. */
const otherMachines = computed(() =>
  row
    .filter((one) => one.stationId !== cell?.stationId && does(one.verdict) && one.way?.toBuy.length === 0)
    .toSorted((a, b) => Number(a.verdict === 'tight') - Number(b.verdict === 'tight')),
)
const stationName = (id: string): string => {
  const found = machines.byId.value.get(id)
  if (!found) return ''
  return `${found.powerSource.name}${found.circuit ? `, ${found.circuit.name}` : ''}`
}

function use(chosen: Way): void {
  const setUpId = take(chosen)
  workspace.edit('jobs', job.id, { ...job, setUpId }, `set-up of ${job.name}`)
  notice.show(`${job.name} now uses ${workspace.get('set-ups', setUpId)?.name ?? chosen.setUp.name}`, true)
}
const heading = ref<HTMLElement | null>(null)
defineExpose({ focus: () => heading.value?.focus() })
</script>

<template>
  <section class="panel sheet" aria-label="Selected cell" @keydown.esc="emit('back')">
    <h2 ref="heading" tabindex="-1">
      <RouterLink :to="{ name: 'job', params: { jobId: job.id } }">{{ job.name }}</RouterLink> on
      <RouterLink
        :to="{ name: 'equipment', params: { list: 'power-sources', id: station.powerSource.id } }"
        >{{ station.powerSource.name }}</RouterLink
      >
    </h2>
    <p v-if="!cell" class="quiet">Calculating…</p>
    <template v-else>
      <p class="verdict-line">
        <VerdictMark :verdict="cell.verdict" /><span v-if="isTrial" class="label"> in this trial</span>
      </p>
      <p>{{ says }}</p>
      <template v-if="way">
        <dl>
          <dt>Best way</dt>
          <dd>{{ wayText(way) }}</dd>
          <template v-if="takes">
            <dt>Takes</dt>
            <dd>{{ takes }}</dd>
          </template>
          <dt>Circuit</dt>
          <dd>{{ supply || 'its own engine' }}</dd>
          <template v-if="machines.purchaseWords(way)">
            <dt>First</dt>
            <dd class="buy">{{ machines.purchaseWords(way) }}</dd>
          </template>
          <template v-else-if="machines.changeWords(cell)">
            <dt>First</dt>
            <dd>
              <RouterLink
                v-if="machines.recorded(way)"
                :to="{ name: 'change-over', params: { id: machines.recorded(way)?.id ?? '' } }"
                >{{ machines.changeWords(cell) }}</RouterLink><template v-else>{{
                machines.changeWords(cell)
              }}</template>
            </dd>
          </template>
          <template v-if="onNow">
            <dt>On it now</dt>
            <dd>{{ onNow }}</dd>
          </template>
        </dl>
        <p class="acts">
          <RouterLink v-if="isUsed" class="plain-button main" :to="{ name: 'fit', params: { jobId: job.id } }"
            >Open fit</RouterLink
          >
          <button v-else class="plain-button main" @click="use(way)">Use for this job</button>
        </p>
      </template>
      <template v-if="otherMachines.length > 0">
        <h3>{{ way ? 'Other machines that do it' : 'Machines that do it' }}</h3>
        <ul>
          <li v-for="one in otherMachines" :key="one.stationId">
            <VerdictMark :verdict="one.verdict" :word="false" />
            <span
              >{{ stationName(one.stationId) }}
              <span class="label">{{ cellText(workspace.speech, one) }}</span></span
            >
          </li>
        </ul>
      </template>
      <template v-if="otherWays.length > 0">
        <h3>Other ways on this machine</h3>
        <ul>
          <li v-for="one in otherWays" :key="`${one.setUp.process} ${one.setUp.wireId}`">
            <VerdictMark :verdict="one.verdict" :word="false" />
            <span
              >{{ machines.wayWords(one) }}
              <span class="label">{{
                machines.purchaseWords(one) || nameOf('gases', one.setUp.gasId)
              }}</span></span
            >
            <button
              class="link-button"
              :aria-label="`Use ${machines.wayWords(one)} for this job`"
              @click="use(one)"
            >
              Use
            </button>
          </li>
        </ul>
      </template>
      <p>
        <RouterLink :to="{ name: 'buy', params: { part: 'could' }, query: { job: job.id } }"
          >All ways to do this job</RouterLink
        >
      </p>
      <p class="label">Plan only. A structural weld needs a qualified procedure and a qualified welder.</p>
    </template>
  </section>
</template>

<style scoped>
.panel {
  align-content: start;
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  min-height: 0;
  overflow: auto;
  padding: 12px 14px;
}
h2 {
  font-size: var(--text-m);
  font-weight: 400;
  outline: none;
}
a:not(.plain-button) {
  color: inherit;
}
.verdict-line {
  font-size: var(--text-xl);
  font-weight: 700;
}
dl {
  border-top: 1px solid var(--line);
  display: grid;
  font-size: var(--text-s);
  gap: 3px 10px;
  grid-template-columns: auto minmax(0, 1fr);
  padding-top: 8px;
}
dt {
  color: var(--ink-2);
}
.buy {
  color: var(--copper);
  font-weight: 600;
}
h3 {
  border-top: 1px solid var(--line);
  font-size: inherit;
  font-weight: 700;
  padding-top: 8px;
}
ul {
  display: grid;
  gap: 4px;
}
li {
  align-items: start;
  display: grid;
  gap: 8px;
  grid-template-columns: 14px minmax(0, 1fr) auto;
}
li :deep(.verdict) {
  margin-top: 3px;
}
.acts {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}
</style>
