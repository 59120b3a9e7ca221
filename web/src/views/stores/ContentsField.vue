<script setup lang="ts">
import { assumptionsOf, contentsG, printQuantity, type Spool, type Wire } from '@brannik/core'
import { computed } from 'vue'
import ValueField from '../../components/ValueField.vue'
import type { Read } from '../../components/useTyped.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** What is on a spool or in a pack, as one reads it: on the scale, by the depth of the wire, or by pieces. */
const { spool, wire, label } = defineProps<{
  /** Null for rods that lie loose. */
  spool: Spool | null
  wire: Wire
  label: string
}>()
const model = defineModel<number | null>({ required: true })
const workspace = useWorkspace()
const assumptions = computed(() => assumptionsOf(workspace.shop ?? { assumptions: {} }))
const printed = computed(() =>
  model.value === null ? '' : printQuantity('mass', model.value, workspace.notation),
)
function read(text: string): Read<number | null> {
  if (text.trim() === '') return { ok: true, value: null, understood: 'not read' }
  const found = contentsG(text, spool, wire, { notation: workspace.notation, assumptions: assumptions.value })
  return found.ok ? { ok: true, value: found.valueG } : { ok: false, message: found.message }
}
</script>

<template>
  <ValueField v-model="model" :printed="printed" :read="read" :label="label" placeholder="not read" />
</template>
