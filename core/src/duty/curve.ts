/** The duty curve of a power source, gun or torch through its rated points. */
import { dataPlate, standard } from '../basis/source.ts'
import { calculation, input } from '../calculation/calculation.ts'
import { type Reckoner, UNTRACED } from '../calculation/reckoner.ts'
import type { RatedPoint } from '../kinds/equipment.ts'
import { deratedCurrent } from './derating.ts'

/** Heat goes with the square of the current: I²·X is constant outside the rated points (IEC 60974-1). */
const SQUARE = 2
const CURVE = standard(
  'IEC 60974-1, I²·X constant beyond the rated points; a curve through both between them',
  true,
)
const PLATE = dataPlate()

const sorted = new WeakMap<readonly RatedPoint[], readonly RatedPoint[]>()
/** Sorted once a plate: every job of a board asks it. */
function byCurrent(points: readonly RatedPoint[]): readonly RatedPoint[] {
  const known = sorted.get(points)
  if (known) return known
  const made = [...points].sort((a, b) => a.currentA - b.currentA)
  sorted.set(points, made)
  return made
}

const dutyExponent = calculation({
  id: 'duty-exponent',
  title: 'Exponent between two rated points',
  symbol: 'n',
  unit: '',
  expression: 'log(X_a / X_b) / log(I_b / I_a)',
  inputs: {
    X_a: input('duty of the lower point', '%', PLATE),
    X_b: input('duty of the higher point', '%', PLATE),
    I_a: input('current of the lower point', 'A', PLATE),
    I_b: input('current of the higher point', 'A', PLATE),
  },
  compute: ({ X_a, X_b, I_a, I_b }) => Math.log(X_a / X_b) / Math.log(I_b / I_a),
  source: CURVE,
})

const rated = {
  I_r: { ...input('rated current', 'A', PLATE), from: [deratedCurrent.id] },
  X_r: input('duty of that rating', '%', PLATE),
  n: { ...input('exponent; 2 outside the rated points', '', CURVE), from: [dutyExponent.id] },
}

export const allowedDuty = calculation({
  id: 'allowed-duty',
  title: 'Duty that is allowed at this current',
  symbol: 'X',
  unit: '%',
  expression: 'min(100, X_r * (I_r / I)^n)',
  inputs: { ...rated, I: input('current needed', 'A', PLATE, 'wanted-current') },
  compute: ({ I_r, X_r, n, I }) => Math.min(100, X_r * (I_r / I) ** n),
  source: CURVE,
})

export const sustainedCurrent = calculation({
  id: 'sustained-current',
  title: 'Current that is sustained at this duty',
  symbol: 'I',
  unit: 'A',
  expression: 'I_r * (X_r / X)^(1 / n)',
  inputs: {
    ...rated,
    X: input(
      'duty',
      '%',
      PLATE,
      'job-duty',
      'gun-duty-floor',
      'gun-short-duty',
      'capacity-duty',
      'capacity-limit-duty',
    ),
  },
  compute: ({ I_r, X_r, n, X }) => I_r * (X_r / X) ** (1 / n),
  source: CURVE,
})

/**
 * Exponent n of I^n·X = constant between two rated points. A thermally consistent plate gives 2; whatever
 * it gives, the curve then passes through both points, which are measured, and only bends between them.
 */
const exponent = (low: RatedPoint, high: RatedPoint, reckoner: Reckoner): number =>
  reckoner.compute(dutyExponent, {
    X_a: low.dutyPct,
    X_b: high.dutyPct,
    I_a: low.currentA,
    I_b: high.currentA,
  })

/** The rated point and exponent that hold at a place on the curve. */
function segment(
  points: readonly RatedPoint[],
  isBeyond: (high: RatedPoint) => boolean,
  reckoner: Reckoner,
): { I_r: number; X_r: number; n: number } {
  const inOrder = byCurrent(points)
  const [first] = inOrder
  if (!first) throw new RangeError('a duty curve needs at least one rated point')
  let reached = first
  let n = SQUARE
  for (const next of inOrder) {
    if (next === first) continue
    if (!isBeyond(next)) {
      if (isBeyond(reached)) n = exponent(reached, next, reckoner)
      break
    }
    reached = next
  }
  return { I_r: reached.currentA, X_r: reached.dutyPct, n }
}

/**
 * Duty allowed at a current.
 * @param points rated points, at least one; duty falls as current rises
 * @param currentA above 0
 * @returns %, at most 100
 * @throws RangeError without a rated point
 * @example dutyAtCurrentPct([{ currentA: 250, dutyPct: 60 }], 300) // 41.7 %
 */
export const dutyAtCurrentPct = (
  points: readonly RatedPoint[],
  currentA: number,
  reckoner: Reckoner = UNTRACED,
): number => {
  const { I_r, X_r, n } = segment(points, (point) => currentA >= point.currentA, reckoner)
  return reckoner.compute(allowedDuty, { I_r, X_r, n, I: currentA })
}

/**
 * Greatest current at a duty: the inverse of {@link dutyAtCurrentPct}.
 * @param dutyPct above 0
 * @returns A
 * @throws RangeError without a rated point
 * @example currentAtDutyA([{ currentA: 200, dutyPct: 60 }], 100) // 154.9 A
 */
export const currentAtDutyA = (
  points: readonly RatedPoint[],
  dutyPct: number,
  reckoner: Reckoner = UNTRACED,
): number => {
  const { I_r, X_r, n } = segment(points, (point) => dutyPct <= point.dutyPct, reckoner)
  return reckoner.compute(sustainedCurrent, { I_r, X_r, n, X: dutyPct })
}
