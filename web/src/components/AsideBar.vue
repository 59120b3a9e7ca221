<script setup lang="ts">
import { factsAt } from '@brannik/core'
import { computed } from 'vue'
import { download } from '../files/download.ts'
import { useWorkspace } from '../shop/workspace.ts'

/** What was typed in another shop than the server holds now: nobody sends it, and nobody throws it away unasked. */
const workspace = useWorkspace()

const nameOf = ({ key, draft }: (typeof workspace.aside)[number]): string => {
  const { record } = draft
  const [path = '', id = ''] = key.split('/')
  const name = record !== null && typeof record === 'object' && 'name' in record ? String(record.name) : id
  return `${factsAt(path)?.noun ?? path} ${name}${record === null ? ' (deleted)' : ''}`
}
const names = computed(() => workspace.aside.map(nameOf).join(', '))

function takeOut(): void {
  const file = { format: 'brannik-not-saved', drafts: workspace.aside }
  download('brannik-not-saved.json', JSON.stringify(file, null, 2), 'application/json')
}
</script>

<template>
  <section class="aside screen-only" aria-label="Changes to another shop">
    <p>
      <strong
        >{{ workspace.aside.length === 1 ? 'One change was' : `${workspace.aside.length} changes were` }} not
        saved before another shop replaced this one:</strong
      >
      {{ names }}.
    </p>
    <button class="plain-button main" @click="takeOut">Save as a file</button>
    <button class="plain-button" @click="workspace.dropAside">Discard</button>
  </section>
</template>

<style scoped>
.aside {
  align-items: center;
  background: var(--copper-soft);
  border-bottom: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  padding: 10px 20px;
}
.aside p {
  flex: 1 1 320px;
}
</style>
