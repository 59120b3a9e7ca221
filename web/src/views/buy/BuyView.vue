<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { lazily } from '../../lazy.ts'

/** What to buy: the cheapest purchase for the planned jobs, ways to do one of them, requirements of a machine, decisions. */
const KitPanel = lazily(() => import('./KitPanel.vue'))
const CouldPanel = lazily(() => import('./CouldPanel.vue'))
const RequirementsPanel = lazily(() => import('./RequirementsPanel.vue'))
const DecisionsPanel = lazily(() => import('./DecisionsPanel.vue'))

const PARTS = [
  { id: 'kit', title: 'Cheapest purchase' },
  { id: 'could', title: 'Ways to do a job' },
  { id: 'requirements', title: 'Requirements' },
  { id: 'decisions', title: 'Decisions' },
] as const
const route = useRoute()
const here = computed(() => PARTS.find(({ id }) => id === route.params['part'])?.id ?? 'kit')
</script>

<template>
  <section class="buy">
    <header>
      <h1>Buy</h1>
      <VTabs :model-value="here" class="screen-only" aria-label="What to buy">
        <VTab
          v-for="{ id, title } in PARTS"
          :key="id"
          :value="id"
          :to="{ name: 'buy', params: { part: id } }"
        >
          {{ title }}
        </VTab>
      </VTabs>
    </header>
    <KitPanel v-if="here === 'kit'" />
    <CouldPanel v-else-if="here === 'could'" />
    <RequirementsPanel v-else-if="here === 'requirements'" />
    <DecisionsPanel v-else />
  </section>
</template>

<style scoped>
.buy {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 16px 20px;
}
header {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}
</style>
