<script setup lang="ts">
import { catalogueOf, type PartKind } from '@brannik/core'
import { onKeyStroke, useDebounceFn } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import PickField from '../../components/PickField.vue'
import TypedField from '../../components/TypedField.vue'
import { byName } from '../../byName.ts'
import { download } from '../../files/download.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useUnfinished } from '../../shop/unfinished.ts'
import { useNamedField } from '../../components/useNamedField.ts'
import { type Path, useWorkspace } from '../../shop/workspace.ts'
import { idFor } from '../jobs/idFor.ts'
import { blankRecord } from './forms.ts'
import CatalogueDialog from './CatalogueDialog.vue'
import { sheetsOf } from '../../files/catalogueFiles.ts'
import EquipmentList from './EquipmentList.vue'
import LibraryDialog from './LibraryDialog.vue'
import { filterRows, type HeldFilter, PART_CHOICES, type Row, rowOf } from './lists.ts'
import ShopHead from '../shop/ShopHead.vue'
import StoresHead from '../stores/StoresHead.vue'
import { groupOf, routeOf, TABS } from './tabs.ts'
import RecordEditor from './RecordEditor.vue'
import { type EquipmentPath } from './useRecordDraft.ts'

/** What the shop has and what it may buy: a list to search, and beside it the thing itself. */
const route = useRoute()
const router = useRouter()
const workspace = useWorkspace()
const { spell } = usePrint()
useNamedField()
const unfinished = useUnfinished()

const path = computed<EquipmentPath>(
  () => TABS.find((tab) => tab.path === route.params['list'])?.path ?? 'power-sources',
)
const tab = computed(() => TABS.find((one) => one.path === path.value))
const isOfStores = computed(() => groupOf(path.value) === 'stores')
/** What is bought, listed in catalogues and taken from the library. */
const isBought = computed(() => ['equipment', 'supply'].includes(groupOf(path.value)))
const tabs = computed(() => TABS.filter(({ group }) => group === groupOf(path.value)))
const id = computed(() =>
  typeof route.params['id'] === 'string' && route.params['id'] !== '' ? route.params['id'] : null,
)

const written = ref('')
const search = ref('')
/** The list follows the typing a few keys at a time. */
const SEARCH_MS = 60
const follow = useDebounceFn(() => (search.value = written.value), SEARCH_MS)
const held = ref<HeldFilter>('all')
const partKind = ref<PartKind | null>(null)
const library = ref(false)
const importing = ref(false)
const searchField = useTemplateRef<InstanceType<typeof TypedField>>('searchField')

watch(path, () => {
  written.value = ''
  search.value = ''
  partKind.value = null
})

const stored = computed<readonly Row[]>(() =>
  workspace
    .all(path.value)
    .map((record) => rowOf(path.value, record, workspace.amountOf(path.value, record.id), workspace.notation))
    .sort(byName),
)
const begun = computed<readonly Row[]>(() =>
  unfinished
    .of(path.value)
    .filter((one) => workspace.get(path.value, one.id) === null)
    .map((one): Row => ({
      id: one.id,
      name: String(one.record['name'] ?? '') || 'Unnamed',
      summary: 'not saved yet, fields missing',
      holding: { isHere: false, words: 'unfinished', price: null },
      partKind: null,
      amount: null,
      text: '',
    })),
)
const rows = computed(() => [
  ...(search.value === '' ? begun.value : []),
  ...filterRows(stored.value, search.value, held.value, partKind.value),
])
const counts = computed(() =>
  Object.fromEntries(TABS.map((one) => [one.path, workspace.all(one.path as Path).length])),
)
const FILTERS = [
  ['all', 'All'],
  ['here', 'Owned'],
  ['to-buy', 'To buy'],
] as const

const open = (openId: string): void => {
  void router.replace(routeOf(path.value, openId))
}
/** Something is always open where there is something; a search does not change what. */
const openId = computed(() => id.value ?? begun.value[0]?.id ?? stored.value[0]?.id ?? null)

function add(kind: PartKind): void {
  const noun = tab.value?.noun ?? 'thing'
  const taken = [...workspace.all(path.value as Path), ...unfinished.of(path.value)]
  const newId = idFor(path.value === 'parts' ? kind : noun, taken)
  unfinished.keep(path.value, newId, blankRecord(path.value, newId, kind))
  open(newId)
}
const exportJson = (): void =>
  download('equipment.json', `${JSON.stringify(catalogueOf(workspace.shelf), null, 2)}\n`, 'application/json')
const exportSheets = computed(() => sheetsOf(catalogueOf(workspace.shelf), path.value))

onKeyStroke('/', (event) => {
  if (event.target instanceof HTMLElement && event.target.matches('input, select, textarea')) return
  event.preventDefault()
  searchField.value?.focus()
})
</script>

<template>
  <section class="equipment">
    <StoresHead v-if="isOfStores" />
    <ShopHead v-else />
    <nav class="lists screen-only" aria-label="Kinds of equipment">
      <RouterLink
        v-for="one in tabs"
        :key="one.path"
        :to="routeOf(one.path)"
        :class="{ here: one.path === path }"
        :aria-current="one.path === path ? 'page' : undefined"
        >{{ one.title }} <span class="label">{{ counts[one.path] }}</span></RouterLink
      >
    </nav>
    <div class="bar screen-only">
      <TypedField
        ref="searchField"
        v-model="written"
        class="search"
        type="search"
        :name="`Search ${tab?.title}`"
        :placeholder="`Search ${tab?.title.toLowerCase()}, press /`"
        @update:model-value="follow"
      />
      <PickField
        v-if="path === 'parts'"
        v-model="partKind"
        class="part-kind"
        name="Part kind"
        :items="PART_CHOICES"
        optional="all parts"
      />
      <VChipGroup v-if="isBought" v-model="held" mandatory aria-label="Filter">
        <VChip v-for="[value, words] in FILTERS" :key="value" :value="value">{{ words }}</VChip>
      </VChipGroup>
      <span class="label count" role="status">{{ rows.length }} of {{ stored.length + begun.length }}</span>
      <VMenu v-if="isBought" location="bottom end" :transition="false">
        <template #activator="{ props: activator }">
          <button class="plain-button" v-bind="activator">Import and export</button>
        </template>
        <VList>
          <VListItem :title="spell('Import a catalogue (JSON) or a sheet (CSV)')" @click="importing = true" />
          <VListItem title="Export all equipment (JSON)" @click="exportJson" />
          <VListItem
            v-for="sheet in exportSheets"
            :key="sheet.title"
            :title="`Export ${sheet.title.toLowerCase()} (CSV)`"
            @click="download(sheet.file, sheet.text(), 'text/csv')"
          />
        </VList>
      </VMenu>
      <button v-if="path !== 'power-sources' && isBought" class="plain-button" @click="library = true">
        From the library
      </button>
      <VMenu v-if="path === 'parts'" location="bottom end" :transition="false">
        <template #activator="{ props: activator }">
          <button class="plain-button main" v-bind="activator">New part</button>
        </template>
        <VList>
          <VListItem v-for="[kind, words] in PART_CHOICES" :key="kind" :title="words" @click="add(kind)" />
        </VList>
      </VMenu>
      <template v-else-if="path === 'power-sources'">
        <button class="plain-button" @click="add('drive-roll')">Empty plate</button>
        <button class="plain-button main" @click="library = true">Start from a class</button>
      </template>
      <button v-else class="plain-button main" @click="add('drive-roll')">New {{ tab?.noun }}</button>
    </div>
    <div class="body">
      <div class="sheet names">
        <p v-if="rows.length === 0" class="none quiet">
          {{
            stored.length === 0
              ? 'Nothing yet. Add from the library, import, or enter it.'
              : 'No match. Change the search or the filter.'
          }}
        </p>
        <EquipmentList v-else :title="tab?.title ?? ''" :rows="rows" :selected="openId" @open="open" />
      </div>
      <div class="sheet thing screen-only" tabindex="-1">
        <RecordEditor v-if="openId" :id="openId" :key="`${path}/${openId}`" :path="path" />
        <p v-else class="none quiet">Nothing selected.</p>
      </div>
    </div>
    <LibraryDialog v-if="isBought" v-model="library" :path="path" @taken="open" />
    <CatalogueDialog v-model="importing" />
  </section>
</template>

<style scoped>
.equipment {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto auto minmax(0, 1fr);
  height: calc(100vh - 48px);
  padding: 10px 20px 12px;
}
.lists {
  border-bottom: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 0 4px;
}
.lists a {
  border-bottom: 3px solid transparent;
  color: var(--ink-2);
  padding: 4px 10px;
  text-decoration: none;
  white-space: nowrap;
}
.lists .here {
  border-bottom-color: var(--copper);
  color: var(--ink);
  font-weight: 700;
}
.bar {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
}
.search {
  width: 250px;
}
.part-kind {
  width: 150px;
}
.count {
  margin-right: auto;
  white-space: nowrap;
}
.body {
  display: grid;
  gap: 8px;
  grid-template-columns: 316px minmax(0, 1fr);
  min-height: 0;
}
.names {
  min-height: 0;
  overflow: hidden;
}
.thing {
  min-height: 0;
  overflow: auto;
}
.none {
  padding: 24px;
}
@media screen and (max-width: 1000px) {
  .equipment {
    height: auto;
  }
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
  .names {
    height: 300px;
  }
}
</style>
