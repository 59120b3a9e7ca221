/** A set-up: the circuit, the machine and every part down to the arc, as they are put together for work. */
import { POLARITIES, PROCESS_IDS } from '../model/process.ts'
import { z } from 'zod'
import { field } from '../model/field.ts'
import { amountSchema, idSchema, lengthMmSchema, nameSchema, voltsSchema } from '../model/fields.ts'
import { START_METHODS, START_WORDS } from './powerSource.ts'
import { defineKind } from './kind.ts'

const part = idSchema.nullable()

/** What is printed on extension cords; the rule books know these and more. */
export const setUpSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  process: z.enum(PROCESS_IDS).meta(field('Process', { words: 'process' })),
  polarity: z.enum(POLARITIES).meta(field('Polarity', { words: { dcep: 'DCEP', dcen: 'DCEN', ac: 'AC' } })),
  /** Null only for a set that an engine drives. */
  circuitId: part.meta(field('Circuit', { reference: 'circuit', empty: 'none' })),
  /** Extension cord between outlet and machine, as printed on it; null for none. */
  cordSize: z
    .string()
    .min(1, 'is empty. Enter for example 10 AWG')
    .max(24)
    .nullable()
    .meta(field('Extension cord', { empty: 'none', suggests: 'cord' })),
  cordLengthMm: lengthMmSchema
    .nullable()
    .meta(field('Length of the cord', { empty: 'none', quantity: 'run' })),
  /** Electrode and work lead, as printed on them; null where they belong to the machine or nobody has looked. */
  leadSize: z
    .string()
    .min(1, 'is empty. Enter for example 2 AWG')
    .max(24)
    .nullable()
    .meta(field('Welding leads', { empty: 'supplied with the machine', suggests: 'lead' })),
  /** Both together: the current goes out through one and back through the other. */
  leadLengthMm: lengthMmSchema
    .nullable()
    .meta(field('Length of both leads', { empty: 'not set', quantity: 'run' })),
  /** Between work clamp and work while it welds, as the shop has measured it. */
  returnV: amountSchema.nullable().meta(
    field('Voltage drop at the clamp', {
      unit: 'V',
      empty: 'not measured',
      help: 'Measure between clamp and work while welding.',
    }),
  ),
  /** What links or plug of the source are set for; null where nobody has said, or where it finds its voltage itself. */
  linksSetV: voltsSchema.nullable().meta(field('Links or plug set for', { unit: 'V', empty: 'not set' })),
  powerSourceId: idSchema.meta(field('Power source', { reference: 'power-source' })),
  /** Where the wire is fed from a case of its own. */
  feederId: part.meta(field('Wire feeder', { reference: 'feeder', empty: 'none' })),
  gunId: idSchema.meta(field('Gun or torch', { reference: 'gun' })),
  rollId: part.meta(field('Drive rolls', { reference: 'part', empty: 'none' })),
  linerId: part.meta(field('Liner', { reference: 'part', empty: 'none' })),
  tipId: part.meta(field('Contact tip', { reference: 'part', empty: 'none' })),
  nozzleId: part.meta(field('Nozzle', { reference: 'part', empty: 'none' })),
  colletId: part.meta(field('Collet', { reference: 'part', empty: 'none' })),
  colletBodyId: part.meta(field('Collet body', { reference: 'part', empty: 'none' })),
  cupId: part.meta(field('Cup', { reference: 'part', empty: 'none' })),
  backCapId: part.meta(field('Back cap', { reference: 'part', empty: 'none' })),
  wireId: part.meta(field('Wire or rod', { reference: 'wire', empty: 'none' })),
  gasId: part.meta(field('Gas', { reference: 'gas', empty: 'none' })),
  flowMeterId: part.meta(field('Flow meter', { reference: 'part', empty: 'none' })),
  tungstenId: part.meta(field('Tungsten', { reference: 'tungsten', empty: 'none' })),
  /** How the owner wants the arc struck; null leaves it to the machine. */
  start: z
    .enum(START_METHODS)
    .nullable()
    .meta(field('Arc start', { empty: 'as the machine', words: START_WORDS })),
  /** Controls, computers or a pacemaker near by: high frequency upsets them. */
  electronicsNear: z.boolean().meta(field('Electronics or pacemaker nearby')),
  /** Tungsten beyond the cup; null where not set. */
  stickOutMm: z
    .number()
    .min(0, 'must be at least 0 mm')
    .max(60, 'must be at most 60 mm')
    .nullable()
    .meta(field('Stickout', { empty: 'not set', quantity: 'length' })),
  /** The flow as set on the meter; null takes the rule for the wire or the cup. */
  flowLPerMin: z
    .number()
    .min(1, 'must be at least 1 L/min')
    .max(50, 'must be at most 50 L/min')
    .nullable()
    .meta(field('Gas flow', { empty: 'automatic', quantity: 'gasFlow' })),
})
export type SetUp = z.infer<typeof setUpSchema>

export const setUpKind = defineKind({
  kind: 'set-up',
  path: 'set-ups',
  listKey: 'setUps',
  noun: 'set-up',
  scope: 'plan',
  writers: 'planner',
  most: 5000,
  schema: setUpSchema,
  upcasters: [
    (setUp) => ({ linksSetV: null, ...setUp }),
    // Every machine stood at its outlet.
    (setUp) => ({ cordSize: null, cordLengthMm: null, ...setUp }),
    // Leads belonged to the machine.
    (setUp) => ({ leadSize: null, leadLengthMm: null, ...setUp }),
    // The clamp was not measured.
    (setUp) => ({ returnV: null, ...setUp }),
  ],
  counting: null,
})
