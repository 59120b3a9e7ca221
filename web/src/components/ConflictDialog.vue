<script setup lang="ts">
import type { Clash } from '@brannik/core'
import { computed, ref, watch } from 'vue'
import { fieldWords, valueWords } from '../files/differences.ts'
import { wordingOf } from '../files/wording.ts'
import { type Path, useWorkspace } from '../shop/workspace.ts'
import SheetDialog from './SheetDialog.vue'

/** What was changed here and elsewhere at once: both values of each field side by side, and which of them stays. */
const { saveKey, clashes } = defineProps<{ saveKey: string; clashes: readonly Clash[] }>()
const open = defineModel<boolean>({ required: true })

const workspace = useWorkspace()
/** Places in the list of fields of which the stored value is taken. */
const taken = ref(new Set<number>())
watch(open, () => {
  taken.value = new Set()
})
const wording = computed(() => {
  const [path = '', id = ''] = saveKey.split('/')
  return wordingOf(path, workspace.get(path as Path, id), workspace.notation)
})
const rows = computed(() =>
  clashes.map(({ path, mine, theirs }, index) => ({
    index,
    field: fieldWords(wording.value, path),
    mine: valueWords(wording.value, path, mine),
    stored: valueWords(wording.value, path, theirs),
  })),
)
function choose(index: number, isStored: boolean): void {
  const next = new Set(taken.value)
  if (isStored) next.add(index)
  else next.delete(index)
  taken.value = next
}
function save(): void {
  workspace.resolveConflict(
    saveKey,
    clashes.filter((_, index) => taken.value.has(index)),
  )
  open.value = false
}
function takeAll(): void {
  void workspace.takeStored(saveKey)
  open.value = false
}
</script>

<template>
  <SheetDialog v-model="open" title="Changed in two places" :width="640">
    <p>
      Other changes are merged. Choose one value for each of these fields. Nothing is saved until you choose.
    </p>
    <VTable class="sheet">
      <thead>
        <tr>
          <th scope="col">Field</th>
          <th scope="col">Yours</th>
          <th scope="col">Stored</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ index, field, mine, stored } in rows" :key="index">
          <th scope="row">{{ field }}</th>
          <td>
            <VRadio
              :name="`clash-${index}`"
              :label="mine"
              :value="false"
              :model-value="taken.has(index)"
              @update:model-value="choose(index, false)"
            />
          </td>
          <td>
            <VRadio
              :name="`clash-${index}`"
              :label="stored"
              :value="true"
              :model-value="taken.has(index)"
              @update:model-value="choose(index, true)"
            />
          </td>
        </tr>
      </tbody>
    </VTable>
    <p class="ways">
      <button class="plain-button" @click="takeAll">Use the saved version</button>
      <button class="plain-button main" @click="save">Save choices</button>
    </p>
  </SheetDialog>
</template>

<style scoped>
th,
td {
  padding: 6px 12px;
  text-align: left;
}
label {
  align-items: baseline;
  display: flex;
  gap: 8px;
}
.ways {
  display: flex;
  gap: 8px;
  justify-content: end;
}
</style>
