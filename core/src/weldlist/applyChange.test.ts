import { JOINT_KINDS } from '../model/jointKinds.ts'
import { describe, expect, it } from 'vitest'
import { completeJoint } from '../joints/completeJoint.ts'
import { jointSchema } from '../kinds/job.ts'
import { readDocument } from '../model/problems.ts'
import { joint } from '../testing/samples.ts'
import { applyChange } from './applyChange.ts'

describe('a change of kind', () => {
  it.each(JOINT_KINDS)('from any other kind to %s gives a weld that stands', (kind) => {
    for (const from of JOINT_KINDS) {
      const before = completeJoint(joint({ kind: from }))
      expect(readDocument(jointSchema, before), from).toMatchObject({ ok: true })
      const after = applyChange(before, { kind })
      expect(after, `${from} to ${kind}`).toMatchObject({ ok: true })
    }
  })

  it('keeps what the new kind has use for', () => {
    const after = applyChange(joint({ kind: 'v', legMm: null, includedAngleDeg: 70, rootGapMm: 3 }), {
      kind: 'double-v',
    })
    expect(after).toMatchObject({ ok: true, joint: { includedAngleDeg: 70, rootGapMm: 3 } })
  })
})

it('a change that cannot stand is refused in words, and changes nothing', () => {
  const before = joint({ kind: 'v', legMm: null, includedAngleDeg: 60 })
  const after = applyChange(before, { rootFaceMm: -1 })
  expect(after.ok ? '' : after.message).toBe('The root face must be 0 mm or more.')
})

it('an angle that one side cannot have is refused, not replaced by a usual one', () => {
  const after = applyChange(joint({ kind: 'v', legMm: null, includedAngleDeg: 60 }), {
    kind: 'bevel',
    includedAngleDeg: 95,
  })
  expect(after.ok ? '' : after.message).toContain('A bevel is below 90, 45 is usual')
})
