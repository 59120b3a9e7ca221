<script setup lang="ts">
import { type Circuit, ruleBookOf } from '@brannik/core'
import { computed, nextTick, ref, shallowRef, useTemplateRef } from 'vue'
import QuantityField from '../../components/QuantityField.vue'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { idFor } from '../jobs/idFor.ts'
import { usualLengthMm } from './emptyShop.ts'

/** The outlets that a machine could hang on, each by one press. */
const workspace = useWorkspace()
const { print } = usePrint()

const usualOnes = computed(() => (workspace.shop ? ruleBookOf(workspace.shop).usualCircuits : []))

/** The outlet that was pressed: how long its cable is comes before anything is stored. */
const asked = shallowRef<(typeof usualOnes.value)[number] | null>(null)
const lengthMm = ref<number | null>(null)
const lengthField = useTemplateRef<HTMLElement>('lengthField')
async function ask(usual: (typeof usualOnes.value)[number]): Promise<void> {
  asked.value = usual
  lengthMm.value = null
  await nextTick()
  lengthField.value?.querySelector('input')?.focus()
}
const typicalMm = computed(() => usualLengthMm(workspace.shop ?? { unitSystem: 'metric' }))
function add(cableMm: number | null): void {
  const usual = asked.value
  if (!usual || cableMm === null) return
  const alike = workspace.all('circuits').filter(({ name }) => name.startsWith(usual.name)).length
  const name = alike === 0 ? usual.name : `${usual.name}, ${alike + 1}`
  const id = idFor(name, workspace.all('circuits'))
  const circuit: Circuit = { ...usual, id, name, lengthMm: cableMm }
  workspace.edit('circuits', id, circuit, `circuit ${name}`)
  asked.value = null
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
      <span class="label"
        >breaker {{ circuit.breakerA }} A, {{ circuit.conductorSize }},
        {{ print(circuit.lengthMm, 'mm length') }}</span
      >
      <button class="link-button" :aria-label="`Remove ${circuit.name}`" @click="remove(circuit)">
        Remove
      </button>
    </li>
  </ul>
  <form v-if="asked" ref="lengthField" class="usual" @submit.prevent="add(lengthMm)">
    <strong>{{ asked.name }}</strong>
    <QuantityField
      v-model="lengthMm"
      class="length"
      kind="run"
      label="Cable, panel to outlet"
      optional="pace it off"
    />
    <button class="plain-button main" :disabled="lengthMm === null">Add</button>
    <button class="plain-button" type="button" @click="add(typicalMm)">
      Typical: {{ print(typicalMm, 'mm length') }}, go on
    </button>
  </form>
  <div class="usual">
    <button
      v-for="usual in usualOnes"
      :key="usual.name"
      v-tip="`Breaker ${usual.breakerA} A, cable ${usual.conductorSize}: check yours at the panel`"
      class="plain-button"
      :aria-pressed="asked === usual"
      @click="ask(usual)"
    >
      + {{ usual.name }}
    </button>
    <RouterLink class="link-button" :to="{ name: 'equipment', params: { list: 'circuits' } }"
      >Another circuit</RouterLink
    >
  </div>
</template>

<style scoped>
.length {
  width: 170px;
}
form.usual {
  align-items: end;
}
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
