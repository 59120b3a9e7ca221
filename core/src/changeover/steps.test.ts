/** What each step names, warns of and uses up, pair by pair, as a welder would write it on the door. Common practice, no source. */
import { describe, expect, it } from 'vitest'
import type { SetUp } from '../kinds/setUp.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { demoShop } from '../testing/samples.ts'
import { changeoverBetween, tensionMarkOf } from './changeover.ts'
import { handOverOf } from './handOver.ts'
import { median } from './median.ts'
import { onMachineOf, type OnMachine } from './onMachine.ts'
import type { ChangeStep } from './step.ts'
import { wasteCostOf } from './wasteCost.ts'

const demo = demoShop()
const on = (id: string, part: Partial<SetUp> = {}, shelf: Shelf = demo): OnMachine => {
  const setUp = demo.setUps.find((one) => one.id === id)
  if (!setUp) throw new Error(`the demo has no set-up ${id}`)
  return onMachineOf({ ...setUp, ...part }, shelf)
}

/** `roll: Roll A, Roll B! knurled-to-smooth` */
function written({ code, params, traps }: ChangeStep): string {
  const texts = Object.values(params).map((one) => {
    if (typeof one === 'string') return one
    if ('code' in one) return one.code
    if ('list' in one) return one.list.join(' + ')
    return 'value' in one ? `${String(one.value)} ${one.unit}`.trim() : JSON.stringify(one)
  })
  return `${code}${texts.length === 0 ? '' : `: ${texts.join(', ')}`}${traps.map((one) => ` ! ${one}`).join('')}`
}
const steps = (from: OnMachine | null, to: OnMachine): readonly string[] =>
  changeoverBetween(demo.shop, from, to).steps.map(written)
const END = ['settings', 'scrap']
const BAY_2 = 'Bay 2 240 V 50 A'

describe('a changeover by hand', () => {
  it('from knurled, self-shielded wire to solid wire under gas', () => {
    expect(steps(on('yard-cored'), on('bay-2-wire'))).toEqual([
      'power-off: Quillon 210',
      'tip-off ! hot-parts',
      'wire-off: 0.045 E71T-11',
      'roll: Quillon roll, smooth V 0.035, Quillon roll, knurled V 0.045 ! knurled-to-smooth',
      'liner: Steel liner 0.030–0.035, 15 ft, Steel liner 0.035–0.045, 15 ft',
      'spool-on: 0.035 ER70S-6, hub ! spool-adapter',
      'polarity: dcep-wire, leads ! polarity-forgotten',
      'clamp-off',
      `supply: ${BAY_2}, Quillon 210, 240 V`,
      'process: gmaw-short',
      'feed: 0.035 ER70S-6',
      'tip-on: Tip 0.035, medium, Gas nozzle, medium',
      'tension: 3',
      'gas-swap: 75/25 Ar/CO₂, Flow meter, argon and 75/25 scales',
      'flow: 12 L/min',
      ...END,
    ])
  })

  it('from steel to aluminium through the same rolls, and through a liner that steel has run in', () => {
    const same = steps(on('bay-2-wire'), on('platform-tried'))
    expect(same).toContain('clean-grooves ! steel-dust')
    expect(same).not.toContainEqual(expect.stringMatching(/^liner/))
    const lined = { linerId: 'liner-ptfe-045-15', rollId: 'roll-quillon-u-0035' }
    expect(steps(on('bay-2-wire'), on('platform-tried', lined))).toEqual(
      expect.arrayContaining([
        'roll: Quillon roll, U 0.035, Quillon roll, smooth V 0.035',
        expect.stringMatching(/^liner: PTFE liner .*, Steel liner 0.030–0.035, 15 ft ! steel-liner$/),
      ]),
    )
    // From one aluminium wire to another no steel is left anywhere.
    const other = { ...lined, wireId: 'er5356-035', linerId: 'liner-ptfe-045-25' }
    const aluminium = steps(on('platform-tried', lined), on('platform-tried', other))
    expect(aluminium).not.toContain('clean-grooves ! steel-dust')
    expect(aluminium).toContainEqual(expect.stringMatching(/^liner: [^!]*$/))
  })

  it('to a spool gun: its own wire path, its spool on it, O-rings where gas goes through', () => {
    expect(steps(on('bay-2-wire'), on('spool-gun'))).toEqual([
      'power-off: Quillon 210',
      'gas-off: 75/25 Ar/CO₂',
      'tip-off ! hot-parts',
      'wire-off: 0.035 ER70S-6',
      'gun-off: 15 ft, 250 A class',
      'gun-on: Dray spool gun ! o-rings',
      'spool-on: 0.035 ER5356, gun',
      'clamp-off',
      `power-on: ${BAY_2}, Quillon 210`,
      'process: gmaw-spray',
      'feed: 0.035 ER5356',
      'tip-on: Tip 0.040, medium, Gas nozzle, medium',
      // Nobody has read a mark on it.
      'tension: ',
      'gas-swap: Argon, Flow meter, argon scale',
      'flow: 18 L/min',
      ...END,
    ])
  })

  it('from direct current to alternating by TIG: the torch’s parts as one set, the machine turns the polarity itself', () => {
    expect(steps(on('bench-tig-dc'), on('bench-tig-ac', { stickOutMm: 6 }))).toEqual([
      'power-off: Sedge 200',
      'rods-away: 1/16 ER308L',
      'torch-parts: Collet 3/32, large head + Collet body 3/32, large head ! hot-parts',
      'tungsten: 3/32 WLa20, 6 mm',
      'polarity: ac-tungsten, automatic ! polarity-forgotten',
      'power-on: Bay 1 240 V 30 A, Sedge 200',
      'process: gtaw-ac',
      'rods-out: 3/32 ER5356',
      ...END,
    ])
  })
  it('of the stick-out alone by the hand that holds the torch', () => {
    const [step] = changeoverBetween(
      demo.shop,
      on('bench-tig-dc', { stickOutMm: 4 }),
      on('bench-tig-dc', { stickOutMm: 6 }),
    ).steps
    expect(step && written(step)).toBe('stick-out: 0.040 WLa20, 6 mm')
    // It is seen at once: nothing is set or tried for it.
    expect(steps(on('bench-tig-dc', { stickOutMm: 4 }), on('bench-tig-dc', { stickOutMm: 6 }))).toHaveLength(
      1,
    )
  })

  it('on a bare machine: nothing to unplug, nothing hot, no polarity to forget', () => {
    expect(steps(null, on('yard-stick'))).toEqual([
      'gun-on: Holder, 200 A class, 12 ft',
      'leads: 4 AWG',
      'polarity: dcep-covered, leads',
      'supply: Yard post 240 V 40 A, Quillon 210, 240 V',
      'process: smaw',
      'rods-out: 1/8 E7018',
      ...END,
    ])
    // What hangs on another machine does not help.
    expect(steps(on('bay-2-wire'), on('heath-stick'))).toEqual(steps(null, on('heath-stick')))
    expect(steps(null, on('bench-tig-dc'))).toContainEqual(expect.stringMatching(/^torch-parts: [^!]*$/))
  })

  it('to another rod is the rod; to none it is put away', () => {
    expect(steps(on('yard-stick'), on('yard-stick', { wireId: 'e6011-18' }))).toEqual([
      'rods-away: 1/8 E7018',
      'rods-out: 1/8 E6011',
      ...END,
    ])
    const away = changeoverBetween(demo.shop, on('bench-tig-dc'), on('bench-tig-dc', { wireId: null }))
    expect(away.steps.map(({ code, sets }) => [code, sets])).toEqual([['rods-away', { wireId: null }]])
  })

  it('from gas to none closes the cylinder, and back opens it and sets the flow', () => {
    const closed = steps(on('bay-2-wire'), on('yard-stick', { circuitId: 'bay-2' }))
    expect(closed).toContain('gas-off: 75/25 Ar/CO₂')
    expect(closed).not.toContainEqual(expect.stringMatching(/^flow/))
    const kept = { gasId: 'mix-75-25', flowMeterId: 'meter-mix' }
    const again = changeoverBetween(demo.shop, on('yard-cored', kept), on('bay-2-wire'))
    const flow = again.steps.find(({ code }) => code === 'flow')
    // The line stays shut at the meter: nothing is purged.
    expect(flow).toMatchObject({ waste: null })
    expect(again.steps.map(({ code }) => code)).not.toContain('gas-off')
  })
  it('of the gas: another thread for CO2, and no mixture on TIG', () => {
    expect(steps(on('bay-2-wire'), on('bay-2-wire', { gasId: 'co2', flowMeterId: 'meter-co2' }))).toEqual([
      'gas-off: 75/25 Ar/CO₂',
      'gas-swap: CO₂, Flow meter, CO₂ scale, heated ! cylinder-fitting',
      'flow: 12 L/min',
      ...END,
    ])
    const mixed = { gasId: 'mix-75-25' }
    expect(steps(on('bench-tig-dc', mixed), on('bench-tig-dc'))[1]).toBe(
      'gas-swap: Argon, Flow meter, argon scale ! mixed-gas-on-tig',
    )
    expect(steps(on('bay-2-wire'), on('bay-2-wire', { gasId: 'mix-90-10' }))[1]).toBe(
      'gas-swap: 90/10 Ar/CO₂, Flow meter, argon and 75/25 scales',
    )
    // Argon to argon on wire: nothing to warn of.
    expect(steps(on('spool-gun'), on('spool-gun', { gasId: 'tri-mix' }))).not.toContainEqual(
      expect.stringContaining('!'),
    )
  })
  it('of the flow meter alone: it has its own scale', () => {
    expect(steps(on('bay-2-wire'), on('bay-2-wire', { flowMeterId: 'meter-argon' }))).toEqual([
      'gas-off: 75/25 Ar/CO₂',
      'meter: Flow meter, argon scale ! meter-scale',
      'flow: 12 L/min',
      ...END,
    ])
    expect(steps(on('bay-2-wire', { flowMeterId: null }), on('bay-2-wire'))[1]).toBe(
      'meter: Flow meter, argon and 75/25 scales',
    )
  })
  it('of the flow alone is no more than that', () => {
    expect(steps(on('bay-2-wire'), on('bay-2-wire', { flowLPerMin: 15 }))).toEqual(['flow: 15 L/min'])
  })

  it('of links and leads goes in with hands, links first of all', () => {
    expect(
      steps(on('bay-2-wire', { linksSetV: 240 }), on('bay-2-wire', { linksSetV: 480, leadSize: '2 AWG' })),
    ).toEqual([
      'power-off: Quillon 210',
      'leads: 2 AWG',
      'links: 480 V ! links-first',
      `power-on: ${BAY_2}, Quillon 210`,
      ...END,
    ])
  })
  it('of a feeder in its own case takes the old one off first', () => {
    const feeder = { ...demo.feeders[0], id: 'other', name: 'Other feeder' } as (typeof demo.feeders)[number]
    const shelf = { ...demo, feeders: [...demo.feeders, feeder] }
    const codes = steps(on('bay-3-spray', {}, shelf), on('bay-3-spray', { feederId: 'other' }, shelf))
    expect(codes.filter((one) => one.startsWith('feeder'))).toEqual([
      expect.stringMatching(/^feeder-off: Tarn/),
      'feeder-on: Other feeder',
    ])
    expect(codes).toContainEqual(expect.stringMatching(/^wire-off/))
  })

  it('to a knurled roll, or from one smooth roll to another, crushes nothing; a torch has no O-rings', () => {
    const roll = (from: OnMachine, to: OnMachine) => steps(from, to).find((one) => one.startsWith('roll'))
    expect(roll(on('bay-2-wire'), on('yard-cored'))).toMatch(/knurled V 0.045, Quillon roll, smooth V 0.035$/)
    const thin = { wireId: 'er70s6-030', rollId: 'roll-quillon-v-smooth-0030' }
    expect(roll(on('bay-2-wire'), on('bay-2-wire', thin))).not.toContain('!')
    expect(
      roll(
        on('yard-cored'),
        on('yard-cored', { wireId: 'e71t11-035', rollId: 'roll-quillon-v-knurled-0035' }),
      ),
    ).not.toContain('!')
    expect(steps(null, on('bench-tig-dc')).find((one) => one.startsWith('gun-on'))).not.toContain('!')
    // A gun through which no gas goes.
    expect(steps(null, on('yard-cored')).find((one) => one.startsWith('gun-on'))).not.toContain('!')
    expect(steps(null, on('bay-2-wire')).find((one) => one.startsWith('gun-on'))).toContain('! o-rings')
  })
  it('says how this machine turns its polarity, and how its arc starts', () => {
    const powerSources = demo.powerSources.map((one) => ({ ...one, polarityChange: 'plug' as const }))
    const plugged = steps(on('yard-cored'), on('bay-2-wire', {}, { ...demo, powerSources }))
    expect(plugged).toContain('polarity: dcep-wire, plug ! polarity-forgotten')
    const lift = steps(on('bench-tig-dc', { start: 'scratch' }), on('bench-tig-dc', { start: 'lift' }))
    expect(lift).toEqual(['arc-start: lift', ...END])
  })
  it('takes the minutes of its own step alone', () => {
    const timed = { ...on('yard-cored'), timings: [{ step: 'liner' as const, minutes: 60 }] }
    const minutes = changeoverBetween(demo.shop, timed, on('bay-2-wire')).steps.map(
      ({ code, timed: times }) => [code, times],
    )
    expect(minutes.filter(([, times]) => times !== 0)).toEqual([['liner', 1]])
  })

  it('to another groove of the same roll turns it', () => {
    const grooves = [
      { form: 'v-knurled', wireMinMm: 0.9, wireMaxMm: 0.9 },
      { form: 'v-smooth', wireMinMm: 1.1, wireMaxMm: 1.2 },
    ] as const
    const parts = demo.parts.map((one) =>
      one.id === 'roll-tarn-v-smooth-0045' ? { ...one, grooves: [...grooves] } : one,
    ) as typeof demo.parts
    const shelf = { ...demo, parts }
    const turned = (from: string, to: string): readonly string[] =>
      steps(on('bay-3-spray', { wireId: from }, shelf), on('bay-3-spray', { wireId: to }, shelf)).filter(
        (one) => one.startsWith('roll'),
      )
    expect(turned('er70s6-035', 'er70s6-045')).toEqual([
      expect.stringMatching(/^roll-turn: .*, v-smooth, 1.2 mm diameter ! knurled-to-smooth$/),
    ])
    expect(turned('er70s6-045', 'er70s6-035')).toEqual([
      expect.stringMatching(/^roll-turn: .*, v-knurled, 0.9 mm diameter$/),
    ])
    expect(turned('e71t1-045', 'er70s6-045')).toEqual([])
  })
})

describe('what it uses up', () => {
  const waste = { wireMm: 1000, gasL: 354 }
  const priced = (part: object) => {
    const wires = demo.wires.map((one) => ({
      ...one,
      diameterMm: 1,
      packageG: 1000,
      packagePrice: 10,
      ...part,
    }))
    return on('bay-2-wire', {}, { ...demo, wires: wires as typeof demo.wires })
  }
  it('is steel by its weight and gas by its volume, at what the package costs', () => {
    const gases = demo.gases.map((one) => ({ ...one, fullL: 3540, refillPrice: 46 }))
    const next = on('bay-2-wire', {}, { ...demo, gases })
    // A metre of 1 mm steel is 6.17 g (7.85 g/cm3): 6.17 cents of a kilogram at 10.
    expect(wasteCostOf({ waste: { ...waste, gasL: 0 } }, priced({}), next)).toBeCloseTo(0.0617, 3)
    expect(wasteCostOf({ waste: { ...waste, wireMm: 0 } }, priced({}), next)).toBeCloseTo(4.6, 6)
    expect(wasteCostOf({ waste }, priced({}), next)).toBeCloseTo(4.6617, 3)
  })
  it('is nothing where nothing is used, and unknown where a price is missing', () => {
    const none = { wireMm: 0, gasL: 0 }
    expect(wasteCostOf({ waste: none }, null, on('yard-stick'))).toBe(0)
    expect(
      wasteCostOf({ waste: { ...waste, gasL: 0 } }, priced({ packagePrice: null }), on('bay-2-wire')),
    ).toBeNull()
    const gases = demo.gases.map((one) => ({ ...one, refillPrice: null }))
    expect(wasteCostOf({ waste }, priced({}), on('bay-2-wire', {}, { ...demo, gases }))).toBeNull()
  })
})

it('the tension is that of the path that feeds the wire: gun before machine before feeder', () => {
  const path = (mark: string) => ({ tensionMarks: [{ form: 'solid', mark }] }) as never
  const wire = { form: 'solid' } as never
  const marks = (gun: unknown, powerSource: unknown, feeder: unknown) =>
    tensionMarkOf({ gun, powerSource, feeder, wire } as never)
  expect(marks({ feeder: path('1') }, { feeder: path('2') }, path('3'))).toBe('1')
  expect(marks({ feeder: null }, { feeder: path('2') }, path('3'))).toBe('2')
  expect(marks(null, { feeder: null }, path('3'))).toBe('3')
  expect(marks(null, null, null)).toBeNull()
  expect(
    tensionMarkOf({ gun: null, powerSource: null, feeder: path('3'), wire: { form: 'rod' } } as never),
  ).toBeNull()
  expect(tensionMarkOf({ gun: null, powerSource: null, feeder: path('3'), wire: null } as never)).toBeNull()
})

it('the middle of some figures is the one, or the mean of the two', () => {
  expect([median([9, 1, 5]), median([4, 2]), median([7]), median([10, 1, 3, 2])]).toEqual([5, 3, 7, 2.5])
})

it('a machine is handed over as its set-up leaves it', () => {
  const said = (id: string): readonly string[] => [...handOverOf(on(id))]
  const end = ['gun-hung', 'clamp-hung', 'power-off']
  expect(said('bay-2-wire')).toEqual(['state-said', 'gas-closed', 'wire-tied', ...end])
  expect(said('yard-cored')).toEqual(['state-said', 'wire-tied', ...end])
  expect(said('yard-stick')).toEqual(['state-said', 'rods-dry', ...end])
  expect(said('bench-tig-dc')).toEqual(['state-said', 'gas-closed', ...end])
  expect(handOverOf({ parts: { ...on('yard-stick').parts, wire: null } })).toEqual(['state-said', ...end])
})
