/** The current that a joint wants: amps per thickness, by metal, process, joint and position. */
import type { Assume } from '../assumptions/assume.ts'
import type { AssumptionKey } from '../assumptions/list.ts'
import type { Joint } from '../model/job.ts'
import { commonPractice, jobField } from '../model/source.ts'
import { type Step, term, type Term, type Worked } from '../model/working.ts'
import { MATERIALS, type MetalFamily } from '../reference/materials.ts'
import { type Process, PROCESSES, type ProcessId } from '../reference/processes.ts'
import { thickerMm, thinnerMm } from './groove.ts'

const PER_MM: Readonly<Record<MetalFamily, AssumptionKey>> = {
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

export const singlePassKey = (process: ProcessId): AssumptionKey => SINGLE_PASS[process]

/** The thinner part decides, and with it its metal. */
export const thinnerFamily = (joint: Joint): MetalFamily =>
  MATERIALS[joint.thicknessAMm <= joint.thicknessBMm ? joint.materialA : joint.materialB].family

/**
 * Current above which the thinner part burns through, A: the thin end counts as much as the thick.
 * @param wantedA what the joint wants of the thinner part
 */
export const burnThroughA = (wantedA: number, assume: Assume): number =>
  wantedA * (1 + assume.value('burnThroughPct') / 100)

/** The factors of a joint that multiply thickness into current, as terms of a working. */
function factorTerms(joint: Joint, process: Process, assume: Assume): Term[] {
  const terms = [assume.term(PER_MM[thinnerFamily(joint)], 'k')]
  if (process.family === 'fcaw') terms.push(assume.term('fcawFactor', 'fₚ'))
  terms.push(assume.term(JOINT_FACTOR[joint.kind], 'fⱼ'))
  if (thickerMm(joint) > HEAT_SINK_RATIO * thinnerMm(joint)) terms.push(assume.term('heatSinkFactor', 'fₕ'))
  if (OUT_OF_POSITION.includes(joint.position)) terms.push(assume.term('outOfPositionFactor', 'fₒ'))
  return terms
}

/** Amps for each millimetre of this joint's thinner part, all factors multiplied. */
export function ampsPerMm(joint: Joint, processId: ProcessId, assume: Assume): number {
  const terms = factorTerms(joint, PROCESSES[processId], assume)
  return terms.reduce((product, factor) => product * Number(factor.value), 1)
}

/** Thickness that one pass has to melt: the thinner part's share, up to the process's thickest single pass. */
export const passThicknessMm = (joint: Joint, processId: ProcessId, assume: Assume): number =>
  Math.min(thinnerMm(joint) / (joint.passes ?? 1), assume.value(singlePassKey(processId)))

/**
 * Current wanted by one pass of this joint.
 * @returns A, with its working
 */
export function wantedCurrentA(joint: Joint, processId: ProcessId, assume: Assume): Worked {
  const process = PROCESSES[processId]
  const thickness = passThicknessMm(joint, processId, assume)
  const factors = factorTerms(joint, process, assume)
  const value = factors.reduce((product, factor) => product * Number(factor.value), thickness)
  const pass: Step = {
    says: 'Thickness that one pass melts',
    formula: joint.passes === null ? 't = min(t₁, t₂)' : 't = min(t₁ / n, t₂)',
    terms: [
      term('t₁', 'thinner part', thinnerMm(joint), 'mm', jobField('thickness of the job')),
      assume.term(singlePassKey(processId), 't₂'),
      ...(joint.passes === null
        ? []
        : [term('n', 'passes chosen', joint.passes, '', jobField('passes of the job'))]),
    ],
    result: { symbol: 't', value: thickness, unit: 'mm' },
    source: commonPractice('common practice: thicker parts take several passes'),
  }
  const current: Step = {
    says: 'Current that the pass wants',
    formula: `I = t · ${factors.map((factor) => factor.symbol).join(' · ')}`,
    terms: [term('t', 'thickness of the pass', thickness, 'mm', jobField('step before')), ...factors],
    result: { symbol: 'I', value, unit: 'A' },
    source: commonPractice('common practice: 1 A per 0.001 in of steel'),
  }
  return { value, steps: [pass, current] }
}
