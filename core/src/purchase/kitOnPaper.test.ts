/** What a purchase comes to and what a job counts, against small examples worked by hand. */
import highsLoader from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { counted, findsNothing, item, job, problem, way } from '../testing/paperKit.ts'
import { cheapestKit, choose, decidingPrices, kitWith, neededBy, solved, weightsOf } from './kit.ts'
import type { KitJob, KitWay } from './kitProblem.ts'
import { Needless } from './needless.ts'
import type { Progress, Solve, Solved } from './solve.ts'
import { progressOf, solveWith } from './solve.ts'

let solve: Solve
beforeAll(async () => {
  solve = solveWith(await highsLoader(), 20)
})

const ids = (jobs: readonly { readonly jobId: string }[]): readonly string[] => jobs.map(({ jobId }) => jobId)
const keysOf = (items: readonly { readonly key: string }[]): readonly string[] => items.map(({ key }) => key)
const worth = (one: KitJob, worthPerRun: number | null): KitJob => ({ ...one, worthPerRun })

describe('what is bought', () => {
  it('comes to its price, with what every run costs and what is added for runs that are tight', () => {
    const jobs = [
      job('frame', 12, way('old', 20, [], { verdict: 'tight', tightCost: 2 })),
      job('boom', 3, way('new', 10, ['machine'])),
    ]
    const kit = kitWith({ items: [item('machine', 500), item('other', 70)], jobs }, ['machine', 'other'])
    // What no job uses is not bought: 500 + 12 * 20 + 3 * 10 + 12 * 2.
    expect(kit).toMatchObject({ purchases: 500, running: 270, tight: 24, total: 794, undone: [] })
    expect(keysOf(kit.buys)).toEqual(['machine'])
  })

  it('decides which way a job goes, and which are left undone', () => {
    const jobs = [
      job('frame', 1, way('old', 20), way('new', 10, ['machine'])),
      job('boom', 1, way('new', 10, ['machine', 'gun'])),
      job('tray', 1, way('by-wire', 10, [], { oneOf: [[['roll', 'liner'], ['tip']]] })),
    ]
    const items = ['machine', 'gun', 'roll', 'liner', 'tip'].map((key) => item(key, 1))
    const goes = (...keys: string[]) => {
      const { does, undone } = kitWith({ items, jobs }, keys)
      return [does.map(({ jobId, way: { setUpId } }) => `${jobId} ${setUpId}`), undone]
    }
    expect(goes()).toEqual([['frame old'], ['boom', 'tray']])
    expect(goes('machine', 'roll')).toEqual([['frame new'], ['boom', 'tray']])
    expect(goes('machine', 'gun', 'tip')).toEqual([['frame new', 'boom new', 'tray by-wire'], []])
    expect(goes('gun', 'roll', 'liner')).toEqual([['frame old', 'tray by-wire'], ['boom']])
  })

  it('is, of small parts that stand for each other, what is used anyway', () => {
    const oneOf = (...sets: string[][]): Partial<KitWay> => ({ oneOf: [sets] })
    const items = ['a', 'b', 'c'].map((key) => item(key, 5, 'tip'))
    const buys = (...jobs: KitJob[]) => keysOf(kitWith({ items, jobs }, ['a', 'b', 'c']).buys)
    // The choice that leaves one comes first, whichever job is planned first.
    const either = job('either', 1, way('s', 1, [], oneOf(['a'], ['b'])))
    const only = job('only', 1, way('s', 1, [], oneOf(['b'])))
    expect(buys(either)).toEqual(['a'])
    expect(buys(either, only)).toEqual(['b'])
    expect(buys(only, either)).toEqual(['b'])
    // What is needed for something else is there.
    expect(buys(either, job('needs', 1, way('s', 1, ['b'])))).toEqual(['b'])
    // Two places with a choice each.
    expect(buys(job('two', 1, way('s', 1, [], { oneOf: [[['a']], [['b'], ['c']]] })))).toEqual(['a', 'b'])
  })

  it('is named by the way that needs it, as it was bought', () => {
    const choice = way('s', 1, ['gun'], {
      oneOf: [
        [['a'], ['b']],
        [['c'], ['d', 'e']],
      ],
    })
    const items = ['gun', 'b', 'd', 'e'].map((key) => item(key, 5))
    const kit = kitWith({ items, jobs: [job('one', 1, choice)] }, keysOf(items))
    expect(neededBy(choice, kit)).toEqual(['gun', 'b', 'd', 'e'])
    expect(neededBy(way('other', 1, [], { oneOf: [[['a']]] }), kit)).toEqual([])
  })
})

describe('what it counts that a job is done', () => {
  const plain = (id: string, runs: number, worthPerRun: number | null) =>
    worth(job(id, runs, way('s', 1)), worthPerRun)

  it('is what all its runs bring in, of a mean of one', () => {
    const weights = weightsOf([plain('a', 2, 10), plain('b', 2, 30), plain('c', 9, null)])
    // 20 and 60, of a mean of 40; whoever has not said counts like the average.
    expect([...weights]).toEqual([
      ['a', 0.5],
      ['b', 1.5],
      ['c', 1],
    ])
  })
  it('is a little, where it brings in nothing: it is still done where it can be', () => {
    const weights = weightsOf([plain('a', 1, 0), plain('b', 1, 50)])
    expect(weights.get('b')).toBe(2)
    expect(weights.get('a')).toBeGreaterThan(0)
    expect(weights.get('a')).toBeLessThanOrEqual(0.001)
  })
  it('is the same for all, where none has been entered or none brings in anything', () => {
    expect([...weightsOf([plain('a', 3, null), plain('b', 9, null)]).values()]).toEqual([1, 1])
    expect([...weightsOf([plain('a', 3, 0), plain('b', 9, 0)]).values()]).toEqual([1, 1])
  })
})

describe('the choice under a limit', () => {
  const items = [item('press', 90), item('rotator', 100)]
  const jobs = [
    worth(job('frame', 1, way('p', 4, ['press'])), 10),
    worth(job('boom', 1, way('r', 5, ['rotator'])), 30),
    job('tray', 2, way('old', 3)),
  ]

  it('does what is worth most for the money, then costs least', () => {
    const with150 = choose(problem(items, jobs), solve, { budget: 150 })
    expect(with150?.kit).toMatchObject({ undone: ['frame'], purchases: 100, total: 100 + 5 + 6 })
    expect(with150?.proof).toEqual({ isProven: true, gap: 0 })
    expect(choose(problem(items, jobs), solve, { budget: 95 })?.kit.undone).toEqual(['boom'])
    expect(choose(problem(items, jobs), solve, { budget: 190 })?.kit.undone).toEqual([])
    expect(choose(problem(items, jobs), solve, { budget: 0 })?.kit.undone).toEqual(['frame', 'boom'])
  })

  it('does without what may not be bought', () => {
    const { kit, proof } = choose(problem(items, jobs), solve, { without: ['rotator'] }) ?? {}
    expect(proof).toEqual({ isProven: true, gap: 0 })
    expect([kit?.undone, keysOf(kit?.buys ?? [])]).toEqual([['boom'], ['press']])
    expect(cheapestKit(problem(items, jobs), solve)).toMatchObject({ undone: [], total: 190 + 4 + 5 + 6 })
  })

  it('is null where nothing was found in time', () => {
    expect(choose(problem(items, jobs), findsNothing, {})).toBeNull()
    expect(choose(problem(items, jobs), findsNothing, { budget: 50 })).toBeNull()
    expect(cheapestKit(problem(items, jobs), findsNothing)).toBeNull()
    // The first question was answered, the second was not.
    const once = counted(solve, (found, question) => (question === 1 ? found : { ...found, values: null }))
    expect(choose(problem(items, jobs), once.solve, { budget: 50 })).toBeNull()
    expect(once.asked()).toBe(2)
  })

  it('says how much could still be saved where it is not proven: of two questions the more', () => {
    const proofOf = (budget: number | undefined, ...bounds: number[]) => {
      const unproven = counted(solve, (found, question) => {
        const bound = found.objective * (bounds[question - 1] ?? 1)
        return { ...found, bound, isProven: bound === found.objective }
      })
      return choose(problem(items, jobs), unproven.solve, budget === undefined ? {} : { budget })?.proof
    }
    expect(proofOf(undefined, 0.75)).toEqual({ isProven: false, gap: 0.25 })
    expect(proofOf(undefined, 1)).toEqual({ isProven: true, gap: 0 })
    expect(proofOf(95, 0.5, 1)).toEqual({ isProven: false, gap: 0.5 })
    expect(proofOf(95, 1, 0.5)).toEqual({ isProven: false, gap: 0.5 })
    expect(proofOf(95, 0.75, 0.5)).toEqual({ isProven: false, gap: 0.5 })
    // A bound above the best, by the last digit: nothing is left to save.
    expect(proofOf(undefined, 1.25)).toEqual({ isProven: false, gap: 0 })
  })

  it('of what costs nothing has nothing left to save', () => {
    const free: Solved = {
      values: new Float64Array(1),
      objective: 0,
      bound: -1,
      isProven: false,
      isInfeasible: false,
    }
    const alone = problem([], [job('tray', 1, way('old', 0))])
    expect(solved(alone, () => free, { is: 'none' }, {})?.proof).toEqual({ isProven: false, gap: 0 })
  })

  it('tells each better kit while it is sought, and none where only the bound has moved', () => {
    const heard: unknown[] = []
    const moved: Progress = { best: null, bound: 7, gap: null, seconds: 1, values: null }
    const telling: Solve = (program, told) => {
      const found = solve(program)
      told?.(moved)
      told?.({ ...moved, best: found.objective, values: found.values })
      return found
    }
    choose(
      problem(items, jobs),
      telling,
      {},
      { told: (progress, kit) => heard.push([progress.best, kit?.purchases]) },
    )
    expect(heard).toEqual([
      [null, undefined],
      [205, 190],
    ])
    // Without a listener the solver need not tell.
    const silent: Solve = (program, told) => {
      expect(told).toBeUndefined()
      return solve(program)
    }
    expect(choose(problem(items, jobs), silent, {})?.kit.purchases).toBe(190)
  })
})

describe('how far the solver is', () => {
  it('is the share of the best that could still be saved', () => {
    const values = new Float64Array([1])
    const told = { mip_primal_bound: 200, mip_dual_bound: 150, running_time: 3, mip_solution: values }
    expect(progressOf(told)).toEqual({ best: 200, bound: 150, gap: 0.25, seconds: 3, values })
    // A bound above the best by the last digit.
    expect(progressOf({ mip_primal_bound: 200, mip_dual_bound: 201 })).toMatchObject({ gap: 0, values: null })
  })
  it('is not known before there is a best, and all of it before there is a bound', () => {
    expect(progressOf({ mip_primal_bound: Infinity, mip_dual_bound: -Infinity, running_time: 0 })).toEqual({
      best: null,
      bound: 0,
      gap: null,
      seconds: 0,
      values: null,
    })
    expect(progressOf({})).toMatchObject({ best: null, bound: 0, gap: null, seconds: 0 })
    expect(progressOf({ mip_primal_bound: 200, mip_dual_bound: -Infinity }).gap).toBe(1)
    expect(progressOf({ mip_primal_bound: 200, mip_dual_bound: -50 }).bound).toBe(0)
    // Of what costs nothing there is no share.
    expect(progressOf({ mip_primal_bound: 0, mip_dual_bound: 0 })).toMatchObject({ best: 0, gap: null })
  })
})

describe('what stands for another', () => {
  const dear = item('dear', 300)
  const cheap = item('cheap', 200)
  /** @param runs of a job that costs 10 a run with the dear one and 12 with the cheap one */
  const small = (runs: number, slot: 'powerSource' | 'gun' = 'powerSource') => {
    const of = problem(
      [dear, { ...cheap, slot }],
      [job('frame', runs, way('d', 10, ['dear']), way('c', 12, ['cheap']))],
    )
    return keysOf(new Needless(of).reduced([])(of).items)
  }

  it('makes it needless as long as all runs cost no more than the price between them', () => {
    // 100 apart, 2 a run.
    expect(small(50)).toEqual(['cheap'])
    expect(small(51)).toEqual(['dear', 'cheap'])
  })
  it('is of the same place', () => {
    expect(small(1, 'gun')).toEqual(['dear', 'cheap'])
  })
  it('does all that the other does', () => {
    const of = problem(
      [dear, cheap],
      [
        job('frame', 1, way('d', 10, ['dear']), way('c', 12, ['cheap'])),
        job('boom', 1, way('d', 10, ['dear'])),
      ],
    )
    expect(keysOf(new Needless(of).reduced([])(of).items)).toEqual(['dear', 'cheap'])
    // Something owned does the rest as well: then it does.
    const owned = {
      ...of,
      jobs: [...of.jobs.slice(0, 1), job('boom', 1, way('d', 10, ['dear']), way('o', 30))],
    }
    expect(keysOf(new Needless(owned).reduced([])(owned).items)).toEqual(['cheap'])
  })
  it('is not something that may not be bought, nor one of several to choose from', () => {
    const of = problem([dear, cheap], [job('frame', 1, way('d', 10, ['dear']), way('c', 12, ['cheap']))])
    const without = new Needless(of).reduced(['cheap'])(of)
    expect(without.jobs[0]?.ways.map(({ setUpId }) => setUpId)).toEqual(['d'])
    expect(keysOf(without.items)).toEqual(['dear', 'cheap'])
    const choice = problem(
      [dear, cheap],
      [
        job('frame', 1, way('d', 10, ['dear']), way('c', 12, ['cheap'])),
        job('tray', 1, way('t', 1, [], { oneOf: [[['dear'], ['other']]] })),
      ],
    )
    expect(keysOf(new Needless(choice).reduced([])(choice).items)).toEqual(['dear', 'cheap'])
  })
})

describe('prices that decide', () => {
  const guess = (id: string): KitWay['guesses'][number] => ({
    slot: 'gas',
    id,
    name: id.toUpperCase(),
    low: 1,
    high: 9,
  })
  const kitOf = (...does: (readonly [string, KitWay])[]) => ({
    ...kitWith({ items: [], jobs: [] }, []),
    does: does.map(([jobId, of]) => ({ jobId, way: of })),
  })
  const old = way('old', 10)
  const mixed = way('mixed', 9, [], { guesses: [guess('argon'), guess('mix')] })

  it('are those of a way that a job would go at the lower end, each once', () => {
    const best = kitOf(['frame', old], ['boom', old], ['tray', mixed])
    const low = kitOf(['frame', mixed], ['boom', mixed], ['tray', mixed])
    expect(decidingPrices(best, low)).toEqual([
      { slot: 'gas', id: 'argon', name: 'ARGON', jobId: 'frame' },
      { slot: 'gas', id: 'mix', name: 'MIX', jobId: 'frame' },
    ])
  })
  it('are none where every job goes the same way, and a rented machine is another way', () => {
    expect(decidingPrices(kitOf(['tray', mixed]), kitOf(['tray', mixed]))).toEqual([])
    const rented = { ...mixed, rents: 'powerSource heath' }
    expect(ids(decidingPrices(kitOf(['tray', mixed]), kitOf(['tray', rented])))).toEqual(['tray', 'tray'])
    // A job that was not done before.
    expect(ids(decidingPrices(kitOf(), kitOf(['tray', mixed])))).toEqual(['tray', 'tray'])
  })
})
