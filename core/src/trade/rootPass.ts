/** The root pass of a groove that is open at the back: it heats its own layer, not the whole plate. */
import { commonPractice, computed } from '../basis/source.ts'
import { calculation, from, input, listOf } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Joint } from '../kinds/job.ts'
import type { ProcessId } from '../model/process.ts'
import { weldArea, weldAreaMm2 } from './geometry.ts'
import { cutOf, isDoubleSided, thinnerMm, widthAtMm } from './groove.ts'
import { isLayered, layersOf } from './layers.ts'
import { beadMost, beadMostMm2, type Deposited, NARROWEST_BEAD_MM } from './passes.ts'
import { weldMetal } from './weldMetal.ts'

/** A backing bar takes the heat of a fill pass; without one the root needs a current of its own. */
export const hasRootPass = (joint: Joint, passes: number): boolean =>
  isLayered(joint) && !joint.backing && passes > 1

/** Enough for a face, a radius and a straight side in one layer. */
const STRIPS = 8

const rootArea = calculation({
  id: 'root-area',
  title: 'Weld metal across the root pass',
  symbol: 'A_1',
  unit: 'mm²',
  expression: 'sum(h * w)',
  inputs: {
    h: input('height of one of its strips', 'mm', computed('thickness over layers and strips')),
    w: listOf('width at the middle of each strip', 'mm', computed('shape of the groove')),
  },
  compute: ({ h, w }) => w.reduce((sum, width) => sum + h * width, 0),
  source: computed('strip by strip'),
})
export const rootMetal = calculation({
  id: 'root-metal',
  title: 'Weld metal of the root pass',
  symbol: 'm_1',
  unit: 'g',
  expression: 'm * min(A, A_1, B) / A',
  inputs: { m: from(weldMetal), A: weldArea, A_1: from(rootArea), B: beadMost },
  compute: ({ m, A, A_1, B }) => (m * Math.min(A, A_1, B)) / A,
  source: commonPractice('one bead along the bottom of the groove, no larger than a hand lays'),
})
export const fillMetal = calculation({
  id: 'fill-metal',
  title: 'Weld metal of the fill passes',
  symbol: 'm_2',
  unit: 'g',
  expression: 'm - m_1',
  inputs: { m: from(weldMetal), m_1: from(rootMetal) },
  compute: ({ m, m_1 }) => m - m_1,
  source: computed('what the root pass leaves open'),
})

/**
 * @param metalG of all passes
 * @param deposited by the root pass; null by a rod, or where no wire is chosen
 * @returns g of the root pass and of the passes above it
 */
export function sharedMetalG(
  joint: Joint,
  process: ProcessId,
  metalG: number,
  deposited: Deposited | null,
  reckoner: Reckoner,
): { readonly root: number; readonly fill: number } {
  const h = thinnerMm(joint) / layersOf(joint, process, reckoner)
  const { rootFromMm, rootToMm } = cutOf(joint)
  // A double groove is begun in the middle of the plate.
  const bottom = isDoubleSided(joint.kind) ? (rootFromMm + rootToMm - h) / 2 : 0
  const A_1 = reckoner.compute(rootArea, {
    h: h / STRIPS,
    w: Array.from({ length: STRIPS }, (_, index) =>
      Math.max(NARROWEST_BEAD_MM, widthAtMm(joint, bottom + ((index + 0.5) * h) / STRIPS)),
    ),
  })
  const B = beadMostMm2(joint, process, deposited, reckoner)
  const root = reckoner.compute(rootMetal, { m: metalG, A: weldAreaMm2(joint, reckoner), A_1, B })
  return { root, fill: reckoner.compute(fillMetal, { m: metalG, m_1: root }) }
}
