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

export class Claims {
  #claims: readonly Claim[] | undefined
  readonly #load: () => readonly Claim[]

  /** @param load the planned jobs and what they take, in any order; asked for once, when somebody looks */
  constructor(load: () => readonly Claim[]) {
    this.#load = load
  }

  /**
   * @returns what the planned jobs before this one take of an item, in its unit; its own use is no part of it
   * @example claims.before(job, 'wire', 'er70s6-035') // 2070 g
   */
  before(job: JobInOrder, kind: RecordKind, itemId: string): number {
    this.#claims ??= this.#load()
    const id = stockId(kind, itemId)
    let sum = 0
    for (const claim of this.#claims)
      if (claim.job.id !== job.id && inDueOrder(claim.job, job) < 0) sum += claim.amounts.get(id) ?? 0
    return sum
  }
}

/** Where one job is looked at alone. */
export const NO_CLAIMS = new Claims(() => [])
