/** The branch circuit that feeds a power source: voltage, breaker, conductor. */
import { z } from 'zod'
import { field } from './field.ts'
import { ampsSchema, idSchema, lengthMmSchema, nameSchema, voltsSchema } from './fields.ts'
import { holdingShape } from './holding.ts'

export const phasesSchema = z
  .union([z.literal(1), z.literal(3)])
  .meta(field('Phases', { words: { 1: 'single-phase', 3: 'three-phase' } }))

/** What is printed on cables in most shops; the rule books know these. */
const COPPER_SIZES = [
  '14 AWG',
  '12 AWG',
  '10 AWG',
  '8 AWG',
  '6 AWG',
  '4 AWG',
  '3 AWG',
  '2 AWG',
  '1 AWG',
  '1/0 AWG',
]

export const circuitSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  voltageV: voltsSchema.meta(field('Voltage', { unit: 'V' })),
  phases: phasesSchema,
  breakerA: ampsSchema.meta(field('Breaker', { unit: 'A' })),
  /** As printed on the cable, for example `12 AWG` or `2.5 mm²`: the rule book knows which it has. */
  conductorSize: z
    .string()
    .min(1, 'is empty; write for example 12 AWG')
    .max(24)
    .meta(field('Cable, as printed on it', { suggests: COPPER_SIZES })),
  /** Temperature column of the rule book's table: what insulation and terminals stand. NM cable is read at 60 °C. */
  columnC: z
    .union([z.literal(60), z.literal(75), z.literal(90)])
    .meta(
      field('Insulation', { words: { 60: '60 °C, such as NM cable', 75: '75 °C', 90: '90 °C' }, blank: 75 }),
    ),
  lengthMm: lengthMmSchema.meta(field('Length', { quantity: 'length' })),
  /** One to buy is pulled by an electrician for this price. */
  ...holdingShape,
})
export type Circuit = z.infer<typeof circuitSchema>
