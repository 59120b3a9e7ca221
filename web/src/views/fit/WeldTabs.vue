<script setup lang="ts">
import type { Joint } from '@brannik/core'
import { useWorkspace } from '../../shop/workspace.ts'
import { jointWords } from './words.ts'

/** The welds of a job, where they are few. */
const { joints, governing } = defineProps<{
  joints: readonly Joint[]
  /** The weld that wants most. */
  governing: string | null
}>()
const chosen = defineModel<string | null>({ required: true })
const workspace = useWorkspace()
</script>

<template>
  <VTabs
    class="joints"
    aria-label="Welds of the job"
    :model-value="chosen"
    @update:model-value="(now) => typeof now === 'string' && (chosen = now)"
  >
    <VTab
      v-for="(one, index) in joints"
      :key="one.id"
      v-tip="jointWords(one, workspace.notation)"
      :value="one.id"
    >
      Weld {{ index + 1 }}<span v-if="one.id === governing" class="label">&nbsp;needs most</span>
    </VTab>
  </VTabs>
</template>

<style scoped>
.joints {
  flex: none;
  max-width: 46%;
}
</style>
