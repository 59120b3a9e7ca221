<script setup lang="ts">
import { assumptionsOf, OLD_PRICE_DAYS, type ToOrder, toOrder, type ToOrderLine } from '@brannik/core'
import { useNow } from '@vueuse/core'
import Papa from 'papaparse'
import { computed, ref } from 'vue'
import { dayHere } from '../../components/dates.ts'
import { download } from '../../files/download.ts'
import { reasonOf } from '../../reason.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import WornParts from '../buy/WornParts.vue'
import OrdersOnTheWay from './OrdersOnTheWay.vue'
import StoresHead from './StoresHead.vue'
import { useOrdering } from './useOrdering.ts'
import { useRunsOut } from './useRunsOut.ts'

/** What to order by when: whole spools and cylinders, one list a supplier; then what is on its way. */
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const { items, failure, isComputing, amount, day } = useRunsOut()
const ordering = useOrdering()
const mayOrder = computed(() => session.mayWrite('orders'))
const now = useNow({ interval: 60_000 })
const today = computed(() => dayHere(now.value))

const lists = computed(() =>
  workspace.shop
    ? toOrder(items.value, {
        offers: workspace.all('offers'),
        suppliers: workspace.all('suppliers'),
        currency: workspace.shop.currency,
        safetyPct: assumptionsOf(workspace.shop).safetyStockPct,
        today: today.value,
      })
    : [],
)
const uncounted = computed(() => items.value.filter(({ onHand }) => onHand === null))
const asked = computed(() => workspace.all('suppliers').find(({ isAsked }) => isAsked) ?? null)

const CENTS = 100
const money = (cents: number, currency: string): string =>
  new Intl.NumberFormat(workspace.notation.locale, { style: 'currency', currency }).format(cents / CENTS)
const priceOf = ({ priceEach, currency }: ToOrderLine): string =>
  priceEach === null ? 'no price' : money(Math.round(priceEach * CENTS), currency)
const sumOf = ({ priceEach, packs, currency }: ToOrderLine): string =>
  priceEach === null ? '' : money(Math.round(priceEach * CENTS) * packs, currency)
const isOld = ({ priceAgeDays }: ToOrderLine): boolean =>
  priceAgeDays !== null && priceAgeDays > OLD_PRICE_DAYS
const ageText = (line: ToOrderLine): string =>
  line.priceAgeDays === null
    ? line.priceEach === null
      ? ''
      : 'price of the item record, no date'
    : line.priceAgeDays <= 0
      ? 'price of today'
      : `price ${line.priceAgeDays} days old${isOld(line) ? ', ask again' : ''}`
const whenText = (line: ToOrderLine): string =>
  line.orderBy === null
    ? line.neededBy === null
      ? ''
      : `needed ${day(line.neededBy)}`
    : `order by ${day(line.orderBy)}`
const firstDay = ({ lines }: ToOrder): string => {
  const [soonest] = lines.flatMap(({ orderBy }) => orderBy ?? []).toSorted((a, b) => a.localeCompare(b))
  return soonest === undefined ? '' : `Order by ${day(soonest)}.`
}

function csv(): void {
  const headings = [
    'supplier',
    'item',
    'packages',
    'package_size',
    'unit',
    'short_by',
    'needed_by',
    'order_by',
    'job',
    'price_each',
    'currency',
    'price_date',
  ]
  const rows = lists.value.flatMap(({ supplier, lines }) =>
    lines.map(({ run, packs, priceEach, currency, neededBy, orderBy, offer }) => [
      supplier?.name ?? '',
      run.name,
      packs,
      run.packSize,
      run.unit,
      Math.round(run.shortBy * CENTS) / CENTS,
      neededBy ?? '',
      orderBy ?? '',
      run.endsAt?.jobName ?? '',
      priceEach ?? '',
      currency,
      offer?.pricedOn ?? '',
    ]),
  )
  download(
    'order.csv',
    Papa.unparse([headings, ...rows], { escapeFormulae: true, newline: '\r\n' }),
    'text/csv',
  )
}
const isMaking = ref(false)
async function pdf(list: ToOrder): Promise<void> {
  isMaking.value = true
  try {
    const { makePdf } = await import('../card/makePdf.ts')
    await makePdf(
      (maker) =>
        maker.letter({
          title: 'Order',
          from: workspace.shop?.name ?? '',
          lines: [`To: ${list.supplier?.name ?? '____________________'}`, `Date: ${day(today.value)}`],
          tables: [
            {
              title: 'Please supply',
              head: ['Item', 'Packages', 'Each', 'Price each', 'Price'],
              figures: [1, 2, 3, 4],
              rows: list.lines.map((line) => [
                line.run.name,
                String(line.packs),
                amount(line.run.packSize, line.run.unit),
                priceOf(line),
                sumOf(line),
              ]),
            },
          ],
          sums: [
            ...(list.deliveryCents > 0
              ? ([['Delivery', money(list.deliveryCents, list.currency)]] as const)
              : []),
            ['Total', money(list.totalCents, list.currency)],
          ],
          notes: [],
          paper: workspace.notation.system === 'metric' ? 'A4' : 'LETTER',
        }),
      `order-${list.supplier?.id ?? 'list'}.pdf`,
    )
  } catch (error) {
    notice.refuse(`The PDF cannot be made: ${reasonOf(error)}.`)
  } finally {
    isMaking.value = false
  }
}
const askAll = (): void =>
  void (
    asked.value &&
    ordering.ask(
      items.value.map(({ id, name }) => ({ id, name })),
      asked.value.id,
    )
  )
const printPage = (): void => window.print()
</script>

<template>
  <section class="order">
    <StoresHead>
      <button
        v-if="asked"
        class="plain-button"
        :disabled="ordering.isAsking.value || !mayOrder || items.length === 0"
        @click="askAll"
      >
        Ask {{ asked.name }} for prices
      </button>
      <button class="plain-button" :disabled="lists.length === 0" @click="csv">Export CSV</button>
      <button class="plain-button" @click="printPage">Print</button>
    </StoresHead>
    <p v-if="ordering.said.value" class="sheet none" role="status">{{ ordering.said.value }}</p>
    <p v-if="failure" class="problem" role="alert">This cannot be calculated. {{ failure }}</p>
    <p v-else-if="isComputing && items.length === 0" class="sheet none">Calculating…</p>
    <p v-else-if="lists.length === 0" class="sheet none">
      Nothing to order: what is on hand and on its way lasts for every planned job.
    </p>
    <section
      v-for="list in lists"
      :key="`${list.supplier?.id} ${list.currency}`"
      class="sheet list"
      :aria-label="`Order from ${list.supplier?.name ?? 'nobody yet'}`"
    >
      <header>
        <h2>{{ list.supplier?.name ?? 'No supplier yet' }}</h2>
        <p>
          <strong>{{ firstDay(list) }}</strong>
          <template v-if="list.supplier"> Lead time {{ list.supplier.leadDays }} days. </template>
          <RouterLink v-else class="screen-only" :to="{ name: 'store-records', params: { list: 'offers' } }"
            >Add a price</RouterLink
          >
        </p>
        <span class="acts screen-only">
          <button class="plain-button" :disabled="isMaking" @click="pdf(list)">PDF</button>
          <button
            class="plain-button main"
            :disabled="!mayOrder || ordering.isAsking.value || list.supplier === null"
            @click="ordering.place(list)"
          >
            Place order
          </button>
        </span>
      </header>
      <div
        class="table"
        tabindex="0"
        role="region"
        :aria-label="`Lines for ${list.supplier?.name ?? 'nobody yet'}`"
      >
        <table class="ruled">
          <thead>
            <tr>
              <th scope="col">Item</th>
              <th scope="col">Order</th>
              <th scope="col">When</th>
              <th scope="col">For</th>
              <th scope="col" class="number">Each</th>
              <th scope="col" class="number">Price</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in list.lines" :key="line.run.id">
              <td>{{ line.run.name }}</td>
              <td>
                <strong>{{ line.packs }} × {{ amount(line.run.packSize, line.run.unit) }}</strong>
                <span class="label">
                  {{
                    line.run.shortBy > 0
                      ? `short by ${amount(line.run.shortBy, line.run.unit)}`
                      : 'for the safety stock'
                  }}{{ line.isForBreak ? ', price break' : '' }}
                </span>
              </td>
              <td :class="{ late: line.isLate }">
                {{ whenText(line) }}
                <span v-if="line.isLate" class="label late"
                  >comes {{ line.leadDays }} days after the order: too late</span
                >
              </td>
              <td>{{ line.run.endsAt?.jobName ?? '' }}</td>
              <td class="number">
                {{ priceOf(line) }}
                <span class="label" :class="{ late: isOld(line) }">{{ ageText(line) }}</span>
              </td>
              <td class="number">{{ sumOf(line) }}</td>
            </tr>
          </tbody>
          <tfoot>
            <tr v-if="list.deliveryCents > 0">
              <th scope="row" colspan="5">Delivery</th>
              <td class="number">{{ money(list.deliveryCents, list.currency) }}</td>
            </tr>
            <tr>
              <th scope="row" colspan="5">
                {{
                  list.lines.some(({ priceEach }) => priceEach === null)
                    ? 'Total of what has a price'
                    : 'Total'
                }}
              </th>
              <td class="number">{{ money(list.totalCents, list.currency) }}</td>
            </tr>
          </tfoot>
        </table>
      </div>
    </section>
    <OrdersOnTheWay :ordering="ordering" />
    <p v-if="uncounted.length > 0" class="quiet">
      Not counted, so not in the order: {{ uncounted.map(({ name }) => name).join(', ') }}.
      <RouterLink :to="{ name: 'stores' }">Count them</RouterLink>
    </p>
    <p class="quiet screen-only">
      <RouterLink :to="{ name: 'store-records', params: { list: 'suppliers' } }">Suppliers</RouterLink>,
      <RouterLink :to="{ name: 'store-records', params: { list: 'offers' } }">prices</RouterLink>
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
  padding: 12px 16px;
}
.list {
  padding: 12px 16px;
}
.list header {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
h2 {
  font-size: var(--text-l);
}
.acts {
  display: flex;
  gap: 8px;
  margin-left: auto;
}
.table {
  overflow-x: auto;
  position: relative;
}
.table :is(th, td) {
  padding: 6px 10px;
  vertical-align: top;
}
.table .number {
  text-align: right;
}
tfoot th {
  text-align: right;
}
.label {
  display: block;
}
.late {
  color: var(--fails);
}
a {
  color: inherit;
}
</style>
