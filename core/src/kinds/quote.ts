/** What a customer was offered for a job: the figures as they were sent, and what became of it. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { amountSchema, countSchema, idSchema, nameSchema, noteSchema } from '../model/fields.ts'
import { daySchema } from './cylinder.ts'
import { defineKind } from './kind.ts'
import { currencySchema } from './supplier.ts'

export const QUOTE_STATES = ['draft', 'sent', 'won', 'lost'] as const
const cents = (title: string) =>
  z
    .int('must be a whole number of cents')
    .min(-1e12, 'is too small')
    .max(1e12, 'is too large')
    .meta(field(title, { unit: 'cents' }))
const pct = z.number().min(0, 'must be 0 % or more').max(900, 'must be at most 900 %')

export const quoteSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  // Names alone: a quote stays when its job goes.
  jobId: idSchema,
  jobName: nameSchema,
  setUpName: nameSchema,
  customer: z
    .string()
    .max(200, 'is longer than 200 characters')
    .meta(field('Customer', { empty: 'not set' })),
  state: z.enum(QUOTE_STATES, `must be one of ${QUOTE_STATES.join(', ')}`).meta(field('State')),
  quotedOn: daySchema.meta(field('Date')),
  validDays: z
    .int('must be a whole number of days')
    .min(1, 'must be at least 1 day')
    .max(365, 'must be at most 365 days')
    .meta(field('Valid for', { unit: 'days' })),
  quantity: countSchema.meta(field('Pieces')),
  currency: currencySchema.meta(field('Currency')),
  /** What it costs the shop, as it was calculated that day; they add up to the cent. */
  lines: z
    .array(z.strictObject({ what: nameSchema, cents: cents('Amount') }))
    .max(60, 'holds more than 60 lines')
    .meta(field('Cost', { isApart: true, member: 'line' })),
  /** Nine runs of ten cost between these. */
  lowCents: cents('Cost, low'),
  highCents: cents('Cost, high'),
  hours: amountSchema.meta(field('Hours')),
  /** Which cost of the range the price is made of, %: 50 is the middle. */
  atPct: z
    .number()
    .min(5, 'must be at least 5 %')
    .max(95, 'must be at most 95 %')
    .meta(field('Cost taken at', { unit: '%' })),
  atCents: cents('Cost'),
  overheadPct: pct.meta(field('Overhead', { unit: '%' })),
  marginPct: z
    .number()
    .min(0, 'must be 0 % or more')
    .max(90, 'must be at most 90 %')
    .meta(field('Margin', { unit: '%' })),
  minimumCharge: amountSchema.meta(field('Minimum charge')),
  deliveryCharge: amountSchema.meta(field('Delivery')),
  priceCents: cents('Price'),
  includes: noteSchema.meta(field('Included')),
  excludes: noteSchema.meta(field('Not included')),
})
export type Quote = z.infer<typeof quoteSchema>

export const quoteKind = defineKind({
  kind: 'quote',
  path: 'quotes',
  listKey: 'quotes',
  noun: 'quote',
  scope: 'paper',
  writers: 'planner',
  most: 5000,
  schema: quoteSchema,
  upcasters: [],
  counting: null,
})
