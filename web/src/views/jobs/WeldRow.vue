<script setup lang="ts">
import {
  applyChange,
  contradictionText,
  inShopUnits,
  type Joint,
  type Notation,
  printJoint,
  printParts,
  printPattern,
  printPosition,
  printSize,
  printWelds,
  readJoint,
  readParts,
  readPattern,
  readPosition,
  readSize,
  readWelds,
  settleJoint,
  type TextRead,
} from '@brannik/core'
import { computed, ref } from 'vue'
import TextCell from '../../components/TextCell.vue'
import type { Read } from '../../components/useTyped.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { CELL_NAMES, type CellName } from './cellNames.ts'

/** One weld line. It stands alone, so that a key typed in one line makes no other anew. */
const { joint, index, notation, isSelected, isOnly } = defineProps<{
  joint: Joint
  /** Its place, from 0. */
  index: number
  notation: Notation
  isSelected: boolean
  /** The last one cannot be deleted. */
  isOnly: boolean
  /** What it wants and takes, as it is written; empty while nobody knows. */
  wanted: string
  metal: string
}>()
const emit = defineEmits<{
  change: [joint: Joint, what: string]
  select: []
  remove: []
  open: [figure: 'wanted' | 'metal']
  key: [event: KeyboardEvent, column: number]
}>()

const workspace = useWorkspace()

interface CellKind {
  readonly name: CellName
  readonly print: () => string
  readonly read: (text: string, joint: Joint) => TextRead
}
const WAYS: Readonly<Record<CellName, Omit<CellKind, 'name'>>> = {
  Welds: { print: () => printWelds(joint, notation), read: (text) => readWelds(text, notation) },
  Joint: { print: () => printJoint(joint), read: (text) => readJoint(text) },
  Parts: { print: () => printParts(joint, notation), read: (text, j) => readParts(text, j, notation) },
  Size: { print: () => printSize(joint, notation), read: (text, j) => readSize(text, j, notation) },
  Position: {
    print: () => printPosition(joint, workspace.shop?.ruleBook),
    read: (text) => readPosition(text),
  },
  Pattern: { print: () => printPattern(joint, notation), read: (text) => readPattern(text, notation) },
}
const CELLS: readonly CellKind[] = CELL_NAMES.map((name) => ({ name, ...WAYS[name] }))

/** What the weld is with what was written; judged with the weld as it was before a key was pressed. */
function readCell({ read }: CellKind, text: string, before: Joint): Read<Joint> {
  const answer = read(text, before)
  if (!answer.ok) return answer
  const next = applyChange(before, answer.change)
  return next.ok
    ? { ok: true, value: next.joint, understood: answer.understood }
    : { ok: false, message: inShopUnits(next.message, notation) }
}

/** What the cells have to say: understood, or why it cannot stand. */
interface Said {
  readonly cell: string
  readonly text: string
  readonly isWrong: boolean
}
const said = ref<readonly Said[]>([])
function tell(cell: string, one: Omit<Said, 'cell'> | null): void {
  const others = said.value.filter((other) => other.cell !== cell)
  said.value = one ? [...others, { cell, ...one }] : others
}
/** And what contradicts in the weld as it is written: each may be mended first. */
const told = computed((): readonly Said[] => [
  ...said.value,
  ...settleJoint(joint).contradictions.map((one) => ({
    cell: '',
    text: contradictionText(workspace.speech, one),
    isWrong: true,
  })),
])
</script>

<template>
  <div
    class="row"
    role="row"
    :data-row="index"
    :class="{ selected: isSelected }"
    :aria-rowindex="index + 2"
    @focusin="emit('select')"
    @click="emit('select')"
  >
    <span role="cell" class="quiet"><span class="label in-card">Weld </span>{{ index + 1 }}</span>
    <div
      v-for="(cell, column) in CELLS"
      :key="cell.name"
      role="cell"
      class="entry"
      :data-column="column"
      @keydown="emit('key', $event, column)"
    >
      <span class="label in-card" aria-hidden="true">{{ cell.name }}</span>
      <TextCell
        :key="joint.id"
        :model-value="joint"
        :printed="cell.print()"
        :label="`${cell.name} of weld ${index + 1}`"
        :told-by="`told-${joint.id}`"
        :read="(text, before) => readCell(cell, text, before)"
        @update:model-value="(next) => emit('change', next, cell.name.toLowerCase())"
        @told="(one) => tell(cell.name, one)"
      />
    </div>
    <span role="cell" class="number">
      <span class="label in-card">Needs </span>
      <button
        v-if="wanted"
        class="figure"
        :aria-label="`${wanted}, current of weld ${index + 1}: calculation`"
        @click.stop="emit('open', 'wanted')"
      >
        {{ wanted }}
      </button>
      <template v-else>–</template>
    </span>
    <span role="cell" class="number">
      <span class="label in-card">Metal </span>
      <button
        v-if="metal"
        class="figure"
        :aria-label="`${metal}, metal of weld ${index + 1}: calculation`"
        @click.stop="emit('open', 'metal')"
      >
        {{ metal }}
      </button>
      <template v-else>–</template>
    </span>
    <span role="cell" class="end">
      <button
        v-tip="'Delete weld'"
        class="remove"
        :aria-label="`Delete weld ${index + 1}`"
        :disabled="isOnly"
        @click.stop="emit('remove')"
      >
        ×
      </button>
    </span>
    <p
      v-if="told.length > 0"
      :id="`told-${joint.id}`"
      class="told"
      :role="told.some(({ isWrong }) => isWrong) ? 'alert' : 'status'"
    >
      <span v-for="one in told" :key="one.cell + one.text" :class="{ problem: one.isWrong }">
        {{ one.cell ? `${one.cell}: ${one.text}` : one.text }}
      </span>
    </p>
  </div>
</template>

<style scoped>
.told {
  display: flex;
  flex-wrap: wrap;
  font-size: var(--text-s);
  gap: 0 16px;
  grid-column: 1 / -1;
  padding: 0 0 5px 33px;
}
.entry {
  min-width: 0;
}
.in-card {
  display: none;
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
@media screen and (max-width: 900px) {
  .in-card {
    display: inline;
  }
  .entry {
    display: grid;
    flex: 1 1 200px;
    order: 2;
  }
  .told {
    flex-basis: 100%;
    order: 3;
    padding: 0;
  }
  .end {
    margin-left: auto;
  }
}
@media screen and (max-width: 559px) {
  .entry {
    flex-basis: 140px;
  }
  /* What is longest has a line of its own. */
  .entry[data-column='2'],
  .entry[data-column='3'] {
    flex-basis: 100%;
  }
}
</style>
