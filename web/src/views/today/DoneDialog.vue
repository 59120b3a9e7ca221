<script setup lang="ts">
import type { WeekBlock } from '@brannik/core'
import { computed, ref, watch } from 'vue'
import CountField from '../../components/CountField.vue'
import PickField from '../../components/PickField.vue'
import QuantityField from '../../components/QuantityField.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { useOutbox } from '../../shop/outbox.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { usePrint } from '../../stores/usePrint.ts'

/** Two numbers: what it took, and what it used. */
const open = defineModel<boolean>({ required: true })
const { block, workedMin } = defineProps<{ block: WeekBlock | null; workedMin: number }>()
const emit = defineEmits<{ done: [minutes: number] }>()
const workspace = useWorkspace()
const notice = useNotice()
const outbox = useOutbox()
const { print } = usePrint()

const minutes = ref<number | null>(null)
const used = ref<number | null>(null)
const itemAt = ref<'wire' | 'gas'>('wire')
const problem = ref('')
watch(open, () => {
  minutes.value = Math.max(1, Math.round(workedMin))
  used.value = null
  problem.value = ''
  itemAt.value = items.value[0]?.[0] ?? 'wire'
})
const setUp = computed(() => block && workspace.get('set-ups', block.setUpId))
/** From the container that is open on the machine, else from what is loose. */
const stockOf = computed(() => {
  const { value } = setUp
  const cylinder = workspace
    .all('cylinders')
    .find(({ gasId, openOnId }) => gasId === value?.gasId && openOnId === value.powerSourceId)
  const spool = workspace
    .all('spools')
    .find(({ wireId, openOnId }) => wireId === value?.wireId && openOnId === value.powerSourceId)
  return {
    wire: spool ? `spool.${spool.id}` : value?.wireId ? `wire.${value.wireId}` : null,
    gas: cylinder ? `cylinder.${cylinder.id}` : value?.gasId ? `gas.${value.gasId}` : null,
  }
})
const items = computed(() => [
  ...(stockOf.value.wire ? [['wire', 'Wire used'] as const] : []),
  ...(stockOf.value.gas ? [['gas', 'Gas used'] as const] : []),
])
const onHand = computed(() => {
  const id = stockOf.value[itemAt.value]
  return id === null ? null : (workspace.all('stock').find((one) => one.id === id)?.amount ?? null)
})
const unit = computed(() => (itemAt.value === 'wire' ? 'g' : 'L'))

function save(): void {
  if (!block || minutes.value === null) {
    problem.value = 'Enter the minutes that it took, for example 95.'
    return
  }
  const id = stockOf.value[itemAt.value]
  if (used.value !== null && used.value > 0 && id !== null) {
    if (onHand.value !== null && used.value > onHand.value) {
      problem.value = `There are ${print(onHand.value, unit.value)} on hand. Enter less, or count it again in Stores.`
      return
    }
    if (onHand.value === null) notice.show('The use is not taken from the stores: it was never counted.')
    else
      outbox.record({
        type: 'stock-movement',
        subject: id,
        body: { change: -used.value, reason: 'used', jobId: block.jobId },
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
      <QuantityField
        v-if="items.length > 0"
        v-model="used"
        :kind="itemAt === 'wire' ? 'mass' : 'gasVolume'"
        :label="itemAt === 'wire' ? 'Wire used' : 'Gas used'"
        optional="not measured"
      />
      <p v-if="items.length > 0" class="label">
        The spool before less the spool after, or the gauge before less after.
      </p>
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
