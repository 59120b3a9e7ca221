<script setup lang="ts">
import type { WeekBlock } from '@brannik/core'
import { useEventListener } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { segmentsOf, type Timeline } from './timeline.ts'
import { durationText, usePlanWords } from './planWords.ts'

/** Blocks on rows of machines or of welders; dragged by a pointer, moved by keys. */
export interface TimeRow {
  readonly id: string
  readonly title: string
  readonly note: string
}
const { rows, blocks, rowOf, timeline, nowMin, chosen, troubled } = defineProps<{
  rows: readonly TimeRow[]
  blocks: readonly WeekBlock[]
  rowOf: (block: WeekBlock) => string
  timeline: Timeline
  nowMin: number
  chosen: string | null
  /** Ids of blocks with something in the way. */
  troubled: ReadonlySet<string>
}>()
const emit = defineEmits<{
  choose: [id: string]
  /** To a row and a start, on the clock of the shop. */
  move: [block: WeekBlock, row: string, startMin: number]
  pin: [block: WeekBlock]
}>()

const { clock, weekday, nameOf, when, lateText } = usePlanWords()
const lanes = useTemplateRef<HTMLElement>('lanes')
const STEP_MIN = 15
/** More days have no room for their hours. */
const MOST_WITH_HOURS = 5
const percent = (share: number): string => `${(share * 100).toFixed(3)}%`

const inRows = computed(() =>
  rows.map((row) => ({
    row,
    own: blocks
      // A run for which no welder has enough hours is listed under In the way.
      .filter((block) => rowOf(block) === row.id && Number.isFinite(block.endMin))
      .map((block) => ({
        block,
        change: segmentsOf(timeline, block.startMin, block.startMin + block.changeMin),
        parts: segmentsOf(timeline, block.startMin + block.changeMin, block.endMin),
      }))
      .filter(({ parts }) => parts.length > 0),
  })),
)
/** What is not seen in the block itself. */
const restOf = (block: WeekBlock): string =>
  [
    block.lateMin > 0 ? block.setUpName : '',
    block.welderName,
    `${when(block.startMin)} to ${when(block.endMin)}`,
    block.isPinned ? 'pinned' : '',
  ]
    .filter(Boolean)
    .join(', ')
const labelOf = (block: WeekBlock): string =>
  `${nameOf(block)}, ${block.lateMin > 0 ? lateText(block.lateMin) : block.setUpName}, ${restOf(block)}`

interface Drag {
  readonly block: WeekBlock
  readonly fromX: number
  readonly fromY: number
  x: number
  y: number
  isMoving: boolean
}
const drag = ref<Drag | null>(null)
const NEAR_PX = 5

function press(event: PointerEvent, block: WeekBlock): void {
  if (event.button !== 0 || block.work) return
  drag.value = {
    block,
    fromX: event.clientX,
    fromY: event.clientY,
    x: event.clientX,
    y: event.clientY,
    isMoving: false,
  }
}
useEventListener(window, 'pointermove', (event) => {
  const { value } = drag
  if (!value) return
  value.x = event.clientX
  value.y = event.clientY
  value.isMoving ||= Math.hypot(value.x - value.fromX, value.y - value.fromY) > NEAR_PX
})
useEventListener(window, 'pointercancel', () => (drag.value = null))
const target = computed(() => {
  const box = lanes.value?.getBoundingClientRect()
  if (!drag.value?.isMoving || !box) return null
  const { block, fromX, x, y } = drag.value
  const share = timeline.at(block.startMin) + (x - fromX) / box.width
  const startMin = Math.max(nowMin, timeline.minuteAt(Math.max(0, Math.min(0.9999, share)), STEP_MIN))
  const own = rows.findIndex(({ id }) => id === rowOf(block))
  const at = Math.floor(((y - box.top) / box.height) * rows.length)
  const row = rows[at >= 0 && at < rows.length ? at : own]
  return row ? { row: row.id, startMin } : null
})
useEventListener(window, 'pointerup', () => {
  const { value } = drag
  const to = target.value
  drag.value = null
  if (value?.isMoving && to) emit('move', value.block, to.row, to.startMin)
})

function focusOn(id: string | undefined): void {
  if (id === undefined) return
  lanes.value?.querySelector<HTMLElement>(`[data-block="${CSS.escape(id)}"]`)?.focus()
}
/** Arrows go from block to block; with Shift they move it by a quarter of an hour, or to the next row. */
function onKey(event: KeyboardEvent, block: WeekBlock): void {
  const at = rows.findIndex(({ id }) => id === rowOf(block))
  const own = inRows.value[at]?.own.map((one) => one.block) ?? []
  const place = own.findIndex(({ id }) => id === block.id)
  const { key, shiftKey } = event
  const side = key === 'ArrowLeft' ? -1 : key === 'ArrowRight' ? 1 : 0
  const down = key === 'ArrowUp' ? -1 : key === 'ArrowDown' ? 1 : 0
  if (key === 'p') emit('pin', block)
  else if (side === 0 && down === 0) return
  else if (shiftKey && !block.work) {
    if (side !== 0) emit('move', block, rowOf(block), Math.max(nowMin, block.startMin + side * STEP_MIN))
    const row = rows[at + down]
    if (down !== 0 && row) emit('move', block, row.id, block.startMin)
  } else if (side !== 0) focusOn(own[place + side]?.id)
  else {
    for (let next = at + down; next >= 0 && next < rows.length; next += down) {
      const there = inRows.value[next]?.own ?? []
      if (there.length === 0) continue
      const nearest = there.toSorted(
        (a, b) => Math.abs(a.block.startMin - block.startMin) - Math.abs(b.block.startMin - block.startMin),
      )[0]
      focusOn(nearest?.block.id)
      break
    }
  }
  event.preventDefault()
}
</script>

<template>
  <div class="time-line" role="group" aria-label="Timeline">
    <div class="days" aria-hidden="true">
      <span v-for="{ day, fromMin, untilMin } in timeline.days" :key="day" class="day">
        <strong>{{ weekday(fromMin) }}</strong>
        <span v-if="timeline.days.length <= MOST_WITH_HOURS" class="quiet"
          >{{ clock(fromMin) }}–{{ clock(untilMin) }}</span
        >
      </span>
    </div>
    <div class="body">
      <div class="names">
        <div v-for="row in rows" :key="row.id" class="name">
          <strong>{{ row.title }}</strong>
          <span class="quiet">{{ row.note }}</span>
        </div>
      </div>
      <div ref="lanes" class="lanes">
        <i
          v-for="({ day }, index) in timeline.days.slice(1)"
          :key="day"
          class="night"
          :style="{ left: percent((index + 1) / timeline.days.length) }"
        />
        <i
          v-if="timeline.at(nowMin) < 1 && nowMin >= (timeline.days[0]?.fromMin ?? 0)"
          class="now"
          :style="{ left: percent(timeline.at(nowMin)) }"
        />
        <div
          v-for="{ row, own } in inRows"
          :key="row.id"
          class="lane"
          :class="{ aim: target?.row === row.id }"
        >
          <template v-for="{ block, change, parts } in own" :key="block.id">
            <RouterLink
              v-for="(part, index) in change"
              :key="`change ${index}`"
              class="change"
              tabindex="-1"
              :to="{ name: 'change-over', params: { id: block.setUpId } }"
              :title="`Change over to ${block.setUpName}, ${durationText(block.changeMin)}`"
              :aria-label="`Change over to ${block.setUpName}, ${durationText(block.changeMin)}`"
              :style="{ left: percent(part.left), width: percent(part.width) }"
            />
            <button
              v-for="(part, index) in parts"
              :key="index"
              class="block"
              :class="{
                here: block.id === chosen,
                late: block.lateMin > 0,
                trouble: troubled.has(block.id),
                pinned: block.isPinned,
                running: block.work?.state === 'running',
                drag: drag?.isMoving && drag.block.id === block.id,
              }"
              :data-block="index === 0 ? block.id : undefined"
              :tabindex="index === 0 ? 0 : -1"
              :aria-hidden="index > 0"
              :aria-pressed="block.id === chosen"
              :title="labelOf(block)"
              :style="{ left: percent(part.left), width: percent(part.width) }"
              @click="emit('choose', block.id)"
              @pointerdown="press($event, block)"
              @keydown="onKey($event, block)"
            >
              <span class="title">{{ nameOf(block) }}</span>
              <span class="more">{{ block.lateMin > 0 ? lateText(block.lateMin) : block.setUpName }}</span>
              <span class="visually-hidden">{{ restOf(block) }}</span>
            </button>
          </template>
          <i
            v-if="target && target.row === row.id"
            class="landing"
            :style="{ left: percent(timeline.at(target.startMin)) }"
          >
            {{ clock(target.startMin) }}
          </i>
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.time-line {
  --names: 148px;
  --row: 52px;
  min-width: 720px;
}
.days {
  display: flex;
  margin-left: var(--names);
}
.day {
  border-left: 1px solid var(--line);
  display: grid;
  flex: 1;
  font-size: var(--text-s);
  min-width: 0;
  overflow: hidden;
  padding: 2px 6px;
  white-space: nowrap;
}
.body {
  display: flex;
}
.names {
  flex: none;
  width: var(--names);
}
.name {
  border-top: 1px solid var(--line);
  display: grid;
  height: var(--row);
  overflow: hidden;
  padding: 6px 8px 0 0;
}
.name > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name .quiet {
  font-size: var(--text-s);
}
.lanes {
  flex: 1;
  min-width: 0;
  position: relative;
}
.lane {
  border-top: 1px solid var(--line);
  height: var(--row);
  position: relative;
}
.aim {
  background: var(--sunk);
}
.night,
.now {
  border-left: 1px solid var(--line);
  bottom: 0;
  pointer-events: none;
  position: absolute;
  top: 0;
}
.now {
  border-left: 2px solid var(--copper);
  z-index: 2;
}
.change,
.block {
  bottom: 4px;
  box-sizing: border-box;
  position: absolute;
  top: 4px;
}
.change {
  background: repeating-linear-gradient(45deg, var(--steel) 0 3px, transparent 3px 6px);
  border: 1px solid var(--steel);
  min-width: 4px;
}
.block {
  background: var(--sunk);
  border: 1px solid var(--steel);
  border-radius: 4px;
  color: var(--ink);
  cursor: grab;
  container-type: inline-size;
  display: grid;
  min-width: 6px;
  overflow: hidden;
  padding: 2px;
  text-align: left;
  touch-action: none;
}
.title,
.more {
  overflow: hidden;
  padding: 0 4px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.title {
  font-weight: 700;
}
/* A short run has its name over three lines; where even that has no room, the tip says it. A screen reader has it all. */
@container (max-width: 64px) {
  .title {
    font-size: var(--text-s);
    font-weight: 500;
    line-height: 12px;
    max-height: 36px;
    overflow-wrap: anywhere;
    padding: 0 1px;
    text-overflow: clip;
    white-space: normal;
  }
  .more {
    clip-path: inset(50%);
    position: absolute;
  }
}
@container (max-width: 20px) {
  .title {
    clip-path: inset(50%);
  }
}
.more {
  font-size: var(--text-s);
}
.late,
.trouble {
  border-left: 4px solid var(--tight);
}
.late {
  border-left-color: var(--fails);
}
.late .more {
  color: var(--fails);
}
.pinned {
  border-bottom: 3px solid var(--ink);
}
.running {
  background: var(--sheet);
  border-color: var(--copper);
}
.here {
  outline: 2px solid var(--copper);
  outline-offset: 1px;
  z-index: 1;
}
.drag {
  opacity: 0.5;
}
.landing {
  border-left: 2px solid var(--copper);
  bottom: 0;
  color: var(--copper);
  font-style: normal;
  padding-left: 4px;
  pointer-events: none;
  position: absolute;
  top: 0;
  z-index: 3;
}
</style>
