/** Kits: the solver against trying every purchase, and against an example worked out by hand. */
import fc from 'fast-check'
import highsLoader, { type Highs } from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { frontierOf, type Kit, kitWith, studyKit } from './kit.ts'
import { type KitItem, type KitJob, type KitProblem, type KitWay, withoutBeaten } from './kitProblem.ts'
import { programOf } from './program.ts'
import { type Progress, type Solve, solveWith } from './solve.ts'
import { runs } from '../testing/runs.ts'

let highs: Highs
let solve: Solve
beforeAll(async () => {
  highs = await highsLoader()
  solve = solveWith(highs, 20)
})

const item = (key: string, price: number): KitItem => ({
  key,
  slot: 'powerSource',
  name: key,
  listed: price,
  price,
})
const way = (setUpId: string, costPerRun: number, needs: readonly string[] = []): KitWay => ({
  setUpId,
  verdict: 'fits',
  needs,
  rents: null,
  costPerRun,
})
const job = (id: string, runs: number, ...ways: readonly KitWay[]): KitJob => ({
  id,
  name: id,
  runs,
  ways: withoutBeaten(ways),
})
const problem = (items: readonly KitItem[], jobs: readonly KitJob[]): KitProblem => ({
  items,
  jobs,
  undoable: [],
  unpriced: [],
  horizonYears: 3,
})

/** Every set of purchases there is. */
function subsets(keys: readonly string[]): readonly (readonly string[])[] {
  return keys.reduce<readonly (readonly string[])[]>(
    (all, key) => [...all, ...all.map((some) => [...some, key])],
    [[]],
  )
}
const everyKit = (of: KitProblem): readonly Kit[] =>
  subsets(of.items.map(({ key }) => key)).map((keys) => kitWith(of, keys))
const cheapest = (kits: readonly Kit[]): number =>
  Math.min(...kits.filter(({ undone }) => undone.length === 0).map(({ total }) => total))

const names = ['a', 'b', 'c', 'd', 'e', 'f'] as const
const problems: fc.Arbitrary<KitProblem> = fc
  .record({
    prices: fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 1, maxLength: names.length }),
    jobs: fc.array(
      fc.record({
        runs: fc.integer({ min: 1, max: 12 }),
        ways: fc.array(fc.record({ cost: fc.integer({ min: 1, max: 30 }), needs: fc.subarray([...names]) }), {
          minLength: 1,
          maxLength: 6,
        }),
      }),
      { minLength: 1, maxLength: 6 },
    ),
  })
  .map(({ prices, jobs }) => {
    const items = prices.map((price, index) => item(names[index] ?? '', price))
    const known = new Set(items.map(({ key }) => key))
    return problem(
      items,
      jobs.map(({ runs, ways }, index) =>
        job(
          `j${index}`,
          runs,
          ...ways.map(({ cost, needs }, at) =>
            way(
              `s${at}`,
              cost,
              needs.filter((need) => known.has(need)),
            ),
          ),
        ),
      ),
    )
  })

describe('the kit', () => {
  it('is as cheap as the cheapest of all that there are, and proven', () => {
    fc.assert(
      fc.property(problems, (of) => {
        const { best, proof } = studyKit(of, solve, { budget: null, others: [] })
        expect(best?.total).toBeCloseTo(cheapest(everyKit(of)), 6)
        expect(proof).toEqual({ isProven: true, gap: 0 })
      }),
      { numRuns: runs(40) },
    )
  })

  it('within a budget does as many jobs as can be done for it, and those at least cost', () => {
    fc.assert(
      fc.property(problems, fc.integer({ min: 0, max: 120 }), (of, budget) => {
        const { best } = studyKit(of, solve, { budget, others: [] })
        const within = everyKit(of).filter(({ purchases }) => purchases <= budget)
        const fewest = Math.min(...within.map(({ undone }) => undone.length))
        const least = Math.min(
          ...within.filter(({ undone }) => undone.length === fewest).map(({ total }) => total),
        )
        expect(best?.undone.length).toBe(fewest)
        expect(best?.purchases).toBeLessThanOrEqual(budget)
        expect(best?.total).toBeCloseTo(least, 6)
      }),
      { numRuns: runs(40) },
    )
  })

  it('of so many jobs costs least to buy at every point of the frontier', () => {
    fc.assert(
      fc.property(problems, (of) => {
        const all = everyKit(of)
        for (const { spent, done } of frontierOf(of, solve)) {
          const least = Math.min(
            ...all
              .filter(({ undone }) => of.jobs.length - undone.length >= done)
              .map(({ purchases }) => purchases),
          )
          expect(spent).toBeCloseTo(least, 6)
        }
      }),
      { numRuns: runs(30) },
    )
  })

  it('loses nothing by leaving out the ways that others beat', () => {
    fc.assert(
      fc.property(problems, fc.subarray<string>([...names]), (of, keys) => {
        const raw = of.jobs.map(({ ways }) => ways)
        for (const ways of raw) {
          const cost = (from: readonly KitWay[]) =>
            Math.min(
              ...from
                .filter(({ needs }) => needs.every((need) => keys.includes(need)))
                .map(({ costPerRun }) => costPerRun),
            )
          // Beaten ways put back among the others change nothing.
          const more = [...ways, ...ways.map((one) => way('worse', one.costPerRun + 1, [...one.needs, 'a']))]
          expect(cost(withoutBeaten(more))).toBe(cost(ways))
        }
      }),
    )
  })
})

/**
 * Worked by hand. Three years; the frame comes 4 times a year (12 runs), the boom once a year (3 runs).
 * Owned: the old machine does the frame at 200 a run, and the boom if the outlet (1450) is pulled, at 90 a run.
 * To buy: a machine for everything (3900) does the frame at 170 and the boom at 80.
 *   outlet: 1450 + 12 * 200 + 3 * 90 = 4120
 *   machine: 3900 + 12 * 170 + 3 * 80 = 6180
 *   both: 1450 + 3900 + 12 * 170 + 3 * 80 = 7630
 */
const frame = job('frame', 12, way('old', 200), way('new', 170, ['machine']))
const boom = job('boom', 3, way('old-on-outlet', 90, ['outlet']), way('new', 80, ['machine']))
const byHand = problem([item('outlet', 1450), item('machine', 3900)], [frame, boom])

describe('an example worked by hand', () => {
  it('takes the outlet, and the machine comes next', () => {
    const { best, next, proof } = studyKit(byHand, solve, { budget: null, others: [] })
    expect(best).toMatchObject({ total: 4120, purchases: 1450, running: 2670, undone: [] })
    expect(best?.buys.map(({ key }) => key)).toEqual(['outlet'])
    expect(proof.isProven).toBe(true)
    expect(next.map(({ total }) => total)).toEqual([6180])
  })

  it('says what the outlet is worth, and what each job costs', () => {
    const { worth, jobs } = studyKit(byHand, solve, { budget: null, others: [] })
    // Without the outlet the machine is bought: 6180 - 4120.
    expect(worth).toEqual([{ key: 'outlet', saves: 2060, undone: [] }])
    // Without the boom nothing is bought, 2400 remain: it costs 1720. Without the frame: 1450 + 270.
    expect(jobs).toEqual([
      { jobId: 'frame', costs: 2400, buysMore: [], buysLess: [] },
      { jobId: 'boom', costs: 1720, buysMore: ['outlet'], buysLess: [] },
    ])
  })

  it('says what one more job would change: the machine pays with enough of them', () => {
    const plates = job('plates', 100, way('old', 60), way('new', 20, ['machine']))
    const { others } = studyKit(byHand, solve, { budget: null, others: [plates] })
    // With them: 3900 + 2040 + 240 + 2000 = 8180, against 1450 + 2400 + 270 + 6000 = 10120.
    expect(others).toEqual([
      { jobId: 'plates', costs: 8180 - 4120, buysMore: ['machine'], buysLess: ['outlet'] },
    ])
  })

  it('draws how many jobs are done for how much', () => {
    expect(frontierOf(byHand, solve)).toEqual([
      { spent: 0, done: 1 },
      { spent: 1450, done: 2 },
    ])
  })

  it('names what stays undone where something cannot be had', () => {
    const alone = problem(
      [item('outlet', 1450)],
      [job('frame', 12, way('old', 200)), job('boom', 3, way('old', 90, ['outlet']))],
    )
    const { worth } = studyKit(alone, solve, { budget: null, others: [] })
    expect(worth).toEqual([{ key: 'outlet', saves: null, undone: ['boom'] }])
    expect(studyKit(alone, solve, { budget: 1000, others: [] }).best).toMatchObject({
      undone: ['boom'],
      purchases: 0,
    })
  })

  it('hears of bound and best while it runs', () => {
    // Every edge of a ring with chords wants one of its ends: fractions do half of it, so that the solver has to branch.
    const ends = 41
    const edges = [1, 2, 5].flatMap((hop) =>
      Array.from({ length: ends }, (_, from) =>
        job(`${from}-${hop}`, 1, way('s', 1, [`i${from}`]), way('t', 2, [`i${(from + hop) % ends}`])),
      ),
    )
    const of = problem(
      Array.from({ length: ends }, (_, index) => item(`i${index}`, 17 + ((index * 7) % 5))),
      edges,
    )
    const heard: Progress[] = []
    const { program } = programOf(of)
    const solved = solve(program, (progress) => heard.push(progress))
    expect(heard.length).toBeGreaterThan(0)
    expect(heard.every(({ bound }) => bound <= solved.objective + 1e-6)).toBe(true)
    expect(solved.isProven).toBe(true)
  })

  it('tells apart what cannot be from what was not found', () => {
    const { program } = programOf(byHand, { without: ['outlet', 'machine'] })
    expect(solve(program)).toMatchObject({ values: null, isInfeasible: true })
  })
})
