/** What would mend a circuit that does not do: every way that is computed to help, the cheapest first. */
import type { Capability } from '../capability/capability.ts'
import { supposed } from '../capacity/capacity.ts'
import { SUPPLY_TOLERANCE } from '../capability/supplyFor.ts'
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
      /** Thickness that this current welds as the hungriest weld is welded. */
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
export const supplyFindings = (c: Capability, d: Demand): readonly Assessment[] =>
  SUPPLY_CRITERIA.flatMap((criterion) => criterion.assess(c, d) ?? []).filter(isJudged)
const verdictOn = (c: Capability, d: Demand): Verdict =>
  worstVerdict(supplyFindings(c, d).map(({ verdict }) => verdict))

const HOUR_S = 3600
const LONGEST_PAUSE_S = 1800
const rested = (beats: readonly Beat[], pauseS: number): readonly Beat[] =>
  beats.map((beat) => ({ ...beat, offS: beat.offS + (beat.onS > 0 ? pauseS : 0) }))

/** The shortest rest after each arc with which the breaker of the fit holds all shift, s; null where none does. */
function restS(c: Capability, beats: readonly Beat[]): number | null {
  const { circuit, breaker, assumptions, r } = c
  if (!circuit) return null
  const { ratingA, stores } = trippingOf(circuit, breaker, r)
  // As the fit judges it: no hotter than what it holds, heated as slowly as its standard lets it. A quick one may still trip.
  const asJudged = { tripsAt: stores.early.tripsAt, constantS: stores.late.constantS }
  const holds = (pauseS: number): boolean =>
    tripsAfterS(rested(beats, pauseS), ratingA, asJudged, assumptions.shiftHours * HOUR_S) === null
  return shortestPauseS(holds, LONGEST_PAUSE_S)
}

const isByHeatAlone = (findings: readonly Assessment[]): boolean =>
  findings.every(({ criterion, verdict }) => verdict === 'fits' || OF_SUPPLY_BY_JOB.has(criterion))

function byRest(c: Capability, d: Demand, findings: readonly Assessment[]): readonly PowerMend[] {
  const against = findings.filter(({ verdict }) => verdict !== 'fits')
  const beats = besideSteady(c, beatsOf(c, d))
  if (!beats || against.some(({ criterion }) => !OF_HEAT.has(criterion))) return []
  const pauseS = restS(c, beats)
  if (pauseS === null || pauseS === 0) return []
  const moreH = (d.arcs * pauseS) / HOUR_S
  const { labourPerHour } = c.assumptions
  return [{ kind: 'rest', pauseS, moreH, cost: moreH * labourPerHour, verdict: 'tight' }]
}

function byLessCurrent(c: Capability, d: Demand, findings: readonly Assessment[]): readonly PowerMend[] {
  const { hungriest: weld } = d
  const carries = circuitCarries(c, d, weld)
  if (!carries || carries.missing !== null || !isByHeatAlone(findings)) return []
  const currentA = carries.highA
  // Below its window the faces do not fuse: that is no mend.
  if (currentA >= weld.wantedA || currentA < weld.lowA) return []
  const thicknessMm = thicknessAtMm(currentA, weld.law, c.r)
  if (thicknessMm === null) return []
  const moreH = ((weld.arcS ?? 0) * (weld.wantedA / currentA - 1)) / HOUR_S
  return [
    {
      kind: 'less-current',
      currentA,
      thicknessMm,
      moreH,
      cost: moreH * c.assumptions.labourPerHour,
      verdict: 'tight',
    },
  ]
}

/** The next breaker with which it does, where the rules let this cable and this machine have it. */
function byBreaker(c: Capability, d: Demand, before: Verdict): readonly PowerMend[] {
  const { circuit, rules } = c
  if (!circuit || !c.isWiredByShop) return []
  for (const breakerA of rules.breakerSizesA) {
    if (breakerA <= circuit.breakerA) continue
    const findings = supplyFindings(c.with('circuit', { ...circuit, breakerA }), d)
    const rule = findings.find(({ criterion }) => criterion === 'breaker-rule')
    if (rule?.verdict === 'fails' || rule?.verdict === 'unknown') return []
    const verdict = worstVerdict(findings.map((one) => one.verdict))
    if (VERDICT_RANK[verdict] < VERDICT_RANK[before])
      return [
        {
          kind: 'breaker',
          breakerA,
          mostA: rule?.capacity ?? null,
          cost: c.assumptions.breakerPrice,
          verdict,
        },
      ]
  }
  return []
}

const USUAL_LENGTH_MM = 15_000

/** The breaker that is usual for this machine on its circuit, A; null where its plate cannot be reckoned. */
function usualBreakerA(c: Capability): number | null {
  const [load] = machineLoads(c)
  return load ? c.rules.breakerUsualA(load) : null
}

/** A breaker that holds, with the cable that may be behind it without the rules for welders. */
function newCircuitOn(c: Capability, d: Demand, voltageV: number, phases: 1 | 3): NewCircuit | null {
  const { rules } = c
  // As an electrician pulls it, whom no rule for welders helps (NEC 240.4(D) has these sizes in the 60 °C column).
  const columnC = rules.columnsC[0] ?? 60
  const like = (breakerA: number, conductorSize: string): Circuit => ({
    ...supposed(voltageV, phases),
    breakerA,
    conductorSize,
    columnC,
    lengthMm: USUAL_LENGTH_MM,
  })
  const usualA = usualBreakerA(c.with('circuit', supposed(voltageV, phases)))
  for (const breakerA of rules.breakerSizesA) {
    // As large as an electrician puts in for this machine, whatever this one job draws.
    if (usualA === null || breakerA < usualA) continue
    const conductorSize = smallestConductor(rules, breakerA, like(breakerA, ''))
    if (conductorSize === null) continue
    const there = c.with('circuit', like(breakerA, conductorSize))
    // On these volts the machine itself has not what the weld needs: no circuit mends that.
    if ((there.supply?.outputMaxA ?? 0) < d.hungriest.lowA) return null
    if (supplyFindings(there, d).every(({ verdict }) => verdict === 'fits'))
      return { voltageV, phases, breakerA, conductorSize }
  }
  return null
}

function byNewCircuit(c: Capability, d: Demand): readonly PowerMend[] {
  const services = c.rules.services.filter(({ voltageV, phases }) =>
    c.supplyAnswer.offered.some(
      (one) =>
        one.phases === phases &&
        one.voltageV !== null &&
        Math.abs(one.voltageV / voltageV - 1) <= SUPPLY_TOLERANCE,
    ),
  )
  return services.flatMap(({ voltageV, phases }): readonly PowerMend[] => {
    const circuit = newCircuitOn(c, d, voltageV, phases)
    if (!circuit) return []
    const { newCircuitPrice, newCircuitPricePerA } = c.assumptions
    const cost = newCircuitPrice + newCircuitPricePerA * circuit.breakerA
    return [{ kind: 'new-circuit', circuit, cost, verdict: 'fits' }]
  })
}

function byMoving(
  c: Capability,
  d: Demand,
  circuits: readonly Circuit[],
  before: Verdict,
): readonly PowerMend[] {
  return circuits.flatMap((circuit): readonly PowerMend[] => {
    if (circuit.id === c.circuit?.id) return []
    const there = c.with('circuit', circuit)
    const verdict = verdictOn(there, d)
    if (VERDICT_RANK[verdict] >= VERDICT_RANK[before] || VERDICT_RANK[verdict] > VERDICT_RANK.tight) return []
    if ((there.supply?.outputMaxA ?? 0) < d.hungriest.lowA) return []
    const isThere = circuit.held === 'owned'
    return [{ kind: 'move', circuitId: circuit.id, isThere, cost: isThere ? 0 : circuit.price, verdict }]
  })
}

/** A thicker cord, or thicker leads, where that is what stands against it: nobody knows what they cost. */
function byCopper(c: Capability, d: Demand, findings: readonly Assessment[]): readonly PowerMend[] {
  const { cordLengthMm, leadLengthMm } = c.settings
  const kinds = [
    { kind: 'cord', ids: ['cord', 'volts'], key: 'cordSize', lengthMm: cordLengthMm },
    { kind: 'leads', ids: ['leads', 'lead-volts'], key: 'leadSize', lengthMm: leadLengthMm },
  ] as const
  return kinds.flatMap(({ kind, ids, key, lengthMm }): readonly PowerMend[] => {
    const against = findings.find(
      ({ criterion, verdict }) => verdict !== 'fits' && (ids as readonly string[]).includes(criterion),
    )
    if (!against || lengthMm === null) return []
    for (const { patch } of mendsOf(against, c, d)) {
      const change = patch?.on === 'set-up' ? patch.change : null
      const size = change?.[key]
      if (typeof size !== 'string') continue
      const verdict = verdictOn(c.withSettings({ [key]: size }), d)
      return [{ kind, size, lengthMm, verdict, cost: null }]
    }
    return []
  })
}

const byCost = (a: PowerMend, b: PowerMend): number =>
  (a.cost ?? Number.POSITIVE_INFINITY) - (b.cost ?? Number.POSITIVE_INFINITY) ||
  VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict]

/**
 * @param c on the circuit that does not do
 * @param circuits of the shop
 * @returns nothing where it fits already
 * @example mendsOfPower(c, d, shelf.circuits)[0] // { kind: 'move', circuitId: 'bay-2', cost: 0, … }
 */
export function mendsOfPower(c: Capability, d: Demand, circuits: readonly Circuit[]): readonly PowerMend[] {
  const findings = supplyFindings(c, d)
  const before = worstVerdict(findings.map(({ verdict }) => verdict))
  const isShortOfOutput = (c.supply?.outputMaxA ?? Number.POSITIVE_INFINITY) < d.hungriest.lowA
  if (before === 'fits' && !isShortOfOutput) return []
  const from: Verdict = isShortOfOutput ? 'fails' : before
  return [
    ...byMoving(c, d, circuits, from),
    ...(isShortOfOutput
      ? []
      : [...byRest(c, d, findings), ...byLessCurrent(c, d, findings), ...byBreaker(c, d, before)]),
    ...byNewCircuit(c, d),
    ...(isShortOfOutput ? [] : byCopper(c, d, findings)),
  ].sort(byCost)
}
