/** Criteria of the supply: does the source take it, does the breaker hold, does the cable carry, by job and by rule. */
import { computed, dataPlate, standard } from '../basis/source.ts'
import { assumed, calculation, from, input } from '../calculation/calculation.ts'
import { type Reckoner, reckonerFor } from '../calculation/reckoner.ts'
import type { Capability } from '../capability/capability.ts'
import { isWithinSupply, supplyParam } from '../capability/supplyFor.ts'
import type { Demand } from '../demand/demand.ts'
import { jobDuty, mostWanted } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import type { Circuit } from '../kinds/equipment.ts'
import { figure, list, message, word } from '../model/message.ts'
import { breakerInWarmth, heldWithoutEndA, overloadFactor } from '../supply/breaker/overload.ts'
import { readConductor } from '../supply/conductor.ts'
import {
  breakerHeatCurrent,
  effectiveInput,
  effectiveInputA,
  inputCurrentA,
  weldingDrawnA,
} from '../supply/inputCurrent.ts'
import {
  besideTurns,
  byTurnsOn,
  carriedBesideA,
  carriedBesideSteady,
  heldBesideA,
  heldBesideSteady,
} from '../supply/otherLoads.ts'
import { ampacityReading, cordReading } from '../supply/readings.ts'
import { outletOf, smallestBreakerA } from '../supply/ruleBook.ts'
import { voltsAtMachine, voltsAtMachineV, type Way } from '../supply/voltageDrop.ts'
import { circuitCarries, LINK_FROM, NO_ARC_TIME } from './carries.ts'
import { GENERATOR_CRITERIA } from './generator.ts'
import { LEAD_CRITERIA } from './leads.ts'
import { type Assessment, type Criterion, fails, fits, measured, type Mend, unknown } from './criterion.ts'
import { verdictOfCurrent, WINDOW } from './withinWindow.ts'
import { cableMends, carriedA, circuitWithBreaker, noAmpacity, spare, WIRING_RULES } from './wiringRules.ts'
import { weldWithMost } from './worstWeld.ts'

const CIRCUIT = ['circuit', 'powerSource'] as const
const PLATE = dataPlate()

const supplyVoltage: Criterion = {
  id: 'supply-voltage',
  concerns: 'voltage',
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
  mends: (_c, _d, { params }) => [message('circuit-of', { takes: params['takes'] ?? '' })],
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
    const isRight = isWithinSupply(linksSetV, circuit.voltageV)
    const make = isRight ? fits : fails
    const set = { ...params, set: figure(linksSetV, 'V') }
    return inGroup(make('supply-setting', isRight ? 'set-right' : 'set-other', set, { source: PLATE }))
  },
  mends: (_c, _d, { params }) => [message('set-links', { volts: params['volts'] ?? '' })],
}

/** Welding current with which a weld is burnt here: what it wants, or all that the machine has. */
const drawnA = ({ supply }: Capability, wantedA: number, reckoner?: Reckoner): number =>
  supply ? weldingDrawnA(supply, wantedA, reckoner) : wantedA

/** Heating of the breaker by one weld of the job, as a continuous current, A. */
function breakerHeatA(
  capability: Capability,
  demand: Demand,
  { wantedA, oneArcS }: WeldFigures,
  constantS: number,
): number {
  const { draw, reckoner } = capability
  if (!draw) return 0
  const k = overloadFactor(oneArcS ?? 0, demand.pauseS, constantS, reckoner)
  return reckoner.compute(breakerHeatCurrent, {
    I_1: inputCurrentA(draw, drawnA(capability, wantedA, reckoner), reckoner),
    k,
  })
}

/** A step of its own: what a weld may be turned down to rests on the same figure. */
const heldReading = calculation({
  id: 'breaker-rating',
  title: 'What the breaker holds',
  symbol: 'I_h',
  unit: 'A',
  expression: 'I_h',
  inputs: { I_h: from(breakerInWarmth, heldBesideSteady) },
  compute: ({ I_h }) => I_h,
  source: computed('as above'),
})

/** A breaker that goes at the current needed may hold at the least that still makes the weld. */
function turnedDown(
  capability: Capability,
  demand: Demand,
  weld: WeldFigures,
  found: Assessment,
): Assessment {
  if (found.verdict !== 'fails') return found
  const carries = circuitCarries(capability, demand, weld)
  if (!carries || carries.missing !== null || verdictOfCurrent(weld, carries) === 'fails') return found
  const current = figure(carries.highA, 'A')
  return { ...found, verdict: 'tight', code: 'turned-down', params: { ...found.params, current } }
}

/** What holds alone may go while something else on the circuit runs: that can be switched off, and is to be known. */
function besideOthers(capability: Capability, circuit: Circuit, found: Assessment): Assessment {
  const { demand, capacity, verdict } = found
  const others = byTurnsOn(circuit, capability.building.loads, capability.breakerConstantS)
  if (others.length === 0 || verdict === 'fails' || demand === null || capacity === null) return found
  const together = capability.reckoner.compute(besideTurns, {
    I_m: demand,
    I_e: others.map(({ heatA }) => heatA),
  })
  if (together <= capacity) return found
  const params = {
    ...found.params,
    others: list(others.map(({ name }) => name)),
    together: figure(together, 'A'),
  }
  return { ...found, verdict: 'tight', code: 'beside', params }
}

/** A quick breaker is as hot after a short arc as a slow one after a long: what holds by the slow one may trip by it. */
function mayTripEarly(capability: Capability, demand: Demand, found: Assessment): Assessment {
  const { verdict, capacity } = found
  if (verdict !== 'fits' || capacity === null) return found
  const worst = weldWithMost(demand, (weld) =>
    breakerHeatA(capability, demand, weld, capability.breakerEarlyConstantS),
  )
  if (worst.value <= capacity) return found
  return {
    ...found,
    verdict: 'tight',
    code: 'early',
    params: { ...found.params, early: figure(worst.value, 'A') },
  }
}

const breakerHolds: Criterion = {
  id: 'breaker-holds',
  concerns: 'heat',
  group: null,
  slots: CIRCUIT,
  demandFrom: [breakerHeatCurrent],
  capacityFrom: [heldReading],
  alsoFrom: [mostWanted, besideTurns, ...LINK_FROM.circuit, ...WINDOW],
  assess(capability, demand) {
    const { circuit, reckoner } = capability
    if (!demand || !circuit) return null
    if (!capability.draw)
      return unknown('breaker-holds', capability.supply ? capability.drawMissing : message('supply'))
    if (demand.dutyPct === null) return unknown('breaker-holds', NO_ARC_TIME)
    const worst = weldWithMost(demand, (weld) =>
      breakerHeatA(capability, demand, weld, capability.breakerConstantS),
    )
    const heldA = heldWithoutEndA(circuit, capability.breaker, reckoner)
    const capacity = reckoner.compute(heldReading, {
      I_h: heldBesideA(heldA, circuit, capability.building.loads, reckoner),
    })
    const isBelowIdle = capability.draw.idleA > capacity
    const found = turnedDown(
      capability,
      demand,
      worst.weld,
      measured(capability, 'breaker-holds', {
        demand: worst.value,
        capacity,
        unit: 'A',
        weldId: worst.weld.joint.id,
        source: capability.breaker.source,
      }),
    )
    return isBelowIdle
      ? {
          ...found,
          verdict: 'fails',
          code: 'below-idle',
          params: { idle: figure(capability.draw.idleA, 'A') },
        }
      : mayTripEarly(capability, demand, besideOthers(capability, circuit, found))
  },
  mends(capability, _d, { demand, code }) {
    const { rules, circuit } = capability
    if (code === 'below-idle') return [message('larger-than-idle')]
    const size = smallestBreakerA(rules, (demand ?? 0) * spare(capability), circuit?.breakerKind ?? null)
    return [
      ...(code === 'beside' ? [message('others-on-circuit-off')] : []),
      ...(size === null ? [] : [circuitWithBreaker(capability, size)]),
    ]
  },
}

const cable: Criterion = {
  id: 'cable',
  concerns: 'heat',
  group: null,
  slots: CIRCUIT,
  demandFrom: [effectiveInput],
  capacityFrom: [ampacityReading, carriedBesideSteady],
  alsoFrom: [jobDuty, mostWanted],
  assess(capability, demand) {
    const { circuit, draw, reckoner } = capability
    if (!demand || !circuit || !capability.isWiredByShop) return null
    if (!draw) return unknown('cable', capability.supply ? capability.drawMissing : message('supply'))
    if (demand.dutyPct === null) return unknown('cable', NO_ARC_TIME)
    const carries = carriedA(capability)
    if (carries === null) return unknown('cable', noAmpacity(capability))
    const capacity = carriedBesideA(carries, circuit, capability.building.loads, reckoner)
    return measured(capability, 'cable', {
      params: { size: circuit.conductorSize },
      demand: effectiveInputA(
        draw,
        drawnA(capability, demand.hungriest.wantedA, reckoner),
        demand.dutyPct,
        reckoner,
      ),
      capacity,
      unit: 'A',
      weldId: demand.hungriest.joint.id,
      source: capability.ampacity?.source ?? PLATE,
    })
  },
  mends: cableMends,
}

const leastVolts = calculation({
  id: 'least-volts',
  title: 'Least volts that the machine is to have',
  symbol: 'U_least',
  unit: 'V',
  expression: 'U_r * (1 - w / 100)',
  inputs: {
    U_r: input('supply voltage of the plate’s column', 'V', PLATE),
    w: assumed('leastVoltsPct'),
  },
  compute: ({ U_r, w }) => U_r * (1 - w / 100),
  source: standard('IEC 60974-1, supply voltage ±10 %', true),
})
const lost = calculation({
  id: 'volts-lost',
  title: 'Voltage drop to the machine',
  symbol: 'd',
  unit: '%',
  expression: '100 * (1 - U_m / U_1)',
  inputs: { U_m: from(voltsAtMachine), U_1: input('volts at the panel', 'V', dataPlate('circuit')) },
  compute: ({ U_m, U_1 }) => 100 * (1 - U_m / U_1),
  source: computed('share of the volts at the panel'),
})
const lossRoom = calculation({
  id: 'volts-lost-room',
  title: 'Voltage drop left',
  symbol: 'S',
  unit: '%',
  expression: 'd_most - d',
  inputs: { d_most: assumed('voltsLostMostPct'), d: from(lost) },
  compute: ({ d_most, d }) => d_most - d,
  source: computed('below 0 the arc is weaker than the dial setting'),
})

const wayOf = ({ isWiredByShop, supplyPanels, cord }: Capability, circuit: Circuit): Way => ({
  circuit,
  hasCable: isWiredByShop,
  supplyPanels,
  cord,
})

const volts: Criterion = {
  id: 'volts',
  concerns: 'supply',
  group: null,
  slots: CIRCUIT,
  demandFrom: [leastVolts],
  capacityFrom: [voltsAtMachine],
  alsoFrom: [lossRoom, mostWanted],
  assess(capability, demand) {
    const { circuit, draw, supply, rules, reckoner } = capability
    const plateV = supply?.voltageV ?? null
    if (!demand || !circuit || !draw || plateV === null) return null
    const I_1 = inputCurrentA(draw, drawnA(capability, demand.hungriest.wantedA, reckoner), reckoner)
    const capacity = voltsAtMachineV(rules, wayOf(capability, circuit), I_1, reckoner)
    // A size that the book does not have is said by the cable, or by the cord.
    if (capacity === null) return null
    const leastV = reckoner.compute(leastVolts, { U_r: plateV })
    const d_V = reckoner.compute(lost, { U_m: capacity, U_1: circuit.voltageV })
    const isMuch = reckoner.compute(lossRoom, { d: d_V }) < 0
    const found = measured(capability, 'volts', {
      code: isMuch ? 'sags' : 'measured',
      params: { drawn: figure(I_1, 'A'), lost: figure(d_V, '%') },
      demand: leastV,
      capacity,
      unit: 'V',
      isLimit: true,
      weldId: demand.hungriest.joint.id,
      source: standard('IEC 60974-1, supply voltage ±10 %', true),
    })
    return found.verdict === 'fits' && isMuch ? { ...found, verdict: 'tight' } : found
  },
  mends: (capability, demand) => [
    ...(capability.cord && demand ? cordMends(capability, demand) : []),
    message('thicker-or-shorter', { what: word('way', capability.cord ? 'cord' : 'cable') }),
  ],
}

/** The smallest cord of this length that carries the job and loses little enough. */
function cordMends(capability: Capability, demand: Demand): readonly Mend[] {
  const { circuit, draw, rules, cord } = capability
  if (!circuit || !draw || !cord || demand.dutyPct === null) return []
  const I_2 = drawnA(capability, demand.hungriest.wantedA)
  const asked = effectiveInputA(draw, I_2, demand.dutyPct)
  const I_1 = inputCurrentA(draw, I_2)
  const reckoner = reckonerFor(capability.assumptions)
  const least = circuit.voltageV * (1 - capability.assumptions.voltsLostMostPct / 100)
  // A cord of 16 mm² goes into no plug of 16 A.
  const plugMm2 = circuit.outlet === null ? null : (outletOf(rules, circuit.outlet)?.cordMostMm2 ?? null)
  const size = rules.conductorSizes.find((one) => {
    if (plugMm2 !== null && (readConductor(one)?.areaMm2 ?? 0) > plugMm2) return false
    const carries = rules.cordA(one, circuit.phases)?.value ?? 0
    const way = { ...wayOf(capability, circuit), cord: { ...cord, size: one } }
    const arrives = voltsAtMachineV(rules, way, I_1, reckoner) ?? 0
    return carries >= asked && arrives >= least
  })
  if (size === undefined) return []
  const patch = { on: 'set-up', change: { cordSize: size } } as const
  return [{ ...message('cord-of', { size, length: figure(cord.lengthMm, 'mm length') }), patch }]
}

const extensionCord: Criterion = {
  id: 'cord',
  concerns: 'supply',
  group: null,
  slots: CIRCUIT,
  demandFrom: [effectiveInput],
  capacityFrom: [cordReading],
  alsoFrom: [jobDuty, mostWanted],
  assess(capability, demand) {
    const { circuit, draw, cord, rules, reckoner } = capability
    if (!demand || !circuit || !draw || !cord || demand.dutyPct === null) return null
    const carries = rules.cordA(cord.size, circuit.phases)
    if (!carries) return unknown('cord', message('cord', { size: cord.size, book: rules.name }))
    return measured(capability, 'cord', {
      params: { size: cord.size, length: figure(cord.lengthMm, 'mm length') },
      demand: effectiveInputA(
        draw,
        drawnA(capability, demand.hungriest.wantedA, reckoner),
        demand.dutyPct,
        reckoner,
      ),
      capacity: reckoner.compute(cordReading, { A_x: carries.value }, () => ({
        A_x: { name: cord.size, source: carries.source },
      })),
      unit: 'A',
      weldId: demand.hungriest.joint.id,
      source: carries.source,
    })
  },
  mends: (c, d) => (d ? cordMends(c, d) : []),
}

const inrushOfPlate = calculation({
  id: 'inrush-of-plate',
  title: 'Inrush',
  symbol: 'I_i',
  unit: 'A',
  expression: 'I_i',
  inputs: { I_i: input('inrush', 'A', PLATE) },
  compute: ({ I_i }) => I_i,
  source: PLATE,
})
const magnetHolds = calculation({
  id: 'magnet-holds',
  title: 'Below this no magnet of its kind trips',
  symbol: 'I_m',
  unit: 'A',
  expression: 'm * I_n',
  inputs: {
    m: input('times its rating, the least of its kind', '×', computed('standard of the breaker')),
    I_n: input('breaker', 'A', dataPlate('circuit')),
  },
  compute: ({ m, I_n }) => m * I_n,
  source: computed('standard of the breaker'),
})

/** Switched on, a transformer takes many times its current for half a wave: a quick magnet throws at that. */
const inrush: Criterion = {
  id: 'inrush',
  concerns: 'supply',
  isOfSetUp: true,
  group: null,
  slots: CIRCUIT,
  demandFrom: [inrushOfPlate],
  capacityFrom: [magnetHolds],
  assess(capability) {
    const { circuit, supply, powerSource, breaker, reckoner } = capability
    const { magnetic } = breaker
    if (!circuit || !supply || !powerSource || magnetic === null) return null
    // Soft starts take twice their current, transformers twelve times: a guess would call either wrong.
    // It is on few plates: told, and not judged, so that it holds up no other answer.
    if (powerSource.inrushA === null)
      return fits('inrush', 'inrush-not-given', { source: powerSource.name }, { source: PLATE })
    const demand = reckoner.compute(inrushOfPlate, { I_i: powerSource.inrushA })
    const capacity = reckoner.compute(magnetHolds, { m: magnetic.low, I_n: circuit.breakerA })
    const found = measured(capability, 'inrush', {
      demand,
      capacity,
      unit: 'A',
      isLimit: true,
      source: breaker.source,
    })
    return found.verdict === 'fails' && demand <= magnetic.high * circuit.breakerA
      ? { ...found, verdict: 'tight', code: 'may-throw' }
      : found
  },
  mends: () => [message('slower-magnet')],
}

export const SUPPLY_CRITERIA: readonly Criterion[] = [
  supplyVoltage,
  supplySetting,
  breakerHolds,
  cable,
  ...WIRING_RULES,
  inrush,
  volts,
  extensionCord,
  ...GENERATOR_CRITERIA,
  ...LEAD_CRITERIA,
]
