/** Criteria of the gas: for process, metal and wire, wind, its fitting, its flow meter and its regulator. */
import { isCo2 } from '../reference/gases.ts'
import { commonPractice, handbook, jobField, standard } from '../basis/source.ts'
import { assumed, calculation, from, input } from '../calculation/calculation.ts'
import type { FlowMeter, Gas } from '../kinds/equipment.ts'
import { figure, list, told, word } from '../model/told.ts'
import { gasOf } from '../reference/classification.ts'
import { gasGravity, nearestScale, scaleFactor, scaleTruth } from '../trade/flowMeter.ts'
import { flowRules, gasFlow, ruledFlowOf } from '../trade/gasFlow.ts'
import type { Criterion } from './criterion.ts'
import { bad, good, grouped, notKnown, ofSetUp, poor } from './grouped.ts'
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
const ISO_14175 = standard('ISO 14175, groups of shielding gases; use by common practice', true)

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
  { mends: (_c, _d, { code }) => (code === 'burns' ? [told('argon')] : []) },
)

const gasForMetal = grouped(
  'gas-for-metal',
  'shielding',
  ['gas', 'wire'],
  (c, d) => {
    const { gas, process } = c
    if (!gas || process.family !== 'gmaw') return null
    const metals = metalsOf(c, d)
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
      if (code === 'oxidises') return [told('argon')]
      if (code === 'wanders') return [told('steel-gas')]
      return [told(process.id !== 'gmaw-short' ? 'stainless-spray-gas' : 'stainless-gas')]
    },
  },
)

const gasForSpray = grouped(
  'gas-for-spray',
  'shielding',
  ['gas', 'wire'],
  (c, d) => {
    const { gas, process } = c
    if (!gas || (process.id !== 'gmaw-spray' && process.id !== 'gmaw-pulse')) return null
    const steel = metalsOf(c, d).find(({ metal }) => metal === 'carbon-steel')
    if (!steel) return null
    const params = { share: figure(gas.co2Pct, '%') }
    return gas.co2Pct > SPRAY_MOST_CO2_PCT
      ? bad('never-sprays', params, undefined, steel.weldId)
      : good('sprays', params)
  },
  { mends: () => [told('spray-gas')] },
)

/** A gas-shielded cored wire is made for CO₂, for an argon mix, or for either. */
const gasOfWire = ofSetUp(
  'gas-of-wire',
  'shielding',
  ['gas', 'wire'],
  ({ gas, wire, process }) => {
    if (!gas || process.id !== 'fcaw-g' || wire?.form !== 'cored-gas-shielded') return null
    const found = gasOf(wire)
    if (!found) return notKnown(told('gas-of-wire', { wire: wire.name }))
    const asCo2 = isCo2(gas)
    const isMixed = gas.co2Pct >= MIXED_CO2_PCT[0] && gas.co2Pct <= MIXED_CO2_PCT[1]
    const params = { wire: wire.name, wanted: word('wireGas', found.value), gas: gas.name }
    const isRight = found.value === 'co2' ? asCo2 : found.value === 'mixed' ? isMixed : asCo2 || isMixed
    return isRight ? good('made-for', params, found.source) : bad('not-made-for', params, found.source)
  },
  { mends: (_c, _d, { params }) => [told('wire-gas', { wanted: params['wanted'] ?? '' })] },
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
const wind = grouped(
  'wind',
  'shielding',
  [],
  ({ process, assumptions, r }, d) => {
    if (!d || !process.shielded || d.job.place === 'indoors') return null
    const { windKmPerH } = d.job
    if (windKmPerH === null) return notKnown(told('wind'))
    const params = {
      wind: figure(windKmPerH, 'km/h'),
      most: figure(assumptions.windLimitKmPerH, 'km/h'),
    }
    return r.take(windRoom, { w: windKmPerH }) < 0 ? bad('blows', params, WIND) : good('still', params, WIND)
  },
  { concerns: 'wind', from: [windRoom], mends: () => [told('screen-or-self-shielded')] },
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
  { mends: (_c, _d, { params }) => [told('meter-with-fitting', { wanted: params['wanted'] ?? '' })] },
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
  (c) => {
    const { gas, flowMeter, r } = c
    const scale = gas && flowMeter ? scaleOf(flowMeter, gas) : undefined
    if (!gas || !flowMeter || !scale) return null
    const k = scaleFactor(scale, gas, r)
    const params = { scale: word('scale', scale), gas: gas.name }
    if (Math.abs(k - 1) <= TRUE_ENOUGH)
      return good('true', { ...params, within: figure(TRUE_ENOUGH * 100, '%') })
    const flow = c.flowLPerMin
    const reading = r.take(flowReading, { Q: flow, k })
    const flows = { truth: figure(flow, 'L/min'), reading: figure(reading, 'L/min') }
    return poor(k > 1 ? 'reads-low' : 'reads-high', { ...params, ...flows })
  },
  {
    from: [scaleTruth, flowReading],
    mends: (_c, _d, { params }) => [told('meter-with-scale', { gas: params['gas'] ?? '' })],
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
  (c) => {
    const { gas, flowMeter, assumptions, r } = c
    if (!gas || !flowMeter || !isCo2(gas)) return null
    if (flowMeter.heated) return good('heated', { meter: flowMeter.name })
    const params = {
      flow: figure(c.flowLPerMin, 'L/min'),
      most: figure(assumptions.co2FreezeLPerMin, 'L/min'),
    }
    return r.take(freezingRoom, { Q: c.flowLPerMin }) < 0 ? poor('may-freeze', params) : good('flows', params)
  },
  {
    from: [freezingRoom],
    mends: () => [told('heated-regulator')],
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
  (c) => {
    const { process, gas, cup, nozzle, flowMeter, colletBody, settings, r } = c
    if (!process.shielded || !gas || gas.heliumPct > 0) return null
    const Q = c.flowLPerMin
    const flow = figure(Q, 'L/min')
    const end = flowMeter?.mostLPerMin ?? null
    if (end !== null && Q > end) return poor('meter-ends', { flow, most: figure(end, 'L/min') })
    const bore = process.family === 'gtaw' ? cup && cup.number * CUP_STEP_MM : (nozzle?.insideMm ?? null)
    const hasLens = process.family === 'gtaw' && colletBody?.gasLens === true
    if (bore !== null && !hasLens) {
      const most = r.take(smoothMost, { b: bore })
      if (most < Q) return poor('tumbles', { flow, most: figure(most, 'L/min'), bore: figure(bore, 'mm') })
    }
    if (settings.flowLPerMin === null) return good('covers', { flow })
    const least = r.take(flowByRule, { Q: ruledFlowOf(c, r) })
    return Q < least ? poor('thin', { flow, least: figure(least, 'L/min') }) : good('covers', { flow })
  },
  {
    from: [smoothMost, flowByRule, ...flowRules],
    mends: (_c, _d, { code }) => [
      told(code === 'meter-ends' ? 'meter-that-goes-higher' : code === 'thin' ? 'more-flow' : 'less-flow'),
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
