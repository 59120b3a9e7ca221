<script setup lang="ts">
import { type Chain, linkTitle, verdictText } from '@brannik/core'
import { scaleLinear } from 'd3'
import { computed } from 'vue'
import { useWorkspace } from '../shop/workspace.ts'

/** The chain in a table cell. */
const { chain } = defineProps<{ chain: Chain }>()

const WIDTH = 76
const HEIGHT = 30
const STEP = 16
const y = computed(() => scaleLinear([0, chain.wantedA * 1.75], [HEIGHT, 0]).clamp(true))
const workspace = useWorkspace()
const words = computed(() =>
  chain.links
    .map((link) => `${linkTitle(workspace.speech, link)}: ${verdictText(workspace.speech, link.verdict)}`)
    .join(', '),
)
</script>

<template>
  <svg :width="WIDTH" :height="HEIGHT" role="img" :aria-label="words">
    <rect
      v-for="(link, index) in chain.links"
      :key="link.id"
      :class="link.verdict"
      :x="4 + index * STEP"
      :y="y(link.highA ?? chain.wantedA * 1.75)"
      width="11"
      :height="Math.max(1, y(link.lowA ?? 0) - y(link.highA ?? chain.wantedA * 1.75))"
    />
    <line x1="0" :x2="WIDTH" :y1="y(chain.wantedA)" :y2="y(chain.wantedA)" />
  </svg>
</template>

<style scoped>
rect {
  fill: var(--steel);
  fill-opacity: 0.55;
}
.fails {
  fill: var(--fails);
  fill-opacity: 1;
}
.tight {
  fill: var(--tight);
  fill-opacity: 1;
}
.unknown {
  fill: none;
  stroke: var(--unknown);
  stroke-dasharray: 2 2;
}
line {
  stroke: var(--copper);
  stroke-width: 2;
}
</style>
