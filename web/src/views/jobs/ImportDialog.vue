<script setup lang="ts">
import {
  COLUMNS,
  type Joint,
  mapColumns,
  type MappedColumn,
  printJoint,
  printParts,
  printSize,
  printWelds,
  type RowRead,
} from '@brannik/core'
import { computed, ref, shallowRef, watch } from 'vue'
import FileOrPaste from '../../components/FileOrPaste.vue'
import PreviewRows from '../../components/PreviewRows.vue'
import ProblemCell from '../../components/ProblemCell.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { readCsv } from '../../files/csv.ts'
import { useWorkspace } from '../../stores/workspace.ts'

/** A weld list from a spreadsheet: every row is shown as it is understood, and nothing enters until it is taken. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ take: [joints: readonly Joint[], replace: boolean] }>()

const workspace = useWorkspace()
const problem = ref('')
const fileName = ref('')
const headings = shallowRef<readonly string[]>([])
const rows = shallowRef<readonly (readonly string[])[]>([])
const mapping = shallowRef<readonly MappedColumn[]>([])
const onlyProblems = ref(false)

const UNITS = ['', 'mm', 'cm', 'm', 'in', 'ft']

watch(open, () => {
  problem.value = ''
  fileName.value = ''
  headings.value = []
  rows.value = []
  mapping.value = []
  onlyProblems.value = false
})

const {
  answer,
  isComputing,
  failure: readFailure,
} = useAnswer(
  computed<Question<'readWelds'> | null>(() =>
    rows.value.length === 0 ? null : ['readWelds', rows.value, mapping.value, workspace.notation],
  ),
)
const read = computed(() => answer.value ?? [])
const good = computed(() => read.value.flatMap(({ joint }) => (joint ? [joint] : [])))
const bad = computed(() => read.value.length - good.value.length)
const shown = computed(() =>
  onlyProblems.value ? read.value.filter(({ joint }) => joint === null) : read.value,
)

function take(text: string, name: string): void {
  const answer = readCsv(text)
  fileName.value = name
  problem.value = answer.ok ? '' : answer.message
  headings.value = answer.ok ? answer.headings : []
  rows.value = answer.ok ? answer.rows : []
  mapping.value = answer.ok ? mapColumns(answer.headings) : []
}

function map(index: number, change: Partial<MappedColumn>): void {
  mapping.value = mapping.value.map((one, at) => {
    if (at === index) return { ...one, ...change }
    // A field is filled by one column.
    return change.key && one.key === change.key ? { ...one, key: null } : one
  })
}
const columnWords = (key: keyof Joint | null): string =>
  COLUMNS.find((column) => column.key === key)?.heading ?? 'row'
const problemsOf = ({ problems }: RowRead) =>
  problems.map(({ key, message }) => ({ field: columnWords(key), message }))
const isLength = (key: keyof Joint | null): boolean =>
  COLUMNS.find((column) => column.key === key)?.unit === 'mm'
const valueOf = (event: Event): string => (event.target as HTMLSelectElement).value

function accept(replace: boolean): void {
  emit('take', good.value, replace)
  open.value = false
}
</script>

<template>
  <SheetDialog v-model="open" title="Import a weld list" :width="1080">
    <div class="choose">
      <FileOrPaste
        what="a weld list"
        choose="Choose a CSV file"
        paste="paste rows here, headings first"
        accept=".csv,text/csv,text/plain"
        @take="take"
        @refuse="(message) => (problem = message)"
      />
    </div>
    <p v-if="problem || readFailure" class="problem" role="alert">{{ problem || readFailure }}</p>

    <template v-if="headings.length > 0">
      <div class="mapping">
        <table>
          <caption class="label">
            Each column of
            {{
              fileName
            }}
            and what it fills
          </caption>
          <thead>
            <tr>
              <th v-for="(one, index) in mapping" :key="index" scope="col" :title="one.heading">
                {{ one.heading }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <td v-for="(one, index) in mapping" :key="index">
                <select
                  :value="one.key ?? ''"
                  :aria-label="`What ${one.heading} fills`"
                  @change="map(index, { key: (valueOf($event) || null) as keyof Joint | null })"
                >
                  <option value="">leave out</option>
                  <option v-for="column in COLUMNS" :key="column.key" :value="column.key">
                    {{ column.heading }}
                  </option>
                </select>
                <select
                  v-if="isLength(one.key)"
                  :value="one.unit"
                  :aria-label="`Unit of ${one.heading}`"
                  @change="map(index, { unit: valueOf($event) })"
                >
                  <option v-for="unit in UNITS" :key="unit" :value="unit">
                    {{ unit || (workspace.notation.system === 'imperial' ? 'in' : 'mm') + ', or as written' }}
                  </option>
                </select>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p>
        <strong>{{ good.length }}</strong> of {{ read.length }} rows are understood<template v-if="bad > 0"
          >, <span class="bad">{{ bad }} are not</span></template
        >.
        <label v-if="bad > 0" class="only"
          ><input v-model="onlyProblems" type="checkbox" /> show only those</label
        >
      </p>
      <PreviewRows
        v-slot="{ item }"
        :items="shown"
        label="Rows as they are understood"
        columns="44px 110px 120px minmax(0, 1.6fr) minmax(0, 1fr)"
        :most="9"
      >
        <span role="cell" class="quiet">{{ item.number }}</span>
        <template v-if="item.joint">
          <span role="cell">{{ printWelds(item.joint, workspace.notation) }}</span>
          <span role="cell">{{ printJoint(item.joint) }}</span>
          <span role="cell">{{ printParts(item.joint, workspace.notation) }}</span>
          <span role="cell">{{ printSize(item.joint, workspace.notation) }}</span>
        </template>
        <ProblemCell v-else class="why" :problems="problemsOf(item)" />
      </PreviewRows>
    </template>
    <p v-else class="quiet">
      The first row names the columns, for example
      <em>count, length (in), joint, thickness (in), material, leg (in)</em>. Columns may stand in any order;
      a unit in the heading holds for bare numbers below it.
    </p>
    <template v-if="headings.length > 0" #foot>
      <span class="quiet">{{
        bad > 0 ? 'Rows that are not understood stay out; mend them in the file and import again.' : ''
      }}</span>
      <button class="plain-button" :disabled="isComputing || good.length === 0" @click="accept(true)">
        Replace all welds by {{ good.length }}
      </button>
      <button class="plain-button main" :disabled="isComputing || good.length === 0" @click="accept(false)">
        Add {{ good.length }} {{ good.length === 1 ? 'weld' : 'welds' }}
      </button>
    </template>
  </SheetDialog>
</template>

<style scoped>
.choose {
  align-items: center;
  display: flex;
  gap: 12px;
}
select {
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  color: var(--ink);
  font: inherit;
  padding: 4px 6px;
}
.bad {
  color: var(--fails);
}
.mapping {
  overflow-x: auto;
}
.mapping th {
  font-weight: 600;
  max-width: 150px;
  overflow: hidden;
  padding: 2px 4px;
  text-align: left;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.mapping td {
  padding: 2px 4px;
  vertical-align: top;
}
.mapping select {
  display: block;
  margin-bottom: 2px;
  width: 120px;
}
.only {
  margin-left: 12px;
}
.why {
  grid-column: 2 / -1;
}
</style>
