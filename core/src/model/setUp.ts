/** A set-up: the circuit, the machine and every part down to the arc, as they are put together for work. */
import { z } from 'zod'
import { POLARITIES, PROCESS_IDS } from '../reference/processes.ts'
import { idSchema, nameSchema } from './fields.ts'
import { START_METHODS } from './powerSource.ts'

const part = idSchema.nullable()

export const setUpSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  process: z.enum(PROCESS_IDS),
  polarity: z.enum(POLARITIES),
  /** Null only for a set that an engine drives. */
  circuitId: part,
  powerSourceId: idSchema,
  /** Where the wire is fed from a case of its own. */
  feederId: part,
  gunId: idSchema,
  rollId: part,
  linerId: part,
  tipId: part,
  nozzleId: part,
  colletId: part,
  colletBodyId: part,
  cupId: part,
  backCapId: part,
  wireId: part,
  gasId: part,
  flowMeterId: part,
  tungstenId: part,
  /** How the owner wants the arc struck; null leaves it to the machine. */
  start: z.enum(START_METHODS).nullable(),
  /** Controls, computers or a pacemaker near by: high frequency upsets them. */
  electronicsNear: z.boolean(),
  /** Tungsten beyond the cup; null where not set. */
  stickOutMm: z.number().min(0, 'must be at least 0 mm').max(60, 'must be at most 60 mm').nullable(),
  /** The flow set at the meter; null takes the rule for the wire or the cup. */
  flowLPerMin: z.number().min(1, 'must be at least 1 L/min').max(50, 'must be at most 50 L/min').nullable(),
})
export type SetUp = z.infer<typeof setUpSchema>
