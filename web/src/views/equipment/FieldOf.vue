<script setup lang="ts">
import { KIND_FACTS, ownUnit, suggestionsFor } from '@brannik/core'
import { computed, ref, useId } from 'vue'
import { readConductorSize } from '../../components/conductorSize.ts'
import CountField from '../../components/CountField.vue'
import DateField from '../../components/DateField.vue'
import FieldFrame from '../../components/FieldFrame.vue'
import PickField from '../../components/PickField.vue'
import QuantityField from '../../components/QuantityField.vue'
import TextField from '../../components/TextField.vue'
import { usePrint } from '../../stores/usePrint.ts'
import { useTyping } from '../../shop/typing.ts'
import { type Path, useWorkspace } from '../../shop/workspace.ts'
import { choicesOf, type FieldSpec } from './forms.ts'

/** One field of a record by its description: what cannot stand keeps its text and says why. */
const { spec, value, wrong } = defineProps<{
  spec: FieldSpec
  value: unknown
  /** What the whole record has against it. */
  wrong: string | null
}>()
const emit = defineEmits<{ change: [value: unknown] }>()

const { spell } = usePrint()
const workspace = useWorkspace()
const id = useId()
const asNumber = computed(() => (typeof value === 'number' ? value : null))
const asText = computed(() => (value === null || value === undefined ? '' : String(value)))
const list = computed<readonly unknown[]>(() => (Array.isArray(value) ? value : []))
function onText(text: string): void {
  if (text !== asText.value) emit('change', text === '' && spec.optional !== undefined ? null : text)
}
/** Choosing from what is suggested, or writing something else: stored when it is left, as everywhere. */
const typing = useTyping()
const me = Symbol('field')
function onSearch(text: string): void {
  if (text === asText.value) return
  typing.enter(me)
  onText(text)
}
/** How long a text may be is the record's to say. */
const MOST_TEXT = 5000
const isFocused = ref(false)
/** A size without its unit could be either gauge or area: it gets the shop's, and shows it. */
const sizeRead = computed(() =>
  spec.more.reads === 'conductor'
    ? readConductorSize(asText.value, workspace.notation.system === 'imperial')
    : null,
)
const unread = computed(() =>
  sizeRead.value?.ok === false && !isFocused.value ? sizeRead.value.message : null,
)
function onFocus(now: boolean): void {
  isFocused.value = now
  if (now) return
  if (sizeRead.value?.ok === true) onText(sizeRead.value.value)
  typing.leave(me)
}
const suggested = computed(() =>
  spec.more.suggests && workspace.shop ? [...suggestionsFor(spec.more.suggests, workspace.shop)] : [],
)
const label = computed(() => spell(spec.label))
/** What it may name: every record of that kind. */
const named = computed(() => {
  const facts = KIND_FACTS.find(({ kind }) => kind === spec.more.reference)
  const records = facts ? workspace.all(facts.path as Exclude<Path, 'shop' | 'stock' | 'decisions'>) : []
  return records.map(({ id: one, name }) => [one, name] as const)
})
const choices = computed(() =>
  'choices' in spec ? choicesOf(spec).map(([choice, words]) => [choice, spell(words)] as const) : named.value,
)
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
    :label="label"
    :optional="spec.optional ?? ''"
    :wrong="wrong"
    :model-value="asNumber"
    @update:model-value="(now) => emit('change', now)"
  />
  <CountField
    v-else-if="spec.kind === 'number'"
    :label="spec.unit ? `${label}, ${ownUnit(spec.unit, workspace.notation.system).unit}` : label"
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
    <legend class="label">{{ label }}</legend>
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
    :label="label"
    :problem="wrong ?? unread"
  >
    <VCombobox
      :id="id"
      :items="suggested"
      :model-value="asText"
      :placeholder="spec.optional ?? ''"
      :error="(wrong ?? unread) !== null"
      @update:search="onSearch"
      @update:focused="onFocus"
    />
  </FieldFrame>
  <DateField
    v-else-if="spec.kind === 'text' && spec.more.reads === 'day'"
    :label="label"
    :model-value="value === null || value === undefined ? null : asText"
    @update:model-value="(now) => emit('change', now)"
  />
  <TextField
    v-else-if="spec.kind === 'text' && !spec.more.reference"
    :label="label"
    :placeholder="spec.optional ?? ''"
    :most="MOST_TEXT"
    :wrong="wrong"
    :model-value="asText"
    @update:model-value="onText"
  />
  <PickField
    v-else-if="spec.kind === 'yes-no'"
    :label="label"
    :items="YES_NO"
    :optional="spec.optional ?? ''"
    :problem="wrong"
    :model-value="asYesNo"
    @update:model-value="(now) => emit('change', now)"
  />
  <PickField
    v-else
    :label="label"
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
