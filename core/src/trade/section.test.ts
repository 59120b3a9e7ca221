import { JOINT_KINDS } from '../model/jointKinds.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { settleJoint } from '../joints/contradictions.ts'
import { type Joint, jointSchema } from '../kinds/job.ts'
import { readDocument } from '../model/problems.ts'
import { joint } from '../testing/samples.ts'
import { weldAreaMm2 } from './geometry.ts'
import { saddleLengthMm, segmentsOf, weldRunMm, weldVolumeMm3 } from './run.ts'
import { crossSection, type Point, type Shape } from './section.ts'
import { runs } from '../testing/runs.ts'

const assumptions = assumptionsOf({ assumptions: {} })
const r = reckonerFor(assumptions)

/** The surveyor's formula: a second way to the area, from the drawing instead of the formula of the joint. */
function shoelace(points: readonly Point[]): number {
  const sum = points.reduce((total, [x, y], index) => {
    const [nextX, nextY] = points[(index + 1) % points.length] ?? [0, 0]
    return total + x * nextY - nextX * y
  }, 0)
  return Math.abs(sum) / 2
}

const drawnArea = (one: Joint): number =>
  crossSection(one, assumptions)
    .shapes.filter(({ role }) => role === 'weld')
    .reduce((sum, { points }) => sum + shoelace(points), 0)

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true })
/** None, or what can be measured: the schema takes nothing between. */
const small = (max: number) => fc.oneof(fc.constant(0), mm(0.1, max))
/** Any joint that its schema lets stand. */
const validJoint = fc
  .record({
    kind: fc.constantFrom(...JOINT_KINDS),
    thicknessAMm: mm(2, 40),
    thicknessBMm: mm(2, 40),
    legMm: mm(1, 20),
    legBMm: fc.option(mm(1, 20)),
    rootGapMm: small(5),
    rootFaceMm: small(4),
    includedAngleDeg: mm(15, 80),
    rootRadiusMm: mm(2, 8),
    reinforcementMm: small(3),
    backWeldMm: small(3),
    diameterMm: mm(25, 200),
    headerDiameterMm: mm(200, 400),
    slotLengthMm: mm(200, 400),
  })
  .map((part) => joint({ ...part, legMm: part.kind === 'v' ? null : part.legMm }))
  .filter((one) => readDocument(jointSchema, one).ok)
  .map((one) => settleJoint(one).joint)

describe('the drawing and the formula', () => {
  it.each(JOINT_KINDS)('agree on the area of a %s', (kind) => {
    const base = {
      thicknessAMm: 12,
      thicknessBMm: 15,
      includedAngleDeg: 40,
      rootRadiusMm: 5,
      rootFaceMm: 2,
      rootGapMm: 2,
      reinforcementMm: 1.5,
    }
    const one = joint({ ...base, kind, legMm: 8, diameterMm: 40, headerDiameterMm: 90, slotLengthMm: 60 })
    expect(drawnArea(one) / weldAreaMm2(one, r)).toBeCloseTo(1, 2)
  })

  it('agree on any joint', () => {
    fc.assert(
      fc.property(validJoint, (one) => {
        const formula = weldAreaMm2(one, r)
        expect(Math.abs(drawnArea(one) - formula), JSON.stringify(one)).toBeLessThanOrEqual(
          0.01 * formula + 0.01,
        )
      }),
      { numRuns: runs(300) },
    )
  })
})

/** Size, place and area of one shape: a drawing in a line that can be checked with a ruler. */
function lineOf({ role, points }: Shape): string {
  const xs = points.map(([x]) => x)
  const ys = points.map(([, y]) => y)
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
  const figures = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys), shoelace(points)]
  return [role, points.length, ...[...figures, mean(xs), mean(ys)].map((value) => value.toFixed(3))].join(' ')
}

describe('the drawing', () => {
  const base = {
    thicknessAMm: 10,
    thicknessBMm: 14,
    legMm: 6,
    legBMm: 9,
    includedAngleDeg: 50,
    rootRadiusMm: 4,
    rootFaceMm: 2,
    rootGapMm: 3,
    diameterMm: 44,
    headerDiameterMm: 90,
    slotLengthMm: 60,
  }
  const variants: Readonly<Record<string, Partial<Joint>>> = {
    plain: {},
    'capped and backed': { reinforcementMm: 1.5, backWeldMm: 1, backing: true, thicknessAMm: 16 },
  }

  it.each(Object.keys(variants))(
    'of every kind is the one that was looked at and found right: %s',
    async (name) => {
      const drawn = JOINT_KINDS.flatMap((kind) => {
        const one = joint({ ...base, ...variants[name], kind })
        const { shapes, dimensions } = crossSection(one, assumptions)
        return [
          `${kind}: ${dimensions.map((d) => `${d.name} ${Math.hypot(d.to[0] - d.from[0], d.to[1] - d.from[1]).toFixed(3)} at ${d.from.map((v) => v.toFixed(3)).join(',')}${d.inPlace ? ' in place' : ''}`).join('; ')}`,
          ...shapes.map(lineOf),
        ]
      })
      await expect(`${drawn.join('\n')}\n`).toMatchFileSnapshot(
        `./golden/sections-${name.replaceAll(' ', '-')}.txt`,
      )
    },
  )

  it('gives every dimension the figure that it stands for', () => {
    const lengths = (kind: Joint['kind'], part: Partial<Joint> = {}) =>
      Object.fromEntries(
        crossSection(joint({ ...base, reinforcementMm: 1.5, kind, ...part }), assumptions).dimensions.map(
          (d) => [d.name, Math.hypot(d.to[0] - d.from[0], d.to[1] - d.from[1])],
        ),
      )
    const parts = { 'part A': 10, 'part B': 14 }
    // The throat of unequal legs is the height of a right triangle over its hypotenuse.
    const fillet = { 'leg A': 6, 'leg B': 9, throat: expect.closeTo((6 * 9) / Math.hypot(6, 9), 9) }
    expect(lengths('tee')).toEqual({ ...parts, ...fillet })
    expect(lengths('lap')).toEqual({ ...parts, ...fillet })
    expect(lengths('outside-corner')).toEqual({ ...parts, leg: 6 })
    expect(lengths('square')).toEqual({ ...parts, gap: 3, cap: expect.closeTo(1.5, 9) })
    const face = 3 + 2 * 8 * Math.tan((25 * Math.PI) / 180)
    expect(lengths('v')).toEqual({
      ...parts,
      gap: 3,
      'root face': 2,
      cap: 1.5,
      'face width': expect.closeTo(face, 9),
    })
    expect(lengths('flare-bevel', { legMm: 12 })).toEqual({ fill: 12, round: 44 })
    expect(lengths('plug')).toEqual({ hole: 44, ...parts })
    expect(lengths('edge')).toMatchObject({ ...parts, cap: 1.5 })
  })
})

describe('weld metal tables, lb/ft of steel without cap (from memory)', () => {
  const perFoot = (one: Joint) => (weldAreaMm2(one, r) * 304.8 * 7.85e-3) / 453.59237
  const inch = 25.4
  it.each([
    // 60° single V, 1/8 in gap, no root face: t·g + t²·tan 30°, times 3.40 lb/ft per in².
    ['v', 3 / 8, 60, 0.435],
    ['v', 1 / 2, 60, 0.704],
    ['v', 3 / 4, 60, 1.424],
    // 45° single bevel, 1/8 in gap: t·g + t²/2.
    ['bevel', 1 / 2, 45, 0.638],
    // 60° double V, 1/8 in gap: t·g + t²/2·tan 30°.
    ['double-v', 3 / 4, 60, 0.871],
  ] as const)('%s of %f in at %f°: %f', (kind, tIn, angle, pounds) => {
    const one = joint({
      kind,
      thicknessAMm: tIn * inch,
      thicknessBMm: tIn * inch,
      rootGapMm: inch / 8,
      includedAngleDeg: angle,
    })
    expect(Math.abs(perFoot(one) / pounds - 1)).toBeLessThan(0.01)
  })

  it('a flare V filled flush is R²·(2 − π/2)', () => {
    expect(weldAreaMm2(joint({ kind: 'flare-v', legMm: null, diameterMm: 50 }), r)).toBeCloseTo(
      625 * (2 - Math.PI / 2),
      6,
    )
  })

  it('a double V takes less metal than a single one, a U less than a V in thick plate', () => {
    const area = (kind: Joint['kind'], angle: number) =>
      weldAreaMm2(
        joint({
          kind,
          thicknessAMm: 40,
          thicknessBMm: 40,
          includedAngleDeg: angle,
          rootGapMm: 2,
          rootFaceMm: 2,
          rootRadiusMm: 6,
        }),
        r,
      )
    expect(area('double-v', 60)).toBeLessThan(area('v', 60))
    expect(area('u', 20)).toBeLessThan(area('v', 60))
    expect(area('j', 20)).toBeLessThan(area('bevel', 45))
  })
})

describe('how far a weld runs', () => {
  it('a branch much smaller than its header meets it almost in a circle', () => {
    expect(saddleLengthMm(5, 500)).toBeCloseTo(2 * Math.PI * 5, 2)
  })
  it('a branch as large as its header meets it in two ellipses at 45°', () => {
    // Two half ellipses with axes r and r·√2: their perimeter by Ramanujan's second formula.
    const [a, b] = [Math.SQRT2, 1]
    const h = ((a - b) / (a + b)) ** 2
    const ellipse = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)))
    expect(saddleLengthMm(100, 100) / (100 * ellipse)).toBeCloseTo(1, 3)
  })
  it('round a tube: circle of the fillet’s middle (Pappus), mean circle of a girth seam', () => {
    const flange = joint({ around: true, diameterMm: 60, legMm: 6 })
    expect(weldRunMm(flange, segmentsOf(flange, r), r)).toBeCloseTo(Math.PI * 64, 9)
    const girth = joint({
      kind: 'v',
      around: true,
      diameterMm: 60,
      thicknessAMm: 4,
      thicknessBMm: 4,
      includedAngleDeg: 60,
    })
    expect(weldRunMm(girth, segmentsOf(girth, r), r)).toBeCloseTo(Math.PI * 56, 9)
  })
  it.each([
    ['intermittent', 600, 50, 150, 4],
    ['intermittent', 500, 50, 150, 4],
    ['intermittent', 499, 50, 150, 3],
    ['intermittent', 30, 50, 150, 1],
    ['staggered', 600, 50, 150, 8],
  ] as const)(
    '%s over %f mm, %f every %f: %i segments',
    (pattern, lengthMm, segmentMm, pitchMm, segments) => {
      const one = joint({ pattern, lengthMm, segmentMm, pitchMm })
      expect(segmentsOf(one, r)).toBe(segments)
      expect(weldRunMm(one, segmentsOf(one, r), r)).toBe(segments * segmentMm)
    },
  )
  it('a plug is run round its edge, a slot along both sides and round both ends', () => {
    const runOf = (one: Joint) => weldRunMm(one, segmentsOf(one, r), r)
    expect(runOf(joint({ kind: 'plug', diameterMm: 20 }))).toBeCloseTo(Math.PI * 20, 9)
    const slot = joint({ kind: 'slot', diameterMm: 20, slotLengthMm: 50 })
    expect(runOf(slot)).toBeCloseTo(2 * 30 + Math.PI * 20, 9)
    // A slot as long as it is wide is a hole.
    expect(runOf({ ...slot, slotLengthMm: null })).toBeCloseTo(Math.PI * 20, 9)
  })
  it('a saddle follows the branch on its header', () => {
    const saddle = joint({ kind: 'saddle', diameterMm: 40, headerDiameterMm: 4000, lengthMm: 999 })
    expect(weldRunMm(saddle, 1, r)).toBeCloseTo(Math.PI * 40, 1)
  })
  it('what has no tube, no pitch or no segment is as long as it says', () => {
    const line = (part: Partial<Joint>) => weldRunMm(joint({ lengthMm: 321, ...part }), 1, r)
    expect(line({})).toBe(321)
    expect(line({ around: true, diameterMm: null })).toBe(321)
    expect(line({ diameterMm: 50 })).toBe(321)
    expect(line({ pattern: 'intermittent', segmentMm: 50, pitchMm: null })).toBe(321)
    expect(line({ pattern: 'intermittent', segmentMm: null, pitchMm: 100 })).toBe(321)
    expect(line({ segmentMm: 50, pitchMm: 100 })).toBe(321)
    for (const part of [{ segmentMm: 50 }, { pitchMm: 100 }, { segmentMm: 50, pitchMm: 100 }])
      expect(segmentsOf(joint({ lengthMm: 321, ...part }), r)).toBe(1)
    const half = joint({ lengthMm: 321, pattern: 'intermittent', segmentMm: 50 })
    expect(segmentsOf(half, r)).toBe(1)
    const round = joint({ around: true, diameterMm: 60, pattern: 'intermittent', segmentMm: 5, pitchMm: 10 })
    expect(segmentsOf(round, r)).toBe(1)
  })
  it('a plug without a hole has no run of its own', () => {
    expect(weldRunMm(joint({ kind: 'plug', diameterMm: null, lengthMm: 77 }), 1, r)).toBe(77)
    expect(weldRunMm(joint({ kind: 'slot', diameterMm: null, lengthMm: 77 }), 1, r)).toBe(77)
    expect(
      weldRunMm(joint({ kind: 'saddle', diameterMm: null, headerDiameterMm: 90, lengthMm: 77 }), 1, r),
    ).toBe(77)
    expect(
      weldRunMm(joint({ kind: 'saddle', diameterMm: 40, headerDiameterMm: null, lengthMm: 77 }), 1, r),
    ).toBe(77)
  })
  it('a plug fills its hole', () => {
    expect(weldVolumeMm3(joint({ kind: 'plug', diameterMm: 20, thicknessAMm: 5 }), 0, r)).toBeCloseTo(
      Math.PI * 100 * 5,
      9,
    )
    const slot = joint({ kind: 'slot', diameterMm: 20, slotLengthMm: 50, thicknessAMm: 5 })
    expect(weldVolumeMm3(slot, 0, r)).toBeCloseTo((Math.PI * 100 + 20 * 30) * 5, 9)
  })
})
