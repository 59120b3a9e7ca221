<script setup lang="ts">
import { isSoldTo, factsAt, LIBRARY, type LibraryEntry, type PowerSource, stockId } from '@brannik/core'
import { computed, ref } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import CountField from '../../components/CountField.vue'
import QuantityField from '../../components/QuantityField.vue'
import { useWorkspace } from '../../shop/workspace.ts'
import PlateSeven from '../equipment/PlateSeven.vue'
import { takeOwn, type TakenPath, USUAL } from './usual.ts'

/** What the shop has of one kind, with how much there is; taken by one press from what is usual, or found by name. */
const { path, more } = defineProps<{
  path: TakenPath
  /** What the field asks that finds the rest of the library: `Another machine`. */
  more: string
}>()

const workspace = useWorkspace()
const found = ref<string | null>(null)

const shop = computed(() => workspace.shop ?? ({ unitSystem: 'metric' } as const))
const entries = computed(() => LIBRARY.filter((entry) => entry.path === path && isSoldTo(entry, shop.value)))
const owned = computed(() => workspace.all(path))
const isThere = ({ record }: LibraryEntry): boolean => owned.value.some(({ name }) => name === record.name)
const usual = computed(() =>
  USUAL[shop.value.unitSystem][path].flatMap(
    (id) => entries.value.find(({ record }) => record.id === id) ?? [],
  ),
)
const others = computed(() =>
  entries.value
    .filter((entry) => !isThere(entry))
    .map(({ record, summary }) => ({ id: record.id, name: record.name, note: summary })),
)
const kind = factsAt(path)?.kind ?? null
const counting = factsAt(path)?.counting ?? null
const quantity = counting?.meta.field.quantity

function count(id: string, name: string, amount: number | null): void {
  if (!kind || !counting) return
  const key = stockId(kind, id)
  workspace.edit('stock', key, { id: key, amount }, `stock of ${name}`)
}
function take(id: string | null): void {
  const entry = entries.value.find(({ record }) => record.id === id)
  if (entry) takeOwn(workspace, entry)
  found.value = null
}
const typicalSource = (item: object): PowerSource | null =>
  'typical' in item && item.typical === true ? (item as PowerSource) : null
function remove(id: string, name: string): void {
  workspace.edit(path, id, null, `deletion of ${name}`)
}
</script>

<template>
  <ul v-if="owned.length > 0" class="owned">
    <li v-for="item in owned" :key="item.id">
      <RouterLink :to="{ name: 'equipment', params: { list: path, id: item.id } }">{{
        item.name
      }}</RouterLink>
      <span v-if="'typical' in item && item.typical" class="typical">typical value – check yours</span>
      <QuantityField
        v-if="quantity"
        class="amount"
        label=""
        :name="`Stock of ${item.name}`"
        :kind="quantity"
        optional="not counted"
        :model-value="workspace.amountOf(path, item.id)"
        @update:model-value="(amount) => count(item.id, item.name, amount)"
      />
      <CountField
        v-else-if="counting"
        class="amount"
        label=""
        :name="`Stock of ${item.name}`"
        :least="0"
        :most="100000"
        optional="not counted"
        :model-value="workspace.amountOf(path, item.id)"
        @update:model-value="(amount) => count(item.id, item.name, amount)"
      />
      <button class="link-button" :aria-label="`Remove ${item.name}`" @click="remove(item.id, item.name)">
        Remove
      </button>
      <PlateSeven v-if="typicalSource(item)" class="plate" :source="typicalSource(item) as PowerSource" />
    </li>
  </ul>
  <div class="usual">
    <button
      v-for="entry in usual.filter((one) => !isThere(one))"
      :key="entry.record.id"
      v-tip="entry.summary"
      class="plain-button"
      @click="take(entry.record.id)"
    >
      + {{ entry.record.name }}
    </button>
    <ChoiceField
      class="found"
      bare
      :label="more"
      :placeholder="more"
      :items="others"
      :model-value="found"
      @update:model-value="take"
    />
    <slot />
  </div>
</template>

<style scoped>
.owned {
  display: grid;
  gap: 4px;
}
.owned li {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}
.owned a {
  color: var(--ink);
  flex: 0 1 auto;
  font-weight: 600;
}
.plate {
  flex-basis: 100%;
}
.amount {
  width: 110px;
}
.typical {
  background: var(--tight-soft);
  border-radius: var(--radius);
  color: var(--ink);
  font-size: var(--text-s);
  padding: 1px 6px;
}
.usual {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.found {
  width: 260px;
}
</style>
