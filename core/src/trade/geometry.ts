/** Cross-section of the weld metal that a joint takes. */
import type { Assume } from '../assumptions/assume.ts'
import { FILLET_KINDS, type Joint } from '../model/job.ts'
import { handbook, jobField } from '../model/source.ts'
import { type Step, term, type Worked } from '../model/working.ts'

const GEOMETRY = handbook('geometry of the joint; weld metal tables of welding handbooks', false)
/** A cap is taken as a parabola: two thirds of its width times its height. */
const CAP_SHAPE = 2 / 3

export const isFillet = (joint: Pick<Joint, 'kind'>): boolean => FILLET_KINDS.includes(joint.kind)

export const thinnerMm = (joint: Pick<Joint, 'thicknessAMm' | 'thicknessBMm'>): number =>
  Math.min(joint.thicknessAMm, joint.thicknessBMm)

export const thickerMm = (joint: Pick<Joint, 'thicknessAMm' | 'thicknessBMm'>): number =>
  Math.max(joint.thicknessAMm, joint.thicknessBMm)

/**
 * Area of weld metal across one weld.
 * @returns mm², with its working
 */
export function weldAreaMm2(joint: Joint, assume: Assume): Worked {
  return isFillet(joint) ? filletArea(joint, assume) : grooveArea(joint, assume)
}

function filletArea(joint: Joint, assume: Assume): Worked {
  const leg = joint.legMm ?? thinnerMm(joint)
  const convexity = assume.value('convexityPct')
  const value = (leg ** 2 / 2) * (1 + convexity / 100)
  const step: Step = {
    says: 'Weld metal across the fillet',
    formula: 'A = z²/2 · (1 + c)',
    terms: [term('z', 'leg', leg, 'mm', jobField('weld size of the job')), assume.term('convexityPct', 'c')],
    result: { symbol: 'A', value, unit: 'mm²' },
    source: GEOMETRY,
  }
  return { value, steps: [step] }
}

function grooveArea(joint: Joint, assume: Assume): Worked {
  const t = thinnerMm(joint)
  const cap = joint.reinforcementMm
  const gap = joint.rootGapMm
  const common = [
    term('t', 'thinner part', t, 'mm', jobField('thickness of the job')),
    term('g', 'root gap', gap, 'mm', jobField('gap of the job')),
    term('r', 'reinforcement', cap, 'mm', jobField('reinforcement of the job')),
  ]
  if (joint.kind === 'butt-square') {
    const width = assume.value('squareBeadWidthPerThickness') * t
    const value = t * gap + CAP_SHAPE * width * cap
    const step: Step = {
      says: 'Weld metal across the square butt',
      formula: 'A = t·g + ⅔·(k·t)·r',
      terms: [...common, assume.term('squareBeadWidthPerThickness', 'k')],
      result: { symbol: 'A', value, unit: 'mm²' },
      source: GEOMETRY,
    }
    return { value, steps: [step] }
  }
  const angle = joint.includedAngleDeg ?? 60
  const depth = t - joint.rootFaceMm
  const halfTangent = Math.tan((angle / 2) * (Math.PI / 180))
  const width = gap + 2 * depth * halfTangent
  const value = t * gap + depth ** 2 * halfTangent + CAP_SHAPE * width * cap
  const step: Step = {
    says: 'Weld metal across the V-groove',
    formula: 'A = t·g + (t − f)²·tan(α/2) + ⅔·(g + 2·(t − f)·tan(α/2))·r',
    terms: [
      ...common,
      term('f', 'root face', joint.rootFaceMm, 'mm', jobField('root face of the job')),
      term('α', 'included angle', angle, '°', jobField('included angle of the job')),
    ],
    result: { symbol: 'A', value, unit: 'mm²' },
    source: GEOMETRY,
  }
  return { value, steps: [step] }
}

/** Length of all welds of this joint over the whole job, in mm. */
export const weldLengthMm = (joint: Joint, quantity: number): number =>
  joint.count * joint.lengthMm * quantity
