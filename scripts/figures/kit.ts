/** Figures of the purchase plan: from the shop to the proven plan, with every way of each job. */
import highsLoader from 'highs'
import {
  choose,
  type Job,
  type KitProblem,
  kitProblemOf,
  type KitQuestion,
  KitSearch,
  type PowerSource,
  type Shelf,
  solveWith,
  studyKit,
} from '../../core/src/index.ts'
import { plainMs } from './arithmetic.ts'
import { demo, growth, once, print } from './demo.ts'
import { shelfOf } from './shelf.ts'

/** The demo's machines again and again, each weaker or stronger and at another price. */
export function machinesToBuy(count: number): readonly PowerSource[] {
  return Array.from({ length: count }, (_, n): PowerSource => {
    const one = demo.powerSources[n % demo.powerSources.length]
    if (!one) throw new Error('the demo has no machine')
    const factor = 0.7 + ((n * 37) % 60) / 100
    const processes = one.processes.map((process) => ({
      ...process,
      supplies: process.supplies.map((supply) => ({
        ...supply,
        outputMaxA: supply.outputMaxA * factor,
        ratedPoints: supply.ratedPoints.map((point) => ({ ...point, currentA: point.currentA * factor })),
      })),
    }))
    const price = Math.round(500 + 4000 * factor ** 2 + ((n * 397) % 900))
    return { ...one, id: `machine-${n}`, name: `${one.name} ${n}`, held: 'candidate', price, processes }
  })
}

/** The demo's jobs again and again, each kind with other lengths. */
const manyJobs = (count: number, lengths: number): readonly Job[] =>
  Array.from({ length: count }, (_, n): Job => {
    const job = demo.jobs[n % demo.jobs.length]
    if (!job) throw new Error('the demo has no job')
    const factor = 0.6 + (Math.floor(n / demo.jobs.length) % lengths) / 4
    const joints = job.joints.map((joint) => ({ ...joint, lengthMm: joint.lengthMm * factor }))
    return { ...job, id: `job-${n}`, joints, timesPerYear: 1 + (n % 12) }
  })

/** So many items: two of five are machines to buy, each weaker or stronger than another; a third of the rest is owned. */
function manyItems(count: number): Shelf {
  const share = (of: number): number => Math.max(1, Math.round(count * of))
  const { guns, wires, gases } = shelfOf({
    powerSources: 1,
    guns: share(0.15),
    wires: share(0.12),
    gases: share(0.03),
  })
  const parts = Array.from({ length: share(0.3) }, (_, n) => {
    const part = demo.parts[n % demo.parts.length]
    if (!part) throw new Error('the demo has no part')
    const held = n % 3 === 0 ? ('owned' as const) : ('candidate' as const)
    return { ...part, id: `part-${n}`, name: `${part.name} ${n}`, held, price: 5 + ((n * 37) % 90) }
  })
  // Guns of another length are other guns; what differs in name and price alone would be looked at once.
  const unlike = guns.map((gun, n) => ({ ...gun, lengthMm: gun.lengthMm + n }))
  return { ...demo, powerSources: [...machinesToBuy(share(0.4))], guns: unlike, wires, gases, parts }
}

const questionOf = (items: number, jobs: readonly Job[]): KitQuestion => ({
  shop: demo.shop,
  shelf: manyItems(items),
  setUps: demo.setUps,
  jobs,
  seeksAll: true,
})

/** How soon the study of a kit has its first rows, and all of them. */
export function printStudy(name: string, problem: KitProblem, solve: ReturnType<typeof solveWith>): void {
  const since = performance.now()
  let firstRows = Infinity
  const { best } = studyKit(problem, solve, { budget: null, others: [] }, ({ worth = [] }) => {
    if (worth.length > 0) firstRows = Math.min(firstRows, performance.now() - since)
  })
  if (!best) throw new Error('no plan was found')
  print(`${name}-study-first-rows`, firstRows, 'ms')
  print(`${name}-study`, performance.now() - since, 'ms')
}

/** From the shop to the proven plan, with every set-up that could be put together. */
export async function kit(): Promise<void> {
  const solve = solveWith(await highsLoader(), 20)
  const prove = (problem: KitProblem): void => {
    if (!choose(problem, solve, {})?.proof.isProven || !problem.isWhole)
      throw new Error(`${problem.jobs.length} jobs: not proven among all`)
  }
  const provenIn = (jobs: readonly Job[], items: number): number =>
    once(() => {
      prove(kitProblemOf(questionOf(items, jobs)))
    })
  const sizes = [60, 120, 250, 500]
  const times = sizes.map((size) => provenIn(manyJobs(8, 1), size))
  print('kit-8x500-proven', times.at(-1) ?? 0, 'ms')
  print('kit-growth-with-items', growth(sizes, times), '')
  const kinds = [1, 2, 3, 5]
  const byKinds = kinds.map((lengths) => provenIn(manyJobs(200, lengths), 120))
  print(
    'kit-growth-with-kinds-of-jobs',
    growth(
      kinds.map((lengths) => lengths * demo.jobs.length),
      byKinds,
    ),
    '',
  )
  const proven = provenIn(manyJobs(100, 3), 300)
  print('kit-100-jobs-of-24-kinds-x300-proven', proven, 'ms')
  // Each kind of job once.
  const { powerSources, guns, wires, gases } = manyItems(300)
  const plain = plainMs(
    manyJobs(24, 3),
    [powerSources, guns, wires, gases].map(({ length }) => length),
  )
  print('kit-100-jobs-of-24-kinds-x300-plain-arithmetic', plain, 'ms')
  print('kit-100-jobs-of-24-kinds-x300-over-plain-arithmetic', proven / plain, 'times')
  print('kit-200-jobs-of-8-kinds-x500-proven', provenIn(manyJobs(200, 1), 500), 'ms')
  print('kit-200-jobs-of-40-kinds-x500-proven', provenIn(manyJobs(200, 5), 500), 'ms')

  const search = new KitSearch(questionOf(300, []))
  const problem = search.problemOf(manyJobs(100, 3))
  print(
    'kit-100x300-proven-again-one-job-less',
    once(() => {
      prove(search.problemOf(manyJobs(99, 3)))
    }),
    'ms',
  )
  printStudy('kit-100x300', problem, solve)
}
