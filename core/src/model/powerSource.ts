/** A power source as its data plate has it, in the order in which a plate is read (IEC 60974-1, NEMA EW-1). */
import { z } from 'zod'
import { PLATE_FAMILIES } from '../reference/processes.ts'
import { phasesSchema } from './circuit.ts'
import {
  amountSchema,
  ampsSchema,
  dutySchema,
  idSchema,
  nameSchema,
  percentSchema,
  voltsSchema,
} from './fields.ts'
import { holdingShape } from './holding.ts'
import { inOrder } from './ordered.ts'
import { CONNECTORS, wireFeederSchema } from './wireFeeder.ts'

/** A current with the duty that it may be drawn at. */
export interface RatedPoint {
  readonly currentA: number
  readonly dutyPct: number
}

export const ratedPointSchema = z.strictObject({
  currentA: ampsSchema,
  dutyPct: dutySchema,
  /** As the plate prints it; null takes the conventional load voltage. */
  loadV: voltsSchema.nullable(),
})

const isRatedPoint = (value: unknown): value is RatedPoint =>
  typeof value === 'object' &&
  value !== null &&
  typeof Reflect.get(value, 'currentA') === 'number' &&
  typeof Reflect.get(value, 'dutyPct') === 'number'

/** Two rated points of which the one with more current has no less duty; null where there are none. */
function risingPair(supply: unknown): readonly [RatedPoint, RatedPoint] | null {
  const points: unknown =
    typeof supply === 'object' && supply !== null ? Reflect.get(supply, 'ratedPoints') : null
  if (!Array.isArray(points)) return null
  const byCurrent = points.filter(isRatedPoint).sort((a, b) => a.currentA - b.currentA)
  for (const [index, point] of byCurrent.entries()) {
    const before = byCurrent[index - 1]
    if (before && point.dutyPct >= before.dutyPct) return [before, point]
  }
  return null
}

/** Whether the rated points, as far as they are there, are those of a duty curve. */
export const dutyFalls = (supply: object): boolean => risingPair(supply) === null

/** One column of the data plate: what the source gives on one supply voltage. */
export const supplyRatingSchema = z
  .strictObject({
    /** Null for a set that an engine drives: it hangs on no circuit. */
    voltageV: voltsSchema.nullable(),
    phases: phasesSchema,
    outputMinA: ampsSchema,
    outputMaxA: ampsSchema,
    ratedPoints: z.array(ratedPointSchema).min(1, 'needs at least one rated current with its duty').max(8),
    openCircuitV: amountSchema.nullable(),
    i1MaxA: ampsSchema.nullable(),
    i1EffA: ampsSchema.nullable(),
    /** Where the plate gives the input as power instead of current. */
    inputKva: amountSchema.nullable(),
    /** Where the feeder is slower on this voltage; null takes the feeder's own. */
    feedMaxMmPerMin: amountSchema.nullable(),
  })
  .check(inOrder({ least: 'outputMinA', most: 'outputMaxA', unit: 'A', mayMeet: true }))
  .check(
    z.refine<object>(dutyFalls, {
      path: ['ratedPoints'],
      when: () => true,
      error: ({ input }) => {
        const [before, point] = risingPair(input) ?? []
        return `give ${point?.dutyPct} % at ${point?.currentA} A and ${before?.dutyPct} % at ${before?.currentA} A; duty must fall as current rises`
      },
    }),
  )
export type SupplyRating = z.infer<typeof supplyRatingSchema>

export const plateProcessSchema = z.strictObject({
  family: z.enum(PLATE_FAMILIES),
  outputs: z
    .array(z.enum(['dc', 'ac']))
    .min(1, 'needs DC or AC')
    .max(2),
  pulse: z.boolean(),
  supplies: z.array(supplyRatingSchema).min(1, 'needs at least one supply voltage').max(8),
})
export type PlateProcess = z.infer<typeof plateProcessSchema>

export const SUPPLY_CHANGES = ['fixed', 'plug', 'links', 'automatic'] as const
export const POLARITY_CHANGES = ['leads', 'plug', 'automatic', 'fixed-dcep', 'fixed-dcen'] as const
export const START_METHODS = ['high-frequency', 'lift', 'scratch'] as const
export type StartMethod = (typeof START_METHODS)[number]

const hertzSchema = z.number().min(1, 'must be at least 1 Hz').max(1000, 'must be at most 1000 Hz')

export const powerSourceSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    ...holdingShape,
    processes: z.array(plateProcessSchema).min(1, 'needs at least one process').max(8),
    supplyChange: z.enum(SUPPLY_CHANGES).nullable(),
    efficiencyPct: percentSchema.min(10, 'must be at least 10 %').nullable(),
    powerFactor: z.number().min(0.1, 'must be at least 0.1').max(1, 'must be at most 1').nullable(),
    idleW: amountSchema.nullable(),
    /** Share of electrode-positive, %. */
    acBalance: z
      .strictObject({ minPct: percentSchema, maxPct: percentSchema })
      .check(inOrder({ least: 'minPct', most: 'maxPct', unit: '%', mayMeet: true }))
      .nullable(),
    acFrequency: z
      .strictObject({ minHz: hertzSchema, maxHz: hertzSchema })
      .check(inOrder({ least: 'minHz', most: 'maxHz', unit: 'Hz', mayMeet: true }))
      .nullable(),
    start: z.array(z.enum(START_METHODS)).max(START_METHODS.length),
    /** Least current at which its arc holds; null takes the least output. */
    lowestStableA: ampsSchema.nullable(),
    /** Steps of a tap switch; null where the voltage is set without steps. */
    voltageSteps: z.int().min(2, 'must be at least 2').max(60, 'must be at most 60').nullable(),
    /** Null where it has none built in. */
    feeder: wireFeederSchema.nullable(),
    torchConnector: z.enum(CONNECTORS).nullable(),
    polarityChange: z.enum(POLARITY_CHANGES).nullable(),
    /** Whether it opens and shuts the shielding gas itself; null where not known, as below. */
    gasValve: z.boolean().nullable(),
    waterCooler: z.boolean().nullable(),
    /** Voltage reduction device, IEC 60974-1. */
    vrd: z.boolean().nullable(),
  })
  .check((ctx) => {
    const columns = ctx.value.processes.flatMap(({ supplies }) => supplies.map(({ voltageV }) => voltageV))
    if (columns.every((voltageV) => voltageV === null) || columns.every((voltageV) => voltageV !== null))
      return
    ctx.issues.push({
      code: 'custom',
      path: ['processes'],
      input: ctx.value.processes,
      message:
        'have supply voltages and columns without one; only a set that an engine drives has none, and then nowhere',
    })
  })
export type PowerSource = z.infer<typeof powerSourceSchema>

/** A set that makes its own power. */
export const isEngineDriven = ({ processes }: Pick<PowerSource, 'processes'>): boolean =>
  processes.some(({ supplies }) => supplies.some(({ voltageV }) => voltageV === null))
