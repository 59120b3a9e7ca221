<script setup lang="ts">
import {
  type Mend,
  type Patch,
  printMeasure,
  printNumber,
  printValue,
  type SourceKind,
  sourceWords,
  type Step,
  type Verdict,
} from '@brannik/core'
import { onKeyStroke } from '@vueuse/core'
import { nextTick, ref, watch } from 'vue'
import { useWorkspace } from '../stores/workspace.ts'
import VerdictMark from './VerdictMark.vue'

export interface Opened {
  readonly key: string
  readonly title: string
  readonly verdict: Verdict | null
  readonly says: string
  readonly restsOn: string
  readonly mends: readonly Mend[]
  readonly working: readonly Step[]
}

/** How one number was worked out: each step with its formula, what went into it, and where that comes from. */
const { opened } = defineProps<{ opened: Opened | null }>()
const emit = defineEmits<{ close: []; apply: [patch: Patch, says: string] }>()

const workspace = useWorkspace()
const panel = ref<HTMLElement | null>(null)
const print = (value: number | string, unit: string): string => {
  const printed = printValue(value, unit, workspace.system)
  // A factor has no unit to tell it from a count.
  return unit === '×' && typeof value === 'number' ? `× ${printNumber(value)}` : printed
}
const KIND_WORDS: Record<SourceKind, string> = {
  standard: 'standard',
  handbook: 'handbook',
  'data-plate': 'data',
  shop: 'shop',
  job: 'job',
  'common-practice': 'practice',
  computed: 'worked out',
}
const mendWords = ({ says, measure }: Mend): string =>
  measure ? `${says} ${printMeasure(measure, workspace.system)}` : says

let cameFrom: Element | null = null
watch(
  () => opened?.key ?? null,
  async (now, before) => {
    if (now !== null && before === null) cameFrom = document.activeElement
    await nextTick()
    if (now !== null) panel.value?.focus()
    else if (cameFrom instanceof HTMLElement) cameFrom.focus()
  },
)
onKeyStroke('Escape', () => {
  if (opened) emit('close')
})
</script>

<template>
  <aside
    v-if="opened"
    ref="panel"
    class="working"
    tabindex="-1"
    :aria-label="`How it was worked out: ${opened.title}`"
  >
    <header>
      <h2>{{ opened.title }}</h2>
      <VerdictMark v-if="opened.verdict" :verdict="opened.verdict" />
      <button class="plain-button" title="Close (Esc)" @click="emit('close')">Close <kbd>Esc</kbd></button>
    </header>
    <p class="says">{{ opened.says }}</p>
    <ul v-if="opened.mends.length > 0" class="mends">
      <li v-for="mend in opened.mends" :key="mend.says">
        <button v-if="mend.patch" class="plain-button" @click="emit('apply', mend.patch, mendWords(mend))">
          {{ mendWords(mend) }}
        </button>
        <span v-else>{{ mendWords(mend) }}</span>
      </li>
    </ul>
    <ol class="steps">
      <li v-for="(step, index) in opened.working" :key="index">
        <h3>{{ step.says }}</h3>
        <p class="formula">
          <span>{{ step.formula }}</span>
          <strong>{{ step.result.symbol }} = {{ print(step.result.value, step.result.unit) }}</strong>
        </p>
        <table v-if="step.terms.length > 0">
          <caption class="visually-hidden">
            What went into it
          </caption>
          <tbody>
            <tr v-for="(one, at) in step.terms" :key="at">
              <th scope="row">{{ one.symbol }}</th>
              <td>
                {{ one.name }}
                <span class="source"
                  >{{ KIND_WORDS[one.source.kind] }}: {{ sourceWords(one.source) }}
                  <RouterLink v-if="one.assumption" :to="{ name: 'shop', hash: `#${one.assumption}` }"
                    >change</RouterLink
                  >
                </span>
              </td>
              <td class="number">{{ print(one.value, one.unit) }}</td>
            </tr>
          </tbody>
        </table>
        <p class="source">{{ KIND_WORDS[step.source.kind] }}: {{ sourceWords(step.source) }}</p>
      </li>
    </ol>
    <p v-if="opened.working.length === 0" class="quiet">
      There is nothing to work out until what is missing is known.
    </p>
  </aside>
</template>

<style scoped>
.working {
  background: var(--sheet);
  border-left: 1px solid var(--line-strong);
  bottom: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-width: 100vw;
  outline: none;
  overflow-y: auto;
  padding: 12px 20px 24px;
  position: fixed;
  right: 0;
  top: 48px;
  width: 480px;
  z-index: 25;
}
header {
  align-items: center;
  display: grid;
  gap: 12px;
  grid-template-columns: 1fr auto auto;
}
h2 {
  font-size: var(--text-l);
}
.mends {
  display: grid;
  gap: 4px;
  justify-items: start;
}
.mends button {
  text-align: left;
}
.steps {
  counter-reset: step;
  display: grid;
  gap: 12px;
}
.steps li {
  border-top: 1px solid var(--line);
  counter-increment: step;
  padding-top: 8px;
}
h3 {
  font-size: var(--text-m);
  font-weight: 600;
}
h3::before {
  color: var(--ink-3);
  content: counter(step) '  ';
}
.formula {
  align-items: baseline;
  background: var(--sunk);
  border-radius: var(--radius);
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  justify-content: space-between;
  margin: 4px 0;
  padding: 4px 8px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
tr {
  vertical-align: baseline;
}
th {
  font-weight: 600;
  max-width: 76px;
  padding: 2px 10px 2px 8px;
  text-align: left;
}
td {
  padding: 2px 0;
  width: 100%;
}
td.number {
  font-weight: 600;
  padding-left: 12px;
  white-space: nowrap;
  width: auto;
}
.source {
  color: var(--ink-3);
  display: block;
  font-size: var(--text-s);
}
.source a {
  color: var(--copper);
}
@media (max-width: 900px) {
  .working {
    top: 0;
  }
}
</style>
