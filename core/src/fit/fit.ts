/** Runs the whole question: one job with one set-up. */
import { CHECKS } from '../checks/index.ts'
import { type Finding, type Verdict, worstVerdict } from '../model/finding.ts'
import type { Worked } from '../model/working.ts'
import { type Caution, cautionsFor } from './cautions.ts'
import { type Chain, chainFor } from './chain.ts'
import { contextOf, type FitInput } from './context.ts'

export interface Fit {
  /** The worst of all findings. */
  readonly verdict: Verdict
  readonly governingJointId: string
  /** One chain a joint, in the order of the job. */
  readonly chains: readonly Chain[]
  readonly findings: readonly Finding[]
  readonly duty: Worked | null
  readonly cautions: readonly Caution[]
}

/**
 * Fits a job to a set-up.
 * @param input the shop, the job and every part of the set-up, already validated by their schemas
 * @param wantsMends false leaves the mends out, for a trial
 * @returns findings in the order of the chain, the chain of each joint, cautions; never throws on valid input
 */
export function fitJob(input: FitInput, wantsMends = true): Fit {
  const context = contextOf(input, wantsMends)
  const findings = CHECKS.map((check) => check(context)).filter((finding) => finding !== null)
  return {
    verdict: worstVerdict(findings.map(({ verdict }) => verdict)),
    governingJointId: context.governing.joint.id,
    chains: context.joints.map((figures) => chainFor(context, figures)),
    findings,
    duty: context.duty,
    cautions: cautionsFor(context),
  }
}
