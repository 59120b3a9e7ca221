/** One spool, tube or pack that is counted by itself: what it weighs empty, how deep its wire lies, where it is open. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { idSchema, keptAtSchema, nameSchema } from '../model/fields.ts'
import { defineKind } from './kind.ts'

const mm = (least: number, most: number) =>
  z.number().min(least, `must be at least ${least} mm`).max(most, `must be at most ${most} mm`)

export const spoolSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    wireId: idSchema.meta(field('Wire or rod', { reference: 'wire' })),
    /** Of the empty spool, tube or box. */
    tareG: z
      .number()
      .min(0, 'must be 0 or more')
      .max(50_000, 'must be at most 50 kg')
      .nullable()
      .meta(field('Empty weight', { quantity: 'mass', empty: 'not recorded' })),
    flangeMm: mm(20, 800)
      .nullable()
      .meta(field('Flange diameter', { quantity: 'weldSize', empty: 'not recorded', group: 'Wire depth' })),
    coreMm: mm(5, 600)
      .nullable()
      .meta(field('Core diameter', { quantity: 'weldSize', empty: 'not recorded' })),
    /** From the rim of the flange to the wire of a full one. */
    fullDepthMm: mm(0, 200)
      .nullable()
      .meta(
        field('Depth to the wire, full', { quantity: 'weldSize', empty: 'wire is level with the flange' }),
      ),
    openOnId: idSchema
      .nullable()
      .meta(field('Open on', { reference: 'power-source', empty: 'not open', group: 'Place' })),
    keptAt: keptAtSchema.meta(field('Kept at', { empty: 'not set' })),
    /** Of low-hydrogen electrodes: since when they are out of the oven or the sealed can, UTC. */
    outSince: z.iso
      .datetime('must be a date and time such as 2027-03-31T10:00:00Z')
      .nullable()
      .meta(field('Out of the oven since', { empty: 'in the oven or sealed', isApart: true })),
  })
  .check((ctx) => {
    const { flangeMm, coreMm, fullDepthMm } = ctx.value
    if (flangeMm === null || coreMm === null || flangeMm - 2 * (fullDepthMm ?? 0) > coreMm) return
    ctx.issues.push({
      code: 'custom',
      path: ['coreMm'],
      input: coreMm,
      message: `is ${coreMm} mm, which leaves no room for wire inside a flange of ${flangeMm} mm. Measure both across`,
    })
  })
export type Spool = z.infer<typeof spoolSchema>

export const spoolKind = defineKind({
  kind: 'spool',
  path: 'spools',
  listKey: 'spools',
  noun: 'spool or pack',
  scope: 'stores',
  writers: 'planner',
  most: 2000,
  schema: spoolSchema,
  upcasters: [],
  counting: {
    meta: field('Wire on it', { quantity: 'mass', empty: 'not recorded' }),
    isPieces: false,
  },
})
