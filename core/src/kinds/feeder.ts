/** What pushes the wire, wherever it sits: in the source, in a case of its own, or in a spool gun. */
import { z } from 'zod'
import { field, NOT_GIVEN } from '../model/field.ts'
import { amountSchema, diameterMmSchema, idSchema, nameSchema } from '../model/fields.ts'
import { holdingShape } from '../model/holding.ts'
import { inOrder } from '../model/ordered.ts'
import { defineKind } from './kind.ts'
import { type Fields, isFields } from './upcaster.ts'

/** How a gun or a torch is plugged in: by construction, no maker's name (EN 50078, IEC 60974-12; from memory). */
export const CONNECTORS = [
  'central',
  'pin-large',
  'pin-small',
  'fixed',
  'twist-25',
  'twist-50',
  'stud',
] as const
export type Connector = (typeof CONNECTORS)[number]
/** Outside diameters of spools, mm (ISO 544: S 100, S 200, S 300). */
export const spoolMmSchema = z.union([z.literal(100), z.literal(200), z.literal(300)])
export type SpoolMm = z.infer<typeof spoolMmSchema>

/** A mark of a dial, a tap or a knob. */
export const markSchema = z
  .string()
  .trim()
  .regex(/^[\p{L}\p{N}.,+%/-]{1,12}$/u, 'must be the mark on the dial, such as 4, B or 60%')
/** Forms that come off a spool. */
export const SPOOLED_FORMS = ['solid', 'cored-self-shielded', 'cored-gas-shielded'] as const
export const SPOOLED_FORM_WORDS = {
  solid: 'solid wire',
  'cored-self-shielded': 'self-shielded cored wire',
  'cored-gas-shielded': 'gas-shielded cored wire',
} as const

export const SPOOL_WORDS = { 100: '100 mm', 200: '200 mm', 300: '300 mm' } as const

export const wireFeederShape = {
  feedMinMmPerMin: amountSchema
    .nullable()
    .meta(field('Minimum wire feed speed', { empty: NOT_GIVEN, quantity: 'wireFeedSpeed', group: 'Feeds' })),
  feedMaxMmPerMin: amountSchema
    .nullable()
    .meta(field('Maximum wire feed speed', { empty: NOT_GIVEN, quantity: 'wireFeedSpeed' })),
  wireMinMm: diameterMmSchema
    .nullable()
    .meta(field('Thinnest wire', { empty: NOT_GIVEN, quantity: 'diameter' })),
  wireMaxMm: diameterMmSchema
    .nullable()
    .meta(field('Thickest wire', { empty: NOT_GIVEN, quantity: 'diameter' })),
  /** Which drive rolls it takes, by whatever name the shop tells them apart; null where not known. */
  rollSystem: nameSchema.nullable().meta(field('Drive roll type', { empty: NOT_GIVEN })),
  /** Empty where not known. */
  spoolsMm: z
    .array(spoolMmSchema)
    .max(3)
    .meta(field('Spools', { words: SPOOL_WORDS })),
  spoolMostG: amountSchema.nullable().meta(field('Heaviest spool', { empty: NOT_GIVEN, quantity: 'mass' })),
  gunConnector: z
    .enum(CONNECTORS)
    .nullable()
    .meta(field('Gun connector', { empty: NOT_GIVEN, words: 'connector' })),
  /** The mark on the tension knob for each form of wire; empty where not recorded. */
  tensionMarks: z
    .array(
      z.strictObject({
        form: z.enum(SPOOLED_FORMS).meta(field('Form', { words: SPOOLED_FORM_WORDS })),
        mark: markSchema.meta(field('Mark')),
      }),
    )
    .max(6, 'holds more than 6 marks')
    .meta(
      field('Roll tension marks', {
        isApart: true,
        member: 'mark',
        cell: 'tension-marks',
        blank: [],
        help: 'The mark on the tension knob for each form of wire.',
      }),
    ),
}

export const feedOrder = inOrder({
  least: 'feedMinMmPerMin',
  most: 'feedMaxMmPerMin',
  unit: 'mm/min',
  mayMeet: false,
})
export const wireOrder = inOrder({
  least: 'wireMinMm',
  most: 'wireMaxMm',
  unit: 'mm',
  mayMeet: true,
})

export const wireFeederSchema = z.strictObject(wireFeederShape).check(feedOrder).check(wireOrder)
export type WireFeeder = z.infer<typeof wireFeederSchema>

/** A feeder in a case of its own. */
export const feederSchema = z
  .strictObject({ id: idSchema, name: nameSchema, ...holdingShape, ...wireFeederShape })
  .check(feedOrder)
  .check(wireOrder)
export type Feeder = z.infer<typeof feederSchema>

/** A built-in feeder with its marks; nothing where there is none. */
export const withTension = ({ feeder }: Fields): Fields =>
  isFields(feeder) ? { feeder: { tensionMarks: [], ...feeder } } : {}

export const feederKind = defineKind({
  kind: 'feeder',
  path: 'feeders',
  listKey: 'feeders',
  noun: 'wire feeder',
  scope: 'equipment',
  writers: 'owner',
  most: 2000,
  schema: feederSchema,
  // Nobody had read the tension knob.
  upcasters: [(feeder) => ({ tensionMarks: [], ...feeder })],
  counting: null,
})
