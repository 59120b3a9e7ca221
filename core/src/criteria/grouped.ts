/** Criteria that compare rather than measure: whether parts, gas, metal and settings go together. */
import { commonPractice, type Source } from '../basis/source.ts'
import type { Calculation } from '../calculation/calculation.ts'
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import type { Params, Message } from '../model/message.ts'
import type { Verdict } from '../model/verdict.ts'
import type { PassKind } from '../trade/layers.ts'
import { type Assessment, type Criterion, type Group, said } from './criterion.ts'

/** What a comparison finds. */
export interface Judged {
  readonly verdict: Verdict
  readonly code: string
  readonly params: Params
  readonly source: Source
  readonly weldId: string | null
  /** Which of the weld's passes, where they have each their own current. */
  readonly pass?: PassKind | null
}

const PRACTICE = commonPractice()
const NOTHING: Params = {}

const judged =
  (verdict: Verdict) =>
  (
    code: string,
    params: Params = NOTHING,
    source: Source = PRACTICE,
    weldId: string | null = null,
  ): Judged => ({ verdict, code, params, source, weldId })
export const good = judged('fits')
export const poor = judged('tight')
export const bad = judged('fails')
export const notKnown = ({ code, params }: Message): Judged => judged('unknown')(code, params)

interface More extends Pick<Criterion, 'concerns' | 'facets' | 'isByPackage' | 'mends'> {
  /** The calculations that its working shows. */
  readonly from?: readonly Calculation[]
}
type Judge = (capability: Capability, demand: Demand | null) => Judged | null

function compared(
  askedOnce: Pick<Criterion, 'isOfSetUp' | 'isOfWork'>,
  id: string,
  group: Group,
  slots: Criterion['slots'],
  judge: Judge,
  { from = [], ...more }: More,
): Criterion {
  return {
    id,
    group,
    slots,
    alsoFrom: from,
    ...askedOnce,
    assess(capability, demand): Assessment | null {
      const found = judge(capability, demand)
      if (!found) return null
      const { verdict, code, params, source, weldId, pass = null } = found
      return said(verdict, id, code, params, { group, weldId, pass, source })
    },
    ...more,
  }
}

/**
 * A comparison that looks at the job too.
 * @param judge answers null where it does not apply, or where a part that it looks at is not chosen
 */
export const grouped = (
  id: string,
  group: Group,
  slots: Criterion['slots'],
  judge: Judge,
  more: More = {},
): Criterion => compared({}, id, group, slots, judge, more)

/** A comparison of the parts alone, the same for every job: see `grouped`. */
export const ofSetUp = (
  id: string,
  group: Group,
  slots: Criterion['slots'],
  judge: (capability: Capability) => Judged | null,
  more: More = {},
): Criterion => compared({ isOfSetUp: true }, id, group, slots, judge, more)

/** What a job asks of a set-up by its process and wire alone. */
export type WorkParts = Pick<Capability, 'process' | 'wire' | 'fedWire' | 'shop' | 'assumptions' | 'reckoner'>

/** A comparison of the job with process and wire alone, the same for every set-up with both: see `grouped`. */
export const ofWork = (
  id: string,
  group: Group,
  slots: Criterion['slots'],
  judge: (of: WorkParts, demand: Demand | null) => Judged | null,
  more: More = {},
): Criterion => compared({ isOfWork: true }, id, group, slots, judge, more)
