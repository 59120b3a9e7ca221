/** Kits: the solver against trying every purchase, and against an example worked out by hand. */
import fc from 'fast-check'
import highsLoader, { type Highs } from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { type Kit, kitWith, weightsOf } from './kit.ts'
import { type KitItem, type KitJob, type KitProblem, type KitWay, withoutBeaten } from './kitProblem.ts'
import { Needless } from './needless.ts'
import { frontierOf, studyKit, type StudyPart } from './study.ts'
import { programOf } from './program.ts'
import { type Progress, type Solve, solveWith } from './solve.ts'
import { item, job, problem, way } from '../testing/paperKit.ts'
import { runs } from '../testing/runs.ts'

let highs: Highs
let solve: Solve
beforeAll(async () => {
  highs = await highsLoader()
  solve = solveWith(highs, 20)
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

const LARGE = ['a', 'b', 'c', 'd'] as const
/** Of these one may stand for another. */
const SMALL = ['e', 'f'] as const
const names = [...LARGE, ...SMALL]
const isLarge = ({ slot }: KitItem): boolean => slot === 'powerSource'
const needed = fc.record({
  cost: fc.integer({ min: 1, max: 30 }),
  tight: fc.constantFrom(0, 0, 5),
  needs: fc.subarray([...names]),
  oneOf: fc.array(
    fc.array(fc.subarray([...SMALL], { minLength: 1, maxLength: 2 }), { minLength: 1, maxLength: 3 }),
    { maxLength: 2 },
  ),
})
const someJob = fc.record({
  runs: fc.integer({ min: 1, max: 12 }),
  worthPerRun: fc.option(fc.integer({ min: 0, max: 40 })),
  ways: fc.array(needed, { minLength: 1, maxLength: 6 }),
})
type SomeJob = typeof someJob extends fc.Arbitrary<infer T> ? T : never

const jobFrom = ({ runs, worthPerRun, ways }: SomeJob, id: string, known: ReadonlySet<string>): KitJob => ({
  ...job(
    id,
    runs,
    ...ways.map(({ cost, tight, needs, oneOf }, at): KitWay => ({
      ...way(
        `s${at}`,
        cost,
        needs.filter((need) => known.has(need)),
      ),
      tightCost: tight,
      oneOf: oneOf.filter((sets) => sets.flat().every((one) => known.has(one))),
    })),
  ),
  worthPerRun,
})
const problems: fc.Arbitrary<{ readonly of: KitProblem; readonly other: KitJob }> = fc
  .record({
    prices: fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 1, maxLength: names.length }),
    jobs: fc.array(someJob, { minLength: 1, maxLength: 6 }),
    other: someJob,
  })
  .map(({ prices, jobs, other }) => {
    const items = prices.map((price, index) =>
      item(names[index] ?? '', price, index < LARGE.length ? 'powerSource' : 'tip'),
    )
    const known = new Set(items.map(({ key }) => key))
    return {
      of: problem(
        items,
        jobs.map((one, index) => jobFrom(one, `j${index}`, known)),
      ),
      other: jobFrom(other, 'other', known),
    }
  })

/** Of all that can be bought the kit whose jobs left undone are worth least, and of those the cheapest. */
function bruteBest(of: KitProblem, budget: number | null, without: readonly string[] = []) {
  const weights = weightsOf(of.jobs)
  const left = ({ undone }: Kit): number => undone.reduce((sum, id) => sum + (weights.get(id) ?? 0), 0)
  const kits = subsets(of.items.map(({ key }) => key).filter((key) => !without.includes(key)))
    .map((keys) => kitWith(of, keys))
    .filter(({ purchases }) => budget === null || purchases <= budget)
  const least = Math.min(...kits.map(left))
  return {
    left: least,
    total: Math.min(...kits.filter((kit) => left(kit) < least + 1e-6).map(({ total }) => total)),
    leftBy: left,
  }
}
const someBudget = fc.option(fc.integer({ min: 0, max: 120 }))

describe('the kit', () => {
  it('does what is worth most for the money, at the least cost of all that there are, and is proven', () => {
    fc.assert(
      fc.property(problems, someBudget, ({ of }, budget) => {
        const { best, proof } = studyKit(of, solve, { budget, others: [] })
        const brute = bruteBest(of, budget)
        expect(best && brute.leftBy(best)).toBeCloseTo(brute.left, 6)
        expect(best?.purchases).toBeLessThanOrEqual(budget ?? Infinity)
        expect(best?.total).toBeCloseTo(brute.total, 6)
        expect(proof).toEqual({ isProven: true, gap: 0 })
      }),
      { numRuns: runs(16) },
    )
  })

  it('is told apart from the kit without each purchase, without each job, and with one job more', () => {
    fc.assert(
      fc.property(problems, someBudget, ({ of, other }, budget) => {
        const { best, worth, jobs, others } = studyKit(of, solve, { budget, others: [other] })
        if (!best) throw new Error('no kit')
        expect(worth.map(({ key }) => key)).toEqual(best.buys.filter(isLarge).map(({ key }) => key))
        for (const { key, saves, undone, done, never } of worth) {
          const brute = bruteBest(of, budget, [key])
          if (saves !== null) expect(saves).toBeCloseTo(brute.total - best.total, 6)
          else expect(undone.length + done.length).toBeGreaterThan(0)
          // Nothing else does it, for any money: not even with everything but this.
          for (const id of undone) {
            const all = of.items.map((one) => one.key).filter((one) => one !== key)
            expect(never.includes(id)).toBe(kitWith(of, all).undone.includes(id))
          }
        }
        for (const one of jobs) {
          expect(one.isDone).toBe(!best.undone.includes(one.jobId))
          const fewer = { ...of, jobs: of.jobs.filter(({ id }) => id !== one.jobId) }
          if (one.brings.length + one.displaces.length === 0)
            expect(one.costs).toBeCloseTo(best.total - bruteBest(fewer, budget).total, 6)
        }
        const [more] = others
        const having = { ...of, jobs: [...of.jobs, other] }
        const brute = bruteBest(having, budget)
        if (more && more.displaces.length + more.brings.length === 0)
          expect(more.costs).toBeCloseTo(brute.total - best.total, 6)
        // What cannot be done for the money is not called free.
        if (more && !more.isDone)
          expect(more.costs <= 0 || more.displaces.length > 0 || more.brings.length > 0).toBe(true)
      }),
      { numRuns: runs(10) },
    )
  })

  it('is followed by those that cost least of all that leave out something of each before', () => {
    let compared = 0
    fc.assert(
      fc.property(problems, ({ of }) => {
        const { best, next } = studyKit(of, solve, { budget: null, others: [] })
        if (!best || best.undone.length > 0) return
        const done = everyKit(of).filter(({ undone }) => undone.length === 0)
        const before: Kit[] = [best]
        /** Something large; a kit of nothing is left by buying something. */
        const leaves = (kit: Kit, other: Kit): boolean => {
          const large = other.buys.filter(isLarge)
          return large.length === 0 ? kit.buys.some(isLarge) : large.some((one) => !kit.buys.includes(one))
        }
        const others = (): readonly Kit[] => done.filter((kit) => before.every((other) => leaves(kit, other)))
        for (const one of next) {
          expect(one.total).toBeCloseTo(Math.min(...others().map(({ total }) => total)), 6)
          before.push(one)
          compared += 1
        }
        // There are three, unless there are no more. Beside a kit of nothing large many are of no use.
        if (next.length < 3 && before.every(({ buys }) => buys.some(isLarge))) expect(others()).toEqual([])
      }),
      { numRuns: runs(20) },
    )
    expect(compared).toBeGreaterThan(runs(20) / 10)
  })

  it('costs as much among what is left as among all, whatever may not be bought and whichever jobs there are', () => {
    let left = 0
    /** What is one of several to choose from is never left out; and what a does, b does nearly as well. */
    const withTwins = (one: KitJob): KitJob => {
      const plain = one.ways.map((of) => ({ ...of, oneOf: [] }))
      const twins = plain
        .filter(({ needs }) => needs.includes('a'))
        .map((of) => ({
          ...of,
          costPerRun: of.costPerRun + 1,
          needs: of.needs.map((key) => (key === 'a' ? 'b' : key)),
        }))
      return { ...one, ways: withoutBeaten([...plain, ...twins]) }
    }
    const asked = fc.record({
      made: problems,
      without: fc.subarray<string>([...names], { maxLength: 2 }),
      isChosen: fc.boolean(),
      which: fc.nat(),
    })
    fc.assert(
      fc.property(asked, ({ made, without, isChosen, which }) => {
        fc.pre(made.of.items.length > 1)
        const jobs = isChosen ? made.of.jobs : made.of.jobs.map(withTwins)
        const of = { ...made.of, jobs }
        const some = { ...of, jobs: jobs.filter((_, at) => at === 0 || ((which >> at) & 1) === 0) }
        const small = new Needless(of).reduced(without)(some)
        left += of.items.length - small.items.length
        const [brute, reduced] = [some, small].map((one) => bruteBest(one, null, without))
        expect(reduced?.left).toBeCloseTo(brute?.left ?? NaN, 6)
        expect(reduced?.total).toBeCloseTo(brute?.total ?? NaN, 6)
      }),
      { numRuns: runs(200) },
    )
    // A property over problems in which all is needed would show nothing.
    expect(left).toBeGreaterThan(runs(200) / 10)
  })

  it('of so many jobs costs least to buy at every point of the frontier', () => {
    fc.assert(
      fc.property(problems, ({ of }) => {
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
      fc.property(problems, fc.subarray<string>([...names]), ({ of }, keys) => {
        const raw = of.jobs.map(({ ways }) => ways)
        const hasAll = (set: readonly string[]): boolean => set.every((need) => keys.includes(need))
        for (const ways of raw) {
          const cost = (from: readonly KitWay[]) =>
            Math.min(
              ...from
                .filter(({ needs, oneOf }) => hasAll(needs) && oneOf.every((sets) => sets.some(hasAll)))
                .map(({ costPerRun, tightCost }) => costPerRun + tightCost),
            )
          // Beaten ways put back among the others change nothing.
          const more = [
            ...ways,
            ...ways.map((one) => ({ ...one, costPerRun: one.costPerRun + 1, needs: [...one.needs, 'a'] })),
          ]
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
const alike = { isDone: true, displaces: [], brings: [], isProven: true }
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
    expect(worth).toEqual([{ key: 'outlet', saves: 2060, undone: [], done: [], never: [], isProven: true }])
    // Without the boom nothing is bought, 2400 remain: it costs 1720. Without the frame: 1450 + 270.
    expect(jobs).toEqual([
      { ...alike, jobId: 'frame', costs: 2400, buysMore: [], buysLess: [] },
      { ...alike, jobId: 'boom', costs: 1720, buysMore: ['outlet'], buysLess: [] },
    ])
  })

  it('says what one more job would change: the machine pays with enough of them', () => {
    const plates = job('plates', 100, way('old', 60), way('new', 20, ['machine']))
    const { others } = studyKit(byHand, solve, { budget: null, others: [plates] })
    // With them: 3900 + 2040 + 240 + 2000 = 8180, against 1450 + 2400 + 270 + 6000 = 10120.
    expect(others).toEqual([
      { ...alike, jobId: 'plates', costs: 8180 - 4120, buysMore: ['machine'], buysLess: ['outlet'] },
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
    expect(worth).toMatchObject([{ key: 'outlet', saves: null, undone: ['boom'], never: ['boom'] }])
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
    const program = programOf(of, { is: 'none' }, new Map())
    const solved = solve(program, (progress) => heard.push(progress))
    expect(heard.length).toBeGreaterThan(0)
    expect(heard.every(({ bound }) => bound <= solved.objective + 1e-6)).toBe(true)
    // It rises, and the best comes down to where they meet.
    expect(Math.max(...heard.map(({ bound }) => bound))).toBeGreaterThan(solved.objective / 2)
    expect(Math.min(...heard.map(({ best }) => best ?? Infinity))).toBeCloseTo(solved.objective, 6)
    for (const { best, bound, gap, seconds, values } of heard) {
      // Of a best that is above the bound the share that could still be saved.
      if (best === null) expect(gap).toBeNull()
      else expect(gap).toBeCloseTo(1 - bound / best, 9)
      expect(seconds).toBeGreaterThanOrEqual(0)
      if (values) expect(values).toHaveLength(program.columns.length)
    }
    expect(heard.some(({ values }) => values === null)).toBe(true)
    const [last] = heard.filter(({ values }) => values).slice(-1)
    const cost = program.columns.reduce((sum, one, at) => sum + one.cost * (last?.values?.[at] ?? 0), 0)
    expect(cost).toBeCloseTo(last?.best ?? NaN, 6)
    expect(Math.max(...heard.map(({ seconds }) => seconds))).toBeGreaterThan(0)
    expect(solved.isProven).toBe(true)
  })

  it('tells its rows as they come, each as it stays', () => {
    const three = problem(byHand.items, [frame, boom, { ...boom, id: 'boom-2', name: 'boom-2', runs: 5 }])
    const parts: StudyPart[] = []
    const whole = studyKit(three, solve, { budget: null, others: [] }, (part) => parts.push(part))
    const jobs = parts.flatMap((part) => (part.jobs ? [part.jobs] : []))
    expect(jobs.map((rows) => rows.length)).toEqual([...jobs.map((rows) => rows.length)].sort())
    expect(jobs.length).toBeGreaterThan(2)
    for (const rows of jobs) expect(rows).toEqual(whole.jobs.slice(0, rows.length))
    expect(jobs.at(-1)).toEqual(whole.jobs)
    expect(parts.flatMap((part) => (part.worth ? [part.worth] : [])).at(0)).toEqual(whole.worth.slice(0, 1))
  })

  it('tells apart what cannot be from what was not found', () => {
    const program = programOf(byHand, { is: 'none' }, new Map(), { without: ['outlet', 'machine'] })
    expect(solve(program)).toMatchObject({ values: null, isInfeasible: true })
  })
})
