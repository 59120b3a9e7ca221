<script setup lang="ts">
import type { Knob } from '@brannik/core'
import { computed } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'
import { SETTING_TITLES, settingText } from '../log/logWords.ts'

/** One setting at the machine: its figure, large, and a step of the dial down and up. */
const { knob, chart } = defineProps<{ knob: Knob; /** What the chart says. */ chart: number | null }>()
const emit = defineEmits<{ set: [value: number] }>()
const workspace = useWorkspace()
const title = computed(() => SETTING_TITLES[knob.key])
const text = (value: number): string => settingText(knob.key, value, workspace.notation)
const isMoved = computed(() => chart !== null && text(chart) !== text(knob.value))
const band = computed(() => {
  if (!knob.band) return ''
  return `${text(knob.band.low)} to ${text(knob.band.high)}`
})
const turn = (value: number | null): void => {
  if (value !== null) emit('set', value)
}
</script>

<template>
  <div class="knob" role="group" :aria-label="title">
    <button
      class="plain-button step"
      :disabled="knob.down === null"
      :aria-label="`${title} down one step`"
      @click="turn(knob.down)"
    >
      −
    </button>
    <p class="middle">
      <span class="label"
        >{{ title }}<template v-if="knob.mark"> · dial {{ knob.mark }}</template></span
      >
      <strong>{{ text(knob.value) }}</strong>
      <span class="label">
        <template v-if="isMoved && chart !== null">chart {{ text(chart) }}</template>
        <template v-else>{{ band }}</template>
      </span>
    </p>
    <button
      class="plain-button step"
      :disabled="knob.up === null"
      :aria-label="`${title} up one step`"
      @click="turn(knob.up)"
    >
      +
    </button>
  </div>
</template>

<style scoped>
.knob {
  align-items: center;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  display: grid;
  gap: 8px;
  grid-template-columns: 60px 1fr 60px;
  padding: 6px;
}
.step {
  font-size: 26px;
  font-weight: 700;
  height: 60px;
}
.middle {
  display: grid;
  text-align: center;
}
strong {
  font-size: 28px;
  line-height: 1.1;
}
</style>
