/** The supply of a job: volts on the way, cords, and when the breaker goes; facts of the trade where no standard is named. */
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { type FitInput, fitJob, sidesOf } from '../fit/fit.ts'
import type { Circuit, SetUp } from '../kinds/equipment.ts'
import { international } from '../supply/books/international/international.ts'
import { northAmerican } from '../supply/books/northAmerican/northAmerican.ts'
import { type Cord, voltsAtMachineV, type Way } from '../supply/voltageDrop.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { sentenceOf, speechOf } from '../words/speech.ts'
import { powerOf } from './power.ts'

const demo = demoShop()
const FOOT = 304.8
const r = reckonerFor(assumptionsOf({ assumptions: {} }))
const frame = demoInput('press-frame', 'north-wall-wire')
const circuitOf = (id: string): Circuit => {
  const found = demo.circuits.find((one) => one.id === id)
  if (!found) throw new Error(`the demo has no circuit ${id}`)
  return found
}
const onCord = (circuit: Circuit, cord: Cord | null): Way => ({
  circuit,
  hasCable: true,
  supplyPanels: [],
  cord,
})
const setUpOf = (id: string): SetUp => {
  const found = demo.setUps.find((one) => one.id === id)
  if (!found) throw new Error(`the demo has no set-up ${id}`)
  return found
}
const jobOf = (id: string) => {
  const found = demo.jobs.find((one) => one.id === id)
  if (!found) throw new Error(`the demo has no job ${id}`)
  return found
}

describe('volts on the way', () => {
  const wall = { ...circuitOf('north-wall'), lengthMm: 0 }
  const drop = (size: string, feet: number, inputA: number): number =>
    wall.voltageV -
    (voltsAtMachineV(northAmerican, onCord(wall, { size, lengthMm: feet * FOOT }), inputA, r) ?? NaN)

  it('50 ft of 14 AWG at 20 A lose some 6 V of 120 (NEC Chapter 9 Table 8: 3.14 Ω in 1000 ft)', () => {
    // Ohm alone gives 2 · 50 ft · 3.14 Ω / 1000 ft · 20 A = 6.28 V; at the same power a little more is drawn.
    expect(drop('14 AWG', 50, 20)).toBeGreaterThan(6.28)
    expect(drop('14 AWG', 50, 20)).toBeLessThan(6.8)
    expect(drop('14 AWG', 0, 20)).toBeCloseTo(0, 9)
  })

  it('a longer cord never raises the volts, a thicker one never lowers them', () => {
    let last = 0
    for (const feet of [0, 25, 50, 100, 200, 400]) {
      expect(drop('12 AWG', feet, 25)).toBeGreaterThanOrEqual(last)
      last = drop('12 AWG', feet, 25)
    }
    for (const [thin, thick] of [
      ['14 AWG', '12 AWG'],
      ['12 AWG', '10 AWG'],
      ['10 AWG', '8 AWG'],
    ] as const)
      expect(drop(thick, 100, 20)).toBeLessThan(drop(thin, 100, 20))
  })

  it('meets Ohm with the power that is asked: U_m · I_m = U₁ · I₁ and U₁ − U_m = R · I_m', () => {
    const volts =
      voltsAtMachineV(northAmerican, onCord(wall, { size: '14 AWG', lengthMm: 100 * FOOT }), 20, r) ?? NaN
    const ampsThere = (wall.voltageV * 20) / volts
    const ohms = (2 * 10.3 * 100 * FOOT) / 1e6
    expect(wall.voltageV - volts).toBeCloseTo(ohms * ampsThere, 6)
  })

  it('with three phases √3 of a wire counts, single-phase both (fact of the trade)', () => {
    const at = (phases: 1 | 3) =>
      480 -
      (voltsAtMachineV(
        northAmerican,
        onCord({ ...wall, voltageV: 480, phases }, { size: '10 AWG', lengthMm: 30_000 }),
        2,
        r,
      ) ?? NaN)
    expect(at(1) / at(3)).toBeCloseTo(2 / Math.sqrt(3), 2)
  })

  it('is not known for a size that the book does not have', () => {
    expect(voltsAtMachineV(northAmerican, onCord(wall, { size: '2.5', lengthMm: 1000 }), 10, r)).toBeNull()
    expect(voltsAtMachineV(international, onCord({ ...wall, conductorSize: '12' }, null), 10, r)).toBeNull()
  })
})

describe('an extension cord', () => {
  const bay = demoInput('press-frame', 'bay-2-wire')
  const onCord = (size: string, feet: number): FitInput => ({
    ...bay,
    setUp: { ...bay.setUp, cordSize: size, cordLengthMm: feet * FOOT },
  })
  const found = (input: FitInput, id: string) =>
    fitJob(input).criteria.find(({ criterion }) => criterion === id)

  it('none has no finding; a thin long one is one with its figures, and the smallest that does is offered', () => {
    expect(found(bay, 'cord')).toBeUndefined()
    const thin = onCord('16 AWG', 100)
    expect(found(thin, 'cord')).toMatchObject({ verdict: 'fails', capacity: 13 })
    expect(found(thin, 'volts')?.verdict).not.toBe('fits')
    expect(sentenceOf(speechOf(frame.shop), found(thin, 'cord') as never)).toMatch(
      /100 ft of 16 AWG carries 13 A.*coiled/,
    )
    const mend = fitJob(thin).mends['cord']?.[0]
    expect(mend?.code).toBe('cord-of')
    const size = mend?.patch?.on === 'set-up' ? mend.patch.change.cordSize : null
    expect(found(onCord(size ?? '', 100), 'cord')?.verdict).not.toBe('fails')
    expect(found(onCord(size ?? '', 100), 'volts')?.verdict).toBe('fits')
  })

  it('of a size that the book does not have is unknown, not fitting', () => {
    expect(found(onCord('thick', 50), 'cord')).toMatchObject({ verdict: 'unknown' })
  })
})

describe('the power of a job', () => {
  const power = powerOf(demo.shop, demo, jobOf('press-frame'), setUpOf('north-wall-wire'), 'north-wall')
  const on = (id: string) => {
    const one = power.circuits.find(({ circuitId }) => circuitId === id)
    if (!one) throw new Error(id)
    return one
  }

  it('looks at every circuit of the shop, and says the same of the set-up’s own as the fit does', () => {
    expect(power.circuits.map(({ circuitId }) => circuitId)).toEqual(demo.circuits.map(({ id }) => id))
    const fit = fitJob(frame)
    for (const finding of on('north-wall').findings)
      expect(fit.criteria.find(({ criterion }) => criterion === finding.criterion)).toEqual(finding)
    // 19 of 20 A: it holds, with less to spare than the shop wants.
    expect(on('north-wall').verdict).toBe('tight')
  })

  it('a machine does not draw on volts that it does not take', () => {
    expect(on('bay-3')).toMatchObject({ drawn: null, trips: null, verdict: 'fails' })
  })

  it('draws most at its rating or at the job, least idling; heat lies between', () => {
    const { drawn } = on('north-wall')
    expect(drawn?.idleA).toBeLessThan(drawn?.heatsA ?? 0)
    expect(drawn?.heatsA).toBeLessThan(drawn?.jobA ?? 0)
    expect(drawn?.jobA).toBeGreaterThan(20)
    // It has 140 A on 120 V, and the weld wants more.
    expect(drawn?.outputMaxA).toBe(140)
    expect(drawn?.wantedA).toBeGreaterThan(140)
    // Twice the volts, half the current (fact of the trade), within the plate's rounding: of a weld that both can.
    const thin = powerOf(demo.shop, demo, jobOf('gusset-template'), setUpOf('north-wall-wire'))
    const drawnOn = (id: string) =>
      thin.circuits.find(({ circuitId }) => circuitId === id)?.drawn?.jobA ?? NaN
    const half = drawnOn('bay-2') / drawnOn('north-wall')
    expect(half).toBeGreaterThan(0.4)
    expect(half).toBeLessThan(0.6)
  })

  it('the breaker goes where the fit says so, the early one first; on 50 A it holds all shift', () => {
    // A smaller machine on a long cord draws more of the same wall.
    const marl = powerOf(demo.shop, demo, jobOf('press-frame'), setUpOf('marl-yard'), 'north-wall')
    const onWall = marl.circuits.find(({ circuitId }) => circuitId === 'north-wall')
    expect(onWall?.findings.find(({ criterion }) => criterion === 'breaker-holds')?.verdict).toBe('fails')
    const [, shift, automatic] = onWall?.trips ?? []
    // A quick one goes within the first arcs, and no sooner than it may at twice its rating.
    expect(shift?.afterS.early).toBeGreaterThan(10)
    expect(shift?.afterS.early).toBeLessThan(shift?.afterS.late ?? Infinity)
    // An arc without end trips sooner than one with pauses.
    expect(automatic?.afterS.early).toBeLessThan(shift?.afterS.early ?? 0)
    for (const trips of on('bay-2').trips ?? [])
      expect(trips.afterS).toEqual({ early: null, nominal: null, late: null })
    // Each curve ends where its breaker trips.
    for (const band of ['early', 'nominal', 'late'] as const) {
      const end = shift?.curves[band].at(-1)
      // Drawn as far as there is room for points.
      if ((end?.share ?? 0) > 1 - 1e-9) expect(end?.atS).toBeCloseTo(shift?.afterS[band] ?? NaN, 3)
      else expect(end?.atS).toBeLessThan(shift?.afterS[band] ?? Infinity)
    }
  })

  it('looks at the whole of the shop’s shift, at all of the job’s hours, and at eight hours without a pause', () => {
    const shop = { ...demo.shop, assumptions: { ...demo.shop.assumptions, shiftHours: 10 } }
    const { circuits } = powerOf(shop, demo, jobOf('press-frame'), setUpOf('marl-yard'), 'north-wall')
    const trips = circuits.find(({ circuitId }) => circuitId === 'north-wall')?.trips ?? []
    const workH = sidesOf(demoInput('press-frame', 'marl-yard')).demand.workH ?? NaN
    expect(trips.map(({ mostS }) => mostS)).toEqual([expect.closeTo(workH * 3600), 36_000, 28_800])
  })

  it('never mends a circuit with less current than the faces need to fuse', () => {
    let offered = 0
    for (const job of demo.jobs)
      for (const setUp of demo.setUps)
        for (const { id } of demo.circuits) {
          const { mends, circuits } = powerOf(demo.shop, demo, job, setUp, id)
          const drawn = circuits.find(({ circuitId }) => circuitId === id)?.drawn
          for (const mend of mends) {
            if (mend.kind !== 'less-current') continue
            offered += 1
            expect(mend.currentA, `${job.id} ${setUp.id} ${id}`).toBeGreaterThanOrEqual(drawn?.leastA ?? NaN)
            expect(mend.currentA).toBeLessThan(drawn?.wantedA ?? NaN)
          }
        }
    expect(offered).toBeGreaterThan(10)
  })

  it('of a set that an engine drives there is none', () => {
    const engine = powerOf(demo.shop, demo, jobOf('loader-fork'), setUpOf('heath-stick'))
    expect(engine).toMatchObject({ circuits: [], mends: [], breakers: null })
  })

  it('an engine burns between a third of its fuel and all of it, all at full load (common practice, no source)', () => {
    const lPerH = (id: string) =>
      powerOf(demo.shop, demo, jobOf('loader-fork'), setUpOf(id)).fuel?.lPerH ?? NaN
    expect(lPerH('heath-stick')).toBeGreaterThan(0.3 * 4.5)
    expect(lPerH('heath-stick')).toBeLessThan(4.5)
    expect(lPerH('orchard-stick')).toBeGreaterThan(0.3 * 4.2)
    expect(lPerH('orchard-stick')).toBeLessThan(4.2)
    expect(powerOf(demo.shop, demo, jobOf('loader-fork'), setUpOf('yard-stick')).fuel).toBeNull()
  })

  it('of a job without arc time, or of a machine on no circuit, nobody knows how much an engine burns', () => {
    const job = jobOf('loader-fork')
    const fuelOf = (id: string) => powerOf(demo.shop, demo, job, { ...setUpOf(id), wireId: null }).fuel
    expect([fuelOf('heath-stick'), fuelOf('orchard-stick')]).toEqual([null, null])
    const setUp = { ...setUpOf('orchard-stick'), circuitId: null }
    const nowhere = powerOf(demo.shop, demo, job, setUp)
    expect([nowhere.fuel, nowhere.breakers]).toEqual([null, null])
  })

  it('the job burns the fuel of its hours', () => {
    const { fuel } = powerOf(demo.shop, demo, jobOf('loader-fork'), setUpOf('orchard-stick'))
    const workH = sidesOf(demoInput('loader-fork', 'orchard-stick')).demand.workH ?? NaN
    expect((fuel?.jobL ?? NaN) / (fuel?.lPerH ?? NaN)).toBeCloseTo(workH, 6)
  })

  // NEC 630.11(A), Table: 30 A on the plate at 30 % of the time count as 30 · 0.55 = 16.5 A; 240.6(A): the next is 20 A.
  it('the smallest breaker holds what the plate counts as, and abroad the cable alone rules the largest', () => {
    const { breakers } = powerOf(demo.shop, demo, jobOf('press-frame'), setUpOf('bay-2-wire'))
    expect(breakers).toEqual({ smallestA: 20, usualA: 45, mostA: 60 })
    const metric = demoShop('metric')
    const [job] = metric.jobs
    const setUp = metric.setUps.find(({ circuitId }) => circuitId !== null)
    if (!job || !setUp) throw new Error('the metric demo has no job or set-up')
    const abroad = powerOf(metric.shop, metric, job, setUp).breakers
    expect(abroad?.mostA).toBeNull()
    expect(abroad?.usualA).toBeGreaterThanOrEqual(abroad?.smallestA ?? NaN)
  })

  it('speaks of the smallest, the usual and the most breaker that a machine may have, in that order', () => {
    const { breakers } = powerOf(demo.shop, demo, jobOf('press-frame'), setUpOf('bay-2-wire'))
    expect(breakers?.smallestA).toBeLessThan(breakers?.usualA ?? 0)
    expect(breakers?.usualA).toBeLessThan(breakers?.mostA ?? 0)
    // 30 A on its plate: NEC 630.12(A) allows 60 A.
    expect(breakers?.mostA).toBe(60)
  })
})
