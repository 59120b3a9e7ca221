<script setup lang="ts">
import { type Verdict, verdictText } from '@brannik/core'
import { computed } from 'vue'
import { useWorkspace } from '../stores/workspace.ts'

/** Mark, word and hue together. The word can be left to what stands beside it. */
const { verdict, word = true } = defineProps<{ verdict: Verdict; word?: boolean }>()

const workspace = useWorkspace()
const text = computed(() => verdictText(workspace.speech, verdict))
</script>

<template>
  <span class="verdict" :class="verdict">
    <svg
      viewBox="0 0 16 16"
      width="14"
      height="14"
      :aria-hidden="word"
      :aria-label="word ? undefined : text"
      role="img"
    >
      <template v-if="verdict === 'fits'">
        <circle cx="8" cy="8" r="7" fill="currentColor" />
        <path d="M4.5 8.3 7 10.8 11.6 5.6" fill="none" stroke="var(--sheet)" stroke-width="1.9" />
      </template>
      <template v-else-if="verdict === 'tight'">
        <circle cx="8" cy="8" r="6.2" fill="none" stroke="currentColor" stroke-width="1.6" />
        <path d="M8 1.8a6.2 6.2 0 0 1 0 12.4z" fill="currentColor" />
      </template>
      <template v-else-if="verdict === 'fails'">
        <rect x="1" y="1" width="14" height="14" rx="1.5" fill="currentColor" />
        <path d="M4 8h8" stroke="var(--sheet)" stroke-width="2.2" />
      </template>
      <template v-else>
        <circle
          cx="8"
          cy="8"
          r="6.6"
          fill="none"
          stroke="currentColor"
          stroke-width="1.4"
          stroke-dasharray="2.4 2"
        />
        <path
          d="M6.1 6.3c.1-1.2.9-1.8 1.9-1.8s1.9.6 1.9 1.6c0 1.3-1.8 1.3-1.8 2.7M8.1 10.6v1.2"
          fill="none"
          stroke="currentColor"
          stroke-width="1.4"
        />
      </template>
    </svg>
    <span v-if="word">{{ text }}</span>
  </span>
</template>

<style scoped>
.verdict {
  align-items: center;
  display: inline-flex;
  font-weight: 600;
  gap: 5px;
  white-space: nowrap;
}
svg {
  flex: none;
}
.fits {
  color: var(--fits);
}
.tight {
  color: var(--tight);
}
.fails {
  color: var(--fails);
}
.unknown {
  color: var(--unknown);
}
</style>
