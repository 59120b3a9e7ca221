<script setup lang="ts">
import {
  assumptionsOf,
  type DecidingPrice,
  isLarge,
  type Job,
  neededBy,
  sentenceOf,
  titleOf,
} from '@brannik/core'
import { watchDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { RouteLocationRaw } from 'vue-router'
import FrontierChart from '../../charts/FrontierChart.vue'
import CountField from '../../components/CountField.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { useMoney } from '../../stores/useMoney.ts'
import { useNotice } from '../../stores/notice.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import QuickerPanel from '../changeover/QuickerPanel.vue'
import DecideDialog from './DecideDialog.vue'
import {
  differenceOf,
  differenceWords,
  headlineOf,
  type KitNames,
  listed,
  nextWords,
  oneMoreWords,
  proofWords,
  withoutJobWords,
  worthWords,
} from './kitWords.ts'
import { useCould } from './useCould.ts'
import { useKit } from './useKit.ts'

/** The cheapest purchases with which every planned job is done, and how sure that is. */
const workspace = useWorkspace()
const notice = useNotice()
const { take: takeCould } = useCould()
const money = useMoney()
const { print, number, spell } = usePrint()
const { ground, made, deciding: decidingPrices, study, progress, state, failure, seek, stop } = useKit()

/** After which the best so far is taken; the solver says then how much better could exist. */
const SECONDS = 60
const CENTS = 100

const jobs = computed(() => workspace.jobs.filter((job) => job.state !== 'archived'))
/** A job that was not chosen here is taken where it is planned. */
const picks = ref<Readonly<Record<string, boolean>>>({})
const isIn = (job: Job): boolean => picks.value[job.id] ?? job.state === 'planned'
const taken = computed(() => jobs.value.filter(isIn))
const others = computed(() => jobs.value.filter((job) => !isIn(job)))
const budget = ref<number | null>(null)
const withTight = ref(true)
const assumed = computed(() => workspace.shop && assumptionsOf(workspace.shop))
const years = computed(() => assumed.value?.horizonYears ?? 0)

const question = computed(() => ({
  jobIds: taken.value.map(({ id }) => id),
  otherIds: others.value.map(({ id }) => id),
  budget: budget.value,
  withTight: withTight.value,
  seconds: SECONDS,
}))
watchDebounced(
  () => [question.value, workspace.snapshot] as const,
  ([asked]) => {
    if (asked.jobIds.length > 0) seek(asked)
  },
  { debounce: 300, immediate: true },
)

const best = computed(() => study.value.best ?? null)
const jobName = (id: string): string => workspace.get('jobs', id)?.name ?? id
const setUpName = (id: string): string =>
  workspace.get('set-ups', id)?.name ?? made.value.get(id)?.setUp.name ?? id
const itemName = (key: string): string =>
  ground.value?.problem.items.find((item) => item.key === key)?.name ?? key
const runsOf = (id: string): number => ground.value?.problem.jobs.find((job) => job.id === id)?.runs ?? 1
const cents = (amount: number): string => money(Math.round(amount * CENTS) / CENTS)
/** The line that a column needs to add up to its total; none where it does. */
function missing(amounts: readonly number[], total: number): readonly { amount: number; words: string }[] {
  const amount = differenceOf(amounts, total)
  return amount === null ? [] : [{ amount, words: differenceWords(amount, amounts) }]
}
const whole = (amount: number): string => money(Math.round(amount))

const names: KitNames = {
  item: itemName,
  job: jobName,
  money: whole,
  percent: (share) => print(share, '%'),
}
const headline = computed(() => {
  if (!best.value)
    return state.value === 'searching' ? 'Searching for the cheapest purchase…' : 'No purchase plan found'
  const large = buys.value.filter(({ isSmall }) => !isSmall).map(({ name }) => name)
  return headlineOf(best.value, large, buys.value.length - large.length, names)
})
const proofText = computed(() => {
  const { proof } = study.value
  return best.value && proof && ground.value ? proofWords(proof, ground.value, names) : ''
})
const progressText = computed(() => {
  const now = progress.value
  if (state.value !== 'searching') return ''
  if (!ground.value) return 'Checking every set-up…'
  if (study.value.proof) return 'Calculating what each purchase and each job is worth…'
  if (!now) return 'Starting the solver…'
  const found = now.best === null ? 'No plan yet' : `Best so far ${whole(now.best)}`
  const gap = now.gap === null ? '' : `; at most ${print(now.gap * 100, '%')} less could be possible`
  return `${found}${gap}…`
})

const rows = computed(() =>
  (best.value?.does ?? []).map(({ jobId, way }) => ({
    jobId,
    name: jobName(jobId),
    setUp: setUpName(way.setUpId),
    verdict: way.verdict,
    runs: runsOf(jobId),
    each: way.costPerRun,
    all: runsOf(jobId) * way.costPerRun,
    needs: [
      ...(best.value ? neededBy(way, best.value) : []).map(itemName),
      ...(way.rents === null ? [] : [`${itemName(way.rents)}, rented`]),
    ],
    worth: study.value.jobs?.find((one) => one.jobId === jobId) ?? null,
  })),
)
const undone = computed(() => best.value?.undone.map(jobName) ?? [])
const undoable = computed(() =>
  (ground.value?.problem.undoable ?? [])
    .filter(({ jobId }) => taken.value.some(({ id }) => id === jobId))
    .map(({ jobId, name, nearest }) => ({
      jobId,
      name,
      text: nearest
        ? `Closest: ${setUpName(nearest.setUpId)}${
            nearest.limit
              ? `: ${titleOf(workspace.speech, nearest.limit)}, ${sentenceOf(workspace.speech, nearest.limit)}`
              : ''
          }`
        : 'There is no set-up yet.',
    })),
)
const CHEAP = 100
const jobsNeeding = (key: string): readonly string[] => {
  const { value: kit } = best
  return kit
    ? kit.does.flatMap(({ jobId, way }) => (neededBy(way, kit).includes(key) ? [jobName(jobId)] : []))
    : []
}
const buys = computed(() =>
  (best.value?.buys ?? [])
    .toSorted((a, b) => b.price - a.price)
    .map((item) => {
      const worth = study.value.worth?.find(({ key }) => key === item.key) ?? null
      return {
        ...item,
        isSmall: item.price < CHEAP && item.slot !== 'circuit' && item.slot !== 'powerSource',
        text: isLarge(item)
          ? worth
            ? worthWords(worth, names)
            : '…'
          : `For ${listed(jobsNeeding(item.key))}`,
        priceText: item.listed === null ? `no price, counted as ${cents(item.price)}` : cents(item.price),
      }
    }),
)
/** Jobs that might be taken on, and for which there is no way at all. */
const othersUndoable = computed(() =>
  (ground.value?.problem.undoable ?? []).filter(({ jobId }) => others.value.some(({ id }) => id === jobId)),
)
const tightText = computed(() => {
  const count = rows.value.filter(({ verdict }) => verdict === 'tight').length
  const jobsText = count === 1 ? 'a job that is tight' : `${count} jobs that are tight`
  return best.value && best.value.tight > 0 ? `, ${cents(best.value.tight)} counted for ${jobsText}` : ''
})
/** Where a price is entered that is missing. */
const PRICE_AT = {
  wire: { list: 'wires', field: 'Price of one' },
  gas: { list: 'gases', field: 'Refill' },
} as const
const priceAt = ({ slot, id }: DecidingPrice): RouteLocationRaw => {
  const { list, field } = PRICE_AT[slot]
  return { name: 'equipment', params: { list, id }, query: { field } }
}

function setYears(value: number | null): void {
  const { shop } = workspace
  if (!shop || value === null) return
  const assumptions = { ...shop.assumptions, horizonYears: value }
  workspace.edit('shop', shop.id, { ...shop, assumptions }, 'years of a purchase')
}
const setTimes = (job: Job, timesPerYear: number | null): void => {
  workspace.edit('jobs', job.id, { ...job, timesPerYear }, `times a year of ${job.name}`)
}
const setWorth = (job: Job, worthPerRun: number | null): void => {
  workspace.edit('jobs', job.id, { ...job, worthPerRun }, `what ${job.name} brings in`)
}
const pick = (job: Job): void => {
  picks.value = { ...picks.value, [job.id]: !isIn(job) }
}
/** Saves the set-ups of the plan that are not written down yet, and gives them to their jobs. */
function take(): void {
  for (const { jobId, way } of best.value?.does ?? []) {
    const could = made.value.get(way.setUpId)
    const setUpId = could ? takeCould(could) : way.setUpId
    const job = workspace.get('jobs', jobId)
    if (job && job.setUpId !== setUpId)
      workspace.edit('jobs', jobId, { ...job, setUpId }, `set-up of ${job.name}`)
  }
  notice.show('Each job has the set-up of the plan', true)
}
const deciding = ref(false)
const toDecide = computed(() =>
  (best.value?.does ?? []).flatMap(({ jobId, way }) => {
    const job = workspace.get('jobs', jobId)
    const found = made.value.get(way.setUpId)
    const setUp = found
      ? { ...found.setUp, id: way.setUpId }
      : ground.value?.setUps.find(({ id }) => id === way.setUpId)
    return job && setUp ? [{ job, setUp }] : []
  }),
)
</script>

<template>
  <div class="kit">
    <section class="sheet asked screen-only" aria-labelledby="kit-asked">
      <h2 id="kit-asked">Jobs and runs per year</h2>
      <ul :class="{ worths: budget !== null }">
        <li class="label heads" aria-hidden="true">
          <span></span><span>Runs a year</span><span v-if="budget !== null">Revenue</span>
        </li>
        <li v-for="job in jobs" :key="job.id">
          <VCheckbox :label="job.name" :model-value="isIn(job)" @update:model-value="pick(job)" />
          <CountField
            class="times"
            label=""
            :name="`Times a year: ${job.name}`"
            decimals
            :least="0.01"
            :most="10000"
            optional="once"
            :model-value="job.timesPerYear"
            @update:model-value="(value) => setTimes(job, value)"
          />
          <CountField
            v-if="budget !== null"
            class="times"
            label=""
            :name="`Revenue per run, ${workspace.shop?.currency ?? ''}: ${job.name}`"
            decimals
            :least="0"
            :most="1e9"
            optional="–"
            :model-value="job.worthPerRun"
            @update:model-value="(value) => setWorth(job, value)"
          />
        </li>
      </ul>
      <div class="bounds">
        <CountField
          label="Payback, years"
          name="Years over which purchases must pay"
          decimals
          :least="0.25"
          :most="30"
          :model-value="years"
          @update:model-value="setYears"
        />
        <CountField
          v-model="budget"
          :label="`Spending limit, ${workspace.shop?.currency ?? ''}`"
          decimals
          :least="0"
          :most="1e9"
          optional="no limit"
        />
      </div>
      <VCheckbox v-model="withTight" label="A tight set-up counts as done" />
      <p v-if="budget !== null" class="label">
        With a spending limit, jobs with the most revenue come first, then the lowest cost. A job without a
        figure counts as the average.
      </p>
      <p class="label">
        {{ spell('Labour is') }} {{ cents(assumed?.labourPerHour ?? 0) }} an hour, rest included. A tight run
        counts {{ print(assumed?.tightCostPct ?? 0, '%') }} more.
        <RouterLink :to="{ name: 'assumptions' }">Change either under Assumptions.</RouterLink> Power and wear
        are not included. What you own costs nothing. Prices come from
        <RouterLink :to="{ name: 'equipment' }">Equipment</RouterLink>.
      </p>
    </section>
    <section class="sheet answer" aria-labelledby="kit-answer" :aria-busy="state === 'searching'">
      <p v-if="taken.length === 0" class="quiet">Tick the jobs that the plan must cover.</p>
      <template v-else>
        <p v-if="failure" class="problem" role="alert">The plan cannot be calculated: {{ failure }}</p>
        <header>
          <h2 id="kit-answer" class="headline">{{ headline }}</h2>
          <span class="end screen-only">
            <button v-if="state === 'searching'" class="plain-button" @click="stop">
              Stop, keep the best
            </button>
            <template v-else-if="best">
              <button class="plain-button" @click="take">Give each job its set-up</button>
              <button class="plain-button main" @click="deciding = true">Decide</button>
            </template>
          </span>
        </header>
        <p v-if="best" class="sum">
          <strong>{{ cents(best.total) }}</strong> over {{ number(years) }} years:
          {{ cents(best.purchases) }} for purchases, {{ cents(best.running) }} to run {{ rows.length }}
          {{ rows.length === 1 ? 'job' : 'jobs' }}{{ tightText }}
        </p>
        <p role="status" :class="study.proof?.isProven ? 'proven' : 'label'">
          {{ [proofText, progressText].filter((text) => text !== '').join(' ') }}
          <template v-if="state === 'stopped'">Stopped: this is the best plan found so far.</template>
        </p>
        <p v-for="one in undoable" :key="one.jobId" class="problem">
          No equipment in your lists does
          <RouterLink :to="{ name: 'buy', params: { part: 'could' }, query: { job: one.jobId } }">{{
            one.name
          }}</RouterLink>. {{ one.text }}
        </p>
        <p v-if="undone.length > 0" class="problem">Not done for this money: {{ listed(undone) }}</p>
        <p v-if="(ground?.problem.unpriced.length ?? 0) > 0" class="label">
          Enter a price to compare {{ listed(ground?.problem.unpriced ?? []) }}.
        </p>
        <p v-for="one in decidingPrices" :key="`${one.slot} ${one.id}`" class="label">
          The price of
          <RouterLink :to="priceAt(one)">{{ one.name }}</RouterLink>
          is missing and decides how {{ jobName(one.jobId) }} is done. It counts at the upper end of what is
          typical.
        </p>
        <table v-if="buys.length > 0" class="ruled">
          <thead>
            <tr>
              <th scope="col">To buy</th>
              <th scope="col" class="number">Price</th>
              <th scope="col">Worth over {{ number(years) }} years</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="item in buys" :key="item.key">
              <th scope="row">{{ item.name }}</th>
              <td class="number">{{ item.priceText }}</td>
              <td>{{ item.text }}</td>
            </tr>
          </tbody>
          <tfoot v-if="best && buys.length > 1">
            <tr
              v-for="lacks in missing(
                buys.map(({ price }) => price),
                best.purchases,
              )"
              :key="lacks.words"
            >
              <th scope="row">{{ lacks.words }}</th>
              <td class="number">{{ cents(lacks.amount) }}</td>
              <td></td>
            </tr>
            <tr class="total">
              <th scope="row">All purchases</th>
              <td class="number">{{ cents(best.purchases) }}</td>
              <td></td>
            </tr>
          </tfoot>
        </table>
        <table v-if="rows.length > 0" class="ruled jobs">
          <thead>
            <tr>
              <th scope="col">Job</th>
              <th scope="col">Set-up</th>
              <th scope="col" class="number">A run</th>
              <th scope="col" class="number">Runs</th>
              <th scope="col" class="number">All</th>
              <th scope="col">Without this job</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.jobId">
              <th scope="row">
                <RouterLink :to="{ name: 'job', params: { jobId: row.jobId } }">{{ row.name }}</RouterLink>
              </th>
              <td>
                <span class="by"><VerdictMark :verdict="row.verdict" :word="false" /> {{ row.setUp }}</span>
                <span v-if="row.needs.length > 0" class="label">needs {{ listed(row.needs) }}</span>
              </td>
              <td class="number">{{ cents(row.each) }}</td>
              <td class="number">{{ number(row.runs, 2) }}</td>
              <td class="number">{{ cents(row.all) }}</td>
              <td>
                {{ row.worth ? withoutJobWords(row.worth, names) : '…' }}
              </td>
            </tr>
          </tbody>
          <tfoot v-if="best && rows.length > 1">
            <tr
              v-for="lacks in missing(
                rows.map(({ all }) => all),
                best.running,
              )"
              :key="lacks.words"
            >
              <th scope="row" colspan="4">{{ lacks.words }}</th>
              <td class="number">{{ cents(lacks.amount) }}</td>
              <td></td>
            </tr>
            <tr class="total">
              <th scope="row" colspan="4">To run all of them</th>
              <td class="number">{{ cents(best.running) }}</td>
              <td></td>
            </tr>
          </tfoot>
        </table>
        <div class="more">
          <section v-if="(study.next?.length ?? 0) > 0">
            <h2>Next best</h2>
            <ol>
              <li v-for="(kit, index) in study.next" :key="index">
                <strong>{{ whole(kit.total) }}</strong>, {{ whole(kit.total - (best?.total ?? 0)) }} more:
                {{ best ? nextWords(kit, best, names) : '' }}
              </li>
            </ol>
          </section>
          <section v-if="(study.others?.length ?? 0) + othersUndoable.length > 0">
            <h2>One job more</h2>
            <ul>
              <li v-for="one in study.others" :key="one.jobId">
                <strong>{{ jobName(one.jobId) }}</strong> {{ oneMoreWords(one, names) }}
              </li>
              <li v-for="one in othersUndoable" :key="one.jobId">
                <strong>{{ one.name }}</strong> cannot be done with anything in your lists
              </li>
            </ul>
          </section>
          <QuickerPanel />
          <section v-if="(study.frontier?.length ?? 0) > 1">
            <h2>Jobs done by purchase cost</h2>
            <FrontierChart
              :points="study.frontier ?? []"
              :all="taken.length"
              :budget="budget"
              :money="whole"
            />
          </section>
        </div>
        <p class="label caution">
          Plan only, not approval. The data plate, the local electrical code and a licensed electrician decide
          what may be connected. Structural and code-bound welds need a qualified procedure.
        </p>
      </template>
    </section>
    <DecideDialog
      v-if="best"
      v-model="deciding"
      :choices="toDecide"
      :purchases="best.buys.map(({ name, price }) => ({ name, price }))"
      :kit="{ totalCost: best.total, horizonYears: years, proof: proofText }"
      :made-of="(id) => made.get(id) ?? null"
    />
  </div>
</template>

<style scoped>
.kit {
  align-items: start;
  display: grid;
  gap: 12px;
  grid-template-columns: 320px minmax(0, 1fr);
}
.sheet {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
  padding: 12px 14px;
}
.asked li {
  align-items: center;
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr) 84px;
}
.asked .worths li {
  grid-template-columns: minmax(0, 1fr) 72px 84px;
}
.bounds {
  display: grid;
  gap: 8px;
  grid-template-columns: 1fr 1fr;
}
.answer header {
  align-items: start;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
}
.headline {
  flex: 1 1 320px;
  font-size: var(--text-l);
  line-height: 1.3;
}
.end {
  display: flex;
  gap: 8px;
}
.sum strong {
  font-size: var(--text-l);
}
.total > * {
  font-weight: 700;
}
.proven {
  color: var(--fits);
  font-weight: 600;
}
.ruled :is(th, td) {
  padding: 5px 8px 5px 0;
  vertical-align: top;
}
.ruled tbody th {
  font-weight: 600;
}
.ruled .number {
  text-align: right;
}
.ruled .number + :not(.number) {
  padding-left: 16px;
}
.by {
  display: block;
}
.ruled .label {
  display: block;
}
.more {
  display: grid;
  gap: 12px 28px;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
}
.more section {
  display: grid;
  align-content: start;
  gap: 6px;
}
.more :is(ol, ul) {
  display: grid;
  gap: 6px;
}
.caution {
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
a {
  color: inherit;
}
@media screen and (max-width: 700px) {
  .jobs :is(th, td):is(:nth-child(3), :nth-child(4), :nth-child(6)) {
    display: none;
  }
}
@media (max-width: 960px) {
  .kit {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
