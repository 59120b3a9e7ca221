import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { SetUp } from '../kinds/setUp.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { CHANGE_STEPS, minutesKeyOf } from '../assumptions/changeMinutes.ts'
import { demoShop } from '../testing/samples.ts'
import { applied, changeoverBetween, tensionMarkOf } from './changeover.ts'
import { careOf } from './stepCare.ts'
import { ASSUMPTIONS } from '../assumptions/list.ts'
import { handOverOf } from './handOver.ts'
import { BARE, differingKeys, onMachineOf, type OnMachine, presentOn } from './onMachine.ts'
import { TRAPS } from './step.ts'
import { wasteCostOf } from './wasteCost.ts'

const demo = demoShop()
const { shop } = demo
const shelf: Shelf = demo
const [FIRST] = demo.setUps as [SetUp]
const setUp = (id: string): OnMachine => {
  const found = demo.setUps.find((one) => one.id === id)
  if (!found) throw new Error(`the demo has no set-up ${id}`)
  return onMachineOf(found, shelf)
}
const change = (from: string, to: string) => changeoverBetween(shop, setUp(from), setUp(to))
const codes = (from: string, to: string) => change(from, to).steps.map(({ code }) => code)

/** Any set-up of the demo, with places and settings of others mixed in. */
const anyOnMachine = fc
  .record({
    base: fc.constantFrom(...demo.setUps),
    mixed: fc.constantFrom(...demo.setUps),
    takes: fc.subarray([
      'wireId',
      'gasId',
      'gunId',
      'rollId',
      'linerId',
      'tipId',
      'nozzleId',
      'circuitId',
      'flowMeterId',
      'polarity',
      'tungstenId',
      'cupId',
    ] as const),
    flowLPerMin: fc.option(fc.constantFrom(8, 12, 15)),
    linksSetV: fc.constantFrom(null, 240, 480),
    leadSize: fc.constantFrom(null, '2 AWG'),
    stickOutMm: fc.constantFrom(null, 6),
  })
  .map(({ base, mixed, takes, ...rest }) =>
    onMachineOf({ ...base, ...Object.fromEntries(takes.map((key) => [key, mixed[key]])), ...rest }, shelf),
  )
const onOne = (one: OnMachine, like: OnMachine): OnMachine =>
  onMachineOf(
    {
      ...FIRST,
      ...one.state,
      powerSourceId: like.state.powerSourceId,
    } as SetUp,
    shelf,
  )
const pairs = fc
  .tuple(anyOnMachine, anyOnMachine, fc.boolean())
  .map(([a, b, isSame]) => [a, isSame ? onOne(b, a) : b] as const)

describe('a changeover', () => {
  it('from a set-up to itself is nothing', () => {
    for (const { id } of demo.setUps) expect(change(id, id)).toMatchObject({ steps: [], minutes: 0 })
  })
  it('from self-shielded to gas-shielded wire is what a welder does, in his order (common practice, no source)', () => {
    expect(codes('yard-cored', 'bay-2-wire')).toEqual([
      'power-off',
      'tip-off',
      'wire-off',
      'roll',
      'liner',
      'spool-on',
      'polarity',
      'clamp-off',
      'supply',
      'process',
      'feed',
      'tip-on',
      'tension',
      'gas-swap',
      'flow',
      'settings',
      'scrap',
    ])
  })
  it('to another outlet alone leaves wire and gas alone', () => {
    expect(codes('north-wall-wire', 'bay-2-wire')).toEqual(['power-off', 'supply', 'settings', 'scrap'])
  })
  it('to another rod of TIG is the rod', () => {
    expect(codes('bench-tig-dc', 'bench-tig-316')).toContain('rods-out')
    expect(codes('bench-tig-dc', 'bench-tig-316')).not.toContain('gun-off')
  })
  it('says the traps of the pair once, each at its step', () => {
    const trapsAt = (from: string, to: string, code: string) =>
      change(from, to).steps.find((step) => step.code === code)?.traps
    expect(trapsAt('yard-cored', 'bay-2-wire', 'roll')).toContain('knurled-to-smooth')
    expect(trapsAt('yard-cored', 'bay-2-wire', 'polarity')).toContain('polarity-forgotten')
    expect(trapsAt('bay-2-wire', 'platform-tried', 'clean-grooves')).toContain('steel-dust')
    // A spool gun has its own wire path: there is no steel dust in it.
    expect(codes('bay-2-wire', 'spool-gun')).not.toContain('clean-grooves')
  })
  it('names the feeder’s own mark for this form of wire, and none where nobody has read it', () => {
    expect(tensionMarkOf(setUp('bay-2-wire').parts)).toBe('3')
    expect(tensionMarkOf(setUp('yard-cored').parts)).toBe('2')
    expect(tensionMarkOf(setUp('marl-yard').parts)).toBeNull()
  })
  it('cuts away 250 mm of wire and purges 20 s of gas, at their prices (by hand)', () => {
    const { waste } = change('yard-cored', 'bay-2-wire')
    const cost = wasteCostOf({ waste }, setUp('yard-cored'), setUp('bay-2-wire'))
    expect(waste.wireMm).toBeCloseTo(250)
    // 0.035 wire at 12 L/min per mm, 12 at least: 12 L/min for 20 s.
    expect(waste.gasL).toBeCloseTo(4, 1)
    // 250 mm of 0.045: 2 g of a spool that has a price, and 4 of 3540 L at 46.
    expect(cost).toBeGreaterThan((4 / 3540) * 46)
    expect(cost).toBeLessThan(0.2)
  })
  it('offers two schools for the wire that comes off: wound back, or cut with the length of the gun', () => {
    const off = change('yard-cored', 'bay-2-wire').steps.find(({ code }) => code === 'wire-off')
    // 15 ft of gun.
    expect((off?.otherWay?.waste.wireMm ?? 0) - (off?.waste?.wireMm ?? 0)).toBeCloseTo(15 * 304.8, 0)
  })
  it('begins with what is on the machine, as it was recorded', () => {
    const present = presentOn(shelf, 'quillon-210')
    expect(present?.parts.wire?.id).toBe('e71t11-045')
    expect(changeoverBetween(shop, present, setUp('yard-cored')).steps).toEqual([])
    expect(presentOn(shelf, 'marl-140')).toBeNull()
  })
  it('takes the minutes that it really took, drawn to the default while there are few', () => {
    const timed = (minutes: readonly number[]) => ({
      ...setUp('yard-cored'),
      timings: minutes.map((one) => ({ step: 'spool-on' as const, minutes: one })),
    })
    const spoolMin = (minutes: readonly number[]) =>
      changeoverBetween(shop, timed(minutes), setUp('bay-2-wire')).steps.find(
        ({ code }) => code === 'spool-on',
      )
    expect(spoolMin([])).toMatchObject({ minutes: 1, timed: 0 })
    // Four timings of 3 min weigh as much as the default of 1; a single slip of an hour moves the median little.
    expect(spoolMin([3, 3, 3, 3])).toMatchObject({ minutes: 2, timed: 4 })
    expect(spoolMin([3, 3, 3, 60])?.minutes).toBeCloseTo(2)
  })
})

describe('between any two set-ups', () => {
  it('handles each differing place exactly once, and nothing else', () => {
    fc.assert(
      fc.property(pairs, ([from, to]) => {
        const { steps } = changeoverBetween(shop, from, to)
        const isSame = from.state.powerSourceId === to.state.powerSourceId
        const wanted = differingKeys(isSame ? from.state : BARE, to.state)
        expect(steps.flatMap(({ sets }) => Object.keys(sets)).sort()).toEqual([...wanted].sort())
      }),
    )
  })
  it('there and back brings the first state back', () => {
    fc.assert(
      fc.property(pairs, ([a, b]) => {
        const there = onOne(b, a)
        const away = applied(a.state, changeoverBetween(shop, a, there).steps)
        const asAway = onMachineOf({ ...FIRST, ...away } as SetUp, shelf)
        expect(differingKeys(away, there.state)).toEqual([])
        const back = applied(away, changeoverBetween(shop, asAway, a).steps)
        expect(differingKeys(back, a.state)).toEqual([])
      }),
    )
  })
  it('keeps the order of the craft, has positive minutes that add up, and names each trap once', () => {
    fc.assert(
      fc.property(pairs, ([from, to]) => {
        const { steps, minutes } = changeoverBetween(shop, from, to)
        const at = (code: string) => steps.findIndex((step) => step.code === code)
        const before = (first: string, then: string): void => {
          if (at(first) >= 0 && at(then) >= 0)
            expect(at(first), `${first} before ${then}`).toBeLessThan(at(then))
        }
        const places = steps.map(({ code }) => CHANGE_STEPS.indexOf(code))
        expect(places).toEqual(places.toSorted((a, b) => a - b))
        expect(new Set(places).size).toBe(places.length)
        for (const code of ['tip-off', 'wire-off', 'liner', 'roll', 'gun-off', 'links', 'polarity', 'leads'])
          before('power-off', code)
        for (const on of ['supply', 'power-on']) {
          for (const code of ['links', 'polarity', 'leads', 'liner', 'roll', 'spool-on']) before(code, on)
          before(on, 'feed')
        }
        before('clamp-off', 'feed')
        before('feed', 'tip-on')
        before('gas-swap', 'flow')
        before('flow', 'scrap')
        if (at('feed') >= 0) expect(at('clamp-off')).toBeGreaterThanOrEqual(0)
        for (const step of steps) expect(step.minutes).toBeGreaterThanOrEqual(0)
        expect(minutes).toBeCloseTo(
          steps.reduce((sum, step) => sum + step.minutes, 0),
          9,
        )
        for (const trap of TRAPS.filter((one) => one !== 'hot-parts'))
          expect(steps.filter(({ traps }) => traps.includes(trap)).length).toBeLessThanOrEqual(1)
      }),
    )
  })
})

it('has minutes, in an assumption of its own, for every step, and the wire is live while it is fed', () => {
  for (const code of CHANGE_STEPS) expect(ASSUMPTIONS[minutesKeyOf(code)].unit, code).toBe('min')
  expect(careOf('feed').hazard).toBe('wire-live')
  expect(careOf('power-off').hazard).toBe('unplug')
  expect(careOf('clamp-off')).toEqual({})
})

it('hands a machine over with its gas closed where it has any, and its rods dry', () => {
  expect(handOverOf(setUp('bay-2-wire'))).toContain('gas-closed')
  expect(handOverOf(setUp('yard-cored'))).not.toContain('gas-closed')
  expect(handOverOf(setUp('yard-stick'))).toContain('rods-dry')
})
