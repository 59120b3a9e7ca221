<script setup lang="ts">
import {
  type AssumptionKey,
  ASSUMPTIONS,
  ownUnit,
  type AssumptionDefinition,
  type Moved,
  sourceText,
  titleOf,
  verdictText,
} from '@brannik/core'
import { computed } from 'vue'
import type { Read } from '../../components/useTyped.ts'
import ValueField from '../../components/ValueField.vue'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** One figure that the computation assumes: its value, where it comes from, and what of the shop's jobs hangs on it. */
const { name, moved } = defineProps<{
  name: AssumptionKey
  /** What moves where it is a tenth off; null while nobody knows yet. */
  moved: readonly Moved[] | null
}>()
const emit = defineEmits<{ change: [value: number] }>()

const workspace = useWorkspace()
const { number, readNumber, spell } = usePrint()

const definition = computed<AssumptionDefinition>(() => ASSUMPTIONS[name])
const changed = computed(() => workspace.shop?.assumptions[name])
const value = computed(() => changed.value ?? definition.value.default)

const own = computed(() => ownUnit(definition.value.unit, workspace.notation.system))
/** As it is typed: what no thermometer and no rule shows is not shown either. */
const DIGITS = 5
function read(text: string): Read<number> {
  const { least, most } = definition.value
  const { unit, inside } = own.value
  const typed = readNumber(text, unit)
  // A limit that is converted is not exact in its last digit.
  const slack = 1e-6 * Math.max(Math.abs(least), Math.abs(most))
  const given = typed === null ? null : inside(typed)
  if (given !== null && given >= least - slack && given <= most + slack)
    return { ok: true, value: Math.min(most, Math.max(least, given)) }
  const limits = `from ${number(own.value.own(least))} to ${number(own.value.own(most))}${unit ? ` ${unit}` : ''}`
  return {
    ok: false,
    message: `“${text.trim()}” is not valid. Enter a number ${limits}, or press Reset.`,
  }
}

const SHOWN = 2
/** Each verdict once, though less and more may both move it. */
const words = computed(() =>
  (moved ?? []).map(({ jobId, then, now, by }) => {
    const from = now === null ? 'not checked' : verdictText(workspace.speech, now)
    const job = workspace.get('jobs', jobId)?.name ?? jobId
    return `${job}: ${titleOf(workspace.speech, then)}, ${from} → ${verdictText(workspace.speech, then.verdict)} with 10 % ${by}`
  }),
)
</script>

<template>
  <tr :id="name" :class="{ changed: changed !== undefined }">
    <th scope="row">
      <label :for="`value-${name}`">{{ spell(definition.name) }}</label>
      <span class="label source">{{ sourceText(workspace.speech, definition.source) }}</span>
    </th>
    <td class="value">
      <ValueField
        :id="`value-${name}`"
        class="figure"
        inputmode="decimal"
        :printed="number(own.own(value), DIGITS)"
        :read="read"
        :model-value="value"
        @update:model-value="(now: number) => emit('change', now)"
      />
      <span class="unit">{{ spell(own.unit) }}</span>
    </td>
    <td class="moves">
      <span v-if="moved === null" class="label">…</span>
      <span v-else-if="words.length === 0" class="label">no verdict changes</span>
      <ul v-else>
        <li v-for="line in words.slice(0, SHOWN)" :key="line">{{ line }}</li>
        <li v-if="words.length > SHOWN">
          <details>
            <summary>and {{ words.length - SHOWN }} more</summary>
            <div v-for="line in words.slice(SHOWN)" :key="line">{{ line }}</div>
          </details>
        </li>
      </ul>
    </td>
    <td class="reset">
      <button
        v-if="changed !== undefined"
        v-tip="`Default: ${number(definition.default, 6)} ${definition.unit}`"
        class="link-button"
        :aria-label="`Reset ${spell(definition.name)}`"
        @click="emit('change', definition.default)"
      >
        Reset
      </button>
    </td>
  </tr>
</template>

<style scoped>
th,
td {
  border-top: 1px solid var(--line);
  padding: 5px 8px;
  text-align: left;
  vertical-align: top;
}
th {
  font-weight: 400;
  padding-left: 16px;
}
label,
.source {
  display: block;
}
.value {
  white-space: nowrap;
  width: 180px;
}
.figure {
  display: inline-grid;
  width: 84px;
}
.figure :deep(input) {
  text-align: right;
}
.unit {
  display: inline-block;
  margin-left: 6px;
  min-width: 64px;
}
.moves {
  font-size: var(--text-s);
  width: 44%;
}
.moves ul {
  display: grid;
  gap: 2px;
}
summary {
  cursor: pointer;
}
.reset {
  padding-right: 16px;
  text-align: right;
  width: 64px;
}
.changed th {
  box-shadow: inset 3px 0 var(--copper);
}
.changed .figure :deep(input) {
  font-weight: 700;
}
tr:target {
  background: var(--copper-soft);
}
@media (max-width: 900px) {
  tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 6px 0;
    border-top: 1px solid var(--line);
  }
  th,
  td {
    border: 0;
    width: auto;
    padding: 2px 12px;
  }
  .moves {
    grid-column: 1 / -1;
    padding-left: 16px;
    width: auto;
  }
}
</style>
