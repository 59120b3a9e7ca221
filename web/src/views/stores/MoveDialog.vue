<script setup lang="ts">
import { isSpooled, type MoveReason } from '@brannik/core'
import { computed, ref, watch } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import CountField from '../../components/CountField.vue'
import PickField from '../../components/PickField.vue'
import QuantityField from '../../components/QuantityField.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import TextField from '../../components/TextField.vue'
import GaugeField from '../log/GaugeField.vue'
import { useOutbox } from '../../shop/outbox.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import ContentsField from './ContentsField.vue'
import LeakTest from './LeakTest.vue'
import { type Container, type Counted, vesselOf } from './useOnHand.ts'

/** What came in, what went out, what is there, or what a container was filled with: one number, then it is done. */
export type Act = 'receive' | 'use' | 'count' | 'fill'
const open = defineModel<boolean>({ required: true })
const { item, act, from } = defineProps<{
  item: Counted | null
  act: Act
  /** The loose stock that a container is filled from. */
  from: Counted | null
}>()
const workspace = useWorkspace()
const notice = useNotice()
const outbox = useOutbox()

const value = ref<number | null>(null)
const problem = ref('')
const reason = ref<MoveReason>('used')
const jobId = ref<string | null>(null)
const note = ref('')
watch(open, () => {
  value.value = null
  problem.value = ''
  reason.value = act === 'receive' ? 'received' : 'used'
  jobId.value = null
  note.value = ''
})
const TITLES = { receive: 'Receive', use: 'Use', count: 'Count', fill: 'Fill' } as const
const LABELS = {
  receive: 'What came in',
  use: 'What went out',
  count: 'What is there now',
  fill: 'What went in',
} as const
const REASONS: Readonly<Record<'receive' | 'use', readonly (readonly [value: MoveReason, words: string])[]>> =
  {
    receive: [
      ['received', 'received'],
      ['returned', 'back from a job'],
    ],
    use: [
      ['used', 'used'],
      ['scrapped', 'scrapped'],
    ],
  }
const container = computed(() => (item && 'cylinder' in item ? (item as Container) : null))
const vessel = computed(() => {
  const cylinder = container.value?.cylinder ?? null
  const gas = workspace.get('gases', cylinder?.gasId ?? (item?.kind === 'gas' ? item.itemId : ''))
  return gas && vesselOf(gas, cylinder)
})
/** CO₂ shows no loss on its gauge. */
const canLeak = computed(() => (vessel.value?.co2Pct ?? 100) < 99)
const pricePerL = computed(() => {
  const gas = workspace.get(
    'gases',
    container.value?.cylinder?.gasId ?? (item?.kind === 'gas' ? item.itemId : ''),
  )
  return gas && gas.refillPrice !== null ? gas.refillPrice / gas.fullL : null
})
/** A spool is weighed with its wire; what is received or used is the wire alone. */
const read = computed(() => {
  const spool = act === 'count' ? (container.value?.spool ?? null) : null
  const wire = workspace.get('wires', spool?.wireId ?? (item?.kind === 'wire' ? item.itemId : ''))
  if (!wire) return null
  // Rods are counted by pieces too, wherever they lie.
  return spool || !isSpooled(wire) ? { spool, wire } : null
})
const isMass = computed(() => item?.kind === 'wire' || item?.kind === 'spool')
const jobs = computed(() =>
  workspace.jobs.filter(({ state }) => state === 'planned').map(({ id, name }) => ({ id, name })),
)

function tell(): boolean {
  if (!item) return false
  const amount = value.value
  if (amount === null || (act !== 'count' && amount <= 0)) {
    problem.value = 'Enter how much, for example 11 lb or 3 pieces.'
    return false
  }
  const source = act === 'fill' ? from : act === 'use' ? item : null
  if (source && source.amount !== null && amount > source.amount) {
    problem.value = `There are ${source.text}. Use less, or count it again.`
    return false
  }
  if (act === 'count' || item.amount === null) {
    const before = item.amount
    if (!workspace.edit('stock', item.id, { id: item.id, amount }, `count of ${item.name}`)) return false
    const lost = before === null ? 0 : before - amount
    notice.show(
      lost > 0 ? `Counted. ${item.print(lost)} less than the book said.` : `${item.name} is counted`,
      true,
    )
    return true
  }
  const change = act === 'use' ? -amount : amount
  const whatFor = {
    ...(jobId.value ? { jobId: jobId.value } : {}),
    ...(note.value.trim() ? { note: note.value.trim() } : {}),
  }
  const body =
    act === 'fill' && from
      ? { change, reason: 'moved' as const, other: from.id, ...whatFor }
      : { change, reason: reason.value as Exclude<MoveReason, 'counted'>, ...whatFor }
  outbox.record({ type: 'stock-movement', subject: item.id, body })
  notice.show(
    `${item.name}: ${item.print(amount)} ${act === 'use' ? reason.value : act === 'fill' ? 'filled' : 'received'}`,
  )
  return true
}
const save = (): void => {
  if (tell()) open.value = false
}
</script>

<template>
  <SheetDialog v-model="open" :title="item ? `${TITLES[act]}: ${item.name}` : ''" :width="420" close="Cancel">
    <div v-if="item" class="fields">
      <p class="quiet">
        {{ item.amount === null ? 'Not counted yet.' : `${item.text} on hand.` }}
        <template v-if="act === 'fill' && from">{{ from.text }} loose.</template>
        <template v-if="item.gauge && act === 'count'">The gauge should show {{ item.gauge }}.</template>
      </p>
      <ContentsField v-if="read" v-model="value" :spool="read.spool" :wire="read.wire" :label="LABELS[act]" />
      <QuantityField v-else-if="isMass" v-model="value" kind="mass" :label="LABELS[act]" />
      <GaugeField v-else-if="vessel" v-model="value" :gas="vessel" :label="LABELS[act]" />
      <CountField v-else v-model="value" :label="LABELS[act]" :least="0" :most="100000" optional="none" />
      <p v-if="read" class="label">
        {{
          isSpooled(read.wire)
            ? 'Weigh it with its spool, or measure down to the wire: 1 in deep.'
            : 'A weight, or pieces: 40 rods.'
        }}
      </p>
      <button v-if="act !== 'count'" class="plain-button full" @click="value = item.packSize">
        One full: {{ item.print(item.packSize) }}
      </button>
      <template v-if="act === 'receive' || act === 'use'">
        <PickField v-model="reason" label="Why" :items="REASONS[act]" />
        <ChoiceField v-model="jobId" label="For the job" :items="jobs" optional="no job" />
        <TextField v-model="note" label="Note" optional="none" :most="2000" />
      </template>
      <p v-if="vessel && act === 'count'" class="label">
        Close the cylinder valve before you read it. Keep it chained.
      </p>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <LeakTest v-if="canLeak && vessel && act === 'count'" :vessel="vessel" :price-per-l="pricePerL" />
    </div>
    <template #foot>
      <button class="plain-button main" @click="save">{{ TITLES[act] }}</button>
    </template>
  </SheetDialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 10px;
}
.full {
  justify-self: start;
}
@media (pointer: coarse) {
  .full {
    min-height: 48px;
  }
}
</style>
