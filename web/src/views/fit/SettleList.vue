<script setup lang="ts">
import { capital, type Assessment, inShopUnits, missingOf, type SetUp } from '@brannik/core'
import { computed, ref } from 'vue'
import MissingFieldLink from '../../components/MissingFieldLink.vue'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import FieldOf from '../equipment/FieldOf.vue'
import { choicesOf } from '../equipment/forms.ts'
import { type FieldToSettle, settle, type ToSettle, toSettle, typicalFor, valueOf } from './settle.ts'

/** All that the verdict lacks, with its fields in place: filled in here, or taken as it is usual. */
const { unknown, setUp, jobId } = defineProps<{
  unknown: readonly Assessment[]
  setUp: SetUp
  jobId: string
}>()

const workspace = useWorkspace()
const { print, number, spell } = usePrint()
const items = computed(() => toSettle(unknown, setUp, workspace))
const wrong = ref<Readonly<Record<string, string | null>>>({})

function set({ key, field }: ToSettle, value: unknown): void {
  if (!field) return
  const problem = settle(field, value, workspace)
  wrong.value = { ...wrong.value, [key]: problem && inShopUnits(problem, workspace.notation) }
}
const typical = (field: FieldToSettle): unknown => typicalFor(field, setUp, workspace)
const QUANTITY_UNIT: Readonly<Record<string, string>> = {
  wireFeedSpeed: 'mm/min',
  diameter: 'mm diameter',
  mass: 'g',
}
/** As the field itself would show it. */
function words({ spec }: FieldToSettle, value: unknown): string {
  const all = Array.isArray(value) ? (value as readonly unknown[]) : [value]
  return all
    .map((one) => {
      if ('choices' in spec)
        return choicesOf(spec).find(([choice]) => choice === String(one))?.[1] ?? String(one)
      if (typeof one === 'boolean') return one ? 'yes' : 'no'
      if (typeof one !== 'number') return String(one)
      if (spec.kind === 'quantity') return print(one, QUANTITY_UNIT[spec.quantity] ?? 'mm length')
      return spec.kind === 'number' && spec.unit ? `${number(one)} ${spec.unit}` : number(one)
    })
    .map(spell)
    .join(', ')
}
</script>

<template>
  <section v-if="items.length > 0" class="sheet settle" aria-label="To settle">
    <h2>{{ items.length === 1 ? '1 thing to settle' : `${items.length} things to settle` }}</h2>
    <ul>
      <li v-for="item in items" :key="item.key">
        <p>
          {{ capital(missingOf(workspace.speech, item.assessment)) }}
        </p>
        <template v-if="item.field">
          <FieldOf
            class="field"
            :spec="item.field.spec"
            :value="valueOf(item.field, workspace)"
            :wrong="wrong[item.key] ?? null"
            @change="(value) => set(item, value)"
          />
          <button
            v-for="usual in [typical(item.field)].filter((one) => one !== null)"
            :key="String(usual)"
            class="plain-button"
            :aria-label="`Typical for ${item.field.name}: ${words(item.field, usual)}, go on`"
            @click="set(item, usual)"
          >
            Typical: {{ words(item.field, usual) }}, go on
          </button>
        </template>
        <MissingFieldLink v-else :assessment="item.assessment" :set-up="setUp" :job-id="jobId" is-brief />
      </li>
    </ul>
    <p class="label">A typical value is a guess by class. Check yours on the plate, the print or the part.</p>
  </section>
</template>

<style scoped>
.settle {
  border-left: 3px solid var(--unknown);
  display: grid;
  gap: 6px;
  padding: 10px 16px 12px;
}
h2 {
  font-size: var(--text-m);
}
li {
  align-items: end;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 4px 16px;
  grid-template-columns: minmax(0, 1fr) 190px 270px;
  padding: 6px 0;
}
li > button {
  justify-self: start;
}
li > p {
  align-self: center;
}
@media screen and (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
    justify-items: start;
  }
}
</style>
