<script setup lang="ts">
import {
  assumptionsOf,
  crossSection,
  type Dimension,
  type Joint,
  jointName,
  type Point,
  printQuantity,
  settleJoint,
} from '@brannik/core'
import { line, scaleLinear } from 'd3'
import { computed } from 'vue'
import { useWorkspace } from '../shop/workspace.ts'
import { type Label, placed } from './labels.ts'

/** A weld's cross-section to scale, as it is understood: parts hatched apart, weld in copper, figures beside. */
const { joint } = defineProps<{ joint: Joint }>()

const WIDTH = 296
const HEIGHT = 190
const PAD = 36
/** Room between a dimension's line and what it measures. */
const OFF = 12
/** How much of the parts is shown around the weld, in its own size. */
const AROUND = 0.9

const workspace = useWorkspace()
const section = computed(() =>
  crossSection(settleJoint(joint).joint, assumptionsOf({ assumptions: workspace.shop?.assumptions ?? {} })),
)

const rangeOf = (points: readonly Point[], axis: 0 | 1): [number, number] => {
  const values = points.map((point) => point[axis])
  return [Math.min(...values), Math.max(...values)]
}

/** The weld decides what is shown, with some of the parts around it: plates may run out of the picture. */
const view = computed(() => {
  const { shapes } = section.value
  const all = shapes.flatMap(({ points }) => points)
  const weld = shapes.filter(({ role }) => role === 'weld').flatMap(({ points }) => points)
  const room =
    AROUND * Math.max(...[0, 1].map((axis) => rangeOf(weld, axis as 0 | 1)).map(([from, to]) => to - from))
  const [[x0, x1], [y0, y1]] = ([0, 1] as const).map((axis): [number, number] => {
    const [from, to] = rangeOf(weld, axis)
    const [least, most] = rangeOf(all, axis)
    return [Math.max(least, from - room), Math.min(most, to + room)]
  }) as [[number, number], [number, number]]
  const scale = Math.min((WIDTH - 2 * PAD) / (x1 - x0), (HEIGHT - 2 * PAD) / (y1 - y0))
  const [middleX, middleY] = [(x0 + x1) / 2, (y0 + y1) / 2]
  return {
    x: scaleLinear([middleX - 1, middleX + 1], [WIDTH / 2 - scale, WIDTH / 2 + scale]),
    y: scaleLinear([middleY - 1, middleY + 1], [HEIGHT / 2 + scale, HEIGHT / 2 - scale]),
    /** Moves a dimension that stands at the far end of a plate to where the plate leaves the picture. */
    into: ([px, py]: Point): Point => [Math.min(x1, Math.max(x0, px)), Math.min(y1, Math.max(y0, py))],
  }
})
const path = computed(() => {
  const { x, y } = view.value
  const draw = line<Point>(
    ([px]) => x(px),
    ([, py]) => y(py),
  )
  return (points: readonly Point[]) => `${draw(points as Point[]) ?? ''}Z`
})

interface Drawn extends Label {
  readonly key: string
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
}

function drawn({ name, from, to, inPlace }: Dimension): Drawn {
  const { x, y, into } = view.value
  const mm = Math.hypot(to[0] - from[0], to[1] - from[1])
  const upright = Math.abs(to[0] - from[0]) < Math.abs(to[1] - from[1])
  // Along itself a dimension keeps its length; across, it comes into the picture.
  const place = (point: Point): Point => {
    const [px, py] = into(point)
    return inPlace ? point : upright ? [px, point[1]] : [point[0], py]
  }
  const [start, end] = [place(from), place(to)]
  const label = `${name} ${printQuantity('weldSize', mm, workspace.notation)}`
  const [ax, ay, bx, by] = [x(start[0]), y(start[1]), x(end[0]), y(end[1])]
  if (inPlace) {
    const out = 1.25
    return {
      key: name,
      x1: ax,
      y1: ay,
      x2: bx,
      y2: by,
      textX: ax + (bx - ax) * out + 8,
      textY: ay + (by - ay) * out - 12,
      anchor: 'start',
      label,
    }
  }
  if (upright) {
    const right = (ax + bx) / 2 >= WIDTH / 2 - 1
    const shift = right ? OFF : -OFF
    return {
      key: name,
      x1: ax + shift,
      y1: ay,
      x2: bx + shift,
      y2: by,
      textX: ax + shift * 1.6,
      textY: (ay + by) / 2 + 4,
      anchor: right ? 'start' : 'end',
      label,
    }
  }
  const below = (ay + by) / 2 >= HEIGHT / 2
  const shift = below ? OFF : -OFF
  return {
    key: name,
    x1: ax,
    y1: ay + shift,
    x2: bx,
    y2: by + shift,
    textX: (ax + bx) / 2,
    textY: ay + shift + (below ? 14 : -5),
    anchor: 'middle',
    label,
  }
}

const dimensions = computed(() =>
  placed(section.value.dimensions.map(drawn), { width: WIDTH, height: HEIGHT }),
)
const angleWords = computed(() => (joint.includedAngleDeg === null ? '' : `, ${joint.includedAngleDeg}°`))
const caption = computed(() => {
  const round =
    joint.around && joint.diameterMm !== null
      ? `, round ${printQuantity('length', joint.diameterMm, workspace.notation)}`
      : ''
  return `${jointName(joint)}${angleWords.value}, to scale${round}`
})
</script>

<template>
  <figure class="section">
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="`Cross-section: ${jointName(joint)}${angleWords}. ${dimensions.map(({ label }) => label).join(', ')}`"
    >
      <path
        v-for="(shape, index) in section.shapes"
        :key="index"
        :class="shape.role"
        :d="path(shape.points)"
      />
      <g v-for="one in dimensions" :key="one.key" class="dimension">
        <line :x1="one.x1" :y1="one.y1" :x2="one.x2" :y2="one.y2" />
        <circle :cx="one.x1" :cy="one.y1" r="1.8" />
        <circle :cx="one.x2" :cy="one.y2" r="1.8" />
        <text :x="one.textX" :y="one.textY" :text-anchor="one.anchor">{{ one.label }}</text>
      </g>
    </svg>
    <figcaption class="label">{{ caption }}</figcaption>
  </figure>
</template>

<style scoped>
svg {
  display: block;
  overflow: hidden;
  max-width: 420px;
  width: 100%;
}
.part-a {
  fill: var(--steel-soft);
  stroke: var(--steel);
}
.part-b {
  fill: var(--sunk);
  stroke: var(--steel);
}
.weld {
  fill: var(--copper);
  fill-opacity: 0.85;
  stroke: var(--copper);
}
.backing {
  fill: none;
  stroke: var(--line-strong);
  stroke-dasharray: 3 3;
}
.dimension line {
  stroke: var(--ink-2);
}
.dimension circle {
  fill: var(--ink-2);
}
.dimension text {
  fill: var(--ink);
  font-size: 12px;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
figcaption {
  text-align: center;
}
</style>
