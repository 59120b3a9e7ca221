<script setup lang="ts">
import type { FrontierPoint } from '@brannik/core'
import { max, scaleLinear } from 'd3'
import { computed } from 'vue'

/** Jobs done for money spent: a step up wherever a purchase opens more. */
const { points, all, budget, money } = defineProps<{
  points: readonly FrontierPoint[]
  /** How many jobs there are. */
  all: number
  /** The most that may be spent; null for any. */
  budget: number | null
  money: (amount: number) => string
}>()

const WIDTH = 420
const HEIGHT = 150
const LEFT = 30
const RIGHT = 14
const TOP = 14
const BOTTOM = 24

const most = computed(() => Math.max(max(points, ({ spent }) => spent) ?? 0, budget ?? 0, 1))
const x = computed(() => scaleLinear([0, most.value * 1.08], [LEFT, WIDTH - RIGHT]))
const y = computed(() => scaleLinear([0, Math.max(1, all)], [HEIGHT - BOTTOM, TOP]))
const path = computed(() => {
  const steps = points.map(({ spent, done }, index) => {
    const at = `${x.value(spent)} ${y.value(done)}`
    return index === 0 ? `M${at}` : `H${x.value(spent)}V${y.value(done)}`
  })
  return `${steps.join('')}H${WIDTH - RIGHT}`
})
const text = computed(() =>
  points.map(({ spent, done }) => `${done} of ${all} jobs for ${money(spent)}`).join('; '),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="text">
    <g v-for="tick in y.ticks(Math.min(all, 5)).filter(Number.isInteger)" :key="tick" class="tick">
      <line :x1="LEFT" :x2="WIDTH - RIGHT" :y1="y(tick)" :y2="y(tick)" />
      <text :x="LEFT - 6" :y="y(tick) + 4" text-anchor="end">{{ tick }}</text>
    </g>
    <line
      v-if="budget !== null"
      class="budget"
      :x1="x(budget)"
      :x2="x(budget)"
      :y1="TOP"
      :y2="HEIGHT - BOTTOM"
    />
    <path :d="path" />
    <g v-for="{ spent, done } in points" :key="`${spent} ${done}`">
      <circle :cx="x(spent)" :cy="y(done)" r="4" />
      <text
        class="spent"
        :x="x(spent)"
        :y="HEIGHT - 8"
        :text-anchor="x(spent) > WIDTH - 60 ? 'end' : spent === 0 ? 'start' : 'middle'"
      >
        {{ money(spent) }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  max-width: 560px;
  width: 100%;
}
path {
  fill: none;
  stroke: var(--copper);
  stroke-width: 2;
}
circle {
  fill: var(--copper);
}
.tick line {
  stroke: var(--line);
}
.budget {
  stroke: var(--ink-2);
  stroke-dasharray: 4 3;
}
text {
  fill: var(--ink-2);
  font-size: 12px;
}
</style>
