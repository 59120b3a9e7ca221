<script setup lang="ts">
import {
  type Capacity,
  type CapacityColumn,
  type CapacityFigure,
  type CapacityRange,
  type End,
  linkMissing,
  type Position,
  POSITIONS,
  PROCESSES,
  type SetUp,
  type Step,
} from '@brannik/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import CapacityBars, { type CapacityRow, type ThicknessTick } from '../../charts/CapacityBars.vue'
import type { Opened } from '../../components/opened.ts'
import PlaceHead from '../../components/PlaceHead.vue'
import PickField from '../../components/PickField.vue'
import WorkingDrawer from '../../components/WorkingDrawer.vue'
import { useAnswer, type Question } from '../../engine/useAnswer.ts'
import { useAbout } from '../../stores/useAbout.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useSetUpTabs } from '../setups/setUpTabs.ts'
import { limitWords, POSITION_WORDS, supplyWords } from './words.ts'

/** What every set-up welds, from the thinnest to the thickest part, and one of them by position and supply voltage. */
const route = useRoute()
const router = useRouter()
const workspace = useWorkspace()
const about = useAbout()
const { print, spell } = usePrint()

const tabs = useSetUpTabs()
const position = ref<Position>('flat')
const ids = computed(() => workspace.setUps.map(({ id }) => id))
const { answer: capacities, failure } = useAnswer<'capacities'>(
  computed<Question<'capacities'>>(() => ['capacities', ids.value]),
)

const chosenId = computed(() => {
  const named = route.params['id']
  return typeof named === 'string' && workspace.get('set-ups', named) ? named : (ids.value[0] ?? null)
})
const chosen = computed(() => (chosenId.value ? workspace.get('set-ups', chosenId.value) : null))
const capacity = computed(() => (chosenId.value ? (capacities.value?.[chosenId.value] ?? null) : null))

const INCH_MM = 25.4
const isImperial = computed(() => workspace.notation.system === 'imperial')
const SCALE_INCH = [1 / 32, 1 / 16, 1 / 8, 1 / 4, 1 / 2, 1]
const SCALE_MM = [0.5, 1, 2, 5, 10, 20]
const scale = computed(() =>
  (isImperial.value ? SCALE_INCH.map((inches) => inches * INCH_MM) : SCALE_MM).map((at) => ({
    mm: at,
    label: print(at, 'mm'),
  })),
)
/** Thinner than foil is no thickness that anybody welds. */
const LEAST_SAID_MM = 0.5
const thicknessWords = (mm: number): string =>
  mm < LEAST_SAID_MM ? `under ${about(LEAST_SAID_MM)}` : about(mm)
const endWords = (end: End | null, setUp: SetUp): string =>
  end ? `${thicknessWords(end.mm)} · ${limitWords(end.by, PROCESSES[setUp.process])}` : 'any · several passes'

const ownColumn = (of: Capacity | undefined): CapacityColumn | null =>
  of?.columns.find(({ isOwn }) => isOwn) ?? of?.columns[0] ?? null
const rangeOf = (column: CapacityColumn | null): CapacityRange | null =>
  column?.ranges.find((one) => one.position === position.value) ?? null

const rows = computed((): CapacityRow[] =>
  workspace.setUps.map((setUp) => {
    const column = ownColumn(capacities.value?.[setUp.id])
    const range = rangeOf(column)
    const supply = column ? supplyWords(column.voltageV, column.phases) : ''
    const row = {
      id: setUp.id,
      name: setUp.name,
      note: `${PROCESSES[setUp.process].workshopWord}, ${supply}`,
    }
    if (!range) {
      const why = column?.missing ? 'no data' : 'cannot weld'
      return { ...row, bar: null, thinEnd: capacities.value ? why : '', thickEnd: '' }
    }
    return {
      ...row,
      bar: {
        thinnestMm: range.thinnest.mm,
        thinMm: range.thin.mm,
        singleMm: range.single.mm,
        thickestMm: range.thickest?.mm ?? null,
        limitMm: range.limit?.mm ?? null,
      },
      thinEnd: endWords(range.thin, setUp),
      thickEnd: endWords(range.thickest, setUp),
    }
  }),
)

/** The thinner part of every weld of a job that is still to be done. */
const ticks = computed((): ThicknessTick[] => {
  const jobs = new Map<string, { mm: number; names: Set<string> }>()
  for (const job of workspace.jobs.filter(({ state }) => state !== 'archived'))
    for (const { thicknessAMm, thicknessBMm } of job.joints) {
      const thinner = Math.min(thicknessAMm, thicknessBMm)
      const label = print(thinner, 'mm')
      const known = jobs.get(label) ?? { mm: thinner, names: new Set() }
      known.names.add(job.name)
      jobs.set(label, known)
    }
  return [...jobs]
    .map(([label, { mm: at, names }]) => ({ mm: at, label, jobs: `${label}: ${[...names].join(', ')}` }))
    .sort((a, b) => a.mm - b.mm)
})

const FIGURES: readonly { readonly figure: CapacityFigure; readonly title: string; readonly help: string }[] =
  [
    { figure: 'thinnest', title: 'Thinnest', help: 'Anything thinner burns through' },
    { figure: 'thin', title: 'Everyday from', help: 'From here it gives the current the weld needs' },
    { figure: 'single', title: 'In one pass', help: 'With a bead as wide as the plate is thick' },
    {
      figure: 'thickest',
      title: 'In several',
      help: 'In as many passes as needed. A bevelled groove goes further',
    },
    {
      figure: 'limit',
      title: 'At its limit',
      help: 'Low end of the window: slower, with smaller beads. Thicker laps cold',
    },
    {
      figure: 'preheated',
      title: 'Preheated',
      help: 'Aluminium at its limit, preheated to 120 °C (250 °F), never above',
    },
  ]
const figures = computed(() =>
  FIGURES.filter(({ figure }) => figure !== 'preheated' || capacity.value?.metal === 'aluminium'),
)
function figureWords(range: CapacityRange, figure: CapacityFigure): string {
  if (figure === 'preheated') return range.preheatedMm === null ? '–' : about(range.preheatedMm)
  const end = range[figure]
  return end ? thicknessWords(end.mm) : 'any'
}
const figureBy = (range: CapacityRange, figure: CapacityFigure): string => {
  const end = figure === 'preheated' ? null : range[figure]
  return end && chosen.value ? limitWords(end.by, PROCESSES[chosen.value.process]) : ''
}

function claimWords(column: CapacityColumn): string {
  const { claimMinMm, claimMaxMm, ranges } = column
  if (claimMinMm === null && claimMaxMm === null) return ''
  const says = [
    claimMinMm === null ? '' : `from ${about(claimMinMm)}`,
    claimMaxMm === null ? '' : `up to ${about(claimMaxMm)}`,
  ]
  const flat = ranges[0]
  const limit = flat?.limit
  const beyond =
    claimMaxMm !== null && limit && claimMaxMm > limit.mm * 1.01
      ? `. Our estimate is ${about(limit.mm)}, limited by the ${chosen.value ? limitWords(limit.by, PROCESSES[chosen.value.process]) : ''}. Try a coupon before you rely on more`
      : ''
  return `The maker states ${says.filter(Boolean).join(' ')}${beyond}.`
}
const amps = (value: number): string => print(value, 'A')

/** What is open: `240 flat thickest`. */
const open = ref<{
  readonly voltageV: number | null
  readonly position: Position
  readonly figure: CapacityFigure
} | null>(null)
watch(chosenId, () => (open.value = null))
const { answer: working } = useAnswer<'explainCapacity'>(
  computed<Question<'explainCapacity'> | null>(() =>
    open.value && chosenId.value
      ? ['explainCapacity', chosenId.value, open.value.voltageV, open.value.position, open.value.figure]
      : null,
  ),
)
const opened = computed((): Opened | null => {
  if (!open.value) return null
  const { figure, position: at, voltageV } = open.value
  const found = FIGURES.find((one) => one.figure === figure)
  const steps: readonly Step[] | null = working.value
  return {
    key: `${voltageV} ${at} ${figure}`,
    title: `${found?.title ?? ''}, ${POSITION_WORDS[at] ?? at}`,
    verdict: null,
    sentence: `${spell(found?.help ?? '')}. T-joint of two equal parts. Try it on a coupon.`,
    mends: [],
    working: steps,
  }
})

const choose = (id: string): void => {
  void router.replace({ name: 'capacity', params: { id } })
}
const missingWords = (column: CapacityColumn): string => linkMissing(workspace.speech, column)
</script>

<template>
  <section class="capacity">
    <PlaceHead title="Set-ups" :tabs="tabs">
      <p class="quiet note">
        T-joint of two equal parts, short welds with rest between
        {{ capacity ? `(${capacity.dutyPct} % duty, ${capacity.limitDutyPct} % at its limits)` : '' }}. Plan
        only. Structural and pressure welds need a qualified procedure.
      </p>
      <PickField
        class="position"
        label=""
        name="Position"
        :items="POSITIONS.map((one) => [one, POSITION_WORDS[one] ?? one] as const)"
        :model-value="position"
        @update:model-value="(now) => now && (position = now)"
      />
    </PlaceHead>
    <p v-if="failure" role="alert">Calculation failed: {{ failure }}.</p>
    <p v-if="rows.length === 0">No set-ups yet. Add one under Set-ups.</p>
    <section v-else class="sheet chart" aria-label="Thickness range of every set-up">
      <CapacityBars :rows="rows" :ticks="ticks" :scale="scale" :chosen="chosenId" @choose="choose" />
      <p class="quiet key">
        <span class="solid" /> everyday <span class="faint" /> at its limits <span class="single" /> one pass
        ends <span class="tick" /> thickness of a job’s weld
      </p>
    </section>
    <section v-if="chosen && capacity" class="sheet one" :aria-label="chosen.name">
      <h2>
        <RouterLink :to="{ name: 'set-up', params: { id: chosen.id } }">{{ chosen.name }}</RouterLink>
      </h2>
      <div v-for="column in capacity.columns" :key="`${column.voltageV} ${column.phases}`" class="column">
        <h3>
          {{ supplyWords(column.voltageV, column.phases) }}
          <small v-if="!column.isOwn">another supply, circuit not checked</small>
        </h3>
        <p v-if="column.missing" class="quiet">No data: {{ missingWords(column) }}.</p>
        <p v-else-if="column.ranges.length === 0">
          It cannot weld on this supply. The minimum current is above what the weakest link carries.
        </p>
        <VTable v-if="column.ranges.length > 0">
          <thead>
            <tr>
              <th scope="col">Position</th>
              <th v-for="one in figures" :key="one.figure" v-tip="spell(one.help)" scope="col">
                {{ one.title }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="range in column.ranges"
              :key="range.position"
              :class="{ now: range.position === position }"
            >
              <th scope="row">{{ POSITION_WORDS[range.position] }}</th>
              <td v-for="{ figure } in figures" :key="figure">
                <button
                  class="link-button"
                  :disabled="figureWords(range, figure) === 'any'"
                  @click="open = { voltageV: column.voltageV, position: range.position, figure }"
                >
                  {{ figureWords(range, figure) }}
                </button>
                <small>{{ figureBy(range, figure) }}</small>
              </td>
            </tr>
          </tbody>
        </VTable>
        <p v-if="column.links.length > 0" class="quiet">
          Carries:
          <template v-for="(link, index) in column.links" :key="link.id"
            >{{ index > 0 ? ', ' : '' }}{{ limitWords(link.id, PROCESSES[chosen.process]) }}
            {{ link.leastA > 0 ? `${amps(link.leastA)} to ` : 'to ' }}{{ amps(link.mostA) }}</template
          >. {{ claimWords(column) }}
        </p>
      </div>
    </section>
    <WorkingDrawer :opened="opened" @close="open = null" />
  </section>
</template>

<style scoped>
.capacity {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  padding: 10px 20px 16px;
}
.note {
  flex: 1 1 300px;
}
.position {
  width: 150px;
}
.chart {
  padding: 4px 4px 6px;
}
.key {
  align-items: center;
  display: flex;
  gap: 6px;
  padding: 6px 12px 0;
}
.key > span {
  display: inline-block;
  margin-left: 10px;
}
.key .solid {
  background: var(--steel);
  height: 12px;
  width: 26px;
}
.key .faint {
  border: 1px dashed var(--ink-2);
  height: 10px;
  width: 26px;
}
.key .single {
  border-left: 3px solid var(--copper);
  height: 16px;
}
.key .tick {
  border-left: 1px dashed var(--line-strong);
  height: 16px;
}
/* A wide table on a narrow page moves by itself. */
.column {
  min-width: 0;
  overflow-x: auto;
}
.one {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
  padding: 10px 16px 14px;
}
h2 a {
  color: inherit;
}
h3 {
  font-size: var(--text-m);
}
small {
  color: var(--ink-2);
  font-size: var(--text-s);
  font-weight: 400;
  margin-left: 6px;
}
th {
  font-weight: 400;
  text-align: left;
}
td {
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
.now {
  background: var(--sunk);
}
</style>
