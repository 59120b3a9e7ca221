<script setup lang="ts">
import {
  capital,
  COLUMNS,
  interpretRows,
  isLineField,
  type Joint,
  LINE_FIELDS,
  type MappedColumn,
  printLineField,
  type RowRead,
} from '@brannik/core'
import { computed, ref, shallowRef, watch } from 'vue'
import FileOrPaste from '../../components/FileOrPaste.vue'
import PickField from '../../components/PickField.vue'
import PreviewRows from '../../components/PreviewRows.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { readRows } from '../../files/csv.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/**
 * A weld list from a spreadsheet or a pad: every row is shown as it is understood, and nothing enters until it is taken.
 * What is not understood stays, with its text in a field, beside what was.
 */
const { pasted } = defineProps<{ /** What was pasted into the weld table. */ pasted: string }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ take: [joints: readonly Joint[], replace: boolean] }>()

const workspace = useWorkspace()
const { number } = usePrint()
const problem = ref('')
const fileName = ref('')
const hasHeadings = ref(false)
/** Of rows that were added, so many: the others stay to be corrected. */
const addedCount = ref(0)
const rows = shallowRef<readonly (readonly string[])[]>([])
const mapping = shallowRef<readonly MappedColumn[]>([])
const onlyProblems = ref(false)

/** Welds, joint, parts and size: what tells whether a row was understood. */
const SHOWN = LINE_FIELDS.slice(0, 4)
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

function clear(): void {
  problem.value = ''
  fileName.value = ''
  hasHeadings.value = false
  rows.value = []
  mapping.value = []
  onlyProblems.value = false
  addedCount.value = 0
}
watch(
  open,
  (isOpen) => {
    clear()
    if (isOpen && pasted !== '') take(pasted, 'what was pasted')
  },
  { immediate: true },
)

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
  clear()
  const read = readRows(text)
  fileName.value = name
  if (!read.ok) {
    problem.value = read.message
    return
  }
  const found = interpretRows(read.rows, workspace.notation)
  hasHeadings.value = found.hasHeadings
  rows.value = found.rows
  mapping.value = found.mapping
  if (found.rows.length === 0 && text.trim() !== '')
    problem.value = 'There are headings and no rows below them. Add a row for each weld.'
}

function map(index: number, change: Partial<MappedColumn>): void {
  mapping.value = mapping.value.map((one, at) => {
    if (at === index) return { ...one, ...change }
    // A field is filled by one column.
    return change.key && one.key === change.key ? { ...one, key: null } : one
  })
}
/** The first thing that keeps a row out, with the cell that it is in. */
const wrongOf = ({ number, problems }: RowRead) => {
  const [first] = problems
  return {
    message: first?.message ?? '',
    field: first?.field ?? '',
    column: first?.column ?? null,
    row: number - 1,
  }
}
/** One cell of a row that was not understood is typed anew. */
function correct(row: number, column: number, text: string): void {
  rows.value = rows.value.map((cells, at) =>
    at === row
      ? Array.from({ length: Math.max(cells.length, column + 1) }, (_, c) =>
          c === column ? text : (cells[c] ?? ''),
        )
      : cells,
  )
}
const FIELDS = [
  ...LINE_FIELDS.map((field) => [field, `${field}, as typed`] as const),
  ...COLUMNS.map(({ key, heading }) => [key, heading] as const),
]
const isLength = (key: MappedColumn['key']): boolean =>
  !isLineField(key) && COLUMNS.find((column) => column.key === key)?.unit === 'mm'

function accept(replace: boolean): void {
  const left = read.value.filter(({ joint }) => joint === null).map(({ number }) => number - 1)
  emit('take', good.value, replace)
  addedCount.value += good.value.length
  if (left.length === 0) {
    open.value = false
    return
  }
  rows.value = rows.value.filter((_, at) => left.includes(at))
  onlyProblems.value = false
}
</script>

<template>
  <SheetDialog v-model="open" title="Import a weld list" :width="1080">
    <div class="choose">
      <FileOrPaste
        what="a weld list"
        choose="Choose a CSV file"
        paste="paste rows here"
        accept=".csv,text/csv,text/plain"
        @take="take"
        @refuse="(message) => (problem = message)"
      />
    </div>
    <p v-if="problem || readFailure" class="problem" role="alert">{{ problem || readFailure }}</p>

    <template v-if="rows.length > 0">
      <div class="mapping">
        <table>
          <caption class="label">
            {{
              hasHeadings
                ? `Columns of ${fileName}`
                : `${capital(fileName)} has no headings: the first row is a weld`
            }}
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
                  :items="FIELDS"
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
      <p role="status">
        <template v-if="addedCount > 0">{{ addedCount }} added. </template>
        <template v-if="isComputing">Reading {{ number(rows.length) }} rows…</template>
        <template v-else>
          <strong>{{ good.length }}</strong> of {{ read.length }} rows are understood<template v-if="bad > 0"
            >, <span class="bad">{{ bad }} to correct</span></template
          >.
        </template>
        <VCheckbox
          v-if="bad > 0 && good.length > 0"
          v-model="onlyProblems"
          class="only"
          label="show only these"
        />
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
          <td v-for="field in SHOWN" :key="field">
            {{ printLineField(field, item.joint, workspace.notation) }}
          </td>
        </template>
        <td v-for="wrong in item.joint ? [] : [wrongOf(item)]" :key="wrong.message" colspan="4">
          <div class="wrong">
            <input
              v-if="wrong.column !== null"
              :value="rows[wrong.row]?.[wrong.column]"
              type="text"
              autocomplete="off"
              :aria-label="`${wrong.field} of row ${item.number}`"
              @change="correct(wrong.row, wrong.column, ($event.target as HTMLInputElement).value)"
            />
            <span v-tip="wrong.message" class="problem"
              ><strong>{{ wrong.field }}</strong> {{ wrong.message }}</span
            >
          </div>
        </td>
      </PreviewRows>
    </template>
    <p v-else class="quiet">
      A row for each weld, as on a pad:
      <em>4 x 6 in, T, 3/16 to 1/4, 3/16, horizontal</em>. Or headings first, for example
      <em>count, length (in), joint, thickness (in), material, leg (in)</em>. A unit in the heading applies to
      bare numbers below it.
    </p>
    <template v-if="rows.length > 0" #foot>
      <span class="quiet">{{
        bad > 0 ? 'Rows to correct stay here. Type the cell again, then add them.' : ''
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
  flex-wrap: wrap;
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
.wrong {
  align-items: center;
  display: flex;
  gap: 10px;
}
.wrong input {
  background: var(--sheet);
  border: 1px solid var(--fails);
  border-radius: 3px;
  color: var(--ink);
  flex: none;
  height: 24px;
  padding: 0 6px;
  width: 150px;
}
.wrong .problem {
  overflow: hidden;
  text-overflow: ellipsis;
}
@media (pointer: coarse) {
  .wrong input {
    min-height: 44px;
  }
}
.only {
  display: inline-flex;
  vertical-align: middle;
  margin-left: 12px;
}
</style>
