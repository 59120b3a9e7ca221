<script setup lang="ts">
import type { WeekBlock } from '@brannik/core'
import { computed, ref, watch } from 'vue'
import CountField from '../../components/CountField.vue'
import PickField from '../../components/PickField.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { useOutbox } from '../../shop/outbox.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import GaugeField from '../log/GaugeField.vue'
import ContentsField from '../stores/ContentsField.vue'
import { vesselOf } from '../stores/useOnHand.ts'
import { usePrint } from '../../stores/usePrint.ts'

/** Two numbers: what it took, and what it used. */
const open = defineModel<boolean>({ required: true })
const { block, workedMin } = defineProps<{ block: WeekBlock | null; workedMin: number }>()
const emit = defineEmits<{ done: [minutes: number] }>()
const workspace = useWorkspace()
const outbox = useOutbox()
const { print } = usePrint()

const minutes = ref<number | null>(null)
/** What is there after it, as it is read. */
const left = ref<number | null>(null)
const itemAt = ref<'wire' | 'gas'>('wire')
const problem = ref('')
watch(open, () => {
  minutes.value = Math.max(1, Math.round(workedMin))
  left.value = null
  problem.value = ''
  itemAt.value = items.value[0]?.[0] ?? 'wire'
})
watch(itemAt, () => (left.value = null))
const setUp = computed(() => block && workspace.get('set-ups', block.setUpId))
const wire = computed(() => workspace.get('wires', setUp.value?.wireId ?? '') ?? null)
const gas = computed(() => workspace.get('gases', setUp.value?.gasId ?? '') ?? null)
/** Open on the machine; without one it is what is loose. */
const spool = computed(
  () =>
    workspace
      .all('spools')
      .find(({ wireId, openOnId }) => wireId === wire.value?.id && openOnId === setUp.value?.powerSourceId) ??
    null,
)
const cylinder = computed(
  () =>
    workspace
      .all('cylinders')
      .find(({ gasId, openOnId }) => gasId === gas.value?.id && openOnId === setUp.value?.powerSourceId) ??
    null,
)
const stockOf = computed(() => ({
  wire: spool.value ? `spool.${spool.value.id}` : `wire.${wire.value?.id ?? ''}`,
  gas: cylinder.value ? `cylinder.${cylinder.value.id}` : `gas.${gas.value?.id ?? ''}`,
}))
const amountOf = (id: string): number | null =>
  workspace.all('stock').find((one) => one.id === id)?.amount ?? null
/** Only what was counted can be less than before. */
const items = computed(() => [
  ...(wire.value && amountOf(stockOf.value.wire) !== null ? [['wire', 'Spool or pack'] as const] : []),
  ...(gas.value && amountOf(stockOf.value.gas) !== null ? [['gas', 'Gauge'] as const] : []),
])
const before = computed(() => amountOf(stockOf.value[itemAt.value]))
const unit = computed(() => (itemAt.value === 'wire' ? 'g' : 'L'))

function save(): void {
  if (!block || minutes.value === null) {
    problem.value = 'Enter the minutes that it took, for example 95.'
    return
  }
  if (left.value !== null && before.value !== null) {
    const used = before.value - left.value
    if (used < 0) {
      problem.value = `There were ${print(before.value, unit.value)} before. Enter less, or count it again in Stores.`
      return
    }
    if (used > 0)
      outbox.record({
        type: 'stock-movement',
        subject: stockOf.value[itemAt.value],
        body: { change: -used, reason: 'used', jobId: block.jobId },
      })
  }
  emit('done', minutes.value)
  open.value = false
}
</script>

<template>
  <SheetDialog v-model="open" :title="block ? `Done: ${block.jobName}` : ''" :width="420" close="Cancel">
    <form class="fields" @submit.prevent="save">
      <CountField v-model="minutes" label="Minutes, without pauses" :least="1" :most="100000" />
      <PickField v-if="items.length > 1" v-model="itemAt" :items="items" label="Measured" />
      <template v-if="items.length > 0">
        <ContentsField
          v-if="itemAt === 'wire' && wire"
          v-model="left"
          :spool="spool"
          :wire="wire"
          label="Left on the spool or in the pack"
        />
        <GaugeField
          v-else-if="gas"
          v-model="left"
          :gas="vesselOf(gas, cylinder)"
          label="Gauge or volume now"
        />
        <p v-if="before !== null" class="label">
          {{ print(before, unit) }} before it. What is less is taken for this job.
        </p>
      </template>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <button class="plain-button main" type="submit">Save as done</button>
    </form>
  </SheetDialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 10px;
}
</style>
