<script setup lang="ts">
import { type Suggestion, suggestionText } from '@brannik/core'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** Ways to fix it, each with what then comes out: pressed, it is tried. */
const { suggestions } = defineProps<{ suggestions: readonly Suggestion[] }>()
const emit = defineEmits<{ apply: [suggestion: Suggestion, words: string] }>()

const workspace = useWorkspace()
const { wholeAmps } = usePrint()
const then = ({ failCount, spareA, verdict: after }: Suggestion): string => {
  if (failCount > 0) return `${failCount} still ${failCount === 1 ? 'fails' : 'fail'}`
  const room = spareA === null || spareA < 0 ? '' : `, ${wholeAmps(spareA)} A to spare`
  return `${after === 'unknown' ? 'none fails' : after}${room}`
}
const wordsOf = (suggestion: Suggestion): string => suggestionText(workspace.speech, suggestion)
</script>

<template>
  <ul class="mends">
    <li v-for="suggestion in suggestions" :key="wordsOf(suggestion)">
      <button @click="emit('apply', suggestion, wordsOf(suggestion))">
        <span class="what">{{ wordsOf(suggestion) }}</span>
        <span class="then" :class="suggestion.failCount > 0 ? 'fails' : suggestion.verdict">{{
          then(suggestion)
        }}</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.mends {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
}
.mends button {
  align-items: baseline;
  background: none;
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  color: var(--ink);
  cursor: pointer;
  display: flex;
  gap: 8px;
  justify-content: space-between;
  padding: 4px 8px;
  text-align: left;
  width: 100%;
}
.mends button:hover {
  background: var(--sunk);
}
.what {
  font-weight: 600;
  min-width: 0;
}
.then {
  font-size: var(--text-s);
  white-space: nowrap;
}
.then.fits {
  color: var(--fits);
}
.then.tight {
  color: var(--tight);
}
.then.fails {
  color: var(--ink-2);
}
.then.unknown {
  color: var(--unknown);
}
</style>
