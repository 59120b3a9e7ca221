<script setup lang="ts">
import type { Verdict } from '@brannik/core'
import { computed } from 'vue'

/** How much of what a breaker holds is taken. */
const { load, holds, verdict } = defineProps<{
  /** A */
  load: number
  /** A */
  holds: number
  verdict: Verdict
}>()
/** What is over the breaker's mark is drawn, up to half as much again. */
const REACH = 1.5
const share = computed(() => Math.min(REACH, holds > 0 ? load / holds : REACH) / REACH)
</script>

<template>
  <span class="bar" :class="verdict" aria-hidden="true">
    <span class="load" :style="{ width: `${share * 100}%` }" />
    <span class="mark" :style="{ left: `${100 / REACH}%` }" />
  </span>
</template>

<style scoped>
.bar {
  background: var(--sunk);
  display: inline-block;
  height: 12px;
  min-width: 110px;
  position: relative;
  print-color-adjust: exact;
  width: 100%;
}
.load {
  background: var(--steel);
  display: block;
  height: 100%;
}
.bar.fails .load {
  background: var(--fails);
}
.mark {
  background: var(--ink);
  bottom: -2px;
  position: absolute;
  top: -2px;
  width: 2px;
}
</style>
