/** What could do a job: the search against filling every place with everything, and facts of the trade. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isRatedFor, settingsFor } from '../assembly/propose.ts'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf, emptyChoice } from '../capability/slots.ts'
import { partOfSlot, type Slot, SLOTS, SMALL_SLOTS } from '../kinds/slots.ts'
import { assess, worstOf } from '../criteria/index.ts'
import { demandOf } from '../demand/demand.ts'
import { partsOf } from '../fit/document.ts'
import { fitJob } from '../fit/fit.ts'
import { LIBRARY } from '../library/index.ts'
import { isEngineDriven, type PowerSource } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import { isCandidate } from '../model/ownership.ts'
import { PROCESS_IDS } from '../model/process.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { typicalPartPrice } from '../reference/typicalPrices.ts'
import { demoShop } from '../testing/samples.ts'
import type { Could } from './bestWay.ts'
import { couldDo, CouldDoSearch } from './couldDo.ts'
import { Best, type CouldRank, joined } from './couldShares.ts'
import { everyWhole } from '../testing/everyWhole.ts'
import { runs } from '../testing/runs.ts'

const demo = demoShop()
const jobOf = (id: string): Job => demo.jobs.find((one) => one.id === id) as Job

const USED_UP: readonly Slot[] = ['wire', 'gas', 'tungsten']

const VERDICTS_DONE = ['fits', 'tight']
/** By process, source and wire: the least that has to be bought, and the best verdict for that. */
function bruteForce(shelf: Shelf, job: Job): ReadonlyMap<string, string> {
  const best = new Map<string, readonly [number, number, number]>()
  for (const process of PROCESS_IDS)
    for (const wire of shelf.wires) {
      const demand = demandOf(job, process, wire, demo.shop)
      for (const powerSource of shelf.powerSources.filter((one) => isRatedFor(one, process)))
        for (const chosen of everyWhole({ ...emptyChoice(), powerSource, wire }, process, shelf)) {
          const capability = capabilityOf(demo.shop, settingsFor(process, wire, powerSource), chosen)
          const verdict = worstOf(assess(capability, demand))
          if (!VERDICTS_DONE.includes(verdict)) continue
          const bought = SLOTS.flatMap((slot) => {
            const part = chosen[slot]
            if (!part || USED_UP.includes(slot) || !isCandidate(part)) return []
            const price = (part as { price?: number | null }).price ?? null
            const kind = partOfSlot(slot)
            return [kind ? (price ?? typicalPartPrice(kind).high) : price]
          })
          const rank = [
            bought.filter((price) => price === null).length,
            bought.reduce<number>((sum, price) => sum + (price ?? 0), 0),
            VERDICTS_DONE.indexOf(verdict),
          ] as const
          const key = `${process} ${powerSource.id} ${wire.id}`
          const known = best.get(key)
          const isBetter = !known || rank.findIndex((one, index) => one !== known[index]) >= 0
          const at = known ? rank.findIndex((one, index) => one !== known[index]) : 0
          if (!known || (isBetter && (rank[at] ?? 0) < (known[at] ?? 0))) best.set(key, rank)
        }
    }
  return new Map([...best].map(([key, rank]) => [key, rank.join(' ')]))
}

const found = (shelf: Shelf, job: Job): ReadonlyMap<string, string> => {
  const { best, count } = couldDo(demo.shop, shelf, job, { most: 1000, withLibrary: false })
  expect(count).toBe(best.length)
  return new Map(
    best.map(({ setUp, toBuy, toGet, verdict }) => [
      `${setUp.process} ${setUp.powerSourceId} ${setUp.wireId}`,
      [
        toBuy.filter(({ price, slot }) => price === null && !SMALL_SLOTS.has(slot)).length,
        toGet,
        VERDICTS_DONE.indexOf(verdict),
      ].join(' '),
    ]),
  )
}

/** Alternating current alone: it sets another polarity than the electrode's usual one. */
const acStick = LIBRARY.map(({ record }) => record as PowerSource).find(
  (one) => 'processes' in one && one.processes.some(({ outputs }) => outputs.join() === 'ac'),
) as PowerSource

/** Whole set-ups of the demo and a few parts beside them, some to buy at odd prices. */
const smallShelves: fc.Arbitrary<Shelf> = fc
  .record({
    setUps: fc.subarray([...demo.setUps], { minLength: 1, maxLength: 2 }),
    circuits: fc.subarray([...demo.circuits], { maxLength: 2 }),
    guns: fc.subarray([...demo.guns], { maxLength: 1 }),
    gases: fc.subarray([...demo.gases], { maxLength: 1 }),
    parts: fc.subarray([...demo.parts], { maxLength: 4 }),
    prices: fc.array(fc.option(fc.integer({ min: 0, max: 500 })), { minLength: 8, maxLength: 8 }),
  })
  .map(({ setUps, circuits, guns, gases, parts, prices }): Shelf => {
    const chosen = setUps.map((setUp) => chosenOf(setUp, demo))
    const of = <T extends { id: string }>(slots: readonly Slot[], more: readonly T[]): T[] => {
      const all = [...chosen.flatMap((one) => slots.flatMap((slot) => one[slot] ?? [])), ...more] as T[]
      return [...new Map(all.map((one) => [one.id, one])).values()]
    }
    const priced = <T extends { held?: unknown }>(list: T[]): T[] =>
      list.map((one, index) => {
        const price = prices[index % prices.length] ?? null
        return index % 2 === 0 ? one : { ...one, held: 'candidate', price }
      })
    const small = SLOTS.filter(
      (slot) => !['circuit', 'powerSource', 'feeder', 'gun', ...USED_UP].includes(slot),
    )
    return {
      generators: [],
      panels: [],
      loads: [],
      circuits: priced(of(['circuit'], circuits)),
      powerSources: priced(of(['powerSource'], [acStick])),
      feeders: of(['feeder'], []),
      guns: priced(of(['gun'], guns)),
      parts: priced(of(small, parts)),
      wires: of(['wire'], []),
      gases: of(['gas'], gases),
      tungstens: of(['tungsten'], []),
      cylinders: [],
      spools: [],
      suppliers: [],
      offers: [],
      presentSetUps: [],
      stock: [],
    }
  })

describe('the best of what is found', () => {
  const ranks = fc.array(fc.tuple(...Array.from({ length: 6 }, () => fc.integer({ min: 0, max: 2 }))), {
    maxLength: 12,
  })
  /** As texts digits come in the order of the figures. */
  const inOrder = (a: readonly number[], b: readonly number[]): number => a.join('').localeCompare(b.join(''))

  it('is as many as are kept, in order; what is no better than the last of them is past', () => {
    fc.assert(
      fc.property(
        ranks,
        fc.nat(4),
        fc.array(fc.nat(2), { minLength: 1, maxLength: 3 }),
        (all, most, least) => {
          const best = new Best<{ readonly rank: CouldRank }>(most)
          for (const rank of all) best.add({ rank: rank as unknown as CouldRank })
          const kept = all.toSorted(inOrder).slice(0, most)
          expect(best.kept.map(({ rank }) => rank)).toEqual(kept)
          const last = kept.length === most ? kept.at(-1)?.slice(0, least.length) : undefined
          expect(best.isPast(...least)).toBe(last !== undefined && inOrder(least, last) > 0)
        },
      ),
      { numRuns: runs(300) },
    )
  })
})

/** The whole fit of a way. */
function fitOf(job: Job, { setUp, parts }: Could, powerSources: readonly PowerSource[] = demo.powerSources) {
  const whole = { ...setUp, id: 'made' }
  const shelf = { ...demo, powerSources: [...powerSources], parts: [...demo.parts, ...parts] }
  const chosen = partsOf(whole, shelf)
  if (!chosen.ok) throw new Error(JSON.stringify(chosen.problems))
  return fitJob({ shop: demo.shop, job, setUp: whole, ...chosen.parts, stock: [] })
}

describe('what could do a job', () => {
  it('is what trying everything finds, at the same cost and with the same verdict', () => {
    fc.assert(
      fc.property(smallShelves, fc.constantFrom(...demo.jobs), (shelf, job) => {
        const brute = bruteForce(shelf, job)
        expect(new Map([...found(shelf, job)].sort())).toEqual(new Map([...brute].sort()))
      }),
      { numRuns: runs(25) },
    )
  })

  it('comes cheapest to get first, then cheapest to run', () => {
    for (const job of demo.jobs) {
      const { best } = couldDo(demo.shop, demo, job, { most: 200 })
      const costs = best.map(({ toBuy, toGet, toRun }) => [
        toBuy.filter(({ price, slot }) => price === null && !SMALL_SLOTS.has(slot)).length,
        toGet,
        toRun ?? Infinity,
      ])
      expect(costs).toEqual(
        costs.toSorted(([a = 0, b = 0, c = 0], [d = 0, e = 0, f = 0]) => a - d || b - e || c - f),
      )
    }
  })

  it('is a whole set-up, with the parts of the library that are in it, and costs to run what the fit of it costs', () => {
    let fromLibrary = 0
    for (const job of demo.jobs)
      for (const could of couldDo(demo.shop, demo, job, { most: 12 }).best) {
        fromLibrary += could.parts.length
        const fit = fitOf(job, could)
        expect(fit.verdict).toBe(could.verdict)
        expect(could.toRun).toBeCloseTo(fit.cost?.job ?? NaN, 6)
      }
    expect(fromLibrary).toBeGreaterThan(0)
  })

  // An engine set hangs on no circuit: what looks at both is asked of the set alone.
  it('holds a set with an engine to its duty', () => {
    const engineSets = demo.powerSources.filter(isEngineDriven)
    const processes = (source: PowerSource): PowerSource['processes'] =>
      source.processes.map((one) => ({
        ...one,
        supplies: one.supplies.map((supply) => ({
          ...supply,
          ratedPoints: supply.ratedPoints.map((point) => ({ ...point, dutyPct: 3 })),
        })),
      }))
    const short = engineSets.map((source) => ({ ...source, processes: processes(source) }))
    const job = jobOf('press-frame')
    const waysOf = (powerSources: readonly PowerSource[]) =>
      couldDo(demo.shop, { ...demo, powerSources: [...powerSources] }, job, { most: 200 }).best
    expect(waysOf(engineSets).some(({ verdict }) => verdict === 'fits')).toBe(true)
    const ways = waysOf(short)
    expect(ways.length).toBeGreaterThan(0)
    for (const could of ways) {
      expect(could.verdict).toBe('tight')
      expect(fitOf(job, could, short).verdict).toBe('tight')
    }
  })

  it('is the same whether one looks at all of it or several at a share each', () => {
    for (const job of demo.jobs) {
      const search = new CouldDoSearch(demo.shop, demo)
      const whole = search.answer(job, 30)
      expect(whole.count).toBeGreaterThan(0)
      for (const of of [1, 2, 3]) {
        const shares = Array.from({ length: of }, (_, at) =>
          new CouldDoSearch(demo.shop, demo).answer(job, 30, { at, of }),
        )
        expect(joined(shares, 30)).toEqual(whole)
      }
      // A share has a part of them, and is not taken for the whole where it was asked for before.
      expect(search.answer(job, 30, { at: 0, of: 2 }).count).toBeLessThan(whole.count)
    }
  })

  /** Each machine of the demo twice, the second to buy: alike but for name and price. */
  const twice: Shelf = {
    ...demo,
    powerSources: demo.powerSources.flatMap((source, at) => [
      source,
      {
        ...source,
        id: `${source.id}-2`,
        name: `${source.name} 2`,
        held: 'candidate',
        price: (at * 70) % 400,
      },
    ]),
  }

  it('is the same of those given out, however many that are, and all are counted', () => {
    for (const shelf of [demo, twice])
      for (const job of demo.jobs) {
        const all = couldDo(demo.shop, shelf, job, { most: 10_000 })
        expect(all.best).toHaveLength(all.count)
        for (const most of [1, 2, 7, 40])
          expect(couldDo(demo.shop, shelf, job, { most })).toEqual({ ...all, best: all.best.slice(0, most) })
      }
  })

  it('gives a machine the same parts, whichever other machines there are', () => {
    for (const job of demo.jobs) {
      const all = couldDo(demo.shop, demo, job, { most: 10_000 }).best
      expect(all.length).toBeGreaterThan(0)
      for (const source of demo.powerSources) {
        const alone = couldDo(demo.shop, { ...demo, powerSources: [source] }, job, { most: 10_000 }).best
        const ofIt = all.filter(({ setUp }) => setUp.powerSourceId === source.id)
        expect(alone.map(({ setUp }) => setUp)).toEqual(ofIt.map(({ setUp }) => setUp))
      }
    }
  })

  // Common practice, no source: a spool gun takes small spools alone, a case on a cart large ones.
  it('gives a wire the same parts, whichever other wires weld alike', () => {
    const spools = [
      { spoolMm: 100, packageG: 900 },
      { spoolMm: 300, packageG: 15_000 },
    ] as const
    const wires = demo.wires.flatMap((wire) =>
      wire.spoolMm === null
        ? [wire]
        : [...spools.map((spool, n) => ({ ...wire, ...spool, id: `${wire.id}-${n}` })), wire],
    )
    const answers = new Set<string>()
    for (const job of ['press-frame', 'picking-platform'].map(jobOf)) {
      const all = couldDo(demo.shop, { ...demo, wires }, job, { most: 10_000 }).best
      for (const wire of wires) {
        const alone = couldDo(demo.shop, { ...demo, wires: [wire] }, job, { most: 10_000 }).best
        const withIt = all.filter(({ setUp }) => setUp.wireId === wire.id)
        expect(alone.map(({ setUp }) => setUp)).toEqual(withIt.map(({ setUp }) => setUp))
        answers.add(`${wire.spoolMm} ${withIt.length > 0}`)
      }
    }
    expect(answers.size).toBeGreaterThan(4)
  })

  // The torch is tight at 158 A whatever is in it. AWS A5.12, table of currents (from memory): a tungsten of 1.6 mm (1/16 in)
  // with oxide takes about 150 A of alternating current at most, one of 2.4 mm (3/32 in) about 235.
  it('takes the part that fits of those that cost the same, also where another part is tight', () => {
    const { best } = couldDo(demo.shop, demo, jobOf('picking-platform'), { most: 200 })
    const byTig = best.filter(({ setUp }) => setUp.process === 'gtaw-ac')
    expect(byTig.length).toBeGreaterThan(0)
    for (const { setUp, verdict } of byTig) {
      expect(verdict).toBe('tight')
      const { tungsten } = chosenOf({ ...setUp, id: 'x' }, demo)
      expect(tungsten?.diameterMm).toBeCloseTo(2.4, 1)
    }
  })

  // Common practice, no source: aluminium wire is too soft for a steel liner and a long push through it.
  it('feeds aluminium by a spool gun or push-pull, never through a plain gun with a steel liner', () => {
    const { best } = couldDo(demo.shop, demo, jobOf('picking-platform'), { most: 200 })
    const fed = best.filter(({ setUp }) => setUp.process.startsWith('gmaw'))
    expect(fed.length).toBeGreaterThan(0)
    for (const { setUp } of fed) {
      const { gun, liner } = chosenOf({ ...setUp, id: 'x' }, demo)
      expect(gun?.drive !== 'none' || liner?.material !== 'steel').toBe(true)
    }
  })

  // AWS D1.1, 5.11.1 (from memory): no gas-shielded welding in wind above 8 km/h without a shelter.
  it('takes no gas into the wind', () => {
    const { best } = couldDo(demo.shop, demo, jobOf('loader-fork'), { most: 200 })
    expect(best.length).toBeGreaterThan(0)
    expect([...new Set(best.map(({ setUp }) => setUp.process))].sort()).toEqual(['fcaw-s', 'smaw'])
  })

  it('needs nothing bought where an owned set-up does it', () => {
    const { best } = couldDo(demo.shop, demo, jobOf('press-frame'), { most: 1 })
    expect(best[0]).toMatchObject({ toBuy: [], toGet: 0 })
  })
})
