<script setup lang="ts">
import { ownUnit, printPlain } from '@brannik/core'
import { computed } from 'vue'
import { useWorkspace } from '../shop/workspace.ts'
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

const workspace = useWorkspace()
const { readNumber } = usePrint()
/** Typed and shown in the shop's unit, stored in the inside one. */
const own = computed(() => ownUnit(unit, workspace.notation.system))
const isConverted = computed(() => own.value.unit !== unit)
/** A limit in the other scale is rounded to the inside of what may stand. */
const limits = computed(() =>
  isConverted.value
    ? { least: Math.ceil(own.value.own(least)), most: Math.floor(own.value.own(most)) }
    : { least, most },
)
/** `Wind, mph`: a field without a unit of its own has it in its name. */
const unitHere = computed(() => own.value.unit || (/, ([^,]+)$/.exec(label || name)?.[1] ?? ''))
/** To a tenth, or to whole ones, where it is converted: nobody reads a thermometer closer. */
const shown = (value: number): number =>
  isConverted.value ? Number(own.value.own(value).toFixed(decimals ? 1 : 0)) : value
const typed = (value: number): string => printPlain(value, workspace.notation.locale)
const printed = computed(() => (model.value === null ? '' : typed(shown(model.value))))
function read(text: string, before: number | null): Read<number | null> {
  const written = text.trim()
  // A field of a new record is empty until somebody fills it: that is no mistake yet.
  if (written === '' && (optional !== '' || before === null))
    return { ok: true, value: null, understood: optional }
  if (written === '')
    return {
      ok: false,
      message: `${name || label} is empty. Enter a number from ${typed(limits.value.least)} to ${typed(limits.value.most)}.`,
    }
  const value = readNumber(written, unitHere.value)
  if (
    value === null ||
    value < limits.value.least ||
    value > limits.value.most ||
    (!decimals && !Number.isInteger(value))
  ) {
    return {
      ok: false,
      message: `“${written}” is not a valid number. Enter a ${decimals ? '' : 'whole '}number from ${typed(limits.value.least)} to ${typed(limits.value.most)}${unit ? ` ${own.value.unit}` : ''}.`,
    }
  }
  return { ok: true, value: isConverted.value ? own.value.inside(value) : value }
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
