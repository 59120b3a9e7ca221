/**
 * Machines ranked by what is asked of them: what they must have first, then the weighted sum of wishes. Each wish is scaled
 * to a part of one by simple additive weighting: the figure by the best of all where more is better, the best by the figure
 * where less is (C.-L. Hwang, K. Yoon, Multiple Attribute Decision Making, 1981; from memory).
 */
import type { PowerSource } from '../model/equipment.ts'
import type { Requirement } from '../model/requirementSheet.ts'
import type { Verdict } from '../model/verdict.ts'
import { type Ground, readOf } from './requirementKinds.ts'
import { REQUIREMENT_WORDS } from './requirementWords.ts'
import { lackingOf, type Met, type Ranked, scoreOf } from './turns.ts'

/**
 * @param best of all machines that are compared, where no amount is wished
 * @returns 0 for what is not known
 */
export function partOf(better: 'more' | 'less' | 'there', value: number | null, best: number): number {
  if (value === null) return 0
  if (better === 'there') return value
  if (better === 'more') return best <= 0 ? 0 : Math.min(1, value / best)
  return value <= 0 ? 1 : Math.min(1, best / value)
}

function mustVerdict({ what, amount }: Requirement, value: number | null): Verdict {
  const { better } = REQUIREMENT_WORDS[what]
  if (value === null) return 'unknown'
  if (better === 'there') return value > 0 ? 'fits' : 'fails'
  if (amount === null) return 'fits'
  return (better === 'more' ? value >= amount : value <= amount) ? 'fits' : 'fails'
}

/** @returns machines that lack fewest musts first, then by score; of equals the cheaper */
export function rankSources(
  requirements: readonly Requirement[],
  sources: readonly PowerSource[],
  ground: Ground,
): readonly Ranked[] {
  const values = sources.map((source) => requirements.map((one) => readOf(one.what, source, one, ground)))
  const bests = requirements.map((one, at) => {
    if (one.amount !== null) return one.amount
    const known = values.flatMap((row) => row[at] ?? [])
    if (known.length === 0) return 0
    return REQUIREMENT_WORDS[one.what].better === 'less' ? Math.min(...known) : Math.max(...known)
  })
  const price = new Map(sources.map((source) => [source.id, source.price ?? Infinity]))
  return sources
    .map((source, row): Ranked => {
      const met = requirements.map((one, at): Met => {
        const value = values[row]?.[at] ?? null
        return one.must
          ? { value, verdict: mustVerdict(one, value), part: null }
          : { value, verdict: null, part: partOf(REQUIREMENT_WORDS[one.what].better, value, bests[at] ?? 0) }
      })
      return {
        sourceId: source.id,
        met,
        isIn: met.every(({ verdict }) => verdict === null || verdict === 'fits'),
        score: scoreOf(requirements, met),
      }
    })
    .sort(
      (a, b) =>
        lackingOf(a) - lackingOf(b) ||
        (b.score ?? 0) - (a.score ?? 0) ||
        (price.get(a.sourceId) ?? 0) - (price.get(b.sourceId) ?? 0),
    )
}
