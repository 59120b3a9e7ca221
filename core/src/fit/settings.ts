/** Settings to start with for one weld: a start to be tried on a coupon of the same metal, with a band around each. */
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import { computed, standard } from '../basis/source.ts'
import type { Capability } from '../capability/capability.ts'
import { beadTravel } from '../criteria/joint.ts'
import { TracingReckoner } from '../calculation/reckoner.ts'
import type { Step } from '../calculation/step.ts'
import { type Demand, traceDemand } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import type { Polarity } from '../model/process.ts'
import { type Range, type Technique, techniqueFor } from '../reference/technique.ts'
import { wireFeed, wireFeedSpeed } from '../trade/burnOff.ts'
import { gasFlow } from '../trade/gasFlow.ts'
import { startingVolts, startingVoltsOf } from '../trade/startingVolts.ts'
import { thinnerFamily, wantedCurrent } from '../trade/wantedCurrent.ts'

/** A figure to start with, and how far it may lie beside. */
export interface Start extends Range {
  readonly value: number
}

export interface StartingSettings extends Technique {
  readonly jointId: string
  readonly currentA: Start
  /** Null by TIG, where the amps are set and the volts follow. */
  readonly voltsV: Start | null
  /** mm/min; null without a wire. */
  readonly feedMmPerMin: Start | null
  readonly polarity: Polarity
  /** L/min; null without gas. */
  readonly flowLPerMin: number | null
  /** mm/min; null without a wire. */
  readonly travelMmPerMin: number | null
  /** kJ/mm; null where nobody knows how fast it travels. */
  readonly heatKJPerMm: number | null
}

const bandAround = calculation({
  id: 'band-around',
  title: 'How far it may lie beside',
  symbol: 'Δ',
  unit: '%',
  expression: 'b',
  inputs: { b: assumed('feedBandPct') },
  compute: ({ b }) => b,
  source: computed('a start, not a procedure'),
})
const voltsBand = calculation({
  id: 'volts-band',
  title: 'How far the volts may lie beside',
  symbol: 'Δ_U',
  unit: 'V',
  expression: 'b',
  inputs: { b: assumed('voltsBandV') },
  compute: ({ b }) => b,
  source: computed('a start, not a procedure'),
})

const EN_1011 = standard('EN 1011-1, heat input Q = k·U·I/v', true)
const heatInput = calculation({
  id: 'heat-input',
  title: 'Heat input',
  symbol: 'Q',
  unit: 'kJ/mm',
  expression: 'k * U * I * 60 / (1000 * s)',
  inputs: {
    k: inputOrAssumed('share of the arc’s heat', '', EN_1011),
    U: startingVolts,
    I: from(wantedCurrent),
    s: input('travel speed', 'mm/min', computed('length over arc time'), beadTravel.id),
  },
  compute: ({ k, U, I, s }) => (k * U * I * 60) / (1000 * s),
  source: EN_1011,
})

const around = (value: number, by: number): Start => ({ value, low: value - by, high: value + by })

/**
 * @returns where to set volts, wire speed or amps for a weld, and how to hold the gun
 * @example settingsOf(capability, demand, demand.hungriest).voltsV // { value: 20.2, low: 19.2, high: 21.2 }
 */
export function settingsOf(c: Capability, d: Demand, weld: WeldFigures): StartingSettings {
  const { process, settings, gas, fedWire, r } = c
  const { joint, wantedA, arcS, runMm, passes } = weld
  const metal = thinnerFamily(joint)
  const share = r.take(bandAround, {}) / 100
  const U = startingVoltsOf(process.id, metal, process.shielded ? gas : null, wantedA, r)
  const travelMmPerMin =
    arcS === null || arcS <= 0
      ? null
      : r.take(beadTravel, { L_1: runMm, c: joint.count, q: d.job.quantity, n: passes, τ: arcS })
  const feed = fedWire ? wireFeedSpeed(fedWire, wantedA, process.id, r) : null
  return {
    jointId: joint.id,
    currentA: around(wantedA, wantedA * share),
    voltsV: process.feedsWire ? around(U, r.take(voltsBand, {})) : null,
    feedMmPerMin: feed === null ? null : around(feed, feed * share),
    polarity: settings.polarity,
    flowLPerMin: process.shielded ? c.flowLPerMin : null,
    travelMmPerMin,
    heatKJPerMm:
      travelMmPerMin === null
        ? null
        : r.take(heatInput, {
            k: process.feedsWire ? 'heatEfficiencyWire' : 'heatEfficiencyGtaw',
            U,
            I: wantedA,
            s: travelMmPerMin,
          }),
    ...techniqueFor(process.id, metal),
  }
}

/** What can be asked of settings to start with. */
export type StartFigure = 'current' | 'volts' | 'feed' | 'flow' | 'travel' | 'heat'

const START_FROM: Readonly<Record<StartFigure, readonly string[]>> = {
  current: [wantedCurrent.id],
  volts: startingVolts.from,
  feed: [wireFeed.id],
  flow: gasFlow.from,
  travel: [beadTravel.id],
  heat: [heatInput.id],
}
/** The band around each, where it has one. */
const BANDS: Readonly<Partial<Record<StartFigure, string>>> = {
  current: bandAround.id,
  feed: bandAround.id,
  volts: voltsBand.id,
}

/**
 * @returns the steps that end in one of the settings to start with
 * @example explainStart('volts', capability, demand, demand.hungriest).at(-1)?.result.unit // 'V'
 */
export function explainStart(
  figure: StartFigure,
  capability: Capability,
  demand: Demand,
  weld: WeldFigures,
): readonly Step[] {
  const tracer = new TracingReckoner(capability.assumptions)
  traceDemand(demand, weld.joint.id, tracer)
  const traced = capability.reckonedBy(tracer)
  settingsOf(traced, demand, weld)
  const band = BANDS[figure]
  return tracer.stepsOf([
    ...(band ? [{ calculations: [band], value: null }] : []),
    { calculations: START_FROM[figure], value: null },
  ])
}
