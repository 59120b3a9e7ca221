/** Every job against every set-up: which does which, what limits the others, and by how much. */
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { type Chosen, chosenOf } from '../capability/slots.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { OF_KIND } from '../criteria/criterion.ts'
import { concerning, OF_ARC } from '../criteria/concerns.ts'
import { assess, worstOf } from '../criteria/index.ts'
import { isJudged } from '../criteria/judged.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
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
  /** Labour, filler and gas, of what is priced; null where nothing is. */
  readonly cost: number | null
  readonly fillerG: number
  /** Null without gas. */
  readonly gasL: number | null
}

/** A set-up, looked at once for all jobs. */
interface Column {
  readonly setUp: SetUp
  readonly chosen: Chosen
  readonly capability: Capability
}

/** What asks for another metal, gas or wave is said before amps: more of them would not help. */
const KIND_FIRST = OF_KIND.flatMap((kind) => [...concerning(kind)])

/** The criterion that a cell speaks of: of the worst verdict, first what no other figure mends, then the first in order. */
export function limitOf(criteria: readonly Assessment[], verdict: Verdict): Assessment | null {
  const worst = criteria.filter((one) => one.verdict === verdict && isJudged(one))
  for (const id of KIND_FIRST) {
    const found = worst.find(({ criterion }) => criterion === id)
    if (found) return found
  }
  return worst[0] ?? null
}

/** Least room of what is measured in welding amps. */
function spareOf(criteria: readonly Assessment[]): number | null {
  let spare: number | null = null
  for (const { unit, demand, capacity, criterion } of criteria) {
    if (unit !== 'A' || demand === null || capacity === null || !OF_ARC.has(criterion)) continue
    spare = Math.min(spare ?? Infinity, capacity - demand)
  }
  return spare
}

function takesOf(column: Column, demand: Demand, criteria: readonly Assessment[]): Takes {
  return {
    workH: demand.workH,
    cost: costOf(column.capability, demand, criteria)?.job ?? null,
    fillerG: demand.fillerG,
    gasL: criteria.find(({ criterion }) => criterion === 'gas-use')?.demand ?? null,
  }
}

function cellOf(column: Column, job: Job, demand: Demand): BoardCell {
  const { setUp, capability } = column
  const criteria = assess(capability, demand)
  const verdict = worstOf(criteria)
  const limit = verdict === 'fits' ? null : limitOf(criteria, verdict)
  const isDone = does(verdict)
  return {
    jobId: job.id,
    setUpId: setUp.id,
    verdict,
    limit,
    spareA: isDone ? spareOf(criteria) : null,
    takes: isDone ? takesOf(column, demand, criteria) : null,
  }
}

/**
 * What a job asks of a process and a wire is reckoned once for all set-ups with them.
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
  const columns = setUps.map((setUp): Column => {
    const chosen = chosenIf(chosenOf(setUp, shelf), setUp, { whatIf, shop, shelf })
    return { setUp, chosen, capability: capabilityOf(shop, setUp, chosen) }
  })
  return jobs.flatMap((asPlanned) => {
    const job = jobIf(asPlanned, whatIf)
    const demands = new Map<string, Demand>()
    return columns.map((column) => {
      const { process } = column.setUp
      const key = `${process} ${column.chosen.wire?.id ?? ''}`
      const demand = demands.get(key) ?? demandOf(job, process, column.chosen.wire, shop)
      demands.set(key, demand)
      return cellOf(column, job, demand)
    })
  })
}
