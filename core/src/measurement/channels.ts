/** Columns of a log of measurements: which channel each is, and in which unit, read from its heading. */

export const CHANNELS = ['time', 'volts', 'amps', 'feed', 'gas'] as const
export type Channel = (typeof CHANNELS)[number]

export interface ChannelColumn {
  readonly channel: Channel
  /** What one of the column is worth in s, V, A, mm/min or L/min. */
  readonly worth: number
  readonly unit: string
}

/** Units that a channel comes in, each with its worth; the first is taken where the heading names none. */
const UNITS: Readonly<Record<Channel, Readonly<Record<string, number>>>> = {
  time: { s: 1, sec: 1, ms: 0.001, us: 1e-6, µs: 1e-6, min: 60, h: 3600 },
  volts: { v: 1, mv: 0.001 },
  amps: { a: 1, ka: 1000, ma: 0.001 },
  feed: {
    'mm/min': 1,
    'm/min': 1000,
    'mm/s': 60,
    'cm/min': 10,
    'in/min': 25.4,
    ipm: 25.4,
  },
  gas: { 'l/min': 1, lpm: 1, cfh: 28.316_846_592 / 60, 'ft3/h': 28.316_846_592 / 60 },
}
/** Units as they are written, where that is not in small letters. */
const WRITTEN: Readonly<Record<string, string>> = {
  v: 'V',
  mv: 'mV',
  a: 'A',
  ka: 'kA',
  ma: 'mA',
  ipm: 'in/min',
  'l/min': 'L/min',
  lpm: 'L/min',
  cfh: 'CFH',
  'ft3/h': 'ft³/h',
}
/** @returns a unit of a channel as it is written */
export const unitWord = (unit: string): string => WRITTEN[unit] ?? unit

const NAMES: Readonly<Record<Channel, RegExp>> = {
  time: /\b(time|t|elapsed|seconds)\b/,
  volts: /\b(volts?|voltage|u|arc v)\b/,
  amps: /\b(amps?|current|i|amperage)\b/,
  feed: /\b(feed|wfs|wire|wire speed|wire feed)\b/,
  gas: /\b(gas|flow)\b/,
}

/** `Current (kA)` → its unit, in small letters; `time_ms` too. */
function unitIn(heading: string, channel: Channel): string | null {
  const lower = heading.toLowerCase()
  const named = /[([]\s*([^)\]]+?)\s*[)\]]/.exec(lower)?.[1]
  const words = named === undefined ? lower.split(/[\s_,]+/) : [named]
  return words.map((word) => word.replaceAll(/\s/g, '')).find((word) => word in UNITS[channel]) ?? null
}

/**
 * @returns which channel a heading names, and in which unit; null where it names none
 * @example channelOf('Wire feed (in/min)') // { channel: 'feed', worth: 25.4, unit: 'in/min' }
 */
export function channelOf(heading: string): ChannelColumn | null {
  const lower = heading
    .toLowerCase()
    .replaceAll(/[_-]+/g, ' ')
    .replaceAll(/[([].*$/g, '')
  const channel = CHANNELS.find((one) => NAMES[one].test(lower))
  return channel ? channelIn(channel, unitIn(heading, channel)) : null
}

/** @returns a column of a channel in a unit; in the usual one where it is null or not known */
export function channelIn(channel: Channel, unit: string | null): ChannelColumn {
  const [usual = ''] = Object.keys(UNITS[channel])
  const known = unit !== null && unit in UNITS[channel] ? unit : usual
  return { channel, unit: known, worth: UNITS[channel][known] ?? 1 }
}

/** Units in which a channel may come. */
export const unitsOf = (channel: Channel): readonly string[] => Object.keys(UNITS[channel])
