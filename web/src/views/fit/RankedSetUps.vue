<script setup lang="ts">
import { titleOf, sentenceOf, VERDICT_RANK } from '@brannik/core'
import { computed } from 'vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** A job that has no set-up yet: all there are, best first, each with what limits it. */
const { jobId } = defineProps<{ jobId: string }>()
const emit = defineEmits<{ choose: [setUpId: string] }>()

const workspace = useWorkspace()
const { answer, failure } = useAnswer(computed<Question<'setUpsFor'>>(() => ['setUpsFor', jobId]))
const ranked = computed(() =>
  [...(answer.value ?? [])]
    .sort(
      (a, b) =>
        VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict] ||
        (b.limit?.marginPct ?? 0) - (a.limit?.marginPct ?? 0),
    )
    .map(({ setUpId, verdict, limit }) => ({
      setUpId,
      verdict,
      name: workspace.get('set-ups', setUpId)?.name ?? setUpId,
      limit: limit ? `${titleOf(workspace.speech, limit)}: ${sentenceOf(workspace.speech, limit)}` : '',
    })),
)
</script>

<template>
  <section class="sheet ranked">
    <h2>{{ workspace.setUps.length === 0 ? 'There is no set-up yet' : 'Which set-up does it?' }}</h2>
    <p v-if="failure" class="problem" role="alert">Calculation failed: {{ failure }}</p>
    <template v-if="workspace.setUps.length === 0">
      <p class="quiet">A set-up is a machine on its circuit with gun, wire and gas.</p>
      <RouterLink class="plain-button main" :to="{ name: 'start' }">Set up the shop</RouterLink>
    </template>
    <ul v-else>
      <li v-for="one in ranked" :key="one.setUpId">
        <VerdictMark :verdict="one.verdict" />
        <span class="words">
          <strong>{{ one.name }}</strong>
          <span class="label">{{ one.limit }}</span>
        </span>
        <button class="plain-button" :aria-label="`Take ${one.name}`" @click="emit('choose', one.setUpId)">
          Take
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.ranked {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 16px;
}
ul {
  display: grid;
  gap: 6px;
  width: 100%;
}
li {
  align-items: center;
  display: grid;
  gap: 12px;
  grid-template-columns: 92px minmax(0, 1fr) auto;
}
.words {
  display: grid;
}
.plain-button {
  text-decoration: none;
}
</style>
