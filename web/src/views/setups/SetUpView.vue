<script setup lang="ts">
import {
  assess,
  explain,
  mendsOf,
  midSentence,
  PROCESS_IDS,
  type ProcessId,
  PROCESSES,
  sentenceOf,
  type SetUp,
  type Slot,
  titleOf,
} from '@brannik/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ChoiceField from '../../components/ChoiceField.vue'
import OnNow from '../../components/OnNow.vue'
import PlaceHead from '../../components/PlaceHead.vue'
import EarlierVersions from '../../components/EarlierVersions.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import type { Opened } from '../../components/opened.ts'
import WorkingDrawer from '../../components/WorkingDrawer.vue'
import { useNotice } from '../../stores/notice.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { setUpSummary } from '../equipment/words.ts'
import { idFor } from '../jobs/idFor.ts'
import { newSetUp } from './newSetUp.ts'
import PlaceList from './PlaceList.vue'
import SetUpSettings from './SetUpSettings.vue'
import { useSetUpTabs } from './setUpTabs.ts'
import OfferPanel from './OfferPanel.vue'
import RulePanel from './RulePanel.vue'
import { useAssembly } from './useAssembly.ts'

/** A set-up put together place by place, from the circuit to the arc. */
const route = useRoute()
const router = useRouter()
const workspace = useWorkspace()
const notice = useNotice()
const money = useMoney()

const id = computed(() => {
  const named = route.params['id']
  return typeof named === 'string' && named !== '' ? named : (workspace.setUps[0]?.id ?? '')
})
const setUp = computed<SetUp | null>(() => workspace.get('set-ups', id.value))
const process = computed(() => PROCESSES[setUp.value?.process ?? 'gmaw-short'])
const { jobId, capability, demand, criteria, missing, verdict, places, change, choose, complete } =
  useAssembly(setUp)

const tabs = useSetUpTabs()
const lookingBack = ref(false)
const openSlot = ref<Slot | null>(null)
const openRule = ref<string | null>(null)
watch(id, () => {
  openSlot.value = null
  openRule.value = null
})
const place = computed(() => places.value.find(({ slot }) => slot === openSlot.value) ?? null)
const opened = computed<Opened | null>(() => {
  const assessment = criteria.value.find(({ criterion }) => criterion === openRule.value)
  if (!assessment || !capability.value) return null
  return {
    key: assessment.criterion,
    title: titleOf(workspace.speech, assessment),
    verdict: assessment.verdict,
    sentence: sentenceOf(workspace.speech, assessment),
    mends: mendsOf(assessment, capability.value, demand.value),
    working: explain(assessment.criterion, capability.value, demand.value),
  }
})
const open = (criterion: string): void => {
  openRule.value = criterion
}

/** What fails of the parts alone, whatever the job. */
const failsAlone = computed(() =>
  capability.value ? assess(capability.value, null).filter((one) => one.verdict === 'fails') : [],
)
const headline = computed(() => {
  const failing = criteria.value.filter((one) => one.verdict === 'fails')
  const isAlone = failsAlone.value.length > 0
  const [first, ...others] = (isAlone ? failsAlone.value : failing).map((one) =>
    midSentence(titleOf(workspace.speech, one)),
  )
  if (first !== undefined) {
    const more = others.length > 1 ? ` and ${others.length} more` : others[0] ? ` and ${others[0]}` : ''
    const jobName = jobId.value === null ? null : workspace.get('jobs', jobId.value)?.name
    const what = isAlone ? 'Parts do not fit' : `Parts fit, but not for ${jobName ?? 'the job'}`
    return `${what}: ${first}${more}.`
  }
  if (missing.value.length > 0)
    return `Incomplete: ${places.value
      .filter((one) => missing.value.includes(one.slot))
      .map(({ title }) => midSentence(title))
      .join(', ')} not chosen.`
  if (verdict.value === 'unknown') return 'Parts fit, as far as known.'
  return verdict.value === 'tight' ? 'Parts fit, with a caution.' : 'Parts fit.'
})

/** What must be bought before it can be used, and for how much. */
const toBuy = computed(() => {
  const bought = places.value.flatMap((one) => (one.toBuy ? [one.toBuy.price] : []))
  if (bought.length === 0) return ''
  const sum = bought.reduce<number>((total, price) => total + (price ?? 0), 0)
  const least = bought.includes(null) ? 'at least ' : ''
  return `${bought.length} to buy, ${least}${money(sum)}`
})

const LIVE = {
  wire: 'Unplug before you change rolls, liner or leads. The wire is live while you pull the trigger.',
  tungsten:
    'Unplug before you change torch or leads. A TIG torch is live at open-circuit voltage: gloves on first.',
  covered:
    'Unplug before you change leads. The holder is live while the machine is on: change electrodes with dry gloves.',
} as const
/** What can hurt somebody, where the parts are chosen. */
const cautions = computed(() => [
  'Plan only. Plate, package and manual decide.',
  LIVE[process.value.electrode],
  ...(process.value.shielded
    ? ['Chain the cylinder. Stand aside and open it slowly. Gas displaces air in closed spaces.']
    : [
        process.value.electrode === 'covered'
          ? 'Stick electrodes smoke: use extraction, or work upwind. Keep low-hydrogen electrodes sealed or in an oven.'
          : 'Self-shielded wire smokes heavily: use extraction, or work upwind.',
      ]),
  ...(capability.value?.tungsten?.type === 'WTh20'
    ? ['Thoriated dust is mildly radioactive: grind wet or with extraction.']
    : []),
])

const choices = computed(() =>
  workspace.setUps.map((one) => ({ id: one.id, name: one.name, note: setUpSummary(one, workspace.shelf) })),
)

const go = (to: string): void => {
  void router.push({ name: 'set-up', params: { id: to } })
}
function add(processId: ProcessId): void {
  if (!workspace.shop) return
  const made = newSetUp(processId, workspace.shop, workspace.shelf, workspace.setUps)
  if (!made.ok) {
    notice.show(made.message)
    return
  }
  workspace.edit('set-ups', made.setUp.id, made.setUp, `new set-up ${made.setUp.name}`)
  go(made.setUp.id)
}
function copy(): void {
  if (!setUp.value) return
  const name = `${setUp.value.name.slice(0, 110)}, copy`
  const made = { ...setUp.value, id: idFor(name, workspace.setUps), name }
  workspace.edit('set-ups', made.id, made, `copy of ${setUp.value.name}`)
  go(made.id)
}
function remove(): void {
  const now = setUp.value
  if (!now) return
  const users = workspace.jobs.filter((job) => job.setUpId === now.id)
  if (users.length > 0) {
    notice.show(`${users.map((job) => job.name).join(', ')} still use it. Change them first.`)
    return
  }
  workspace.edit('set-ups', now.id, null, `deletion of ${now.name}`)
  notice.show(`${now.name} deleted`, true)
  void router.push({ name: 'set-up', params: { id: '' } })
}
</script>

<template>
  <section v-if="!setUp" class="empty">
    <h1>Set-ups</h1>
    <p>No set-ups yet. Choose a process, and Brannik puts one together from your equipment.</p>
    <p class="processes">
      <button v-for="one in PROCESS_IDS" :key="one" class="plain-button" @click="add(one)">
        {{ PROCESSES[one].workshopWord }}
      </button>
    </p>
  </section>
  <section v-else class="set-up">
    <PlaceHead title="Set-ups" :tabs="tabs">
      <ChoiceField
        class="which"
        bare
        label="Set-up"
        :items="choices"
        :model-value="setUp.id"
        @update:model-value="(to) => to && go(to)"
      />
      <p class="headline" role="status">
        <VerdictMark :verdict="verdict" /> <span>{{ headline }}</span>
        <span v-if="toBuy" class="sum">{{ toBuy }}</span>
      </p>
      <OnNow :set-up-id="setUp.id" />
      <VMenu location="bottom end" :transition="false">
        <template #activator="{ props: activator }">
          <button class="plain-button main" v-bind="activator">New set-up</button>
        </template>
        <VList>
          <VListItem
            v-for="one in PROCESS_IDS"
            :key="one"
            :title="PROCESSES[one].workshopWord"
            @click="add(one)"
          />
        </VList>
      </VMenu>
      <VMenu location="bottom end" :transition="false">
        <template #activator="{ props: activator }">
          <button class="plain-button" v-bind="activator">More</button>
        </template>
        <VList>
          <VListItem title="Copy" @click="copy" />
          <VListItem title="Earlier versions" @click="lookingBack = true" />
          <VListItem title="Delete" @click="remove" />
        </VList>
      </VMenu>
    </PlaceHead>
    <EarlierVersions :id="setUp.id" v-model="lookingBack" path="set-ups" />
    <SetUpSettings :set-up="setUp" :job-id="jobId" @change="change" @job="(to) => (jobId = to)" />
    <div class="body">
      <PlaceList
        class="sheet"
        :places="places"
        :open="openSlot"
        :cautions="cautions"
        @open="(slot) => (openSlot = slot)"
        @complete="complete"
      />
      <div class="sheet beside" :class="{ choosing: openSlot }">
        <OfferPanel
          v-if="openSlot && place && capability"
          :capability="capability"
          :demand="demand"
          :place="openSlot"
          :shelf="workspace.shelf"
          :optional="!place.required"
          @choose="(to) => openSlot && choose(openSlot, to)"
          @close="openSlot = null"
        />
        <RulePanel
          v-else-if="capability"
          :criteria="criteria"
          :capability="capability"
          :demand="demand"
          :shelf="workspace.shelf"
          @change="change"
          @open="open"
        />
      </div>
    </div>
    <WorkingDrawer
      :opened="opened"
      @close="openRule = null"
      @apply="(patch, label) => patch.on === 'set-up' && change(patch.change, label)"
    />
  </section>
</template>

<style scoped>
.set-up {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto minmax(0, 1fr);
  height: calc(100vh - 48px);
  padding: 10px 20px 12px;
}
.which {
  flex: 1 1 200px;
  margin-right: auto;
  max-width: 320px;
}
.headline {
  align-items: center;
  display: flex;
  flex: 1 0 100%;
  font-size: var(--text-l);
  font-weight: 700;
  gap: 12px;
  order: 5;
}
.sum {
  color: var(--copper);
  font-size: var(--text-m);
  white-space: nowrap;
}
.body {
  display: grid;
  gap: 8px;
  grid-template-columns: 470px minmax(0, 1fr);
  min-height: 0;
}
.beside {
  min-height: 0;
  overflow: hidden;
}
.empty {
  display: grid;
  gap: 12px;
  padding: 24px;
}
.processes {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
@media screen and (max-width: 1000px) {
  .set-up {
    height: auto;
  }
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
  .choosing {
    height: 560px;
  }
}
</style>
