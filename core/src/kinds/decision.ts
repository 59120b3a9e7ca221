/** What was chosen, when and on which figures: kept as it was, so that it can be held against what is so today. */
import { z } from 'zod'
import { field, NOT_GIVEN } from '../model/field.ts'
import { amountSchema, idSchema, nameSchema, noteSchema } from '../model/fields.ts'
import { VERDICTS } from '../model/verdict.ts'
import { defineKind } from './kind.ts'

/** A whole question as text is bounded by this many characters: about two thousand welds. */
export const MOST_BASIS = 2_000_000
const text = (most: number) => z.string().max(most, `is longer than ${most} characters`)

/** One line of what was found, in the words of that day. */
const saidSchema = z.strictObject({
  verdict: z.enum(VERDICTS).meta(field('Verdict', { words: 'verdict' })),
  title: text(200).meta(field('What')),
  says: text(1000).meta(field('Found')),
  /** Where its figure comes from. */
  source: text(500).meta(field('Source')),
})

export const decidedChoiceSchema = z.strictObject({
  // Names alone: what was decided stays when a job or a set-up goes.
  jobId: idSchema,
  jobName: text(120).meta(field('Job')),
  setUpId: idSchema,
  setUpName: text(120).meta(field('Set-up')),
  verdict: z.enum(VERDICTS).meta(field('Verdict', { words: 'verdict' })),
  /** For one run of the job, in the shop's currency. */
  costPerRun: amountSchema.nullable().meta(field('Cost per run', { empty: NOT_GIVEN })),
  chain: z
    .array(saidSchema)
    .max(20)
    .meta(field('Chain', { isApart: true, member: 'link' })),
  findings: z
    .array(saidSchema)
    .max(200)
    .meta(field('Findings', { isApart: true, member: 'finding' })),
  cautions: z
    .array(z.strictObject({ says: text(1000).meta(field('Caution')) }))
    .max(40)
    .meta(field('Cautions', { isApart: true, member: 'caution' })),
  /**
   * The whole question, a document `brannik-fit` as text: job, set-up, every part and assumption, with the version in which
   * it was written, so that it is carried up like any other file and can be asked again.
   */
  basis: text(MOST_BASIS).meta(field('Based on', { isApart: true })),
})
export type DecidedChoice = z.infer<typeof decidedChoiceSchema>

export const decisionSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  note: noteSchema.meta(field('Note')),
  /** ISO 8601, with the zone. */
  decidedAt: z.iso
    .datetime({ offset: true, error: 'must be a date and time such as 2027-03-31T10:00:00Z' })
    .meta(field('Decided', { isApart: true })),
  taken: z
    .array(decidedChoiceSchema)
    .min(1, 'needs at least one job with its set-up')
    .max(500)
    .meta(field('What was chosen', { isApart: true, member: 'choice' })),
  purchases: z
    .array(
      z.strictObject({
        name: nameSchema,
        price: amountSchema.nullable().meta(field('Price', { empty: NOT_GIVEN })),
      }),
    )
    .max(500)
    .meta(field('To buy', { isApart: true, member: 'purchase' })),
  /** What it costs over the horizon, and how sure it is that nothing costs less; null for a choice without a kit. */
  kit: z
    .strictObject({
      totalCost: amountSchema.meta(field('Total cost')),
      horizonYears: amountSchema.meta(field('Over', { unit: 'years' })),
      proof: text(1000).meta(field('Proof')),
    })
    .nullable()
    .meta(field('Kit', { isApart: true, presence: 'From a purchase plan' })),
})
export type Decision = z.infer<typeof decisionSchema>

export const decisionKind = defineKind({
  kind: 'decision',
  path: 'decisions',
  listKey: 'decisions',
  noun: 'decision',
  scope: 'paper',
  writers: 'planner',
  most: 5000,
  schema: decisionSchema,
  upcasters: [],
  counting: null,
})
