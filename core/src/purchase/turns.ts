/** A ranking by weights, and how far a weight would have to move for another to come first: for sliders, without a plate. */
import type { Requirement } from '../model/requirementSheet.ts'
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
  /** The weight at which the two are equal, from 0 on; beyond it the other leads. */
  readonly weight: number
  readonly sourceId: string
}

/**
 * @param ranked as `rankSources` gives it
 * @param most that a weight may be
 * @returns for each wish the nearest weight at which another comes first; nothing where none does within the limits
 */
export function turnsOf(
  requirements: readonly Weighed[],
  ranked: readonly Ranked[],
  most: number,
): readonly Turn[] {
  const [leader, ...rest] = ranked.filter(({ isIn }) => isIn)
  if (!leader) return []
  const lead = (other: Ranked): number =>
    requirements.reduce(
      (sum, { must, weight }, at) =>
        must ? sum : sum + weight * ((leader.met[at]?.part ?? 0) - (other.met[at]?.part ?? 0)),
      0,
    )
  return requirements.flatMap(({ must, weight }, at): readonly Turn[] => {
    if (must) return []
    let nearest: Turn | null = null
    for (const other of rest) {
      const differs = (leader.met[at]?.part ?? 0) - (other.met[at]?.part ?? 0)
      if (Math.abs(differs) < 1e-9) continue
      const turn = weight - lead(other) / differs
      if (turn < 0 || turn > most) continue
      if (!nearest || Math.abs(turn - weight) < Math.abs(nearest.weight - weight))
        nearest = { at, weight: turn, sourceId: other.sourceId }
    }
    return nearest ? [nearest] : []
  })
}
