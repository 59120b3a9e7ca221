<script setup lang="ts">
import type { HeatAt, Trips } from '@brannik/core'
import { line, scaleLinear, scaleLog } from 'd3'
import { computed } from 'vue'

/** How hot the breaker gets over time, on a log scale: the quickest, the usual and the slowest of its standard, each until it trips. */
const { trips, span } = defineProps<{
  trips: Trips
  /** A time as people say it. */
  span: (seconds: number) => string
}>()

const WIDTH = 640
const HEIGHT = 250
const LEFT = 12
const RIGHT = 16
const TOP = 12
const BOTTOM = 26
/** Nobody asks what a breaker does in its first seconds. */
const FROM_S = 10
const TICKS_S = [10, 30, 60, 180, 600, 1800, 3600, 10_800, 28_800]

const BANDS = ['early', 'nominal', 'late'] as const
const lastS = computed(() => Math.max(...BANDS.map((band) => trips.curves[band].at(-1)?.atS ?? 0)))
const endS = computed(() => Math.max(FROM_S * 6, Math.min(trips.mostS, lastS.value * 1.6)))
const x = computed(() => scaleLog([FROM_S, endS.value], [LEFT, WIDTH - RIGHT]).clamp(true))
const y = scaleLinear([0, 1.15], [HEIGHT - BOTTOM, TOP])
const paths = computed(() =>
  BANDS.map((band) => ({
    band,
    d:
      line<HeatAt>(
        ({ atS }) => x.value(Math.max(FROM_S, atS)),
        ({ share }) => y(share),
      )([...trips.curves[band]]) ?? '',
  })),
)
const ticks = computed(() => TICKS_S.filter((s) => s <= endS.value))
const marks = computed(() =>
  BANDS.flatMap((band) => {
    const at = trips.afterS[band]
    return at === null ? [] : [{ band, at }]
  }),
)
/** Round times are said short. */
const short = (seconds: number): string =>
  seconds < 60 ? `${seconds} s` : seconds < 3600 ? `${seconds / 60} min` : `${seconds / 3600} h`
const text = computed(() => {
  const { early, nominal, late } = trips.afterS
  if (early === null) return `The breaker holds for ${span(trips.mostS)}.`
  const usual = nominal === null ? 'a typical one holds' : `a typical one after ${span(nominal)}`
  const slowest = late === null ? 'the slowest holds' : `the slowest after ${span(late)}`
  return `The fastest breaker trips after ${span(early)}, ${usual}, ${slowest}.`
})
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="text">
    <line class="trips" :x1="LEFT" :x2="WIDTH - RIGHT" :y1="y(1)" :y2="y(1)" />
    <text class="words" :x="LEFT + 4" :y="y(1) - 5">trips</text>
    <g v-for="tick in ticks" :key="tick" class="tick">
      <line :x1="x(tick)" :x2="x(tick)" :y1="TOP" :y2="HEIGHT - BOTTOM" />
      <text
        :x="x(tick)"
        :y="HEIGHT - 8"
        :text-anchor="tick === FROM_S ? 'start' : x(tick) > WIDTH - 40 ? 'end' : 'middle'"
      >
        {{ short(tick) }}
      </text>
    </g>
    <path v-for="one in paths" :key="one.band" :class="one.band" :d="one.d" />
    <g v-for="mark in marks" :key="mark.band">
      <circle :cx="x(mark.at)" :cy="y(1)" r="4" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
}
path {
  fill: none;
  stroke: var(--copper);
  stroke-linejoin: round;
  stroke-width: 2;
}
circle {
  fill: var(--fails);
  stroke: var(--sheet);
  stroke-width: 1.5;
}
.early {
  stroke-dasharray: 3 3;
}
.late {
  stroke-dasharray: 9 4;
}
.words,
.tick text {
  fill: var(--ink-2);
  font-size: 12px;
}
.trips {
  stroke: var(--fails);
}
.tick line {
  stroke: var(--line);
}
</style>
