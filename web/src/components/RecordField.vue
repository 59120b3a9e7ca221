<script setup lang="ts" generic="R extends object">
import { type GaugeTableId, PLANNED_FIELDS, type PlannedKind, type QuantityKind } from '@brannik/core'
import { computed } from 'vue'
import { usePrint } from '../stores/usePrint.ts'
import ChoiceField from './ChoiceField.vue'
import CountField from './CountField.vue'
import QuantityField from './QuantityField.vue'

/**
 * One figure or reference of a job, a weld or a set-up, as its schema describes it: bounds, unit, whether it may stay empty.
 * What the screen calls otherwise than the schema is given beside it.
 */
const {
  of,
  name,
  record,
  label,
  optional,
  most,
  decimals = undefined,
  quantity,
  metal,
  what,
} = defineProps<{
  of: PlannedKind
  name: keyof R & string
  record: R
  /** For the undo: `pieces`. */
  what: string
  label?: string
  /** What an empty field means; an empty text: it must be filled. */
  optional?: string | undefined
  most?: number
  decimals?: boolean
  quantity?: QuantityKind
  metal?: GaugeTableId | undefined
  /** What may be chosen, where it names a record. */
  items?: readonly { readonly id: string; readonly name: string; readonly note?: string }[]
}>()
const emit = defineEmits<{ change: [part: Partial<R>, what: string] }>()

const { spell } = usePrint()
const spec = computed(() => {
  const found = PLANNED_FIELDS[of].find(({ path }) => path[0] === name)
  if (!found) throw new RangeError(`a ${of} has no field ${name}`)
  return found
})
const title = computed(() => spell(label ?? spec.value.label))
const whenEmpty = computed(() => optional ?? spec.value.optional ?? '')
const value = computed(() => record[name] as never)
function set(now: unknown): void {
  if (now !== null || whenEmpty.value !== '') emit('change', { [name]: now } as Partial<R>, what)
}
</script>

<template>
  <QuantityField
    v-if="spec.kind === 'quantity'"
    :kind="quantity ?? spec.quantity"
    :label="title"
    :optional="whenEmpty"
    :metal="metal"
    :model-value="value"
    @update:model-value="set"
  />
  <CountField
    v-else-if="spec.kind === 'number'"
    :label="title"
    :least="spec.least"
    :most="most ?? spec.most"
    :unit="spec.unit"
    :decimals="decimals ?? spec.decimals"
    :optional="whenEmpty"
    :model-value="value"
    @update:model-value="set"
  />
  <ChoiceField
    v-else
    :label="title"
    :items="items ?? []"
    :optional="whenEmpty"
    :model-value="value"
    @update:model-value="set"
  />
</template>
