<script setup lang="ts">
import { type Job, VERDICTS } from '@brannik/core'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import BoardHeads from './BoardHeads.vue'
import BoardRow from './BoardRow.vue'
import { observedBothWays } from './bothWays.ts'
import type { BoardColumn, BoardModel, Cells } from './boardModel.ts'
import { rowWords } from './rowWords.ts'
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
const said = computed(() => rowWords(columns, model, () => workspace.speech))

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
watch([() => lines, () => jobs.map((_, index) => leadOf(index)).join()], () => {
  rows.value.measure()
})

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
      <BoardHeads
        :columns="columns"
        :first="inSight.first"
        :last="inSight.last"
        :width="COLUMN"
        :left="left"
        :pinned="pinned"
        @sort="(columnId) => emit('sort', columnId)"
      />
      <template v-for="line in rows.getVirtualItems()" :key="String(line.key)">
        <BoardRow
          v-if="jobs[line.index]"
          :job="jobs[line.index] as Job"
          :row="line.index"
          :columns="columns"
          :model="model"
          :said="said"
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
</style>
