<script setup lang="ts">
import { computed, ref } from 'vue'
import { lazily } from '../lazy.ts'
import { useTyping } from '../shop/typing.ts'
import { useWorkspace } from '../shop/workspace.ts'
import { useWhen } from '../stores/useWhen.ts'

const ConflictDialog = lazily(() => import('./ConflictDialog.vue'))

/** Whether what is on the screen is stored; where not, why, and what can be done. */
const workspace = useWorkspace()
const when = useWhen()
const typing = useTyping()

const conflict = computed(() => [...workspace.saves].find(([, { state }]) => state === 'conflict') ?? null)
const clashes = computed(() => conflict.value?.[1].clashes ?? [])
const isComparing = ref(false)
const failed = computed(() => [...workspace.saves.values()].find(({ state }) => state === 'failed') ?? null)
const busy = computed(() =>
  [...workspace.saves.values()].some(({ state }) => state === 'saving' || state === 'waiting'),
)
const savedAt = computed(() =>
  workspace.lastSavedAt ? `Saved ${when(workspace.lastSavedAt, 'clock')}` : 'Saved',
)
</script>

<template>
  <div class="save" role="status" aria-live="polite">
    <template v-if="conflict">
      <span class="bad">{{ conflict[1].theirs > 0 ? 'Changed' : 'Deleted' }} in another place.</span>
      <button v-if="clashes.length > 0" class="link-button" @click="isComparing = true">
        Compare {{ clashes.length === 1 ? 'field' : `${clashes.length} fields` }}
      </button>
      <button class="link-button" @click="workspace.overwriteStored(conflict[0])">Keep mine</button>
      <button class="link-button" @click="workspace.takeStored(conflict[0])">
        {{ conflict[1].theirs > 0 ? 'Use the saved version' : 'Discard mine' }}
      </button>
    </template>
    <template v-else-if="failed">
      <span v-tip="failed.failure" class="bad">Not saved: {{ failed.failure }}</span>
      <button class="link-button" @click="workspace.retrySaves">Retry</button>
    </template>
    <span
      v-else-if="workspace.keptAt"
      v-tip="'The server does not respond. Your changes stay in this browser until it does'"
      class="bad"
      >Offline: the shop as of {{ when(workspace.keptAt, 'clock') }}</span
    >
    <span v-else-if="typing.isOpen" v-tip="'Saved when you leave the field'">Typing…</span>
    <span v-else-if="busy">Saving…</span>
    <span v-else>{{ savedAt }}</span>
    <ConflictDialog v-if="conflict" v-model="isComparing" :save-key="conflict[0]" :clashes="clashes" />
  </div>
</template>

<style scoped>
.save {
  color: var(--ink-2);
  display: flex;
  gap: 10px;
  justify-content: end;
  white-space: nowrap;
}
.bad {
  color: var(--fails);
  font-weight: 600;
  max-width: 340px;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
