<script setup lang="ts">
import {
  ASSUMPTIONS,
  type CostLine,
  jointName,
  type Lives,
  sourceWords,
  type UseLine,
  USUAL_LIVES,
  type WearPart,
} from '@brannik/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import PlaceHead from '../../components/PlaceHead.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useJobTabs } from '../jobs/jobTabs.ts'
import { useMachineRecord } from '../learned/useWear.ts'
import { groupsOf, HABIT_WORDS, LINE_WORDS, USE_WORDS, USED_WORDS } from './costWords.ts'
import MoversChart from './MoversChart.vue'
import QuotePanel from './QuotePanel.vue'
import { useCents } from './useCents.ts'

/** What the job costs, how far that may be off, what it hangs on, and what to ask for it. */
const route = useRoute()
const workspace = useWorkspace()
const { print, number, spell } = usePrint()
const cents = useCents()
const jobId = computed(() => String(route.params['jobId'] ?? ''))
const job = computed(() => workspace.get('jobs', jobId.value))
const tabs = useJobTabs(() => jobId.value)
const sourceId = computed(() => workspace.get('set-ups', job.value?.setUpId ?? '')?.powerSourceId ?? null)
const record = useMachineRecord(sourceId)
/** What the shop's own changes of tip and liner teach, in steel; null until there is one. */
const lives = computed((): Lives | null => {
  const learned = (part: WearPart): number | null =>
    record.value?.wear.find((one) => one.part === part && one.unit === 'g' && one.learnedFrom > 0)?.life ??
    null
  const [tip, liner] = [learned('tip'), learned('liner')]
  return tip === null && liner === null
    ? null
    : { tipG: tip ?? USUAL_LIVES.tipG, linerG: liner ?? USUAL_LIVES.linerG }
})
const { answer, failure, isComputing } = useAnswer<'priced'>(
  computed((): Question<'priced'> => ['priced', jobId.value, lives.value]),
)
const groups = computed(() => groupsOf(answer.value?.lines ?? []))
const perPiece = computed(() => (answer.value && job.value ? answer.value.cents / job.value.quantity : 0))
const timesPerYear = computed(() => job.value?.timesPerYear ?? null)

const amountText = ({ amount, unit }: CostLine): string =>
  unit === 'kWh' || unit === 'pieces' ? `${number(amount, 2)} ${unit}` : print(amount, unit)
const RATE_OF: Readonly<Record<CostLine['unit'], readonly [per: number, words: string]>> = {
  h: [1, 'an hour'],
  g: [1000, 'a kilogram'],
  L: [1000, 'a cubic meter'],
  pieces: [1, 'each'],
  kWh: [1, 'a kWh'],
}
const IMPERIAL_RATE: typeof RATE_OF = {
  ...RATE_OF,
  g: [453.592_37, 'a pound'],
  L: [28.316_85, 'a cubic foot'],
}
function rateText({ rate, unit }: CostLine): string {
  const [per, words] = (workspace.notation.system === 'imperial' ? IMPERIAL_RATE : RATE_OF)[unit]
  return `${cents(rate * per * 100)} ${spell(words)}`
}
const weldName = (jointId: string): string => {
  const index = job.value?.joints.findIndex(({ id }) => id === jointId) ?? -1
  const joint = job.value?.joints[index]
  return joint ? `${index + 1} ${spell(jointName(joint))}` : jointId
}
const USE_UNITS = { wire: 'g', gas: 'L', tungsten: 'pieces' } as const
const useAmount = ({ of, amount }: UseLine): string =>
  of === 'tungsten' ? `${number(amount, 2)} pieces` : print(amount, USE_UNITS[of])
const useText = ({ of, assumption, source }: UseLine): string =>
  [
    USED_WORDS[of],
    assumption === null ? '' : spell(ASSUMPTIONS[assumption].name).toLowerCase(),
    sourceWords(source),
  ]
    .filter(Boolean)
    .join(', ')
const movers = computed(() =>
  (answer.value?.movers ?? []).map(({ key, value, lessCents, moreCents }) => ({
    key,
    title: `${ASSUMPTIONS[key].group}: ${spell(ASSUMPTIONS[key].name)}`,
    now: `${number(value, 3)} ${ASSUMPTIONS[key].unit}`,
    less: lessCents,
    more: moreCents,
  })),
)
const signed = (value: number): string => `${value > 0 ? '+' : value < 0 ? '−' : ''}${cents(Math.abs(value))}`
</script>

<template>
  <section class="cost">
    <PlaceHead :title="job?.name ?? 'No such job'" :tabs="tabs" />
    <p v-if="failure" class="problem" role="alert">This cannot be calculated. {{ failure }}</p>
    <p v-else-if="!answer" class="sheet none">
      {{ isComputing ? 'Calculating…' : 'Choose a set-up with a wire for this job. Then it has a cost.' }}
    </p>
    <template v-else-if="job">
      <div class="columns">
        <section class="sheet" aria-label="Cost">
          <header class="sum">
            <p>
              <span class="label">Costs you, {{ answer.setUpName }}</span>
              <strong class="figure">{{ cents(answer.cents) }}</strong>
            </p>
            <p>
              <span class="label">9 runs of 10</span>
              <strong>{{ cents(answer.spread.lowCents) }} – {{ cents(answer.spread.highCents) }}</strong>
            </p>
            <p v-if="job.quantity > 1">
              <span class="label">per piece</span><strong>{{ cents(perPiece) }}</strong>
            </p>
            <p v-if="timesPerYear !== null">
              <span class="label">a year, {{ timesPerYear }} times</span
              ><strong>{{ cents(answer.cents * timesPerYear) }}</strong>
            </p>
          </header>
          <details v-for="group in groups" :key="group.title" :open="group.title === 'Labor'">
            <summary>
              <span>{{ spell(group.title) }}</span><strong>{{ cents(group.cents) }}</strong>
            </summary>
            <ul>
              <li v-for="line in group.lines" :key="line.id">
                <span>{{ LINE_WORDS[line.id] }}</span>
                <span class="label"
                  >{{ amountText(line) }} at {{ rateText(line)
                  }}{{ line.typical === null ? '' : ', typical price: enter yours' }}</span
                >
                <span class="number">{{ cents(line.cents) }}</span>
              </li>
            </ul>
          </details>
          <details>
            <summary>
              <span>By weld</span><strong>{{ cents(answer.cents) }}</strong>
            </summary>
            <ul>
              <li v-for="weld in answer.welds" :key="weld.jointId">
                <span>{{ weldName(weld.jointId) }}</span>
                <span class="label">{{ weld.count }} welds, {{ cents(weld.cents / weld.count) }} each</span>
                <span class="number">{{ cents(weld.cents) }}</span>
              </li>
            </ul>
          </details>
          <details>
            <summary><span>Where wire and gas go</span></summary>
            <ul>
              <li v-for="use in answer.uses" :key="use.id">
                <span>{{ USE_WORDS[use.id] }}</span>
                <span class="label">{{ useText(use) }}</span>
                <span class="number">{{ useAmount(use) }}</span>
              </li>
            </ul>
          </details>
          <p class="label">
            Material and machine hours are not in it. Prices are those of the wire and gas records.
          </p>
        </section>
        <QuotePanel :job="job" :priced="answer" />
      </div>
      <div class="columns">
        <section class="sheet" aria-label="What moves the cost most">
          <h2>What moves the cost most</h2>
          <MoversChart :movers="movers" :print="signed" />
          <p class="label">
            Each bar: the cost if the figure is a fifth smaller or larger.
            <RouterLink :to="{ name: 'assumptions' }">Assumptions</RouterLink>
          </p>
        </section>
        <section class="sheet" aria-label="What habits and other ways cost">
          <h2>Habits and other ways</h2>
          <ul>
            <li v-for="habit in answer.habits" :key="habit.id">
              <span>{{ HABIT_WORDS[habit.id] }}</span>
              <span></span>
              <span class="number" :class="{ more: habit.cents > 0 }">{{ signed(habit.cents) }}</span>
            </li>
            <li v-for="way in answer.ways" :key="way.setUpId">
              <span>{{ way.setUpName }}</span>
              <span class="label">{{ cents(way.cents) }}</span>
              <span class="number" :class="{ more: way.cents > answer.cents }">{{
                way.cents === answer.cents ? 'this one' : signed(way.cents - answer.cents)
              }}</span>
            </li>
          </ul>
          <p v-if="answer.ways.length === 0" class="label">No set-up of the shop can do this job yet.</p>
        </section>
      </div>
    </template>
  </section>
</template>

<style scoped>
.cost {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 20px;
}
.none {
  padding: 16px;
}
.columns {
  align-items: start;
  display: grid;
  gap: 12px;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 440px), 1fr));
}
.sheet {
  padding: 12px 16px;
}
h2 {
  font-size: var(--text-l);
}
.sum {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 28px;
  margin-bottom: 8px;
}
.sum p {
  display: grid;
}
.figure {
  font-size: var(--text-xl);
}
summary {
  border-top: 1px solid var(--line);
  cursor: pointer;
  display: flex;
  justify-content: space-between;
  min-height: 32px;
  padding: 5px 0;
}
summary::before {
  content: '▸';
  margin-right: 6px;
}
details[open] > summary::before {
  content: '▾';
}
summary span {
  margin-right: auto;
}
li {
  display: grid;
  gap: 2px 12px;
  grid-template-columns: minmax(0, 2fr) minmax(0, 2fr) auto;
  padding: 3px 0 3px 18px;
}
.number {
  text-align: right;
}
.more {
  color: var(--fails);
}
a {
  color: inherit;
}
@media (pointer: coarse) {
  summary {
    min-height: 48px;
    padding: 12px 0;
  }
}
</style>
