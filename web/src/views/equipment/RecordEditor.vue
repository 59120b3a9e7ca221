<script setup lang="ts">
import {
  amountSchemaOf,
  factsAt,
  PART_KINDS,
  type PartKind,
  type PlateProcess,
  type PowerSource,
  stockId,
} from '@brannik/core'
import { computed, ref, toRef } from 'vue'
import { useRouter } from 'vue-router'
import EarlierVersions from '../../components/EarlierVersions.vue'
import { useNotice } from '../../stores/notice.ts'
import { useUnfinished } from '../../shop/unfinished.ts'
import { type Path, useWorkspace } from '../../shop/workspace.ts'
import { idFor } from '../jobs/idFor.ts'
import { fieldWords, formOf, listsOf, STOCK } from './forms.ts'
import ListRows from './ListRows.vue'
import { usersOf } from './lists.ts'
import { routeOf, TABS } from './tabs.ts'
import PlateSeven from './PlateSeven.vue'
import PlateEditor from './PlateEditor.vue'
import RecordForm from './RecordForm.vue'
import { type EquipmentPath, isOfBuilding, useRecordDraft } from './useRecordDraft.ts'

/** One thing of the shelf, field by field; stored as you go, once it is whole. */
const props = defineProps<{ path: EquipmentPath; id: string }>()

const workspace = useWorkspace()
const notice = useNotice()
const unfinished = useUnfinished()
const router = useRouter()
const { draft, stored, problems, problemAt, set, discard } = useRecordDraft(
  toRef(props, 'path'),
  toRef(props, 'id'),
)

const lookingBack = ref(false)
const name = computed(() => String(draft.value?.['name'] ?? '') || 'Unnamed')
const noun = computed(() => TABS.find(({ path }) => path === props.path)?.noun ?? '')
const partKind = computed<PartKind | null>(() =>
  props.path === 'parts' ? (PART_KINDS.find((kind) => kind === draft.value?.['kind']) ?? null) : null,
)
const users = computed(() => usersOf(props.path, props.id, workspace.setUps))
const isSource = computed(() => props.path === 'power-sources')

/** Whether an engine drives it is said above the plate. */
const groups = computed(() =>
  formOf(props.path, partKind.value, stored.value !== null).flatMap(({ presence, ...group }) =>
    presence?.path !== 'engine'
      ? [presence ? { ...group, presence } : group]
      : draft.value?.['engine']
        ? [group]
        : [],
  ),
)
/** How much there is comes last, below the lists. */
const own = computed(() => groups.value.filter(({ title }) => title !== STOCK))
const ofStock = computed(() => groups.value.filter(({ title }) => title === STOCK))
const lists = computed(() => listsOf(props.path, partKind.value))
function setEngine(isEngine: boolean, processes: readonly PlateProcess[]): void {
  const engine = isEngine ? { fuelLPerH: null } : null
  set([], { ...draft.value, engine, processes }, `supply of ${name.value}`)
}
/** As the form shows it: the record, and beside it how much there is. */
const shown = computed(() => ({ ...draft.value, amount: workspace.amountOf(props.path, props.id) }))
/** Fields that are empty, and those that are wrong, as the form calls them. */
const waiting = computed(() => {
  const words = problems.value.map(({ pointer, message }) => {
    const field = fieldWords(props.path, partKind.value, pointer)
    return /is null|is missing|is empty/.test(message) ? field : `${field} ${message}`
  })
  return [...new Set(words)]
})

const wrongProcesses = computed(
  () =>
    new Set(
      problems.value.flatMap(({ pointer }) => {
        const at = /^\/processes\/(\d+)/.exec(pointer)?.[1]
        return at === undefined ? [] : [Number(at)]
      }),
    ),
)

/** Counts it anew; an amount that cannot be is left out: the field says why. */
function count(value: unknown, label: string): void {
  const facts = factsAt(props.path)
  const counted = facts && amountSchemaOf(facts)?.safeParse(value)
  if (!facts || !counted?.success) return
  const id = stockId(facts.kind, props.id)
  workspace.edit('stock', id, { id, amount: counted.data as number | null }, label)
}
function change(path: readonly (string | number)[], value: unknown, what: string): void {
  if (path[0] === 'amount') count(value, `${what}, ${name.value}`)
  else set(path, value, `${what} of ${name.value}`)
}
function remove(): void {
  if (users.value.length > 0) {
    notice.show(`${users.value.map((setUp) => setUp.name).join(', ')} still use it. Change them first.`)
    return
  }
  const was = name.value
  unfinished.drop(props.path, props.id)
  if (stored.value) {
    workspace.edit(props.path as Path, props.id, null, `deletion of ${was}`)
    notice.show(`${was} deleted`, true)
  }
  void router.push(routeOf(props.path))
}
function copy(): void {
  if (!stored.value) return
  const list = [...workspace.all(props.path as Path)]
  const copied = `${name.value.slice(0, 110)}, copy`
  const id = idFor(copied, list)
  workspace.edit(
    props.path as Path,
    id,
    { ...stored.value, id, name: copied } as never,
    `copy of ${name.value}`,
  )
  void router.push(routeOf(props.path, id))
}
</script>

<template>
  <p v-if="!draft" class="none quiet">No such {{ noun }}. It may have been deleted.</p>
  <article v-else class="editor" :aria-label="name">
    <EarlierVersions :id="id" v-model="lookingBack" :path="path as Path" />
    <header>
      <h2>{{ name }}</h2>
      <span v-if="users.length > 0" class="quiet users">
        in
        <template v-for="(setUp, index) in users.slice(0, 2)" :key="setUp.id"
          ><template v-if="index > 0">, </template
          ><RouterLink :to="{ name: 'set-up', params: { id: setUp.id } }">{{
            setUp.name
          }}</RouterLink></template
        >
        <template v-if="users.length > 2"> and {{ users.length - 2 }} more</template>
      </span>
      <button v-if="stored" class="link-button" @click="lookingBack = true">Earlier versions</button>
      <button v-if="stored" class="link-button" @click="copy">Copy</button>
      <button class="link-button" @click="remove">Delete</button>
    </header>
    <p v-if="waiting.length > 0" class="waiting" role="status">
      <strong>{{ stored ? 'Changes not saved.' : 'Not saved yet.' }}</strong>
      What you typed is kept in this browser. Still to fill in or correct: {{ waiting.slice(0, 6).join('; ')
      }}{{ waiting.length > 6 ? ` and ${waiting.length - 6} more` : '' }}.
      <button v-if="stored" class="link-button" @click="discard">Discard changes</button>
    </p>
    <template v-if="isSource">
      <PlateSeven
        v-if="problems.length === 0 && draft['typical'] === true"
        :source="draft as unknown as PowerSource"
      />
      <RecordForm :groups="groups.slice(0, 1)" :draft="shown" :problem-at="problemAt" @change="change" />
      <PlateEditor
        :draft="draft"
        :whole="problems.length === 0 ? (draft as unknown as PowerSource) : null"
        :wrong="wrongProcesses"
        :problem-at="problemAt"
        @change="(processes, what) => change(['processes'], processes, what)"
        @engine="setEngine"
      />
      <RecordForm :groups="groups.slice(1)" :draft="shown" :problem-at="problemAt" @change="change" />
    </template>
    <template v-else>
      <RecordForm :groups="own" :draft="shown" :problem-at="problemAt" @change="change" />
      <p v-if="isOfBuilding(path)" class="label">
        Read breaker and cable. Wiring is for a licensed electrician under the local code.
      </p>
    </template>
    <ListRows
      v-for="list in lists"
      :key="list.path.join('.')"
      :list="list"
      :draft="draft"
      :problem-at="problemAt"
      @change="(rows, what) => change(list.path, rows, what)"
    />
    <RecordForm :groups="ofStock" :draft="shown" :problem-at="problemAt" @change="change" />
    <p v-if="isSource" class="label">
      The data plate decides. Unplug the machine before you open it. Repairs inside are for a licensed person.
    </p>
  </article>
</template>

<style scoped>
.editor {
  padding: 12px 16px 16px;
}
.none {
  padding: 24px;
}
header {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin-bottom: 10px;
}
h2 {
  font-size: var(--text-l);
  font-weight: 700;
}
.users {
  margin-right: auto;
}
header > h2:has(+ button) {
  margin-right: auto;
}
.users a {
  color: inherit;
}
.waiting {
  background: var(--tight-soft);
  border-left: 3px solid var(--tight);
  margin-bottom: 10px;
  padding: 6px 10px;
}
</style>
