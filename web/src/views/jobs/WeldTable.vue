<script setup lang="ts">
import {
  type Joint,
  LINE_FIELDS,
  type LineField,
  type Notation,
  type Plan,
  printLineField,
  printValue,
} from '@brannik/core'
import { computed, nextTick, ref, watch } from 'vue'
import type { VVirtualScroll } from 'vuetify/components'
import PrintedTable from '../../components/PrintedTable.vue'
import { useWorkspace } from '../../shop/workspace.ts'
import WeldPicks from './WeldPicks.vue'
import WeldRow from './WeldRow.vue'

/** The weld lines, one a row, typed by keyboard alone: Tab across, Enter down and on to a new line. */
const { joints, selected, notation, plan, unsized } = defineProps<{
  joints: readonly Joint[]
  selected: string | null
  notation: Notation
  plan: Plan | null
  /** New welds without a typed size. */
  unsized: ReadonlySet<string>
}>()
const emit = defineEmits<{
  change: [joints: readonly Joint[], what: string]
  /** Its size was typed: it no longer follows the parts. */
  size: [id: string]
  select: [id: string]
  add: [after: number]
  duplicate: [ids: readonly string[]]
  remove: [ids: readonly string[]]
  paste: [text: string, after: number]
  move: [from: number, to: number]
  open: [id: string, figure: 'wanted' | 'metal']
}>()

const workspace = useWorkspace()
const ROW = 34
const scroller = ref<VVirtualScroll | null>(null)
const body = ref<HTMLElement | null>(null)

/** Places, which stay as they are while a weld is typed: the list is not laid out anew at each key. */
const count = computed(() => joints.length)
const places = computed(() => Array.from({ length: count.value }, (_, index) => index))
const summaries = computed(() => new Map(plan?.welds.map((one) => [one.jointId, one])))

const wanted = ({ id }: Joint): string => {
  const summary = summaries.value.get(id)
  return summary ? printValue(Math.round(summary.wantedA), 'A', notation) : ''
}
const metal = ({ id }: Joint): string => {
  const summary = summaries.value.get(id)
  return summary ? printValue(summary.metalG, 'g', notation) : ''
}

/** On paper all of them, whatever is in sight. */
const PRINTED = ['No', ...LINE_FIELDS, 'Needs', 'Metal']
const printed = (): readonly (readonly string[])[] =>
  joints.map((joint, index) => [
    `${index + 1}`,
    ...LINE_FIELDS.map((field) => printLineField(field, joint, notation, workspace.shop?.ruleBook)),
    wanted(joint),
    metal(joint),
  ])

/** Welds that are changed together, by id. */
const picked = ref<ReadonlySet<string>>(new Set())
let lastPicked = 0
const picks = computed(() => joints.filter(({ id }) => picked.value.has(id)))
watch(
  () => joints.map(({ id }) => id).join(' '),
  () => (picked.value = new Set(picks.value.map(({ id }) => id))),
)
function pick(index: number, isRange: boolean): void {
  const next = new Set(picked.value)
  const [from, to] = isRange ? [Math.min(lastPicked, index), Math.max(lastPicked, index)] : [index, index]
  const isOn = isRange || !next.has(joints[index]?.id ?? '')
  for (const { id } of joints.slice(from, to + 1))
    if (isOn) next.add(id)
    else next.delete(id)
  lastPicked = index
  picked.value = next
}
function changeOne(next: Joint, field: LineField): void {
  if (field === 'Size') emit('size', next.id)
  emit('change', [next], field.toLowerCase())
}

/** One cell is typed as ever; rows of a list are welds of their own. */
function onPaste(event: ClipboardEvent): void {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!/[\t\n]/.test(text.trim())) return
  event.preventDefault()
  const row = (event.target as HTMLElement).closest<HTMLElement>('[data-row]')?.dataset['row']
  emit('paste', text, row === undefined ? joints.length - 1 : Number(row))
}

async function focusCell(row: number, column: number): Promise<void> {
  scroller.value?.scrollToIndex(row)
  // A row that was out of sight is made first, a frame later.
  await nextTick()
  await new Promise(requestAnimationFrame)
  const cell = body.value?.querySelector<HTMLInputElement>(
    `[data-row="${row}"] [data-column="${column}"] input`,
  )
  cell?.focus()
  cell?.select()
}

async function onKey(event: KeyboardEvent, row: number, column: number): Promise<void> {
  if (event.key === 'd' && (event.ctrlKey || event.metaKey)) {
    event.preventDefault()
    emit('duplicate', [joints[row]?.id ?? ''])
    await nextTick()
    await focusCell(row + 1, column)
    return
  }
  const step = event.key === 'ArrowDown' || event.key === 'Enter' ? 1 : event.key === 'ArrowUp' ? -1 : 0
  if (step === 0) return
  event.preventDefault()
  if (event.altKey && event.key !== 'Enter') {
    const to = row + step
    if (to < 0 || to >= joints.length) return
    emit('move', row, to)
    await focusCell(to, column)
    return
  }
  if (event.key === 'Enter' && row === joints.length - 1) {
    emit('add', row)
    await nextTick()
    await focusCell(row + 1, 0)
    return
  }
  const to = row + step
  if (to >= 0 && to < joints.length) await focusCell(to, column)
}

defineExpose({ focusCell })
</script>

<template>
  <div class="table sheet">
    <PrintedTable title="Welds" :head="PRINTED" :rows="printed" />
    <div
      class="lines screen-only"
      role="table"
      aria-label="Weld lines"
      :aria-rowcount="joints.length + 1"
      @paste="onPaste"
    >
      <div class="row head" role="row">
        <span role="columnheader">No</span>
        <span v-for="name in LINE_FIELDS" :key="name" role="columnheader">{{ name }}</span>
        <span role="columnheader" class="number">Needs</span>
        <span role="columnheader" class="number">Metal</span>
        <span role="columnheader"><span class="visually-hidden">Delete</span></span>
      </div>
      <div ref="body" class="body" :style="{ '--welds': joints.length }">
        <VVirtualScroll ref="scroller" :items="places" :item-height="ROW" height="100%">
          <template #default="{ item: index }">
            <WeldRow
              v-for="joint in joints.slice(index, index + 1)"
              :key="joint.id"
              :joint="joint"
              :index="index"
              :notation="notation"
              :is-selected="joint.id === selected"
              :is-picked="picked.has(joint.id)"
              :is-unsized="unsized.has(joint.id)"
              :is-only="joints.length === 1"
              :wanted="wanted(joint)"
              :metal="metal(joint)"
              @change="changeOne"
              @pick="(isRange) => pick(index, isRange)"
              @select="emit('select', joint.id)"
              @remove="emit('remove', [joint.id])"
              @open="(figure) => emit('open', joint.id, figure)"
              @key="(event, column) => onKey(event, index, column)"
            />
          </template>
        </VVirtualScroll>
      </div>
    </div>
    <WeldPicks
      v-if="picks.length > 0"
      class="screen-only"
      :welds="picks"
      :notation="notation"
      :number-of="(id) => joints.findIndex((one) => one.id === id) + 1"
      @change="(next, what) => emit('change', next, what)"
      @duplicate="(ids) => emit('duplicate', ids)"
      @remove="(ids) => emit('remove', ids)"
      @clear="picked = new Set()"
    />
    <p v-else class="keys label screen-only">
      <kbd>Tab</kbd> across <kbd>Enter</kbd> down, at the end a new weld <kbd>Alt ↑↓</kbd> move weld
      <kbd>Ctrl D</kbd> duplicate <kbd>Esc</kbd> discard typing. Press numbers to pick
    </p>
  </div>
</template>

<style scoped>
.table,
.lines {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
}
.lines {
  grid-template-rows: auto minmax(0, 1fr);
}
.row {
  align-items: center;
  border-bottom: 1px solid var(--line);
  display: grid;
  gap: 2px;
  grid-template-columns: 24px 84px 104px minmax(0, 1.7fr) minmax(0, 1fr) 78px 88px 48px 72px 22px;
  /* What is typed in one line lays no other out anew. */
  contain: content;
  min-height: 34px;
  padding: 0 8px;
}
.head {
  color: var(--ink-2);
  font-size: var(--text-s);
}
.head span:not(.number):not(:first-child) {
  padding-left: 7px;
}
.body {
  min-height: 0;
  overflow: hidden;
}
.selected {
  background: var(--sunk);
  box-shadow: inset 3px 0 var(--copper);
}
.keys {
  padding: 6px 12px;
}
kbd {
  margin-left: 6px;
}
/* Narrow: a card for each weld, with the name of each cell above it. */
@media screen and (max-width: 900px) {
  .head {
    display: none;
  }
  .body {
    height: min(64vh, calc(var(--welds) * var(--card)));
    --card: 238px;
  }
  .row {
    border-bottom: 1px solid var(--line-strong);
    flex-wrap: wrap;
    gap: 4px 12px;
    padding: 8px 12px 10px;
  }
  .row:not(.head) {
    display: flex;
  }
  /* What is reckoned stands in a line of its own above what is typed. */
  .row:not(.head)::before {
    content: '';
    flex-basis: 100%;
    order: 1;
  }
}
@media screen and (min-width: 560px) and (max-width: 900px) {
  .body {
    --card: 148px;
  }
}
</style>
