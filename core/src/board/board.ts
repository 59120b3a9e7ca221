/** Every job against every set-up: which does which, what limits the others, and by how much. */
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { OF_ARC } from '../criteria/concerns.ts'
import { decide } from '../criteria/decide.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
import { changeoverMinOf, changeoverTo } from '../changeover/toSetUp.ts'
import { costOf } from '../fit/cost.ts'
import type { SetUp } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { does, type Verdict } from '../model/verdict.ts'
import { AS_IT_IS, chosenIf, jobIf, type WhatIf } from './whatIf.ts'

/** One job with one set-up. */
export interface BoardCell {
  readonly jobId: string
  readonly setUpId: string
  readonly verdict: Verdict
  /** What decides it; null where it fits. */
  readonly limit: Assessment | null
  /** Room of the weakest link where it fits or is tight, A; null where no current is measured. */
  readonly spareA: number | null
  /** What a run of the job takes; null where it is not done, or not known. */
  readonly takes: Takes | null
}

/** One run of a job with a set-up. */
export interface Takes {
  /** Working hours; null without a wire. */
  readonly workH: number | null
  /** Minutes to change over from what is on the machine now. */
  readonly changeMin: number
  /** Labour, filler and gas, of what is priced; null where nothing is. */
  readonly cost: number | null
  readonly fillerG: number
  /** Null without gas. */
  readonly gasL: number | null
}

/** A set-up, looked at once for all jobs. */
interface Column {
  readonly setUp: SetUp
  /** Process and wire: what a job asks of them is the same for all set-ups with both. */
  readonly work: string
  readonly capability: Capability
}

const MIN_PER_H = 60

/** Least room of what is measured in welding amps. */
export function spareOf(criteria: readonly Assessment[]): number | null {
  let spare: number | null = null
  for (const { unit, demand, capacity, criterion } of criteria) {
    if (unit !== 'A' || demand === null || capacity === null || !OF_ARC.has(criterion)) continue
    spare = Math.min(spare ?? Infinity, capacity - demand)
  }
  return spare
}

export function takesOf(capability: Capability, demand: Demand, criteria: readonly Assessment[]): Takes {
  return {
    workH: demand.workH === null ? null : demand.workH + changeoverMinOf(capability) / MIN_PER_H,
    changeMin: changeoverTo(capability).minutes,
    cost: costOf(capability, demand)?.job ?? null,
    fillerG: demand.fillerG,
    gasL: criteria.find(({ criterion }) => criterion === 'gas-use')?.demand ?? null,
  }
}

/** A board of so many set-ups: what is the same for every job is looked at once. */
export class Board {
  readonly #columns: readonly Column[]

  /**
   * @param setUps those whose parts are all there
   * @param whatIf one change over all of them, tried and not made
   */
  constructor(
    readonly shop: Shop,
    shelf: Shelf,
    setUps: readonly SetUp[],
    readonly whatIf: WhatIf = AS_IT_IS,
  ) {
    this.#columns = setUps.map((setUp): Column => {
      const chosen = chosenIf(chosenOf(setUp, shelf), setUp, { whatIf, shop, shelf })
      return {
        setUp,
        work: `${setUp.process} ${chosen.wire?.id ?? ''}`,
        capability: capabilityOf(shop, setUp, chosen),
      }
    })
  }

  /**
   * What a job asks of a process and a wire is reckoned once for all set-ups with them.
   * @returns a cell for each set-up, in their order
   */
  row(asPlanned: Job): readonly BoardCell[] {
    const job = jobIf(asPlanned, this.whatIf)
    const demands = new Map<string, Demand>()
    return this.#columns.map((column) => {
      const { setUp, capability, work } = column
      let demand = demands.get(work)
      if (!demand) demands.set(work, (demand = demandOf(job, setUp.process, capability.wire, this.shop)))
      return cellOf(column, job, demand)
    })
  }
}

function cellOf(column: Column, job: Job, demand: Demand): BoardCell {
  const { setUp, capability } = column
  const { verdict, limit, found } = decide(capability, demand)
  const isDone = does(verdict)
  return {
    jobId: job.id,
    setUpId: setUp.id,
    verdict,
    limit,
    spareA: isDone ? spareOf(found) : null,
    takes: isDone ? takesOf(capability, demand, found) : null,
  }
}

/**
 * @param setUps those whose parts are all there
 * @returns cells job by job, in the order of both
 * @example boardOf(shop, shelf, jobs, setUps)[0]?.verdict // 'fails'
 */
export function boardOf(
  shop: Shop,
  shelf: Shelf,
  jobs: readonly Job[],
  setUps: readonly SetUp[],
  whatIf: WhatIf = AS_IT_IS,
): readonly BoardCell[] {
  const board = new Board(shop, shelf, setUps, whatIf)
  return jobs.flatMap((job) => board.row(job))
}
