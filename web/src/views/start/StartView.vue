<script setup lang="ts">
import { computed } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'
import StartCircuits from './StartCircuits.vue'
import StartJob from './StartJob.vue'
import StartPicks from './StartPicks.vue'
import StartSetUps from './StartSetUps.vue'

/** A walk through one's own shop, from the panel to the first job; what is there already is shown and stays. */
const workspace = useWorkspace()
const hasTig = computed(() =>
  workspace.shelf.powerSources.some(({ processes }) => processes.some(({ family }) => family === 'gtaw')),
)
</script>

<template>
  <section class="start">
    <header>
      <h1>Set up {{ workspace.shop?.name }}</h1>
      <p class="quiet">Add what you own. Click a name to edit it. You can change everything later.</p>
    </header>
    <ol>
      <li class="sheet">
        <h2>Panel and outlets</h2>
        <StartCircuits />
        <p class="label">
          Read the breaker handle and the print on the cable. Wiring is for a licensed electrician. The local
          code decides.
        </p>
      </li>
      <li class="sheet">
        <h2>Machines</h2>
        <StartPicks path="power-sources" more="Another class of machine">
          <RouterLink class="link-button" :to="{ name: 'equipment', params: { list: 'power-sources' } }"
            >Enter an empty plate</RouterLink
          >
        </StartPicks>
      </li>
      <li class="sheet">
        <h2>Guns and torches</h2>
        <StartPicks path="guns" more="Another gun, torch or holder" />
      </li>
      <li class="sheet">
        <h2>Wires, rods and electrodes</h2>
        <StartPicks path="wires" more="Another wire, rod or electrode" />
      </li>
      <li class="sheet">
        <h2>Gases</h2>
        <StartPicks path="gases" more="Another gas" />
      </li>
      <li v-if="hasTig" class="sheet">
        <h2>Tungstens</h2>
        <StartPicks path="tungstens" more="Another tungsten" />
      </li>
      <li class="sheet">
        <h2>Set-ups</h2>
        <StartSetUps />
      </li>
      <li class="sheet">
        <h2>A first job</h2>
        <StartJob />
      </li>
    </ol>
  </section>
</template>

<style scoped>
.start {
  display: grid;
  gap: 12px;
  max-width: 1100px;
  padding: 16px 20px 40px;
}
ol {
  counter-reset: step;
  display: grid;
  gap: 10px;
}
ol > li {
  counter-increment: step;
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  padding: 12px 16px 14px 48px;
  position: relative;
}
ol > li::before {
  color: var(--copper);
  content: counter(step);
  font-size: var(--text-l);
  font-weight: 700;
  left: 20px;
  position: absolute;
  top: 10px;
}
</style>
