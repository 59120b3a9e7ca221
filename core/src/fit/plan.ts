/** What the planning of a job needs of its fit: figures by weld and the order, without checks' workings. */
import type { FitInput } from './context.ts'
import { type Fit, fitJob } from './fit.ts'

export interface Plan extends Pick<Fit, 'joints' | 'sequence'> {
  /** Arc-on share of the worst ten minutes, %; null without a wire. */
  readonly dutyPct: number | null
}

/** Small enough to come back from a worker at every key, also for a job of hundreds of welds. */
export function planJob(input: FitInput): Plan {
  const { joints, sequence, duty } = fitJob(input, { mends: false })
  return { joints, sequence, dutyPct: duty?.value ?? null }
}
