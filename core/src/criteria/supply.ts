/** Criteria of the supply: does the source take it, does the breaker hold, does the cable carry, by job and by rule. */
import { computed, dataPlate, standard } from '../basis/source.ts'
import { calculation, from, input } from '../calculation/calculation.ts'
import type { Capability } from '../capability/capability.ts'
import { supplyParam } from '../capability/supplyFor.ts'
import type { Demand } from '../demand/demand.ts'
import { jobDuty, mostWanted } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { dutyAtCurrentPct } from '../duty/curve.ts'
import { figure, list, told } from '../model/told.ts'
import { overloadFactor } from '../supply/breakerHeat.ts'
import {
  breakerHeatCurrent,
  effectiveInput,
  effectiveInputA,
  greatestInput,
  greatestInputA,
  inputCurrentA,
} from '../supply/inputCurrent.ts'
import { smallestBreakerA, smallestConductor } from '../supply/ruleBook.ts'
import { NO_ARC_TIME } from './carries.ts'
import { type Assessment, type Criterion, fails, fits, measured, unknown } from './criterion.ts'
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
  assess({ circuit, powerSource }) {
    if (!circuit || !powerSource || powerSource.supplyChange === null) return null
    const voltages = new Set(
      powerSource.processes.flatMap(({ supplies }) => supplies.map(({ voltageV }) => voltageV)),
    )
    if (voltages.size < 2) return null
    const params = { source: powerSource.name, volts: figure(circuit.voltageV, 'V') }
    return fits('supply-setting', powerSource.supplyChange, params, { source: PLATE })
  },
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

const breakerHolds: Criterion = {
  id: 'breaker-holds',
  group: null,
  slots: CIRCUIT,
  demandFrom: [breakerHeatCurrent],
  capacityFrom: [heldReading],
  alsoFrom: [mostWanted],
  assess(c, d) {
    const { circuit, rules, r } = c
    if (!d || !circuit) return null
    if (!c.draw) return unknown('breaker-holds', c.supply ? c.drawMissing : told('supply'))
    if (d.dutyPct === null) return unknown('breaker-holds', NO_ARC_TIME)
    const worst = weldWithMost(d, (weld) => breakerHeatA(c, d, weld))
    return measured(c, 'breaker-holds', {
      demand: worst.value,
      capacity: r.take(heldReading, { I_n: rules.breakerHoldsA(circuit.breakerA).value }),
      unit: 'A',
      weldId: worst.weld.joint.id,
      source: standard('UL 489 trip points, estimate', true),
    })
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

const cableMends: NonNullable<Criterion['mends']> = ({ rules }, _d, { demand }) => {
  const size = smallestConductor(rules, demand ?? 0)
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

/** Whatever the job. */
const conductorRule: Criterion = {
  id: 'conductor-rule',
  isOfSetUp: true,
  group: null,
  slots: CIRCUIT,
  demandFrom: [effectiveReading, conductorByRule],
  capacityFrom: [ampacityReading],
  assess(c) {
    const { circuit, supply, draw, rules, r } = c
    if (!circuit || !c.powerSource) return null
    if (!supply || !draw) return unknown('conductor-rule', supply ? c.drawMissing : told('supply'))
    const capacity = carriedA(c)
    if (capacity === null) return unknown('conductor-rule', noAmpacity(c))
    const ratedA = Math.max(...supply.ratedPoints.map(({ currentA }) => currentA))
    const m = rules.multiplier(dutyAtCurrentPct(supply.ratedPoints, ratedA))
    const demand =
      supply.i1EffA === null
        ? r.take(conductorByRule, { I_1max: greatestInputA(supply, draw, r), m: m.value }, () => ({
            m: { source: m.source },
          }))
        : r.take(effectiveReading, { I_1eff: supply.i1EffA })
    return measured(c, 'conductor-rule', {
      params: { size: circuit.conductorSize },
      demand,
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
const largestBreaker = calculation({
  id: 'largest-breaker',
  title: 'Largest breaker for this machine and this cable',
  symbol: 'I_most',
  unit: 'A',
  expression: 'I_most',
  method: 'next standard size from the lesser of 2 · I₁max and 2 · ampacity',
  inputs: {
    I_most: input('of the rule book', 'A', computed('rule book')),
    I_1max: greatestInput,
    A_c: from(ampacityReading),
  },
  compute: ({ I_most }) => I_most,
  source: standard('NEC 630.12(A) and (B), next standard size of 240.6(A)', true),
})

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
    const I_1max = greatestInputA(supply, draw, r)
    const { value, source } = rules.largestBreakerA(I_1max, A_c)
    return measured(c, 'breaker-rule', {
      demand: r.take(breakerReading, { I_n: circuit.breakerA }),
      capacity: r.take(largestBreaker, { I_most: value, I_1max, A_c }),
      unit: 'A',
      isLimit: true,
      source,
    })
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
