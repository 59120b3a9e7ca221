/** What the bench knows: how near the tip comes, how much gas, the clamp. Common practice, no source, where nothing else is said. */
import { describe, expect, it } from 'vitest'
import { type FitInput, fitJob, sidesOf } from '../fit/fit.ts'
import { handFor } from '../fit/hand.ts'
import type { Joint } from '../kinds/job.ts'
import { samplePart } from '../testing/equipment.ts'
import { demoInput } from '../testing/samples.ts'
import { sentenceOf, speechOf } from '../words/speech.ts'
import { longReach } from './tipReach.ts'

const frame = demoInput('press-frame', 'bay-2-wire')
const tray = demoInput('pressing-tray', 'bench-tig-dc')
const platform = demoInput('picking-platform', 'spool-gun')
const fork = demoInput('loader-fork', 'yard-cored')

const found = (input: FitInput, id: string) =>
  fitJob(input).criteria.find(({ criterion }) => criterion === id)
const verdict = (input: FitInput, id: string) => found(input, id)?.verdict ?? null
const said = (input: FitInput, id: string): string => {
  const one = found(input, id)
  return one ? sentenceOf(speechOf(input.shop), one) : ''
}
const mends = (input: FitInput, id: string) => (fitJob(input).mends[id] ?? []).map(({ code }) => code)
const withNozzle = (input: FitInput, insideMm: number | null, tipRecessMm: number | null): FitInput => ({
  ...input,
  nozzle: samplePart('nozzle', { insideMm, tipRecessMm }),
})
const withJoints = (input: FitInput, change: Partial<Joint>): FitInput => ({
  ...input,
  job: { ...input.job, joints: input.job.joints.map((one) => ({ ...one, ...change })) },
})
const withFlow = (input: FitInput, flowLPerMin: number | null): FitInput => ({
  ...input,
  setUp: { ...input.setUp, flowLPerMin },
})
const CFH = 0.4719

describe('the tip in a corner', () => {
  // 5/8 in bore with a 1/16 in wall: the rim touches both plates 3/8 in from the root.
  it('flush in a 5/8 in nozzle comes to 3/8 in, as short-circuit wants it', () => {
    expect(verdict(withNozzle(frame, 15.875, 0), 'tip-reach')).toBe('fits')
    expect(found(withNozzle(frame, 15.875, 0), 'tip-reach')?.code).toBe('near')
  })
  it('3/8 in back in it stays 3/4 in away: tight, told in amps at the same wire speed', () => {
    const back = withNozzle(frame, 15.875, 9.525)
    expect(verdict(back, 'tip-reach')).toBe('tight')
    expect(said(back, 'tip-reach')).toContain('3/4 in from the root')
    expect(mends(back, 'tip-reach')).toEqual(['flush-nozzle'])
    const { capability, demand } = sidesOf(back)
    const reach = longReach(capability, demand.hungriest)
    expect(reach?.leastMm).toBeCloseTo(15.875 / 2 + 1.6 + 9.525, 9)
    expect(reach?.usualMm).toBeCloseTo(12.7, 9)
    expect(reach?.lostA).toBeGreaterThan(8)
    expect(reach?.lostA).toBeLessThan(30)
  })
  it('a little more than usual is only told; a tip that stands out comes nearer', () => {
    expect([
      verdict(withNozzle(frame, 15.875, 5), 'tip-reach'),
      found(withNozzle(frame, 15.875, 5), 'tip-reach')?.code,
    ]).toEqual(['fits', 'far'])
    expect(found(withNozzle(frame, 15.875, -3), 'tip-reach')?.code).toBe('near')
    expect(found(withNozzle(frame, 15.875, null), 'tip-reach')?.code).toBe('near')
  })
  it('is no question of a butt, of a nozzle that nobody has measured, and of TIG', () => {
    expect(verdict(withNozzle(withJoints(frame, { kind: 'square' }), 15.875, 9.525), 'tip-reach')).toBeNull()
    expect(verdict(withNozzle(frame, null, 9.525), 'tip-reach')).toBeNull()
    expect(verdict(tray, 'tip-reach')).toBeNull()
  })
})

describe('the flow of the gas', () => {
  it('through a 5/8 in nozzle is smooth to some 50 ft³/h, through 1/2 to 40 (pipe flow, Reynolds 2,300)', () => {
    const at = (cfh: number, insideMm: number) =>
      verdict(withFlow(withNozzle(frame, insideMm, null), cfh * CFH), 'flow-bounds')
    expect([at(48, 15.875), at(53, 15.875), at(38, 12.7), at(43, 12.7)]).toEqual([
      'fits',
      'tight',
      'fits',
      'tight',
    ])
    const storm = withFlow(withNozzle(frame, 12.7, null), 60 * CFH)
    expect(said(storm, 'flow-bounds')).toContain('turbulent')
    expect(mends(storm, 'flow-bounds')).toEqual(['less-flow'])
  })
  it('through a cup 6 is smooth to some 30 ft³/h; a gas lens lays more straight', () => {
    const cup = samplePart('cup', { number: 6, forGasLens: false })
    const at = (cfh: number, gasLens: boolean) =>
      verdict(
        withFlow({ ...tray, cup, colletBody: samplePart('collet-body', { gasLens }) }, cfh * CFH),
        'flow-bounds',
      )
    expect([at(28, false), at(33, false), at(33, true)]).toEqual(['fits', 'tight', 'fits'])
  })
  it('ends with the scale of the meter: many go to 25 ft³/h', () => {
    const meter = (mostLPerMin: number | null): FitInput => ({
      ...withFlow(frame, 14),
      flowMeter: frame.flowMeter && { ...frame.flowMeter, mostLPerMin },
    })
    expect([
      verdict(meter(11.8), 'flow-bounds'),
      verdict(meter(14), 'flow-bounds'),
      verdict(meter(null), 'flow-bounds'),
    ]).toEqual(['tight', 'fits', 'fits'])
    expect(mends(meter(11.8), 'flow-bounds')).toEqual(['meter-that-goes-higher'])
  })
  it('set far below the rule is thin', () => {
    // The rule for 0.035 short-circuit is 12 L/min (25 ft³/h); 15 ft³/h is a school of its own, and still covers.
    expect([
      verdict(withFlow(frame, 15.5 * CFH), 'flow-bounds'),
      verdict(withFlow(frame, 12 * CFH), 'flow-bounds'),
    ]).toEqual(['fits', 'tight'])
    expect(mends(withFlow(frame, 12 * CFH), 'flow-bounds')).toEqual(['more-flow'])
    expect(verdict(fork, 'flow-bounds')).toBeNull()
  })
})

describe('the work clamp', () => {
  const at = (returnV: number | null): FitInput => ({ ...frame, setUp: { ...frame.setUp, returnV } })
  it('that loses more than half a volt is bad: told with its heat', () => {
    expect([
      verdict(at(0.5), 'return-volts'),
      verdict(at(0.6), 'return-volts'),
      verdict(at(null), 'return-volts'),
    ]).toEqual(['fits', 'tight', null])
    // 190 A through 2 V are 380 W.
    expect(said(at(2), 'return-volts')).toMatch(/38\d W/)
    // Of some 23 V the arc has 2 less: by the load line a good twentieth of the current.
    const lostA = Number(/has ([\d.]+) A less/.exec(said(at(2), 'return-volts'))?.[1])
    expect(lostA).toBeGreaterThan(190 / 25)
    expect(lostA).toBeLessThan(190 / 10)
    expect(mends(at(2), 'return-volts')).toEqual(['clean-clamp'])
    // No machine is refused for a dirty clamp.
    expect(verdict(at(8), 'return-volts')).toBe('tight')
  })
})

describe('the hand', () => {
  const handOf = (input: FitInput, preheatC: number | null = null) => {
    const { capability, demand } = sidesOf(input)
    return handFor(capability, demand.hungriest, { pieces: input.job.quantity, preheatC })
  }
  it('warms the first inch of aluminium from 1/8 in on, unless it is warm; steel not', () => {
    expect(handOf(platform).warmFirst).toBe(true)
    expect(handOf(platform, 90).warmFirst).toBe(false)
    expect(handOf(withJoints(platform, { thicknessAMm: 2, thicknessBMm: 2 })).warmFirst).toBe(false)
    expect(handOf(frame).warmFirst).toBe(false)
  })
  it('steps from stringer to stringer by 1/8 to 3/16 in, where there are three passes and more', () => {
    const fillet = (legMm: number) =>
      handOf(withJoints(frame, { thicknessAMm: 25.4, thicknessBMm: 25.4, legMm })).stepOverMm
    expect(fillet(5)).toBeNull()
    const step = fillet(16)
    expect(step).toBeGreaterThanOrEqual(3.175)
    expect(step).toBeLessThanOrEqual(4.7625)
  })
  it('is told what a tip set back takes, by wire alone', () => {
    expect(handOf(frame).setBackA).toBeGreaterThan(10)
    expect(handOf(tray).setBackA).toBeNull()
    expect(handOf(platform).setBackA).toBeCloseTo(0, 6)
  })
})
