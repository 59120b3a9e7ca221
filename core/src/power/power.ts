/** A job with a set-up on every circuit of the shop: what is drawn, what holds, and when the breaker goes. */
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { machineLoads } from '../criteria/wiringRules.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
import type { Circuit, SetUp } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { type Verdict, worstVerdict } from '../model/verdict.ts'
import { effectiveInputA, greatestInputA, inputCurrentA, weldingDrawnA } from '../supply/inputCurrent.ts'
import { smallestBreakerA } from '../supply/ruleBook.ts'
import { askedOfGeneratorKva, fuelLPerH, generatorRunningKva } from '../supply/generator.ts'
import { mendsOfPower, type PowerMend, supplyFindings } from './mends.ts'
import { type Trips, tripsOf } from './trips.ts'

/** What the machine takes from the circuit, A. */
export interface Drawn {
  /** While the job's hungriest weld burns, with all that the machine has where it wants more. */
  readonly jobA: number
  /** Welding current that the weld wants, and the most that the machine has on these volts. */
  readonly wantedA: number
  readonly outputMaxA: number
  /** The least with which that weld stands, A. */
  readonly leastA: number
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

export interface Power {
  readonly circuits: readonly OnCircuit[]
  /** Of the circuit that is looked at, the cheapest first. */
  readonly mends: readonly PowerMend[]
  /** Breakers for the machine on that circuit, by the rule book; null without a draw there. */
  readonly breakers: BreakersFor | null
  /** Burnt by the engine that makes the power; null where the supplier does, or where nobody has said. */
  readonly fuel: Fuel | null
  readonly ruleBook: { readonly name: string; readonly note: string }
}

function drawnOf({ draw, supply, reckoner }: Capability, demand: Demand): Drawn | null {
  if (!draw || !supply) return null
  const weldsWithA = weldingDrawnA(supply, demand.hungriest.wantedA)
  return {
    jobA: inputCurrentA(draw, weldsWithA),
    wantedA: demand.hungriest.wantedA,
    leastA: demand.hungriest.lowA,
    outputMaxA: supply.outputMaxA,
    ratedA: greatestInputA(supply, draw, reckoner),
    idleA: draw.idleA,
    heatsA: demand.dutyPct === null ? null : effectiveInputA(draw, weldsWithA, demand.dutyPct),
  }
}

function onCircuit(capability: Capability, demand: Demand, circuit: Circuit, isDrawn: boolean): OnCircuit {
  const findings = supplyFindings(capability, demand)
  return {
    circuitId: circuit.id,
    verdict: worstVerdict(findings.map(({ verdict }) => verdict)),
    findings,
    drawn: drawnOf(capability, demand),
    cableA: capability.ampacity?.value ?? null,
    trips: tripsOf(capability, demand, isDrawn),
    breakerName: capability.breaker.name,
  }
}

/**
 * @param drawnId the circuit that is looked at: its breaker is drawn over time, and what would mend it is tried; null for none
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
  const capability = capabilityOf(shop, setUp, chosen)
  const demand = demandOf(job, setUp.process, chosen.wire, shop)
  const isDriven = capability.powerFeed?.kind === 'engine'
  const looked = isDriven ? null : (shelf.circuits.find(({ id }) => id === drawnId) ?? null)
  const on = looked ? capability.with('circuit', looked) : capability
  return {
    circuits: isDriven
      ? []
      : shelf.circuits.map((circuit) =>
          onCircuit(capability.with('circuit', circuit), demand, circuit, circuit.id === drawnId),
        ),
    mends: looked ? mendsOfPower(on, demand, shelf.circuits) : [],
    breakers: breakersFor(on),
    fuel: fuelOf(on, demand),
    ruleBook: { name: capability.rules.name, note: capability.rules.note },
  }
}

/** The breakers that a rule book speaks of for one machine, A. */
export interface BreakersFor {
  /** That still holds it at its rating. */
  readonly smallestA: number | null
  readonly usualA: number
  /** Null where the book rules the cable alone. */
  readonly mostA: number | null
}
function breakersFor(capability: Capability): BreakersFor | null {
  const [load] = machineLoads(capability)
  if (!load || !capability.draw || !capability.circuit) return null
  const { rules, circuit } = capability
  const asked = rules.conductorA([load], capability.reckoner).value
  return {
    smallestA: smallestBreakerA(rules, asked, circuit.breakerKind),
    usualA: rules.breakerUsualA(load),
    mostA: rules.breakerMostForA(load)?.value ?? null,
  }
}

export interface Fuel {
  readonly lPerH: number
  /** For all of the job; null without arc time. */
  readonly jobL: number | null
}
/** Mean load of whatever makes the power, of what it gives. */
function fuelOf(capability: Capability, demand: Demand): Fuel | null {
  const { powerFeed, generator, circuit, draw, supply, reckoner } = capability
  const full = powerFeed?.kind === 'engine' ? powerFeed.engine.fuelLPerH : (generator?.fuelLPerH ?? null)
  if (full === null || demand.dutyPct === null || !supply) return null
  const duty = demand.dutyPct / 100
  const weldsWithA = weldingDrawnA(supply, demand.hungriest.wantedA)
  let share = (duty * weldsWithA) / supply.outputMaxA
  if (generator && circuit && draw) {
    const meanA = inputCurrentA(draw, weldsWithA) * duty + draw.idleA * (1 - duty)
    share =
      askedOfGeneratorKva(generator, circuit, capability.building, meanA, 'running') /
      generatorRunningKva(generator, reckoner)
  }
  const lPerH = fuelLPerH(full, share, reckoner)
  return { lPerH, jobL: demand.workH === null ? null : lPerH * demand.workH }
}
