<script setup lang="ts">
import {
  applyPatch,
  type Assessment,
  byWorst,
  cautionText,
  type Job,
  jointText,
  limitOf,
  type LinkId,
  linkText,
  linkTitle,
  sentenceOf,
  type SetUp,
  type Suggestion,
  suggestionText,
  titleOf,
  toBuyOf,
  type WhatIf,
} from '@brannik/core'
import { computed, ref } from 'vue'
import type { Opened } from '../../components/opened.ts'
import ChainChart from '../../charts/ChainChart.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import WorkingDrawer from '../../components/WorkingDrawer.vue'
import type { Asked } from '../../engine/questions/explain.ts'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useNotice } from '../../stores/notice.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { lazily } from '../../lazy.ts'
import { PASS_WORDS } from '../fit/settingWords.ts'

const DecideDialog = lazily(() => import('../buy/DecideDialog.vue'))

/** One job with one set-up: its chain, what speaks against it, what would ease it; nothing changes until it is taken. */
const { job, setUp, whatIf } = defineProps<{
  job: Job
  setUp: SetUp
  /** What is tried over the whole board. */
  whatIf: WhatIf
}>()
const isTrial = computed(() => whatIf.kind !== 'as-it-is')
const emit = defineEmits<{ back: [] }>()

const workspace = useWorkspace()
const notice = useNotice()
const { print } = usePrint()
const MOST_EASES = 4

const { answer: fit, failure } = useAnswer<'cell'>(
  computed((): Question<'cell'> => ['cell', job.id, setUp.id, whatIf]),
)
const { answer: eases } = useAnswer<'ease'>(
  computed((): Question<'ease'> => ['ease', job.id, setUp.id, MOST_EASES]),
)
const chain = computed(() => fit.value?.chains[0] ?? null)
const weldName = ({ weldId, pass }: Assessment): string => {
  const index = job.joints.findIndex(({ id }) => id === weldId)
  const weld = index < 0 || job.joints.length === 1 ? '' : `weld ${index + 1}`
  const words = [weld, pass === null ? '' : PASS_WORDS[pass]].filter(Boolean).join(', ')
  return words === '' ? '' : `${words}: `
}
/** What the cell says first, then the worst. */
const against = computed(() => {
  if (!fit.value) return []
  const { criteria, verdict: worst } = fit.value
  const limit = limitOf(criteria, worst)
  return byWorst(criteria.filter(({ verdict }) => verdict !== 'fits'))
    .toSorted((a, b) => Number(b === limit) - Number(a === limit))
    .map((one) => ({
      key: one.criterion,
      verdict: one.verdict,
      title: titleOf(workspace.speech, one),
      text: `${weldName(one)}${sentenceOf(workspace.speech, one)}`,
    }))
})
const start = computed(() => {
  const settings = fit.value?.settings[0]
  if (!settings) return ''
  const { currentA, voltsV, feedMmPerMin } = settings
  return [
    voltsV && print(voltsV.value, 'V'),
    feedMmPerMin && print(feedMmPerMin.value, 'mm/min'),
    print(currentA.value, 'A'),
  ]
    .filter((one) => one !== null)
    .join(' · ')
})
const cautions = computed(() => (fit.value?.cautions ?? []).map((one) => cautionText(workspace.speech, one)))
const deciding = ref(false)
const purchases = computed(() =>
  (toBuyOf(setUp, workspace.shelf)?.parts ?? []).map(({ name, price }) => ({ name, price })),
)
const isOwn = computed(() => job.setUpId === setUp.id)
const sharedBy = computed(() =>
  workspace.jobs.filter(({ id, setUpId }) => id !== job.id && setUpId === setUp.id).map(({ name }) => name),
)

function use(): void {
  workspace.edit('jobs', job.id, { ...job, setUpId: setUp.id }, `set-up of ${job.name}`)
  notice.show(`${job.name} now uses ${setUp.name}`, true)
}
/** What is tried is tried with this set-up: the job takes it along. */
function take(ease: Suggestion): void {
  const label = suggestionText(workspace.speech, ease)
  const before = { job: { ...job, setUpId: setUp.id }, setUp }
  const after = applyPatch(before, ease.patch, workspace.setUps)
  if (ease.patch.on === 'set-up') workspace.edit('set-ups', setUp.id, after.setUp, label)
  else workspace.edit('jobs', job.id, after.job, label)
  notice.show(`Done: ${label}`, true)
}
/** `criterion:…` or `link:…` */
const openKey = ref<string | null>(null)
const asked = computed((): Asked | null => {
  const [of, id = ''] = openKey.value?.split(':') ?? []
  const weldId = chain.value?.jointId
  if (of === 'criterion') return { of, id }
  if (of !== 'link' || !weldId) return null
  return id === 'joint' ? { of: 'weld', figure: 'wanted', weldId } : { of, id: id as LinkId, weldId }
})
const { answer: working } = useAnswer<'explain'>(
  computed(
    (): Question<'explain'> | null => asked.value && ['explain', job.id, asked.value, setUp.id, whatIf],
  ),
)
const opened = computed((): Opened | null => {
  const key = openKey.value
  if (key === null || !chain.value) return null
  const common = { key, mends: [], working: working.value }
  const criterion = against.value.find((one) => `criterion:${one.key}` === key)
  if (criterion)
    return { ...common, title: criterion.title, verdict: criterion.verdict, sentence: criterion.text }
  const link = chain.value.links.find(({ id }) => `link:${id}` === key)
  if (!link)
    return {
      ...common,
      title: 'Current needed',
      verdict: null,
      sentence: jointText(workspace.speech, chain.value),
    }
  const sentence = linkText(workspace.speech, link, chain.value.wantedA)
  return { ...common, title: linkTitle(workspace.speech, link), verdict: link.verdict, sentence }
})
const heading = ref<HTMLElement | null>(null)
defineExpose({ focus: () => heading.value?.focus() })
</script>

<template>
  <section class="panel sheet" aria-label="Selected cell" @keydown.esc="emit('back')">
    <h2 ref="heading" tabindex="-1">
      <RouterLink :to="{ name: 'job', params: { jobId: job.id } }">{{ job.name }}</RouterLink> ·
      <RouterLink :to="{ name: 'set-up', params: { id: setUp.id } }">{{ setUp.name }}</RouterLink>
    </h2>
    <p v-if="failure" class="problem" role="alert">Calculation failed: {{ failure }}</p>
    <p v-else-if="!fit" class="quiet">Calculating…</p>
    <template v-else>
      <p><VerdictMark :verdict="fit.verdict" /><span v-if="isTrial" class="label"> in this trial</span></p>
      <ChainChart v-if="chain" :chain="chain" joint-detail="" @open="(id) => (openKey = `link:${id}`)" />
      <ul v-if="against.length > 0" class="against">
        <li v-for="one in against" :key="one.key">
          <VerdictMark :verdict="one.verdict" :word="false" />
          <span
            ><button class="link-button title" @click="openKey = `criterion:${one.key}`">
              {{ one.title }}
            </button>
            {{ one.text }}</span
          >
        </li>
      </ul>
      <p v-else class="quiet">Every check passes.</p>
      <template v-if="fit.verdict !== 'fits' && !isTrial">
        <h3>Ways to fix it</h3>
        <p v-if="eases === null" class="quiet">Searching…</p>
        <p v-else-if="eases.length === 0" class="quiet">Nothing in the shop fixes it. Try another set-up.</p>
        <ul v-else class="eases" aria-label="Ways to fix it">
          <li v-for="ease in eases" :key="suggestionText(workspace.speech, ease)">
            <button class="plain-button" @click="take(ease)">
              <span>{{ suggestionText(workspace.speech, ease) }}</span>
              <VerdictMark :verdict="ease.verdict" />
            </button>
          </li>
        </ul>
        <p v-if="sharedBy.length > 0 && (eases?.length ?? 0) > 0" class="label">
          A change of {{ setUp.name }} also affects {{ sharedBy.join(', ') }}.
        </p>
      </template>
      <p v-if="start" class="label">Start settings: {{ start }}. Try them on a coupon.</p>
      <p class="ways">
        <span v-if="isOwn" class="quiet">Job uses this set-up.</span>
        <button v-else class="plain-button main" @click="use">Use for this job</button>
        <button v-if="!isTrial" class="link-button" @click="deciding = true">Decide</button>
        <RouterLink
          class="link-button"
          :to="{ name: 'buy', params: { part: 'could' }, query: { job: job.id } }"
          >All ways to do this job</RouterLink
        >
        <RouterLink class="link-button" :to="{ name: 'set-up', params: { id: setUp.id } }"
          >Open set-up</RouterLink
        >
        <RouterLink v-if="isOwn" class="link-button" :to="{ name: 'fit', params: { jobId: job.id } }"
          >Fit</RouterLink
        >
      </p>
      <p v-for="caution in cautions" :key="caution.text" class="label">
        <strong>{{ caution.topic }}</strong> {{ caution.text }}
      </p>
    </template>
    <WorkingDrawer :opened="opened" @close="openKey = null" />
    <DecideDialog v-model="deciding" :choices="[{ job, setUp }]" :purchases="purchases" />
  </section>
</template>

<style scoped>
.panel {
  align-content: start;
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  min-height: 0;
  overflow: auto;
  padding: 12px 14px;
}
h2 {
  font-size: var(--text-m);
  font-weight: 700;
  outline: none;
}
h2 a {
  color: inherit;
}
h3 {
  font-size: inherit;
  font-weight: 700;
}
.against,
.eases {
  display: grid;
  gap: 6px;
}
.against li {
  align-items: start;
  display: grid;
  gap: 8px;
  grid-template-columns: 14px minmax(0, 1fr);
}
.against :deep(.verdict) {
  margin-top: 3px;
}
.eases .plain-button {
  display: flex;
  gap: 8px;
  justify-content: space-between;
  text-align: left;
  width: 100%;
}
.title {
  font-weight: 700;
}
.ways {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}
</style>
