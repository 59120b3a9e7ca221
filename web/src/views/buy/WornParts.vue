<script setup lang="ts">
import { computed } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'
import { useMachineRecords } from '../learned/useWear.ts'
import { PART_WORDS } from '../learned/wearWords.ts'

/** Wearing parts that are due by use: they belong in the next order. */
const workspace = useWorkspace()
const records = useMachineRecords()
const due = computed(() =>
  records.value.flatMap(({ sourceId, wear }) => {
    const name = workspace.get('power-sources', sourceId)?.name ?? sourceId
    return wear
      .filter(({ state }) => state !== 'good')
      .map(({ part }) => `${PART_WORDS[part].toLowerCase()} for ${name}`)
  }),
)
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
