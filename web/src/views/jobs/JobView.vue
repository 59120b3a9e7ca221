<script setup lang="ts">
import { type Job, type Joint, partsOf, weldCountOf, withUniqueIds } from '@brannik/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import SectionDrawing from '../../charts/SectionDrawing.vue'
import PlaceHead from '../../components/PlaceHead.vue'
import EarlierVersions from '../../components/EarlierVersions.vue'
import type { Opened } from '../../components/opened.ts'
import WorkingDrawer from '../../components/WorkingDrawer.vue'
import { download } from '../../files/download.ts'
import { useNotice } from '../../stores/notice.ts'
import { useAnswer, type Question } from '../../engine/useAnswer.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useNamedField } from '../../components/useNamedField.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import AdvicePanel from './AdvicePanel.vue'
import ImportDialog from './ImportDialog.vue'
import { useJobTabs } from './jobTabs.ts'
import JobHeader from './JobHeader.vue'
import { csvOf, jsonOf, weldsIn } from './jobFiles.ts'
import { copyOf, isUntouched } from './newJob.ts'
import SequenceList from './SequenceList.vue'
import SymbolField from './SymbolField.vue'
import WeldTable from './WeldTable.vue'

/** One job as on paper: what it is, its welds one a line, the weld in hand drawn to scale beside them. */
const route = useRoute()
const router = useRouter()
const workspace = useWorkspace()
useNamedField()
const { print } = usePrint()
const notice = useNotice()

const jobId = computed(() => String(route.params['jobId'] ?? ''))
const job = computed(() => workspace.get('jobs', jobId.value))
const selectedId = ref<string | null>(null)
const tabs = useJobTabs(() => jobId.value)
const isOrder = computed(() => route.name === 'job-order')
const importing = ref(false)
const lookingBack = ref(false)

watch(jobId, () => {
  selectedId.value = null
})

const selected = computed<Joint | null>(
  () => job.value?.joints.find(({ id }) => id === selectedId.value) ?? job.value?.joints[0] ?? null,
)
const setUp = computed(() => (job.value?.setUpId ? workspace.get('set-ups', job.value.setUpId) : null))
const parts = computed(() => (setUp.value ? partsOf(setUp.value, workspace.shelf) : null))
const {
  answer: plan,
  isComputing,
  failure,
} = useAnswer(computed<Question<'plan'> | null>(() => (parts.value?.ok ? ['plan', jobId.value] : null)))
const wire = computed(() => (parts.value?.ok ? parts.value.parts.wire : null))
const metalG = computed(() => plan.value?.welds.reduce((sum, one) => sum + one.metalG, 0) ?? null)
const arcS = computed(() => plan.value?.welds.reduce((sum, one) => sum + (one.arcS ?? 0), 0) ?? null)
const weldCount = computed(() =>
  (job.value?.joints ?? []).reduce((sum, joint) => sum + weldCountOf(joint), 0),
)

const openFigure = ref<{ id: string; figure: 'wanted' | 'metal' } | null>(null)
const { answer: working } = useAnswer(
  computed<Question<'explain'> | null>(() => {
    const asked = openFigure.value
    return asked && ['explain', jobId.value, { of: 'weld', figure: asked.figure, weldId: asked.id }]
  }),
)
const opened = computed<Opened | null>(() => {
  const asked = openFigure.value
  const weld = plan.value?.welds.find(({ jointId }) => jointId === asked?.id)
  if (!asked || !weld) return null
  const number = (job.value?.joints.findIndex(({ id }) => id === asked.id) ?? 0) + 1
  const sentence =
    asked.figure === 'wanted'
      ? `One pass needs ${print(weld.wantedA, 'A')}. Start setting: try it on a coupon.`
      : `${print(weld.metalG, 'g')} of weld metal for the whole job.`
  return {
    key: `${asked.id} ${asked.figure}`,
    title: `Weld ${number}`,
    verdict: null,
    sentence,
    mends: [],
    working: working.value,
  }
})

function change(part: Partial<Job>, what: string): void {
  if (job.value)
    workspace.edit('jobs', job.value.id, { ...job.value, ...part }, `${what} of ${job.value.name}`)
}
function changeJoints(next: readonly Joint[], what: string): void {
  if (!job.value) return
  const byId = new Map(next.map((one) => [one.id, one]))
  change({ joints: job.value.joints.map((one) => byId.get(one.id) ?? one) }, what)
}
function patchJoint(id: string, part: Partial<Joint>, what: string): void {
  const joint = job.value?.joints.find((one) => one.id === id)
  if (joint) changeJoints([{ ...joint, ...part }], what)
}

/** New welds without a typed size: a fillet's leg follows the thinner part. */
const unsized = ref<ReadonlySet<string>>(new Set())
watch(
  jobId,
  () => {
    const joints = job.value?.joints ?? []
    const isFresh = joints.length === 1 && job.value !== null && isUntouched(job.value)
    unsized.value = new Set(isFresh ? joints.map(({ id }) => id) : [])
  },
  { immediate: true },
)
function sizeTyped(id: string): void {
  unsized.value = new Set([...unsized.value].filter((one) => one !== id))
}

function insert(after: number, welds: readonly Joint[], what: string): readonly Joint[] {
  if (!job.value) return []
  const { joints } = job.value
  const fresh = withUniqueIds(
    welds,
    joints.map(({ id }) => id),
  )
  change({ joints: [...joints.slice(0, after + 1), ...fresh, ...joints.slice(after + 1)] }, what)
  return fresh
}
/** A new weld is like the one before it: that is how lists are written. */
function add(after: number): void {
  const like = job.value?.joints[after]
  if (!job.value || !like) return
  const [joint] = insert(after, [{ ...like, id: `w${job.value.joints.length + 1}` }], 'a new weld')
  if (!joint) return
  unsized.value = new Set([...unsized.value, joint.id])
  selectedId.value = joint.id
}
function duplicate(ids: readonly string[]): void {
  if (!job.value) return
  const chosen = job.value.joints.filter(({ id }) => ids.includes(id))
  const last = job.value.joints.findLastIndex(({ id }) => ids.includes(id))
  const made = insert(last, chosen, chosen.length === 1 ? 'copy of a weld' : 'copies of welds')
  notice.show(made.length === 1 ? 'Weld duplicated' : `${made.length} welds duplicated`, true)
}
function remove(ids: readonly string[]): void {
  if (!job.value) return
  const joints = job.value.joints.filter(({ id }) => !ids.includes(id))
  if (joints.length === 0) {
    notice.show('A job keeps at least one weld. Delete the job instead.')
    return
  }
  change({ joints }, ids.length === 1 ? 'deletion of a weld' : 'deletion of welds')
  notice.show(ids.length === 1 ? 'Weld deleted' : `${ids.length} welds deleted`, true)
}
/** Rows that are all understood enter at once; otherwise the import shows what is not. */
const pasted = ref('')
function paste(text: string, after: number): void {
  const welds = weldsIn(text, workspace.notation)
  if (welds === null) {
    pasted.value = text
    importing.value = true
    return
  }
  const made = insert(after, welds, 'pasted welds')
  notice.show(made.length === 1 ? 'Weld added' : `${made.length} welds added`, true)
}
function move(from: number, to: number): void {
  if (!job.value) return
  const joints = [...job.value.joints]
  const [moved] = joints.splice(from, 1)
  if (!moved) return
  joints.splice(to, 0, moved)
  change({ joints }, 'order of welds')
}
function takeImport(joints: readonly Joint[], replace: boolean): void {
  if (!job.value) return
  if (replace) change({ joints: [...withUniqueIds(joints)] }, 'import of welds')
  else insert(job.value.joints.length - 1, joints, 'import of welds')
  notice.show(
    `${joints.length} ${joints.length === 1 ? 'weld' : 'welds'} ${replace ? 'in place of the old ones' : 'added'}`,
    true,
  )
}
function copy(): void {
  if (!job.value) return
  const made = copyOf(job.value, workspace.jobs)
  workspace.edit('jobs', made.id, made, `copy of ${job.value.name}`)
  void router.push({ name: 'job', params: { jobId: made.id } })
}
const STATE_WORDS = { planned: '', template: 'template', archived: 'archived' } as const
const table = ref<InstanceType<typeof WeldTable> | null>(null)
async function addAtEnd(): Promise<void> {
  if (!job.value) return
  const last = job.value.joints.length - 1
  add(last)
  await nextTick()
  await table.value?.focusCell(last + 1, 0)
}
</script>

<template>
  <section v-if="!job" class="empty">
    <h1>No such job</h1>
    <p>It may have been deleted.</p>
    <RouterLink to="/jobs">Go to Jobs</RouterLink>
  </section>
  <div v-else class="job">
    <PlaceHead class="top" :title="job.name" :tabs="tabs">
      <span v-if="job.state !== 'planned'" class="state">{{ STATE_WORDS[job.state] }}</span>
      <p class="quiet totals">
        {{ job.joints.length }} {{ job.joints.length === 1 ? 'line' : 'lines' }}, {{ weldCount }} welds per
        piece
        <template v-if="metalG !== null"> · {{ print(metalG, 'g') }} of weld metal</template>
        <template v-if="arcS"> · arc {{ print(arcS, 's') }}</template>
        <template v-if="isComputing"> · calculating…</template>
        <span v-if="failure" class="problem"> · cannot be computed: {{ failure }}</span>
        <template v-else-if="!plan && !isComputing"> · choose a set-up for current and metal</template>
      </p>
      <button v-if="!isOrder" class="plain-button main" @click="addAtEnd">Add weld</button>
      <VMenu location="bottom end" :transition="false">
        <template #activator="{ props: activator }">
          <button class="plain-button" v-bind="activator">Import and export</button>
        </template>
        <VList>
          <VListItem title="Import a weld list (CSV)" @click="importing = true" />
          <VListItem
            title="Export the weld list (CSV)"
            @click="download(`${job.id}.csv`, csvOf(job), 'text/csv')"
          />
          <VListItem
            title="Export the job (JSON)"
            @click="download(`${job.id}.json`, jsonOf(job), 'application/json')"
          />
        </VList>
      </VMenu>
      <VMenu location="bottom end" :transition="false">
        <template #activator="{ props: activator }">
          <button class="plain-button" v-bind="activator" aria-label="More for this job">More</button>
        </template>
        <VList>
          <VListItem title="Copy job" @click="copy" />
          <VListItem title="Earlier versions" @click="lookingBack = true" />
          <VListItem
            v-if="job.state !== 'template'"
            title="Make template"
            @click="change({ state: 'template' }, 'state')"
          />
          <VListItem
            v-if="job.state !== 'archived'"
            title="Archive"
            @click="change({ state: 'archived' }, 'state')"
          />
          <VListItem
            v-if="job.state !== 'planned'"
            title="Move to planned jobs"
            @click="change({ state: 'planned' }, 'state')"
          />
        </VList>
      </VMenu>
    </PlaceHead>
    <JobHeader :job="job" @change="change" />
    <div class="body">
      <WeldTable
        v-if="!isOrder"
        ref="table"
        :joints="job.joints"
        :selected="selected?.id ?? null"
        :notation="workspace.notation"
        :plan="plan"
        :unsized="unsized"
        @change="changeJoints"
        @size="sizeTyped"
        @select="(id) => (selectedId = id)"
        @add="add"
        @remove="remove"
        @duplicate="duplicate"
        @paste="paste"
        @move="move"
        @open="(id, figure) => (openFigure = { id, figure })"
      />
      <div v-else class="sheet">
        <SequenceList :job="job" :plan="plan" @move="move" @joint="patchJoint" @job="change" />
      </div>
      <aside v-if="selected" class="sheet beside screen-only" tabindex="0" aria-label="Selected weld">
        <SectionDrawing :joint="selected" />
        <SymbolField :joint="selected" @change="(joint) => patchJoint(joint.id, joint, 'symbol')" />
        <AdvicePanel
          :job="job"
          :joint="selected"
          :plan="plan"
          :set-up="setUp"
          :wire="wire"
          @leg="(mm) => patchJoint(selected?.id ?? '', { legMm: mm, legBMm: null }, 'leg')"
        />
      </aside>
    </div>
    <WorkingDrawer :opened="opened" @close="openFigure = null" />
    <EarlierVersions :id="job.id" v-model="lookingBack" path="jobs" />
    <ImportDialog v-model="importing" :pasted="pasted" @take="takeImport" @update:model-value="pasted = ''" />
  </div>
</template>

<style scoped>
.job {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto minmax(0, 1fr);
  height: calc(100vh - 48px);
  padding: 10px 20px 12px;
}
.totals {
  flex: 1 1 180px;
  font-size: var(--text-s);
}
header.top {
  column-gap: 8px;
}
.plain-button {
  white-space: nowrap;
}
.state {
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  color: var(--ink-2);
  font-size: var(--text-s);
  padding: 1px 8px;
}
.body {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr) 324px;
  min-height: 0;
}
.body > .sheet {
  min-height: 0;
  overflow: auto;
}
.beside {
  align-content: start;
  display: grid;
  gap: 8px;
  padding: 10px 14px;
}
.empty {
  display: grid;
  gap: 12px;
  padding: 48px;
}
.empty a {
  color: inherit;
}
@media screen and (max-width: 1100px) {
  .job {
    height: auto;
  }
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
  .body > :first-child {
    max-height: 80vh;
  }
  .totals {
    flex-basis: 100%;
    order: 9;
  }
}
</style>
