<script setup lang="ts">
import { computed } from 'vue'
import { useWorkspace } from '../shop/workspace.ts'

/** What is on a machine now, wherever a set-up of it is looked at, with the way to change it. */
const { setUpId } = defineProps<{ setUpId: string }>()
const workspace = useWorkspace()
const setUp = computed(() => workspace.get('set-ups', setUpId))
const source = computed(() => setUp.value && workspace.get('power-sources', setUp.value.powerSourceId))
const present = computed(() => setUp.value && workspace.get('present-set-ups', setUp.value.powerSourceId))
</script>

<template>
  <p v-if="source" class="on-now label">
    On {{ source.name }} now: <strong>{{ present?.name ?? 'not recorded' }}</strong>
    <RouterLink v-if="present?.setUpId !== setUpId" :to="{ name: 'change-over', params: { id: setUpId } }">
      Change over</RouterLink
    >
  </p>
</template>

<style scoped>
.on-now {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
}
a {
  color: inherit;
}
@media (pointer: coarse) {
  a {
    align-items: center;
    display: inline-flex;
    min-height: 44px;
  }
}
</style>
