<script setup lang="ts">
import { ref } from 'vue'
import { useSession } from '../../shop/session.ts'
import ShopHead from '../shop/ShopHead.vue'
import PanelFrame from './PanelFrame.vue'
import PeoplePanel from './PeoplePanel.vue'
import ProgramsPanel from './ProgramsPanel.vue'

/** Who signs in, with which rights, and which other programs may read and write. */
const session = useSession()
const panel = ref<'people' | 'programs'>('people')
</script>

<template>
  <PanelFrame>
    <ShopHead />
    <template v-if="session.isOwner">
      <VTabs v-model="panel" aria-label="Accounts">
        <VTab value="people">People</VTab>
        <VTab value="programs">Other programs</VTab>
      </VTabs>
      <PeoplePanel v-if="panel === 'people'" />
      <ProgramsPanel v-else />
    </template>
    <p v-else class="sheet panel">Only the owner can see and change accounts.</p>
  </PanelFrame>
</template>
