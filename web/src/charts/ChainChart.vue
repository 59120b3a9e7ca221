<script setup lang="ts">
import { type Chain, type ChainLink, linkDetail, type LinkId, linkMissing, linkTitle } from '@brannik/core'
import { useElementSize } from '@vueuse/core'
import { ticks as ticksOf } from 'd3'
import { computed, ref } from 'vue'
import { usePrint } from '../stores/usePrint.ts'
import { useWorkspace } from '../shop/workspace.ts'
import { straight } from './straight.ts'

/** The signature picture: what each link carries, from least to most, beside what the joint wants. */
const { chain, jointDetail } = defineProps<{ chain: Chain; jointDetail: string }>()
const emit = defineEmits<{ open: [id: LinkId | 'joint'] }>()

const workspace = useWorkspace()
const { print, number, wholeAmps } = usePrint()

/** Least height; the plot takes all that its sheet leaves. */
const LEAST = 180
const TOP = 26
const BOTTOM = 8
const WIDE = { gutter: 48, bar: 64, wanted: 64, right: 0 } as const
/** On a phone, and in a panel. Free at the right: the figures of the joint are wider than its column. */
const NARROW = { gutter: 36, bar: 38, wanted: 52, right: 8 } as const
const NARROW_PX = 520
/** Bars that reach far above what is wanted are cut, so that what matters keeps its room. */
const MOST_OVER_WANTED = 1.75

const box = ref<HTMLElement | null>(null)
const { width, height: room } = useElementSize(box, { width: 780, height: 210 })
const isNarrow = computed(() => width.value < NARROW_PX)
const size = computed(() => (isNarrow.value ? NARROW : WIDE))
const height = computed(() => Math.max(LEAST, room.value))

const columns = computed(() => [...chain.links.map(({ id }) => id), 'joint'])
const topA = computed(() => {
  const most = Math.max(chain.windowA.high ?? 0, ...chain.links.map(({ mostA }) => mostA ?? 0))
  return Math.min(most, chain.wantedA * MOST_OVER_WANTED)
})
/** A little air above the tallest bar. */
const roofA = computed(() => topA.value * 1.04)
const y = computed(() => straight([0, roofA.value], [height.value - BOTTOM, TOP]))
/** One strip beside the other, all alike. */
const x = computed(() =>
  straight([0, columns.value.length], [size.value.gutter, Math.max(width.value, 260) - size.value.right]),
)
const middle = (id: string): number => x.value(columns.value.indexOf(id) + 0.5)
const ticks = computed(() => ticksOf(0, roofA.value, 6))
const wantedY = computed(() => y.value(chain.wantedA))
/** The window's upper end in the picture: what is too thick to burn through has none. */
const windowTop = computed(() => y.value(Math.min(chain.windowA.high ?? Infinity, roofA.value)))
const windowWords = computed(() => {
  const { low, high } = chain.windowA
  if (isNarrow.value) return high === null ? `${wholeAmps(low)} +` : `${wholeAmps(low)}–${wholeAmps(high)}`
  return high === null ? `${wholeAmps(low)} or more` : `${wholeAmps(low)}–${wholeAmps(high)} range`
})

interface Bar {
  link: ChainLink
  x: number
  top: number
  bottom: number
  /** Top of what rest lets it carry; null where that is no more. */
  restedTop: number | null
  cut: boolean
  gap: { from: number; to: number; label: string } | null
}

const bars = computed(() =>
  chain.links.map((link): Bar => {
    const most = roofA.value
    const high = link.highA ?? most
    const low = link.lowA ?? 0
    const top = y.value(Math.min(high, most))
    const bottom = y.value(low)
    const over = chain.wantedA > high
    const under = chain.wantedA < low
    const fails = link.verdict === 'fails'
    // What fails is measured from the end of the window, what is tight from what is wanted.
    const edge = !fails ? chain.wantedA : over ? chain.windowA.low : (chain.windowA.high ?? chain.wantedA)
    const reach = fails && over ? (link.mostA ?? high) : high
    const by = Math.abs(over ? reach - edge : edge - low)
    return {
      link,
      x: middle(link.id),
      top,
      bottom,
      restedTop: link.mostA !== null && link.mostA > high ? y.value(Math.min(link.mostA, most)) : null,
      cut: high > most,
      gap:
        link.highA !== null && (over || under)
          ? {
              from: y.value(edge),
              to: over ? y.value(Math.min(reach, most)) : bottom,
              label: `${over ? '−' : '+'}${wholeAmps(by)} A`,
            }
          : null,
    }
  }),
)

/** A figure stands in its bar, and steps aside where the line of what is wanted would cross it. */
function labelY({ top, bottom }: Bar): number {
  const inside = bottom - top > 26 ? top + 20 : top - 7
  return Math.abs(inside - 6 - wantedY.value) < 13 && bottom - wantedY.value > 40
    ? wantedY.value + 22
    : inside
}
/** In the gap's middle; where it has no room there, beyond the line of what is wanted, away from the bar. */
const gapLabelY = ({ from, to }: { from: number; to: number }): number => {
  if (Math.abs(to - from) > 24) return (from + to) / 2 + 5
  return to < from ? from + 16 : from - 6
}

const isFirst = (link: ChainLink): boolean => chain.first === link.id
const flagOf = ({ verdict, spareA, highA }: ChainLink): string => {
  if (verdict === 'fails') return 'weakest link'
  if (spareA === null || spareA >= 0) return 'least to spare'
  return highA !== null && highA < chain.windowA.low ? 'limits the pace' : 'weakest link'
}
const valueWords = (link: ChainLink): string =>
  link.highA === null || link.lowA === null
    ? `no data: ${linkMissing(workspace.speech, link)}`
    : `${number(link.lowA, 3)} to ${print(link.highA, 'A')}`
</script>

<template>
  <figure class="chain" :class="{ narrow: isNarrow }">
    <div ref="box" class="plot">
      <svg :width="width" :height="height" :viewBox="`0 0 ${width} ${height}`" aria-hidden="true">
        <g class="grid">
          <g v-for="tick in ticks" :key="tick" :transform="`translate(0 ${y(tick)})`">
            <line :x1="size.gutter" :x2="width" :class="{ base: tick === 0 }" />
            <text :x="size.gutter - 8" dy="0.32em">{{ tick }}</text>
          </g>
          <text :x="size.gutter - 8" :y="12">A</text>
        </g>

        <g
          v-for="bar in bars"
          :key="bar.link.id"
          :class="['bar', bar.link.verdict, { first: isFirst(bar.link) }]"
          @click="emit('open', bar.link.id)"
        >
          <rect
            :x="bar.x - size.bar / 2"
            :y="bar.top"
            :width="size.bar"
            :height="Math.max(2, bar.bottom - bar.top)"
            class="fill"
          />
          <rect
            v-if="bar.restedTop !== null"
            :x="bar.x - size.bar / 2"
            :y="bar.restedTop"
            :width="size.bar"
            :height="bar.top - bar.restedTop"
            class="rested"
          />
          <template v-if="bar.link.highA !== null">
            <path
              v-if="bar.cut"
              :d="`M${bar.x - size.bar / 2} ${bar.top + 5} l${`${size.bar / 8} -5 ${size.bar / 8} 5 `.repeat(4)}V${bar.top - 3} H${bar.x - size.bar / 2}z`"
              class="cut"
            />
            <line
              v-else
              :x1="bar.x - size.bar / 2"
              :x2="bar.x + size.bar / 2"
              :y1="bar.top"
              :y2="bar.top"
              class="edge"
            />
            <text :x="bar.x" :y="labelY(bar)" class="high">
              {{ wholeAmps(bar.link.highA) }}
            </text>
            <text
              v-if="bar.link.lowA && bar.bottom - labelY(bar) > 26"
              :x="bar.x"
              :y="bar.bottom - 7"
              class="low"
            >
              {{ wholeAmps(bar.link.lowA) }}
            </text>
          </template>
          <text v-else :x="bar.x" :y="(bar.top + bar.bottom) / 2 + 9" class="question">?</text>
        </g>

        <g class="joint" @click="emit('open', 'joint')">
          <rect
            :x="middle('joint') - size.bar / 2"
            :y="windowTop"
            :width="size.bar"
            :height="y(chain.windowA.low) - windowTop"
          />
          <text :x="middle('joint')" :y="y(chain.windowA.low) + 15" class="low">
            {{ windowWords }}
          </text>
        </g>
        <line
          class="wanted"
          :x1="size.gutter"
          :x2="middle('joint') + size.bar / 2"
          :y1="wantedY"
          :y2="wantedY"
        />
        <g class="wanted-label" @click="emit('open', 'joint')">
          <rect
            :x="middle('joint') - size.wanted / 2"
            :y="wantedY - 15"
            :width="size.wanted"
            height="30"
            rx="4"
          />
          <text :x="middle('joint')" :y="wantedY + 6">{{ wholeAmps(chain.wantedA) }} A</text>
        </g>

        <g v-for="bar in bars" :key="`gap ${bar.link.id}`" :class="['gap', bar.link.verdict]">
          <template v-if="bar.gap">
            <line :x1="bar.x" :x2="bar.x" :y1="bar.gap.from" :y2="bar.gap.to" />
            <text :x="isNarrow ? bar.x : bar.x + 8" :y="gapLabelY(bar.gap)">{{ bar.gap.label }}</text>
          </template>
        </g>
      </svg>
    </div>
    <ol class="names" :style="{ paddingLeft: `${size.gutter}px`, paddingRight: `${size.right}px` }">
      <li v-for="link in chain.links" :key="link.id">
        <button class="name" :class="{ first: isFirst(link) }" @click="emit('open', link.id)">
          <strong>{{ linkTitle(workspace.speech, link) }}</strong>
          <span v-tip="linkDetail(workspace.speech, link)" class="detail">{{
            linkDetail(workspace.speech, link)
          }}</span>
          <span class="visually-hidden">carries {{ valueWords(link) }}: {{ link.verdict }}</span>
          <span v-if="isFirst(link)" class="flag" :class="link.verdict">{{ flagOf(link) }}</span>
          <span v-else-if="link.verdict === 'unknown'" class="flag unknown">no data</span>
        </button>
      </li>
      <li>
        <button class="name" @click="emit('open', 'joint')">
          <strong>Joint</strong>
          <span v-tip="jointDetail" class="detail">{{ jointDetail }}</span>
          <span class="visually-hidden">needs {{ print(chain.wantedA, 'A') }}</span>
        </button>
      </li>
    </ol>
  </figure>
</template>

<style scoped>
.chain {
  display: grid;
  grid-template-rows: minmax(180px, 1fr) auto;
  min-height: 0;
}
.plot {
  min-height: 0;
  overflow: hidden;
}
svg {
  display: block;
  overflow: visible;
}
.grid line {
  stroke: var(--line);
}
.grid .base {
  stroke: var(--line-strong);
}
.grid text {
  fill: var(--ink-3);
  font-size: 12px;
  text-anchor: end;
}
.bar,
.joint,
.wanted-label {
  cursor: pointer;
}
.bar .fill {
  fill: var(--steel-soft);
}
.bar .rested {
  fill: none;
  stroke: var(--line-strong);
  stroke-dasharray: 3 3;
}
.bar .edge {
  stroke: var(--steel);
  stroke-width: 3;
}
.bar .cut {
  fill: var(--sheet);
}
.bar .high {
  fill: var(--ink);
  font-size: 17px;
  font-weight: 700;
  text-anchor: middle;
}
.low {
  fill: var(--ink-2);
  font-size: 12px;
  text-anchor: middle;
}
.bar.fails .fill {
  fill: var(--fails-soft);
}
.bar.fails .edge {
  stroke: var(--fails);
}
.bar.fails .high {
  fill: var(--fails);
}
.bar.tight .edge {
  stroke: var(--tight);
}
.bar.tight .fill {
  fill: var(--tight-soft);
}
.bar.first .edge {
  stroke-width: 5;
}
.bar.unknown .fill {
  fill: var(--unknown-soft);
  fill-opacity: 0.5;
  stroke: var(--unknown);
  stroke-dasharray: 3 3;
}
.question {
  fill: var(--unknown);
  font-size: 24px;
  font-weight: 700;
  text-anchor: middle;
}
.joint rect {
  fill: var(--copper-soft);
}
.wanted {
  pointer-events: none;
  stroke: var(--copper);
  stroke-dasharray: 7 4;
  stroke-width: 2;
}
.wanted-label rect {
  fill: var(--copper);
}
.wanted-label text {
  fill: var(--sheet);
  font-size: 17px;
  font-weight: 700;
  text-anchor: middle;
}
.gap {
  pointer-events: none;
}
.gap line {
  stroke: var(--fails);
  stroke-width: 2;
}
.gap.tight line {
  stroke: var(--tight);
}
.gap.tight text {
  fill: var(--tight);
}
.gap.fails text {
  fill: var(--fails);
}
.gap text {
  font-size: 14px;
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
.names {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
}
.names li {
  min-width: 0;
}
.name {
  background: none;
  border: 0;
  border-radius: var(--radius);
  color: var(--ink);
  cursor: pointer;
  display: grid;
  justify-items: center;
  line-height: 1.3;
  min-width: 0;
  padding: 2px 4px;
  width: 100%;
}
.name:hover strong {
  text-decoration: underline;
}
.detail {
  color: var(--ink-2);
  font-size: var(--text-s);
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.narrow .detail {
  overflow-wrap: anywhere;
  white-space: normal;
}
.narrow .name {
  align-content: start;
  font-size: 11px;
  padding: 2px;
}
.narrow .gap text {
  font-size: 12px;
  text-anchor: middle;
}
.narrow :is(.high, .wanted-label text) {
  font-size: 14px;
}
.flag {
  font-size: var(--text-s);
  font-weight: 700;
}
.flag.fails {
  color: var(--fails);
}
.flag.unknown {
  color: var(--unknown);
}
.flag.tight {
  color: var(--tight);
}
.flag.fits {
  color: var(--ink-2);
  font-weight: 400;
}
/* On paper it is as wide as its sheet, and as high as that makes it: the figures are those of the screen. */
@media print {
  .plot {
    overflow: visible;
  }
  .plot svg {
    height: auto;
    width: 100%;
  }
}
</style>
