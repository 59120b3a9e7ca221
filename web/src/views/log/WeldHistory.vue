<script setup lang="ts">
import { causeText, signText, type WeldSettings } from '@brannik/core'
import { computed, ref } from 'vue'
import type { WeldRow } from '../../shop/eventList.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useWhen } from '../../stores/useWhen.ts'
import { OUTCOME_WORDS, settingsText, STATE_WORDS, welderOf } from './logWords.ts'

/** What was saved, tried and done of one weld, newest first; its settings come back by one press. */
const { rows } = defineProps<{ rows: readonly WeldRow[] }>()
const emit = defineEmits<{ use: [settings: WeldSettings] }>()
const workspace = useWorkspace()
const when = useWhen()

const FIRST = 5
const showsAll = ref(false)
const shown = computed(() => (showsAll.value ? rows : rows.slice(0, FIRST)))
function whatOf({ body }: WeldRow): string {
  const { speech } = workspace
  return [
    body.sign === null ? '' : signText(speech, body.sign),
    body.cause === null ? '' : causeText(speech, body.cause),
    body.note,
  ]
    .filter(Boolean)
    .join(' · ')
}
</script>

<template>
  <section v-if="rows.length > 0" class="history" aria-label="History of this weld">
    <h3>History of this weld</h3>
    <ul>
      <li v-for="row in shown" :key="row.seq">
        <span class="label">{{ when(row.body.weldedAt) }} · {{ welderOf(row.who, row.body) }}</span>
        <span>
          <strong>{{
            row.body.outcome && row.body.state !== 'planned'
              ? OUTCOME_WORDS[row.body.outcome]
              : STATE_WORDS[row.body.state]
          }}</strong>
          {{ settingsText(row.body.settings, workspace.notation) }}
          <span v-if="whatOf(row)" class="quiet">{{ whatOf(row) }}</span>
        </span>
        <button class="plain-button" @click="emit('use', row.body.settings)">Use these settings</button>
      </li>
    </ul>
    <button v-if="rows.length > FIRST" class="link-button" @click="showsAll = !showsAll">
      {{ showsAll ? 'Show fewer' : `Show all ${rows.length}` }}
    </button>
  </section>
</template>

<style scoped>
.history {
  display: grid;
  gap: 4px;
}
h3 {
  font-size: var(--text-m);
}
li {
  align-items: center;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 2px 10px;
  grid-template-columns: minmax(0, 1fr) auto;
  padding: 6px 0;
}
li > .label {
  grid-column: 1;
}
li > span:nth-child(2) {
  grid-column: 1;
}
li button {
  grid-column: 2;
  grid-row: 1 / span 2;
}
.link-button {
  justify-self: start;
}
@media (max-width: 600px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
  li button {
    grid-column: 1;
    grid-row: auto;
    justify-self: start;
  }
}
@media (pointer: coarse) {
  button {
    min-height: 48px;
  }
}
</style>
