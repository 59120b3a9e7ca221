/** What a machine does by itself or in steps: programs, range switch, taps, start current. */
import { commonPractice, computed, dataPlate } from '../basis/source.ts'
import { calculation, from, input } from '../calculation/calculation.ts'
import type { Capability } from '../capability/capability.ts'
import { gunGas } from '../capability/gunPoints.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { figure, message, word } from '../model/message.ts'
import { VERDICT_RANK } from '../model/verdict.ts'
import { tungstenLightsA } from '../reference/tungstenRanges.ts'
import { currentAtFeed, feedCurrent, wireFeed, wireFeedSpeed } from '../trade/burnOff.ts'
import { dialSettingOf } from '../trade/dial.ts'
import { currentForVolts, currentForVoltsOf, startingVoltsOf } from '../trade/startingVolts.ts'
import { thinnerFamily, wantedCurrent } from '../trade/wantedCurrent.ts'
import { BY_COLUMN, type Criterion } from './criterion.ts'
import { isSameSize } from '../trade/sameSize.ts'
import { bad, good, grouped, type Judged, ofSetUp, poor } from './grouped.ts'
import { verdictOfCurrent, WINDOW } from './withinWindow.ts'

const PLATE = dataPlate()

/** Whether a program covers wire and gas; pulsed by hand nobody welds well. */
const autoProgram = ofSetUp(
  'auto-program',
  'together',
  ['powerSource', 'wire', 'gas'],
  ({ powerSource, process, fedWire, gas }) => {
    const programs = powerSource?.programs ?? []
    const burnsIn = gunGas({ process, gas })
    if (!fedWire || programs.length === 0 || burnsIn === null) return null
    const params = { wire: fedWire.name, gas: word('gunGas', burnsIn) }
    const isCovered = programs.some(
      (one) =>
        one.form === fedWire.form &&
        one.metal === fedWire.metal &&
        one.gas === burnsIn &&
        isSameSize(one.wireMm, fedWire.diameterMm),
    )
    if (isCovered) return good('covered', params, PLATE)
    return process.id === 'gmaw-pulse' ? poor('no-pulse', params, PLATE) : good('by-hand', params, PLATE)
  },
  { mends: () => [message('wire-with-program')] },
)

/** @returns whether a program covers wire and gas; null where the machine states none, or no wire or gas is chosen */
export function programOf(capability: Capability): 'covered' | 'by-hand' | null {
  const found = autoProgram.assess(capability, null)
  if (!found) return null
  return found.code === 'covered' ? 'covered' : 'by-hand'
}

/** Positions of the range switch for what this set-up welds with. */
const rangesOf = ({ powerSource, process }: Capability) =>
  powerSource?.ranges.filter(({ family }) => family === process.family) ?? []

/**
 * @returns the position of the range switch for a current: the one that has it most in its middle; null without a switch
 * @example switchFor(capability, 90) // 'low'
 */
export function switchFor(capability: Capability, currentA: number): string | null {
  const holding = rangesOf(capability).filter(({ minA, maxA }) => currentA >= minA && currentA <= maxA)
  const roomOf = ({ minA, maxA }: (typeof holding)[number]) => Math.min(currentA / minA, maxA / currentA)
  const [best] = holding.toSorted((one, other) => roomOf(other) - roomOf(one))
  return best?.mark ?? null
}

/** A switch may leave a gap between its ranges. */
const outputRange = grouped(
  'output-range',
  'together',
  ['powerSource'],
  (capability, demand) => {
    const ranges = rangesOf(capability)
    if (!demand || ranges.length === 0) return null
    const outside = demand.runs.find(({ wantedA }) => switchFor(capability, wantedA) === null)
    if (!outside) {
      const mark = switchFor(capability, demand.hungriest.wantedA) ?? ''
      return good('set', { mark, current: figure(demand.hungriest.wantedA, 'A') }, PLATE)
    }
    const { wantedA, lowA, highA, joint } = outside
    const reaches = ranges.some(
      ({ minA, maxA }) => maxA >= lowA && minA <= (highA ?? Number.POSITIVE_INFINITY),
    )
    return (reaches ? poor : bad)('between', { current: figure(wantedA, 'A') }, PLATE, joint.id)
  },
  { mends: () => [message('source-without-gap')] },
)

const tapAt = calculation({
  id: 'tap-at',
  title: 'Current for which the tap is chosen',
  symbol: 'I',
  unit: 'A',
  expression: 'min(I, I_max)',
  inputs: { I: from(wantedCurrent), I_max: input('greatest output', 'A', PLATE) },
  compute: ({ I, I_max }) => Math.min(I, I_max),
  source: computed('no more than the source has'),
})
export interface Tap {
  readonly mark: string
  /** How far its volts are above those wanted; below 0 colder. */
  readonly offV: number
  /** Current and wire speed that suit these volts. */
  readonly currentA: number
  readonly feedMmPerMin: number
  /** What the wire speed changes by, %. */
  readonly feedByPct: number
}

/**
 * @returns the nearest tap for a weld and the wire speed that makes up for its volts; null without measured taps
 * @example tapFor(capability, weld).mark // 'C'
 */
export function tapFor(
  { powerSource, supply, process, fedWire, gas, reckoner }: Capability,
  { joint, wantedA }: Pick<WeldFigures, 'joint' | 'wantedA'>,
): Tap | null {
  if (!fedWire || !supply || (powerSource?.voltageSteps ?? null) === null || process.id === 'gmaw-pulse')
    return null
  const arc = {
    metal: thinnerFamily(joint),
    gas: process.shielded ? gas : null,
    classification: fedWire.classification,
  }
  const U = startingVoltsOf(process.id, arc, wantedA, reckoner)
  const tap = dialSettingOf(supply.voltsDial, U, true)
  if (!tap) return null
  const I_t = currentForVoltsOf(process.id, arc, tap.gives, wantedA, reckoner)
  const feed = wireFeedSpeed(fedWire, wantedA, process.id, reckoner)
  const feedMmPerMin = wireFeedSpeed(fedWire, I_t, process.id, reckoner)
  return {
    mark: tap.mark,
    offV: tap.gives - U,
    currentA: currentAtFeed(fedWire, feedMmPerMin, process.id, reckoner),
    feedMmPerMin,
    feedByPct: (feedMmPerMin / feed - 1) * 100,
  }
}

function judgedTap(capability: Capability, weld: WeldFigures): Judged | null {
  if (!capability.supply) return null
  // Short of current the output fails; its taps are asked of what it gives.
  const I_max = capability.supply.outputMaxA
  const wantedA = capability.reckoner.compute(tapAt, { I: weld.wantedA, I_max })
  const run = { ...weld, wantedA, lowA: Math.min(weld.lowA, I_max) }
  const tap = tapFor(capability, run)
  if (!tap) return null
  const { mark, offV, currentA, feedMmPerMin } = tap
  const params = {
    mark,
    off: figure(Math.abs(offV), 'V'),
    way: word('tapOff', offV > 0 ? 'hot' : 'cold'),
    feed: figure(feedMmPerMin, 'mm/min'),
    current: figure(currentA, 'A'),
  }
  if (Math.abs(offV) <= capability.assumptions.voltsBandV)
    return { ...good('near', params, PLATE, run.joint.id), pass: run.pass }
  const at = { lowA: currentA, highA: currentA, leastA: currentA, mostA: currentA }
  const make = verdictOfCurrent(run, at) === 'fails' ? bad : poor
  return { ...make('off', params, PLATE, run.joint.id), pass: run.pass }
}

/** Volts in steps: the nearest is within the band of a start, or the wire makes up for it within the weld's window. */
const voltsTap = grouped(
  'volts-tap',
  'joint',
  ['circuit', 'powerSource', 'wire', 'gas'],
  (capability, demand) => {
    if (!demand) return null
    const found = demand.runs.flatMap((run) => judgedTap(capability, run) ?? [])
    return found.reduce<Judged | null>(
      (worst, next) => (!worst || VERDICT_RANK[next.verdict] > VERDICT_RANK[worst.verdict] ? next : worst),
      null,
    )
  },
  {
    facets: BY_COLUMN,
    mends: () => [message('source-without-taps')],
    from: [currentForVolts, wireFeed, ...feedCurrent, ...WINDOW],
  },
)

const LIGHTS = commonPractice('a tungsten that stays cold does not light, or the arc wanders off its point')

/** Too little to light the tungsten, or so much that thin sheet has a hole before the foot comes down. */
const startAmps = grouped(
  'start-amps',
  'together',
  ['powerSource', 'tungsten'],
  ({ powerSource, process, tungsten }, demand) => {
    const given = powerSource?.startAmps
    if (!given || process.electrode !== 'tungsten' || !tungsten) return null
    const lightsA = tungstenLightsA(tungsten.diameterMm)
    if (lightsA === null) return null
    const params = {
      tungsten: tungsten.name,
      lights: figure(lightsA, 'A'),
      most: figure(given.maxA, 'A'),
      least: figure(given.minA, 'A'),
    }
    if (given.maxA < lightsA) return poor('too-low', params, LIGHTS)
    const holed = demand?.runs.find(({ highA }) => highA !== null && given.minA > highA)
    return holed ? poor('too-high', params, LIGHTS, holed.joint.id) : good('lights', params, LIGHTS)
  },
  { mends: (_c, _d, { code }) => [message(code === 'too-low' ? 'thinner-tungsten' : 'start-on-scrap')] },
)

export const PROGRAM_CRITERIA: readonly Criterion[] = [autoProgram, outputRange, voltsTap, startAmps]
