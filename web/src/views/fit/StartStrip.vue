<script setup lang="ts">
import type { Start, StartFigure, StartingSettings } from '@brannik/core'
import { computed } from 'vue'
import { usePrint } from '../../stores/usePrint.ts'

/** Where to set the machine and how to hold the gun: one line of large figures, each of which opens to its working. */
const { settings, isBeyond } = defineProps<{
  settings: StartingSettings
  /** Whether a link of the chain cannot carry it. */
  isBeyond: boolean
}>()
const emit = defineEmits<{ open: [figure: StartFigure] }>()

const { print, number, wholeAmps } = usePrint()

interface Cell {
  readonly figure: StartFigure | null
  readonly label: string
  readonly value: string
  /** How far it may lie beside, or how it is meant. */
  readonly beside: string
  /** Which school it follows, where there are several. */
  readonly why?: string
}

const PLACES = 1000
const rounded = (value: number, digits: number): number => Number(value.toPrecision(digits))
const band = (start: Start, of: (value: number) => string): string => `${of(start.low)}–${of(start.high)}`
/** `3/8–1/2 in`: the unit once. */
const spread = ({ low, high }: { low: number; high: number }, unit: string): string =>
  `${print(low, unit).replace(/ [^ ]+$/, '')}–${print(high, unit)}`

const POLARITY = { dcep: 'DCEP', dcen: 'DCEN', ac: 'AC' } as const
const LEADS = { dcep: 'gun on +', dcen: 'gun on −', ac: 'by the machine' } as const

const cells = computed((): Cell[] => {
  const { voltsV, feedMmPerMin, currentA, polarity, flowLPerMin, travelMmPerMin, heatKJPerMm } = settings
  const { tipToWorkMm, travel, angleDeg } = settings
  const feed = (value: number): string => print(rounded(value, 2 + Number(value >= 10 * PLACES)), 'mm/min')
  const volts = (value: number): string => number(rounded(value, 3), 3)
  const found: (Cell | null)[] = [
    voltsV && {
      figure: 'volts',
      label: 'Volts',
      value: `${volts(voltsV.value)} V`,
      beside: band(voltsV, volts),
    },
    feedMmPerMin && {
      figure: 'feed',
      label: 'Wire speed',
      value: feed(feedMmPerMin.value),
      beside: band(feedMmPerMin, (value) => feed(value).replace(/ .*$/, '')),
    },
    {
      figure: 'current',
      label: 'Amps',
      value: `${wholeAmps(currentA.value)} A`,
      beside: band(currentA, wholeAmps),
    },
    { figure: null, label: 'Polarity', value: POLARITY[polarity], beside: LEADS[polarity] },
    flowLPerMin === null
      ? null
      : {
          figure: 'flow',
          label: 'Gas',
          value: print(rounded(flowLPerMin, 3), 'L/min'),
          beside: '',
        },
    tipToWorkMm && {
      figure: null,
      label: 'Tip to work',
      value: spread(tipToWorkMm, 'mm'),
      beside: '',
    },
    {
      figure: null,
      label: travel === 'push' ? 'Push' : 'Drag',
      value: `${angleDeg.low}–${angleDeg.high}°`,
      beside: '',
      why: 'Push with gas, drag with slag. Some drag solid wire too: deeper, and a taller bead.',
    },
    travelMmPerMin === null
      ? null
      : {
          figure: 'travel',
          label: 'Travel',
          value: print(rounded(travelMmPerMin, 2), 'mm/min'),
          beside: '',
        },
    heatKJPerMm === null
      ? null
      : { figure: 'heat', label: 'Heat', value: `${number(heatKJPerMm, 2)} kJ/mm`, beside: '' },
  ]
  return found.filter((cell) => cell !== null)
})
</script>

<template>
  <section class="sheet start" aria-label="Settings to start with">
    <h2 v-tip="'A start to be tried on a coupon of the same metal, thickness and position'">
      Start with
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
  </section>
</template>

<style scoped>
.start {
  align-items: center;
  display: grid;
  gap: 16px;
  grid-template-columns: 116px 1fr;
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
</style>
