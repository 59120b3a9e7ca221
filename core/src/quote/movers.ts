/** Which assumptions move a cost most, and what other ways to weld the same job would cost. */
import { assumptionsOf } from '../assumptions/assume.ts'
import { ASSUMPTION_KEYS, type AssumptionKey, ASSUMPTIONS } from '../assumptions/list.ts'
import { assess, worstOf } from '../criteria/index.ts'
import { type FitInput, sidesOf } from '../fit/fit.ts'
import type { Joint } from '../kinds/job.ts'
import type { Verdict } from '../model/verdict.ts'
import { centsOf, costLinesOf } from './costLines.ts'

const centsFor = (input: FitInput): number | null => {
  const { capability, demand } = sidesOf(input)
  const lines = costLinesOf(capability, demand)
  return lines && centsOf(lines)
}

/** How far an assumption is moved, as a share of itself. */
export const MOVED_BY = 0.2

export interface Mover {
  readonly key: AssumptionKey
  readonly value: number
  /** What the job costs more, or less, with the figure a fifth smaller and a fifth larger, cents. */
  readonly lessCents: number
  readonly moreCents: number
}

/** What is no guess about how the job goes: it makes the price, not the cost. */
const OF_PRICE: ReadonlySet<AssumptionKey> = new Set(['overheadPct', 'marginPct', 'minimumCharge'])

/** @returns the assumptions that move the cost of the job, the one that moves it most first */
export function moversOf(input: FitInput, most = 3): readonly Mover[] {
  const now = centsFor(input)
  if (now === null) return []
  const values = assumptionsOf(input.shop)
  return ASSUMPTION_KEYS.filter((key) => !OF_PRICE.has(key))
    .flatMap((key): readonly Mover[] => {
      const { least, most: limit } = ASSUMPTIONS[key]
      const value = values[key]
      const [less, more] = [1 - MOVED_BY, 1 + MOVED_BY].map((factor) => {
        const moved = Math.min(limit, Math.max(least, value * factor))
        if (moved === value) return 0
        const shop = { ...input.shop, assumptions: { ...input.shop.assumptions, [key]: moved } }
        return (centsFor({ ...input, shop }) ?? now) - now
      })
      return less || more ? [{ key, value, lessCents: less ?? 0, moreCents: more ?? 0 }] : []
    })
    .toSorted(
      (a, b) =>
        Math.max(Math.abs(b.lessCents), Math.abs(b.moreCents)) -
          Math.max(Math.abs(a.lessCents), Math.abs(a.moreCents)) || a.key.localeCompare(b.key),
    )
    .slice(0, most)
}

export const HABITS = ['leg-larger', 'bead-heavier', 'travel-faster'] as const
/** One leg size, 1/16 in: what a welder takes who wants to be sure. */
const LEG_STEP_MM = 1.5875
/** So much more metal than was drawn, as a share. */
const HEAVIER = 0.2
export interface Habit {
  readonly id: (typeof HABITS)[number]
  /** More than the job costs as drawn, cents; less than 0 where it saves. */
  readonly cents: number
}

/** A fillet with another leg; other joints stay. */
const withLegs = (joint: Joint, legOf: (legMm: number) => number): Joint =>
  joint.legMm === null ? joint : { ...joint, legMm: legOf(joint.legMm) }

/** @returns what habits cost on this job; those that change nothing are left out */
export function habitsOf(input: FitInput): readonly Habit[] {
  const now = centsFor(input)
  if (now === null) return []
  const withJoints = (change: (joint: Joint) => Joint): FitInput => ({
    ...input,
    job: { ...input.job, joints: input.job.joints.map(change) },
  })
  // The metal of a fillet goes with the square of its leg.
  const factor = Math.sqrt(1 + HEAVIER)
  const tried = {
    'leg-larger': withJoints((joint) => withLegs(joint, (legMm) => legMm + LEG_STEP_MM)),
    'bead-heavier': withJoints((joint) => withLegs(joint, (legMm) => legMm * factor)),
    'travel-faster': withJoints((joint) => withLegs(joint, (legMm) => legMm / factor)),
  } satisfies Record<Habit['id'], FitInput>
  return HABITS.flatMap((id): readonly Habit[] => {
    const cents = (centsFor(tried[id]) ?? now) - now
    return cents === 0 ? [] : [{ id, cents }]
  })
}

/** The same job with another set-up of the shop. */
export interface OtherWay {
  readonly setUpId: string
  readonly setUpName: string
  readonly process: FitInput['setUp']['process']
  readonly verdict: Verdict
  readonly cents: number
}

/** @returns what the job costs with each set-up that can do it, the cheapest first */
export const otherWaysOf = (inputs: readonly FitInput[]): readonly OtherWay[] =>
  inputs
    .flatMap((input): readonly OtherWay[] => {
      // What is left in the stores today says nothing of what a way costs.
      const { capability, demand } = sidesOf({ ...input, stock: [] })
      const lines = costLinesOf(capability, demand)
      const verdict = worstOf(assess(capability, demand))
      return lines && verdict !== 'fails'
        ? [
            {
              setUpId: input.setUp.id,
              setUpName: input.setUp.name,
              process: input.setUp.process,
              verdict,
              cents: centsOf(lines),
            },
          ]
        : []
    })
    .toSorted((a, b) => a.cents - b.cents || a.setUpName.localeCompare(b.setUpName))
