<script setup lang="ts">
import type { HeatAt, Trips } from '@brannik/core'
import { line, scaleLinear } from 'd3'
import { computed } from 'vue'

/** How hot the breaker gets in its first hour, or until it trips: the fastest, a typical and the slowest of its type. */
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
const HOUR_S = 3600
/** Enough of them for the eye, none of them odd. */
const STEPS_S = [60, 120, 300, 600, 1200, HOUR_S, 2 * HOUR_S]
const MOST_TICKS = 8

const BANDS = ['early', 'nominal', 'late'] as const
/** The first hour shows what happens; a breaker that trips later is shown until then. */
const endS = computed(() => {
  const late = Math.max(...Object.values(trips.afterS).map((at) => at ?? 0))
  return Math.min(trips.mostS, Math.max(HOUR_S, late * 1.1))
})
/** The last line goes on beyond the edge, which cuts it. */
const x = computed(() => scaleLinear([0, endS.value], [LEFT, WIDTH - RIGHT]))
const y = scaleLinear([0, 1.15], [HEIGHT - BOTTOM, TOP])
const paths = computed(() =>
  BANDS.map((band) => ({
    band,
    d:
      line<HeatAt>(
        ({ atS }) => x.value(atS),
        ({ share }) => y(share),
      )(trips.curves[band].filter((_, at, all) => (all[at - 1]?.atS ?? 0) < endS.value)) ?? '',
  })),
)
const ticks = computed(() => {
  const step = STEPS_S.find((one) => endS.value / one <= MOST_TICKS) ?? HOUR_S * 4
  return Array.from({ length: Math.floor(endS.value / step) + 1 }, (_, at) => at * step)
})
const marks = computed(() =>
  BANDS.flatMap((band) => {
    const at = trips.afterS[band]
    return at === null ? [] : [{ band, at }]
  }),
)
/** Round times are said short. */
const short = (seconds: number): string =>
  seconds < HOUR_S || endS.value <= HOUR_S ? `${seconds / 60} min` : `${seconds / HOUR_S} h`
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
        :text-anchor="tick === 0 ? 'start' : x(tick) > WIDTH - 40 ? 'end' : 'middle'"
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
