<script setup lang="ts">
import { type AluminiumWay, assumptionsOf, type Quicker } from '@brannik/core'
import { computed } from 'vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'

/** What would save changeovers over a year of planned jobs, and from when aluminium pays for its own gun or machine. */
const workspace = useWorkspace()
const money = useMoney()
const { number, print, spell } = usePrint()
const { answer } = useAnswer<'quicker'>(computed((): Question<'quicker'> => ['quicker']))

const MOST = 6
const WAYS = {
  'one-wire': 'One wire size',
  'second-gun': 'A second gun, fitted',
  'second-regulator': 'A second flow meter, connected',
  'second-spool': 'A second spool place',
  together: 'Jobs of one set-up together, once a month',
} as const satisfies Record<Quicker['way'], string>
const ALUMINIUM = {
  convert: 'Convert each time',
  'spool-gun': 'Spool gun',
  'own-machine': 'A machine of its own',
} as const satisfies Record<AluminiumWay['way'], string>
const nameOf = (sourceId: string): string => workspace.get('power-sources', sourceId)?.name ?? sourceId
const rows = computed(() =>
  (answer.value?.ways ?? []).filter(({ minutesPerYear }) => minutesPerYear >= 1).slice(0, MOST),
)
/** Each saves by itself, so a plan would take it exactly where it pays within the years that the shop counts. */
function priceOf({ price, moneyPerYear }: Quicker): string {
  if (price === null) return ''
  const years = price / moneyPerYear
  const horizon = workspace.shop ? assumptionsOf(workspace.shop).horizonYears : 0
  const verdict = years <= horizon ? 'worth it' : `not within your ${number(horizon, 2)}`
  return `${money(price)}, pays back in ${number(years, 2)} years: ${verdict}`
}
const fromOf = ({ paysFromH, way }: AluminiumWay): string =>
  way === 'convert'
    ? 'for the first hours'
    : paysFromH === null
      ? 'never by time alone'
      : spell(`from ${number(Math.ceil(paysFromH), 3)} h of aluminium a year`)
</script>

<template>
  <section v-if="rows.length > 0" class="sheet quicker" aria-label="Quicker changes">
    <h2>Quicker changes</h2>
    <ul>
      <li v-for="row in rows" :key="`${row.sourceId} ${row.way} ${row.what}`">
        <strong>{{ WAYS[row.way] }}</strong>
        <span>{{ nameOf(row.sourceId) }}{{ row.what ? `: ${row.what}` : '' }}</span>
        <span
          >Saves {{ print(row.minutesPerYear * 60, 's') }} and {{ money(Math.round(row.moneyPerYear)) }} a
          year</span
        >
        <span v-if="priceOf(row)" class="label">{{ priceOf(row) }}</span>
      </li>
    </ul>
    <template v-if="(answer?.aluminium ?? []).length > 1">
      <h3>{{ spell('Aluminium on a steel machine') }}</h3>
      <ul>
        <li v-for="way in answer?.aluminium" :key="way.way">
          <strong>{{ ALUMINIUM[way.way] }}</strong>
          <span>{{ way.name }}{{ way.price > 0 ? `, ${money(way.price)}` : '' }}</span>
          <span>{{ print(way.changeMin * 60, 's') }} there and back, {{ fromOf(way) }}</span>
        </li>
      </ul>
    </template>
    <p class="label">Jobs are taken to come in no order. Wages are counted, space and habit are not.</p>
  </section>
</template>

<style scoped>
.quicker {
  padding: 12px 16px;
}
h3 {
  font-size: var(--text-m);
  margin-top: 10px;
}
li {
  border-top: 1px solid var(--line);
  display: grid;
  gap: 1px;
  padding: 6px 0;
}
</style>
