/**
 * The current that a joint needs. Up to a thickness the arc melts through the part, and the current grows with it;
 * above, only the faces have to fuse, and it grows with the root. A stick is set by its own range (`stickCurrent.ts`).
 * `docs/model.md` has it on one page, with its residuals.
 */
import type { AssumptionKey } from '../assumptions/list.ts'
import { commonPractice, handbook, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Joint } from '../kinds/job.ts'
import type { Position } from '../model/jointKinds.ts'
import type { Metal } from '../model/material.ts'
import type { ProcessId } from '../model/process.ts'
import { MATERIALS } from '../reference/materials.ts'
import { PROCESSES } from '../reference/processes.ts'
import { SPRAY_TRANSITION_SOURCE, sprayTransitionA } from '../reference/sprayTransition.ts'
import { thickerMm, thinnerMm } from './groove.ts'
import { heatedThickness, heatedThicknessMm, type PassKind } from './layers.ts'
import { type Carrier, stickCurrent, stickCurrentOf, type StickLaw } from './stickCurrent.ts'

const PER_MM: Readonly<Record<Metal, AssumptionKey>> = {
  'carbon-steel': 'ampsPerMmCarbonSteel',
  stainless: 'ampsPerMmStainless',
  aluminium: 'ampsPerMmAluminium',
}

const PROCESS_FACTOR: Readonly<Record<Exclude<ProcessId, 'smaw'>, AssumptionKey>> = {
  'gmaw-short': 'shortCircuitFactor',
  'gmaw-spray': 'sprayFactor',
  'gmaw-pulse': 'pulseFactor',
  'fcaw-s': 'fcawSFactor',
  'fcaw-g': 'fcawGFactor',
  'gtaw-dc': 'gtawFactor',
  'gtaw-ac': 'gtawFactor',
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

/** Flat and horizontal are what every other figure is given for. */
const POSITION_FACTOR: Readonly<Record<Position, AssumptionKey | null>> = {
  flat: null,
  horizontal: null,
  'vertical-up': 'outOfPositionFactor',
  'vertical-down': 'verticalDownFactor',
  overhead: 'outOfPositionFactor',
}

/** The thinner part decides, and with it its metal. */
export const thinnerFamily = (joint: Joint): Metal =>
  MATERIALS[joint.thicknessAMm <= joint.thicknessBMm ? joint.materialA : joint.materialB].family

const PRACTICE = commonPractice('common practice: fitted to everyday settings, docs/model.md')
const thickness = from(...heatedThickness)

const melted = {
  title: 'Up to here the arc melts through the part; above it only the faces have to fuse',
  symbol: 't_0',
  unit: 'mm',
  source: PRACTICE,
} as const
const meltThroughPlain = calculation({
  ...melted,
  id: 'melt-through',
  expression: 't_0',
  inputs: { t_0: inputOrAssumed('melted through up to', 'mm', PRACTICE) },
  compute: ({ t_0 }) => t_0,
})
/** A thicker wire carries more current to thick parts, and none to sheet: there the part decides. */
const meltThroughByWire = calculation({
  ...melted,
  id: 'melt-through-by-wire',
  expression: 't_w * d / d_0',
  inputs: {
    t_w: assumed('meltThroughWireMm'),
    d: inputOrAssumed('wire diameter', 'mm diameter', jobField('wire of the set-up')),
    d_0: assumed('usualWireMm'),
  },
  compute: ({ t_w, d, d_0 }) => (t_w * d) / d_0,
})
export const meltThrough = from(meltThroughPlain, meltThroughByWire)

export const burnThrough = calculation({
  id: 'burn-through',
  title: 'Thicker parts do not burn through',
  symbol: 't_b',
  unit: 'mm',
  expression: 't_b',
  inputs: { t_b: inputOrAssumed('burns through up to', 'mm', PRACTICE) },
  compute: ({ t_b }) => t_b,
  source: PRACTICE,
})
/** Thinner parts burn through where the current is far too high. */
const BURN_THROUGH: Readonly<Record<'wire' | 'tungsten' | 'covered', AssumptionKey>> = {
  wire: 'burnThroughWireMm',
  tungsten: 'burnThroughGtawMm',
  covered: 'burnThroughWireMm',
}

export const drivingThickness = calculation({
  id: 'driving-thickness',
  title:
    'Thickness that drives the current: all of it where it is melted through, less where only the faces fuse',
  symbol: 't_e',
  unit: 'mm',
  expression: 'min(t, sqrt(t * t_0))',
  inputs: { t: thickness, t_0: meltThrough },
  compute: ({ t, t_0 }) => Math.min(t, Math.sqrt(t * t_0)),
  source: PRACTICE,
})

const heatSink = calculation({
  id: 'heat-sink-factor',
  title: 'Factor of the thicker part',
  symbol: 'f_h',
  unit: '×',
  expression: '1 + (h - 1) * min(1, (t_2 / t_1 - 1) / (q - 1)) * min(1, max(0, 2 - t_1 / t_0))',
  inputs: {
    h: assumed('heatSinkFactor'),
    t_1: input('thinner part', 'mm', jobField('thickness of the weld')),
    t_2: input('thicker part', 'mm', jobField('thickness of the weld')),
    q: assumed('heatSinkRatio'),
    t_0: meltThrough,
  },
  compute: ({ h, t_1, t_2, q, t_0 }) =>
    1 + (h - 1) * Math.min(1, (t_2 / t_1 - 1) / (q - 1)) * Math.min(1, Math.max(0, 2 - t_1 / t_0)),
  source: commonPractice('common practice: rises with the ratio, and fades where both parts are thick'),
})

const perMm = calculation({
  id: 'current-per-mm',
  title: 'Current per thickness of this joint',
  symbol: 'K',
  unit: 'A/mm',
  expression: 'k * f_p * f_j * f_h * f_o',
  inputs: {
    k: inputOrAssumed('current per thickness', 'A/mm', PRACTICE),
    f_p: inputOrAssumed('factor of the process', '×', PRACTICE),
    f_j: inputOrAssumed('factor of the joint', '×', PRACTICE),
    f_h: from(heatSink),
    f_o: inputOrAssumed('factor of the position', '×', PRACTICE),
  },
  compute: ({ k, f_p, f_j, f_h, f_o }) => k * f_p * f_j * f_h * f_o,
  source: PRACTICE,
})

const MELTS_AT: Readonly<Record<Metal, AssumptionKey>> = {
  'carbon-steel': 'steelMeltsC',
  stainless: 'steelMeltsC',
  aluminium: 'aluminiumMeltsC',
}
const perMmWarm = calculation({
  id: 'current-per-mm-warm',
  title: 'Current per thickness of this joint where it is preheated',
  symbol: 'K',
  unit: 'A/mm',
  expression: 'K_0 * min(1, (T_m - T_p) / (T_m - T_0))',
  inputs: {
    K_0: from(perMm),
    T_m: inputOrAssumed('the metal melts at', '°C', PRACTICE),
    T_p: input('preheat', '°C', jobField('preheat of the job')),
    T_0: assumed('workshopC'),
  },
  compute: ({ K_0, T_m, T_p, T_0 }) => K_0 * Math.min(1, (T_m - T_p) / (T_m - T_0)),
  source: handbook('heat flow in thick plate (Rosenthal): the arc brings what is missing to melting', false),
})

export const currentPerMm = from(perMm, perMmWarm)

const plateCurrent = calculation({
  id: 'joint-current',
  title: 'Current of the joint',
  symbol: 'I_j',
  unit: 'A',
  expression: 't_e * K',
  inputs: { t_e: from(drivingThickness), K: currentPerMm },
  compute: ({ t_e, K }) => t_e * K,
  source: PRACTICE,
})
export const jointCurrent = from(plateCurrent, stickCurrent)
const transition = input(
  'current above which this wire sprays; 0 where it need not',
  'A',
  SPRAY_TRANSITION_SOURCE,
)
export const wantedCurrent = calculation({
  id: 'wanted-current',
  title: 'Current the weld needs',
  symbol: 'I',
  unit: 'A',
  expression: 'max(I_j, I_t)',
  inputs: { I_j: jointCurrent, I_t: transition },
  compute: ({ I_j, I_t }) => Math.max(I_j, I_t),
  source: PRACTICE,
})
export const leastWindowCurrent = calculation({
  id: 'window-low',
  title: 'Lowest sound current: slower, smaller beads, below that cold lap',
  symbol: 'I_low',
  unit: 'A',
  expression: 'max(I_j * (1 - w / 100), I_t)',
  inputs: { I_j: jointCurrent, w: assumed('windowLowPct'), I_t: transition },
  compute: ({ I_j, w, I_t }) => Math.max(I_j * (1 - w / 100), I_t),
  source: PRACTICE,
})

export const mostWindowCurrent = calculation({
  id: 'window-high',
  title: 'Highest current before the thinner part burns through',
  symbol: 'I_high',
  unit: 'A',
  expression: 'I_j * (1 + w / 100)',
  inputs: { I_j: jointCurrent, w: assumed('windowHighPct') },
  compute: ({ I_j, w }) => I_j * (1 + w / 100),
  source: PRACTICE,
})

/** How the current goes with the thickness of plate. */
export interface PlateLaw {
  readonly by: 'plate'
  /** Amps for each millimetre of driving thickness, all factors multiplied. */
  readonly perMmA: number
  /** Up to this the part is melted through, and the current goes straight with the thickness, mm. */
  readonly meltThroughMm: number
}
export type ThicknessLaw = PlateLaw | StickLaw

export interface WantedCurrent {
  /** What the current has to reckon with: the thinner part, of an open root and by TIG on steel a layer, mm. */
  readonly heatedMm: number
  readonly law: ThicknessLaw
  /** Thinner parts burn through where the current is far too high, mm. */
  readonly burnThroughMm: number
  /** A */
  readonly wantedA: number
  /** The current that the joint alone would want, A; below `wantedA` where a spray cannot go so low. */
  readonly jointA: number
  /** The least current that still makes the weld, A. */
  readonly lowA: number
  /** Above it the thinner part burns through, A; null where it is too thick to. */
  readonly highA: number | null
  /** Below it the wire does not spray, A; null where nothing has to. */
  readonly transitionA: number | null
}

/** A thickness that is written in inches is no thicker than the same in millimetres. */
const ROUNDED_MM = 1e-6

function meltThroughMmOf(
  processId: ProcessId,
  metal: Metal,
  carrier: Carrier | null,
  reckoner: Reckoner,
): number {
  if (PROCESSES[processId].electrode === 'tungsten')
    return reckoner.compute(meltThroughPlain, { t_0: 'meltThroughGtawMm' })
  // Aluminium draws the heat away whatever wire brings it.
  if (metal === 'aluminium') return reckoner.compute(meltThroughPlain, { t_0: 'meltThroughAluminiumMm' })
  return reckoner.compute(meltThroughByWire, { d: carrier?.diameterMm ?? 'usualWireMm' })
}

interface Plate {
  readonly joint: Joint
  readonly metal: Metal
  readonly heatedMm: number
  readonly preheatC: number | null
}

/** The current of a wire or of TIG: by the plate. */
function plateCurrentOf(
  { joint, metal, heatedMm, preheatC }: Plate,
  processId: Exclude<ProcessId, 'smaw'>,
  carrier: Carrier | null,
  reckoner: Reckoner,
): { readonly jointA: number; readonly law: PlateLaw } {
  const t_0 = meltThroughMmOf(processId, metal, carrier, reckoner)
  const t_e = reckoner.compute(drivingThickness, { t: heatedMm, t_0 })
  const K_0 = reckoner.compute(perMm, {
    k: PER_MM[metal],
    // Aluminium takes the figures of its metal as they are; steel and stainless those of the process.
    f_p: metal === 'aluminium' ? 'aluminiumProcessFactor' : PROCESS_FACTOR[processId],
    f_j: JOINT_FACTOR[joint.kind],
    f_h: reckoner.compute(heatSink, { t_1: thinnerMm(joint), t_2: thickerMm(joint), t_0 }),
    f_o: POSITION_FACTOR[joint.position] ?? 1,
  })
  const K =
    preheatC === null ? K_0 : reckoner.compute(perMmWarm, { K_0, T_m: MELTS_AT[metal], T_p: preheatC })
  return {
    jointA: reckoner.compute(plateCurrent, { t_e, K }),
    law: { by: 'plate', perMmA: K, meltThroughMm: t_0 },
  }
}

/**
 * The current that one pass of this joint wants, and the window around it.
 * @param carrier wire that is fed, or covered electrode; null where none is chosen: then the usual one
 * @param preheatC what the part has been warmed to; null where it is as cold as the shop
 * @param pass a root pass heats its own layer
 */
export function wantedCurrentOf(
  joint: Joint,
  processId: ProcessId,
  carrier: Carrier | null,
  reckoner: Reckoner,
  preheatC: number | null = null,
  pass: PassKind = 'fill',
): WantedCurrent {
  const metal = thinnerFamily(joint)
  const heatedMm = heatedThicknessMm(joint, processId, metal, pass, reckoner)
  const { jointA, law } =
    processId === 'smaw'
      ? stickCurrentOf(
          carrier,
          {
            heatedMm,
            positionFactor: POSITION_FACTOR[joint.position] ?? 1,
            meltsAt: MELTS_AT[metal],
            preheatC,
          },
          reckoner,
        )
      : plateCurrentOf({ joint, metal, heatedMm, preheatC }, processId, carrier, reckoner)
  const transitionA =
    processId === 'gmaw-spray' ? sprayTransitionA(metal, carrier?.diameterMm ?? USUAL_SPRAY_MM[metal]) : null
  const burnThroughMm = reckoner.compute(burnThrough, { t_b: BURN_THROUGH[PROCESSES[processId].electrode] })
  return {
    heatedMm,
    law,
    burnThroughMm,
    jointA,
    wantedA: reckoner.compute(wantedCurrent, { I_j: jointA, I_t: transitionA ?? 0 }),
    lowA: reckoner.compute(leastWindowCurrent, { I_j: jointA, I_t: transitionA ?? 0 }),
    highA:
      thinnerMm(joint) <= burnThroughMm + ROUNDED_MM
        ? reckoner.compute(mostWindowCurrent, { I_j: jointA })
        : null,
    transitionA,
  }
}

/** Where no wire is chosen: the one that is usual for spray, mm. */
const USUAL_SPRAY_MM: Readonly<Record<Metal, number>> = {
  'carbon-steel': 0.889,
  stainless: 0.889,
  aluminium: 1.191,
}
