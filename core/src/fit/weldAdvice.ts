/** What to know of one weld before it is planned: its size by two schools, what over-welding costs, filler, preheat. */
import { QUALITY } from '../model/quality.ts'
import { type Metal } from '../model/material.ts'
import { type ProcessId } from '../model/process.ts'
import { type Assumptions, assumptionsOf, type ChangedAssumptions } from '../assumptions/assume.ts'
import { type Reckoner, reckonerFor } from '../calculation/reckoner.ts'
import { weldFiguresOf } from '../demand/weldFigures.ts'
import type { Wire } from '../kinds/equipment.ts'
import type { Shop } from '../kinds/shop.ts'
import { settleJoint } from '../joints/contradictions.ts'
import type { Job, Joint } from '../kinds/job.ts'
import { commonPractice, type Source } from '../basis/source.ts'
import { FILLET_SIZES, type FilletRule } from '../reference/filletSizes.ts'
import { type PairAdvice, pairAdvice } from '../reference/pairs.ts'
import { isFillet, legsMm } from '../trade/geometry.ts'
import { thickerMm, thinnerMm } from '../trade/groove.ts'
import { serviceOf } from '../trade/service.ts'
import { thinnerFamily } from '../trade/wantedCurrent.ts'
import type { WeldSummary } from './fit.ts'

export interface FilletAdvice {
  /** The least that the code's table lets stand, by the thicker part. */
  readonly minimumMm: number
  /** The most along an edge; null where there is none. */
  readonly largestMm: number | null
  /** A bead about as wide as the thinner part is thick. */
  readonly beadAsWideMm: number
  /** By the school that the owner chose. */
  readonly recommendedMm: number
  readonly throatMm: number
  readonly verdict: 'under' | 'right' | 'over'
  /** Which sentence tells of it. */
  readonly code: 'under' | 'right' | 'over' | 'hides-edge'
  readonly source: Source
  readonly overWeld: OverWeld | null
}

export interface OverWeld {
  /** Metal against that of the recommended size. */
  readonly timesMetal: number
  /** Over the whole job, g. */
  readonly extraG: number
  /** Over the whole job, in the shop's currency: filler and labour; null where neither is known. */
  readonly extraCost: number | null
}

/** What one weld wants by one process. */
export interface ProcessWant {
  readonly process: ProcessId
  readonly wantedA: number
  /** The least that still makes the weld, A. */
  readonly lowA: number
  /** The thinner part burns through above this, A; null where it is too thick to. */
  readonly highA: number | null
  readonly passes: number
}

export interface WeldAdvice {
  readonly fillet: FilletAdvice | null
  readonly pair: PairAdvice
  /** By each process that welds this metal. */
  readonly wants: readonly ProcessWant[]
}

/** Aluminium is not welded by cored wire or short arc in ordinary work, nor on direct current by TIG. */
const PROCESSES_OF: Readonly<Record<Metal, readonly ProcessId[]>> = {
  'carbon-steel': ['gmaw-short', 'gmaw-spray', 'gmaw-pulse', 'fcaw-s', 'fcaw-g', 'gtaw-dc', 'smaw'],
  stainless: ['gmaw-short', 'gmaw-spray', 'gmaw-pulse', 'gtaw-dc', 'smaw'],
  aluminium: ['gmaw-spray', 'gmaw-pulse', 'gtaw-ac'],
}

const wantsOf = (joint: Joint, job: Job, reckoner: Reckoner): readonly ProcessWant[] =>
  PROCESSES_OF[thinnerFamily(joint)].map((process) => {
    const { wantedA, lowA, highA, passes } = weldFiguresOf(joint, job, process, null, reckoner)
    return { process, wantedA, lowA, highA, passes }
  })

/** A sixteenth more than was asked is the welder's hand, not over-welding. */
const HAND_MM = 1.6
const SHOP_RULE = commonPractice(
  'shop rule for work without a code: bead about as wide as the plate is thick',
)

interface Money {
  readonly wire: Wire | null
  readonly summary: WeldSummary | null
}

/** Filler and labour for each gram of weld metal; null where neither price nor arc time is known. */
function costPerG({ wire, summary }: Money, assumptions: Assumptions): number | null {
  if (!summary || summary.metalG <= 0) return null
  const filler =
    wire !== null && wire.packagePrice !== null
      ? (wire.packagePrice / wire.packageG) * (summary.fillerG / summary.metalG)
      : 0
  // More metal is more arc; tacks and handling stay as they are.
  const labour =
    summary.arcS === null ? 0 : (summary.arcS / 3600 / summary.metalG) * assumptions.labourPerHour
  return filler + labour > 0 ? filler + labour : null
}

function overWeld(
  joint: Joint,
  recommendedMm: number,
  money: Money,
  assumptions: Assumptions,
): OverWeld | null {
  const { a, b } = legsMm(joint)
  if (a <= recommendedMm + HAND_MM && b <= recommendedMm + HAND_MM) return null
  const timesMetal = (a * b) / recommendedMm ** 2
  const metalG = money.summary?.metalG ?? 0
  const extraG = metalG * (1 - 1 / timesMetal)
  const cost = costPerG(money, assumptions)
  return { timesMetal, extraG, extraCost: cost === null ? null : extraG * cost }
}

/** Throats are written in halves of a millimetre: no drawing has an a of 2.83. */
const THROAT_STEP_MM = 0.5
const SAME_STEP = 1e-9
/** The next throat up, or the next down where that would be more than the thinner part. */
function toThroatStep(legMm: number, thinnerMm: number): number {
  const ofSteps = (steps: number): number => steps * THROAT_STEP_MM * Math.SQRT2
  const steps = legMm / ofSteps(1)
  const up = ofSteps(Math.ceil(steps - SAME_STEP))
  return up <= thinnerMm + SAME_STEP ? up : ofSteps(Math.max(1, Math.floor(steps + SAME_STEP)))
}

function filletAdvice(
  joint: Joint,
  job: Job,
  money: Money,
  assumptions: Assumptions,
  rule: FilletRule,
): FilletAdvice {
  const { a, b } = legsMm(joint)
  const thinner = thinnerMm(joint)
  // No table asks for a weld larger than the thinner part.
  const minimumMm = Math.min(rule.leastLegMm(thickerMm(joint)), thinner)
  const largestMm = joint.kind === 'lap' ? rule.largestAlongEdgeMm(joint.thicknessAMm) : null
  const beadAsWideMm = thinner / Math.SQRT2
  const byCode = job.sizing === 'code-table' || QUALITY[job.quality].isStructural
  const wantedMm = byCode ? minimumMm : beadAsWideMm
  const recommendedMm = Math.min(
    rule.isByThroat ? toThroatStep(wantedMm, thinner) : wantedMm,
    largestMm ?? Infinity,
  )
  const least = Math.min(a, b)
  const over = overWeld(joint, recommendedMm, money, assumptions)
  // A table's least is no reason to call a leg that the owner asked for too large; a leg above the thinner part is.
  const isOver = over !== null && (!byCode || Math.max(a, b) > thinner + HAND_MM)
  const tooLarge = largestMm !== null && a > largestMm + 1e-6
  const verdict = least < recommendedMm - 1e-6 ? 'under' : isOver || tooLarge ? 'over' : 'right'
  const code = verdict === 'over' && tooLarge ? 'hides-edge' : verdict
  return {
    minimumMm,
    largestMm,
    beadAsWideMm,
    recommendedMm,
    throatMm: (a * b) / Math.hypot(a, b),
    verdict,
    code,
    source: tooLarge ? rule.largestSource : byCode ? rule.leastSource : SHOP_RULE,
    overWeld: over,
  }
}

/**
 * @param money what a gram of weld metal costs, from the fit of the job; leave `summary` null where there is none
 * @param shop whose assumptions and whose code hold
 * @returns figures and codes; words are made of them elsewhere
 */
export function weldAdvice(
  joint: Joint,
  job: Job,
  money: Money,
  shop: { readonly assumptions: ChangedAssumptions; readonly filletRule: Shop['filletRule'] },
): WeldAdvice {
  const assumptions = assumptionsOf(shop)
  return {
    fillet: isFillet(joint)
      ? filletAdvice(joint, job, money, assumptions, FILLET_SIZES[shop.filletRule])
      : null,
    pair: pairAdvice(joint.materialA, joint.materialB, serviceOf(job, joint)),
    wants: wantsOf(settleJoint(joint).joint, job, reckonerFor(assumptions)),
  }
}
