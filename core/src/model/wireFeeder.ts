/** What pushes the wire, wherever it sits: in the source, in a case of its own, or in a spool gun. */
import { z } from 'zod'
import { amountSchema, diameterMmSchema, idSchema, nameSchema } from './fields.ts'
import { holdingShape } from './holding.ts'
import { inOrder } from './ordered.ts'

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
export const CONNECTOR_WORDS: Readonly<Record<Connector, string>> = {
  central: 'central connector',
  'pin-large': 'push-in pin, large',
  'pin-small': 'push-in pin, small',
  fixed: 'wired into the machine',
  'twist-25': 'twist-lock, 10–25 mm²',
  'twist-50': 'twist-lock, 35–50 mm²',
  stud: 'bolted stud',
}

/** Outside diameters of spools, mm (ISO 544: S 100, S 200, S 300). */
export const SPOOLS_MM = [100, 200, 300] as const
export const spoolMmSchema = z.union([z.literal(100), z.literal(200), z.literal(300)])
export type SpoolMm = z.infer<typeof spoolMmSchema>

export const wireFeederShape = {
  feedMinMmPerMin: amountSchema.nullable(),
  feedMaxMmPerMin: amountSchema.nullable(),
  wireMinMm: diameterMmSchema.nullable(),
  wireMaxMm: diameterMmSchema.nullable(),
  /** Which drive rolls it takes, by whatever name the shop tells them apart; null where not known. */
  rollSystem: nameSchema.nullable(),
  /** Empty where not known. */
  spoolsMm: z.array(spoolMmSchema).max(3),
  spoolMostG: amountSchema.nullable(),
  gunConnector: z.enum(CONNECTORS).nullable(),
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
