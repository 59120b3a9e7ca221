/** Guns that feed wire, torches that hold a tungsten, holders of covered electrodes. */
import { z } from 'zod'
import { field, NOT_GIVEN } from '../model/field.ts'
import {
  amountSchema,
  ampsSchema,
  dutySchema,
  idSchema,
  keptAtSchema,
  lengthMmSchema,
  nameSchema,
} from '../model/fields.ts'
import { holdingShape } from '../model/holding.ts'
import { CONNECTORS, wireFeederSchema, withTension } from './feeder.ts'
import { defineKind } from './kind.ts'

export const GUN_KINDS = ['gun', 'torch', 'holder'] as const
export const GUN_GASES = ['co2', 'mixed', 'argon', 'none'] as const
export const GUN_DRIVES = ['none', 'spool', 'push-pull'] as const
export const NECKS = ['curved', 'straight', 'flexible'] as const

export const gunSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    ...holdingShape,
    keptAt: keptAtSchema.meta(field('Kept at', { empty: 'not set' })),
    kind: z.enum(GUN_KINDS).meta(
      field('Kind', {
        group: 'Build',
        heading: 'gun_or_torch',
        words: {
          gun: 'gun, feeds wire',
          torch: 'torch, holds a tungsten',
          holder: 'holder of covered electrodes',
        },
      }),
    ),
    /** Whether it helps the wire along: a spool on the gun, or a motor that pulls. */
    drive: z.enum(GUN_DRIVES).meta(
      field('Drive in the gun', {
        words: { none: 'no', spool: 'spool on the gun', 'push-pull': 'push-pull motor' },
      }),
    ),
    cooling: z.enum(['air', 'water']).meta(field('Cooling', { words: { air: 'air', water: 'water' } })),
    lengthMm: lengthMmSchema.meta(field('Length', { quantity: 'run' })),
    /** With its hose. */
    massG: amountSchema.nullable().meta(field('Weight with hose', { empty: NOT_GIVEN, quantity: 'mass' })),
    neck: z
      .enum(NECKS)
      .nullable()
      .meta(field('Neck', { empty: NOT_GIVEN })),
    ratings: z
      .array(
        z.strictObject({
          gas: z.enum(GUN_GASES).meta(field('Gas', { words: 'gunGas' })),
          wave: z.enum(['dc', 'ac']).meta(field('Wave', { words: 'wave' })),
          currentA: ampsSchema.meta(field('Current', { unit: 'A' })),
          dutyPct: dutySchema.meta(field('Duty', { unit: '%' })),
        }),
      )
      .min(1, 'needs at least one rating')
      .max(12)
      .meta(
        field('Ratings', {
          isApart: true,
          member: 'rating',
          cell: 'gun-ratings',
          help: 'A gun with only a CO₂ rating carries less in an argon mix. See Assumptions for how much less.',
          blank: [{ gas: 'co2', wave: 'dc', currentA: null, dutyPct: null }],
        }),
      ),
    connector: z
      .enum(CONNECTORS)
      .nullable()
      .meta(field('Connector', { empty: NOT_GIVEN, words: 'connector' })),
    /** Which tips and nozzles, or collets and cups, screw into it; by whatever name the shop tells them apart. */
    partsClass: nameSchema.nullable().meta(field('Parts class', { empty: NOT_GIVEN })),
    /** The spool gun's own; null for every other. */
    feeder: wireFeederSchema.nullable().meta(field('Feeder on the gun', { presence: 'Own spool' })),
    /** A hand valve for the gas at the torch. */
    valve: z
      .boolean()
      .nullable()
      .meta(field('Hand valve for gas', { empty: NOT_GIVEN, group: 'Build' })),
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
          ? 'is missing. A spool gun has its own feeder. Enter its speeds and spool'
          : 'is given, but only a spool gun has its own feeder. Remove it, or set the drive to spool',
    })
  })
export type Gun = z.infer<typeof gunSchema>

export const gunKind = defineKind({
  kind: 'gun',
  path: 'guns',
  listKey: 'guns',
  noun: 'gun or torch',
  scope: 'equipment',
  writers: 'owner',
  most: 2000,
  schema: gunSchema,
  upcasters: [
    // Nobody had read the tension knob, and where a gun hangs was not recorded.
    (gun) => ({ keptAt: null, ...gun, ...withTension(gun) }),
  ],
  counting: null,
})
