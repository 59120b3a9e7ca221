/** A log of measurements, read and added up: what the thread beside the page does, and the tests ask of it. */
import {
  type Channel,
  type ChannelColumn,
  channelOf,
  CHANNELS,
  type Measured,
  measuredOf,
  type Samples,
  samplesOf,
  thinned,
  type Thinned,
} from '@brannik/core'
import { readCsv } from '../../files/csv.ts'

export type MeasurementOpened =
  | {
      readonly ok: true
      readonly headings: readonly string[]
      readonly columns: readonly (ChannelColumn | null)[]
      readonly rowCount: number
    }
  | { readonly ok: false; readonly message: string }

export interface MeasurementRead {
  readonly measured: Measured
  readonly skipped: number
  readonly firstSkipped: number | null
  readonly fromS: number
  readonly toS: number
  /** Lowest and highest by stretch of the drawing; null for a channel that no column is. */
  readonly drawn: Readonly<Record<Exclude<Channel, 'time'>, Thinned | null>>
}

const NEEDED = ['time', 'volts', 'amps'] as const
/** @returns what is still missing before it can be added up; empty where nothing is */
export const missingChannels = (columns: readonly (ChannelColumn | null)[]): readonly Channel[] =>
  NEEDED.filter((channel) => !columns.some((one) => one?.channel === channel))

let rows: readonly (readonly string[])[] = []

/** Takes a file in, and guesses its columns by their headings. */
export function openMeasurements(text: string): MeasurementOpened {
  const read = readCsv(text)
  if (!read.ok) {
    rows = []
    return read
  }
  rows = read.rows
  const taken = new Set<Channel>()
  const columns = read.headings.map((heading) => {
    const column = channelOf(heading)
    if (!column || taken.has(column.channel)) return null
    taken.add(column.channel)
    return column
  })
  return { ok: true, headings: read.headings, columns, rowCount: rows.length }
}

/** @param stretches columns of the drawing */
export function drawnOf(
  samples: Samples,
  has: (channel: Channel) => boolean,
  stretches: number,
  range: readonly [number, number],
): MeasurementRead['drawn'] {
  return Object.fromEntries(
    CHANNELS.filter((channel) => channel !== 'time').map((channel) => [
      channel,
      has(channel) ? thinned(samples.time, samples[channel], stretches, range) : null,
    ]),
  ) as MeasurementRead['drawn']
}

/** Adds up what was taken in. @throws RangeError where time, volts or amps is no column */
export function readMeasurements(
  columns: readonly (ChannelColumn | null)[],
  wireGPerMm: number,
  stretches: number,
): MeasurementRead {
  const { samples, skipped, firstSkipped } = samplesOf(rows, columns)
  const range = [samples.time[0] ?? 0, samples.time.at(-1) ?? 0] as const
  const has = (channel: Channel): boolean => columns.some((one) => one?.channel === channel)
  return {
    measured: measuredOf(samples, wireGPerMm),
    skipped,
    firstSkipped,
    fromS: range[0],
    toS: range[1],
    drawn: drawnOf(samples, has, stretches, range),
  }
}
