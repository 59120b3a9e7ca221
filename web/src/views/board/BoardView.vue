<script setup lang="ts">
import {
  AS_IT_IS,
  type Could,
  does,
  type Job,
  type MachineCell,
  PROCESSES,
  SMALL_SLOTS,
  VERDICT_RANK,
  type WhatIf,
  YARD_WIND_KM_PER_H,
} from '@brannik/core'
import { onKeyStroke } from '@vueuse/core'
import { parseISO } from 'date-fns'
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import PickField from '../../components/PickField.vue'
import PlaceHead from '../../components/PlaceHead.vue'
import TypedField from '../../components/TypedField.vue'
import { byName } from '../../byName.ts'
import { dateFormat } from '../../dateFormat.ts'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { download } from '../../files/download.ts'
import { lazily } from '../../lazy.ts'
import { matcher, searchable } from '../../search/search.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { jointWords } from '../fit/words.ts'
import { dayToday, DUE_CHOICES, isDue } from '../jobs/dueWithin.ts'
import BoardFilters from './BoardFilters.vue'
import BoardGrid from './BoardGrid.vue'
import BoardPrint from './BoardPrint.vue'
import { boardCsv, boardJson } from './boardFiles.ts'
import { useFilters } from './boardFilters.ts'
import { useBoardTabs } from './boardTabs.ts'
import { type BoardColumn, type Cells, cellOf, idleOf, verdictOf } from './boardModel.ts'
import type { AnyCell } from './cellRows.ts'
import { type Asked, useCells } from './useCells.ts'
import { useMachines } from './useMachines.ts'
import { useSetUps } from './useSetUps.ts'

const MachinePanel = lazily(() => import('./MachinePanel.vue'))
const CellPanel = lazily(() => import('./CellPanel.vue'))
const CompareDialog = lazily(() => import('./CompareDialog.vue'))

/** Which machine does which job; by the other tab, which set-up. */
const route = useRoute()
const workspace = useWorkspace()
const money = useMoney()
const { print, spell } = usePrint()

const isBySetUp = computed(() => route.params['by'] === 'set-ups')
const tabs = useBoardTabs()

const planned = computed(() => workspace.jobs.filter(({ state }) => state === 'planned'))
const jobIds = computed(() => planned.value.map(({ id }) => id))

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
  // By machine the search finds the spool gun by itself.
  ...(isBySetUp.value ? [[spell('all aluminium by a spool gun'), { kind: 'spool-gun' }] as const] : []),
])
/** The same list while cells come in: its field is not drawn again with each of their parts. */
const whatIfChoices = computed(() =>
  whatIfs.value.map(([words], index) => [index, `What if: ${words}`] as const),
)
const whatIfAt = ref(0)
watch(isBySetUp, () => (whatIfAt.value = 0))
const whatIf = computed(() => whatIfs.value[whatIfAt.value]?.[1] ?? AS_IT_IS)

const machines = useMachines(whatIf)
const ofSetUps = useSetUps()
const model = computed(() => (isBySetUp.value ? ofSetUps.model.value : machines.model.value))
const asked = computed((): Asked =>
  isBySetUp.value ? { by: 'set-up', ids: ofSetUps.whole.value.map(({ id }) => id) } : { by: 'machine' },
)
const { cells, failure, waiting } = useCells(jobIds, asked, whatIf)

/** What the whole says is worked out once it is whole: a board of hundreds of jobs comes in many parts. */
const settled = shallowRef(cells.value)
watch([cells, waiting], ([now, left]) => {
  // Nothing is left of another board.
  if (left === 0 || now.size === 0) settled.value = now
})

const today = dayToday()
const which = ref<'all' | 'undone'>('all')
const ownedOnly = ref(false)
const showIdle = ref(false)
const search = ref('')
const used = useFilters(today)
const searchField = useTemplateRef<InstanceType<typeof TypedField>>('searchField')

/** What does most of the jobs comes first, among what is owned and among what is to buy. */
const usefulness = computed(() => {
  const times = new Map<string, number>()
  for (const row of settled.value.values())
    for (const { id } of model.value.columns)
      if (does(row.verdictOf(id) ?? 'fails')) times.set(id, (times.get(id) ?? 0) + 1)
  return times
})
const filtered = computed(() =>
  model.value.columns
    .filter((column) => (!ownedOnly.value || column.isOwned) && used.hasColumn(column))
    .toSorted((a, b) =>
      isBySetUp.value
        ? 0
        : Number(b.isOwned) - Number(a.isOwned) ||
          (usefulness.value.get(b.id) ?? 0) - (usefulness.value.get(a.id) ?? 0),
    ),
)
const undone = computed(
  () =>
    new Set(
      jobIds.value.filter((jobId) => {
        const row = settled.value.get(jobId)
        return (
          row &&
          !model.value.columns.some((column) => {
            const cell = does(row.verdictOf(column.id) ?? 'fails') ? row.get(column.id) : null
            return cell !== null && model.value.isDoneOwned(cell, column)
          })
        )
      }),
    ),
)

const ORDERS = [
  ['name', 'by name'],
  ['due', 'by due date'],
  ['hardest', 'hardest first'],
  ['hours', 'shortest first'],
  ['cost', 'cheapest first'],
] as const
const order = ref<string>('name')
const orders = computed(() =>
  ORDERS.some(([id]) => id === order.value)
    ? ORDERS
    : [...ORDERS, [order.value, `by ${columnName(order.value)}`] as const],
)
const GROUPS = [
  ['process', 'by process'],
  ['verdict', 'by verdict'],
  ['due', 'by due date'],
] as const
const groupBy = ref<(typeof GROUPS)[number][0] | null>(null)

const cellAt = (job: Job, { id }: BoardColumn): AnyCell | null => cellOf(cells.value, job.id, id)
const doers = (job: Job): number =>
  model.value.columns.filter((column) => does(verdictOf(cells.value, job.id, column.id) ?? 'fails')).length
/** Of the columns that are shown: the fewest hours, or the least money. */
const leastOf = (job: Job, key: 'workH' | 'cost'): number =>
  Math.min(...filtered.value.map((column) => cellAt(job, column)?.takes?.[key] ?? Infinity), Infinity)
const compare = computed((): ((a: Job, b: Job) => number) => {
  const { value: by } = order
  if (by === 'name') return byName
  if (by === 'due') return (a, b) => (a.dueOn ?? '9999').localeCompare(b.dueOn ?? '9999') || byName(a, b)
  if (by === 'hours' || by === 'cost') {
    const key = by === 'hours' ? 'workH' : 'cost'
    return (a, b) => leastOf(a, key) - leastOf(b, key) || byName(a, b)
  }
  if (by === 'hardest') return (a, b) => doers(a) - doers(b) || byName(a, b)
  const rank = (job: Job): number => VERDICT_RANK[verdictOf(cells.value, job.id, by) ?? 'fails']
  return (a, b) => rank(a) - rank(b) || byName(a, b)
})

/** The best that the shop can do with what it owns. */
function bestOwned(job: Job): AnyCell | null {
  const owned = filtered.value.flatMap((column) => {
    const cell = cellAt(job, column)
    return cell && model.value.isDoneOwned(cell, column) ? [cell] : []
  })
  return owned.toSorted((a, b) => VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict])[0] ?? null
}
type Group = readonly [rank: number, title: string]
function groupRank(job: Job): Group {
  if (groupBy.value === 'due') {
    const at = DUE_CHOICES.findIndex(([id]) => isDue(job.dueOn, id, today))
    return at < 0 ? [DUE_CHOICES.length, 'due later'] : [at, DUE_CHOICES[at]?.[1] ?? '']
  }
  const best = bestOwned(job)
  if (groupBy.value === 'verdict') {
    if (!best) return [2, 'nothing owned does it']
    return best.verdict === 'fits' ? [0, 'something owned fits'] : [1, 'something owned is tight']
  }
  const process = best && model.value.processOf(best)
  return process
    ? [Object.keys(PROCESSES).indexOf(process), PROCESSES[process].workshopWord]
    : [99, 'nothing owned does it']
}
const groups = computed(
  () =>
    new Map<string, Group>(
      groupBy.value === null ? [] : planned.value.map((job) => [job.id, groupRank(job)]),
    ),
)
const groupOf = (job: Job): string => groups.value.get(job.id)?.[1] ?? ''

const inOrder = computed(() =>
  planned.value.toSorted(
    (a, b) => (groups.value.get(a.id)?.[0] ?? 0) - (groups.value.get(b.id)?.[0] ?? 0) || compare.value(a, b),
  ),
)
/** By what is known of the jobs alone, while cells are still worked out: they are looked at only where they decide. */
const jobs = computed(() => {
  const matches = matcher(search.value)
  return inOrder.value
    .filter((job) => which.value === 'all' || undone.value.has(job.id))
    .filter((job) => used.hasJob(job, model.value, filtered.value, () => cells.value))
    .filter((job) => search.value === '' || matches(searchable(`${job.name} ${jobWords(job)}`)))
})
/**
 * By set-up, what does nothing in view is one line; but not what a job is planned with. While cells are worked out anew
 * it stays as it is: a column does not come and go under the hand.
 */
const idle = computed(() => {
  if (!isBySetUp.value) return []
  const isPlanned = ({ id }: BoardColumn): boolean => jobs.value.some(({ setUpId }) => setUpId === id)
  return idleOf(filtered.value, jobs.value, settled.value).filter((column) => !isPlanned(column))
})
const columns = computed(() => {
  if (showIdle.value || idle.value.length === filtered.value.length) return filtered.value
  const folded = new Set(idle.value)
  return filtered.value.filter((column) => !folded.has(column))
})

function jobWords(job: Job): string {
  const [first] = job.joints
  const more = job.joints.length > 1 ? `, and ${job.joints.length - 1} more` : ''
  return first ? `${jointWords(first, workspace.notation)}${more}` : ''
}
const day = computed(() => dateFormat(workspace.notation.locale, { day: 'numeric', month: 'short' }))
const due = ({ dueOn }: Job): string => (dueOn === null ? '–' : day.value.format(parseISO(dueOn)))
const isOverdue = ({ dueOn }: Job): boolean => isDue(dueOn, 'overdue', today)

/** Where somebody went, or the first look; it is this job and this column wherever they come to stand. */
const chosen = ref({ row: 0, column: 0 })
let isChosen = false
const at = computed({
  get: () => chosen.value,
  set(now) {
    isChosen = true
    chosen.value = now
  },
})
/** Where one of them stands now; where it is gone, what took its place. */
function followed<T extends { readonly id: string }>(
  index: number,
  before: readonly T[],
  now: readonly T[],
): number {
  const found = now.findIndex(({ id }) => id === before[index]?.id)
  return found < 0 ? Math.max(0, Math.min(index, now.length - 1)) : found
}
watch([jobs, columns], ([rows, across], [rowsBefore, acrossBefore]) => {
  chosen.value = {
    row: followed(chosen.value.row, rowsBefore, rows),
    column: followed(chosen.value.column, acrossBefore, across),
  }
})
const here = computed(() => {
  const job = jobs.value[at.value.row]
  const column = columns.value[at.value.column]
  return job && column ? { job, column } : null
})
/** The first look is at something that works, until somebody has moved. */
watch(
  () => settled.value,
  () => {
    if (isChosen) return
    const job = jobs.value.find((one) => bestOwned(one) !== null)
    const best = job && bestOwned(job)
    if (!job || !best) return
    const id = 'stationId' in best ? best.stationId : best.setUpId
    const column = columns.value.findIndex((one) => one.id === id)
    at.value = { row: jobs.value.indexOf(job), column: Math.max(0, column) }
  },
  { flush: 'post' },
)
const station = computed(() => machines.byId.value.get(here.value?.column.id ?? '') ?? null)
const setUp = computed(() => ofSetUps.whole.value.find(({ id }) => id === here.value?.column.id) ?? null)
const machineRow = (of: Cells, job: Job): readonly MachineCell[] =>
  (of.get(job.id)?.all() ?? []) as readonly MachineCell[]
const hereCell = computed(
  () => here.value && (cellAt(here.value.job, here.value.column) as MachineCell | null),
)
const grid = useTemplateRef<InstanceType<typeof BoardGrid>>('grid')
const panel = useTemplateRef<{ focus: () => void }>('panel')
/** Once the panel of the cell that was just gone to is there. */
async function openPanel(): Promise<void> {
  await nextTick()
  panel.value?.focus()
}

const pinned = ref<ReadonlySet<string>>(new Set())
function pin(columnId: string): void {
  if (!isBySetUp.value) return
  const next = new Set(pinned.value)
  if (!next.delete(columnId)) next.add(columnId)
  pinned.value = next
}
const compared = computed(() => ofSetUps.whole.value.filter(({ id }) => pinned.value.has(id)))
const comparing = ref(false)

const columnName = (id: string): string => model.value.columns.find((one) => one.id === id)?.name ?? id
const jobName = (id: string): string => workspace.get('jobs', id)?.name ?? id

/** For more the table itself is the answer. */
const MOST_CURED = 3
const { answer: cheapest } = useAnswer<'cheapest'>(
  computed((): Question<'cheapest'> | null => {
    const ids = [...undone.value].slice(0, MOST_CURED)
    return isBySetUp.value || waiting.value > 0 || ids.length === 0 ? null : ['cheapest', ids]
  }),
)
function bought({ toBuy }: Could): string {
  const small = toBuy.filter(({ slot }) => SMALL_SLOTS.has(slot)).length
  return [
    ...toBuy.filter(({ slot }) => !SMALL_SLOTS.has(slot)).map(({ name }) => name),
    ...(small === 0 ? [] : [`${small} small ${small === 1 ? 'part' : 'parts'}`]),
  ].join('; ')
}
const cures = computed(() =>
  (cheapest.value ?? []).map(({ jobId, could }) => ({
    jobId,
    words: could
      ? `Cheapest: buy ${bought(could)}, ${money(Math.ceil(could.toGet))}.`
      : 'Nothing in your lists does it.',
  })),
)
/** Machines of the shop that do none of the planned jobs on any circuit. */
const idleMachines = computed(() => {
  if (isBySetUp.value || settled.value.size === 0) return []
  const busy = new Set(
    planned.value.flatMap((job) =>
      machineRow(settled.value, job).flatMap(({ verdict, stationId }) =>
        does(verdict) ? [machines.byId.value.get(stationId)?.powerSource.id] : [],
      ),
    ),
  )
  const names = machines.stations.value
    .filter(
      ({ id, powerSource }) =>
        !busy.has(powerSource.id) && model.value.columns.some((one) => one.id === id && one.isOwned),
    )
    .map(({ powerSource }) => powerSource.name)
  return [...new Set(names)]
})
const summary = computed(() => (isBySetUp.value ? ofSetUps.summary(settled.value, jobIds.value) : null))
const circuitName = computed(() => {
  const id = summary.value?.stopper?.circuitId
  return id ? (workspace.get('circuits', id)?.name ?? id) : ''
})
function opened(): string {
  const { opener } = summary.value ?? {}
  if (!opener) return ''
  const price = ofSetUps.toBuy.value.get(opener.setUpId)?.price ?? null
  return `${columnName(opener.setUpId)}${price === null ? '' : ` for ${money(price)}`} does ${opener.jobIds.map(jobName).join(', ')}.`
}

onKeyStroke('/', (event) => {
  if (event.target instanceof HTMLElement && event.target.matches('input, textarea')) return
  event.preventDefault()
  searchField.value?.focus()
})
</script>

<template>
  <section v-if="planned.length === 0 || model.columns.length === 0" class="empty">
    <PlaceHead title="Board" :tabs="tabs" />
    <p>
      The board shows which machine does which job.
      {{
        planned.length === 0
          ? 'There is no planned job yet.'
          : isBySetUp
            ? 'There is no complete set-up yet.'
            : 'There is no machine yet.'
      }}
    </p>
    <RouterLink class="plain-button main" :to="{ name: planned.length === 0 ? 'jobs' : 'start' }">
      {{ planned.length === 0 ? 'Go to Jobs' : 'Set up the shop' }}
    </RouterLink>
  </section>
  <section v-else class="view">
    <PlaceHead title="Board" :tabs="tabs">
      <VChipGroup v-model="which" class="screen-only" mandatory aria-label="Jobs">
        <VChip value="all">All {{ planned.length }}</VChip>
        <VChip value="undone">Nothing owned does it {{ undone.size }}</VChip>
      </VChipGroup>
      <span class="end">
        <VMenu location="bottom end" :transition="false">
          <template #activator="{ props: activator }">
            <button class="plain-button" v-bind="activator">Export</button>
          </template>
          <VList>
            <VListItem
              title="Board as a sheet (CSV)"
              @click="download('board.csv', boardCsv(workspace.speech, jobs, model, cells), 'text/csv')"
            />
            <VListItem
              title="Board with figures (JSON)"
              @click="download('board.json', boardJson(jobs, model, cells), 'application/json')"
            />
          </VList>
        </VMenu>
        <button
          v-if="isBySetUp"
          class="plain-button"
          :disabled="compared.length === 0"
          @click="comparing = true"
        >
          Compare {{ compared.length }} pinned
        </button>
      </span>
    </PlaceHead>
    <div class="tools screen-only">
      <PickField v-model="whatIfAt" class="what-if" name="What if" :items="whatIfChoices" />
      <PickField
        class="pick"
        name="Order of the jobs"
        :items="orders"
        :model-value="order"
        @update:model-value="(now) => (order = now ?? 'name')"
      />
      <PickField v-model="groupBy" class="pick" name="Group the jobs" optional="no groups" :items="GROUPS" />
      <BoardFilters :used="used" :columns="model.columns" :cells="settled" />
      <VCheckbox v-model="ownedOnly" label="Owned only" />
      <TypedField
        ref="searchField"
        v-model="search"
        class="search"
        type="search"
        name="Search the jobs"
        placeholder="Search, press /"
      />
      <p v-if="whatIfAt > 0" class="trial" role="status">
        Trial: nothing is changed.
        <button class="link-button" @click="whatIfAt = 0">End trial</button>
      </p>
      <p v-if="failure" class="problem" role="alert">The board cannot be calculated: {{ failure }}</p>
      <p v-else-if="waiting > 0 && planned.length > 20" class="label" role="status">
        {{ waiting }} of {{ planned.length }} jobs to go…
      </p>
    </div>
    <p v-if="idle.length > 0" class="idle label screen-only">
      {{ idle.length === 1 ? 'Does' : 'Do' }} none of these jobs:
      {{ idle.map(({ name }) => name).join('; ') }}.
      <button class="link-button" @click="showIdle = !showIdle">{{ showIdle ? 'Hide' : 'Show' }}</button>
    </p>
    <div class="body screen-only">
      <p v-if="jobs.length === 0 || columns.length === 0" class="sheet none" role="status">
        {{
          which === 'undone' && search === ''
            ? 'Something you own does every job.'
            : 'Nothing matches. Change the search or the filters.'
        }}
      </p>
      <BoardGrid
        v-else
        ref="grid"
        v-model="at"
        :jobs="jobs"
        :columns="columns"
        :model="model"
        :cells="cells"
        :lines="3"
        :pinned="pinned"
        :due="due"
        :is-overdue="isOverdue"
        :group-of="groupOf"
        :job-words="jobWords"
        @open="openPanel"
        @pin="pin"
        @sort="(id) => (order = id)"
      />
      <MachinePanel
        v-if="here && station && !isBySetUp"
        :key="`${here.job.id} ${station.id}`"
        ref="panel"
        :job="here.job"
        :station="station"
        :cell="hereCell"
        :row="machineRow(cells, here.job)"
        :machines="machines"
        :what-if="whatIf"
        @back="grid?.focus()"
      />
      <CellPanel
        v-else-if="here && setUp && isBySetUp"
        :key="`${here.job.id} ${setUp.id}`"
        ref="panel"
        :job="here.job"
        :set-up="setUp"
        :what-if="whatIf"
        @back="grid?.focus()"
      />
    </div>
    <BoardPrint :jobs="jobs" :columns="columns" :model="model" :cells="cells" :due="due" />
    <footer>
      <template v-if="!isBySetUp">
        <p v-for="cure in cures" :key="cure.jobId">
          <RouterLink :to="{ name: 'job', params: { jobId: cure.jobId } }">{{
            jobName(cure.jobId)
          }}</RouterLink>: nothing you own does it.
          <RouterLink :to="{ name: 'buy', params: { part: 'could' }, query: { job: cure.jobId } }">{{
            cure.words
          }}</RouterLink>
        </p>
        <p v-if="undone.size === 0 && settled.size > 0">Something you own does every job.</p>
        <p v-if="idleMachines.length > 0">
          <strong>{{ idleMachines.join(', ') }}</strong>
          {{ idleMachines.length === 1 ? 'does' : 'do' }} no planned job.
        </p>
      </template>
      <template v-else-if="summary">
        <p v-if="summary.undone.length > 0">
          <strong>{{ summary.undone.map(jobName).join(', ') }}</strong>: no set-up you own does
          {{ summary.undone.length === 1 ? 'it' : 'them' }}. {{ opened() }}
        </p>
        <p v-else-if="settled.size > 0">A set-up you own does every job.</p>
        <p v-if="summary.stopper">
          The circuit <strong>{{ circuitName }}</strong> stops {{ summary.stopper.cells }}
          {{ summary.stopper.cells === 1 ? 'cell' : 'cells' }}.
        </p>
        <p v-if="ofSetUps.broken.value.length > 0">
          <strong>{{ ofSetUps.broken.value.map(({ name }) => name).join(', ') }}</strong>: a part is missing.
        </p>
      </template>
      <p class="keys label screen-only">
        <kbd>↑↓←→</kbd> move <kbd>Enter</kbd> open cell <kbd>Esc</kbd> back
        <template v-if="isBySetUp"><kbd>Space</kbd> pin set-up</template>
      </p>
    </footer>
    <CompareDialog
      v-if="isBySetUp"
      v-model="comparing"
      :set-ups="compared"
      :jobs="planned"
      :cells="cells"
      :to-buy="ofSetUps.toBuy.value"
      :supply="ofSetUps.supply"
      @unpin="pin"
    />
  </section>
</template>

<style scoped>
.empty {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 10px 20px;
}
.view {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  height: calc(100vh - 48px);
  padding: 10px 20px 12px;
}
.view:has(.idle) {
  grid-template-rows: auto auto auto minmax(0, 1fr) auto;
}
.end {
  display: flex;
  gap: 8px;
  margin-left: auto;
}
.tools {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}
.pick {
  width: 136px;
}
.search {
  width: 140px;
}
.what-if {
  width: 260px;
}
.trial {
  background: var(--copper-soft);
  padding: 3px 10px;
}
.body {
  align-items: start;
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr) 300px;
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
footer :is(strong, a) {
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
</style>
