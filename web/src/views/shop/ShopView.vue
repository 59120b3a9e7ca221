<script setup lang="ts">
import {
  ASSUMPTION_GROUPS,
  ASSUMPTION_KEYS,
  ASSUMPTIONS,
  LOCALES,
  type AssumptionDefinition,
  type AssumptionKey,
  type FieldDescription,
  fieldsOf,
  type Shop,
  sourceText,
} from '@brannik/core'
import { computed, ref } from 'vue'
import EarlierVersions from '../../components/EarlierVersions.vue'
import PickField from '../../components/PickField.vue'
import TypedField from '../../components/TypedField.vue'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../stores/workspace.ts'
import { choicesOf } from '../equipment/forms.ts'

/** How the shop writes and reckons: units, rule book, and every figure that the computation assumes. */
const workspace = useWorkspace()
const { print, number } = usePrint()
const lookingBack = ref(false)
const problems = ref<Partial<Record<string, string>>>({})

const groups = computed(() =>
  ASSUMPTION_GROUPS.map((group) => ({
    group,
    rows: ASSUMPTION_KEYS.map((key): { key: AssumptionKey; definition: AssumptionDefinition } => ({
      key,
      definition: ASSUMPTIONS[key],
    })).filter(({ definition }) => definition.group === group),
  })),
)
const changedCount = computed(() => Object.keys(workspace.shop?.assumptions ?? {}).length)

function change(part: Partial<Shop>, what: string): void {
  const { shop } = workspace
  if (shop) workspace.edit('shop', shop.id, { ...shop, ...part }, what)
}

function setName(text: string): void {
  const name = text.trim()
  problems.value['name'] =
    name === ''
      ? 'The name is empty. Write the name of the shop.'
      : name.length > 120
        ? 'The name is longer than 120 characters. Shorten it.'
        : ''
  if (problems.value['name'] === '') change({ name }, 'name of the shop')
}

function setCurrency(text: string): void {
  const currency = text.trim().toUpperCase()
  problems.value['currency'] = /^[A-Z]{3}$/.test(currency)
    ? ''
    : 'Write a three-letter currency code, such as USD.'
  if (problems.value['currency'] === '') change({ currency }, 'currency')
}

const limits = ({ least, most, unit }: AssumptionDefinition): string =>
  `from ${number(least)} to ${number(most)}${unit ? ` ${unit}` : ''}`

function setAssumption(key: AssumptionKey, text: string): void {
  const definition: AssumptionDefinition = ASSUMPTIONS[key]
  const written = text.trim().replace(',', '.')
  const value = Number(written)
  const wrong =
    written === '' || !Number.isFinite(value) || value < definition.least || value > definition.most
  problems.value[key] = wrong
    ? `“${text.trim()}” cannot be used. Write a number ${limits(definition)}, or press Reset.`
    : ''
  if (wrong || !workspace.shop) return
  const { [key]: _old, ...others } = workspace.shop.assumptions
  change(
    { assumptions: value === definition.default ? others : { ...others, [key]: value } },
    definition.name,
  )
}

function reset(key: AssumptionKey): void {
  problems.value[key] = ''
  if (!workspace.shop) return
  const { [key]: _old, ...others } = workspace.shop.assumptions
  change({ assumptions: others }, ASSUMPTIONS[key].name)
}

const inShopUnits = (value: number, unit: string): string => {
  const plain = `${number(value)} ${unit}`.trim()
  const printed = print(value, unit)
  return printed === plain ? '' : printed
}
/** `1,234.5 (United States)`: a number tells more than a country. */
const localeWords = (locale: Shop['locale']): string => {
  const country = new Intl.DisplayNames(['en'], { type: 'region' }).of(locale.slice(3)) ?? locale
  return `${new Intl.NumberFormat(locale).format(1234.5)} (${country})`
}
/** What the shop chooses among a few words; how numbers are written is said by numbers instead. */
const CHOICES = fieldsOf('shop').filter(
  (one): one is Extract<FieldDescription, { kind: 'choice' }> =>
    one.kind === 'choice' && one.path[0] !== 'locale',
)
const chosen = ({ path: [key = ''] }: FieldDescription): string =>
  String(Reflect.get(workspace.shop ?? {}, key))
function choose({ path: [key = ''], label }: FieldDescription, now: string): void {
  change({ [key]: now } as Partial<Shop>, label.toLowerCase())
}
const textOf = (event: Event): string => (event.target as HTMLInputElement).value
</script>

<template>
  <section v-if="workspace.shop" class="shop">
    <header>
      <h1>Shop</h1>
      <button class="link-button" @click="lookingBack = true">Earlier versions</button>
    </header>
    <EarlierVersions :id="workspace.shop.id" v-model="lookingBack" path="shop" />
    <div class="sheet settings">
      <TypedField
        class="name"
        label="Name"
        :problem="problems['name'] || null"
        :model-value="workspace.shop.name"
        @update:model-value="setName"
      />
      <PickField
        class="locale"
        label="Numbers are written"
        :items="LOCALES.map((locale) => [locale, localeWords(locale)] as const)"
        :model-value="workspace.shop.locale"
        @update:model-value="(now) => now && change({ locale: now }, 'how numbers are written')"
      />
      <PickField
        v-for="spec in CHOICES"
        :key="spec.label"
        v-tip="spec.more.help ?? ''"
        :label="spec.label"
        :items="choicesOf(spec)"
        :model-value="chosen(spec)"
        @update:model-value="(now) => now !== null && choose(spec, now)"
      />
      <TypedField
        class="narrow"
        label="Currency"
        :problem="problems['currency'] || null"
        :model-value="workspace.shop.currency"
        @update:model-value="setCurrency"
      />
    </div>

    <header>
      <h2>What the computation assumes</h2>
      <p class="quiet">
        Each figure is in the unit beside it; change what you know better.
        {{ changedCount === 0 ? 'None is changed.' : `${changedCount} changed from the default.` }}
      </p>
    </header>
    <div class="groups">
      <table v-for="{ group, rows } in groups" :key="group" class="sheet">
        <caption>
          {{
            group
          }}
        </caption>
        <tbody>
          <tr
            v-for="{ key, definition } in rows"
            :id="key"
            :key="key"
            :class="{ changed: workspace.shop.assumptions[key] !== undefined }"
          >
            <th scope="row">
              <label :for="`value-${key}`">{{ definition.name }}</label>
              <span class="label source">{{ sourceText(workspace.speech, definition.source) }}</span>
            </th>
            <td class="value">
              <TypedField
                :id="`value-${key}`"
                class="figure"
                inputmode="decimal"
                :problem="problems[key] || null"
                :model-value="`${workspace.shop.assumptions[key] ?? definition.default}`"
                @change="setAssumption(key, textOf($event))"
              />
              <span class="unit">{{ definition.unit }}</span>
              <span class="label also">{{
                inShopUnits(workspace.shop.assumptions[key] ?? definition.default, definition.unit)
              }}</span>
            </td>
            <td class="reset">
              <button
                v-if="workspace.shop.assumptions[key] !== undefined"
                v-tip="`Default: ${definition.default} ${definition.unit}`"
                class="link-button"
                @click="reset(key)"
              >
                Reset
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.shop {
  display: grid;
  gap: 12px;
  padding: 16px 20px 32px;
}
.shop > header {
  align-items: baseline;
  display: flex;
  gap: 16px;
}
.settings {
  align-items: start;
  display: flex;
  flex-wrap: wrap;
  gap: 12px 18px;
  padding: 12px 16px;
}
.settings > .name {
  flex: 1 1 160px;
  max-width: 210px;
}
.narrow {
  width: 76px;
}
.groups {
  align-items: start;
  columns: 2;
  column-gap: 12px;
}
table {
  border-collapse: separate;
  border-spacing: 0;
  break-inside: avoid;
  margin-bottom: 12px;
  width: 100%;
}
caption {
  font-weight: 600;
  padding: 6px 12px;
  text-align: left;
}
th,
td {
  border-top: 1px solid var(--line);
  padding: 4px 8px;
  text-align: left;
  vertical-align: middle;
}
th {
  font-weight: 400;
  padding-left: 12px;
}
.source {
  display: block;
}
.value {
  white-space: nowrap;
  width: 190px;
}
.figure {
  display: inline-grid;
  width: 84px;
}
.figure :deep(input) {
  text-align: right;
}
.unit {
  display: inline-block;
  margin-left: 6px;
  min-width: 64px;
}
.also {
  display: block;
}
.reset {
  width: 56px;
}
.changed th {
  box-shadow: inset 3px 0 var(--copper);
}
.changed input {
  border-color: var(--copper);
  font-weight: 700;
}
.problem {
  display: block;
  font-size: var(--text-s);
  max-width: 320px;
}
tr:target {
  background: var(--copper-soft);
}
@media (max-width: 1000px) {
  .groups {
    columns: 1;
  }
}
</style>
