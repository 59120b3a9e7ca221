/** Verdicts without their findings: what ends them at once is asked first. */
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import { type Verdict, worseOf } from '../model/verdict.ts'
import { Findings } from './findings.ts'

/** @returns the worst of these, as far as the first that fails */
function worstAt(findings: Findings, places: readonly number[]): Verdict {
  let worst: Verdict = 'fits'
  for (const place of places) {
    const verdict = findings.at(place)?.verdict
    if (verdict === undefined) continue
    worst = worseOf(worst, verdict)
    if (worst === 'fails') break
  }
  return worst
}

/**
 * The verdict alone, of a job with a set-up.
 * @example verdictAlone(capability, demand) === worstOf(assess(capability, demand)) // true
 */
export function verdictAlone(capability: Capability, demand: Demand): Verdict {
  const findings = new Findings(capability, demand)
  const { kept, ofCell } = findings.keeping
  let worst: Verdict = 'fits'
  for (const one of kept) {
    const found = findings.foundOf(one)
    const verdict = found ? (found.worst ??= worstAt(findings, one.places)) : worstAt(findings, one.places)
    if (verdict === 'fails') return 'fails'
    worst = worseOf(worst, verdict)
  }
  return worseOf(worst, worstAt(findings, ofCell))
}

/**
 * How many criteria have the worst verdict of all that are asked.
 * @returns null where there are as many as `fewest`, or more: then no more are counted
 */
export function countAgainst(capability: Capability, demand: Demand, fewest: number): number | null {
  const findings = new Findings(capability, demand)
  const counts: Record<Verdict, number> = { fits: 0, tight: 0, unknown: 0, fails: 0 }
  let worst: Verdict = 'fits'
  const { kept, ofCell } = findings.keeping
  for (const at of [...kept.flatMap(({ places }) => places), ...ofCell]) {
    const verdict = findings.at(at)?.verdict
    if (verdict === undefined) continue
    counts[verdict] += 1
    worst = worseOf(worst, verdict)
    if (counts.fails >= fewest) return null
  }
  return counts[worst] < fewest ? counts[worst] : null
}
