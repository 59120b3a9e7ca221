/** Figures of a large board: whole, its first cells, by two threads, and beside the arithmetic that it cannot do without. */
import { boardOf, type Job, MachineBoard, type PackedRow } from '../../core/src/index.ts'
import { plainBoard } from './arithmetic.ts'
import { demo, median, print, timed } from './demo.ts'
import { askThread, startThreads } from './threads.ts'

type Shop = Omit<typeof demo, 'jobs' | 'setUps'> & Pick<typeof demo, 'jobs' | 'setUps'>

/**
 * Jobs and set-ups again and again, each job different in its numbers, so that nothing is found twice.
 * @param of whose welds and set-ups are taken
 */
export function largeShop(jobCount: number, weldCount: number, setUpCount: number, of = demo): Shop {
  const allJoints = of.jobs.flatMap(({ joints }) => joints)
  const [firstJob] = of.jobs
  if (!firstJob) throw new Error('the demo has no job')
  const jobs = Array.from({ length: jobCount }, (_, n) => ({
    ...firstJob,
    id: `job-${n}`,
    joints: Array.from({ length: weldCount }, (_weld, w) => {
      const joint = allJoints[(n * 7 + w) % allJoints.length]
      if (!joint) throw new Error('the demo has no weld')
      return { ...joint, id: `w${w}`, lengthMm: 60 + n + w }
    }),
  }))
  const setUps = Array.from({ length: setUpCount }, (_, n) => {
    const setUp = of.setUps[n % of.setUps.length]
    if (!setUp) throw new Error('the demo has no set-up')
    return { ...setUp, id: `set-up-${n}` }
  })
  return { ...demo, jobs, setUps }
}

/** Steel alone, and set-ups that weld it: no cell falls by its metal, and most are asked everything. */
const ofSteel = {
  ...demo,
  jobs: demo.jobs.filter(({ joints }) =>
    joints.every(({ materialA, materialB }) => [materialA, materialB].every((one) => one === 'hot-rolled')),
  ),
  setUps: demo.setUps.filter(
    ({ wireId }) => demo.wires.find(({ id }) => id === wireId)?.metal === 'carbon-steel',
  ),
}

/** As records come anew from the store: what is kept by a job is kept by nothing here. */
const anew = (jobs: readonly Job[]): readonly Job[] => jobs.map((job) => ({ ...job }))

const whole = (shop: Shop) => (): void => {
  const cells = boardOf(shop.shop, shop, anew(shop.jobs), shop.setUps)
  if (cells.length !== shop.jobs.length * shop.setUps.length) throw new Error('the board is not whole')
}

/** The engine of a page that is used all day has been asked often: the first answers, while it still compiles, are told apart. */
const WARM_UPS = 10
const RUNS_AS_ALL_DAY = 25
/** @returns ms of the first run, and of one among many */
function coldAndWarm(work: () => void): { readonly cold: number; readonly warm: number } {
  const times = timed(work, RUNS_AS_ALL_DAY)
  return { cold: times[0] ?? 0, warm: median(times.slice(WARM_UPS)) }
}

const JOBS_AT_ONCE = 10
/** As a page asks: two threads that have the shop already take ten jobs at a time, and hand their rows over. */
async function byTwoThreads(shop: Shop): Promise<number> {
  const threads = startThreads('boardThread', 2, shop)
  const run = async (): Promise<number> => {
    let next = 0
    let cells = 0
    const began = performance.now()
    await Promise.all(
      threads.map(async (thread) => {
        while (next < shop.jobs.length) {
          const from = next
          next += JOBS_AT_ONCE
          const came = await askThread<readonly PackedRow[]>(thread, [from, from + JOBS_AT_ONCE])
          for (const { verdicts } of came) cells += verdicts.length
        }
      }),
    )
    if (cells !== shop.jobs.length * shop.setUps.length) throw new Error('the board is not whole')
    return performance.now() - began
  }
  const times: number[] = []
  for (let n = 0; n < RUNS_AS_ALL_DAY; n += 1) times.push(await run())
  await Promise.all(threads.map((thread) => thread.terminate()))
  return median(times.slice(WARM_UPS))
}

export async function board(): Promise<void> {
  const shop = largeShop(200, 5, 60)
  const began = performance.now()
  boardOf(shop.shop, shop, shop.jobs.slice(0, 1), shop.setUps)
  print('board-200x5x60-first-cells-cold', performance.now() - began, 'ms')
  const { cold, warm } = coldAndWarm(whole(shop))
  print('board-200x5x60', warm, 'ms')
  print('board-200x5x60-cold', cold, 'ms')
  const two = await byTwoThreads(shop)
  print('board-200x5x60-two-threads', two, 'ms')
  const plain = coldAndWarm(() => plainBoard(shop.jobs, shop.setUps.length)).warm
  print('board-200x5x60-plain-arithmetic', plain, 'ms')
  print('board-200x5x60-over-plain-arithmetic', warm / plain, 'times')
  print('board-200x5x60-two-threads-over-plain-arithmetic', two / plain, 'times')
  print('board-200x5x60-of-one-metal', coldAndWarm(whole(largeShop(200, 5, 60, ofSteel))).warm, 'ms')
  // An edited job has its row anew, and no other.
  const rows = timed(() => boardOf(shop.shop, shop, anew(shop.jobs.slice(0, 1)), shop.setUps))
  print('board-row-60', median(rows.slice(1)), 'ms')
}

/** The largest job that is legal with every set-up of the demo. */
export function largestJob(): void {
  const shop = largeShop(1, 5000, demo.setUps.length)
  print(`board-1x5000x${demo.setUps.length}`, median(timed(whole(shop))), 'ms')
}

/** Every job on thirty machines, each cell the best way there; one thread, as a page asks it: ten jobs at a time. */
export function machineBoard(): void {
  const { shop, jobs, ...shelf } = largeShop(200, 5, 0)
  const powerSources = Array.from({ length: 30 }, (_, n) => {
    const source = demo.powerSources[n % demo.powerSources.length]
    if (!source) throw new Error('the demo has no machine')
    return { ...source, id: `machine-${n}`, price: 500 + n }
  })
  const run = (): readonly [first: number, whole: number] => {
    const began = performance.now()
    const made = new MachineBoard(shop, { ...shelf, powerSources }, [])
    const [first, ...rest] = jobs
    if (first) made.row(first)
    const atFirst = performance.now() - began
    for (const job of rest) made.row(job)
    return [atFirst, performance.now() - began]
  }
  const [cold, ...warm] = [run(), run(), run()]
  if (cold) print('machine-board-200x30-first-cells-cold', cold[0], 'ms')
  print('machine-board-200x30', median(warm.map(([, whole]) => whole)), 'ms')
}
