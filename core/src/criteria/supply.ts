/** Criteria of the supply: does the source take it, does the breaker hold, does the cable carry, by job and by rule. */
import { computed, dataPlate, standard } from '../basis/source.ts'
import { calculation, from, input } from '../calculation/calculation.ts'
import { type Reckoner, reckonerFor } from '../calculation/reckoner.ts'
import type { Capability } from '../capability/capability.ts'
import { columnFor, SUPPLY_TOLERANCE, supplyParam } from '../capability/supplyFor.ts'
import type { Demand } from '../demand/demand.ts'
import { jobDuty, mostWanted } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { dutyAtCurrentPct } from '../duty/curve.ts'
import type { SupplyRating } from '../model/equipment.ts'
import type { ProcessFamily } from '../model/process.ts'
import { figure, list, told, word } from '../model/told.ts'
import { overloadFactor } from '../supply/breakerHeat.ts'
import {
  breakerHeatCurrent,
  type Draw,
  drawOf,
  effectiveInput,
  effectiveInputA,
  greatestInput,
  greatestInputA,
  inputCurrentA,
} from '../supply/inputCurrent.ts'
import { inputFault } from '../supply/plateCheck.ts'
import { smallestBreakerA, smallestConductor } from '../supply/ruleBook.ts'
import { circuitCarries, LINK_FROM, NO_ARC_TIME } from './carries.ts'
import { type Assessment, type Criterion, fails, fits, measured, unknown } from './criterion.ts'
import { verdictOfCurrent, WINDOW } from './withinWindow.ts'
import { weldWithMost } from './worstWeld.ts'

const CIRCUIT = ['circuit', 'powerSource'] as const
const PLATE = dataPlate()

const supplyVoltage: Criterion = {
  id: 'supply-voltage',
  isOfSetUp: true,
  group: null,
  slots: CIRCUIT,
  assess({ circuit, powerSource, supplyAnswer: { supply, why, offered } }) {
    if (!circuit || !powerSource || offered.length === 0) return null
    const params = {
      source: powerSource.name,
      takes: list(offered.map(({ voltageV, phases }) => supplyParam(voltageV, phases))),
      gives: supplyParam(circuit.voltageV, circuit.phases),
    }
    return supply
      ? fits('supply-voltage', 'takes', params, { source: PLATE })
      : fails('supply-voltage', 'other-supply', { ...params, ...why?.params }, { source: PLATE })
  },
  mends: (_c, _d, { params }) => [told('circuit-of', { takes: params['takes'] ?? '' })],
}

/** Links or a plug set for another voltage are an ordinary mistake. */
const supplySetting: Criterion = {
  id: 'supply-setting',
  isOfSetUp: true,
  group: 'together',
  slots: CIRCUIT,
  assess({ circuit, powerSource, settings: { linksSetV } }) {
    if (!circuit || !powerSource || powerSource.supplyChange === null) return null
    const voltages = new Set(
      powerSource.processes.flatMap(({ supplies }) => supplies.map(({ voltageV }) => voltageV)),
    )
    if (voltages.size < 2) return null
    const params = { source: powerSource.name, volts: figure(circuit.voltageV, 'V') }
    const { supplyChange } = powerSource
    const inGroup = (found: Assessment): Assessment => ({ ...found, group: 'together' })
    const isSet = linksSetV !== null && (supplyChange === 'links' || supplyChange === 'plug')
    if (!isSet) return inGroup(fits('supply-setting', supplyChange, params, { source: PLATE }))
    const isRight = Math.abs(circuit.voltageV / linksSetV - 1) <= SUPPLY_TOLERANCE
    const make = isRight ? fits : fails
    const set = { ...params, set: figure(linksSetV, 'V') }
    return inGroup(make('supply-setting', isRight ? 'set-right' : 'set-other', set, { source: PLATE }))
  },
  mends: (_c, _d, { params }) => [told('set-links', { volts: params['volts'] ?? '' })],
}

/** Heating of the breaker by one weld of the job, as a steady current, A. */
function breakerHeatA(c: Capability, d: Demand, { wantedA, oneArcS }: WeldFigures): number {
  const { draw, r } = c
  if (!draw) return 0
  const k = overloadFactor(oneArcS ?? 0, d.pauseS, c.breakerConstantS, r)
  return r.take(breakerHeatCurrent, { I_1: inputCurrentA(draw, wantedA, r), k })
}

const heldReading = calculation({
  id: 'breaker-rating',
  title: 'What the breaker holds without end',
  symbol: 'I_n',
  unit: 'A',
  expression: 'I_n',
  inputs: { I_n: input('breaker', 'A', dataPlate('circuit')) },
  compute: ({ I_n }) => I_n,
  source: standard('UL 489: holds 100 % of its rating in open air', true),
})

/** A breaker that goes at the current wanted may hold at the least that still makes the weld. */
function turnedDown(c: Capability, d: Demand, weld: WeldFigures, found: Assessment): Assessment {
  if (found.verdict !== 'fails') return found
  const carries = circuitCarries(c, d, weld)
  if (!carries || carries.missing !== null || verdictOfCurrent(weld, carries) === 'fails') return found
  const current = figure(carries.highA, 'A')
  return { ...found, verdict: 'tight', code: 'turned-down', params: { ...found.params, current } }
}

const breakerHolds: Criterion = {
  id: 'breaker-holds',
  group: null,
  slots: CIRCUIT,
  demandFrom: [breakerHeatCurrent],
  capacityFrom: [heldReading],
  alsoFrom: [mostWanted, ...LINK_FROM.circuit, ...WINDOW],
  assess(c, d) {
    const { circuit, rules, r } = c
    if (!d || !circuit) return null
    if (!c.draw) return unknown('breaker-holds', c.supply ? c.drawMissing : told('supply'))
    if (d.dutyPct === null) return unknown('breaker-holds', NO_ARC_TIME)
    const worst = weldWithMost(d, (weld) => breakerHeatA(c, d, weld))
    return turnedDown(
      c,
      d,
      worst.weld,
      measured(c, 'breaker-holds', {
        demand: worst.value,
        capacity: r.take(heldReading, { I_n: rules.breakerHoldsA(circuit.breakerA).value }),
        unit: 'A',
        weldId: worst.weld.joint.id,
        source: standard('UL 489 trip points, estimate', true),
      }),
    )
  },
  mends({ rules }, _d, { demand }) {
    const size = smallestBreakerA(rules, demand ?? 0)
    return size === null ? [] : [told('circuit-with-breaker', { size: figure(size, 'A') })]
  },
}

const ampacityReading = calculation({
  id: 'ampacity',
  title: 'What the cable carries',
  symbol: 'A_c',
  unit: 'A',
  expression: 'A_c',
  method: 'row of the rule book’s table for this size',
  inputs: { A_c: input('ampacity', 'A', computed('rule book')) },
  compute: ({ A_c }) => A_c,
  source: computed('rule book'),
})

/** What most terminals and cables in conduit stand. */
const USUAL_COLUMN_C = 75

const noAmpacity = ({ circuit, rules }: Capability) =>
  told('ampacity', { size: circuit?.conductorSize ?? '', book: rules.name })

/** The conductor's ampacity with its source, A; null where the book has no such size. */
function carriedA({ circuit, ampacity, r }: Capability): number | null {
  return (
    ampacity &&
    r.take(ampacityReading, { A_c: ampacity.value }, () => ({
      A_c: { name: circuit?.conductorSize ?? '', source: ampacity.source },
    }))
  )
}

const cableMends: NonNullable<Criterion['mends']> = ({ rules, circuit }, _d, { demand }) => {
  const size = smallestConductor(rules, demand ?? 0, circuit?.columnC ?? USUAL_COLUMN_C)
  return size === null ? [] : [told('cable-of', { size })]
}

const cable: Criterion = {
  id: 'cable',
  group: null,
  slots: CIRCUIT,
  demandFrom: [effectiveInput],
  capacityFrom: [ampacityReading],
  alsoFrom: [jobDuty, mostWanted],
  assess(c, d) {
    const { circuit, draw, r } = c
    if (!d || !circuit) return null
    if (!draw) return unknown('cable', c.supply ? c.drawMissing : told('supply'))
    if (d.dutyPct === null) return unknown('cable', NO_ARC_TIME)
    const capacity = carriedA(c)
    if (capacity === null) return unknown('cable', noAmpacity(c))
    return measured(c, 'cable', {
      params: { size: circuit.conductorSize },
      demand: effectiveInputA(draw, d.hungriest.wantedA, d.dutyPct, r),
      capacity,
      unit: 'A',
      weldId: d.hungriest.joint.id,
      source: standard('IEC 60974-1 I₁eff, NEC 310.16', true),
    })
  },
  mends: cableMends,
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

const effectiveReading = calculation({
  id: 'conductor-by-plate',
  title: 'Conductor current that the rule asks for',
  symbol: 'I',
  unit: 'A',
  expression: 'I_1eff',
  inputs: { I_1eff: input('effective supply current', 'A', PLATE) },
  compute: ({ I_1eff }) => I_1eff,
  source: standard('NEC 630.11(A)', true),
})
const conductorByRule = calculation({
  id: 'conductor-by-rule',
  title: 'Conductor current that the rule asks for',
  symbol: 'I',
  unit: 'A',
  expression: 'I_1max * m',
  inputs: { I_1max: greatestInput, m: input('multiplier for that duty', '×', computed('rule book')) },
  compute: ({ I_1max, m }) => I_1max * m,
  source: standard('NEC 630.11(A)', true),
})

/** What the rule asks of the conductor for one process, A; null where the plate cannot be reckoned. */
function conductorA(c: Capability, plate: PlateOnCircuit, r: Reckoner): number | null {
  const { supply } = plate
  if (supply.i1EffA !== null) return r.take(effectiveReading, { I_1eff: supply.i1EffA })
  const draw = drawOn(c, plate, r)
  if (!draw) return null
  const ratedA = Math.max(...supply.ratedPoints.map(({ currentA }) => currentA))
  const m = c.rules.multiplier(dutyAtCurrentPct(supply.ratedPoints, ratedA))
  return r.take(conductorByRule, { I_1max: greatestInputA(supply, draw, r), m: m.value }, () => ({
    m: { source: m.source },
  }))
}

/** The process of the plate for which a figure is greatest. */
function hungriestPlate(
  c: Capability,
  of: (plate: PlateOnCircuit, r: Reckoner) => number | null,
): PlateOnCircuit | null {
  const r = reckonerFor(c.assumptions)
  let most: PlateOnCircuit | null = null
  let mostA = Number.NEGATIVE_INFINITY
  for (const plate of platesOn(c)) {
    const value = of(plate, r)
    if (value === null || value <= mostA) continue
    most = plate
    mostA = value
  }
  return most
}

/** Whatever the job, and whichever process of the plate asks most. */
const conductorRule: Criterion = {
  id: 'conductor-rule',
  isOfSetUp: true,
  group: null,
  slots: CIRCUIT,
  demandFrom: [effectiveReading, conductorByRule],
  capacityFrom: [ampacityReading],
  assess(c) {
    const { circuit, supply, draw } = c
    if (!circuit || !c.powerSource) return null
    if (!supply || !draw) return unknown('conductor-rule', supply ? c.drawMissing : told('supply'))
    const capacity = carriedA(c)
    if (capacity === null) return unknown('conductor-rule', noAmpacity(c))
    const plate = hungriestPlate(c, (one, r) => conductorA(c, one, r)) ?? { family: c.process.family, supply }
    return measured(c, 'conductor-rule', {
      code: plate.family === c.process.family ? 'measured' : 'other-process',
      params: { size: circuit.conductorSize, process: word('plateFamily', plate.family) },
      demand: conductorA(c, plate, c.r) ?? 0,
      capacity,
      unit: 'A',
      isLimit: true,
      source: standard('NEC 630.11(A), 310.16', true),
    })
  },
  mends: cableMends,
}

const breakerReading = calculation({
  id: 'breaker-in-panel',
  title: 'In the panel',
  symbol: 'I_n',
  unit: 'A',
  expression: 'I_n',
  inputs: { I_n: input('breaker', 'A', dataPlate('circuit')) },
  compute: ({ I_n }) => I_n,
  source: dataPlate('circuit'),
})
const breakerForWelder = calculation({
  id: 'largest-breaker-welder',
  title: 'Largest breaker for this machine',
  symbol: 'I_A',
  unit: 'A',
  expression: 'I_A',
  method: 'next standard size from 2 · I₁max',
  inputs: { I_A: input('of the rule book', 'A', computed('rule book')), I_1max: greatestInput },
  compute: ({ I_A }) => I_A,
  source: standard('NEC 630.12(A), next standard size of 240.6(A)', true),
})
const breakerForConductor = calculation({
  id: 'largest-breaker-conductor',
  title: 'Largest breaker for this cable',
  symbol: 'I_B',
  unit: 'A',
  expression: 'I_B',
  method: 'next standard size from 2 · ampacity',
  inputs: { I_B: input('of the rule book', 'A', computed('rule book')), A_c: from(ampacityReading) },
  compute: ({ I_B }) => I_B,
  source: standard('NEC 630.12(B), next standard size of 240.6(A)', true),
})
const largestBreaker = calculation({
  id: 'largest-breaker',
  title: 'Largest breaker for this machine and this cable',
  symbol: 'I_most',
  unit: 'A',
  expression: 'min(I_A, I_B)',
  inputs: { I_A: from(breakerForWelder), I_B: from(breakerForConductor) },
  compute: ({ I_A, I_B }) => Math.min(I_A, I_B),
  source: standard('NEC 630.12(A) and (B)', true),
})

/**
 * A breaker too large for the cable is a fault. One too large for the machine alone is not where the machine has
 * overcurrent protection of its own, as most inverters have.
 */
const breakerRule: Criterion = {
  id: 'breaker-rule',
  isOfSetUp: true,
  group: null,
  slots: CIRCUIT,
  demandFrom: [breakerReading],
  capacityFrom: [largestBreaker],
  assess(c): Assessment | null {
    const { circuit, supply, draw, rules, r } = c
    if (!circuit || !c.powerSource) return null
    if (!supply || !draw) return unknown('breaker-rule', supply ? c.drawMissing : told('supply'))
    const A_c = carriedA(c)
    if (A_c === null) return unknown('breaker-rule', noAmpacity(c))
    const inputOf = (plate: PlateOnCircuit, reckoner: Reckoner): number | null => {
      const drawn = drawOn(c, plate, reckoner)
      return drawn && greatestInputA(plate.supply, drawn, reckoner)
    }
    const plate = hungriestPlate(c, inputOf) ?? { family: c.process.family, supply }
    const I_1max = inputOf(plate, r) ?? 0
    const [forWelder, forConductor] = [
      rules.largestBreakerForWelderA(I_1max),
      rules.largestBreakerForConductorA(A_c),
    ]
    const I_A = r.take(breakerForWelder, { I_A: forWelder.value, I_1max })
    const I_B = r.take(breakerForConductor, { I_B: forConductor.value, A_c })
    const found = measured(c, 'breaker-rule', {
      demand: r.take(breakerReading, { I_n: circuit.breakerA }),
      capacity: r.take(largestBreaker, { I_A, I_B }),
      unit: 'A',
      isLimit: true,
      source: I_A <= I_B ? forWelder.source : forConductor.source,
    })
    return found.verdict === 'fails' && circuit.breakerA <= I_B
      ? { ...found, verdict: 'tight', code: 'own-protection' }
      : found
  },
  mends: (_c, _d, { capacity }) => [told('breaker-at-most', { size: figure(capacity ?? 0, 'A') })],
}

export const SUPPLY_CRITERIA: readonly Criterion[] = [
  supplyVoltage,
  supplySetting,
  breakerHolds,
  cable,
  conductorRule,
  breakerRule,
]
