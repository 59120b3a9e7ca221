<script setup lang="ts">
import {
  type Joint,
  type Notation,
  type Plan,
  printJoint,
  printParts,
  printPattern,
  printPosition,
  printSize,
  printValue,
  printWelds,
} from '@brannik/core'
import { computed, nextTick, ref } from 'vue'
import type { VVirtualScroll } from 'vuetify/components'
import PrintedTable from '../../components/PrintedTable.vue'
import { CELL_NAMES } from './cellNames.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import WeldRow from './WeldRow.vue'

/** The weld lines, one a row, typed by keyboard alone: Tab across, Enter down and on to a new line. */
const { joints, selected, notation, plan } = defineProps<{
  joints: readonly Joint[]
  selected: string | null
  notation: Notation
  plan: Plan | null
}>()
const emit = defineEmits<{
  change: [joint: Joint, what: string]
  select: [id: string]
  add: [after: number]
  remove: [id: string]
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
const PRINTED = ['No', ...CELL_NAMES, 'Needs', 'Metal']
const printed = (): readonly (readonly string[])[] =>
  joints.map((joint, index) => [
    `${index + 1}`,
    printWelds(joint, notation),
    printJoint(joint),
    printParts(joint, notation),
    printSize(joint, notation),
    printPosition(joint, workspace.shop?.ruleBook),
    printPattern(joint, notation),
    wanted(joint),
    metal(joint),
  ])

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
    <div class="lines screen-only" role="table" aria-label="Weld lines" :aria-rowcount="joints.length + 1">
      <div class="row head" role="row">
        <span role="columnheader">No</span>
        <span v-for="name in CELL_NAMES" :key="name" role="columnheader">{{ name }}</span>
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
              :is-only="joints.length === 1"
              :wanted="wanted(joint)"
              :metal="metal(joint)"
              @change="(next, what) => emit('change', next, what)"
              @select="emit('select', joint.id)"
              @remove="emit('remove', joint.id)"
              @open="(figure) => emit('open', joint.id, figure)"
              @key="(event, column) => onKey(event, index, column)"
            />
          </template>
        </VVirtualScroll>
      </div>
    </div>
    <p class="keys label screen-only">
      <kbd>Tab</kbd> across <kbd>Enter</kbd> down, at the end a new weld <kbd>Alt ↑↓</kbd> move weld
      <kbd>Esc</kbd> discard typing
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
