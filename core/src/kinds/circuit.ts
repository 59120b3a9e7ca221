/** The branch circuit that feeds a power source: voltage, breaker, conductor, and what it comes from. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { ampsSchema, idSchema, lengthMmSchema, nameSchema, voltsSchema } from '../model/fields.ts'
import { holdingShape } from '../model/holding.ts'
import { defineKind } from './kind.ts'

export const phasesSchema = z
  .union([z.literal(1), z.literal(3)])
  .meta(field('Phases', { words: { 1: 'single-phase', 3: 'three-phase' } }))

const CONDUCTOR_METALS = ['copper', 'aluminium'] as const
const BREAKER_KINDS = ['b', 'c', 'd', 'mccb', 'gg'] as const

/** A breaker and the cable behind it: of a branch circuit, or of what feeds a panel. */
export const runShape = {
  voltageV: voltsSchema.meta(field('Voltage', { unit: 'V' })),
  phases: phasesSchema,
  breakerA: ampsSchema.meta(field('Breaker', { unit: 'A' })),
  /** As printed on the cable, for example `12 AWG` or `2.5 mm²`: the rule book knows which it has. */
  conductorSize: z
    .string()
    .min(1, 'is empty. Enter for example 12 AWG')
    .max(24)
    .meta(field('Cable size, as printed', { suggests: 'cable', reads: 'conductor' })),
  /** Temperature column of the rule book's table: what insulation and terminals stand. NM cable is read at 60 °C. */
  columnC: z.union([z.literal(60), z.literal(70), z.literal(75), z.literal(90)]).meta(
    field('Insulation', {
      words: { 60: '60 °C, such as NM cable', 70: '70 °C, PVC', 75: '75 °C', 90: '90 °C, XLPE' },
      blank: 75,
    }),
  ),
  metal: z
    .enum(CONDUCTOR_METALS)
    .meta(field('Conductor', { words: { copper: 'copper', aluminium: 'aluminium' } })),
  /** How the cable lies, by the letters of IEC 60364-5-52; null takes what is usual in the rule book. */
  method: z
    .enum(['A1', 'A2', 'B1', 'B2', 'C', 'D1', 'D2', 'E', 'F'])
    .nullable()
    .meta(
      field('Installation', {
        empty: 'usual',
        words: {
          A1: 'wires in conduit in an insulating wall (A1)',
          A2: 'cable in conduit in an insulating wall (A2)',
          B1: 'wires in conduit on a wall (B1)',
          B2: 'cable in conduit on a wall (B2)',
          C: 'cable clipped to a wall (C)',
          D1: 'cable in a duct in the ground (D1)',
          D2: 'cable in the ground (D2)',
          E: 'cable in free air or on a tray (E)',
          F: 'single-core cables touching, in free air (F)',
        },
      }),
    ),
  /** Warmth around the cable and the panel; null takes the 30 °C of the tables. */
  ambientC: z
    .number()
    .min(-30, 'must be at least −30 °C')
    .max(80, 'must be at most 80 °C')
    .nullable()
    .meta(field('Ambient temperature', { unit: '°C', empty: '30 °C, as in the tables' })),
  /** Loaded conductors in one raceway, or circuits in one bunch, as the rule book counts them; null for none beside it. */
  bundled: z
    .int()
    .min(1, 'must be at least 1')
    .max(100, 'must be at most 100')
    .nullable()
    .meta(
      field('Circuits in the same conduit', {
        empty: 'alone',
        help: 'NEC: current-carrying conductors in the raceway. IEC: grouped circuits.',
      }),
    ),
  lengthMm: lengthMmSchema.meta(field('Length', { quantity: 'run' })),
  breakerKind: z
    .enum(BREAKER_KINDS)
    .nullable()
    .meta(
      field('Breaker type', {
        empty: 'usual',
        words: {
          b: 'B, IEC 60898-1',
          c: 'C, IEC 60898-1',
          d: 'D, IEC 60898-1',
          mccb: 'IEC 60947-2',
          gg: 'gG fuse, IEC 60269',
        },
      }),
    ),
}

export const circuitSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    ...runShape,
    /** As printed on it; null where the machine is wired in, or where nobody has looked. */
    outlet: z
      .string()
      .min(1, 'is empty. Enter for example NEMA 6-50')
      .max(40)
      .nullable()
      .meta(field('Outlet', { empty: 'hard-wired, or not checked', suggests: 'outlet' })),
    /** The panel that its breaker is in; null where nobody has drawn it. */
    panelId: idSchema.nullable().meta(field('Panel', { reference: 'panel', empty: 'not recorded' })),
    /** An outlet of a generator: its breaker is the generator's, and no cable is judged. */
    generatorId: idSchema
      .nullable()
      .meta(field('Outlet of the generator', { reference: 'generator', empty: 'none' })),
    /** One to buy is pulled by an electrician for this price. */
    ...holdingShape,
  })
  .check((ctx) => {
    const { panelId, generatorId } = ctx.value
    if (panelId === null || generatorId === null) return
    ctx.issues.push({
      code: 'custom',
      path: ['generatorId'],
      input: generatorId,
      message: 'is given beside a panel. A circuit comes from one of them. Empty the other',
    })
  })
export type Circuit = z.infer<typeof circuitSchema>

export const circuitKind = defineKind({
  kind: 'circuit',
  path: 'circuits',
  listKey: 'circuits',
  noun: 'circuit',
  scope: 'building',
  writers: 'owner',
  most: 200,
  schema: circuitSchema,
  upcasters: [
    // Every conductor was read at 75 °C.
    (circuit) => ({ columnC: 75, ...circuit }),
    // Every circuit was owned, of copper, alone in its conduit at ordinary temperature.
    (circuit) => ({
      held: 'owned',
      price: null,
      metal: 'copper',
      method: null,
      ambientC: null,
      bundled: null,
      breakerKind: null,
      outlet: null,
      ...circuit,
    }),
    // What a circuit comes from was not recorded.
    (circuit) => ({ panelId: null, generatorId: null, ...circuit }),
  ],
  counting: null,
})
