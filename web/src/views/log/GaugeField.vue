<script setup lang="ts">
import { type Gas, gaugeL, printQuantity } from '@brannik/core'
import { computed } from 'vue'
import ValueField from '../../components/ValueField.vue'
import type { Read } from '../../components/useTyped.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** What is in a cylinder, as one reads it: a volume, or the gauge in psi or bar. */
const { gas, label } = defineProps<{ gas: Gas | null; label: string }>()
const model = defineModel<number | null>({ required: true })
const workspace = useWorkspace()
const printed = computed(() =>
  model.value === null ? '' : printQuantity('gasVolume', model.value, workspace.notation),
)
function read(text: string): Read<number | null> {
  if (text.trim() === '') return { ok: true, value: null, understood: 'not read' }
  if (!gas) return { ok: false, message: 'Choose a set-up with a gas first.' }
  const found = gaugeL(text, gas, workspace.notation)
  return found.ok ? { ok: true, value: found.valueL } : { ok: false, message: found.message }
}
</script>

<template>
  <ValueField v-model="model" :printed="printed" :read="read" :label="label" placeholder="not read" />
</template>
