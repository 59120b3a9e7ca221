/** Pulse, alternating current, slopes: by identities, and by common practice (no source). */
import { describe, expect, it } from 'vitest'
import type { FitInput } from './fit.ts'
import { sampleTungsten } from '../testing/equipment.ts'
import { demoInput } from '../testing/samples.ts'
import { sidesOf } from './fit.ts'
import { settingsOf } from './settings.ts'
import { inductanceFor } from '../reference/inductance.ts'
import { arcForceFor } from '../reference/technique.ts'

const of = (input: FitInput) => {
  const { capability, demand } = sidesOf(input)
  return settingsOf(capability, demand, demand.hungriest)
}
const pulsed = (): FitInput => {
  const input = demoInput('press-frame', 'bay-3-spray')
  return { ...input, setUp: { ...input.setUp, process: 'gmaw-pulse' } }
}

describe('a pulsed wire', () => {
  it('has the mean current that the weld wants', () => {
    const { pulse, currentA } = of(pulsed())
    if (!pulse) throw new Error('it pulses')
    const share = pulse.sharePct / 100
    expect(pulse.peakA * share + pulse.baseA * (1 - share)).toBeCloseTo(currentA.value, 6)
  })
  it('of 0.045 in: peak 350 to 500 A, base 30 to 90, 80 to 250 Hz (common practice)', () => {
    const { pulse } = of(pulsed())
    expect(pulse?.peakA).toBeGreaterThan(350)
    expect(pulse?.peakA).toBeLessThan(500)
    expect(pulse?.baseA).toBeGreaterThan(30)
    expect(pulse?.baseA).toBeLessThan(90)
    expect(pulse?.hz).toBeGreaterThan(80)
    expect(pulse?.hz).toBeLessThan(250)
  })
  it('throws a drop of its own diameter with each pulse', () => {
    const input = pulsed()
    const { pulse, feedMmPerMin } = of(input)
    const d = input.wire?.diameterMm ?? 0
    const dropMm3 = (Math.PI / 6) * d ** 3
    const fedMm3PerS = ((Math.PI / 4) * d ** 2 * (feedMmPerMin?.value ?? 0)) / 60
    expect(pulse?.hz).toBeCloseTo(fedMm3PerS / dropMm3, 6)
  })
  it('is no affair of a spray or a short-circuit, nor of no wire', () => {
    expect(of(demoInput('press-frame', 'bay-3-spray')).pulse).toBeNull()
    expect(of(demoInput('press-frame')).pulse).toBeNull()
    expect(of({ ...pulsed(), wire: null }).pulse).toBeNull()
  })
})

describe('TIG', () => {
  it('does not pulse where the source pulses wire alone, nor does wire where it pulses TIG alone', () => {
    const tray = { ...demoInput('pressing-tray'), tungsten: sampleTungsten() }
    const pulsing = (isPulsing: (family: string) => boolean): FitInput => ({
      ...tray,
      powerSource: tray.powerSource && {
        ...tray.powerSource,
        processes: tray.powerSource.processes.flatMap((one) => [
          { ...one, pulse: isPulsing(one.family) },
          { ...one, family: 'gmaw' as const, outputs: ['dc' as const], pulse: isPulsing('gmaw') },
        ]),
      },
    })
    expect(of(pulsing((family) => family === 'gtaw')).pulse).not.toBeNull()
    expect(of(pulsing((family) => family === 'gmaw')).pulse).toBeNull()
  })
  it('pulses slowly around the same mean, where the source pulses', () => {
    const tray = demoInput('pressing-tray')
    const { pulse, currentA } = of({ ...tray, tungsten: sampleTungsten() })
    // A peak of 99 A is beyond a 0.040 in tungsten.
    expect(of(tray).pulse).toBeNull()
    if (!pulse) throw new Error('the Sedge pulses')
    const share = pulse.sharePct / 100
    expect(pulse.peakA * share + pulse.baseA * (1 - share)).toBeCloseTo(currentA.value, 6)
    expect(pulse.hz).toBeLessThan(3)
    expect(of(demoInput('tank-manifold', 'osier-tig')).pulse).toBeNull()
    // A peak of 293 A is beyond a 200 A source.
    expect(of(demoInput('picking-platform')).pulse).toBeNull()
  })
  it('slopes, and flows before and after', () => {
    const found = of(demoInput('pressing-tray'))
    expect(found.slopes?.downS).toBeGreaterThan(found.slopes?.upS ?? Infinity)
    expect(found.preFlowS).toBe(0.5)
    expect(found.postFlowS).toBe(8)
    expect(of(demoInput('picking-platform')).postFlowS).toBeCloseTo(15.8, 1)
    expect(of(demoInput('press-frame')).slopes).toBeNull()
    expect(of(demoInput('loader-fork')).preFlowS).toBeNull()
  })
  it('alternates at about 100 Hz and 30 % positive, faster on an edge and on thin parts', () => {
    const platform = demoInput('picking-platform')
    expect(of(platform).alternating).toEqual({ positivePct: 30, hz: 100 })
    const [first] = platform.job.joints
    if (!first) throw new Error('demo')
    const withJoint = (part: Partial<typeof first>) => ({
      ...platform,
      job: { ...platform.job, joints: [{ ...first, ...part }] },
    })
    expect(of(withJoint({ thicknessAMm: 1.2, thicknessBMm: 1.2, legMm: 1.2 })).alternating?.hz).toBe(150)
    expect(of(withJoint({ kind: 'edge', legMm: null })).alternating?.hz).toBe(150)
    expect(of(demoInput('pressing-tray')).alternating).toBeNull()
  })
  it('stays within what the source sets', () => {
    const platform = demoInput('picking-platform')
    const source = (part: Partial<FitInput['powerSource']>) =>
      of({ ...platform, powerSource: { ...platform.powerSource, ...part } }).alternating
    expect(source({ acFrequency: { minHz: 50, maxHz: 60 } })?.hz).toBe(60)
    expect(source({ acBalance: { minPct: 35, maxPct: 50 } })?.positivePct).toBe(35)
    expect(source({ acFrequency: null, acBalance: null })).toEqual({ positivePct: null, hz: null })
  })
})

describe('inductance (common practice)', () => {
  const plate = { metal: 'carbon-steel', isCo2: false, position: 'flat', heatedMm: 6.35 } as const
  it.each([
    [{}, 'middle'],
    [{ isCo2: true }, 'high'],
    [{ metal: 'stainless' }, 'high'],
    [{ heatedMm: 1.2 }, 'low'],
    [{ position: 'overhead' }, 'low'],
    [{ position: 'overhead', isCo2: true }, 'middle'],
  ] as const)('%j: %s', (part, word) => {
    expect(inductanceFor({ ...plate, ...part })).toBe(word)
  })
  it('is told by short-circuit alone', () => {
    expect(of(demoInput('press-frame')).inductance).toBe('middle')
    expect(of(demoInput('press-frame', 'bay-3-spray')).inductance).toBeNull()
  })
})

describe('arc force (common practice)', () => {
  it.each([
    ['E6010', 'high'],
    ['E6011', 'high'],
    ['E7018', 'middle'],
    ['E6013', 'low'],
    ['E308L-16', 'low'],
  ])('of %s: %s', (classification, force) => {
    expect(arcForceFor(classification)).toBe(force)
  })
  it('is told where the source sets it, and by stick alone', () => {
    const stick = demoInput('loader-fork', 'yard-stick')
    expect(of(stick).arcForce).toBe('middle')
    expect(of({ ...stick, powerSource: { ...stick.powerSource, arcForce: null } }).arcForce).toBeNull()
    expect(of(demoInput('loader-fork')).arcForce).toBeNull()
  })
})

describe('the angle to the plate', () => {
  it('halves a fillet, and is square on a butt', () => {
    expect(of(demoInput('press-frame')).workAngleDeg).toBe(45)
    expect(of(demoInput('loader-fork')).workAngleDeg).toBe(90)
  })
})

describe('how the metal gets across', () => {
  it('goes with the process', () => {
    expect(of(demoInput('press-frame')).transfer).toBe('short-circuit')
    expect(of(pulsed()).transfer).toBe('pulsed-spray')
    expect(of(demoInput('loader-fork')).transfer).toBe('droplets')
    expect(of(demoInput('pressing-tray')).transfer).toBeNull()
  })
})

describe('the dials of the small machine', () => {
  it('tap 5 and some two thirds of the wire dial for 1/8 in', () => {
    const found = of(demoInput('gusset-template', 'marl-yard'))
    expect(found.voltsDial?.mark).toMatch(/^[456]$/)
    expect(Number(found.feedDial?.mark)).toBeGreaterThan(50)
    expect(of(demoInput('press-frame')).voltsDial).toBeNull()
  })
})
