<script setup lang="ts">
import {
  arcText,
  type Cause,
  isSameSettings,
  type Move,
  savedAs,
  OUTCOMES,
  type SettingKey,
  signText,
  type WeldOutcome,
  type WeldRecord,
  type WeldSettings,
} from '@brannik/core'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, toRaw } from 'vue'
import QuantityField from '../../components/QuantityField.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { OUTCOME_WORDS, settingsText } from '../log/logWords.ts'
import RecordDialog from '../log/RecordDialog.vue'
import WeldHistory from '../log/WeldHistory.vue'
import { useWeldRows } from '../log/useWeldRows.ts'
import BeadPictures from './BeadPictures.vue'
import KnobRow from './KnobRow.vue'
import NextChange from './NextChange.vue'
import OwnStart from './OwnStart.vue'
import TravelTimer from './TravelTimer.vue'

/** Dialling in at the machine, with gloves on: settings by one press, signs, one next change, and what came of it. */
const { jobId, setUpId, weldId, firstSign } = defineProps<{
  jobId: string
  setUpId: string
  weldId: string
  /** The sign that was pressed on the card; empty for none. */
  firstSign: string
}>()
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const joint = computed(() => workspace.get('jobs', jobId)?.joints.find(({ id }) => id === weldId) ?? null)

interface Draft {
  readonly settings: WeldSettings | null
  readonly sign: string | null
  readonly ruledOut: readonly Cause[]
  readonly cause: Cause | null
}
const EMPTY: Draft = { settings: null, sign: null, ruledOut: [], cause: null }
/** A reload at the machine loses nothing. */
const drafts = useLocalStorage<Record<string, Draft>>('brannik.trials', {})
const key = computed(() => `${jobId}.${weldId}.${setUpId}`)
const draft = computed({
  get: (): Draft => drafts.value[key.value] ?? EMPTY,
  set: (now: Draft) => (drafts.value = { ...drafts.value, [key.value]: now }),
})
const change = (part: Partial<Draft>): void => void (draft.value = { ...draft.value, ...part })
// The address still names the sign after a reload: what was ruled out stays.
if (firstSign !== '' && draft.value.sign !== firstSign) change({ sign: firstSign, ruledOut: [], cause: null })

const log = useWeldRows(
  computed(() => jobId),
  computed(() => weldId),
)
const saved = computed(() => log.savedWith(setUpId))
/** What was turned here, else what was saved for the card, else the chart. */
const settings = computed(() => draft.value.settings ?? saved.value?.body.settings ?? null)

const { answer, failure } = useAnswer<'trial'>(
  computed((): Question<'trial'> => {
    const { sign, ruledOut } = draft.value
    const state = { settings: settings.value && { ...settings.value }, sign, ruledOut: [...ruledOut] }
    return ['trial', jobId, setUpId, weldId, state]
  }),
)
const trial = computed(() => answer.value?.trial ?? null)
const isMoved = computed(
  () =>
    trial.value !== null &&
    !isSameSettings(trial.value.settings, saved.value?.body.settings ?? trial.value.chart),
)

function set(key: SettingKey, value: number): void {
  if (trial.value) change({ settings: { ...trial.value.settings, [key]: value } })
}
function take(now: WeldSettings): void {
  change({ settings: { ...now } })
  notice.show(`Set here: ${settingsText(now, workspace.notation)}`)
}
function turn({ key: setting, to }: Move): void {
  set(setting, to)
}
function choose(sign: string): void {
  change({ sign, ruledOut: [], cause: null })
}
function ruleOut(): void {
  const cause = trial.value?.advice?.next?.cause
  if (cause) change({ ruledOut: [...draft.value.ruledOut, cause], cause: null })
}

const outcome = ref<WeldOutcome | null>(null)
const beadWidthMm = ref<number | null>(null)
const legMm = ref<number | null>(null)
const isWriting = ref(false)

function bodyOf(part: Partial<WeldRecord>): WeldRecord | null {
  if (!answer.value || !trial.value) return null
  return {
    ...structuredClone(toRaw(answer.value.record)),
    settings: { ...trial.value.settings },
    chart: { ...trial.value.chart },
    weldedAt: new Date().toISOString(),
    welder: session.me?.who ?? null,
    setUpVersion: workspace.versionOf('set-ups', setUpId) || null,
    ...part,
  }
}
function recordTry(): void {
  const { sign, cause } = draft.value
  const body = bodyOf({
    state: 'tried',
    sign,
    cause,
    outcome: outcome.value,
    beadWidthMm: beadWidthMm.value,
    legMm: legMm.value,
  })
  if (!body) return
  log.record(body)
  notice.show('This try is in the log')
  outcome.value = null
  change({ sign: null, ruledOut: [], cause: null })
}
function save(now: WeldSettings): void {
  const body = bodyOf({})
  if (!body) return
  log.record(savedAs(body, now))
  change({ settings: null })
  notice.show('Saved for the card. The settings before stay in the log.')
}
function useOwn(own: WeldSettings): void {
  save(own)
}
const start = computed(() => {
  const body = bodyOf({ state: 'done', outcome: outcome.value })
  return body
})
</script>

<template>
  <section class="sheet trial" aria-label="Dial in">
    <p v-if="failure" role="alert">This weld cannot be calculated. {{ failure }}</p>
    <p v-else-if="!trial || !answer">Calculating…</p>
    <template v-else>
      <OwnStart :record="answer.record" :chart="trial.chart" @use="useOwn" />
      <div class="knobs">
        <KnobRow
          v-for="knob in trial.knobs"
          :key="knob.key"
          :knob="knob"
          :chart="trial.chart[knob.key]"
          @set="(value) => set(knob.key, value)"
        />
      </div>
      <p class="arc" :class="{ off: trial.arc && trial.arc.state !== 'runs' }" aria-live="polite">
        <template v-if="trial.arc">{{ arcText(workspace.speech, trial.arc) }} </template>
        About {{ Math.round(trial.currentA) }} A. This weld needs at least
        {{ Math.round(trial.leastA) }} A<template v-if="trial.mostA !== null"
          >, at most {{ Math.round(trial.mostA) }} A</template
        >.
      </p>
      <p class="acts">
        <button class="plain-button" :disabled="!isMoved || !session.mayRecord" @click="save(trial.settings)">
          Save for the card
        </button>
        <button class="plain-button" :disabled="draft.settings === null" @click="change({ settings: null })">
          {{ saved ? 'Back to what is saved' : 'Back to the chart' }}
        </button>
        <button v-if="saved" class="plain-button" @click="take(trial.chart)">Use the chart</button>
      </p>
      <section>
        <h2>What do you see or hear?</h2>
        <NextChange
          v-if="draft.sign !== null && trial.advice"
          :advice="trial.advice"
          :sign="draft.sign"
          :can-go-back="draft.ruledOut.length > 0"
          @ruled-out="ruleOut"
          @found="change({ cause: trial.advice?.next?.cause ?? null })"
          @set="turn"
          @back="change({ ruledOut: draft.ruledOut.slice(0, -1), cause: null })"
          @close="change({ sign: null, ruledOut: [], cause: null })"
        />
        <ul v-else class="signs">
          <li v-for="sign in trial.signs" :key="sign">
            <button class="plain-button" @click="choose(sign)">{{ signText(workspace.speech, sign) }}</button>
          </li>
        </ul>
      </section>
      <section class="verdict">
        <h2>How is the bead?</h2>
        <BeadPictures v-if="joint" :joint="joint" />
        <p class="acts" role="group" aria-label="Verdict">
          <button
            v-for="one in OUTCOMES"
            :key="one"
            class="plain-button"
            :class="{ main: outcome === one }"
            :aria-pressed="outcome === one"
            @click="outcome = outcome === one ? null : one"
          >
            {{ OUTCOME_WORDS[one] }}
          </button>
        </p>
        <div class="sizes">
          <QuantityField v-model="beadWidthMm" kind="weldSize" label="Bead width" optional="not measured" />
          <QuantityField v-model="legMm" kind="weldSize" label="Leg" optional="not measured" />
        </div>
        <TravelTimer
          :chart-mm-per-min="trial.chart.travelMmPerMin"
          :job-id="jobId"
          :weld-id="weldId"
          @read="(value) => set('travelMmPerMin', value)"
        />
        <p class="acts">
          <button class="plain-button main" :disabled="!session.mayRecord" @click="recordTry">
            Record this try
          </button>
          <button class="plain-button" :disabled="!session.mayRecord" @click="isWriting = true">
            Record weld done
          </button>
        </p>
        <p v-if="log.unsentCount.value > 0" class="label">
          {{ log.unsentCount.value }} not sent yet. It is kept in this browser.
        </p>
      </section>
      <WeldHistory :rows="log.rows.value" @use="take" />
      <RecordDialog v-model="isWriting" title="Weld done" :start="start" @save="log.record" />
    </template>
  </section>
</template>

<style scoped>
.trial {
  display: grid;
  gap: 14px;
  margin: 0 auto;
  max-width: 760px;
  padding: 16px 18px;
  width: 100%;
}
.knobs {
  display: grid;
  gap: 8px;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 300px), 1fr));
}
.arc {
  border-left: 3px solid var(--fits);
  padding: 2px 12px;
}
.arc.off {
  border-left-color: var(--tight);
}
h2 {
  font-size: var(--text-m);
  margin-bottom: 6px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.acts button,
.signs button {
  min-height: 48px;
}
.signs {
  display: grid;
  gap: 8px;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
}
.signs button {
  text-align: left;
  width: 100%;
}
.signs button::first-letter {
  text-transform: uppercase;
}
.verdict {
  display: grid;
  gap: 8px;
}
.sizes {
  display: grid;
  gap: 10px;
  grid-template-columns: 1fr 1fr;
}
</style>
