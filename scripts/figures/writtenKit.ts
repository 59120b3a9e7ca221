/**
 * Figures of the purchase plan among set-ups that are written down: a hundred jobs, no two alike, with 300 machines for sale,
 * each in the set-ups of the demo's machine that it is like. From the shop to the proven plan, then its whole study.
 */
import highsLoader from 'highs'
import {
  choose,
  type Job,
  type KitProblem,
  kitProblemOf,
  type SetUp,
  solveWith,
} from '../../core/src/index.ts'
import { plainMs } from './arithmetic.ts'
import { demo, median, print, timed } from './demo.ts'
import { machinesToBuy, printStudy } from './kit.ts'

const JOBS = 100
const MACHINES = 300
/** Of so many lengths: with the demo's eight kinds no two of a hundred jobs are alike. */
const LENGTHS = 17

const jobs = Array.from({ length: JOBS }, (_, n): Job => {
  const job = demo.jobs[n % demo.jobs.length]
  if (!job) throw new Error('the demo has no job')
  const factor = 0.6 + (n % LENGTHS) / 12
  const joints = job.joints.map((joint) => ({ ...joint, lengthMm: joint.lengthMm * factor }))
  return { ...job, id: `job-${n}`, joints, timesPerYear: 1 + (n % 12) }
})

export async function writtenKit(): Promise<void> {
  const powerSources = machinesToBuy(MACHINES)
  const shelf = { ...demo, powerSources: [...powerSources] }
  const setUps = powerSources.flatMap(({ id }, n): readonly SetUp[] => {
    const like = demo.powerSources[n % demo.powerSources.length]
    return demo.setUps
      .filter(({ powerSourceId }) => powerSourceId === like?.id)
      .map((setUp) => ({ ...setUp, id: `${setUp.id}-${n}`.slice(-64), powerSourceId: id }))
  })
  const solve = solveWith(await highsLoader(), 20)
  const provenProblem = (): KitProblem => {
    const problem = kitProblemOf({ shop: demo.shop, shelf, jobs, setUps })
    if (!choose(problem, solve, {})?.proof.isProven) throw new Error('the plan was not proven')
    return problem
  }
  const [cold = 0, ...times] = timed(provenProblem)
  const proven = median(times)
  print('kit-100x300-written-proven-cold', cold, 'ms')
  print('kit-100x300-written-proven', proven, 'ms')
  const plain = plainMs(jobs, [setUps.length])
  print('kit-100x300-written-plain-arithmetic', plain, 'ms')
  print('kit-100x300-written-over-plain-arithmetic', proven / plain, 'times')

  printStudy('kit-100x300-written', provenProblem(), solve)
}
