/** Which machine does which job: for every job the best that each machine on its circuit can do with what the shop owns. */
import { spareOf, type Takes, takesOf } from '../board/board.ts'
import { AS_IT_IS, jobIf, shelfIf, type WhatIf } from '../board/whatIf.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { decide } from '../criteria/decide.ts'
import type { SetUp } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { does, type Verdict } from '../model/verdict.ts'
import { asCould, bestWith, type Could, runCostOf, type Whole } from './bestWay.ts'
import { type Begun, Ground } from './ground.ts'
import { nearestMiss, type RuledOut } from './nearestMiss.ts'
import { needsKey } from './needsKey.ts'
import { compareSpent } from './options.ts'
import { type Station, stationsIf } from './stations.ts'

/** One job on one machine. */
export interface MachineCell {
  readonly jobId: string
  readonly stationId: string
  /** Of the best way; `fails` where there is none. */
  readonly verdict: Verdict
  /** What makes it tight, or why it cannot; null where it fits, and where the machine has no process for the job. */
  readonly limit: Assessment | null
  /** Room of the weakest link, A; null where it cannot, or where no current is measured. */
  readonly spareA: number | null
  readonly takes: Takes | null
  readonly way: Could | null
}

interface JobGround {
  readonly begun: readonly Begun[]
  readonly ruledOut: readonly RuledOut[]
}

export class MachineBoard {
  readonly stations: readonly Station[]
  readonly #ground: Ground
  readonly #rows = new Map<string, readonly MachineCell[]>()

  /** @param whatIf one change over the whole board, tried and not made */
  constructor(
    shop: Shop,
    shelf: Shelf,
    setUps: readonly SetUp[],
    readonly whatIf: WhatIf = AS_IT_IS,
  ) {
    const tried = shelfIf(shelf, whatIf, shop)
    this.#ground = new Ground(shop, tried, {
      withLibrary: true,
      isPricedOnly: false,
      costEnd: 'most',
      counts: does,
      isForNow: true,
    })
    this.stations = stationsIf(tried, setUps, whatIf)
  }

  /** @returns a cell for each station, in their order; jobs with equal needs share their answer */
  row(asPlanned: Job): readonly MachineCell[] {
    const job = jobIf(asPlanned, this.whatIf)
    const key = needsKey(job)
    const known = this.#rows.get(key)
    if (known) return known.map((cell) => ({ ...cell, jobId: job.id }))
    const ground = this.#groundFor(job)
    const made = this.stations.map((station) => this.#cell(job, ground, station))
    this.#rows.set(key, made)
    return made
  }

  /** @returns the best of each process and wire on one machine, the best first; none where the machine is not known */
  ways(asPlanned: Job, station: string, most: number): readonly Could[] {
    const at = this.stations.find(({ id }) => id === station)
    if (!at) return []
    const { begun } = this.#groundFor(jobIf(asPlanned, this.whatIf))
    return begun
      .filter(({ pair }) => pair.sources.includes(at.powerSource))
      .flatMap((one) => {
        const whole = bestWith(this.#ground, one, at.powerSource, { ...at, bound: null })
        return whole ? [{ whole, begun: one }] : []
      })
      .sort((a, b) => compareSpent(a.whole.spent, b.whole.spent))
      .slice(0, most)
      .map(({ whole, begun: { demand } }) => asCould(this.#ground, whole, runCostOf(whole, demand)))
  }

  #groundFor(job: Job): JobGround {
    const ruledOut: RuledOut[] = []
    const begun = this.#ground.begunFor(job, ({ sources }, miss) => {
      if (miss) ruledOut.push({ powerSources: new Set(sources), miss })
    })
    return { begun, ruledOut }
  }

  #cell(job: Job, { begun, ruledOut }: JobGround, station: Station): MachineCell {
    const { powerSource } = station
    let best: { readonly whole: Whole; readonly begun: Begun } | null = null
    for (const one of begun) {
      if (!one.pair.sources.includes(powerSource)) continue
      const bound = best?.whole.spent ?? null
      const whole = bestWith(this.#ground, one, powerSource, { ...station, bound })
      if (whole) best = { whole, begun: one }
    }
    const of = { jobId: job.id, stationId: station.id }
    if (!best) {
      const limit = nearestMiss(this.#ground, begun, ruledOut, station)
      return { ...of, verdict: 'fails', limit, spareA: null, takes: null, way: null }
    }
    const {
      whole,
      begun: { demand },
    } = best
    const { verdict, limit, found } = decide(whole.capability, demand)
    return {
      ...of,
      verdict,
      limit,
      spareA: spareOf(found),
      takes: takesOf(whole.capability, demand, found),
      way: asCould(this.#ground, whole, runCostOf(whole, demand)),
    }
  }
}
