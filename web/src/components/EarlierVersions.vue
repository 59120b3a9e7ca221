<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { ask } from '../api/client.ts'
import { differences } from '../files/differences.ts'
import { wordingOf } from '../files/wording.ts'
import { useNotice } from '../stores/notice.ts'
import { useWhen } from '../stores/useWhen.ts'
import { type Path, useWorkspace } from '../shop/workspace.ts'
import SheetDialog from './SheetDialog.vue'
import { reasonOf } from '../reason.ts'

/** Every version that a record had: when, by whom, what was different, and the way back to it. */
const { path, id } = defineProps<{ path: Path; id: string }>()
const open = defineModel<boolean>({ required: true })

interface Version {
  readonly version: number
  readonly at: string
  readonly who: string
  readonly actorKind: string | null
  readonly deleted: boolean
}

const MOST_SHOWN = 40
const workspace = useWorkspace()
const notice = useNotice()
const when = useWhen()
const versions = shallowRef<readonly Version[]>([])
const chosen = ref<number | null>(null)
const record = shallowRef<unknown>(null)
const problem = ref('')
const hasMore = ref(false)

const now = computed(() => workspace.get(path, id))
const changes = computed(() =>
  record.value === null
    ? []
    : differences(now.value, record.value, wordingOf(path, now.value, workspace.notation)),
)
const name = computed(() => (now.value && 'name' in now.value ? now.value.name : ''))

const telling = async (work: () => Promise<void>): Promise<void> => {
  problem.value = ''
  await work().catch((error: unknown) => {
    problem.value = `It cannot be loaded: ${reasonOf(error)}`
  })
}
const fetchVersions = (before: number | null): Promise<void> =>
  telling(async () => {
    const query = before === null ? '' : `?before=${before}`
    const { items } = await ask<{ items: readonly Version[] }>('GET', `history/${path}/${id}${query}`)
    versions.value = before === null ? items : [...versions.value, ...items]
    hasMore.value = items.length === 200
  })
const show = (version: number): Promise<void> =>
  telling(async () => {
    chosen.value = version
    const answer = await ask<{ record: unknown }>('GET', `history/${path}/${id}/${version}`)
    if (chosen.value === version) record.value = answer.record
  })

watch(open, (isOpen) => {
  versions.value = []
  chosen.value = null
  record.value = null
  if (isOpen) void fetchVersions(null)
})

function takeBack(): void {
  if (record.value === null) return
  workspace.edit(path, id, record.value as never, `version ${chosen.value ?? ''} of ${name.value}`)
  notice.show(`${name.value} is restored`, true)
  open.value = false
}
</script>

<template>
  <SheetDialog v-model="open" :title="`Earlier versions of ${name}`" :width="860">
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div class="versions">
      <ol aria-label="Versions, latest first">
        <li v-for="one in versions" :key="one.version">
          <button
            class="pick"
            :class="{ here: chosen === one.version }"
            :aria-pressed="chosen === one.version"
            :disabled="one.deleted"
            @click="show(one.version)"
          >
            <span>{{ when(one.at, 'second') }}</span>
            <span class="label"
              >{{ one.deleted ? 'deleted' : `version ${one.version}` }} by {{ one.who
              }}{{ one.actorKind === 'token' ? ' (a program)' : '' }}</span
            >
          </button>
        </li>
        <li v-if="hasMore">
          <button class="link-button more" @click="fetchVersions(versions.at(-1)?.version ?? null)">
            Show older
          </button>
        </li>
      </ol>
      <div class="what" aria-live="polite">
        <p v-if="chosen === null" class="quiet">
          Choose a version to see its differences. The last version of each day is always kept.
        </p>
        <p v-else-if="record !== null && changes.length === 0" class="quiet">Same as now.</p>
        <VTable v-else-if="record !== null">
          <thead>
            <tr>
              <th scope="col">Field</th>
              <th scope="col">Now</th>
              <th scope="col">Then</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(one, index) in changes.slice(0, MOST_SHOWN)" :key="index">
              <th scope="row">{{ one.field }}</th>
              <td>{{ one.before }}</td>
              <td>{{ one.after }}</td>
            </tr>
          </tbody>
        </VTable>
        <p v-if="changes.length > MOST_SHOWN" class="quiet">and {{ changes.length - MOST_SHOWN }} more</p>
      </div>
    </div>
    <template #foot>
      <span class="quiet">You can undo this.</span>
      <button class="plain-button main" :disabled="record === null || changes.length === 0" @click="takeBack">
        Restore this version
      </button>
    </template>
  </SheetDialog>
</template>

<style scoped>
.versions {
  display: grid;
  gap: 16px;
  grid-template-columns: 260px minmax(0, 1fr);
  min-height: 300px;
}
ol {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  max-height: 56vh;
  overflow: auto;
}
.pick {
  padding: 6px 10px;
}
.pick:disabled {
  color: var(--ink-2);
  cursor: default;
}
.more {
  padding: 8px 12px;
}
.what {
  max-height: 56vh;
  overflow: auto;
}
.what :is(th, td) {
  font-weight: 400;
  padding: 4px 10px 4px 0;
  vertical-align: top;
}
@media (max-width: 700px) {
  .versions {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
