<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import { eventsOf, newestRows } from '../../shop/eventList.ts'
import { happenings } from '../../shop/happenings.ts'
import { newestLook } from '../../shop/newest.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { wearOfMachines } from '../learned/useWear.ts'
import { PART_WORDS } from '../learned/wearWords.ts'

/** Wearing parts that are due by use: they belong in the next order. */
const workspace = useWorkspace()
const MOST = 2000
const due = shallowRef<readonly string[]>([])

const newest = newestLook()
async function learn(): Promise<void> {
  const answer = await newest(() => Promise.all([newestRows({}, MOST), eventsOf('part-replaced')]))
  if (!answer) return
  const [rows, changes] = answer
  due.value = wearOfMachines(rows, changes).flatMap(({ sourceId, wear }) => {
    const name = workspace.get('power-sources', sourceId)?.name ?? sourceId
    return wear
      .filter(({ state }) => state !== 'good')
      .map(({ part }) => `${PART_WORDS[part].toLowerCase()} for ${name}`)
  })
}
watch(happenings, () => void learn().catch(() => undefined), { immediate: true })
</script>

<template>
  <p v-if="due.length > 0" class="worn sheet screen-only">
    <strong>Due by use, order with it:</strong> {{ due.join(', ') }}.
    <RouterLink :to="{ name: 'learned' }">Open wearing parts</RouterLink>
  </p>
</template>

<style scoped>
.worn {
  padding: 6px 14px;
}
a {
  color: inherit;
}
</style>
