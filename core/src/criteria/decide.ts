/**
 * The verdict of a job with a set-up, and what decides it, without the rest: criteria are asked in the order in which a
 * limit is named, until one fails. Most of a board fails at the second or third of a hundred.
 */
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import { type Verdict, worseOf } from '../model/verdict.ts'
import type { Assessment } from './criterion.ts'
import { Findings, CRITERIA } from './index.ts'
import { isJudged } from './judged.ts'
import { KIND_FIRST } from './limit.ts'

/** Places in the list, in the order in which a limit is named: the first of the worst verdict is it. */
const BY_RANK: readonly number[] = [
  ...KIND_FIRST.map((id) => CRITERIA.findIndex((criterion) => criterion.id === id)),
  ...CRITERIA.flatMap(({ id }, at) => (KIND_FIRST.includes(id) ? [] : [at])),
]
export interface Decided {
  readonly verdict: Verdict
  /** What decides it, as `limitOf` names it of all criteria; null where it fits. */
  readonly limit: Assessment | null
  /** Every criterion that applies, in the order of limits, where none fails; else those before the one that does. */
  readonly found: readonly Assessment[]
}

/**
 * The verdict and the limit of `assess`, without asking what they do not hang on.
 * @example decide(capability, demand).verdict // 'fails', after three of a hundred criteria
 */
export function decide(capability: Capability, demand: Demand): Decided {
  const findings = new Findings(capability, demand)
  const found: Assessment[] = []
  let verdict: Verdict = 'fits'
  for (const at of BY_RANK) {
    const one = findings.at(at)
    if (!one) continue
    if (one.verdict === 'fails' && isJudged(one)) return { verdict: 'fails', limit: one, found }
    found.push(one)
    verdict = worseOf(verdict, one.verdict)
  }
  const isWorst = (one: Assessment): boolean => one.verdict === verdict && isJudged(one)
  return { verdict, limit: verdict === 'fits' ? null : (found.find(isWorst) ?? null), found }
}
