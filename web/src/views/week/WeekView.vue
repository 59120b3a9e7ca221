<script setup lang="ts">
import {
  assumptionsOf,
  clockMin,
  DAY_MIN,
  keptBlock,
  minuteOf,
  type PlannedBlock,
  timeOf,
  usualWelder,
  weekdayOf,
  type WeekBlock,
} from '@brannik/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import PlaceHead from '../../components/PlaceHead.vue'
import { download } from '../../files/download.ts'
import { reasonOf } from '../../reason.ts'
import type { WeekAsks } from '../../engine/questions/week.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useBoardTabs } from '../board/boardTabs.ts'
import BlockPanel from './BlockPanel.vue'
import DayPrint from './DayPrint.vue'
import { durationText, usePlanWords } from './planWords.ts'
import { timelineOf } from './timeline.ts'
import TimeLine, { type TimeRow } from './TimeLine.vue'
import { isOf, usePlan } from './usePlan.ts'
import { useSearch } from './useSearch.ts'

/** The week: which job on which machine, by whom, and when. */
const workspace = useWorkspace()
const router = useRouter()
const tabs = useBoardTabs()
const plan = usePlan()
const search = useSearch(plan)
const words = usePlanWords()
const { tenth } = usePrint()

const by = ref<'machine' | 'welder'>('machine')
const dayCount = ref(5)
const chosenId = ref<string | null>(null)

const HOUR_MIN = 60
const welders = computed(() => workspace.all('welders'))
const usual = computed(() => usualWelder(assumptionsOf(workspace.shop ?? { assumptions: {} })))
const opens = computed(() =>
  Math.min(...welders.value.map(({ startsAt }) => clockMin(startsAt)), 7 * HOUR_MIN),
)
const closes = computed(() => Math.max(...welders.value.map(({ endsAt }) => clockMin(endsAt)), 15 * HOUR_MIN))
/** A shop without a list works on the days of the one that stands for it. */
const isOpen = (day: number): boolean =>
  (welders.value.length > 0 ? welders.value : [usual.value]).some((welder) => welder[weekdayOf(day)])
const timeline = computed(() =>
  timelineOf(Math.floor(plan.nowMin.value / DAY_MIN), dayCount.value, opens.value, closes.value, isOpen),
)
const rowOf = (block: WeekBlock): string =>
  by.value === 'machine' ? block.sourceId : (block.welderId ?? 'nobody')
const rows = computed((): readonly TimeRow[] => {
  const used = new Set(plan.blocks.value.map(rowOf))
  if (by.value === 'welder')
    return welders.value.length === 0
      ? [{ id: 'nobody', title: 'Welder', note: 'no list of welders' }]
      : welders.value.map(({ id, name, startsAt, endsAt }) => ({
          id,
          title: name,
          note: `${startsAt}–${endsAt}`,
        }))
  return workspace.shelf.powerSources
    .filter(
      ({ id, held }) =>
        used.has(id) || (held === 'owned' && workspace.setUps.some((one) => one.powerSourceId === id)),
    )
    .toSorted((a, b) => Number(used.has(b.id)) - Number(used.has(a.id)))
    .map(({ id, name }) => ({
      id,
      title: name,
      note: workspace.all('present-set-ups').find((one) => one.id === id)?.name ?? 'nothing on it',
    }))
})
const chosen = computed(() => plan.blocks.value.find(({ id }) => id === chosenId.value) ?? null)
const troubled = computed(() => new Set((plan.answer.value?.conflicts ?? []).map(({ blockId }) => blockId)))
const late = computed(() => plan.blocks.value.filter(({ lateMin }) => lateMin > 0))

const failure = ref('')
async function tryTo(work: () => Promise<void> | void): Promise<void> {
  failure.value = ''
  try {
    await work()
  } catch (error) {
    failure.value = reasonOf(error)
  }
}
const changed = (block: WeekBlock, change: Partial<PlannedBlock>): readonly PlannedBlock[] =>
  plan.shown.value.map((one) => (isOf(one, block) ? { ...one, ...change } : one))
const put = (block: WeekBlock, change: Partial<PlannedBlock>): Promise<void> =>
  tryTo(async () => {
    await plan.change(
      changed(block, { isPinned: true, ...change }),
      [block.startMin, ...(change.startsAt ? [minuteOf(change.startsAt)] : [])],
      `${block.jobName} moved`,
    )
    // The rest may go better now: it is sought while people work on, and offered.
    await search.seek()
  })
async function move(block: WeekBlock, row: string, startMin: number): Promise<void> {
  const startsAt = timeOf(startMin)
  if (row === rowOf(block)) return put(block, { startsAt })
  if (by.value === 'welder') {
    const choices = await plan.ask('choices', block.id)
    if (!choices?.welders.includes(row)) {
      failure.value = `${welders.value.find(({ id }) => id === row)?.name ?? 'This welder'} may not weld ${block.jobName}.`
      return
    }
    return put(block, { startsAt, welderId: row })
  }
  const choices = await plan.ask('choices', block.id)
  const own = workspace.setUps.find(
    ({ id, powerSourceId }) => powerSourceId === row && choices?.setUps.includes(id),
  )
  if (!own) {
    failure.value = `No set-up of ${workspace.get('power-sources', row)?.name ?? 'this machine'} does ${block.jobName}.`
    return
  }
  return put(block, { startsAt, setUpId: own.id })
}
const pin = (block: WeekBlock): Promise<void> =>
  tryTo(() =>
    plan.change(
      changed(block, { isPinned: !block.isPinned }),
      [block.startMin],
      block.isPinned ? `${block.jobName} unpinned` : `${block.jobName} pinned`,
    ),
  )
function split(block: WeekBlock): Promise<void> {
  return tryTo(async () => {
    const own = plan.shown.value.filter((one) => one.jobId === block.jobId && one.run === block.run)
    const next = Math.max(...own.map(({ part }) => part)) + 1
    const rest = plan.shown.value.flatMap((one): readonly PlannedBlock[] =>
      isOf(one, block)
        ? [
            { ...one, sharePct: one.sharePct / 2 },
            { ...one, sharePct: one.sharePct / 2, part: next, isPinned: false },
          ]
        : [one],
    )
    await plan.change(rest, [block.startMin], `${block.jobName} split`)
  })
}
function join(block: WeekBlock): Promise<void> {
  return tryTo(async () => {
    const [first, ...others] = plan.shown.value.filter(
      (one) => one.jobId === block.jobId && one.run === block.run,
    )
    if (!first) return
    const rest = plan.shown.value.flatMap((one): readonly PlannedBlock[] =>
      others.includes(one) ? [] : [one === first ? { ...one, sharePct: 100, part: 1 } : one],
    )
    await plan.change(rest, [block.startMin], `${block.jobName} joined`)
  })
}
function wayOut(to: string, blockId: string): void {
  chosenId.value = blockId
  const { value: block } = chosen
  if (to === 'unpin' && block) void pin(block)
  if (to === 'order') void router.push({ name: 'order' })
  if (to === 'assumptions') void router.push({ name: 'assumptions' })
  if (to === 'welders') void router.push({ name: 'equipment', params: { list: 'welders' } })
}

const power = shallowRef<WeekAsks['power']['answer'] | null>(null)
const isTrying = ref(false)
watch(plan.answer, () => (power.value = null))
const tryPower = (): Promise<void> =>
  tryTo(async () => {
    isTrying.value = true
    try {
      power.value = await plan.ask('power', null)
    } finally {
      isTrying.value = false
    }
  })

/** Of work with changes, %; null where it is not worked out. */
const gap = computed(() => {
  const { value: bounds } = search.bounds
  const { value: cost } = search.boundOf
  if (!bounds || !cost) return null
  const work = cost.workMin + cost.changeMin
  return {
    workPct: bounds.workAndChangeMin > 0 ? Math.max(0, (work / bounds.workAndChangeMin - 1) * 100) : null,
    late: cost.lateMin,
    leastLate: bounds.lateMin,
  }
})
const LOOSE = 0.3
const gapText = computed(() => {
  if (!gap.value) return ''
  const { workPct, late: lateMin, leastLate } = gap.value
  const work = workPct === null ? '' : `Work with changeovers is at most ${tenth(workPct)} % above the least.`
  const lateness =
    lateMin < 0.5
      ? 'Nothing is late.'
      : leastLate >= lateMin - 0.5
        ? 'Lateness is the least possible.'
        : leastLate < lateMin * (1 - LOOSE)
          ? 'For lateness it is not known how far from best.'
          : `Lateness is at most ${Math.round((lateMin / leastLate - 1) * 100)} % above the least.`
  return `${work} ${lateness}`
})
async function saveAs(kind: 'ics' | 'csv'): Promise<void> {
  const files = await import('./planFiles.ts')
  const text =
    kind === 'ics'
      ? files.planCalendar(plan.blocks.value, workspace.shop?.name ?? 'Shop')
      : files.planCsv(plan.blocks.value)
  download(`plan.${kind}`, text, kind === 'ics' ? 'text/calendar' : 'text/csv')
}
const printPage = (): void => window.print()
</script>

<template>
  <section class="week">
    <PlaceHead title="Board" :tabs="tabs">
      <VChipGroup v-model="by" class="screen-only" mandatory aria-label="Rows">
        <VChip value="machine">By machine</VChip>
        <VChip value="welder">By welder</VChip>
      </VChipGroup>
      <VChipGroup v-model="dayCount" class="screen-only" mandatory aria-label="Days">
        <VChip :value="1">1 day</VChip>
        <VChip :value="5">5 days</VChip>
        <VChip :value="10">10 days</VChip>
      </VChipGroup>
      <span class="end screen-only">
        <button v-if="search.state.value !== 'searching'" class="plain-button" @click="tryTo(search.seek)">
          Find a better plan
        </button>
        <VMenu location="bottom end" :transition="false">
          <template #activator="{ props: activator }">
            <button class="plain-button" v-bind="activator">Export</button>
          </template>
          <VList>
            <VListItem title="Calendar (iCalendar)" @click="saveAs('ics')" />
            <VListItem title="Sheet (CSV)" @click="saveAs('csv')" />
            <VListItem title="Print a day for each machine" @click="printPage" />
          </VList>
        </VMenu>
      </span>
    </PlaceHead>
    <p v-if="plan.failure.value || failure" class="problem" role="alert">
      {{ plan.failure.value ? `This cannot be calculated. ${plan.failure.value}` : failure }}
    </p>
    <p v-if="plan.answer.value === null" class="sheet none" role="status">Calculating…</p>
    <template v-else-if="plan.blocks.value.length === 0">
      <p class="sheet none">
        No planned job can be placed yet. The week shows which job is next on which machine.
        <RouterLink :to="{ name: 'jobs' }">Go to Jobs</RouterLink>
      </p>
    </template>
    <template v-else>
      <p class="summary screen-only" role="status">
        <strong :class="{ bad: late.length > 0 }">{{
          late.length === 0
            ? 'Every job with a due day is in time.'
            : late.length === 1
              ? `1 job is late: ${late[0]?.jobName}.`
              : `${late.length} jobs are late.`
        }}</strong>
        {{ durationText(plan.answer.value.week.cost.workMin) }} of work,
        {{ durationText(plan.answer.value.week.cost.changeMin) }} of changing over.
      </p>
      <div v-if="search.state.value === 'searching'" class="sheet search screen-only" role="status">
        <progress :value="search.done.value" aria-label="Search">{{ search.done.value }}</progress>
        <span>Searching… the plan below stays.</span>
        <button class="plain-button" @click="tryTo(search.enough)">Good enough now</button>
        <button class="plain-button" @click="search.cancel">Cancel</button>
      </div>
      <div v-else-if="search.state.value === 'done'" class="sheet search screen-only" role="status">
        <template v-if="search.offer.value">
          <span>
            A plan with {{ durationText(search.offer.value.week.cost.changeMin) }} of changing over.
            {{
              search.offer.value.moved.length === 0
                ? 'No kept job moves.'
                : search.offer.value.moved.length === 1
                  ? '1 kept job moves.'
                  : `${search.offer.value.moved.length} kept jobs move.`
            }}
          </span>
          <button class="plain-button main" @click="search.take">Keep this plan</button>
        </template>
        <span v-else>No better plan was found.</span>
        <span v-if="gapText">{{ gapText }}</span>
        <span v-else-if="search.boundOf.value">Working out how far it is from best…</span>
        <button class="plain-button" @click="search.cancel">Close</button>
      </div>
      <p v-if="search.failure.value" class="problem" role="alert">{{ search.failure.value }}</p>
      <div class="sheet scroll screen-only">
        <TimeLine
          :rows="rows"
          :blocks="plan.blocks.value"
          :row-of="rowOf"
          :timeline="timeline"
          :now-min="plan.nowMin.value"
          :chosen="chosenId"
          :troubled="troubled"
          @choose="chosenId = $event"
          @move="move"
          @pin="pin"
        />
      </div>
      <p class="quiet screen-only keys">
        Drag a job, or move it with Shift and the arrow keys. P pins it. Striped: changing over.
      </p>
      <div class="below screen-only">
        <BlockPanel
          v-if="chosen"
          :block="chosen"
          :plan="plan"
          @put="put"
          @pin="pin"
          @split="split"
          @join="join"
        />
        <section class="sheet panel" aria-label="In the way">
          <h2>In the way</h2>
          <p v-if="plan.answer.value.conflicts.length + plan.answer.value.week.leftOut.length === 0">
            Nothing is in the way.
          </p>
          <ul>
            <li v-for="(conflict, index) in plan.answer.value.conflicts" :key="index">
              <button class="link-button" @click="chosenId = conflict.blockId">
                {{ words.conflictText(conflict) }}
              </button>
              <button
                v-for="way in words.waysOut(conflict)"
                :key="way.text"
                class="plain-button"
                @click="wayOut(way.to, conflict.blockId)"
              >
                {{ way.text }}
              </button>
            </li>
            <li v-for="one in plan.answer.value.week.leftOut" :key="one.run.id">
              {{ words.leftOutText(one) }}
              <RouterLink class="plain-button" :to="{ name: 'board' }">Ways on the Board</RouterLink>
              <RouterLink class="plain-button" :to="{ name: 'buy' }">Buy</RouterLink>
            </li>
            <li v-for="one in plan.answer.value.week.lostPins" :key="one.run.id">
              The pin of {{ one.run.job.name }} cannot hold:
              {{
                {
                  'set-up-gone': 'its set-up is deleted.',
                  'set-up-fails': 'its set-up does not do the job any more.',
                  'welder-gone': 'its welder is no longer in the list.',
                  'welder-may-not': 'its welder may not weld it.',
                }[one.why]
              }}
            </li>
          </ul>
        </section>
        <section class="sheet panel" aria-label="Batches and power">
          <h2>Batches</h2>
          <p v-if="plan.answer.value.batches.length === 0">No batch of one set-up saves a changeover.</p>
          <ul>
            <li v-for="batch in plan.answer.value.batches" :key="batch.setUpName">
              {{ batch.setUpName }}: {{ batch.jobNames.join(', ') }} one after the other saves
              {{ durationText(batch.savesMin) }}.
              <button
                class="plain-button"
                @click="plan.keep(batch.week.blocks.map(keptBlock), 'Batch put together')"
              >
                Put them together
              </button>
            </li>
          </ul>
          <h2>Power of the plan</h2>
          <p v-if="power === null">
            <button class="plain-button" :disabled="isTrying" @click="tryPower">
              {{ isTrying ? 'Calculating…' : 'Try the plan on the breakers' }}
            </button>
          </p>
          <p v-else-if="power.tripping.length === 0">No breaker trips when these jobs run together.</p>
          <ul v-else>
            <li v-for="(one, index) in power.tripping" :key="index">
              {{ one.node.name }} trips {{ words.when(one.startMin) }} to {{ words.clock(one.endMin) }}:
              {{ one.jobNames.join(' and ') }} together.
            </li>
          </ul>
          <p v-if="power?.apart">
            <button
              class="plain-button"
              @click="
                power?.apart &&
                plan.keep(
                  power.apart.blocks.map((one) => keptBlock(one)),
                  'Kept apart',
                )
              "
            >
              Move them apart, at no cost
            </button>
          </p>
          <p v-else-if="power && power.tripping.length > 0" class="quiet">
            Moving them apart costs time. Look at Power for a larger circuit.
          </p>
        </section>
      </div>
      <DayPrint :blocks="plan.blocks.value" :rows="rows" :row-of="rowOf" :from-min="plan.nowMin.value" />
    </template>
  </section>
</template>

<style scoped>
.week {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 20px;
}
.end {
  display: flex;
  gap: 8px;
  margin-left: auto;
}
.none,
.panel,
.search {
  padding: 12px 16px;
}
.search {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
}
.scroll {
  overflow-x: auto;
  padding: 8px 12px;
  position: relative;
}
.bad {
  color: var(--fails);
}
.below {
  align-items: start;
  display: grid;
  gap: 10px;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 320px), 1fr));
}
.panel {
  display: grid;
  gap: 8px;
}
ul {
  display: grid;
  gap: 8px;
}
li {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
}
a:not(.plain-button) {
  color: inherit;
}
</style>
