/** The answer of a fit as a schema, for the OpenAPI document; a test holds the computation to it. */
import { ARC_STATES, CRITERIA, PASS_KINDS, VERDICTS } from '@brannik/core'
import { z } from 'zod'

const verdict = z.enum(VERDICTS)
const source = z.object({ kind: z.string(), text: z.string(), fromMemory: z.boolean().optional() })
/** Of root or fill passes that have each their own current; null for a whole weld. */
const pass = z.enum(PASS_KINDS).nullable()
/** Figures, words and names that a sentence is made of. */
const params = z.record(z.string(), z.unknown())
const term = z.object({
  symbol: z.string(),
  name: z.string(),
  value: z.union([z.number(), z.array(z.number())]),
  unit: z.string(),
  source,
  assumption: z.string().optional(),
})
const step = z.object({
  id: z.string(),
  weldId: z.string().nullable(),
  title: z.string(),
  formula: z.string(),
  expression: z.string(),
  method: z.string().nullable(),
  terms: z.array(term),
  result: z.object({ symbol: z.string(), value: z.number(), unit: z.string() }),
  source,
})
const mend = z.object({ code: z.string(), params, sentence: z.string(), patch: z.unknown().optional() })
const criterion = z.object({
  criterion: z.enum(CRITERIA.map(({ id }) => id) as [string, ...string[]]),
  title: z.string(),
  verdict,
  sentence: z.string(),
  code: z.string(),
  params,
  demand: z.number().nullable(),
  capacity: z.number().nullable(),
  capacityLow: z.number().nullable(),
  unit: z.string(),
  marginPct: z.number().nullable(),
  weldId: z.string().nullable(),
  pass,
  missing: z.string(),
  restsOn: z.string(),
  source,
  mends: z.array(mend),
})
const link = z.object({
  id: z.string(),
  title: z.string(),
  detail: z.string(),
  lowA: z.number().nullable(),
  highA: z.number().nullable(),
  /** With as much rest as it takes. */
  mostA: z.number().nullable(),
  missing: z.string(),
  verdict,
  spareA: z.number().nullable(),
})
const chain = z.object({
  jointId: z.string(),
  wantedA: z.number(),
  windowA: z.object({ low: z.number(), high: z.number().nullable() }),
  links: z.array(link),
  verdict,
  first: z.string().nullable(),
  spareA: z.number().nullable(),
  /** How far the link that gives out lies outside the window, A: below 0 too little, above 0 too much. */
  outsideA: z.number().nullable(),
  sentence: z.string(),
})

const range = z.object({ low: z.number(), high: z.number() })
const start = range.extend({ value: z.number() })
/** A start to be tried on a coupon of the same metal. */
/** Where a dial or a tap is turned, by what the shop has measured. */
const dial = z.object({ mark: z.string(), gives: z.number(), isBeyond: z.boolean() })
const settings = z.strictObject({
  jointId: z.string(),
  currentA: start,
  voltsV: start.nullable(),
  feedMmPerMin: start.nullable(),
  arcV: z.number(),
  polarity: z.enum(['dcep', 'dcen', 'ac']),
  flowLPerMin: z.number().nullable(),
  travelMmPerMin: z.number().nullable(),
  preFlowS: z.number().nullable(),
  postFlowS: z.number().nullable(),
  /** What comes of it: leg, metal against what was called for, deposition, heat, work and cost for a metre. */
  outcome: z
    .object({
      currentA: z.number(),
      depositionGPerMin: z.number().nullable(),
      legMm: z.number().nullable(),
      filledPct: z.number().nullable(),
      arc: z
        .object({ state: z.enum(ARC_STATES), balancePct: z.number(), balancedMmPerMin: z.number() })
        .nullable(),
      heatKJPerMm: z.number(),
      workSPerM: z.number(),
      costPerM: z.number(),
      unpriced: z.array(z.enum(['filler', 'gas'])),
    })
    .nullable(),
  workAngleDeg: z.number(),
  arcForce: z.enum(['low', 'middle', 'high']).nullable(),
  transfer: z.enum(['short-circuit', 'spray', 'pulsed-spray', 'droplets']).nullable(),
  inductance: z.enum(['low', 'middle', 'high']).nullable(),
  voltsDial: dial.nullable(),
  feedDial: dial.nullable(),
  pulse: z.object({ peakA: z.number(), baseA: z.number(), sharePct: z.number(), hz: z.number() }).nullable(),
  alternating: z.object({ positivePct: z.number().nullable(), hz: z.number().nullable() }).nullable(),
  slopes: z.object({ upS: z.number(), downS: z.number() }).nullable(),
  startAmpsA: z.number().nullable(),
  endAmpsA: z.number().nullable(),
  range: z.string().nullable(),
  /** Of volts in steps: the nearest, and what makes up for it. */
  tap: z
    .object({
      mark: z.string(),
      offV: z.number(),
      currentA: z.number(),
      feedMmPerMin: z.number(),
      feedByPct: z.number(),
    })
    .nullable(),
  program: z.enum(['covered', 'by-hand']).nullable(),
  burnBack: z.boolean(),
  runIn: z.boolean(),
  longFlow: z
    .object({ ownS: z.number(), neededS: z.number(), gasL: z.number(), cost: z.number().nullable() })
    .nullable(),
  /** Of a groove with an open root: its root pass and its fill passes, with what they use over the whole job. */
  passes: z.array(
    z.object({
      pass: z.enum(PASS_KINDS),
      passes: z.number(),
      wantedA: z.number(),
      voltsV: z.number().nullable(),
      feedMmPerMin: z.number().nullable(),
      fillerG: z.number(),
      arcS: z.number().nullable(),
      gasL: z.number().nullable(),
    }),
  ),
  setBackA: z.number().nullable(),
  reach: z.object({ leastMm: z.number(), usualMm: z.number(), lostA: z.number() }).nullable(),
  stepOverMm: z.number().nullable(),
  warmFirst: z.boolean(),
  tipToWorkMm: range.nullable(),
  travel: z.enum(['push', 'drag']),
  angleDeg: range,
})

const work = z.object({
  arcS: z.number(),
  tackS: z.number(),
  handlingS: z.number(),
  changeoverS: z.number(),
})
const cost = z.object({
  labour: z.number().nullable(),
  filler: z.number().nullable(),
  gas: z.number().nullable(),
  job: z.number(),
  piece: z.number(),
  welds: z.array(z.object({ jointId: z.string(), each: z.number() })),
})

export const fitAnswerSchema = z.strictObject({
  verdict,
  work: work.nullable(),
  cost: cost.nullable(),
  governingJointId: z.string(),
  chains: z.array(chain),
  settings: z.array(settings),
  criteria: z.array(criterion),
  welds: z.array(
    z.object({
      jointId: z.string(),
      wantedA: z.number(),
      lowA: z.number(),
      highA: z.number().nullable(),
      heatedMm: z.number(),
      passes: z.number(),
      metalG: z.number(),
      fillerG: z.number(),
      arcS: z.number().nullable(),
      runMm: z.number(),
    }),
  ),
  sequence: z.array(
    z.object({
      jointId: z.string(),
      tacks: z.number(),
      tackS: z.number(),
      arcs: z.array(z.object({ pass, arcS: z.number(), times: z.number() })),
      repositionS: z.number(),
      pieceS: z.number(),
    }),
  ),
  dutyPct: z.number().nullable(),
  cautions: z.array(z.object({ topic: z.string(), text: z.string() })),
  /** How the criteria that were asked for were worked out, by their id. */
  workings: z.record(z.string(), z.array(step)).optional(),
})
