<script setup lang="ts">
import { scaleLinear } from 'd3'
import { computed } from 'vue'

/** How far the cost goes down and up with each assumption, as a bar around what it is now. */
const { movers, print } = defineProps<{
  movers: readonly {
    readonly key: string
    readonly title: string
    readonly now: string
    readonly less: number
    readonly more: number
  }[]
  print: (cents: number) => string
}>()

const [WIDTH, ROW, PAD] = [560, 46, 74] as const
const height = computed(() => movers.length * ROW)
const x = computed(() => {
  const most = Math.max(1, ...movers.flatMap(({ less, more }) => [Math.abs(less), Math.abs(more)]))
  return scaleLinear([-most, most], [PAD, WIDTH - PAD])
})
const bars = computed(() =>
  movers.map((mover, index) => {
    const [low, high] = [Math.min(mover.less, mover.more), Math.max(mover.less, mover.more)]
    return { ...mover, low, high, y: index * ROW }
  }),
)
const label = computed(
  () =>
    `What moves the cost: ${movers.map(({ title, less, more }) => `${title} ${print(less)} to ${print(more)}`).join('; ')}`,
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${height}`" role="img" :aria-label="label">
    <g v-for="bar in bars" :key="bar.key" :transform="`translate(0 ${bar.y})`">
      <text x="0" y="14" class="title">{{ bar.title }}, {{ bar.now }}</text>
      <rect :x="x(bar.low)" y="21" :width="Math.max(1, x(bar.high) - x(bar.low))" height="14" />
      <text :x="x(bar.low) - 6" y="33" class="end">{{ print(bar.low) }}</text>
      <text :x="x(bar.high) + 6" y="33">{{ print(bar.high) }}</text>
    </g>
    <line :x1="x(0)" :x2="x(0)" y1="18" :y2="height" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  max-width: 640px;
  width: 100%;
}
rect {
  fill: var(--copper);
}
line {
  stroke: var(--ink);
  stroke-width: 1;
}
text {
  fill: var(--ink-2);
  font-size: 13px;
}
.title {
  fill: var(--ink);
}
.end {
  text-anchor: end;
}
</style>
