/** What reckons for the page: a snapshot of the shop, kept up by deltas, and the questions that can be asked of it. */
import {
  type Chain,
  type ChangedSetUp,
  changeSetUp,
  chosenOf,
  capabilityOf,
  demandOf,
  type Entered,
  explain,
  explainLink,
  explainStart,
  explainWeld,
  type Fit,
  type FitInput,
  fitJob,
  type FitOptions,
  type Job,
  type LinkId,
  partsOf,
  type Plan,
  type Notation,
  offersFor,
  type MappedColumn,
  planJob,
  type RowRead,
  type SetUp,
  type Shelf,
  type Shop,
  type Slot,
  sidesOf,
  type Step,
  suggest,
  type Suggestion,
  type Verdict,
  type StartFigure,
  type WeldFigure,
  type Assessment,
  assess,
  worstOf,
} from '@brannik/core'
import { reasonOf } from '../reason.ts'
import type { FileRead } from '../files/catalogueFiles.ts'

/** Everything that the computation looks at. */
export interface Snapshot extends Shelf {
  readonly shop: Shop | null
  readonly setUps: readonly SetUp[]
  readonly jobs: readonly Job[]
}
export type ListKey = Exclude<keyof Snapshot, 'shop'>

/** What has changed since the last one; a list that is not named stays. */
export interface Delta {
  readonly shop?: Shop | null
  readonly lists: readonly {
    readonly key: ListKey
    readonly put: readonly { readonly id: string }[]
    readonly removed: readonly string[]
  }[]
}

/** One row of the jobs list. */
export interface JobGlance {
  readonly jobId: string
  /** Null where there is no set-up, or where its parts are not there. */
  readonly verdict: Verdict | null
  readonly chain: Chain | null
  /** What fails or is unknown. */
  readonly open: readonly Assessment[]
  /** Why it could not be reckoned; empty where it was, or where there is nothing to reckon. */
  readonly failure: string
}

/** One cell of a board: the worst verdict, and what limits it. */
export interface Cell {
  readonly jobId: string
  readonly setUpId: string
  readonly verdict: Verdict
  readonly limit: Assessment | null
}

const EMPTY: Snapshot = {
  shop: null,
  circuits: [],
  powerSources: [],
  feeders: [],
  guns: [],
  parts: [],
  wires: [],
  gases: [],
  tungstens: [],
  stock: [],
  setUps: [],
  jobs: [],
}

/** What can go into one place of a set-up, what fits first. */
export interface OfferGlance {
  readonly id: string
  /** Why it does not go; null where it does. */
  readonly against: Assessment | null
}

/** What a working is asked of. */
export type Asked =
  | { readonly of: 'criterion'; readonly id: string }
  | { readonly of: 'link'; readonly id: LinkId; readonly weldId: string }
  | { readonly of: 'weld'; readonly figure: WeldFigure; readonly weldId: string }
  | { readonly of: 'start'; readonly figure: StartFigure; readonly weldId: string }

export class Engine {
  #snapshot: Snapshot = EMPTY

  /** Takes in what has changed. */
  take({ shop, lists }: Delta): void {
    const next: Record<string, unknown> = { ...this.#snapshot }
    if (shop !== undefined) next['shop'] = shop
    for (const { key, put, removed } of lists) {
      const gone = new Set([...removed, ...put.map(({ id }) => id)])
      const kept = (this.#snapshot[key] as readonly { readonly id: string }[]).filter(
        ({ id }) => !gone.has(id),
      )
      next[key] = [...kept, ...put]
    }
    this.#snapshot = next as unknown as Snapshot
  }

  #input(jobId: string, setUpId: string | null = null): FitInput | null {
    const { shop, jobs, setUps } = this.#snapshot
    const job = jobs.find(({ id }) => id === jobId)
    const setUp = setUps.find(({ id }) => id === (setUpId ?? job?.setUpId))
    if (!shop || !job || !setUp) return null
    const answer = partsOf(setUp, this.#snapshot)
    return answer.ok ? { shop, job, setUp, ...answer.parts } : null
  }

  /** @returns null where the job has no set-up whose parts are there */
  fit(jobId: string, options: FitOptions): Fit | null {
    const input = this.#input(jobId)
    return input && fitJob(input, options)
  }

  plan(jobId: string): Plan | null {
    const input = this.#input(jobId)
    return input && planJob(input)
  }

  /** @returns by place, whatever the shelf has for it; nothing where there is no such set-up */
  offers(setUpId: string, slots: readonly Slot[]): Readonly<Partial<Record<Slot, readonly OfferGlance[]>>> {
    const { shop, setUps } = this.#snapshot
    const setUp = setUps.find(({ id }) => id === setUpId)
    if (!shop || !setUp) return {}
    const capability = capabilityOf(shop, setUp, chosenOf(setUp, this.#snapshot))
    return Object.fromEntries(
      slots.map((slot) => [
        slot,
        offersFor(slot, capability, null, this.#snapshot).map(({ item, verdict, reasons }) => ({
          id: item.id,
          against: verdict === 'fails' ? (reasons[0] ?? null) : null,
        })),
      ]),
    )
  }

  /** @returns the set-up with the change and what follows from it; null where there is no such set-up */
  changeSetUp(setUpId: string, change: Partial<SetUp>): ChangedSetUp | null {
    const { shop, setUps } = this.#snapshot
    const setUp = setUps.find(({ id }) => id === setUpId)
    return shop && setUp ? changeSetUp(shop, this.#snapshot, setUp, change) : null
  }

  suggest(jobId: string, most: number): readonly Suggestion[] {
    const input = this.#input(jobId)
    if (!input) return []
    const { shop, job, setUp } = input
    const entered: Entered = { shop, shelf: this.#snapshot, setUps: this.#snapshot.setUps, job, setUp }
    return suggest(entered, fitJob(input), most)
  }

  explain(jobId: string, asked: Asked): readonly Step[] {
    const input = this.#input(jobId)
    if (!input) return []
    const { capability, demand } = sidesOf(input)
    if (asked.of === 'criterion') return explain(asked.id, capability, demand)
    const weld = demand.welds.find(({ joint }) => joint.id === asked.weldId)
    if (!weld) return []
    if (asked.of === 'link') return explainLink(asked.id, capability, demand, weld)
    return asked.of === 'start'
      ? explainStart(asked.figure, capability, demand, weld)
      : explainWeld(asked.figure, demand, weld)
  }

  /** @param kind which sheet it is, where the file does not say it; empty where it does */
  async readEquipment(text: string, kind: string): Promise<FileRead> {
    const { readFile } = await import('../files/catalogueFiles.ts')
    return readFile(text, kind)
  }

  async readWelds(
    rows: readonly (readonly string[])[],
    mapping: readonly MappedColumn[],
    notation: Notation,
  ): Promise<readonly RowRead[]> {
    const { readTable } = await import('../files/weldLists.ts')
    return readTable(rows, mapping, notation)
  }

  /** One job that cannot be reckoned is told in its row; the others stand. */
  glance(jobIds: readonly string[]): readonly JobGlance[] {
    return jobIds.map((jobId): JobGlance => {
      const nothing = { jobId, verdict: null, chain: null, open: [] }
      try {
        const fit = this.fit(jobId, {})
        if (!fit) return { ...nothing, failure: '' }
        const { verdict, chains, criteria } = fit
        const open = criteria.filter((one) => one.verdict === 'fails' || one.verdict === 'unknown')
        return { jobId, verdict, chain: chains[0] ?? null, open, failure: '' }
      } catch (error) {
        return { ...nothing, failure: reasonOf(error) }
      }
    })
  }

  /**
   * Every job with every set-up, one job after the other. What a job asks of a process and a wire is reckoned once.
   * @param setUpIds those whose parts are all there; others have no cell
   */
  board(jobIds: readonly string[], setUpIds: readonly string[]): readonly Cell[] {
    const { shop, jobs, setUps } = this.#snapshot
    if (!shop) return []
    const wanted = new Set(setUpIds)
    const columns = setUps
      .filter(({ id }) => wanted.has(id))
      .map((setUp) => {
        const chosen = chosenOf(setUp, this.#snapshot)
        return { setUp, chosen, capability: capabilityOf(shop, setUp, chosen) }
      })
    return jobIds.flatMap((jobId) => {
      const job = jobs.find(({ id }) => id === jobId)
      if (!job) return []
      const demands = new Map<string, ReturnType<typeof demandOf>>()
      return columns.map(({ setUp, chosen, capability }): Cell => {
        const key = `${setUp.process} ${chosen.wire?.id ?? ''}`
        const demand = demands.get(key) ?? demandOf(job, setUp.process, chosen.wire, shop)
        demands.set(key, demand)
        const criteria = assess(capability, demand)
        const verdict = worstOf(criteria)
        const limit = criteria.find((one) => one.verdict === verdict) ?? null
        return { jobId, setUpId: setUp.id, verdict, limit: verdict === 'fits' ? null : limit }
      })
    })
  }
}
