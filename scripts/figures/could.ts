/** Figures of the ways to do a job among many machines, guns, wires and gases: in one thread, and as a page asks two. */
import { couldDo, type CouldDo, CouldDoSearch, joined, type Shelf } from '../../core/src/index.ts'
import { plainMs } from './arithmetic.ts'
import { demo, growth, median, once, print, RUNS, timed } from './demo.ts'
import { shelfOf } from './shelf.ts'
import { askThread, startThreads } from './threads.ts'

const MOST = 40

/** Machines of which no two are alike but for name and price. */
const unlike = (shelf: Shelf): Shelf => ({
  ...shelf,
  powerSources: shelf.powerSources.map((source, n) => ({ ...source, massG: 20_000 + 100 * n })),
})

const THREADS = 2
/** Times each of them has answered before: those of a page have looked at boards and fits by then. */
const WARM_UPS = 5
/** As a page asks where machines are many: each thread has the shop already, and takes a share of every job. */
async function worstOfThreads(shelf: Shelf): Promise<number> {
  const threads = startThreads('couldThread', THREADS, { ...demo, ...shelf })
  const answered = async (jobId: string): Promise<number> => {
    const began = performance.now()
    const shares = await Promise.all(
      threads.map((thread, at) =>
        askThread<CouldDo>(thread, { jobId, most: MOST, share: { at, of: THREADS } }),
      ),
    )
    joined(shares, MOST)
    return performance.now() - began
  }
  for (let round = 0; round < WARM_UPS; round += 1) for (const { id } of demo.jobs) await answered(id)
  const byJob: number[] = []
  for (const { id } of demo.jobs) {
    const times: number[] = []
    for (let run = 0; run < RUNS; run += 1) times.push(await answered(id))
    byJob.push(median(times.slice(1)))
  }
  await Promise.all(threads.map((thread) => thread.terminate()))
  return Math.max(...byJob)
}

export async function could(): Promise<void> {
  const counts = { powerSources: 40, guns: 30, wires: 60, gases: 10 }
  const shelf = shelfOf(counts)
  const timesOn = (of: Shelf): number[] =>
    demo.jobs.map((job) => median(timed(() => couldDo(demo.shop, of, job, { most: MOST })).slice(1)))
  const times = timesOn(shelf)
  print('could-do-40x30x60x10', median(times), 'ms')
  print('could-do-40x30x60x10-worst-job', Math.max(...times), 'ms')
  const plain = plainMs(demo.jobs.slice(0, 1), Object.values(counts))
  print('could-do-40x30x60x10-plain-arithmetic', plain, 'ms')
  print('could-do-40x30x60x10-worst-job-over-plain-arithmetic', Math.max(...times) / plain, 'times')
  print('could-do-40-unlike-x30x60x10-worst-job', Math.max(...timesOn(unlike(shelf))), 'ms')
  print('could-do-40x30x60x10-worst-job-two-threads', await worstOfThreads(shelf), 'ms')
  print('could-do-40-unlike-x30x60x10-worst-job-two-threads', await worstOfThreads(unlike(shelf)), 'ms')
  const sizes = [5, 10, 20, 40]
  const bySize = sizes.map((size) => {
    const own = shelfOf({
      powerSources: size,
      guns: Math.round(size * 0.75),
      wires: Math.round(size * 1.5),
      gases: Math.round(size / 4) + 1,
    })
    const search = new CouldDoSearch(demo.shop, own)
    return once(() => demo.jobs.forEach((job) => search.answer(job, MOST)))
  })
  print('could-do-all-jobs-growth', growth(sizes, bySize), '')
  // Two hundred jobs of which each comes 25 times: what is equal shares its answer.
  const again = Array.from({ length: 200 }, (_, n) => demo.jobs[n % demo.jobs.length])
  const search = new CouldDoSearch(demo.shop, shelf)
  print(
    'could-do-200-jobs-of-8-kinds',
    once(() => again.forEach((job) => job && search.answer(job, MOST))),
    'ms',
  )
}
