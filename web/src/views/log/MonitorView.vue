<script setup lang="ts">
import {
  type Channel,
  type ChannelColumn,
  channelIn,
  CHANNELS,
  type Measured,
  heatInputKJPerMm,
  jointName,
  planOfWelds,
  PROCESSES,
  unitsOf,
  unitWord,
  assumptionsOf,
} from '@brannik/core'
import { type Remote, wrap } from 'comlink'
import { computed, onScopeDispose, ref, shallowRef, toRaw, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import MeasuredChart from '../../charts/MeasuredChart.vue'
import ChoiceField from '../../components/ChoiceField.vue'
import ChooseFile from '../../components/ChooseFile.vue'
import CountField from '../../components/CountField.vue'
import PlaceHead from '../../components/PlaceHead.vue'
import QuantityField from '../../components/QuantityField.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { reasonOf } from '../../reason.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useJobTabs } from '../jobs/jobTabs.ts'
import type { MeasurementReader } from './measure.worker.ts'
import { drawnOf, type MeasurementRead, missingChannels } from './measurements.ts'
import { SHOWN_S, useMonitor } from './useMonitor.ts'
import { useWeldRows } from './useWeldRows.ts'

/** What an arc really did: from a file of measurements, or live from the monitor, held against the plan and booked. */
const route = useRoute()
const router = useRouter()
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const { print, number } = usePrint()

const jobId = computed(() => String(route.params['jobId'] ?? ''))
const job = computed(() => workspace.get('jobs', jobId.value))
const tabs = useJobTabs(() => jobId.value)
const weldId = computed(() => {
  const named = String(route.query['weld'] ?? '')
  const joints = job.value?.joints ?? []
  return (joints.find(({ id }) => id === named) ?? joints[0])?.id ?? ''
})
const joint = computed(() => job.value?.joints.find(({ id }) => id === weldId.value) ?? null)
const setUpId = computed(() => {
  const named = route.query['set-up']
  return (typeof named === 'string' ? named : job.value?.setUpId) ?? null
})
const weldItems = computed(() =>
  (job.value?.joints ?? []).map((one, index) => ({ id: one.id, name: `${index + 1} ${jointName(one)}` })),
)
const setUpItems = computed(() => workspace.setUps.map(({ id, name }) => ({ id, name })))
const show = (query: Record<string, string>): void =>
  void router.replace({ query: { ...route.query, ...query } })

const { answer } = useAnswer<'trial'>(
  computed((): Question<'trial'> | null =>
    job.value && setUpId.value
      ? ['trial', jobId.value, setUpId.value, weldId.value, { settings: null, sign: null, ruledOut: [] }]
      : null,
  ),
)
const wireGPerMm = computed(() => answer.value?.wireGPerMm ?? 0)
/** What machine and gun allow at this current, by the card. */
const { answer: card } = useAnswer<'card'>(
  computed((): Question<'card'> | null =>
    job.value && setUpId.value ? ['card', jobId.value, setUpId.value, weldId.value] : null,
  ),
)
const allowedPct = computed(() => {
  const allows = card.value?.pace.params['allows']
  return typeof allows === 'object' && 'value' in allows ? allows.value : null
})

const STRETCHES = 900
let thread: { readonly worker: Worker; readonly reader: Remote<MeasurementReader> } | null = null
function reader(): Remote<MeasurementReader> {
  if (!thread) {
    const worker = new Worker(new URL('./measure.worker.ts', import.meta.url), { type: 'module' })
    thread = { worker, reader: wrap<MeasurementReader>(worker) }
  }
  return thread.reader
}
onScopeDispose(() => thread?.worker.terminate())

const CHANNEL_WORDS: Readonly<Record<Channel, string>> = {
  time: 'time',
  volts: 'volts',
  amps: 'amps',
  feed: 'wire speed',
  gas: 'gas flow',
}
const fileName = ref('')
const problem = ref('')
const headings = shallowRef<readonly string[]>([])
const columns = shallowRef<readonly (ChannelColumn | null)[]>([])
const read = shallowRef<MeasurementRead | null>(null)
/** What was understood stands in a line; its fields only where somebody has to say something. */
const showsColumns = ref(false)
const columnsSaid = computed(() =>
  columns.value
    .flatMap((one, index) =>
      one ? [`${headings.value[index] ?? ''} is ${CHANNEL_WORDS[one.channel]} in ${unitWord(one.unit)}`] : [],
    )
    .join(', '),
)
const isReading = ref(false)

async function take(file: File): Promise<void> {
  monitor.stop()
  isReading.value = true
  read.value = null
  problem.value = ''
  fileName.value = file.name
  try {
    const opened = await reader().open(file)
    if (!opened.ok) {
      problem.value = opened.message
      headings.value = []
      return
    }
    headings.value = opened.headings
    columns.value = opened.columns
    showsColumns.value = missingChannels(opened.columns).length > 0
    await measure()
  } catch (error) {
    problem.value = reasonOf(error)
  } finally {
    isReading.value = false
  }
}
async function measure(): Promise<void> {
  const missing = missingChannels(columns.value)
  if (missing.length > 0) {
    problem.value = `Say which column is ${missing.map((one) => CHANNEL_WORDS[one]).join(' and ')}.`
    read.value = null
    return
  }
  problem.value = ''
  read.value = await reader().read(
    columns.value.map((one) => one && { ...one }),
    wireGPerMm.value,
    STRETCHES,
  )
  if (read.value.skipped > 0 && read.value.firstSkipped !== null)
    problem.value = `${read.value.skipped} rows are left out, the first is row ${read.value.firstSkipped}: no number, or back in time.`
}
function map(index: number, channel: string | null): void {
  columns.value = columns.value.map((one, at) => {
    if (at === index) return channel === null ? null : channelIn(channel as Channel, one?.unit ?? null)
    // A channel is one column.
    return one?.channel === channel ? null : one
  })
  void measure()
}
function setUnit(index: number, unit: string | null): void {
  columns.value = columns.value.map((one, at) => (at === index && one ? channelIn(one.channel, unit) : one))
  void measure()
}
watch(wireGPerMm, () => {
  if (read.value) void measure()
})

const monitor = useMonitor(() => wireGPerMm.value)
const INCIDENTS = [
  { id: 'none', name: 'all well' },
  { id: 'stubbing', name: 'wire stubs' },
  { id: 'gas-out', name: 'gas runs out' },
  { id: 'breaker-trip', name: 'breaker trips' },
  { id: 'lost-packets', name: 'bad line' },
]
const incident = ref('none')
function live(): void {
  headings.value = []
  read.value = null
  fileName.value = ''
  problem.value = ''
  monitor.start(incident.value)
}
const STATE_WORDS = {
  off: 'not connected',
  connecting: 'connecting…',
  live: 'live',
  again: 'line cut, connecting again…',
} as const

const measured = computed((): Measured | null => read.value?.measured ?? monitor.measured.value)
const UNITS = computed(() => workspace.notation.system === 'imperial')
/** Lanes of the chart, in the units of the shop. */
const drawn = computed(() => {
  const found = read.value
  const latest = monitor.latest.value
  if (found) return { drawn: found.drawn, fromS: found.fromS, toS: found.toS }
  if (!latest) return null
  const toS = latest.time.at(-1) ?? 0
  const range = [Math.max(0, toS - SHOWN_S), Math.max(toS, SHOWN_S)] as const
  return { drawn: drawnOf(latest, () => true, STRETCHES, range), fromS: range[0], toS: range[1] }
})
const scaled = (values: { low: Float64Array; high: Float64Array } | null, by: number) =>
  values && { low: values.low.map((one) => one * by), high: values.high.map((one) => one * by) }
const lanes = computed(() => {
  const of = drawn.value?.drawn
  if (!of) return []
  const [feedBy, feedUnit] = UNITS.value ? [1 / 25.4, 'in/min'] : [0.001, 'm/min']
  const [gasBy, gasUnit] = UNITS.value ? [60 / 28.316_846_592, 'CFH'] : [1, 'L/min']
  return [
    { title: 'Volts', unit: 'V', values: of.volts },
    { title: 'Amps', unit: 'A', values: of.amps },
    { title: 'Wire speed', unit: feedUnit, values: scaled(of.feed, feedBy) },
    { title: 'Gas', unit: gasUnit, values: scaled(of.gas, gasBy) },
  ]
})

const welds = ref<number | null>(1)
/** Of one weld as it was measured: the whole of it, where nobody says less. */
const oneMm = ref<number | null>(null)
watch(joint, (now) => (oneMm.value = now?.lengthMm ?? null), { immediate: true })
const plan = computed(() => answer.value && planOfWelds(answer.value.record, welds.value ?? 1))
const efficiency = computed(() => {
  const assumptions = assumptionsOf({ assumptions: workspace.shop?.assumptions ?? {} })
  const setUp = setUpId.value ? workspace.get('set-ups', setUpId.value) : null
  return setUp && PROCESSES[setUp.process].electrode === 'tungsten'
    ? assumptions.heatEfficiencyGtaw
    : assumptions.heatEfficiencyWire
})
const isOverDuty = computed(
  () => measured.value !== null && allowedPct.value !== null && measured.value.dutyPct > allowedPct.value,
)
const rows = computed(() => {
  const found = measured.value
  const planned = plan.value
  if (!found) return []
  const lengthMm = (oneMm.value ?? 0) * (welds.value ?? 1)
  const heat = lengthMm > 0 ? heatInputKJPerMm(found.energyKJ, lengthMm, efficiency.value) : null
  const of = (value: number | null | undefined, unit: string): string =>
    value === null || value === undefined ? '' : print(Number(value.toPrecision(3)), unit)
  return [
    { title: 'Arc time', measured: of(found.arcS, 's'), plan: of(planned?.arcS, 's') },
    { title: 'Arc starts', measured: `${found.starts}`, plan: planned?.starts?.toString() ?? '' },
    {
      title: 'Duty in the worst ten minutes',
      measured: `${Math.round(found.dutyPct)} %`,
      plan: allowedPct.value === null ? '' : `${allowedPct.value} % allowed`,
    },
    { title: 'Mean amps', measured: `${Math.round(found.meanA)} A`, plan: '' },
    { title: 'Mean volts', measured: `${number(found.meanV, 3)} V`, plan: '' },
    { title: 'Energy', measured: `${number(found.energyKJ, 3)} kJ`, plan: '' },
    { title: 'Heat input', measured: heat === null ? '' : `${number(heat, 2)} kJ/mm`, plan: '' },
    { title: 'Wire', measured: of(found.wireG, 'g'), plan: of(planned?.wireG, 'g') },
    { title: 'Gas', measured: of(found.gasL, 'L'), plan: of(planned?.gasL, 'L') },
    ...(found.lostS > 0 ? [{ title: 'Without readings', measured: of(found.lostS, 's'), plan: '' }] : []),
  ]
})

const log = useWeldRows(jobId, weldId)
/** What it measured is booked when somebody says so, and never before. */
function book(): void {
  const found = measured.value
  if (!found || !answer.value || !plan.value) return
  log.record({
    ...structuredClone(toRaw(answer.value.record)),
    state: 'done',
    weldedAt: new Date().toISOString(),
    welder: session.me?.who ?? null,
    setUpVersion: setUpId.value ? workspace.versionOf('set-ups', setUpId.value) || null : null,
    welds: welds.value ?? 1,
    arcS: Math.round(found.arcS * 10) / 10,
    starts: found.starts,
    minutes: Math.round(found.durationS / 6) / 10,
    wireG: found.wireG > 0 ? Math.round(found.wireG * 10) / 10 : null,
    gasL: found.gasL > 0 ? Math.round(found.gasL * 10) / 10 : null,
    plan: plan.value,
    note: fileName.value === '' ? 'measured live' : `measured, ${fileName.value}`.slice(0, 200),
  })
  notice.show('What was measured is in the log')
  monitor.stop()
}
</script>

<template>
  <section v-if="!job" class="empty">
    <h1>No such job</h1>
    <p>It may have been deleted.</p>
    <RouterLink class="plain-button main" :to="{ name: 'jobs' }">Go to Jobs</RouterLink>
  </section>
  <div v-else class="monitor">
    <PlaceHead :title="job.name" :tabs="tabs">
      <RouterLink class="plain-button" :to="{ name: 'log', params: { jobId } }">Back to the log</RouterLink>
    </PlaceHead>
    <div class="sheet bar">
      <ChoiceField
        label="Weld"
        :items="weldItems"
        :model-value="weldId"
        @update:model-value="(id) => id && show({ weld: id })"
      />
      <ChoiceField
        label="Set-up"
        :items="setUpItems"
        :model-value="setUpId"
        @update:model-value="(id) => id && show({ 'set-up': id })"
      />
      <CountField v-model="welds" label="Welds measured" :least="1" :most="100000" />
      <QuantityField v-model="oneMm" kind="length" label="Length of one" optional="not known" />
      <ChooseFile what="measurements" accept=".csv,.txt,text/csv" unread @chosen="take"
        >Read a file</ChooseFile
      >
      <ChoiceField
        label="Simulated weld"
        :items="INCIDENTS"
        :model-value="incident"
        @update:model-value="(id) => (incident = id ?? 'none')"
      />
      <button v-if="monitor.state.value === 'off'" class="plain-button main" @click="live">Start live</button>
      <button v-else class="plain-button" @click="monitor.stop()">Stop</button>
    </div>
    <p class="quiet" aria-live="polite">
      <template v-if="isReading">Reading {{ fileName }}…</template>
      <template v-else-if="fileName">{{ fileName }}</template>
      <template v-else
        >Monitor: {{ STATE_WORDS[monitor.state.value]
        }}<template v-if="monitor.isStandIn.value && monitor.state.value !== 'off'"
          >. A simulated weld, not your machine</template
        ><template v-if="monitor.cuts.value > 0"
          >. Cut {{ monitor.cuts.value }} {{ monitor.cuts.value === 1 ? 'time' : 'times' }}, nothing
          lost</template
        >.</template
      >
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="headings.length > 0 && !showsColumns" class="quiet">
      {{ columnsSaid }}
      <button class="link-button" @click="showsColumns = true">Change columns</button>
    </p>
    <div
      v-if="headings.length > 0 && showsColumns"
      class="sheet columns"
      role="group"
      aria-label="Columns of the file"
    >
      <div v-for="(heading, index) in headings" :key="index" class="column">
        <span class="label one-line">{{ heading }}</span>
        <ChoiceField
          :label="`Column ${heading || index + 1}`"
          bare
          :items="CHANNELS.map((id) => ({ id, name: CHANNEL_WORDS[id] }))"
          optional="leave out"
          :model-value="columns[index]?.channel ?? null"
          @update:model-value="(channel) => map(index, channel)"
        />
        <ChoiceField
          v-if="columns[index]"
          :label="`Unit of ${heading || index + 1}`"
          bare
          :items="unitsOf(columns[index]?.channel ?? 'time').map((id) => ({ id, name: unitWord(id) }))"
          :model-value="columns[index]?.unit ?? null"
          @update:model-value="(unit) => setUnit(index, unit)"
        />
      </div>
    </div>
    <p v-if="isOverDuty" class="warn" role="alert">
      Duty cycle {{ Math.round(measured?.dutyPct ?? 0) }} %. Machine or gun allows {{ allowedPct }} %. Stop
      and let it cool.
    </p>
    <div v-if="measured && drawn" class="two">
      <div class="sheet chart">
        <MeasuredChart
          :lanes="lanes"
          :from-s="drawn.fromS"
          :to-s="drawn.toS"
          label="Volts, amps, wire speed and gas over time"
        />
      </div>
      <section class="sheet figures" aria-label="Measured against the plan">
        <table class="ruled">
          <thead>
            <tr>
              <th scope="col"><span class="visually-hidden">Figure</span></th>
              <th scope="col" class="number">Measured</th>
              <th scope="col" class="number">Plan</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.title">
              <th scope="row">{{ row.title }}</th>
              <td class="number">
                <strong>{{ row.measured }}</strong>
              </td>
              <td class="number">{{ row.plan }}</td>
            </tr>
          </tbody>
        </table>
        <button class="plain-button main" :disabled="!session.mayRecord || !plan" @click="book">
          Book into the log
        </button>
      </section>
    </div>
    <p v-else-if="!isReading && !problem" class="sheet none">
      Read a CSV of time, volts and amps, with wire speed and gas if you have them. Or start the monitor.
    </p>
  </div>
</template>

<style scoped>
.monitor {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 20px;
}
.bar {
  align-items: start;
  display: grid;
  gap: 10px 14px;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  padding: 12px 16px;
}
/* Level with the fields, whose names are above them. */
.bar > .plain-button,
.bar > :deep(.file) {
  margin-top: 20px;
}
.columns {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  padding: 10px 16px;
}
.column {
  display: grid;
  max-width: 180px;
}
.two {
  align-items: start;
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 3fr) minmax(300px, 2fr);
}
.chart {
  padding: 10px;
}
.figures {
  display: grid;
  gap: 10px;
  padding: 10px 16px 14px;
}
.figures th[scope='row'] {
  font-weight: 400;
  text-align: left;
}
.warn {
  background: var(--sheet);
  border: 1px solid var(--fails);
  border-left-width: 5px;
  font-weight: 700;
  padding: 8px 14px;
}
.none {
  padding: 16px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (pointer: coarse) {
  .bar .plain-button {
    min-height: 48px;
  }
}
</style>
