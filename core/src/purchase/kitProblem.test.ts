/** From a shop to a kit: what counts as a way, what it costs, and the demo’s answer with its reasons. */
import highsLoader from 'highs'
import { describe, expect, it } from 'vitest'
import { costOf } from '../fit/cost.ts'
import { partsOf } from '../fit/document.ts'
import { fitJob, sidesOf } from '../fit/fit.ts'
import type { PowerSource } from '../kinds/equipment.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { choose } from './kit.ts'
import { kitProblemOf, type KitQuestion, KitSearch } from './kitProblem.ts'
import { madeOf } from './setUpOf.ts'
import { solveWith } from './solve.ts'
import { studyKit } from './study.ts'

const demo = demoShop()
const planned = demo.jobs.filter(({ state }) => state === 'planned')
const ask = (question: Partial<KitQuestion>) =>
  kitProblemOf({ shop: demo.shop, shelf: demo, setUps: demo.setUps, jobs: planned, ...question })
const whole = () => ask({ seeksAll: true })
/** By the only machine that is lent. */
const heath = demo.setUps.filter(({ id }) => id === 'heath-stick')
const withHeath = (part: Partial<PowerSource>) => ({
  ...demo,
  powerSources: demo.powerSources.map((one) => (one.id === 'heath-300' ? { ...one, ...part } : one)),
})
const jobOf = (id: string) => planned.filter((one) => one.id === id)

describe('ways to do a job', () => {
  it('cost what the fit of that set-up costs', () => {
    const input = { ...demoInput('picking-platform', 'bench-tig-ac'), stock: [] }
    const { capability, demand } = sidesOf(input)
    const cost = costOf(capability, demand)?.job
    const alone = ask({ jobs: jobOf('picking-platform'), setUps: [input.setUp] })
    expect(alone.jobs[0]?.ways).toEqual([
      expect.objectContaining({ setUpId: 'bench-tig-ac', needs: [], costPerRun: cost }),
    ])
  })

  it('are all there is, unless a job has more than are kept', () => {
    expect(ask({ jobs: jobOf('picking-platform') }).isWhole).toBe(true)
    expect(ask({ jobs: jobOf('picking-platform'), seeksAll: true }).isWhole).toBe(true)
  })

  it('are counted over the years: eight a year for three years, and once where nobody says', () => {
    const runs = (timesPerYear: number | null) =>
      ask({ jobs: jobOf('picking-platform').map((job) => ({ ...job, timesPerYear })) }).jobs[0]?.runs
    expect([runs(8), runs(null)]).toEqual([24, 1])
  })

  it('leave out what has no price, and name it', () => {
    const shelf = { ...demo, guns: demo.guns.map((gun) => ({ ...gun, price: null })) }
    const { unpriced, items } = ask({ shelf })
    expect(unpriced).toContain('Dray spool gun')
    expect(items.map(({ name }) => name)).not.toContain('Dray spool gun')
  })

  it('may rent a machine by the day instead of buying it', () => {
    const [fork] = ask({ jobs: jobOf('loader-fork'), setUps: heath }).jobs
    const [bought, rented] = fork?.ways.toSorted((a, b) => a.costPerRun - b.costPerRun) ?? []
    expect(bought).toMatchObject({ needs: ['powerSource heath-300'], rents: null })
    expect(rented).toMatchObject({ needs: [], rents: 'powerSource heath-300' })
    // Less than a working day, at 95 a day.
    expect((rented?.costPerRun ?? 0) - (bought?.costPerRun ?? 0)).toBeCloseTo(95)
  })

  it('are rented for every day that is begun', () => {
    const rent = (shiftHours: number): number => {
      const shop = { ...demo.shop, assumptions: { ...demo.shop.assumptions, shiftHours } }
      const [fork] = ask({ shop, jobs: jobOf('loader-fork'), setUps: heath }).jobs
      const cost = (rents: string | null): number =>
        fork?.ways.find((way) => way.rents === rents)?.costPerRun ?? NaN
      return cost('powerSource heath-300') - cost(null)
    }
    // All of it put on: holder, polarity, power, process, rods, settings, a test on scrap.
    const changeH = (1.5 + 1.5 + 0.3 + 0.3 + 0.5 + 0.7 + 2) / 60
    const workH = (sidesOf(demoInput('loader-fork', 'yard-stick')).demand.workH ?? NaN) + changeH
    // At 95 a day: in days a little shorter than the work two, in days as long as it one.
    expect(rent(workH * 0.9)).toBeCloseTo(2 * 95)
    expect(rent(workH * 1.1)).toBeCloseTo(95)
  })

  it('only rent a machine that has no price, and have nothing of one that is not lent either', () => {
    const lent = (rentPerDay: number | null) => withHeath({ price: null, rentPerDay })
    const rented = ask({ shelf: lent(95), jobs: jobOf('loader-fork'), setUps: heath })
    expect(rented.jobs[0]?.ways).toMatchObject([{ needs: [], rents: 'powerSource heath-300' }])
    expect(rented.items).toEqual([])
    expect(rented.unpriced).toEqual([])
    const neither = ask({ shelf: lent(null), jobs: jobOf('loader-fork'), setUps: heath })
    expect(neither.jobs).toEqual([])
    // It is not looked at, so that nothing is said of what it lacks.
    expect(neither.undoable).toMatchObject([{ jobId: 'loader-fork', nearest: null }])
    expect(neither.unpriced).toEqual(['Heath 300, engine-driven'])
  })

  it('rent nothing that is owned, and no machine with a holder that has no price', () => {
    const jobs = jobOf('loader-fork')
    const [fork] = ask({ shelf: withHeath({ held: 'owned' }), jobs, setUps: heath }).jobs
    expect(fork?.ways).toMatchObject([{ needs: [], rents: null }])
    const guns = demo.guns.map((one) =>
      one.id === 'holder-200' ? { ...one, held: 'candidate' as const, price: null } : one,
    )
    expect(ask({ shelf: { ...demo, guns }, jobs, setUps: heath }).jobs).toEqual([])
  })

  it('have none by a set-up that lacks a part, which comes nearest to nothing either', () => {
    const lacking = heath.map((one) => ({ ...one, gunId: 'no-such-holder' }))
    const { jobs, undoable } = ask({ jobs: jobOf('loader-fork'), setUps: lacking })
    expect([jobs, undoable.map(({ nearest }) => nearest)]).toEqual([[], [null]])
  })

  // A plan over years: a job comes after another, and what hangs on a machine today says nothing about it.
  it('cost as much whatever is on the machines today', () => {
    const costs = (shelf: typeof demo) =>
      ask({ shelf, jobs: jobOf('press-frame'), setUps: [], seeksAll: true }).jobs[0]?.ways.map(
        ({ costPerRun }) => costPerRun,
      )
    expect(demo.presentSetUps.length).toBeGreaterThan(0)
    expect(costs(demo)?.length).toBeGreaterThan(0)
    expect(costs({ ...demo, presentSetUps: [] })).toEqual(costs(demo))
  })

  it('have none with a gun to buy that has no price', () => {
    const byGun = demo.setUps.filter(({ gunId }) => gunId === 'dray-spool')
    expect(byGun.length).toBeGreaterThan(0)
    const shelf = { ...demo, guns: demo.guns.map((gun) => ({ ...gun, price: null })) }
    const jobs = jobOf('picking-platform')
    expect(ask({ jobs, setUps: byGun }).jobs[0]?.ways[0]?.needs).toContain('gun dray-spool')
    expect(ask({ jobs, setUps: byGun, shelf }).jobs).toEqual([])
  })

  it('name of set-ups that fail in as many things the first', () => {
    const [steel] = demo.setUps.filter(({ id }) => id === 'bay-2-wire')
    if (!steel) throw new Error('demo')
    const again = [
      { ...steel, id: 'first' },
      { ...steel, id: 'second' },
    ]
    const { undoable } = ask({ jobs: jobOf('pressing-tray'), setUps: again })
    expect(undoable[0]?.nearest?.setUpId).toBe('first')
  })

  it('name a job that nothing does, with what comes nearest', () => {
    const { undoable, jobs } = ask({ jobs: jobOf('hoist-beam') })
    expect(jobs).toEqual([])
    expect(undoable).toMatchObject([{ jobId: 'hoist-beam', nearest: { limit: { verdict: 'fails' } } }])
  })

  it('are found once, whichever jobs are planned next, and nothing of the plan before stays in the new one', () => {
    const search = new KitSearch({ shop: demo.shop, shelf: demo, setUps: demo.setUps, seeksAll: true })
    const first = search.problemOf(planned)
    const few = planned.filter(({ id }) => id !== 'press-frame')
    const next = search.problemOf(few.map((job) => ({ ...job, timesPerYear: 99 })))
    for (const { id, ways, runs } of next.jobs) {
      expect(ways).toBe(first.jobs.find((job) => job.id === id)?.ways)
      expect(runs).toBe(99 * next.horizonYears)
    }
    const anew = ask({ jobs: few, seeksAll: true })
    const byKey = ({ items }: typeof next) => items.toSorted((a, b) => (a.key < b.key ? -1 : 1))
    expect(byKey(next)).toEqual(byKey(anew))
    expect(next.jobs.map(({ ways }) => ways)).toEqual(anew.jobs.map(({ ways }) => ways))
    expect(next.undoable).toEqual(anew.undoable)
  })

  it('can leave out what is tight', () => {
    const strict = ask({ counts: (verdict) => verdict === 'fits' })
    expect(strict.jobs.flatMap(({ ways }) => ways).every(({ verdict }) => verdict === 'fits')).toBe(true)
    expect(strict.undoable.map(({ jobId }) => jobId)).toContain('picking-platform')
  })
})

describe('the demo’s kit', () => {
  it('is an outlet for the machine of the auction, not the one that does it all', async () => {
    const solve = solveWith(await highsLoader(), 30)
    const { best, proof, next, worth } = studyKit(whole(), solve, { budget: null, others: [] })
    const names = best?.buys.map(({ name }) => name) ?? []
    expect(proof.isProven).toBe(true)
    expect(best?.undone).toEqual([])
    // 5/16 in aluminium wants some 290 A of AC: the Sedge gives 200 A, the Sloe 310 A where a circuit carries its 96 A.
    expect(names).toContain('Bay 1 rewired, 240 V 100 A')
    // The torch for the beam welds the platforms too. By wire the smallest machine would have to rest in each of them:
    // neither a liner for aluminium nor a spool gun of 295 pays.
    expect(names.join()).not.toMatch(/PTFE liner|Sorrel|Fen|Heath|spool gun/)
    expect(best?.does.find(({ jobId }) => jobId === 'picking-platform')?.way).toMatchObject({
      verdict: 'fits',
    })
    expect(next.every(({ total }) => total >= (best?.total ?? Infinity))).toBe(true)
    expect(worth.find(({ key }) => key === 'circuit bay-1-rewired')?.saves).toBeGreaterThan(0)
  })

  it('gives each job that no written set-up does one with all its parts', async () => {
    const every = whole()
    const best = choose(every, solveWith(await highsLoader(), 30), {})?.kit
    if (!best) throw new Error('no kit')
    const made = madeOf(every, [best])
    const written = new Set(demo.setUps.map(({ id }) => id))
    for (const { jobId, way } of best.does) {
      if (written.has(way.setUpId)) continue
      const found = made.get(way.setUpId)
      if (!found) throw new Error(`${jobId} has no set-up`)
      const shelf = { ...demo, parts: [...demo.parts, ...found.parts] }
      const setUp = { ...found.setUp, id: 'found' }
      const parts = partsOf(setUp, shelf)
      const job = planned.find(({ id }) => id === jobId)
      if (!parts.ok || !job) throw new Error('parts are missing')
      expect(fitJob({ shop: demo.shop, job, setUp, ...parts.parts, stock: [] }).verdict).toBe(way.verdict)
    }
  })
})
