<script setup lang="ts">
import { aluminiumWays, type Assembly, type SetUp, type Shelf } from '@brannik/core'
import { computed } from 'vue'
import { useMoney } from '../../stores/useMoney.ts'

/** Converting the gun that is there, or buying one made for aluminium: what each costs, and what each still cannot do. */
const { assembly, shelf } = defineProps<{ assembly: Assembly; shelf: Shelf }>()
const emit = defineEmits<{ change: [change: Partial<SetUp>, what: string] }>()

const ways = computed(() => aluminiumWays(assembly, shelf))
const money = useMoney()
</script>

<template>
  <section v-if="ways.length > 0" class="ways" aria-label="Ways of feeding aluminium">
    <h2>Feeding this aluminium wire</h2>
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Way</th>
          <th scope="col">Costs</th>
          <th scope="col">To buy</th>
          <th scope="col">What it still cannot do</th>
          <th scope="col"><span class="visually-hidden">Take it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="way in ways" :key="way.id">
          <th scope="row">{{ way.title }}</th>
          <td class="number">{{ way.isWhole ? '' : 'at least ' }}{{ money(way.cost) }}</td>
          <td>
            {{ way.buys.length === 0 ? 'nothing' : way.buys.map(({ name }) => name).join(', ') }}
            <span v-if="way.lacks.length > 0" class="lacks">The shelf lacks {{ way.lacks.join(', ') }}.</span>
          </td>
          <td>
            <ul>
              <li v-for="says in way.cannot" :key="says">{{ says }}</li>
            </ul>
          </td>
          <td><button class="plain-button" @click="emit('change', way.change, way.title)">Take</button></td>
        </tr>
      </tbody>
    </table>
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
.ruled .number {
  font-size: var(--text-m);
  font-weight: 700;
  white-space: nowrap;
}
.lacks {
  color: var(--short);
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
