/** What planned jobs take from the stores before another job: two jobs cannot both use one spool. */
import { stockId } from '../kinds/counts.ts'
import type { RecordKind } from '../kinds/index.ts'
import type { Job } from '../kinds/job.ts'

/** What one planned job takes. */
export interface Claim {
  readonly job: JobInOrder
  /** By the id of the count: g of wire, L of gas, pieces of tungsten. */
  readonly amounts: ReadonlyMap<string, number>
}
export type JobInOrder = Pick<Job, 'id' | 'name' | 'dueOn'>

/** The last day comes after every other, and no day after that. */
const dayOf = ({ dueOn }: JobInOrder): string => dueOn ?? '9999'

/** The order in which jobs take from the stores: by due day, those without one last, jobs of one day by name. */
export const inDueOrder = (one: JobInOrder, other: JobInOrder): number =>
  dayOf(one).localeCompare(dayOf(other)) ||
  one.name.localeCompare(other.name) ||
  one.id.localeCompare(other.id)

/** Claims on one item in the order of the jobs; `upTo[n]` is what the first n of them take. */
interface Queue {
  readonly claims: { readonly job: JobInOrder; readonly amount: number }[]
  readonly upTo: number[]
  readonly byJob: Map<string, { readonly job: JobInOrder; readonly amount: number }>
}

function queuesOf(claims: readonly Claim[]): ReadonlyMap<string, Queue> {
  const queues = new Map<string, Queue>()
  for (const { job, amounts } of claims.toSorted((a, b) => inDueOrder(a.job, b.job)))
    for (const [id, amount] of amounts) {
      const queue: Queue = queues.get(id) ?? { claims: [], upTo: [0], byJob: new Map() }
      queues.set(id, queue)
      queue.claims.push({ job, amount })
      queue.byJob.set(job.id, { job, amount })
      queue.upTo.push((queue.upTo.at(-1) ?? 0) + amount)
    }
  return queues
}

/** What of an item was taken for a job already, by the ledger. */
export interface UsedForJob {
  readonly jobId: string
  /** Id of the count. */
  readonly item: string
  readonly amount: number
}

export class Claims {
  #queues: ReadonlyMap<string, Queue> | undefined
  readonly #load: () => readonly Claim[]
  readonly #used: ReadonlyMap<string, number>

  /**
   * @param load the planned jobs and what they still take, in any order; asked for once, when somebody looks
   * @param used what each job has taken already
   */
  constructor(load: () => readonly Claim[], used: readonly UsedForJob[] = []) {
    this.#load = load
    this.#used = new Map(used.map(({ jobId, item, amount }) => [`${jobId} ${item}`, amount]))
  }

  /** @returns what was taken for this job already, in the unit of the item; never below 0 */
  used({ id }: JobInOrder, kind: RecordKind, itemId: string): number {
    return this.#used.size === 0 ? 0 : Math.max(0, this.#used.get(`${id} ${stockId(kind, itemId)}`) ?? 0)
  }

  /**
   * @returns what the planned jobs before this one take of an item, in its unit; its own use is no part of it
   * @example claims.before(job, 'wire', 'er70s6-035') // 2070 g
   */
  before(job: JobInOrder, kind: RecordKind, itemId: string): number {
    this.#queues ??= queuesOf(this.#load())
    const queue = this.#queues.get(stockId(kind, itemId))
    if (!queue) return 0
    // A board asks this of every job with every set-up: the place of a job is searched by halves.
    let [from, to] = [0, queue.claims.length]
    while (from < to) {
      const middle = (from + to) >> 1
      const claim = queue.claims[middle]
      if (claim && inDueOrder(claim.job, job) < 0) from = middle + 1
      else to = middle
    }
    const own = queue.byJob.get(job.id)
    return (queue.upTo[from] ?? 0) - (own && inDueOrder(own.job, job) < 0 ? own.amount : 0)
  }
}

/** Where one job is looked at alone. */
export const NO_CLAIMS = new Claims(() => [])
