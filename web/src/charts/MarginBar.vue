<script setup lang="ts">
import type { Verdict } from '@brannik/core'
import { computed } from 'vue'
import { usePrint } from '../stores/usePrint.ts'
import { straight } from './straight.ts'

/** How far a capacity lies above (right) or below (left) its demand, on one scale for all checks. */
const { marginPct, verdict } = defineProps<{ marginPct: number | null; verdict: Verdict }>()

const { number } = usePrint()

const WIDTH = 68
const REACH_PCT = 60
const place = straight([-REACH_PCT, REACH_PCT], [0, WIDTH])
const x = (pct: number): number => place(Math.min(REACH_PCT, Math.max(-REACH_PCT, pct)))
const zero = x(0)
const end = computed(() => x(marginPct ?? 0))
const words = computed(() => {
  if (marginPct === null) return ''
  const sign = marginPct < 0 ? '−' : '+'
  return Math.abs(marginPct) >= 900
    ? 'ample'
    : `${sign}${number(Math.abs(marginPct), Math.abs(marginPct) >= 99.5 ? 3 : 2)} %`
})
</script>

<template>
  <span class="margin" :class="verdict">
    <svg :width="WIDTH" height="14" aria-hidden="true">
      <line x1="0" :x2="WIDTH" y1="7" y2="7" class="rule" />
      <rect
        v-if="marginPct !== null"
        :x="Math.min(zero, end)"
        y="3"
        :width="Math.max(1.5, Math.abs(end - zero))"
        height="8"
      />
      <line :x1="zero" :x2="zero" y1="0" y2="14" class="zero" />
    </svg>
    <span class="words">{{ words }}</span>
  </span>
</template>

<style scoped>
.margin {
  align-items: center;
  display: inline-flex;
  gap: 4px;
}
.words {
  color: var(--ink-2);
  font-size: var(--text-s);
  min-width: 46px;
  text-align: right;
}
.rule {
  stroke: var(--line);
}
.zero {
  stroke: var(--ink);
}
.fits rect {
  fill: var(--fits);
}
.tight rect {
  fill: var(--tight);
}
.fails rect {
  fill: var(--fails);
}
.unknown rect {
  fill: var(--unknown);
}
</style>
