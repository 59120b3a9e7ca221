/** A groove is filled in layers: how many, and how thick the part is that a pass has to heat. */
import { commonPractice, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { AssumptionKey } from '../assumptions/list.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import { BEVELLED_KINDS } from '../model/jointKinds.ts'
import type { Joint } from '../kinds/job.ts'
import type { Metal } from '../model/material.ts'
import type { ProcessId } from '../model/process.ts'
import { PROCESSES } from '../reference/processes.ts'
import { thinnerMm } from './groove.ts'

const THICKEST_LAYER: Readonly<Record<ProcessId, AssumptionKey>> = {
  'gmaw-short': 'layerShortCircuitMm',
  'gmaw-spray': 'layerSprayMm',
  'gmaw-pulse': 'layerSprayMm',
  'fcaw-s': 'layerFcawMm',
  'fcaw-g': 'layerFcawMm',
  'gtaw-dc': 'layerGtawMm',
  'gtaw-ac': 'layerGtawMm',
  smaw: 'layerStickMm',
}

/** Whether a joint is filled in layers: a groove that was cut for it. */
export const isLayered = ({ kind }: Pick<Joint, 'kind'>): boolean => BEVELLED_KINDS.includes(kind)

/**
 * Whether a pass of it has to heat no more than its layer: by TIG on steel, which stands until the pool wets. A wire
 * melts whether the faces do or not, and aluminium draws the heat away through the whole plate; a stick goes by its own
 * diameter. Every other joint is heated in its full thickness, however many passes share its metal.
 */
export const isHeatedByLayer = (joint: Pick<Joint, 'kind'>, process: ProcessId, metal: Metal): boolean =>
  isLayered(joint) && PROCESSES[process].family === 'gtaw' && metal !== 'aluminium'

/** Exactly a whole number of layers must not become one more by a rounding. */
export const roundedUp = (ratio: number): number => Math.ceil(Math.round(ratio * 1e6) / 1e6)

const thinner = input('thinner part', 'mm', jobField('thickness of the weld'))

const layersByRule = calculation({
  id: 'layers',
  title: 'Layers',
  symbol: 'm',
  unit: '',
  expression: 'max(1, ceil(round(t / t_1, 6)))',
  inputs: { t: thinner, t_1: inputOrAssumed('thickest layer', 'mm', commonPractice()) },
  compute: ({ t, t_1 }) => Math.max(1, roundedUp(t / t_1)),
  source: commonPractice('thicker parts take several layers'),
})
const layersChosen = calculation({
  id: 'layers-chosen',
  title: 'Layers, as many as passes were chosen',
  symbol: 'm',
  unit: '',
  expression: 'n',
  inputs: { n: input('passes chosen', '', jobField('passes of the weld')) },
  compute: ({ n }) => n,
  source: jobField('passes of the weld'),
})
export const layers = from(layersByRule, layersChosen)

/** Layers by process, or as many as the owner has chosen passes. */
export const layersOf = (joint: Joint, process: ProcessId, reckoner: Reckoner): number =>
  joint.passes === null
    ? reckoner.compute(layersByRule, { t: thinnerMm(joint), t_1: THICKEST_LAYER[process] })
    : reckoner.compute(layersChosen, { n: joint.passes })

const layerThickness = calculation({
  id: 'layer-thickness',
  title: 'Thickness of one layer',
  symbol: 't_l',
  unit: 'mm',
  expression: 'min(t, max(t_0, t / m))',
  inputs: { t: thinner, t_0: assumed('leastLayerMm'), m: layers },
  compute: ({ t, t_0, m }) => Math.min(t, Math.max(t_0, t / m)),
  source: commonPractice('a thinner layer on thick plate needs no less heat'),
})
const wholeThickness = calculation({
  id: 'whole-thickness',
  title: 'Thickness that the weld has to heat',
  symbol: 't_l',
  unit: 'mm',
  expression: 't',
  inputs: { t: thinner },
  compute: ({ t }) => t,
  source: commonPractice('more passes share out the metal, and not the heat that the faces need'),
})
export const heatedThickness = [layerThickness, wholeThickness] as const

const layerThicknessMm = (joint: Joint, process: ProcessId, reckoner: Reckoner): number =>
  reckoner.compute(layerThickness, { t: thinnerMm(joint), m: layersOf(joint, process, reckoner) })

/** A pass that has a current of its own: along an open root, or above it. */
export const PASS_KINDS = ['root', 'fill'] as const
export type PassKind = (typeof PASS_KINDS)[number]

/**
 * Thickness that the current has to reckon with, mm, where `metal` is that of the thinner part: an open root has
 * nothing below it to melt into, and takes its own layer.
 */
export const heatedThicknessMm = (
  joint: Joint,
  process: ProcessId,
  metal: Metal,
  pass: PassKind,
  reckoner: Reckoner,
): number =>
  pass === 'root' || isHeatedByLayer(joint, process, metal)
    ? layerThicknessMm(joint, process, reckoner)
    : reckoner.compute(wholeThickness, { t: thinnerMm(joint) })

/** How thick what one pass fills is, mm: what it heats, but the layer of a groove that is heated in its full thickness. */
export const passThicknessMm = (
  joint: Joint,
  process: ProcessId,
  metal: Metal,
  heatedMm: number,
  reckoner: Reckoner,
): number =>
  isLayered(joint) && !isHeatedByLayer(joint, process, metal)
    ? layerThicknessMm(joint, process, reckoner)
    : heatedMm
