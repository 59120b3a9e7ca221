<script setup lang="ts">
import SheetDialog from './SheetDialog.vue'

/** Every key that does something, where it does it. */
const open = defineModel<boolean>({ required: true })

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
