<script setup lang="ts">
import { reactive, ref } from 'vue'
import { ask } from '../../api/client.ts'
import PickField from '../../components/PickField.vue'
import TypedField from '../../components/TypedField.vue'
import type { Role } from '../../shop/session.ts'
import { ROLES } from './roles.ts'
import { useWhen } from '../../stores/useWhen.ts'
import { useList } from './useList.ts'

/** Tokens with which other programs come in: told once, taken back at any time. */
interface Token {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly createdBy: string
  readonly createdAt: string
  readonly usedAt: string | null
}

const { items, problem, isLoading, change } = useList<Token>('tokens')
const when = useWhen()
const fresh = reactive({ name: '', role: 'guest' as Role })
const secret = ref('')

async function add(): Promise<void> {
  const isMade = await change(async () => {
    const made = await ask<{ secret: string }>('POST', 'tokens', { ...fresh })
    secret.value = made.secret
  })
  if (isMade) fresh.name = ''
}
const revoke = (token: Token): Promise<boolean> => change(() => ask('DELETE', `tokens/${token.id}`))
const day = (at: string | null): string => (at === null ? 'never' : when(at, 'day'))
</script>

<template>
  <div class="sheet panel">
    <p class="quiet">
      A program sends its token with each request: <code>Authorization: Bearer …</code>. What it can ask
      stands in <a href="/api/openapi.json">/api/openapi.json</a>.
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="isLoading" role="status">Fetching…</p>
    <p v-if="secret" class="secret" role="status">
      <strong>The token, this once:</strong> <code>{{ secret }}</code>
      <button class="link-button" @click="secret = ''">I have it</button>
    </p>
    <div v-if="items.length > 0" class="wide">
      <VTable>
        <thead>
          <tr>
            <th scope="col">Program</th>
            <th scope="col">Role</th>
            <th scope="col">Made</th>
            <th scope="col">Last used</th>
            <th scope="col"><span class="visually-hidden">Actions</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="token in items" :key="token.id">
            <th scope="row">{{ token.name }}</th>
            <td>{{ token.role }}</td>
            <td>{{ day(token.createdAt) }} by {{ token.createdBy }}</td>
            <td>{{ day(token.usedAt) }}</td>
            <td class="number">
              <button class="link-button" :aria-label="`Take back ${token.name}`" @click="revoke(token)">
                Take back
              </button>
            </td>
          </tr>
        </tbody>
      </VTable>
    </div>
    <p v-else-if="!isLoading" class="quiet">No program has a token.</p>
    <form class="bar" @submit.prevent="add">
      <TypedField v-model="fresh.name" label="Program" maxlength="80" required />
      <PickField
        class="role"
        label="Role"
        :items="ROLES.map((role) => [role, role] as const)"
        :model-value="fresh.role"
        @update:model-value="(now) => now && (fresh.role = now)"
      />
      <button class="plain-button main">Make a token</button>
    </form>
  </div>
</template>

<style scoped>
.secret {
  background: var(--tight-soft);
  overflow-wrap: anywhere;
  padding: 8px 12px;
}
</style>
