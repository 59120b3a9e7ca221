<script setup lang="ts">
import { computed, useId } from 'vue'
import CountField from '../../components/CountField.vue'
import QuantityField from '../../components/QuantityField.vue'
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
const textOf = (event: Event): string => (event.target as HTMLInputElement | HTMLSelectElement).value

function onText(event: Event): void {
  const text = textOf(event)
  emit('change', text === '' && spec.optional !== undefined ? null : text)
}
const choices = computed(() => ('choices' in spec ? choicesOf(spec) : []))
/** Choices of numbers are numbers again. */
const choiceOf = (text: string): string | number =>
  'choices' in spec ? (spec.choices.find((one) => String(one) === text) ?? text) : text
function onChoice(event: Event): void {
  const text = textOf(event)
  if (text === '') emit('change', null)
  else emit('change', choiceOf(text))
}
function onYesNo(event: Event): void {
  const text = textOf(event)
  emit('change', text === '' ? null : text === 'yes')
}
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
    <label v-for="[choice, words] in choices" :key="choice">
      <input type="checkbox" :checked="list.includes(choiceOf(choice))" @change="toggle(choiceOf(choice))" />
      {{ words }}
    </label>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
  </fieldset>
  <div v-else class="one">
    <label :for="id" class="label">{{ spec.label }}</label>
    <input
      v-if="spec.kind === 'text'"
      :id="id"
      class="field"
      autocomplete="off"
      :value="asText"
      :placeholder="spec.optional"
      :aria-invalid="wrong !== null"
      :aria-describedby="wrong ? `${id}-says` : undefined"
      :list="spec.more.suggests ? `${id}-list` : undefined"
      @input="onText"
    />
    <select
      v-else-if="spec.kind === 'yes-no'"
      :id="id"
      class="field"
      :value="value === null || value === undefined ? '' : value ? 'yes' : 'no'"
      @change="onYesNo"
    >
      <option v-if="spec.optional !== undefined" value="">{{ spec.optional }}</option>
      <option value="yes">yes</option>
      <option value="no">no</option>
    </select>
    <select v-else :id="id" class="field" :value="asText" @change="onChoice">
      <option v-if="spec.optional !== undefined" value="">{{ spec.optional }}</option>
      <option v-for="[choice, words] in choices" :key="choice" :value="choice">{{ words }}</option>
    </select>
    <datalist v-if="spec.kind === 'text' && spec.more.suggests" :id="`${id}-list`">
      <option v-for="one in spec.more.suggests" :key="one" :value="one" />
    </datalist>
    <p v-if="wrong" :id="`${id}-says`" class="bubble problem" role="alert">{{ wrong }}</p>
  </div>
</template>

<style scoped>
.one {
  display: grid;
  min-width: 0;
  position: relative;
}
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
