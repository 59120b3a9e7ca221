/** The small parts between feeder and arc, and the meter at the cylinder: each fits some guns and some wires only. */
import { z } from 'zod'
import { METALS } from './consumables.ts'
import { diameterMmSchema, idSchema, lengthMmSchema, nameSchema } from './fields.ts'
import { holdingShape } from './holding.ts'
import { inOrder } from './ordered.ts'

export const GROOVES = ['v-smooth', 'v-knurled', 'u'] as const
export type Groove = (typeof GROOVES)[number]
export const LINER_MATERIALS = ['steel', 'polymer', 'graphite'] as const
/** Gases that flow meters are scaled for. */
export const SCALE_GASES = ['argon', 'ar-co2-25', 'co2', 'helium'] as const
export type ScaleGas = (typeof SCALE_GASES)[number]
/** Cylinder valves by what may hang on them (CGA V-1: 580 for argon and its mixes, 320 for CO₂). */
export const FITTINGS = ['inert', 'co2'] as const
export type Fitting = (typeof FITTINGS)[number]

const common = {
  id: idSchema,
  name: nameSchema,
  ...holdingShape,
  stock: z.int().min(0, 'must be at least 0').max(100_000, 'must be at most 100000').nullable(),
}
/** Null where the shop has not said which guns or torches it screws into. */
const partsClass = nameSchema.nullable()

export const driveRollSchema = z.strictObject({
  kind: z.literal('drive-roll'),
  ...common,
  groove: z.enum(GROOVES),
  wireMm: diameterMmSchema,
  rollSystem: nameSchema.nullable(),
})
export type DriveRoll = z.infer<typeof driveRollSchema>

export const linerSchema = z
  .strictObject({
    kind: z.literal('liner'),
    ...common,
    material: z.enum(LINER_MATERIALS),
    wireMinMm: diameterMmSchema,
    wireMaxMm: diameterMmSchema,
    lengthMm: lengthMmSchema,
    /** The metal that has run through it; null for a new one. */
    usedFor: z.enum(METALS).nullable(),
  })
  .check(inOrder({ least: 'wireMinMm', most: 'wireMaxMm', unit: 'mm', mayMeet: true }))
export type Liner = z.infer<typeof linerSchema>

export const contactTipSchema = z.strictObject({
  kind: z.literal('contact-tip'),
  ...common,
  /** The wire size stamped on it. */
  wireMm: diameterMmSchema,
  partsClass,
})
export type ContactTip = z.infer<typeof contactTipSchema>

export const nozzleSchema = z.strictObject({
  kind: z.literal('nozzle'),
  ...common,
  insideMm: z.number().min(3, 'must be at least 3 mm').max(60, 'must be at most 60 mm').nullable(),
  gasless: z.boolean(),
  partsClass,
})
export type Nozzle = z.infer<typeof nozzleSchema>

export const colletSchema = z.strictObject({
  kind: z.literal('collet'),
  ...common,
  tungstenMm: diameterMmSchema,
  partsClass,
})
export type Collet = z.infer<typeof colletSchema>

export const colletBodySchema = z.strictObject({
  kind: z.literal('collet-body'),
  ...common,
  tungstenMm: diameterMmSchema,
  gasLens: z.boolean(),
  partsClass,
})
export type ColletBody = z.infer<typeof colletBodySchema>

export const cupSchema = z.strictObject({
  kind: z.literal('cup'),
  ...common,
  /** Inside diameter in sixteenths of an inch. */
  number: z.int().min(2, 'must be at least 2').max(24, 'must be at most 24'),
  forGasLens: z.boolean(),
  partsClass,
})
export type Cup = z.infer<typeof cupSchema>

export const backCapSchema = z.strictObject({
  kind: z.literal('back-cap'),
  ...common,
  /** Longest electrode that it closes over. */
  longestMm: lengthMmSchema,
  partsClass,
})
export type BackCap = z.infer<typeof backCapSchema>

export const flowMeterSchema = z.strictObject({
  kind: z.literal('flow-meter'),
  ...common,
  /** Gases that it has a scale for. */
  scales: z.array(z.enum(SCALE_GASES)).min(1, 'needs at least one gas').max(SCALE_GASES.length),
  /** Cylinder valves that it fits, an adapter counted. */
  fittings: z.array(z.enum(FITTINGS)).min(1, 'needs at least one fitting').max(FITTINGS.length),
  heated: z.boolean(),
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

export const PART_WORDS: Readonly<Record<PartKind, string>> = {
  'drive-roll': 'drive roll',
  liner: 'liner',
  'contact-tip': 'contact tip',
  nozzle: 'nozzle',
  collet: 'collet',
  'collet-body': 'collet body',
  cup: 'cup',
  'back-cap': 'back cap',
  'flow-meter': 'flow meter',
}
export const PART_KINDS = Object.keys(PART_WORDS) as [PartKind, ...PartKind[]]
