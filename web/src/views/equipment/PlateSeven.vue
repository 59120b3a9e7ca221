<script setup lang="ts">
import type { PowerSource } from '@brannik/core'
import { computed, ref } from 'vue'
import CountField from '../../components/CountField.vue'
import { useWorkspace } from '../../shop/workspace.ts'
import {
  alikePlates,
  type AlikePlates,
  type PlateKey,
  plateValue,
  SEVEN_FIGURES,
  withFigure,
} from './sevenFigures.ts'

/** A machine that began as a class, corrected from its plate: seven figures, in the order in which the plate prints them. */
const { source } = defineProps<{ source: PowerSource }>()
const workspace = useWorkspace()
const plates = computed(() => alikePlates(source))
const wrong = ref<{ readonly at: string; readonly message: string } | null>(null)

const placeOf = (group: number, column: number, key: PlateKey): string => `${group} ${column} ${key}`
function set(group: AlikePlates, at: number, column: number, key: PlateKey, value: number | null): void {
  if (value === null) return
  const next = withFigure(source, group, column, key, value)
  wrong.value = next.ok ? null : { at: placeOf(at, column, key), message: next.message }
  if (next.ok) workspace.edit('power-sources', source.id, next.source, `plate of ${source.name}`)
}
function check(): void {
  workspace.edit('power-sources', source.id, { ...source, typical: false }, `plate of ${source.name}`)
}
const nameOf = (group: AlikePlates, column: number): string => {
  const { voltageV } = group.supplies[column] ?? { voltageV: null }
  return voltageV === null ? 'engine-driven' : `on ${voltageV} V`
}
</script>

<template>
  <details class="seven" open>
    <summary>Correct it from the plate: seven figures, in the plate’s order</summary>
    <div class="plates">
      <table v-for="(group, at) in plates" :key="group.words">
        <caption class="label">
          {{
            group.words
          }}
        </caption>
        <thead>
          <tr>
            <th scope="col"><span class="visually-hidden">Figure</span></th>
            <th v-for="(_, column) in group.supplies" :key="column" scope="col">
              {{ nameOf(group, column) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in SEVEN_FIGURES" :key="one.key">
            <th scope="row" class="label">{{ one.label }}</th>
            <td v-for="(supply, column) in group.supplies" :key="column">
              <CountField
                v-if="one.key !== 'voltageV' || supply.voltageV !== null"
                label=""
                decimals
                :name="`${one.label}, ${group.words} ${nameOf(group, column)}`"
                :least="one.least"
                :most="one.most"
                :unit="one.unit"
                :wrong="wrong?.at === placeOf(at, column, one.key) ? wrong.message : null"
                :model-value="plateValue(supply, one.key)"
                @update:model-value="(value) => set(group, at, column, one.key, value)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="label">
      Connectors, rolls, spools, wire sizes and start are typical of the class.
      <RouterLink
        class="link-button"
        :to="{ name: 'equipment', params: { list: 'power-sources', id: source.id } }"
        >Check them</RouterLink
      >
      <button class="link-button" @click="check">All checked</button>
    </p>
  </details>
</template>

<style scoped>
.seven {
  border-left: 2px solid var(--line-strong);
  padding: 2px 0 4px 14px;
}
summary {
  cursor: pointer;
  font-weight: 600;
}
.plates {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 32px;
  padding: 6px 0;
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
caption {
  text-align: left;
}
th,
td {
  font-weight: 400;
  padding: 1px 14px 1px 0;
  text-align: left;
}
td {
  width: 96px;
}
</style>
