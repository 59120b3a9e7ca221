<script setup lang="ts">
import { reactive, ref } from 'vue'
import { ask } from '../../api/client.ts'
import NewPassword from '../../components/NewPassword.vue'
import PickField from '../../components/PickField.vue'
import TypedField from '../../components/TypedField.vue'
import { useNotice } from '../../stores/notice.ts'
import { type Role, useSession } from '../../shop/session.ts'
import { ROLE_WORDS, ROLES } from './roles.ts'
import { useList } from './useList.ts'

/** Who may come in, and how far. The first account is the owner's. */
interface Account {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly disabled: boolean
}

const session = useSession()
const notice = useNotice()
const { items, problem, isLoading, change } = useList<Account>('accounts')
const fresh = reactive({ name: '', password: '', role: 'owner' as Role })
const isAdding = ref(false)
const resetting = ref<Account | null>(null)
const password = ref('')

async function add(): Promise<void> {
  const made = await change(() => ask('POST', 'accounts', { ...fresh }))
  if (!made) return
  notice.show(`${fresh.name} added as ${fresh.role}`)
  Object.assign(fresh, { name: '', password: '', role: 'planner' })
  isAdding.value = false
  await session.find()
}
const put = (account: Account, what: object): Promise<boolean> =>
  change(() => ask('PUT', `accounts/${account.id}`, what))
async function reset(): Promise<void> {
  const account = resetting.value
  if (!account || !(await put(account, { password: password.value }))) return
  notice.show(`${account.name} has a new password`)
  resetting.value = null
  password.value = ''
}
async function remove(account: Account): Promise<void> {
  if (await change(() => ask('DELETE', `accounts/${account.id}`)))
    notice.show(`${account.name} is deleted. Their history stays`)
}
</script>

<template>
  <div class="sheet panel">
    <p v-if="!session.me?.needsSignIn" class="quiet">
      On this machine nobody signs in. For access from the network, create the owner account here, then start
      Brannik with HOST set. From then on everybody signs in.
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="isLoading" role="status">Loading…</p>
    <div v-if="items.length > 0" class="wide">
      <VTable>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Role</th>
            <th scope="col">Rights</th>
            <th scope="col"><span class="visually-hidden">Actions</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="account in items" :key="account.id">
            <th scope="row">
              {{ account.name }}<span v-if="account.disabled" class="label"> · disabled</span>
            </th>
            <td>
              <PickField
                class="role"
                :name="`Role of ${account.name}`"
                :items="ROLES.map((role) => [role, role] as const)"
                :model-value="account.role"
                @update:model-value="(now) => put(account, { role: now })"
              />
            </td>
            <td class="quiet">{{ ROLE_WORDS[account.role] }}</td>
            <td class="number actions">
              <button class="link-button" @click="resetting = account">New password</button>
              <button class="link-button" @click="put(account, { disabled: !account.disabled })">
                {{ account.disabled ? 'Enable' : 'Disable' }}
              </button>
              <button class="link-button" :aria-label="`Delete ${account.name}`" @click="remove(account)">
                Delete
              </button>
            </td>
          </tr>
        </tbody>
      </VTable>
    </div>
    <form v-if="resetting" class="bar" @submit.prevent="reset">
      <NewPassword v-model="password" :label="`New password for ${resetting.name}`" />
      <button class="plain-button main">Save</button>
      <button type="button" class="plain-button" @click="resetting = null">Cancel</button>
    </form>
    <p v-if="!isAdding">
      <button class="plain-button main" @click="isAdding = true">Add account</button>
    </p>
    <form v-else class="bar" @submit.prevent="add">
      <TypedField v-model="fresh.name" label="Name" maxlength="80" required />
      <NewPassword v-model="fresh.password" label="Password, at least 15 characters" />
      <PickField
        class="role"
        label="Role"
        :items="ROLES.map((role) => [role, role] as const)"
        :model-value="fresh.role"
        @update:model-value="(now) => now && (fresh.role = now)"
      />
      <button class="plain-button main">Create account</button>
      <button type="button" class="plain-button" @click="isAdding = false">Cancel</button>
    </form>
  </div>
</template>

<style scoped>
.role {
  width: 120px;
}
.actions > * + * {
  margin-left: 12px;
}
</style>
