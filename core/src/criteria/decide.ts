/**
 * The verdict of a job with a set-up, and what decides it, without the rest: criteria are asked in the order in which a
 * limit is named, until one fails. Most of a board fails at the second or third of a hundred.
 */
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import { type Verdict, worseOf } from '../model/verdict.ts'
import { concerning } from './concerns.ts'
import { type Assessment, type Criterion, OF_KIND } from './criterion.ts'
import { assessmentsOfSetUp, assessOfJob, CRITERIA } from './index.ts'
import { isJudged } from './judged.ts'

/** What asks for another metal, gas or wave is named before amps: more of them would not help. */
const KIND_FIRST = OF_KIND.flatMap((kind) => [...concerning(kind)])
const rankOf = ({ id }: Criterion, inList: number): number => {
  const ofKind = KIND_FIRST.indexOf(id)
  return ofKind < 0 ? KIND_FIRST.length + inList : ofKind
}
/** In the order in which a limit is named: the first of the worst verdict is it. */
const BY_RANK = CRITERIA.map((criterion, at) => ({ criterion, rank: rankOf(criterion, at) })).sort(
  (a, b) => a.rank - b.rank,
)
const RANKS = new Map(BY_RANK.map(({ criterion: { id }, rank }) => [id, rank]))
const OF_JOB = BY_RANK.filter(({ criterion }) => criterion.isOfSetUp !== true)

/**
 * @returns the criterion that a cell speaks of: of the worst verdict, first what no other figure mends, then the first in
 *   the order of the list; null where nothing of it was judged
 * @example limitOf(criteria, worstOf(criteria))?.criterion // 'filler-for-metal'
 */
export function limitOf(criteria: readonly Assessment[], verdict: Verdict): Assessment | null {
  let limit: Assessment | null = null
  let first = Infinity
  for (const one of criteria) {
    if (one.verdict !== verdict || !isJudged(one)) continue
    const rank = RANKS.get(one.criterion) ?? Infinity
    if (rank >= first) continue
    first = rank
    limit = one
  }
  return limit
}

/** What a set-up alone brings to every job. */
interface OfSetUp {
  readonly found: readonly Assessment[]
  /** What of it fails every job, with its rank; null and Infinity where nothing does. */
  readonly fails: Assessment | null
  readonly failsAt: number
}
const ofSetUps = new WeakMap<Capability, OfSetUp>()
function ofSetUp(capability: Capability): OfSetUp {
  const known = ofSetUps.get(capability)
  if (known) return known
  const found = [...assessmentsOfSetUp(capability).values()].filter((one) => one !== null)
  const fails = limitOf(found, 'fails')
  const made = { found, fails, failsAt: fails ? (RANKS.get(fails.criterion) ?? Infinity) : Infinity }
  ofSetUps.set(capability, made)
  return made
}

export interface Decided {
  readonly verdict: Verdict
  /** What decides it, as `limitOf` names it of all criteria; null where it fits. */
  readonly limit: Assessment | null
  /** Every criterion that applies, in no order, where none fails; else those that were asked before the one that does. */
  readonly found: readonly Assessment[]
}

/**
 * The verdict and the limit of `assess`, without asking what they do not hang on.
 * @example decide(capability, demand).verdict // 'fails', after three of a hundred criteria
 */
export function decide(capability: Capability, demand: Demand): Decided {
  const own = ofSetUp(capability)
  const found: Assessment[] = []
  for (const { criterion, rank } of OF_JOB) {
    if (rank > own.failsAt) break
    const one = assessOfJob(criterion, capability, demand)
    if (!one) continue
    if (one.verdict === 'fails' && isJudged(one)) return { verdict: 'fails', limit: one, found }
    found.push(one)
  }
  if (own.fails) return { verdict: 'fails', limit: own.fails, found }
  found.push(...own.found)
  let verdict: Verdict = 'fits'
  for (const one of found) verdict = worseOf(verdict, one.verdict)
  return { verdict, limit: verdict === 'fits' ? null : limitOf(found, verdict), found }
}
