/**
 * A weld in the shop's record: its settings as planned, as tried, or as done. Nothing is overwritten: other settings are
 * another event, and a correction names the event that it corrects.
 */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { idSchema, nameSchema, noteSchema, thicknessMmSchema } from '../model/fields.ts'
import { POSITIONS } from '../model/jointKinds.ts'
import { PROCESS_IDS } from '../model/process.ts'
import { METALS } from '../model/material.ts'
import { defineEvent } from './event.ts'

export const RECORD_STATES = ['planned', 'tried', 'done'] as const
export type RecordState = (typeof RECORD_STATES)[number]
export const OUTCOMES = ['good', 'usable', 'bad'] as const
export type WeldOutcome = (typeof OUTCOMES)[number]
export const BREAKER_RESULTS = ['held', 'tripped'] as const

const between = (least: number, most: number, unit: string) =>
  z
    .number('must be a number')
    .min(least, `must be at least ${least} ${unit}`.trim())
    .max(most, `must be at most ${most} ${unit}`.trim())
const amount = (most: number, unit: string) => between(0, most, unit).nullable()
/** A name as it was then: what it names may be deleted since. */
const nameOrNothing = (title: string) =>
  nameSchema.nullable().meta(field(title, { empty: 'not recorded', isApart: true }))
const idOrNothing = (title: string) =>
  idSchema.nullable().meta(field(title, { empty: 'none', isApart: true }))

/** What is set at the machine. Null where the process has no such setting, or nobody wrote it down. */
export const weldSettingsSchema = z.strictObject({
  voltsV: between(5, 100, 'V')
    .nullable()
    .meta(field('Volts', { unit: 'V', empty: 'not recorded' })),
  feedMmPerMin: between(100, 40_000, 'mm/min')
    .nullable()
    .meta(field('Wire speed', { quantity: 'wireFeedSpeed', empty: 'not recorded' })),
  currentA: between(1, 2000, 'A')
    .nullable()
    .meta(field('Amps', { unit: 'A', empty: 'not recorded' })),
  flowLPerMin: between(1, 50, 'L/min')
    .nullable()
    .meta(field('Gas flow', { quantity: 'gasFlow', empty: 'not recorded' })),
  travelMmPerMin: between(5, 5000, 'mm/min')
    .nullable()
    .meta(field('Travel', { quantity: 'travelSpeed', empty: 'not recorded' })),
})
export type WeldSettings = z.infer<typeof weldSettingsSchema>
export type SettingKey = keyof WeldSettings
export const SETTING_KEYS = Object.keys(weldSettingsSchema.shape) as readonly SettingKey[]
export const NO_SETTINGS: WeldSettings = {
  voltsV: null,
  feedMmPerMin: null,
  currentA: null,
  flowLPerMin: null,
  travelMmPerMin: null,
}

const usageShape = {
  arcS: amount(1e6, 's').meta(field('Arc time', { unit: 's', empty: 'not recorded' })),
  starts: z
    .int('must be a whole number')
    .min(0, 'must be 0 or more')
    .max(100_000, 'must be at most 100000')
    .nullable()
    .meta(field('Arc starts', { empty: 'not recorded' })),
  wireG: amount(1e6, 'g').meta(field('Wire used', { quantity: 'mass', empty: 'not recorded' })),
  gasL: amount(1e6, 'L').meta(field('Gas used', { quantity: 'gasVolume', empty: 'not recorded' })),
}
/** What the plan says of the same welds: what really went is held against it. */
const planSchema = z.strictObject({
  ...usageShape,
  minutes: amount(1e5, 'min').meta(field('Minutes', { unit: 'min', empty: 'not recorded' })),
})

/** Between two readings, of the spool's weight or of what is in the cylinder. */
const readings = (title: string, unit: string, quantity: 'mass' | 'gasVolume') =>
  z
    .strictObject({
      before: between(0, 1e6, unit).meta(field(`${title} before`, { quantity })),
      after: between(0, 1e6, unit).meta(field(`${title} after`, { quantity })),
    })
    .refine(
      ({ before, after }) => after <= before,
      'is more after than before. Enter the larger number first, or record what was added',
    )
    .nullable()

const bodySchema = z.strictObject({
  state: z.enum(RECORD_STATES, `must be one of ${RECORD_STATES.join(', ')}`).meta(field('State')),
  /** When it was welded or set; what is sent later keeps its time. UTC. */
  weldedAt: z.iso
    .datetime('must be a date and time such as 2027-03-31T10:00:00Z')
    .meta(field('Welded at (UTC)')),
  welder: nameOrNothing('Welder'),
  jobName: nameOrNothing('Job'),
  weldName: nameOrNothing('Weld'),
  setUpId: idOrNothing('Set-up id'),
  setUpName: nameOrNothing('Set-up'),
  /** Of the set-up's record when this was welded. */
  setUpVersion: z
    .int()
    .min(1)
    .nullable()
    .meta(field('Set-up version', { empty: 'not recorded', isApart: true })),
  circuitId: idOrNothing('Circuit'),
  sourceId: idOrNothing('Power source'),
  wireId: idOrNothing('Wire or rod'),
  gasId: idOrNothing('Gas'),
  process: z.enum(PROCESS_IDS).meta(field('Process')),
  position: z.enum(POSITIONS).meta(field('Position')),
  thicknessMm: thicknessMmSchema.meta(field('Thickness', { quantity: 'thickness' })),
  metal: z.enum(METALS).meta(field('Metal')),
  settings: weldSettingsSchema.meta(field('Settings')),
  /** What the chart said then: an offset is learned from the two. */
  chart: weldSettingsSchema.meta(field('Chart')),
  sign: z
    .string()
    .regex(/^[a-z-]{1,40}$/, 'must be the name of a sign')
    .nullable()
    .meta(field('Sign', { empty: 'none' })),
  cause: z
    .string()
    .regex(/^[a-z-]{1,40}$/, 'must be the name of a cause')
    .nullable()
    .meta(field('Cause', { empty: 'none' })),
  outcome: z
    .enum(OUTCOMES, `must be one of ${OUTCOMES.join(', ')}`)
    .nullable()
    .meta(field('Outcome', { empty: 'not recorded' })),
  beadWidthMm: between(0.5, 100, 'mm')
    .nullable()
    .meta(field('Bead width', { quantity: 'weldSize', empty: 'not measured' })),
  legMm: between(0.5, 100, 'mm')
    .nullable()
    .meta(field('Leg', { quantity: 'weldSize', empty: 'not measured' })),
  welds: z
    .int('must be a whole number')
    .min(1, 'must be at least 1')
    .max(100_000, 'must be at most 100000')
    .meta(field('Welds')),
  minutes: amount(1e5, 'min').meta(field('Minutes', { unit: 'min', empty: 'not recorded' })),
  ...usageShape,
  spool: readings('Spool weight', 'g', 'mass').meta(field('Spool', { empty: 'not weighed' })),
  cylinder: readings('Gas in the cylinder', 'L', 'gasVolume').meta(field('Cylinder', { empty: 'not read' })),
  plan: planSchema.meta(field('Plan')),
  breaker: z
    .enum(BREAKER_RESULTS, `must be one of ${BREAKER_RESULTS.join(', ')}`)
    .nullable()
    .meta(field('Breaker', { empty: 'not recorded' })),
  note: noteSchema.meta(field('Note')),
  /** Of a correction that takes a row back. */
  isWithdrawn: z.boolean().meta(field('Withdrawn', { isApart: true })),
})
export type WeldRecord = z.infer<typeof bodySchema>

/** @returns the subject of a weld's rows */
export const weldSubject = (jobId: string, jointId: string): string => `weld.${jobId}.${jointId}`

export const weldRecorded = defineEvent({
  type: 'weld-recorded',
  writers: 'welder',
  subject: z
    .string()
    .regex(/^weld\.[a-z0-9-]{1,64}\.[a-z0-9-]{1,64}$/, 'must be weld. with the ids of a job and a weld'),
  input: bodySchema,
  body: bodySchema,
})

/** A row of the log, as it is stored. */
export interface LogRow {
  readonly seq: number
  readonly who: string
  readonly subject: string
  readonly body: WeldRecord
  readonly corrects: number | null
}

/**
 * The rows that count, in the order of their welding: what was corrected or withdrawn is left out, whatever the order in
 * which the events come.
 */
export function rowsThatCount<R extends LogRow>(rows: readonly R[]): readonly R[] {
  const corrected = new Set(rows.map(({ corrects }) => corrects))
  return rows
    .filter(({ seq, body }) => !corrected.has(seq) && !body.isWithdrawn)
    .toSorted((a, b) => a.body.weldedAt.localeCompare(b.body.weldedAt) || a.seq - b.seq)
}

/** What really went: typed readings before what was measured or counted. */
export const usedWireG = ({ spool, wireG }: Pick<WeldRecord, 'spool' | 'wireG'>): number | null =>
  spool ? spool.before - spool.after : wireG
export const usedGasL = ({ cylinder, gasL }: WeldRecord): number | null =>
  cylinder ? cylinder.before - cylinder.after : gasL
