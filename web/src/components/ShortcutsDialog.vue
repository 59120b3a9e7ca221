<script setup lang="ts">
import SheetDialog from './SheetDialog.vue'

/** Every key that does something, where it does it. */
const open = defineModel<boolean>({ required: true })

const KEYS = [
  [
    'Everywhere',
    [
      ['Ctrl K', 'find or do anything: every view, job and thing, and every button of the open view'],
      ['Ctrl Z', 'undo; while something is being typed, the typing'],
      ['Ctrl Y', 'do again'],
      ['?', 'this list'],
      ['Tab', 'to the next field or button; what was typed is stored'],
      ['Esc', 'gives the old text of a field back, or closes what is open'],
    ],
  ],
  [
    'Welds of a job',
    [
      ['Enter', 'to the weld below; at the end a new one'],
      ['Alt ↑ ↓', 'moves the weld'],
      ['Tab', 'across'],
    ],
  ],
  [
    'Tabs and lists',
    [
      ['← →', 'from tab to tab'],
      ['↑ ↓', 'in a list or a choice'],
      ['Enter', 'opens, or takes'],
    ],
  ],
] as const
</script>

<template>
  <SheetDialog v-model="open" title="Shortcuts" :width="620">
    <section v-for="[where, keys] in KEYS" :key="where">
      <h3>{{ where }}</h3>
      <dl>
        <template v-for="[key, what] in keys" :key="key">
          <dt>
            <kbd>{{ key }}</kbd>
          </dt>
          <dd>{{ what }}</dd>
        </template>
      </dl>
    </section>
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
  grid-template-columns: 80px 1fr;
}
</style>
