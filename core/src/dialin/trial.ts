/** A weld being dialled in at the machine: what is set, how the arc runs at that, and what to change next. */
import { type SettingKey, SETTING_KEYS, type WeldSettings } from '../events/weldRecorded.ts'
import { type FitInput, sidesOf } from '../fit/fit.ts'
import { outcomeOf } from '../fit/outcome.ts'
import { settingsOf } from '../fit/settings.ts'
import type { ArcWindow } from '../trade/arcWindow.ts'
import { settingsAreOf } from '../demand/weldFigures.ts'
import { type Advice, adviceOf, type Move } from './advice.ts'
import { type Cause, SIGNS_OF, type WeldClass, weldClassOf } from './causes.ts'
import { type Knob, knobsOf, startOf } from './knobs.ts'

export interface TrialState {
  /** As set now; null takes the chart's. */
  readonly settings: WeldSettings | null
  /** What is seen or heard; null where nothing is said yet. */
  readonly sign: string | null
  readonly ruledOut: readonly Cause[]
}

export interface Trial {
  readonly weldClass: WeldClass
  /** At most eight, of this process and wire. */
  readonly signs: readonly string[]
  readonly chart: WeldSettings
  readonly settings: WeldSettings
  readonly knobs: readonly Knob[]
  readonly arc: ArcWindow | null
  /** What these settings put out, A. */
  readonly currentA: number
  /** The window of the weld: colder laps, hotter burns through; null where nothing burns through. */
  readonly leastA: number
  readonly mostA: number | null
  /** Null where no sign is chosen. */
  readonly advice: Advice | null
}

/** How far from balance, in either direction. */
const offBy = (arc: ArcWindow | null): number => Math.abs(Math.log((arc?.balancePct ?? 100) / 100))

/**
 * @param input the shop, the job and every part of the set-up
 * @param jointId the weld; one that the job does not have gives the weld with the highest current
 * @example trialOf(input, 'upright', { settings: null, sign: 'stubs', ruledOut: [] }).advice?.next?.cause // 'clamp'
 */
export function trialOf(
  input: FitInput,
  jointId: string,
  { settings: typed, sign, ruledOut }: TrialState,
): Trial {
  const { capability, demand } = sidesOf(input)
  const weld = settingsAreOf(demand.welds.find(({ joint }) => joint.id === jointId) ?? demand.hungriest)
  const start = settingsOf(capability, demand, weld)
  const chart = startOf(start, capability)
  const settings = typed ?? chart
  const knobs = knobsOf(capability, start, settings, input.shop.unitSystem)
  const outcome = (at: WeldSettings) =>
    outcomeOf(capability, demand, weld, {
      currentA: at.currentA ?? weld.wantedA,
      voltsV: at.voltsV ?? start.arcV,
      feedMmPerMin: at.feedMmPerMin,
      travelMmPerMin: at.travelMmPerMin ?? start.travelMmPerMin ?? 1,
    })
  const now = outcome(settings)
  const moveOf = (key: SettingKey, way: 'up' | 'down'): Move | null => {
    const knob = knobs.find((one) => one.key === key)
    const to = knob?.[way] ?? null
    if (!knob || to === null) return null
    const then = outcome({ ...settings, [key]: to })
    const isColder = then.currentA < now.currentA
    if (isColder && then.currentA < weld.lowA) return null
    if (then.currentA > now.currentA && weld.highA !== null && then.currentA > weld.highA) return null
    if (then.currentA > now.currentA && then.currentA > (capability.supply?.outputMaxA ?? Infinity))
      return null
    // Volts leave the current where it is; they may not leave the arc without a wire that suits it.
    if (then.arc && then.arc.state !== 'runs' && offBy(then.arc) > offBy(now.arc)) return null
    return { key, from: knob.value, to, way }
  }
  const weldClass = weldClassOf(capability)
  return {
    weldClass,
    signs: Object.keys(SIGNS_OF[weldClass]),
    chart,
    settings,
    knobs,
    arc: now.arc,
    currentA: now.currentA,
    leastA: weld.lowA,
    mostA: weld.highA,
    advice: sign === null ? null : adviceOf(weldClass, sign, ruledOut, { arc: now.arc, moveOf }),
  }
}

/** @returns whether two are set alike */
export const isSameSettings = (one: WeldSettings, other: WeldSettings): boolean =>
  SETTING_KEYS.every((key) => one[key] === other[key])
