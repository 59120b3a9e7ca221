<script setup lang="ts">
import {
  ASSUMPTIONS,
  type LessonKind,
  type MachineRecord,
  type MovedJob,
  minutesKeyOf,
  settledOf,
  type SettledAt,
  type Wear,
  type WearPart,
  wearSubject,
} from '@brannik/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { byName } from '../../byName.ts'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { reasonOf } from '../../reason.ts'
import { eventsOf, newestRows, type WeldRow } from '../../shop/eventList.ts'
import { happenings } from '../../shop/happenings.ts'
import { newestLook } from '../../shop/newest.ts'
import { useOutbox } from '../../shop/outbox.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWhen } from '../../stores/useWhen.ts'
import ShopHead from '../shop/ShopHead.vue'
import { type TimedStep, useMedians } from './useMedians.ts'
import { forgetRecords, machineRecords } from './useWear.ts'
import { PART_WORDS, wearText } from './wearWords.ts'

/** What the shop's own record teaches, each with its evidence, to be taken or left; and which parts are worn. */
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const when = useWhen()
const { print, number } = usePrint()
const mayTake = computed(() => session.mayWrite('shop'))

/** Older welds teach no more. */
const MOST = 2000
const rows = shallowRef<readonly WeldRow[]>([])
const settled = shallowRef<ReadonlyMap<string, SettledAt>>(new Map())
const records = shallowRef<readonly MachineRecord[]>([])
const failure = ref('')
const isLoaded = ref(false)

const newest = newestLook()
async function learn(): Promise<void> {
  try {
    const answer = await newest(() =>
      Promise.all([newestRows({}, MOST), eventsOf('lesson-settled'), machineRecords()]),
    )
    if (!answer) return
    const [found, decided, worn] = answer
    rows.value = found
    settled.value = settledOf(decided)
    records.value = worn
    failure.value = ''
  } catch (error) {
    failure.value = reasonOf(error)
  } finally {
    isLoaded.value = true
  }
}
watch(happenings, () => void learn(), { immediate: true })
const outbox = useOutbox(() => {
  forgetRecords()
  void learn()
})

const taken = computed(() =>
  Object.fromEntries(
    [...settled.value].flatMap(([key, one]) => (one.choice === 'taken' ? [[key, one.at]] : [])),
  ),
)
const { answer: taught } = useAnswer<'taught'>(
  computed((): Question<'taught'> | null =>
    rows.value.length === 0 ? null : ['taught', rows.value.map(({ body }) => ({ body })), taken.value],
  ),
)
const processWord = (process: string): string =>
  workspace.speech.language.vocabulary['process']?.[process] ?? process

const TITLES: Readonly<Record<LessonKind, string>> = {
  time: 'Time beside the arc',
  wire: 'Wire used',
  gas: 'Gas used',
}
/** `24 % more than planned` */
function offText(ratio: number): string {
  const pct = Math.round(Math.abs(ratio - 1) * 100)
  return pct === 0 ? 'as planned' : `${pct} % ${ratio > 1 ? 'more' : 'less'} than planned`
}
const times = (count: number): string => `${count} ${count === 1 ? 'time' : 'times'}`
const isLeft = (key: string, n: number): boolean => {
  const found = settled.value.get(key)
  return found?.choice === 'left' && found.evidence >= n
}
const lessons = computed(() =>
  (taught.value?.lessons ?? []).map((one) => {
    const taking = one.takes
    const definition = taking && ASSUMPTIONS[taking.assumption]
    const now = taking && (workspace.shop?.assumptions[taking.assumption] ?? definition?.default ?? null)
    return {
      ...one,
      title: `${TITLES[one.kind]}, ${processWord(one.process)}`,
      said: `${offText(one.ratio)}, from ${one.n} ${one.n === 1 ? 'weld' : 'welds'}${one.wild > 0 ? `, ${one.wild} far off left out` : ''}`,
      takes: taking,
      sets:
        taking && definition && now !== null
          ? `${definition.name}: ${number(now, 3)} → ${number(taking.value, 3)} ${definition.unit}`
          : '',
      left: isLeft(one.key, one.n),
    }
  }),
)
/** What a lesson moves in a job: its hours, its filler or its gas, and the verdict where that changes. */
function movedText(kind: LessonKind, { before, after }: MovedJob): string {
  const of = {
    time: [before.workH, after.workH, (value: number) => `${number(value, 3)} h`],
    wire: [before.fillerG, after.fillerG, (value: number) => print(value, 'g')],
    gas: [before.gasL, after.gasL, (value: number) => print(value, 'L')],
  } as const
  const [was, is, say] = of[kind]
  const figures = was === null || is === null ? '' : `${say(was)} → ${say(is)}`
  return [before.verdict === after.verdict ? '' : `${before.verdict} → ${after.verdict}`, figures]
    .filter(Boolean)
    .join(', ')
}
function settle(key: string, evidence: number, choice: 'taken' | 'left', value: number | null): void {
  outbox.record({ type: 'lesson-settled', subject: `lesson.${key}`, body: { choice, evidence, value } })
}
function take(one: (typeof lessons.value)[number]): void {
  const { shop } = workspace
  if (!shop || !one.takes) return
  const { assumption, value } = one.takes
  const next = { ...shop, assumptions: { ...shop.assumptions, [assumption]: value } }
  if (!workspace.edit('shop', shop.id, next, ASSUMPTIONS[assumption].name)) return
  settle(one.key, one.n, 'taken', value)
  notice.show(
    `${ASSUMPTIONS[assumption].name} is ${number(value, 3)} ${ASSUMPTIONS[assumption].unit} now`,
    true,
  )
}

const medians = useMedians()
/** For every machine; on the machine that was timed its own timings count already. */
function takeMinutes({ step, median, title }: TimedStep): void {
  const { shop } = workspace
  if (!shop) return
  const assumptions = { ...shop.assumptions, [minutesKeyOf(step)]: Number(median.toPrecision(2)) }
  if (workspace.edit('shop', shop.id, { ...shop, assumptions }, title))
    notice.show(`${title}: ${number(median, 2)} min on every machine now`, true)
}
/** Timings of an odd day count no more. */
function forgetMinutes({ step, title }: TimedStep): void {
  for (const present of workspace.all('present-set-ups')) {
    const timings = present.timings.filter((one) => one.step !== step)
    if (timings.length < present.timings.length)
      workspace.edit('present-set-ups', present.id, { ...present, timings }, `timings of ${title}`)
  }
  notice.show(`${title} is as planned again`, true)
}
const circuitName = (id: string): string => workspace.get('circuits', id)?.name ?? id
const sourceName = (id: string | null): string =>
  id === null ? 'no machine' : (workspace.get('power-sources', id)?.name ?? id)

const machines = computed(() =>
  records.value
    .filter(({ wear }) => wear.length > 0)
    .map(({ sourceId, wear }) => ({ id: sourceId, name: sourceName(sourceId), wear }))
    .toSorted(byName),
)
const STATES: Readonly<Record<Wear['state'], string>> = { good: 'good', soon: 'due soon', due: 'due' }
function replaced(sourceId: string, part: WearPart): void {
  outbox.record({
    type: 'part-replaced',
    subject: wearSubject(sourceId),
    body: { part, replacedAt: new Date().toISOString(), note: '' },
  })
  notice.show(`${PART_WORDS[part]} counts from now on`)
}
const toOrder = computed(() =>
  machines.value.flatMap(({ name, wear }) =>
    wear.filter(({ state }) => state !== 'good').map(({ part }) => `${PART_WORDS[part]} for ${name}`),
  ),
)
</script>

<template>
  <section class="learned">
    <ShopHead />
    <p v-if="failure" class="problem" role="alert">The log cannot be read: {{ failure }}.</p>
    <p v-else-if="isLoaded && rows.length === 0" class="sheet none">
      Nothing is recorded yet. Record welds on the card or in a job’s log. What they teach is shown here.
    </p>
    <template v-else-if="rows.length > 0">
      <section class="sheet part" aria-label="Against the plan">
        <h2>Against the plan</h2>
        <p class="quiet">
          Nothing changes until you take it. Few welds count less, figures far off are left out.
        </p>
        <p v-if="lessons.length === 0" class="quiet">
          No weld has time, spool or cylinder readings since the last figure was taken.
        </p>
        <ul>
          <li v-for="one in lessons" :key="one.key" :class="{ left: one.left }">
            <div>
              <strong>{{ one.title }}</strong>
              <p>{{ one.said }}</p>
              <p v-if="one.sets" class="quiet">{{ one.sets }}</p>
              <p v-if="one.moves.length > 0" class="quiet">
                <template v-for="(moved, index) in one.moves" :key="moved.jobId"
                  ><template v-if="index > 0"> · </template>{{ moved.name }}
                  {{ movedText(one.kind, moved) }}</template
                >
              </p>
              <p v-if="one.left" class="label">left as it is</p>
            </div>
            <p class="acts">
              <button class="plain-button" :disabled="!mayTake || !one.takes" @click="take(one)">
                Take it
              </button>
              <button
                v-if="!one.left"
                class="plain-button"
                :disabled="!mayTake"
                @click="settle(one.key, one.n, 'left', null)"
              >
                Leave it
              </button>
            </p>
          </li>
        </ul>
      </section>
      <div class="two">
        <section class="sheet part" aria-label="Wearing parts">
          <h2>Wearing parts</h2>
          <p v-if="toOrder.length > 0" class="order"><strong>To order:</strong> {{ toOrder.join(', ') }}</p>
          <template v-for="machine in machines" :key="machine.id">
            <h3>{{ machine.name }}</h3>
            <ul>
              <li v-for="wear in machine.wear" :key="wear.part">
                <div>
                  <strong :class="wear.state">{{ PART_WORDS[wear.part] }}: {{ STATES[wear.state] }}</strong>
                  <p>{{ wearText(wear, print, number) }}</p>
                  <p class="label">
                    {{ wear.since === null ? 'no change recorded' : `changed ${when(wear.since, 'day')}` }}
                  </p>
                </div>
                <button
                  class="plain-button"
                  :disabled="!session.mayRecord"
                  @click="replaced(machine.id, wear.part)"
                >
                  Changed now
                </button>
              </li>
            </ul>
          </template>
        </section>
        <div class="column">
          <section class="sheet part" aria-label="Operating factor">
            <h2>Operating factor</h2>
            <p class="quiet">For information. By process it is taken above, as time beside the arc.</p>
            <p v-if="(taught?.operating.length ?? 0) === 0" class="quiet">
              No weld has arc time and minutes yet.
            </p>
            <table v-else class="ruled">
              <thead>
                <tr>
                  <th scope="col">Process</th>
                  <th scope="col">Welder</th>
                  <th scope="col" class="number">Arc</th>
                  <th scope="col" class="number">Welds</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="one in taught?.operating" :key="`${one.process} ${one.welder}`">
                  <td>{{ processWord(one.process) }}</td>
                  <td>{{ one.welder }}</td>
                  <td class="number">{{ Math.round(one.arcPct) }} %</td>
                  <td class="number">{{ one.n }}</td>
                </tr>
              </tbody>
            </table>
          </section>
          <section class="sheet part" aria-label="Breakers">
            <h2>Breakers</h2>
            <p v-if="(taught?.breakers.length ?? 0) === 0" class="quiet">
              No weld says whether its breaker held.
            </p>
            <ul v-else>
              <li v-for="one in taught?.breakers" :key="one.key">
                <div>
                  <strong :class="{ due: one.tripped > 0 }">{{ circuitName(one.circuitId) }}</strong>
                  <p>
                    {{ sourceName(one.sourceId) }}: held {{ times(one.held) }}, tripped
                    {{ times(one.tripped) }}
                  </p>
                  <p v-if="one.trippedAt" class="label">last on {{ when(one.trippedAt, 'day') }}</p>
                </div>
                <button
                  v-if="one.tripped > 0 && !isLeft(one.key, one.tripped)"
                  class="plain-button"
                  :disabled="!mayTake"
                  @click="settle(one.key, one.tripped, 'left', null)"
                >
                  Leave it off the cards
                </button>
                <span v-else-if="one.tripped > 0" class="label">not on the cards</span>
              </li>
            </ul>
          </section>
          <section class="sheet part" aria-label="Changeover">
            <h2>Changeover minutes</h2>
            <p v-if="medians.length === 0" class="quiet">No step of a changeover has been timed yet.</p>
            <ul v-else>
              <li v-for="one in medians" :key="one.step">
                <p>
                  <strong>{{ one.title }}</strong> {{ number(one.median, 2) }} min, from {{ one.n }}. Planned
                  {{ number(one.planned, 2) }} min.
                </p>
                <p class="acts">
                  <button class="plain-button" :disabled="!mayTake" @click="takeMinutes(one)">Take it</button>
                  <button class="plain-button" :disabled="!mayTake" @click="forgetMinutes(one)">
                    Leave it
                  </button>
                </p>
              </li>
            </ul>
          </section>
        </div>
      </div>
    </template>
  </section>
</template>

<style scoped>
.learned {
  display: grid;
  gap: 12px;
  padding: 14px 20px;
}
.none,
.part {
  padding: 14px 18px;
}
h2 {
  font-size: var(--text-l);
}
h3 {
  font-size: var(--text-m);
  margin-top: 10px;
}
.two {
  align-items: start;
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
}
.column {
  display: grid;
  gap: 12px;
}
li {
  align-items: center;
  border-top: 1px solid var(--line);
  display: flex;
  gap: 12px;
  justify-content: space-between;
  padding: 8px 0;
}
li.left {
  color: var(--ink-2);
}
.acts {
  display: flex;
  flex: none;
  gap: 8px;
}
.due {
  color: var(--fails);
}
.soon {
  color: var(--tight);
}
.order {
  border-left: 3px solid var(--copper);
  margin: 6px 0;
  padding: 2px 10px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  li {
    flex-wrap: wrap;
  }
}
@media (pointer: coarse) {
  li .plain-button {
    align-content: center;
    min-height: 44px;
  }
}
</style>
