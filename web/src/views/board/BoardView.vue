<script setup lang="ts">
import {
  AS_IT_IS,
  does,
  isEngineDriven,
  type Job,
  type ProcessId,
  PROCESSES,
  type SetUp,
  summaryOf,
  titleOf,
  toBuyOf,
  type Verdict,
  VERDICT_RANK,
  VERDICTS,
  verdictText,
  type WhatIf,
  YARD_WIND_KM_PER_H,
} from '@brannik/core'
import { onKeyStroke } from '@vueuse/core'
import { parseISO } from 'date-fns'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import CountField from '../../components/CountField.vue'
import PickField from '../../components/PickField.vue'
import TypedField from '../../components/TypedField.vue'
import { download } from '../../files/download.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { jointWords } from '../fit/words.ts'
import { dayToday, DUE_CHOICES, type DueWithin, isDue } from '../jobs/dueWithin.ts'
import BoardGrid from './BoardGrid.vue'
import { boardCsv, boardJson } from './boardFiles.ts'
import CellPanel from './CellPanel.vue'
import CompareDialog from './CompareDialog.vue'
import { cellOf, useBoard } from './useBoard.ts'

/** All planned jobs against all set-ups: which does which, what stops the others, and what is worth buying. */
const workspace = useWorkspace()
const money = useMoney()
const { print, spell } = usePrint()

const planned = computed(() => workspace.jobs.filter(({ state }) => state === 'planned'))
/** A set-up that lost a part has no cells: it is said below the board. */
const whole = computed(() => workspace.wholeSetUps)
const broken = computed(() => workspace.setUps.filter((setUp) => !whole.value.includes(setUp)))
const toBuy = computed(() => new Map(whole.value.map((setUp) => [setUp.id, toBuyOf(setUp, workspace.shelf)])))

const BREAKER_A = 50
const whatIfs = computed((): readonly (readonly [words: string, whatIf: WhatIf])[] => [
  ['as it is', AS_IT_IS],
  ...workspace.shelf.circuits.map(
    ({ id, name }) => [`all on ${name}`, { kind: 'all-on', circuitId: id }] as const,
  ),
  ...workspace.shelf.circuits
    .filter(({ breakerA }) => breakerA < BREAKER_A)
    .map(
      ({ id, name }) =>
        [
          `${BREAKER_A} A breaker and cable: ${name}`,
          { kind: 'breaker', circuitId: id, breakerA: BREAKER_A },
        ] as const,
    ),
  [`everything outdoors, wind ${print(YARD_WIND_KM_PER_H, 'km/h')}`, { kind: 'outdoors' }],
  [spell('all aluminium by a spool gun'), { kind: 'spool-gun' }],
])
const whatIfAt = ref(0)
const whatIf = computed(() => whatIfs.value[whatIfAt.value]?.[1] ?? AS_IT_IS)

const jobIds = computed(() => planned.value.map(({ id }) => id))
const setUpIds = computed(() => whole.value.map(({ id }) => id))
const { cells, failure, waiting } = useBoard(jobIds, setUpIds, whatIf)
const verdictOf = (job: Job, setUpId: string) => cellOf(cells.value, job.id, setUpId)?.verdict ?? null

/** What the whole says is worked out once it is whole: a board of hundreds of jobs comes in many parts. */
const settled = shallowRef(cells.value)
watch([cells, waiting], ([now, left]) => {
  if (left === 0) settled.value = now
})
const today = dayToday()
const which = ref<'all' | 'undone'>('all')
const ownedOnly = ref(false)
const process = ref<ProcessId | null>(null)
const search = ref('')
const verdict = ref<Verdict | null>(null)
/** Criterion that limits a cell. */
const limit = ref<string | null>(null)
const circuitId = ref<string | null>(null)
const dueWithin = ref<DueWithin | null>(null)
const mostHours = ref<number | null>(null)
const mostCost = ref<number | null>(null)
const filters = computed(
  () =>
    [verdict, limit, process, circuitId, dueWithin, mostHours, mostCost].filter(({ value }) => value !== null)
      .length,
)
function clearFilters(): void {
  for (const one of [verdict, limit, process, circuitId, dueWithin, mostHours, mostCost]) one.value = null
}
const VERDICT_CHOICES = VERDICTS.map((id) => [id, verdictText(workspace.speech, id).toLowerCase()] as const)
const limits = computed(() => {
  const titles = new Map<string, string>()
  for (const row of settled.value.values())
    for (const { limit: one } of row.values())
      if (one) titles.set(one.criterion, titleOf(workspace.speech, one))
  return [...titles].toSorted(([, a], [, b]) => a.localeCompare(b))
})
const circuits = computed(() => workspace.shelf.circuits.map(({ id, name }) => [id, name] as const))
/** Whether a job has a cell, among the set-ups that are shown, which is all that the filters ask. */
function isAsked(job: Job): boolean {
  if (dueWithin.value !== null && !isDue(job.dueOn, dueWithin.value, today)) return false
  const ofCells = [verdict, limit, mostHours, mostCost].some(({ value }) => value !== null)
  if (!ofCells) return true
  const row = cells.value.get(job.id)
  return setUps.value.some(({ id }) => {
    const one = row?.get(id)
    if (!one) return false
    if (verdict.value !== null && one.verdict !== verdict.value) return false
    if (limit.value !== null && one.limit?.criterion !== limit.value) return false
    if (mostHours.value !== null && (one.takes?.workH ?? Infinity) > mostHours.value) return false
    return mostCost.value === null || (one.takes?.cost ?? Infinity) <= mostCost.value
  })
}
const sortBy = ref<string>('name')
const searchField = useTemplateRef<InstanceType<typeof TypedField>>('searchField')

/** What the shop has first, then what it thinks of. */
const setUps = computed(() =>
  whole.value
    .filter(
      (setUp) =>
        (!ownedOnly.value || !toBuy.value.get(setUp.id)) &&
        (process.value === null || setUp.process === process.value) &&
        (circuitId.value === null || setUp.circuitId === circuitId.value),
    )
    .toSorted((a, b) => Number(toBuy.value.get(a.id) !== null) - Number(toBuy.value.get(b.id) !== null)),
)
const processes = computed(() =>
  [...new Set(whole.value.map((one) => one.process))].map((id) => [id, PROCESSES[id].workshopWord] as const),
)
const summary = computed(() => {
  const known = jobIds.value.flatMap((id) => [...(settled.value.get(id)?.values() ?? [])])
  return summaryOf(
    known.filter(({ setUpId }) => toBuy.value.has(setUpId)),
    whole.value,
    toBuy.value,
  )
})
const undone = computed(() => new Set(summary.value.undone))
const SORTS = [
  ['name', 'by name'],
  ['due', 'by due date'],
  ['hardest', 'hardest first'],
  ['hours', 'shortest first'],
  ['cost', 'cheapest first'],
] as const
const doers = (job: Job): number => whole.value.filter(({ id }) => does(verdictOf(job, id) ?? 'fails')).length
/** Of the set-ups that are shown, what does it in the fewest hours, or for the least money. */
const leastOf = (job: Job, key: 'workH' | 'cost'): number =>
  Math.min(
    ...setUps.value.map(({ id }) => cells.value.get(job.id)?.get(id)?.takes?.[key] ?? Infinity),
    Infinity,
  )
const compare = computed((): ((a: Job, b: Job) => number) => {
  const byName = (a: Job, b: Job): number => a.name.localeCompare(b.name, undefined, { numeric: true })
  if (sortBy.value === 'name') return byName
  if (sortBy.value === 'due')
    return (a, b) => (a.dueOn ?? '9999').localeCompare(b.dueOn ?? '9999') || byName(a, b)
  if (sortBy.value === 'hours' || sortBy.value === 'cost') {
    const key = sortBy.value === 'hours' ? 'workH' : 'cost'
    return (a, b) => leastOf(a, key) - leastOf(b, key) || byName(a, b)
  }
  if (sortBy.value === 'hardest') return (a, b) => doers(a) - doers(b) || byName(a, b)
  const rank = (job: Job): number => VERDICT_RANK[verdictOf(job, sortBy.value) ?? 'fails']
  return (a, b) => rank(a) - rank(b) || byName(a, b)
})
const jobs = computed(() => {
  const words = search.value
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '')
  return planned.value
    .filter((job) => which.value === 'all' || undone.value.has(job.id))
    .filter(isAsked)
    .filter((job) => words.every((word) => `${job.name} ${jobWords(job)}`.toLowerCase().includes(word)))
    .toSorted(compare.value)
})

function jobWords(job: Job): string {
  const [first] = job.joints
  const more = job.joints.length > 1 ? `, and ${job.joints.length - 1} more` : ''
  return first ? `${jointWords(first, workspace.notation)}${more}` : ''
}
const day = computed(
  () => new Intl.DateTimeFormat(workspace.notation.locale, { day: 'numeric', month: 'short' }),
)
const due = ({ dueOn }: Job): string => (dueOn === null ? '–' : day.value.format(parseISO(dueOn)))
const isOverdue = ({ dueOn }: Job): boolean => isDue(dueOn, 'overdue', today)
function supply(setUp: SetUp): string {
  const source = setUp.powerSourceId === null ? null : workspace.get('power-sources', setUp.powerSourceId)
  if (source && isEngineDriven(source)) return 'its engine'
  const circuit = setUp.circuitId === null ? null : workspace.get('circuits', setUp.circuitId)
  return circuit ? `${circuit.voltageV} V ${circuit.breakerA} A${circuit.phases === 3 ? ', 3~' : ''}` : '–'
}

const at = ref({ row: 0, column: 0 })
watch([jobs, setUps], ([rows, columns]) => {
  at.value = {
    row: Math.max(0, Math.min(at.value.row, rows.length - 1)),
    column: Math.max(0, Math.min(at.value.column, columns.length - 1)),
  }
})
const here = computed(() => {
  const job = jobs.value[at.value.row]
  const setUp = setUps.value[at.value.column]
  return job && setUp ? { job, setUp } : null
})
const grid = useTemplateRef<InstanceType<typeof BoardGrid>>('grid')
const panel = useTemplateRef<InstanceType<typeof CellPanel>>('panel')

const pinned = ref<ReadonlySet<string>>(new Set())
function pin(setUpId: string): void {
  const next = new Set(pinned.value)
  if (!next.delete(setUpId)) next.add(setUpId)
  pinned.value = next
}
const compared = computed(() => whole.value.filter(({ id }) => pinned.value.has(id)))
const comparing = ref(false)

const nameOf = (setUpId: string): string => workspace.get('set-ups', setUpId)?.name ?? setUpId
const jobName = (id: string): string => workspace.get('jobs', id)?.name ?? id
const priceOf = (setUpId: string): string => {
  const price = toBuy.value.get(setUpId)?.price ?? null
  return price === null ? '' : ` for ${money(price)}`
}
const circuitName = computed(() => {
  const { stopper } = summary.value
  return stopper ? (workspace.get('circuits', stopper.circuitId)?.name ?? stopper.circuitId) : ''
})

onKeyStroke('/', (event) => {
  if (event.target instanceof HTMLElement && event.target.matches('input, textarea')) return
  event.preventDefault()
  searchField.value?.focus()
})
</script>

<template>
  <section v-if="planned.length === 0 || whole.length === 0" class="empty">
    <h1>Board</h1>
    <p>
      All planned jobs against all set-ups stand here.
      {{
        planned.length === 0
          ? 'There is no planned job yet.'
          : 'There is no set-up yet whose parts are all there.'
      }}
    </p>
    <RouterLink class="plain-button main" :to="{ name: planned.length === 0 ? 'jobs' : 'start' }">
      {{ planned.length === 0 ? 'Go to the jobs' : 'Walk through the shop' }}
    </RouterLink>
  </section>
  <section v-else class="view">
    <header>
      <h1>Board</h1>
      <VChipGroup v-model="which" class="screen-only" mandatory aria-label="Which jobs">
        <VChip value="all">All jobs {{ planned.length }}</VChip>
        <VChip value="undone">Nothing owned does it {{ undone.size }}</VChip>
      </VChipGroup>
      <VCheckbox v-model="ownedOnly" class="screen-only" label="Owned only" />
      <PickField
        class="pick screen-only"
        name="Order of the jobs"
        :items="
          SORTS.some(([id]) => id === sortBy) ? SORTS : [...SORTS, [sortBy, `by ${nameOf(sortBy)}`] as const]
        "
        :model-value="sortBy"
        @update:model-value="(now) => (sortBy = now ?? 'name')"
      />
      <VMenu :close-on-content-click="false" location="bottom start" :transition="false">
        <template #activator="{ props: activator }">
          <button class="plain-button screen-only" v-bind="activator">
            {{ filters > 0 ? `${filters} more` : 'More filters' }}
          </button>
        </template>
        <section class="filters sheet" aria-label="More filters">
          <PickField v-model="verdict" label="A cell that is" optional="anything" :items="VERDICT_CHOICES" />
          <PickField v-model="limit" label="Limited by" optional="anything" :items="limits" />
          <PickField v-model="process" label="Set-ups by" optional="every process" :items="processes" />
          <PickField v-model="circuitId" label="Set-ups on" optional="every circuit" :items="circuits" />
          <PickField v-model="dueWithin" label="Due" optional="any time" :items="DUE_CHOICES" />
          <CountField
            v-model="mostHours"
            label="Done in at most, h"
            decimals
            :least="0"
            :most="10000"
            optional="any time"
          />
          <CountField
            v-model="mostCost"
            :label="`Done for at most, ${workspace.shop?.currency ?? ''}`"
            decimals
            :least="0"
            :most="1e9"
            optional="any sum"
          />
          <button class="link-button" :disabled="filters === 0" @click="clearFilters">Clear them</button>
        </section>
      </VMenu>
      <TypedField
        ref="searchField"
        v-model="search"
        class="search screen-only"
        type="search"
        name="Search the jobs"
        placeholder="Search, press /"
      />
      <span class="end">
        <VMenu location="bottom end" :transition="false">
          <template #activator="{ props: activator }">
            <button class="plain-button" v-bind="activator">Export</button>
          </template>
          <VList>
            <VListItem
              title="The board as a sheet (CSV)"
              @click="download('board.csv', boardCsv(workspace.speech, jobs, setUps, cells), 'text/csv')"
            />
            <VListItem
              title="The board with its figures (JSON)"
              @click="download('board.json', boardJson(jobs, setUps, cells), 'application/json')"
            />
          </VList>
        </VMenu>
        <button class="plain-button" :disabled="compared.length === 0" @click="comparing = true">
          Compare {{ compared.length }} pinned
        </button>
      </span>
    </header>
    <div class="if screen-only">
      <PickField
        v-model="whatIfAt"
        class="what-if"
        label="What if"
        :items="whatIfs.map(([words], index) => [index, words] as const)"
      />
      <p v-if="whatIfAt > 0" class="trial" role="status">
        This is a trial: nothing is changed.
        <button class="link-button" @click="whatIfAt = 0">Back to as it is</button>
      </p>
      <p v-if="failure" class="problem" role="alert">The board cannot be worked out: {{ failure }}</p>
      <p v-else-if="waiting > 0 && planned.length > 20" class="label" role="status">
        {{ waiting }} of {{ planned.length }} jobs are still being worked out
      </p>
    </div>
    <div class="body">
      <p v-if="jobs.length === 0 || setUps.length === 0" class="sheet none" role="status">
        {{
          which === 'undone' && search === ''
            ? 'Every job is done by something that the shop has.'
            : 'Nothing is like that. Change the search or the filters.'
        }}
      </p>
      <BoardGrid
        v-else
        ref="grid"
        v-model="at"
        :jobs="jobs"
        :set-ups="setUps"
        :cells="cells"
        :to-buy="toBuy"
        :pinned="pinned"
        :due="due"
        :is-overdue="isOverdue"
        :supply="supply"
        :job-words="jobWords"
        @open="panel?.focus()"
        @pin="pin"
        @sort="(id) => (sortBy = id)"
      />
      <CellPanel
        v-if="here"
        :key="`${here.job.id} ${here.setUp.id}`"
        ref="panel"
        class="screen-only"
        :job="here.job"
        :set-up="here.setUp"
        :what-if="whatIf"
        @back="grid?.focus()"
      />
    </div>
    <footer>
      <p v-if="summary.undone.length > 0">
        <strong>{{ summary.undone.map(jobName).join(', ') }}</strong>
        {{ summary.undone.length === 1 ? 'has' : 'have' }} no set-up of yours<template v-if="summary.opener"
          >; <strong>{{ nameOf(summary.opener.setUpId) }}</strong>{{ priceOf(summary.opener.setUpId) }} does
          {{ summary.opener.jobIds.map(jobName).join(', ') }}</template
        >
      </p>
      <p v-else-if="waiting === 0">Every job is done by something that you have</p>
      <p v-if="summary.idle.length > 0 && waiting === 0">
        <strong>{{ summary.idle.map(nameOf).join(', ') }}</strong>
        {{ summary.idle.length === 1 ? 'does' : 'do' }} no job
      </p>
      <p v-if="summary.stopper">
        The circuit <strong>{{ circuitName }}</strong> stops {{ summary.stopper.cells }}
        {{ summary.stopper.cells === 1 ? 'cell' : 'cells' }}
      </p>
      <p v-if="broken.length > 0">
        <strong>{{ broken.map(({ name }) => name).join(', ') }}</strong>
        {{ broken.length === 1 ? 'lacks' : 'lack' }} a part
      </p>
      <p class="keys label screen-only">
        <kbd>↑↓←→</kbd> walk <kbd>Enter</kbd> into the cell, <kbd>Esc</kbd> back <kbd>Space</kbd> pins a
        set-up
      </p>
    </footer>
    <CompareDialog
      v-model="comparing"
      :set-ups="compared"
      :jobs="planned"
      :cells="cells"
      :to-buy="toBuy"
      :supply="supply"
      @unpin="pin"
    />
  </section>
</template>

<style scoped>
.empty {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 48px;
}
.view {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  height: calc(100vh - 48px);
  padding: 10px 20px 12px;
}
header {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}
header > .pick {
  width: 128px;
}
.search {
  width: 132px;
}
.end {
  display: flex;
  gap: 8px;
  margin-left: auto;
}
.if {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.what-if {
  align-items: center;
  display: flex;
  gap: 8px;
}
.what-if :deep(.v-input) {
  width: 330px;
}
.trial {
  background: var(--copper-soft);
  padding: 3px 10px;
}
.body {
  align-items: start;
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr) 288px;
  min-height: 0;
}
.body > * {
  max-height: 100%;
}
.none {
  padding: 24px;
}
footer {
  color: var(--ink-2);
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
}
footer strong {
  color: var(--ink);
}
.keys {
  margin-left: auto;
}
@media screen and (max-width: 1000px) {
  .view {
    height: auto;
  }
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
  .body > :first-child {
    max-height: 70vh;
  }
  .end {
    margin-left: 0;
  }
}
.filters {
  display: grid;
  gap: 8px 12px;
  grid-template-columns: 1fr 1fr;
  padding: 12px 14px;
  width: 380px;
}
</style>
