/** What would mend a circuit that does not do: every way that is computed to help, the cheapest first. */
import type { Capability } from '../capability/capability.ts'
import { supposed } from '../capacity/capacity.ts'
import { circuitCarries } from '../criteria/carries.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { OF_HEAT, OF_SUPPLY_BY_JOB } from '../criteria/concerns.ts'
import { mendsOf } from '../criteria/index.ts'
import { isJudged } from '../criteria/judged.ts'
import { SUPPLY_CRITERIA } from '../criteria/supply.ts'
import { machineLoads } from '../criteria/wiringRules.ts'
import type { Demand } from '../demand/demand.ts'
import type { Circuit } from '../kinds/equipment.ts'
import { shortestPauseS } from '../duty/shortestPause.ts'
import { type Verdict, VERDICT_RANK, worstVerdict } from '../model/verdict.ts'
import { type Beat, tripsAfterS } from '../supply/breaker/heat.ts'
import { trippingOf } from '../supply/breaker/overload.ts'
import { smallestConductor } from '../supply/ruleBook.ts'
import { thicknessAtMm } from '../trade/thicknessAt.ts'
import { beatsOf, besideSteady } from './trips.ts'

/** A circuit to have pulled. */
export interface NewCircuit {
  readonly voltageV: number
  readonly phases: 1 | 3
  readonly breakerA: number
  readonly conductorSize: string
}

export type PowerMend = {
  /** What it costs, in the shop's currency; null where nobody has said. */
  readonly cost: number | null
  /** What the supply is then. */
  readonly verdict: Verdict
} & (
  | { readonly kind: 'move'; readonly circuitId: string; readonly isThere: boolean }
  /** Seconds between arcs more than the job has, and what they come to, h. */
  | { readonly kind: 'rest'; readonly pauseS: number; readonly moreH: number }
  | {
      readonly kind: 'less-current'
      readonly currentA: number
      /** Thickness that this current welds as the weld with the highest current is welded. */
      readonly thicknessMm: number
      readonly moreH: number
    }
  | { readonly kind: 'breaker'; readonly breakerA: number; readonly mostA: number | null }
  | { readonly kind: 'new-circuit'; readonly circuit: NewCircuit }
  /** A thicker extension cord, or thicker leads, as long as they are. */
  | { readonly kind: 'cord'; readonly size: string; readonly lengthMm: number }
  | { readonly kind: 'leads'; readonly size: string; readonly lengthMm: number }
)

/** What concerns the supply, and nothing else of a set-up; an inrush that no plate gives speaks neither way. */
export const supplyFindings = (capability: Capability, demand: Demand): readonly Assessment[] =>
  SUPPLY_CRITERIA.flatMap((criterion) => criterion.assess(capability, demand) ?? []).filter(isJudged)
const verdictOn = (capability: Capability, demand: Demand): Verdict =>
  worstVerdict(supplyFindings(capability, demand).map(({ verdict }) => verdict))

const HOUR_S = 3600
const LONGEST_PAUSE_S = 1800
const rested = (beats: readonly Beat[], pauseS: number): readonly Beat[] =>
  beats.map((beat) => ({ ...beat, offS: beat.offS + (beat.onS > 0 ? pauseS : 0) }))

/** The shortest rest after each arc with which the breaker of the fit holds all shift, s; null where none does. */
function restS(capability: Capability, beats: readonly Beat[]): number | null {
  const { circuit, breaker, assumptions, reckoner } = capability
  if (!circuit) return null
  const { ratingA, stores } = trippingOf(circuit, breaker, reckoner)
  // As the fit judges it: no hotter than what it holds, heated as slowly as its standard lets it. A quick one may still trip.
  const asJudged = { tripsAt: stores.early.tripsAt, constantS: stores.late.constantS }
  const holds = (pauseS: number): boolean =>
    tripsAfterS(rested(beats, pauseS), ratingA, asJudged, assumptions.shiftHours * HOUR_S) === null
  return shortestPauseS(holds, LONGEST_PAUSE_S)
}

const isByHeatAlone = (findings: readonly Assessment[]): boolean =>
  findings.every(({ criterion, verdict }) => verdict === 'fits' || OF_SUPPLY_BY_JOB.has(criterion))

function byRest(
  capability: Capability,
  demand: Demand,
  findings: readonly Assessment[],
): readonly PowerMend[] {
  const against = findings.filter(({ verdict }) => verdict !== 'fits')
  const beats = besideSteady(capability, beatsOf(capability, demand))
  if (!beats || against.some(({ criterion }) => !OF_HEAT.has(criterion))) return []
  const pauseS = restS(capability, beats)
  if (pauseS === null || pauseS === 0) return []
  const moreH = (demand.arcs * pauseS) / HOUR_S
  const { labourPerHour } = capability.assumptions
  return [{ kind: 'rest', pauseS, moreH, cost: moreH * labourPerHour, verdict: 'tight' }]
}

function byLessCurrent(
  capability: Capability,
  demand: Demand,
  findings: readonly Assessment[],
): readonly PowerMend[] {
  const { hungriest: weld } = demand
  const carries = circuitCarries(capability, demand, weld)
  if (!carries || carries.missing !== null || !isByHeatAlone(findings)) return []
  const currentA = carries.highA
  // Below its window the faces do not fuse: that is no mend.
  if (currentA >= weld.wantedA || currentA < weld.lowA) return []
  const thicknessMm = thicknessAtMm(currentA, weld.law, capability.reckoner)
  if (thicknessMm === null) return []
  const moreH = ((weld.arcS ?? 0) * (weld.wantedA / currentA - 1)) / HOUR_S
  return [
    {
      kind: 'less-current',
      currentA,
      thicknessMm,
      moreH,
      cost: moreH * capability.assumptions.labourPerHour,
      verdict: 'tight',
    },
  ]
}

/** The next breaker with which it does, where the rules let this cable and this machine have it. */
function byBreaker(capability: Capability, demand: Demand, before: Verdict): readonly PowerMend[] {
  const { circuit, rules } = capability
  if (!circuit || !capability.isWiredByShop) return []
  for (const breakerA of rules.breakerSizesA) {
    if (breakerA <= circuit.breakerA) continue
    const findings = supplyFindings(capability.with('circuit', { ...circuit, breakerA }), demand)
    const rule = findings.find(({ criterion }) => criterion === 'breaker-rule')
    if (rule?.verdict === 'fails' || rule?.verdict === 'unknown') return []
    const verdict = worstVerdict(findings.map((one) => one.verdict))
    if (VERDICT_RANK[verdict] < VERDICT_RANK[before])
      return [
        {
          kind: 'breaker',
          breakerA,
          mostA: rule?.capacity ?? null,
          cost: capability.assumptions.breakerPrice,
          verdict,
        },
      ]
  }
  return []
}

const USUAL_LENGTH_MM = 15_000

/** The breaker that is usual for this machine on its circuit, A; null where its plate cannot be reckoned. */
function usualBreakerA(capability: Capability): number | null {
  const [load] = machineLoads(capability)
  return load ? capability.rules.breakerUsualA(load) : null
}

/** A breaker that holds, with the cable that may be behind it without the rules for welders. */
function newCircuitOn(
  capability: Capability,
  demand: Demand,
  voltageV: number,
  phases: 1 | 3,
): NewCircuit | null {
  const { rules } = capability
  // As an electrician pulls it, whom no rule for welders helps (NEC 240.4(D) has these sizes in the 60 °C column).
  const columnC = rules.columnsC[0] ?? 60
  const like = (breakerA: number, conductorSize: string): Circuit => ({
    ...supposed(voltageV, phases),
    breakerA,
    conductorSize,
    columnC,
    lengthMm: USUAL_LENGTH_MM,
  })
  const usualA = usualBreakerA(capability.with('circuit', supposed(voltageV, phases)))
  if (usualA === null) return null
  // As large as an electrician puts in for this machine, whatever this one job draws.
  for (const breakerA of rules.breakerSizesA.filter((one) => one >= usualA)) {
    const conductorSize = smallestConductor(rules, breakerA, like(breakerA, ''))
    if (conductorSize === null) continue
    const there = capability.with('circuit', like(breakerA, conductorSize))
    // On these volts the machine itself has not what the weld needs: no circuit mends that.
    if ((there.supply?.outputMaxA ?? 0) < demand.hungriest.lowA) return null
    if (supplyFindings(there, demand).every(({ verdict }) => verdict === 'fits'))
      return { voltageV, phases, breakerA, conductorSize }
  }
  return null
}

function byNewCircuit(capability: Capability, demand: Demand): readonly PowerMend[] {
  return capability.rules.services.flatMap(({ voltageV, phases }): readonly PowerMend[] => {
    const circuit = newCircuitOn(capability, demand, voltageV, phases)
    if (!circuit) return []
    const { newCircuitPrice, newCircuitPricePerA } = capability.assumptions
    const cost = newCircuitPrice + newCircuitPricePerA * circuit.breakerA
    return [{ kind: 'new-circuit', circuit, cost, verdict: 'fits' }]
  })
}

function byMoving(
  capability: Capability,
  demand: Demand,
  circuits: readonly Circuit[],
  before: Verdict,
): readonly PowerMend[] {
  return circuits.flatMap((circuit): readonly PowerMend[] => {
    if (circuit.id === capability.circuit?.id) return []
    const there = capability.with('circuit', circuit)
    const verdict = verdictOn(there, demand)
    if (VERDICT_RANK[verdict] >= VERDICT_RANK[before] || VERDICT_RANK[verdict] > VERDICT_RANK.tight) return []
    if ((there.supply?.outputMaxA ?? 0) < demand.hungriest.lowA) return []
    const isThere = circuit.held === 'owned'
    return [{ kind: 'move', circuitId: circuit.id, isThere, cost: isThere ? 0 : circuit.price, verdict }]
  })
}

/** A thicker cord, or thicker leads, where that is what stands against it: nobody knows what they cost. */
function byCopper(
  capability: Capability,
  demand: Demand,
  findings: readonly Assessment[],
): readonly PowerMend[] {
  const { cordLengthMm, leadLengthMm } = capability.settings
  const kinds = [
    { kind: 'cord', ids: ['cord', 'volts'], key: 'cordSize', lengthMm: cordLengthMm },
    { kind: 'leads', ids: ['leads', 'lead-volts'], key: 'leadSize', lengthMm: leadLengthMm },
  ] as const
  return kinds.flatMap(({ kind, ids, key, lengthMm }): readonly PowerMend[] => {
    const against = findings.find(
      ({ criterion, verdict }) => verdict !== 'fits' && (ids as readonly string[]).includes(criterion),
    )
    if (!against || lengthMm === null) return []
    for (const { patch } of mendsOf(against, capability, demand)) {
      const change = patch?.on === 'set-up' ? patch.change : null
      const size = change?.[key]
      if (typeof size !== 'string') continue
      const verdict = verdictOn(capability.withSettings({ [key]: size }), demand)
      return [{ kind, size, lengthMm, verdict, cost: null }]
    }
    return []
  })
}

const byCost = (a: PowerMend, b: PowerMend): number =>
  (a.cost ?? Number.POSITIVE_INFINITY) - (b.cost ?? Number.POSITIVE_INFINITY) ||
  VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict]

/**
 * @param capability on the circuit that does not do
 * @param circuits of the shop
 * @returns nothing where it fits already
 * @example mendsOfPower(c, d, shelf.circuits)[0] // { kind: 'move', circuitId: 'bay-2', cost: 0, … }
 */
export function mendsOfPower(
  capability: Capability,
  demand: Demand,
  circuits: readonly Circuit[],
): readonly PowerMend[] {
  const findings = supplyFindings(capability, demand)
  const before = worstVerdict(findings.map(({ verdict }) => verdict))
  const isShortOfOutput = (capability.supply?.outputMaxA ?? Number.POSITIVE_INFINITY) < demand.hungriest.lowA
  if (before === 'fits' && !isShortOfOutput) return []
  const from: Verdict = isShortOfOutput ? 'fails' : before
  return [
    ...byMoving(capability, demand, circuits, from),
    ...(isShortOfOutput
      ? []
      : [
          ...byRest(capability, demand, findings),
          ...byLessCurrent(capability, demand, findings),
          ...byBreaker(capability, demand, before),
        ]),
    ...byNewCircuit(capability, demand),
    ...(isShortOfOutput ? [] : byCopper(capability, demand, findings)),
  ].sort(byCost)
}
