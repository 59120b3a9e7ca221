<script setup lang="ts">
import { computed, ref } from 'vue'
import { useSession } from '../../shop/session.ts'
import ShopHead from '../shop/ShopHead.vue'
import BackupsPanel from './BackupsPanel.vue'
import DeedsPanel from './DeedsPanel.vue'
import DeletedPanel from './DeletedPanel.vue'
import PanelFrame from './PanelFrame.vue'

/** Backups, deleted records, and the history of changes. */
const session = useSession()

const PANELS = [
  { id: 'backups', title: 'Backups', forOwner: false },
  { id: 'deleted', title: 'Deleted', forOwner: false },
  { id: 'deeds', title: 'Changes', forOwner: true },
] as const
type PanelId = (typeof PANELS)[number]['id']
const panels = computed(() => PANELS.filter(({ forOwner }) => !forOwner || session.isOwner))
const panel = ref<PanelId>('backups')
</script>

<template>
  <PanelFrame>
    <ShopHead />
    <VTabs v-model="panel" aria-label="Records">
      <VTab v-for="{ id, title } in panels" :key="id" :value="id">{{ title }}</VTab>
    </VTabs>
    <BackupsPanel v-if="panel === 'backups'" />
    <DeletedPanel v-else-if="panel === 'deleted'" />
    <DeedsPanel v-else />
  </PanelFrame>
</template>
