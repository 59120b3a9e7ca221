<script setup lang="ts">
import { type GaugeTableId, parseQuantity, printQuantity, type QuantityKind } from '@brannik/core'
import { computed, ref, watch } from 'vue'
import { useWorkspace } from '../stores/workspace.ts'
import TypedField from './TypedField.vue'

/**
 * A field for one quantity in any unit that people write. A readable value is passed on at every key; text that
 * cannot be read stays in the field, with what is wrong and what to write, and changes nothing else.
 */
const {
  kind,
  label,
  name = '',
  metal,
  optional = '',
  wrong = null,
} = defineProps<{
  kind: QuantityKind
  label: string
  /** Its name where no label stands above it. */
  name?: string
  metal?: GaugeTableId | undefined
  /** Where the field may be empty: what empty means. */
  optional?: string
  /** What else is wrong with a value that can be read. */
  wrong?: string | null
}>()
const model = defineModel<number | null>({ required: true })

const workspace = useWorkspace()
const text = ref('')
const focused = ref(false)

const printed = computed(() =>
  model.value === null ? '' : printQuantity(kind, model.value, workspace.notation),
)
const parsed = computed(() => {
  if (text.value.trim() === '' && optional !== '')
    return { ok: true as const, value: null, understood: optional }
  return parseQuantity(kind, text.value, {
    ...workspace.notation,
    ...(metal === undefined ? {} : { metal }),
  })
})
const problem = computed(() =>
  text.value.trim() === '' && optional === '' && model.value === null
    ? null
    : parsed.value.ok
      ? wrong
      : parsed.value.problem.message,
)
const understood = computed(() =>
  focused.value && parsed.value.ok && parsed.value.understood !== text.value.trim()
    ? parsed.value.understood
    : null,
)

/** A value that came from elsewhere (undo, another unit) replaces the text; one that the text itself gave does not. */
watch(
  [printed, () => workspace.notation],
  () => {
    const own = parsed.value.ok && parsed.value.value === model.value && text.value !== ''
    if (!focused.value || !own) text.value = printed.value
  },
  { immediate: true },
)

function onInput(typed: string): void {
  text.value = typed
  if (parsed.value.ok && parsed.value.value !== model.value) model.value = parsed.value.value
}

function onFocus(isFocused: boolean): void {
  focused.value = isFocused
  if (!isFocused && parsed.value.ok) text.value = printed.value
}
</script>

<template>
  <TypedField
    :model-value="text"
    :label="label"
    :name="name"
    :problem="problem"
    :hint="understood"
    spellcheck="false"
    :placeholder="optional"
    @update:model-value="onInput"
    @focused="onFocus"
  />
</template>
