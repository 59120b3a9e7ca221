<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import TypedField from './TypedField.vue'

/** A field for a whole number, or a plain number with decimals; empty may mean something, such as "automatic". */
const {
  name = '',
  label,
  least,
  most,
  unit = '',
  decimals = false,
  optional = '',
  wrong = null,
  keep = false,
} = defineProps<{
  label: string
  least: number
  most: number
  unit?: string
  decimals?: boolean
  optional?: string
  /** Its name where a label above it would be one too many. */
  name?: string
  /** What else is wrong with a number that can stand by itself. */
  wrong?: string | null
  /** A number out of its limits is passed on too, where the record that takes it is judged as a whole. */
  keep?: boolean
}>()
const model = defineModel<number | null>({ required: true })

const text = ref('')
const focused = ref(false)

const problem = computed(() => {
  const written = text.value.trim().replace(',', '.')
  // A field of a new record is empty until somebody fills it: that is no mistake yet.
  if (written === '' && model.value === null) return null
  if (written === '')
    return optional === '' ? `${name || label} is empty. Write a number from ${least} to ${most}.` : null
  const value = Number(written)
  const form = decimals ? /^\d+(\.\d+)?$|^\.\d+$/ : /^\d+$/
  if (!form.test(written) || value < least || value > most) {
    return `“${text.value.trim()}” cannot stand here. Write a ${decimals ? '' : 'whole '}number from ${least} to ${most}${unit ? ` ${unit}` : ''}.`
  }
  return null
})
const said = computed(() => problem.value ?? wrong)
const value = computed(() => (text.value.trim() === '' ? null : Number(text.value.trim().replace(',', '.'))))

watch(
  model,
  (now) => {
    if (!focused.value || value.value !== now) text.value = now === null ? '' : `${now}`
  },
  { immediate: true },
)

function onInput(typed: string): void {
  text.value = typed
  const passes = problem.value === null || (keep && Number.isFinite(value.value))
  if (passes && value.value !== model.value) model.value = value.value
}
</script>

<template>
  <TypedField
    :model-value="text"
    :label="label"
    :name="name"
    :problem="said"
    inputmode="decimal"
    :placeholder="optional"
    @update:model-value="onInput"
    @focused="(now) => (focused = now)"
  />
</template>
