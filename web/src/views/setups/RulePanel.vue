<script setup lang="ts">
import {
  type Assessment,
  type Capability,
  type Demand,
  type Mend,
  mendsOf,
  midSentence,
  mendText,
  type Patch,
  sentenceOf,
  type SetUp,
  type Shelf,
  sourceText,
  type Swap,
  swapFinder,
  swapText,
  titleOf,
} from '@brannik/core'
import { computed } from 'vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { useWorkspace } from '../../shop/workspace.ts'
import AluminiumWays from './AluminiumWays.vue'

/** What is to be said of the whole: what is broken first, each with what would mend it; what is met below, in a few words. */
const { criteria, capability, demand, shelf } = defineProps<{
  criteria: readonly Assessment[]
  capability: Capability
  demand: Demand | null
  shelf: Shelf
}>()
const emit = defineEmits<{
  change: [change: Partial<SetUp>, what: string]
  open: [criterion: string]
}>()

const workspace = useWorkspace()
const said = (assessment: Assessment) => ({
  assessment,
  id: assessment.criterion,
  title: titleOf(workspace.speech, assessment),
  sentence: sentenceOf(workspace.speech, assessment),
})
const broken = computed(() => {
  const swapsOf = swapFinder(capability, demand, shelf)
  return criteria
    .filter(({ verdict }) => verdict !== 'fits')
    .map((assessment) => ({
      ...said(assessment),
      mends: mendsOf(assessment, capability, demand),
      swaps: swapsOf(assessment),
    }))
})
const met = computed(() =>
  criteria
    .filter(({ verdict }) => verdict === 'fits')
    .map((assessment) => ({ ...said(assessment), source: sourceText(workspace.speech, assessment.source) })),
)
const changeOf = (patch: Patch | undefined): Partial<SetUp> | null =>
  patch?.on === 'set-up' ? patch.change : null
/** What is said, and no swap of the shelf does. */
const wordsOf = (mends: readonly Mend[], swaps: readonly Swap[]): readonly Mend[] =>
  mends.filter(({ patch }) => patch !== undefined || swaps.length === 0)
const mendWords = (mend: Mend): string => mendText(workspace.speech, mend)
const swapWords = (swap: Swap): string => swapText(workspace.speech, swap, capability.process)
</script>

<template>
  <section class="rules" aria-label="Checks" tabindex="0">
    <ul v-if="broken.length > 0" class="broken">
      <li v-for="{ assessment, id, title, sentence, mends, swaps } in broken" :key="id" :data-rule="id">
        <VerdictMark :verdict="assessment.verdict" :word="false" />
        <div>
          <button class="link-button title" @click="emit('open', id)">{{ title }}</button>
          <p>{{ sentence }}</p>
          <p class="mends screen-only">
            <template v-for="mend in wordsOf(mends, swaps)" :key="mendWords(mend)">
              <button
                v-if="changeOf(mend.patch)"
                class="plain-button"
                @click="emit('change', changeOf(mend.patch) ?? {}, midSentence(title))"
              >
                {{ mendWords(mend) }}
              </button>
              <span v-else class="quiet">{{ mendWords(mend) }}.</span>
            </template>
            <button
              v-for="swap in swaps"
              :key="swapWords(swap)"
              class="plain-button"
              @click="emit('change', swap.change, swapWords(swap))"
            >
              {{ swapWords(swap) }}
            </button>
          </p>
        </div>
      </li>
    </ul>
    <AluminiumWays
      :capability="capability"
      :demand="demand"
      :shelf="shelf"
      @change="(change, what) => emit('change', change, what)"
    />
    <h2 class="screen-only">{{ met.length }} checks pass</h2>
    <ul class="met screen-only">
      <li v-for="{ id, title, sentence, source } in met" :key="id">
        <button v-tip="`${sentence} ${source}`" class="link-button" @click="emit('open', id)">
          {{ title }}
        </button>
        <span class="label">{{ sentence }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.rules {
  display: grid;
  align-content: start;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  height: 100%;
  overflow: auto;
  padding: 12px 16px;
}
.broken {
  display: grid;
  gap: 10px;
}
.broken li {
  align-items: start;
  display: grid;
  gap: 10px;
  grid-template-columns: 16px minmax(0, 1fr);
}
.broken :deep(.verdict) {
  margin-top: 3px;
}
.title {
  font-weight: 700;
}
.mends {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
}
.mends:not(:empty) {
  margin-top: 4px;
}
.mends .plain-button {
  min-height: 28px;
  padding: 2px 10px;
  text-align: left;
}
.met {
  display: grid;
  gap: 2px 16px;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
}
.met li {
  display: grid;
  justify-items: start;
  min-width: 0;
}
.met .label {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
@media print {
  .broken {
    gap: 3px;
  }
}
</style>
