/** The least of a program, with and without a first look at it with fractions; small programs are counted out by hand. */
import fc from 'fast-check'
import highsLoader from 'highs'
import { beforeAll, expect, it } from 'vitest'
import { item, job, problem, way } from '../testing/paperKit.ts'
import { runs } from '../testing/runs.ts'
import { type Program, programOf } from './program.ts'
import { type Solve, solveWith } from './solve.ts'

let solve: Solve
beforeAll(async () => {
  solve = solveWith(await highsLoader(), 20)
})

const KEYS = ['a', 'b', 'c', 'd'] as const

/** Up to four things to buy, and jobs of which each can be done with some of them. */
const programs: fc.Arbitrary<Program> = fc
  .record({
    prices: fc.array(fc.integer({ min: 0, max: 20 }), { minLength: KEYS.length, maxLength: KEYS.length }),
    jobs: fc.array(
      fc.record({
        runs: fc.integer({ min: 1, max: 3 }),
        ways: fc.array(
          fc.record({
            cost: fc.integer({ min: 0, max: 9 }),
            needs: fc.subarray([...KEYS], { minLength: 1, maxLength: 2 }),
          }),
          { minLength: 1, maxLength: 4 },
        ),
      }),
      { minLength: 1, maxLength: 6 },
    ),
    without: fc.subarray([...KEYS], { maxLength: 2 }),
  })
  .map(({ prices, jobs, without }) =>
    programOf(
      problem(
        KEYS.map((key, at) => item(key, prices[at] ?? 0)),
        jobs.map(({ runs, ways }, at) =>
          job(`job-${at}`, runs, ...ways.map(({ cost, needs }, of) => way(`way-${of}`, cost, needs))),
        ),
      ),
      { is: 'none' },
      new Map(),
      { without },
    ),
  )

/** The least over every set of things; Infinity where no set will do. Ways and what is left undone then follow by themselves. */
function leastByCounting({ columns, rows }: Program): number {
  const whole = columns.flatMap(({ isWhole }, at) => (isWhole ? [at] : []))
  const others = columns.flatMap(({ isWhole }, at) => (isWhole ? [] : [at]))
  const done = rows.filter(({ least }) => least === 1)
  const bound = rows.filter(({ least }) => least !== 1)
  let best = Infinity
  for (let mask = 0; mask < 2 ** whole.length; mask += 1) {
    const bought = new Set(whole.filter((_, bit) => mask & (2 ** bit)))
    if ([...bought].some((at) => columns[at]?.most === 0)) continue
    // A way goes where all that it is bound to is bought.
    const goes = others.filter((way) =>
      bound.every(
        ({ terms }) =>
          !terms.some(([at]) => at === way) || terms.some(([at, by]) => by === -1 && bought.has(at)),
      ),
    )
    const cost = (at: number): number => columns[at]?.cost ?? 0
    const ofJobs = done.map(({ terms }) =>
      Math.min(...terms.filter(([at]) => goes.includes(at)).map(([at]) => cost(at))),
    )
    const total = [...bought].reduce((sum, at) => sum + cost(at), 0) + ofJobs.reduce((a, b) => a + b, 0)
    best = Math.min(best, total)
  }
  return best
}

it('is the least of all that could be bought, whichever way it is sought', () => {
  const seen = { found: 0, none: 0 }
  fc.assert(
    fc.property(programs, (program) => {
      expect(program.isMostlyWhole).toBe(true)
      const least = leastByCounting(program)
      for (const isMostlyWhole of [true, false]) {
        const { values, objective, isProven, isInfeasible } = solve({ ...program, isMostlyWhole })
        expect(isInfeasible).toBe(least === Infinity)
        if (values === null) continue
        expect(isProven).toBe(true)
        expect(objective).toBeCloseTo(least, 6)
        for (const [at, { isWhole }] of program.columns.entries())
          if (isWhole)
            expect(Math.abs((values[at] ?? NaN) - Math.round(values[at] ?? NaN))).toBeLessThan(1e-6)
      }
      seen[least === Infinity ? 'none' : 'found'] += 1
    }),
    { numRuns: runs(150) },
  )
  expect(Math.min(seen.found, seen.none)).toBeGreaterThan(0)
})

it('buys two of three where each job goes by either of two, never a half of each (cover of a triangle, any text on graphs)', () => {
  const triangle = programOf(
    problem(
      [item('a', 10), item('b', 10), item('c', 10)],
      [
        job('ab', 1, way('a', 0, ['a']), way('b', 0, ['b'])),
        job('bc', 1, way('b', 0, ['b']), way('c', 0, ['c'])),
        job('ca', 1, way('c', 0, ['c']), way('a', 0, ['a'])),
      ],
    ),
    { is: 'none' },
    new Map(),
  )
  // With halves it would be 15.
  expect(solve(triangle).objective).toBeCloseTo(20, 6)
})

it('has nothing to tell on the way where the first look is the answer', () => {
  const one = problem([item('a', 1)], [job('tray', 1, way('a', 1, ['a']))])
  const program = programOf(one, { is: 'none' }, new Map())
  let told = 0
  const { objective } = solve(program, () => (told += 1))
  expect([objective, told]).toEqual([2, 0])
  solve({ ...program, isMostlyWhole: false }, () => (told += 1))
  expect(told).toBeGreaterThan(0)
})

it('looks with fractions first where nothing bounds a sum over all', () => {
  const one = problem([item('a', 1)], [job('tray', 1, way('a', 1, ['a']))])
  const first = (...[undone, rules]: [Parameters<typeof programOf>[1], Parameters<typeof programOf>[3]?]) =>
    programOf(one, undone, new Map(), rules).isMostlyWhole
  expect(first({ is: 'none' })).toBe(true)
  expect(first({ is: 'none' }, { budget: 5 })).toBe(false)
  expect(first({ is: 'none' }, { buysLarge: true })).toBe(false)
  expect(first({ is: 'least' })).toBe(false)
  expect(first({ is: 'count', leastDone: 1 })).toBe(false)
})
