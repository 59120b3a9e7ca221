/** Shielding gas, by the cylinder. */
import { z } from 'zod'
import { field, NOT_GIVEN } from '../model/field.ts'
import { defineKind } from './kind.ts'
import { without } from './upcaster.ts'
import { amountSchema, idSchema, keptAtSchema, nameSchema, percentSchema } from '../model/fields.ts'

export const gasSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    /** ISO 14175 designation, for example `M21-ArC-25`. */
    designation: nameSchema.meta(field('ISO 14175 designation')),
    argonPct: percentSchema.meta(field('Argon', { unit: '%' })),
    co2Pct: percentSchema.meta(field('CO₂', { unit: '%', blank: 0 })),
    oxygenPct: percentSchema.meta(field('Oxygen', { unit: '%', blank: 0 })),
    heliumPct: percentSchema.meta(field('Helium', { unit: '%', blank: 0 })),
    /** Free gas in a full cylinder. */
    fullL: z
      .number()
      .min(1)
      .max(1e6)
      .meta(field('Full cylinder', { quantity: 'cylinder', group: 'Stock' })),
    keptAt: keptAtSchema.meta(field('Kept at', { empty: 'not set' })),
    refillPrice: amountSchema.nullable().meta(field('Refill', { empty: NOT_GIVEN })),
  })
  .check((ctx) => {
    const { argonPct, co2Pct, oxygenPct, heliumPct } = ctx.value
    const sum = argonPct + co2Pct + oxygenPct + heliumPct
    if (Math.abs(sum - 100) > 0.01) {
      ctx.issues.push({
        code: 'custom',
        path: ['argonPct'],
        input: argonPct,
        message: `and the other parts add up to ${sum} %. The total must be 100 %`,
      })
    }
  })
export type Gas = z.infer<typeof gasSchema>

export const gasKind = defineKind({
  kind: 'gas',
  path: 'gases',
  listKey: 'gases',
  noun: 'gas',
  scope: 'equipment',
  writers: 'planner',
  most: 2000,
  schema: gasSchema,
  upcasters: [
    without('leftL'),
    // Where a cylinder stands was not recorded.
    (gas) => ({ keptAt: null, ...gas }),
  ],
  counting: {
    // Free gas, from the gauge.
    meta: field('Gas in the cylinder', { quantity: 'gasVolume', empty: 'not recorded', heading: 'left_l' }),
    isPieces: false,
  },
})
