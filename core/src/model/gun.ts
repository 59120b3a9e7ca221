/** Guns that feed wire and torches that hold a tungsten. */
import { z } from 'zod'
import { amountSchema, ampsSchema, dutySchema, idSchema, lengthMmSchema, nameSchema } from './fields.ts'
import { holdingShape } from './holding.ts'
import { CONNECTORS, wireFeederSchema } from './wireFeeder.ts'

export const GUN_GASES = ['co2', 'mixed', 'argon', 'none'] as const
export const GUN_DRIVES = ['none', 'spool', 'push-pull'] as const
export const NECKS = ['curved', 'straight', 'flexible'] as const

export const gunSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    ...holdingShape,
    kind: z.enum(['gun', 'torch']),
    /** Whether it helps the wire along: a spool on the gun, or a motor that pulls. */
    drive: z.enum(GUN_DRIVES),
    cooling: z.enum(['air', 'water']),
    lengthMm: lengthMmSchema,
    /** With its hose. */
    massG: amountSchema.nullable(),
    neck: z.enum(NECKS).nullable(),
    ratings: z
      .array(
        z.strictObject({
          gas: z.enum(GUN_GASES),
          wave: z.enum(['dc', 'ac']),
          currentA: ampsSchema,
          dutyPct: dutySchema,
        }),
      )
      .min(1, 'needs at least one rating')
      .max(12),
    connector: z.enum(CONNECTORS).nullable(),
    /** Which tips and nozzles, or collets and cups, screw into it; by whatever name the shop tells them apart. */
    partsClass: nameSchema.nullable(),
    /** The spool gun's own; null for every other. */
    feeder: wireFeederSchema.nullable(),
    /** A hand valve for the gas at the torch. */
    valve: z.boolean().nullable(),
  })
  .check((ctx) => {
    const { drive, feeder } = ctx.value
    if ((drive === 'spool') === (feeder !== null)) return
    ctx.issues.push({
      code: 'custom',
      path: ['feeder'],
      input: feeder,
      message:
        drive === 'spool'
          ? 'is missing: a spool gun feeds by itself; give its speeds and spool'
          : 'is given, and only a spool gun feeds by itself; take it out or set the drive to spool',
    })
  })
export type Gun = z.infer<typeof gunSchema>
