/** The small parts between feeder and arc, and the meter at the cylinder: each fits some guns and some wires only. */
import { METALS } from '../model/material.ts'
import { z } from 'zod'
import { field, NOT_GIVEN } from '../model/field.ts'
import { amountSchema, diameterMmSchema, idSchema, lengthMmSchema, nameSchema } from '../model/fields.ts'
import { holdingShape } from '../model/holding.ts'
import { inOrder } from '../model/ordered.ts'
import { defineKind } from './kind.ts'
import { type Upcaster, without } from './upcaster.ts'

export const GROOVES = ['v-smooth', 'v-knurled', 'u'] as const
export type Groove = (typeof GROOVES)[number]
export const LINER_MATERIALS = ['steel', 'polymer', 'graphite'] as const
export const LINER_WORDS = { steel: 'steel', polymer: 'polymer (PTFE, nylon)', graphite: 'graphite' } as const
/** Gases that flow meters are scaled for. */
export const SCALE_GASES = ['argon', 'ar-co2-25', 'co2', 'helium'] as const
export type ScaleGas = (typeof SCALE_GASES)[number]
/** Cylinder valves by what may hang on them (CGA V-1: 580 for argon and its mixes, 320 for CO₂). */
export const FITTINGS = ['inert', 'co2'] as const
export const FITTING_WORDS = { inert: 'argon and mixes', co2: 'CO₂' } as const

const common = {
  id: idSchema,
  name: nameSchema,
  ...holdingShape,
}
/** Null where the shop has not said which guns or torches it screws into. */
const partsClass = nameSchema.nullable().meta(field('Parts class', { empty: NOT_GIVEN }))

const rollGrooveSchema = z
  .strictObject({
    form: z.enum(GROOVES).meta(field('Form', { words: 'groove' })),
    wireMinMm: diameterMmSchema.meta(field('Thinnest wire', { quantity: 'diameter' })),
    wireMaxMm: diameterMmSchema.meta(field('Thickest wire', { quantity: 'diameter' })),
  })
  .check(inOrder({ least: 'wireMinMm', most: 'wireMaxMm', unit: 'mm', mayMeet: true }))
export type RollGroove = z.infer<typeof rollGrooveSchema>

export const driveRollSchema = z.strictObject({
  kind: z.literal('drive-roll'),
  ...common,
  /** As the roll is stamped: one that is turned round has two, some have three. */
  grooves: z
    .array(rollGrooveSchema)
    .min(1, 'needs at least one groove')
    .max(4)
    .meta(
      field('Grooves', {
        isApart: true,
        member: 'groove',
        cell: 'roll-grooves',
        help: 'As stamped on the roll, each with its wire sizes. For one size, enter it twice.',
      }),
    ),
  rollSystem: nameSchema.nullable().meta(field('Drive roll type', { empty: NOT_GIVEN, group: 'This part' })),
})
export type DriveRoll = z.infer<typeof driveRollSchema>

export const linerSchema = z
  .strictObject({
    kind: z.literal('liner'),
    ...common,
    material: z.enum(LINER_MATERIALS).meta(field('Made of', { group: 'This part', words: LINER_WORDS })),
    wireMinMm: diameterMmSchema.meta(field('Thinnest wire', { quantity: 'diameter' })),
    wireMaxMm: diameterMmSchema.meta(field('Thickest wire', { quantity: 'diameter' })),
    lengthMm: lengthMmSchema.meta(field('Length', { quantity: 'run' })),
    /** The metal that has run through it; null for a new one. */
    usedFor: z
      .enum(METALS)
      .nullable()
      .meta(field('Metal it has run', { empty: 'none yet', words: 'metal' })),
  })
  .check(inOrder({ least: 'wireMinMm', most: 'wireMaxMm', unit: 'mm', mayMeet: true }))

export const contactTipSchema = z.strictObject({
  kind: z.literal('contact-tip'),
  ...common,
  /** The wire size stamped on it. */
  wireMm: diameterMmSchema.meta(field('Stamped size', { group: 'This part', quantity: 'diameter' })),
  partsClass,
})

export const nozzleSchema = z.strictObject({
  kind: z.literal('nozzle'),
  ...common,
  insideMm: z
    .number()
    .min(3, 'must be at least 3 mm')
    .max(60, 'must be at most 60 mm')
    .nullable()
    .meta(field('Inside diameter', { empty: NOT_GIVEN, group: 'This part', quantity: 'length' })),
  gasless: z.boolean().meta(field('Gasless')),
  /** How far the contact tip lies back behind its rim; below 0 where it stands out. */
  tipRecessMm: z
    .number()
    .min(-15, 'must be at least -15 mm')
    .max(25, 'must be at most 25 mm')
    .nullable()
    .meta(
      field('Tip recess', {
        empty: 'flush',
        quantity: 'length',
        help: 'From the rim of the nozzle to the tip. Negative for a protruding tip.',
      }),
    ),
  partsClass,
})

export const colletSchema = z.strictObject({
  kind: z.literal('collet'),
  ...common,
  tungstenMm: diameterMmSchema.meta(field('Tungsten', { group: 'This part', quantity: 'diameter' })),
  partsClass,
})

export const colletBodySchema = z.strictObject({
  kind: z.literal('collet-body'),
  ...common,
  tungstenMm: diameterMmSchema.meta(field('Tungsten', { group: 'This part', quantity: 'diameter' })),
  gasLens: z.boolean().meta(field('Gas lens')),
  partsClass,
})

export const cupSchema = z.strictObject({
  kind: z.literal('cup'),
  ...common,
  /** Inside diameter in sixteenths of an inch. */
  number: z
    .int()
    .min(2, 'must be at least 2')
    .max(24, 'must be at most 24')
    .meta(field('Cup number', { group: 'This part' })),
  forGasLens: z.boolean().meta(field('For a gas lens')),
  partsClass,
})
export type Cup = z.infer<typeof cupSchema>

export const backCapSchema = z.strictObject({
  kind: z.literal('back-cap'),
  ...common,
  /** Longest electrode that it closes over. */
  longestMm: lengthMmSchema.meta(field('Longest electrode', { group: 'This part', quantity: 'length' })),
  partsClass,
})

export const flowMeterSchema = z.strictObject({
  kind: z.literal('flow-meter'),
  ...common,
  /** Gases that it has a scale for. */
  scales: z
    .array(z.enum(SCALE_GASES))
    .min(1, 'needs at least one gas')
    .max(SCALE_GASES.length)
    .meta(field('Scales', { group: 'This part', words: 'scale', blank: ['argon'] })),
  /** Cylinder valves that it fits, an adapter counted. */
  fittings: z
    .array(z.enum(FITTINGS))
    .min(1, 'needs at least one fitting')
    .max(FITTINGS.length)
    .meta(field('Fits the valve for', { words: FITTING_WORDS, blank: ['inert'] })),
  heated: z.boolean().meta(field('Heated')),
  mostLPerMin: amountSchema
    .nullable()
    .meta(field('Scale ends at', { empty: NOT_GIVEN, quantity: 'gasFlow' })),
})
export type FlowMeter = z.infer<typeof flowMeterSchema>

export const partSchema = z.discriminatedUnion('kind', [
  driveRollSchema,
  linerSchema,
  contactTipSchema,
  nozzleSchema,
  colletSchema,
  colletBodySchema,
  cupSchema,
  backCapSchema,
  flowMeterSchema,
])
export type Part = z.infer<typeof partSchema>
export type PartKind = Part['kind']
export type PartOf<K extends PartKind> = Extract<Part, { kind: K }>

/**
 * @throws RangeError for a kind that the union of parts does not have
 * @example partSchemaOf('cup').shape.number
 */
export function partSchemaOf(kind: PartKind): (typeof partSchema.options)[number] {
  const found = partSchema.options.find((one) => one.shape.kind.value === kind)
  if (!found) throw new RangeError(`there is no part ${kind}`)
  return found
}

/** A roll had one groove for one size, a tip lay flush, and the end of a flow scale was not recorded. */
const withGrooves: Upcaster = (part) => {
  if (part['kind'] === 'nozzle') return { tipRecessMm: null, ...part }
  if (part['kind'] === 'flow-meter') return { mostLPerMin: null, ...part }
  if (part['kind'] !== 'drive-roll') return part
  const { groove: form = null, wireMm = null, ...roll } = part
  return { grooves: [{ form, wireMinMm: wireMm, wireMaxMm: wireMm }], ...roll }
}

export const partKind = defineKind({
  kind: 'part',
  path: 'parts',
  listKey: 'parts',
  noun: 'part',
  scope: 'equipment',
  writers: 'planner',
  most: 4000,
  schema: partSchema,
  upcasters: [without('stock'), withGrooves],
  counting: {
    meta: field('Stock on hand', { unit: 'pcs', empty: 'not recorded', heading: 'stock' }),
    isPieces: true,
  },
})
