/** A log of measurements: rows of numbers by channel, added up and thinned for drawing. */
import { type Channel, type ChannelColumn, CHANNELS } from './channels.ts'
import { ArcMeter, type Measured } from './meter.ts'

/** One array a channel, all equally long; s, V, A, mm/min, L/min. What was not measured is 0 throughout. */
export type Samples = Readonly<Record<Channel, Float64Array>>

export interface SamplesRead {
  readonly samples: Samples
  /** Rows that could not be read, or went back in time. */
  readonly skipped: number
  /** The first of them, headings counted as row 1; null where there is none. */
  readonly firstSkipped: number | null
}

/**
 * @param rows cells below the headings
 * @param columns which channel each column is; null for those that are left out. Time, volts and amps must be among them
 * @throws RangeError where one of the three is missing
 */
export function samplesOf(
  rows: readonly (readonly string[])[],
  columns: readonly (ChannelColumn | null)[],
): SamplesRead {
  const places = CHANNELS.map((channel) => columns.findIndex((one) => one?.channel === channel))
  const worths = places.map((place) => columns[place]?.worth ?? 0)
  for (const [index, channel] of (['time', 'volts', 'amps'] as const).entries())
    if (places[index] === -1) throw new RangeError(`no column is ${channel}`)
  const made = Object.fromEntries(
    CHANNELS.map((channel) => [channel, new Float64Array(rows.length)]),
  ) as Record<Channel, Float64Array>
  const arrays = CHANNELS.map((channel) => made[channel])
  let count = 0
  let lastS = Number.NEGATIVE_INFINITY
  let firstSkipped: number | null = null
  for (const [index, row] of rows.entries()) {
    let isGood = true
    for (const [channel, place] of places.entries()) {
      if (place === undefined || place < 0) continue
      const text = row[place] ?? ''
      const value = text === '' ? Number.NaN : Number(text) * (worths[channel] ?? 1)
      if (!Number.isFinite(value)) isGood = false
      const array = arrays[channel]
      if (array) array[count] = value
    }
    const timeS = made.time[count] ?? Number.NaN
    if (!isGood || timeS < lastS) {
      firstSkipped ??= index + 2
      continue
    }
    lastS = timeS
    count += 1
  }
  const samples = Object.fromEntries(
    CHANNELS.map((channel) => [channel, made[channel].slice(0, count)]),
  ) as Samples
  return { samples, skipped: rows.length - count, firstSkipped }
}

/**
 * @param wireGPerMm what one mm of the wire weighs, g; 0 without a wire
 * @returns what the samples add up to
 */
export function measuredOf({ time, volts, amps, feed, gas }: Samples, wireGPerMm: number): Measured {
  const meter = new ArcMeter()
  for (let index = 0; index < time.length; index += 1)
    meter.add(time[index] ?? 0, volts[index] ?? 0, amps[index] ?? 0, feed[index] ?? 0, gas[index] ?? 0)
  return meter.measured(wireGPerMm)
}

/** Lowest and highest of each of so many equal stretches of time: no spike is lost where they are drawn. */
export interface Thinned {
  readonly low: Float64Array
  readonly high: Float64Array
}

/**
 * @param stretches columns of the drawing
 * @returns NaN where a stretch has no sample
 */
export function thinned(
  time: Float64Array,
  values: Float64Array,
  stretches: number,
  [fromS, toS]: readonly [number, number],
): Thinned {
  const low = new Float64Array(stretches).fill(Number.NaN)
  const high = new Float64Array(stretches).fill(Number.NaN)
  const perS = stretches / Math.max(1e-9, toS - fromS)
  for (let index = 0; index < time.length; index += 1) {
    const at = Math.min(stretches - 1, Math.floor(((time[index] ?? 0) - fromS) * perS))
    if (at < 0 || (time[index] ?? 0) > toS) continue
    const value = values[index] ?? 0
    const [least, most] = [low[at] ?? Number.NaN, high[at] ?? Number.NaN]
    if (Number.isNaN(least) || value < least) low[at] = value
    if (Number.isNaN(most) || value > most) high[at] = value
  }
  return { low, high }
}
