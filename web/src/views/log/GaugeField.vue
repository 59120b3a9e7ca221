<script setup lang="ts">
import { gaugeL, printQuantity, type Vessel } from '@brannik/core'
import { computed } from 'vue'
import ValueField from '../../components/ValueField.vue'
import type { Read } from '../../components/useTyped.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useReading } from '../../stores/useReading.ts'

/** What is in a cylinder, as one reads it: a volume, the gauge in psi or bar, or of CO₂ its weight. */
const { gas, label } = defineProps<{ gas: Vessel | null; label: string }>()
const model = defineModel<number | null>({ required: true })
const workspace = useWorkspace()
const reading = useReading()
const printed = computed(() =>
  model.value === null ? '' : printQuantity('gasVolume', model.value, workspace.notation),
)
function read(text: string): Read<number | null> {
  if (text.trim() === '') return { ok: true, value: null, understood: 'not read' }
  if (!gas) return { ok: false, message: 'Choose a set-up with a gas first.' }
  const found = gaugeL(text, gas, reading.value)
  return found.ok ? { ok: true, value: found.valueL } : { ok: false, message: found.message }
}
</script>

<template>
  <ValueField v-model="model" :printed="printed" :read="read" :label="label" placeholder="not read" />
</template>
