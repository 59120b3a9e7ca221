/** A power source as its data plate has it, in the order in which a plate is read (IEC 60974-1, NEMA EW-1). */
import { WIRE_FORM_WORDS, WIRE_FORMS } from './wire.ts'
import { GUN_GASES } from './gun.ts'
import { METALS } from '../model/material.ts'
import { PROCESS_FAMILIES } from '../model/process.ts'
import { z } from 'zod'
import { phasesSchema } from './circuit.ts'
import { field, NOT_GIVEN } from '../model/field.ts'
import {
  amountSchema,
  ampsSchema,
  diameterMmSchema,
  dutySchema,
  idSchema,
  nameSchema,
  percentSchema,
  thicknessMmSchema,
  voltsSchema,
} from '../model/fields.ts'
import { holdingShape } from '../model/holding.ts'
import { inOrder } from '../model/ordered.ts'
import { CONNECTORS, markSchema, wireFeederSchema, withTension } from './feeder.ts'
import { defineKind } from './kind.ts'
import { eachOf, type Fields, isFields } from './upcaster.ts'

/** A current with the duty that it may be drawn at. */
export interface RatedPoint {
  readonly currentA: number
  readonly dutyPct: number
}

export const ratedPointSchema = z.strictObject({
  currentA: ampsSchema.meta(field('Current', { unit: 'A' })),
  dutyPct: dutySchema.meta(field('Duty', { unit: '%' })),
  /** As the plate prints it; null takes the conventional load voltage. */
  loadV: voltsSchema.nullable().meta(field('Load voltage', { unit: 'V', empty: 'by standard' })),
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

/** A mark of a dial or a tap, with what it gave when the shop measured it. */
const dialOf = (value: z.ZodNumber, label: string, heading: string, cell: 'volts-dial' | 'feed-dial') =>
  z
    .array(
      z.strictObject({
        mark: markSchema.meta(field('Mark')),
        value: value.meta(field(label)),
      }),
    )
    .max(60, 'holds more than 60 marks')
    .check((ctx) => {
      const marks = ctx.value.map(({ mark }) => mark)
      const twice = marks.find((mark, index) => marks.indexOf(mark) !== index)
      if (twice !== undefined)
        ctx.issues.push({
          code: 'custom',
          path: [],
          input: ctx.value,
          message: `names the mark ${twice} twice. Give each mark one figure`,
        })
    })
    .meta(field(label, { isApart: true, member: 'mark', cell, heading, blank: [] }))

/** One column of the data plate: what the source gives on one supply voltage. */
export const supplyRatingSchema = z
  .strictObject({
    /** Null in the one column of a set that an engine drives: it hangs on no supply. */
    voltageV: voltsSchema
      .nullable()
      .meta(field('Supply voltage', { unit: 'V', empty: 'engine-driven', startsOpen: true })),
    phases: phasesSchema,
    outputMinA: ampsSchema.meta(field('Minimum output', { unit: 'A' })),
    outputMaxA: ampsSchema.meta(field('Maximum output', { unit: 'A' })),
    ratedPoints: z
      .array(ratedPointSchema)
      .min(1, 'needs at least one rated current with its duty')
      .max(8)
      .meta(field('Rated points', { isApart: true, member: 'rated point', cell: 'rated-points' })),
    openCircuitV: amountSchema
      .nullable()
      .meta(field('Open-circuit voltage', { unit: 'V', empty: NOT_GIVEN })),
    i1MaxA: ampsSchema.nullable().meta(field('I₁max', { unit: 'A', empty: NOT_GIVEN })),
    i1EffA: ampsSchema.nullable().meta(field('I₁eff', { unit: 'A', empty: NOT_GIVEN })),
    /** Where the plate gives the input as power instead of current. */
    inputKva: amountSchema.nullable().meta(field('Input power', { unit: 'kVA', empty: NOT_GIVEN })),
    /** Where the feeder is slower on this voltage; null takes the feeder's own. */
    feedMaxMmPerMin: amountSchema.nullable().meta(
      field('Maximum wire feed speed here', {
        empty: 'same as the feeder',
        quantity: 'wireFeedSpeed',
        heading: 'feed_max_on_voltage_mm_per_min',
      }),
    ),
    /** Arc volts at each tap or mark of the dial, as the shop measured them on this voltage; empty where nobody did. */
    voltsDial: dialOf(voltsSchema, 'Voltage dial', 'volts_dial', 'volts-dial'),
    /** Wire speed at each mark of its dial, mm/min. */
    feedDial: dialOf(amountSchema, 'Wire speed dial', 'feed_dial_mm_per_min', 'feed-dial'),
  })
  .check(inOrder({ least: 'outputMinA', most: 'outputMaxA', unit: 'A', mayMeet: true }))
  .check(
    z.refine<object>(dutyFalls, {
      path: ['ratedPoints'],
      when: () => true,
      error: ({ input }) => {
        const [before, point] = risingPair(input) ?? []
        return `give ${point?.dutyPct} % at ${point?.currentA} A and ${before?.dutyPct} % at ${before?.currentA} A. Duty must fall as current rises`
      },
    }),
  )
export type SupplyRating = z.infer<typeof supplyRatingSchema>

export const plateProcessSchema = z
  .strictObject({
    family: z.enum(PROCESS_FAMILIES).meta(field('Process', { heading: 'process' })),
    outputs: z
      .array(z.enum(['dc', 'ac']))
      .min(1, 'needs DC or AC')
      .max(2)
      .meta(field('Outputs', { blank: ['dc'] })),
    pulse: z.boolean().meta(field('Pulse')),
    /** What the maker says that it welds: compared, never trusted. */
    claimMinMm: thicknessMmSchema
      .nullable()
      .meta(field('Maker states from', { quantity: 'thickness', empty: NOT_GIVEN })),
    claimMaxMm: thicknessMmSchema
      .nullable()
      .meta(field('Maker states up to', { quantity: 'thickness', empty: NOT_GIVEN })),
    supplies: z
      .array(supplyRatingSchema)
      .min(1, 'needs at least one supply voltage')
      .max(8)
      .meta(field('Supply voltages', { isApart: true, member: 'column' })),
  })
  .check(inOrder({ least: 'claimMinMm', most: 'claimMaxMm', unit: 'mm', mayMeet: true }))
export type PlateProcess = z.infer<typeof plateProcessSchema>

export const SUPPLY_CHANGES = ['fixed', 'plug', 'links', 'automatic'] as const
export const POLARITY_CHANGES = ['leads', 'plug', 'automatic', 'fixed-dcep', 'fixed-dcen'] as const
export const START_METHODS = ['high-frequency', 'lift', 'scratch'] as const

export const SUPPLY_CHANGE_WORDS = {
  fixed: 'one voltage',
  plug: 'by plug',
  links: 'by links inside',
  automatic: 'automatic',
} as const
export const POLARITY_CHANGE_WORDS = {
  leads: 'by the leads',
  plug: 'by a plug',
  automatic: 'automatic',
  'fixed-dcep': 'wired for DCEP',
  'fixed-dcen': 'wired for DCEN',
} as const
export const START_WORDS = { 'high-frequency': 'high frequency', lift: 'lift', scratch: 'scratch' } as const

const secondsSchema = z.number().min(0, 'must be at least 0 s').max(120, 'must be at most 120 s')
/** A current that is set for a moment, from its least to its most. */
const momentSchema = z
  .strictObject({
    minA: ampsSchema.meta(field('Least', { unit: 'A' })),
    maxA: ampsSchema.meta(field('Most', { unit: 'A' })),
  })
  .check(inOrder({ least: 'minA', most: 'maxA', unit: 'A', mayMeet: true }))
/** A wire and a gas that the machine has a program for. */
const programSchema = z.strictObject({
  form: z.enum(WIRE_FORMS).meta(field('Form', { words: WIRE_FORM_WORDS })),
  metal: z.enum(METALS).meta(field('Metal', { words: 'metal' })),
  wireMm: diameterMmSchema.meta(field('Wire', { quantity: 'diameter' })),
  gas: z.enum(GUN_GASES).meta(field('Gas', { words: 'gunGas' })),
})
export type Program = z.infer<typeof programSchema>
const outputRangeSchema = z
  .strictObject({
    family: z.enum(PROCESS_FAMILIES).meta(field('Process')),
    mark: nameSchema.meta(field('Switch position')),
    minA: ampsSchema.meta(field('From', { unit: 'A' })),
    maxA: ampsSchema.meta(field('To', { unit: 'A' })),
  })
  .check(inOrder({ least: 'minA', most: 'maxA', unit: 'A', mayMeet: true }))

const hertzSchema = z.number().min(1, 'must be at least 1 Hz').max(1000, 'must be at most 1000 Hz')

export const powerSourceSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    ...holdingShape,
    /** In the shop's currency; null where nobody lends it. */
    rentPerDay: amountSchema.nullable().meta(field('Rent', { unit: 'a day', empty: 'not for rent' })),
    /** Taken from the library as one of its class: nobody has read its plate yet. */
    typical: z.boolean().meta(field('Typical values?')),
    processes: z
      .array(plateProcessSchema)
      .min(1, 'needs at least one process')
      .max(8)
      .meta(field('Processes of the plate', { isApart: true, member: 'process' })),
    supplyChange: z
      .enum(SUPPLY_CHANGES)
      .nullable()
      .meta(
        field('Voltage change', {
          empty: NOT_GIVEN,
          group: 'Supply and efficiency',
          words: SUPPLY_CHANGE_WORDS,
        }),
      ),
    /** A set that makes its own power; null for one that hangs on a circuit or a generator. */
    engine: z
      .strictObject({
        fuelLPerH: amountSchema
          .nullable()
          .meta(field('Fuel at full load', { unit: 'L/h', empty: NOT_GIVEN, help: '1 gal is 3.8 L.' })),
      })
      .nullable()
      .meta(field('Engine', { presence: 'Engine-driven' })),
    /** Peak of the current in the moment in which it is switched on, root mean square of the first half wave. */
    inrushA: ampsSchema
      .nullable()
      .meta(field('Inrush current', { unit: 'A', empty: NOT_GIVEN, group: 'Supply and efficiency' })),
    efficiencyPct: percentSchema
      .min(10, 'must be at least 10 %')
      .nullable()
      .meta(field('Efficiency', { unit: '%', empty: NOT_GIVEN })),
    powerFactor: z
      .number()
      .min(0.1, 'must be at least 0.1')
      .max(1, 'must be at most 1')
      .nullable()
      .meta(field('Power factor', { empty: NOT_GIVEN })),
    idleW: amountSchema.nullable().meta(field('Idle power', { unit: 'W', empty: NOT_GIVEN })),
    /** Share of electrode-positive, %. */
    acBalance: z
      .strictObject({
        minPct: percentSchema.meta(field('Minimum electrode-positive', { unit: '%' })),
        maxPct: percentSchema.meta(field('Maximum electrode-positive', { unit: '%' })),
      })
      .check(inOrder({ least: 'minPct', most: 'maxPct', unit: '%', mayMeet: true }))
      .nullable()
      .meta(field('AC balance', { presence: 'Adjustable balance' })),
    acFrequency: z
      .strictObject({
        minHz: hertzSchema.meta(field('Lowest', { unit: 'Hz' })),
        maxHz: hertzSchema.meta(field('Highest', { unit: 'Hz' })),
      })
      .check(inOrder({ least: 'minHz', most: 'maxHz', unit: 'Hz', mayMeet: true }))
      .nullable()
      .meta(field('AC frequency', { presence: 'Adjustable frequency' })),
    start: z
      .array(z.enum(START_METHODS))
      .max(START_METHODS.length)
      .meta(field('Arc start', { group: 'Arc', words: START_WORDS })),
    /** Least current at which its arc holds; null takes the least output. */
    lowestStableA: ampsSchema
      .nullable()
      .meta(field('Lowest stable current', { unit: 'A', empty: 'minimum output' })),
    /** Steps of a tap switch; null where the voltage is set without steps. */
    voltageSteps: z
      .int()
      .min(2, 'must be at least 2')
      .max(60, 'must be at most 60')
      .nullable()
      .meta(field('Voltage tap steps', { empty: 'without steps' })),
    /** Positions of a range switch; empty where the output is set in one range. */
    ranges: z
      .array(outputRangeSchema)
      .max(8)
      .meta(
        field('Output ranges', {
          isApart: true,
          member: 'range',
          cell: 'output-ranges',
          blank: [],
          help: 'For a range switch, such as low 20–110 A and high 90–230 A.',
        }),
      ),
    /** Wires and gases that its automatic or pulse programs cover; empty where none are stated. */
    programs: z
      .array(programSchema)
      .max(60)
      .meta(
        field('Automatic programs', {
          isApart: true,
          member: 'program',
          cell: 'programs',
          blank: [],
          help: 'From the chart inside the door. Set any other wire and gas by hand.',
        }),
      ),
    inductance: z
      .boolean()
      .nullable()
      .meta(field('Adjustable inductance', { empty: NOT_GIVEN })),
    /** More current as the arc gets short: keeps a stick from freezing to the plate. */
    arcForce: z
      .boolean()
      .nullable()
      .meta(field('Adjustable arc force', { empty: NOT_GIVEN })),
    /** More current for the first moment of a stick. */
    hotStart: z
      .boolean()
      .nullable()
      .meta(field('Hot start', { empty: NOT_GIVEN })),
    /** By TIG: the current that lights the arc. */
    startAmps: momentSchema.nullable().meta(field('Start current', { presence: 'TIG start current' })),
    /** At the end of a weld: fills the crater. */
    endAmps: momentSchema.nullable().meta(field('End current', { presence: 'Adjustable end current' })),
    burnBack: z
      .boolean()
      .nullable()
      .meta(field('Adjustable burn-back', { empty: NOT_GIVEN, group: 'Arc' })),
    /** A slow wire until the arc burns. */
    runIn: z
      .boolean()
      .nullable()
      .meta(field('Adjustable run-in', { empty: NOT_GIVEN })),
    /** Null where it is set, or where it flows by the amps. */
    postFlowOwnS: secondsSchema.nullable().meta(
      field('Automatic post-flow', {
        unit: 's',
        empty: 'as set',
        help: 'Seconds of gas after each TIG weld.',
      }),
    ),
    /** Null where it has none built in. */
    feeder: wireFeederSchema.nullable().meta(field('Wire feeder', { presence: 'Feeder built in' })),
    torchConnector: z
      .enum(CONNECTORS)
      .nullable()
      .meta(field('Torch connector', { empty: NOT_GIVEN, group: 'Arc', words: 'connector' })),
    polarityChange: z
      .enum(POLARITY_CHANGES)
      .nullable()
      .meta(field('Polarity change', { empty: NOT_GIVEN, words: POLARITY_CHANGE_WORDS })),
    /** Whether it opens and shuts the shielding gas itself; null where not known, as below. */
    gasValve: z
      .boolean()
      .nullable()
      .meta(field('Switches the gas', { empty: NOT_GIVEN })),
    waterCooler: z
      .boolean()
      .nullable()
      .meta(field('Water cooler', { empty: NOT_GIVEN })),
    /** Voltage reduction device, IEC 60974-1. */
    vrd: z
      .boolean()
      .nullable()
      .meta(field('VRD', { empty: NOT_GIVEN })),
    massG: amountSchema
      .nullable()
      .meta(field('Weight', { empty: NOT_GIVEN, quantity: 'mass', group: 'Handling and service' })),
    /** At the operator's place, A-weighted. */
    noiseDb: z
      .number()
      .min(0, 'must be 0 or more')
      .max(140, 'must be at most 140 dB(A)')
      .nullable()
      .meta(field('Noise', { unit: 'dB(A)', empty: NOT_GIVEN })),
    memoriesLocked: z
      .boolean()
      .nullable()
      .meta(field('Locked programs', { empty: NOT_GIVEN })),
    postFlowByHand: z
      .boolean()
      .nullable()
      .meta(field('Adjustable post-flow', { empty: NOT_GIVEN })),
    serviceNear: z
      .boolean()
      .nullable()
      .meta(field('Serviced nearby', { empty: NOT_GIVEN })),
  })
  .check((ctx) => {
    const columns = ctx.value.processes.flatMap(({ supplies }) => supplies.map(({ voltageV }) => voltageV))
    const isDriven = ctx.value.engine !== null
    if (columns.every((voltageV) => (voltageV === null) === isDriven)) return
    ctx.issues.push({
      code: 'custom',
      path: ['processes'],
      input: ctx.value.processes,
      message: isDriven
        ? 'have a supply voltage, but the set has an engine. Empty the voltages, or remove the engine'
        : 'have a column without a supply voltage. Enter it, or mark the set as engine-driven',
    })
  })
export type PowerSource = z.infer<typeof powerSourceSchema>

const withDials = (processes: unknown): unknown =>
  Array.isArray(processes)
    ? processes.map((one: unknown) =>
        isFields(one)
          ? {
              claimMinMm: null,
              claimMaxMm: null,
              ...one,
              ...('supplies' in one
                ? { supplies: eachOf(one['supplies'], { voltsDial: [], feedDial: [] }) }
                : {}),
            }
          : one,
      )
    : processes

/** A plate without a supply voltage was that of a set with an engine. */
const drivenBy = (processes: unknown): Fields | null =>
  Array.isArray(processes) &&
  processes.some(
    (one: unknown) =>
      isFields(one) &&
      Array.isArray(one['supplies']) &&
      one['supplies'].some((supply: unknown) => isFields(supply) && supply['voltageV'] === null),
  )
    ? { fuelLPerH: null }
    : null

export const powerSourceKind = defineKind({
  kind: 'power-source',
  path: 'power-sources',
  listKey: 'powerSources',
  noun: 'power source',
  scope: 'equipment',
  writers: 'owner',
  most: 2000,
  schema: powerSourceSchema,
  upcasters: [
    // There was no stick, no table of dial marks, and no maker's claim.
    (source) => ({
      inductance: null,
      arcForce: null,
      hotStart: null,
      ...source,
      ...('processes' in source ? { processes: withDials(source['processes']) } : {}),
    }),
    // Every plate was taken as read.
    (source) => ({ typical: false, ...source }),
    // Rent, weight, noise and service were not recorded.
    (source) => ({
      rentPerDay: null,
      massG: null,
      noiseDb: null,
      memoriesLocked: null,
      postFlowByHand: null,
      serviceNear: null,
      ...source,
    }),
    // A set with an engine was one whose plate had no supply voltage.
    (source) => ({ engine: drivenBy(source['processes']), inrushA: null, ...source }),
    // What a machine does by itself was not recorded.
    (source) => ({
      ranges: [],
      programs: [],
      startAmps: null,
      endAmps: null,
      burnBack: null,
      runIn: null,
      postFlowOwnS: null,
      ...source,
    }),
    // Nobody had read the tension knob.
    (source) => ({ ...source, ...withTension(source) }),
  ],
  counting: null,
})
