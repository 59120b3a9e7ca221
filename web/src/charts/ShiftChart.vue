<script setup lang="ts">
import type { NodeCurve } from '@brannik/core'
import { area, line, scaleLinear } from 'd3'
import { computed } from 'vue'

/** What flows through one breaker in a shift: the mean of each minute, its most, and the continuous limit. */
const { curve, heldA, hours, amps } = defineProps<{
  curve: NodeCurve
  heldA: number
  hours: number
  /** Amps as people write them. */
  amps: (value: number) => string
}>()

const WIDTH = 640
const HEIGHT = 210
const LEFT = 46
const RIGHT = 12
const TOP = 12
const BOTTOM = 26
const MINUTES = 60

const mostA = computed(() => Math.max(heldA * 1.15, ...curve.mostA))
const x = computed(() => scaleLinear([0, hours * MINUTES], [LEFT, WIDTH - RIGHT]))
const y = computed(() => scaleLinear([0, mostA.value], [HEIGHT - BOTTOM, TOP]).nice())
const means = computed(
  () =>
    area<number>(
      (_, minute) => x.value(minute),
      () => y.value(0),
      (value) => y.value(value),
    )([...curve.meanA]) ?? '',
)
const mosts = computed(
  () =>
    line<number>(
      (_, minute) => x.value(minute),
      (value) => y.value(value),
    )([...curve.mostA]) ?? '',
)
const times = computed(() => Array.from({ length: Math.floor(hours) + 1 }, (_, hour) => hour))
const text = computed(() => {
  const above = [...curve.mostA].filter((value) => value > heldA).length
  const whole = `Through a shift of ${hours} h, at most ${amps(Math.max(...curve.mostA))}.`
  return above === 0
    ? `${whole} It stays below the continuous limit of ${amps(heldA)}.`
    : `${whole} In ${above} of ${curve.mostA.length} minutes it is above the continuous limit of ${amps(heldA)}.`
})
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="text">
    <g v-for="tick in y.ticks(4)" :key="tick" class="tick">
      <line :x1="LEFT" :x2="WIDTH - RIGHT" :y1="y(tick)" :y2="y(tick)" />
      <text :x="LEFT - 6" :y="y(tick) + 4" text-anchor="end">{{ amps(tick) }}</text>
    </g>
    <g v-for="hour in times" :key="hour" class="tick">
      <text
        :x="x(hour * MINUTES)"
        :y="HEIGHT - 8"
        :text-anchor="hour === times.length - 1 ? 'end' : 'middle'"
      >
        {{ hour }} h
      </text>
    </g>
    <path class="mean" :d="means" />
    <path class="most" :d="mosts" />
    <line class="held" :x1="LEFT" :x2="WIDTH - RIGHT" :y1="y(heldA)" :y2="y(heldA)" />
    <text class="held-words" :x="LEFT + 4" :y="y(heldA) - 5">continuous limit</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
}
.mean {
  fill: var(--steel);
  opacity: 0.55;
}
.most {
  fill: none;
  stroke: var(--copper);
  stroke-width: 1;
}
.held {
  stroke: var(--fails);
  stroke-dasharray: 5 3;
  stroke-width: 1.5;
}
.held-words {
  fill: var(--fails);
  font-size: 12px;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3;
}
.tick line {
  stroke: var(--line);
}
.tick text {
  fill: var(--ink-2);
  font-size: 12px;
}
</style>
