/** What a rule book says of a circuit and a machine, whatever the job: cable, breaker, outlet, cord. */
import { dataPlate } from '../basis/source.ts'
import { type Reckoner, reckonerFor } from '../calculation/reckoner.ts'
import type { Capability } from '../capability/capability.ts'
import { columnFor, supplyParam } from '../capability/supplyFor.ts'
import { dutyAtCurrentPct } from '../duty/curve.ts'
import type { SupplyRating } from '../kinds/equipment.ts'
import type { ProcessFamily } from '../model/process.ts'
import { figure, message, word } from '../model/message.ts'
import { ALL_RULE_BOOKS } from '../supply/index.ts'
import { type Draw, drawOf, greatestInputA } from '../supply/inputCurrent.ts'
import { inputFault } from '../supply/plateCheck.ts'
import { ampacityA } from '../supply/readings.ts'
import {
  isMadeFor,
  type WelderDraw,
  outletOf,
  type RuleId,
  type Ruling,
  smallestConductor,
  smallestOutlet,
} from '../supply/ruleBook.ts'
import { type Assessment, type Criterion, fails, fits, measured, type Mend, unknown } from './criterion.ts'

const CIRCUIT = ['circuit', 'powerSource'] as const

/** What mends is to leave the room that the shop keeps. */
export const spare = ({ assumptions }: Capability): number => 1 + assumptions.safetyMarginPct / 100

export const noAmpacity = ({ circuit, rules }: Capability) =>
  message('ampacity', { size: circuit?.conductorSize ?? '', book: rules.name })

/** The conductor's ampacity as it lies, with its source, A; null where the book has no such cable. */
export const carriedA = ({ circuit, ampacity, reckoner }: Capability): number | null =>
  ampacity && ampacityA(circuit?.conductorSize ?? '', ampacity, reckoner)

export const cableMends: NonNullable<Criterion['mends']> = (capability, _d, { demand, criterion }) => {
  const { rules, circuit } = capability
  // What a rule asks may be met to the end.
  const asked = (demand ?? 0) * (criterion === 'cable' ? spare(capability) : 1)
  const size = circuit && smallestConductor(rules, asked, circuit)
  return size === null ? [] : [message('cable-of', { size })]
}

/** One process of the plate on this circuit. */
interface PlateOnCircuit {
  readonly family: ProcessFamily
  readonly supply: SupplyRating
}

/** Every process that the plate is rated for on this circuit: the circuit is not rewired for TIG. */
const platesOn = ({ powerSource, circuit }: Capability): readonly PlateOnCircuit[] =>
  circuit && powerSource
    ? powerSource.processes.flatMap(({ family, supplies }) => {
        const supply = columnFor(supplies, circuit)
        return supply && !inputFault(family, supply) ? [{ family, supply }] : []
      })
    : []

const drawOn = (
  capability: Capability,
  { family, supply }: PlateOnCircuit,
  reckoner: Reckoner,
): Draw | null =>
  capability.powerSource && capability.circuit
    ? drawOf(capability.powerSource, supply, capability.circuit, family, reckoner)
    : null

/** One process of the plate as the rule book sees it; null where the plate cannot be reckoned. */
function loadOf(capability: Capability, plate: PlateOnCircuit, reckoner: Reckoner): WelderDraw | null {
  const { supply } = plate
  const draw = drawOn(capability, plate, reckoner)
  if (!draw) return null
  const ratedA = Math.max(...supply.ratedPoints.map(({ currentA }) => currentA))
  return {
    // Where the plate prints what the rule asks for, nothing else is looked at.
    i1MaxA: greatestInputA(supply, draw, reckoner),
    i1EffA: supply.i1EffA,
    dutyPct: dutyAtCurrentPct(supply.ratedPoints, ratedA),
  }
}

/**
 * @returns a machine as the rule book counts it, once for each process of its plate on this circuit, the hungriest first
 */
export function machineLoads(capability: Capability): readonly WelderDraw[] {
  const asked = (load: WelderDraw): number => capability.rules.conductorA([load], capability.reckoner).value
  return platesOn(capability)
    .flatMap((plate) => loadOf(capability, plate, capability.reckoner) ?? [])
    .sort((a, b) => asked(b) - asked(a))
}

/** What a rule says of a process of the plate: the process for which it asks most, whatever the job. */
function hungriestRuling(
  capability: Capability,
  rule: RuleId,
  ampacityA: number,
): { readonly plate: PlateOnCircuit; readonly ruling: Ruling } | null {
  const cordA =
    (capability.cord &&
      capability.circuit &&
      capability.rules.cordA(capability.cord.size, capability.circuit.phases)?.value) ??
    null
  const rulingOf = (plate: PlateOnCircuit, reckoner: Reckoner): Ruling | null => {
    const load = capability.circuit && loadOf(capability, plate, reckoner)
    return (
      (load &&
        capability.circuit &&
        capability.rules.assess(capability.circuit, ampacityA, [load], cordA, reckoner)[rule]) ??
      null
    )
  }
  const reckoner = reckonerFor(capability.assumptions)
  let most: PlateOnCircuit | null = null
  let leastRoom = Number.POSITIVE_INFINITY
  for (const plate of platesOn(capability)) {
    const ruling = rulingOf(plate, reckoner)
    if (!ruling) continue
    const room = roomOf(rule, ruling)
    if (most !== null && room >= leastRoom) continue
    most = plate
    leastRoom = room
  }
  const ruling = most && rulingOf(most, capability.reckoner)
  return most && ruling ? { plate: most, ruling } : null
}
/** A hungrier machine may have a larger breaker; of everything else the least room decides. */
const roomOf = (rule: RuleId, { demand, capacity }: Ruling): number =>
  rule === 'breaker-rule' ? -capacity : capacity - demand

const OF_OUTLET: ReadonlySet<RuleId> = new Set(['outlet-rule', 'outlet-breaker-rule'])
/** Rules that look at the plate; the others hold the breaker against what is behind it. */
const BY_PLATE: ReadonlySet<RuleId> = new Set(['conductor-rule', 'breaker-load-rule', 'outlet-rule'])

/** What a rule book rules of a circuit and a machine, whatever the job. */
function byRule(rule: RuleId, mends: NonNullable<Criterion['mends']>): Criterion {
  return {
    id: rule,
    concerns: 'wiring',
    isOfSetUp: true,
    group: null,
    slots: CIRCUIT,
    demandFrom: ALL_RULE_BOOKS.flatMap(({ from: of }) => of[rule]?.demand ?? []),
    capacityFrom: ALL_RULE_BOOKS.flatMap(({ from: of }) => of[rule]?.capacity ?? []),
    assess(capability) {
      const { circuit, supply, draw } = capability
      if (!circuit || !capability.powerSource || !capability.isWiredByShop || !capability.rules.from[rule])
        return null
      if (OF_OUTLET.has(rule) && (circuit.outlet === null || !outletOf(capability.rules, circuit.outlet)))
        return null
      if (rule === 'cord-breaker-rule' && !capability.cord) return null
      if (!supply || !draw) return unknown(rule, supply ? capability.drawMissing : message('supply'))
      const ampacityA = carriedA(capability)
      if (ampacityA === null) return unknown(rule, noAmpacity(capability))
      const found = hungriestRuling(capability, rule, ampacityA)
      if (!found) return null
      const { plate, ruling } = found
      const { demand, capacity, source, overOn } = ruling
      const assessment = measured(capability, rule, {
        code:
          plate.family === capability.process.family || !BY_PLATE.has(rule) ? 'measured' : 'other-process',
        params: {
          size: circuit.conductorSize,
          outlet: circuit.outlet ?? '',
          cord: capability.cord?.size ?? '',
          process: word('plateFamily', plate.family),
        },
        demand,
        capacity,
        unit: 'A',
        isLimit: true,
        source,
      })
      return assessment.verdict === 'fails' && overOn !== undefined
        ? { ...assessment, verdict: 'tight', code: overOn }
        : assessment
    },
    mends,
  }
}

/** Breakers come in the sizes of the book, and what is behind an outlet ends with it. */
export function circuitWithBreaker({ rules, circuit }: Capability, breakerA: number): Mend {
  const size = figure(breakerA, 'A')
  const { outlet } = circuit ?? {}
  const rated = outlet && outletOf(rules, outlet)
  const isRuled = rules.from['outlet-breaker-rule'] !== undefined
  if (!circuit || !rated || !isRuled || breakerA <= rated.ratedA)
    return message('circuit-with-breaker', { size })
  const next = smallestOutlet(rules, breakerA, circuit)
  return next === null
    ? message('circuit-wired-in', { size })
    : message('circuit-with-breaker-and-outlet', { size, outlet: next.name })
}

/** The largest breaker of the book that is no larger. */
const breakerAtMost: NonNullable<Criterion['mends']> = ({ rules }, _d, { capacity }) => {
  const sizeA = rules.breakerSizesA.findLast((one) => one <= (capacity ?? 0) + 1e-9)
  return sizeA === undefined ? [] : [message('breaker-at-most', { size: figure(sizeA, 'A') })]
}
const largerOutlet = ({ rules, circuit }: Capability, ratedA: number | null): readonly Mend[] => {
  const outlet = circuit && smallestOutlet(rules, ratedA ?? 0, circuit)
  return [outlet ? message('outlet-named', { outlet: outlet.name }) : message('wired-in')]
}

const conductorRule = byRule('conductor-rule', cableMends)
const breakerRule = byRule('breaker-rule', breakerAtMost)
const breakerLoadRule = byRule('breaker-load-rule', (capability, _d, { demand }) => {
  const sizeA = capability.rules.breakerSizesA.find((one) => one >= (demand ?? 0) - 1e-9)
  return sizeA === undefined ? [] : [circuitWithBreaker(capability, sizeA)]
})
const outletRule = byRule('outlet-rule', (c, _d, { demand }) => largerOutlet(c, demand))
const outletBreakerRule = byRule('outlet-breaker-rule', (capability, demand, assessment) => [
  ...largerOutlet(capability, assessment.demand),
  ...breakerAtMost(capability, demand, assessment),
])
const cordBreakerRule = byRule('cord-breaker-rule', breakerAtMost)

const inGroup = (found: Assessment): Assessment => ({ ...found, group: 'together' })

/** An outlet is made for volts and phases: another plug does not go in, and is not to be made to. */
const outletSupply: Criterion = {
  id: 'outlet-supply',
  concerns: 'wiring',
  isOfSetUp: true,
  group: 'together',
  slots: ['circuit'],
  assess({ circuit, rules, isWiredByShop }) {
    if (!circuit || circuit.outlet === null || !isWiredByShop) return null
    const { outlet: printed } = circuit
    const outlet = outletOf(rules, printed)
    if (!outlet)
      return inGroup(unknown('outlet-supply', message('outlet', { outlet: printed, book: rules.name })))
    const params = { outlet: printed, gives: supplyParam(circuit.voltageV, circuit.phases) }
    const source = dataPlate('circuit')
    return inGroup(
      isMadeFor(outlet, circuit)
        ? fits('outlet-supply', 'made-for', params, { source })
        : fails('outlet-supply', 'other-supply', params, { source }),
    )
  },
  mends: ({ rules, circuit }) => {
    const outlet = circuit && smallestOutlet(rules, circuit.breakerA, circuit)
    return outlet ? [message('outlet-named', { outlet: outlet.name })] : []
  },
}

export const WIRING_RULES: readonly Criterion[] = [
  conductorRule,
  breakerRule,
  breakerLoadRule,
  outletRule,
  outletBreakerRule,
  cordBreakerRule,
  outletSupply,
]
