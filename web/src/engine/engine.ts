/** What reckons for the page: a snapshot of the shop, kept up by deltas, and the questions that can be asked of it. */
import {
  type AssumptionKey,
  type BoardCell,
  type Capacity,
  type CapacityFigure,
  type Chain,
  type ChangedSetUp,
  COMPUTED_KINDS,
  chosenOf,
  type CouldDo,
  capabilityOf,
  type Entered,
  type Fit,
  type FitInput,
  fitJob,
  type FitOptions,
  type Held,
  type Job,
  type LinkId,
  type Moved,
  partsOf,
  type Plan,
  type PlateColumnMeaning,
  type Power,
  type NodePower,
  type Pair,
  type ShopPower,
  type PowerSource,
  type Notation,
  type MappedColumn,
  planJob,
  type Ranked,
  type Limits,
  type Requirement,
  type SetUpsProposed,
  type RowRead,
  type Position,
  type SetUp,
  type Shelf,
  type Shop,
  type Slot,
  sidesOf,
  type Step,
  type Suggestion,
  type DecidedChoice,
  type Verdict,
  type StartFigure,
  type StartingSettings,
  type Outcome,
  type OutcomeFigure,
  type SettingsTried,
  settingsOf,
  type WeldFigure,
  type WhatIf,
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

const EMPTY = {
  shop: null,
  ...Object.fromEntries(COMPUTED_KINDS.map(({ listKey }) => [listKey, []])),
} as unknown as Snapshot

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
  | {
      readonly of: 'outcome'
      readonly figure: OutcomeFigure
      readonly weldId: string
      readonly setUpId: string | null
      readonly settled: SettingsTried
    }

/** A job with a set-up that was chosen for it. */
/** Whether a job can be done. */
export interface Doable {
  readonly jobId: string
  /** With what there is to buy. */
  readonly isDone: boolean
  /** With what the shop owns. */
  readonly isOwned: boolean
}

export interface JobOnSetUp {
  readonly jobId: string
  readonly setUpId: string
}

/** What one set-up makes of a weld, at the settings to start with or at others. */
export interface Made {
  readonly settings: StartingSettings
  /** Null where nobody knows how fast it travels. */
  readonly outcome: Outcome | null
  /** The worst of the whole job with this set-up. */
  readonly verdict: Verdict
}

const later = () => import('./later.ts')
const seldom = () => import('./seldom.ts')

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
  async offers(
    setUpId: string,
    slots: readonly Slot[],
  ): Promise<Readonly<Partial<Record<Slot, readonly OfferGlance[]>>>> {
    const shelf = this.#snapshot
    const { shop, setUps } = shelf
    const setUp = setUps.find(({ id }) => id === setUpId)
    if (!shop || !setUp) return {}
    const capability = capabilityOf(shop, setUp, chosenOf(setUp, shelf))
    const { offersFor } = await later()
    return Object.fromEntries(
      slots.map((slot) => [
        slot,
        offersFor(slot, capability, null, shelf).map(({ item, verdict, reasons }) => ({
          id: item.id,
          against: verdict === 'fails' ? (reasons[0] ?? null) : null,
        })),
      ]),
    )
  }

  /** @returns the set-up with the change and what follows from it; null where there is no such set-up */
  async changeSetUp(setUpId: string, change: Partial<SetUp>): Promise<ChangedSetUp | null> {
    const shelf = this.#snapshot
    const { shop, setUps } = shelf
    const setUp = setUps.find(({ id }) => id === setUpId)
    const { changeSetUp } = await later()
    return shop && setUp ? changeSetUp(shop, shelf, setUp, change) : null
  }

  async suggest(jobId: string, most: number): Promise<readonly Suggestion[]> {
    const input = this.#input(jobId)
    if (!input) return []
    const { shop, job, setUp } = input
    const entered: Entered = { shop, shelf: this.#snapshot, setUps: this.#snapshot.setUps, job, setUp }
    const { suggest } = await later()
    return suggest(entered, fitJob(input), most)
  }

  /**
   * @param setUpId null takes the job's own
   * @param whatIf null takes all as it is
   */
  async explain(
    jobId: string,
    asked: Asked,
    setUpId: string | null = null,
    whatIf: WhatIf | null = null,
  ): Promise<readonly Step[]> {
    const found = this.#input(jobId, asked.of === 'outcome' ? asked.setUpId : setUpId)
    if (!found) return []
    const input = await this.#tried(found, whatIf)
    const { capability, demand } = sidesOf(input)
    const { explain, explainLink, explainOutcome, explainStart, explainWeld } = await later()
    if (asked.of === 'criterion') return explain(asked.id, capability, demand)
    const weld = demand.welds.find(({ joint }) => joint.id === asked.weldId)
    if (!weld) return []
    if (asked.of === 'link') return explainLink(asked.id, capability, demand, weld)
    if (asked.of === 'outcome') return explainOutcome(asked.figure, capability, demand, weld, asked.settled)
    return asked.of === 'start'
      ? explainStart(asked.figure, capability, demand, weld)
      : explainWeld(asked.figure, demand, weld)
  }

  /**
   * @param setUpId null takes the job's own
   * @param settled null takes the settings to start with
   * @returns null where job, weld or set-up are not there
   */
  async made(
    jobId: string,
    weldId: string,
    setUpId: string | null,
    settled: SettingsTried | null,
  ): Promise<Made | null> {
    const input = this.#input(jobId, setUpId)
    if (!input) return null
    const { capability, demand } = sidesOf(input)
    const weld = demand.welds.find(({ joint }) => joint.id === weldId)
    if (!weld) return null
    const settings = settingsOf(capability, demand, weld)
    const { outcomeOf } = await later()
    const outcome = settled ? outcomeOf(capability, demand, weld, settled) : settings.outcome
    return { settings, outcome, verdict: worstOf(assess(capability, demand)) }
  }

  #capability(setUpId: string) {
    const { shop, setUps } = this.#snapshot
    const setUp = setUps.find(({ id }) => id === setUpId)
    return shop && setUp ? capabilityOf(shop, setUp, chosenOf(setUp, this.#snapshot)) : null
  }

  /** @returns what each of these set-ups welds; one that is not there has none */
  async capacities(setUpIds: readonly string[]): Promise<Readonly<Record<string, Capacity>>> {
    const capabilities = setUpIds.map((id) => [id, this.#capability(id)] as const)
    const { capacityOf } = await later()
    return Object.fromEntries(
      capabilities.flatMap(([id, capability]) => (capability ? [[id, capacityOf(capability)]] : [])),
    )
  }

  async explainCapacity(
    setUpId: string,
    voltageV: number | null,
    position: Position,
    figure: CapacityFigure,
  ): Promise<readonly Step[]> {
    const capability = this.#capability(setUpId)
    const { explainCapacity } = await later()
    return capability ? explainCapacity(capability, voltageV, position, figure) : []
  }

  /** @returns whole set-ups of what the shop has, and why there is none for others */
  async proposals(): Promise<SetUpsProposed> {
    return (await seldom()).proposals(this.#snapshot)
  }

  /** @returns what one process of a plate means in this shop, by supply voltage; the plate as it is typed */
  async plateMeaning(source: PowerSource, at: number): Promise<readonly PlateColumnMeaning[]> {
    return (await seldom()).meaning(this.#snapshot, source, at)
  }

  /** @returns by assumption, what moves in the planned jobs where the figure is a tenth off */
  async leverage(
    keys: readonly AssumptionKey[],
  ): Promise<Readonly<Partial<Record<AssumptionKey, readonly Moved[]>>>> {
    const inputs = this.#snapshot.jobs.flatMap(({ id, state }) => {
      const input = state === 'planned' ? this.#input(id) : null
      return input ? [input] : []
    })
    const { leverageOf } = await seldom()
    return leverageOf(inputs, keys)
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
   * Every job with every set-up, one job after the other.
   * @param setUpIds those whose parts are all there; others have no cell
   * @param whatIf one change over all of them, tried and not made
   */
  async board(
    jobIds: readonly string[],
    setUpIds: readonly string[],
    whatIf?: WhatIf,
  ): Promise<readonly BoardCell[]> {
    const shelf = this.#snapshot
    const { shop, jobs, setUps } = shelf
    const { boardOf } = await later()
    if (!shop) return []
    const wanted = new Set(setUpIds)
    const byId = new Map(jobs.map((job) => [job.id, job]))
    return boardOf(
      shop,
      shelf,
      jobIds.flatMap((id) => byId.get(id) ?? []),
      setUps.filter(({ id }) => wanted.has(id)),
      whatIf,
    )
  }

  /** @returns what would ease one job with one set-up, tried for real; nothing where they are not there */
  async ease(jobId: string, setUpId: string, most: number): Promise<readonly Suggestion[]> {
    const input = this.#input(jobId, setUpId)
    if (!input) return []
    const { shop, job, setUp } = input
    const entered: Entered = { shop, shelf: this.#snapshot, setUps: this.#snapshot.setUps, job, setUp }
    const { suggest } = await later()
    const fit = fitJob(input)
    return suggest(entered, fit, most, fit.verdict === 'tight' ? 'tight' : 'fails')
  }

  /** The question as it would be with a change over the whole board. */
  async #tried(input: FitInput, whatIf: WhatIf | null): Promise<FitInput> {
    if (!whatIf) return input
    const { chosenIf, jobIf } = await later()
    const { shop, job, setUp } = input
    const { circuit, gun } = chosenIf(input, setUp, { whatIf, shop, shelf: this.#snapshot })
    return { ...input, circuit, gun: gun ?? input.gun, job: jobIf(job, whatIf) }
  }

  /** @returns the fit of a job with a set-up that need not be its own, as it is or tried; null where they are not there */
  async cell(jobId: string, setUpId: string, whatIf: WhatIf): Promise<Fit | null> {
    const input = this.#input(jobId, setUpId)
    return input && fitJob(await this.#tried(input, whatIf))
  }

  // What follows is asked on few pages: `seldom.ts` answers it of the shop as it is now.

  /** @returns whole set-ups that do a job, of what is here and what could be bought; none where there is no such job */
  async could(jobId: string, most: number): Promise<CouldDo> {
    return (await seldom()).could(this.#snapshot, jobId, most)
  }

  /** @returns whether each job can be done with what is owned, and with something bought */
  async doable(jobIds: readonly string[], most: number): Promise<readonly Doable[]> {
    return (await seldom()).doable(this.#snapshot, jobIds, most)
  }

  /** @returns a job with a set-up on every circuit; null where one of them is not there */
  async power(jobId: string, setUpId: string, circuitId: string | null): Promise<Power | null> {
    return (await seldom()).power(this.#snapshot, jobId, setUpId, circuitId)
  }

  /** @returns who is likely to weld at the same time */
  async likely(): Promise<readonly JobOnSetUp[]> {
    return (await seldom()).likely(this.#snapshot)
  }

  /** @returns the whole supply with all of these at work at once */
  async shopPower(atWork: readonly JobOnSetUp[]): Promise<ShopPower | null> {
    return (await seldom()).shopPower(this.#snapshot, atWork)
  }

  /** @returns one machine with each after it: whether both may weld at once */
  async pairs(atWork: readonly JobOnSetUp[], setUpId: string): Promise<readonly Pair[]> {
    return (await seldom()).pairs(this.#snapshot, atWork, setUpId)
  }

  /** @returns how it was worked out what one cable is to carry for all that hangs on it */
  async explainGroup(
    atWork: readonly JobOnSetUp[],
    kind: NodePower['kind'],
    id: string,
  ): Promise<readonly Step[]> {
    return (await seldom()).group(this.#snapshot, atWork, kind, id)
  }

  /** @returns what is written down of jobs with set-ups; what is not there is left out */
  async decided(choices: readonly JobOnSetUp[]): Promise<readonly DecidedChoice[]> {
    return (await seldom()).decided(
      choices.flatMap(({ jobId, setUpId }) => this.#input(jobId, setUpId) ?? []),
    )
  }

  /** @returns how each choice stands today */
  async held(taken: readonly DecidedChoice[]): Promise<readonly Held[]> {
    return (await seldom()).held(this.#snapshot, taken)
  }

  /** @returns what these jobs ask of a machine */
  async requirements(jobIds: readonly string[]): Promise<readonly Requirement[]> {
    return (await seldom()).requirements(this.#snapshot, jobIds)
  }

  /** @returns machines by what is asked of them; weights may move without asking anew */
  async ranked(
    requirements: readonly Requirement[],
    sourceIds: readonly string[],
  ): Promise<readonly Ranked[]> {
    return (await seldom()).ranked(this.#snapshot, requirements, sourceIds)
  }

  /** @returns by requirement the limits between which a wish may be scored; null where there are none */
  async limits(
    requirements: readonly Requirement[],
    sourceIds: readonly string[],
  ): Promise<readonly (Limits | null)[]> {
    return (await seldom()).limits(this.#snapshot, requirements, sourceIds)
  }
}
