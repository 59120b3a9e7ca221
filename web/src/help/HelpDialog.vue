<script setup lang="ts">
import { computed } from 'vue'
import SheetDialog from '../components/SheetDialog.vue'
import TypedField from '../components/TypedField.vue'
import { usePrint } from '../stores/usePrint.ts'
import { matcher, searchable } from '../search/search.ts'
import { GLOSSARY } from './glossary.ts'
import type { HelpPart } from './help.ts'

/** The keys of the program and the words of the trade. */
const part = defineModel<HelpPart | null>({ required: true })
/** What the glossary is searched by. */
const search = defineModel<string>('search', { required: true })
const { spell } = usePrint()

const open = computed({
  get: () => part.value !== null,
  set: (isOpen) => {
    if (!isOpen) part.value = null
  },
})
const PARTS = [
  ['keys', 'Keys'],
  ['words', 'Glossary'],
] as const

const KEYS = [
  [
    'Everywhere',
    [
      ['Ctrl K', 'find or do anything: places, jobs, equipment, and buttons of this page'],
      ['Ctrl Z', 'undo. In a field: undo typing'],
      ['Ctrl Y', 'redo'],
      ['?', 'this list'],
      ['Tab', 'next field or button, saves what you typed'],
      ['Esc', 'restores the field, or closes a dialog'],
    ],
  ],
  [
    'Welds of a job',
    [
      ['Enter', 'weld below, at the end a new one'],
      ['Alt ↑ ↓', 'move the weld'],
      ['Tab', 'across'],
    ],
  ],
  [
    'Tabs and lists',
    [
      ['← →', 'from tab to tab'],
      ['↑ ↓', 'in a list or a choice'],
      ['Enter', 'open or choose'],
    ],
  ],
] as const

const terms = computed(() => {
  const matches = matcher(search.value)
  return GLOSSARY.filter(({ term, also = '', meaning }) => matches(searchable(`${term} ${also} ${meaning}`)))
})
</script>

<template>
  <SheetDialog v-model="open" title="Help" :width="680">
    <VTabs :model-value="part" aria-label="Help" @update:model-value="(one) => (part = one as HelpPart)">
      <VTab v-for="[id, word] in PARTS" :key="id" :value="id">{{ word }}</VTab>
    </VTabs>
    <template v-if="part === 'keys'">
      <section v-for="[where, keys] in KEYS" :key="where">
        <h3>{{ where }}</h3>
        <dl class="keys">
          <template v-for="[key, what] in keys" :key="key">
            <dt>
              <kbd>{{ key }}</kbd>
            </dt>
            <dd>{{ what }}</dd>
          </template>
        </dl>
      </section>
    </template>
    <template v-else>
      <TypedField
        v-model="search"
        name="Search the glossary"
        type="search"
        placeholder="Search the glossary"
      />
      <dl class="words">
        <template v-for="{ term, also, meaning } in terms" :key="term">
          <dt>
            <strong>{{ spell(term) }}</strong>
            <div v-if="also" class="label">{{ spell(also) }}</div>
          </dt>
          <dd>{{ spell(meaning) }}</dd>
        </template>
      </dl>
      <p v-if="terms.length === 0" class="quiet" role="status">No such word here. Try another one.</p>
    </template>
  </SheetDialog>
</template>

<style scoped>
h3 {
  font-size: var(--text-m);
  font-weight: 600;
  padding: 6px 0 4px;
}
dl {
  display: grid;
  gap: 4px 16px;
}
.keys {
  grid-template-columns: 80px 1fr;
}
.words {
  gap: 10px 16px;
  grid-template-columns: minmax(110px, 190px) 1fr;
}
</style>
