/** Figures of a weld that contradict each other: said, and reckoned with what can be. Geometry; no source. */
import { describe, expect, it } from 'vitest'
import { demandOf } from '../demand/demand.ts'
import { applyChange } from '../weldlist/applyChange.ts'
import { demoShop, joint } from '../testing/samples.ts'
import { settleJob, settleJoint } from './contradictions.ts'
import { type Joint, jointSchema } from '../kinds/job.ts'
import { readDocument } from '../model/problems.ts'

const TUBE = { around: true, diameterMm: 20 }
const SADDLE = { kind: 'saddle', diameterMm: 60, headerDiameterMm: 40, thicknessAMm: 3 } as const

const CJP = { penetration: 'complete' } as const

/** Both parts are 6.35 mm thick and the leg is 5 mm where nothing else is said. */
const CASES: readonly (readonly [Partial<Joint>, string, Partial<Joint>])[] = [
  [{ kind: 'lap', legMm: 9 }, 'leg-over-edge', { legMm: 6.35 }],
  [{ kind: 'lap', legMm: 4.7625, thicknessAMm: 3.03784 }, 'leg-over-edge', { legMm: 3.03784 }],
  [{ kind: 'outside-corner', legMm: 9, thicknessBMm: 4 }, 'leg-over-corner', { legMm: 4 }],
  [{ kind: 'flare-bevel', diameterMm: 10, legMm: 8 }, 'leg-over-flare', { legMm: 5 }],
  [{ kind: 'v', includedAngleDeg: 60, rootFaceMm: 6.35 }, 'face-over-part', { rootFaceMm: 0 }],
  [
    { kind: 'u', includedAngleDeg: 20, rootFaceMm: 2, rootRadiusMm: 8 },
    'radius-over-groove',
    { rootRadiusMm: 4.35 },
  ],
  [{ ...TUBE, thicknessAMm: 10 }, 'wall-over-radius', { thicknessAMm: 9.5 }],
  [SADDLE, 'branch-over-header', { diameterMm: 40 }],
  [{ kind: 'slot', diameterMm: 20, slotLengthMm: 10 }, 'slot-under-width', { slotLengthMm: 20 }],
  [
    { kind: 'j', includedAngleDeg: 20, rootFaceMm: 2, rootRadiusMm: 8 },
    'radius-over-groove',
    { rootRadiusMm: 4.35 },
  ],
  [{ kind: 'flare-v', diameterMm: 10, legMm: 8 }, 'leg-over-flare', { legMm: 5 }],
  [
    { kind: 'saddle', diameterMm: 20, headerDiameterMm: 40, thicknessAMm: 10 },
    'wall-over-radius',
    { thicknessAMm: 9.5 },
  ],
  [{ legMm: 5, passes: 26 }, 'passes-too-thin', { passes: 25 }],
  [{ legMm: 1.2, passes: 2 }, 'passes-too-thin', { passes: 1 }],
  // AWS D1.1, prequalified CJP joints B-L1 and B-U2 (from memory): root face to 1/8 in; R = T/2 of a square edge.
  [{ ...CJP, kind: 'v', includedAngleDeg: 60, rootGapMm: 3, rootFaceMm: 5 }, 'cjp-face', { rootFaceMm: 3.2 }],
  [{ ...CJP, kind: 'v', includedAngleDeg: 60 }, 'cjp-closed', { rootGapMm: 1.6 }],
  [{ ...CJP, kind: 'square', rootGapMm: 1 }, 'cjp-closed', { rootGapMm: 3.175 }],
]
const near = (part: Partial<Joint>) =>
  Object.fromEntries(
    Object.entries(part).map(([key, value]) => [
      key,
      typeof value === 'number' ? expect.closeTo(value, 6) : value,
    ]),
  )

describe('a weld that contradicts itself', () => {
  it.each(CASES)('%j', (part, code, meanwhile) => {
    const written = joint({ legMm: 5, ...part })
    expect(readDocument(jointSchema, written)).toMatchObject({ ok: true })
    const settled = settleJoint(written)
    expect(settled.contradictions.map((one) => one.code)).toEqual([code])
    expect(settled.joint).toMatchObject(near(meanwhile))
    // What it is reckoned with does not contradict itself.
    expect(settleJoint(settled.joint).contradictions).toEqual([])
  })

  it.each([
    { kind: 'lap', legMm: 6.35 },
    // 11 ga is 0.1196 in, and everybody calls its fillet 1/8 in (common practice, no source).
    { kind: 'lap', legMm: 3.175, thicknessAMm: 0.1196 * 25.4 },
    { kind: 'outside-corner', legMm: 3.175, thicknessAMm: 0.1196 * 25.4 },
    { kind: 'outside-corner', legMm: 6.35 },
    { kind: 'tee', legMm: 9 },
    { kind: 'flare-bevel', diameterMm: 10, legMm: 5 },
    { kind: 'v', includedAngleDeg: 60, rootFaceMm: 6.3 },
    { kind: 'square', rootFaceMm: 9 },
    { ...TUBE, thicknessAMm: 9.9 },
    { kind: 'saddle', diameterMm: 40, headerDiameterMm: 40 },
    { kind: 'slot', diameterMm: 20, slotLengthMm: 20 },
    { legMm: 5, passes: 25 },
    { legMm: 0.8, passes: 1 },
    { legMm: null, passes: 9 },
    { legMm: 0.8, passes: null },
    // Nothing is known that it could contradict.
    { kind: 'saddle', diameterMm: null, headerDiameterMm: 40 },
    { kind: 'saddle', diameterMm: 60, headerDiameterMm: null },
    { around: true, diameterMm: null, thicknessAMm: 90 },
    { kind: 'flare-v', diameterMm: null, legMm: 8 },
    { kind: 'flare-bevel', diameterMm: 10, legMm: null },
    { kind: 'slot', diameterMm: null, slotLengthMm: 10 },
    { kind: 'slot', diameterMm: 20, slotLengthMm: null },
    { kind: 'lap', legMm: null },
    // Of another kind of weld it is no contradiction.
    { kind: 'tee', diameterMm: 60, headerDiameterMm: 40 },
    { kind: 'tee', diameterMm: 10, thicknessAMm: 10 },
    { kind: 'plug', diameterMm: 20, slotLengthMm: 10 },
    { kind: 'tee', diameterMm: 10, legMm: 8 },
    { kind: 'v', includedAngleDeg: 60, rootRadiusMm: 8 },
    { ...CJP, kind: 'square', thicknessAMm: 3.2, thicknessBMm: 3.2 },
    { ...CJP, kind: 'square', rootGapMm: 3.175 },
    { ...CJP, kind: 'v', includedAngleDeg: 60, rootGapMm: 2.4, rootFaceMm: 1.6 },
    { ...CJP, kind: 'v', includedAngleDeg: 45, backing: true },
    { ...CJP, kind: 'bevel', includedAngleDeg: 45, rootFaceMm: 4, backWeldMm: 1.5 },
    { ...CJP, kind: 'double-v', includedAngleDeg: 60 },
    // Thin edges melt through shut (common practice, no source).
    { ...CJP, kind: 'square', thicknessAMm: 3, thicknessBMm: 3 },
    { kind: 'square', rootGapMm: 0 },
    { penetration: 'partial', kind: 'v', includedAngleDeg: 60, rootFaceMm: 4 },
  ] as const)('%j stands', (part) => {
    const written = joint(part)
    const settled = settleJoint(written)
    expect(settled.contradictions).toEqual([])
    expect(settled.joint).toBe(written)
  })

  it('may be typed in either order', () => {
    const lap = joint({ kind: 'lap', legMm: 3, thicknessAMm: 3, thicknessBMm: 3 })
    const bothWays = [
      [{ legMm: 6 }, { thicknessAMm: 6 }],
      [{ thicknessAMm: 6 }, { legMm: 6 }],
    ].map((changes) =>
      changes.reduce((weld, change) => {
        const next = applyChange(weld, change)
        if (!next.ok) throw new Error(next.message)
        return next.joint
      }, lap),
    )
    expect(bothWays[0]).toEqual(bothWays[1])
    expect(settleJoint(bothWays[0] as Joint).contradictions).toEqual([])
  })

  it('is named with its weld, and the rest of its job is as it was', () => {
    const [job] = demoShop().jobs
    if (!job) throw new Error('the demo has no job')
    expect(settleJob(job).job).toBe(job)
    const last = { ...joint({ kind: 'lap', legMm: 9 }), id: 'last' }
    const settled = settleJob({ ...job, joints: [...job.joints, last] })
    expect(settled.contradictions).toMatchObject([{ weldId: 'last', key: 'legMm', is: 9 }])
    expect(settled.job.joints.slice(0, -1)).toEqual(job.joints)
  })

  it('is reckoned to numbers, whatever contradicts', () => {
    const [job] = demoShop().jobs
    const shop = demoShop()
    const wire = shop.wires.find(({ form }) => form === 'solid') ?? null
    if (!job) throw new Error('the demo has no job')
    for (const [part] of CASES) {
      const demand = demandOf(
        { ...job, joints: [joint({ legMm: 5, ...part })] },
        'gmaw-short',
        wire,
        shop.shop,
      )
      expect(Number.isFinite(demand.hungriest.wantedA) && demand.hungriest.wantedA > 0).toBe(true)
      expect(demand.fillerG).toBeGreaterThan(0)
    }
  })
})
