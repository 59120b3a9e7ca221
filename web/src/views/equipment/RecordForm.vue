<script setup lang="ts">
import { valueAt } from '@brannik/core'
import FieldOf from './FieldOf.vue'
import type { FieldGroup, FieldSpec } from './forms.ts'
import { type RecordDraft } from './useRecordDraft.ts'

/** A record's fields in groups; a group that may be absent is switched on by its own line. */
const { groups, draft, problemAt } = defineProps<{
  groups: readonly FieldGroup[]
  draft: unknown
  problemAt: RecordDraft['problemAt']
}>()
const emit = defineEmits<{ change: [path: readonly string[], value: unknown, what: string] }>()

const isThere = ({ presence }: FieldGroup): boolean =>
  presence === undefined || valueAt(draft, [presence.path]) !== null
const change = (spec: FieldSpec, value: unknown): void =>
  emit('change', spec.path, value, spec.label.toLowerCase())
</script>

<template>
  <fieldset v-for="group in groups" :key="group.title" class="group">
    <legend>
      <VCheckbox
        v-if="group.presence"
        :label="group.presence.words"
        :model-value="isThere(group)"
        @update:model-value="
          emit(
            'change',
            [group.presence.path],
            isThere(group) ? null : group.presence.blank,
            group.title.toLowerCase(),
          )
        "
      />
      <template v-else>{{ group.title }}</template>
    </legend>
    <p v-if="group.presence && problemAt([group.presence.path])" class="problem" role="alert">
      {{ group.presence.words }}: {{ problemAt([group.presence.path]) }}
    </p>
    <template v-if="isThere(group)">
      <FieldOf
        v-for="spec in group.fields"
        :key="spec.path.join('.')"
        :class="{ wide: spec.path.at(-1) === 'name' }"
        :spec="spec"
        :value="valueAt(draft, spec.path)"
        :wrong="problemAt(spec.path)"
        @change="(value) => change(spec, value)"
      />
    </template>
  </fieldset>
</template>

<style scoped>
.group {
  border: 0;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 6px 12px;
  grid-template-columns: repeat(auto-fill, minmax(178px, 1fr));
  margin: 0;
  min-width: 0;
  padding: 10px 0 12px;
}
.group:first-child {
  border-top: 0;
  padding-top: 0;
}
legend {
  font-weight: 600;
  padding: 0 8px 0 0;
}
.wide {
  grid-column: span 2;
}
.problem {
  grid-column: 1 / -1;
}
</style>
