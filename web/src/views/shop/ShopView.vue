<script setup lang="ts">
import { LOCALES, type FieldDescription, fieldsOf, type Shop } from '@brannik/core'
import { ref } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import EarlierVersions from '../../components/EarlierVersions.vue'
import PickField from '../../components/PickField.vue'
import TextField from '../../components/TextField.vue'
import type { Read } from '../../components/useTyped.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { choicesOf } from '../equipment/forms.ts'
import ShopHead from './ShopHead.vue'
import WholeShop from './WholeShop.vue'

/** The shop's name, units, currency and rule book, and the whole shop as one file. */
const workspace = useWorkspace()
const { spell } = usePrint()
const lookingBack = ref(false)

function change(part: Partial<Shop>, what: string): void {
  const { shop } = workspace
  if (shop) workspace.edit('shop', shop.id, { ...shop, ...part }, what)
}

function readCurrency(text: string): Read<string> {
  const value = text.toUpperCase()
  return /^[A-Z]{3}$/.test(value)
    ? { ok: true, value }
    : { ok: false, message: 'Enter a three-letter currency code, for example USD.' }
}

/** `1,234.5 (United States)`: a number tells more than a country. */
const localeWords = (locale: Shop['locale']): string => {
  const country = new Intl.DisplayNames(['en'], { type: 'region' }).of(locale.slice(3)) ?? locale
  return `${new Intl.NumberFormat(locale).format(1234.5)} (${country})`
}
/** America/New_York is read as America/New York. */
const ZONES = Intl.supportedValuesOf('timeZone').map((id) => ({ id, name: id.replaceAll('_', ' ') }))
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
</script>

<template>
  <section v-if="workspace.shop" class="shop">
    <ShopHead>
      <button class="link-button" @click="lookingBack = true">Earlier versions</button>
    </ShopHead>
    <EarlierVersions :id="workspace.shop.id" v-model="lookingBack" path="shop" />
    <div class="sheet settings">
      <TextField
        class="name"
        label="Name"
        empty="The name is empty. Enter the name of the shop."
        :model-value="workspace.shop.name"
        @update:model-value="(name) => change({ name }, 'name of the shop')"
      />
      <PickField
        class="locale"
        label="Number format"
        :items="LOCALES.map((locale) => [locale, localeWords(locale)] as const)"
        :model-value="workspace.shop.locale"
        @update:model-value="(now) => now && change({ locale: now }, 'number format')"
      />
      <PickField
        v-for="spec in CHOICES"
        :key="spec.label"
        v-tip="spell(spec.more.help ?? '')"
        :label="spell(spec.label)"
        :items="choicesOf(spec).map(([choice, words]) => [choice, spell(words)] as const)"
        :model-value="chosen(spec)"
        @update:model-value="(now) => now !== null && choose(spec, now)"
      />
      <TextField
        class="narrow"
        label="Currency"
        :accepts="readCurrency"
        :model-value="workspace.shop.currency"
        @update:model-value="(currency) => change({ currency }, 'currency')"
      />
      <ChoiceField
        class="zone"
        label="Time zone"
        optional="as on this device"
        :items="ZONES"
        :model-value="workspace.shop.timeZone"
        @update:model-value="(timeZone) => change({ timeZone }, 'time zone')"
      />
    </div>

    <WholeShop />
  </section>
</template>

<style scoped>
.shop {
  display: grid;
  gap: 12px;
  padding: 16px 20px 32px;
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
.zone {
  width: 190px;
}
</style>
