<script setup lang="ts">
import { byWorst, type Job, titleOf, type Verdict, VERDICT_RANK, VERDICTS, verdictText } from '@brannik/core'
import { parseISO } from 'date-fns'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { byName } from '../../byName.ts'
import ChainSpark from '../../charts/ChainSpark.vue'
import ChooseFile from '../../components/ChooseFile.vue'
import PickField from '../../components/PickField.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { dateFormat } from '../../dateFormat.ts'
import { useGlances } from '../../engine/useGlances.ts'
import { matcher, searchable } from '../../search/search.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { jobWords, jointWords } from '../fit/words.ts'
import { dayToday, DUE_CHOICES, type DueWithin, isDue } from './dueWithin.ts'
import { readJobFile } from './jobFiles.ts'
import { idFor } from './idFor.ts'
import { copyOf, freshJob } from './newJob.ts'

/** The jobs with their answer at a glance: one row a job, the chain small, the first thing that gives out in words. */
const workspace = useWorkspace()
const notice = useNotice()
const route = useRoute()
const router = useRouter()
const problem = ref('')

/** Its words, as far as they can be made of it. */
function wordsOf(job: Job): readonly string[] {
  try {
    const [first] = job.joints
    const more = job.joints.length > 1 ? ` and ${job.joints.length - 1} more` : ''
    return [
      jobWords(job, workspace.notation),
      ...(first ? [`${jointWords(first, workspace.notation)}${more}`] : []),
    ]
  } catch {
    return []
  }
}

const STATES = [
  ['planned', 'Planned'],
  ['template', 'Templates'],
  ['archived', 'Archived'],
] as const
const state = ref<Job['state']>('planned')
/** An address may name the list: `?list=template`. */
watch(
  () => route.query['list'],
  (list) => (state.value = STATES.find(([id]) => id === list)?.[0] ?? state.value),
  { immediate: true },
)
const listed = computed(() => workspace.jobs.filter((job) => job.state === state.value))
const { glances, failure, waiting } = useGlances(computed(() => listed.value.map(({ id }) => id)))
const search = ref('')
const wanted = ref<Verdict | null>(null)
const dueWithin = ref<DueWithin | null>(null)
const VERDICT_ITEMS = VERDICTS.map((one) => [one, verdictText(workspace.speech, one).toLowerCase()] as const)

type Column = 'name' | 'due' | 'verdict'
const sortBy = ref<Column>('name')
const isDown = ref(false)
function sort(column: Column): void {
  isDown.value = sortBy.value === column ? !isDown.value : false
  sortBy.value = column
}
const ariaSort = (column: Column): 'ascending' | 'descending' | 'none' =>
  sortBy.value !== column ? 'none' : isDown.value ? 'descending' : 'ascending'
const COMPARE: Readonly<Record<Column, (a: JobRow, b: JobRow) => number>> = {
  name: (a, b) => byName(a.job, b.job),
  // What has no date comes last.
  due: (a, b) => (a.job.dueOn ?? '9999').localeCompare(b.job.dueOn ?? '9999'),
  // What fails comes first.
  verdict: (a, b) =>
    VERDICT_RANK[b.glance?.verdict ?? 'unknown'] - VERDICT_RANK[a.glance?.verdict ?? 'unknown'],
}
const FIRST = [
  ['name', 'Job'],
  ['due', 'Due'],
] as const
const mark = (column: Column): string => (sortBy.value !== column ? '' : isDown.value ? ' ↓' : ' ↑')
const today = dayToday()
const isOverdue = ({ dueOn, state: now }: Job): boolean => now === 'planned' && isDue(dueOn, 'overdue', today)

const allRows = computed(() =>
  listed.value.map((job) => {
    const glance = glances.value.get(job.id)
    return {
      job,
      setUp: job.setUpId ? workspace.get('set-ups', job.setUpId) : null,
      glance,
      why: glance?.failure ?? '',
      open: byWorst(glance?.open ?? []).map((one) => titleOf(workspace.speech, one)),
      words: wordsOf(job),
    }
  }),
)
type JobRow = (typeof allRows.value)[number]
const rows = computed(() => {
  const matches = matcher(search.value)
  return allRows.value
    .filter(
      ({ job, setUp, glance, words }) =>
        matches(searchable(`${job.name} ${setUp?.name ?? ''} ${words.join(' ')}`)) &&
        (wanted.value === null || (glance?.verdict ?? 'unknown') === wanted.value) &&
        (dueWithin.value === null || isDue(job.dueOn, dueWithin.value, today)),
    )
    .toSorted((a, b) => (isDown.value ? -1 : 1) * COMPARE[sortBy.value](a, b))
})

const counts = computed(() => {
  const of = (wanted: Job['state']) => workspace.jobs.filter((job) => job.state === wanted).length
  return { planned: of('planned'), template: of('template'), archived: of('archived') }
})

const to = (name: 'job' | 'fit', job: Job) => ({ name, params: { jobId: job.id } })
function add(): void {
  const job = freshJob(workspace.jobs)
  if (workspace.edit('jobs', job.id, job, `new job ${job.name}`))
    void router.push({ ...to('job', job), query: { field: 'Job' } })
}
function importJob(text: string): void {
  const read = readJobFile(text)
  problem.value = read.ok ? '' : read.message
  if (!read.ok) return
  const { setUpId } = read.job
  const isTaken = workspace.get('jobs', read.job.id) !== null
  const job: Job = {
    ...read.job,
    id: isTaken ? idFor(read.job.name, workspace.jobs) : read.job.id,
    // A set-up of another shop means nothing here.
    setUpId: setUpId !== null && workspace.get('set-ups', setUpId) ? setUpId : null,
  }
  if (workspace.edit('jobs', job.id, job, `import of ${job.name}`)) void router.push(to('job', job))
}
const date = computed(() => dateFormat(workspace.notation.locale, { dateStyle: 'medium' }))
const due = (job: Job): string => (job.dueOn === null ? '–' : date.value.format(parseISO(job.dueOn)))
function copy(job: Job): void {
  const made = copyOf(job, workspace.jobs)
  workspace.edit('jobs', made.id, made, `copy of ${job.name}`)
  notice.show(`${made.name} added`, true)
}
function remove(job: Job): void {
  workspace.edit('jobs', job.id, null, `deletion of ${job.name}`)
  notice.show(`${job.name} deleted`, true)
}
</script>

<template>
  <section class="jobs">
    <header>
      <h1>Jobs</h1>
      <VTabs v-model="state" class="states" aria-label="Job list">
        <VTab v-for="[id, word] in STATES" :key="id" :value="id">
          {{ word }}&nbsp;<span class="label">{{ counts[id] }}</span>
        </VTab>
      </VTabs>
      <ChooseFile
        what="a job"
        accept=".json,application/json"
        @take="importJob"
        @refuse="(message) => (problem = message)"
        >Import a job</ChooseFile
      >
      <button class="plain-button main" @click="add">New job</button>
    </header>
    <p v-if="problem || failure" class="problem" role="alert">{{ problem || failure }}</p>
    <p v-if="waiting > 0 && rows.length > 20" class="label" role="status">
      {{ waiting }} of {{ rows.length }} still to calculate
    </p>
    <div v-if="allRows.length > 1" class="filters screen-only">
      <VTextField
        v-model="search"
        class="search"
        placeholder="Search the jobs"
        aria-label="Search the jobs"
      />
      <PickField
        v-model="wanted"
        class="verdicts"
        name="Verdict"
        optional="any verdict"
        :items="VERDICT_ITEMS"
      />
      <PickField
        v-model="dueWithin"
        class="verdicts"
        name="Due"
        optional="any due date"
        :items="DUE_CHOICES"
      />
    </div>
    <p v-if="allRows.length > 0 && rows.length === 0" class="sheet none" role="status">
      None of the {{ allRows.length }} match.
    </p>
    <p v-else-if="rows.length === 0 && state !== 'planned'" class="sheet none">
      {{
        state === 'template'
          ? 'There are no templates. Make one of any job, under More.'
          : 'Nothing is archived.'
      }}
    </p>
    <p v-else-if="rows.length === 0" class="sheet none">
      No jobs yet. A job lists what you plan to weld: joints, number and quality.
    </p>
    <VTable v-else class="sheet">
      <thead>
        <tr>
          <th v-for="[column, word] in FIRST" :key="column" scope="col" :aria-sort="ariaSort(column)">
            <button class="sort" @click="sort(column)">
              {{ word }}<span aria-hidden="true">{{ mark(column) }}</span>
            </button>
          </th>
          <th scope="col">Set-up</th>
          <th scope="col">Chain</th>
          <th scope="col" :aria-sort="ariaSort('verdict')">
            <button class="sort" @click="sort('verdict')">
              Verdict<span aria-hidden="true">{{ mark('verdict') }}</span>
            </button>
          </th>
          <th scope="col">To settle</th>
          <th class="screen-only" scope="col"><span class="visually-hidden">Actions</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ job, setUp, glance, why, open, words } in rows" :key="job.id">
          <th scope="row">
            <RouterLink :to="to('job', job)">{{ job.name }}</RouterLink>
            <div v-for="line in words" :key="line" class="label">{{ line }}</div>
          </th>
          <td class="due">
            {{ due(job) }}
            <strong v-if="isOverdue(job)" class="overdue">overdue</strong>
          </td>
          <td>
            <RouterLink v-if="setUp" class="link-button" :to="{ name: 'set-up', params: { id: setUp.id } }">{{
              setUp.name
            }}</RouterLink>
            <template v-else>none chosen</template>
          </td>
          <td><ChainSpark v-if="glance?.chain" :chain="glance.chain" /></td>
          <td><VerdictMark v-if="glance || !setUp" :verdict="glance?.verdict ?? 'unknown'" /></td>
          <td class="points">
            <template v-if="glance?.verdict">
              <template v-if="open.length === 0">none</template>
              <span v-else v-tip="open.join(', ')"
                >{{ open[0]
                }}<template v-if="open.length > 1">, and {{ open.length - 1 }} more</template></span
              >
            </template>
            <span v-else-if="why" class="problem">cannot be computed: {{ why }}</span>
            <template v-else-if="!setUp">choose a set-up</template>
            <template v-else-if="glance">the set-up is incomplete</template>
          </td>
          <td class="actions screen-only">
            <RouterLink class="link-button" :aria-label="`Fit ${job.name}`" :to="to('fit', job)"
              >Fit</RouterLink
            >
            <button class="link-button" :aria-label="`Copy ${job.name}`" @click="copy(job)">Copy</button>
            <button class="link-button" :aria-label="`Delete ${job.name}`" @click="remove(job)">
              Delete
            </button>
          </td>
        </tr>
      </tbody>
    </VTable>
  </section>
</template>

<style scoped>
.jobs {
  display: grid;
  gap: 12px;
  padding: 16px 20px;
}
header {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.none {
  padding: 24px;
}
th,
td {
  padding: 8px 12px;
  vertical-align: middle;
}
tbody th a {
  color: var(--ink);
  font-size: var(--text-l);
  font-weight: 700;
}
tbody .label {
  font-weight: 400;
}
.points {
  color: var(--ink-2);
  max-width: 260px;
}
.actions {
  white-space: nowrap;
}
.actions > * + * {
  margin-left: 12px;
}
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.search {
  flex: 0 1 300px;
}
.verdicts {
  width: 176px;
}
.sort {
  background: none;
  border: 0;
  color: inherit;
  cursor: pointer;
  font-weight: inherit;
  padding: 0;
  white-space: nowrap;
}
.overdue {
  color: var(--fails);
  display: block;
  font-size: var(--text-s);
}
.due {
  white-space: nowrap;
}
.states {
  margin-right: auto;
}
@media screen and (max-width: 900px) {
  table,
  tbody,
  tr {
    display: block;
  }
  thead {
    display: none;
  }
  tbody tr {
    border-top: 1px solid var(--line);
    display: grid;
    padding: 8px 0;
  }
  tbody th,
  tbody td {
    border: 0;
    padding: 2px 12px;
  }
}
</style>
