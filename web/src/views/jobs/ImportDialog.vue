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
import PickField from '../../components/PickField.vue'
import PreviewRows from '../../components/PreviewRows.vue'
import ProblemCell from '../../components/ProblemCell.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { readCsv } from '../../files/csv.ts'
import { useWorkspace } from '../../shop/workspace.ts'

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

const PREVIEW_COLUMNS = [
  { title: 'Row', width: 52 },
  { title: 'Welds', width: 130 },
  { title: 'Joint', width: 140 },
  { title: 'Parts' },
  { title: 'Size' },
]
/** A unit that the figures do not say themselves. */
const units = computed(() => [
  ['', `${workspace.notation.system === 'imperial' ? 'in' : 'mm'}, or as written`] as const,
  ...['mm', 'cm', 'm', 'in', 'ft'].map((unit) => [unit, unit] as const),
])

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
            Columns of
            {{
              fileName
            }}
            and their fields
          </caption>
          <thead>
            <tr>
              <th v-for="(one, index) in mapping" :key="index" v-tip="one.heading" scope="col">
                {{ one.heading }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <td v-for="(one, index) in mapping" :key="index">
                <PickField
                  :name="`Field for ${one.heading}`"
                  :items="COLUMNS.map((column) => [column.key, column.heading] as const)"
                  optional="skip"
                  :model-value="one.key"
                  @update:model-value="(now) => map(index, { key: now })"
                />
                <PickField
                  v-if="isLength(one.key)"
                  :name="`Unit of ${one.heading}`"
                  :items="units"
                  :model-value="one.unit"
                  @update:model-value="(now) => map(index, { unit: now ?? '' })"
                />
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p>
        <strong>{{ good.length }}</strong> of {{ read.length }} rows are valid<template v-if="bad > 0"
          >, <span class="bad">{{ bad }} are not</span></template
        >.
        <VCheckbox v-if="bad > 0" v-model="onlyProblems" class="only" label="show only these" />
      </p>
      <PreviewRows
        v-slot="{ item }"
        :items="shown"
        label="Rows to import"
        :columns="PREVIEW_COLUMNS"
        :most="9"
      >
        <td class="quiet">{{ item.number }}</td>
        <template v-if="item.joint">
          <td>{{ printWelds(item.joint, workspace.notation) }}</td>
          <td>{{ printJoint(item.joint) }}</td>
          <td>{{ printParts(item.joint, workspace.notation) }}</td>
          <td>{{ printSize(item.joint, workspace.notation) }}</td>
        </template>
        <ProblemCell v-else colspan="4" :problems="problemsOf(item)" />
      </PreviewRows>
    </template>
    <p v-else class="quiet">
      The first row names the columns, for example
      <em>count, length (in), joint, thickness (in), material, leg (in)</em>. Columns may be in any order. A
      unit in the heading applies to bare numbers below it.
    </p>
    <template v-if="headings.length > 0" #foot>
      <span class="quiet">{{
        bad > 0 ? 'Rows with errors are skipped. Correct them in the file and import again.' : ''
      }}</span>
      <button class="plain-button" :disabled="isComputing || good.length === 0" @click="accept(true)">
        Replace all welds with {{ good.length }}
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
  min-width: 136px;
  padding: 2px 4px;
  vertical-align: top;
}
.mapping td > * + * {
  margin-top: 2px;
}
.only {
  display: inline-flex;
  vertical-align: middle;
  margin-left: 12px;
}
</style>
