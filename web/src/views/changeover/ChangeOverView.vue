<script setup lang="ts">
import {
  careOf,
  type ChangeStep,
  changeStepText,
  handOverText,
  hazardText,
  otherWayText,
  toolText,
  trapText,
} from '@brannik/core'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ChoiceField from '../../components/ChoiceField.vue'
import PlaceHead from '../../components/PlaceHead.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useSession } from '../../shop/session.ts'
import { useTicks } from '../../shop/ticks.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useSetUpTabs } from '../setups/setUpTabs.ts'
import LoosePlaces from './LoosePlaces.vue'
import QuickerPanel from './QuickerPanel.vue'
import { usePresent } from './usePresent.ts'

/** From what is on a machine to the next set-up: the steps, ticked off with a clock, interrupted and resumed. */
const route = useRoute()
const router = useRouter()
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const money = useMoney()
const { print, number } = usePrint()
const { presentOn, put } = usePresent()
const tabs = useSetUpTabs()

const setUp = computed(() => {
  const named = String(route.params['id'] ?? '')
  return workspace.get('set-ups', named) ?? workspace.setUps[0] ?? null
})
const source = computed(() => setUp.value && workspace.get('power-sources', setUp.value.powerSourceId))
const present = computed(() => setUp.value && presentOn(setUp.value.powerSourceId))
/** Empty: from what is on the machine now. */
const fromId = ref<string | null>(null)
watch(
  () => setUp.value?.powerSourceId,
  () => (fromId.value = null),
)

const { answer } = useAnswer<'changeover'>(
  computed((): Question<'changeover'> | null => setUp.value && ['changeover', setUp.value.id, fromId.value]),
)
const steps = computed(() => answer.value?.changeover.steps ?? [])
function hazardOf(code: ChangeStep['code']): string | null {
  const { hazard } = careOf(code)
  return hazard ? hazardText(workspace.speech, hazard) : null
}
const shown = computed(() =>
  steps.value.map((step) => ({
    step,
    text: changeStepText(workspace.speech, step),
    traps: step.traps.map((trap) => trapText(workspace.speech, trap)),
    hazard: hazardOf(step.code),
    otherWay: otherWayText(workspace.speech, step),
  })),
)
const tools = computed(() => [
  ...new Set(
    steps.value.flatMap(({ code }) =>
      (careOf(code).tools ?? []).map((tool) => toolText(workspace.speech, tool)),
    ),
  ),
])
/** Half minutes as they are said; from ten on whole ones. */
const minutes = (value: number): string =>
  value < 0.95
    ? `${Math.round(value * 60)} s`
    : `${number(value < 10 ? Math.round(value * 2) / 2 : Math.round(value), 2)} min`
const uses = computed(() => {
  const { changeover: found, cost = null } = answer.value ?? {}
  if (!found || (found.waste.wireMm === 0 && found.waste.gasL === 0)) return ''
  const parts = [
    found.waste.wireMm > 0 && `${print(found.waste.wireMm, 'mm length')} of wire`,
    found.waste.gasL > 0 && `${print(Number(found.waste.gasL.toPrecision(2)), 'L')} of gas`,
  ].filter(Boolean)
  return `Uses up ${parts.join(' and ')}${cost === null ? '' : `, ${money(Math.round(cost * 100) / 100)}`}.`
})

const ticks = useTicks(computed(() => `change.${setUp.value?.powerSourceId ?? 'none'}`))
const run = computed(() => (ticks.run.value && !ticks.run.value.isOver ? ticks.run.value : null))
const isUnderWay = computed(() => run.value !== null && run.value.to === setUp.value?.id)
const other = computed(() =>
  run.value && !isUnderWay.value ? (workspace.get('set-ups', run.value.to) ?? null) : null,
)
const isDone = (code: string): boolean => isUnderWay.value && (run.value?.done.has(code) ?? false)
const doneCount = computed(() => steps.value.filter(({ code }) => isDone(code)).length)
const next = computed(() => steps.value.find(({ code }) => !isDone(code))?.code ?? null)

/** Of the clock, s: what was worked up to the last press, and since then where it runs. */
const now = ref(Date.now())
useIntervalFn(() => (now.value = Date.now()), 1000)
const clock = computed(() => {
  if (!run.value) return ''
  const since = run.value.isPaused ? 0 : Math.max(0, now.value - Date.parse(run.value.lastAt))
  const seconds = Math.floor((run.value.workedMs + since) / 1000)
  return `${Math.floor(seconds / 60)}:${`${seconds % 60}`.padStart(2, '0')}`
})

function start(): void {
  fromId.value = null
  ticks.press('begin', '', setUp.value?.id ?? '')
}
function tick(code: string): void {
  if (!isUnderWay.value) start()
  ticks.press(isDone(code) ? 'untick' : 'tick', code)
}
function finish(): void {
  if (!setUp.value) return
  put(setUp.value, steps.value, run.value)
  ticks.press('finish')
  notice.show(`${setUp.value.name} is on ${source.value?.name ?? 'the machine'} now`, true)
}
/** It was changed without this list. */
function say(): void {
  if (!setUp.value) return
  put(setUp.value, steps.value, null)
  notice.show(`${setUp.value.name} is on ${source.value?.name ?? 'the machine'} now`, true)
}
const choices = computed(() =>
  workspace.setUps.map(({ id, name, powerSourceId }) => ({
    id,
    name,
    note: workspace.get('power-sources', powerSourceId)?.name ?? '',
  })),
)
const froms = computed(() => [
  { id: '', name: present.value ? `On it now: ${present.value.name}` : 'On it now: not recorded' },
  ...choices.value.filter(({ id }) => id !== setUp.value?.id),
])
const choose = (id: string | null): void => {
  if (id) void router.replace({ name: 'change-over', params: { id } })
}
</script>

<template>
  <div class="change">
    <PlaceHead title="Set-ups" :tabs="tabs" />
    <p v-if="!setUp" class="sheet empty">No set-up yet. Add one under Parts.</p>
    <template v-else>
      <div class="pick">
        <label class="to"
          ><span class="label">To</span>
          <ChoiceField bare label="To" :items="choices" :model-value="setUp.id" @update:model-value="choose"
        /></label>
        <label class="from"
          ><span class="label">From</span>
          <ChoiceField
            bare
            label="From"
            :items="froms"
            :model-value="fromId ?? ''"
            @update:model-value="(id) => (fromId = id ? id : null)"
        /></label>
      </div>
      <div class="body">
        <section class="sheet steps" aria-label="Steps of the changeover">
          <header>
            <h2>
              <template v-if="steps.length === 0 && answer">Nothing to change</template>
              <template v-else>Change over to {{ setUp.name }}</template>
            </h2>
            <p v-if="steps.length > 0" class="sum" role="status">
              {{ isUnderWay ? `${doneCount} of ${steps.length}` : `${steps.length} steps` }} ·
              {{ minutes(answer?.changeover.minutes ?? 0) }}
            </p>
          </header>
          <p v-if="other" class="note">
            A changeover to
            <RouterLink :to="{ name: 'change-over', params: { id: other.id } }">{{ other.name }}</RouterLink>
            is under way on {{ source?.name }}.
            <button class="plain-button" @click="ticks.press('leave')">Stop that one</button>
          </p>
          <p v-else-if="steps.length === 0 && answer" class="note">
            {{ setUp.name }} is on {{ source?.name }} now.
          </p>
          <div v-if="steps.length > 0 && !other" class="run">
            <template v-if="isUnderWay">
              <span class="clock" role="timer" aria-label="Time so far">{{ clock }}</span>
              <button v-if="run?.isPaused" class="plain-button main" @click="ticks.press('resume')">
                Resume
              </button>
              <button v-else class="plain-button" @click="ticks.press('pause')">Pause</button>
              <button class="plain-button" :class="{ main: doneCount === steps.length }" @click="finish">
                Finish
              </button>
              <button class="plain-button" @click="ticks.press('leave')">Stop</button>
            </template>
            <template v-else-if="fromId === null">
              <button class="plain-button main" :disabled="!session.mayRecord" @click="start">Start</button>
              <button class="plain-button" :disabled="!session.mayRecord" @click="say">
                It is on the machine already
              </button>
            </template>
            <span v-if="ticks.unsent.value > 0" class="label">{{ ticks.unsent.value }} not sent yet</span>
          </div>
          <ol>
            <li
              v-for="{ step, text, traps, hazard, otherWay } in shown"
              :key="step.code"
              :class="{ done: isDone(step.code), next: isUnderWay && next === step.code }"
            >
              <label>
                <input
                  type="checkbox"
                  :checked="isDone(step.code)"
                  :disabled="!session.mayRecord || fromId !== null || other !== null"
                  @change="tick(step.code)"
                />
                <span class="text">
                  <span class="what" :class="{ key: step.code === 'polarity' }">{{ text }}</span>
                  <span v-if="hazard" class="hazard">{{ hazard }}</span>
                  <span v-for="trap in traps" :key="trap" class="trap">{{ trap }}</span>
                  <span v-if="otherWay" class="other">{{ otherWay }}</span>
                </span>
                <span class="minutes"
                  >{{ minutes(step.minutes) }}<span v-if="step.timed > 0" class="label"> own</span></span
                >
              </label>
            </li>
          </ol>
          <p v-if="uses" class="uses">{{ uses }}</p>
        </section>
        <div class="beside">
          <section class="sheet aside" aria-label="On the machine now">
            <h2>On {{ source?.name }} now</h2>
            <p v-if="present">
              <strong>{{ present.name }}</strong>
            </p>
            <p v-else>Not recorded. Until then every part counts as one to put on.</p>
          </section>
          <section v-if="tools.length > 0" class="sheet aside" aria-label="Tools">
            <h2>Tools</h2>
            <p>{{ tools.join(', ') }}</p>
          </section>
          <LoosePlaces :set-up="setUp" />
          <section v-if="answer" class="sheet aside" aria-label="Hand over">
            <h2>Leave it like this</h2>
            <ul>
              <li v-for="code in answer.handOver" :key="code">{{ handOverText(workspace.speech, code) }}</li>
            </ul>
          </section>
          <QuickerPanel />
          <p class="label">
            Minutes are common practice until you have timed your own. The order of steps is a rule: unplug
            first, polarity before power, gas before the arc.
          </p>
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.change {
  display: grid;
  gap: 10px;
  padding: 14px 20px;
}
a {
  color: inherit;
}
.pick {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
}
.pick label {
  align-items: center;
  display: flex;
  gap: 8px;
  min-width: min(100%, 280px);
}
.pick :deep(.v-input) {
  min-width: 220px;
}
.body {
  align-items: start;
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr) minmax(260px, 340px);
}
.beside {
  display: grid;
  gap: 10px;
}
.steps,
.aside,
.empty {
  padding: 12px 16px;
}
.aside p,
.aside ul {
  margin-top: 4px;
}
.steps header {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  justify-content: space-between;
}
.steps h2 {
  font-size: var(--text-l);
}
.run {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0;
}
.clock {
  font-size: var(--text-xl);
  font-weight: 700;
  min-width: 4ch;
}
.note {
  margin: 8px 0;
}
li label {
  align-items: start;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
  display: grid;
  gap: 12px;
  grid-template-columns: 22px minmax(0, 1fr) auto;
  padding: 9px 0;
}
li input {
  height: 18px;
  margin: 2px 0 0;
  width: 18px;
}
.text {
  display: grid;
  gap: 2px;
}
.key,
.next .what {
  font-weight: 700;
}
.next label {
  border-left: 3px solid var(--copper);
  margin-left: -12px;
  padding-left: 9px;
}
.done .what {
  color: var(--ink-2);
  text-decoration: line-through;
}
.hazard,
.trap {
  color: var(--fails);
  font-size: var(--text-s);
}
.other {
  color: var(--ink-2);
  font-size: var(--text-s);
}
.minutes {
  color: var(--ink-2);
  white-space: nowrap;
}
.uses {
  margin-top: 10px;
}
.aside ul li {
  padding: 2px 0;
}
@media (max-width: 900px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
}
/* With gloves: the whole row is the target. */
@media (pointer: coarse) {
  li label {
    min-height: 56px;
    padding: 14px 0 14px 12px;
  }
  li input {
    height: 26px;
    width: 26px;
  }
  li label {
    grid-template-columns: 34px minmax(0, 1fr) auto;
  }
}
</style>
