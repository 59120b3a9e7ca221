<script setup lang="ts">
import { MOVE_REASONS, type MoveReason } from '@brannik/core'
import Papa from 'papaparse'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import ChoiceField from '../../components/ChoiceField.vue'
import { download } from '../../files/download.ts'
import { notSentText } from '../../files/notSentText.ts'
import { reasonOf } from '../../reason.ts'
import { checkLedger, type LedgerFilter, ledgerPage, type Movement } from '../../shop/ledgerList.ts'
import { useOutbox } from '../../shop/outbox.ts'
import { usePaged } from '../../shop/paged.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWhen } from '../../stores/useWhen.ts'
import { useCountWords } from './countWords.ts'
import StoresHead from './StoresHead.vue'

/** The ledger: every movement with its reason, who recorded it, and what was there after it. A mistake is taken back by another line. */
const route = useRoute()
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const when = useWhen()
const { nameOf, say } = useCountWords()

const PAGE = 50
const MOST_EXPORTED = 100_000
const item = computed(() => (typeof route.params['item'] === 'string' ? route.params['item'] : ''))
const reason = ref<string | null>(null)
const jobId = ref<string | null>(null)
const filter = computed((): LedgerFilter => ({
  ...(item.value === '' ? {} : { item: item.value }),
  ...(reason.value === null ? {} : { reason: reason.value as MoveReason }),
  ...(jobId.value === null ? {} : { job: jobId.value }),
}))
const { rows, next, isLooking, failure, look } = usePaged(filter, (of, before) =>
  ledgerPage(of, before, PAGE),
)
const outbox = useOutbox(() => void look(false))

const REASON_WORDS: Readonly<Record<MoveReason, string>> = {
  received: 'received',
  returned: 'back from a job',
  used: 'used',
  scrapped: 'scrapped',
  moved: 'moved',
  corrected: 'taken back',
  counted: 'counted',
}
const REASONS = MOVE_REASONS.map((id) => ({ id, name: REASON_WORDS[id] }))
const JOBS = computed(() => workspace.jobs.map(({ id, name }) => ({ id, name })))
const changeOf = ({ event: { body } }: Movement): number => (body.after ?? 0) - (body.before ?? 0)
const isFirst = ({ event: { body } }: Movement): boolean => body.before === null
function whatFor({ event: { body, corrects } }: Movement): string {
  const job = body.jobId ? (workspace.get('jobs', body.jobId)?.name ?? body.jobId) : ''
  return [
    job,
    body.other
      ? `${body.after !== null && body.before !== null && body.after < body.before ? 'to' : 'from'} ${nameOf(body.other)}`
      : '',
    corrects === null ? '' : `corrects movement ${corrects}`,
    body.note ?? '',
  ]
    .filter(Boolean)
    .join(' · ')
}
/** A count that is less than the book said tells what was lost. */
const lostText = (row: Movement): string => {
  const change = changeOf(row)
  return row.event.body.reason === 'counted' && !isFirst(row) && change < 0
    ? `${say(row.event.subject, -change)} missing`
    : ''
}
const mayTakeBack = (row: Movement): boolean =>
  session.mayRecord &&
  !row.isCorrected &&
  !isFirst(row) &&
  row.event.body.after !== null &&
  changeOf(row) !== 0 &&
  row.event.body.reason !== 'moved'
function takeBack(row: Movement): void {
  const { subject, seq, body } = row.event
  outbox.record({
    type: 'stock-movement',
    subject,
    body: { change: -changeOf(row), reason: 'corrected', ...(body.jobId ? { jobId: body.jobId } : {}) },
    corrects: seq,
  })
}

const isChecking = ref(false)
async function check(): Promise<void> {
  isChecking.value = true
  try {
    const { isWhole, events, brokenAt } = await checkLedger()
    if (isWhole) notice.show(`The ledger is whole: ${events} entries, each follows from the one before.`)
    else notice.refuse(`Entry ${brokenAt ?? ''} does not follow from the one before it. Restore a backup.`)
  } catch (error) {
    notice.refuse(`The ledger cannot be checked: ${reasonOf(error)}.`)
  } finally {
    isChecking.value = false
  }
}
async function exportCsv(): Promise<void> {
  try {
    const missing = await outbox.sendNow()
    const all: Movement[] = []
    let before: string | null = null
    do {
      const page: Awaited<ReturnType<typeof ledgerPage>> = await ledgerPage(filter.value, before, 500)
      all.push(...page.items)
      before = page.next
    } while (before !== null && all.length < MOST_EXPORTED)
    const text = Papa.unparse(
      [
        ['number', 'at_utc', 'who', 'item', 'reason', 'change', 'after', 'job', 'note', 'corrects'],
        ...all.map((row) => [
          row.event.seq,
          row.event.at,
          row.event.who,
          row.event.subject,
          row.event.body.reason ?? 'counted',
          changeOf(row),
          row.event.body.after ?? '',
          row.event.body.jobId ?? '',
          row.event.body.note ?? '',
          row.event.corrects ?? '',
        ]),
      ],
      { escapeFormulae: true, newline: '\r\n' },
    )
    download('movements.csv', text, 'text/csv')
    if (missing > 0) notice.show(notSentText(missing))
  } catch (error) {
    notice.refuse(`The movements cannot be exported: ${reasonOf(error)}.`)
  }
}
</script>

<template>
  <section class="movements">
    <StoresHead>
      <button class="plain-button" :disabled="isChecking" @click="check">Check the ledger</button>
      <button class="plain-button" :disabled="rows.length === 0" @click="exportCsv">Export CSV</button>
    </StoresHead>
    <h2>{{ item === '' ? 'Movements' : `Movements: ${nameOf(item)}` }}</h2>
    <p v-if="item !== ''">
      <RouterLink :to="{ name: 'movements' }">All movements</RouterLink>
    </p>
    <div class="filters screen-only">
      <ChoiceField v-model="reason" label="Reason" :items="REASONS" optional="any" />
      <ChoiceField v-model="jobId" label="Job" :items="JOBS" optional="any" />
    </div>
    <p v-if="failure" class="problem" role="alert">The movements cannot be read: {{ failure }}.</p>
    <p v-else-if="rows.length === 0" class="sheet none">
      {{ isLooking ? 'Searching…' : 'No movement yet. Receive, use or count something under On hand.' }}
    </p>
    <div v-else class="sheet table" tabindex="0" role="region" aria-label="Movements">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">When</th>
            <th v-if="item === ''" scope="col">Item</th>
            <th scope="col">Reason</th>
            <th scope="col" class="number">Change</th>
            <th scope="col" class="number">After</th>
            <th scope="col">For</th>
            <th scope="col">Who</th>
            <td class="screen-only"></td>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.event.seq" :class="{ corrected: row.isCorrected }">
            <td>{{ when(row.event.at, 'minute') }}</td>
            <td v-if="item === ''">
              <RouterLink :to="{ name: 'movements', params: { item: row.event.subject } }">{{
                nameOf(row.event.subject)
              }}</RouterLink>
            </td>
            <td>
              {{ REASON_WORDS[row.event.body.reason ?? 'counted'] }}
              <span v-if="row.isCorrected" class="label">taken back later</span>
              <span v-if="lostText(row)" class="label short">{{ lostText(row) }}</span>
            </td>
            <td class="number">
              {{ changeOf(row) > 0 ? '+' : changeOf(row) < 0 ? '−' : ''
              }}{{ say(row.event.subject, Math.abs(changeOf(row))) }}
            </td>
            <td class="number">
              {{ row.event.body.after === null ? 'not known' : say(row.event.subject, row.event.body.after) }}
            </td>
            <td>{{ whatFor(row) }}</td>
            <td>{{ row.event.who }}</td>
            <td class="screen-only">
              <button
                v-if="mayTakeBack(row)"
                class="link-button"
                :aria-label="`Take back movement ${row.event.seq} of ${nameOf(row.event.subject)}`"
                @click="takeBack(row)"
              >
                Take back
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <button v-if="next !== null" class="plain-button more" :disabled="isLooking" @click="look(true)">
      Show older
    </button>
  </section>
</template>

<style scoped>
.movements {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 20px;
}
h2 {
  font-size: var(--text-l);
}
.filters {
  display: grid;
  gap: 12px;
  grid-template-columns: repeat(auto-fit, minmax(160px, 260px));
}
.none {
  padding: 16px;
}
.table {
  overflow-x: auto;
  position: relative;
}
.table :is(th, td) {
  padding: 6px 10px;
}
.table .number {
  text-align: right;
  white-space: nowrap;
}
.corrected {
  color: var(--ink-2);
}
.short {
  color: var(--fails);
}
.label {
  display: block;
}
a {
  color: inherit;
}
.more {
  justify-self: start;
}
</style>
