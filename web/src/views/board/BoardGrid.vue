<script setup lang="ts">
import { type Job, type Speech, VERDICTS } from '@brannik/core'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import BoardRow from './BoardRow.vue'
import { observedBothWays } from './bothWays.ts'
import type { BoardColumn, BoardModel, Cells, Shown } from './boardModel.ts'
import type { CellRow } from './cellRows.ts'
import { MARK_PATHS } from '../../components/verdictShapes.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** Jobs down, machines or set-ups across; only what is in sight is drawn, both ways. Walked by arrows as a table is. */
const { jobs, columns, model, cells, pinned, due, isOverdue, groupOf, lines } = defineProps<{
  jobs: readonly Job[]
  /** Those of the board that are shown. */
  columns: readonly BoardColumn[]
  model: BoardModel
  cells: Cells
  /** Lines of a cell. */
  lines: number
  /** What the jobs beside a job have in common with it; empty where they are not grouped. */
  groupOf: (job: Job) => string
  pinned: ReadonlySet<string>
  /** As it is written. */
  due: (job: Job) => string
  isOverdue: (job: Job) => boolean
  jobWords: (job: Job) => string
}>()
const at = defineModel<{ readonly row: number; readonly column: number }>({ required: true })
const emit = defineEmits<{ open: []; pin: [columnId: string]; sort: [columnId: string] }>()

const workspace = useWorkspace()
/** A row that comes back into sight has its words. Other words of the shop are asked for anew. */
const shown = computed(() => {
  const { shownOf } = model
  const known = new WeakMap<Speech, WeakMap<CellRow, Map<string, Shown>>>()
  return (row: CellRow, column: BoardColumn): Shown | null => {
    const { speech } = workspace
    const rows = known.get(speech) ?? new WeakMap<CellRow, Map<string, Shown>>()
    known.set(speech, rows)
    const said = rows.get(row) ?? new Map<string, Shown>()
    rows.set(row, said)
    const before = said.get(column.id)
    if (before) return before
    const cell = row.get(column.id)
    if (!cell) return null
    const made = shownOf(cell, column)
    said.set(column.id, made)
    return made
  }
})

/** The shapes to which a cell's colour is cut, as styles take them: `--mark-fits` and so on. */
const MARK_CUTS = Object.fromEntries(
  VERDICTS.map((verdict) => [`--mark-${verdict}`, `path(evenodd, '${MARK_PATHS[verdict]}')`]),
)

const LINE = 17
const ABOVE_AND_BELOW = 18
const row = computed(() => lines * LINE + ABOVE_AND_BELOW)
const COLUMN = 124
/** Names of groups take two lines more. */
const HEAD = computed(() => (columns.some(({ group }) => group !== '') ? 104 : 76))
/** Above the first job of a group. */
const LEAD = 24
const leadOf = (index: number): string => {
  const job = jobs[index]
  const before = jobs[index - 1]
  const group = job ? groupOf(job) : ''
  return group !== '' && (!before || groupOf(before) !== group) ? group : ''
}
/** Job and due. */
const isNarrow = useMediaQuery('(max-width: 560px)')
const left = computed(() => (isNarrow.value ? 124 : 220))

const scroller = ref<HTMLElement | null>(null)
const observe = observedBothWays()
const rows = useVirtualizer(
  computed(() => ({
    count: jobs.length,
    estimateSize: (index: number) => row.value + (leadOf(index) === '' ? 0 : LEAD),
    getScrollElement: () => scroller.value,
    observeElementOffset: observe,
    overscan: 2,
    paddingStart: HEAD.value,
    scrollPaddingStart: HEAD.value,
  })),
)
const across = useVirtualizer(
  computed(() => ({
    horizontal: true,
    count: columns.length,
    estimateSize: () => COLUMN,
    getScrollElement: () => scroller.value,
    observeElementOffset: observe,
    overscan: 1,
    paddingStart: left.value,
    scrollPaddingStart: left.value,
  })),
)
const inSight = computed(() => {
  const items = across.value.getVirtualItems()
  return { first: items[0]?.index ?? 0, last: items.at(-1)?.index ?? -1 }
})
/** The name of a group stands over its first column. */
const groupAt = (index: number): string => {
  const group = columns[index]?.group ?? ''
  return columns[index - 1]?.group === group ? '' : group
}
watch([() => lines, () => jobs.map((_, index) => leadOf(index)).join()], () => {
  rows.value.measure()
})

const startsToBuy = (index: number): boolean =>
  columns[index]?.isOwned === false && columns[index - 1]?.isOwned === true && columns[index]?.group === ''

/** Who goes on before the cell is drawn has left it: the focus stays where he went. */
let goes = 0
async function go(toRow: number, toColumn: number): Promise<void> {
  goes += 1
  const mine = goes
  const next = {
    row: Math.min(Math.max(0, toRow), jobs.length - 1),
    column: Math.min(Math.max(0, toColumn), columns.length - 1),
  }
  at.value = next
  await nextTick()
  rows.value.scrollToIndex(at.value.row)
  across.value.scrollToIndex(at.value.column)
  await new Promise(requestAnimationFrame)
  if (mine !== goes) return
  // Where it stands by now: jobs and columns may have changed their places meanwhile.
  scroller.value
    ?.querySelector<HTMLElement>(`[data-at="${at.value.row} ${at.value.column}"]`)
    ?.focus({ preventScroll: true })
}
/**
 * The cell in hand goes where its job and its column go, and takes the focus along. Where it stays in its place nothing
 * scrolls: its owner may have scrolled on to read another job.
 */
watch([() => jobs, () => columns], async () => {
  const held = document.activeElement
  if (!(held instanceof HTMLElement) || !scroller.value?.contains(held)) return
  const place = held.dataset['at']
  if (place === undefined) return
  await nextTick()
  const { row: atRow, column: atColumn } = at.value
  if (document.activeElement !== held || place !== `${atRow} ${atColumn}`) void go(atRow, atColumn)
})
/** The cell under the pointer: the board listens, not each of its thousands of cells. */
function placeOf({ target }: MouseEvent): readonly [row: number, column: number] | null {
  const cell = target instanceof Element ? target.closest<HTMLElement>('[data-at]') : null
  const [atRow, atColumn] = (cell?.dataset['at'] ?? '').split(' ').map(Number)
  return atRow === undefined || atColumn === undefined ? null : [atRow, atColumn]
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
  const { row: atRow, column: atColumn } = at.value
  const to: Readonly<Record<string, readonly [number, number]>> = {
    ArrowUp: [atRow - 1, atColumn],
    ArrowDown: [atRow + 1, atColumn],
    ArrowLeft: [atRow, atColumn - 1],
    ArrowRight: [atRow, atColumn + 1],
    Home: event.ctrlKey ? [0, 0] : [atRow, 0],
    End: event.ctrlKey ? [jobs.length - 1, columns.length - 1] : [atRow, columns.length - 1],
    PageUp: [atRow - PAGE, atColumn],
    PageDown: [atRow + PAGE, atColumn],
  }
  const target = to[event.key]
  if (target) {
    event.preventDefault()
    void go(...target)
  } else if (event.key === 'Enter') {
    event.preventDefault()
    goes += 1
    emit('open')
  } else if (event.key === ' ') {
    event.preventDefault()
    const column = columns[atColumn]
    if (column) emit('pin', column.id)
  }
}
defineExpose({ focus: () => go(at.value.row, at.value.column) })
</script>

<template>
  <div
    ref="scroller"
    class="board sheet"
    role="grid"
    aria-label="Board"
    :aria-rowcount="jobs.length + 1"
    :aria-colcount="columns.length + 1"
    :style="{
      '--left': `${left}px`,
      '--row': `${row}px`,
      '--head': `${HEAD}px`,
      '--lead': `${LEAD}px`,
      ...MARK_CUTS,
    }"
    @keydown="onKey"
    @click="onClick"
    @dblclick="(event) => placeOf(event) && emit('open')"
  >
    <div
      class="inner"
      :style="{ height: `${rows.getTotalSize()}px`, width: `${across.getTotalSize()}px` }"
      role="presentation"
    >
      <div class="heads" role="row" aria-rowindex="1">
        <div class="corner" role="columnheader" aria-colindex="1"><span>Job</span><span>Due</span></div>
        <div
          v-for="column in across.getVirtualItems()"
          :key="String(column.key)"
          class="head"
          :class="{ 'starts-to-buy': startsToBuy(column.index) }"
          role="columnheader"
          :aria-colindex="column.index + 2"
          :style="{ left: `${column.start}px` }"
        >
          <span v-if="groupAt(column.index)" class="group">{{ groupAt(column.index) }}</span>
          <button
            v-tip="'Sort the jobs by this column'"
            class="name"
            tabindex="-1"
            @click="emit('sort', columns[column.index]?.id ?? '')"
          >
            {{ columns[column.index]?.name }}
          </button>
          <span v-if="columns[column.index]?.price" class="buy">{{ columns[column.index]?.price }}</span>
          <span v-else class="label note">{{ columns[column.index]?.note }}</span>
          <span v-if="pinned.has(columns[column.index]?.id ?? '')" class="pinned"
            ><span class="visually-hidden">pinned</span></span
          >
        </div>
      </div>
      <template v-for="line in rows.getVirtualItems()" :key="String(line.key)">
        <BoardRow
          v-if="jobs[line.index]"
          :job="jobs[line.index] as Job"
          :row="line.index"
          :columns="columns"
          :model="model"
          :shown="shown"
          :cells="cells.get(jobs[line.index]?.id ?? '')"
          :lead="leadOf(line.index)"
          :first="inSight.first"
          :last="inSight.last"
          :width="COLUMN"
          :left="left"
          :here="line.index === at.row ? at.column : -1"
          :due="due"
          :is-overdue="isOverdue"
          :words="jobWords"
          :style="{ top: `${line.start}px`, height: `${line.size}px` }"
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
  height: var(--head);
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
  width: 124px;
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
.note {
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  display: -webkit-box;
  line-height: 1.2;
  overflow: hidden;
}
.group {
  color: var(--ink-2);
  font-size: var(--text-s);
  left: 6px;
  position: absolute;
  line-height: 1.15;
  right: 4px;
  top: 4px;
}
.starts-to-buy {
  border-left: 2px solid var(--line-strong);
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
