import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoInput, demoShop } from '../testing/samples.ts'
import { fitJob, type FitInput } from '../fit/fit.ts'
import { partsOf } from '../fit/document.ts'
import { speechOf } from '../words/speech.ts'
import { spokenCard } from '../words/spokenCard.ts'
import { fitOut } from '../assembly/fitOut.ts'
import { type Capability, capabilityOf, NOTHING_SET } from '../capability/capability.ts'
import { type Chosen, emptyChoice, idsOf } from '../capability/slots.ts'
import { PROCESS_IDS } from '../model/process.ts'
import { PROCESSES } from '../reference/processes.ts'
import { runs } from '../testing/runs.ts'
import { shelves } from '../testing/shelves.ts'
import { cardOf } from './card.ts'
import { lastsOf } from './lasts.ts'

const demo = demoShop()
const speech = speechOf(demo.shop)
const said = (input: FitInput, jointId?: string) =>
  spokenCard(speech, cardOf(input, jointId ?? input.job.joints[0]?.id ?? ''))

/** Every demo job with every demo set-up whose parts are there. */
const PAIRS = demo.jobs.flatMap((job) =>
  demo.setUps.flatMap((setUp) => {
    const parts = partsOf(setUp, demo)
    return parts.ok ? [{ shop: demo.shop, job, setUp, ...parts.parts } as FitInput] : []
  }),
)

/** What is in each place of a set-up, as plain data. */
const partsIn = (capability: Capability): Chosen =>
  Object.fromEntries(
    Object.keys(emptyChoice()).map((key) => [key, capability[key as keyof Chosen]]),
  ) as Chosen

function everyText(value: unknown): readonly string[] {
  if (typeof value === 'string') return [value]
  if (Array.isArray(value)) return value.flatMap(everyText)
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(everyText) : []
}

describe('the press frame in bay 2', () => {
  const input = demoInput('press-frame', 'bay-2-wire')
  const spoken = () => said(input)
  const valueOf = (id: string) => spoken().figures.find((one) => one.id === id)
  const rowOf = (place: string) => spoken().rows.find((one) => one.place === place)?.text

  it('shows six figures, each with its band', () => {
    expect(spoken().figures.map(({ id }) => id)).toEqual([
      'volts',
      'feed',
      'amps',
      'gas',
      'tip-to-work',
      'travel',
    ])
    // 0.035 in 75/25 on 1/4 in: some 190 A, 20.5 V, 340 in/min (practice, see docs/practice.md).
    expect(valueOf('volts')).toMatchObject({ value: '20.5', unit: '' })
    expect(valueOf('amps')).toMatchObject({ value: '190', unit: '' })
    expect(valueOf('tip-to-work')).toMatchObject({ value: '3/8–1/2', unit: 'in' })
  })
  it('says the travel as a time over the weld’s own length', () => {
    const travel = valueOf('travel')
    const inPerMin = travel?.value
    const [, seconds] = /^8 in in (\d+) s$/.exec(travel?.notes[0] ?? '') ?? []
    expect(Number(seconds)).toBeCloseTo((8 / Number(inPerMin)) * 60, -0.5)
  })
  it('puts the gun on plus (solid wire, DCEP)', () => {
    expect(spoken().leads.text).toBe('Gun on plus (+), work clamp on minus (−)')
  })
  it('names the feeder’s mark, the groove and the trim of the liner', () => {
    expect(rowOf('tension')).toContain('Mark 3')
    expect(rowOf('rolls')).toContain('Smooth V')
    expect(rowOf('liner')).toContain('near the rolls without touching')
  })
  it('sends to the changeover first where other wire is on the machine', () => {
    expect(spoken().steps[0]).toMatchObject({ code: 'change-over' })
    const bare = spokenCard(speech, cardOf({ ...input, bench: null }, ''))
    expect(bare.steps[0]?.code).toBe('change-over')
    const on = demo.presentSetUps.map((one) =>
      one.id === 'quillon-210' ? { ...one, ...input.setUp, id: one.id, setUpId: 'bay-2-wire' } : one,
    )
    const there = cardOf({ ...input, bench: { ...demo, presentSetUps: on } }, '')
    expect(there.changeover.steps).toEqual([])
    expect(there.onMachineNow).toBe('Bay 2 wire')
    expect(spokenCard(speech, there).steps[0]?.code).toBe('unplug')
  })
  it('has each hazard at its step', () => {
    const hazardOf = (code: string) => spoken().steps.find((one) => one.code === code)?.hazard
    expect(hazardOf('feed')).toContain('live')
    expect(hazardOf('gas')).toContain('Stand aside')
    expect(hazardOf('unplug')).toContain('Unplug')
  })
  it('gives the pace where the source limits it: together ten minutes', () => {
    const [, weldMin, weldS, restMin, restS] =
      /^Weld (\d+) min (\d+) s, then rest (\d+) min (\d+) s/.exec(spoken().pace) ?? []
    expect(Number(weldMin) * 60 + Number(weldS) + Number(restMin) * 60 + Number(restS)).toBe(600)
  })
})

describe('other processes', () => {
  it('TIG on DC: torch on minus, a point, post-flow, and no tip', () => {
    const spoken = said(demoInput('pressing-tray', 'bench-tig-dc'))
    expect(spoken.leads.text).toContain('Torch on minus')
    expect(spoken.figures.map(({ id }) => id)).toContain('post-flow')
    expect(spoken.rows.map(({ place }) => place)).not.toContain('tip')
  })
  it('a girth seam says how fast a turntable turns: travel over the circumference', () => {
    const input = demoInput('tank-manifold', 'bench-tig-316')
    const girth = input.job.joints.find(({ around }) => around)
    const travel = said(input, girth?.id).figures.find(({ id }) => id === 'travel')
    const rpm = Number(/^([\d.]+) rpm on a turntable$/.exec(travel?.notes[0] ?? '')?.[1])
    // in/min over π times the diameter in inches.
    expect(rpm).toBeCloseTo(Number(travel?.value) / (Math.PI * ((girth?.diameterMm ?? NaN) / 25.4)), 1)
  })
  it('TIG on aluminium: AC from the panel', () => {
    const spoken = said(demoInput('picking-platform', 'bench-tig-ac'))
    expect(spoken.leads).toMatchObject({ text: 'AC', way: 'set on the panel' })
    expect(spoken.rows.find(({ place }) => place === 'solvent')?.text).toContain('never chlorinated')
  })
  it('low-hydrogen rods come out of the oven (AWS D1.1, 5.3.2, from memory)', () => {
    const spoken = said(demoInput('loader-fork', 'yard-stick'))
    expect(spoken.rows.find(({ place }) => place === 'storage')?.text).toContain('oven')
  })
  it('an open groove has its root pass and its fill passes apart, the root colder (common practice, no source)', () => {
    const spoken = said(demoInput('loader-fork', 'yard-cored'))
    expect(
      spoken.passSettings.map((line) => /^(\d+) (root|fill) pass(?:es)?: (\d+) A/.exec(line)?.[2]),
    ).toEqual(['root', 'fill'])
    const amps = spoken.passSettings.map((line) => Number(/(\d+) A/.exec(line)?.[1]))
    expect(amps[0]).toBeLessThan(amps[1] ?? 0)
  })
  it('a preheat says how to measure it and how long it takes', () => {
    const tray = demoInput('loader-fork', 'yard-cored')
    const warm = said({ ...tray, job: { ...tray.job, preheatC: 110 } }).rows.find(
      ({ place }) => place === 'preheat',
    )
    // 230 °F.
    expect(warm?.text).toMatch(/^230 °F, about \d+ (s|min).* with a burner\. Measure 3 in/)
  })
  it('self-shielded wire needs no gas, and runs with the gun on minus', () => {
    const spoken = said(demoInput('loader-fork', 'yard-cored'))
    expect(spoken.figures.find(({ id }) => id === 'gas')?.value).toBe('none')
    expect(spoken.leads.text).toContain('Gun on minus')
    expect(spoken.steps.map(({ code }) => code)).not.toContain('gas')
  })
})

describe('every card', () => {
  it('has all its places filled, or says why not: no empty text, no open placeholder', () => {
    expect(PAIRS.length).toBeGreaterThan(90)
    for (const input of PAIRS)
      for (const joint of input.job.joints) {
        const spoken = said(input, joint.id)
        const { leads, ...rest } = spoken
        for (const text of everyText([
          { ...rest, figures: rest.figures.map(({ unit: _unit, ...figure }) => figure) },
          leads.text,
        ])) {
          expect(text).not.toMatch(/[{}]|undefined|NaN|null/)
          expect(text).not.toBe('')
        }
        expect(spoken.figures.length).toBeGreaterThanOrEqual(5)
        expect(spoken.symptoms).toHaveLength(6)
        expect(new Set(spoken.rows.map(({ place }) => place)).size).toBe(spoken.rows.length)
      }
  })
  it('is filled or says why not for every set-up that can be put together, of any shelf', () => {
    fc.assert(
      fc.property(
        shelves,
        fc.constantFrom(...PROCESS_IDS),
        fc.constantFrom(...demo.jobs),
        (shelf, process, job) => {
          const settings = { process, polarity: PROCESSES[process].polarity, ...NOTHING_SET }
          const empty = capabilityOf(demo.shop, settings, { ...emptyChoice(), building: shelf, bench: shelf })
          const { capability } = fitOut(empty, shelf, { which: 'all' })
          const { powerSource, gun } = capability
          if (!powerSource || !gun) return
          const setUp = { id: 's', name: 'S', ...settings, ...idsOf(capability) } as FitInput['setUp']
          const spoken = said({ ...partsIn(capability), shop: demo.shop, job, setUp, powerSource, gun })
          for (const text of everyText([spoken.rows, spoken.steps, spoken.pace, spoken.uses, spoken.heading]))
            expect(text).not.toMatch(/^$|[{}]|undefined|NaN/)
          expect(new Set(spoken.rows.map(({ place }) => place)).size).toBe(spoken.rows.length)
        },
      ),
      { numRuns: runs(60) },
    )
  })
  it('agrees with the fit: settings, verdict and cautions are the same', () => {
    for (const input of PAIRS) {
      const fit = fitJob(input, { chainsOf: 'all' })
      for (const { jointId } of fit.settings) {
        const card = cardOf(input, jointId)
        expect(card.settings).toEqual(fit.settings.find((one) => one.jointId === jointId))
        expect(card.verdict).toBe(fit.verdict)
        expect(card.cautions).toEqual(fit.cautions)
      }
    }
  })
  it('says what is against it wherever the fit fails', () => {
    for (const input of PAIRS) {
      const { verdict, against } = cardOf(input, '')
      if (verdict === 'fails') expect(against.length).toBeGreaterThan(0)
      if (verdict === 'fits') expect(against).toEqual([])
    }
  })
  it('keeps the order of the craft', () => {
    for (const input of PAIRS) {
      const codes = cardOf(input, '').steps.map(({ code }) => code)
      const before = (a: (typeof codes)[number], b: (typeof codes)[number]) => {
        if (codes.includes(a) && codes.includes(b)) expect(codes.indexOf(a)).toBeLessThan(codes.indexOf(b))
      }
      before('unplug', 'leads')
      before('leads', 'feed')
      before('feed', 'tension')
      before('gas', 'coupon')
      expect(codes.at(-1)).toBe('coupon')
    }
  })
})

describe('how long it lasts', () => {
  const { job, ...rest } = demoInput('press-screw-post', 'bay-2-wire')
  it('is enough for a weld more than it ends at', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 9000, noNaN: true }),
        fc.integer({ min: 1, max: 9 }),
        (amount, quantity) => {
          const input = { ...rest, job: { ...job, quantity } } as FitInput
          const { welds } = fitJob(input)
          const lines = input.job.joints.map((joint, index) => ({
            joint,
            fillerG: welds[index]?.fillerG ?? 0,
          }))
          const { welds: done, of } = lastsOf(input.job, lines as never, amount, ({ fillerG }) => fillerG)
          const total = lines.reduce((sum, { fillerG }) => sum + fillerG, 0)
          expect(done).toBeGreaterThanOrEqual(0)
          expect(done).toBeLessThanOrEqual(of)
          if (amount >= total + 1e-6) expect(done).toBe(of)
          if (amount < total - 1e-6) expect(done).toBeLessThan(of)
        },
      ),
    )
  })
  it('counts two of three alike by hand: 10 g for welds of 4 g', () => {
    const one = { joint: { count: 3, bothSides: false }, fillerG: 12 }
    expect(
      lastsOf({ quantity: 1, order: 'piece-by-piece' }, [one] as never, 10, ({ fillerG }) => fillerG),
    ).toEqual({
      welds: 2,
      of: 3,
    })
  })
})
