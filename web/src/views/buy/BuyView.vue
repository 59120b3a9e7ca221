<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import PlaceHead from '../../components/PlaceHead.vue'
import RuleOut from './RuleOut.vue'
import WornParts from './WornParts.vue'
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
const tabs = computed(() =>
  PARTS.map(({ id, title }) => ({
    title,
    to: { name: 'buy', params: { part: id } },
    isHere: id === here.value,
  })),
)
</script>

<template>
  <section class="buy">
    <PlaceHead title="Buy" :tabs="tabs" />
    <RuleOut />
    <WornParts />
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
  padding: 10px 20px 20px;
}
</style>
