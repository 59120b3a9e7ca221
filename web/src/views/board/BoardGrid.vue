<script setup lang="ts">
import type { Job, SetUp, ToBuy } from '@brannik/core'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useMoney } from '../../stores/useMoney.ts'
import BoardRow from './BoardRow.vue'
import { observedBothWays } from './bothWays.ts'
import { MARK_MASKS } from './markMasks.ts'
import type { Cells } from './useBoard.ts'

/** Jobs down, set-ups across; only what is in sight is drawn, both ways. Walked by arrows as a table is. */
const { jobs, setUps, cells, toBuy, pinned, due, isOverdue } = defineProps<{
  jobs: readonly Job[]
  setUps: readonly SetUp[]
  cells: Cells
  toBuy: ReadonlyMap<string, ToBuy | null>
  pinned: ReadonlySet<string>
  /** As it is written. */
  due: (job: Job) => string
  isOverdue: (job: Job) => boolean
  /** What a set-up hangs on. */
  supply: (setUp: SetUp) => string
  jobWords: (job: Job) => string
}>()
const at = defineModel<{ readonly row: number; readonly column: number }>({ required: true })
const emit = defineEmits<{ open: []; pin: [setUpId: string]; sort: [setUpId: string] }>()

const money = useMoney()
const ROW = 52
const COLUMN = 100
const HEAD = 62
/** Job and due. */
const isNarrow = useMediaQuery('(max-width: 560px)')
const left = computed(() => (isNarrow.value ? 124 : 212))

const scroller = ref<HTMLElement | null>(null)
const observe = observedBothWays()
const rows = useVirtualizer(
  computed(() => ({
    count: jobs.length,
    estimateSize: () => ROW,
    getScrollElement: () => scroller.value,
    observeElementOffset: observe,
    overscan: 3,
    paddingStart: HEAD,
    scrollPaddingStart: HEAD,
  })),
)
const columns = useVirtualizer(
  computed(() => ({
    horizontal: true,
    count: setUps.length,
    estimateSize: () => COLUMN,
    getScrollElement: () => scroller.value,
    observeElementOffset: observe,
    overscan: 1,
    paddingStart: left.value,
    scrollPaddingStart: left.value,
  })),
)
const inSight = computed(() => {
  const items = columns.value.getVirtualItems()
  return { first: items[0]?.index ?? 0, last: items.at(-1)?.index ?? -1 }
})
const priceOf = (setUp: SetUp | undefined): string => {
  const buy = setUp && toBuy.get(setUp.id)
  return buy ? `to buy${buy.price === null ? '' : ` ${money(buy.price)}`}` : ''
}

async function go(row: number, column: number): Promise<void> {
  const next = {
    row: Math.min(Math.max(0, row), jobs.length - 1),
    column: Math.min(Math.max(0, column), setUps.length - 1),
  }
  at.value = next
  rows.value.scrollToIndex(next.row)
  columns.value.scrollToIndex(next.column)
  await nextTick()
  await new Promise(requestAnimationFrame)
  scroller.value
    ?.querySelector<HTMLElement>(`[data-at="${next.row} ${next.column}"]`)
    ?.focus({ preventScroll: true })
}
/** The cell under the pointer: the board listens, not each of its thousands of cells. */
function placeOf({ target }: MouseEvent): readonly [row: number, column: number] | null {
  const cell = target instanceof Element ? target.closest<HTMLElement>('[data-at]') : null
  const [row, column] = (cell?.dataset['at'] ?? '').split(' ').map(Number)
  return row === undefined || column === undefined ? null : [row, column]
}
const router = useRouter()
function onClick(event: MouseEvent): void {
  const place = placeOf(event)
  if (place) void go(...place)
  const link = event.target instanceof Element ? event.target.closest('a') : null
  // With a key held the browser opens it elsewhere.
  if (!link || event.ctrlKey || event.metaKey || event.shiftKey) return
  event.preventDefault()
  void router.push(link.getAttribute('href') ?? '/')
}
const PAGE = 8
function onKey(event: KeyboardEvent): void {
  const { row, column } = at.value
  const to: Readonly<Record<string, readonly [number, number]>> = {
    ArrowUp: [row - 1, column],
    ArrowDown: [row + 1, column],
    ArrowLeft: [row, column - 1],
    ArrowRight: [row, column + 1],
    Home: event.ctrlKey ? [0, 0] : [row, 0],
    End: event.ctrlKey ? [jobs.length - 1, setUps.length - 1] : [row, setUps.length - 1],
    PageUp: [row - PAGE, column],
    PageDown: [row + PAGE, column],
  }
  const target = to[event.key]
  if (target) {
    event.preventDefault()
    void go(...target)
  } else if (event.key === 'Enter') {
    event.preventDefault()
    emit('open')
  } else if (event.key === ' ') {
    event.preventDefault()
    const setUp = setUps[column]
    if (setUp) emit('pin', setUp.id)
  }
}
defineExpose({ focus: () => go(at.value.row, at.value.column) })
</script>

<template>
  <div
    ref="scroller"
    class="board sheet"
    role="grid"
    aria-label="Jobs and set-ups"
    :aria-rowcount="jobs.length + 1"
    :aria-colcount="setUps.length + 1"
    :style="{ '--left': `${left}px`, ...MARK_MASKS }"
    @keydown="onKey"
    @click="onClick"
    @dblclick="(event) => placeOf(event) && emit('open')"
  >
    <div
      class="inner"
      :style="{ height: `${rows.getTotalSize()}px`, width: `${columns.getTotalSize()}px` }"
      role="presentation"
    >
      <div class="heads" role="row" aria-rowindex="1">
        <div class="corner" role="columnheader" aria-colindex="1"><span>Job</span><span>Due</span></div>
        <div
          v-for="column in columns.getVirtualItems()"
          :key="String(column.key)"
          class="head"
          role="columnheader"
          :aria-colindex="column.index + 2"
          :style="{ left: `${column.start}px` }"
        >
          <button
            v-tip="'Sort the jobs by this set-up'"
            class="name"
            tabindex="-1"
            @click="emit('sort', setUps[column.index]?.id ?? '')"
          >
            {{ setUps[column.index]?.name }}
          </button>
          <span v-if="priceOf(setUps[column.index])" class="buy">{{ priceOf(setUps[column.index]) }}</span>
          <span v-else class="label one-line">{{
            setUps[column.index] && supply(setUps[column.index] as SetUp)
          }}</span>
          <span v-if="pinned.has(setUps[column.index]?.id ?? '')" class="pinned"
            ><span class="visually-hidden">pinned</span></span
          >
        </div>
      </div>
      <template v-for="row in rows.getVirtualItems()" :key="String(row.key)">
        <BoardRow
          v-if="jobs[row.index]"
          :job="jobs[row.index] as Job"
          :row="row.index"
          :set-ups="setUps"
          :cells="cells.get(jobs[row.index]?.id ?? '')"
          :first="inSight.first"
          :last="inSight.last"
          :width="COLUMN"
          :left="left"
          :here="row.index === at.row ? at.column : -1"
          :due="due"
          :is-overdue="isOverdue"
          :words="jobWords"
          :style="{ top: `${row.start}px` }"
        />
      </template>
    </div>
  </div>
</template>

<style scoped>
.board {
  min-height: 0;
  overflow: auto;
  position: relative;
}
.inner {
  min-width: 100%;
  position: relative;
}
.heads {
  background: var(--sheet);
  border-bottom: 1px solid var(--line-strong);
  height: 62px;
  position: sticky;
  top: 0;
  z-index: 2;
}
.corner {
  align-items: end;
  background: var(--sheet);
  display: flex;
  font-weight: 700;
  gap: 10px;
  height: 100%;
  justify-content: space-between;
  left: 0;
  padding: 0 10px 6px 12px;
  position: sticky;
  width: var(--left);
  z-index: 1;
}
.head {
  align-content: end;
  display: grid;
  height: 100%;
  padding: 0 6px 6px;
  position: absolute;
  top: 0;
  width: 100px;
}
.name {
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  background: none;
  border: 0;
  color: var(--ink);
  cursor: pointer;
  display: -webkit-box;
  font-weight: 700;
  line-height: 1.2;
  overflow: hidden;
  padding: 0;
  text-align: left;
}
.buy {
  color: var(--copper);
  font-size: var(--text-s);
  font-weight: 600;
}
.pinned {
  border: 5px solid transparent;
  border-right-color: var(--copper);
  border-top-color: var(--copper);
  height: 0;
  position: absolute;
  right: 4px;
  top: 4px;
  width: 0;
}
@media screen and (max-width: 560px) {
  .corner > :last-child {
    display: none;
  }
}
</style>
