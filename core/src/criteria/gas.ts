/** Criteria of the gas: for process, metal and wire, wind, its fitting, its flow meter and its regulator. */
import { isCo2 } from '../reference/gases.ts'
import { commonPractice, handbook, jobField, standard } from '../basis/source.ts'
import { assumed, calculation, from, input } from '../calculation/calculation.ts'
import type { FlowMeter, Gas } from '../kinds/equipment.ts'
import { figure, list, message, word } from '../model/message.ts'
import { gasOf } from '../reference/classification.ts'
import { gasGravity, nearestScale, scaleFactor, scaleTruth } from '../trade/flowMeter.ts'
import { flowRules, gasFlow, ruledFlowOf } from '../trade/gasFlow.ts'
import type { Criterion } from './criterion.ts'
import { bad, good, grouped, notKnown, ofSetUp, ofWork, poor } from './grouped.ts'
import { metalsOf } from './metals.ts'

const PURE_PCT = 99.9
/** Above this share of CO₂ a steel wire never goes over to spray. */
const SPRAY_MOST_CO2_PCT = 20
const STAINLESS_MOST_CO2_PCT = 5
/** A cored wire "for mixed gas" is made for 75 to 80 % argon (AWS A5.20, suffix M), or for M21: CO₂ above 15 to 25 % (EN ISO 14175). */
const MIXED_CO2_PCT = [15, 25] as const
/** A reading this near to true needs no correction. */
const TRUE_ENOUGH = 0.03

const isInert = ({ argonPct, heliumPct }: Gas): boolean => argonPct + heliumPct >= PURE_PCT
const ISO_14175 = standard('ISO 14175, groups of shielding gases, use by common practice', true)

const gasForProcess = ofSetUp(
  'gas-for-process',
  'shielding',
  ['gas'],
  ({ gas, process }) => {
    if (!gas) return null
    if (!process.shielded) return poor('takes-none')
    if (process.family !== 'gtaw') return null
    const params = { gas: gas.name }
    return isInert(gas) ? good('inert', params, ISO_14175) : bad('burns', params, ISO_14175)
  },
  { mends: (_c, _d, { code }) => (code === 'burns' ? [message('argon')] : []) },
)

const gasForMetal = grouped(
  'gas-for-metal',
  'shielding',
  ['gas', 'wire'],
  (capability, demand) => {
    const { gas, process } = capability
    if (!gas || process.family !== 'gmaw') return null
    const metals = metalsOf(capability, demand)
    if (metals.length === 0) return null
    const weldOf = (metal: string) => metals.find((one) => one.metal === metal)
    const params = { gas: gas.name, most: figure(STAINLESS_MOST_CO2_PCT, '%') }
    const [aluminium, steel, stainless] = [weldOf('aluminium'), weldOf('carbon-steel'), weldOf('stainless')]
    if (aluminium && !isInert(gas)) return bad('oxidises', params, ISO_14175, aluminium.weldId)
    if (steel && gas.co2Pct + gas.oxygenPct < 1) return bad('wanders', params, ISO_14175, steel.weldId)
    if (stainless && gas.co2Pct + gas.oxygenPct < 1)
      return bad('wanders-stainless', params, ISO_14175, stainless.weldId)
    if (stainless && gas.co2Pct > STAINLESS_MOST_CO2_PCT)
      return bad('corrodes', params, ISO_14175, stainless.weldId)
    return good('suits', params, ISO_14175)
  },
  {
    concerns: 'gas',
    mends({ process }, _d, { code }) {
      if (code === 'oxidises') return [message('argon')]
      if (code === 'wanders') return [message('steel-gas')]
      return [message(process.id !== 'gmaw-short' ? 'stainless-spray-gas' : 'stainless-gas')]
    },
  },
)

const gasForSpray = grouped(
  'gas-for-spray',
  'shielding',
  ['gas', 'wire'],
  (capability, demand) => {
    const { gas, process } = capability
    if (!gas || (process.id !== 'gmaw-spray' && process.id !== 'gmaw-pulse')) return null
    const steel = metalsOf(capability, demand).find(({ metal }) => metal === 'carbon-steel')
    if (!steel) return null
    const params = { share: figure(gas.co2Pct, '%') }
    return gas.co2Pct > SPRAY_MOST_CO2_PCT
      ? bad('never-sprays', params, undefined, steel.weldId)
      : good('sprays', params)
  },
  { mends: () => [message('spray-gas')] },
)

/** A gas-shielded cored wire is made for CO₂, for an argon mix, or for either. */
const gasOfWire = ofSetUp(
  'gas-of-wire',
  'shielding',
  ['gas', 'wire'],
  ({ gas, wire, process }) => {
    if (!gas || process.id !== 'fcaw-g' || wire?.form !== 'cored-gas-shielded') return null
    const found = gasOf(wire)
    if (!found) return notKnown(message('gas-of-wire', { wire: wire.name }))
    const asCo2 = isCo2(gas)
    const isMixed = gas.co2Pct >= MIXED_CO2_PCT[0] && gas.co2Pct <= MIXED_CO2_PCT[1]
    const params = { wire: wire.name, wanted: word('wireGas', found.value), gas: gas.name }
    const isRight = found.value === 'co2' ? asCo2 : found.value === 'mixed' ? isMixed : asCo2 || isMixed
    return isRight ? good('made-for', params, found.source) : bad('not-made-for', params, found.source)
  },
  { mends: (_c, _d, { params }) => [message('wire-gas', { wanted: params['wanted'] ?? '' })] },
)

const WIND = standard('AWS D1.1, wind at gas-shielded welding, 5 mph', true)

const windRoom = calculation({
  id: 'wind-room',
  title: 'Wind below the most that gas stands',
  symbol: 'w_room',
  unit: 'km/h',
  expression: 'w_most - w',
  inputs: {
    w_most: assumed('windLimitKmPerH'),
    w: input('wind at the weld', 'km/h', jobField('wind of the job')),
  },
  compute: ({ w_most, w }) => w_most - w,
  source: WIND,
})

/** Wind blows shielding gas away. */
const wind = ofWork(
  'wind',
  'shielding',
  [],
  ({ process, assumptions, reckoner }, demand) => {
    if (!demand || !process.shielded || demand.job.place === 'indoors') return null
    const { windKmPerH } = demand.job
    if (windKmPerH === null) return notKnown(message('wind'))
    const params = {
      wind: figure(windKmPerH, 'km/h'),
      most: figure(assumptions.windLimitKmPerH, 'km/h'),
    }
    return reckoner.compute(windRoom, { w: windKmPerH }) < 0
      ? bad('blows', params, WIND)
      : good('still', params, WIND)
  },
  { concerns: 'wind', from: [windRoom], mends: () => [message('screen-or-self-shielded')] },
)

const CGA = standard('CGA V-1: valve outlet 580 for argon and its mixes, 320 for CO₂', true)

/** A CO₂ cylinder has another valve than one of argon or a mix. */
const gasFitting = ofSetUp(
  'gas-fitting',
  'together',
  ['gas', 'flowMeter'],
  ({ gas, flowMeter }) => {
    if (!gas || !flowMeter) return null
    const wanted = isCo2(gas) ? 'co2' : 'inert'
    const params = {
      meter: flowMeter.name,
      gas: gas.name,
      wanted: word('fitting', wanted),
      has: list(flowMeter.fittings.map((one) => word('fitting', one))),
    }
    return flowMeter.fittings.includes(wanted) ? good('fits', params, CGA) : bad('other', params, CGA)
  },
  { mends: (_c, _d, { params }) => [message('meter-with-fitting', { wanted: params['wanted'] ?? '' })] },
)

const scaleOf = (meter: FlowMeter, gas: Gas) => nearestScale(meter.scales, gasGravity(gas))

const flowReading = calculation({
  id: 'flow-reading',
  title: 'What to set on this scale',
  symbol: 'Q_read',
  unit: 'L/min',
  expression: 'Q / k',
  inputs: { Q: gasFlow, k: from(scaleTruth) },
  compute: ({ Q, k }) => Q / k,
  source: scaleTruth.source,
})

/** On another gas than its scale is for a meter reads wrong by a known factor. */
const flowScale = ofSetUp(
  'flow-scale',
  'together',
  ['gas', 'flowMeter', 'wire', 'cup'],
  (capability) => {
    const { gas, flowMeter, reckoner } = capability
    const scale = gas && flowMeter ? scaleOf(flowMeter, gas) : undefined
    if (!gas || !flowMeter || !scale) return null
    const k = scaleFactor(scale, gas, reckoner)
    const params = { scale: word('scale', scale), gas: gas.name }
    if (Math.abs(k - 1) <= TRUE_ENOUGH)
      return good('true', { ...params, within: figure(TRUE_ENOUGH * 100, '%') })
    const flow = capability.flowLPerMin
    const reading = reckoner.compute(flowReading, { Q: flow, k })
    const flows = { truth: figure(flow, 'L/min'), reading: figure(reading, 'L/min') }
    return poor(k > 1 ? 'reads-low' : 'reads-high', { ...params, ...flows })
  },
  {
    from: [scaleTruth, flowReading],
    mends: (_c, _d, { params }) => [message('meter-with-scale', { gas: params['gas'] ?? '' })],
  },
)

const freezingRoom = calculation({
  id: 'freezing-room',
  title: 'Flow below what freezes a regulator',
  symbol: 'Q_room',
  unit: 'L/min',
  expression: 'Q_f - Q',
  inputs: { Q_f: assumed('co2FreezeLPerMin'), Q: gasFlow },
  compute: ({ Q_f, Q }) => Q_f - Q,
  source: commonPractice(),
})

/** CO₂ cools as it expands, and water in it freezes the regulator at high draw. */
const regulatorFreezing = ofSetUp(
  'regulator-freezing',
  'together',
  ['gas', 'flowMeter', 'wire', 'cup'],
  (capability) => {
    const { gas, flowMeter, assumptions, reckoner } = capability
    if (!gas || !flowMeter || !isCo2(gas)) return null
    if (flowMeter.heated) return good('heated', { meter: flowMeter.name })
    const params = {
      flow: figure(capability.flowLPerMin, 'L/min'),
      most: figure(assumptions.co2FreezeLPerMin, 'L/min'),
    }
    return reckoner.compute(freezingRoom, { Q: capability.flowLPerMin }) < 0
      ? poor('may-freeze', params)
      : good('flows', params)
  },
  {
    from: [freezingRoom],
    mends: () => [message('heated-regulator')],
  },
)

const smoothMost = calculation({
  id: 'flow-smooth-most',
  title: 'Most flow that leaves this bore smoothly',
  symbol: 'Q_most',
  unit: 'L/min',
  expression: 'q * b',
  inputs: {
    q: assumed('flowMostPerBoreMm'),
    b: input('bore of nozzle or cup', 'mm', jobField('nozzle or cup of the set-up')),
  },
  compute: ({ q, b }) => q * b,
  source: handbook('pipe flow stays laminar up to a Reynolds number of 2,300', false),
})
const flowByRule = calculation({
  id: 'flow-by-rule',
  title: 'Least flow that covers the pool in still air',
  symbol: 'Q_least',
  unit: 'L/min',
  expression: 'Q * s / 100',
  inputs: { Q: from(...flowRules), s: assumed('flowLeastPct') },
  compute: ({ Q, s }) => (Q * s) / 100,
  source: commonPractice('schools differ: 15 ft³/h in still air, 20 to 25 as a rule, 30 to 35 in a draught'),
})
/** A cup is named by sixteenths of an inch. */
const CUP_STEP_MM = 1.5875

/** Too much is as bad as too little: it tumbles, and draws air in. A lens lays it straight again. */
const flowBounds = ofSetUp(
  'flow-bounds',
  'shielding',
  ['gas', 'flowMeter', 'wire', 'cup', 'nozzle'],
  (capability) => {
    const { process, gas, cup, nozzle, flowMeter, colletBody, settings, reckoner } = capability
    if (!process.shielded || !gas || gas.heliumPct > 0) return null
    const Q = capability.flowLPerMin
    const flow = figure(Q, 'L/min')
    const end = flowMeter?.mostLPerMin ?? null
    if (end !== null && Q > end) return poor('meter-ends', { flow, most: figure(end, 'L/min') })
    const bore = process.family === 'gtaw' ? cup && cup.number * CUP_STEP_MM : (nozzle?.insideMm ?? null)
    const hasLens = process.family === 'gtaw' && colletBody?.gasLens === true
    if (bore !== null && !hasLens) {
      const most = reckoner.compute(smoothMost, { b: bore })
      if (most < Q) return poor('tumbles', { flow, most: figure(most, 'L/min'), bore: figure(bore, 'mm') })
    }
    if (settings.flowLPerMin === null) return good('covers', { flow })
    const least = reckoner.compute(flowByRule, { Q: ruledFlowOf(capability, reckoner) })
    return Q < least ? poor('thin', { flow, least: figure(least, 'L/min') }) : good('covers', { flow })
  },
  {
    from: [smoothMost, flowByRule, ...flowRules],
    mends: (_c, _d, { code }) => [
      message(code === 'meter-ends' ? 'meter-that-goes-higher' : code === 'thin' ? 'more-flow' : 'less-flow'),
    ],
  },
)

export const GAS_CRITERIA: readonly Criterion[] = [
  gasForProcess,
  gasForMetal,
  gasForSpray,
  gasOfWire,
  wind,
  gasFitting,
  flowScale,
  regulatorFreezing,
  flowBounds,
]
