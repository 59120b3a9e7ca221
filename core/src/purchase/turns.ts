/** A ranking by weights, and how far a weight would have to move for another to come first: for sliders, without a plate. */
import type { Requirement } from '../kinds/requirementSheet.ts'
import type { Verdict } from '../model/verdict.ts'

/** One requirement with one machine. */
export interface Met {
  /** The figure of the machine; null where nobody knows it. */
  readonly value: number | null
  /** Of a must; null for a wish. */
  readonly verdict: Verdict | null
  /** Of a wish, 0 to 1: how near it comes to the best, or to what is wished. */
  readonly part: number | null
}

export interface Ranked {
  readonly sourceId: string
  /** In the order of the requirements. */
  readonly met: readonly Met[]
  /** Whether all that it must have is there. */
  readonly isIn: boolean
  /** Weighted sum of the wishes over the sum of weights, 0 to 1; null where nothing is wished. */
  readonly score: number | null
}

/** @returns how many musts a machine has not, or nobody knows of */
export const lackingOf = ({ met }: Pick<Ranked, 'met'>): number =>
  met.filter(({ verdict }) => verdict !== null && verdict !== 'fits').length

type Weighed = Pick<Requirement, 'must' | 'weight'>

/** @returns the weighted sum of wishes over the sum of their weights; null where nothing is wished */
export function scoreOf(requirements: readonly Weighed[], met: readonly Met[]): number | null {
  let [sum, all] = [0, 0]
  requirements.forEach(({ must, weight }, at) => {
    if (must) return
    sum += weight * (met[at]?.part ?? 0)
    all += weight
  })
  return all > 0 ? sum / all : null
}

/** How far one weight would have to move for another machine to come first. */
export interface Turn {
  /** Which of the requirements. */
  readonly at: number
  /** The nearest step of its weight at which the other leads, ahead of all. */
  readonly weight: number
  readonly sourceId: string
}

/** Nearer than this two machines are level. */
const LEVEL = 1e-9

/**
 * @param ranked as `rankSources` gives it
 * @param most that a weight may be
 * @param step by which a weight is moved
 * @returns for each wish the nearest step at which another comes first; nothing where none does within the limits, or
 *   where it would only be level
 */
export function turnsOf(
  requirements: readonly Weighed[],
  ranked: readonly Ranked[],
  most: number,
  step: number,
): readonly Turn[] {
  const all = ranked.filter(({ isIn }) => isIn)
  const [leader] = all
  if (!leader) return []
  const sumOf = ({ met }: Ranked, moved: number, to: number): number =>
    requirements.reduce(
      (sum, { must, weight }, at) => (must ? sum : sum + (at === moved ? to : weight) * (met[at]?.part ?? 0)),
      0,
    )
  /** Who leads alone; null where two are level. */
  const leadsAt = (at: number, weight: number): Ranked | null => {
    const sums = all.map((one) => sumOf(one, at, weight))
    const best = Math.max(...sums)
    const first = all.filter((_, index) => (sums[index] ?? 0) >= best - LEVEL)
    return first.length === 1 ? (first[0] ?? null) : null
  }
  const steps = Array.from({ length: Math.floor(most / step) + 1 }, (_, index) => index * step)
  return requirements.flatMap(({ must, weight }, at): readonly Turn[] => {
    if (must) return []
    const nearest = steps
      .filter((one) => one !== weight)
      .sort((a, b) => Math.abs(a - weight) - Math.abs(b - weight))
    for (const one of nearest) {
      const first = leadsAt(at, one)
      if (first && first !== leader) return [{ at, weight: one, sourceId: first.sourceId }]
    }
    return []
  })
}
