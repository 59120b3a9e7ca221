/** Why a machine cannot do a job: of all that was tried the check that fails by least. */
import type { Capability } from '../capability/capability.ts'
import { needsOf } from '../capability/slots.ts'
import { OF_FILLER } from '../criteria/concerns.ts'
import { type Assessment, type Criterion, slotsOf } from '../criteria/criterion.ts'
import { criteriaOfSlot, Findings, placeOf } from '../criteria/index.ts'
import { isJudged } from '../criteria/judged.ts'
import { KIND_FIRST } from '../criteria/limit.ts'
import type { Demand } from '../demand/demand.ts'
import { type Slot, type SlotItems, SLOTS } from '../kinds/slots.ts'
import type { PowerSource } from '../kinds/equipment.ts'
import { does } from '../model/verdict.ts'
import type { Begun, Ground } from './ground.ts'
import { OF_THE_WHOLE, placesOf } from './judge.ts'
import { MAIN } from './setUpSearch.ts'
import type { Station } from './stations.ts'

const SMALL = SLOTS.filter((slot) => slot !== 'powerSource' && slot !== 'wire' && !MAIN.includes(slot))
const WHOLE_PLACES = placesOf(OF_THE_WHOLE)

const OF_KIND = new Set(KIND_FIRST)
/** What more amps mend tells more than what another wire would, and that more than the wrong metal. */
const NEAREST = { measured: 0, other: 1, kind: 2, filler: 3 } as const

function rankOf({ criterion, marginPct }: Assessment): number {
  if (OF_FILLER.has(criterion)) return NEAREST.filler
  if (OF_KIND.has(criterion)) return NEAREST.kind
  return marginPct === null ? NEAREST.other : NEAREST.measured
}

/** @returns below 0 where the first is the nearer to going */
export const compareMisses = (a: Assessment, b: Assessment): number =>
  rankOf(a) - rankOf(b) || (b.marginPct ?? 0) - (a.marginPct ?? 0)

const nearestOf = (misses: readonly (Assessment | null)[]): Assessment | null =>
  misses.reduce((best, one) => (one && (!best || compareMisses(one, best) < 0) ? one : best), null)

/** Criteria of a place whose parts are all there. */
const settledAt = (slot: Slot, capability: Capability): readonly Criterion[] =>
  criteriaOfSlot(slot, capability.process.id).filter((one) =>
    slotsOf(one, capability.process).every((of) => of === slot || capability[of] !== null),
  )

/** @returns the worst that is said of a part in a place, null where nothing rules it out */
function against(slot: Slot, capability: Capability, demand: Demand): Assessment | null {
  const findings = new Findings(capability, demand)
  let worst: Assessment | null = null
  for (const criterion of settledAt(slot, capability)) {
    const found = findings.at(placeOf(criterion))
    if (!found || does(found.verdict) || !isJudged(found)) continue
    if (worst === null || compareMisses(worst, found) < 0) worst = found
  }
  return worst
}

/**
 * Fills one place after the other with what passes, and stops where nothing does.
 * @returns what fails there by least; null where all of it goes
 */
function missOfPair(
  ground: Ground,
  { pair, demand }: Begun,
  { powerSource, circuit, cables }: Station,
): Assessment | null {
  let capability = ground.begin(pair.process, pair.wire, powerSource, cables)
  const ofSource = against('powerSource', capability, demand)
  if (ofSource) return ofSource
  for (const slot of [...MAIN, ...SMALL]) {
    if (!needsOf(capability).some((need) => need.slot === slot)) continue
    const items: readonly SlotItems[Slot][] =
      slot === 'circuit' && circuit
        ? [circuit]
        : ground.options.byCost(slot, capability).flatMap((group) => group.map(({ item }) => item))
    const misses: (Assessment | null)[] = []
    const next = items.find((item) => {
      const miss = against(slot, capability.with(slot, item as never), demand)
      misses.push(miss)
      return miss === null
    })
    if (next === undefined) return nearestOf(misses)
    capability = capability.with(slot, next as never)
  }
  const findings = new Findings(capability, demand)
  return nearestOf(
    WHOLE_PLACES.map((at) => findings.at(at)).filter(
      (one) => one !== null && !does(one.verdict) && isJudged(one),
    ),
  )
}

/** What rules a process out for a job whatever feeds it. */
export interface RuledOut {
  readonly powerSources: ReadonlySet<PowerSource>
  readonly miss: Assessment
}

/** More of them say the same again. */
const MOST_PAIRS = 6

/**
 * @param begun pairs of process and wire that the job may go by, none of which the machine does it with
 * @param ruledOut the others
 * @returns null where the machine has no process for the job at all
 */
export function nearestMiss(
  ground: Ground,
  begun: readonly Begun[],
  ruledOut: readonly RuledOut[],
  station: Station,
): Assessment | null {
  const own = begun.filter(({ pair }) => pair.sources.includes(station.powerSource)).slice(0, MOST_PAIRS)
  const ofPairs = nearestOf(own.map((one) => missOfPair(ground, one, station)))
  if (ofPairs && rankOf(ofPairs) === NEAREST.measured) return ofPairs
  const out = ruledOut.filter(({ powerSources }) => powerSources.has(station.powerSource))
  return nearestOf([ofPairs, ...out.map(({ miss }) => miss)])
}
