/** Evidence of welds: what a coupon proves and what a leak test measures. None of it is approval. */
import { BY_COUPON } from '../criteria/concerns.ts'
import type { Assessment } from '../criteria/criterion.ts'
import type { Evidence } from '../events/evidenceTaken.ts'
import { thicknessBand } from './ownStart.ts'

export type ProvenOf = Pick<Evidence, 'setUpId' | 'process' | 'wireId' | 'gasId' | 'thicknessMm' | 'position'>

export interface CouponProof {
  readonly by: string
  readonly takenAt: string
}

const isSameWeld = (one: ProvenOf, other: ProvenOf): boolean =>
  one.setUpId === other.setUpId &&
  one.process === other.process &&
  one.wireId === other.wireId &&
  one.gasId === other.gasId &&
  one.position === other.position &&
  thicknessBand(one.thicknessMm) === thicknessBand(other.thicknessMm)

/**
 * The latest coupon of this set-up, thickness and position, where it passed; one that failed later takes it back.
 * @param evidence in any order
 * @returns who proved it and when; null where nobody has
 */
export function proofOf(evidence: readonly Evidence[], of: ProvenOf): CouponProof | null {
  const latest = evidence
    .filter((one) => one.kind === 'coupon' && isSameWeld(one, of))
    .toSorted((a, b) => a.takenAt.localeCompare(b.takenAt))
    .at(-1)
  return latest?.result === 'passed' ? { by: latest.by, takenAt: latest.takenAt } : null
}

type Judged = Pick<Assessment, 'criterion' | 'verdict' | 'weldId'>

/**
 * Whether coupons answer all that is tight: each shows that its current fuses, and nothing of breakers, duty or stock.
 * @param criteria of a fit whose verdict is tight
 * @param weldOf a weld of the job with this set-up; null where there is none
 * @param jointId for what names no weld: the one that the fit speaks of
 * @returns the oldest of the proofs that it takes; null where one is missing
 */
export function provenTight(
  criteria: readonly Judged[],
  evidence: readonly Evidence[],
  weldOf: (jointId: string) => ProvenOf | null,
  jointId: string,
): CouponProof | null {
  const tight = criteria.filter(({ verdict }) => verdict === 'tight')
  if (tight.length === 0 || tight.some(({ criterion }) => !BY_COUPON.has(criterion))) return null
  const proofs = tight.map(({ weldId }) => {
    const weld = weldOf(weldId ?? jointId)
    return weld && proofOf(evidence, weld)
  })
  if (proofs.some((one) => one === null)) return null
  return proofs.toSorted((a, b) => (a?.takenAt ?? '').localeCompare(b?.takenAt ?? ''))[0] ?? null
}

/** Leg of a fillet is 1.41 times its throat (geometry). */
const THROAT_OF_LEG = Math.SQRT1_2

/** @returns whether a cut and etched coupon has what was planned; what was not measured does not count against it */
export const couponPasses = (
  measured: {
    readonly legMm: number | null
    readonly throatMm: number | null
    readonly isRootReached: boolean
  },
  plannedLegMm: number | null,
): boolean =>
  measured.isRootReached &&
  (plannedLegMm === null ||
    ((measured.legMm === null || measured.legMm >= plannedLegMm * 0.98) &&
      (measured.throatMm === null || measured.throatMm >= plannedLegMm * THROAT_OF_LEG * 0.98)))

/**
 * What a closed volume loses: pressure lost, times volume, over time (EN 1779, pressure change, from memory).
 * @returns Pa·m³/s; a tenth of it in mbar·L/s has the factor 10
 * @example leakRate({ startKPa: 100, endKPa: 99, volumeL: 60, minutes: 10 }) // 0.1
 */
export const leakRate = ({
  startKPa,
  endKPa,
  volumeL,
  minutes,
}: {
  readonly startKPa: number
  readonly endKPa: number
  readonly volumeL: number
  readonly minutes: number
}): number => (Math.abs(startKPa - endKPa) * volumeL) / (minutes * 60)
