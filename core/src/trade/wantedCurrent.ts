/** The current that a joint wants: amps per thickness, by metal, process, joint and position. */
import type { AssumptionKey } from '../assumptions/list.ts'
import { commonPractice, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Joint } from '../model/job.ts'
import type { Metal } from '../model/material.ts'
import type { ProcessId } from '../model/process.ts'
import { MATERIALS } from '../reference/materials.ts'
import { PROCESSES } from '../reference/processes.ts'
import { thickerMm, thinnerMm } from './groove.ts'

const PER_MM: Readonly<Record<Metal, AssumptionKey>> = {
  'carbon-steel': 'ampsPerMmCarbonSteel',
  stainless: 'ampsPerMmStainless',
  aluminium: 'ampsPerMmAluminium',
}

const SINGLE_PASS: Readonly<Record<ProcessId, AssumptionKey>> = {
  'gmaw-short': 'singlePassShortCircuitMm',
  'gmaw-spray': 'singlePassSprayMm',
  'fcaw-s': 'singlePassFcawMm',
  'fcaw-g': 'singlePassFcawMm',
  'gtaw-dc': 'singlePassGtawMm',
  'gtaw-ac': 'singlePassGtawMm',
}
/** @returns the assumption for the thickest single pass of a process */
export const singlePassKey = (process: ProcessId): AssumptionKey => SINGLE_PASS[process]

const JOINT_FACTOR: Readonly<Record<Joint['kind'], AssumptionKey>> = {
  tee: 'filletFactor',
  lap: 'filletFactor',
  'inside-corner': 'filletFactor',
  'outside-corner': 'outsideCornerFactor',
  saddle: 'filletFactor',
  edge: 'outsideCornerFactor',
  square: 'buttFactor',
  v: 'buttFactor',
  'double-v': 'buttFactor',
  bevel: 'buttFactor',
  'double-bevel': 'buttFactor',
  u: 'buttFactor',
  j: 'buttFactor',
  'flare-v': 'buttFactor',
  'flare-bevel': 'buttFactor',
  plug: 'filletFactor',
  slot: 'filletFactor',
}

/** From this ratio of thicknesses on, the thicker part draws the heat away. */
const HEAT_SINK_RATIO = 1.5

const OUT_OF_POSITION: readonly Joint['position'][] = ['vertical-up', 'vertical-down', 'overhead']

/** Whether the thicker part draws the heat away. */
export const isHeatSink = (joint: Joint): boolean => thickerMm(joint) > HEAT_SINK_RATIO * thinnerMm(joint)

/** The thinner part decides, and with it its metal. */
export const thinnerFamily = (joint: Joint): Metal =>
  MATERIALS[joint.thicknessAMm <= joint.thicknessBMm ? joint.materialA : joint.materialB].family

const PRACTICE = commonPractice('common practice: 1 A per 0.001 in of steel')

export const passThickness = calculation({
  id: 'pass-thickness',
  title: 'Thickness that one pass melts',
  symbol: 't',
  unit: 'mm',
  expression: 'min(t_1 / n, t_2)',
  inputs: {
    t_1: input('thinner part', 'mm', jobField('thickness of the weld')),
    n: input('passes chosen; 1 where none are', '', jobField('passes of the weld')),
    t_2: inputOrAssumed('thickest single pass', 'mm', PRACTICE),
  },
  compute: ({ t_1, n, t_2 }) => Math.min(t_1 / n, t_2),
  source: commonPractice('common practice: thicker parts take several passes'),
})

const metal = inputOrAssumed('current per thickness', 'A/mm', PRACTICE)
const kind = inputOrAssumed('factor of the joint', '×', PRACTICE)

/** One for each mix of factors that may apply, so that a working names those that do and no others. */
function perMmWith(isCored: boolean, hasHeatSink: boolean, isOutOfPosition: boolean) {
  const names = [
    ...(isCored ? ['f_p'] : []),
    ...(hasHeatSink ? ['f_h'] : []),
    ...(isOutOfPosition ? ['f_o'] : []),
  ]
  return calculation({
    id: ['current-per-mm', ...names].join(' '),
    title: 'Current per thickness of this joint',
    symbol: 'K',
    unit: 'A/mm',
    expression: ['k', 'f_j', ...names].join(' * '),
    inputs: {
      k: metal,
      f_j: kind,
      ...(isCored ? { f_p: assumed('fcawFactor') } : {}),
      ...(hasHeatSink ? { f_h: assumed('heatSinkFactor') } : {}),
      ...(isOutOfPosition ? { f_o: assumed('outOfPositionFactor') } : {}),
    },
    compute: ({ k, f_j, f_p = 1, f_h = 1, f_o = 1 }) => k * f_j * f_p * f_h * f_o,
    source: PRACTICE,
  })
}
const BOTH = [false, true] as const
/** In the order of the three bits: cored, heat sink, out of position. */
const PER_MM_BY_FACTORS = BOTH.flatMap((isCored) =>
  BOTH.flatMap((hasHeatSink) => BOTH.map((isOut) => perMmWith(isCored, hasHeatSink, isOut))),
)
const factorsOf = (isCored: boolean, hasHeatSink: boolean, isOut: boolean) => {
  const found = PER_MM_BY_FACTORS[4 * Number(isCored) + 2 * Number(hasHeatSink) + Number(isOut)]
  if (!found) throw new RangeError('there are eight mixes of factors')
  return found
}
export const currentPerMm = from(factorsOf(false, false, false), ...PER_MM_BY_FACTORS)

export const wantedCurrent = calculation({
  id: 'wanted-current',
  title: 'Current that the pass wants',
  symbol: 'I',
  unit: 'A',
  expression: 't * K',
  inputs: { t: from(passThickness), K: currentPerMm },
  compute: ({ t, K }) => t * K,
  source: PRACTICE,
})

export const leastWindowCurrent = calculation({
  id: 'window-low',
  title: 'Least current that still makes the weld',
  symbol: 'I_low',
  unit: 'A',
  expression: 'I * (1 - w / 100)',
  inputs: { I: from(wantedCurrent), w: assumed('workingWindowPct') },
  compute: ({ I, w }) => I * (1 - w / 100),
  source: commonPractice(),
})

export const mostWindowCurrent = calculation({
  id: 'window-high',
  title: 'Most current that still makes the weld',
  symbol: 'I_high',
  unit: 'A',
  expression: 'I * (1 + w / 100)',
  inputs: { I: from(wantedCurrent), w: assumed('workingWindowPct') },
  compute: ({ I, w }) => I * (1 + w / 100),
  source: commonPractice(),
})

export const burnThroughCurrent = calculation({
  id: 'burn-through',
  title: 'Current above which the thinner part burns through',
  symbol: 'I_b',
  unit: 'A',
  expression: 'I * (1 + b / 100)',
  inputs: { I: from(wantedCurrent), b: assumed('burnThroughPct') },
  compute: ({ I, b }) => I * (1 + b / 100),
  source: commonPractice(),
})

export interface WantedCurrent {
  /** mm */
  readonly passThicknessMm: number
  /** Amps for each millimetre of the thinner part, all factors multiplied. */
  readonly perMmA: number
  /** A */
  readonly wantedA: number
  /** The least and the most current that still makes the weld, A. */
  readonly lowA: number
  readonly highA: number
  /** Current above which the thinner part burns through, A. */
  readonly burnThroughA: number
}

/** @returns the current that one pass of this joint wants, and what stands around it */
export function wantedCurrentOf(joint: Joint, processId: ProcessId, r: Reckoner): WantedCurrent {
  const passThicknessMm = r.take(passThickness, {
    t_1: thinnerMm(joint),
    n: joint.passes ?? 1,
    t_2: SINGLE_PASS[processId],
  })
  const isCored = PROCESSES[processId].family === 'fcaw'
  const isOut = OUT_OF_POSITION.includes(joint.position)
  const perMmA = r.take(factorsOf(isCored, isHeatSink(joint), isOut), {
    k: PER_MM[thinnerFamily(joint)],
    f_j: JOINT_FACTOR[joint.kind],
  })
  const wantedA = r.take(wantedCurrent, { t: passThicknessMm, K: perMmA })
  return {
    passThicknessMm,
    perMmA,
    wantedA,
    lowA: r.take(leastWindowCurrent, { I: wantedA }),
    highA: r.take(mostWindowCurrent, { I: wantedA }),
    burnThroughA: r.take(burnThroughCurrent, { I: wantedA }),
  }
}
