/** The shape of every check, and the parts that they share. */
import type { FitContext } from '../fit/context.ts'
import type { JointFigures } from '../fit/jointFigures.ts'
import {
  type Finding,
  marginPct,
  type Measure,
  type Mend,
  type Verdict,
  verdictOfMargin,
} from '../model/finding.ts'
import type { Step } from '../model/working.ts'
import { printMeasure } from '../model/printMeasure.ts'

/** One check: a finding, or null where it does not apply to this process. */
export type Check = (context: FitContext) => Finding | null

export interface CheckName {
  readonly check: string
  readonly title: string
}

/** A finding that cannot be judged: something is missing, and it never counts as fitting. */
export function unknownFinding(
  name: CheckName,
  missing: string,
  part: Partial<Pick<Finding, 'says' | 'demand' | 'capacity' | 'working'>> = {},
): Finding {
  return {
    check: name.check,
    title: name.title,
    verdict: 'unknown',
    says: part.says ?? `Not known: ${missing}.`,
    jointId: null,
    demand: part.demand ?? null,
    capacity: part.capacity ?? null,
    marginPct: null,
    missing,
    restsOn: 'missing data',
    working: part.working ?? [],
    mends: [],
  }
}

interface Judged {
  readonly jointId?: string | null
  readonly demand: Measure
  readonly capacity: Measure
  /** Where it is not plainly capacity over demand. */
  readonly margin?: number
  /** False where a limit may be met exactly, such as a rule's largest breaker. */
  readonly wantsMargin?: boolean
  readonly restsOn: string
  readonly working: readonly Step[]
  /** What the two figures are, for the sentence: `the job draws`, `the breaker holds`. */
  readonly wants: string
  readonly gives: string
  readonly mends?: (verdict: Verdict) => readonly Mend[]
}

/** A finding from a demand and a capacity: verdict, margin and sentence follow. */
export function judge(context: FitContext, name: CheckName, judged: Judged): Finding {
  const { demand, capacity } = judged
  const margin = judged.margin ?? marginPct(capacity.value, demand.value)
  const safety = judged.wantsMargin === false ? 0 : context.assume.value('safetyMarginPct')
  const verdict = verdictOfMargin(margin, safety)
  const print = (measure: Measure) => printMeasure(measure, context.shop.unitSystem)
  // Spelled out: spreading `name` first costs more than the rest of the check.
  return {
    check: name.check,
    title: name.title,
    verdict,
    says: `${judged.wants} ${print(demand)}; ${judged.gives} ${print(capacity)}.`,
    jointId: judged.jointId ?? null,
    demand,
    capacity,
    marginPct: margin,
    missing: null,
    restsOn: judged.restsOn,
    working: judged.working,
    mends: verdict === 'fits' || !context.wantsMends ? [] : (judged.mends?.(verdict) ?? []),
  }
}

/** The joint for which a figure is greatest. */
export function jointWithMost(context: FitContext, figure: (figures: JointFigures) => number): JointFigures {
  return context.joints.reduce((most, next) => (figure(next) > figure(most) ? next : most))
}
