<script setup lang="ts">
import { type Gun, GUN_GASES } from '@brannik/core'
import { computed } from 'vue'
import CountField from '../../components/CountField.vue'
import PickField from '../../components/PickField.vue'
import { type Draft, setIn } from './useRecordDraft.ts'
import { GUN_GAS_WORDS } from './words.ts'

/** What a gun or torch is rated for: by gas and wave. */
const { draft } = defineProps<{ draft: Draft }>()
const emit = defineEmits<{ change: [ratings: Gun['ratings'], what: string] }>()

const MOST = 12
const WAVES = [
  ['dc', 'DC'],
  ['ac', 'AC'],
] as const
const ratings = computed(() => (draft['ratings'] ?? []) as Gun['ratings'])
const set = (index: number, key: string, value: unknown): void =>
  emit('change', setIn(ratings.value, [index, key], value), 'rating')
const isTorch = computed(() => draft['kind'] === 'torch')
function add(): void {
  const blank = { gas: isTorch.value ? 'argon' : 'co2', wave: 'dc', currentA: null, dutyPct: null }
  emit('change', [...ratings.value, blank] as unknown as Gun['ratings'], 'a rating')
}
</script>

<template>
  <fieldset class="ratings">
    <legend>Ratings</legend>
    <table>
      <thead>
        <tr>
          <th scope="col" class="label">Gas</th>
          <th scope="col" class="label">Wave</th>
          <th scope="col" class="label">Current, A</th>
          <th scope="col" class="label">Duty, %</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(rating, index) in ratings" :key="index">
          <td>
            <PickField
              class="gas"
              :name="`Gas of rating ${index + 1}`"
              :items="GUN_GASES.map((gas) => [gas, GUN_GAS_WORDS[gas]] as const)"
              :model-value="rating.gas"
              @update:model-value="(now) => set(index, 'gas', now)"
            />
          </td>
          <td>
            <PickField
              class="wave"
              :name="`Wave of rating ${index + 1}`"
              :items="WAVES"
              :model-value="rating.wave"
              @update:model-value="(now) => set(index, 'wave', now)"
            />
          </td>
          <td>
            <CountField
              label=""
              :name="`Current of rating ${index + 1}`"
              :least="0.1"
              :most="3000"
              decimals
              unit="A"
              :model-value="rating.currentA"
              @update:model-value="(now) => set(index, 'currentA', now)"
            />
          </td>
          <td>
            <CountField
              label=""
              :name="`Duty of rating ${index + 1}`"
              :least="1"
              :most="100"
              decimals
              unit="%"
              :model-value="rating.dutyPct"
              @update:model-value="(now) => set(index, 'dutyPct', now)"
            />
          </td>
          <td>
            <button
              v-if="ratings.length > 1"
              class="link-button"
              @click="
                emit(
                  'change',
                  ratings.filter((_, at) => at !== index),
                  'a rating',
                )
              "
            >
              remove
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <button v-if="ratings.length < MOST" class="link-button" @click="add">Add a rating</button>
    <p class="label">
      A gun that gives only a CO₂ rating is reckoned with less in an argon mix; the share is among the shop’s
      assumptions.
    </p>
  </fieldset>
</template>

<style scoped>
.ratings {
  border: 0;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 6px;
  justify-items: start;
  margin: 0;
  padding: 10px 0 12px;
}
legend {
  font-weight: 600;
  padding: 0 8px 0 0;
}
th {
  font-weight: 400;
  text-align: left;
}
td {
  padding: 2px 8px 2px 0;
}
td > :deep(.frame) {
  width: 92px;
}
td > .gas {
  width: 130px;
}
</style>
