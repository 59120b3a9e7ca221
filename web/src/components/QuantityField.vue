<script setup lang="ts">
import {
  type GaugeTableId,
  parseQuantity,
  printQuantity,
  printThickness,
  type QuantityKind,
} from '@brannik/core'
import { computed } from 'vue'
import { useWorkspace } from '../shop/workspace.ts'
import type { Read } from './useTyped.ts'
import ValueField from './ValueField.vue'

/** A field for one quantity in any unit that people write. */
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
const printed = computed(() =>
  model.value === null
    ? ''
    : kind === 'thickness'
      ? printThickness(model.value, metal, workspace.notation)
      : printQuantity(kind, model.value, workspace.notation),
)
function read(text: string, before: number | null): Read<number | null> {
  // A field of a new record is empty until somebody fills it: that is no mistake yet.
  if (text.trim() === '' && (optional !== '' || before === null))
    return { ok: true, value: null, understood: optional }
  const parsed = parseQuantity(kind, text, {
    ...workspace.notation,
    ...(metal === undefined ? {} : { metal }),
  })
  return parsed.ok ? parsed : { ok: false, message: parsed.problem.message }
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
    :placeholder="optional"
  />
</template>
