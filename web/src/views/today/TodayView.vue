<script setup lang="ts">
import { DAY_MIN, keptBlock, paceOf, type WeekBlock, type WorkMark, type WorkState } from '@brannik/core'
import { computed, ref } from 'vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { lazily } from '../../lazy.ts'
import { shopMinute } from '../../shop/shopTime.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { durationText, usePlanWords } from '../week/planWords.ts'
import { isOf, usePlan } from '../week/usePlan.ts'
import NextCard from './NextCard.vue'

const ChangeSteps = lazily(() => import('./ChangeSteps.vue'))
const DoneDialog = lazily(() => import('./DoneDialog.vue'))
const BrokeDialog = lazily(() => import('./BrokeDialog.vue'))

/** What is next, on which machine, with what to change and what is in the way. */
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const plan = usePlan()
const { clock, conflictText, dayName, lateText, leftOutText, nameOf, waysOut, weekday } = usePlanWords()

const blocks = computed(() => plan.blocks.value)
/** Of each machine the first; what runs before what is next. */
const nexts = computed(() => {
  const seen = new Set<string>()
  return blocks.value
    .toSorted(
      (a, b) =>
        Number(b.work?.state === 'running') - Number(a.work?.state === 'running') ||
        a.startMin - b.startMin ||
        b.lateMin - a.lateMin,
    )
    .filter(({ sourceId }) => (seen.has(sourceId) ? false : Boolean(seen.add(sourceId))))
})
const sourceId = ref<string | null>(null)
const inHand = computed(
  () => nexts.value.find((one) => one.sourceId === sourceId.value) ?? nexts.value[0] ?? null,
)
const MOST_AFTER = 6
const after = computed(() => blocks.value.filter((block) => block !== inHand.value).slice(0, MOST_AFTER))
const late = computed(() => blocks.value.filter(({ lateMin }) => lateMin > 0))
const startText = ({ startMin, work }: WeekBlock): string =>
  work?.state === 'running'
    ? 'running'
    : Math.floor(startMin / DAY_MIN) === today.value
      ? clock(startMin)
      : `${dayName(startMin)} ${clock(startMin)}`
const runsOut = computed(() =>
  (plan.answer.value?.conflicts ?? []).flatMap((one) => (one.kind === 'runs-out' ? [one] : [])),
)
const lasts = (block: WeekBlock): string =>
  runsOut.value
    .filter(({ blockId }) => blockId === block.id)
    .map(({ item, ends }) => `${item.name} for ${ends.welds} of ${ends.of} welds`)
    .join(', ')
const inTheWay = computed(() =>
  (plan.answer.value?.conflicts ?? []).filter(({ kind }) => kind !== 'runs-out' && kind !== 'late'),
)
const leftOut = computed(() => plan.answer.value?.week.leftOut ?? [])

/** What is done, with its day by the shop's clock. */
const today = computed(() => Math.floor(plan.nowMin.value / DAY_MIN))
const doneByDay = computed(() =>
  [...plan.work.states.value.values()]
    .filter(({ state }) => state === 'done')
    .map((work) => ({
      work,
      day: Math.floor(shopMinute(new Date(work.lastAt), workspace.timeZone) / DAY_MIN),
    })),
)
const doneOn = (day: number) => doneByDay.value.flatMap((one) => (one.day === day ? [one.work] : []))
const doneToday = computed(() => doneOn(today.value))
/** On the last day with anything done before today. */
const doneBefore = computed(() =>
  doneOn(Math.max(...doneByDay.value.map(({ day }) => day).filter((day) => day < today.value), -1)),
)
function paceText(jobId: string): string {
  const { times, runs } = paceOf(plan.work.states.value.values(), jobId)
  const percent = Math.round((times - 1) * 100)
  return runs === 0 || percent === 0 ? '' : `Plan for it moved by ${percent} %.`
}

function mark(block: WeekBlock, act: WorkMark['act'], minutes: number | null = null): void {
  plan.work.press(block.jobId, {
    act,
    run: block.run,
    part: block.part,
    setUpId: block.setUpId,
    setUpName: block.setUpName,
    jobName: block.jobName,
    welder: block.welderId === null ? null : block.welderName,
    minutes,
    plannedMin: block.plannedMin,
  })
}
/** It was pressed too soon. */
function reopen({ jobId, run, part, setUpId, setUpName, jobName, welder, plannedMin }: WorkState): void {
  plan.work.press(jobId, {
    act: 'reopen',
    run,
    part,
    setUpId,
    setUpName,
    jobName,
    welder,
    minutes: null,
    plannedMin,
  })
}
/** What starts here stops what runs on the same machine: one machine, one job. */
function start(block: WeekBlock): void {
  for (const other of blocks.value)
    if (other !== block && other.sourceId === block.sourceId && other.work?.state === 'running')
      mark(other, 'pause')
  mark(block, 'start')
  // What people work by stays: from here on only what has to move does.
  if (plan.kept.value.length === 0 && session.mayWrite('work-plans')) plan.keep(plan.shown.value, 'Plan kept')
}
const pauseById = (id: string): void => {
  const block = blocks.value.find((one) => one.id === id)
  if (block) mark(block, 'pause')
}
const isDoing = ref(false)
const isBroken = ref(false)
const doing = ref<WeekBlock | null>(null)
const workedMin = ref(0)
const MS_PER_MIN = 60_000
function askDone(block: WeekBlock): void {
  const { work } = block
  doing.value = block
  workedMin.value = work
    ? (work.workedMs + (work.state === 'running' ? Math.max(0, Date.now() - Date.parse(work.lastAt)) : 0)) /
      MS_PER_MIN
    : block.workMin
  isDoing.value = true
}
function done(minutes: number): void {
  const { value: block } = doing
  if (!block) return
  mark(block, 'done', minutes)
  notice.show(`${nameOf(block)} is done: ${durationText(minutes)}, planned ${durationText(block.plannedMin)}`)
}
async function doFirst(block: WeekBlock): Promise<void> {
  const startsAt = keptBlock({ ...block, startMin: plan.nowMin.value }).startsAt
  await plan.change(
    plan.shown.value.map((one) => (isOf(one, block) ? { ...one, startsAt, isPinned: true } : one)),
    [plan.nowMin.value, block.startMin],
    `${block.jobName} put first`,
  )
}
</script>

<template>
  <section class="today">
    <header class="today-head">
      <h1>Today</h1>
      <p class="quiet">
        {{ weekday(plan.nowMin.value) }} · {{ nexts.length }}
        {{ nexts.length === 1 ? 'machine' : 'machines' }} with work<template v-if="late.length > 0"
          >, <span class="bad">{{ late.length }} late</span></template
        >
      </p>
      <button
        v-if="blocks.length > 0 && session.mayWrite('work-plans')"
        class="plain-button end"
        @click="isBroken = true"
      >
        Something broke
      </button>
    </header>
    <p v-if="plan.work.isAway.value" class="sheet note" role="status">
      No connection. This is what was known last. What you press is sent later.
    </p>
    <p v-if="plan.failure.value" class="problem" role="alert">
      This cannot be calculated. {{ plan.failure.value }}
    </p>
    <p v-else-if="plan.answer.value === null" class="sheet note" role="status">Calculating…</p>
    <div v-else-if="inHand === null" class="sheet note empty">
      <p>
        {{
          workspace.jobs.length === 0
            ? 'There is no job yet. Enter circuits, machines and a first job, and this page says what is next.'
            : leftOut.length > 0
              ? 'No planned job can be done with what you own.'
              : 'Every planned job is done.'
        }}
      </p>
      <RouterLink class="plain-button main" :to="{ name: workspace.jobs.length === 0 ? 'start' : 'jobs' }">
        {{ workspace.jobs.length === 0 ? 'Set up the shop' : 'Go to Jobs' }}
      </RouterLink>
    </div>
    <template v-else>
      <nav v-if="nexts.length > 1" class="machines" aria-label="Machines">
        <button
          v-for="block in nexts"
          :key="block.sourceId"
          class="machine"
          :class="{ here: block === inHand }"
          :aria-pressed="block === inHand"
          @click="sourceId = block.sourceId"
        >
          <strong>{{ workspace.get('power-sources', block.sourceId)?.name }}</strong>
          <span>{{ startText(block) }} · {{ nameOf(block) }}</span>
        </button>
      </nav>
      <div class="now">
        <div class="left">
          <NextCard
            :key="inHand.id"
            :block="inHand"
            @start="start(inHand)"
            @pause="mark(inHand, 'pause')"
            @done="askDone(inHand)"
          />
          <section class="sheet list" aria-label="After that">
            <header class="list-head">
              <h2>After that</h2>
              <RouterLink class="quiet" :to="{ name: 'week' }">Week</RouterLink>
            </header>
            <p v-if="after.length === 0" class="quiet">Nothing else is planned.</p>
            <ul>
              <li v-for="block in after" :key="block.id" class="row">
                <span class="time">{{ startText(block) }}</span>
                <span>
                  <RouterLink :to="{ name: 'job', params: { jobId: block.jobId } }"
                    ><strong>{{ nameOf(block) }}</strong></RouterLink
                  >
                  <span class="label">
                    {{ block.setUpName }}, {{ block.welderName }},
                    {{
                      block.changeMin > 0
                        ? `change over ${durationText(block.changeMin)}`
                        : 'nothing to change'
                    }}
                  </span>
                  <span v-if="lasts(block)" class="label bad">{{ lasts(block) }}</span>
                </span>
                <span class="right">
                  <template v-if="block.lateMin > 0">
                    <span class="bad">{{ lateText(block.lateMin) }}</span>
                    <button
                      v-if="!block.work && session.mayWrite('work-plans')"
                      class="plain-button"
                      @click="doFirst(block)"
                    >
                      Do it first
                    </button>
                  </template>
                  <VerdictMark v-else :verdict="block.verdict" />
                </span>
              </li>
            </ul>
          </section>
        </div>
        <ChangeSteps :key="inHand.setUpId" :block="inHand" />
      </div>
    </template>
    <div v-if="plan.answer.value !== null" class="thirds">
      <section class="sheet third" aria-label="In the way">
        <h2>In the way</h2>
        <p v-if="inTheWay.length + leftOut.length === 0" class="quiet">Nothing.</p>
        <ul>
          <li v-for="(conflict, index) in inTheWay" :key="index">
            {{ conflictText(conflict) }}
            <RouterLink :to="{ name: 'week' }">{{ waysOut(conflict)[0]?.text ?? 'Week' }}</RouterLink>
          </li>
          <li v-for="one in leftOut" :key="one.run.id">
            {{ leftOutText(one) }} <RouterLink :to="{ name: 'buy' }">What to buy</RouterLink>
          </li>
        </ul>
      </section>
      <section class="sheet third" aria-label="Runs out">
        <h2>Runs out</h2>
        <p v-if="runsOut.length === 0" class="quiet">Nothing that is counted.</p>
        <ul>
          <li v-for="(conflict, index) in runsOut" :key="index">
            {{ conflictText(conflict) }}
            <RouterLink :to="{ name: 'order' }">Order {{ conflict.packs }}</RouterLink>
          </li>
        </ul>
      </section>
      <section class="sheet third" aria-label="Done">
        <h2>{{ doneToday.length > 0 ? 'Done today' : 'Done before' }}</h2>
        <p v-if="doneToday.length + doneBefore.length === 0" class="quiet">Nothing is recorded yet.</p>
        <ul>
          <li
            v-for="one in doneToday.length > 0 ? doneToday : doneBefore"
            :key="`${one.jobId} ${one.run} ${one.part}`"
          >
            {{ one.jobName }}: {{ one.minutes === null ? 'done' : durationText(one.minutes)
            }}<template v-if="one.plannedMin !== null">, planned {{ durationText(one.plannedMin) }}</template
            >. {{ paceText(one.jobId) }}
            <RouterLink
              :to="{ name: 'log', params: { jobId: one.jobId } }"
              :aria-label="`Log the settings: ${one.jobName}`"
              >Log the settings</RouterLink
            >
            <button
              v-if="doneToday.length > 0 && session.mayRecord"
              class="link-button"
              :aria-label="`Not done: ${one.jobName}`"
              @click="reopen(one)"
            >
              Not done
            </button>
          </li>
        </ul>
      </section>
    </div>
    <DoneDialog v-model="isDoing" :block="doing" :worked-min="workedMin" @done="done" />
    <BrokeDialog v-if="isBroken" v-model="isBroken" :plan="plan" @stop="pauseById" />
  </section>
</template>

<style scoped>
.today {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 20px;
}
.today-head {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.end {
  margin-left: auto;
}
.note,
.list,
.third {
  padding: 12px 16px;
}
.empty {
  display: grid;
  gap: 10px;
  justify-items: start;
}
.machines {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.machine {
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  color: var(--ink);
  display: grid;
  font-size: var(--text-s);
  min-height: 44px;
  padding: 4px 12px;
  text-align: left;
}
.machine.here {
  border-color: var(--copper);
}
.now {
  align-items: start;
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr) minmax(0, 340px);
}
.left {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
}
.list-head {
  align-items: baseline;
  display: flex;
  justify-content: space-between;
}
.row {
  align-items: center;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 4px 16px;
  grid-template-columns: 100px minmax(0, 1fr) auto;
  padding: 8px 0;
}
.row .label {
  display: block;
}
.right {
  align-items: center;
  display: flex;
  gap: 8px;
}
.thirds {
  display: grid;
  gap: 10px;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 260px), 1fr));
}
.third {
  align-content: start;
  display: grid;
  gap: 6px;
}
ul {
  display: grid;
  gap: 6px;
}
.bad {
  color: var(--fails);
}
a:not(.plain-button) {
  color: inherit;
}
@media (max-width: 900px) {
  .now {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (pointer: coarse) {
  a {
    align-items: center;
    display: inline-flex;
    min-height: 44px;
  }
}
</style>
