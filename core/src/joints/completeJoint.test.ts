/** What a weld of each kind gets where nothing is said, keeps where something is, and loses where it has no use for it. */
import { describe, expect, it } from 'vitest'
import type { Joint } from '../kinds/job.ts'
import { joint } from '../testing/samples.ts'
import { completeJoint } from './completeJoint.ts'
import { newJob, newJoint } from './newJoint.ts'

const thick = { thicknessAMm: 10, thicknessBMm: 16 } as const
/** Says something of everything. */
const FULL: Partial<Joint> = {
  ...thick,
  legMm: 5,
  legBMm: 7,
  bothSides: true,
  penetration: 'partial',
  rootGapMm: 2,
  rootFaceMm: 1.5,
  includedAngleDeg: 70,
  rootRadiusMm: 4,
  reinforcementMm: 3,
  backWeldMm: 2.5,
  diameterMm: 60,
  headerDiameterMm: 114,
  slotLengthMm: 80,
}
const NOTHING: Partial<Joint> = { ...thick, legMm: null, legBMm: null }
const made = (kind: Joint['kind'], part: Partial<Joint> = NOTHING, isNewKind = false): Joint =>
  completeJoint(joint({ ...part, kind }), isNewKind)

describe('a weld of which nothing is said', () => {
  // Angles as in the prequalified grooves of AWS D1.1, figure 5.1 (from memory): 60 for a V, 45 for a bevel, 20 for a U or J.
  it.each([
    ['v', 60],
    ['double-v', 60],
    ['bevel', 45],
    ['double-bevel', 45],
    ['u', 20],
    ['j', 20],
    ['square', null],
    ['tee', null],
    ['flare-v', null],
  ] as const)('as a %s is cut at %s degrees', (kind, angle) => {
    expect(made(kind).includedAngleDeg).toBe(angle)
  })

  it.each(['tee', 'lap', 'inside-corner', 'outside-corner', 'saddle'] as const)(
    'as a %s has a leg as long as the thinner part is thick (common practice, no source)',
    (kind) => {
      expect(made(kind).legMm).toBe(10)
      expect(made(kind, { ...NOTHING, thicknessAMm: 16, thicknessBMm: 8 }).legMm).toBe(8)
    },
  )
  it.each(['v', 'square', 'plug', 'edge', 'flare-v', 'flare-bevel'] as const)('as a %s has none', (kind) => {
    expect(made(kind).legMm).toBeNull()
  })

  it.each([
    ['plug', 12.7],
    ['slot', 12.7],
    ['flare-v', 50.8],
    ['flare-bevel', 50.8],
    ['saddle', 50.8],
    ['tee', null],
    ['v', null],
  ] as const)('as a %s has a diameter of %s mm', (kind, diameter) => {
    expect(made(kind).diameterMm).toBe(diameter)
  })
  it('around is that of a usual tube, or of one that its wall goes into twice over', () => {
    expect(made('tee', { ...NOTHING, around: true }).diameterMm).toBe(50.8)
    expect(made('tee', { ...NOTHING, around: true, thicknessAMm: 20 }).diameterMm).toBe(80)
    expect(made('flare-v', { ...NOTHING, thicknessAMm: 20 }).diameterMm).toBe(50.8)
  })

  it('as a saddle sits on a header half as large again, as a slot is three times as long as wide', () => {
    expect(made('saddle').headerDiameterMm).toBeCloseTo(76.2)
    expect(made('saddle', { ...NOTHING, diameterMm: 40 }).headerDiameterMm).toBeCloseTo(60)
    expect(made('slot').slotLengthMm).toBeCloseTo(38.1)
    expect(made('slot', { ...NOTHING, diameterMm: 20 }).slotLengthMm).toBeCloseTo(60)
    expect([made('plug').slotLengthMm, made('plug').headerDiameterMm]).toEqual([null, null])
  })

  it('as an edge is built up by half the thinner part', () => {
    expect([made('edge').reinforcementMm, made('v').reinforcementMm]).toEqual([5, 0])
  })

  it.each(['u', 'j'] as const)('as a %s has a radius of 6 mm, or of half a shallow groove', (kind) => {
    const radius = (thickness: number, rootFaceMm: number): number =>
      made(kind, { ...NOTHING, thicknessAMm: thickness, thicknessBMm: thickness, rootFaceMm }).rootRadiusMm
    expect([radius(20, 2), radius(10, 2)]).toEqual([6, 4])
    // A face as deep as the part leaves no groove: that is told elsewhere, and here it is still a radius.
    expect(radius(6, 6)).toBeGreaterThan(0)
    expect(made('v').rootRadiusMm).toBe(0)
  })

  it('of partial penetration leaves a quarter of the thinner part, and any other none', () => {
    const face = (kind: Joint['kind'], part: Partial<Joint>): number =>
      made(kind, { ...NOTHING, ...part }).rootFaceMm
    expect(face('v', { penetration: 'partial' })).toBe(2.5)
    expect(face('v', { penetration: 'partial', rootFaceMm: 4 })).toBe(4)
    expect(face('v', { penetration: 'complete' })).toBe(0)
    expect(face('square', { penetration: 'partial', rootFaceMm: 4 })).toBe(0)
  })
})

describe('a weld of which everything is said', () => {
  const DROPPED = {
    legMm: null,
    legBMm: null,
    bothSides: false,
    penetration: 'as-prepared',
    rootGapMm: 0,
    rootFaceMm: 0,
    includedAngleDeg: null,
    rootRadiusMm: 0,
    reinforcementMm: 0,
    backWeldMm: 0,
    diameterMm: null,
    headerDiameterMm: null,
    slotLengthMm: null,
  } as const
  const GROOVE = [
    'penetration',
    'rootGapMm',
    'rootFaceMm',
    'includedAngleDeg',
    'reinforcementMm',
    'backWeldMm',
  ] as const
  it.each([
    ['tee', ['legMm', 'legBMm', 'bothSides']],
    ['lap', ['legMm', 'legBMm', 'bothSides']],
    ['saddle', ['legMm', 'legBMm', 'bothSides', 'diameterMm', 'headerDiameterMm']],
    ['square', ['penetration', 'rootGapMm', 'reinforcementMm', 'backWeldMm']],
    ['v', GROOVE],
    ['double-v', GROOVE],
    ['bevel', GROOVE],
    ['double-bevel', GROOVE],
    ['u', [...GROOVE, 'rootRadiusMm']],
    ['j', [...GROOVE, 'rootRadiusMm']],
    ['flare-v', ['legMm', 'rootGapMm', 'reinforcementMm', 'diameterMm']],
    ['flare-bevel', ['legMm', 'rootGapMm', 'reinforcementMm', 'diameterMm']],
    ['edge', ['reinforcementMm']],
    ['plug', ['diameterMm']],
    ['slot', ['diameterMm', 'slotLengthMm']],
  ] as const)('as a %s keeps %j, and nothing else of it', (kind, kept: readonly (keyof typeof DROPPED)[]) => {
    const whole = Object.fromEntries(kept.map((key) => [key, FULL[key]]))
    expect(made(kind, FULL)).toEqual(joint({ ...FULL, kind, ...DROPPED, ...whole }))
  })

  it('keeps its diameter where it goes around', () => {
    expect(made('tee', { ...FULL, around: true }).diameterMm).toBe(60)
    expect(made('tee', FULL).bothSides).toBe(true)
    expect(made('tee', { ...FULL, bothSides: false }).bothSides).toBe(false)
  })
})

describe('a weld that has just become of another kind', () => {
  it('does not take the angle of a V for that of a bevel: one side cut to 90 degrees would be no groove', () => {
    const wide = { ...FULL, includedAngleDeg: 90 }
    expect(made('bevel', wide, true).includedAngleDeg).toBe(45)
    expect(made('double-bevel', wide, true).includedAngleDeg).toBe(45)
    expect(made('j', wide, true).includedAngleDeg).toBe(45)
    expect(made('v', wide, true).includedAngleDeg).toBe(90)
    expect(made('bevel', wide).includedAngleDeg).toBe(90)
    expect(made('bevel', { ...FULL, includedAngleDeg: 89 }, true).includedAngleDeg).toBe(89)
  })

  it('does not take a hole for a tube: a wall as thick as the radius is a bar', () => {
    const diameter = (kind: Joint['kind'], diameterMm: number, isNewKind: boolean): number | null =>
      made(kind, { ...NOTHING, diameterMm }, isNewKind).diameterMm
    expect(diameter('saddle', 20, true)).toBe(50.8)
    expect(diameter('saddle', 20.1, true)).toBe(20.1)
    expect(diameter('saddle', 20, false)).toBe(20)
    expect(diameter('plug', 12, true)).toBe(12)
    expect(made('saddle', NOTHING, true).diameterMm).toBe(50.8)
  })
})

describe('a new weld', () => {
  it('is one fillet on a tee of 1/8 in, 6 in long, on one side of the plate', () => {
    expect(newJoint('w1')).toMatchObject({
      kind: 'tee',
      thicknessAMm: 25.4 / 8,
      legMm: 25.4 / 8,
      lengthMm: expect.closeTo(6 * 25.4, 6) as number,
      count: 1,
      bothSides: false,
      backing: false,
      purge: false,
      around: false,
      pattern: 'continuous',
    })
    expect(newJoint('w1', { kind: 'lap' }).kind).toBe('lap')
    // Everything that its kind needs is there already.
    expect(completeJoint(newJoint('w1'))).toEqual(newJoint('w1'))
  })
  it('is in a new job four times, indoors, of bare steel', () => {
    const job = newJob('gate', 'Gate')
    expect(job).toMatchObject({ id: 'gate', name: 'Gate', quantity: 1, place: 'indoors', anodised: false })
    expect(job.joints).toEqual([newJoint('w1', { count: 4 })])
    expect(newJob('gate', 'Gate', { quantity: 3 }).quantity).toBe(3)
  })
})
