/** The shop's own start: the chart's figures moved by what worked here, the more the oftener it did. */
import {
  type LogRow,
  type SettingKey,
  SETTING_KEYS,
  type WeldRecord,
  type WeldSettings,
} from '../events/weldRecorded.ts'
import { robustMean } from './robustMean.ts'

/** Parts as thick as this or less are one band, mm (1/16, 1/8, 3/16, 1/4, 3/8, 1/2 and 1 in). */
const BAND_ENDS_MM = [1.5875, 3.175, 4.7625, 6.35, 9.525, 12.7, 25.4] as const

/** @returns which band of thickness a part is in, from 0 up */
export const thicknessBand = (thicknessMm: number): number => {
  const at = BAND_ENDS_MM.findIndex((end) => thicknessMm <= end * 1.001)
  return at < 0 ? BAND_ENDS_MM.length : at
}

export type StartOf = Pick<
  WeldRecord,
  'sourceId' | 'wireId' | 'gasId' | 'process' | 'position' | 'metal' | 'thicknessMm'
>

/** Whether two welds share a start: source, wire, gas, process, metal, band of thickness and position. */
export const isSameStart = (one: StartOf, other: StartOf): boolean =>
  one.sourceId === other.sourceId &&
  one.wireId === other.wireId &&
  one.gasId === other.gasId &&
  one.process === other.process &&
  one.position === other.position &&
  one.metal === other.metal &&
  thicknessBand(one.thicknessMm) === thicknessBand(other.thicknessMm)

/** The name under which what it teaches is taken or left. */
export const startKey = (of: StartOf): string =>
  `start.${of.sourceId ?? ''}.${of.wireId ?? ''}.${of.gasId ?? ''}.${of.process}.${of.metal}.${thicknessBand(of.thicknessMm)}.${of.position}`

/** Volts differ by volts; everything else by a share of itself. */
const BY_SHARE: Readonly<Record<SettingKey, boolean>> = {
  voltsV: false,
  feedMmPerMin: true,
  currentA: true,
  flowLPerMin: true,
  travelMmPerMin: true,
}
/** How finely a hand sets: 0.3 V, or 3 %. */
const LEAST_SPREAD = { volts: 0.3, share: 0.03 } as const

export interface OwnStart {
  readonly key: string
  /** The chart's figures moved; null where the chart has none. */
  readonly settings: WeldSettings
  /** Good welds that it rests on: those of the setting with the most. */
  readonly good: number
  /** Left out as wild, of all settings. */
  readonly wild: number
}

const roundedTo = (value: number, digits: number): number => Number(value.toPrecision(digits))

/**
 * @param rows of the log, in any order; those that are not good, or of another start, do not count
 * @param chart of the weld that is to be started
 * @param chartWeight k: so many good welds weigh as much as the chart
 * @returns null where nothing good is recorded that moves a setting
 * @example ownStart(rows, of, chart, 3)?.settings.voltsV // 19.2
 */
export function ownStart(
  rows: readonly Pick<LogRow, 'body'>[],
  of: StartOf,
  chart: WeldSettings,
  chartWeight: number,
): OwnStart | null {
  const good = rows
    .map(({ body }) => body)
    .filter((body) => body.outcome === 'good' && body.state !== 'planned' && isSameStart(body, of))
  if (good.length === 0) return null
  let [most, wild] = [0, 0]
  const moved = (key: SettingKey): number | null => {
    const start = chart[key]
    if (start === null) return null
    const isShare = BY_SHARE[key]
    const offs = good.flatMap(({ settings, chart: then }): number[] => {
      const [set, was] = [settings[key], then[key]]
      if (set === null || was === null || was <= 0 || set <= 0) return []
      return [isShare ? Math.log(set / was) : set - was]
    })
    if (offs.length === 0) return start
    const found = robustMean(offs, isShare ? LEAST_SPREAD.share : LEAST_SPREAD.volts)
    most = Math.max(most, found.n)
    wild += found.wild
    const by = (found.mean * found.n) / (found.n + chartWeight)
    return roundedTo(isShare ? start * Math.exp(by) : start + by, 3)
  }
  const settings = Object.fromEntries(SETTING_KEYS.map((key) => [key, moved(key)])) as WeldSettings
  return most === 0 ? null : { key: startKey(of), settings, good: most, wild }
}
