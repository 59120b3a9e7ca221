/** Applies what a field of a weld line gave, and says what is wrong where the whole weld could not stand. */
import { completeJoint } from '../joints/completeJoint.ts'
import { type Joint, jointSchema } from '../kinds/job.ts'
import { readDocument } from '../model/problems.ts'
import { COLUMNS } from './columns.ts'

export type Changed =
  { readonly ok: true; readonly joint: Joint } | { readonly ok: false; readonly message: string }

/**
 * @returns the weld with the change, completed for its kind; or the first thing that does not fit, in words
 * @example applyChange(joint, { legMm: -1 }) // { ok: false, message: 'The leg must be at least …' }
 */
export function applyChange(joint: Joint, change: Partial<Joint>): Changed {
  const completed = completeJoint(
    { ...joint, ...change },
    change.kind !== undefined || change.around !== undefined,
  )
  // An angle that was written with the kind is judged, not replaced by a usual one.
  const next =
    typeof change.includedAngleDeg === 'number' && completed.includedAngleDeg !== null
      ? { ...completed, includedAngleDeg: change.includedAngleDeg }
      : completed
  const read = readDocument(jointSchema, next)
  if (read.ok) return { ok: true, joint: read.value }
  const problem = read.problems[0]
  const key = problem?.pointer.slice(1)
  const heading = COLUMNS.find((column) => column.key === key)?.heading ?? problem?.field ?? 'weld'
  return { ok: false, message: `The ${heading} ${problem?.message ?? 'does not fit'}.` }
}
