/** What hangs on an assumption: which verdicts of the shop's own jobs move where the figure is a tenth off. */
import { type AssumptionKey, ASSUMPTIONS } from '../assumptions/list.ts'
import { assumptionsOf } from '../assumptions/assume.ts'
import { assess } from '../criteria/index.ts'
import type { Assessment } from '../criteria/criterion.ts'
import type { Verdict } from '../model/verdict.ts'
import { type FitInput, sidesOf } from './fit.ts'

/** One verdict that another figure moves. */
export interface Moved {
  readonly jobId: string
  /** As it is judged with the other figure. */
  readonly then: Assessment
  /** As it is judged now; null where the criterion does not apply now. */
  readonly now: Verdict | null
  /** Whether the figure is smaller or larger than now. */
  readonly by: 'less' | 'more'
}

/** How far a figure is moved, as a share of itself. */
const OFF = 0.1

const judged = (input: FitInput): readonly Assessment[] => {
  const { capability, demand } = sidesOf(input)
  return assess(capability, demand)
}

/**
 * @param inputs each job with its set-up; all of one shop
 * @param keys the assumptions that are asked about
 * @returns by key, every verdict that moves with the figure 10 % smaller or larger, kept within its limits
 * @example leverageOf(inputs, ['safetyMarginPct']).safetyMarginPct // [{ jobId: 'press-frame', now: 'tight', … }]
 */
export function leverageOf(
  inputs: readonly FitInput[],
  keys: readonly AssumptionKey[],
): Readonly<Partial<Record<AssumptionKey, readonly Moved[]>>> {
  const now = inputs.map((input) => new Map(judged(input).map((one) => [one.criterion, one.verdict])))
  return Object.fromEntries(
    keys.map((key) => [
      key,
      (['less', 'more'] as const).flatMap((by) =>
        inputs.flatMap((input, index): Moved[] => {
          const { least, most } = ASSUMPTIONS[key]
          const value = assumptionsOf(input.shop)[key]
          const other = Math.min(most, Math.max(least, value * (by === 'less' ? 1 - OFF : 1 + OFF)))
          if (other === value) return []
          const shop = { ...input.shop, assumptions: { ...input.shop.assumptions, [key]: other } }
          return judged({ ...input, shop }).flatMap((then) => {
            const was = now[index]?.get(then.criterion) ?? null
            return was === then.verdict ? [] : [{ jobId: input.job.id, then, now: was, by }]
          })
        }),
      ),
    ]),
  )
}
