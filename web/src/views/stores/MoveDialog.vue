<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import QuantityField from '../../components/QuantityField.vue'
import CountField from '../../components/CountField.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import GaugeField from '../log/GaugeField.vue'
import { useOutbox } from '../../shop/outbox.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import type { OnHand } from './useOnHand.ts'

/** What came in, what went out, or what is there: one number, then it is done. */
const open = defineModel<boolean>({ required: true })
const { item, act } = defineProps<{ item: OnHand | null; act: 'receive' | 'use' | 'count' }>()
const workspace = useWorkspace()
const notice = useNotice()
const outbox = useOutbox()

const value = ref<number | null>(null)
const problem = ref('')
watch(open, () => {
  value.value = null
  problem.value = ''
})
const TITLES = { receive: 'Receive', use: 'Use', count: 'Count' } as const
const LABELS = { receive: 'What came in', use: 'What went out', count: 'What is there now' } as const
const gas = computed(() => (item?.kind === 'gas' ? workspace.get('gases', item.itemId) : null))

function save(): void {
  if (!item) return
  const amount = value.value
  if (amount === null || (act !== 'count' && amount <= 0)) {
    problem.value = 'Enter how much, for example 11 lb or 3 pieces.'
    return
  }
  if (act === 'use' && item.amount !== null && amount > item.amount) {
    problem.value = `There are ${item.text}. Use less, or count it again.`
    return
  }
  if (act === 'count' || item.amount === null) {
    const before = item.amount
    if (!workspace.edit('stock', item.id, { id: item.id, amount }, `count of ${item.name}`)) return
    const lost = before === null ? 0 : before - amount
    notice.show(
      lost > 0 ? `Counted. ${item.print(lost)} less than the book said.` : `${item.name} is counted`,
      true,
    )
  } else {
    const change = act === 'use' ? -amount : amount
    outbox.record({ type: 'stock-movement', subject: item.id, body: { change } })
    notice.show(`${item.name}: ${item.print(amount)} ${act === 'use' ? 'used' : 'received'}`)
  }
  open.value = false
}
</script>

<template>
  <SheetDialog v-model="open" :title="item ? `${TITLES[act]}: ${item.name}` : ''" :width="420" close="Cancel">
    <template v-if="item">
      <p class="quiet">{{ item.amount === null ? 'Not counted yet.' : `${item.text} on hand.` }}</p>
      <QuantityField v-if="item.kind === 'wire'" v-model="value" kind="mass" :label="LABELS[act]" />
      <GaugeField v-else-if="gas" v-model="value" :gas="gas" :label="LABELS[act]" />
      <CountField v-else v-model="value" :label="LABELS[act]" :least="0" :most="100000" optional="none" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </template>
    <template #foot>
      <button class="plain-button main" @click="save">{{ TITLES[act] }}</button>
    </template>
  </SheetDialog>
</template>
