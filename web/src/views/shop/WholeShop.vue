<script setup lang="ts">
import { ref, useTemplateRef } from 'vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { notSavedText, notSentText } from '../../files/notSentText.ts'
import { useOutbox } from '../../shop/outbox.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { idFor } from '../jobs/idFor.ts'
import BeginShop from '../start/BeginShop.vue'
import TakeWhole from '../start/TakeWhole.vue'

/** The shop as one file, out and in; another shop in its place; and the walk through it. */
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const outbox = useOutbox()
const isLeaving = ref(false)
const exportLink = useTemplateRef('exportLink')

/** The server makes the file of what it has: what was typed and recorded here goes there first. */
let isSent = false
async function onExport(press: MouseEvent): Promise<void> {
  const isAll = workspace.notSaved().length === 0 && outbox.waitingCount.value === 0
  if (isSent || isAll) return
  press.preventDefault()
  await workspace.retrySaves()
  const unsent = await outbox.sendNow()
  const unsaved = workspace.notSaved()
  const lacks = [
    ...(unsaved.length > 0 ? [notSavedText(unsaved)] : []),
    ...(unsent > 0 ? [notSentText(unsent)] : []),
  ]
  if (lacks.length > 0) notice.show(lacks.join(' '))
  isSent = true
  exportLink.value?.click()
  isSent = false
}
</script>

<template>
  <div v-if="workspace.shop" class="whole">
    <RouterLink class="plain-button" :to="{ name: 'start' }">Set up the shop</RouterLink>
    <a
      ref="exportLink"
      class="plain-button"
      href="/api/whole"
      :download="`${idFor(workspace.shop.name, [])}.json`"
      @click="onExport"
      >Export the whole shop</a
    >
    <template v-if="session.mayWrite('shop')">
      <TakeWhole />
      <button class="plain-button" @click="isLeaving = true">Start my own shop</button>
    </template>
    <SheetDialog v-model="isLeaving" title="Start my own shop" :width="520" close="Cancel">
      <p>
        This deletes everything of {{ workspace.shop.name }}: {{ workspace.jobs.length }} jobs,
        {{ workspace.setUps.length }} set-ups, equipment and stock. Export it first to keep it. Backups stay.
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
