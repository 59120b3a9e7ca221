/** Records for tests: a plain joint, and the demo shop, which the tests change one field at a time. */
import { readFileSync } from 'node:fs'
import { inputOf } from '../fit/document.ts'
import type { FitInput } from '../fit/fit.ts'
import type { Circuit } from '../kinds/equipment.ts'
import type { Joint } from '../kinds/job.ts'
import { newJoint } from '../joints/newJoint.ts'
import { readDocument } from '../model/problems.ts'
import { shopDocumentSchema, type ShopDocument } from '../kinds/shelf.ts'

export const joint = (part: Partial<Joint> = {}): Joint =>
  newJoint('j', {
    thicknessAMm: 6.35,
    thicknessBMm: 6.35,
    legMm: 4.7625,
    position: 'flat',
    lengthMm: 100,
    ...part,
  })

const FILES = {
  inch: new URL('../../../demo/tollgate-orchard-works.json', import.meta.url),
  metric: new URL('../../../demo/tollgate-orchard-works-metric.json', import.meta.url),
} as const
export type DemoId = keyof typeof FILES

/** @param demo the shop on inches and NEC, or the same shop in millimetres under IEC and EN ISO */
export function demoShop(demo: DemoId = 'inch'): ShopDocument {
  const read = readDocument(shopDocumentSchema, JSON.parse(readFileSync(FILES[demo], 'utf8')))
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return read.value
}

/** @throws Error where the list has none of that id */
export function oneOf<T extends { readonly id: string }>(list: readonly T[], id: string): T {
  const found = list.find((one) => one.id === id)
  if (!found) throw new Error(`the demo has no ${id}`)
  return found
}

/** Of a set-up that hangs on a circuit: every one of the demo's jobs does. */
export type DemoInput = FitInput & { readonly circuit: Circuit }

/** A job of the demo with its own set-up or another. */
export function demoInput(jobId: string, setUpId?: string, demo: DemoId = 'inch'): DemoInput {
  const { shop, jobs, setUps, format: _format, version: _version, ...shelf } = demoShop(demo)
  const job = jobs.find(({ id }) => id === jobId)
  const setUp = setUps.find(({ id }) => id === (setUpId ?? job?.setUpId))
  if (!job || !setUp) throw new Error(`the demo has no ${jobId} with ${setUpId ?? 'a set-up'}`)
  const answer = inputOf({ shop, job, setUp, ...shelf })
  if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
  const { circuit } = answer.input
  if (!circuit) throw new Error(`${setUp.name} hangs on no circuit`)
  return { ...answer.input, circuit }
}
