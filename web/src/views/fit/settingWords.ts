/** Words of settings to start with: labels, and how each figure is written. */
import type { PassKind, Start, StartFigure } from '@brannik/core'
import type { usePrint } from '../../stores/usePrint.ts'

/** Passes of a groove that have each their own current. */
export const PASS_WORDS: Readonly<Record<PassKind, string>> = { root: 'root pass', fill: 'fill passes' }

export const POLARITY_SHORT = { dcep: 'DCEP', dcen: 'DCEN', ac: 'AC' } as const
export const START_TITLES: Readonly<Record<StartFigure, string>> = {
  current: 'Start current',
  volts: 'Start voltage',
  feed: 'Start wire feed speed',
  flow: 'Gas flow',
  travel: 'Travel speed',
  pulse: 'Start pulse',
  'pre-flow': 'Pre-flow',
  'post-flow': 'Post-flow',
  heat: 'Heat input',
  cooling: 'Cooling time from 800 to 500 °C',
  preheat: 'Preheat for this heat input',
  carbon: 'Carbon equivalent CE',
  arc: 'Arc',
  leg: 'Resulting leg',
  filled: 'Metal, of the planned size',
  deposition: 'Deposition rate',
  work: 'Work per length of weld',
  cost: 'Cost per length of weld',
}
type Printers = ReturnType<typeof usePrint>

const rounded = (value: number, digits: number): number => Number(value.toPrecision(digits))
const UNIT = / [^ ]+$/
const PLACES = 1000

/** Printers of the figures of settings, in the units of the shop. */
/** Nobody holds a tip to less. */
const HALF_MM = 0.5
const toHalf = (mm: number): number => Math.round(mm / HALF_MM) * HALF_MM

export function settingPrinters({ print, printOther, number, wholeAmps, isMetric }: Printers) {
  const feed = (value: number): string => print(rounded(value, 2 + Number(value >= 10 * PLACES)), 'mm/min')
  return {
    feed,
    feedAlone: (value: number): string => feed(value).replace(UNIT, ''),
    volts: (value: number): string => number(rounded(value, 3), 3),
    amps: wholeAmps,
    travel: (value: number): string => print(rounded(value, 2), 'mm/min'),
    flow: (value: number): string => print(rounded(value, 3), 'L/min'),
    /** Meters are read in either unit, whatever the shop writes. */
    /** Flow meters of inch shops have both scales. */
    flowOther: (value: number): string => (isMetric() ? '' : printOther(rounded(value, 3), 'L/min')),
    hertz: (value: number): string =>
      value >= PLACES ? `${number(value / PLACES, 2)} kHz` : `${number(value, 2)} Hz`,
    seconds: (value: number): string => `${number(value, 2)} s`,
    percent: (value: number): string => number(Math.max(1, Math.round(value))),
    gas: (value: number): string => print(rounded(value, 2), 'L'),
    heat: (value: number): string => print(value, 'kJ/mm'),
    /** `3/8–1/2 in`: the unit once. */
    spread: ({ low, high }: { readonly low: number; readonly high: number }, unit: string): string =>
      isMetric()
        ? `${print(toHalf(low), unit).replace(UNIT, '')}–${print(toHalf(high), unit)}`
        : `${print(low, unit).replace(UNIT, '')}–${print(high, unit)}`,
  }
}
export type SettingPrinters = ReturnType<typeof settingPrinters>

export const bandWords = (start: Start, of: (value: number) => string): string =>
  `${of(start.low)}–${of(start.high)}`
