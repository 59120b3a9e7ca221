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
import { ref } from 'vue'
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
const isBusy = ref(false)

interface FirstWeld {
  readonly kind: JointKind | null
  readonly material: string | null
  readonly thicknessMm: number | null
  readonly count: number | null
  readonly lengthMm: number | null
}
const welds = ref<readonly FirstWeld[]>([
  { kind: 'tee', material: 'hot-rolled', thicknessMm: 6.35, count: 4, lengthMm: 152.4 },
])
const change = (at: number, part: Partial<FirstWeld>): void => {
  welds.value = welds.value.map((one, index) => (index === at ? { ...one, ...part } : one))
}
/** A new weld is like the one before it. */
const add = (): void => {
  welds.value = [...welds.value, ...welds.value.slice(-1)]
}
const remove = (at: number): void => {
  welds.value = welds.value.filter((_, index) => index !== at)
}

/** Of plate; what goes round a tube is written in the job. */
const KINDS = JOINT_CHOICES.filter(({ around, kind: one }) => !around && one !== 'saddle').map(
  ({ kind: one, name: words }) => [one, words] as const,
)
const materials = MATERIAL_IDS.map((id) => ({ id, name: spell(MATERIALS[id].name) }))
const metalOf = ({ material }: FirstWeld): MaterialId => (material ?? 'hot-rolled') as MaterialId

function jointOf(weld: FirstWeld, at: number): Joint {
  const t = weld.thicknessMm ?? 6.35
  const base = newJoint(`w${at + 1}`, {
    materialA: metalOf(weld),
    materialB: metalOf(weld),
    thicknessAMm: t,
    thicknessBMm: t,
    // The leg then follows the thickness, as in the weld table.
    legMm: null,
    lengthMm: weld.lengthMm ?? 152.4,
    count: weld.count ?? 1,
  })
  return completeJoint({ ...base, kind: weld.kind ?? 'tee' })
}
async function see(): Promise<void> {
  if (isBusy.value) return
  isBusy.value = true
  const title = name.value.trim() || 'First job'
  const id = idFor(title, workspace.jobs)
  const job: Job = { ...newJob(id, title), joints: welds.value.map(jointOf) }
  workspace.edit('jobs', id, job, `new job ${title}`)
  try {
    const cells = await engine.ask(workspace.snapshot, 'setUpsFor', id)
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
    <TypedField v-model="name" class="name" label="Job" />
    <div v-for="(weld, at) in welds" :key="at" class="weld" role="group" :aria-label="`Weld ${at + 1}`">
      <PickField
        label="Joint"
        :items="KINDS"
        :model-value="weld.kind"
        @update:model-value="(kind) => change(at, { kind })"
      />
      <ChoiceField
        label="Metal"
        :items="materials"
        :model-value="weld.material"
        @update:model-value="(material) => change(at, { material })"
      />
      <QuantityField
        kind="thickness"
        label="Thickness"
        :metal="MATERIALS[metalOf(weld)].gauge"
        :model-value="weld.thicknessMm"
        @update:model-value="(thicknessMm) => change(at, { thicknessMm })"
      />
      <CountField
        label="Welds"
        :least="1"
        :most="100000"
        :model-value="weld.count"
        @update:model-value="(count) => change(at, { count })"
      />
      <QuantityField
        kind="length"
        label="Each long"
        :model-value="weld.lengthMm"
        @update:model-value="(lengthMm) => change(at, { lengthMm })"
      />
      <button
        v-if="welds.length > 1"
        class="link-button"
        type="button"
        :aria-label="`Remove weld ${at + 1}`"
        @click="remove(at)"
      >
        Remove
      </button>
    </div>
    <div class="go">
      <button class="plain-button" type="button" @click="add">Add another weld</button>
      <button class="plain-button main" :disabled="isBusy">Find set-ups</button>
    </div>
  </form>
</template>

<style scoped>
.job {
  display: grid;
  gap: 10px;
}
.name {
  max-width: 320px;
}
.weld {
  align-items: start;
  display: grid;
  gap: 10px 12px;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
}
.weld > button {
  align-self: end;
}
.go {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
