/** From a shop to a kit: what counts as a way, what it costs, and the demo’s answer with its reasons. */
import highsLoader from 'highs'
import { describe, expect, it } from 'vitest'
import { costOf } from '../fit/cost.ts'
import { sidesOf } from '../fit/fit.ts'
import { assess } from '../criteria/index.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { everySetUpFor } from './everySetUp.ts'
import { studyKit } from './kit.ts'
import { kitProblemOf } from './kitProblem.ts'
import { solveWith } from './solve.ts'

const demo = demoShop()
const planned = demo.jobs.filter(({ state }) => state === 'planned')
const every = everySetUpFor(demo.shop, demo, demo.setUps, planned, 60)
const whole = kitProblemOf(demo.shop, every.shelf, planned, every.setUps)
const jobOf = (id: string) => planned.filter((one) => one.id === id)

describe('ways to do a job', () => {
  it('cost what the fit of that set-up costs', () => {
    const input = { ...demoInput('picking-platform', 'bench-tig-ac'), stock: [] }
    const { capability, demand } = sidesOf(input)
    const cost = costOf(input, demand, assess(capability, demand))?.job
    const alone = kitProblemOf(demo.shop, demo, jobOf('picking-platform'), [input.setUp])
    expect(alone.jobs[0]?.ways).toEqual([
      expect.objectContaining({ setUpId: 'bench-tig-ac', needs: [], costPerRun: cost }),
    ])
  })

  it('are counted over the years: eight a year for three years, and once where nobody says', () => {
    const runs = (timesPerYear: number | null) =>
      kitProblemOf(
        demo.shop,
        demo,
        jobOf('picking-platform').map((job) => ({ ...job, timesPerYear })),
        demo.setUps,
      ).jobs[0]?.runs
    expect([runs(8), runs(null)]).toEqual([24, 1])
  })

  it('leave out what has no price, and name it', () => {
    const shelf = { ...demo, guns: demo.guns.map((gun) => ({ ...gun, price: null })) }
    const { unpriced, items } = kitProblemOf(demo.shop, shelf, planned, demo.setUps)
    expect(unpriced).toContain('Dray spool gun')
    expect(items.map(({ name }) => name)).not.toContain('Dray spool gun')
  })

  it('may rent a machine by the day instead of buying it', () => {
    const heath = demo.setUps.filter(({ id }) => id === 'heath-stick')
    const [fork] = kitProblemOf(demo.shop, demo, jobOf('loader-fork'), heath).jobs
    const [bought, rented] = fork?.ways.toSorted((a, b) => a.costPerRun - b.costPerRun) ?? []
    expect(bought).toMatchObject({ needs: ['powerSource heath-300'], rents: null })
    expect(rented).toMatchObject({ needs: [], rents: 'powerSource heath-300' })
    // Less than a working day, at 95 a day.
    expect((rented?.costPerRun ?? 0) - (bought?.costPerRun ?? 0)).toBeCloseTo(95)
  })

  it('are rented for every day that is begun', () => {
    const heath = demo.setUps.filter(({ id }) => id === 'heath-stick')
    const rent = (shiftHours: number): number => {
      const shop = { ...demo.shop, assumptions: { ...demo.shop.assumptions, shiftHours } }
      const [fork] = kitProblemOf(shop, demo, jobOf('loader-fork'), heath).jobs
      const cost = (rents: string | null): number =>
        fork?.ways.find((way) => way.rents === rents)?.costPerRun ?? NaN
      return cost('powerSource heath-300') - cost(null)
    }
    const workH = sidesOf(demoInput('loader-fork', 'yard-stick')).demand.workH ?? NaN
    // At 95 a day: in days a little shorter than the work two, in days as long as it one.
    expect(rent(workH * 0.9)).toBeCloseTo(2 * 95)
    expect(rent(workH * 1.1)).toBeCloseTo(95)
  })

  it('name of set-ups that fail in as many things the first', () => {
    const [steel] = demo.setUps.filter(({ id }) => id === 'bay-2-wire')
    if (!steel) throw new Error('demo')
    const again = [
      { ...steel, id: 'first' },
      { ...steel, id: 'second' },
    ]
    const { undoable } = kitProblemOf(demo.shop, demo, jobOf('pressing-tray'), again)
    expect(undoable[0]?.nearest?.setUpId).toBe('first')
  })

  it('name a job that nothing does, with what comes nearest', () => {
    const { undoable, jobs } = kitProblemOf(demo.shop, demo, jobOf('hoist-beam'), demo.setUps)
    expect(jobs).toEqual([])
    expect(undoable).toMatchObject([{ jobId: 'hoist-beam', nearest: { limit: { verdict: 'fails' } } }])
  })

  it('can leave out what is tight', () => {
    const strict = kitProblemOf(demo.shop, demo, planned, demo.setUps, (verdict) => verdict === 'fits')
    expect(strict.jobs.flatMap(({ ways }) => ways).every(({ verdict }) => verdict === 'fits')).toBe(true)
    expect(strict.undoable.map(({ jobId }) => jobId)).toContain('picking-platform')
  })
})

describe('the demo’s kit', () => {
  it('is an outlet for the machine of the auction, not the one that does it all', async () => {
    const solve = solveWith(await highsLoader(), 30)
    const { best, proof, next, worth } = studyKit(whole, solve, { budget: null, others: [] })
    const names = best?.buys.map(({ name }) => name) ?? []
    expect(proof.isProven).toBe(true)
    expect(best?.undone).toEqual([])
    // 5/16 in aluminium wants some 290 A of AC: the Sedge gives 200 A, the Sloe 310 A where a circuit carries its 96 A.
    expect(names).toContain('Bay 1 rewired, 240 V 100 A')
    // 24 platforms are cheaper by wire than by TIG: a liner for aluminium pays, a spool gun of 295 does not.
    expect(names.join()).toMatch(/PTFE liner/)
    expect(names.join()).not.toMatch(/Sorrel|Fen|Heath|spool gun/)
    expect(next.every(({ total }) => total >= (best?.total ?? Infinity))).toBe(true)
    expect(worth.find(({ key }) => key === 'circuit bay-1-rewired')?.saves).toBeGreaterThan(0)
  })

  it('writes each set-up that could be down once', () => {
    const ids = every.setUps.map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
    expect(ids).toEqual(expect.arrayContaining(demo.setUps.map(({ id }) => id)))
    for (const id of every.made.keys()) expect(ids).toContain(id)
  })
})
