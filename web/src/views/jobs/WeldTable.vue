<script setup lang="ts">
import {
  applyChange,
  type Plan,
  type Joint,
  positionName,
  printJoint,
  printParts,
  printPattern,
  printSize,
  printValue,
  printWelds,
  readJoint,
  readParts,
  readPattern,
  readPosition,
  readSize,
  readWelds,
  type TextRead,
  type Notation,
} from '@brannik/core'
import { computed, nextTick, ref } from 'vue'
import type { VVirtualScroll } from 'vuetify/components'
import TextCell from '../../components/TextCell.vue'

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

const ROW = 34
const scroller = ref<VVirtualScroll | null>(null)
const body = ref<HTMLElement | null>(null)

interface CellKind {
  readonly name: string
  readonly print: (joint: Joint) => string
  readonly read: (text: string, joint: Joint) => TextRead
}
const CELLS: readonly CellKind[] = [
  { name: 'Welds', print: (j) => printWelds(j, notation), read: (text) => readWelds(text, notation) },
  { name: 'Joint', print: printJoint, read: (text) => readJoint(text) },
  { name: 'Parts', print: (j) => printParts(j, notation), read: (text, j) => readParts(text, j, notation) },
  { name: 'Size', print: (j) => printSize(j, notation), read: (text, j) => readSize(text, j, notation) },
  { name: 'Position', print: (j) => positionName(j.position), read: (text) => readPosition(text) },
  { name: 'Pattern', print: (j) => printPattern(j, notation), read: (text) => readPattern(text, notation) },
]

const items = computed(() => joints.map((joint, index) => ({ joint, index })))
const summaries = computed(() => new Map(plan?.welds.map((one) => [one.jointId, one])))

function accept(joint: Joint, name: string, { change }: TextRead & { ok: true }): string | null {
  const next = applyChange(joint, change)
  if (!next.ok) return next.message
  emit('change', next.joint, name.toLowerCase())
  return null
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
  <div class="table sheet" role="table" aria-label="Weld lines" :aria-rowcount="joints.length + 1">
    <div class="row head" role="row">
      <span role="columnheader">No</span>
      <span v-for="cell in CELLS" :key="cell.name" role="columnheader">{{ cell.name }}</span>
      <span role="columnheader" class="number">Wants</span>
      <span role="columnheader" class="number">Metal</span>
      <span role="columnheader"><span class="visually-hidden">Delete</span></span>
    </div>
    <div ref="body" class="body">
      <VVirtualScroll ref="scroller" :items="items" :item-height="ROW" height="100%">
        <template #default="{ item: { joint, index } }">
          <div
            class="row"
            role="row"
            :data-row="index"
            :class="{ selected: joint.id === selected }"
            :aria-rowindex="index + 2"
            @focusin="emit('select', joint.id)"
            @click="emit('select', joint.id)"
          >
            <span role="cell" class="quiet">{{ index + 1 }}</span>
            <div
              v-for="(cell, column) in CELLS"
              :key="cell.name"
              role="cell"
              class="entry"
              :data-column="column"
              @keydown="onKey($event, index, column)"
            >
              <TextCell
                :key="joint.id"
                :printed="cell.print(joint)"
                :label="`${cell.name} of weld ${index + 1}`"
                :read="(text) => cell.read(text, joint)"
                :accept="(read) => accept(joint, cell.name, read)"
              />
            </div>
            <span role="cell" class="number">
              <button
                v-if="summaries.has(joint.id)"
                class="figure"
                :aria-label="`Current of weld ${index + 1}: how it was worked out`"
                @click.stop="emit('open', joint.id, 'wanted')"
              >
                {{ printValue(Math.round(summaries.get(joint.id)?.wantedA ?? 0), 'A', notation) }}
              </button>
              <template v-else>–</template>
            </span>
            <span role="cell" class="number">
              <button
                v-if="summaries.has(joint.id)"
                class="figure"
                :aria-label="`Weld metal of weld ${index + 1}: how it was worked out`"
                @click.stop="emit('open', joint.id, 'metal')"
              >
                {{ printValue(summaries.get(joint.id)?.metalG ?? 0, 'g', notation) }}
              </button>
              <template v-else>–</template>
            </span>
            <span role="cell">
              <button
                v-tip="'Delete this weld'"
                class="remove"
                :aria-label="`Delete weld ${index + 1}`"
                :disabled="joints.length === 1"
                @click.stop="emit('remove', joint.id)"
              >
                ×
              </button>
            </span>
          </div>
        </template>
      </VVirtualScroll>
    </div>
    <p class="keys label">
      <kbd>Tab</kbd> across <kbd>Enter</kbd> down, at the end a new weld <kbd>Alt ↑↓</kbd> moves a weld
      <kbd>Esc</kbd> gives up what was typed
    </p>
  </div>
</template>

<style scoped>
.table {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  min-height: 0;
}
.row {
  align-items: center;
  border-bottom: 1px solid var(--line);
  display: grid;
  gap: 2px;
  grid-template-columns: 24px 84px 104px minmax(0, 1.7fr) minmax(0, 1fr) 78px 88px 48px 72px 22px;
  height: 34px;
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
.entry {
  min-width: 0;
}
.selected {
  background: var(--sunk);
  box-shadow: inset 3px 0 var(--copper);
}
.figure {
  white-space: nowrap;
  background: none;
  border: 0;
  color: inherit;
  cursor: pointer;
  padding: 0;
}
.figure:hover {
  text-decoration: underline;
}
.remove {
  background: none;
  border: 0;
  color: var(--ink-2);
  cursor: pointer;
  font-size: var(--text-l);
  line-height: 1;
  padding: 2px 6px;
}
.remove:hover:not(:disabled) {
  color: var(--fails);
}
.remove:disabled {
  opacity: 0.3;
}
.keys {
  padding: 6px 12px;
}
kbd {
  margin-left: 6px;
}
@media (max-width: 900px) {
  .row {
    grid-template-columns: 26px repeat(3, minmax(0, 1fr)) 24px;
    height: auto;
    padding: 4px 8px;
  }
  .head,
  .row > .number {
    display: none;
  }
}
</style>
