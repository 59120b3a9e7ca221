<script setup lang="ts">
import type { Joint, SequenceLine } from '@brannik/core'
import { axisBottom, scaleLinear, select } from 'd3'
import { computed, onMounted, ref, watch } from 'vue'
import { useElementSize } from '@vueuse/core'

/** When the arc burns: the first piece as a strip of time, tacks thin, welds full. */
const { sequence, joints } = defineProps<{ sequence: readonly SequenceLine[]; joints: readonly Joint[] }>()

const HEIGHT = 44
const BAR = 20
/** More would be thinner than a pixel. */
const MOST_ARCS = 600

interface Arc {
  readonly from: number
  readonly to: number
  readonly tack: boolean
}

const box = ref<HTMLElement | null>(null)
const axis = ref<SVGGElement | null>(null)
const { width } = useElementSize(box, { width: 700, height: HEIGHT })

const arcs = computed(() => {
  const list: Arc[] = []
  let clock = 0
  sequence.forEach((line, index) => {
    const count = joints[index]?.count ?? 1
    const tacking = line.tackS * count
    if (tacking > 0) list.push({ from: clock, to: clock + tacking, tack: true })
    clock += tacking
    for (const { arcS, times } of line.arcs) {
      for (let i = 0; i < times && list.length < MOST_ARCS; i += 1) {
        list.push({ from: clock, to: clock + arcS, tack: false })
        clock += arcS + line.repositionS
      }
    }
  })
  return list
})
const endS = computed(() => Math.max(600, arcs.value.at(-1)?.to ?? 600))
const x = computed(() => scaleLinear([0, endS.value / 60], [0, Math.max(200, width.value)]))
const tens = computed(() => Array.from({ length: Math.floor(endS.value / 600) }, (_, i) => (i + 1) * 10))

function drawAxis(): void {
  if (axis.value)
    select(axis.value).call(
      axisBottom(x.value)
        .ticks(10)
        .tickSize(4)
        .tickFormat((minutes) => `${Number(minutes)} min`),
    )
}
onMounted(drawAxis)
watch(x, drawAxis)
</script>

<template>
  <figure ref="box" class="strip">
    <svg
      :width="width"
      :height="HEIGHT"
      role="img"
      :aria-label="`Arcs of one piece: ${arcs.filter(({ tack }) => !tack).length} over ${Math.round(endS / 60)} minutes`"
    >
      <rect class="ground" x="0" y="0" :width="width" :height="BAR" />
      <rect
        v-for="(arc, index) in arcs"
        :key="index"
        :class="{ tack: arc.tack }"
        class="arc"
        :x="x(arc.from / 60)"
        :y="arc.tack ? BAR * 0.66 : 0"
        :width="Math.max(0.8, x(arc.to / 60) - x(arc.from / 60))"
        :height="arc.tack ? BAR * 0.34 : BAR"
      />
      <line
        v-for="minute in tens"
        :key="minute"
        class="ten"
        :x1="x(minute)"
        :x2="x(minute)"
        y1="-2"
        :y2="BAR + 2"
      />
      <g ref="axis" :transform="`translate(0 ${BAR})`"></g>
    </svg>
    <figcaption class="label">
      Arc time over one piece. Full: welds. Thin: tacks. One line every ten minutes
    </figcaption>
  </figure>
</template>

<style scoped>
.ground {
  fill: var(--sunk);
}
.arc {
  fill: var(--copper);
}
.tack {
  fill: var(--steel);
}
.ten {
  stroke: var(--ink-2);
}
.strip :deep(g) {
  font-family: inherit;
}
.strip :deep(text) {
  fill: var(--ink-3);
  font-family: inherit;
  font-size: 12px;
}
.strip :deep(.domain),
.strip :deep(.tick line) {
  stroke: var(--line-strong);
}
svg {
  display: block;
  overflow: visible;
}
</style>
