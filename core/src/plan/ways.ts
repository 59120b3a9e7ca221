/** Which set-ups do which job, how long each takes, and which shared things it needs meanwhile. */
import { type Assumptions, assumptionsOf } from '../assumptions/assume.ts'
import { NO_CLAIMS } from '../capability/claims.ts'
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { decide } from '../criteria/decide.ts'
import { verdictAlone } from '../criteria/verdictAlone.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
import type { Job } from '../kinds/job.ts'
import type { SetUp } from '../kinds/setUp.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { slotKey, SLOTS } from '../kinds/slots.ts'
import { isCandidate } from '../model/ownership.ts'
import { does, type Verdict } from '../model/verdict.ts'
import { togetherOf } from '../power/together.ts'
import type { Beat } from '../supply/breaker/heat.ts'
import { plannedMinOf } from './minutes.ts'
import type { SharedThing } from './problem.ts'

export interface JobWay {
  readonly setUp: SetUp
  readonly verdict: Verdict
  /** Of one whole run as it is planned, without the change of set-up and without the shop's own pace. */
  readonly plannedMin: number
  /** In minutes of work. */
  readonly dislikedMin: number
  readonly uses: readonly NamedUse[]
}
export interface NamedUse {
  readonly key: string
  readonly amount: number
}

export interface JobWays {
  readonly ways: readonly JobWay[]
  /** Where nothing owned does it: the set-up that comes nearest, and what it fails by. */
  readonly nearest: { readonly setUp: SetUp; readonly limit: Assessment | null } | null
}

/** What the plan looks at: the shop as it is now. */
export interface PlanShop {
  readonly shop: Shop
  readonly shelf: Shelf
  readonly setUps: readonly SetUp[]
}

interface Column {
  readonly setUp: SetUp
  readonly capability: Capability
  /** With what is in the stores. */
  readonly counted: Capability
  readonly work: string
}

/** A set-up with a part that is not there yet cannot be planned with. */
const isOwned = (capability: Capability): boolean =>
  SLOTS.every((slot) => {
    const item = capability[slot]
    return item === null || !isCandidate(item)
  })

/** What is on all day: root mean square over its running and standing, A. */
function steadyHeatingA(beats: readonly Beat[]): number {
  let [square, seconds] = [0, 0]
  for (const { onS, offS, times, onA, offA } of beats) {
    square += (onA ** 2 * onS + offA ** 2 * offS) * times
    seconds += (onS + offS) * times
  }
  return seconds === 0 ? 0 : Math.sqrt(square / seconds)
}

/** A job in its worst ten minutes: a breaker is warm by then, however long tacking went before, A. */
function jobHeatingA(beats: readonly Beat[], dutyPct: number): number {
  let [mostOnA, idleA] = [0, 0]
  for (const { onA, offA } of beats) [mostOnA, idleA] = [Math.max(mostOnA, onA), Math.max(idleA, offA)]
  const share = Math.min(1, dutyPct / HUNDRED)
  return Math.sqrt(mostOnA ** 2 * share + idleA ** 2 * (1 - share))
}

/** Somebody has to fetch the wire or the gas first. */
const NOT_THERE_MIN = 120
/** The owner chose another set-up for the job. */
const NOT_CHOSEN_MIN = 10
const HUNDRED = 100

export class Ways {
  readonly #columns: readonly Column[]
  readonly #sharedBy: ReadonlyMap<string, SharedThing>
  readonly #power = new Map<string, SharedThing>()
  readonly #known = new WeakMap<Job, JobWays>()
  readonly assumptions: Assumptions

  /** @param also set-ups that are taken although parts of them are still to buy or to rent */
  constructor(
    readonly of: PlanShop,
    also: ReadonlySet<string> = new Set(),
  ) {
    const { shop, shelf, setUps } = of
    this.assumptions = assumptionsOf(shop)
    this.#columns = setUps.flatMap((setUp): readonly Column[] => {
      // How much there is decides when to order, not which machine does it.
      const known = chosenOf(setUp, shelf)
      const chosen = { ...known, stock: [], claims: NO_CLAIMS, bench: null }
      const capability = capabilityOf(shop, setUp, chosen)
      if (!capability.powerSource || !capability.gun || (!also.has(setUp.id) && !isOwned(capability)))
        return []
      const counted = capabilityOf(shop, setUp, { ...known, claims: NO_CLAIMS, bench: null })
      return [{ setUp, capability, counted, work: `${setUp.process} ${capability.wire?.id ?? ''}` }]
    })
    this.#sharedBy = sharedIn(
      this.#columns.map(({ setUp }) => setUp),
      shelf,
      this.assumptions,
    )
  }

  get setUps(): readonly SetUp[] {
    return this.#columns.map(({ setUp }) => setUp)
  }
  /** Guns, feeders, cylinders and torches that several machines use, and every breaker that was met. */
  get shared(): readonly SharedThing[] {
    return [...this.#sharedBy.values(), ...this.#power.values()]
  }

  /** @returns the set-ups that do a job, whatever there is in the stores */
  ofJob(job: Job): JobWays {
    const known = this.#known.get(job)
    if (known) return known
    const { shop } = this.of
    const demands = new Map<string, Demand>()
    const ways: JobWay[] = []
    let nearest: JobWays['nearest'] = null
    for (const { setUp, capability, counted, work } of this.#columns) {
      let demand = demands.get(work)
      if (!demand) demands.set(work, (demand = demandOf(job, setUp.process, capability.wire, shop)))
      const { verdict, limit } = decide(capability, demand)
      const plannedMin = does(verdict) ? plannedMinOf(capability, demand) : null
      if (plannedMin === null) {
        if (setUp.id === job.setUpId || nearest === null) nearest = { setUp, limit }
        continue
      }
      const isThere = does(verdictAlone(counted, demand))
      const dislikedMin =
        (verdict === 'tight' ? (plannedMin * this.assumptions.tightCostPct) / HUNDRED : 0) +
        (isThere ? 0 : NOT_THERE_MIN) +
        (job.setUpId === null || job.setUpId === setUp.id ? 0 : NOT_CHOSEN_MIN)
      ways.push({ setUp, verdict, plannedMin, dislikedMin, uses: this.#usesOf(job, setUp, demand.dutyPct) })
    }
    const made = { ways, nearest: ways.length === 0 ? nearest : null }
    this.#known.set(job, made)
    return made
  }

  #usesOf(job: Job, setUp: SetUp, dutyPct: number | null): readonly NamedUse[] {
    const { shop, shelf } = this.of
    const things = [...this.#sharedBy.entries()].flatMap(([key, { kind }]): readonly NamedUse[] => {
      if (kind === 'preheat') return job.preheatC === null ? [] : [{ key, amount: 1 }]
      const named = kind === 'cylinder' ? setUp.gasId : kind === 'gun' ? setUp.gunId : setUp.feederId
      return key === `${kind} ${named ?? ''}` ? [{ key, amount: 1 }] : []
    })
    const { nodes, drawers } = togetherOf(shop, shelf, [{ job, setUp }])
    const power = nodes.flatMap((node): readonly NamedUse[] => {
      const key = `${node.kind} ${node.id}`
      const own = node.carries.map(({ drawer }) => drawers[drawer]).find((drawer) => drawer?.machine)
      if (!own || dutyPct === null) return []
      // What runs beside it all day leaves less.
      const othersA = node.carries.reduce((sum, { drawer }) => {
        const one = drawers[drawer]
        return sum + (one && one.machine === null ? steadyHeatingA(one.beats) : 0)
      }, 0)
      this.#power.set(key, {
        id: key,
        kind: node.kind,
        name: node.name,
        capacity: Math.max(0, node.heldA - othersA),
      })
      return [{ key, amount: jobHeatingA(own.beats, dutyPct) }]
    })
    return [...things, ...power]
  }
}

/** What only one machine can have at a time. */
function sharedIn(
  setUps: readonly SetUp[],
  shelf: Shelf,
  { preheatTorches }: Assumptions,
): ReadonlyMap<string, SharedThing> {
  const shared = new Map<string, SharedThing>()
  const onSeveral = (key: 'gunId' | 'feederId' | 'gasId', id: string): boolean =>
    new Set(setUps.flatMap((one) => (one[key] === id ? [one.powerSourceId] : []))).size > 1
  const put = (
    kind: SharedThing['kind'],
    { id, name }: { readonly id: string; readonly name: string },
    capacity: number,
  ): void => {
    shared.set(`${kind} ${id}`, { id: `${kind} ${id}`, kind, name, capacity })
  }
  for (const gun of shelf.guns) if (onSeveral(slotKey('gun'), gun.id)) put('gun', gun, 1)
  for (const feeder of shelf.feeders) if (onSeveral(slotKey('feeder'), feeder.id)) put('feeder', feeder, 1)
  for (const gas of shelf.gases) {
    const own = shelf.cylinders.filter(({ gasId, returnedOn }) => gasId === gas.id && returnedOn === null)
    if (own.length > 0 && onSeveral(slotKey('gas'), gas.id)) put('cylinder', gas, own.length)
  }
  put('preheat', { id: 'torch', name: 'Preheating torch' }, preheatTorches)
  return shared
}
