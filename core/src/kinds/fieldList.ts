/**
 * The fields of what is planned, as their schemas describe them. The first view shows such fields before any schema is
 * fetched: the build of the page replaces this file by its value (`web/facts.ts`).
 */
import { describeFields, type FieldDescription } from '../model/describe.ts'
import { jobSchema, jointSchema } from './job.ts'
import { setUpSchema } from './setUp.ts'

export type PlannedKind = 'job' | 'weld' | 'set-up'
/** A list has an editor of its own; its fields would come twice. */
const fieldsOf = (schema: Parameters<typeof describeFields>[0]): readonly FieldDescription[] =>
  describeFields(schema).filter(({ kind }) => kind !== 'list')

export const PLANNED_FIELDS: Readonly<Record<PlannedKind, readonly FieldDescription[]>> = {
  job: fieldsOf(jobSchema),
  weld: fieldsOf(jointSchema),
  'set-up': fieldsOf(setUpSchema),
}
