/** The branch circuit that feeds a power source: voltage, breaker, conductor. */
import { z } from 'zod'
import { ampsSchema, idSchema, lengthMmSchema, nameSchema, voltsSchema } from './fields.ts'

export const phasesSchema = z.union([z.literal(1), z.literal(3)])

export const circuitSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  voltageV: voltsSchema,
  phases: phasesSchema,
  breakerA: ampsSchema,
  /** As printed on the cable, for example `12 AWG` or `2.5 mm²`: the rule book knows which it has. */
  conductorSize: z.string().min(1, 'is empty; write for example 12 AWG').max(24),
  lengthMm: lengthMmSchema,
})
export type Circuit = z.infer<typeof circuitSchema>
