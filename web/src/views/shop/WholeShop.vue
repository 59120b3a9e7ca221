<script setup lang="ts">
import { ref } from 'vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { idFor } from '../jobs/idFor.ts'
import BeginShop from '../start/BeginShop.vue'
import TakeWhole from '../start/TakeWhole.vue'

/** The shop as one file, out and in; another shop in its place; and the walk through it. */
const workspace = useWorkspace()
const session = useSession()
const isLeaving = ref(false)
</script>

<template>
  <div v-if="workspace.shop" class="whole">
    <RouterLink class="plain-button" :to="{ name: 'start' }">Walk through the shop</RouterLink>
    <a class="plain-button" href="/api/whole" :download="`${idFor(workspace.shop.name, [])}.json`"
      >Export the whole shop</a
    >
    <template v-if="session.mayWrite('shop')">
      <TakeWhole />
      <button class="plain-button" @click="isLeaving = true">Leave for a shop of my own</button>
    </template>
    <SheetDialog v-model="isLeaving" title="A shop of my own" :width="520" close="Stay here">
      <p>
        All that {{ workspace.shop.name }} has goes: {{ workspace.jobs.length }} jobs,
        {{ workspace.setUps.length }} set-ups, its equipment and counts. Export it first if you want it again;
        what was backed up stays among the backups.
      </p>
      <BeginShop @begun="isLeaving = false" />
    </SheetDialog>
  </div>
</template>

<style scoped>
.whole {
  align-items: start;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
}
a {
  text-decoration: none;
}
</style>
