<script setup lang="ts">
import {
  couponPasses,
  type Evidence,
  jointName,
  leakRate,
  type Job,
  VISUAL_LISTS,
  type VisualList,
  visualItems,
  visualListName,
  visualText,
  weldSubject,
} from '@brannik/core'
import { computed, reactive, ref, watch } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import CountField from '../../components/CountField.vue'
import QuantityField from '../../components/QuantityField.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import TextField from '../../components/TextField.vue'
import { engine } from '../../engine/client.ts'
import { useOutbox } from '../../shop/outbox.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { reasonOf } from '../../reason.ts'
import { smallPicture } from './evidencePicture.ts'

/** One piece of evidence: a list for the eye, a cut and etched coupon, or a leak test. */
const open = defineModel<boolean>({ required: true })
const { job } = defineProps<{ job: Job }>()
const emit = defineEmits<{ saved: [] }>()
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const outbox = useOutbox(() => emit('saved'))

const KINDS = [
  { id: 'visual', name: 'Visual list' },
  { id: 'coupon', name: 'Cut and etched coupon' },
  { id: 'leak', name: 'Leak test' },
]
const LISTS = VISUAL_LISTS.map((id) => ({ id, name: visualListName(id) }))
const fields = reactive({
  kind: 'visual' as Evidence['kind'],
  jointId: '',
  setUpId: null as string | null,
  by: '',
  list: 'd1.1-static' as VisualList,
  items: {} as Record<string, boolean | undefined>,
  legMm: null as number | null,
  throatMm: null as number | null,
  isRootReached: false,
  picture: null as string | null,
  volumeL: null as number | null,
  startKPa: null as number | null,
  endKPa: null as number | null,
  minutes: null as number | null,
  mostPaM3PerS: null as number | null,
  note: '',
})
const problem = ref('')
watch(open, (isOpen) => {
  if (!isOpen) return
  problem.value = ''
  Object.assign(fields, {
    jointId: job.joints[0]?.id ?? '',
    setUpId: job.setUpId ?? workspace.setUps[0]?.id ?? null,
    by: session.me?.who ?? '',
    list: workspace.shop?.ruleBook === 'international' ? 'iso5817-c' : 'd1.1-static',
    items: {},
    legMm: null,
    throatMm: null,
    isRootReached: false,
    picture: null,
    volumeL: null,
    startKPa: null,
    endKPa: null,
    minutes: null,
    mostPaM3PerS: null,
    note: '',
  })
})
const joint = computed(() => job.joints.find(({ id }) => id === fields.jointId) ?? null)
const weldItems = computed(() =>
  job.joints.map((one, index) => ({ id: one.id, name: `${index + 1} ${jointName(one)}` })),
)
const setUpItems = computed(() => workspace.setUps.map(({ id, name }) => ({ id, name })))
const visual = computed(() => (joint.value ? visualItems(fields.list, joint.value) : []))
const leak = computed(() => {
  const { volumeL, startKPa, endKPa, minutes } = fields
  return volumeL === null || startKPa === null || endKPa === null || minutes === null || minutes <= 0
    ? null
    : leakRate({ volumeL, startKPa, endKPa, minutes })
})

async function takePicture(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  try {
    fields.picture = await smallPicture(file)
    problem.value = ''
  } catch (error) {
    problem.value = reasonOf(error)
  }
}

/** What was found, or what is missing to say it. */
function ownPart(): Partial<Evidence> | string {
  if (fields.kind === 'visual') {
    const items = Object.fromEntries(Object.entries(fields.items).filter(([, met]) => met !== undefined))
    if (Object.keys(items).length === 0) return 'Tick what you looked at: met or not met.'
    const isWhole = visual.value.every(({ code }) => items[code] === true)
    return {
      kind: 'visual',
      list: fields.list,
      items: items as Record<string, boolean>,
      result: isWhole ? 'passed' : 'failed',
    }
  }
  if (fields.kind === 'coupon') {
    const { legMm, throatMm, isRootReached, picture } = fields
    const passes = couponPasses({ legMm, throatMm, isRootReached }, joint.value?.legMm ?? null)
    return { kind: 'coupon', legMm, throatMm, isRootReached, picture, result: passes ? 'passed' : 'failed' }
  }
  const { volumeL, startKPa, endKPa, minutes, mostPaM3PerS } = fields
  if (volumeL === null || startKPa === null || endKPa === null || minutes === null || leak.value === null)
    return 'Enter volume, both pressures and the time.'
  if (mostPaM3PerS === null) return 'Enter the leak that is still accepted.'
  const result = leak.value <= mostPaM3PerS ? 'passed' : 'failed'
  return { kind: 'leak', volumeL, startKPa, endKPa, minutes, mostPaM3PerS, result }
}

async function save(): Promise<void> {
  const own = ownPart()
  if (typeof own === 'string') {
    problem.value = own
    return
  }
  if (fields.by === '' || fields.setUpId === null) {
    problem.value = 'Enter who looked, and with which set-up it was welded.'
    return
  }
  const found = await engine.ask(workspace.snapshot, 'trial', job.id, fields.setUpId, fields.jointId, {
    settings: null,
    sign: null,
    ruledOut: [],
  })
  if (!found) {
    problem.value = 'A part of this set-up is missing. Complete the set-up first.'
    return
  }
  const { process, wireId, gasId, thicknessMm, position, setUpName } = found.record
  const body = {
    ...own,
    takenAt: new Date().toISOString(),
    by: fields.by,
    setUpId: fields.setUpId,
    setUpName,
    jobName: job.name,
    process,
    wireId,
    gasId,
    thicknessMm,
    position,
    note: fields.note,
  } as Evidence
  outbox.record({ type: 'evidence-taken', subject: weldSubject(job.id, fields.jointId), body })
  notice.show(body.result === 'passed' ? 'Evidence saved: passed' : 'Evidence saved: not passed')
  open.value = false
}
</script>

<template>
  <SheetDialog v-model="open" title="Add evidence" :width="680" close="Cancel">
    <div class="fields">
      <ChoiceField
        label="Kind"
        :items="KINDS"
        :model-value="fields.kind"
        @update:model-value="(id) => id && (fields.kind = id as Evidence['kind'])"
      />
      <ChoiceField
        label="Weld"
        :items="weldItems"
        :model-value="fields.jointId"
        @update:model-value="(id) => id && (fields.jointId = id)"
      />
      <ChoiceField
        label="Set-up"
        :items="setUpItems"
        :model-value="fields.setUpId"
        @update:model-value="(id) => (fields.setUpId = id)"
      />
      <TextField v-model="fields.by" label="Looked at by" empty="The name is empty. Enter who looked." />
    </div>
    <template v-if="fields.kind === 'visual'">
      <ChoiceField
        label="List"
        :items="LISTS"
        :model-value="fields.list"
        @update:model-value="(id) => id && ((fields.list = id as VisualList), (fields.items = {}))"
      />
      <p class="quiet">Figures from memory. The code that the contract names decides.</p>
      <ul class="items">
        <li v-for="one in visual" :key="one.code">
          <span>{{ visualText(workspace.speech, one) }}</span>
          <span class="acts" role="group" :aria-label="visualText(workspace.speech, one)">
            <button
              class="plain-button"
              :class="{ main: fields.items[one.code] === true }"
              :aria-pressed="fields.items[one.code] === true"
              @click="fields.items[one.code] = true"
            >
              Met
            </button>
            <button
              class="plain-button"
              :class="{ main: fields.items[one.code] === false }"
              :aria-pressed="fields.items[one.code] === false"
              @click="fields.items[one.code] = false"
            >
              Not met
            </button>
          </span>
        </li>
      </ul>
    </template>
    <template v-else-if="fields.kind === 'coupon'">
      <p class="quiet">
        Cut across the weld, grind, polish, etch. Etchant burns: gloves, glasses, air. Let the coupon cool
        first.
      </p>
      <div class="fields">
        <QuantityField v-model="fields.legMm" kind="weldSize" label="Leg" optional="not measured" />
        <QuantityField v-model="fields.throatMm" kind="weldSize" label="Throat" optional="not measured" />
      </div>
      <label class="check"
        ><input v-model="fields.isRootReached" type="checkbox" /> Fused to the root, on both parts</label
      >
      <label class="check"
        >Picture, if you have one <input type="file" accept="image/*" @change="takePicture"
      /></label>
      <img v-if="fields.picture" :src="fields.picture" alt="Cut and etched section" height="96" />
    </template>
    <template v-else>
      <p class="caution">
        Compressed air stores energy. Test with water, or keep the pressure low, stand clear and use a relief
        valve.
      </p>
      <div class="fields">
        <CountField
          v-model="fields.volumeL"
          label="Volume"
          :least="0.001"
          :most="1000000"
          unit="L"
          decimals
          optional="not set"
        />
        <CountField
          v-model="fields.startKPa"
          label="Pressure at the start"
          :least="-101"
          :most="5000"
          unit="kPa"
          decimals
          optional="not set"
        />
        <CountField
          v-model="fields.endKPa"
          label="Pressure at the end"
          :least="-101"
          :most="5000"
          unit="kPa"
          decimals
          optional="not set"
        />
        <CountField
          v-model="fields.minutes"
          label="Time"
          :least="0.1"
          :most="100000"
          unit="min"
          decimals
          optional="not set"
        />
        <CountField
          v-model="fields.mostPaM3PerS"
          label="Accepted leak, Pa·m³/s"
          :least="0"
          :most="1000"
          decimals
          optional="not set"
        />
      </div>
      <p v-if="leak !== null">
        Leaks {{ leak.toPrecision(2) }} Pa·m³/s, {{ (leak * 10).toPrecision(2) }} mbar·L/s. A degree warmer or
        colder moves the pressure by a third of a percent.
      </p>
    </template>
    <TextField v-model="fields.note" label="Note" :most="2000" optional="none" />
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template #foot>
      <button class="plain-button main" @click="save">Save evidence</button>
    </template>
  </SheetDialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 10px 14px;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
}
.items li {
  align-items: center;
  border-top: 1px solid var(--line);
  display: flex;
  gap: 10px;
  justify-content: space-between;
  padding: 4px 0;
}
.acts {
  display: flex;
  flex: none;
  gap: 6px;
}
.check {
  align-items: center;
  display: flex;
  gap: 8px;
  min-height: 32px;
}
.caution {
  border-left: 3px solid var(--tight);
  padding: 2px 10px;
}
@media (pointer: coarse) {
  .acts button,
  .check {
    min-height: 44px;
  }
}
</style>
