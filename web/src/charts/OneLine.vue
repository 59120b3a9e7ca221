<script setup lang="ts" generic="T extends { readonly id: string }">
import { hierarchy, tree } from 'd3'
import { computed } from 'vue'

/** The supply as one line: from the supplier to what is plugged in, each with a line to what it comes from. */
export interface Branch<T> {
  readonly key: string
  readonly item: T
  readonly below: readonly Branch<T>[]
}
const { roots, label } = defineProps<{
  roots: readonly Branch<T>[]
  /** What the drawing is, for those who do not see it. */
  label: string
}>()
defineSlots<{ default(props: { item: T; depth: number }): unknown }>()

const ROW = 50
const COLUMN = 214
const CARD = 188
const HALF = 21

interface Placed {
  readonly key: string
  readonly item: T
  readonly depth: number
  readonly left: number
  readonly top: number
}
const laid = computed(() => {
  const above: Branch<T | null> = { key: '', item: null, below: roots }
  const root = tree<Branch<T | null>>()
    .nodeSize([ROW, COLUMN])
    .separation(() => 1)(hierarchy(above, ({ below }): readonly Branch<T | null>[] => below))
  const nodes = root.descendants().filter(({ depth }) => depth > 0)
  const highest = Math.min(0, ...nodes.map(({ x }) => x))
  const top = (x: number): number => x - highest
  const left = (depth: number): number => (depth - 1) * COLUMN
  return {
    height: Math.max(0, ...nodes.map(({ x }) => top(x))) + 2 * HALF + 2,
    width: Math.max(0, ...nodes.map(({ depth }) => left(depth))) + CARD,
    nodes: nodes.flatMap(({ data, depth, x }): Placed[] =>
      data.item === null ? [] : [{ key: data.key, item: data.item, depth, left: left(depth), top: top(x) }],
    ),
    lines: root
      .links()
      .filter(({ source }) => source.depth > 0)
      .map(({ source, target }) => {
        const [fromX, toX] = [left(source.depth) + CARD, left(target.depth)]
        const middle = (fromX + toX) / 2
        return {
          key: target.data.key,
          d: `M${fromX},${top(source.x) + HALF}H${middle}V${top(target.x) + HALF}H${toX}`,
        }
      }),
  }
})
</script>

<template>
  <div class="frame" role="region" tabindex="0" :aria-label="label">
    <div
      class="one-line"
      role="list"
      :aria-label="label"
      :style="{ height: `${laid.height}px`, width: `${laid.width}px` }"
    >
      <svg :width="laid.width" :height="laid.height" aria-hidden="true">
        <path v-for="one in laid.lines" :key="one.key" :d="one.d" />
      </svg>
      <div
        v-for="node in laid.nodes"
        :key="node.key"
        class="node"
        role="listitem"
        :style="{ left: `${node.left}px`, top: `${node.top}px`, width: `${CARD}px`, height: `${2 * HALF}px` }"
      >
        <slot :item="node.item" :depth="node.depth" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.frame {
  overflow-x: auto;
}
.one-line {
  position: relative;
}
svg {
  inset: 0;
  position: absolute;
}
path {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1.5;
}
.node {
  position: absolute;
}
@media print {
  /* A sheet of paper is narrower than the drawing. */
  .one-line {
    zoom: 0.62;
  }
}
</style>
