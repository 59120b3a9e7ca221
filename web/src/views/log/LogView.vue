<script setup lang="ts">
import {
  causeText,
  jointName,
  OUTCOMES,
  RECORD_STATES,
  type RecordStart,
  signText,
  usedGasL,
  usedWireG,
  weldSubject,
  type WeldRecord,
} from '@brannik/core'
import { refDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { useRoute } from 'vue-router'
import ChoiceField from '../../components/ChoiceField.vue'
import DateField from '../../components/DateField.vue'
import PlaceHead from '../../components/PlaceHead.vue'
import { engine } from '../../engine/client.ts'
import { download } from '../../files/download.ts'
import { notSentText } from '../../files/notSentText.ts'
import { reasonOf } from '../../reason.ts'
import { type LogFilter, logPage, newestRows, type WeldRow } from '../../shop/eventList.ts'
import { useOutbox } from '../../shop/outbox.ts'
import { usePaged } from '../../shop/paged.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWhen } from '../../stores/useWhen.ts'
import { useJobTabs } from '../jobs/jobTabs.ts'
import EvidencePanel from './EvidencePanel.vue'
import ImportLog from './ImportLog.vue'
import { csvOfLog } from './logFiles.ts'
import { OUTCOME_WORDS, settingsText, STATE_WORDS, welderOf } from './logWords.ts'
import RecordDialog from './RecordDialog.vue'
import { searchedIn } from './searched.ts'

/** The log: every weld that was saved, tried or done, of this job or of all, found by any word. */
const route = useRoute()
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const { print } = usePrint()
const when = useWhen()
const jobId = computed(() => String(route.params['jobId'] ?? ''))
const job = computed(() => workspace.get('jobs', jobId.value))
const tabs = useJobTabs(() => jobId.value)

const PAGE = 50
/** One sheet of a spreadsheet. */
const MOST_EXPORTED = 100_000
const search = ref('')
const searched = refDebounced(search, 200)
const scope = ref<'job' | 'all'>('job')
const state = ref<string | null>(null)
const outcome = ref<string | null>(null)
const from = ref<string | null>(null)
const to = ref<string | null>(null)
const filter = computed((): LogFilter => ({
  // Days of the shop, as the rows print them.
  ...searchedIn(searched.value, { from: from.value, to: to.value }, workspace.timeZone),
  ...(scope.value === 'job' ? { job: jobId.value } : {}),
  ...(state.value ? { state: state.value } : {}),
  ...(outcome.value ? { outcome: outcome.value } : {}),
}))
const { rows, next, isLooking, failure, look } = usePaged(filter, (of, before) => logPage(of, before, PAGE))
const outbox = useOutbox(() => void look(false))

const STATE_ITEMS = RECORD_STATES.map((id) => ({ id, name: STATE_WORDS[id] }))
const OUTCOME_ITEMS = OUTCOMES.map((id) => ({ id, name: OUTCOME_WORDS[id] }))
const SCOPES = [
  { id: 'job', name: 'This job' },
  { id: 'all', name: 'All jobs' },
]
const whatOf = ({ body }: WeldRow): string =>
  [
    body.sign === null ? '' : signText(workspace.speech, body.sign),
    body.cause === null ? '' : causeText(workspace.speech, body.cause),
    body.breaker === 'tripped' ? 'breaker tripped' : '',
    body.note,
  ]
    .filter(Boolean)
    .join(' · ')
const amount = (value: number | null, unit: string): string => (value === null ? '' : print(value, unit))

async function exportCsv(): Promise<void> {
  try {
    const missing = await outbox.sendNow()
    const all = await newestRows(filter.value, MOST_EXPORTED)
    download(`log-${scope.value === 'job' ? jobId.value : 'all'}.csv`, csvOfLog(all), 'text/csv')
    if (missing > 0) notice.show(notSentText(missing))
  } catch (error) {
    notice.refuse(`The log cannot be exported: ${reasonOf(error)}.`)
  }
}
const isImporting = ref(false)

/** A row is written for a weld, or corrected: then the new one names the old. */
const isWriting = ref(false)
const start = shallowRef<RecordStart | null>(null)
const corrected = shallowRef<WeldRow | null>(null)
const weldId = ref('')
const weldItems = computed(() =>
  (job.value?.joints ?? []).map((one, index) => ({ id: one.id, name: `${index + 1} ${jointName(one)}` })),
)
async function write(weld: string): Promise<void> {
  weldId.value = weld
  corrected.value = null
  const found = await engine.ask(workspace.snapshot, 'trial', jobId.value, null, weld, {
    settings: null,
    sign: null,
    ruledOut: [],
  })
  if (!found) {
    notice.refuse('Choose a set-up for this job first. Its card then says what was planned.')
    return
  }
  start.value = found.record
  isWriting.value = true
}
function correct(row: WeldRow): void {
  corrected.value = row
  start.value = null
  isWriting.value = true
}
function save(body: WeldRecord): void {
  const row = corrected.value
  const subject = row?.subject ?? weldSubject(jobId.value, weldId.value)
  outbox.record({ type: 'weld-recorded', subject, body, corrects: row?.seq ?? null })
  notice.show(row ? 'The row is corrected. The one before is kept.' : 'The weld is in the log')
}
function withdraw(row: WeldRow): void {
  outbox.record({
    type: 'weld-recorded',
    subject: row.subject,
    body: { ...row.body, isWithdrawn: true },
    corrects: row.seq,
  })
  notice.show('The row is out of the log')
}
const printPage = (): void => window.print()
</script>

<template>
  <section v-if="!job" class="empty">
    <h1>No such job</h1>
    <p>It may have been deleted.</p>
    <RouterLink class="plain-button main" :to="{ name: 'jobs' }">Go to Jobs</RouterLink>
  </section>
  <div v-else class="log">
    <PlaceHead :title="job.name" :tabs="tabs">
      <VMenu location="bottom end" :transition="false">
        <template #activator="{ props: activator }">
          <button class="plain-button main" v-bind="activator" :disabled="!session.mayRecord">Add row</button>
        </template>
        <VList>
          <VListItem v-for="{ id, name } in weldItems" :key="id" :title="name" @click="write(id)" />
        </VList>
      </VMenu>
      <RouterLink class="plain-button" :to="{ name: 'monitor', params: { jobId } }">Arc monitor</RouterLink>
      <button class="plain-button" :disabled="!session.mayRecord" @click="isImporting = true">
        Import CSV
      </button>
      <button class="plain-button" @click="exportCsv">Export CSV</button>
      <button class="plain-button" @click="printPage">Print</button>
    </PlaceHead>
    <div class="filters screen-only" role="search">
      <label class="search"
        ><span class="label">Search the log</span>
        <input v-model="search" type="search" placeholder="welder, wire, set-up, porosity, 2026-11-30" />
      </label>
      <ChoiceField
        label="Of"
        :items="SCOPES"
        :model-value="scope"
        @update:model-value="(id) => (scope = id === 'all' ? 'all' : 'job')"
      />
      <ChoiceField
        label="State"
        :items="STATE_ITEMS"
        optional="any"
        :model-value="state"
        @update:model-value="(id) => (state = id)"
      />
      <ChoiceField
        label="Outcome"
        :items="OUTCOME_ITEMS"
        optional="any"
        :model-value="outcome"
        @update:model-value="(id) => (outcome = id)"
      />
      <DateField v-model="from" label="From" />
      <DateField v-model="to" label="To" />
    </div>
    <p v-if="failure" class="problem" role="alert">The log cannot be read: {{ failure }}.</p>
    <p v-else-if="rows.length === 0" class="sheet none">
      {{
        isLooking
          ? 'Looking…'
          : searched || state || outcome || from || to
            ? 'No row matches. Clear a filter, or look in all jobs.'
            : 'Nothing is recorded yet. Dial in on the card, or add a row.'
      }}
    </p>
    <div v-else class="sheet table" tabindex="0" role="region" aria-label="Log">
      <table class="ruled">
        <caption>
          Log
        </caption>
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Who</th>
            <th scope="col">Weld</th>
            <th scope="col">Outcome</th>
            <th scope="col">Settings</th>
            <th scope="col" class="number">Time</th>
            <th scope="col" class="number">Wire</th>
            <th scope="col" class="number">Gas</th>
            <th scope="col">Note</th>
            <th scope="col" class="screen-only"><span class="visually-hidden">Change</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.seq">
            <td>{{ when(row.body.weldedAt) }}</td>
            <td>{{ welderOf(row.who, row.body) }}</td>
            <td>
              <template v-if="scope === 'all'">{{ row.body.jobName }} · </template>{{ row.body.weldName }}
              <span class="label">{{ row.body.setUpName }}</span>
            </td>
            <td>
              <strong>{{
                row.body.outcome && row.body.state !== 'planned'
                  ? OUTCOME_WORDS[row.body.outcome]
                  : STATE_WORDS[row.body.state]
              }}</strong>
              <span v-if="row.body.outcome && row.body.state === 'tried'" class="label">tried</span>
            </td>
            <td>{{ settingsText(row.body.settings, workspace.notation) }}</td>
            <td class="number">{{ amount(row.body.minutes, 'min') }}</td>
            <td class="number">{{ amount(usedWireG(row.body), 'g') }}</td>
            <td class="number">{{ amount(usedGasL(row.body), 'L') }}</td>
            <td>{{ whatOf(row) }}</td>
            <td class="screen-only acts">
              <template v-if="session.mayRecord">
                <button
                  class="link-button"
                  :aria-label="`Correct the row of ${when(row.body.weldedAt)}`"
                  @click="correct(row)"
                >
                  Correct
                </button>
                <button
                  class="link-button"
                  :aria-label="`Withdraw the row of ${when(row.body.weldedAt)}`"
                  @click="withdraw(row)"
                >
                  Withdraw
                </button>
              </template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <button
      v-if="next !== null"
      class="plain-button screen-only more"
      :disabled="isLooking"
      @click="look(true)"
    >
      Show {{ PAGE }} more
    </button>
    <EvidencePanel :job="job" />
    <RecordDialog
      v-model="isWriting"
      :title="corrected ? 'Correct the row' : 'Add a row'"
      :start="start"
      :row="corrected?.body ?? null"
      @save="save"
    />
    <ImportLog v-model="isImporting" @taken="look(false)" />
  </div>
</template>

<style scoped>
.log {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 20px;
}
.filters {
  display: grid;
  gap: 10px;
  grid-template-columns: 2fr repeat(5, minmax(110px, 1fr));
}
.search {
  display: grid;
}
.search input {
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  color: var(--ink);
  min-height: 32px;
  padding: 4px 10px;
}
.none {
  padding: 16px;
}
.table {
  overflow-x: auto;
  /* What is hidden in it by place stays in it. */
  position: relative;
}
.table :is(th, td) {
  padding: 5px 8px;
}
.table table {
  min-width: 960px;
}
caption {
  display: none;
  font-weight: 700;
  text-align: left;
}
.table td:is(:first-child, .number) {
  white-space: nowrap;
}
.table .number {
  text-align: right;
}
td .label {
  display: block;
  white-space: nowrap;
}
.acts {
  white-space: nowrap;
}
.acts button + button {
  margin-left: 10px;
}
.more {
  justify-self: start;
}
@media (max-width: 900px) {
  .filters {
    grid-template-columns: 1fr 1fr;
  }
  .search {
    grid-column: 1 / -1;
  }
}
@media print {
  caption {
    display: table-caption;
  }
  .table table {
    min-width: 0;
  }
}
@media (pointer: coarse) {
  .search input,
  .acts button {
    min-height: 44px;
    min-width: 44px;
  }
}
</style>
