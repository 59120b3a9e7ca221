/** Criteria of the supply: does the source take it, does the breaker hold, does the cable carry, by job and by rule. */
import { computed, dataPlate } from '../basis/source.ts'
import { calculation, from } from '../calculation/calculation.ts'
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
import { breakerInWarmth, heldWithoutEndA, overloadFactor } from '../supply/breaker/overload.ts'
import { ALL_RULE_BOOKS } from '../supply/index.ts'
import {
  breakerHeatCurrent,
  type Draw,
  drawOf,
  effectiveInput,
  effectiveInputA,
  greatestInputA,
  inputCurrentA,
} from '../supply/inputCurrent.ts'
import { inputFault } from '../supply/plateCheck.ts'
import { ampacityReading, ampacityTable } from '../supply/readings.ts'
import {
  type Load,
  type RuleId,
  type Ruling,
  smallestBreakerA,
  smallestConductor,
} from '../supply/ruleBook.ts'
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

/** A step of its own: what a weld may be turned down to rests on the same figure. */
const heldReading = calculation({
  id: 'breaker-rating',
  title: 'What the breaker holds',
  symbol: 'I_h',
  unit: 'A',
  expression: 'I_h',
  inputs: { I_h: from(breakerInWarmth) },
  compute: ({ I_h }) => I_h,
  source: computed('as above'),
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
    const { circuit, r } = c
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
        capacity: r.take(heldReading, { I_h: heldWithoutEndA(circuit, c.breaker, r) }),
        unit: 'A',
        weldId: worst.weld.joint.id,
        source: c.breaker.source,
      }),
    )
  },
  mends({ rules, circuit }, _d, { demand }) {
    const size = smallestBreakerA(rules, demand ?? 0, circuit?.breakerKind ?? null)
    return size === null ? [] : [told('circuit-with-breaker', { size: figure(size, 'A') })]
  },
}

const noAmpacity = ({ circuit, rules }: Capability) =>
  told('ampacity', { size: circuit?.conductorSize ?? '', book: rules.name })

/** The conductor's ampacity as it lies, with its source, A; null where the book has no such cable. */
function carriedA({ circuit, ampacity, r }: Capability): number | null {
  if (!ampacity) return null
  const { tableA, ambientFactor, bundleFactor, terminalA, source } = ampacity
  const A_t = r.take(ampacityTable, { A_t: tableA }, () => ({
    A_t: { name: circuit?.conductorSize ?? '', source },
  }))
  const factors = { A_t, k_T: ambientFactor, k_n: bundleFactor, A_s: terminalA }
  return r.take(ampacityReading, factors, () => ({ k_T: { source }, k_n: { source }, A_s: { source } }))
}

const cableMends: NonNullable<Criterion['mends']> = ({ rules, circuit }, _d, { demand }) => {
  const size = circuit && smallestConductor(rules, demand ?? 0, circuit)
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
      source: c.ampacity?.source ?? PLATE,
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

/** One process of the plate as the rule book sees it; null where the plate cannot be reckoned. */
function loadOf(c: Capability, plate: PlateOnCircuit, r: Reckoner): Load | null {
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

/** What a rule says of a process of the plate: the process for which it asks most, whatever the job. */
function hungriestRuling(
  c: Capability,
  rule: RuleId,
  ampacityA: number,
): { readonly plate: PlateOnCircuit; readonly ruling: Ruling } | null {
  const rulingOf = (plate: PlateOnCircuit, r: Reckoner): Ruling | null => {
    const load = c.circuit && loadOf(c, plate, r)
    return (load && c.circuit && c.rules.assess(c.circuit, ampacityA, [load], r)[rule]) ?? null
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

/** What a rule book rules of a circuit and a machine, whatever the job. */
function byRule(rule: RuleId, mends: NonNullable<Criterion['mends']>): Criterion {
  return {
    id: rule,
    isOfSetUp: true,
    group: null,
    slots: CIRCUIT,
    demandFrom: ALL_RULE_BOOKS.flatMap(({ from: of }) => of[rule].demand),
    capacityFrom: ALL_RULE_BOOKS.flatMap(({ from: of }) => of[rule].capacity),
    assess(c) {
      const { circuit, supply, draw } = c
      if (!circuit || !c.powerSource || (rule === 'outlet-rule' && circuit.outlet === null)) return null
      if (!supply || !draw) return unknown(rule, supply ? c.drawMissing : told('supply'))
      const ampacityA = carriedA(c)
      if (ampacityA === null) return unknown(rule, noAmpacity(c))
      const found = hungriestRuling(c, rule, ampacityA)
      if (!found) return null
      const { plate, ruling } = found
      const { demand, capacity, source, overOn } = ruling
      const assessment = measured(c, rule, {
        code: plate.family === c.process.family || rule === 'breaker-rule' ? 'measured' : 'other-process',
        params: {
          size: circuit.conductorSize,
          outlet: circuit.outlet ?? '',
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
const conductorRule = byRule('conductor-rule', cableMends)
const breakerRule = byRule('breaker-rule', (_c, _d, { capacity }) => [
  told('breaker-at-most', { size: figure(capacity ?? 0, 'A') }),
])
const outletRule = byRule('outlet-rule', (_c, _d, { demand }) => [
  told('outlet-of', { size: figure(demand ?? 0, 'A') }),
])

export const SUPPLY_CRITERIA: readonly Criterion[] = [
  supplyVoltage,
  supplySetting,
  breakerHolds,
  cable,
  conductorRule,
  breakerRule,
  outletRule,
]
