<script setup lang="ts">
import {
  type Assembly,
  type Mend,
  type Patch,
  type RuleFinding,
  type SetUp,
  type Shelf,
  sourceWords,
  type Swap,
  swapFinder,
} from '@brannik/core'
import { computed } from 'vue'
import VerdictMark from '../../components/VerdictMark.vue'
import AluminiumWays from './AluminiumWays.vue'

/** What the rules say of the whole: broken ones first, each with what would mend it; met ones below, in a few words. */
const { findings, assembly, shelf } = defineProps<{
  findings: readonly RuleFinding[]
  assembly: Assembly
  shelf: Shelf
}>()
const emit = defineEmits<{
  change: [change: Partial<SetUp>, what: string]
  open: [finding: RuleFinding]
}>()

const broken = computed(() => {
  const swapsOf = swapFinder(assembly, shelf)
  return findings
    .filter(({ judgement }) => judgement.verdict !== 'fits')
    .map((finding) => ({ finding, swaps: swapsOf(finding) }))
})
const met = computed(() => findings.filter(({ judgement }) => judgement.verdict === 'fits'))
const changeOf = (patch: Patch | undefined): Partial<SetUp> | null =>
  patch?.on === 'set-up' ? patch.change : null
/** What is said, and no swap of the shelf does. */
const wordsOf = (mends: readonly Mend[], swaps: readonly Swap[]): readonly Mend[] =>
  mends.filter(({ patch }) => patch !== undefined || swaps.length === 0)
const asSentence = (text: string): string => (/[.!?]$/.test(text) ? text : `${text}.`)
</script>

<template>
  <section class="rules" aria-label="What goes together" tabindex="0">
    <ul v-if="broken.length > 0" class="broken">
      <li v-for="{ finding, swaps } in broken" :key="finding.rule.id" :data-rule="finding.rule.id">
        <VerdictMark :verdict="finding.judgement.verdict" :word="false" />
        <div>
          <button class="link-button title" @click="emit('open', finding)">{{ finding.rule.title }}</button>
          <p>{{ asSentence(finding.judgement.says) }}</p>
          <p class="mends">
            <template v-for="mend in wordsOf(finding.judgement.mends ?? [], swaps)" :key="mend.says">
              <button
                v-if="changeOf(mend.patch)"
                class="plain-button"
                @click="emit('change', changeOf(mend.patch) ?? {}, finding.rule.title.toLowerCase())"
              >
                {{ mend.says }}
              </button>
              <span v-else class="quiet">{{ asSentence(mend.says) }}</span>
            </template>
            <button
              v-for="swap in swaps"
              :key="swap.says"
              class="plain-button"
              @click="emit('change', swap.change, swap.says)"
            >
              {{ swap.says }}
            </button>
          </p>
        </div>
      </li>
    </ul>
    <AluminiumWays
      :assembly="assembly"
      :shelf="shelf"
      @change="(change, what) => emit('change', change, what)"
    />
    <h2>{{ met.length }} rules are met</h2>
    <ul class="met">
      <li v-for="finding in met" :key="finding.rule.id">
        <button
          class="link-button"
          :title="`${asSentence(finding.judgement.says)} ${sourceWords(finding.judgement.source)}`"
          @click="emit('open', finding)"
        >
          {{ finding.rule.title }}
        </button>
        <span class="label">{{ finding.judgement.says }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.rules {
  display: grid;
  align-content: start;
  gap: 12px;
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
</style>
