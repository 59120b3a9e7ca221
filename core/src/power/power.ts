/** A job with a set-up on every circuit of the shop: what is drawn, what holds, and when the breaker goes. */
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { supposed } from '../capacity/capacity.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { SUPPLY_CRITERIA } from '../criteria/supply.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
import type { Circuit, SetUp } from '../model/equipment.ts'
import type { Job } from '../model/job.ts'
import type { Shelf } from '../model/shelf.ts'
import type { Shop } from '../model/shop.ts'
import { type Verdict, worstVerdict } from '../model/verdict.ts'
import { effectiveInputA, greatestInputA, inputCurrentA } from '../supply/inputCurrent.ts'
import { smallestConductor } from '../supply/ruleBook.ts'
import { type Trips, tripsOf } from './trips.ts'

/** What the machine takes from the circuit, A. */
export interface Drawn {
  /** While the job's hungriest weld burns. */
  readonly jobA: number
  /** At the highest current of its plate. */
  readonly ratedA: number
  readonly idleA: number
  /** As a steady current that heats as much over the worst ten minutes; null without arc time. */
  readonly heatsA: number | null
}

/** One circuit, with this machine on it. */
export interface OnCircuit {
  readonly circuitId: string
  /** The worst of what concerns the supply. */
  readonly verdict: Verdict
  readonly findings: readonly Assessment[]
  /** Null where the machine does not take these volts. */
  readonly drawn: Drawn | null
  /** What the cable carries as it lies, A; null for a size that the rule book does not have. */
  readonly cableA: number | null
  /** Null without arc time, or where the machine does not take these volts. */
  readonly trips: readonly Trips[] | null
  /** By the standard of its breaker. */
  readonly breakerName: string
}

/** The smallest circuit that makes the job fit, to have pulled. */
export interface NewCircuit {
  readonly voltageV: number
  readonly phases: 1 | 3
  readonly breakerA: number
  readonly conductorSize: string
}

export interface Power {
  readonly circuits: readonly OnCircuit[]
  /** For each supply that the machine takes; empty for a set that an engine drives. */
  readonly wanted: readonly NewCircuit[]
  readonly ruleBook: { readonly name: string; readonly note: string }
}

/** What concerns the supply, and nothing else of a set-up. */
const supplyFindings = (c: Capability, d: Demand): readonly Assessment[] =>
  SUPPLY_CRITERIA.flatMap((criterion) => criterion.assess(c, d) ?? [])

function drawnOf({ draw, supply, r }: Capability, d: Demand): Drawn | null {
  if (!draw || !supply) return null
  return {
    jobA: inputCurrentA(draw, d.hungriest.wantedA),
    ratedA: greatestInputA(supply, draw, r),
    idleA: draw.idleA,
    heatsA: d.dutyPct === null ? null : effectiveInputA(draw, d.hungriest.wantedA, d.dutyPct),
  }
}

function onCircuit(c: Capability, d: Demand, circuit: Circuit, isDrawn: boolean): OnCircuit {
  const findings = supplyFindings(c, d)
  return {
    circuitId: circuit.id,
    verdict: worstVerdict(findings.map(({ verdict }) => verdict)),
    findings,
    drawn: drawnOf(c, d),
    cableA: c.ampacity?.value ?? null,
    trips: tripsOf(c, d, isDrawn),
    breakerName: c.breaker.name,
  }
}

const USUAL_LENGTH_MM = 15_000
/** A breaker that holds, with the cable that may be behind it without the rules for welders. */
function wantedOn(c: Capability, d: Demand, voltageV: number, phases: 1 | 3): NewCircuit | null {
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
  for (const breakerA of rules.breakerSizesA) {
    const conductorSize = smallestConductor(rules, breakerA, like(breakerA, ''))
    if (conductorSize === null) continue
    const circuit = like(breakerA, conductorSize)
    const findings = supplyFindings(c.with('circuit', circuit), d)
    if (findings.every(({ verdict }) => verdict === 'fits'))
      return { voltageV, phases, breakerA, conductorSize }
  }
  return null
}

/**
 * @param drawnId the circuit whose breaker is drawn over time; null for none
 * @returns every circuit with this machine, whatever the set-up hangs on now
 * @example powerOf(shop, shelf, job, setUp).circuits.filter(({ verdict }) => verdict === 'fits')
 */
export function powerOf(
  shop: Shop,
  shelf: Shelf,
  job: Job,
  setUp: SetUp,
  drawnId: string | null = null,
): Power {
  const chosen = chosenOf(setUp, shelf)
  const c = capabilityOf(shop, setUp, chosen)
  const d = demandOf(job, setUp.process, chosen.wire, shop)
  const supplies = new Map(
    c.supplyAnswer.offered.flatMap(({ voltageV, phases }) =>
      voltageV === null ? [] : [[`${voltageV} ${phases}`, { voltageV, phases }] as const],
    ),
  )
  return {
    circuits:
      supplies.size === 0
        ? []
        : shelf.circuits.map((circuit) =>
            onCircuit(c.with('circuit', circuit), d, circuit, circuit.id === drawnId),
          ),
    wanted: [...supplies.values()].flatMap(({ voltageV, phases }) => wantedOn(c, d, voltageV, phases) ?? []),
    ruleBook: { name: c.rules.name, note: c.rules.note },
  }
}
