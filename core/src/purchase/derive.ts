/** What the planned jobs ask of a machine, process by process: written down as requirements, each with its reason. */
import { demandOf } from '../demand/demand.ts'
import type { Wire } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import type { ProcessId } from '../model/process.ts'
import type { Requirement } from '../kinds/requirementSheet.ts'
import type { SetUp } from '../kinds/setUp.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { CouldDoSearch } from './couldDo.ts'
import { newRequirement } from './requirementWords.ts'

const AMP_STEP = 5
const DUTY_STEP = 5

const asked = (what: Requirement['what'], part: Partial<Requirement>): Requirement =>
  newRequirement(what, { must: true, ...part })

interface Way {
  readonly process: ProcessId
  readonly wire: Wire | null
}

/** By its own set-up, if it has one that names its wire; else by what does it for least. */
function wayOf(search: CouldDoSearch, shelf: Shelf, setUps: readonly SetUp[], job: Job): Way | null {
  const setUp = setUps.find(({ id }) => id === job.setUpId) ?? search.answer(job, 1).best[0]?.setUp
  if (!setUp) return null
  return { process: setUp.process, wire: shelf.wires.find(({ id }) => id === setUp.wireId) ?? null }
}

interface Found {
  readonly job: Job
  readonly value: number
}
const names = (jobs: readonly Job[]): string => [...new Set(jobs.map(({ name }) => name))].join(', ')
const lowest = <T extends Found>(found: readonly T[]): T | null =>
  found.reduce<T | null>((best, one) => (best && best.value <= one.value ? best : one), null)

/**
 * The thinnest part sets the lowest current; of each process the hottest job sets the current and the duty at it. A process is asked because a job goes by it: aluminium TIG asks for AC, work outdoors for stick or
 * self-shielded wire. What is bought must run on a circuit that is here.
 * @returns nothing where no job has a way to be done
 */
export function requirementsOf(
  shop: Shop,
  shelf: Shelf,
  setUps: readonly SetUp[],
  jobs: readonly Job[],
): readonly Requirement[] {
  const byProcess = new Map<ProcessId, { duty: (Found & { atA: number })[]; jobs: Job[] }>()
  const low: (Found & { process: ProcessId })[] = []
  const search = new CouldDoSearch(shop, shelf)
  for (const job of jobs) {
    const way = wayOf(search, shelf, setUps, job)
    if (!way) continue
    const demand = demandOf(job, way.process, way.wire, shop)
    const known = byProcess.get(way.process) ?? { duty: [], jobs: [] }
    byProcess.set(way.process, known)
    known.jobs.push(job)
    low.push({ job, process: way.process, value: demand.thinnest.wantedA })
    if (demand.dutyPct !== null)
      known.duty.push({ job, value: demand.dutyPct, atA: demand.hungriest.wantedA })
  }
  const lines = [...byProcess].flatMap(([process, { duty, jobs: of }]): readonly Requirement[] => {
    // Heat goes with the square of the current: the worst job for a machine is the hottest, not the longest.
    const hot = duty.reduce<(Found & { atA: number }) | null>(
      (worst, one) => (worst && worst.value * worst.atA ** 2 >= one.value * one.atA ** 2 ? worst : one),
      null,
    )
    const outdoors = of.filter(({ place }) => place === 'outdoors')
    return [
      asked('process', {
        process,
        because: outdoors.length > 0 ? `${names(of)}; outdoors: ${names(outdoors)}` : names(of),
      }),
      ...(hot
        ? [
            asked('highest-current', {
              process,
              amount: Math.ceil(hot.atA / AMP_STEP) * AMP_STEP,
              because: hot.job.name,
            }),
            // A wish: rest mends what duty lacks, at the cost of time.
            asked('duty-at-current', {
              process,
              amount: Math.min(100, Math.ceil(hot.value / DUTY_STEP) * DUTY_STEP),
              atA: Math.ceil(hot.atA / AMP_STEP) * AMP_STEP,
              must: false,
              because: hot.job.name,
            }),
          ]
        : []),
    ]
  })
  const thin = lowest(low)
  const lowestLine =
    thin === null
      ? []
      : [
          asked('lowest-current', {
            process: thin.process,
            amount: Math.floor(thin.value / AMP_STEP) * AMP_STEP,
            because: thin.job.name,
          }),
        ]
  return lines.length === 0
    ? []
    : [...lines, ...lowestLine, asked('runs-here', {}), asked('price', { must: false })]
}
