/** The settings of a trial: what can be turned at this machine, by what its own dial gives in one step. */
import type { Capability } from '../capability/capability.ts'
import { type SettingKey, type WeldSettings, SETTING_KEYS } from '../events/weldRecorded.ts'
import type { StartingSettings } from '../fit/settings.ts'
import type { UnitSystem } from '../quantity/units.ts'
import { turnsOf } from '../trade/dial.ts'

export interface Knob {
  readonly key: SettingKey
  readonly value: number
  /** Of the machine's own dial; null where it has none that was measured. */
  readonly mark: string | null
  readonly down: number | null
  readonly up: number | null
  /** The band of the chart; null where it has none. */
  readonly band: { readonly low: number; readonly high: number } | null
}

/** Half a volt, 10 in/min of wire, five amps, 2 CFH, an inch a minute (common practice, no source). */
const STEP: Readonly<Record<UnitSystem, Readonly<Record<SettingKey, number>>>> = {
  imperial: { voltsV: 0.5, feedMmPerMin: 254, currentA: 5, flowLPerMin: 0.943_894_8, travelMmPerMin: 25.4 },
  metric: { voltsV: 0.5, feedMmPerMin: 250, currentA: 5, flowLPerMin: 1, travelMmPerMin: 20 },
}
/** Below these a step down is no setting any more. */
const LEAST: Readonly<Record<SettingKey, number>> = {
  voltsV: 5,
  feedMmPerMin: 500,
  currentA: 5,
  flowLPerMin: 3,
  travelMmPerMin: 20,
}

const rounded = (value: number, digits: number): number => Number(value.toPrecision(digits))

/**
 * What the chart starts with, as a hand can set it.
 * @example startOf(settingsOf(capability, demand, weld)).voltsV // 19.5
 */
export function startOf(
  { voltsV, feedMmPerMin, currentA, flowLPerMin, travelMmPerMin, tap }: StartingSettings,
  { process }: Pick<Capability, 'process'>,
): WeldSettings {
  const feed = tap?.feedMmPerMin ?? feedMmPerMin?.value ?? null
  return {
    voltsV: voltsV && rounded(voltsV.value + (tap?.offV ?? 0), 3),
    feedMmPerMin: feed === null ? null : rounded(feed, feed >= 10_000 ? 3 : 2),
    currentA: process.feedsWire ? null : Math.round(currentA.value),
    flowLPerMin: flowLPerMin === null ? null : rounded(flowLPerMin, 3),
    travelMmPerMin: travelMmPerMin === null ? null : rounded(travelMmPerMin, 2),
  }
}

const bandsOf = ({ voltsV, feedMmPerMin, currentA }: StartingSettings) => ({
  voltsV,
  feedMmPerMin,
  currentA,
  flowLPerMin: null,
  travelMmPerMin: null,
})

function turned(key: SettingKey, value: number, { supply, powerSource }: Capability) {
  if (key === 'voltsV' && supply)
    return turnsOf(supply.voltsDial, value, (powerSource?.voltageSteps ?? null) !== null)
  return key === 'feedMmPerMin' && supply ? turnsOf(supply.feedDial, value, false) : null
}

/**
 * @param settings as they are set now; what is null has no knob
 * @returns a knob for each setting, in the order in which they are set
 */
export function knobsOf(
  capability: Capability,
  start: StartingSettings,
  settings: WeldSettings,
  system: UnitSystem,
): readonly Knob[] {
  return SETTING_KEYS.flatMap((key): Knob[] => {
    const value = settings[key]
    if (value === null) return []
    const band = bandsOf(start)[key]
    const turns = turned(key, value, capability)
    const step = STEP[system][key]
    const below = value - step
    const free = { down: below < LEAST[key] ? null : rounded(below, 5), up: rounded(value + step, 5) }
    return [
      {
        key,
        value,
        mark: turns?.mark ?? null,
        ...(turns ? { down: turns.down, up: turns.up } : free),
        band: band && { low: band.low, high: band.high },
      },
    ]
  })
}
