<script setup lang="ts">
import {
  completeJoint,
  type Job,
  type Joint,
  type JointKind,
  JOINT_CHOICES,
  MATERIAL_IDS,
  type MaterialId,
  MATERIALS,
  newJob,
  newJoint,
  VERDICT_RANK,
} from '@brannik/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import ChoiceField from '../../components/ChoiceField.vue'
import CountField from '../../components/CountField.vue'
import PickField from '../../components/PickField.vue'
import QuantityField from '../../components/QuantityField.vue'
import TypedField from '../../components/TypedField.vue'
import { engine } from '../../engine/client.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { idFor } from '../jobs/idFor.ts'

/** The first job: one weld in a few fields, then its fit with the set-up that does it best. */
const workspace = useWorkspace()
const { spell } = usePrint()
const router = useRouter()

const name = ref('First job')
const kind = ref<JointKind | null>('tee')
const material = ref<string | null>('hot-rolled')
const thicknessMm = ref<number | null>(6.35)
const lengthMm = ref<number | null>(152.4)
const count = ref<number | null>(4)
const isBusy = ref(false)

/** Of plate; what goes round a tube is written in the job. */
const KINDS = JOINT_CHOICES.filter(({ around, kind: one }) => !around && one !== 'saddle').map(
  ({ kind: one, name: words }) => [one, words] as const,
)
const materials = MATERIAL_IDS.map((id) => ({ id, name: spell(MATERIALS[id].name) }))
const metal = computed(() => MATERIALS[(material.value ?? 'hot-rolled') as MaterialId].gauge)

/** A fillet as thick as its part, up to what one bead makes. */
const MOST_LEG_MM = 6.35
function jointOf(): Joint {
  const t = thicknessMm.value ?? 6.35
  const base = newJoint('w1', {
    materialA: (material.value ?? 'hot-rolled') as MaterialId,
    materialB: (material.value ?? 'hot-rolled') as MaterialId,
    thicknessAMm: t,
    thicknessBMm: t,
    legMm: Math.min(t, MOST_LEG_MM),
    lengthMm: lengthMm.value ?? 152.4,
    count: count.value ?? 1,
  })
  return completeJoint({ ...base, kind: kind.value ?? 'tee' })
}
async function see(): Promise<void> {
  if (isBusy.value) return
  isBusy.value = true
  const title = name.value.trim() || 'First job'
  const id = idFor(title, workspace.jobs)
  const job: Job = { ...newJob(id, title), joints: [jointOf()] }
  workspace.edit('jobs', id, job, `new job ${title}`)
  try {
    const cells = await engine.ask(
      workspace.snapshot,
      'board',
      [id],
      workspace.setUps.map((one) => one.id),
    )
    const [best] = [...cells].sort((a, b) => VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict])
    if (best) workspace.edit('jobs', id, { ...job, setUpId: best.setUpId }, `set-up of ${title}`)
  } finally {
    isBusy.value = false
    await router.push({ name: 'fit', params: { jobId: id } })
  }
}
</script>

<template>
  <form class="job" @submit.prevent="see">
    <TypedField v-model="name" label="Job" />
    <PickField v-model="kind" label="Joint" :items="KINDS" />
    <ChoiceField v-model="material" label="Metal" :items="materials" />
    <QuantityField v-model="thicknessMm" kind="thickness" label="Thickness" :metal="metal" />
    <CountField v-model="count" label="Welds" :least="1" :most="100000" />
    <QuantityField v-model="lengthMm" kind="length" label="Each long" />
    <button class="plain-button main" :disabled="isBusy">Find set-ups</button>
  </form>
</template>

<style scoped>
.job {
  align-items: end;
  display: grid;
  gap: 10px 12px;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
}
.job button {
  min-height: 34px;
}
</style>
