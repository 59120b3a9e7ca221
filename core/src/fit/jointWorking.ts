/** How the figures of one weld line were worked out, made when somebody asks: a list of hundreds need not carry it. */
import type { Worked } from '../model/working.ts'
import { contextOf, type FitInput } from './context.ts'

export interface JointWorking {
  /** A */
  readonly wanted: Worked
  /** g over the whole job */
  readonly metal: Worked
  readonly passes: Worked
  /** s over the whole job; null without a wire */
  readonly arcS: Worked | null
}

/** @returns null where the job has no such weld */
export function jointWorking(input: FitInput, jointId: string): JointWorking | null {
  const figures = contextOf(input, false).joints.find(({ joint }) => joint.id === jointId)
  return figures
    ? { wanted: figures.wanted, metal: figures.metal, passes: figures.passes, arcS: figures.arcS }
    : null
}
