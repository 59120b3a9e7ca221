<script setup lang="ts">
import {
  ASSUMPTION_GROUPS,
  ASSUMPTION_KEYS,
  ASSUMPTIONS,
  LOCALES,
  type AssumptionDefinition,
  type AssumptionKey,
  type Shop,
  sourceText,
} from '@brannik/core'
import { computed, ref } from 'vue'
import EarlierVersions from '../../components/EarlierVersions.vue'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../stores/workspace.ts'

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
      <label>
        <span class="label">Name</span>
        <input
          class="field"
          :value="workspace.shop.name"
          :aria-invalid="Boolean(problems['name'])"
          @input="setName(textOf($event))"
        />
        <span v-if="problems['name']" class="problem" role="alert">{{ problems['name'] }}</span>
      </label>
      <fieldset>
        <legend class="label">Units</legend>
        <label v-for="system in ['imperial', 'metric'] as const" :key="system" class="radio">
          <input
            type="radio"
            name="units"
            :checked="workspace.shop.unitSystem === system"
            @change="change({ unitSystem: system }, 'units')"
          />
          {{ system === 'imperial' ? 'inch, lb, ft³' : 'mm, kg, L' }}
        </label>
      </fieldset>
      <label>
        <span class="label">Numbers are written</span>
        <select
          class="field"
          :value="workspace.shop.locale"
          @change="change({ locale: textOf($event) as Shop['locale'] }, 'how numbers are written')"
        >
          <option v-for="locale in LOCALES" :key="locale" :value="locale">{{ localeWords(locale) }}</option>
        </select>
      </label>
      <label>
        <span class="label">Rule book for wiring</span>
        <select
          class="field"
          :value="workspace.shop.ruleBook"
          @change="change({ ruleBook: 'north-american' }, 'rule book')"
        >
          <option value="north-american">North American: NEC Article 630</option>
        </select>
      </label>
      <label>
        <span class="label">Contact tip for aluminium</span>
        <select
          class="field"
          :value="workspace.shop.aluminiumTip"
          title="Aluminium swells as it heats and may stick in a tip of its own size; others hold that a wider tip makes poor contact. Both schools weld."
          @change="
            change({ aluminiumTip: textOf($event) as Shop['aluminiumTip'] }, 'contact tip for aluminium')
          "
        >
          <option value="one-over">one size over: it swells</option>
          <option value="as-wire">the wire’s own: better contact</option>
        </select>
      </label>
      <label>
        <span class="label">Currency</span>
        <input
          class="field narrow"
          :value="workspace.shop.currency"
          :aria-invalid="Boolean(problems['currency'])"
          @input="setCurrency(textOf($event))"
        />
        <span v-if="problems['currency']" class="problem" role="alert">{{ problems['currency'] }}</span>
      </label>
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
              <span v-if="problems[key]" class="problem" role="alert">{{ problems[key] }}</span>
            </th>
            <td class="value">
              <input
                :id="`value-${key}`"
                class="field number"
                inputmode="decimal"
                :value="workspace.shop.assumptions[key] ?? definition.default"
                :aria-invalid="Boolean(problems[key])"
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
                class="link-button"
                :title="`Default: ${definition.default} ${definition.unit}`"
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
  gap: 12px 32px;
  padding: 12px 16px;
}
.settings > label {
  display: grid;
}
fieldset {
  border: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  padding: 0;
}
legend {
  padding: 0;
}
.radio {
  align-items: center;
  display: flex;
  gap: 6px;
  height: 32px;
}
.narrow {
  width: 72px;
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
.value input {
  width: 76px;
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
