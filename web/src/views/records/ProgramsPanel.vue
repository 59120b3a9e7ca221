<script setup lang="ts">
import { factsAt, KIND_FACTS } from '@brannik/core'
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
  readonly expiresAt: string | null
  /** Paths of the records that it is for; null: whatever its role may. */
  readonly kinds: readonly string[] | null
}

const { items, problem, isLoading, change } = useList<Token>('tokens')
const when = useWhen()
const YEAR = 365
const fresh = reactive({ name: '', role: 'guest' as Role, days: YEAR, path: null as string | null })
const DAYS = [
  [30, '30 days'],
  [YEAR, 'a year'],
  [10 * YEAR, '10 years'],
] as const
const PATHS = KIND_FACTS.map(({ path, noun }) => [path, `${noun} records`] as const)
const nounsOf = ({ kinds }: Token): string =>
  kinds === null ? 'all records' : kinds.map((path) => factsAt(path)?.noun ?? path).join(', ')
const secret = ref('')

async function add(): Promise<void> {
  const isMade = await change(async () => {
    const made = await ask<{ secret: string }>('POST', 'tokens', {
      name: fresh.name,
      role: fresh.role,
      days: fresh.days,
      kinds: fresh.path === null ? null : [fresh.path],
    })
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
      A program sends its token with each request: <code>Authorization: Bearer …</code>. The API is described
      in <a href="/api/openapi.json">/api/openapi.json</a>. A token ends on its date, or with the account that
      created it.
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="isLoading" role="status">Loading…</p>
    <p v-if="secret" class="secret" role="status">
      <strong>The token is shown only once:</strong> <code class="token">{{ secret }}</code>
      <button class="link-button" @click="secret = ''">Done</button>
    </p>
    <div v-if="items.length > 0" class="wide">
      <VTable>
        <thead>
          <tr>
            <th scope="col">Program</th>
            <th scope="col">Access</th>
            <th scope="col">Made</th>
            <th scope="col">Last used</th>
            <th scope="col">Ends</th>
            <th scope="col"><span class="visually-hidden">Actions</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="token in items" :key="token.id">
            <th scope="row">{{ token.name }}</th>
            <td>{{ token.role }}, {{ nounsOf(token) }}</td>
            <td>{{ day(token.createdAt) }} by {{ token.createdBy }}</td>
            <td>{{ day(token.usedAt) }}</td>
            <td>{{ day(token.expiresAt) }}</td>
            <td class="number">
              <button class="link-button" :aria-label="`Revoke ${token.name}`" @click="revoke(token)">
                Revoke
              </button>
            </td>
          </tr>
        </tbody>
      </VTable>
    </div>
    <p v-else-if="!isLoading" class="quiet">No tokens.</p>
    <form class="bar" @submit.prevent="add">
      <TypedField v-model="fresh.name" label="Program" maxlength="80" required />
      <PickField
        class="role"
        label="Role"
        :items="ROLES.map((role) => [role, role] as const)"
        :model-value="fresh.role"
        @update:model-value="(now) => now && (fresh.role = now)"
      />
      <PickField
        class="path"
        label="For"
        :items="PATHS"
        optional="all records"
        :model-value="fresh.path"
        @update:model-value="(now) => (fresh.path = now)"
      />
      <PickField
        class="days"
        label="Valid for"
        :items="DAYS"
        :model-value="fresh.days"
        @update:model-value="(now) => now && (fresh.days = now)"
      />
      <button class="plain-button main">Create token</button>
    </form>
  </div>
</template>

<style scoped>
.token {
  margin-right: 12px;
}
.secret {
  background: var(--tight-soft);
  overflow-wrap: anywhere;
  padding: 8px 12px;
}
.path {
  width: 220px;
}
.days {
  width: 110px;
}
</style>
