<script setup lang="ts">
import {
  aluminiumWays,
  type Capability,
  type Demand,
  sentenceOf,
  type SetUp,
  type Shelf,
  slotText,
  wayText,
} from '@brannik/core'
import { computed } from 'vue'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useMoney } from '../../stores/useMoney.ts'

/** Converting the gun that is there, or buying one made for aluminium: what each costs, and what each still cannot do. */
const { capability, demand, shelf } = defineProps<{
  capability: Capability
  demand: Demand | null
  shelf: Shelf
}>()
const emit = defineEmits<{ change: [change: Partial<SetUp>, what: string] }>()

const workspace = useWorkspace()
const { spell } = usePrint()
const ways = computed(() =>
  aluminiumWays(capability, demand, shelf).map((way) => ({
    ...way,
    title: wayText(workspace.speech, way.title),
    lacks: way.lacks.map((slot) => slotText(workspace.speech, slot, capability.process)),
    cannot: [
      ...way.cannot.map((one) => sentenceOf(workspace.speech, one).replace(/\.$/, '')),
      wayText(workspace.speech, way.drawback),
    ],
  })),
)
const money = useMoney()
</script>

<template>
  <section v-if="ways.length > 0" class="ways" :aria-label="spell('Ways of feeding aluminium')">
    <h2>{{ spell('Feeding this aluminium wire') }}</h2>
    <VTable>
      <thead>
        <tr>
          <th scope="col">Way</th>
          <th scope="col">Costs</th>
          <th scope="col">To buy</th>
          <th scope="col">Limits</th>
          <th scope="col"><span class="visually-hidden">Use</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="way in ways" :key="way.id">
          <th scope="row">{{ way.title }}</th>
          <td class="number">{{ way.isWhole ? '' : 'at least ' }}{{ money(way.cost) }}</td>
          <td>
            {{ way.buys.length === 0 ? 'nothing' : way.buys.map(({ name }) => name).join(', ') }}
            <span v-if="way.lacks.length > 0" class="lacks"
              >No matching {{ way.lacks.join(', ') }} listed.</span
            >
          </td>
          <td>
            <ul>
              <li v-for="one in way.cannot" :key="one">{{ one }}</li>
            </ul>
          </td>
          <td><button class="plain-button" @click="emit('change', way.change, way.title)">Take</button></td>
        </tr>
      </tbody>
    </VTable>
  </section>
</template>

<style scoped>
.ways {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 8px 12px;
}
th,
td {
  font-size: var(--text-s);
  padding: 5px 10px 5px 0;
  vertical-align: top;
}
.v-table .number {
  font-size: var(--text-m);
  font-weight: 700;
  white-space: nowrap;
}
.lacks {
  color: var(--fails);
  display: block;
}
ul {
  display: grid;
  gap: 2px;
}
li {
  padding-left: 8px;
  position: relative;
}
li::before {
  content: '–';
  left: 0;
  position: absolute;
}
</style>
