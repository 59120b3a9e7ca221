<script setup lang="ts">
import { changeStepText, trapText, type WeekBlock } from '@brannik/core'
import { computed } from 'vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useTicks } from '../../shop/ticks.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { durationText } from '../week/planWords.ts'

/** What to change before the next job, with the step that is most often forgotten. */
const { block } = defineProps<{ block: WeekBlock }>()
const workspace = useWorkspace()
const { answer } = useAnswer<'changeover'>(
  computed((): Question<'changeover'> => ['changeover', block.setUpId, null]),
)
const ticks = useTicks(computed(() => `change.${block.sourceId}`))
const run = computed(() => {
  const { value } = ticks.run
  return value && !value.isOver && value.to === block.setUpId ? value : null
})
const steps = computed(() =>
  (answer.value?.changeover.steps ?? []).map((step) => ({
    code: step.code,
    text: changeStepText(workspace.speech, step),
    minutes: step.minutes < 1 ? '' : durationText(step.minutes),
    traps: step.traps.map((trap) => trapText(workspace.speech, trap)),
    isDone: run.value?.done.has(step.code) ?? false,
  })),
)
const done = computed(() => steps.value.filter(({ isDone }) => isDone).length)
</script>

<template>
  <section class="sheet steps" aria-label="Changing over">
    <header class="steps-head">
      <h2>Change over to {{ block.setUpName }}</h2>
      <span v-if="steps.length > 0" class="quiet">{{ done }} of {{ steps.length }}</span>
    </header>
    <p v-if="steps.length === 0" class="quiet">Nothing to change: it is on the machine.</p>
    <ol>
      <li v-for="step in steps" :key="step.code" :class="{ done: step.isDone }">
        <span>
          {{ step.text }}
          <span v-for="trap in step.traps" :key="trap" class="trap">{{ trap }}</span>
        </span>
        <span class="quiet">{{ step.minutes }}</span>
      </li>
    </ol>
    <RouterLink
      v-if="steps.length > 0"
      class="plain-button open"
      :to="{ name: 'change-over', params: { id: block.setUpId } }"
      >Open the list to tick</RouterLink
    >
  </section>
</template>

<style scoped>
.steps {
  align-content: start;
  display: grid;
  gap: 8px;
  padding: 12px 16px;
}
.steps-head {
  align-items: baseline;
  display: flex;
  gap: 12px;
  justify-content: space-between;
}
ol {
  display: grid;
}
li {
  border-top: 1px solid var(--line);
  display: flex;
  gap: 12px;
  justify-content: space-between;
  padding: 6px 0;
}
li > :last-child {
  flex: none;
}
.open {
  justify-self: start;
}
.done {
  color: var(--ink-2);
  text-decoration: line-through;
}
.trap {
  color: var(--fails);
  display: block;
  font-size: var(--text-s);
}
</style>
