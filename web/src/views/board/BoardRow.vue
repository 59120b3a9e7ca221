<script setup lang="ts">
import { type Job, verdictText } from '@brannik/core'
import { computed, h, type VNode, withMemo } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'
import type { BoardColumn, BoardModel, Shown } from './boardModel.ts'
import type { CellRow } from './cellRows.ts'
import type { RowWords } from './rowWords.ts'

/**
 * One job of the board, with the cells of the columns in sight. A row of its own, and each cell drawn anew only when it
 * changed: scrolling past draws what comes into sight, and nothing else. That is why the cells are not in the template: `v-for`
 * knows a cell by its place among those in sight, and that is another with every column.
 */
const { job, row, columns, model, said, cells, first, last, width, left, here, due, isOverdue, words } =
  defineProps<{
    job: Job
    /** Its place on the board. */
    row: number
    columns: readonly BoardColumn[]
    model: BoardModel
    said: RowWords
    /** Absent until they are worked out. */
    cells: CellRow | undefined
    /** The name of the group that begins with this job; empty where none does. */
    lead: string
    /** Columns in sight. */
    first: number
    last: number
    /** Of a column, and of what is before the columns. */
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

interface Placed {
  readonly column: BoardColumn
  readonly at: number
  readonly shown: Shown | null
}
const placed = computed((): readonly Placed[] =>
  columns
    .slice(first, last + 1)
    .map((column, index) => ({ column, at: first + index, shown: cells ? said.shown(cells, column) : null })),
)
const common = computed(() => (cells ? said.common(cells) : ''))
// Of the job alone: not asked again with every column that comes into sight.
const late = computed(() => isOverdue(job))
const written = computed(() => ({ due: due(job), words: words(job) }))

/** What a cell is called, with all that is written in it: said of the cell, it takes no element of its own to draw. */
function label({ column, shown }: Placed, head: string): string {
  const which =
    model.columns.length > 0 && column.group === '' ? `${column.name}, ${column.note}` : column.name
  const verdict = shown ? verdictText(workspace.speech, shown.tone) : 'not calculated yet'
  const said = [verdict, head, shown?.way, shown?.first].filter(Boolean).join(' ')
  return `${job.name}, ${which}: ${said}`
}
interface Looks {
  readonly isHere: boolean
  /** Its reason is said once for the row. */
  readonly isCommon: boolean
  readonly isPlanned: boolean
}
function cell(one: Placed, { isHere, isCommon, isPlanned }: Looks): VNode {
  const { column, at, shown } = one
  const head = !shown ? '…' : isCommon ? '' : shown.head
  const looks = { here: isHere, bought: shown?.isBought === true, common: isCommon, planned: isPlanned }
  return h(
    'div',
    {
      key: column.id,
      class: ['cell', shown?.tone, looks],
      role: 'gridcell',
      'data-at': `${row} ${at}`,
      'aria-colindex': at + 2,
      'aria-label': label(one, head),
      'aria-selected': isHere,
      tabindex: isHere ? 0 : -1,
      style: { left: `${left + at * width}px` },
    },
    [
      h('span', { class: 'head' }, `${head} `),
      ...(shown?.way ? [h('span', { class: 'way' }, `${shown.way} `)] : []),
      ...(shown?.first ? [h('span', { class: 'first' }, shown.first)] : []),
    ],
  )
}
/** Those drawn last, by column. */
let drawn: VNode[] = []
function Cells(): readonly VNode[] {
  const before = drawn
  drawn = []
  return placed.value.map((one) => {
    const { column, at, shown } = one
    const isHere = at === here
    const isCommon = shown?.tone === 'fails' && common.value !== '' && shown.head === common.value
    const isPlanned = shown !== null && model.isPlanned(job, shown.of)
    const known = before[at]
    if (known) drawn[at] = known
    const of = [shown, column, isHere, isCommon, isPlanned, job.name, left]
    return withMemo(of, () => cell(one, { isHere, isCommon, isPlanned }), drawn, at)
  })
}
</script>

<template>
  <div class="line" :class="{ led: lead !== '' }" role="row" :aria-rowindex="row + 2">
    <div class="job" role="rowheader" aria-colindex="1">
      <span class="what">
        <a tabindex="-1" :href="`/jobs/${job.id}`">{{ job.name }}</a>
        <span v-if="common" class="label common">others: {{ common }}</span>
        <span class="label words">{{ written.words }}</span>
      </span>
      <strong v-if="late" class="late">late</strong>
      <span v-else class="due">{{ written.due }}</span>
    </div>
    <Cells />
    <span v-if="lead" class="lead">{{ lead }}</span>
  </div>
</template>

<style scoped>
.line {
  border-bottom: 1px solid var(--line);
  contain: strict;
  left: 0;
  min-width: 100%;
  position: absolute;
  width: 100%;
}
.led {
  padding-top: var(--lead);
}
.lead {
  color: var(--copper);
  font-size: var(--text-s);
  font-weight: 700;
  left: 12px;
  position: absolute;
  top: 4px;
}
.job {
  align-items: center;
  background: var(--sheet);
  display: flex;
  gap: 8px;
  height: calc(var(--row) - 1px);
  justify-content: space-between;
  left: 0;
  padding: 0 8px 0 12px;
  position: sticky;
  width: var(--left);
  z-index: 1;
}
.what {
  display: grid;
  min-width: 0;
}
.what a {
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  color: var(--ink);
  display: -webkit-box;
  font-weight: 700;
  line-height: 1.2;
  overflow: hidden;
  text-decoration: none;
}
.what a:hover {
  text-decoration: underline;
}
.what .label {
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  display: -webkit-box;
  line-height: 1.2;
  overflow: hidden;
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
.line :deep(.cell) {
  align-content: center;
  border-left: 2px solid var(--sheet);
  column-gap: 5px;
  cursor: pointer;
  display: flex;
  flex-wrap: wrap;
  font-size: var(--text-s);
  height: calc(var(--row) - 1px);
  line-height: 1.25;
  padding: 0 6px;
  position: absolute;
  top: 0;
  width: 124px;
}
.led :deep(.cell) {
  top: var(--lead);
}
/* Those that are not calculated yet have no mark. */
.line :deep(.cell::before) {
  background: none;
  content: '';
  flex: none;
  forced-color-adjust: none;
  height: 14px;
  print-color-adjust: exact;
  width: 14px;
}
.line :deep(.cell.fits) {
  background: var(--fits-soft);
}
.line :deep(.cell.fits::before) {
  background: var(--fits);
  clip-path: var(--mark-fits);
}
.line :deep(.cell.tight) {
  background: var(--tight-soft);
}
.line :deep(.cell.tight::before) {
  background: var(--tight);
  clip-path: var(--mark-tight);
}
/* The eye is to find what works. */
.line :deep(.cell.fails) {
  color: var(--ink-2);
}
.line :deep(.cell.fails::before) {
  background: color-mix(in srgb, var(--fails) 72%, transparent);
  clip-path: var(--mark-fails);
}
.line :deep(.cell.unknown) {
  background: var(--unknown-soft);
}
.line :deep(.cell.unknown::before) {
  background: var(--unknown);
  clip-path: var(--mark-unknown);
}
/* What has to be bought first is not there yet. */
.line :deep(.cell.bought) {
  background: none;
}
.line :deep(.head) {
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  display: -webkit-box;
  flex: 1 1 0;
  min-width: 0;
  overflow: hidden;
}
.line :deep(.fits .head) {
  color: var(--fits);
  font-weight: 700;
}
.line :deep(.tight .head) {
  color: var(--tight);
  font-weight: 700;
}
.line :deep(.way),
.line :deep(.first) {
  flex: 0 0 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.line :deep(.first) {
  color: var(--ink-2);
}
.line :deep(.bought .first) {
  color: var(--copper);
}
.line :deep(.cell.common::before) {
  background: color-mix(in srgb, var(--fails) 40%, transparent);
}
@media screen and (max-width: 560px) {
  .due,
  .late {
    display: none;
  }
}
/* How the job is planned now. */
.line :deep(.cell.planned .head) {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.line :deep(.cell.here) {
  outline: 2px solid var(--copper);
  outline-offset: -2px;
}
/* A narrow first column has room for the name and what its row has in common. */
@media screen and (max-width: 700px) {
  .what .words {
    display: none;
  }
}
/* All of what names the job leads to it. */
@media (pointer: coarse) {
  .job a {
    min-height: 0 !important;
  }
  .job a::after {
    content: '';
    inset: 0;
    position: absolute;
  }
}
</style>
