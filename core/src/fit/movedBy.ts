/** What another figure of an assumption moves in the planned jobs: verdicts, hours, filler, gas. */
import type { AssumptionKey } from '../assumptions/list.ts'
import type { Verdict } from '../model/verdict.ts'
import { type FitInput, fitOf, sidesOf } from './fit.ts'

interface Figures {
  readonly verdict: Verdict
  /** h; null where the wire is missing. */
  readonly workH: number | null
  readonly fillerG: number
  /** L; null where no gas flows, or it is not known. */
  readonly gasL: number | null
}
export interface MovedJob {
  readonly jobId: string
  readonly name: string
  readonly before: Figures
  readonly after: Figures
}

function figuresOf(input: FitInput): Figures {
  const sides = sidesOf(input)
  const { workH, fillerG } = sides.demand
  const { verdict, criteria } = fitOf(sides)
  const gasL = criteria.find(({ criterion }) => criterion === 'gas-use')?.demand ?? null
  return { verdict, workH, fillerG, gasL }
}
/** Less than this nobody plans by. */
const LEAST_SHARE = 0.005
const isMoved = (before: number | null, after: number | null): boolean =>
  Math.abs((after ?? 0) - (before ?? 0)) > LEAST_SHARE * Math.abs(before ?? 0)

/**
 * @param inputs planned jobs with their set-ups
 * @returns the jobs in which something moves, with what it was and what it would be
 * @example movedBy(inputs, 'besideArcWirePct', 140)[0]?.after.workH
 */
export const movedBy = (
  inputs: readonly FitInput[],
  key: AssumptionKey,
  value: number,
): readonly MovedJob[] =>
  inputs.flatMap((input): MovedJob[] => {
    const shop = { ...input.shop, assumptions: { ...input.shop.assumptions, [key]: value } }
    const [before, after] = [figuresOf(input), figuresOf({ ...input, shop })]
    const isSame =
      before.verdict === after.verdict &&
      !isMoved(before.workH, after.workH) &&
      !isMoved(before.fillerG, after.fillerG) &&
      !isMoved(before.gasL, after.gasL)
    return isSame ? [] : [{ jobId: input.job.id, name: input.job.name, before, after }]
  })
