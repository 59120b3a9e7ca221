/** The margin policy, and which criteria are asked once a set-up. */
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { commonPractice } from '../basis/source.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { sampleCapability } from '../testing/equipment.ts'
import { demoSides } from '../testing/pairs.ts'
import { marginWithin, measured, verdictOf } from './criterion.ts'
import { CRITERIA } from './index.ts'

const reckoner = reckonerFor(assumptionsOf({ assumptions: { safetyMarginPct: 10 } }))

describe('the margin policy', () => {
  it.each([
    [-0.1, 'fails'],
    [0, 'tight'],
    [9.9, 'tight'],
    [10, 'fits'],
    [-1e-9, 'tight'],
  ])('a rating with %f %% of room is %s', (margin, verdict) => {
    expect(verdictOf({ reckoner }, margin, false)).toBe(verdict)
  })

  it('a limit of a rule may be met exactly', () => {
    expect(verdictOf({ reckoner }, 0, true)).toBe('fits')
    expect(verdictOf({ reckoner }, -0.1, true)).toBe('fails')
  })

  it('room is measured to the nearer end of a range', () => {
    expect(marginWithin({ reckoner }, 100, 150, 0, 'A')).toBeCloseTo(50, 9)
    expect(marginWithin({ reckoner }, 100, 150, 80, 'A')).toBeCloseTo(25, 9)
    expect(marginWithin({ reckoner }, 10, 0, 0, 'A')).toBe(-100)
  })

  it('nothing asked leaves all the room there is', () => {
    expect(marginWithin({ reckoner }, 0, 5, 0, 'A')).toBe(999)
  })

  it('an assessment carries its figures as plain data', () => {
    const made = measured(sampleCapability(), 'x', {
      demand: 95,
      capacity: 100,
      unit: 'A',
      source: commonPractice(),
    })
    expect(made).toMatchObject({ verdict: 'tight', code: 'measured', capacityLow: null, unit: 'A' })
    expect(structuredClone(made)).toEqual(made)
  })
})

describe('a criterion of the set-up', () => {
  it('answers the same for every job', () => {
    for (const { capability, demand } of demoSides())
      for (const criterion of CRITERIA.filter(({ isOfSetUp }) => isOfSetUp === true))
        expect(criterion.assess(capability, demand)).toEqual(criterion.assess(capability, null))
  })

  it('every criterion names its weld where one decides', () => {
    for (const { capability, demand } of demoSides()) {
      const ids = demand.welds.map(({ joint }) => joint.id)
      for (const { assess } of CRITERIA) {
        const weldId = assess(capability, demand)?.weldId ?? null
        if (weldId !== null) expect(ids).toContain(weldId)
      }
    }
  })
})
