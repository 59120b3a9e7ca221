<script setup lang="ts">
import { computed } from 'vue'
import { usePrint } from '../stores/usePrint.ts'
import type { Read } from './useTyped.ts'
import ValueField from './ValueField.vue'

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
}>()
const model = defineModel<number | null>({ required: true })

const { readNumber } = usePrint()
/** `Wind, mph`: a field without a unit of its own has it in its name. */
const unitHere = computed(() => unit || (/, ([^,]+)$/.exec(label || name)?.[1] ?? ''))
const printed = computed(() => (model.value === null ? '' : `${model.value}`))
function read(text: string, before: number | null): Read<number | null> {
  const written = text.trim()
  // A field of a new record is empty until somebody fills it: that is no mistake yet.
  if (written === '' && (optional !== '' || before === null))
    return { ok: true, value: null, understood: optional }
  if (written === '')
    return { ok: false, message: `${name || label} is empty. Enter a number from ${least} to ${most}.` }
  const value = readNumber(written, unitHere.value)
  if (value === null || value < least || value > most || (!decimals && !Number.isInteger(value))) {
    return {
      ok: false,
      message: `“${written}” is not a valid number. Enter a ${decimals ? '' : 'whole '}number from ${least} to ${most}${unit ? ` ${unit}` : ''}.`,
    }
  }
  return { ok: true, value }
}
</script>

<template>
  <ValueField
    v-model="model"
    :printed="printed"
    :read="read"
    :label="label"
    :name="name"
    :wrong="wrong"
    inputmode="decimal"
    :placeholder="optional"
  />
</template>
