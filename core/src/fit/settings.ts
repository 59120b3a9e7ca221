/** Settings to start with for one weld: a start to be tried on a coupon of the same metal, with a band around each. */
import { assumed, calculation, from, inputOrAssumed } from '../calculation/calculation.ts'
import { commonPractice, computed } from '../basis/source.ts'
import type { Capability } from '../capability/capability.ts'
import { beadTravel, beadTravelOf, fastestTravelKey } from '../criteria/joint.ts'
import { programOf, switchFor, type Tap, tapFor } from '../criteria/programs.ts'
import { gasOfRunL, type LongFlow, longFlowOf, postFlow, postFlowS } from '../criteria/use.ts'
import { TracingReckoner } from '../calculation/reckoner.ts'
import type { Step } from '../calculation/step.ts'
import { type Demand, traceDemand } from '../demand/demand.ts'
import { settingsAreOf, type WeldFigures } from '../demand/weldFigures.ts'
import type { Polarity, ProcessId } from '../model/process.ts'
import { isCo2 } from '../reference/gases.ts'
import { type Inductance, inductanceFor } from '../reference/inductance.ts'
import {
  type ArcForce,
  arcForceFor,
  type Range,
  type Technique,
  techniqueFor,
} from '../reference/technique.ts'
import { wireFeed, wireFeedSpeed } from '../trade/burnOff.ts'
import { gasFlow } from '../trade/gasFlow.ts'
import type { PassKind } from '../trade/layers.ts'
import { startingVolts, startingVoltsOf } from '../trade/startingVolts.ts'
import { thinnerFamily, wantedCurrent } from '../trade/wantedCurrent.ts'
import { type DialSetting, dialSettingOf } from '../trade/dial.ts'
import { type Hand, handFor } from './hand.ts'
import { type Outcome, OUTCOME_FROM, type OutcomeFigure, outcomeOf } from './outcome.ts'
import {
  type Alternating,
  alternatingFor,
  momentsFor,
  type Pulse,
  PULSE_FROM,
  pulseFor,
  type Slopes,
  slopesFor,
} from './waves.ts'

export type Transfer = 'short-circuit' | 'spray' | 'pulsed-spray' | 'droplets' | null

/** A figure to start with, and how far it may lie beside. */
export interface Start extends Range {
  readonly value: number
}

export interface StartingSettings extends Technique, Hand {
  readonly jointId: string
  readonly currentA: Start
  /** Null by TIG, where the amps are set and the volts follow. */
  readonly voltsV: Start | null
  /** Arc volts that go with it, set or not. */
  readonly arcV: number
  /** mm/min; null without a wire. */
  readonly feedMmPerMin: Start | null
  /** How the wire's metal gets across; null by TIG and stick. */
  readonly transfer: Transfer
  /** How much of it a short-circuit wants; null where it does nothing. */
  readonly inductance: Inductance | null
  /** Of a stick, where the source sets it. */
  readonly arcForce: ArcForce | null
  /** Where to turn what the shop has measured; null where it has not. */
  readonly voltsDial: DialSetting | null
  readonly feedDial: DialSetting | null
  /** Null where it is not pulsed: by TIG a way to do it, by pulsed wire the only one. */
  readonly pulse: Pulse | null
  /** Null on direct current. */
  readonly alternating: Alternating | null
  /** Null where nobody slopes. */
  readonly slopes: Slopes | null
  /** Currents at the start and at the end, where the source has them; null where it does not. */
  readonly startAmpsA: number | null
  readonly endAmpsA: number | null
  /** Position of the range switch; null without one. */
  readonly range: string | null
  /** Of volts in steps: the nearest, and the wire speed that makes up for it. */
  readonly tap: Tap | null
  /** Whether a program covers wire and gas; null where none is stated. */
  readonly program: 'covered' | 'by-hand' | null
  readonly burnBack: boolean
  readonly runIn: boolean
  /** Where the machine's own post-flow is longer than the tungsten needs. */
  readonly longFlow: LongFlow | null
  readonly polarity: Polarity
  /** L/min; null without gas. */
  readonly flowLPerMin: number | null
  /** Before and after each arc, s; null without gas. */
  readonly preFlowS: number | null
  readonly postFlowS: number | null
  /** mm/min; null without a wire. */
  readonly travelMmPerMin: number | null
  /** What comes of it; null where nobody knows how fast it travels. */
  readonly outcome: Outcome | null
  /** Of a groove with an open root its root pass and its fill passes; empty for every other weld. */
  readonly passes: readonly PassStart[]
}

const bandAround = calculation({
  id: 'band-around',
  title: 'Band',
  symbol: 'Δ',
  unit: '%',
  expression: 'b',
  inputs: { b: assumed('feedBandPct') },
  compute: ({ b }) => b,
  source: computed('a start, not a procedure'),
})
const voltsBand = calculation({
  id: 'volts-band',
  title: 'Band of the voltage',
  symbol: 'Δ_U',
  unit: 'V',
  expression: 'b',
  inputs: { b: assumed('voltsBandV') },
  compute: ({ b }) => b,
  source: computed('a start, not a procedure'),
})

const travelByHand = calculation({
  id: 'travel-start',
  title: 'Start travel speed',
  symbol: 's',
  unit: 'mm/min',
  expression: 'min(s, s_most)',
  inputs: {
    s: from(beadTravel),
    s_most: inputOrAssumed('maximum travel speed by hand', 'mm/min', commonPractice()),
  },
  compute: ({ s, s_most }) => Math.min(s, s_most),
  source: commonPractice('by hand no faster, the bead comes out larger'),
})

const around = (value: number, by: number): Start => ({ value, low: value - by, high: value + by })

/** A plain figure of the assumptions, to be opened like every other. */
const preFlow = calculation({
  id: 'pre-flow',
  title: 'Pre-flow each start',
  symbol: 'a',
  unit: 's',
  expression: 'a',
  inputs: { a: assumed('preFlowS') },
  compute: ({ a }) => a,
  source: computed('as the shop assumes'),
})

const TRANSFERS: Readonly<Record<ProcessId, Transfer>> = {
  'gmaw-short': 'short-circuit',
  'gmaw-spray': 'spray',
  'gmaw-pulse': 'pulsed-spray',
  'fcaw-s': 'droplets',
  'fcaw-g': 'droplets',
  'gtaw-dc': null,
  'gtaw-ac': null,
  smaw: null,
}

/**
 * @returns where to set volts, wire speed or amps for a weld, how to hold the gun, and what comes of it
 * @example settingsOf(capability, demand, demand.hungriest).voltsV // { value: 20.2, low: 19.2, high: 21.2 }
 */
export function settingsOf(capability: Capability, demand: Demand, line: WeldFigures): StartingSettings {
  const weld = settingsAreOf(line)
  const { process, settings, gas, fedWire, supply, powerSource, reckoner } = capability
  const { joint, wantedA, heatedMm } = weld
  const metal = thinnerFamily(joint)
  const share = reckoner.compute(bandAround, {}) / 100
  const U = arcVoltsOf(capability, weld)
  const wantedTravel = beadTravelOf(weld, demand.job.quantity, reckoner)
  // Faster than a hand keeps up nobody welds: what is laid down at that travel is what comes of it.
  const travelMmPerMin =
    wantedTravel === null || process.electrode === 'tungsten'
      ? wantedTravel
      : reckoner.compute(travelByHand, { s: wantedTravel, s_most: fastestTravelKey(weld) })
  const feed = fedWire ? wireFeedSpeed(fedWire, wantedA, process.id, reckoner) : null
  const isCo2Short = gas !== null && isCo2(gas)
  return {
    jointId: joint.id,
    currentA: around(wantedA, wantedA * share),
    voltsV: process.feedsWire ? around(U, reckoner.compute(voltsBand, {})) : null,
    arcV: U,
    feedMmPerMin: feed === null ? null : around(feed, feed * share),
    transfer: TRANSFERS[process.id],
    inductance:
      process.id === 'gmaw-short'
        ? inductanceFor({ metal, isCo2: isCo2Short, position: joint.position, heatedMm })
        : null,
    voltsDial:
      process.feedsWire && supply
        ? dialSettingOf(supply.voltsDial, U, (powerSource?.voltageSteps ?? null) !== null)
        : null,
    feedDial: feed !== null && supply ? dialSettingOf(supply.feedDial, feed, false) : null,
    pulse: pulseFor(capability, weld, feed),
    alternating: alternatingFor(capability, weld),
    slopes: slopesFor(capability),
    ...momentsFor(capability, wantedA),
    range: switchFor(capability, wantedA),
    tap: tapFor(capability, weld),
    program: programOf(capability),
    burnBack: process.feedsWire && powerSource?.burnBack === true,
    runIn: process.feedsWire && powerSource?.runIn === true,
    longFlow: longFlowOf(capability, demand),
    polarity: settings.polarity,
    flowLPerMin: process.shielded ? capability.flowLPerMin : null,
    preFlowS: process.shielded ? reckoner.compute(preFlow, {}) : null,
    postFlowS: process.shielded ? postFlowS(capability, demand) : null,
    travelMmPerMin,
    outcome:
      travelMmPerMin === null
        ? null
        : outcomeOf(capability, demand, weld, {
            currentA: wantedA,
            voltsV: U,
            feedMmPerMin: feed,
            travelMmPerMin,
          }),
    arcForce:
      process.electrode === 'covered' && powerSource?.arcForce === true && capability.wire
        ? arcForceFor(capability.wire.classification)
        : null,
    ...techniqueFor(process.id, metal, joint),
    ...handFor(capability, weld, { pieces: demand.job.quantity, preheatC: demand.job.preheatC }),
    passes: line.runs.map((run) => passStartOf(capability, demand, run)),
  }
}

/** Current and amounts of the root pass, or of the fill passes, over the whole job. */
export interface PassStart {
  readonly pass: PassKind
  readonly passes: number
  readonly wantedA: number
  /** Null by TIG and stick. */
  readonly voltsV: number | null
  /** mm/min; null without a wire. */
  readonly feedMmPerMin: number | null
  readonly fillerG: number
  /** s; null where the wire is missing. */
  readonly arcS: number | null
  /** L, a back purge with the root pass; null without gas. */
  readonly gasL: number | null
}

function passStartOf(capability: Capability, demand: Demand, run: WeldFigures): PassStart {
  const { process, fedWire, reckoner } = capability
  const { pass, passes, wantedA, fillerG, arcS } = run
  return {
    pass: pass ?? 'fill',
    passes,
    wantedA,
    voltsV: process.feedsWire ? arcVoltsOf(capability, run) : null,
    feedMmPerMin: fedWire ? wireFeedSpeed(fedWire, wantedA, process.id, reckoner) : null,
    fillerG,
    arcS,
    gasL: gasOfRunL(capability, demand, run),
  }
}

const arcVoltsOf = ({ process, gas, wire, reckoner }: Capability, { joint, wantedA }: WeldFigures): number =>
  startingVoltsOf(
    process.id,
    {
      metal: thinnerFamily(joint),
      gas: process.shielded ? gas : null,
      classification: wire?.classification ?? null,
    },
    wantedA,
    reckoner,
  )

/** What can be asked of settings to start with. */
export type StartFigure =
  'current' | 'volts' | 'feed' | 'flow' | 'travel' | 'pulse' | 'pre-flow' | 'post-flow' | OutcomeFigure

const START_FROM: Readonly<Record<StartFigure, readonly string[]>> = {
  current: [wantedCurrent.id],
  volts: startingVolts.from,
  feed: [wireFeed.id],
  flow: gasFlow.from,
  travel: [travelByHand.id, beadTravel.id],
  pulse: [],
  'pre-flow': [preFlow.id],
  'post-flow': postFlow.from,
  ...OUTCOME_FROM,
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
  const { currentA } = settingsOf(traced, demand, weld)
  const band = BANDS[figure]
  return tracer.stepsOf([
    ...(band ? [{ calculations: [band], value: null }] : []),
    // Of a pulse each figure is a result of its own.
    ...(figure === 'pulse' ? PULSE_FROM.map(({ id }) => ({ calculations: [id], value: null })) : []),
    { calculations: START_FROM[figure], value: figure === 'current' ? currentA.value : null },
  ])
}
