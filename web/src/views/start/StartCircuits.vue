<script setup lang="ts">
import { type Circuit, ruleBookOf } from '@brannik/core'
import { computed } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'
import { idFor } from '../jobs/idFor.ts'
import { usualLengthMm } from './emptyShop.ts'

/** The outlets that a machine could hang on, each by one press. */
const workspace = useWorkspace()

const usualOnes = computed(() => (workspace.shop ? ruleBookOf(workspace.shop).usualCircuits : []))

function add(usual: (typeof usualOnes.value)[number]): void {
  const alike = workspace.all('circuits').filter(({ name }) => name.startsWith(usual.name)).length
  const name = alike === 0 ? usual.name : `${usual.name}, ${alike + 1}`
  const id = idFor(name, workspace.all('circuits'))
  const circuit: Circuit = {
    ...usual,
    id,
    name,
    lengthMm: usualLengthMm(workspace.shop ?? { unitSystem: 'metric' }),
  }
  workspace.edit('circuits', id, circuit, `circuit ${name}`)
}
const remove = ({ id, name }: Circuit): void => {
  workspace.edit('circuits', id, null, `deletion of ${name}`)
}
</script>

<template>
  <ul v-if="workspace.shelf.circuits.length > 0" class="owned">
    <li v-for="circuit in workspace.shelf.circuits" :key="circuit.id">
      <RouterLink :to="{ name: 'equipment', params: { list: 'circuits', id: circuit.id } }">{{
        circuit.name
      }}</RouterLink>
      <span class="label">breaker {{ circuit.breakerA }} A, {{ circuit.conductorSize }}</span>
      <button class="link-button" :aria-label="`Remove ${circuit.name}`" @click="remove(circuit)">
        Remove
      </button>
    </li>
  </ul>
  <div class="usual">
    <button
      v-for="usual in usualOnes"
      :key="usual.name"
      v-tip="`Breaker ${usual.breakerA} A, cable ${usual.conductorSize}: check yours at the panel`"
      class="plain-button"
      @click="add(usual)"
    >
      + {{ usual.name }}
    </button>
    <RouterLink class="link-button" :to="{ name: 'equipment', params: { list: 'circuits' } }"
      >Another circuit</RouterLink
    >
  </div>
</template>

<style scoped>
.owned {
  display: grid;
  gap: 4px;
}
.owned li,
.usual {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
}
.owned a {
  color: var(--ink);
  font-weight: 600;
}
</style>
