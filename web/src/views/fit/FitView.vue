<script setup lang="ts">
import {
  OF_SUPPLY,
  jointName,
  jointText,
  type LinkId,
  linkText,
  linkTitle,
  pathOfSlot,
  PROCESSES,
  rowsOf,
  slotKey,
  SLOTS,
  slotText,
  type OutcomeFigure,
  type SettingsTried,
  type StartFigure,
  type Step,
  type Suggestion,
} from '@brannik/core'
import { useTimeoutFn } from '@vueuse/core'
import { computed, provide, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import PlaceTabs from '../../components/PlaceTabs.vue'
import ChainChart from '../../charts/ChainChart.vue'
import ChoiceField from '../../components/ChoiceField.vue'
import { ANSWER_STANDS } from '../../components/choiceLists.ts'
import type { Opened } from '../../components/opened.ts'
import type { Asked } from '../../engine/questions/explain.ts'
import { useAnswer, type Question } from '../../engine/useAnswer.ts'
import { late, lazily } from '../../lazy.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useJobTabs } from '../jobs/jobTabs.ts'
import FitInputs from './FitInputs.vue'
import AnswerPanel from './AnswerPanel.vue'
import CautionStrip from './CautionStrip.vue'
import FindingsTable from './FindingsTable.vue'
import StartStrip from './StartStrip.vue'
import { START_TITLES } from './settingWords.ts'
import { useFit } from './useFit.ts'
import { jobWords, jointWords, processWords } from './words.ts'

/** Fetched when somebody points or tabs at something: nothing can be opened before. */
const WorkingDrawer = lazily(() => import('../../components/WorkingDrawer.vue'))
const canOpen = ref(false)
/** The decision comes first: what opens a list is fetched once it stands. */
const { there: otherJobs, fetch: fetchOtherJobs } = late(() => import('./OtherJobs.vue'))
/** Where something is not recorded. */
const SettleList = lazily(() => import('./SettleList.vue'))
/** Opened now and then. */
const SettingsPanel = lazily(() => import('./SettingsPanel.vue'))
/** A job is without one for a moment. */
const RankedSetUps = lazily(() => import('./RankedSetUps.vue'))
/** Most jobs have one weld. */
const WeldTabs = lazily(() => import('./WeldTabs.vue'))

/** The tab Fit of a job: the job with one set-up, from the panel to the joint. */
const route = useRoute()
const workspace = useWorkspace()
const { print } = usePrint()

const A_FRAME_MS = 20
const jobId = computed(() => String(route.params['jobId'] ?? ''))
const tabs = useJobTabs(() => jobId.value)
watch(jobId, () => (openKey.value = null), { flush: 'post' })

const {
  job,
  setUp,
  parts,
  fit,
  failure,
  chain,
  joint,
  jointId,
  chooseJoint,
  suggestions,
  changeJob,
  changeJoint,
  changeSetUp,
  prepare,
  apply,
  sharedBy,
  copySetUp,
} = useFit(jobId)
/** Painted, or none to wait for. From then on it may be chosen from. */
const answerStands = ref(false)
const painted = useTimeoutFn(() => (answerStands.value = true), A_FRAME_MS, { immediate: false })
watch(
  () => fit.value !== null || failure.value !== '' || !parts.value?.ok,
  (now) => {
    if (now && !answerStands.value) painted.start()
  },
  { immediate: true },
)
provide(ANSWER_STANDS, answerStands)
watch(answerStands, fetchOtherJobs)

const rows = computed(() => (fit.value ? rowsOf(workspace.speech, fit.value) : []))

/** What no verdict can be given on, for want of a figure. */
const unknown = computed(() =>
  rows.value.flatMap(({ criteria }) => criteria.filter(({ verdict }) => verdict === 'unknown')),
)

/** `row:…` or `link:…`: the drawer follows the figures as they change. */
const openKey = ref<string | null>(null)
const openRow = computed(() => openKey.value?.replace(/^row:/, '') ?? null)
const row = computed(() => rows.value.find(({ id }) => `row:${id}` === openKey.value) ?? null)
const settings = computed(() => fit.value?.settings.find((one) => one.jointId === jointId.value) ?? null)
/** Whether all settings stand below the start, beside others. */
const isComparing = ref(false)
/** Other settings whose figure is open. */
// Plain, for it is handed to the thread that reckons.
const otherOpen = shallowRef<Extract<Asked, { of: 'outcome' }> | null>(null)
function openOutcome(figure: OutcomeFigure, setUpId: string, settled: SettingsTried): void {
  const weldId = jointId.value
  if (!weldId) return
  otherOpen.value = { of: 'outcome', figure, weldId, setUpId, settled }
  openKey.value = `outcome:${figure}`
}
const startFigure = computed(() => {
  const figures = Object.keys(START_TITLES) as StartFigure[]
  return figures.find((figure) => `start:${figure}` === openKey.value) ?? null
})
const link = computed(() => chain.value?.links.find(({ id }) => `link:${id}` === openKey.value) ?? null)

/** What has to be asked for the working of what is open; of a group the first that has one. */
const asked = computed<Asked | null>(() => {
  const weldId = jointId.value
  if (row.value) return { of: 'criterion', id: row.value.criteria[0]?.criterion ?? '' }
  if (link.value && weldId) return { of: 'link', id: link.value.id, weldId }
  if (openKey.value?.startsWith('outcome:')) return otherOpen.value
  if (startFigure.value && weldId) return { of: 'start', figure: startFigure.value, weldId }
  return openKey.value === 'link:joint' && weldId ? { of: 'weld', figure: 'wanted', weldId } : null
})
const { answer: working } = useAnswer(
  computed<Question<'explain'> | null>(() => asked.value && ['explain', jobId.value, asked.value]),
)
/** What concerns the supply is seen on every circuit, and over time, on a page of its own. */
const morePower = computed((): Pick<Opened, 'more'> => {
  const [first] = row.value?.criteria ?? []
  if (!first || !OF_SUPPLY.has(first.criterion) || !setUp.value) return {}
  const query = { job: jobId.value, 'set-up': setUp.value.id }
  return { more: { to: { name: 'power', query }, words: 'All circuits, and when the breaker trips' } }
})
/** Each link of the chain opens the record that its figure is from. */
const SLOT_OF_LINK = { circuit: 'circuit', source: 'powerSource', gun: 'gun', electrode: 'wire' } as const
function moreOfLink(id: LinkId): Pick<Opened, 'more'> {
  const own = setUp.value
  if (!own) return {}
  const slot = id === 'electrode' && own.tungstenId !== null ? 'tungsten' : SLOT_OF_LINK[id]
  const partId = own[slotKey(slot)]
  const list = pathOfSlot(slot)
  const name = partId && workspace.get(list, partId)?.name
  return name
    ? { more: { to: { name: 'equipment', params: { list, id: partId } }, words: `Open ${name}` } }
    : {}
}
const opened = computed<Opened | null>(() => {
  const key = openKey.value
  const steps: readonly Step[] | null = working.value
  if (!key || !chain.value) return null
  if (row.value) {
    const { title, verdict, sentence, mends } = row.value
    return { key, title, verdict, sentence, mends, working: steps, ...morePower.value }
  }
  if (key === 'link:joint') {
    const sentence = jointText(workspace.speech, chain.value)
    return { key, title: 'Current needed', verdict: null, sentence, mends: [], working: steps }
  }
  if (key.startsWith('outcome:') && otherOpen.value) {
    const sentence = 'Result of the settings on the right.'
    const title = START_TITLES[otherOpen.value.figure]
    return { key, title, verdict: null, sentence, mends: [], working: steps }
  }
  if (startFigure.value) {
    const sentence = 'Start setting. Try it on a coupon of the same metal, thickness and position.'
    return { key, title: START_TITLES[startFigure.value], verdict: null, sentence, mends: [], working: steps }
  }
  if (!link.value) return null
  return {
    key,
    title: linkTitle(workspace.speech, link.value),
    verdict: link.value.verdict,
    sentence: linkText(workspace.speech, link.value, chain.value.wantedA),
    mends: [],
    working: steps,
    ...moreOfLink(link.value.id),
  }
})
/** Of the welds as they were answered for: a key in the job leaves what shows the answer alone until the next one is there. */
function weldName(weldId: string): string {
  const welds = fit.value?.welds ?? []
  return welds.length > 1 ? `weld ${welds.findIndex(({ jointId: id }) => id === weldId) + 1}` : ''
}

/** Places of the set-up that name what is not there, as the page calls them. */
const broken = computed(() => {
  if (!setUp.value || !parts.value || parts.value.ok) return []
  const process = PROCESSES[setUp.value.process]
  return parts.value.problems.map(({ pointer, field, message }) => {
    const slot = SLOTS.find((one) => pointer === `/setUp/${slotKey(one)}`)
    return `${slot ? `The ${slotText(workspace.speech, slot, process)}` : field} ${message}.`
  })
})

const MOST_TABS = 4
const jointItems = computed(() =>
  (job.value?.joints ?? []).map((one, index) => ({
    id: one.id,
    name: `${index + 1} ${jointName(one)}`,
    note: jointWords(one, workspace.notation),
  })),
)
const jointDetail = computed(() => {
  const weld = fit.value?.welds.find((one) => one.jointId === jointId.value)
  return weld ? `${print(weld.heatedMm, 'mm')} to weld` : ''
})

function applySuggestion(suggestion: Suggestion, words: string): void {
  apply(suggestion.patch, words)
}
function openLink(id: LinkId | 'joint'): void {
  openKey.value = `link:${id}`
}
</script>

<template>
  <section v-if="!job" class="empty">
    <h1>No such job</h1>
    <p>It may have been deleted.</p>
    <RouterLink class="plain-button main" :to="{ name: 'jobs' }">Go to Jobs</RouterLink>
  </section>
  <div v-else class="fit" @pointerover.once="canOpen = true" @focusin.once="canOpen = true">
    <div class="title">
      <h1>{{ job.name }}</h1>
      <PlaceTabs class="tabs" :tabs="tabs" label="Job" />
      <label v-if="job.joints.length > MOST_TABS" class="chip">
        <span class="label">Weld</span>
        <ChoiceField
          bare
          label="Weld"
          :items="jointItems"
          :model-value="jointId"
          @update:model-value="(id) => id && chooseJoint(id)"
        />
      </label>
      <WeldTabs
        v-else-if="job.joints.length > 1"
        :joints="job.joints"
        :governing="fit?.governingJointId ?? null"
        :model-value="jointId"
        @update:model-value="(id) => id && chooseJoint(id)"
      />
      <label class="chip">
        <RouterLink
          v-if="setUp"
          v-tip="'Open this set-up'"
          class="label"
          :to="{ name: 'set-up', params: { id: setUp.id } }"
          >Set-up</RouterLink
        >
        <span v-else class="label">Set-up</span>
        <ChoiceField
          bare
          label="Set-up"
          :items="workspace.setUps"
          :model-value="job.setUpId"
          @update:model-value="(id) => id && changeJob({ setUpId: id }, 'set-up')"
        />
      </label>
      <button
        v-if="sharedBy.length > 0"
        v-tip="
          `Also used by ${sharedBy.join(', ')}. Changes affect them too. Press for a copy just for this job.`
        "
        class="plain-button parts"
        @click="copySetUp"
      >
        Only for this job
      </button>
      <component :is="otherJobs" v-if="otherJobs" :job-id="job.id" />
      <span v-else class="plain-button">Other job</span>
    </div>

    <FitInputs
      v-if="joint && setUp"
      :job="job"
      :joint="joint"
      :set-up="setUp"
      :shelf="workspace.shelf"
      :is-answered="fit !== null"
      @joint="changeJoint"
      @job="changeJob"
      @set-up="changeSetUp"
      @focusin="prepare"
    />
    <RankedSetUps v-else :job-id="job.id" @choose="(id) => changeJob({ setUpId: id }, 'set-up')" />

    <section v-if="parts && !parts.ok" class="sheet choose" role="alert">
      <h2>The set-up is incomplete</h2>
      <p v-for="words in broken" :key="words">{{ words }}</p>
    </section>

    <section v-if="failure" class="sheet choose" role="alert">
      <h2>This job cannot be calculated</h2>
      <p>An entry is wrong: {{ failure }}. Open the job to correct or delete it.</p>
    </section>

    <template v-if="fit && chain">
      <div class="top">
        <section class="sheet chain-sheet" aria-label="Amps from panel to joint">
          <header>
            <h2>
              Amps from panel to joint<template v-if="jointId && weldName(jointId)"
                >, {{ weldName(jointId) }}</template
              >
            </h2>
            <p class="quiet">
              <template v-if="job.joints.length === 1 && joint"
                >{{ jointWords(joint, workspace.notation) }} · </template
              >{{ jobWords(job, workspace.notation) }}
              <template v-if="setUp"> · {{ processWords(setUp) }}</template>
            </p>
          </header>
          <ChainChart :chain="chain" :joint-detail="jointDetail" @open="openLink" />
        </section>
        <AnswerPanel
          :fit="fit"
          :job-id="job.id"
          :set-up-id="setUp?.id ?? null"
          :rows="rows"
          :chain="chain"
          :suggestions="suggestions"
          :weld="weldName(chain.jointId)"
          :pieces="job.quantity"
          @apply="applySuggestion"
          @open="(id) => (openKey = `row:${id}`)"
        />
      </div>
      <SettleList v-if="setUp && unknown.length > 0" :unknown="unknown" :set-up="setUp" :job-id="job.id" />
      <StartStrip
        v-if="settings"
        :settings="settings"
        :is-beyond="chain.verdict === 'fails'"
        :has-taps="parts?.ok === true && parts.parts.powerSource.voltageSteps !== null"
        :is-open="isComparing"
        @open="(figure) => (openKey = `start:${figure}`)"
        @all="isComparing = !isComparing"
      />
      <SettingsPanel
        v-if="isComparing && setUp && jointId"
        :job-id="job.id"
        :weld-id="jointId"
        :set-up-id="setUp.id"
        :set-ups="workspace.setUps"
        :called-leg-mm="joint?.legMm ?? null"
        @open="(figure) => (openKey = `start:${figure}`)"
        @open-outcome="openOutcome"
        @close="isComparing = false"
      />
      <FindingsTable
        v-if="setUp"
        :rows="rows"
        :open-row="openRow"
        :set-up="setUp"
        :job-id="job.id"
        :weld-name="weldName"
        @open="(id) => (openKey = `row:${id}`)"
      />
      <CautionStrip :cautions="fit.cautions" />
    </template>
    <WorkingDrawer
      v-if="canOpen || opened"
      :opened="opened"
      :weld-name="weldName"
      @close="openKey = null"
      @apply="apply"
    />
  </div>
</template>

<style scoped>
.parts {
  text-decoration: none;
}
.fit {
  display: grid;
  gap: 7px;
  grid-template-columns: minmax(0, 1fr);
  padding: 8px 20px;
}
.title {
  align-items: center;
  display: flex;
  gap: 14px;
  min-width: 0;
}
/* A long name gives way to what stands beside it. */
h1 {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.tabs {
  margin-right: auto;
}
.chip {
  align-items: center;
  display: grid;
  gap: 6px;
  grid-template-columns: auto 200px;
}
.other {
  white-space: nowrap;
}
.top {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr) 330px;
}
.chain-sheet {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  padding: 8px 16px 4px;
}
.chain-sheet > header {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  justify-content: space-between;
}
.choose,
.empty {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 16px;
}
.empty {
  padding: 48px;
}
.empty a {
  text-decoration: none;
}
@media screen and (max-width: 900px) {
  .fit {
    padding: 8px 12px;
  }
  .title {
    flex-wrap: wrap;
  }
  .top {
    grid-template-columns: minmax(0, 1fr);
  }
}
/* A phone, or 200 % zoom: the answer first, then what it rests on. */
@media screen and (max-width: 700px) {
  .title {
    order: -3;
  }
  .top {
    order: -2;
  }
  .top > :last-child {
    order: -1;
  }
  .chip {
    flex: 1 1 100%;
    grid-template-columns: auto minmax(0, 1fr);
    order: 2;
  }
  .parts,
  .other {
    order: 3;
  }
  h1 {
    white-space: normal;
  }
}
</style>
