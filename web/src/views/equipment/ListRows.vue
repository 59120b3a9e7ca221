<script setup lang="ts">
import { blankOf, valueAt } from '@brannik/core'
import { computed } from 'vue'
import FieldOf from './FieldOf.vue'
import { type ListSpec, specsOf } from './forms.ts'
import { type RecordDraft, setIn } from './useRecordDraft.ts'

/** A list of a record, such as the ratings of a gun: a row for each member, with its fields beside each other. */
const { list, draft, problemAt } = defineProps<{
  list: ListSpec
  draft: unknown
  problemAt: RecordDraft['problemAt']
}>()
const emit = defineEmits<{ change: [rows: unknown, what: string] }>()

type Row = Readonly<Record<string, unknown>>
const member = computed(() => list.more.member ?? list.label.toLowerCase())
const fields = computed(() => specsOf(list))
const rows = computed(() => {
  const value = valueAt(draft, list.path)
  return (Array.isArray(value) ? value : []) as readonly Row[]
})
const problem = computed(() => problemAt(list.path))
const change = (next: unknown): void => emit('change', next, member.value)
/** The next is mostly like the one before: its choices are kept, its figures are not. */
function add(): void {
  const last = rows.value.at(-1) ?? {}
  const kept = fields.value.flatMap(({ kind, path }) => {
    const key = path[0] ?? ''
    return kind === 'choice' && key in last ? [[key, last[key]] as const] : []
  })
  change([...rows.value, { ...blankOf(list.fields), ...Object.fromEntries(kept) }])
}
/** The first row has the labels for the eye; every field has its own for the ear. */
const labelled = (spec: (typeof fields.value)[number], index: number): typeof spec =>
  index === 0 ? spec : { ...spec, label: `${spec.label} of ${member.value} ${index + 1}` }
</script>

<template>
  <fieldset class="list" :data-testid="`list-${list.path.join('.')}`">
    <legend>{{ list.label }}</legend>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div v-for="(row, index) in rows" :key="index" class="row" :class="{ later: index > 0 }">
      <FieldOf
        v-for="spec in fields"
        :key="spec.path.join('.')"
        :spec="labelled(spec, index)"
        :value="valueAt(row, spec.path)"
        :wrong="problemAt([...list.path, index, ...spec.path])"
        @change="(value) => change(setIn(rows, [index, ...spec.path], value))"
      />
      <button
        v-if="rows.length > list.least"
        class="link-button"
        :aria-label="`Remove ${member} ${index + 1}`"
        @click="change(rows.filter((_, at) => at !== index))"
      >
        remove
      </button>
    </div>
    <button v-if="rows.length < list.most" class="link-button" @click="add">Add a {{ member }}</button>
    <p v-if="list.more.help" class="label">{{ list.more.help }}</p>
  </fieldset>
</template>

<style scoped>
.list {
  border: 0;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 6px;
  justify-items: start;
  margin: 0;
  min-width: 0;
  padding: 10px 0 12px;
}
legend {
  font-weight: 600;
  padding: 0 8px 0 0;
}
.row {
  align-items: start;
  display: grid;
  gap: 6px 12px;
  justify-self: stretch;
  grid-template-columns: repeat(auto-fill, minmax(104px, 150px));
}
.row > button {
  align-self: end;
  justify-self: start;
  min-height: 32px;
}
</style>
