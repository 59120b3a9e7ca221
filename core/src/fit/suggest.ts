/** What would mend it: every change that the shelf and the job allow, tried for real and ranked. */
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf, slotWord } from '../capability/slots.ts'
import { SLOTS } from '../kinds/slots.ts'
import { assess, worstOf } from '../criteria/index.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { passesMend, preheatMend, preheatOfferedC } from '../criteria/thickness.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
import type { SetUp, Wire } from '../kinds/equipment.ts'
import { isCandidate } from '../model/ownership.ts'
import { isSpooled } from '../kinds/spooled.ts'
import type { Job } from '../kinds/job.ts'
import { applyPatch, type JobWithSetUp, type Patch } from '../kinds/patch.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { list, type Param, message, type Message } from '../model/message.ts'
import { type Verdict, VERDICT_RANK } from '../model/verdict.ts'
import { type Process, PROCESSES } from '../reference/processes.ts'
import { fitOut } from '../assembly/fitOut.ts'
import { chainFor } from './chain.ts'
import { partsOf } from './document.ts'
import type { Fit } from './fit.ts'

export interface Suggestion extends Message {
  readonly patch: Patch
  /** The worst verdict with the change made. */
  readonly verdict: Verdict
  /** How many criteria then fail. */
  readonly failCount: number
  /** Room of the chain's weakest link then, A. */
  readonly spareA: number | null
}

export interface Entered {
  readonly shop: Shop
  readonly shelf: Shelf
  readonly setUps: readonly SetUp[]
  readonly job: Job
  readonly setUp: SetUp
}

interface Candidate extends Message {
  readonly patch: Patch
}

/** Which filler goes with what the arc burns from. */
const HELD_BY: Readonly<Record<Process['electrode'], (form: Wire['form']) => boolean>> = {
  wire: (form) => isSpooled({ form }),
  tungsten: (form) => form === 'rod',
  covered: (form) => form === 'covered',
}

const MOST_PASSES_MORE = 3

/** @param warmC what the parts may be warmed to; null where that is no way to do it */
function candidates({ shelf, setUps, setUp, job }: Entered, fit: Fit, warmC: number | null): Candidate[] {
  const process = PROCESSES[setUp.process]
  const others = <T extends { id: string }>(all: readonly T[], now: string | null) =>
    all.filter(({ id }) => id !== now)
  const onSetUp = (what: Param, change: Extract<Patch, { on: 'set-up' }>['change']): Candidate => ({
    ...message('take', { what }),
    patch: { on: 'set-up', change },
  })
  const wires = others(shelf.wires, setUp.wireId).filter(({ form }) => HELD_BY[process.electrode](form))
  const joint = job.joints.find(({ id }) => id === fit.governingJointId)
  const passesNow = joint?.passes ?? 1
  const morePasses = Array.from({ length: MOST_PASSES_MORE }, (_, index) => passesNow + index + 1)
  return [
    ...others(shelf.circuits, setUp.circuitId).map((c) => onSetUp(c.name, { circuitId: c.id })),
    ...wires.map((w) => onSetUp(w.name, { wireId: w.id })),
    ...others(shelf.gases, setUp.gasId).map((g) => onSetUp(g.name, { gasId: g.id })),
    ...others(shelf.guns, setUp.gunId).map((g) => onSetUp(g.name, { gunId: g.id })),
    ...(process.family === 'gtaw'
      ? others(shelf.tungstens, setUp.tungstenId).map((t) => onSetUp(t.name, { tungstenId: t.id }))
      : []),
    ...Object.values(fit.mends).flatMap((mends) =>
      mends.flatMap(({ code, params, patch }) => (patch ? [{ code, params, patch }] : [])),
    ),
    ...(joint ? morePasses.map((passes) => passesMend(joint, passes)) : []),
    ...(warmC !== null ? [preheatMend(warmC)] : []),
    ...others(setUps, setUp.id).map((s): Candidate => ({
      ...message('other-set-up', { what: s.name }),
      patch: { on: 'job-set-up', setUpId: s.id },
    })),
  ]
}

/** Parts that others have to go with. */
const LEADING = ['powerSourceId', 'gunId', 'wireId', 'gasId', 'tungstenId'] as const

/** Rolls, liner, tip and the like follow a change of gun, wire or source: nobody changes the wire and keeps the rolls. */
function withItsParts({ shop, shelf, setUp }: Entered, candidate: Candidate): Candidate {
  const { code, params, patch } = candidate
  if (patch.on !== 'set-up' || !LEADING.some((key) => key in patch.change)) return candidate
  const then = { ...setUp, ...patch.change }
  const { change, changed } = fitOut(capabilityOf(shop, then, chosenOf(then, shelf)), shelf)
  if (changed.length === 0) return candidate
  const process = PROCESSES[then.process]
  const along = list(changed.map((slot) => slotWord(slot, process)))
  return {
    code: `${code}-along`,
    params: { ...params, along },
    patch: { on: 'set-up', change: { ...patch.change, ...change } },
  }
}

const isToBuy = (item: object | null): boolean => item !== null && isCandidate(item)

/** What a change is to mend: what fails, or with a job that is done already what is tight. */
export type Amiss = 'fails' | 'tight'
const those = (criteria: readonly Assessment[], amiss: Amiss): string[] =>
  criteria.filter(({ verdict }) => verdict === amiss).map(({ criterion }) => criterion)
const unknownCount = (criteria: readonly Assessment[]): number =>
  criteria.filter(({ verdict }) => verdict === 'unknown').length

/** Demands are the same for every change that leaves job, process and wire alone. */
function demandsOnce(shop: Shop): (entered: JobWithSetUp, wire: Wire | null) => Demand {
  const known = new Map<string, { readonly job: Job; readonly demand: Demand }>()
  return ({ job, setUp }, wire) => {
    const key = `${setUp.process} ${wire?.id ?? ''}`
    const found = known.get(key)
    if (found?.job === job) return found.demand
    const demand = demandOf(job, setUp.process, wire, shop)
    known.set(key, { job, demand })
    return demand
  }
}

/**
 * @param fit what holds now
 * @param most how many to answer
 * @param amiss what is to be mended
 * @returns changes after which less is amiss (and none more fails or is unknown), best first; none where nothing is
 * @example suggest(entered, fitJob(input), 3).map(({ patch }) => patch) // changes that mend the most
 */
export function suggest(entered: Entered, fit: Fit, most = 4, amiss: Amiss = 'fails'): readonly Suggestion[] {
  const amissNow = those(fit.criteria, amiss)
  const failingNow = those(fit.criteria, 'fails')
  const unknownNow = unknownCount(fit.criteria)
  if (amissNow.length === 0) return []
  const demandFor = demandsOnce(entered.shop)
  const warmC = preheatOfferedC(demandFor(entered, chosenOf(entered.setUp, entered.shelf).wire))
  const seen = new Set<string>()
  const tried: (Suggestion & { isToBuy: boolean; order: number })[] = []
  candidates(entered, fit, warmC).forEach((candidate, order) => {
    const key = JSON.stringify(candidate.patch)
    if (seen.has(key)) return
    seen.add(key)
    const { code, params, patch } = withItsParts(entered, candidate)
    const then = applyPatch(entered, patch, entered.setUps)
    const answer = partsOf(then.setUp, entered.shelf)
    if (!answer.ok) return
    const capability = capabilityOf(entered.shop, then.setUp, answer.parts)
    const demand = demandFor(then, answer.parts.wire)
    const criteria = assess(capability, demand)
    const failingThen = those(criteria, 'fails')
    if (those(criteria, amiss).length >= amissNow.length || unknownCount(criteria) > unknownNow) return
    // What mends one thing must not break another.
    if (failingThen.some((id) => !failingNow.includes(id))) return
    tried.push({
      code,
      params,
      patch,
      verdict: worstOf(criteria),
      failCount: failingThen.length,
      spareA: chainFor(capability, demand, demand.hungriest).spareA,
      isToBuy: SLOTS.some((slot) => isToBuy(answer.parts[slot])),
      order,
    })
  })
  // Fewest failing, then best verdict, then what the shop has; among equals the smaller change, which stands earlier.
  tried.sort(
    (a, b) =>
      a.failCount - b.failCount ||
      VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict] ||
      Number(a.isToBuy) - Number(b.isToBuy) ||
      a.order - b.order,
  )
  return tried.slice(0, most).map(({ code, params, patch, verdict, failCount, spareA }) => ({
    code,
    params,
    patch,
    verdict,
    failCount,
    spareA,
  }))
}
