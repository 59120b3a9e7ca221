<script setup lang="ts">
import type { HeatAt, Trips } from '@brannik/core'
import { line, scaleLinear, scaleLog } from 'd3'
import { computed } from 'vue'

/**
 * How hot the breaker gets while a pattern of welding goes on, over time told in tens: where its curve enters the band the
 * first breakers go, where it leaves it the last have gone.
 */
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

const endS = computed(() => Math.max(FROM_S * 6, Math.min(trips.mostS, (trips.curve.at(-1)?.atS ?? 0) * 1.6)))
const x = computed(() => scaleLog([FROM_S, endS.value], [LEFT, WIDTH - RIGHT]).clamp(true))
const y = computed(() => scaleLinear([0, trips.levels.late * 1.12], [HEIGHT - BOTTOM, TOP]))
const path = computed(
  () =>
    line<HeatAt>(
      ({ atS }) => x.value(Math.max(FROM_S, atS)),
      ({ share }) => y.value(share),
    )([...trips.curve]) ?? '',
)
const ticks = computed(() => TICKS_S.filter((s) => s <= endS.value))
const marks = computed(() =>
  (['early', 'nominal', 'late'] as const).flatMap((band) => {
    const at = trips.afterS[band]
    return at === null ? [] : [{ band, at, y: trips.levels[band] }]
  }),
)
/** Round times are said short. */
const short = (seconds: number): string =>
  seconds < 60 ? `${seconds} s` : seconds < 3600 ? `${seconds / 60} min` : `${seconds / 3600} h`
const text = computed(() => {
  const { early, late } = trips.afterS
  if (early === null) return `The breaker holds: its heat stays below the band for ${span(trips.mostS)}.`
  return late === null
    ? `The earliest breaker goes after ${span(early)}; the latest holds.`
    : `The breaker goes between ${span(early)} and ${span(late)}.`
})
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="text">
    <rect
      class="band"
      :x="LEFT"
      :width="WIDTH - LEFT - RIGHT"
      :y="y(trips.levels.late)"
      :height="y(trips.levels.early) - y(trips.levels.late)"
    />
    <text class="band-words" :x="LEFT + 8" :y="y(trips.levels.late) + 16">
      some breakers have gone, some hold
    </text>
    <line class="usual" :x1="LEFT" :x2="WIDTH - RIGHT" :y1="y(1)" :y2="y(1)" />
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
    <path :d="path" />
    <g v-for="mark in marks" :key="mark.band">
      <circle :cx="x(mark.at)" :cy="y(mark.y)" r="4" />
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
.band {
  fill: var(--tight-soft);
}
.band-words,
.tick text {
  fill: var(--ink-2);
  font-size: 12px;
}
.usual {
  stroke: var(--tight);
  stroke-dasharray: 4 3;
}
.tick line {
  stroke: var(--line);
}
</style>
