/** What a rule book says of a circuit and a machine, whatever the job: cable, breaker, outlet, cord. */
import { dataPlate } from '../basis/source.ts'
import { type Reckoner, reckonerFor } from '../calculation/reckoner.ts'
import type { Capability } from '../capability/capability.ts'
import { columnFor, supplyParam } from '../capability/supplyFor.ts'
import { dutyAtCurrentPct } from '../duty/curve.ts'
import type { SupplyRating } from '../kinds/equipment.ts'
import type { ProcessFamily } from '../model/process.ts'
import { figure, told, word } from '../model/told.ts'
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
  told('ampacity', { size: circuit?.conductorSize ?? '', book: rules.name })

/** The conductor's ampacity as it lies, with its source, A; null where the book has no such cable. */
export const carriedA = ({ circuit, ampacity, r }: Capability): number | null =>
  ampacity && ampacityA(circuit?.conductorSize ?? '', ampacity, r)

export const cableMends: NonNullable<Criterion['mends']> = (c, _d, { demand, criterion }) => {
  const { rules, circuit } = c
  // What a rule asks may be met to the end.
  const asked = (demand ?? 0) * (criterion === 'cable' ? spare(c) : 1)
  const size = circuit && smallestConductor(rules, asked, circuit)
  return size === null ? [] : [told('cable-of', { size })]
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

const drawOn = (c: Capability, { family, supply }: PlateOnCircuit, r: Reckoner): Draw | null =>
  c.powerSource && c.circuit ? drawOf(c.powerSource, supply, c.circuit, family, r) : null

/** One process of the plate as the rule book sees it; null where the plate cannot be reckoned. */
function loadOf(c: Capability, plate: PlateOnCircuit, r: Reckoner): WelderDraw | null {
  const { supply } = plate
  const draw = drawOn(c, plate, r)
  if (!draw) return null
  const ratedA = Math.max(...supply.ratedPoints.map(({ currentA }) => currentA))
  return {
    // Where the plate prints what the rule asks for, nothing else is looked at.
    i1MaxA: greatestInputA(supply, draw, r),
    i1EffA: supply.i1EffA,
    dutyPct: dutyAtCurrentPct(supply.ratedPoints, ratedA),
  }
}

/**
 * @returns a machine as the rule book counts it, once for each process of its plate on this circuit, the hungriest first
 */
export function machineLoads(c: Capability): readonly WelderDraw[] {
  const asked = (load: WelderDraw): number => c.rules.conductorA([load], c.r).value
  return platesOn(c)
    .flatMap((plate) => loadOf(c, plate, c.r) ?? [])
    .sort((a, b) => asked(b) - asked(a))
}

/** What a rule says of a process of the plate: the process for which it asks most, whatever the job. */
function hungriestRuling(
  c: Capability,
  rule: RuleId,
  ampacityA: number,
): { readonly plate: PlateOnCircuit; readonly ruling: Ruling } | null {
  const cordA = (c.cord && c.circuit && c.rules.cordA(c.cord.size, c.circuit.phases)?.value) ?? null
  const rulingOf = (plate: PlateOnCircuit, r: Reckoner): Ruling | null => {
    const load = c.circuit && loadOf(c, plate, r)
    return (load && c.circuit && c.rules.assess(c.circuit, ampacityA, [load], cordA, r)[rule]) ?? null
  }
  const r = reckonerFor(c.assumptions)
  let most: PlateOnCircuit | null = null
  let leastRoom = Number.POSITIVE_INFINITY
  for (const plate of platesOn(c)) {
    const ruling = rulingOf(plate, r)
    if (!ruling) continue
    const room = roomOf(rule, ruling)
    if (most !== null && room >= leastRoom) continue
    most = plate
    leastRoom = room
  }
  const ruling = most && rulingOf(most, c.r)
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
    assess(c) {
      const { circuit, supply, draw } = c
      if (!circuit || !c.powerSource || !c.isWiredByShop || !c.rules.from[rule]) return null
      if (OF_OUTLET.has(rule) && (circuit.outlet === null || !outletOf(c.rules, circuit.outlet))) return null
      if (rule === 'cord-breaker-rule' && !c.cord) return null
      if (!supply || !draw) return unknown(rule, supply ? c.drawMissing : told('supply'))
      const ampacityA = carriedA(c)
      if (ampacityA === null) return unknown(rule, noAmpacity(c))
      const found = hungriestRuling(c, rule, ampacityA)
      if (!found) return null
      const { plate, ruling } = found
      const { demand, capacity, source, overOn } = ruling
      const assessment = measured(c, rule, {
        code: plate.family === c.process.family || !BY_PLATE.has(rule) ? 'measured' : 'other-process',
        params: {
          size: circuit.conductorSize,
          outlet: circuit.outlet ?? '',
          cord: c.cord?.size ?? '',
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
    return told('circuit-with-breaker', { size })
  const next = smallestOutlet(rules, breakerA, circuit)
  return next === null
    ? told('circuit-wired-in', { size })
    : told('circuit-with-breaker-and-outlet', { size, outlet: next.name })
}

/** The largest breaker of the book that is no larger. */
const breakerAtMost: NonNullable<Criterion['mends']> = ({ rules }, _d, { capacity }) => {
  const sizeA = rules.breakerSizesA.findLast((one) => one <= (capacity ?? 0) + 1e-9)
  return sizeA === undefined ? [] : [told('breaker-at-most', { size: figure(sizeA, 'A') })]
}
const largerOutlet = ({ rules, circuit }: Capability, ratedA: number | null): readonly Mend[] => {
  const outlet = circuit && smallestOutlet(rules, ratedA ?? 0, circuit)
  return [outlet ? told('outlet-named', { outlet: outlet.name }) : told('wired-in')]
}

const conductorRule = byRule('conductor-rule', cableMends)
const breakerRule = byRule('breaker-rule', breakerAtMost)
const breakerLoadRule = byRule('breaker-load-rule', (c, _d, { demand }) => {
  const sizeA = c.rules.breakerSizesA.find((one) => one >= (demand ?? 0) - 1e-9)
  return sizeA === undefined ? [] : [circuitWithBreaker(c, sizeA)]
})
const outletRule = byRule('outlet-rule', (c, _d, { demand }) => largerOutlet(c, demand))
const outletBreakerRule = byRule('outlet-breaker-rule', (c, d, assessment) => [
  ...largerOutlet(c, assessment.demand),
  ...breakerAtMost(c, d, assessment),
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
      return inGroup(unknown('outlet-supply', told('outlet', { outlet: printed, book: rules.name })))
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
    return outlet ? [told('outlet-named', { outlet: outlet.name })] : []
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
