<script setup lang="ts">
import {
  OUTCOMES,
  planOfWelds,
  type RecordStart,
  RECORD_STATES,
  SETTING_KEYS,
  type WeldOutcome,
  type WeldRecord,
  type WeldSettings,
} from '@brannik/core'
import { computed, reactive, ref, watch } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import CountField from '../../components/CountField.vue'
import DateField from '../../components/DateField.vue'
import QuantityField from '../../components/QuantityField.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import TextField from '../../components/TextField.vue'
import { useSession } from '../../shop/session.ts'
import { shopDay } from '../../shop/shopTime.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import GaugeField from './GaugeField.vue'
import { OUTCOME_WORDS, QUANTITY_OF, SETTING_TITLES, STATE_WORDS } from './logWords.ts'
import { weldedAtOf } from './weldedAt.ts'

/** A row of the log, written or corrected: what was set, what came of it, and two readings of spool and cylinder. */
const open = defineModel<boolean>({ required: true })
const {
  start,
  row = null,
  title,
} = defineProps<{
  title: string
  /** What a new row begins with. */
  start: RecordStart | null
  /** The row that is corrected; null for a new one. */
  row?: WeldRecord | null
}>()
const emit = defineEmits<{ save: [body: WeldRecord] }>()
const workspace = useWorkspace()
const session = useSession()

const LIMITS = { voltsV: [5, 100, 'V'], currentA: [1, 2000, 'A'] } as const
const STATES = RECORD_STATES.filter((one) => one !== 'planned').map((id) => ({ id, name: STATE_WORDS[id] }))
const OUTCOME_ITEMS = OUTCOMES.map((id) => ({ id, name: OUTCOME_WORDS[id] }))
const BREAKER_ITEMS = [
  { id: 'held', name: 'Held' },
  { id: 'tripped', name: 'Tripped' },
]

const fields = reactive({
  state: 'done' as WeldRecord['state'],
  outcome: null as WeldOutcome | null,
  welder: '',
  day: null as string | null,
  welds: 1 as number | null,
  minutes: null as number | null,
  settings: {} as WeldSettings,
  beadWidthMm: null as number | null,
  legMm: null as number | null,
  spoolBefore: null as number | null,
  spoolAfter: null as number | null,
  gasBefore: null as number | null,
  gasAfter: null as number | null,
  breaker: null as WeldRecord['breaker'],
  note: '',
})
const problem = ref('')
watch(open, (isOpen) => {
  if (!isOpen) return
  problem.value = ''
  const from = row ?? start
  if (!from) return
  Object.assign(fields, {
    state: from.state === 'planned' ? 'done' : from.state,
    outcome: from.outcome,
    welder: row?.welder ?? session.me?.who ?? '',
    day: shopDay(row?.weldedAt ?? new Date(), workspace.timeZone),
    welds: from.welds,
    minutes: from.minutes,
    settings: { ...from.settings },
    beadWidthMm: from.beadWidthMm,
    legMm: from.legMm,
    spoolBefore: from.spool?.before ?? null,
    spoolAfter: from.spool?.after ?? null,
    gasBefore: from.cylinder?.before ?? null,
    gasAfter: from.cylinder?.after ?? null,
    breaker: from.breaker,
    note: from.note,
  })
})
const shape = computed(() => row ?? start)
const gas = computed(() => (shape.value?.gasId ? workspace.get('gases', shape.value.gasId) : null))
/** A setting that the process has; what is not there cannot be set. */
const keys = computed(() => SETTING_KEYS.filter((key) => shape.value?.chart[key] !== null))

/** Two readings that go together: both or neither, and less after than before. */
function pair(
  before: number | null,
  after: number | null,
  what: string,
): { before: number; after: number } | null {
  if (before === null && after === null) return null
  if (before === null || after === null)
    throw new Error(`${what}: enter both readings, before and after, or none.`)
  if (after > before)
    throw new Error(`${what}: more after than before. Swap the two, or enter what was added.`)
  return { before, after }
}

function save(): void {
  const from = shape.value
  if (!from) return
  try {
    const now = new Date()
    const day = fields.day ?? shopDay(now, workspace.timeZone)
    const welds = fields.welds ?? 1
    emit('save', {
      ...from,
      weldedAt: weldedAtOf(day, row?.weldedAt ?? null, now, workspace.timeZone),
      welder: fields.welder || null,
      setUpVersion:
        row?.setUpVersion ?? (from.setUpId ? workspace.versionOf('set-ups', from.setUpId) || null : null),
      state: fields.state,
      outcome: fields.outcome,
      welds,
      minutes: fields.minutes,
      settings: { ...fields.settings },
      beadWidthMm: fields.beadWidthMm,
      legMm: fields.legMm,
      spool: pair(fields.spoolBefore, fields.spoolAfter, 'Spool weight'),
      cylinder: pair(fields.gasBefore, fields.gasAfter, 'Cylinder'),
      breaker: fields.breaker,
      note: fields.note,
      plan: row ? row.plan : planOfWelds(from, welds),
    })
    open.value = false
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <SheetDialog v-model="open" :title="title" :width="640" close="Cancel">
    <div class="fields">
      <ChoiceField
        :model-value="fields.state"
        label="State"
        :items="STATES"
        @update:model-value="(id) => id && (fields.state = id as WeldRecord['state'])"
      />
      <ChoiceField
        :model-value="fields.outcome"
        label="Outcome"
        :items="OUTCOME_ITEMS"
        optional="not recorded"
        @update:model-value="(id) => (fields.outcome = id as WeldOutcome | null)"
      />
      <TextField v-model="fields.welder" label="Welder" optional="not recorded" />
      <DateField v-model="fields.day" label="Day" />
      <CountField v-model="fields.welds" label="Welds" :least="1" :most="100000" />
      <CountField
        v-model="fields.minutes"
        label="Time, all of it"
        :least="0"
        :most="100000"
        unit="min"
        decimals
        optional="not timed"
      />
      <template v-for="key in keys" :key="key">
        <CountField
          v-if="key === 'voltsV' || key === 'currentA'"
          v-model="fields.settings[key]"
          :label="SETTING_TITLES[key]"
          :least="LIMITS[key][0]"
          :most="LIMITS[key][1]"
          :unit="LIMITS[key][2]"
          decimals
          optional="not recorded"
        />
        <QuantityField
          v-else
          v-model="fields.settings[key]"
          :kind="QUANTITY_OF[key]"
          :label="SETTING_TITLES[key]"
          optional="not recorded"
        />
      </template>
      <QuantityField
        v-model="fields.beadWidthMm"
        kind="weldSize"
        label="Bead width"
        optional="not measured"
      />
      <QuantityField v-model="fields.legMm" kind="weldSize" label="Leg" optional="not measured" />
      <template v-if="shape?.wireId">
        <QuantityField v-model="fields.spoolBefore" kind="mass" label="Spool before" optional="not weighed" />
        <QuantityField v-model="fields.spoolAfter" kind="mass" label="Spool after" optional="not weighed" />
      </template>
      <template v-if="shape?.gasId">
        <GaugeField v-model="fields.gasBefore" :gas="gas" label="Cylinder before" />
        <GaugeField v-model="fields.gasAfter" :gas="gas" label="Cylinder after" />
      </template>
      <ChoiceField
        :model-value="fields.breaker"
        label="Breaker"
        :items="BREAKER_ITEMS"
        optional="not recorded"
        @update:model-value="(id) => (fields.breaker = id as WeldRecord['breaker'])"
      />
    </div>
    <TextField v-model="fields.note" label="Note" :most="2000" optional="none" />
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template #foot>
      <button class="plain-button main" @click="save">Save to the log</button>
    </template>
  </SheetDialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 10px 14px;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
}
</style>
