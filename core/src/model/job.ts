/** What is to be welded: a job and its joints. */
import { z } from 'zod'
import { MATERIAL_IDS } from '../reference/materials.ts'
import { countSchema, idSchema, lengthMmSchema, nameSchema, noteSchema, thicknessMmSchema } from './fields.ts'

export const JOINT_KINDS = ['tee', 'lap', 'inside-corner', 'outside-corner', 'butt-square', 'butt-v'] as const
export type JointKind = (typeof JOINT_KINDS)[number]

/** Kinds whose weld is a fillet, sized by its leg. */
export const FILLET_KINDS: readonly JointKind[] = ['tee', 'lap', 'inside-corner', 'outside-corner']

export const POSITIONS = ['flat', 'horizontal', 'vertical-up', 'vertical-down', 'overhead'] as const
export type Position = (typeof POSITIONS)[number]

const smallMm = (most: number) =>
  z.number().min(0, 'must be 0 mm or more').max(most, `must be at most ${most} mm`)

export const jointSchema = z
  .strictObject({
    id: idSchema,
    kind: z.enum(JOINT_KINDS),
    material: z.enum(MATERIAL_IDS),
    thicknessAMm: thicknessMmSchema,
    thicknessBMm: thicknessMmSchema,
    /** Fillet leg; null for a groove. */
    legMm: z.number().min(0.5, 'must be at least 0.5 mm').max(100, 'must be at most 100 mm').nullable(),
    rootGapMm: smallMm(20),
    rootFaceMm: smallMm(300),
    includedAngleDeg: z
      .number()
      .min(10, 'must be at least 10 degrees')
      .max(120, 'must be at most 120 degrees')
      .nullable(),
    reinforcementMm: smallMm(10),
    /** Passes chosen by the owner; null leaves it to the process's thickest single pass. */
    passes: z.int().min(1, 'must be at least 1').max(60, 'must be at most 60').nullable(),
    position: z.enum(POSITIONS),
    count: countSchema,
    /** Length of one weld. */
    lengthMm: lengthMmSchema,
  })
  .check((ctx) => {
    const joint = ctx.value
    const complain = (path: keyof typeof joint, message: string) =>
      ctx.issues.push({ code: 'custom', path: [path], input: joint[path], message })
    if (FILLET_KINDS.includes(joint.kind) && joint.legMm === null) {
      complain('legMm', 'is missing; a fillet is sized by its leg')
    }
    if (
      FILLET_KINDS.includes(joint.kind) &&
      joint.passes !== null &&
      joint.passes > 1 &&
      joint.legMm !== null
    ) {
      const eachMm = joint.legMm / Math.sqrt(joint.passes)
      if (eachMm < 1)
        complain('passes', `leave less than a 1 mm leg to each; use fewer passes or a larger leg`)
    }
    if (joint.kind === 'butt-v') {
      if (joint.includedAngleDeg === null) complain('includedAngleDeg', 'is missing; 60 degrees is usual')
      const thinner = Math.min(joint.thicknessAMm, joint.thicknessBMm)
      if (joint.rootFaceMm >= thinner) {
        complain('rootFaceMm', `leaves no groove in ${thinner} mm; make it smaller or choose a square butt`)
      }
    }
  })
export type Joint = z.infer<typeof jointSchema>

export const QUALITIES = ['ordinary', 'cosmetic', 'leak-tight', 'structural'] as const

export const jobSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  note: noteSchema,
  quantity: countSchema,
  place: z.enum(['indoors', 'outdoors']),
  windKmPerH: z.number().min(0, 'must be 0 or more').max(150, 'must be at most 150 km/h').nullable(),
  quality: z.enum(QUALITIES),
  /** Working hours set aside for the whole job; null when nobody has said. */
  hoursSetAside: z
    .number()
    .min(0.05, 'must be at least 0.05 h')
    .max(10_000, 'must be at most 10000 h')
    .nullable(),
  /** Seconds from the end of one weld to the start of the next; null takes the assumption for the process. */
  pauseS: z.number().min(0, 'must be 0 s or more').max(3600, 'must be at most 3600 s').nullable(),
  setUpId: idSchema.nullable(),
  joints: z.array(jointSchema).min(1, 'needs at least one joint').max(500, 'holds more than 500 joints'),
})
export type Job = z.infer<typeof jobSchema>
