<script setup lang="ts">
import { inputFault, type PlateFamily, plateFindings, type PlateProcess, PROCESSES } from '@brannik/core'
import { computed } from 'vue'
import CountField from '../../components/CountField.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import DutyChart from '../../charts/DutyChart.vue'
import { BLANK_SUPPLY } from './blanks.ts'
import QuantityField from '../../components/QuantityField.vue'
import { pointerOf, setIn } from './useRecordDraft.ts'
import { FAMILY_WORDS } from './words.ts'

/** One process of the data plate: a column for each supply voltage, rows in the order in which a plate is read. */
const { process, at, engine, problemAt, alone } = defineProps<{
  /** As it is typed: figures may still be missing. */
  process: PlateProcess
  /** Its place among the processes. */
  at: number
  engine: boolean
  /** Whether it is the only one: then it cannot be taken away. */
  alone: boolean
  problemAt: (steps: readonly (string | number)[]) => string | null
}>()
const emit = defineEmits<{ change: [process: PlateProcess, what: string]; remove: [] }>()

type Steps = readonly (string | number)[]
const FAMILIES = Object.entries(FAMILY_WORDS) as [PlateFamily, string][]
const STANDARD_WORDS: Record<PlateFamily, string> = { gmaw: 'GMAW', fcaw: 'FCAW', gtaw: 'GTAW', smaw: 'SMAW' }
const MOST_POINTS = 8

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

/** Only of columns whose figures are all there. */
const whole = computed(() =>
  supplies.value.filter(
    ({ outputMaxA, ratedPoints }) =>
      typeof outputMaxA === 'number' &&
      ratedPoints.length > 0 &&
      ratedPoints.every(
        ({ currentA, dutyPct }) =>
          typeof currentA === 'number' && typeof dutyPct === 'number' && dutyPct > 0 && dutyPct <= 100,
      ),
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
const faulty = (column: number): boolean => {
  const supply = supplies.value[column]
  return supply !== undefined && whole.value.includes(supply) && inputFault(process.family, supply) !== null
}
const conventional = computed(() =>
  process.family === 'gtaw' ? '10 + 0.04·I' : process.family === 'smaw' ? '20 + 0.04·I' : '14 + 0.05·I',
)
const key = computed(() => pointerOf(['processes', at]))
const hasFeed = computed(() => process.family === 'gmaw' || process.family === 'fcaw')
const title = computed(
  () => Object.values(PROCESSES).find(({ family }) => family === process.family)?.family ?? 'smaw',
)
</script>

<template>
  <section
    class="process"
    :aria-label="`${STANDARD_WORDS[process.family]} on the plate`"
    :data-process="title"
  >
    <header>
      <select
        class="field"
        aria-label="Process"
        :value="process.family"
        @change="set(['family'], ($event.target as HTMLSelectElement).value, 'process')"
      >
        <option v-for="[family, words] in FAMILIES" :key="family" :value="family">
          {{ STANDARD_WORDS[family] }}, {{ words }}
        </option>
      </select>
      <label v-for="wave in ['dc', 'ac'] as const" :key="wave">
        <input type="checkbox" :checked="process.outputs.includes(wave)" @change="toggleOutput(wave)" />
        {{ wave.toUpperCase() }}
      </label>
      <label
        ><input type="checkbox" :checked="process.pulse" @change="set(['pulse'], !process.pulse, 'pulse')" />
        pulse</label
      >
      <span v-if="problemAt(['processes', at, 'outputs'])" class="problem" role="alert">{{
        problemAt(['processes', at, 'outputs'])
      }}</span>
      <button v-if="!alone" class="link-button end" @click="emit('remove')">Take this process off</button>
    </header>
    <p v-for="finding in findings" :key="`${finding.id}-${finding.column}`" class="finding" role="status">
      <VerdictMark :verdict="finding.verdict" />
      <span>{{ curves[finding.column]?.name }}: {{ finding.says }}</span>
    </p>
    <div class="body">
      <table>
        <thead>
          <tr>
            <th scope="row" class="label">Supply U₁, V</th>
            <td v-for="(supply, column) in supplies" :key="column">
              <span v-if="engine" class="engine">engine</span>
              <CountField
                v-else
                keep
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
              <select
                class="field"
                :aria-label="`Phases at ${name(column)}`"
                :value="supply.phases"
                @change="
                  set(
                    ['supplies', column, 'phases'],
                    Number(($event.target as HTMLSelectElement).value),
                    'phases',
                  )
                "
              >
                <option :value="1">1~</option>
                <option :value="3">3~</option>
              </select>
            </td>
          </tr>
          <tr>
            <th scope="row" class="label">Output, A, least and most</th>
            <td v-for="(supply, column) in supplies" :key="column" class="pair">
              <CountField
                keep
                label=""
                :name="`Least output at ${name(column)}`"
                :least="0.1"
                :most="3000"
                decimals
                unit="A"
                :wrong="wrong('supplies', column, 'outputMinA')"
                :model-value="supply.outputMinA"
                @update:model-value="(now) => set(['supplies', column, 'outputMinA'], now, 'least output')"
              />
              <CountField
                keep
                label=""
                :name="`Greatest output at ${name(column)}`"
                :least="0.1"
                :most="3000"
                decimals
                unit="A"
                :model-value="supply.outputMaxA"
                @update:model-value="(now) => set(['supplies', column, 'outputMaxA'], now, 'greatest output')"
              />
            </td>
          </tr>
          <tr>
            <th scope="row" class="label">Open circuit U₀, V</th>
            <td v-for="(supply, column) in supplies" :key="column">
              <CountField
                keep
                label=""
                :name="`Open-circuit voltage at ${name(column)}`"
                :least="1"
                :most="200"
                decimals
                unit="V"
                optional="not given"
                :model-value="supply.openCircuitV"
                @update:model-value="
                  (now) => set(['supplies', column, 'openCircuitV'], now, 'open-circuit voltage')
                "
              />
            </td>
          </tr>
          <tr v-for="point in pointRows" :key="`${key}-${point}`">
            <th scope="row" class="label">
              {{ point === 1 ? 'Rated: duty X %, I₂ A, U₂ V' : ''
              }}<span v-if="point > 1" class="visually-hidden">Rated point {{ point }}</span>
            </th>
            <td v-for="(supply, column) in supplies" :key="column" class="triple">
              <template v-if="supply.ratedPoints[point - 1]">
                <CountField
                  keep
                  label=""
                  :name="`Duty of point ${point} at ${name(column)}`"
                  :least="1"
                  :most="100"
                  decimals
                  unit="%"
                  :wrong="point === 1 ? wrong('supplies', column, 'ratedPoints') : null"
                  :model-value="supply.ratedPoints[point - 1]?.dutyPct ?? null"
                  @update:model-value="
                    (now) => set(['supplies', column, 'ratedPoints', point - 1, 'dutyPct'], now, 'rated duty')
                  "
                />
                <CountField
                  keep
                  label=""
                  :name="`Current of point ${point} at ${name(column)}`"
                  :least="0.1"
                  :most="3000"
                  decimals
                  unit="A"
                  :model-value="supply.ratedPoints[point - 1]?.currentA ?? null"
                  @update:model-value="
                    (now) =>
                      set(['supplies', column, 'ratedPoints', point - 1, 'currentA'], now, 'rated current')
                  "
                />
                <CountField
                  keep
                  label=""
                  :name="`Load voltage of point ${point} at ${name(column)}`"
                  :least="12"
                  :most="1000"
                  decimals
                  unit="V"
                  optional="by rule"
                  :model-value="supply.ratedPoints[point - 1]?.loadV ?? null"
                  @update:model-value="
                    (now) => set(['supplies', column, 'ratedPoints', point - 1, 'loadV'], now, 'load voltage')
                  "
                />
                <button
                  v-if="supply.ratedPoints.length > 1"
                  class="link-button"
                  :aria-label="`Remove point ${point} at ${name(column)}`"
                  title="Remove this point"
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
                add a point
              </button>
            </td>
          </tr>
          <tr>
            <th></th>
            <td v-for="(supply, column) in supplies" :key="column">
              <button
                v-if="supply.ratedPoints.length === pointRows && pointRows < MOST_POINTS"
                class="link-button"
                @click="addPoint(column)"
              >
                add a rated point
              </button>
            </td>
          </tr>
          <template v-if="!engine">
            <tr>
              <th scope="row" class="label">Input I₁max, I₁eff, A</th>
              <td
                v-for="(supply, column) in supplies"
                :key="column"
                class="pair"
                :class="{ faulty: faulty(column) }"
              >
                <CountField
                  keep
                  label=""
                  :name="`I₁max at ${name(column)}`"
                  :least="0.1"
                  :most="3000"
                  decimals
                  unit="A"
                  optional="not given"
                  :model-value="supply.i1MaxA"
                  @update:model-value="(now) => set(['supplies', column, 'i1MaxA'], now, 'I₁max')"
                />
                <CountField
                  keep
                  label=""
                  :name="`I₁eff at ${name(column)}`"
                  :least="0.1"
                  :most="3000"
                  decimals
                  unit="A"
                  optional="not given"
                  :model-value="supply.i1EffA"
                  @update:model-value="(now) => set(['supplies', column, 'i1EffA'], now, 'I₁eff')"
                />
              </td>
            </tr>
            <tr>
              <th scope="row" class="label">or input, kVA</th>
              <td v-for="(supply, column) in supplies" :key="column">
                <CountField
                  keep
                  label=""
                  :name="`Input power at ${name(column)}`"
                  :least="0.1"
                  :most="500"
                  decimals
                  unit="kVA"
                  optional="not given"
                  :model-value="supply.inputKva"
                  @update:model-value="(now) => set(['supplies', column, 'inputKva'], now, 'input power')"
                />
              </td>
            </tr>
          </template>
          <tr v-if="hasFeed">
            <th scope="row" class="label">Fastest wire here</th>
            <td v-for="(supply, column) in supplies" :key="column">
              <QuantityField
                kind="wireFeedSpeed"
                label=""
                :aria-label="`Fastest wire at ${name(column)}`"
                optional="as the feeder"
                :model-value="supply.feedMaxMmPerMin"
                @update:model-value="
                  (now) => set(['supplies', column, 'feedMaxMmPerMin'], now, 'fastest wire')
                "
              />
            </td>
          </tr>
          <tr v-if="supplies.length > 1">
            <th></th>
            <td v-for="(_, column) in supplies" :key="column">
              <button class="link-button" @click="removeColumn(column)">remove {{ name(column) }}</button>
            </td>
          </tr>
        </tbody>
      </table>
      <div class="beside">
        <DutyChart
          v-if="curves.length > 0"
          :curves="curves"
          :label="`Current over duty, ${STANDARD_WORDS[process.family]}`"
        />
        <button v-if="!engine && supplies.length < 8" class="link-button" @click="addColumn">
          Add a supply voltage
        </button>
        <p class="label">Where no U₂ is given: U₂ = {{ conventional }} (IEC 60974-1).</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.process {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  display: grid;
  gap: 8px;
  padding: 8px 12px 10px;
}
header {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
header label {
  align-items: center;
  display: flex;
  gap: 6px;
}
.end {
  margin-left: auto;
}
.body {
  align-items: start;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
}
table {
  border-collapse: collapse;
}
th {
  font-weight: 400;
  padding: 1px 12px 1px 0;
  text-align: left;
  white-space: nowrap;
}
td {
  padding: 1px 14px 1px 0;
}
td :deep(input),
td select {
  height: 28px;
}
td :deep(.count),
td :deep(.quantity) {
  width: 76px;
}
td :deep(.quantity) {
  width: 120px;
}
.pair,
.triple {
  white-space: nowrap;
}
.pair > :deep(*),
.triple > :deep(*) {
  display: inline-grid;
  margin-right: 4px;
}
.triple > :deep(.count) {
  width: 58px;
}
.engine {
  line-height: 28px;
}
.faulty :deep(input) {
  border-color: var(--short);
}
.beside {
  display: grid;
  width: 300px;
  gap: 4px;
  justify-items: start;
}
.finding {
  align-items: start;
  display: flex;
  gap: 10px;
}
</style>
