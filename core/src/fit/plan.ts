/** What the planning of a job needs: figures by weld and the order, without the checks of a set-up. */
import { contextOf, type FitInput } from './context.ts'
import { type Fit, summaryOf } from './fit.ts'

export interface Plan extends Pick<Fit, 'joints' | 'sequence'> {
  /** Arc-on share of the worst ten minutes, %; null without a wire. */
  readonly dutyPct: number | null
}

/** The same figures as {@link fitJob} gives, for a job of hundreds of welds at every key. */
export function planJob(input: FitInput): Plan {
  const context = contextOf(input, false)
  return {
    joints: context.joints.map(summaryOf),
    sequence: context.sequence,
    dutyPct: context.duty?.value ?? null,
  }
}
