<script setup lang="ts">
import {
  assumptionsOf,
  costAt,
  dayNumber,
  type Job,
  priceOf,
  type Quote,
  type StoredEvent,
} from '@brannik/core'
import { computed, ref, shallowRef, watch } from 'vue'
import CountField from '../../components/CountField.vue'
import TextField from '../../components/TextField.vue'
import { dayHere, printDay } from '../../components/dates.ts'
import type { Priced } from '../../engine/questions/priced.ts'
import { reasonOf } from '../../reason.ts'
import { newestRows } from '../../shop/eventList.ts'
import { happenings } from '../../shop/happenings.ts'
import { newestLook } from '../../shop/newest.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { idFor } from '../jobs/idFor.ts'
import { groupsOf } from './costWords.ts'
import { useCents } from './useCents.ts'

/** From cost to price: overhead, margin, minimum, delivery; kept as it was sent, and held against what it became. */
const { job, priced } = defineProps<{ job: Job; priced: Priced }>()
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const { number, spell } = usePrint()
const cents = useCents()
const mayQuote = computed(() => session.mayWrite('quotes'))

const usual = computed(() => assumptionsOf(workspace.shop ?? { assumptions: {} }))
const atPct = ref(50)
const overheadPct = ref<number | null>(null)
const marginPct = ref<number | null>(null)
const minimumCharge = ref<number | null>(null)
const deliveryCharge = ref<number | null>(0)
const customer = ref('')
const includes = ref('Welding as drawn.')
const excludes = ref('Material, coating, delivery unless listed.')
const atCents = computed(() => costAt(priced.spread, atPct.value))
const pricing = computed(() => ({
  overheadPct: overheadPct.value ?? usual.value.overheadPct,
  marginPct: marginPct.value ?? usual.value.marginPct,
  minimumCharge: minimumCharge.value ?? usual.value.minimumCharge,
  deliveryCharge: deliveryCharge.value ?? 0,
}))
const price = computed(() => priceOf(atCents.value, pricing.value))
const hours = computed(() =>
  priced.lines.reduce((sum, { unit, amount }) => (unit === 'h' ? sum + amount : sum), 0),
)

const kept = computed(() =>
  workspace
    .all('quotes')
    .filter(({ jobId }) => jobId === job.id)
    .toSorted((a, b) => b.quotedOn.localeCompare(a.quotedOn) || b.id.localeCompare(a.id)),
)
function draft(): Quote {
  const all = workspace.all('quotes')
  const name = `Quote ${all.length + 1}`
  return {
    id: idFor(name, all),
    name,
    jobId: job.id,
    jobName: job.name,
    setUpName: priced.setUpName,
    customer: customer.value,
    state: 'sent',
    quotedOn: dayHere(new Date()),
    validDays: 30,
    quantity: job.quantity,
    currency: workspace.shop?.currency ?? 'USD',
    lines: groupsOf(priced.lines).map(({ title, cents: amount }) => ({ what: spell(title), cents: amount })),
    lowCents: priced.spread.lowCents,
    highCents: priced.spread.highCents,
    hours: hours.value,
    atPct: atPct.value,
    atCents: atCents.value,
    ...pricing.value,
    priceCents: price.value.totalCents,
    includes: includes.value,
    excludes: excludes.value,
  }
}
function keep(): void {
  const quote = draft()
  if (workspace.edit('quotes', quote.id, quote, quote.name))
    notice.show(`${quote.name} is kept as sent`, true)
}
function settle(quote: Quote, state: 'won' | 'lost'): void {
  workspace.edit('quotes', quote.id, { ...quote, state }, `${quote.name} ${state}`)
}

const isMaking = ref(false)
async function pdf(quote: Quote): Promise<void> {
  isMaking.value = true
  try {
    const { makePdf } = await import('../card/makePdf.ts')
    const money = new Intl.NumberFormat(workspace.notation.locale, {
      style: 'currency',
      currency: quote.currency,
    })
    const day = (iso: string): string => printDay(iso, workspace.notation.locale)
    const delivery = Math.round(quote.deliveryCharge * 100)
    await makePdf(
      (maker) =>
        maker.letter({
          title: quote.name,
          from: workspace.shop?.name ?? '',
          lines: [
            ...(quote.customer === '' ? [] : [`For: ${quote.customer}`]),
            `Date: ${day(quote.quotedOn)}, valid for ${quote.validDays} days`,
          ],
          tables: [
            {
              title: 'Work',
              head: ['What', 'Pieces', 'Price'],
              figures: [1, 2],
              rows: [
                [quote.jobName, String(quote.quantity), money.format((quote.priceCents - delivery) / 100)],
                ...(delivery > 0 ? [['Delivery', '', money.format(delivery / 100)]] : []),
              ],
            },
          ],
          sums: [['Total, before tax', money.format(quote.priceCents / 100)]],
          notes: [
            `Included: ${quote.includes}`,
            `Not included: ${quote.excludes}`,
            'Structural welds need a qualified procedure and a qualified welder: agree on both before the work begins.',
          ],
          paper: workspace.notation.system === 'metric' ? 'A4' : 'LETTER',
        }),
      `${quote.id}.pdf`,
    )
  } catch (error) {
    notice.refuse(`The PDF cannot be made: ${reasonOf(error)}.`)
  } finally {
    isMaking.value = false
  }
}

/** What the log has of this job: hours and how many welds they are of. */
const done = shallowRef<readonly StoredEvent<'weld-recorded'>[]>([])
const MOST_ROWS = 500
const newest = newestLook()
async function learn(): Promise<void> {
  try {
    const rows = await newest(() => newestRows({ job: job.id, state: 'done' }, MOST_ROWS))
    if (rows) done.value = rows
  } catch {
    done.value = []
  }
}
watch([() => job.id, happenings], () => void learn(), { immediate: true })
const became = computed(() => {
  const timed = done.value.filter(({ body }) => body.minutes !== null)
  if (timed.length === 0) return null
  const minutes = timed.reduce((sum, { body }) => sum + (body.minutes ?? 0), 0)
  const welds = timed.reduce((sum, { body }) => sum + (body.welds ?? 0), 0)
  return { hours: minutes / 60, welds }
})
const isOver = ({ quotedOn, validDays, state }: Quote): boolean =>
  state === 'sent' && dayNumber(dayHere(new Date())) > dayNumber(quotedOn) + validDays
const STATE_WORDS = { draft: 'draft', sent: 'sent', won: 'won', lost: 'lost' } as const
</script>

<template>
  <section class="sheet quote" aria-label="Quote">
    <header>
      <h2>Quote</h2>
      <strong class="figure">{{ cents(price.totalCents) }}</strong>
      <span v-if="job.quantity > 1" class="label">{{ cents(price.totalCents / job.quantity) }} a piece</span>
    </header>
    <label class="slider">
      <span class="label"
        >Cost taken: {{ cents(atCents) }}. {{ atPct }} of 100 runs cost no more than this.</span
      >
      <input
        v-model.number="atPct"
        type="range"
        min="5"
        max="95"
        step="5"
        aria-label="Cost taken, of 100 runs"
      />
    </label>
    <div class="fields">
      <CountField
        v-model="overheadPct"
        label="Overhead, %"
        :least="0"
        :most="900"
        decimals
        :optional="`${number(usual.overheadPct)} as usual`"
      />
      <CountField
        v-model="marginPct"
        label="Margin of the price, %"
        :least="0"
        :most="90"
        decimals
        :optional="`${number(usual.marginPct)} as usual`"
      />
      <CountField
        v-model="minimumCharge"
        label="Minimum charge"
        :least="0"
        :most="1000000"
        decimals
        :optional="`${number(usual.minimumCharge)} as usual`"
      />
      <CountField
        v-model="deliveryCharge"
        label="Delivery"
        :least="0"
        :most="1000000"
        decimals
        optional="none"
      />
      <TextField v-model="customer" label="Customer" optional="not set" :most="200" />
      <TextField v-model="includes" class="wide" label="Included" :most="2000" />
      <TextField v-model="excludes" class="wide" label="Not included" :most="2000" />
    </div>
    <dl>
      <dt>Cost</dt>
      <dd>{{ cents(atCents) }}</dd>
      <dt>Overhead</dt>
      <dd>{{ cents(price.overheadCents) }}</dd>
      <dt>Margin</dt>
      <dd>{{ cents(price.marginCents) }}</dd>
      <template v-if="price.toMinimumCents > 0">
        <dt>Up to the minimum charge</dt>
        <dd>{{ cents(price.toMinimumCents) }}</dd>
      </template>
      <template v-if="price.deliveryCents > 0">
        <dt>Delivery</dt>
        <dd>{{ cents(price.deliveryCents) }}</dd>
      </template>
      <dt class="total">Price, before tax</dt>
      <dd class="total">{{ cents(price.totalCents) }}</dd>
    </dl>
    <p class="acts screen-only">
      <button class="plain-button main" :disabled="!mayQuote" @click="keep">Keep as sent</button>
      <button class="plain-button" :disabled="isMaking" @click="pdf(draft())">PDF</button>
    </p>
    <template v-if="kept.length > 0">
      <h3>Sent</h3>
      <ul>
        <li v-for="quote in kept" :key="quote.id">
          <span>
            <strong>{{ quote.name }}</strong>, {{ cents(quote.priceCents)
            }}{{ quote.customer === '' ? '' : `, ${quote.customer}` }}
            <span class="label">
              {{ printDay(quote.quotedOn, workspace.notation.locale) }}, {{ STATE_WORDS[quote.state]
              }}{{ isOver(quote) ? ', no longer valid' : '' }}
            </span>
            <span class="label">
              Cost then {{ cents(quote.atCents) }} of {{ cents(quote.lowCents) }} –
              {{ cents(quote.highCents) }}, today {{ cents(priced.cents) }}.
              <template v-if="became">
                Log: {{ number(became.hours, 2) }} h for {{ became.welds }} welds, quoted
                {{ number(quote.hours, 2) }} h for all.
              </template>
            </span>
          </span>
          <span class="acts screen-only">
            <template v-if="quote.state === 'sent'">
              <button
                class="link-button"
                :disabled="!mayQuote"
                :aria-label="`${quote.name} won`"
                @click="settle(quote, 'won')"
              >
                Won
              </button>
              <button
                class="link-button"
                :disabled="!mayQuote"
                :aria-label="`${quote.name} lost`"
                @click="settle(quote, 'lost')"
              >
                Lost
              </button>
            </template>
            <button
              class="link-button"
              :disabled="isMaking"
              :aria-label="`PDF of ${quote.name}`"
              @click="pdf(quote)"
            >
              PDF
            </button>
          </span>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.quote {
  display: grid;
  gap: 10px;
  padding: 12px 16px;
}
header {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
h2 {
  font-size: var(--text-l);
}
h3 {
  font-size: inherit;
  font-weight: 700;
}
.figure {
  font-size: var(--text-xl);
}
.slider {
  display: grid;
}
.slider input {
  accent-color: var(--copper);
  min-height: 28px;
  width: 100%;
}
.fields {
  align-items: start;
  display: grid;
  gap: 8px 12px;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
}

.wide {
  grid-column: 1 / -1;
}
dl {
  display: grid;
  gap: 2px 16px;
  grid-template-columns: 1fr auto;
}
dd {
  margin: 0;
  text-align: right;
}
.total {
  border-top: 1px solid var(--line-strong);
  font-weight: 700;
}
.acts {
  display: flex;
  gap: 10px;
}
li {
  border-top: 1px solid var(--line);
  display: grid;
  gap: 4px 12px;
  grid-template-columns: minmax(0, 1fr) auto;
  padding: 6px 0;
}
li .label {
  display: block;
}
@media (pointer: coarse) {
  .slider input {
    min-height: 48px;
  }
}
</style>
