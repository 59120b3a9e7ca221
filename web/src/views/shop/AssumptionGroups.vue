<script setup lang="ts">
import {
  ASSUMPTION_GROUPS,
  ASSUMPTION_KEYS,
  type AssumptionGroup,
  type AssumptionKey,
  ASSUMPTIONS,
  sourceText,
} from '@brannik/core'
import { computed, nextTick, ref, useId, watch } from 'vue'
import { useRoute } from 'vue-router'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { matcher, searchable } from '../../search/search.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import AssumptionRow from './AssumptionRow.vue'

/** Every figure that the computation assumes, in groups that fold; found by name, or those alone that were changed. */
const workspace = useWorkspace()
const route = useRoute()
const id = useId()

const search = ref('')
const onlyChanged = ref(false)
const opened = ref<ReadonlySet<AssumptionGroup>>(new Set())

const isChanged = (key: AssumptionKey): boolean => workspace.shop?.assumptions[key] !== undefined
const changedCount = computed(() => ASSUMPTION_KEYS.filter(isChanged).length)
const isSought = computed(() => search.value.trim() !== '' || onlyChanged.value)
const sought = computed(() => matcher(search.value))
const matches = (key: AssumptionKey): boolean => {
  const { name, unit, source, group } = ASSUMPTIONS[key]
  return sought.value(searchable(`${name} ${unit} ${group} ${sourceText(workspace.speech, source)}`))
}
const groups = computed(() =>
  ASSUMPTION_GROUPS.map((group) => {
    const all = ASSUMPTION_KEYS.filter((key) => ASSUMPTIONS[key].group === group)
    const found = all.filter((key) => matches(key) && (!onlyChanged.value || isChanged(key)))
    return {
      group,
      count: all.length,
      changed: all.filter(isChanged).length,
      found,
      isOpen: isSought.value ? found.length > 0 : opened.value.has(group),
    }
  }).filter(({ found }) => found.length > 0),
)
const allOpen = computed(() => groups.value.every(({ isOpen }) => isOpen))
const shown = computed(() => groups.value.flatMap(({ found, isOpen }) => (isOpen ? found : [])))

const asked = computed<Question<'leverage'> | null>(() =>
  shown.value.length === 0 ? null : ['leverage', shown.value],
)
const { answer: leverage } = useAnswer(asked)

function toggle(group: AssumptionGroup): void {
  const next = new Set(opened.value)
  if (!next.delete(group)) next.add(group)
  opened.value = next
}
function toggleAll(): void {
  opened.value = new Set(allOpen.value ? [] : ASSUMPTION_GROUPS)
}

/** A working names the figure that it rests on: its group is open, and it is in sight. */
watch(
  () => route.hash.slice(1),
  async (key) => {
    if (!(key in ASSUMPTIONS)) return
    search.value = ''
    onlyChanged.value = false
    opened.value = new Set([...opened.value, ASSUMPTIONS[key as AssumptionKey].group])
    await nextTick()
    document.getElementById(key)?.scrollIntoView({ block: 'center' })
  },
  { immediate: true, flush: 'post' },
)

/** The default is no change of the shop's. */
function set(key: AssumptionKey, value: number): void {
  const { shop } = workspace
  if (!shop) return
  const { [key]: _old, ...others } = shop.assumptions
  const assumptions = value === ASSUMPTIONS[key].default ? others : { ...others, [key]: value }
  workspace.edit('shop', shop.id, { ...shop, assumptions }, ASSUMPTIONS[key].name)
}
</script>

<template>
  <section class="assumptions" :aria-labelledby="`${id}-title`">
    <header>
      <h2 :id="`${id}-title`">Assumptions</h2>
      <p class="quiet">
        Change any figure you know better. The right column shows how many verdicts change if the value is off
        by 10 %.
      </p>
      <div class="bar">
        <VTextField
          v-model="search"
          class="search"
          placeholder="Search the assumptions"
          aria-label="Search the assumptions"
        />
        <VCheckbox
          v-model="onlyChanged"
          :disabled="changedCount === 0 && !onlyChanged"
          :label="`Changed only (${changedCount})`"
        />
        <button class="link-button" :disabled="isSought" @click="toggleAll">
          {{ allOpen ? 'Fold all' : 'Open all' }}
        </button>
      </div>
    </header>
    <p v-if="groups.length === 0" class="sheet none" role="status">
      {{ onlyChanged && search.trim() === '' ? 'None changed.' : `No match for “${search.trim()}”.` }}
    </p>
    <section v-for="{ group, count, changed, found, isOpen } in groups" :key="group" class="sheet group">
      <h3>
        <button :aria-expanded="isOpen" :disabled="isSought" @click="toggle(group)">
          <span class="fold" :class="{ open: isOpen }" aria-hidden="true" />
          <span>{{ group }}</span>
          <span class="label"
            >{{ isSought ? `${found.length} of ${count}` : count
            }}{{ changed > 0 ? `, ${changed} changed` : '' }}</span
          >
        </button>
      </h3>
      <table v-if="isOpen">
        <thead class="visually-hidden">
          <tr>
            <th scope="col">Assumption</th>
            <th scope="col">Figure</th>
            <th scope="col">If off by 10 %</th>
            <th scope="col">Reset</th>
          </tr>
        </thead>
        <tbody>
          <AssumptionRow
            v-for="key in found"
            :key="key"
            :name="key"
            :moved="leverage?.[key] ?? null"
            @change="(value) => set(key, value)"
          />
        </tbody>
      </table>
    </section>
  </section>
</template>

<style scoped>
.assumptions {
  display: grid;
  gap: 8px;
}
header {
  display: grid;
  gap: 4px;
  padding-top: 8px;
}
.bar {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
}
.search {
  flex: 0 1 320px;
}
.none {
  padding: 20px;
}
h3 {
  font-size: var(--text-m);
  font-weight: 600;
}
h3 button {
  align-items: center;
  background: none;
  border: 0;
  color: var(--ink);
  cursor: pointer;
  display: flex;
  gap: 10px;
  padding: 10px 14px;
  text-align: left;
  width: 100%;
}
h3 button:disabled {
  cursor: default;
}
.fold {
  border-bottom: 1.5px solid currentColor;
  border-right: 1.5px solid currentColor;
  height: 7px;
  transform: rotate(-45deg);
  width: 7px;
}
.fold.open {
  transform: rotate(45deg);
}
table {
  border-collapse: separate;
  border-spacing: 0;
  width: 100%;
}
@media (max-width: 900px) {
  table,
  tbody {
    display: block;
  }
}
</style>
