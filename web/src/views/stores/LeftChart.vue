<script setup lang="ts">
import { line, curveStepAfter, scaleLinear, scalePoint } from 'd3'
import { computed } from 'vue'

/** What is left after each job, as a line that steps down; below zero it is lacking. */
const { steps, onHand, print, label } = defineProps<{
  steps: readonly { readonly title: string; readonly when: string; readonly left: number }[]
  onHand: number
  print: (value: number) => string
  label: string
}>()

const WIDTH = 640
const HEIGHT = 128
const PAD = { left: 70, right: 12, top: 12, bottom: 38 }

const points = computed(() => [{ title: 'now', when: '', left: onHand }, ...steps])
const x = computed(() =>
  scalePoint(
    points.value.map((_, index) => index),
    [PAD.left, WIDTH - PAD.right],
  ).padding(0.2),
)
const y = computed(() => {
  const lefts = points.value.map(({ left }) => left)
  return scaleLinear([Math.min(0, ...lefts), Math.max(...lefts, 1)], [HEIGHT - PAD.bottom, PAD.top])
})
const path = computed(
  () =>
    line<(typeof points.value)[number]>(
      (_, index) => x.value(index) ?? 0,
      ({ left }) => y.value(left),
    ).curve(curveStepAfter)([...points.value]) ?? '',
)
const MOST_NAME = 16
const short = (title: string): string =>
  title.length > MOST_NAME ? `${title.slice(0, MOST_NAME - 1)}…` : title
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="label">
    <line :x1="PAD.left" :x2="WIDTH - PAD.right" :y1="y(0)" :y2="y(0)" class="zero" />
    <text :x="PAD.left - 8" :y="y(0) + 4" class="axis end">0</text>
    <text :x="PAD.left - 8" :y="y(onHand) + 4" class="axis end">{{ print(onHand) }}</text>
    <path :d="path" class="left" />
    <template v-for="({ title, when, left }, index) in points" :key="index">
      <circle :cx="x(index)" :cy="y(left)" r="4" :class="{ lacking: left < 0 }" />
      <text :x="x(index)" :y="HEIGHT - 20" class="axis middle">{{ short(title) }}</text>
      <text :x="x(index)" :y="HEIGHT - 5" class="axis middle">{{ when }}</text>
    </template>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  max-width: 760px;
  width: 100%;
}
.zero {
  stroke: var(--line-strong);
  stroke-width: 1;
}
.left {
  fill: none;
  stroke: var(--copper);
  stroke-width: 2;
}
circle {
  fill: var(--copper);
}
circle.lacking {
  fill: var(--fails);
}
.axis {
  fill: var(--ink-2);
  font-size: 12px;
}
.end {
  text-anchor: end;
}
.middle {
  text-anchor: middle;
}
</style>
