<script setup lang="ts">
import type { SetUp } from '@brannik/core'
import { computed } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'
import { LOOSE, placeOf } from './loosePlaces.ts'

/** Where the loose things of a set-up are now: what has to be fetched, and from which machine. */
const { setUp } = defineProps<{ setUp: SetUp }>()
const workspace = useWorkspace()

const rows = computed(() =>
  LOOSE.flatMap((list) => {
    const id = { guns: setUp.gunId, wires: setUp.wireId, gases: setUp.gasId }[list]
    const item = id === null ? null : workspace.get(list, id)
    if (!item) return []
    const place = placeOf(
      list,
      item,
      workspace.shelf.presentSetUps,
      (sourceId) => workspace.get('power-sources', sourceId)?.name ?? sourceId,
    )
    return [{ list, id: item.id, name: item.name, place }]
  }),
)
</script>

<template>
  <section class="sheet aside" aria-label="Where things are">
    <h2>Where things are</h2>
    <dl>
      <div v-for="{ list, id, name, place } in rows" :key="list">
        <dt>
          <RouterLink :to="{ name: 'equipment', params: { list, id } }">{{ name }}</RouterLink>
        </dt>
        <dd>{{ place }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
.aside {
  padding: 12px 16px;
}
dl {
  margin-top: 4px;
}
dl div {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  justify-content: space-between;
  padding: 2px 0;
}
a {
  color: inherit;
}
dd {
  color: var(--ink-2);
}
</style>
