<script setup lang="ts">
import type { DialSetting, StartFigure, StartingSettings } from '@brannik/core'
import { computed } from 'vue'
import { usePrint } from '../../stores/usePrint.ts'
import { bandWords, PASS_WORDS, POLARITY_SHORT, settingPrinters } from './settingWords.ts'

/** Where to set the machine and how to hold the gun: one line of large figures, each of which opens to its working. */
const { settings, isBeyond, hasTaps, isOpen } = defineProps<{
  settings: StartingSettings
  /** Whether a link of the chain cannot carry it. */
  isBeyond: boolean
  /** Whether the volts are set by taps. */
  hasTaps: boolean
  /** Whether all settings stand below. */
  isOpen: boolean
}>()
const emit = defineEmits<{ open: [figure: StartFigure]; all: [] }>()

const printers = usePrint()
const p = settingPrinters(printers)

interface Cell {
  readonly figure: StartFigure | null
  readonly label: string
  readonly value: string
  /** How far it may lie beside, or how it is meant. */
  readonly beside: string
  /** Which school it follows, where there are several. */
  readonly why?: string
}

const LEADS = { dcep: 'gun on +', dcen: 'gun on −', ac: 'by the machine' } as const

/** Where to turn it, where the shop has measured that; else how far it may lie beside. */
const dialOr = (dial: DialSetting | null, noun: string, band: string): string =>
  dial ? `${noun} ${dial.mark}` : band

const cells = computed((): Cell[] => {
  const { voltsV, feedMmPerMin, currentA, polarity, flowLPerMin, travelMmPerMin, outcome } = settings
  const { tipToWorkMm, travel, angleDeg, voltsDial, feedDial, alternating, postFlowS } = settings
  const isTig = voltsV === null && postFlowS !== null
  const found: (Cell | null)[] = [
    voltsV && {
      figure: 'volts',
      label: 'Volts',
      value: `${p.volts(voltsV.value)} V`,
      beside: dialOr(voltsDial, hasTaps ? 'tap' : 'dial', bandWords(voltsV, p.volts)),
    },
    feedMmPerMin && {
      figure: 'feed',
      label: 'Wire speed',
      value: p.feed(feedMmPerMin.value),
      beside: dialOr(feedDial, 'dial', bandWords(feedMmPerMin, p.feedAlone)),
    },
    {
      figure: 'current',
      label: 'Amps',
      value: `${p.amps(currentA.value)} A`,
      beside: bandWords(currentA, p.amps),
    },
    { figure: null, label: 'Polarity', value: POLARITY_SHORT[polarity], beside: LEADS[polarity] },
    alternating && alternating.positivePct !== null
      ? { figure: null, label: 'Balance', value: `${p.amps(alternating.positivePct)} % +`, beside: '' }
      : null,
    alternating && alternating.hz !== null
      ? { figure: null, label: 'Frequency', value: p.hertz(alternating.hz), beside: '' }
      : null,
    flowLPerMin === null
      ? null
      : { figure: 'flow', label: 'Gas', value: p.flow(flowLPerMin), beside: p.flowOther(flowLPerMin) },
    isTig ? { figure: 'post-flow', label: 'Post-flow', value: p.seconds(postFlowS), beside: '' } : null,
    tipToWorkMm && {
      figure: null,
      label: 'Tip to work',
      value: p.spread(tipToWorkMm, 'mm'),
      beside: '',
    },
    {
      figure: null,
      label: travel === 'push' ? 'Push' : 'Drag',
      value: `${angleDeg.low}–${angleDeg.high}°`,
      beside: '',
      why: 'Push with gas, drag with slag. Some drag solid wire too, for a deeper, taller bead.',
    },
    travelMmPerMin === null
      ? null
      : { figure: 'travel', label: 'Travel', value: p.travel(travelMmPerMin), beside: '' },
    outcome && { figure: 'heat', label: 'Heat', value: p.heat(outcome.heatKJPerMm), beside: '' },
  ]
  return found.filter((cell) => cell !== null)
})
const twoFigures = (value: number): number => Number(value.toPrecision(2))
/** What a groove with an open root needs of each kind of pass, over the whole job. */
const passes = computed(() =>
  settings.passes.map(({ pass, passes: count, wantedA, voltsV, feedMmPerMin, arcS, fillerG, gasL }) => ({
    pass,
    name: `${count} ${count === 1 ? PASS_WORDS[pass].replace(/es$/, '') : PASS_WORDS[pass]}`,
    settings: [
      `${p.amps(wantedA)} A`,
      voltsV !== null && `${p.volts(voltsV)} V`,
      feedMmPerMin !== null && p.feed(feedMmPerMin),
    ]
      .filter(Boolean)
      .join(', '),
    uses: [
      arcS !== null && `${printers.print(arcS, 's')} of arc`,
      `${printers.print(twoFigures(fillerG), 'g')} filler`,
      gasL !== null && `${printers.print(twoFigures(gasL), 'L')} gas`,
    ]
      .filter(Boolean)
      .join(', '),
  })),
)
</script>

<template>
  <section class="sheet start" aria-label="Start settings">
    <h2 v-tip="'Start setting. Try it on a coupon of the same metal, thickness and position'">
      Start settings
      <small v-if="isBeyond" class="beyond">beyond this set-up</small>
      <small v-else>try it on a coupon</small>
    </h2>
    <dl>
      <div v-for="cell in cells" :key="cell.label">
        <dt>
          {{ cell.label }} <small v-if="cell.beside">{{ cell.beside }}</small>
        </dt>
        <dd>
          <button v-if="cell.figure" class="figure" @click="emit('open', cell.figure)">
            {{ cell.value }}
          </button>
          <span v-else v-tip="cell.why ?? ''" class="figure">{{ cell.value }}</span>
        </dd>
      </div>
    </dl>
    <ul v-if="passes.length > 0" class="passes" aria-label="Root and fill passes, over the whole job">
      <li v-for="one in passes" :key="one.pass">
        {{ one.name }} <strong>{{ one.settings }}</strong> {{ one.uses }}
      </li>
    </ul>
    <button
      v-tip="'All settings, their result, and others to compare'"
      class="plain-button"
      :aria-expanded="isOpen"
      @click="emit('all')"
    >
      Compare
    </button>
  </section>
</template>

<style scoped>
.start {
  align-items: center;
  display: grid;
  gap: 12px;
  grid-template-columns: 104px 1fr auto;
  padding: 4px 16px;
}
h2 {
  display: grid;
}
small {
  color: var(--ink-2);
  font-size: var(--text-s);
  font-weight: 400;
  white-space: nowrap;
}
h2 {
  line-height: 1.25;
}
/* Under the figures, which are those of the fill passes. */
.passes {
  display: flex;
  flex-wrap: wrap;
  font-size: var(--text-s);
  gap: 2px 24px;
  grid-column: 2;
  grid-row: 2;
  list-style: none;
  margin: 0;
  padding: 0 0 4px;
}
.beyond {
  color: var(--fails);
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  justify-content: space-between;
  margin: 0;
}
dt {
  color: var(--ink-2);
  font-size: var(--text-s);
}
dd {
  margin: 0;
}
.figure {
  background: none;
  border: 0;
  color: var(--ink);
  font-size: 17px;
  font-weight: 700;
  line-height: 1.25;
  padding: 0;
  white-space: nowrap;
}
button.figure {
  cursor: pointer;
}
button.figure:hover {
  text-decoration: underline;
}
/* A phone: the figures below their heading, three in a row. */
@media screen and (max-width: 700px) {
  .start {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 10px 16px;
  }
  dl,
  .passes {
    grid-column: 1 / -1;
    grid-row: auto;
    order: 1;
  }
  dl {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(100px, 1fr));
  }
}
</style>
