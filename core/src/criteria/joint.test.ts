/** What a joint, its position and the hand ask of a process; common practice, no source, where nothing else is said. */
import { describe, expect, it } from 'vitest'
import type { FitInput } from '../fit/fit.ts'
import { fitJob } from '../fit/fit.ts'
import type { Wire } from '../kinds/equipment.ts'
import type { Joint } from '../kinds/job.ts'
import { demoInput } from '../testing/samples.ts'
import { sentenceOf, speechOf } from '../words/speech.ts'
import type { Assessment } from './criterion.ts'

const spray = demoInput('press-frame', 'bay-3-spray')
const fork = demoInput('loader-fork')
const frame = demoInput('press-frame', 'bay-2-wire')
const tray = demoInput('pressing-tray')

const withJoint = (input: FitInput, change: Partial<Joint>): FitInput => ({
  ...input,
  job: { ...input.job, joints: input.job.joints.map((one) => ({ ...one, ...change })) },
})
const withWire = (input: FitInput, change: Partial<Wire>): FitInput => {
  if (!input.wire) throw new Error('no wire')
  return { ...input, wire: { ...input.wire, ...change } }
}
const found = (input: FitInput, id: string): Assessment | undefined =>
  fitJob(input).criteria.find(({ criterion }) => criterion === id)
const verdict = (input: FitInput, id: string) => found(input, id)?.verdict ?? null
const mends = (input: FitInput, id: string) => fitJob(input).mends[id] ?? []
const said = (input: FitInput, id: string): string => {
  const one = found(input, id)
  return one ? sentenceOf(speechOf(input.shop), one) : ''
}
const plate = (thicknessMm: number, part: Partial<Joint> = {}): Partial<Joint> => ({
  thicknessAMm: thicknessMm,
  thicknessBMm: thicknessMm,
  legMm: Math.min(thicknessMm, 4.7625),
  ...part,
})

describe('spray of steel', () => {
  it('falls through an open root: a bar behind it, or no gap, holds it (common practice, no source)', () => {
    const groove = { ...plate(12.7), kind: 'v' as const, legMm: null, rootFaceMm: 1.5875 }
    const open = withJoint(spray, { ...groove, rootGapMm: 2.38125 })
    expect(verdict(open, 'spray-transition')).toBe('tight')
    expect(said(open, 'spray-transition')).toContain('3/32 in')
    expect(mends(open, 'spray-transition').map(({ code }) => code)).toEqual([
      'back-it',
      'root-by-short-circuit',
    ])
    expect(mends(open, 'spray-transition')[0]?.patch).toMatchObject({
      on: 'joint',
      change: { backing: true },
    })
    expect(
      verdict(withJoint(spray, { ...groove, rootGapMm: 2.38125, backing: true }), 'spray-transition'),
    ).toBe('fits')
    expect(verdict(withJoint(spray, { ...groove, rootGapMm: 1.5875 }), 'spray-transition')).toBe('tight')
    expect(verdict(withJoint(spray, { ...groove, rootGapMm: 1.5 }), 'spray-transition')).toBe('fits')
    expect(verdict(withJoint(spray, { ...plate(12.7), rootGapMm: 2.38125 }), 'spray-transition')).toBe('fits')
  })
  it('is hotter than thin plate wants, and burns through thinner still', () => {
    expect(verdict(withJoint(spray, plate(9.525)), 'spray-transition')).toBe('fits')
    expect(verdict(withJoint(spray, plate(4.7625)), 'spray-transition')).toBe('tight')
    expect(verdict(withJoint(spray, plate(2)), 'spray-transition')).toBe('fails')
    expect(said(withJoint(spray, plate(2)), 'spray-transition')).toContain('220 A')
    expect(mends(withJoint(spray, plate(2)), 'spray-transition')[0]?.code).toBe('short-circuit-or-pulse')
    expect(verdict(frame, 'spray-transition')).toBeNull()
  })

  it('speaks of the weld that is furthest below the transition', () => {
    const [one] = spray.job.joints
    if (!one) throw new Error('demo')
    const joints = [one, { ...one, ...plate(4), id: 'thin' }, { ...one, id: 'last' }]
    expect(found({ ...spray, job: { ...spray.job, joints } }, 'spray-transition')?.weldId).toBe('thin')
  })

  it('runs out of all but flat joints and horizontal fillets; pulsed it holds, and aluminium sprays anywhere', () => {
    const at = (position: Joint['position'], part: Partial<Joint> = {}) =>
      verdict(withJoint(spray, { position, ...part }), 'spray-position')
    expect(at('flat')).toBe('fits')
    expect(at('horizontal')).toBe('fits')
    expect(at('horizontal', { kind: 'square' })).toBe('fails')
    expect(at('flat', { kind: 'square' })).toBe('fits')
    for (const position of ['vertical-up', 'vertical-down', 'overhead'] as const)
      expect(at(position)).toBe('fails')
    const aluminium = { materialA: 'aluminium-6061', materialB: 'aluminium-6061' } as const
    expect(at('overhead', aluminium)).toBe('fits')
    const overhead = withJoint(spray, { position: 'overhead' })
    const [mend] = mends(overhead, 'spray-position')
    expect(mend).toMatchObject({
      code: 'pulse-it',
      patch: { on: 'set-up', change: { process: 'gmaw-pulse' } },
    })
    expect(
      verdict({ ...overhead, setUp: { ...overhead.setUp, process: 'gmaw-pulse' } }, 'spray-position'),
    ).toBeNull()
  })

  it('a plate without pulse has no pulse', () => {
    const pulsed = (input: FitInput): FitInput => ({
      ...input,
      setUp: { ...input.setUp, process: 'gmaw-pulse' },
    })
    expect(verdict(pulsed(spray), 'rated-for-process')).toBe('fits')
    expect(verdict(pulsed(frame), 'rated-for-process')).toBe('fails')
    expect(said(pulsed(frame), 'rated-for-process')).toContain('has no pulse')
    const overhead = withJoint(
      { ...frame, setUp: { ...frame.setUp, process: 'gmaw-spray' } },
      { position: 'overhead' },
    )
    expect(mends(overhead, 'spray-position')[0]?.code).toBe('short-circuit-or-pulse')
  })
})

describe('a square joint', () => {
  const square = (input: FitInput, thicknessMm: number, part: Partial<Joint> = {}) =>
    withJoint(input, plate(thicknessMm, { kind: 'square', legMm: null, ...part }))

  it('is reached through up to 3/16 in by wire, 1/8 by TIG, twice that from both sides', () => {
    expect(verdict(square(frame, 4.7625), 'square-depth')).toBe('fits')
    expect(verdict(square(frame, 6.35), 'square-depth')).toBe('tight')
    expect(verdict(square(frame, 9.6), 'square-depth')).toBe('fails')
    expect(verdict(square(tray, 3.175), 'square-depth')).toBe('fits')
    expect(verdict(square(tray, 4), 'square-depth')).toBe('tight')
    expect(verdict(square(frame, 9.5, { backWeldMm: 1 }), 'square-depth')).toBe('fits')
    expect(verdict(frame, 'square-depth')).toBeNull()
  })

  it('asks for a bevel, and the bevel does', () => {
    const [mend] = mends(square(frame, 6.35), 'square-depth')
    if (mend?.patch?.on !== 'joint') throw new Error('no bevel')
    expect(mend.patch.change).toMatchObject({ kind: 'v', includedAngleDeg: 60, passes: null })
    expect(verdict(withJoint(square(frame, 6.35), mend.patch.change), 'square-depth')).toBeNull()
    expect(found(square(frame, 6.35), 'square-depth')?.weldId).toBe('upright')
  })
})

describe('travel by hand', () => {
  it('keeps up with a 3/16 fillet by short-circuit, and not with a small one on thick plate', () => {
    expect(verdict(frame, 'travel')).toBe('fits')
    expect(verdict(withJoint(frame, plate(9.525, { legMm: 2 })), 'travel')).toBe('tight')
    expect(said(withJoint(frame, plate(9.525, { legMm: 2 })), 'travel')).toContain('comes out too large')
    expect(mends(withJoint(frame, plate(9.525, { legMm: 2 })), 'travel')[0]?.code).toBe('larger-bead')
  })
  it('is faster on sheet, where 25 in/min are everyday', () => {
    const sheet = withJoint(frame, plate(1.9, { legMm: 1.9 }))
    expect(verdict(sheet, 'travel')).toBe('fits')
  })
  it('does not go slower than 4 in/min: a leg of 1/2 in in one pass piles up', () => {
    const heap = withJoint(frame, plate(12.7, { legMm: 12.7, passes: 1 }))
    expect(verdict(heap, 'travel')).toBe('tight')
    expect(said(heap, 'travel')).toContain('piles up')
    expect(mends(heap, 'travel')[0]?.code).toBe('more-beads')
  })
  it('is the hand’s own by TIG, and unknown to nobody without a wire', () => {
    expect(verdict(tray, 'travel')).toBeNull()
    expect(verdict({ ...frame, wire: null }, 'travel')).toBeNull()
  })
})

describe('cored wires, AWS A5.20 (from memory)', () => {
  it('-GS is for one pass on thin parts', () => {
    const gs = (part: Partial<Joint>) => withJoint(withWire(fork, { classification: 'E71T-GS' }), part)
    expect(verdict(gs(plate(3, { kind: 'tee' })), 'cored-class')).toBe('fits')
    expect(verdict(gs(plate(6.35, { kind: 'tee' })), 'cored-class')).toBe('fails')
    expect(said(gs(plate(3, { kind: 'tee', passes: 2 })), 'cored-class')).toContain('single pass')
    expect(verdict(gs(plate(3, { kind: 'tee', passes: 2 })), 'cored-class')).toBe('fails')
  })
  it('-11 is for several passes, up to 3/4 in', () => {
    expect(verdict(fork, 'cored-class')).toBe('fits')
    expect(verdict(withJoint(fork, plate(19.05, { legMm: null })), 'cored-class')).toBe('fits')
    expect(verdict(withJoint(fork, plate(22, { legMm: null })), 'cored-class')).toBe('tight')
  })
  it('others say nothing of it', () => {
    expect(verdict(withWire(fork, { classification: 'E71T-8' }), 'cored-class')).toBeNull()
    expect(verdict(frame, 'cored-class')).toBeNull()
  })
  it('out of position the range ends at three quarters', () => {
    // 0.045 self-shielded runs to 240 A: 180 A up.
    const up = (thicknessMm: number) =>
      withJoint(fork, plate(thicknessMm, { kind: 'tee', legMm: 6, position: 'vertical-up' }))
    expect(verdict(up(6.35), 'cored-position')).toBe('fits')
    expect(verdict(up(20), 'cored-position')).toBe('tight')
    expect(verdict(up(32), 'cored-position')).toBe('fails')
    expect(verdict(withJoint(up(20), { position: 'flat' }), 'cored-position')).toBeNull()
    expect(mends(up(20), 'cored-position')[0]?.code).toBe('thinner-cored-wire')
  })
})

describe('supply', () => {
  it('links that are set for another voltage are told before it is plugged in', () => {
    const set = (linksSetV: number | null, voltageV = 240, phases: 1 | 3 = 1): FitInput => ({
      ...frame,
      powerSource: { ...frame.powerSource, supplyChange: 'links' },
      circuit: { ...frame.circuit, voltageV, phases },
      setUp: { ...frame.setUp, linksSetV },
    })
    expect(said(set(460), 'supply-setting')).toContain('is set for 460 V. The supply is 240 V')
    expect(verdict(set(460), 'supply-setting')).toBe('fails')
    expect(verdict(set(230), 'supply-setting')).toBe('fits')
    expect(said(set(null), 'supply-setting')).toContain('then set its links')
    const automatic = {
      ...set(460),
      powerSource: { ...frame.powerSource, supplyChange: 'automatic' as const },
    }
    expect(verdict(automatic, 'supply-setting')).toBe('fits')
  })

  it('every process of the plate decides the cable: the circuit is not rewired for TIG (NEC 630.11)', () => {
    const plateOf = (i1EffA: number, gtawEffA: number): FitInput => ({
      ...frame,
      powerSource: {
        ...frame.powerSource,
        processes: frame.powerSource.processes
          .filter(({ family }) => family === 'gmaw' || family === 'gtaw')
          .map((one) => ({
            ...one,
            supplies: one.supplies.map((s) => ({ ...s, i1EffA: one.family === 'gtaw' ? gtawEffA : i1EffA })),
          })),
      },
    })
    expect(found(plateOf(20, 12), 'conductor-rule')).toMatchObject({ demand: 20, code: 'measured' })
    expect(found(plateOf(20, 31), 'conductor-rule')).toMatchObject({ demand: 31, code: 'other-process' })
    expect(said(plateOf(20, 31), 'conductor-rule')).toContain('For TIG this machine needs a cable for 31 A')
  })

  it('a breaker above twice I₁max is for a machine that protects itself; above twice the cable it is a fault (NEC 630.12)', () => {
    const hung = (breakerA: number, conductorSize: string): FitInput => ({
      ...frame,
      circuit: { ...frame.circuit, breakerA, conductorSize },
      powerSource: {
        ...frame.powerSource,
        processes: frame.powerSource.processes.map((one) => ({
          ...one,
          supplies: one.supplies.map((s) => ({ ...s, i1MaxA: 32, i1EffA: null })),
        })),
      },
    })
    expect(verdict(hung(70, '8 AWG'), 'breaker-rule')).toBe('fits')
    expect(verdict(hung(80, '8 AWG'), 'breaker-rule')).toBe('tight')
    expect(said(hung(80, '8 AWG'), 'breaker-rule')).toContain('overcurrent protection')
    expect(verdict(hung(110, '8 AWG'), 'breaker-rule')).toBe('fails')
  })

  it('208 V on a 230 V plate draws more: the power stays (P = U·I)', () => {
    const on = (voltageV: number) => {
      const plate230 = frame.powerSource.processes.map((one) => ({
        ...one,
        supplies: one.supplies.filter(({ voltageV: v }) => v === 240).map((s) => ({ ...s, voltageV: 230 })),
      }))
      const input = {
        ...frame,
        circuit: { ...frame.circuit, voltageV },
        powerSource: { ...frame.powerSource, processes: plate230 },
      }
      return found(input, 'breaker-holds')?.demand ?? Number.NaN
    }
    expect(on(208) / on(230)).toBeCloseTo(230 / 208, 6)
  })

  it('the nearest column of the plate is taken, not the first', () => {
    const [gmaw] = frame.powerSource.processes
    const [first] = gmaw?.supplies ?? []
    if (!gmaw || !first) throw new Error('demo')
    const supplies = [
      { ...first, voltageV: 208, outputMaxA: 111 },
      { ...first, voltageV: 230, outputMaxA: 222 },
    ]
    const input: FitInput = {
      ...frame,
      circuit: { ...frame.circuit, voltageV: 227 },
      powerSource: { ...frame.powerSource, processes: [{ ...gmaw, supplies }] },
    }
    expect(found(input, 'source-range')?.capacity).toBe(222)
    expect(found({ ...input, circuit: { ...frame.circuit, voltageV: 210 } }, 'source-range')?.capacity).toBe(
      111,
    )
  })

  it('NM cable carries what the 60 °C column says (NEC 334.80)', () => {
    const at = (columnC: 60 | 75) =>
      found({ ...frame, circuit: { ...frame.circuit, columnC } }, 'cable')?.capacity ?? Number.NaN
    expect([at(60), at(75)]).toEqual([55, 65])
  })
})

describe('gas', () => {
  it('helium wants twice the flow of argon, its mixes in between', () => {
    const manifold = demoInput('tank-manifold')
    const { gas } = manifold
    if (!gas) throw new Error('demo')
    const use = (heliumPct: number) =>
      found(
        {
          ...withJoint(manifold, { purge: false }),
          gas: { ...gas, argonPct: 100 - heliumPct, heliumPct },
          setUp: { ...manifold.setUp, flowLPerMin: null },
          shop: { ...manifold.shop, assumptions: { ...manifold.shop.assumptions, gasSurgeL: 0 } },
        },
        'gas-use',
      )?.demand ?? Number.NaN
    expect(use(100) / use(0)).toBeCloseTo(2, 9)
    expect(use(50) / use(0)).toBeCloseTo(1.5, 9)
  })

  it('a back purge takes its flow for two minutes a tube and as long as it is welded', () => {
    const manifold = demoInput('tank-manifold')
    const use = (purge: boolean) => found(withJoint(manifold, { purge }), 'gas-use')?.demand ?? Number.NaN
    const arcS = fitJob(manifold).welds.reduce((sum, weld) => sum + (weld.arcS ?? 0), 0)
    const tubes = manifold.job.joints.reduce((sum, one) => sum + one.count, 0) * manifold.job.quantity
    expect(use(true) - use(false)).toBeCloseTo(((7 * (arcS + 120 * tubes)) / 60) * 1.05, 6)
  })
})

describe('of several welds the worst speaks', () => {
  const welds = (input: FitInput, ...parts: readonly Partial<Joint>[]): FitInput => {
    const [one] = input.job.joints
    if (!one) throw new Error('demo')
    const joints = parts.map((part, index): Joint => ({ ...one, ...part, id: `w${index}` }))
    return { ...input, job: { ...input.job, joints } }
  }
  const upright = (thicknessMm: number): Partial<Joint> =>
    plate(thicknessMm, { kind: 'tee', position: 'vertical-up', includedAngleDeg: null, rootFaceMm: 0 })

  it('a cored wire out of position: 180 A of its 240 A; above that the pool runs', () => {
    expect(verdict(welds(fork, upright(12), upright(8)), 'cored-position')).toBe('fits')
    expect(found(welds(fork, upright(12), upright(19), upright(14)), 'cored-position')).toMatchObject({
      verdict: 'tight',
      code: 'runs',
      weldId: 'w1',
    })
    expect(found(welds(fork, upright(32), upright(12)), 'cored-position')).toMatchObject({
      verdict: 'fails',
      weldId: 'w0',
    })
    expect(said(welds(fork, upright(19)), 'cored-position')).toContain('180 A')
    expect(
      verdict(
        welds(fork, plate(19, { kind: 'tee', includedAngleDeg: null, rootFaceMm: 0 })),
        'cored-position',
      ),
    ).toBeNull()
    expect(verdict(welds(frame, upright(12)), 'cored-position')).toBeNull()
  })

  // Common practice, no source: aluminium wire is sprayed or pulsed.
  it('short-circuit: never on aluminium', () => {
    const beam = plate(5, { materialA: 'aluminium-6061', materialB: 'aluminium-6061' })
    expect(verdict(welds(frame, beam), 'short-circuit-depth')).toBe('fails')
  })

  it('short-circuit: the thickest, wherever it stands', () => {
    expect(found(welds(frame, plate(5), plate(9), plate(6)), 'short-circuit-depth')?.weldId).toBe('w1')
    expect(found(welds(frame, plate(9), plate(5)), 'short-circuit-depth')?.weldId).toBe('w0')
  })

  // Common practice, no source: downhill by short-circuit is for sheet, up to 3/16 in; AWS D1.1 prequalifies neither.
  it('short-circuit downward: to 3/16 in and no more, though upward it may do 1/4', () => {
    const down = (thicknessMm: number) => plate(thicknessMm, { position: 'vertical-down' })
    expect(verdict(welds(frame, down(4.7625)), 'short-circuit-depth')).toBe('fits')
    expect(found(welds(frame, down(6.35)), 'short-circuit-depth')).toMatchObject({
      verdict: 'fails',
      code: 'downward',
    })
    expect(verdict(welds(frame, plate(6.35, { position: 'vertical-up' })), 'short-circuit-depth')).toBe(
      'fits',
    )
    // Welded upward it would fail all the same: that is no mend.
    expect(found(welds(frame, down(9.525)), 'short-circuit-depth')).toMatchObject({
      verdict: 'fails',
      code: 'may-not-fuse',
    })
    // Of a thicker one upward and a thinner one downward the one with less room decides.
    expect(found(welds(frame, plate(6), down(5)), 'short-circuit-depth')?.weldId).toBe('w1')
  })

  it('square joints: the one that the arc reaches least of, both sides counted', () => {
    const square = (thicknessMm: number, backWeldMm = 0): Partial<Joint> =>
      plate(thicknessMm, { kind: 'square', legMm: null, backWeldMm })
    expect(found(welds(frame, square(4), square(8), square(6)), 'square-depth')).toMatchObject({
      verdict: 'tight',
      weldId: 'w1',
    })
    // From both sides it reaches 9.5 mm.
    expect(found(welds(frame, square(8, 1), square(6)), 'square-depth')?.weldId).toBe('w1')
    expect(verdict(welds(frame, square(8, 1)), 'square-depth')).toBe('fits')
  })

  it('a source that pulses is offered to pulse; one that does not is not', () => {
    const overhead = withJoint(spray, { position: 'overhead' })
    expect(mends(overhead, 'spray-position')[0]?.code).toBe('pulse-it')
    const plain = {
      ...overhead,
      powerSource: {
        ...overhead.powerSource,
        processes: overhead.powerSource.processes.map((one) => ({ ...one, pulse: false })),
      },
    }
    expect(mends(plain, 'spray-position')[0]?.code).toBe('short-circuit-or-pulse')
  })
})

describe('preheat', () => {
  const platform = demoInput('picking-platform')
  const warmed = (input: FitInput, preheatC: number | null): FitInput => ({
    ...input,
    job: { ...input.job, preheatC },
  })
  const wantedA = (input: FitInput): number => Math.max(...fitJob(input).welds.map((weld) => weld.wantedA))

  it('aluminium never above 120 °C (250 °F), and stainless is not preheated (handbooks, from memory)', () => {
    expect(verdict(platform, 'preheat')).toBeNull()
    expect(verdict(warmed(platform, 120), 'preheat')).toBe('fits')
    expect(verdict(warmed(platform, 121), 'preheat')).toBe('fails')
    expect(said(warmed(platform, 200), 'preheat')).toContain('392 °F')
    expect(mends(warmed(platform, 200), 'preheat')[0]?.patch).toEqual({
      on: 'job',
      change: { preheatC: null },
    })
    expect(verdict(warmed(tray, 176), 'preheat')).toBe('fails')
  })

  // Common practice, no source: a warm plate lets a machine do about one size more of aluminium, and little more of steel.
  it('saves more of the current on aluminium than on steel, and never all of it', () => {
    const aluminium = wantedA(warmed(platform, 120)) / wantedA(platform)
    const steel = wantedA(warmed(frame, 150)) / wantedA(frame)
    expect(aluminium).toBeGreaterThan(0.75)
    expect(aluminium).toBeLessThan(0.87)
    expect(steel).toBeGreaterThan(aluminium)
    expect(steel).toBeLessThan(0.95)
  })

  it('of a part that the shop is warmer than takes nothing away', () => {
    const hot = { ...platform.shop, assumptions: { ...platform.shop.assumptions, workshopC: 45 } }
    expect(wantedA(warmed({ ...platform, shop: hot }, 30))).toBeCloseTo(wantedA(platform), 6)
  })
})
