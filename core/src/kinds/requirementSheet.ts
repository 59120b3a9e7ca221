/** What an owner must have of a machine, and what he would like, written down before one is bought. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { idSchema, nameSchema, noteSchema } from '../model/fields.ts'
import { PROCESS_IDS } from '../model/process.ts'
import { defineKind } from './kind.ts'
import { eachOf } from './upcaster.ts'

/** What can be asked of a power source and what comes with it; `requirements/kinds.ts` says how each is read of a plate. */
export const REQUIREMENT_KINDS = [
  'process',
  'lowest-current',
  'highest-current',
  'duty-at-current',
  'ac-frequency',
  'pulse',
  'start-high-frequency',
  'start-lift',
  'input-voltage',
  'runs-here',
  'feed-speed',
  'spool',
  'torch-length',
  'torch-weight',
  'weight',
  'noise',
  'memories-locked',
  'post-flow-by-hand',
  'service-near',
  'price',
] as const
export type RequirementKind = (typeof REQUIREMENT_KINDS)[number]

export const MOST_WEIGHT = 10
/** By which a weight is moved. */
export const WEIGHT_STEP = 0.5

export const requirementSchema = z.strictObject({
  what: z.enum(REQUIREMENT_KINDS).meta(field('What', { words: 'requirement' })),
  /** Of which process it speaks; null where it speaks of the machine. */
  process: z
    .enum(PROCESS_IDS)
    .nullable()
    .meta(field('Process', { words: 'process', empty: 'any' })),
  /** Of a must the least or the most, of a wish what is good enough, in the unit of its kind; null for what is there or not. */
  amount: z
    .number()
    .min(0, 'must be 0 or more')
    .max(1e9, 'is too large')
    .nullable()
    .meta(field('Amount', { empty: 'more is better' })),
  /** Of a wish, the worst that is acceptable, in the unit of its kind: it scores 0 there, and 1 at the amount; null for none. */
  worst: z
    .number()
    .min(0, 'must be 0 or more')
    .max(1e9, 'is too large')
    .nullable()
    .meta(field('Worst acceptable', { empty: 'none set' })),
  /** At which current a duty is asked. */
  atA: z
    .number()
    .min(1, 'must be at least 1 A')
    .max(3000, 'must be at most 3000 A')
    .nullable()
    .meta(field('At', { unit: 'A', empty: 'no current' })),
  must: z.boolean().meta(field('Must be')),
  /** How much a wish counts against the others. */
  weight: z
    .number()
    .min(0, 'must be 0 or more')
    .max(MOST_WEIGHT, `must be at most ${MOST_WEIGHT}`)
    .meta(field('Counts')),
  /** Why it is asked, where it was derived of the planned jobs. */
  because: noteSchema.nullable().meta(field('Because', { empty: 'entered by hand' })),
})
export type Requirement = z.infer<typeof requirementSchema>

export const requirementSheetSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  note: noteSchema.meta(field('Note')),
  requirements: z
    .array(requirementSchema)
    .max(60, 'holds more than 60 requirements')
    .meta(field('Requirements', { isApart: true, member: 'requirement' })),
})
export type RequirementSheet = z.infer<typeof requirementSheetSchema>

export const requirementSheetKind = defineKind({
  kind: 'requirement-sheet',
  path: 'requirement-sheets',
  listKey: 'requirementSheets',
  noun: 'requirement sheet',
  scope: 'paper',
  writers: 'planner',
  most: 500,
  schema: requirementSheetSchema,
  upcasters: [
    // A requirement had no worst value that is acceptable.
    (sheet) =>
      'requirements' in sheet
        ? { ...sheet, requirements: eachOf(sheet['requirements'], { worst: null }) }
        : sheet,
  ],
  counting: null,
})
