/** Runs the whole question: one job with one set-up. */
import { CHECKS } from '../checks/index.ts'
import { type Finding, type Verdict, worstVerdict } from '../model/finding.ts'
import type { Worked } from '../model/working.ts'
import { type Caution, cautionsFor } from './cautions.ts'
import { type Chain, chainFor } from './chain.ts'
import { contextOf, type FitInput } from './context.ts'
import type { JointFigures } from './jointFigures.ts'
import type { SequenceLine } from './sequence.ts'

export interface Fit {
  /** The worst of all findings. */
  readonly verdict: Verdict
  readonly governingJointId: string
  /** The chain of the governing joint and of those that were asked for, in the order of the job. */
  readonly chains: readonly Chain[]
  readonly joints: readonly JointSummary[]
  readonly sequence: readonly SequenceLine[]
  readonly findings: readonly Finding[]
  readonly duty: Worked | null
  readonly cautions: readonly Caution[]
}

/** What a list shows of one joint. */
export interface JointSummary {
  readonly jointId: string
  readonly wantedA: number
  readonly burnThroughA: number
  readonly passes: number
  /** Over the whole job, g. */
  readonly metalG: number
  readonly fillerG: number
  /** Over the whole job, s; null without a wire. */
  readonly arcS: number | null
  readonly runMm: number
}

export interface FitOptions {
  /** False leaves the mends out, for a trial. */
  readonly mends?: boolean
  /** Joints whose chain is wanted beside the governing one's; `all` for every one. */
  readonly chainsOf?: 'all' | readonly string[]
}

/** A joint's figures without their workings. */
export const summaryOf = ({
  joint,
  wanted,
  burnThroughA,
  passes,
  metal,
  filler,
  arcS,
  runMm,
}: JointFigures): JointSummary => ({
  jointId: joint.id,
  wantedA: wanted.value,
  burnThroughA,
  passes: passes.value,
  metalG: metal.value,
  fillerG: filler.value,
  arcS: arcS?.value ?? null,
  runMm,
})

/**
 * Fits a job to a set-up.
 * @param input the shop, the job and every part of the set-up, already validated by their schemas
 * @returns findings in the order of the chain, the chain of each joint, cautions; never throws on valid input
 */
export function fitJob(input: FitInput, { mends = true, chainsOf = [] }: FitOptions = {}): Fit {
  const context = contextOf(input, mends)
  const findings = CHECKS.map((check) => check(context)).filter((finding) => finding !== null)
  return {
    verdict: worstVerdict(findings.map(({ verdict }) => verdict)),
    governingJointId: context.governing.joint.id,
    chains: context.joints
      .filter(
        (figures) =>
          chainsOf === 'all' || figures === context.governing || chainsOf.includes(figures.joint.id),
      )
      .map((figures) => chainFor(context, figures)),
    joints: context.joints.map(summaryOf),
    sequence: context.sequence,
    findings,
    duty: context.duty,
    cautions: cautionsFor(context),
  }
}
