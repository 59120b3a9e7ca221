/** What is the same for every job while set-ups are sought: the shelf, its prices, and what parts say of each other. */
import { assumptionsOf } from '../assumptions/assume.ts'
import { isRatedFor, settingsFor } from '../assembly/propose.ts'
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { emptyChoice } from '../capability/slots.ts'
import { type Assessment, slotsOf } from '../criteria/criterion.ts'
import { criteriaOfSlot, Findings, placeOf } from '../criteria/index.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
import { costOf, leastCost, mostCost } from '../fit/cost.ts'
import type { PowerSource, Wire } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import { PROCESS_IDS, type ProcessId } from '../model/process.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { weldsAs } from '../kinds/weldsAs.ts'
import type { Shop } from '../kinds/shop.ts'
import { PROCESSES } from '../reference/processes.ts'
import type { Verdict } from '../model/verdict.ts'
import { type AllSaid, OF_THE_WHOLE, placesOf } from './judge.ts'
import { alike, Options } from './options.ts'
import { RuledOut } from './ruledOut.ts'
import { SetUpSearch, type Stock } from './setUpSearch.ts'
import { SetsByCluster, SmallParts } from './smallParts.ts'
import { type Cables, NO_CABLES } from './stations.ts'

/** A process with a wire that goes by it, whatever feeds it. */
export interface Pair {
  readonly process: ProcessId
  readonly wire: Wire
  readonly alone: Capability
  readonly sources: readonly PowerSource[]
  /** The same, those together that differ in name and price alone. */
  readonly alikeSources: readonly (readonly PowerSource[])[]
}

/** At which end of its typical range a missing price counts. */
export type CostEnd = 'least' | 'most'

export interface GroundRules {
  /** Whether small parts that nobody has entered may come from the library. */
  readonly withLibrary: boolean
  /** Whether large things without a price are left out. */
  readonly isPricedOnly: boolean
  readonly costEnd: CostEnd
  /** Which verdicts count as done. */
  readonly counts: (verdict: Verdict) => boolean
  /**
   * Whether changeovers start from what is on the machines now. A plan over years does not: a job comes after another, and
   * what hangs there today says nothing about it.
   */
  readonly isForNow: boolean
}

/** What a job needs of one pair. */
export interface Begun {
  readonly pair: Pair
  readonly demand: Demand
  readonly isTight: boolean
  /** Wages and filler of a run, at most; less than any set-up costs. */
  readonly runCost: number
  /** What of that is known; no run costs less. */
  readonly leastToRun: number
  /** By polarity and cables. */
  readonly seekings: Map<string, Seeking>
  /** The same for all wires that weld alike. */
  readonly searches: Map<string, Search>
}

/** What is known of set-ups with wires that weld alike. */
export interface Search {
  readonly search: SetUpSearch
  readonly small: SmallParts
}

export interface Seeking extends Search {
  /** Process, wire and settings, without a source. */
  readonly bare: Capability
  readonly judgeSource: (source: PowerSource) => Verdict
}

/** What is the same for every job and wire. */
interface OfSetUps {
  readonly said: AllSaid
  readonly sets: SetsByCluster
  readonly ruledOut: RuledOut
}
const nothingYet = (): OfSetUps => ({ said: new Map(), sets: new SetsByCluster(), ruledOut: new RuledOut() })

export class Ground implements Stock {
  readonly options: Options
  readonly costed: Stock['costed']
  readonly counts: Stock['counts']
  readonly #ofSetUps = new Map<string, OfSetUps>()
  readonly #bench: Shelf | null
  #pairs: readonly Pair[] | undefined

  constructor(
    readonly shop: Shop,
    readonly shelf: Shelf,
    { withLibrary, isPricedOnly, costEnd, counts, isForNow }: GroundRules,
  ) {
    this.#bench = isForNow ? shelf : null
    this.counts = counts
    const countedCost = costEnd === 'most' ? mostCost : leastCost
    this.costed = (cost) => (cost ? countedCost(cost) : 0)
    this.options = new Options(shelf, withLibrary, assumptionsOf(shop).typicalPriceFactor, isPricedOnly)
  }

  /** A set-up of a source and a wire alone. */
  begin(
    process: ProcessId,
    wire: Wire,
    powerSource: PowerSource | null,
    cables: Cables = NO_CABLES,
  ): Capability {
    const choice = { ...emptyChoice(), building: this.shelf, bench: this.#bench, powerSource, wire }
    return capabilityOf(this.shop, { ...settingsFor(process, wire, powerSource), ...cables }, choice)
  }

  /** Each process with each wire that no criterion rules out for every job. */
  get pairs(): readonly Pair[] {
    return (this.#pairs ??= this.#allPairs())
  }

  #allPairs(): readonly Pair[] {
    const allAlike = alike(this.shelf.powerSources)
    return PROCESS_IDS.flatMap((process) => {
      const isRated = (source: PowerSource): boolean => isRatedFor(source, process)
      const sources = this.shelf.powerSources.filter(isRated)
      if (sources.length === 0) return []
      const alikeSources = allAlike.filter(([first]) => first && isRated(first))
      const ofSetUp = criteriaOfSlot('wire', process).filter(({ isOfSetUp }) => isOfSetUp === true)
      return this.shelf.wires.flatMap((wire): readonly Pair[] => {
        const alone = this.begin(process, wire, null)
        const isOut = ofSetUp.some((one) => one.assess(alone, null)?.verdict === 'fails')
        return isOut ? [] : [{ process, wire, alone, sources, alikeSources }]
      })
    })
  }

  /**
   * @param out hears of each pair that is ruled out whatever feeds it, and by what; null where a figure is missing
   * @returns the pairs that a job may go by, the cheapest to run first
   */
  begunFor(job: Job, out?: (pair: Pair, miss: Assessment | null) => void): readonly Begun[] {
    const searches = new Map<string, Begun['searches']>()
    return this.pairs
      .flatMap((pair): readonly Begun[] => {
        const demand = demandOf(job, pair.process, pair.wire, this.shop)
        const { verdict, miss } = aloneVerdict(pair.alone, demand)
        if (verdict === 'fails') {
          out?.(pair, miss)
          return []
        }
        const cost = costOf(pair.alone, demand)
        const alike = `${pair.process} ${weldsAs(pair.wire)}`
        if (!searches.has(alike)) searches.set(alike, new Map())
        return [
          {
            pair,
            demand,
            isTight: verdict === 'tight',
            runCost: this.costed(cost),
            leastToRun: cost?.job ?? 0,
            seekings: new Map(),
            searches: searches.get(alike) ?? new Map<string, Search>(),
          },
        ]
      })
      .sort((a, b) => a.runCost - b.runCost)
  }

  /** Much depends on polarity and cables: what is found with one is not kept for another. */
  searchFor(
    { pair: { process, wire }, demand, seekings, searches }: Begun,
    source: PowerSource,
    cables: Cables = NO_CABLES,
  ): Seeking {
    const set = `${settingsFor(process, wire, source).polarity} ${Object.values(cables).join(' ')}`
    const known = seekings.get(set)
    if (known) return known
    const search = searches.get(set) ?? this.#newSearch(`${process} ${set}`, demand)
    searches.set(set, search)
    const bare = this.begin(process, wire, source, cables).with('powerSource', null)
    const made = { ...search, bare, judgeSource: search.search.judge.at('powerSource', bare) }
    seekings.set(set, made)
    return made
  }

  /** @param demand that of one wire: what is found holds for all that weld alike */
  #newSearch(key: string, demand: Demand): Search {
    const ofSetUps = this.#ofSetUps.get(key) ?? nothingYet()
    this.#ofSetUps.set(key, ofSetUps)
    const { said, sets, ruledOut } = ofSetUps
    const search = new SetUpSearch(this, demand, said, ruledOut)
    return { search, small: new SmallParts(search, sets) }
  }
}

interface AskedAlone {
  readonly place: number
  /** Whether no other part will tell. */
  readonly isOfWireAlone: boolean
}
const ASKED_ALONE = new Map(
  PROCESS_IDS.map((id): [ProcessId, readonly AskedAlone[]] => {
    const ofWire = criteriaOfSlot('wire', id)
    const alone = new Set(
      ofWire.filter((one) => slotsOf(one, PROCESSES[id]).every((slot) => slot === 'wire')).map(placeOf),
    )
    return [
      id,
      placesOf([...ofWire, ...OF_THE_WHOLE]).map((place) => ({ place, isOfWireAlone: alone.has(place) })),
    ]
  }),
)

interface Alone {
  readonly verdict: Verdict
  readonly miss: Assessment | null
}
function aloneVerdict(alone: Capability, demand: Demand): Alone {
  const findings = new Findings(alone, demand)
  let worst: Verdict = 'fits'
  for (const { place, isOfWireAlone } of ASKED_ALONE.get(alone.process.id) ?? []) {
    const found = findings.at(place)
    const verdict = found?.verdict
    if (verdict === 'fails' || (verdict === 'unknown' && isOfWireAlone))
      return { verdict: 'fails', miss: found }
    if (verdict === 'tight') worst = 'tight'
  }
  return { verdict: worst, miss: null }
}
