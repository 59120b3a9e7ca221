/** What is written down of a choice, in the words of the day, and how it stands against what is so now. */
import { type ListKey, SHELF_KINDS } from '../kinds/facts.ts'
import { kindOfSlot, type Slot, SLOTS } from '../kinds/slots.ts'
import { inputOf, partsOf } from '../fit/document.ts'
import { type Fit, type FitInput, fitJob } from '../fit/fit.ts'
import type { DecidedChoice } from '../kinds/decision.ts'
import type { SetUp } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import { isSameJson } from '../model/merge.ts'
import { type FieldProblem, readDocument } from '../model/problems.ts'
import { type FitDocument, fitDocumentSchema, type Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import type { Verdict } from '../model/verdict.ts'
import { upcastFile } from '../kinds/upcasts.ts'
import { fileVersionOf } from '../kinds/files.ts'
import {
  cautionText,
  chainText,
  linkDetail,
  linkTitle,
  sentenceOf,
  sourceText,
  type Speech,
  titleOf,
} from '../words/speech.ts'
import { buildingUnder } from '../supply/generator.ts'

/** The whole question with nothing beside what it needs. */
function basisOf(input: FitInput): FitDocument {
  const shelf: Partial<Record<ListKey, unknown[]>> = Object.fromEntries(
    SHELF_KINDS.map(({ listKey, kind }) => [
      listKey,
      SLOTS.filter((slot) => kindOfSlot(slot) === kind).flatMap((slot) => input[slot] ?? []),
    ]),
  )
  shelf.stock = [...input.stock]
  const { shop, job, setUp, circuit, building } = input
  if (circuit) Object.assign(shelf, buildingUnder(circuit, building))
  return { version: fileVersionOf('brannik-fit'), shop, ...shelf, setUp, job } as unknown as FitDocument
}

/**
 * @returns the choice as it is kept: verdict, chain and findings in words, and the whole question to be asked again
 */
export function decidedChoiceOf(speech: Speech, input: FitInput, fit: Fit): DecidedChoice {
  const { job, setUp } = input
  return {
    jobId: job.id,
    jobName: job.name,
    setUpId: setUp.id,
    setUpName: setUp.name,
    verdict: fit.verdict,
    costPerRun: fit.cost?.job ?? null,
    chain: fit.chains.slice(0, 1).flatMap((chain) => [
      { verdict: fit.verdict, title: 'Chain', says: chainText(speech, chain), source: '' },
      ...chain.links.map((link) => ({
        verdict: link.verdict,
        title: linkTitle(speech, link),
        says: linkDetail(speech, link),
        source: '',
      })),
    ]),
    findings: fit.criteria.map((one) => ({
      verdict: one.verdict,
      title: titleOf(speech, one),
      says: sentenceOf(speech, one),
      source: sourceText(speech, one.source),
    })),
    cautions: fit.cautions.map((one) => ({ says: cautionText(speech, one).text })),
    basis: JSON.stringify(basisOf(input)),
  }
}

/** Something that the choice rested on and that is no longer as it was. */
export interface ChangedSince {
  /** Kind of place: `job`, `setUp`, `shop`, or the place of a part. */
  readonly of: 'job' | 'setUp' | 'shop' | Slot
  readonly name: string
  readonly then: unknown
  /** Null where it is gone. */
  readonly now: unknown
}

export interface Held {
  readonly jobId: string
  readonly setUpId: string
  /** What is found of it today; null where a part of it is gone. */
  readonly verdict: Verdict | null
  readonly costPerRun: number | null
  readonly changed: readonly ChangedSince[]
  /** Why what was kept cannot be read; empty where it can. */
  readonly problem: string
}

export interface ShopNow {
  readonly shop: Shop
  readonly shelf: Shelf
  readonly setUps: readonly SetUp[]
  readonly jobs: readonly Job[]
}

const amissIn = ({ field, message }: FieldProblem): string => `${field} ${message}`

function basisRead(
  text: string,
): { readonly ok: true; readonly input: FitInput } | { readonly ok: false; readonly why: string } {
  let parsed: unknown
  try {
    parsed = JSON.parse(text)
  } catch {
    return { ok: false, why: 'what it was chosen on is no JSON' }
  }
  const upcast = upcastFile('brannik-fit', parsed)
  if (!upcast.ok) return { ok: false, why: upcast.message }
  const read = readDocument(fitDocumentSchema, upcast.value)
  if (!read.ok) return { ok: false, why: read.problems[0] ? amissIn(read.problems[0]) : 'it cannot be read' }
  const found = inputOf(read.value)
  return found.ok
    ? found
    : { ok: false, why: found.problems[0] ? amissIn(found.problems[0]) : 'a part is missing' }
}

/**
 * The choice asked again of what is there today.
 * @returns what has changed since, and whether the job is still done by it
 */
export function heldAgainst(choice: DecidedChoice, { shop, shelf, setUps, jobs }: ShopNow): Held {
  const { jobId, setUpId } = choice
  const nothing = { jobId, setUpId, verdict: null, costPerRun: null, changed: [] }
  const basis = basisRead(choice.basis)
  if (!basis.ok) return { ...nothing, problem: basis.why }
  const then = basis.input
  const job = jobs.find(({ id }) => id === jobId) ?? null
  const setUp = setUps.find(({ id }) => id === setUpId) ?? null
  const parts = setUp && partsOf(setUp, shelf)
  const now = parts?.ok === true ? parts.parts : null
  const compared: readonly (readonly [ChangedSince['of'], { name: string } | null, unknown])[] = [
    ['shop', then.shop, shop],
    ['job', then.job, job],
    ['setUp', then.setUp, setUp],
    ...SLOTS.map((slot) => [slot, then[slot], now?.[slot] ?? null] as const),
  ]
  const changed = compared.flatMap(([of, before, after]): readonly ChangedSince[] =>
    isSameJson(before, after)
      ? []
      : [
          {
            of,
            name: before?.name ?? (after as { name?: string } | null)?.name ?? '',
            then: before,
            now: after,
          },
        ],
  )
  if (!job || !setUp || !now) return { ...nothing, changed, problem: '' }
  // What is used up meanwhile speaks against no choice of a machine.
  const fit = fitJob({ shop, job, setUp, ...now, stock: then.stock })
  return { jobId, setUpId, verdict: fit.verdict, costPerRun: fit.cost?.job ?? null, changed, problem: '' }
}
