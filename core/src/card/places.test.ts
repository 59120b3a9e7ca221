/** Every place of a card, filled or with its reason, and every figure: what hands find on the machine. Facts of the trade: common practice, no source. */
import { describe, expect, it } from 'vitest'
import { fitJob, type FitInput } from '../fit/fit.ts'
import type { Joint } from '../kinds/job.ts'
import { demoShop } from '../testing/samples.ts'
import { partsOf } from '../fit/document.ts'
import { cardOf } from './card.ts'
import type { CardPlace } from './rows.ts'

const demo = demoShop()
/** Of any set-up, one on an engine too. */
function inputOf(jobId: string, setUpId: string): FitInput {
  const job = demo.jobs.find(({ id }) => id === jobId)
  const setUp = demo.setUps.find(({ id }) => id === setUpId)
  const parts = setUp && partsOf(setUp, demo)
  if (!job || !setUp || !parts?.ok) throw new Error(`the demo has no ${jobId} with ${setUpId}`)
  return { shop: demo.shop, job, setUp, ...parts.parts }
}
const wire = () => inputOf('press-frame', 'bay-2-wire')
const spool = () => inputOf('picking-platform', 'spool-gun')
const cored = () => inputOf('loader-fork', 'yard-cored')
const tig = () => inputOf('pressing-tray', 'bench-tig-dc')
const ac = () => inputOf('picking-platform', 'bench-tig-ac')
const stick = () => inputOf('loader-fork', 'yard-stick')

const withSource = (input: FitInput, part: object): FitInput => ({
  ...input,
  powerSource: { ...input.powerSource, ...part },
})
const withGun = (input: FitInput, part: object): FitInput => {
  if (!input.gun) throw new Error('it has no gun')
  return { ...input, gun: { ...input.gun, ...part } }
}
const withJoint = (input: FitInput, part: Partial<Joint>): FitInput => ({
  ...input,
  job: { ...input.job, joints: input.job.joints.map((joint) => ({ ...joint, ...part })) },
})
const placeOf = (input: FitInput, place: CardPlace) => {
  const row = cardOf(input, '').rows.find((one) => one.place === place)
  return row && { code: row.told.code, isMissing: row.isMissing, params: row.told.params }
}
const codeOf = (input: FitInput, place: CardPlace): string => {
  const found = placeOf(input, place)
  return found ? `${found.code}${found.isMissing ? ', missing' : ''}` : 'none'
}
const figureOf = (input: FitInput, id: string) => {
  const found = cardOf(input, '').figures.find((one) => one.id === id)
  return found && [found.value.code, ...found.notes.map(({ code }) => code)]
}

describe('the supply', () => {
  it('is a circuit, its links or plug where the machine has them, or an engine', () => {
    expect(codeOf(withSource(wire(), { supplyChange: null }), 'supply')).toBe('supply')
    expect(codeOf(withSource(wire(), { supplyChange: 'links' }), 'supply')).toBe('supply-links')
    expect(codeOf(withSource(wire(), { supplyChange: 'plug' }), 'supply')).toBe('supply-plug')
    expect(codeOf({ ...wire(), circuit: null }, 'supply')).toBe('no-circuit, missing')
    expect(codeOf(inputOf('loader-fork', 'heath-stick'), 'supply')).toBe('engine')
  })
  it('says what the links are set to, the volts of the circuit where nobody has said', () => {
    const set = (linksSetV: number | null) =>
      placeOf({ ...wire(), setUp: { ...wire().setUp, linksSetV } }, 'supply')?.params['set']
    expect(set(208)).toMatchObject({ value: 208 })
    expect(set(null)).toMatchObject({ value: wire().circuit?.voltageV })
  })
})

describe('the path of the wire', () => {
  it('has each part by its name, and says of each that is not chosen that it is missing', () => {
    expect(codeOf(wire(), 'wire')).toBe('wire')
    expect(codeOf(wire(), 'rolls')).toBe('rolls')
    expect(codeOf({ ...wire(), roll: null }, 'rolls')).toBe('no-roll, missing')
    expect(codeOf({ ...wire(), wire: null }, 'rolls')).toBe('no-wire, missing')
    expect(codeOf({ ...wire(), wire: null }, 'wire')).toBe('no-wire, missing')
    expect(codeOf(wire(), 'liner')).toBe('liner')
    expect(codeOf({ ...wire(), liner: null }, 'liner')).toBe('no-liner, missing')
    expect(codeOf(wire(), 'tip')).toBe('tip')
    expect(codeOf({ ...wire(), tip: null }, 'tip')).toBe('no-tip, missing')
    expect(codeOf({ ...wire(), nozzle: null }, 'nozzle')).toBe('no-nozzle, missing')
    expect(codeOf(wire(), 'gun')).toBe('gun')
    expect(codeOf({ ...wire(), gun: null as never }, 'gun')).toBe('no-gun, missing')
    expect(codeOf(wire(), 'inlet')).toBe('inlet')
    expect(placeOf(wire(), 'rolls')?.params).toMatchObject({
      groove: { word: 'groove', code: 'v-smooth' },
      size: { value: wire().wire?.diameterMm },
    })
  })
  it('calls each by the name that it has on the shelf', () => {
    const named = (input: FitInput, place: CardPlace) => placeOf(input, place)?.params
    const { wire: spooled, liner, tip, roll } = wire()
    expect(named(wire(), 'wire')).toEqual({ wire: spooled?.name })
    expect(named(spool(), 'wire')).toEqual({ wire: spool().wire?.name })
    expect(named(wire(), 'liner')).toEqual({ liner: liner?.name })
    expect(named(wire(), 'tip')).toEqual({ tip: tip?.name })
    expect(named(wire(), 'rolls')).toMatchObject({ roll: roll?.name })
    expect(named(stick(), 'holder')).toEqual({ gun: stick().gun?.name })
    expect(named(stick(), 'electrode')).toEqual({ wire: stick().wire?.name })
  })
  it('is in the gun where a spool is in it, and aluminium runs with a light brake and tension', () => {
    const codes = (['wire', 'rolls', 'inlet', 'liner', 'gun', 'brake', 'tension'] as const).map((place) =>
      codeOf(spool(), place),
    )
    expect(codes).toEqual([
      'wire-in-gun',
      'rolls-in-gun',
      'inlet-none',
      'liner-short',
      'gun-spool',
      'brake-light',
      'tension-light',
    ])
    expect(codeOf(withGun(wire(), { drive: 'push-pull' }), 'gun')).toBe('gun-push-pull')
    expect(codeOf(wire(), 'brake')).toBe('brake')
  })
  it('has the mark of the tension where one is recorded, and none without a feeder', () => {
    expect(codeOf(wire(), 'tension')).toBe('tension-mark')
    const { feeder } = wire().powerSource
    const unmarked = withSource(wire(), { feeder: { ...feeder, tensionMarks: [] } })
    expect(codeOf(unmarked, 'tension')).toBe('tension')
    expect(codeOf(withSource(wire(), { feeder: null }), 'tension')).toBe('no-feeder, missing')
  })
  it('ends in a nozzle whose tip is flush, back or out, or that needs no gas', () => {
    const nozzle = (part: object) => ({ ...wire(), nozzle: { ...wire().nozzle, ...part } }) as FitInput
    expect(codeOf(nozzle({ tipRecessMm: null }), 'nozzle')).toBe('nozzle-flush')
    expect(codeOf(nozzle({ tipRecessMm: 0 }), 'nozzle')).toBe('nozzle-flush')
    expect(placeOf(nozzle({ tipRecessMm: 3 }), 'nozzle')).toMatchObject({
      code: 'nozzle-recessed',
      params: { by: { value: 3 } },
    })
    expect(placeOf(nozzle({ tipRecessMm: -3 }), 'nozzle')).toMatchObject({
      code: 'nozzle-out',
      params: { by: { value: 3 } },
    })
    expect(codeOf(nozzle({ gasless: true, tipRecessMm: 3 }), 'nozzle')).toBe('nozzle-gasless')
    expect(codeOf(cored(), 'nozzle')).toBe('nozzle-gasless')
  })
})

describe('the gas', () => {
  it('has its bottle and its regulator, CO₂ its own; a wire that shields itself has neither', () => {
    expect([codeOf(wire(), 'gas-bottle'), codeOf(wire(), 'regulator'), codeOf(wire(), 'o-rings')]).toEqual([
      'bottle',
      'meter',
      'o-rings',
    ])
    const co2 = demo.gases.find(({ id }) => id === 'co2') ?? null
    expect(codeOf({ ...wire(), gas: co2 }, 'gas-bottle')).toBe('bottle-co2')
    expect(codeOf({ ...wire(), gas: null }, 'gas-bottle')).toBe('no-gas-chosen, missing')
    expect(codeOf({ ...wire(), flowMeter: null }, 'regulator')).toBe('no-meter, missing')
    expect([codeOf(cored(), 'gas-bottle'), codeOf(cored(), 'regulator'), codeOf(cored(), 'o-rings')]).toEqual(
      ['no-gas-needed', 'no-meter-needed', 'o-rings-no-gas'],
    )
  })
})

describe('the torch', () => {
  it('has tungsten, its parts, cup and rod, each missing where it is not chosen', () => {
    expect(codeOf(tig(), 'tungsten')).toBe('tungsten')
    expect(codeOf({ ...tig(), tungsten: null }, 'tungsten')).toBe('no-tungsten, missing')
    expect(codeOf(tig(), 'torch-parts')).toBe('torch-parts')
    for (const part of ['collet', 'colletBody', 'backCap'] as const)
      expect(codeOf({ ...tig(), [part]: null }, 'torch-parts'), part).toBe('no-torch-parts, missing')
    expect(codeOf(tig(), 'cup')).toBe('cup')
    expect(codeOf({ ...tig(), cup: null }, 'cup')).toBe('no-cup, missing')
    expect(codeOf(tig(), 'wire')).toBe('rod')
    expect(codeOf({ ...tig(), wire: null }, 'wire')).toBe('no-rod')
    expect([codeOf(tig(), 'grind'), codeOf(ac(), 'grind')]).toEqual(['grind-dc', 'grind-ac'])
  })
  it('starts as the owner says, else as the machine does first', () => {
    const start = (input: FitInput) => placeOf(input, 'arc-start')?.params['start']
    const set = (value: 'lift' | null) => ({ ...tig(), setUp: { ...tig().setUp, start: value } })
    expect(start(set('lift'))).toEqual({ word: 'start', code: 'lift' })
    expect(start(withSource(set(null), { start: ['high-frequency', 'lift'] }))).toEqual({
      word: 'start',
      code: 'high-frequency',
    })
    expect(codeOf(withSource(set(null), { start: [] }), 'arc-start')).toBe('no-arc-start, missing')
  })
  it('opens its gas by hand where the machine does not', () => {
    const valve = (valve: boolean | null, gasValve: boolean | null) =>
      codeOf(withGun(withSource(tig(), { gasValve }), { valve }), 'valve')
    expect([valve(true, false), valve(true, null), valve(true, true), valve(false, true)]).toEqual([
      'valve-hand',
      'valve-hand',
      'valve-machine',
      'valve-machine',
    ])
    expect([valve(false, false), valve(null, null)]).toEqual(['no-valve, missing', 'no-valve, missing'])
  })
  it('slopes up and down, and flows before and after', () => {
    expect([codeOf(tig(), 'flows'), codeOf(tig(), 'slopes'), codeOf(tig(), 'pedal')]).toEqual([
      'flows',
      'slopes',
      'pedal',
    ])
    const { shop } = tig()
    const input = {
      ...tig(),
      shop: { ...shop, assumptions: { ...shop.assumptions, upSlopeS: 1, downSlopeS: 4 } },
    }
    expect(placeOf(input, 'slopes')?.params).toMatchObject({ up: { value: 1 }, down: { value: 4 } })
  })
  it('alternates as far as the machine sets it', () => {
    const set = (acBalance: object | null, acFrequency: object | null) =>
      codeOf(withSource(ac(), { acBalance, acFrequency }), 'alternating')
    const [balance, frequency] = [
      { minPct: 15, maxPct: 50 },
      { minHz: 20, maxHz: 250 },
    ]
    expect(set(balance, frequency)).toBe('alternating')
    expect(set(balance, null)).toBe('balance')
    expect(set(null, frequency)).toBe('frequency')
    expect(set(null, null)).toBe('ac-fixed')
    // Some 30 % cleaning at 100 to 150 Hz, as most are set to begin with; a machine that does not go so far as far as it goes.
    const valueOf = (of: 'share' | 'hz', acBalance: object | null, acFrequency: object | null): number => {
      const param = placeOf(withSource(ac(), { acBalance, acFrequency }), 'alternating')?.params[of]
      return (param as { readonly value: number } | undefined)?.value ?? 0
    }
    expect(valueOf('share', balance, frequency)).toBeGreaterThanOrEqual(25)
    expect(valueOf('share', balance, frequency)).toBeLessThanOrEqual(35)
    expect(valueOf('hz', balance, frequency)).toBeGreaterThanOrEqual(80)
    expect(valueOf('hz', balance, frequency)).toBeLessThanOrEqual(150)
    expect(valueOf('share', { minPct: 40, maxPct: 50 }, null)).toBe(40)
    expect(valueOf('hz', null, { minHz: 20, maxHz: 60 })).toBe(60)
    expect(codeOf(tig(), 'alternating')).toBe('dc')
  })
})

describe('the holder', () => {
  it('has its electrode, low-hydrogen ones out of the oven', () => {
    expect([codeOf(stick(), 'holder'), codeOf(stick(), 'electrode')]).toEqual(['holder', 'electrode'])
    expect(codeOf({ ...stick(), gun: null as never }, 'holder')).toBe('no-gun, missing')
    expect(codeOf({ ...stick(), wire: null }, 'electrode')).toBe('no-wire, missing')
    expect(codeOf(stick(), 'storage')).toBe('storage-low-hydrogen')
    const rutile = demo.wires.find(({ id }) => id === 'e6013-332') ?? null
    expect(codeOf({ ...stick(), wire: rutile }, 'storage')).toBe('storage')
    expect(codeOf({ ...stick(), wire: null }, 'storage')).toBe('storage')
  })
})

describe('the parts', () => {
  it('are cleaned with a solvent where nothing is forgiven: aluminium, and TIG', () => {
    expect([codeOf(wire(), 'solvent'), codeOf(tig(), 'solvent'), codeOf(spool(), 'solvent')]).toEqual([
      'solvent-if-oily',
      'solvent',
      'solvent',
    ])
  })
  it('are warmed where the job asks for it', () => {
    expect(codeOf(wire(), 'preheat')).toBe('no-preheat')
    const warm = { ...wire(), job: { ...wire().job, preheatC: 110 } }
    expect(placeOf(warm, 'preheat')).toMatchObject({ code: 'preheat', params: { to: { value: 110 } } })
  })
  it('are tacked at both ends, and between as the shop does', () => {
    const tacks = (lengthMm: number, tackEveryMm: number) => {
      const { shop } = wire()
      const input = { ...wire(), shop: { ...shop, assumptions: { ...shop.assumptions, tackEveryMm } } }
      return placeOf(withJoint(input, { lengthMm }), 'tacks')?.params['count']
    }
    expect(tacks(100, 150)).toMatchObject({ value: 2 })
    expect(tacks(310, 150)).toMatchObject({ value: 4 })
    expect(tacks(20, 150)).toMatchObject({ value: 2 })
  })
  it('are set on a panel that is covered by its program, by hand, or by the amps alone', () => {
    expect(codeOf(wire(), 'panel')).toMatch(/^panel-(by-hand|program)$/)
    expect(codeOf(tig(), 'panel')).toBe('panel')
    expect(codeOf(stick(), 'panel')).toBe('panel')
  })
})

describe('the figures', () => {
  it('by wire are volts, wire speed, amps to expect, gas, tip to work and travel', () => {
    expect(cardOf(wire(), '').figures.map(({ id }) => id)).toEqual([
      'volts',
      'feed',
      'amps',
      'gas',
      'tip-to-work',
      'travel',
    ])
    expect(figureOf(wire(), 'volts')?.slice(0, 2)).toEqual(['value', 'band'])
    expect(figureOf(wire(), 'amps')).toEqual(['value', 'band', 'amps-expected'])
    expect(figureOf(wire(), 'gas')).toEqual(['value', 'plain'])
    expect(figureOf(cored(), 'gas')).toEqual(['no-gas', 'no-gas-why'])
    expect(figureOf({ ...wire(), gas: null }, 'gas')?.at(-1)).toBe('gas-missing')
    expect(figureOf({ ...wire(), wire: null }, 'feed')).toEqual(['wire-missing'])
    expect(figureOf({ ...wire(), wire: null }, 'travel')).toEqual(['no-travel'])
  })
  it('of a dial are its mark, of taps the nearest tap: a hot one burns off more wire, a cold one less', () => {
    expect(figureOf(withSource(wire(), { voltageSteps: null }), 'volts')).toEqual(['value', 'band'])
    const wantedV = fitJob(wire()).settings[0]?.arcV ?? 0
    const { processes } = wire().powerSource
    const notes = (offV: number, voltageSteps: number | null) => {
      const voltsDial = [{ mark: '3', value: wantedV + offV }]
      const tapped = withSource(wire(), {
        voltageSteps,
        processes: processes.map((one) => ({
          ...one,
          supplies: one.supplies.map((supply) => ({ ...supply, voltsDial })),
        })),
      })
      return cardOf(tapped, '').figures.find(({ id }) => id === 'volts')?.notes ?? []
    }
    const codes = (offV: number, steps: number | null) => notes(offV, steps).map(({ code }) => code)
    expect(codes(1.2, 4)).toEqual(['band', 'tap', 'tap-off-more'])
    expect(codes(-1.2, 4)).toEqual(['band', 'tap', 'tap-off-less'])
    expect(codes(0, 4)).toEqual(['band', 'tap'])
    expect(codes(0, null)).toEqual(['band', 'dial'])
    const said = (offV: number) => notes(offV, 4).find(({ code }) => code.startsWith('tap-off'))?.params
    for (const [offV, side] of [
      [1.2, 'hot'],
      [-1.2, 'cold'],
    ] as const) {
      expect(said(offV)).toMatchObject({
        side: { code: side },
        off: { value: expect.closeTo(1.2, 6) as number },
        by: { value: expect.any(Number) as number },
      })
    }
  })
  it('by TIG are amps, gas, post-flow, stick-out, arc length and travel', () => {
    expect(cardOf(tig(), '').figures.map(({ id }) => id)).toEqual([
      'amps',
      'gas',
      'post-flow',
      'stick-out',
      'arc-length',
      'travel',
    ])
    expect(figureOf(tig(), 'post-flow')).toEqual(['value'])
    expect(figureOf(tig(), 'stick-out')).toEqual(['value', 'at-most'])
    expect(figureOf({ ...tig(), cup: null }, 'stick-out')).toEqual(['cup-missing'])
    const set = { ...tig(), setUp: { ...tig().setUp, stickOutMm: 5 } }
    expect(figureOf({ ...set, cup: null }, 'stick-out')).toEqual(['value'])
    expect(cardOf(set, '').figures.find(({ id }) => id === 'stick-out')?.value.params).toMatchObject({
      value: { value: 5 },
    })
  })
  // A cup is numbered in sixteenths of an inch inside: the tungsten stands out no further than it is wide.
  it('of the stick-out are the width of the cup at most, half as much again with a lens', () => {
    const most = (input: FitInput) => {
      const found = cardOf(input, '').figures.find(({ id }) => id === 'stick-out')
      return (found?.notes[0]?.params['most'] as { value: number } | undefined)?.value
    }
    const cup = (number: number) => ({ ...tig(), cup: { ...tig().cup, number } }) as FitInput
    expect(most(cup(8))).toBeCloseTo(12.7, 6)
    const lens = { ...cup(8), colletBody: { ...tig().colletBody, gasLens: true } } as FitInput
    expect(most(lens)).toBeCloseTo(19.05, 6)
    const start = (input: FitInput) => {
      const found = cardOf(input, '').figures.find(({ id }) => id === 'stick-out')
      return (found?.value.params['value'] as { value: number } | undefined)?.value
    }
    expect(start(cup(8))).toBeCloseTo(6.35, 6)
    expect(start(cup(3))).toBeCloseTo((3 / 16) * 25.4, 6)
  })
  it('by stick are amps, the volts of the arc, its length as the core, no gas and travel', () => {
    expect(cardOf(stick(), '').figures.map(({ id }) => id)).toEqual([
      'amps',
      'volts',
      'arc-length',
      'gas',
      'travel',
    ])
    expect(figureOf(stick(), 'arc-length')).toEqual(['value', 'as-the-core'])
    expect(figureOf({ ...stick(), wire: null }, 'arc-length')).toEqual(['wire-missing', 'as-the-core'])
  })
  it('of travel are a length and its time, and round a tube the turns of its table', () => {
    expect(figureOf(wire(), 'travel')).toEqual(['value', 'travel-over'])
    const round = withJoint(wire(), { around: true, diameterMm: 114.3 })
    expect(figureOf(round, 'travel')).toEqual(['value', 'turntable', 'travel-over'])
    expect(figureOf(withJoint(wire(), { around: false, diameterMm: 114.3 }), 'travel')).not.toContain(
      'turntable',
    )
    // Of a stitch the length of one piece.
    const over = (input: FitInput) => {
      const found = cardOf(input, '').figures.find(({ id }) => id === 'travel')
      return (found?.notes.at(-1)?.params['length'] as { value: number } | undefined)?.value
    }
    const stitch = { pattern: 'intermittent', segmentMm: 50, pitchMm: 100, lengthMm: 400 } as const
    expect(over(withJoint(wire(), stitch))).toBe(50)
    expect(over(withJoint(wire(), { lengthMm: 400 }))).toBe(400)
  })
})

describe('the rest of the card', () => {
  it('takes the weld with the highest current where the weld is none of the job', () => {
    const post = inputOf('press-screw-post', 'bay-2-wire')
    const [first, second] = post.job.joints
    expect(cardOf(post, second?.id ?? '').jointId).toBe(second?.id)
    expect(cardOf(post, 'gone').jointId).toBe(first?.id)
  })
  it('says how the leads change: by themselves on AC, else as the machine does', () => {
    expect(cardOf(ac(), '').leads).toMatchObject({ polarity: 'ac', way: 'automatic', electrode: 'tungsten' })
    expect(cardOf(withSource(wire(), { polarityChange: 'links' }), '').leads.way).toBe('links')
  })
  it('paces the hand by what the machine allows: free, or so much rest in ten minutes', () => {
    const pace = (input: FitInput) => cardOf(input, '').pace
    const slow = { ...wire(), job: { ...wire().job, pauseS: 600 } }
    expect(pace(slow).code).toBe('pace-free')
    expect(pace({ ...wire(), wire: null }).code).toBe('pace-unknown')
    const rest = pace(wire())
    expect(rest.code).toBe('pace-rest')
    const seconds = (name: string) => (rest.params[name] as { value: number }).value
    expect(seconds('weld') + seconds('rest')).toBe(600)
    expect(seconds('weld')).toBeCloseTo(6 * seconds('allows'), -1)
  })
  it('says whether wire and gas last for the job, or at which weld they end, or that nobody has counted them', () => {
    const uses = (amounts: readonly (readonly [string, number])[]) =>
      cardOf({ ...wire(), stock: amounts.map(([id, amount]) => ({ id, amount })) }, '').uses.map(
        ({ code }) => code,
      )
    const [ofWire, ofGas] = [`wire.${wire().wire?.id}`, `gas.${wire().gas?.id}`]
    expect(uses([])).toEqual(['uses', 'wire-not-counted', 'gas-not-counted'])
    expect(
      uses([
        [ofWire, 1e6],
        [ofGas, 1e5],
      ]),
    ).toEqual(['uses', 'wire-lasts', 'gas-lasts', 'gauge-after'])
    expect(
      uses([
        [ofWire, 1],
        [ofGas, 1],
      ]),
    ).toEqual(['uses', 'wire-ends', 'gas-ends'])
    const counted = cardOf({ ...wire(), stock: [{ id: ofGas, amount: 1e5 }] }, '').uses
    expect(counted.find(({ code }) => code === 'gauge-after')?.params['gauge']).toMatch(/^\d+ psi$/)
    expect(cardOf(cored(), '').uses.map(({ code }) => code)[0]).toBe('uses-filler')
  })
  it('says in how many passes, and what is against it but for what only follows from it', () => {
    expect(cardOf(withJoint(wire(), { passes: 1 }), '').passes.code).toBe('one-pass')
    expect(cardOf(withJoint(wire(), { passes: 3 }), '').passes.code).toMatch(/^passes/)
    const against = cardOf({ ...wire(), tip: null }, '').against
    for (const { verdict } of against) expect(['fails', 'unknown']).toContain(verdict)
    expect(cardOf(wire(), '').against).toEqual([])
    expect(cardOf(inputOf('picking-platform', 'bay-2-wire'), '').against.length).toBeGreaterThan(0)
  })
  it('names the set-up that is on the machine, where that is recorded', () => {
    const [present] = demo.presentSetUps
    expect(cardOf(wire(), '').onMachineNow).toBe(
      demo.presentSetUps.find(({ id }) => id === 'quillon-210')?.name ?? null,
    )
    expect(present).toBeDefined()
  })
})
