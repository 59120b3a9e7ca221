/**
 * What is on a machine now: the set-up as it was put on, by the id of its power source. It is a copy: the set-up of
 * that name may be edited later, and the machine still has the old parts.
 */
import { z } from 'zod'
import { CHANGE_STEPS } from '../assumptions/changeMinutes.ts'
import { field } from '../model/field.ts'
import { idSchema } from '../model/fields.ts'
import { defineKind } from './kind.ts'
import { setUpSchema } from './setUp.ts'

/** The last ones decide: a habit changes. */
export const MOST_TIMINGS = 400

export const presentSetUpSchema = z
  .strictObject({
    ...setUpSchema.shape,
    /** The set-up that it was put on as; no reference, for it stays on the machine when the set-up is deleted. */
    setUpId: idSchema.meta(field('Set-up')),
    /** ISO 8601, UTC. */
    since: z.iso
      .datetime('must be a date and time such as 2027-03-31T10:00:00Z')
      .meta(field('Since', { isApart: true })),
    /** Minutes that steps really took on this machine, oldest first. */
    timings: z
      .array(
        z.strictObject({
          step: z.enum(CHANGE_STEPS).meta(field('Step')),
          minutes: z
            .number()
            .min(0, 'must be 0 min or more')
            .max(240, 'must be at most 240 min')
            .meta(field('Minutes', { unit: 'min' })),
        }),
      )
      .max(MOST_TIMINGS, `holds more than ${MOST_TIMINGS} timings`)
      .meta(field('Timings', { isApart: true, member: 'timing' })),
  })
  .check((ctx) => {
    const { id, powerSourceId } = ctx.value
    if (id === powerSourceId) return
    ctx.issues.push({
      code: 'custom',
      path: ['id'],
      input: id,
      message: `is ${id}, but the set-up is on ${powerSourceId}. The id is that of the power source`,
    })
  })
export type PresentSetUp = z.infer<typeof presentSetUpSchema>

export const presentSetUpKind = defineKind({
  kind: 'present-set-up',
  path: 'present-set-ups',
  listKey: 'presentSetUps',
  noun: 'present set-up',
  scope: 'bench',
  writers: 'welder',
  most: 2000,
  schema: presentSetUpSchema,
  upcasters: [],
  counting: null,
})
