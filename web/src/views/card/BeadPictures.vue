<script setup lang="ts">
import { beadsOf, type BeadState, type Joint } from '@brannik/core'
import { computed } from 'vue'
import MarksDrawing from '../../charts/MarksDrawing.vue'
import { beadDrawing } from './beadDrawing.ts'

/** The bead of this weld too cold, right and too hot, to one scale. */
const { joint } = defineProps<{ joint: Joint }>()

const WORDS: Readonly<Record<BeadState, { readonly title: string; readonly signs: string }>> = {
  cold: { title: 'Too cold', signs: 'narrow, high, toes roll over' },
  right: { title: 'Right', signs: 'flat crown, toes wet in' },
  hot: { title: 'Too hot', signs: 'wide, hollow, undercut' },
}
const beads = computed(() => {
  const all = beadsOf(joint)
  const widestMm = Math.max(...all.map(({ widthMm }) => widthMm))
  return all.map((bead) => ({
    ...WORDS[bead.state],
    state: bead.state,
    drawing: beadDrawing(bead, widestMm),
  }))
})
</script>

<template>
  <ul class="beads screen-only">
    <li v-for="{ state, title, signs, drawing } in beads" :key="state">
      <MarksDrawing :drawing="drawing" :label="`${title}: ${signs}`" />
      <strong>{{ title }}</strong>
      <span>{{ signs }}</span>
    </li>
  </ul>
</template>

<style scoped>
.beads {
  display: grid;
  gap: 8px;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  margin: 6px 0;
}
li {
  display: grid;
  font-size: var(--text-s);
}
</style>
