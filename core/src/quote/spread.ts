/** How far a cost may be off: seeded draws over what is uncertain in each of its lines. */
import { randomLcg, randomLogNormal, randomUniform } from 'd3-random'
import type { CostLine, CostLineId } from './costLines.ts'

/**
 * How far each line is usually off, as a share: one in three jobs is further off (common practice, no source). Lines of one
 * group are off together: who handles slowly tacks slowly.
 */
const UNCERTAIN = {
  arc: { of: 'travel', share: 0.12 },
  power: { of: 'travel', share: 0.12 },
  rest: { of: 'travel', share: 0.12 },
  tacking: { of: 'hand', share: 0.25 },
  handling: { of: 'hand', share: 0.25 },
  preparation: { of: 'surface', share: 0.35 },
  finishing: { of: 'surface', share: 0.35 },
  changeover: { of: 'changeover', share: 0.3 },
  filler: { of: 'metal', share: 0.1 },
  tips: { of: 'metal', share: 0.1 },
  gas: { of: 'gas', share: 0.2 },
  tungsten: { of: 'tungsten', share: 0.4 },
} as const satisfies Readonly<Record<CostLineId, { of: string; share: number }>>
type Group = (typeof UNCERTAIN)[CostLineId]['of']

export const DRAWS = 1000
/** Any: the same seed gives the same range. */
const SEED = 0.417

export interface Spread {
  /** Every draw, in cents, the least first. */
  readonly draws: readonly number[]
  /** Nine of ten are between these, cents. */
  readonly lowCents: number
  readonly highCents: number
}

/** @returns the cost that so many of a hundred draws do not exceed, cents */
export function costAt({ draws }: Pick<Spread, 'draws'>, pct: number): number {
  const place = Math.min(draws.length - 1, Math.max(0, Math.ceil((pct / 100) * draws.length) - 1))
  return draws[place] ?? 0
}

const CENTS = 100
/**
 * Each group of lines is drawn from a lognormal distribution around what was calculated, its median; a price that nobody has
 * entered from its typical range, evenly.
 * @param seed 0 to 1
 */
export function spreadOf(lines: readonly CostLine[], seed = SEED, count = DRAWS): Spread {
  const chance = randomLcg(seed)
  const groups = [...new Set(Object.values(UNCERTAIN).map(({ of }) => of))]
  const factors = new Map(
    groups.map((group): [Group, () => number] => {
      const share = Math.max(
        ...Object.values(UNCERTAIN).flatMap((one) => (one.of === group ? [one.share] : [])),
      )
      return [group, randomLogNormal.source(chance)(0, Math.log1p(share))]
    }),
  )
  const draws = Array.from({ length: count }, () => {
    const drawn = new Map([...factors].map(([group, draw]) => [group, draw()]))
    const total = lines.reduce((sum, { id, exact, typical }) => {
      const price = typical === null ? exact : randomUniform.source(chance)(typical.low, typical.high)()
      return sum + price * (drawn.get(UNCERTAIN[id].of) ?? 1)
    }, 0)
    return Math.round(total * CENTS)
  }).toSorted((a, b) => a - b)
  return { draws, lowCents: costAt({ draws }, 5), highCents: costAt({ draws }, 95) }
}
