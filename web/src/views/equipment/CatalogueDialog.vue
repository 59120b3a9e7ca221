<script setup lang="ts">
import { type CatalogueRecord, kindOfList, type ReadItem, SHEETS } from '@brannik/core'
import isSame from 'fast-deep-equal'
import { computed, ref, shallowRef, watch } from 'vue'
import FileOrPaste from '../../components/FileOrPaste.vue'
import PickField from '../../components/PickField.vue'
import PreviewRows from '../../components/PreviewRows.vue'
import ProblemCell from '../../components/ProblemCell.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { engine } from '../../engine/client.ts'
import { useNotice } from '../../stores/notice.ts'
import { type Path, useWorkspace } from '../../shop/workspace.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { reasonOf } from '../../reason.ts'
import type { FileRead } from '../../files/catalogueFiles.ts'

/** Equipment from a file: every thing is shown as it is understood, and nothing enters until it is taken. */
const open = defineModel<boolean>({ required: true })

const workspace = useWorkspace()
const { spell } = usePrint()
const notice = useNotice()
const text = ref('')
const fileName = ref('')
const kind = ref('')
const problem = ref('')
const read = shallowRef<FileRead | null>(null)
const onlyProblems = ref(false)
const isTaking = ref(false)
/** How many are in, of how many. */
const progress = ref({ done: 0, of: 0 })

const PREVIEW_COLUMNS = [
  { title: 'Where', width: 120 },
  { title: 'Name', width: 240 },
  { title: 'What', width: 90 },
  { title: 'Problem' },
]
type State = 'new' | 'changed' | 'same' | 'wrong'
const STATE_WORDS: Record<State, string> = {
  new: 'new',
  changed: 'replaces',
  same: 'unchanged',
  wrong: 'skipped',
}

function clear(): void {
  text.value = ''
  fileName.value = ''
  kind.value = ''
  problem.value = ''
  read.value = null
  onlyProblems.value = false
}
watch(open, clear)
async function readText(): Promise<void> {
  const asked = { text: text.value, kind: kind.value }
  if (asked.text === '') return
  const answer = await engine
    .ask(workspace.snapshot, 'readEquipment', asked.text, asked.kind)
    .catch((error: unknown): FileRead => ({ ok: false, message: `It cannot be read: ${reasonOf(error)}.` }))
  // Another file may have taken its place meanwhile.
  if (asked.text !== text.value || asked.kind !== kind.value) return
  read.value = answer
  problem.value = answer.ok ? '' : answer.message
}
watch(kind, readText)

const pathOf = (item: ReadItem): Path => kindOfList(item.list).path
function stateOf(item: ReadItem): State {
  if (!item.record) return 'wrong'
  const has = workspace.get(pathOf(item), item.record.id)
  if (!has) return 'new'
  const isCounted = typeof item.amount !== 'number' || amountNow(item) !== null
  return isCounted && isSame(has, item.record) ? 'same' : 'changed'
}
const amountNow = (item: ReadItem): number | null =>
  item.record ? workspace.amountOf(pathOf(item), item.record.id) : null
/** What is counted stays: a file says nothing of what was used since it was written. */
const keptCounts = computed(
  () =>
    items.value.filter(({ item }) => {
      const now = amountNow(item)
      return typeof item.amount === 'number' && now !== null && now !== item.amount
    }).length,
)
const items = computed(() =>
  read.value?.ok ? read.value.items.map((item) => ({ item, state: stateOf(item) })) : [],
)
const count = (state: State): number => items.value.filter((one) => one.state === state).length
const shown = computed(() =>
  onlyProblems.value ? items.value.filter(({ state }) => state === 'wrong') : items.value,
)
const taken = computed(() => items.value.filter(({ state }) => state === 'new' || state === 'changed'))

function take(given: string, name: string): void {
  text.value = given
  fileName.value = name
  void readText()
}

async function accept(): Promise<void> {
  const list = taken.value.flatMap(({ item }) =>
    item.record ? [{ ...item, record: item.record as CatalogueRecord }] : [],
  )
  isTaking.value = true
  progress.value = { done: 0, of: list.length }
  try {
    await workspace.takeIn(list, `import of ${list.length} items`, (done) => (progress.value.done = done))
    notice.show(`${list.length} imported`, true)
    open.value = false
  } catch (error) {
    const { done } = progress.value
    const why = reasonOf(error)
    problem.value =
      done > 0
        ? `Stopped after ${done} of ${list.length}: ${why}. These are saved. Import the rest later.`
        : `Nothing was imported: ${why}`
  } finally {
    isTaking.value = false
  }
}
</script>

<template>
  <SheetDialog v-model="open" title="Import equipment" :width="1000">
    <div class="choose">
      <FileOrPaste
        :what="spell('a catalogue')"
        :choose="spell('Choose a JSON catalogue or a CSV sheet')"
        paste="paste it here"
        accept=".json,.csv,application/json,text/csv,text/plain"
        @take="take"
        @refuse="(message) => (problem = message)"
      />
      <PickField
        class="kind"
        name="Kind of the sheet"
        :items="SHEETS.map((sheet) => [sheet.kind, sheet.title] as const)"
        optional="from its column “kind”"
        :model-value="kind || null"
        @update:model-value="(now) => (kind = now ?? '')"
      />
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template v-if="read?.ok">
      <p v-for="remark in read.remarks" :key="remark" class="remark">{{ remark }}</p>
      <p v-if="keptCounts > 0" class="remark">
        {{ keptCounts }} counts in stock differ and stay as they are. Count them under Stores.
      </p>
      <p role="status">
        The {{ spell(read.what) }} of {{ fileName }}: <strong>{{ count('new') }}</strong> new,
        <strong>{{ count('changed') }}</strong> replace what is stored, {{ count('same') }} unchanged<template
          v-if="count('wrong') > 0"
          >, <strong class="bad">{{ count('wrong') }} not imported</strong></template
        >.
        <VCheckbox v-if="count('wrong') > 0" v-model="onlyProblems" class="only" label="show only these" />
      </p>
      <PreviewRows
        v-slot="{ item: { item, state } }"
        :items="shown"
        label="Rows to import"
        :columns="PREVIEW_COLUMNS"
        :most="11"
      >
        <td class="quiet">{{ item.place }}</td>
        <td>{{ item.name }}</td>
        <td>{{ STATE_WORDS[state] }}</td>
        <ProblemCell :problems="item.problems" />
      </PreviewRows>
    </template>
    <p v-else-if="!problem" class="quiet">
      The format is open. Its JSON Schema is at
      <a href="/api/catalogue/schema.json">/api/catalogue/schema.json</a>. Export a sheet to see its columns.
    </p>
    <template v-if="read?.ok" #foot>
      <span class="quiet">{{
        count('wrong') > 0 ? 'Rows with errors are skipped. Correct them in the file and import again.' : ''
      }}</span>
      <label v-if="isTaking" class="progress">
        {{ progress.done }} of {{ progress.of }}
        <progress :value="progress.done" :max="progress.of" />
      </label>
      <button class="plain-button main" :disabled="taken.length === 0 || isTaking" @click="accept">
        {{ isTaking ? 'Storing…' : `Import ${taken.length}` }}
      </button>
    </template>
  </SheetDialog>
</template>

<style scoped>
.only {
  display: inline-flex;
  vertical-align: middle;
}
.kind {
  width: 230px;
}
.choose {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
}
.remark {
  background: var(--tight-soft);
  padding: 4px 10px;
}
.progress {
  display: flex;
  gap: 8px;
}
progress {
  accent-color: var(--copper);
  width: 160px;
}
.bad {
  color: var(--fails);
}
</style>
