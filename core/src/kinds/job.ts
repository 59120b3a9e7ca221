/** What is to be welded: a job and its welds, in the order of welding. */
import { PRIORITIES } from '../model/priority.ts'
import { QUALITIES } from '../model/quality.ts'
import {
  BEVELLED_KINDS,
  FILLET_KINDS,
  JOINT_KINDS,
  PATTERNS,
  PENETRATIONS,
  POSITIONS,
  ROUND_KINDS,
} from '../model/jointKinds.ts'
import { MATERIAL_IDS } from '../model/material.ts'
import { z } from 'zod'
import { field } from '../model/field.ts'
import {
  amountSchema,
  countSchema,
  idSchema,
  lengthMmSchema,
  nameSchema,
  noteSchema,
  thicknessMmSchema,
} from '../model/fields.ts'
import { defineKind } from './kind.ts'
import { eachOf } from './upcaster.ts'

/** Below this nobody measures or grinds: it is none, or it is a slip of the keys. */
const LEAST_SMALL_MM = 0.1
const smallMm = (most: number) =>
  z
    .number()
    .min(0, 'must be 0 mm or more')
    .max(most, `must be at most ${most} mm`)
    .refine(
      (mm) => mm <= 0 || mm >= LEAST_SMALL_MM,
      `must be 0 mm, or at least ${LEAST_SMALL_MM} mm: less cannot be measured`,
    )
const legSchema = z.number().min(0.5, 'must be at least 0.5 mm').max(100, 'must be at most 100 mm')
const diameterSchema = z.number().min(2, 'must be at least 2 mm').max(20_000, 'must be at most 20000 mm')

export const jointSchema = z
  .strictObject({
    id: idSchema,
    kind: z.enum(JOINT_KINDS).meta(field('Joint')),
    materialA: z.enum(MATERIAL_IDS).meta(field('Material')),
    materialB: z.enum(MATERIAL_IDS).meta(field('Other material')),
    /** The part that is attached; for a tube its wall. */
    thicknessAMm: thicknessMmSchema.meta(field('Thickness', { quantity: 'thickness' })),
    /** The part that it is attached to. */
    thicknessBMm: thicknessMmSchema.meta(field('Other thickness', { quantity: 'thickness' })),
    /** Fillet leg, or fill of a flare groove; null for other grooves, and for a flare filled flush. */
    legMm: legSchema.nullable().meta(field('Leg', { empty: 'flush, or no fillet', quantity: 'weldSize' })),
    /** The other leg of an unequal fillet; null where both are the same. */
    legBMm: legSchema.nullable().meta(field('Other leg', { empty: 'the same', quantity: 'weldSize' })),
    /** A fillet on both sides of the part: two welds a place. */
    bothSides: z.boolean().meta(field('Both sides')),
    penetration: z.enum(PENETRATIONS).meta(field('Joint penetration')),
    rootGapMm: smallMm(20).meta(field('Root opening', { quantity: 'weldSize' })),
    rootFaceMm: smallMm(300).meta(field('Root face', { quantity: 'weldSize' })),
    includedAngleDeg: z
      .number()
      .gt(0, 'must be more than 0 degrees')
      .lt(180, 'must be less than 180 degrees')
      .nullable()
      .meta(field('Included angle', { unit: '°', empty: 'no bevel' })),
    /** Radius at the root of a U or J. */
    rootRadiusMm: smallMm(30).meta(field('Root radius', { quantity: 'weldSize' })),
    reinforcementMm: smallMm(15).meta(field('Reinforcement', { quantity: 'weldSize' })),
    /** Height of a back weld or of the root's reinforcement; 0 for none. */
    backWeldMm: smallMm(15).meta(field('Back weld', { quantity: 'weldSize' })),
    backing: z.boolean().meta(field('Backing')),
    /** The root of a tube is flooded with argon while it is welded. */
    purge: z.boolean().meta(field('Back purge')),
    /** Outside diameter: of the tube that is welded around, the round of a flare, the hole, or the branch. */
    diameterMm: diameterSchema.nullable().meta(field('Diameter', { empty: 'not round', quantity: 'length' })),
    /** Outside diameter of the tube that a branch sits on. */
    headerDiameterMm: diameterSchema
      .nullable()
      .meta(field('Diameter of the header', { empty: 'no saddle', quantity: 'length' })),
    /** Length of a slot over all. */
    slotLengthMm: z
      .number()
      .min(2, 'must be at least 2 mm')
      .max(1000, 'must be at most 1000 mm')
      .nullable()
      .meta(field('Length of the slot', { empty: 'no slot', quantity: 'length' })),
    /** All the way round `diameterMm`: tube to plate, girth seam. The length then follows from the diameter. */
    around: z.boolean().meta(field('All the way round')),
    /** Passes chosen by the owner; null leaves it to process and position. */
    passes: z
      .int()
      .min(1, 'must be at least 1')
      .max(60, 'must be at most 60')
      .nullable()
      .meta(field('Passes', { empty: 'automatic' })),
    position: z.enum(POSITIONS).meta(field('Position')),
    count: countSchema.meta(field('Number of welds')),
    /** Length of one weld from end to end, the gaps of an intermittent one included. */
    lengthMm: lengthMmSchema.meta(field('Length', { quantity: 'length' })),
    pattern: z.enum(PATTERNS).meta(field('Pattern')),
    /** Length of one segment of an intermittent weld. */
    segmentMm: lengthMmSchema.nullable().meta(field('Segment', { empty: 'continuous', quantity: 'length' })),
    /** From the middle of one segment to the middle of the next. */
    pitchMm: lengthMmSchema.nullable().meta(field('Pitch', { empty: 'continuous', quantity: 'length' })),
    /** Seconds of tacking for one weld; null takes the rule by length. */
    tackS: z
      .number()
      .min(0, 'must be 0 s or more')
      .max(36_000, 'must be at most 36000 s')
      .nullable()
      .meta(field('Tack time', { unit: 's', empty: 'by length' })),
    /** Seconds from this weld to the next; null takes the job's handling. */
    repositionS: z
      .number()
      .min(0, 'must be 0 s or more')
      .max(36_000, 'must be at most 36000 s')
      .nullable()
      .meta(field('Handling time', { unit: 's', empty: 'as the job' })),
  })
  // What is missing, or wrong within one field. What contradicts another field is a finding: see `contradictions.ts`.
  .check((ctx) => {
    const joint = ctx.value
    const complain = (path: keyof typeof joint, message: string) =>
      ctx.issues.push({ code: 'custom', path: [path], input: joint[path], message })

    if (FILLET_KINDS.includes(joint.kind)) {
      if (joint.legMm === null) complain('legMm', 'is missing. Enter the leg of the fillet')
    }
    if (BEVELLED_KINDS.includes(joint.kind)) {
      if (joint.includedAngleDeg === null)
        complain('includedAngleDeg', 'is missing. 60 degrees is usual for a V, 45 for a bevel')
      const single = joint.kind === 'bevel' || joint.kind === 'double-bevel' || joint.kind === 'j'
      if (single && joint.includedAngleDeg !== null && joint.includedAngleDeg >= 90) {
        complain(
          'includedAngleDeg',
          `is ${joint.includedAngleDeg} degrees on one side. A bevel is below 90, 45 is usual`,
        )
      }
    }
    if ((joint.kind === 'u' || joint.kind === 'j') && joint.rootRadiusMm <= 0)
      complain('rootRadiusMm', 'is missing. 6 mm (1/4 in) is usual')
    if (ROUND_KINDS.includes(joint.kind) || joint.around) {
      if (joint.diameterMm === null)
        complain('diameterMm', 'is missing. Enter the outside diameter, or the hole of a plug')
    }
    if (joint.kind === 'saddle') {
      if (joint.headerDiameterMm === null)
        complain('headerDiameterMm', 'is missing. Enter the outside diameter of the header')
    }
    if (joint.kind === 'slot' && joint.slotLengthMm === null)
      complain('slotLengthMm', 'is missing. A round hole is a plug')
    if (joint.pattern !== 'continuous') {
      if (joint.segmentMm === null)
        complain('segmentMm', 'is missing. Enter for example 2-6: 2 in of weld every 6 in')
      if (joint.pitchMm === null)
        complain('pitchMm', 'is missing. Enter for example 2-6: 2 in of weld every 6 in')
      if (joint.segmentMm !== null && joint.pitchMm !== null && joint.pitchMm < joint.segmentMm) {
        complain(
          'pitchMm',
          `is ${joint.pitchMm} mm, shorter than its weld of ${joint.segmentMm} mm. Pitch is from middle to middle`,
        )
      }
    }
  })
export type Joint = z.infer<typeof jointSchema>

/** How a piece is turned from weld to weld. */
export const HANDLINGS = ['bench', 'turned', 'hoisted'] as const
export type Handling = (typeof HANDLINGS)[number]

export const jobSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  note: noteSchema.meta(field('Note')),
  quantity: countSchema.meta(field('Pieces')),
  /** How often the whole job comes in a year; null for one that is done once. */
  timesPerYear: z
    .number()
    .min(0.01, 'must be at least 0.01. Archive a job that never comes')
    .max(10_000, 'must be at most 10000')
    .nullable()
    .meta(field('Times a year', { empty: 'once' })),
  /** What a run of the whole job brings in, in the shop's currency; null where the owner has not entered it. */
  worthPerRun: amountSchema.nullable().meta(field('Revenue per run', { empty: 'not recorded' })),
  /** Date by which it is wanted, ISO 8601; null where nobody has said. */
  dueOn: z.iso
    .date('must be a date such as 2027-03-31')
    .nullable()
    .meta(field('Due', { empty: 'not set' })),
  /** How much a day late counts against other jobs. */
  priority: z.enum(PRIORITIES).meta(field('Priority')),
  place: z.enum(['indoors', 'outdoors']).meta(field('Place')),
  windKmPerH: z
    .number()
    .min(0, 'must be 0 or more')
    .max(150, 'must be at most 150 km/h')
    .nullable()
    .meta(field('Wind', { unit: 'km/h', empty: 'not known' })),
  quality: z.enum(QUALITIES).meta(field('Quality')),
  /** Which school sizes a fillet: the minimum of the code's table, or a bead about as wide as the plate. */
  sizing: z.enum(['code-table', 'bead-as-wide']).meta(field('Fillets sized by')),
  /** Highest temperature in service; null where it is ordinary. */
  serviceTemperatureC: z
    .number()
    .min(-273, 'must be above −273 °C')
    .max(1200, 'must be at most 1200 °C')
    .nullable()
    .meta(field('Service temperature', { unit: '°C', empty: 'ordinary' })),
  /** What the parts are warmed to before they are welded, and held at; null where they are welded as they come. */
  preheatC: z
    .number()
    .min(30, 'must be at least 30 °C. Less is no preheat')
    .max(700, 'must be at most 700 °C')
    .nullable()
    .meta(field('Preheat', { unit: '°C', empty: 'none' })),
  /** Whether the work is anodised after: the filler must match in colour. */
  anodised: z.boolean().meta(field('Anodised after')),
  handling: z.enum(HANDLINGS).meta(field('Handling')),
  /** Each piece finished before the next, or each weld on all pieces first. */
  order: z.enum(['piece-by-piece', 'weld-by-weld']).meta(field('Order of welding')),
  /** Working hours set aside for the whole job; null when nobody has said. */
  hoursSetAside: z
    .number()
    .min(0.05, 'must be at least 0.05 h')
    .max(10_000, 'must be at most 10000 h')
    .nullable()
    .meta(field('Planned hours', { unit: 'h', empty: 'not set' })),
  /** Seconds from the end of one weld to the start of the next; null takes handling and what the welds say. */
  pauseS: z
    .number()
    .min(0, 'must be 0 s or more')
    .max(3600, 'must be at most 3600 s')
    .nullable()
    .meta(field('Rest between welds', { unit: 's', empty: 'usual' })),
  state: z.enum(['planned', 'template', 'archived']).meta(field('State')),
  setUpId: idSchema.nullable().meta(field('Set-up', { empty: 'none chosen', reference: 'set-up' })),
  joints: z
    .array(jointSchema)
    .min(1, 'needs at least one weld')
    .max(5000, 'holds more than 5000 welds')
    .meta(field('Welds', { isApart: true, member: 'weld' })),
})
export type Job = z.infer<typeof jobSchema>

export const jobKind = defineKind({
  kind: 'job',
  path: 'jobs',
  listKey: 'jobs',
  noun: 'job',
  scope: 'plan',
  writers: 'planner',
  most: 5000,
  schema: jobSchema,
  upcasters: [
    // No root was purged.
    (job) => ('joints' in job ? { ...job, joints: eachOf(job['joints'], { purge: false }) } : job),
    // A job ran once, with its parts as cold as the shop.
    (job) => ({ timesPerYear: null, preheatC: null, ...job }),
    // What a job brings in was not recorded.
    (job) => ({ worthPerRun: null, ...job }),
    // Each side of a fillet was a weld of its own, and a groove was as deep as its figures.
    (job) =>
      'joints' in job
        ? { ...job, joints: eachOf(job['joints'], { bothSides: false, penetration: 'as-prepared' }) }
        : job,
    // All jobs were alike urgent.
    (job) => ({ priority: 'usual', ...job }),
  ],
  counting: null,
})
