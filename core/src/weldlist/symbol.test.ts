import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newJoint } from '../joints/newJoint.ts'
import { completeJoint } from '../joints/completeJoint.ts'
import type { Joint } from '../kinds/job.ts'
import { JOINT_KINDS } from '../model/jointKinds.ts'
import { applyChange } from './applyChange.ts'
import { readSymbolText, symbolText, weldSymbolOf } from './symbol.ts'

const INCH = { system: 'imperial', locale: 'en-US' } as const
const METRIC = { system: 'metric', locale: 'en-GB' } as const
const joint = (part: Partial<Joint>): Joint => completeJoint({ ...newJoint('w1', {}), ...part } as Joint)

describe('the symbol', () => {
  // AWS A2.4: size left of the mark, length and pitch right of it; ISO 2553: z before a leg, the gap in brackets. From memory.
  const stitch = joint({
    kind: 'tee',
    legMm: 4.7625,
    pattern: 'intermittent',
    segmentMm: 50.8,
    pitchMm: 152.4,
  })
  it('has size, length and pitch where AWS A2.4 puts them', () => {
    expect(weldSymbolOf(stitch, INCH, 'aws-a2.4')).toMatchObject({
      mark: 'fillet',
      size: '3/16',
      length: '2-6',
    })
  })
  it('has the leg with z and the gap in brackets by ISO 2553', () => {
    const metric = joint({ kind: 'tee', legMm: 5, pattern: 'intermittent', segmentMm: 50, pitchMm: 150 })
    expect(weldSymbolOf(metric, METRIC, 'iso-2553')).toMatchObject({ size: 'z5', length: '50 (100)' })
  })
  it('is on both sides of the line for a fillet on both sides and for double grooves', () => {
    expect(weldSymbolOf(joint({ kind: 'tee', bothSides: true }), INCH, 'aws-a2.4').isBothSides).toBe(true)
    expect(weldSymbolOf(joint({ kind: 'double-v' }), INCH, 'aws-a2.4').isBothSides).toBe(true)
    expect(weldSymbolOf(joint({ kind: 'v' }), INCH, 'aws-a2.4').isBothSides).toBe(false)
  })
  it('has angle and root opening at the mark of a groove, CJP and the process in the tail', () => {
    const groove = joint({ kind: 'v', includedAngleDeg: 60, rootGapMm: 3.175, penetration: 'complete' })
    expect(weldSymbolOf(groove, INCH, 'aws-a2.4', 'GMAW')).toMatchObject({
      mark: 'v',
      angle: '60°',
      rootOpening: '1/8',
      tail: 'CJP, GMAW',
    })
  })
  it('has a mark for every kind of joint, and is all around where the weld is', () => {
    for (const kind of JOINT_KINDS)
      expect(weldSymbolOf(joint({ kind, diameterMm: 48 }), INCH, 'aws-a2.4').mark).not.toBe('')
    expect(
      weldSymbolOf(joint({ kind: 'tee', around: true, diameterMm: 48 }), INCH, 'aws-a2.4').isAllAround,
    ).toBe(true)
  })
})

describe('its text', () => {
  it('is what somebody would type, and reads back', () => {
    const read = readSymbolText('T; 3/16 both sides; 2-6', joint({ kind: 'lap' }), INCH)
    expect(read).toMatchObject({
      ok: true,
      change: {
        kind: 'tee',
        legMm: expect.closeTo(4.7625, 6),
        bothSides: true,
        segmentMm: expect.closeTo(50.8, 6),
      },
    })
  })
  it('names what it did not understand', () => {
    expect(readSymbolText('T; banana', joint({}), INCH)).toMatchObject({ ok: false })
    expect(readSymbolText(' ', joint({}), INCH)).toMatchObject({
      ok: false,
      message: expect.stringContaining('3/16'),
    })
  })
  it('brings back joint, size and pattern of any fillet', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('tee', 'lap', 'inside-corner' as const),
        fc.integer({ min: 2, max: 12 }),
        fc.boolean(),
        fc.boolean(),
        (kind, sixteenths, bothSides, isStitched) => {
          const one = joint({
            kind: kind as Joint['kind'],
            thicknessAMm: 20,
            thicknessBMm: 20,
            legMm: (sixteenths * 25.4) / 16,
            bothSides,
            ...(isStitched ? { pattern: 'intermittent', segmentMm: 50.8, pitchMm: 152.4 } : {}),
          })
          const read = readSymbolText(
            symbolText(one, INCH),
            joint({ kind: 'lap', thicknessAMm: 20, thicknessBMm: 20 }),
            INCH,
          )
          if (!read.ok) throw new Error(read.message)
          const back = applyChange(joint({ kind: 'lap', thicknessAMm: 20, thicknessBMm: 20 }), read.change)
          if (!back.ok) throw new Error(back.message)
          expect(back.joint.kind).toBe(one.kind)
          expect(back.joint.legMm).toBeCloseTo(one.legMm ?? 0, 6)
          expect(back.joint.bothSides).toBe(bothSides)
          expect(back.joint.pattern).toBe(one.pattern)
        },
      ),
    )
  })
})
