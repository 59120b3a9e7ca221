<script setup lang="ts">
import { keptBlock, workKey } from '@brannik/core'
import { computed, ref, shallowRef, watch } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import type { WeekAsks } from '../../engine/questions/week.ts'
import { reasonOf } from '../../reason.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { copyOf } from '../jobs/newJob.ts'
import { durationText, usePlanWords } from '../week/planWords.ts'
import type { PlanInHand } from '../week/usePlan.ts'

/** Something broke and cannot wait: where it costs least, and what becomes late by it. */
const open = defineModel<boolean>({ required: true })
const { plan } = defineProps<{ plan: PlanInHand }>()
const emit = defineEmits<{ stop: [blockId: string] }>()
const workspace = useWorkspace()
const { clock } = usePlanWords()

type Option = WeekAsks['interrupt']['answer'][number]
const jobId = ref<string | null>(null)
const options = shallowRef<readonly Option[] | null>(null)
const isLooking = ref(false)
const failure = ref('')
const choices = computed(() => {
  const inPlan = new Set(plan.blocks.value.map((block) => block.jobId))
  return workspace.jobs
    .filter(({ id, state }) => inPlan.has(id) || state === 'template')
    .map(({ id, name, state }) => ({ id, name, note: state === 'template' ? 'copied from a template' : '' }))
})
watch(open, () => {
  jobId.value = null
  options.value = null
  failure.value = ''
})
/** A template is copied first: it is a job like any other then. */
function planned(id: string): string {
  const job = workspace.jobs.find((one) => one.id === id)
  if (job?.state !== 'template') return id
  const made = { ...copyOf(job, workspace.jobs), priority: 'high' as const }
  workspace.edit('jobs', made.id, made, `copy of ${job.name}`)
  return made.id
}
watch(jobId, async (id) => {
  options.value = null
  failure.value = ''
  if (id === null) return
  isLooking.value = true
  try {
    const own = planned(id)
    const block = plan.blocks.value.find((one) => one.jobId === own)
    options.value = await plan.ask('interrupt', block?.id ?? workKey(own, 'once', 1), plan.shown.value)
  } catch (error) {
    failure.value = reasonOf(error)
  }
  isLooking.value = false
})
function take({ week, block, stops }: Option): void {
  if (stops) emit('stop', stops.id)
  plan.keep(
    week.blocks.map((one) => ({ ...keptBlock(one), isPinned: one.id === block.id || one.isPinned })),
    `${block.jobName} put first`,
  )
  open.value = false
}
const laterText = ({ later }: Option): string =>
  later.length === 0
    ? 'Nothing becomes late by it.'
    : `Later by it: ${later.map(({ jobName, byMin }) => `${jobName}, ${durationText(byMin)} later`).join(', ')}.`
</script>

<template>
  <SheetDialog v-model="open" title="Something broke" :width="560" close="Cancel">
    <div class="broke">
      <ChoiceField v-model="jobId" label="What has to be done now" :items="choices" />
      <p v-if="isLooking" role="status">Calculating…</p>
      <p v-if="failure" class="problem" role="alert">This cannot be calculated. {{ failure }}</p>
      <p v-if="options && options.length === 0">
        Nothing that you own can do it now. Look at its ways on the Board.
      </p>
      <ul v-if="options">
        <li
          v-for="option in options"
          :key="`${option.block.sourceId} ${option.block.welderName} ${option.stops?.id ?? ''}`"
        >
          <p>
            <strong>{{ option.block.setUpName }}, {{ option.block.welderName }}:</strong>
            {{ clock(option.block.startMin) }} to {{ clock(option.block.endMin) }}.
          </p>
          <p>
            <template v-if="option.stops">{{ option.stops.jobName }} is paused for it. </template>
            <template v-if="option.block.changeMin > 0"
              >Change over {{ durationText(option.block.changeMin) }} first.
            </template>
            {{ laterText(option) }}
          </p>
          <button class="plain-button main" @click="take(option)">Do it there</button>
        </li>
      </ul>
    </div>
  </SheetDialog>
</template>

<style scoped>
.broke,
ul {
  display: grid;
  gap: 12px;
}
li {
  border-top: 1px solid var(--line);
  display: grid;
  gap: 4px;
  justify-items: start;
  padding-top: 10px;
}
</style>
