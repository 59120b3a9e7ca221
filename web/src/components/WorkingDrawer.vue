<script setup lang="ts">
import {
  type Mend,
  mendText,
  type Patch,
  shownSymbol,
  type Source,
  sourceText,
  stepText,
  type Term,
  termText,
  wordOf,
} from '@brannik/core'
import { onKeyStroke } from '@vueuse/core'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import type { VNavigationDrawer } from 'vuetify/components'
import { usePrint } from '../stores/usePrint.ts'
import { useWorkspace } from '../shop/workspace.ts'
import type { Opened } from './opened.ts'
import VerdictMark from './VerdictMark.vue'

/** How one number was worked out: each step with its formula, what went into it, and where that comes from. */
const { opened, weldName = () => '' } = defineProps<{
  opened: Opened | null
  /** What a weld of the job is called; empty where there is only one. */
  weldName?: (weldId: string) => string
}>()
const emit = defineEmits<{ close: []; apply: [patch: Patch, what: string] }>()

const workspace = useWorkspace()
const { spell } = usePrint()
const panel = useTemplateRef<VNavigationDrawer>('panel')
const mendWords = (mend: Mend): string => mendText(workspace.speech, mend)
/** What kind of source it is stands before its words, unless they say it themselves. */
function sourceWords(source: Source): string {
  const kind = wordOf(workspace.speech, 'sourceKind', source.kind)
  const text = sourceText(workspace.speech, source)
  return text.includes(kind) ? text : `${kind}: ${text}`
}
const shown = (term: Term): string => termText(workspace.speech, term)
const steps = computed(() =>
  (opened?.working ?? []).map((step) => ({
    step,
    of: step.weldId === null ? '' : weldName(step.weldId),
    ...stepText(workspace.speech, step),
  })),
)

const panelElement = (): HTMLElement | null => {
  const root: unknown = panel.value?.$el
  // A drawer has a second root, for what lies behind it.
  return root instanceof HTMLElement
    ? root
    : document.querySelector<HTMLElement>('.v-navigation-drawer.drawer')
}
let cameFrom: Element | null = null
watch(
  () => opened?.key ?? null,
  async (now, before = null) => {
    if (now !== null && before === null) cameFrom = document.activeElement
    await nextTick()
    if (now !== null) panelElement()?.focus()
    else if (cameFrom instanceof HTMLElement) cameFrom.focus()
  },
  { immediate: true },
)
onKeyStroke('Escape', () => {
  if (opened) emit('close')
})
</script>

<template>
  <VNavigationDrawer
    v-if="opened"
    ref="panel"
    class="drawer"
    tag="aside"
    location="right"
    temporary
    :scrim="false"
    :width="480"
    tabindex="-1"
    :aria-label="`Calculation: ${opened.title}`"
    model-value
  >
    <div class="working">
      <header>
        <h2>{{ opened.title }}</h2>
        <VerdictMark v-if="opened.verdict" :verdict="opened.verdict" />
        <button v-tip="'Close (Esc)'" class="plain-button" @click="emit('close')">
          Close <kbd>Esc</kbd>
        </button>
      </header>
      <p class="sentence">{{ opened.sentence }}</p>
      <ul v-if="opened.mends.length > 0" class="mends">
        <li v-for="mend in opened.mends" :key="mendWords(mend)">
          <button v-if="mend.patch" class="plain-button" @click="emit('apply', mend.patch, mendWords(mend))">
            {{ mendWords(mend) }}
          </button>
          <span v-else>{{ mendWords(mend) }}</span>
        </li>
      </ul>
      <p v-if="opened.more">
        <RouterLink class="link-button" :to="opened.more.to">{{ opened.more.words }}</RouterLink>
      </p>
      <ol class="steps">
        <li v-for="(shownStep, index) in steps" :key="index">
          <h3>
            {{ spell(shownStep.step.title)
            }}<span v-if="shownStep.of" class="label"> · {{ shownStep.of }}</span>
          </h3>
          <p class="formula">
            <span>{{ shownStep.method ? spell(shownStep.method) : shownStep.formula }}</span>
            <strong>{{ shownStep.symbol }} = {{ shownStep.result }}</strong>
          </p>
          <table v-if="shownStep.step.terms.length > 0">
            <caption class="visually-hidden">
              Figures used
            </caption>
            <tbody>
              <tr v-for="term in shownStep.step.terms" :key="term.symbol">
                <th scope="row">{{ shownSymbol(term.symbol) }}</th>
                <td>
                  {{ spell(term.name) }}
                  <span class="source"
                    >{{ sourceWords(term.source) }}
                    <RouterLink
                      v-if="term.assumption"
                      :to="{ name: 'assumptions', hash: `#${term.assumption}` }"
                      >change</RouterLink
                    >
                  </span>
                </td>
                <td class="number">{{ shown(term) }}</td>
              </tr>
            </tbody>
          </table>
          <p class="source">{{ sourceWords(shownStep.step.source) }}</p>
        </li>
      </ol>
      <p v-if="opened.working?.length === 0" class="quiet">
        No calculation here: it is a rule of the trade, or a figure is missing.
      </p>
    </div>
  </VNavigationDrawer>
</template>

<style scoped>
.drawer {
  border-left: 1px solid var(--line-strong);
  max-width: 100vw;
  outline: none;
}
.working {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 12px 20px 24px;
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
</style>
