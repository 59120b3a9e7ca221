/** What amps flow through and what is used up: circuit, power source, gun or torch, wire, gas, tungsten. */
import { z } from 'zod'
import { POLARITIES, PROCESS_FAMILIES, PROCESS_IDS } from '../reference/processes.ts'
import {
  amountSchema,
  ampsSchema,
  countSchema,
  diameterMmSchema,
  dutySchema,
  idSchema,
  lengthMmSchema,
  nameSchema,
  percentSchema,
  voltsSchema,
} from './fields.ts'

export const METALS = ['carbon-steel', 'stainless', 'aluminium'] as const
const phasesSchema = z.union([z.literal(1), z.literal(3)])

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

export const ratedPointSchema = z.strictObject({ currentA: ampsSchema, dutyPct: dutySchema })
export type RatedPoint = z.infer<typeof ratedPointSchema>

/** One column of the data plate: what the source gives on one supply voltage. */
export const supplyRatingSchema = z
  .strictObject({
    voltageV: voltsSchema,
    phases: phasesSchema,
    outputMinA: ampsSchema,
    outputMaxA: ampsSchema,
    ratedPoints: z.array(ratedPointSchema).min(1, 'needs at least one rated current with its duty').max(8),
    i1MaxA: ampsSchema.nullable(),
    i1EffA: ampsSchema.nullable(),
  })
  .check((ctx) => {
    const { outputMinA, outputMaxA, ratedPoints } = ctx.value
    if (outputMinA > outputMaxA) {
      ctx.issues.push({
        code: 'custom',
        path: ['outputMinA'],
        input: outputMinA,
        message: `is ${outputMinA} A, above the greatest output of ${outputMaxA} A; swap or correct them`,
      })
    }
    const byCurrent = [...ratedPoints].sort((a, b) => a.currentA - b.currentA)
    byCurrent.forEach((point, index) => {
      const before = byCurrent[index - 1]
      if (before && point.dutyPct >= before.dutyPct) {
        ctx.issues.push({
          code: 'custom',
          path: ['ratedPoints'],
          input: ratedPoints,
          message: `give ${point.dutyPct} % at ${point.currentA} A and ${before.dutyPct} % at ${before.currentA} A; duty must fall as current rises`,
        })
      }
    })
  })
export type SupplyRating = z.infer<typeof supplyRatingSchema>

export const powerSourceSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  processes: z
    .array(
      z.strictObject({
        family: z.enum(PROCESS_FAMILIES),
        outputs: z.array(z.enum(['dc', 'ac'])).min(1),
        supplies: z.array(supplyRatingSchema).min(1),
      }),
    )
    .min(1, 'needs at least one process'),
  efficiencyPct: percentSchema.min(10, 'must be at least 10 %').nullable(),
  powerFactor: z.number().min(0.1).max(1).nullable(),
  idleW: amountSchema.nullable(),
  feedMaxMmPerMin: amountSchema.nullable(),
  start: z.array(z.enum(['lift', 'high-frequency', 'wire'])),
})
export type PowerSource = z.infer<typeof powerSourceSchema>

export const GUN_GASES = ['co2', 'mixed', 'argon', 'none'] as const
export const gunSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(['gun', 'torch']),
  cooling: z.enum(['air', 'water']),
  lengthMm: lengthMmSchema,
  ratings: z
    .array(
      z.strictObject({
        gas: z.enum(GUN_GASES),
        wave: z.enum(['dc', 'ac']),
        currentA: ampsSchema,
        dutyPct: dutySchema,
      }),
    )
    .min(1, 'needs at least one rating'),
})
export type Gun = z.infer<typeof gunSchema>

export const WIRE_FORMS = ['solid', 'cored-self-shielded', 'cored-gas-shielded', 'rod'] as const
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
    stockG: amountSchema.nullable(),
    packageG: z.number().min(1).max(1e7),
    packagePrice: amountSchema.nullable(),
  })
  .check((ctx) => {
    const { currentMinA, currentMaxA } = ctx.value
    if (currentMinA !== null && currentMaxA !== null && currentMinA >= currentMaxA) {
      ctx.issues.push({
        code: 'custom',
        path: ['currentMinA'],
        input: currentMinA,
        message: `is ${currentMinA} A, not below the greatest current of ${currentMaxA} A; swap or correct them`,
      })
    }
  })
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

export const setUpSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  process: z.enum(PROCESS_IDS),
  polarity: z.enum(POLARITIES),
  circuitId: idSchema,
  powerSourceId: idSchema,
  gunId: idSchema,
  wireId: idSchema.nullable(),
  gasId: idSchema.nullable(),
  tungstenId: idSchema.nullable(),
  /** Cup number: inside diameter in sixteenths of an inch. */
  cupNumber: countSchema.max(24, 'must be at most 24').nullable(),
  gasLens: z.boolean(),
  /** The flow set at the meter; null takes the rule for the wire or the cup. */
  flowLPerMin: z.number().min(1, 'must be at least 1 L/min').max(50, 'must be at most 50 L/min').nullable(),
})
export type SetUp = z.infer<typeof setUpSchema>
