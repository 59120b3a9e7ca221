/** What jobs draw from one stock. Sums are arithmetic; that two jobs share a spool is common practice, no source. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demandOf } from '../demand/demand.ts'
import { fitJob } from '../fit/fit.ts'
import { expectedGauge, gaugeL } from '../record/gauge.ts'
import { demoInput } from '../testing/samples.ts'
import { type Arrival, type RunOut, runOut } from './runOut.ts'

const due = (jobId: string, dueOn: string | null, setUpId = 'bay-2-wire') => {
  const input = demoInput(jobId, setUpId)
  return { ...input, job: { ...input.job, dueOn } }
}
const frame = due('press-frame', '2027-02-01')
const post = due('press-screw-post', '2027-02-10')
const WIRE = 'wire.er70s6-035'
const wireOf = (list: readonly RunOut[]): RunOut => {
  const found = list.find(({ id }) => id === WIRE)
  if (!found) throw new Error('no such wire')
  return found
}
const fillerG = ({ job, wire, shop }: typeof frame): number => {
  // And 1 % for trial beads.
  return demandOf(job, 'gmaw-short', wire, shop).fillerG * 1.01
}
const both = fillerG(frame) + fillerG(post)

describe('two jobs on one spool', () => {
  it('each fit it alone, and not together: it ends in the second, and says at which weld', () => {
    const onHand = Math.max(fillerG(frame), fillerG(post)) * 1.01
    const stock = [{ id: WIRE, amount: onHand }]
    expect(wireOf(runOut([frame], stock)).endsAt).toBeNull()
    expect(wireOf(runOut([post], stock)).endsAt).toBeNull()
    const { endsAt, shortBy, needed, draws } = wireOf(runOut([post, frame], stock))
    expect(endsAt?.jobId).toBe('press-screw-post')
    expect(needed).toBeCloseTo(both, 6)
    expect(shortBy).toBeCloseTo(both - onHand, 6)
    expect(draws.map(({ jobId }) => jobId)).toEqual(['press-frame', 'press-screw-post'])
    expect(endsAt?.ends?.welds).toBeGreaterThan(0)
    expect(endsAt?.ends?.welds).toBeLessThan(endsAt?.ends?.of ?? 0)
  })
  it('are in the order of their days, those without a day last', () => {
    const names = (list: Parameters<typeof runOut>[0]) =>
      wireOf(runOut(list, [])).draws.map(({ jobId }) => jobId)
    expect(names([due('press-screw-post', '2027-01-01'), frame])).toEqual(['press-screw-post', 'press-frame'])
    expect(names([due('press-screw-post', null), frame])).toEqual(['press-frame', 'press-screw-post'])
  })
  it('add up: what is left after one is what is there before the next, whatever is on hand', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 20_000, noNaN: true }), fc.boolean(), (onHand, isTurned) => {
        const inputs = isTurned ? [post, frame] : [frame, post]
        const { draws, needed, shortBy, endsAt, packs, packSize } = wireOf(
          runOut(inputs, [{ id: WIRE, amount: onHand }]),
        )
        expect(draws[0]?.before).toBe(onHand)
        expect(draws[1]?.before).toBe(draws[0]?.after)
        expect(draws[1]?.after).toBeCloseTo(onHand - needed, 6)
        expect(shortBy > 0).toBe(endsAt !== null)
        // So many packages are enough, and one less is not.
        expect(packs * packSize).toBeGreaterThanOrEqual(shortBy - 1e-3)
        if (packs > 0) expect((packs - 1) * packSize).toBeLessThan(shortBy)
      }),
      { numRuns: 30 },
    )
  })
  it('take no gas where the wire shields itself, and nothing where no wire is chosen', () => {
    const cored = due('loader-fork', null, 'yard-cored')
    expect(runOut([cored], []).map(({ kind }) => kind)).toEqual(['wire'])
    const withBottle = { ...cored, gas: frame.gas }
    expect(runOut([withBottle], []).map(({ kind }) => kind)).toEqual(['wire'])
    expect(runOut([{ ...frame, wire: null, gas: null }], [])).toEqual([])
    expect(runOut([{ ...frame, wire: null }], [])).toEqual([])
  })
  it('use gas as the fit says of each job alone', () => {
    const gasL = fitJob(frame).criteria.find(({ criterion }) => criterion === 'gas-use')?.demand ?? 0
    const gas = runOut([frame], []).find(({ kind }) => kind === 'gas')
    expect((gas?.needed ?? 0) / gasL).toBeCloseTo(1, 2)
    expect(gas?.packSize).toBe(frame.gas?.fullL)
  })
  it('say nothing of an end where nothing is counted', () => {
    expect(wireOf(runOut([frame, post], []))).toMatchObject({
      onHand: null,
      shortBy: 0,
      endsAt: null,
      packs: 0,
    })
  })
  it('what ends first stands first, what is not counted last', () => {
    const tray = due('pressing-tray', '2027-01-20', 'bench-tig-dc')
    const list = runOut(
      [frame, post, tray],
      [
        { id: WIRE, amount: 1 },
        { id: 'gas.argon', amount: 1e6 },
      ],
    )
    expect(list[0]?.id).toBe(WIRE)
    expect(list.at(-1)?.onHand).toBeNull()
    const gas = list.find(({ id }) => id === 'gas.argon')
    expect(gas?.needed).toBeGreaterThan(0)
    expect(gas?.unit).toBe('L')
  })
})

describe('what comes in', () => {
  const arrival = (amount: number, on: string | null): Arrival => ({
    id: WIRE,
    on,
    amount,
    orderId: `${amount}`,
    orderName: 'Order',
  })
  const stepsOf = (arrivals: readonly Arrival[], inputs = [frame, post], onHand: number | null = 0) =>
    wireOf(runOut(inputs, onHand === null ? [] : [{ id: WIRE, amount: onHand }], arrivals)).steps.map(
      (step) => (step.kind === 'job' ? step.draw.jobId : step.delivery.amount),
    )

  it('comes in the order of its days, before the job of that day; what has no day comes after all of them', () => {
    const [early, late, open] = [arrival(1, '2027-01-05'), arrival(2, '2027-02-10'), arrival(3, null)]
    const expected = [1, 'press-frame', 2, 'press-screw-post', 3]
    expect(stepsOf([open, late, early])).toEqual(expected)
    expect(stepsOf([early, open, late])).toEqual(expected)
    // Of another wire nothing comes.
    expect(stepsOf([{ ...early, id: 'wire.other' }])).toEqual(['press-frame', 'press-screw-post'])
  })
  it('with a day comes before a job without one, and without one after it', () => {
    const inputs = [due('press-screw-post', null)]
    expect(stepsOf([arrival(1, '2029-01-05')], inputs)).toEqual([1, 'press-screw-post'])
    expect(stepsOf([arrival(1, null)], inputs)).toEqual(['press-screw-post', 1])
  })
  it('makes a count of nothing that is not counted', () => {
    const run = wireOf(runOut([frame, post], [], [arrival(5000, '2027-01-05')]))
    expect(run.steps.map((step) => (step.kind === 'job' ? step.draw.after : step.delivery.after))).toEqual([
      null,
      null,
      null,
    ])
    expect(run.leftAtEnd).toBeNull()
  })
  it('is there for the next, with what was left', () => {
    const { steps, leftAtEnd } = wireOf(
      runOut([frame, post], [{ id: WIRE, amount: 300 }], [arrival(9000, '2027-02-05')]),
    )
    const [, delivery] = steps
    expect(delivery?.kind === 'delivery' && delivery.delivery.after).toBeCloseTo(9300 - fillerG(frame), 6)
    expect(leftAtEnd).toBeCloseTo(9300 - both, 6)
  })
})

describe('the order of what runs out', () => {
  it('is by the day at which it ends, then what has none, then what is enough, then what is not counted', () => {
    const tray = due('pressing-tray', '2027-01-20', 'bench-tig-dc')
    const ids = (list: Parameters<typeof runOut>[0], stock: Parameters<typeof runOut>[1]) =>
      runOut(list, stock).flatMap(({ id }) =>
        ['wire.er70s6-035', 'wire.er308l-116', 'gas.argon'].includes(id) ? [id] : [],
      )
    const none = (id: string) => ({ id, amount: 0 })
    const plenty = (id: string) => ({ id, amount: 1e6 })
    const rod = 'wire.er308l-116'
    expect(ids([frame, tray], [none(WIRE), none(rod), plenty('gas.argon')])).toEqual([rod, WIRE, 'gas.argon'])
    const laterTray = due('pressing-tray', null, 'bench-tig-dc')
    expect(ids([laterTray, frame], [none(WIRE), none(rod), plenty('gas.argon')])).toEqual([
      WIRE,
      rod,
      'gas.argon',
    ])
    expect(ids([frame, tray], [plenty(WIRE), none('gas.argon')])).toEqual(['gas.argon', WIRE, rod])
  })
})

describe('the gauge to expect', () => {
  const argon = { name: 'Argon', fullL: 3500, argonPct: 100, co2Pct: 0, oxygenPct: 0, heliumPct: 0 }
  it('is what a gauge that shows it is read as', () => {
    for (const [system, locale] of [
      ['imperial', 'en-US'],
      ['metric', 'de-DE'],
    ] as const) {
      const of = { notation: { system, locale }, remainderBar: 2 }
      const { value, unit } = expectedGauge(1750, argon, of) ?? { value: 0, unit: 'bar' }
      const read = gaugeL(`${value} ${unit}`, argon, of)
      // To the mark of the gauge: 10 psi, 1 bar.
      expect(Math.abs((read.ok ? read.valueL : 0) - 1750)).toBeLessThan(10)
    }
  })
  it('of CO₂ is none: it shows vapor pressure until the liquid is gone (common practice)', () => {
    expect(
      expectedGauge(
        1000,
        { ...argon, argonPct: 0, co2Pct: 100 },
        { notation: { system: 'imperial', locale: 'en-US' }, remainderBar: 2 },
      ),
    ).toBeNull()
  })
})
