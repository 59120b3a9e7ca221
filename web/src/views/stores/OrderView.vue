<script setup lang="ts">
import StoresHead from './StoresHead.vue'
import Papa from 'papaparse'
import { computed } from 'vue'
import { download } from '../../files/download.ts'
import { useMoney } from '../../stores/useMoney.ts'
import WornParts from '../buy/WornParts.vue'
import { useRunsOut } from './useRunsOut.ts'

/** What to order: what is lacking for the planned jobs, in whole spools and cylinders, and by when. */
const money = useMoney()
const { items, failure, isComputing, amount, day } = useRunsOut()

const lines = computed(() =>
  items.value
    .filter(({ packs }) => packs > 0)
    .map((item) => ({
      ...item,
      pack: `${item.packs} × ${amount(item.packSize, item.unit)}`,
      by: day(item.endsAt?.dueOn ?? null),
      job: item.endsAt?.jobName ?? '',
      cost: item.packPrice === null ? null : item.packs * item.packPrice,
    })),
)
const uncounted = computed(() => items.value.filter(({ onHand }) => onHand === null))
const total = computed(() => lines.value.reduce((sum, { cost }) => sum + (cost ?? 0), 0))
const hasUnpriced = computed(() => lines.value.some(({ cost }) => cost === null))

function csv(): void {
  const rows = lines.value.map(({ name, packs, packSize, unit, endsAt, shortBy, packPrice, cost }) => [
    name,
    packs,
    packSize,
    unit,
    Math.round(shortBy),
    endsAt?.dueOn ?? '',
    endsAt?.jobName ?? '',
    packPrice ?? '',
    cost ?? '',
  ])
  const headings = [
    'item',
    'packages',
    'package_size',
    'unit',
    'short_by',
    'needed_by',
    'job',
    'price_each',
    'price',
  ]
  download(
    'order.csv',
    Papa.unparse([headings, ...rows], { escapeFormulae: true, newline: '\r\n' }),
    'text/csv',
  )
}
const printPage = (): void => window.print()
</script>

<template>
  <section class="order">
    <StoresHead>
      <button class="plain-button" :disabled="lines.length === 0" @click="csv">Export CSV</button>
      <button class="plain-button" @click="printPage">Print</button>
    </StoresHead>
    <p v-if="failure" class="problem" role="alert">This cannot be calculated. {{ failure }}</p>
    <p v-else-if="isComputing && items.length === 0" class="sheet none">Calculating…</p>
    <p v-else-if="lines.length === 0" class="sheet none">
      Nothing to order: what is counted lasts for every planned job.
    </p>
    <div v-else class="sheet table" tabindex="0" role="region" aria-label="Order">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Item</th>
            <th scope="col">Order</th>
            <th scope="col" class="number">Short by</th>
            <th scope="col">Needed by</th>
            <th scope="col">For</th>
            <th scope="col" class="number">Price</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in lines" :key="one.id">
            <td>{{ one.name }}</td>
            <td>
              <strong>{{ one.pack }}</strong>
            </td>
            <td class="number">{{ amount(one.shortBy, one.unit) }}</td>
            <td>{{ one.by }}</td>
            <td>{{ one.job }}</td>
            <td class="number">{{ one.cost === null ? 'no price' : money(one.cost) }}</td>
          </tr>
        </tbody>
        <tfoot>
          <tr>
            <th scope="row" colspan="5">{{ hasUnpriced ? 'Total of what has a price' : 'Total' }}</th>
            <td class="number">{{ money(total) }}</td>
          </tr>
        </tfoot>
      </table>
    </div>
    <p v-if="uncounted.length > 0" class="quiet">
      Not counted, so not in the order: {{ uncounted.map(({ name }) => name).join(', ') }}.
      <RouterLink :to="{ name: 'stores' }">Count them</RouterLink>
    </p>
    <WornParts />
  </section>
</template>

<style scoped>
.order {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 20px;
}
.none {
  padding: 16px;
}
.table {
  overflow-x: auto;
  position: relative;
}
.table :is(th, td) {
  padding: 6px 10px;
}
.table .number {
  text-align: right;
}
tfoot th {
  text-align: right;
}
a {
  color: inherit;
}
</style>
