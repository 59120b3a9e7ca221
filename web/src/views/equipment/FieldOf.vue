<script setup lang="ts">
import { computed, useId } from 'vue'
import CountField from '../../components/CountField.vue'
import FieldFrame from '../../components/FieldFrame.vue'
import PickField from '../../components/PickField.vue'
import QuantityField from '../../components/QuantityField.vue'
import TypedField from '../../components/TypedField.vue'
import { choicesOf, type FieldSpec } from './forms.ts'

/** One field of a record by its description: what cannot stand keeps its text and says why. */
const { spec, value, wrong } = defineProps<{
  spec: FieldSpec
  value: unknown
  /** What the whole record has against it. */
  wrong: string | null
}>()
const emit = defineEmits<{ change: [value: unknown] }>()

const id = useId()
const asNumber = computed(() => (typeof value === 'number' ? value : null))
const asText = computed(() => (value === null || value === undefined ? '' : String(value)))
const list = computed<readonly unknown[]>(() => (Array.isArray(value) ? value : []))
function onText(text: string): void {
  if (text !== asText.value) emit('change', text === '' && spec.optional !== undefined ? null : text)
}
const choices = computed(() => ('choices' in spec ? choicesOf(spec) : []))
/** Choices of numbers are numbers again. */
const choiceOf = (text: string): string | number =>
  'choices' in spec ? (spec.choices.find((one) => String(one) === text) ?? text) : text
const YES_NO = [
  [true, 'yes'],
  [false, 'no'],
] as const
const asYesNo = computed(() => (typeof value === 'boolean' ? value : null))
function toggle(one: string | number): void {
  emit(
    'change',
    list.value.includes(one) ? list.value.filter((other) => other !== one) : [...list.value, one],
  )
}
</script>

<template>
  <QuantityField
    v-if="spec.kind === 'quantity'"
    :kind="spec.quantity"
    :label="spec.label"
    :optional="spec.optional ?? ''"
    :wrong="wrong"
    :model-value="asNumber"
    @update:model-value="(now) => emit('change', now)"
  />
  <CountField
    v-else-if="spec.kind === 'number'"
    keep
    :label="spec.unit ? `${spec.label}, ${spec.unit}` : spec.label"
    :least="spec.least"
    :most="spec.most"
    :unit="spec.unit"
    :decimals="spec.decimals"
    :optional="spec.optional ?? ''"
    :wrong="wrong"
    :model-value="asNumber"
    @update:model-value="(now) => emit('change', now)"
  />
  <fieldset v-else-if="spec.kind === 'some'" class="some">
    <legend class="label">{{ spec.label }}</legend>
    <VCheckbox
      v-for="[choice, words] in choices"
      :key="choice"
      :label="words"
      :model-value="list.includes(choiceOf(choice))"
      @update:model-value="toggle(choiceOf(choice))"
    />
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
  </fieldset>
  <FieldFrame
    v-else-if="spec.kind === 'text' && spec.more.suggests"
    :id="id"
    :label="spec.label"
    :problem="wrong"
  >
    <VCombobox
      :id="id"
      :items="[...spec.more.suggests]"
      :model-value="asText"
      :placeholder="spec.optional ?? ''"
      :error="wrong !== null"
      @update:search="onText"
    />
  </FieldFrame>
  <TypedField
    v-else-if="spec.kind === 'text'"
    :label="spec.label"
    :placeholder="spec.optional ?? ''"
    :problem="wrong"
    :model-value="asText"
    @update:model-value="onText"
  />
  <PickField
    v-else-if="spec.kind === 'yes-no'"
    :label="spec.label"
    :items="YES_NO"
    :optional="spec.optional ?? ''"
    :problem="wrong"
    :model-value="asYesNo"
    @update:model-value="(now) => emit('change', now)"
  />
  <PickField
    v-else
    :label="spec.label"
    :items="choices"
    :optional="spec.optional ?? ''"
    :problem="wrong"
    :model-value="asText === '' ? null : asText"
    @update:model-value="(now) => emit('change', now === null ? null : choiceOf(now))"
  />
</template>

<style scoped>
.some {
  border: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  grid-column: span 2;
  margin: 0;
  min-width: 0;
  padding: 0;
}
.some legend {
  padding: 0;
}
.some label {
  align-items: center;
  display: flex;
  gap: 6px;
  min-height: 32px;
}
</style>
