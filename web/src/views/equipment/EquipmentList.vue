<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import type { VVirtualScroll } from 'vuetify/components'
import PrintedTable from '../../components/PrintedTable.vue'
import { useMoney } from '../../stores/useMoney.ts'
import type { Row } from './lists.ts'

/** The rows of one list; only those in sight are drawn, so two thousand scroll like twenty. */
const { rows, selected } = defineProps<{
  /** Of what they are the list. */
  title: string
  rows: readonly Row[]
  selected: string | null
}>()
const emit = defineEmits<{ open: [id: string] }>()

const ROW = 52
const scroll = ref<VVirtualScroll | null>(null)
const box = ref<HTMLElement | null>(null)

/** What is open is in sight, also when it was opened from elsewhere. */
watch(
  () => selected,
  async (id) => {
    await nextTick()
    const index = rows.findIndex((row) => row.id === id)
    if (index >= 0 && !box.value?.querySelector(`[data-id="${id}"]`)) scroll.value?.scrollToIndex(index)
  },
  { immediate: true },
)

/** Arrow keys walk the list; the thing opens as they do. */
async function walk(by: number): Promise<void> {
  const index = rows.findIndex((row) => row.id === selected)
  const next = rows[Math.min(rows.length - 1, Math.max(0, index + by))]
  if (!next) return
  emit('open', next.id)
  await nextTick()
  box.value?.querySelector<HTMLElement>(`[data-id="${next.id}"]`)?.focus()
}
const money = useMoney()
const price = ({ holding }: Row): string => (holding.price === null ? '' : money(holding.price))
const PRINTED = ['Name', 'What it is', 'Where', 'Price']
const printed = (): readonly (readonly string[])[] =>
  rows.map((row) => [row.name, row.summary, row.holding.words, price(row)])
</script>

<template>
  <div class="list">
    <PrintedTable :title="title" :head="PRINTED" :rows="printed" />
    <div
      ref="box"
      class="list screen-only"
      role="list"
      @keydown.down.prevent="walk(1)"
      @keydown.up.prevent="walk(-1)"
    >
      <VVirtualScroll ref="scroll" :items="[...rows]" :item-height="ROW" height="100%">
        <template #default="{ item }">
          <div role="listitem">
            <button
              class="pick row"
              :class="{ here: item.id === selected, away: !item.holding.isHere }"
              :data-id="item.id"
              :aria-current="item.id === selected"
              @click="emit('open', item.id)"
            >
              <span class="name one-line">{{ item.name }}</span>
              <span class="held">{{ item.holding.words }}</span>
              <span class="label one-line">{{ item.summary }}</span>
              <span class="label price">{{ price(item) }}</span>
            </button>
          </div>
        </template>
      </VVirtualScroll>
    </div>
  </div>
</template>

<style scoped>
.list {
  height: 100%;
  min-height: 0;
}
.row {
  gap: 0 12px;
  grid-template-columns: minmax(0, 1fr) auto;
  height: 52px;
  padding: 4px 12px 4px 11px;
}
.row.here {
  background: var(--copper-soft);
}
.name {
  font-weight: 600;
}
.held,
.price {
  text-align: right;
  white-space: nowrap;
}
.away .held {
  color: var(--copper);
  font-weight: 600;
}
.here .label {
  color: var(--ink);
}
</style>
