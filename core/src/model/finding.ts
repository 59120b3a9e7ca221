/** What a check answers: a verdict with the figures behind it, how they were worked out and what would mend it. */
import type { Job, Joint } from './job.ts'
import type { SetUp } from './equipment.ts'
import type { Step } from './working.ts'

export const VERDICTS = ['fits', 'tight', 'short', 'unknown'] as const
export type Verdict = (typeof VERDICTS)[number]

/** A figure on a screen. `lowValue` makes it a range. Units are the inside ones. */
export interface Measure {
  readonly value: number
  readonly unit: string
  readonly lowValue?: number
}

/** A change to what was entered: what a mend would do, ready to be tried. */
export type Patch =
  | { readonly on: 'set-up'; readonly change: Partial<Omit<SetUp, 'id'>> }
  | { readonly on: 'job'; readonly change: Partial<Pick<Job, 'pauseS' | 'hoursSetAside' | 'quantity'>> }
  | { readonly on: 'joint'; readonly jointId: string; readonly change: Partial<Omit<Joint, 'id'>> }
  | { readonly on: 'job-set-up'; readonly setUpId: string }

/** One thing that would bring a `short` or `tight` check in, computed. */
export interface Mend {
  readonly says: string
  /** Figure of the mend, printed by the screen in the shop's units after `says`. */
  readonly measure?: Measure
  readonly patch?: Patch
}

export interface Finding {
  readonly check: string
  readonly title: string
  readonly verdict: Verdict
  /** One sentence: the verdict in words. */
  readonly says: string
  /** The joint that decides; null where the whole job does. */
  readonly jointId: string | null
  readonly demand: Measure | string | null
  readonly capacity: Measure | string | null
  /** How far the capacity is above the demand, %; null where there is no such number. */
  readonly marginPct: number | null
  /** What is missing, where the verdict is `unknown`. */
  readonly missing: string | null
  /** Short words for what the verdict rests on. */
  readonly restsOn: string
  readonly working: readonly Step[]
  readonly mends: readonly Mend[]
}

/** How bad a verdict is: an unknown is worse than tight, since it never counts as fitting. */
export const VERDICT_RANK: Readonly<Record<Verdict, number>> = { fits: 0, tight: 1, unknown: 2, short: 3 }

/** The worst of some verdicts; `fits` for none. An unknown is worse than tight: it never counts as fitting. */
export const worstVerdict = (verdicts: readonly Verdict[]): Verdict =>
  verdicts.reduce<Verdict>(
    (worst, verdict) => (VERDICT_RANK[verdict] > VERDICT_RANK[worst] ? verdict : worst),
    'fits',
  )

/** Rounding must not turn an exact fit into a short. */
const SLACK_PCT = 1e-6

/**
 * @param marginPct how far the capacity is above the demand, %
 * @param safetyMarginPct below which a check is tight, %
 */
export function verdictOfMargin(marginPct: number, safetyMarginPct: number): Verdict {
  if (marginPct < -SLACK_PCT) return 'short'
  return marginPct < safetyMarginPct - SLACK_PCT ? 'tight' : 'fits'
}

/** How far a capacity is above a demand, %. A demand of nothing leaves all the room there is: 999 %. */
export const marginPct = (capacity: number, demand: number): number =>
  demand <= 0 ? 999 : Math.min(999, (capacity / demand - 1) * 100)
