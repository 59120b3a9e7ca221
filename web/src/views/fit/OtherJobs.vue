<script setup lang="ts">
import { useWorkspace } from '../../shop/workspace.ts'

/** The way from one fit to another. */
const { jobId } = defineProps<{ jobId: string }>()
const workspace = useWorkspace()
</script>

<template>
  <VMenu location="bottom end" :transition="false">
    <template #activator="{ props: activator }">
      <button class="plain-button other" v-bind="activator">Other job</button>
    </template>
    <VList>
      <VListItem
        v-for="one in workspace.jobs.filter(({ id }) => id !== jobId)"
        :key="one.id"
        :title="one.name"
        :to="{ name: 'fit', params: { jobId: one.id } }"
      />
    </VList>
  </VMenu>
</template>
