<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { onMounted } from 'vue'
import { useBackups } from '../stores/backups.ts'

/** How old the latest backup is, and the way to the backups. */
const backups = useBackups()
const EVERY_MS = 300_000

// A server that does not answer is told where it matters: beside what is being saved.
const look = (): void => void backups.find().catch(() => undefined)
onMounted(look)
useIntervalFn(look, EVERY_MS)
</script>

<template>
  <RouterLink
    v-if="backups.isPossible"
    class="backup"
    :class="{ old: backups.isOld || backups.warnings.length > 0 }"
    :to="{ name: 'records' }"
    >{{
      backups.warnings.length > 0
        ? 'Backups need you'
        : backups.age
          ? `Backed up ${backups.age}`
          : 'No backup yet'
    }}</RouterLink
  >
</template>

<style scoped>
.backup {
  color: var(--ink-2);
  text-decoration: none;
  white-space: nowrap;
}
.backup:hover {
  text-decoration: underline;
}
.old {
  color: var(--tight);
}
</style>
