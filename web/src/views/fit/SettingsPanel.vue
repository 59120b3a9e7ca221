<script setup lang="ts">
import {
  assumptionsOf,
  type OutcomeFigure,
  type SetUp,
  type SettingsTried,
  type StartFigure,
  type SteelHeat,
} from '@brannik/core'
import { computed, reactive, ref, watch } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import CountField from '../../components/CountField.vue'
import QuantityField from '../../components/QuantityField.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { useAnswer, type Question } from '../../engine/useAnswer.ts'
import type { Made } from '../../engine/questions/made.ts'
import { useAbout } from '../../stores/useAbout.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { OUTCOME_LABELS, otherSettings } from './otherSettings.ts'
import { settingPrinters } from './settingWords.ts'

/**
 * All settings of a weld, and what comes of them, beside others: the same set-up with other settings, or another set-up.
 * The left side is the start; whatever is typed on the right is tried, and nothing of it is stored.
 */
const { jobId, weldId, setUpId, setUps, calledLegMm } = defineProps<{
  jobId: string
  weldId: string
  setUpId: string
  setUps: readonly SetUp[]
  /** Leg that was called for; null of a groove. */
  calledLegMm: number | null
}>()
const emit = defineEmits<{
  open: [figure: StartFigure]
  openOutcome: [figure: OutcomeFigure, setUpId: string, settled: SettingsTried]
  close: []
}>()

const workspace = useWorkspace()
const printers = usePrint()
const { spell } = printers
const p = settingPrinters(printers)
const money = useMoney()
const about = useAbout()

const otherId = ref(setUpId)
interface Typed {
  voltsV: number | null
  feedMmPerMin: number | null
  currentA: number | null
  travelMmPerMin: number | null
}
const NOTHING: Typed = { voltsV: null, feedMmPerMin: null, currentA: null, travelMmPerMin: null }
const typed = reactive<Typed>({ ...NOTHING })
watch(
  () => setUpId,
  (now) => {
    otherId.value = now
  },
)
watch([otherId, () => weldId], () => Object.assign(typed, NOTHING))

const ask = (id: string, settled: SettingsTried | null): Question<'made'> => [
  'made',
  jobId,
  weldId,
  id,
  settled,
]
const { answer: here } = useAnswer<'made'>(computed(() => ask(setUpId, null)))
const { answer: there } = useAnswer<'made'>(computed(() => ask(otherId.value, null)))

/** What is typed, else what the other side starts with; null where nobody knows how fast it travels. */
const settled = computed<SettingsTried | null>(() => {
  const start = there.value?.settings
  const travelMmPerMin = typed.travelMmPerMin ?? start?.travelMmPerMin ?? null
  if (!start || travelMmPerMin === null) return null
  const feed = start.feedMmPerMin?.value ?? null
  return {
    currentA: typed.currentA ?? start.currentA.value,
    voltsV: typed.voltsV ?? start.arcV,
    feedMmPerMin: feed === null ? null : (typed.feedMmPerMin ?? feed),
    travelMmPerMin,
  }
})
const { answer: tried } = useAnswer<'made'>(
  computed(() => settled.value && ask(otherId.value, settled.value)),
)

const FIGURES: readonly OutcomeFigure[] = [
  'arc',
  'leg',
  'filled',
  'deposition',
  'heat',
  'cooling',
  'preheat',
  'carbon',
  'work',
  'cost',
]
const ARC_WORDS = {
  'burns-back': 'hisses, burns back to the tip',
  spatters: 'long, spatters',
  runs: 'runs',
  stubs: 'stubs, piles up cold',
} as const
const NONE = '–'
/** Only what one of the sides has: a hand that feeds a rod decides its leg itself. */
const figures = computed(() =>
  FIGURES.filter((figure) => [here.value, tried.value].some((made) => outcomeWords(made, figure) !== NONE)),
)
function outcomeWords(made: Made | null, figure: OutcomeFigure): string {
  const outcome = made?.outcome
  if (!outcome) return NONE
  const { arc, legMm, filledPct, depositionGPerMin, heatKJPerMm, steel, workSPerM, costPerM } = outcome
  switch (figure) {
    case 'arc':
      return arc === null ? NONE : `${ARC_WORDS[arc.state]} (${p.percent(arc.balancePct)} % of balance)`
    case 'leg':
      return legMm === null ? NONE : printers.print(legMm, 'mm')
    case 'filled':
      return filledPct === null ? NONE : `${p.amps(filledPct)} %`
    case 'deposition':
      return depositionGPerMin === null ? NONE : printers.print(depositionGPerMin, 'g/min')
    case 'heat':
      return p.heat(heatKJPerMm)
    case 'cooling':
      return steel === null ? NONE : `${p.seconds(steel.coolingS)}`
    case 'preheat':
      return steel === null ? NONE : preheatWords(steel)
    case 'carbon':
      return steel === null ? NONE : `${printers.number(steel.cePct, 2)} %`
    case 'work':
      return printers.print(workSPerM, 's per m')
    default:
      return costWords(costPerM)
  }
}
const workshopC = computed(() =>
  workspace.shop ? assumptionsOf(workspace.shop).workshopC : Number.POSITIVE_INFINITY,
)
/** By EN 1011-2, method B, to the nearest 5 °C. */
const preheatWords = ({ preheatC }: SteelHeat): string =>
  preheatC > workshopC.value ? printers.print(Math.round(preheatC / 5) * 5, '°C') : 'none'
const PER_FOOT_M = 0.3048
const isImperial = computed(() => workspace.notation.system === 'imperial')
const costWords = (perM: number): string =>
  isImperial.value ? `${money(perM * PER_FOOT_M)} a foot` : `${money(perM)} ${spell('a metre')}`

/** More or less than this is another size than was called for, %. */
const SAME_SIZE_PCT = 5
const compared = computed(() => {
  const [a, b] = [here.value?.outcome, tried.value?.outcome]
  if (!a || !b) return ''
  if (otherId.value === setUpId && Object.values(typed).every((one) => one === null))
    return 'Enter other settings on the right, or choose another set-up.'
  const saved = a.costPerM - b.costPerM
  const cost =
    Math.abs(saved) < a.costPerM / 200
      ? 'at the same cost'
      : `${costWords(Math.abs(saved))} ${saved > 0 ? 'cheaper' : 'more expensive'}`
  if (b.filledPct === null) return `The right side is ${cost}. The welder feeds the rod and sets the size.`
  if (b.filledPct < 100 - SAME_SIZE_PCT)
    return `The right side lays ${p.amps(b.filledPct)} % of the planned metal: too small${legWords(b.legMm)}. It is ${cost}, but not the same weld.`
  if (b.filledPct > 100 + SAME_SIZE_PCT)
    return `The right side lays ${p.amps(b.filledPct)} % of the planned metal: too large${legWords(b.legMm)}. It is ${cost}.`
  return `The right side makes the same size, ${cost}.`
})
const legWords = (legMm: number | null): string =>
  legMm === null || calledLegMm === null
    ? ''
    : `, a leg of ${printers.print(legMm, 'mm')} instead of ${printers.print(calledLegMm, 'mm')}`

const unpriced = computed(() => {
  const names = new Set([...(here.value?.outcome?.unpriced ?? []), ...(tried.value?.outcome?.unpriced ?? [])])
  return names.size === 0 ? '' : `Not included, no price: ${[...names].join(', ')}.`
})
/** Both sides' other settings by label, in the order of the left. */
const others = computed(() => {
  const [left, right] = [here.value, there.value].map((made) =>
    made ? otherSettings(made.settings, p, { money, about }) : [],
  )
  const labels = [...new Set([...(left ?? []), ...(right ?? [])].map(({ label }) => label))]
  const of = (side: typeof left, label: string) => side?.find((one) => one.label === label)
  return labels.map((label) => ({ label, left: of(left, label), right: of(right, label)?.words ?? '–' }))
})

/** Pulse by pulse: what a machine shows as peak, base, share and frequency is this mean current. */
const pulse = reactive<{
  peakA: number | null
  baseA: number | null
  sharePct: number | null
  hz: number | null
}>({ peakA: null, baseA: null, sharePct: null, hz: null })
watch(
  () => there.value?.settings.pulse ?? null,
  (now) => Object.assign(pulse, now ?? { peakA: null, baseA: null, sharePct: null, hz: null }),
  { immediate: true },
)
const meanA = computed(() => {
  const { peakA, baseA, sharePct } = pulse
  if (peakA === null || baseA === null || sharePct === null) return null
  return (peakA * sharePct + baseA * (100 - sharePct)) / 100
})
const loudHz = computed(() =>
  workspace.shop ? assumptionsOf(workspace.shop).pulseLoudHz : Number.POSITIVE_INFINITY,
)
const isLoud = computed(() => (pulse.hz ?? 0) >= loudHz.value)

const feeds = computed(() => (there.value?.settings.feedMmPerMin ?? null) !== null)
const setUpItems = computed(() =>
  setUps.map(({ id, name }) => ({ id, name: id === setUpId ? `${name}, other settings` : name })),
)
</script>

<template>
  <section class="sheet panel" aria-label="Settings side by side">
    <header>
      <h2>Settings side by side</h2>
      <p class="compared" role="status">{{ compared }}</p>
      <button class="plain-button" @click="emit('close')">Close</button>
    </header>
    <div class="sides">
      <VTable>
        <thead>
          <tr>
            <th scope="col"><span class="visually-hidden">Setting</span></th>
            <th scope="col">
              To start with
              <VerdictMark v-if="here" :verdict="here.verdict" />
            </th>
            <!-- The choice comes with a later chunk: the column has its name before it is there. -->
            <th scope="col">
              <span class="visually-hidden">Compared with</span>
              <div class="beside">
                <ChoiceField
                  bare
                  label="Compared with"
                  :items="setUpItems"
                  :model-value="otherId"
                  @update:model-value="(id) => id && (otherId = id)"
                />
                <VerdictMark v-if="there" :verdict="there.verdict" />
              </div>
            </th>
          </tr>
        </thead>
        <tbody v-if="here && there">
          <tr v-if="here.settings.voltsV || there.settings.voltsV">
            <th scope="row">Volts</th>
            <td>{{ here.settings.voltsV ? `${p.volts(here.settings.voltsV.value)} V` : '–' }}</td>
            <td>
              <CountField
                v-if="there.settings.voltsV"
                label=""
                name="Volts"
                :least="5"
                :most="60"
                decimals
                unit="V"
                :optional="`${p.volts(there.settings.voltsV.value)} V`"
                :model-value="typed.voltsV"
                @update:model-value="(now) => (typed.voltsV = now)"
              />
              <template v-else>–</template>
            </td>
          </tr>
          <tr v-if="here.settings.feedMmPerMin || feeds">
            <th scope="row">Wire speed</th>
            <td>{{ here.settings.feedMmPerMin ? p.feed(here.settings.feedMmPerMin.value) : '–' }}</td>
            <td>
              <QuantityField
                v-if="there.settings.feedMmPerMin"
                kind="wireFeedSpeed"
                label=""
                name="Wire speed"
                :optional="p.feed(there.settings.feedMmPerMin.value)"
                :model-value="typed.feedMmPerMin"
                @update:model-value="(now) => (typed.feedMmPerMin = now)"
              />
              <template v-else>–</template>
            </td>
          </tr>
          <tr>
            <th scope="row">Amps</th>
            <td>{{ p.amps(here.settings.currentA.value) }} A</td>
            <td>
              <CountField
                v-if="!feeds"
                label=""
                name="Amps"
                :least="1"
                :most="1000"
                decimals
                unit="A"
                :optional="`${p.amps(there.settings.currentA.value)} A`"
                :model-value="typed.currentA"
                @update:model-value="(now) => (typed.currentA = now)"
              />
              <template v-else>{{
                tried?.outcome ? `${p.amps(tried.outcome.currentA)} A, by wire feed speed` : '–'
              }}</template>
            </td>
          </tr>
          <tr>
            <th scope="row">Travel</th>
            <td>
              {{ here.settings.travelMmPerMin === null ? '–' : p.travel(here.settings.travelMmPerMin) }}
            </td>
            <td>
              <QuantityField
                kind="travelSpeed"
                label=""
                name="Travel"
                :optional="
                  there.settings.travelMmPerMin === null ? 'no data' : p.travel(there.settings.travelMmPerMin)
                "
                :model-value="typed.travelMmPerMin"
                @update:model-value="(now) => (typed.travelMmPerMin = now)"
              />
            </td>
          </tr>
          <tr v-for="figure in figures" :key="figure" class="out">
            <th scope="row">{{ OUTCOME_LABELS[figure] }}</th>
            <td>
              <button
                v-if="here.outcome"
                class="link-button"
                :disabled="outcomeWords(here, figure) === NONE"
                @click="emit('open', figure)"
              >
                {{ outcomeWords(here, figure) }}
              </button>
              <template v-else>–</template>
            </td>
            <td>
              <button
                v-if="tried?.outcome && settled"
                class="link-button"
                :disabled="outcomeWords(tried, figure) === NONE"
                @click="emit('openOutcome', figure, otherId, settled)"
              >
                {{ outcomeWords(tried, figure) }}
              </button>
              <template v-else>–</template>
            </td>
          </tr>
        </tbody>
      </VTable>
      <VTable>
        <thead>
          <tr>
            <th scope="col"><span class="visually-hidden">Setting</span></th>
            <th scope="col">Start setting</th>
            <th scope="col">{{ otherId === setUpId ? 'The same' : 'There' }}</th>
          </tr>
        </thead>
        <tbody v-if="here && there">
          <tr v-for="one in others" :key="one.label" class="rest">
            <th scope="row">{{ one.label }}</th>
            <td>
              <button v-if="one.left?.figure" class="link-button" @click="emit('open', one.left.figure)">
                {{ one.left.words }}
              </button>
              <template v-else>{{ one.left?.words ?? '–' }}</template>
            </td>
            <td>{{ one.right }}</td>
          </tr>
          <tr v-if="there.settings.pulse">
            <th scope="row">Your pulse</th>
            <td></td>
            <td>
              <div class="pulse">
                <CountField v-model="pulse.peakA" label="Peak, A" :least="1" :most="1000" decimals />
                <CountField v-model="pulse.baseA" label="Base, A" :least="0" :most="1000" decimals />
                <CountField v-model="pulse.sharePct" label="Share, %" :least="0" :most="100" decimals />
                <CountField v-model="pulse.hz" label="Pulses, Hz" :least="0.1" :most="20000" decimals />
                <output>{{ meanA === null ? '' : `mean ${p.amps(meanA)} A` }}</output>
              </div>
              <p v-if="isLoud" class="loud" role="status">
                Pulsing at {{ p.hertz(pulse.hz ?? 0) }} is loud. Wear ear plugs, and warn others.
              </p>
            </td>
          </tr>
        </tbody>
      </VTable>
    </div>
    <p class="quiet">
      Start settings: try them on a coupon. Nothing typed here is saved. {{ unpriced }}
      {{ spell('Labour') }} includes arc, tacking and handling. Power, wear and changeover are not included.
    </p>
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  gap: 6px;
  padding: 8px 16px 10px;
}
header {
  align-items: baseline;
  display: flex;
  gap: 14px;
}
.compared {
  flex: 1;
  font-weight: 700;
}
.sides {
  align-items: start;
  display: grid;
  gap: 0 28px;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
}
@media screen and (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}
th {
  font-weight: 400;
  text-align: left;
}
thead th {
  font-weight: 700;
}
.panel :deep(:is(td, th)) {
  height: auto;
  padding: 3px 8px 3px 0;
}
th:first-child {
  color: var(--ink-2);
  width: 24%;
}
td {
  font-variant-numeric: tabular-nums;
  width: 38%;
}
.out .link-button {
  color: var(--ink);
  font-weight: 700;
}
td :deep(.frame) {
  max-width: 180px;
}
.beside {
  align-items: center;
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr) auto;
}
.pulse {
  align-items: end;
  display: grid;
  gap: 8px;
  grid-template-columns: repeat(4, minmax(0, 1fr));
}
.loud {
  color: var(--tight);
}
</style>
