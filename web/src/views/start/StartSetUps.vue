<script setup lang="ts">
import { lackText, PROCESSES, type Proposal, type SetUp } from '@brannik/core'
import { computed } from 'vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { idFor } from '../jobs/idFor.ts'
import { hasSameParts } from '../setups/sameParts.ts'

/** Whole set-ups of what goes together; what is taken has its small parts from the library, to be counted later. */
const workspace = useWorkspace()
const { answer, failure } = useAnswer(computed<Question<'proposals'>>(() => ['proposals']))

const isThere = ({ setUp }: Proposal): boolean => workspace.setUps.some((one) => hasSameParts(one, setUp))
const proposals = computed(() => (answer.value?.proposals ?? []).filter((one) => !isThere(one)))
const lacks = computed(() =>
  (answer.value?.lacks ?? []).map((lack) => {
    const source = workspace.get('power-sources', lack.powerSourceId)?.name ?? ''
    return `${PROCESSES[lack.process].workshopWord} by ${source}: ${lackText(workspace.speech, lack)}`
  }),
)

const ONE = 1
function take({ setUp, parts }: Proposal): void {
  for (const part of parts)
    if (!workspace.get('parts', part.id))
      workspace.makeCounted('parts', part, ONE, `${part.name} for ${setUp.name}`)
  const id = idFor(setUp.name, workspace.setUps)
  workspace.edit('set-ups', id, { ...setUp, id } as SetUp, `set-up ${setUp.name}`)
}
function takeAll(): void {
  for (const proposal of proposals.value) take(proposal)
}
const remove = ({ id, name }: SetUp): void => {
  workspace.edit('set-ups', id, null, `deletion of ${name}`)
}
const along = ({ parts }: Proposal): string => parts.map(({ name }) => name).join(', ')
</script>

<template>
  <ul v-if="workspace.setUps.length > 0" class="rows">
    <li v-for="setUp in workspace.setUps" :key="setUp.id">
      <RouterLink :to="{ name: 'set-up', params: { id: setUp.id } }">{{ setUp.name }}</RouterLink>
      <button class="link-button" :aria-label="`Remove ${setUp.name}`" @click="remove(setUp)">Remove</button>
    </li>
  </ul>
  <p v-if="failure" class="problem" role="alert">The set-ups cannot be calculated: {{ failure }}</p>
  <template v-if="proposals.length > 0">
    <ul class="rows">
      <li v-for="proposal in proposals" :key="proposal.setUp.name">
        <VerdictMark :verdict="proposal.verdict" />
        <span class="words">
          <strong>{{ proposal.setUp.name }}</strong>
          <span v-if="proposal.parts.length > 0" class="label"
            >with {{ along(proposal) }} from the library. Check yours</span
          >
        </span>
        <button class="plain-button" :aria-label="`Add ${proposal.setUp.name}`" @click="take(proposal)">
          Add
        </button>
      </li>
    </ul>
    <button class="plain-button main all" @click="takeAll">
      {{ proposals.length === 1 ? 'Add set-up' : `Add all ${proposals.length}` }}
    </button>
  </template>
  <p v-else-if="workspace.setUps.length === 0" class="quiet">
    A set-up needs a circuit, a machine, its gun, and a wire with its gas. Add these first.
  </p>
  <details v-if="lacks.length > 0" class="label">
    <summary>Incomplete ({{ lacks.length }})</summary>
    <p v-for="line in lacks" :key="line">{{ line }}</p>
  </details>
</template>

<style scoped>
.rows {
  display: grid;
  gap: 6px;
}
.rows li {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}
.rows a {
  color: var(--ink);
  font-weight: 600;
}
.words {
  display: grid;
  flex: 1 1 300px;
  min-width: 0;
}
.all {
  justify-self: start;
}
summary {
  cursor: pointer;
}
</style>
