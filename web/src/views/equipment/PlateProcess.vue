<script setup lang="ts">
import {
  dutyFalls,
  type ProcessFamily,
  plateFindings,
  type PlateProcess,
  plateText,
  type PowerSource,
  type SupplyRating,
} from '@brannik/core'
import { computed } from 'vue'
import CountField from '../../components/CountField.vue'
import PickField from '../../components/PickField.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import DialField from './DialField.vue'
import PlateMeaning from './PlateMeaning.vue'
import PlateFigures from './PlateFigures.vue'
import { INPUT_ROWS, OUTPUT_ROWS, type PlateFigure, POINT_FIGURES } from './plateRows.ts'
import DutyChart from '../../charts/DutyChart.vue'
import { BLANK_SUPPLY } from './forms.ts'
import QuantityField from '../../components/QuantityField.vue'
import { useWorkspace } from '../../shop/workspace.ts'
import { setIn } from './useRecordDraft.ts'
import { FAMILY_WORDS } from './words.ts'

/** One process of the data plate: a column for each supply voltage, rows in the order in which a plate is read. */
const { process, at, engine, problemAt, alone, source } = defineProps<{
  /** As it is typed: figures may still be missing. */
  process: PlateProcess
  /** Its place among the processes. */
  at: number
  engine: boolean
  /** Whether it is the only one: then it cannot be taken away. */
  alone: boolean
  /** The whole source, where all of it stands. */
  source: PowerSource | null
  problemAt: (steps: readonly (string | number)[]) => string | null
}>()
const emit = defineEmits<{ change: [process: PlateProcess, what: string]; remove: [] }>()

const workspace = useWorkspace()

type Steps = readonly (string | number)[]
const FAMILIES = Object.entries(FAMILY_WORDS) as [ProcessFamily, string][]
const STANDARD_WORDS: Record<ProcessFamily, string> = {
  gmaw: 'GMAW',
  fcaw: 'FCAW',
  gtaw: 'GTAW',
  smaw: 'SMAW',
}
const MOST_POINTS = 8
const PHASES = [
  [1, '1~'],
  [3, '3~'],
] as const

/** What the dials give was measured by the shop: no plate says it. */
const DIALS = [
  {
    key: 'voltsDial',
    of: 'volts',
    label: 'Voltage dial or taps',
    help: 'Mark = arc volts, as measured',
  },
  { key: 'feedDial', of: 'feed', label: 'Wire speed dial', help: 'Mark = wire feed speed, as measured' },
] as const
const CLAIMS = [
  { key: 'claimMinMm', word: 'from' },
  { key: 'claimMaxMm', word: 'up to' },
] as const

const supplies = computed(() => process.supplies)
const pointRows = computed(() => Math.max(1, ...supplies.value.map(({ ratedPoints }) => ratedPoints.length)))
const name = (column: number): string =>
  engine ? 'engine' : `${supplies.value[column]?.voltageV ?? 'column ' + (column + 1)} V`

function set(steps: Steps, value: unknown, what: string): void {
  emit('change', setIn(process, steps, value), what)
}
const wrong = (...steps: (string | number)[]): string | null => problemAt(['processes', at, ...steps])

function addColumn(): void {
  set(
    ['supplies', supplies.value.length],
    engine ? { ...BLANK_SUPPLY, voltageV: null } : BLANK_SUPPLY,
    'a supply voltage',
  )
}
function removeColumn(column: number): void {
  set(
    ['supplies'],
    supplies.value.filter((_, index) => index !== column),
    'a supply voltage',
  )
}
function addPoint(column: number): void {
  const points = supplies.value[column]?.ratedPoints ?? []
  set(
    ['supplies', column, 'ratedPoints', points.length],
    { currentA: null, dutyPct: null, loadV: null },
    'a rated point',
  )
}
function removePoint(column: number, point: number): void {
  const points = supplies.value[column]?.ratedPoints ?? []
  set(
    ['supplies', column, 'ratedPoints'],
    points.filter((_, index) => index !== point),
    'a rated point',
  )
}
function toggleOutput(wave: 'dc' | 'ac'): void {
  const has = process.outputs.includes(wave)
  set(
    ['outputs'],
    has ? process.outputs.filter((one) => one !== wave) : [...process.outputs, wave],
    'outputs',
  )
}

const isAbove0 = (value: unknown): boolean => typeof value === 'number' && value > 0
/** Only of columns whose figures are all there and make a curve. */
const whole = computed(() =>
  supplies.value.filter(
    (supply) =>
      isAbove0(supply.outputMaxA) &&
      supply.ratedPoints.length > 0 &&
      supply.ratedPoints.every(
        ({ currentA, dutyPct }) => isAbove0(currentA) && isAbove0(dutyPct) && dutyPct <= 100,
      ) &&
      dutyFalls(supply),
  ),
)
const curves = computed(() =>
  whole.value.map(({ voltageV, phases, ratedPoints, outputMaxA }) => ({
    name: engine ? 'engine' : `${voltageV ?? '–'} V${phases === 3 ? ' 3~' : ''}`,
    points: ratedPoints,
    maxA: outputMaxA,
  })),
)
const findings = computed(() => plateFindings({ processes: [{ ...process, supplies: whole.value }] }))
const conventional = computed(() =>
  process.family === 'gtaw' ? '10 + 0.04·I' : process.family === 'smaw' ? '20 + 0.04·I' : '14 + 0.05·I',
)
const hasFeed = computed(() => process.family === 'gmaw' || process.family === 'fcaw')
const keyOf = ({ path }: PlateFigure): string => path.at(-1) ?? ''
function pointValue(supply: SupplyRating, point: number, figure: PlateFigure): number | null {
  const rated = supply.ratedPoints[point - 1]
  const value: unknown = rated && Reflect.get(rated, keyOf(figure))
  return typeof value === 'number' ? value : null
}
</script>

<template>
  <section class="process" :aria-label="`${STANDARD_WORDS[process.family]} on the plate`">
    <header>
      <PickField
        class="family"
        name="Process"
        :items="FAMILIES.map(([family, words]) => [family, `${STANDARD_WORDS[family]}, ${words}`] as const)"
        :model-value="process.family"
        @update:model-value="(now) => set(['family'], now, 'process')"
      />
      <VCheckbox
        v-for="wave in ['dc', 'ac'] as const"
        :key="wave"
        :label="wave.toUpperCase()"
        :model-value="process.outputs.includes(wave)"
        @update:model-value="toggleOutput(wave)"
      />
      <VCheckbox
        label="pulse"
        :model-value="process.pulse"
        @update:model-value="set(['pulse'], !process.pulse, 'pulse')"
      />
      <span class="claim">
        <span v-tip="'Compared with our estimate only'" class="label">Maker states</span>
        <QuantityField
          v-for="claim in CLAIMS"
          :key="claim.key"
          class="thickness"
          kind="thickness"
          label=""
          :name="`Maker states ${claim.word}`"
          :optional="claim.word"
          :wrong="wrong(claim.key)"
          :model-value="process[claim.key]"
          @update:model-value="(now) => set([claim.key], now, `maker claim, ${claim.word}`)"
        />
      </span>
      <span v-if="problemAt(['processes', at, 'outputs'])" class="problem" role="alert">{{
        problemAt(['processes', at, 'outputs'])
      }}</span>
      <button v-if="!alone" class="link-button end" @click="emit('remove')">Remove process</button>
    </header>
    <p v-for="finding in findings" :key="`${finding.id}-${finding.column}`" class="finding" role="status">
      <VerdictMark :verdict="finding.verdict" :word="false" />
      <span>{{ curves[finding.column]?.name }}: {{ plateText(workspace.speech, finding.told) }}</span>
    </p>
    <div class="body">
      <div class="columns">
        <table>
          <thead>
            <tr>
              <th scope="row" class="label">Supply U₁, V</th>
              <td v-for="(supply, column) in supplies" :key="column">
                <span v-if="engine" class="engine">engine</span>
                <CountField
                  v-else
                  class="figure"
                  label=""
                  :name="`Supply voltage, column ${column + 1}`"
                  :least="12"
                  :most="1000"
                  decimals
                  unit="V"
                  :model-value="supply.voltageV ?? null"
                  @update:model-value="
                    (now) => set(['supplies', column, 'voltageV'], now ?? undefined, 'supply voltage')
                  "
                />
              </td>
            </tr>
          </thead>
          <tbody>
            <tr v-if="!engine">
              <th scope="row" class="label">Phases</th>
              <td v-for="(supply, column) in supplies" :key="column">
                <PickField
                  class="figure"
                  :name="`Phases at ${name(column)}`"
                  :items="PHASES"
                  :model-value="supply.phases"
                  @update:model-value="(now) => set(['supplies', column, 'phases'], now, 'phases')"
                />
              </td>
            </tr>
            <PlateFigures
              v-for="row in OUTPUT_ROWS"
              :key="row.label"
              :row="row"
              :supplies="supplies"
              :name="name"
              :wrong="(column, key) => wrong('supplies', column, key)"
              @change="(column, key, value, what) => set(['supplies', column, key], value, what)"
            />
            <tr v-for="point in pointRows" :key="`point-${point}`">
              <th scope="row" class="label">
                {{ point === 1 ? 'Rated: duty X %, I₂ A, U₂ V' : ''
                }}<span v-if="point > 1" class="visually-hidden">Rated point {{ point }}</span>
              </th>
              <td v-for="(supply, column) in supplies" :key="column" class="triple">
                <template v-if="supply.ratedPoints[point - 1]">
                  <CountField
                    v-for="figure in POINT_FIGURES"
                    :key="keyOf(figure)"
                    decimals
                    label=""
                    :name="`${figure.label} of point ${point} at ${name(column)}`"
                    :least="figure.least"
                    :most="figure.most"
                    :unit="figure.unit"
                    :optional="figure.optional ?? ''"
                    :wrong="
                      point === 1 && keyOf(figure) === 'dutyPct'
                        ? wrong('supplies', column, 'ratedPoints')
                        : null
                    "
                    :model-value="pointValue(supply, point, figure)"
                    @update:model-value="
                      (now) =>
                        set(
                          ['supplies', column, 'ratedPoints', point - 1, keyOf(figure)],
                          now,
                          `rated ${figure.label.toLowerCase()}`,
                        )
                    "
                  />
                  <button
                    v-if="supply.ratedPoints.length > 1"
                    v-tip="'Remove point'"
                    class="link-button"
                    :aria-label="`Remove point ${point} at ${name(column)}`"
                    @click="removePoint(column, point - 1)"
                  >
                    −
                  </button>
                </template>
                <button
                  v-else-if="supply.ratedPoints.length === point - 1"
                  class="link-button"
                  @click="addPoint(column)"
                >
                  add point
                </button>
              </td>
            </tr>
            <tr>
              <td></td>
              <td v-for="(supply, column) in supplies" :key="column">
                <button
                  v-if="supply.ratedPoints.length === pointRows && pointRows < MOST_POINTS"
                  class="link-button"
                  @click="addPoint(column)"
                >
                  add rated point
                </button>
              </td>
            </tr>
            <PlateFigures
              v-for="row in engine ? [] : INPUT_ROWS"
              :key="row.label"
              :row="row"
              :supplies="supplies"
              :name="name"
              :wrong="(column, key) => wrong('supplies', column, key)"
              @change="(column, key, value, what) => set(['supplies', column, key], value, what)"
            />
            <tr v-if="hasFeed">
              <th scope="row" class="label">Max. wire feed</th>
              <td v-for="(supply, column) in supplies" :key="column">
                <QuantityField
                  class="speed"
                  kind="wireFeedSpeed"
                  label=""
                  :name="`Maximum wire feed speed at ${name(column)}`"
                  optional="as the feeder"
                  :model-value="supply.feedMaxMmPerMin"
                  @update:model-value="
                    (now) => set(['supplies', column, 'feedMaxMmPerMin'], now, 'fastest wire')
                  "
                />
              </td>
            </tr>
            <tr v-for="dial in hasFeed ? DIALS : []" :key="dial.key">
              <th v-tip="dial.help" scope="row" class="label">{{ dial.label }}</th>
              <td v-for="(supply, column) in supplies" :key="column">
                <DialField
                  class="dial"
                  :of="dial.of"
                  :name="`${dial.label} at ${name(column)}`"
                  :wrong="wrong('supplies', column, dial.key)"
                  :model-value="supply[dial.key]"
                  @update:model-value="
                    (now) => set(['supplies', column, dial.key], now, dial.label.toLowerCase())
                  "
                />
              </td>
            </tr>
            <tr v-if="!engine">
              <th scope="row">
                <button v-if="supplies.length < 8" class="link-button" @click="addColumn">
                  Add a supply voltage
                </button>
              </th>
              <td v-for="(_, column) in supplies" :key="column">
                <button v-if="supplies.length > 1" class="link-button" @click="removeColumn(column)">
                  remove {{ name(column) }}
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="beside">
        <DutyChart
          v-if="curves.length > 0"
          :curves="curves"
          :label="`Current over duty, ${STANDARD_WORDS[process.family]}`"
        />
        <PlateMeaning :source="source" :at="at" />
        <p class="label">Where no U₂ is given: U₂ = {{ conventional }} (IEC 60974-1).</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.process {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
}
header {
  align-items: start;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.family {
  width: 170px;
}
.end {
  margin-left: auto;
}
.body {
  align-items: start;
  display: grid;
  gap: 8px 20px;
  grid-template-columns: minmax(0, max-content) minmax(250px, 1fr);
}
/* Many supply voltages side by side on a narrow page. */
.columns {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th {
  font-weight: 400;
  max-width: 120px;
  padding: 1px 8px 1px 0;
  text-align: left;
}
td {
  padding: 1px 10px 1px 0;
}
.figure {
  width: 76px;
}
.speed {
  width: 116px;
}
.dial {
  max-width: 168px;
}
.claim > .label,
header > .link-button {
  padding-top: 6px;
}
.claim {
  align-items: start;
  display: flex;
  gap: 6px;
}
.thickness {
  width: 88px;
}
.triple {
  white-space: nowrap;
}
.triple > :deep(*) {
  display: inline-grid;
  margin-right: 3px;
}
.triple > :deep(.frame) {
  width: 50px;
}
.triple :deep(.v-field) {
  --v-field-padding-start: 4px;
  --v-field-padding-end: 2px;
}
.engine {
  line-height: 28px;
}
.beside {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
}
.finding {
  align-items: start;
  display: flex;
  gap: 10px;
}
@media screen and (max-width: 1180px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
