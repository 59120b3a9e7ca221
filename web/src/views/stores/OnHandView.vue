<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import PlaceHead from '../../components/PlaceHead.vue'
import { useSession } from '../../shop/session.ts'
import MoveDialog from './MoveDialog.vue'
import { useStoresTabs } from './storesTabs.ts'
import { type OnHand, useOnHand } from './useOnHand.ts'
import { useRunsOut } from './useRunsOut.ts'

/** What is there and where, and whether the planned jobs have enough of it. */
const tabs = useStoresTabs()
const session = useSession()
const items = useOnHand()
const { items: runs, amount, endText } = useRunsOut()
const mayMove = computed(() => session.mayWrite('stock'))

const GROUPS = [
  { kind: 'wire', title: 'Wire and rods' },
  { kind: 'gas', title: 'Gas' },
  { kind: 'tungsten', title: 'Tungsten' },
  { kind: 'part', title: 'Small parts' },
] as const
const search = ref('')
const groups = computed(() => {
  const words = search.value.toLowerCase().split(/\s+/).filter(Boolean)
  const byId = new Map(runs.value.map((run) => [run.id, run]))
  return GROUPS.map((group) => ({
    ...group,
    rows: items.value
      .filter(
        ({ kind, name }) => kind === group.kind && words.every((word) => name.toLowerCase().includes(word)),
      )
      .map((item) => ({ item, run: byId.get(item.id) ?? null })),
  })).filter(({ rows }) => rows.length > 0)
})

const isOpen = ref(false)
const picked = shallowRef<OnHand | null>(null)
const act = ref<'receive' | 'use' | 'count'>('count')
function begin(item: OnHand, what: typeof act.value): void {
  picked.value = item
  act.value = what
  isOpen.value = true
}
</script>

<template>
  <section class="stores">
    <PlaceHead title="Stores" :tabs="tabs" />
    <label class="search screen-only"
      ><span class="label">Search the stores</span>
      <input v-model="search" type="search" placeholder="wire, gas, tip" />
    </label>
    <p v-if="items.length === 0" class="sheet none">
      Nothing is entered yet. Add wire and gas under Shop, Equipment.
    </p>
    <section v-for="group in groups" :key="group.kind" class="sheet group" :aria-label="group.title">
      <h2>{{ group.title }}</h2>
      <ul>
        <li v-for="{ item, run } in group.rows" :key="item.id">
          <span class="name">
            <RouterLink
              :to="{
                name: 'equipment',
                params: { list: item.kind === 'gas' ? 'gases' : `${item.kind}s`, id: item.itemId },
              }"
              >{{ item.name }}</RouterLink
            >
            <span v-if="item.keptAt" class="label">{{ item.keptAt }}</span>
          </span>
          <strong :class="{ quiet: item.amount === null }">{{ item.text }}</strong>
          <span class="need" :class="{ short: (run?.shortBy ?? 0) > 0 }">
            <template v-if="run">
              planned jobs need {{ amount(run.needed, run.unit) }}
              <span class="label">{{ endText(run) }}</span>
            </template>
          </span>
          <span class="acts screen-only">
            <template v-if="item.amount !== null">
              <button
                class="plain-button"
                :disabled="!mayMove"
                :aria-label="`Receive ${item.name}`"
                @click="begin(item, 'receive')"
              >
                Receive
              </button>
              <button
                class="plain-button"
                :disabled="!mayMove"
                :aria-label="`Use ${item.name}`"
                @click="begin(item, 'use')"
              >
                Use
              </button>
            </template>
            <button
              class="plain-button"
              :disabled="!mayMove"
              :aria-label="`Count ${item.name}`"
              @click="begin(item, 'count')"
            >
              Count
            </button>
          </span>
        </li>
      </ul>
    </section>
    <MoveDialog v-model="isOpen" :item="picked" :act="act" />
  </section>
</template>

<style scoped>
.stores {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 20px;
}
.search {
  display: grid;
  max-width: 340px;
}
.search input {
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  color: var(--ink);
  min-height: 36px;
  padding: 4px 10px;
}
.none,
.group {
  padding: 12px 18px;
}
h2 {
  font-size: var(--text-l);
}
a {
  color: inherit;
}
li {
  align-items: center;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 4px 16px;
  grid-template-columns: minmax(0, 2fr) minmax(90px, 1fr) minmax(0, 2fr) auto;
  padding: 6px 0;
}
.name,
.need {
  display: grid;
}
.short {
  color: var(--fails);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  justify-content: flex-end;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .acts {
    grid-column: 1 / -1;
    justify-content: flex-start;
  }
}
@media (pointer: coarse) {
  .acts .plain-button,
  .search input {
    min-height: 48px;
  }
  .name a {
    align-content: center;
    display: grid;
    min-height: 44px;
  }
}
</style>
