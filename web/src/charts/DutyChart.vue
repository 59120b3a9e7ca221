<script setup lang="ts">
import { currentAtDutyA } from '@brannik/core'
import { axisBottom, axisLeft, line, max, range, scaleLinear, select } from 'd3'
import { computed, onMounted, ref, watch } from 'vue'

/** What a source gives at each duty: a curve for each supply voltage through its rated points. */
const { curves, label } = defineProps<{
  curves: readonly {
    readonly name: string
    readonly points: readonly { readonly currentA: number; readonly dutyPct: number }[]
    readonly maxA: number
  }[]
  label: string
}>()

const WIDTH = 300
const HEIGHT = 168
const MARGIN = { left: 38, right: 58, top: 16, bottom: 34 }
const DUTIES = range(10, 101, 2)
const DASHES = ['none', '6 3', '2 3', '8 3 2 3']
/** Labels at the end of a curve keep this far apart. */
const LABEL_APART = 14

const xAxis = ref<SVGGElement | null>(null)
const yAxis = ref<SVGGElement | null>(null)
const mostA = computed(() => max(curves, ({ maxA }) => maxA) ?? 100)
const x = computed(() => scaleLinear([0, 100], [MARGIN.left, WIDTH - MARGIN.right]))
const y = computed(() => scaleLinear([0, mostA.value * 1.05], [HEIGHT - MARGIN.bottom, MARGIN.top]))

const drawn = computed(() => {
  const paths = curves.map(({ name, points, maxA }, index) => {
    const at = (duty: number) => Math.min(maxA, currentAtDutyA(points, duty))
    const path = line<number>(
      (duty) => x.value(duty),
      (duty) => y.value(at(duty)),
    )(DUTIES)
    return {
      name,
      points,
      path: path ?? '',
      dash: DASHES[index % DASHES.length],
      endY: y.value(at(100)),
      labelY: y.value(at(100)),
    }
  })
  const byHeight = [...paths].sort((a, b) => a.endY - b.endY)
  byHeight.forEach((one, index) => {
    const above = byHeight[index - 1]
    if (above) one.labelY = Math.max(one.endY, above.labelY + LABEL_APART)
  })
  return paths
})
const words = computed(() =>
  curves
    .map(
      ({ name, points }) => `${name}: ${points.map((p) => `${p.currentA} A at ${p.dutyPct} %`).join(', ')}`,
    )
    .join('; '),
)

function drawAxes(): void {
  if (xAxis.value) select(xAxis.value).call(axisBottom(x.value).tickValues([20, 40, 60, 80, 100]).tickSize(4))
  if (yAxis.value) select(yAxis.value).call(axisLeft(y.value).ticks(5).tickSize(4))
}
onMounted(drawAxes)
watch([x, y], drawAxes)
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    :width="WIDTH"
    class="duty"
    role="img"
    :aria-label="`${label}. ${words}`"
  >
    <g ref="xAxis" :transform="`translate(0 ${HEIGHT - MARGIN.bottom})`" />
    <g ref="yAxis" :transform="`translate(${MARGIN.left} 0)`" />
    <text :x="WIDTH - MARGIN.right" :y="HEIGHT - 4" class="axis" text-anchor="end">
      duty cycle, % of ten minutes
    </text>
    <text :x="4" :y="9" class="axis">A</text>
    <g v-for="one in drawn" :key="one.name">
      <path :d="one.path" fill="none" stroke="var(--steel)" stroke-width="2" :stroke-dasharray="one.dash" />
      <circle
        v-for="point in one.points"
        :key="point.dutyPct"
        :cx="x(point.dutyPct)"
        :cy="y(point.currentA)"
        r="4"
        fill="var(--ink)"
      />
      <text :x="WIDTH - MARGIN.right + 6" :y="one.labelY + 4" class="name">{{ one.name }}</text>
    </g>
  </svg>
</template>

<style scoped>
.duty {
  color: var(--ink-2);
  height: auto;
  max-width: 100%;
}
.duty :deep(.domain),
.duty :deep(line) {
  stroke: var(--line-strong);
}
.duty :deep(text) {
  fill: var(--ink-2);
  font-family: inherit;
  font-size: 12px;
}
.duty .name {
  fill: var(--ink);
  font-weight: 600;
}
</style>
