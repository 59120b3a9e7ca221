<script setup lang="ts">
import { applyChange, type Joint, readSymbolText, symbolText, weldSymbolOf } from '@brannik/core'
import { computed, ref } from 'vue'
import MarksDrawing from '../../charts/MarksDrawing.vue'
import { weldSymbolDrawing } from '../../charts/weldSymbol.ts'
import type { Read } from '../../components/useTyped.ts'
import ValueField from '../../components/ValueField.vue'
import { useWorkspace } from '../../shop/workspace.ts'

/** The welding symbol of a weld, drawn by the shop's standard, and as a text that can be typed. */
const { joint } = defineProps<{ joint: Joint }>()
const emit = defineEmits<{ change: [joint: Joint] }>()

const workspace = useWorkspace()
const standard = computed(() => (workspace.shop?.ruleBook === 'international' ? 'iso-2553' : 'aws-a2.4'))
const symbol = computed(() => weldSymbolOf(joint, workspace.notation, standard.value))
const printed = (): string => symbolText(joint, workspace.notation)

/** Typed into now and then: most welds are written in their line. */
const isOpen = ref(false)
function read(text: string, before: Joint): Read<Joint> {
  const found = readSymbolText(text, before, workspace.notation)
  if (!found.ok) return found
  const next = applyChange(before, found.change)
  return next.ok ? { ok: true, value: next.joint, understood: found.understood } : next
}
</script>

<template>
  <figure class="symbol">
    <MarksDrawing
      :drawing="weldSymbolDrawing(symbol)"
      :label="`Welding symbol by ${standard === 'iso-2553' ? 'ISO 2553' : 'AWS A2.4'}: ${printed()}`"
    />
    <button v-if="!isOpen" class="link-button" @click="isOpen = true">Edit symbol: {{ printed() }}</button>
    <ValueField
      v-else
      label="Symbol"
      :model-value="joint"
      :printed="printed()"
      :read="read"
      @update:model-value="(now) => emit('change', now)"
    />
  </figure>
</template>

<style scoped>
.symbol {
  display: grid;
  gap: 4px;
  padding: 0 12px 8px;
}
.symbol svg {
  max-width: 240px;
}
</style>
