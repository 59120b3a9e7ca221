<script setup lang="ts">
import { type BoardCell, cellText, type Job, type SetUp, verdictText } from '@brannik/core'
import { computed } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'

/**
 * One job of the board, with the cells of the set-ups in sight. A row of its own, and each cell drawn anew only when it changed:
 * scrolling past draws what comes into sight, and nothing else.
 */
const { job, row, setUps, cells, first, last, width, left, here, due, isOverdue, words } = defineProps<{
  job: Job
  /** Its place on the board. */
  row: number
  setUps: readonly SetUp[]
  /** By set-up; absent until they are worked out. */
  cells: ReadonlyMap<string, BoardCell> | undefined
  /** Set-ups in sight. */
  first: number
  last: number
  /** Of a column, and of what stands before the columns. */
  width: number
  left: number
  /** Column of the cell in hand; −1 where it is in another row. */
  here: number
  /** As it is written. */
  due: (job: Job) => string
  isOverdue: (job: Job) => boolean
  words: (job: Job) => string
}>()

const workspace = useWorkspace()

interface Shown {
  readonly setUp: SetUp
  readonly column: number
  readonly cell: BoardCell | null
  readonly text: string
}
const texts = new WeakMap<BoardCell, string>()
function textOf(cell: BoardCell | undefined): string {
  if (!cell) return ''
  const known = texts.get(cell)
  if (known !== undefined) return known
  const text = cellText(workspace.speech, cell)
  texts.set(cell, text)
  return text
}
const shown = computed((): readonly Shown[] =>
  setUps.slice(first, last + 1).map((setUp, index) => {
    const cell = cells?.get(setUp.id)
    return { setUp, column: first + index, cell: cell ?? null, text: textOf(cell) }
  }),
)
// Of the job alone: not asked again with every column that comes into sight.
const late = computed(() => isOverdue(job))
const written = computed(() => ({ due: due(job), words: words(job) }))
const label = ({ setUp, cell, text }: Shown): string =>
  `${job.name}, ${setUp.name}: ${cell ? `${verdictText(workspace.speech, cell.verdict)} ${text}` : 'not worked out'}`
</script>

<template>
  <div class="line" role="row" :aria-rowindex="row + 2">
    <div class="job" role="rowheader" aria-colindex="1">
      <span class="what">
        <a class="one-line" tabindex="-1" :href="`/fit/${job.id}`">{{ job.name }}</a>
        <span class="label one-line">{{ written.words }}</span>
      </span>
      <strong v-if="late" class="late">late</strong>
      <span v-else class="due">{{ written.due }}</span>
    </div>
    <div
      v-for="one in shown"
      :key="one.setUp.id"
      v-memo="[
        one.cell,
        one.text,
        one.column === here,
        one.column,
        job.setUpId === one.setUp.id,
        job.name,
        left,
      ]"
      class="cell"
      role="gridcell"
      :class="[one.cell?.verdict, { here: one.column === here, own: job.setUpId === one.setUp.id }]"
      :data-at="`${row} ${one.column}`"
      :aria-colindex="one.column + 2"
      :aria-selected="one.column === here"
      :aria-label="label(one)"
      :tabindex="one.column === here ? 0 : -1"
      :style="{ left: `${left + one.column * width}px` }"
    >
      <span class="words">{{ one.cell ? one.text : '…' }}</span>
    </div>
  </div>
</template>

<style scoped>
.line {
  border-bottom: 1px solid var(--line);
  contain: strict;
  height: 52px;
  left: 0;
  min-width: 100%;
  position: absolute;
  width: 100%;
}
.job {
  align-items: center;
  background: var(--sheet);
  display: flex;
  gap: 10px;
  height: 100%;
  justify-content: space-between;
  left: 0;
  padding: 0 10px 0 12px;
  position: sticky;
  width: var(--left);
  z-index: 1;
}
.what {
  display: grid;
  min-width: 0;
}
.what a {
  color: var(--ink);
  font-weight: 700;
  text-decoration: none;
}
.what a:hover {
  text-decoration: underline;
}
.due {
  color: var(--ink-2);
  font-size: var(--text-s);
  white-space: nowrap;
}
.late {
  color: var(--fails);
  font-size: var(--text-s);
}
.cell {
  align-content: center;
  contain: strict;
  border-left: 2px solid var(--sheet);
  cursor: pointer;
  display: grid;
  gap: 1px;
  height: 51px;
  padding: 0 7px;
  position: absolute;
  top: 0;
  width: 100px;
}
/* Those that are not worked out yet have no mark. */
.cell::before {
  background: none;
  content: '';
  display: block;
  forced-color-adjust: none;
  height: 14px;
  mask-mode: luminance;
  print-color-adjust: exact;
  width: 14px;
}
.cell.fits {
  background: var(--fits-soft);
}
.cell.fits::before {
  background: var(--fits);
  mask-image: var(--mark-fits);
}
.cell.tight {
  background: var(--tight-soft);
}
.cell.tight::before {
  background: var(--tight);
  mask-image: var(--mark-tight);
}
.cell.fails::before {
  background: var(--fails);
  mask-image: var(--mark-fails);
}
.cell.unknown {
  background: var(--unknown-soft);
}
.cell.unknown::before {
  background: var(--unknown);
  mask-image: var(--mark-unknown);
}
.cell .words {
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  display: -webkit-box;
  font-size: var(--text-s);
  line-height: 1.15;
  overflow: hidden;
}
/* The eye is to find what works. */
.cell.fails::before {
  opacity: 0.72;
}
.cell.fails .words {
  color: var(--ink-2);
}
@media screen and (max-width: 560px) {
  .due,
  .late {
    display: none;
  }
}
/* What the job hangs on now. */
.cell.own {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.cell.here {
  outline: 2px solid var(--copper);
  outline-offset: -2px;
}
</style>
