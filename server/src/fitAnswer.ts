/** The answer of a fit as a schema, for the OpenAPI document; a test holds the computation to it. */
import { VERDICTS } from '@brannik/core'
import { z } from 'zod'

const verdict = z.enum(VERDICTS)
const source = z.object({ kind: z.string(), text: z.string(), fromMemory: z.boolean().optional() })
const numberOrWords = z.union([z.number(), z.string()])
const termSchema = z.object({
  symbol: z.string(),
  name: z.string(),
  value: numberOrWords,
  unit: z.string(),
  source,
  assumption: z.string().optional(),
})
const step = z.object({
  says: z.string(),
  formula: z.string(),
  terms: z.array(termSchema),
  result: z.object({ symbol: z.string(), value: numberOrWords, unit: z.string() }),
  source,
})
const measure = z.object({
  value: z.number(),
  unit: z.string(),
  lowValue: z.number().optional(),
})
const figure = z.union([measure, z.string()]).nullable()
const finding = z.object({
  check: z.string(),
  title: z.string(),
  verdict,
  says: z.string(),
  jointId: z.string().nullable(),
  demand: figure,
  capacity: figure,
  marginPct: z.number().nullable(),
  missing: z.string().nullable(),
  restsOn: z.string(),
  working: z.array(step),
  mends: z.array(z.object({ says: z.string(), measure: measure.optional(), patch: z.unknown().optional() })),
})
const link = z.object({
  id: z.string(),
  title: z.string(),
  detail: z.string(),
  lowA: z.number().nullable(),
  highA: z.number().nullable(),
  missing: z.string().nullable(),
  verdict,
  spareA: z.number().nullable(),
  working: z.array(step),
})
const chain = z.object({
  jointId: z.string(),
  wantedA: z.number(),
  windowA: z.object({ low: z.number(), high: z.number() }),
  wantedWorking: z.array(step),
  links: z.array(link),
  verdict,
  first: z.string().nullable(),
  spareA: z.number().nullable(),
  says: z.string(),
})

export const fitAnswerSchema = z.object({
  verdict,
  governingJointId: z.string(),
  chains: z.array(chain),
  findings: z.array(finding),
  joints: z.array(
    z.object({
      jointId: z.string(),
      wantedA: z.number(),
      burnThroughA: z.number(),
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
      arcS: z.number(),
      arcs: z.number(),
      repositionS: z.number(),
      pieceS: z.number(),
    }),
  ),
  duty: z.object({ value: z.number(), steps: z.array(step) }).nullable(),
  cautions: z.array(z.object({ topic: z.string(), says: z.string() })),
})
