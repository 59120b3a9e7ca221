<script setup lang="ts">
import { type Verdict, verdictText } from '@brannik/core'
import { computed } from 'vue'
import { useWorkspace } from '../shop/workspace.ts'
import { MARK_PATHS } from './verdictShapes.ts'

/** Mark, word and hue together. The word can be left to what stands beside it. */
const { verdict, word = true } = defineProps<{ verdict: Verdict; word?: boolean }>()

const workspace = useWorkspace()
const text = computed(() => verdictText(workspace.speech, verdict))
</script>

<template>
  <span class="verdict" :class="verdict">
    <svg
      viewBox="0 0 14 14"
      width="14"
      height="14"
      :aria-hidden="word"
      :aria-label="word ? undefined : text"
      role="img"
    >
      <path :d="MARK_PATHS[verdict]" fill="currentColor" fill-rule="evenodd" />
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
