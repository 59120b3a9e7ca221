<script setup lang="ts">
import { factsAt } from '@brannik/core'
import { computed } from 'vue'
import { ask } from '../../api/client.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWhen } from '../../stores/useWhen.ts'
import { useSession } from '../../shop/session.ts'
import { type Path, useWorkspace } from '../../shop/workspace.ts'
import { useList } from './useList.ts'

/** What was deleted: nothing of it is gone, and each comes back as it was. */
interface Deleted {
  readonly path: Path
  readonly id: string
  readonly name: string | null
  readonly version: number
  readonly at: string
  readonly who: string
}

const nounOf = (path: Path): string => factsAt(path)?.noun ?? path
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const when = useWhen()
const { items, problem, isLoading, telling } = useList<Deleted>('deleted')
/** What came back a moment ago is being stored, and is no longer deleted. */
const gone = computed(() => items.value.filter(({ path, id }) => workspace.get(path, id) === null))

const bringBack = (one: Deleted): Promise<boolean> =>
  telling(async () => {
    const { record } = await ask<{ record: unknown }>('GET', `history/${one.path}/${one.id}/${one.version}`)
    workspace.edit(one.path, one.id, record as never, `restore of ${one.name ?? one.id}`)
    notice.show(`${one.name ?? one.id} is restored`, true)
  })
</script>

<template>
  <div class="sheet panel">
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="isLoading" role="status">Loading…</p>
    <p v-else-if="gone.length === 0" class="quiet">
      Nothing deleted. Deleted records are listed here. You can restore them.
    </p>
    <div v-else class="wide">
      <VTable>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Kind</th>
            <th scope="col">Deleted</th>
            <th scope="col">By</th>
            <th scope="col"><span class="visually-hidden">Actions</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in gone" :key="`${one.path}/${one.id}`">
            <th scope="row">{{ one.name ?? one.id }}</th>
            <td>{{ nounOf(one.path) }}</td>
            <td>{{ when(one.at) }}</td>
            <td>{{ one.who }}</td>
            <td class="number">
              <button
                v-if="session.mayWrite(one.path)"
                class="link-button"
                :aria-label="`Restore ${one.name ?? one.id}`"
                @click="bringBack(one)"
              >
                Restore
              </button>
            </td>
          </tr>
        </tbody>
      </VTable>
    </div>
  </div>
</template>
