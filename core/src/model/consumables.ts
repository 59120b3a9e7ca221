/** What is used up: wire and rod, gas, tungsten. */
import { z } from 'zod'
import { POLARITIES } from '../reference/processes.ts'
import {
  amountSchema,
  ampsSchema,
  diameterMmSchema,
  idSchema,
  lengthMmSchema,
  nameSchema,
  percentSchema,
} from './fields.ts'
import { inOrder } from './ordered.ts'
import { spoolMmSchema } from './wireFeeder.ts'

export const METALS = ['carbon-steel', 'stainless', 'aluminium'] as const
export type Metal = (typeof METALS)[number]

export const WIRE_FORMS = ['solid', 'cored-self-shielded', 'cored-gas-shielded', 'rod'] as const
/** What a cored wire may be welded in. */
export const WIRE_POSITIONS = ['all', 'flat-horizontal'] as const
/** Which gas a cored wire is made for. */
export const WIRE_GASES = ['co2', 'mixed', 'either'] as const

export const wireSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    form: z.enum(WIRE_FORMS),
    classification: nameSchema,
    metal: z.enum(METALS),
    diameterMm: diameterMmSchema,
    /** The wire's own data where known; otherwise the reference table of its form and diameter. */
    currentMinA: ampsSchema.nullable(),
    currentMaxA: ampsSchema.nullable(),
    polarity: z.enum(POLARITIES).nullable(),
    /** Null where the classification says it, or where it is good for all. */
    positions: z.enum(WIRE_POSITIONS).nullable(),
    gasWanted: z.enum(WIRE_GASES).nullable(),
    /** Null for a rod, or where not known. */
    spoolMm: spoolMmSchema.nullable(),
    stockG: amountSchema.nullable(),
    packageG: z.number().min(1).max(1e7),
    packagePrice: amountSchema.nullable(),
  })
  .check(inOrder({ least: 'currentMinA', most: 'currentMaxA', unit: 'A', mayMeet: false }))
export type Wire = z.infer<typeof wireSchema>

export const gasSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    /** ISO 14175 designation, for example `M21-ArC-25`. */
    designation: nameSchema,
    argonPct: percentSchema,
    co2Pct: percentSchema,
    oxygenPct: percentSchema,
    heliumPct: percentSchema,
    /** Free gas in a full cylinder. */
    fullL: z.number().min(1).max(1e6),
    /** Free gas left, from the gauge; null when the gauge has not been read. */
    leftL: amountSchema.nullable(),
    refillPrice: amountSchema.nullable(),
  })
  .check((ctx) => {
    const { argonPct, co2Pct, oxygenPct, heliumPct } = ctx.value
    const sum = argonPct + co2Pct + oxygenPct + heliumPct
    if (Math.abs(sum - 100) > 0.01) {
      ctx.issues.push({
        code: 'custom',
        path: ['argonPct'],
        input: argonPct,
        message: `and the other parts add up to ${sum} %; they must make 100 %`,
      })
    }
  })
export type Gas = z.infer<typeof gasSchema>

export const TUNGSTEN_TYPES = ['WP', 'WLa15', 'WLa20', 'WCe20', 'WZr8', 'WTh20'] as const
export const tungstenSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  type: z.enum(TUNGSTEN_TYPES),
  diameterMm: diameterMmSchema,
  lengthMm: lengthMmSchema,
  stock: z.int().min(0).max(100_000).nullable(),
  price: amountSchema.nullable(),
})
export type Tungsten = z.infer<typeof tungstenSchema>
