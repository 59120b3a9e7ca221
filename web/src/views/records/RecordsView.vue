<script setup lang="ts">
import { computed, ref } from 'vue'
import { useSession } from '../../shop/session.ts'
import BackupsPanel from './BackupsPanel.vue'
import DeedsPanel from './DeedsPanel.vue'
import DeletedPanel from './DeletedPanel.vue'
import PeoplePanel from './PeoplePanel.vue'
import ProgramsPanel from './ProgramsPanel.vue'

/** What keeps the shop's records safe: backups, what was deleted, what was done, and who may come in. */
const session = useSession()

const PANELS = [
  { id: 'backups', title: 'Backups', forOwner: false },
  { id: 'deleted', title: 'Deleted', forOwner: false },
  { id: 'deeds', title: 'What was done', forOwner: true },
  { id: 'people', title: 'People', forOwner: true },
  { id: 'programs', title: 'Other programs', forOwner: true },
] as const
type PanelId = (typeof PANELS)[number]['id']
const panels = computed(() => PANELS.filter(({ forOwner }) => !forOwner || session.isOwner))
const panel = ref<PanelId>('backups')
</script>

<template>
  <section class="records">
    <header>
      <h1>Records</h1>
      <VTabs v-model="panel" aria-label="What of the records">
        <VTab v-for="{ id, title } in panels" :key="id" :value="id">{{ title }}</VTab>
      </VTabs>
      <p class="quiet where">
        {{
          session.me?.needsSignIn
            ? 'Whoever comes in signs in.'
            : 'Open to this machine alone, without sign-in.'
        }}
      </p>
    </header>
    <BackupsPanel v-if="panel === 'backups'" />
    <DeletedPanel v-else-if="panel === 'deleted'" />
    <DeedsPanel v-else-if="panel === 'deeds'" />
    <PeoplePanel v-else-if="panel === 'people'" />
    <ProgramsPanel v-else />
  </section>
</template>

<style scoped>
.records {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  max-width: 1080px;
  padding: 16px 20px;
}
header {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.where {
  margin-left: auto;
}
.records :deep(.panel) {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 16px;
}
.records :deep(.v-table :is(th, td)) {
  font-weight: 400;
  vertical-align: middle;
}
.records :deep(.v-table .number) {
  text-align: right;
}
.records :deep(.bar) {
  align-items: end;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.records :deep(.bar > .frame) {
  width: 230px;
}
.records :deep(.bar > .role) {
  width: 120px;
}
.records :deep(.wide) {
  overflow-x: auto;
}
</style>
