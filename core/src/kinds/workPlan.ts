/**
 * The plan of the week as it was kept: which run of which job, with which set-up, by whom and when. What is pinned stays; the
 * rest is where people have seen it, and moves when something else needs the place.
 */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { idSchema, nameSchema } from '../model/fields.ts'
import { defineKind } from './kind.ts'

/** A minute on the clock of the shop, whatever the zone. */
export const shopTimeSchema = z
  .string()
  .regex(
    /^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):[0-5]\d$/,
    'must be a day and a time of the shop such as 2027-03-31T07:00',
  )
/** The due day of a run of a job that comes again; `once` of one that does not. */
export const runSchema = z
  .string()
  .regex(/^(once|\d{4}-\d{2}-\d{2})$/, 'must be once, or the due day of the run such as 2027-03-31')

export const plannedBlockSchema = z.strictObject({
  // Names alone: a job that goes takes its block with it.
  jobId: idSchema.meta(field('Job')),
  run: runSchema.meta(field('Run')),
  /** Which part of it, from 1 on. */
  part: z.int().min(1, 'must be at least 1').max(50, 'must be at most 50').meta(field('Part')),
  /** Of the whole run. */
  sharePct: z
    .number()
    .min(1, 'must be at least 1 %')
    .max(100, 'must be at most 100 %')
    .meta(field('Share', { unit: '%' })),
  setUpId: idSchema.meta(field('Set-up')),
  /** Null where the shop has no list of welders. */
  welderId: idSchema.nullable().meta(field('Welder', { empty: 'nobody by name' })),
  startsAt: shopTimeSchema.meta(field('Starts')),
  endsAt: shopTimeSchema.meta(field('Ends')),
  isPinned: z.boolean().meta(field('Pinned')),
})
export type PlannedBlock = z.infer<typeof plannedBlockSchema>

export const workPlanSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  blocks: z
    .array(plannedBlockSchema)
    .max(5000, 'holds more than 5000 blocks')
    .meta(field('Blocks', { isApart: true, member: 'block' })),
})
export type WorkPlan = z.infer<typeof workPlanSchema>

export const workPlanKind = defineKind({
  kind: 'work-plan',
  path: 'work-plans',
  listKey: 'workPlans',
  noun: 'plan',
  scope: 'paper',
  writers: 'planner',
  most: 20,
  schema: workPlanSchema,
  upcasters: [],
  counting: null,
})
/** There is one, of this id. */
export const PLAN_ID = 'plan'
