<script setup lang="ts">
import { ref } from 'vue'
import { ask } from '../api/client.ts'
import { useNotice } from '../stores/notice.ts'
import { useSession } from '../shop/session.ts'
import { useWorkspace } from '../shop/workspace.ts'
import NewPassword from './NewPassword.vue'
import SheetDialog from './SheetDialog.vue'
import TypedField from './TypedField.vue'
import { reasonOf } from '../reason.ts'

/** Who is signed in, what that allows, and the ways out. */
const session = useSession()
const notice = useNotice()
const isChanging = ref(false)
const old = ref('')
const fresh = ref('')
const problem = ref('')

const workspace = useWorkspace()
/** Asked before one signs out: what would not be stored before the same person is in again. */
const asking = ref<{ readonly everywhere: boolean; readonly names: readonly string[] } | null>(null)
function leave(everywhere: boolean): void {
  const names = workspace.notSaved()
  if (names.length > 0) asking.value = { everywhere, names }
  else void signOut(everywhere)
}
async function signOut(everywhere: boolean): Promise<void> {
  asking.value = null
  await session.signOut(everywhere).catch((error: unknown) => {
    notice.show(`Not signed out: ${reasonOf(error)}`)
  })
}
async function change(): Promise<void> {
  problem.value = ''
  try {
    await ask('PUT', 'password', { old: old.value, new: fresh.value })
    isChanging.value = false
    notice.show('Password changed. All other sessions are signed out')
  } catch (error) {
    problem.value = reasonOf(error)
  } finally {
    old.value = ''
    fresh.value = ''
  }
}
</script>

<template>
  <div>
    <VMenu v-if="session.me?.via === 'session'" location="end bottom" :transition="false">
      <template #activator="{ props: activator }">
        <button v-tip="session.me.may ?? ''" class="who" v-bind="activator">
          <span class="one-line">{{ session.me.who }}</span>
          <span class="label">{{ session.me.role }}</span>
        </button>
      </template>
      <VList>
        <VListItem title="Change password" @click="isChanging = true" />
        <VListItem title="Sign out" @click="leave(false)" />
        <VListItem title="Sign out everywhere" @click="leave(true)" />
      </VList>
    </VMenu>
    <SheetDialog
      :model-value="asking !== null"
      title="Not saved yet"
      :width="420"
      close="Stay"
      @update:model-value="asking = null"
    >
      <p>
        {{ asking?.names.join(', ') }}: not saved yet. Sign out now, and it stays in this browser. It is saved
        when {{ session.me?.who }} signs in here again.
      </p>
      <template #foot>
        <button class="plain-button main" @click="asking && signOut(asking.everywhere)">Sign out</button>
      </template>
    </SheetDialog>
    <SheetDialog v-model="isChanging" title="Change password" :width="380" close="Cancel">
      <form class="change" @submit.prevent="change">
        <TypedField
          v-model="old"
          label="Current password"
          type="password"
          autocomplete="current-password"
          required
        />
        <NewPassword v-model="fresh" label="New password, at least 15 characters" />
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <button class="plain-button main">Change</button>
      </form>
    </SheetDialog>
  </div>
</template>

<style scoped>
.who {
  background: none;
  border: 0;
  color: var(--ink-2);
  cursor: pointer;
  display: grid;
  padding: 8px 8px 8px 24px;
  text-align: left;
}
.change {
  display: grid;
  gap: 12px;
}
@media (max-width: 900px) {
  .who {
    padding: 8px;
  }
}
</style>
