/**
 * Machines ranked by requirements: what they must have first, then the weighted sum of wishes. Each wish is scaled to a part
 * of one: straight between what is good enough and the worst that is acceptable, where the owner has set both; else by
 * simple additive weighting, the figure by the best where more is better, the best by the figure where less is (C.-L. Hwang,
 * K. Yoon, Multiple Attribute Decision Making, 1981; from memory). The best is that of the machines that have all musts.
 */
import type { PowerSource } from '../kinds/equipment.ts'
import type { Requirement } from '../kinds/requirementSheet.ts'
import type { Verdict } from '../model/verdict.ts'
import { type Ground, readOf } from './requirementKinds.ts'
import { REQUIREMENT_WORDS } from './requirementWords.ts'
import { lackingOf, type Met, type Ranked, scoreOf } from './turns.ts'

/** Between which figures a wish is scored: 1 from the good one on, 0 from the worst one on. */
export interface Limits {
  readonly good: number
  /** Null where the owner has set none: then it is scored by the share of the good one. */
  readonly worst: number | null
}

const clamped = (part: number): number => Math.min(1, Math.max(0, part))

/** @returns 0 for what is not known */
export function partOf(
  better: 'more' | 'less' | 'there',
  value: number | null,
  { good, worst }: Limits,
): number {
  if (value === null) return 0
  if (better === 'there') return value
  if (worst !== null) {
    const reaches = (limit: number): boolean => (better === 'more' ? value >= limit : value <= limit)
    // Where the best that there is does not reach the worst that is acceptable, there is nothing between them.
    const isSpan = better === 'more' ? worst < good : worst > good
    if (!isSpan) return reaches(worst) ? 1 : 0
    return clamped((value - worst) / (good - worst))
  }
  if (better === 'more') return good <= 0 ? 0 : clamped(value / good)
  return value <= 0 ? 1 : clamped(good / value)
}

function mustVerdict({ what, amount }: Requirement, value: number | null): Verdict {
  const { better } = REQUIREMENT_WORDS[what]
  if (value === null) return 'unknown'
  if (better === 'there') return value > 0 ? 'fits' : 'fails'
  if (amount === null) return 'fits'
  return (better === 'more' ? value >= amount : value <= amount) ? 'fits' : 'fails'
}

type Row = readonly (number | null)[]

/** Of the machines that have all musts the best and the worst figure of one wish; null where none of them has it. */
function spanOf(rows: readonly Row[], at: number): readonly [least: number, most: number] | null {
  const known = rows.flatMap((row) => row[at] ?? [])
  return known.length === 0 ? null : [Math.min(...known), Math.max(...known)]
}

interface Compared {
  readonly rows: readonly Row[]
  /** Those that have all musts: a machine that is out moves no scale. */
  readonly rowsIn: readonly Row[]
}

function comparedOf(
  requirements: readonly Requirement[],
  sources: readonly PowerSource[],
  ground: Ground,
): Compared {
  const rows = sources.map((source) => requirements.map((one) => readOf(one.what, source, one, ground)))
  const isIn = (row: Row): boolean =>
    requirements.every((one, at) => !one.must || mustVerdict(one, row[at] ?? null) === 'fits')
  return { rows, rowsIn: rows.filter(isIn) }
}

/**
 * Limits that an owner may take over: the best and the worst of the machines that have all that is a must.
 * @returns by requirement; null for a must, for what is there or not, and where none has a figure, or all the same
 */
export function suggestedLimits(
  requirements: readonly Requirement[],
  sources: readonly PowerSource[],
  ground: Ground,
): readonly (Limits | null)[] {
  const { rowsIn } = comparedOf(requirements, sources, ground)
  return requirements.map(({ what, must }, at) => {
    const { better } = REQUIREMENT_WORDS[what]
    const span = spanOf(rowsIn, at)
    if (must || better === 'there' || !span || span[0] === span[1]) return null
    return better === 'more' ? { good: span[1], worst: span[0] } : { good: span[0], worst: span[1] }
  })
}

/** @returns machines that lack fewest musts first, then by score; of equals the cheaper */
export function rankSources(
  requirements: readonly Requirement[],
  sources: readonly PowerSource[],
  ground: Ground,
): readonly Ranked[] {
  const { rows, rowsIn } = comparedOf(requirements, sources, ground)
  const limits = requirements.map(({ what, amount, worst }, at): Limits => {
    const span = spanOf(rowsIn.length > 0 ? rowsIn : rows, at) ?? [0, 0]
    return { good: amount ?? (REQUIREMENT_WORDS[what].better === 'less' ? span[0] : span[1]), worst }
  })
  const price = new Map(sources.map((source) => [source.id, source.price ?? Infinity]))
  return sources
    .map((source, row): Ranked => {
      const met = requirements.map((one, at): Met => {
        const value = rows[row]?.[at] ?? null
        const part = partOf(REQUIREMENT_WORDS[one.what].better, value, limits[at] ?? { good: 0, worst: null })
        return one.must
          ? { value, verdict: mustVerdict(one, value), part: null }
          : { value, verdict: null, part }
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
