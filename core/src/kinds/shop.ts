/** The shop itself: how it writes numbers, which rule book it is under, and its own figures for the assumptions. */
import { z } from 'zod'
import { ASSUMPTION_KEYS, ASSUMPTIONS } from '../assumptions/list.ts'
import { LOCALES } from '../quantity/units.ts'
import { field } from '../model/field.ts'
import { idSchema, nameSchema } from '../model/fields.ts'
import { defineKind } from './kind.ts'
import { type Fields, isFields, type Upcaster } from './upcaster.ts'

export const ALUMINIUM_TIPS = ['one-over', 'as-wire'] as const
export const FILLET_RULES = ['d1.1', 'en-1993'] as const

/** Whether the tables that come with the program know a zone of that name. */
function isTimeZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== ''
  } catch {
    return false
  }
}

const changedSchema = z.partialRecord(z.enum(ASSUMPTION_KEYS), z.number()).check((ctx) => {
  for (const [key, value] of Object.entries(ctx.value)) {
    const definition = ASSUMPTIONS[key as keyof typeof ASSUMPTIONS]
    if (value < definition.least || value > definition.most) {
      ctx.issues.push({
        code: 'custom',
        path: [key],
        input: value,
        message: `(${definition.name}) must be between ${definition.least} and ${definition.most} ${definition.unit}`,
      })
    }
  }
})

export const shopSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  unitSystem: z
    .enum(['imperial', 'metric'])
    .meta(field('Units', { words: { imperial: 'inch, lb, ft³', metric: 'mm, kg, L' } })),
  ruleBook: z.enum(['north-american', 'international']).meta(
    field('Wiring code', {
      words: {
        'north-american': 'North American: NEC Article 630',
        international: 'International: IEC 60364',
      },
    }),
  ),
  /** Marks between thousands and before decimals. */
  locale: z.enum(LOCALES).meta(field('Number format')),
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/, 'must be a three-letter currency code such as USD')
    .meta(field('Currency')),
  /** Times are stored in UTC; this is for print, so that two who read one line read the same hour. */
  timeZone: z
    .string()
    .refine(isTimeZone, 'must be the name of a time zone such as America/New_York')
    .nullable()
    .meta(field('Time zone', { empty: 'as on this device', isApart: true })),
  /** The two schools of contact tips for aluminium: one size over the wire, or the wire's own. */
  aluminiumTip: z.enum(ALUMINIUM_TIPS).meta(
    field('Contact tip for aluminium', {
      words: { 'one-over': 'one size over, it swells', 'as-wire': 'same size, better contact' },
      help: 'Aluminium swells and may stick in a tip of its own size. A wider tip makes poorer contact. Both work.',
    }),
  ),
  /** By which code the least and the largest fillet go. */
  filletRule: z.enum(FILLET_RULES).meta(
    field('Minimum fillet by', {
      words: {
        'd1.1': 'AWS D1.1: leg by the thicker part',
        'en-1993': 'EN 1993-1-8: throat of 3 mm or more',
      },
    }),
  ),
  /** Only what the shop has changed from the default. */
  assumptions: changedSchema.meta(field('Changed assumptions', { isApart: true })),
})
export type Shop = z.infer<typeof shopSchema>

/** Assumptions of older versions that hold on under another name; those without one are gone. */
const RENAMED_ASSUMPTIONS: ReadonlyMap<string, string | null> = new Map([
  ['workingWindowPct', 'windowLowPct'],
  ['burnThroughPct', 'windowHighPct'],
  ['fcawFactor', 'fcawSFactor'],
  ['singlePassShortCircuitMm', 'layerShortCircuitMm'],
  ['singlePassSprayMm', 'layerSprayMm'],
  ['singlePassFcawMm', 'layerFcawMm'],
  ['singlePassGtawMm', 'layerGtawMm'],
  ['largestPassLegWireMm', null],
  ['largestPassLegFlatMm', null],
  ['largestPassLegVerticalMm', null],
  ['largestPassLegGtawMm', null],
  // Working time is the sum of its parts.
  ['operatingFactorWirePct', null],
  ['operatingFactorStickPct', null],
  ['operatingFactorGtawPct', null],
  // A stick is set by the range of its class.
  ['stickFactor', null],
  ['usualStickMm', null],
  ['stickThickestMm', null],
  // An inrush that no plate gives is not guessed.
  ['inrushTimes', null],
  // A small part without a price counts as its kind typically costs.
  ['smallPartPrice', null],
])
const renamedIn = (assumptions: Fields): Fields =>
  Object.fromEntries(
    Object.entries(assumptions).flatMap(([key, value]) => {
      const name = RENAMED_ASSUMPTIONS.has(key) ? RENAMED_ASSUMPTIONS.get(key) : key
      return typeof name === 'string' ? [[name, value]] : []
    }),
  )
const withRenamed: Upcaster = (shop) =>
  isFields(shop['assumptions']) ? { ...shop, assumptions: renamedIn(shop['assumptions']) } : shop

export const shopKind = defineKind({
  kind: 'shop',
  path: 'shop',
  listKey: '',
  noun: 'shop',
  scope: 'shop',
  writers: 'owner',
  most: 1,
  schema: shopSchema,
  upcasters: [
    // Version 1 wrote every figure as in the United States.
    (shop) => ({ locale: 'en-US', ...shop }),
    // Current was linear in thickness, and passes were counted by leg.
    withRenamed,
    // Working time was arc time by a factor.
    withRenamed,
    // The current of a stick was a factor of the plate's.
    withRenamed,
    // Inrush was guessed, and one code gave the least fillet.
    (shop) => withRenamed({ filletRule: shop['ruleBook'] === 'international' ? 'en-1993' : 'd1.1', ...shop }),
    // Every small part without a price cost the same.
    withRenamed,
    // Times were printed in the zone of the device.
    (shop) => ({ timeZone: null, ...shop }),
  ],
  counting: null,
})
