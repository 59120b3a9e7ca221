<script setup lang="ts">
import {
  contradictionText,
  inShopUnits,
  type Joint,
  LINE_FIELDS,
  type LineField,
  type Notation,
  printLineField,
  readLineField,
  settleJoint,
} from '@brannik/core'
import { computed, ref } from 'vue'
import TextCell from '../../components/TextCell.vue'
import type { Read } from '../../components/useTyped.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** One weld line. It stands alone, so that a key typed in one line makes no other anew. */
const { joint, index, notation, isSelected, isPicked, isUnsized, isOnly } = defineProps<{
  joint: Joint
  /** Its place, from 0. */
  index: number
  notation: Notation
  isSelected: boolean
  /** One of those that are changed together. */
  isPicked: boolean
  /** New, and its size not typed yet: its leg follows its parts. */
  isUnsized: boolean
  /** The last one cannot be deleted. */
  isOnly: boolean
  /** What it wants and takes, as it is written; empty while nobody knows. */
  wanted: string
  metal: string
}>()
const emit = defineEmits<{
  change: [joint: Joint, field: LineField]
  select: []
  /** `isRange` from the last one that was picked to this one. */
  pick: [isRange: boolean]
  remove: []
  open: [figure: 'wanted' | 'metal']
  key: [event: KeyboardEvent, column: number]
}>()

const workspace = useWorkspace()

/** What the weld is with what was written; judged with the weld as it was before a key was pressed. */
function readCell(field: LineField, text: string, before: Joint): Read<Joint> {
  const next = readLineField(field, text, before, notation, isUnsized)
  return next.ok
    ? { ok: true, value: next.joint, understood: next.understood }
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
    :class="{ selected: isSelected, picked: isPicked }"
    :aria-rowindex="index + 2"
    @focusin="emit('select')"
    @click="emit('select')"
  >
    <span role="cell">
      <button
        class="number-button"
        :aria-pressed="isPicked"
        :aria-label="`Pick weld ${index + 1}`"
        @click.stop="emit('pick', $event.shiftKey)"
      >
        <span class="label in-card">Weld </span>{{ index + 1 }}
      </button>
    </span>
    <div
      v-for="(field, column) in LINE_FIELDS"
      :key="field"
      role="cell"
      class="entry"
      :data-column="column"
      @keydown="emit('key', $event, column)"
    >
      <span class="label in-card" aria-hidden="true">{{ field }}</span>
      <TextCell
        :key="joint.id"
        :model-value="joint"
        :printed="printLineField(field, joint, notation, workspace.shop?.ruleBook)"
        :label="`${field} of weld ${index + 1}`"
        :told-by="`told-${joint.id}`"
        :read="(text, before) => readCell(field, text, before)"
        @update:model-value="(next) => emit('change', next, field)"
        @told="(one) => tell(field, one)"
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
.number-button {
  background: none;
  border: 1px solid transparent;
  border-radius: var(--radius);
  color: var(--ink-2);
  cursor: pointer;
  font-variant-numeric: tabular-nums;
  min-width: 24px;
  padding: 3px 2px;
}
.number-button:hover {
  border-color: var(--line-strong);
}
.number-button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--sheet);
  font-weight: 700;
}
.number-button[aria-pressed='true'] .label {
  color: inherit;
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
