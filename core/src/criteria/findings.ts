/**
 * Criteria asked of set-ups and jobs, each once for all that it cannot tell apart: those of the set-up alone for all jobs,
 * those of process and wire for all set-ups with both, and those of a few parts for all set-ups that have these parts.
 */
import { type Capability, NOTHING_SET } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import type { Shop } from '../kinds/shop.ts'
import type { Slot } from '../kinds/slots.ts'
import { PROCESS_IDS, type ProcessId } from '../model/process.ts'
import { type Process, PROCESSES } from '../reference/processes.ts'
import { type Assessment, type Criterion, slotsOf } from './criterion.ts'
import type { Verdict } from '../model/verdict.ts'
import { CRITERIA } from './list.ts'

/** What is known of some criteria with all that they look at. */
class Found {
  /** By place in the list; undefined for what has not been asked yet. */
  readonly of: (Assessment | null | undefined)[] = []
  /** The worst of all of them; undefined until it is asked. */
  worst: Verdict | undefined
}

/** Criteria that are kept together: by their job and work, by their set-up, or by the parts in a few places. */
interface Kept {
  readonly by: 'work' | 'set-up' | readonly Slot[]
  /** Which it is among those of its process. */
  readonly at: number
  /** Of its criteria, in the list. */
  readonly places: number[]
}

/**
 * Whether set-ups often have the same of all that a criterion looks at: its source on its circuit, or parts behind both.
 * What looks at the source and at parts behind it as well is another thing nearly everywhere.
 */
const isShared = (slots: readonly Slot[]): boolean => {
  const ofSupply = slots.filter((slot) => slot === 'powerSource' || slot === 'circuit').length
  return slots.length > 0 && (ofSupply === 0 || ofSupply === slots.length)
}

/** How answers of one process are kept. */
interface Keeping {
  /** What most cells have in common comes first: the work, the set-up, then a few parts. */
  readonly kept: readonly Kept[]
  /** Which of `kept` a criterion belongs to, by its place in the list; absent for what is another thing in each cell. */
  readonly of: readonly (Kept | undefined)[]
  /** Places of those. */
  readonly ofCell: readonly number[]
}
const keptBy = (criterion: Criterion, process: Process): Kept['by'] | null => {
  if (criterion.isOfWork === true) return 'work'
  if (criterion.isOfSetUp === true) return 'set-up'
  const slots = [...slotsOf(criterion, process)].sort()
  return isShared(slots) ? slots : null
}
function keepingOf(process: Process): Keeping {
  const kept = new Map<string, Kept>()
  const of = CRITERIA.map((criterion, place) => {
    const by = keptBy(criterion, process)
    if (by === null) return undefined
    const one = kept.get(`${by}`) ?? { by, at: kept.size, places: [] }
    kept.set(`${by}`, one)
    one.places.push(place)
    return one
  })
  const rank = ({ by }: Kept): number => (by === 'work' ? 0 : by === 'set-up' ? 1 : 2)
  const inOrder = [...kept.values()].sort((a, b) => rank(a) - rank(b))
  const ofCell = of.flatMap((one, place) => (one ? [] : [place]))
  return { kept: inOrder, of, ofCell }
}
const KEEPING = Object.fromEntries(PROCESS_IDS.map((id) => [id, keepingOf(PROCESSES[id])])) as Readonly<
  Record<ProcessId, Keeping>
>
const keepingFor = ({ process }: Capability): Keeping => KEEPING[process.id]

/** What is the same for every job, by set-up: a board holds hundreds of jobs against each. */
const ofSetUps = new WeakMap<Capability, Found>()
function foundOfSetUp(capability: Capability): Found {
  let found = ofSetUps.get(capability)
  if (!found) ofSetUps.set(capability, (found = new Found()))
  return found
}

/** All that is set beside the parts, whatever is added to it: what is left out of a key could not be told apart. */
const SET_BESIDE = Object.keys(NOTHING_SET) as (keyof typeof NOTHING_SET)[]
const settingsKeys = new WeakMap<Capability['settings'], string>()
function settingsKey({ settings }: Capability): string {
  let key = settingsKeys.get(settings)
  if (key === undefined) {
    key = JSON.stringify([settings.polarity, ...SET_BESIDE.map((one) => settings[one])])
    settingsKeys.set(settings, key)
  }
  return key
}

/** Stands for what all set-ups have in common that are set alike and have the same parts in some places. */
class Alike {
  readonly #having = new WeakMap<object, Alike>()
  having(part: object): Alike {
    let alike = this.#having.get(part)
    if (!alike) this.#having.set(part, (alike = new Alike()))
    return alike
  }
}
const NO_PART = {}
/** By places and settings. */
const allAlike = new Map<string, Alike>()
function alikeOf(capability: Capability, slots: readonly Slot[]): Alike {
  const key = `${slots.join()} ${settingsKey(capability)}`
  let alike = allAlike.get(key)
  if (!alike) allAlike.set(key, (alike = new Alike()))
  return slots.reduce((so, slot) => so.having(capability[slot] ?? NO_PART), alike)
}
const alikes = new WeakMap<Capability, Alike[]>()

/** What is found of one job with one process and wire. */
interface OfDemand {
  readonly shop: Shop
  readonly building: Capability['building']
  /** The same for every set-up with both. */
  readonly ofWork: Found
  /** The same for every set-up that has the same parts in some places, whatever else is in it. */
  readonly ofParts: Map<Alike, Found>
}
const ofDemands = new WeakMap<Demand, OfDemand>()

/** @returns null where the demand is that of another process or wire: then nothing of it is kept */
function foundOfDemand(
  { shop, building, wire, process }: Capability,
  demand: Demand | null,
): OfDemand | null {
  if (demand === null || wire !== demand.wire || process.id !== demand.processId) return null
  let found = ofDemands.get(demand)
  if (found?.shop !== shop || found.building !== building)
    ofDemands.set(demand, (found = { shop, building, ofWork: new Found(), ofParts: new Map() }))
  return found
}

function foundOfParts(
  capability: Capability,
  { ofParts }: OfDemand,
  at: number,
  slots: readonly Slot[],
): Found {
  let all = alikes.get(capability)
  if (!all) alikes.set(capability, (all = []))
  const alike = (all[at] ??= alikeOf(capability, slots))
  let found = ofParts.get(alike)
  if (!found) ofParts.set(alike, (found = new Found()))
  return found
}

/**
 * One set-up and one job, or none: what criteria find of them is kept for others. Searches make these by the hundred
 * thousand.
 * @example new Findings(capability, demand).at(0)?.verdict
 */
export class Findings {
  readonly keeping: Keeping
  readonly #ofDemand: OfDemand | null
  #ofSetUp: Found | null = null
  /** By which of the kept it is. */
  #ofParts: Found[] | null = null

  constructor(
    readonly capability: Capability,
    readonly demand: Demand | null,
  ) {
    this.keeping = keepingFor(capability)
    this.#ofDemand = foundOfDemand(capability, demand)
  }

  /** @returns null where nothing is kept */
  foundOf({ by, at }: Kept): Found | null {
    if (by === 'work') return this.#ofDemand?.ofWork ?? null
    if (by === 'set-up') return (this.#ofSetUp ??= foundOfSetUp(this.capability))
    if (this.#ofDemand === null) return null
    this.#ofParts ??= []
    return (this.#ofParts[at] ??= foundOfParts(this.capability, this.#ofDemand, at, by))
  }

  /** @returns what the criterion at a place of the list finds */
  at(place: number): Assessment | null {
    const kept = this.keeping.of[place]
    const found = kept ? this.foundOf(kept) : null
    const known = found?.of[place]
    if (known !== undefined) return known
    const made = CRITERIA[place]?.assess(this.capability, kept?.by === 'set-up' ? null : this.demand) ?? null
    if (found) found.of[place] = made
    return made
  }
}
