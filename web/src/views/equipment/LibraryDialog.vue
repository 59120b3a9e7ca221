<script setup lang="ts">
import { isSoldTo, LIBRARY, type LibraryEntry, sourceWords } from '@brannik/core'
import { computed, ref, watch } from 'vue'
import { useNotice } from '../../stores/notice.ts'
import TypedField from '../../components/TypedField.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { matcher, searchable } from '../../search/search.ts'
import { idFor } from '../jobs/idFor.ts'
import { TABS } from './tabs.ts'
import type { EquipmentPath } from './useRecordDraft.ts'

/** Generic things by classification and size, each figure with its source: taken over, then the shop's own. */
const open = defineModel<boolean>({ required: true })
const { path } = defineProps<{ path: EquipmentPath }>()
const emit = defineEmits<{ taken: [id: string] }>()

const workspace = useWorkspace()
const { spell } = usePrint()
const notice = useNotice()
const search = ref('')
const takenCount = ref(0)
watch(open, () => {
  search.value = ''
  takenCount.value = 0
})

const ROW = 46
const title = computed(() => TABS.find((tab) => tab.path === path)?.title.toLowerCase() ?? '')
const entries = computed(() =>
  LIBRARY.filter(
    (entry) => entry.path === path && isSoldTo(entry, workspace.shop ?? { unitSystem: 'metric' }),
  ),
)
const shown = computed(() => {
  const matches = matcher(search.value)
  return entries.value.filter(({ record, summary }) => matches(searchable(`${record.name} ${summary}`)))
})
const isThere = ({ record }: LibraryEntry): boolean =>
  workspace.all(path).some(({ name }) => name === record.name)

function take({ record }: LibraryEntry): void {
  const id = idFor(record.name, [...workspace.all(path)])
  workspace.makeCounted(path, { ...record, id } as never, 0, `${record.name} from the library`)
  takenCount.value += 1
  emit('taken', id)
  notice.show(`${record.name} is added, with no stock`, true)
}
</script>

<template>
  <SheetDialog
    v-model="open"
    :title="
      path === 'power-sources' ? 'Start from a class, correct from your plate' : `The library: ${title}`
    "
    :width="900"
    :close="takenCount > 0 ? 'Done' : 'Close'"
  >
    <p v-if="entries.length === 0" class="quiet">
      {{ spell('The library has none of this kind. Enter it from the data plate, or import a catalogue.') }}
    </p>
    <template v-else>
      <TypedField
        v-model="search"
        name="Search the library"
        type="search"
        placeholder="Search, for example 0.035 5356"
      />
      <p class="label" role="status">{{ shown.length }} of {{ entries.length }}</p>
      <VVirtualScroll :items="[...shown]" :item-height="ROW" height="420">
        <template #default="{ item }">
          <div class="row">
            <span class="name">{{ item.record.name }}</span>
            <span class="summary"
              >{{ spell(item.summary) }}<span class="label source">{{ sourceWords(item.source) }}</span></span
            >
            <span v-if="isThere(item)" class="label">added</span>
            <button v-else class="link-button" :aria-label="`Take ${item.record.name}`" @click="take(item)">
              Take
            </button>
          </div>
        </template>
      </VVirtualScroll>
    </template>
  </SheetDialog>
</template>

<style scoped>
.row {
  align-items: center;
  border-bottom: 1px solid var(--line);
  display: grid;
  gap: 12px;
  grid-template-columns: 250px minmax(0, 1fr) 84px;
  height: 46px;
}
.name {
  font-weight: 600;
}
.summary {
  display: grid;
  line-height: 1.25;
}
.source,
.summary {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.row > :last-child {
  text-align: right;
}
</style>
