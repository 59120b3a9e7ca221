/** Rules of the gas: for process, metal and wire; its fitting, its flow meter and its regulator. */
import type { FlowMeter, Gas } from '../../model/equipment.ts'
import { standard } from '../../model/source.ts'
import { printNumber } from '../../quantity/printValue.ts'
import { gasOf } from '../../reference/classification.ts'
import { flowOf } from '../../trade/gasFlow.ts'
import { gasGravity, nearestScale, SCALE_WORDS, scaleFactor } from '../../trade/flowMeter.ts'
import { metalsOf } from '../assembly.ts'
import { fits, type Judge, notKnown, print, type Rule, short, tight, wants } from '../rule.ts'

const PURE_PCT = 99.9
/** Above this share of CO₂ a steel wire never goes over to spray. */
const SPRAY_MOST_CO2_PCT = 20
const STAINLESS_MOST_CO2_PCT = 5
/** From this share of CO₂ on, gas, cylinder valve and cold are those of CO₂ alone. */
const AS_CO2_PCT = 99
/** A cored wire "for mixed gas" is made for 75 to 80 % argon (AWS A5.20, suffix M). */
const MIXED_CO2_PCT = [15, 30] as const
/** A reading this near to true needs no correction. */
const TRUE_ENOUGH = 0.03

const inert = ({ argonPct, heliumPct }: Gas): boolean => argonPct + heliumPct >= PURE_PCT
const ISO_14175 = standard('ISO 14175, groups of shielding gases; use by common practice', true)

const gasForProcess: Judge = ({ gas, process }) => {
  if (!gas) return null
  if (!process.shielded) return tight('Self-shielded wire takes no gas: close the cylinder')
  if (process.family !== 'gtaw') return null
  return inert(gas)
    ? fits(() => `${gas.name} is inert`, ISO_14175)
    : short(() => `TIG wants pure argon: ${gas.name} burns the tungsten`, ISO_14175, wants('Argon, I1'))
}

const gasForMetal: Judge = (assembly) => {
  const { gas, process } = assembly
  if (!gas || process.family !== 'gmaw') return null
  const metals = metalsOf(assembly)
  if (metals.length === 0) return null
  if (metals.includes('aluminium') && !inert(gas)) {
    return short(() => `Aluminium wants pure argon: ${gas.name} oxidises it`, ISO_14175, wants('Argon, I1'))
  }
  if (metals.includes('carbon-steel') && gas.co2Pct + gas.oxygenPct < 1) {
    return short(
      () => `Steel wire wanders in inert gas: use an argon mix or CO₂ instead of ${gas.name}`,
      ISO_14175,
      wants('75/25 or 80/20 Ar/CO₂, M21, or CO₂, C1'),
    )
  }
  if (metals.includes('stainless') && gas.co2Pct > STAINLESS_MOST_CO2_PCT) {
    return short(
      () =>
        `${gas.name} takes the corrosion resistance out of stainless: CO₂ of ${STAINLESS_MOST_CO2_PCT} % at most`,
      ISO_14175,
      wants(
        process.id === 'gmaw-spray' ? '98/2 Ar/CO₂, M12, or Ar/O₂, M13' : 'A helium mix with little CO₂, M12',
      ),
    )
  }
  return fits(() => `${gas.name} suits the metal`, ISO_14175)
}

const gasForSpray: Judge = (assembly) => {
  const { gas, process } = assembly
  if (!gas || process.id !== 'gmaw-spray' || !metalsOf(assembly).includes('carbon-steel')) return null
  return gas.co2Pct > SPRAY_MOST_CO2_PCT
    ? short(
        () => `With ${printNumber(gas.co2Pct)} % CO₂ steel never sprays: use at least 80 % argon`,
        undefined,
        wants('90/10 Ar/CO₂, M20, or another mix of at least 80 % argon'),
      )
    : fits(() => `${printNumber(gas.co2Pct)} % CO₂ lets steel spray`)
}

/** A gas-shielded cored wire is made for CO₂, for an argon mix, or for either. */
const gasOfWire: Judge = ({ gas, wire, process }) => {
  if (!gas || process.id !== 'fcaw-g' || wire?.form !== 'cored-gas-shielded') return null
  const said = gasOf(wire)
  if (!said) return notKnown(`which gas ${wire.name} is made for: read it off the spool`)
  const isCo2 = gas.co2Pct >= AS_CO2_PCT
  const isMixed = gas.co2Pct >= MIXED_CO2_PCT[0] && gas.co2Pct <= MIXED_CO2_PCT[1]
  const words = {
    co2: 'CO₂',
    mixed: '75 to 80 % argon with CO₂',
    either: 'CO₂ or 75 to 80 % argon with CO₂',
  }[said.value]
  const right = said.value === 'co2' ? isCo2 : said.value === 'mixed' ? isMixed : isCo2 || isMixed
  return right
    ? fits(() => `${wire.name} is made for ${words}`, said.source)
    : short(() => `${wire.name} is made for ${words}, not ${gas.name}`, said.source, wants(words))
}

const FITTING_WORDS = { inert: 'argon and its mixes', co2: 'CO₂' } as const
const CGA = standard('CGA V-1: valve outlet 580 for argon and its mixes, 320 for CO₂', true)

/** A CO₂ cylinder has another valve than one of argon or a mix. */
const gasFitting: Judge = ({ gas, flowMeter }) => {
  if (!gas || !flowMeter) return null
  const wanted = gas.co2Pct >= AS_CO2_PCT ? 'co2' : 'inert'
  return flowMeter.fittings.includes(wanted)
    ? fits(() => `${flowMeter.name} fits the valve for ${FITTING_WORDS[wanted]}`, CGA)
    : short(
        () =>
          `${flowMeter.name} fits the valve for ${flowMeter.fittings.map((one) => FITTING_WORDS[one]).join(' and ')}; ${gas.name} has the valve for ${FITTING_WORDS[wanted]}`,
        CGA,
        {
          mends: [
            { says: `A flow meter or an adapter made for ${FITTING_WORDS[wanted]}; never force a thread` },
          ],
        },
      )
}

const scaleOf = (meter: FlowMeter, gas: Gas) => nearestScale(meter.scales, gasGravity(gas))

/** On another gas than its scale is for a meter reads wrong by a known factor. */
const flowScale: Judge = (assembly) => {
  const { gas, flowMeter } = assembly
  const scale = gas && flowMeter ? scaleOf(flowMeter, gas) : undefined
  if (!gas || !flowMeter || !scale) return null
  const factor = scaleFactor(scale, gas)
  const steps = () => factor.steps
  if (Math.abs(factor.value - 1) <= TRUE_ENOUGH) {
    return fits(
      () =>
        `Read the ${SCALE_WORDS[scale]} scale: true for ${gas.name} within ${printNumber(TRUE_ENOUGH * 100)} %`,
      undefined,
      { steps },
    )
  }
  const says = () => {
    const flow = flowOf(assembly)
    const [truth, reading] = [flow.value, flow.value / factor.value].map((one) =>
      print(assembly, one, 'L/min'),
    )
    return `The ${SCALE_WORDS[scale]} scale reads ${factor.value > 1 ? 'low' : 'high'} on ${gas.name}: for ${truth} set ${reading}`
  }
  return tight(says, undefined, {
    steps: () => [...flowOf(assembly).steps, ...steps()],
    mends: [{ says: `A meter with a scale for ${gas.name}` }],
  })
}

/** CO₂ cools as it expands, and water in it freezes the regulator at high draw. */
const regulatorFreezing: Judge = (assembly) => {
  const { gas, flowMeter, assume } = assembly
  if (!gas || !flowMeter || gas.co2Pct < AS_CO2_PCT) return null
  if (flowMeter.heated) return fits(() => `${flowMeter.name} is heated: it does not freeze`)
  const flow = flowOf(assembly)
  const limit = assume.term('co2FreezeLPerMin', 'Q')
  const words = [print(assembly, flow.value, 'L/min'), print(assembly, Number(limit.value), 'L/min')]
  return flow.value > Number(limit.value)
    ? tight(
        () => `CO₂ at ${words[0]} may freeze a regulator without heater, from about ${words[1]} on`,
        limit.source,
        {
          steps: () => flow.steps,
          mends: [{ says: 'A heated regulator, less flow, or two cylinders on a manifold' }],
        },
      )
    : fits(() => `CO₂ at ${words[0]} does not freeze the regulator, up to about ${words[1]}`, limit.source)
}

export const GAS_RULES: readonly Rule[] = [
  {
    id: 'gas-for-process',
    title: 'Gas for the process',
    group: 'shielding',
    slots: ['gas'],
    judge: gasForProcess,
  },
  {
    id: 'gas-for-metal',
    title: 'Gas for the metal',
    group: 'shielding',
    slots: ['gas', 'wire'],
    judge: gasForMetal,
  },
  {
    id: 'gas-for-spray',
    title: 'Gas for spray',
    group: 'shielding',
    slots: ['gas', 'wire'],
    judge: gasForSpray,
  },
  {
    id: 'gas-of-wire',
    title: 'Gas of the wire',
    group: 'shielding',
    slots: ['gas', 'wire'],
    judge: gasOfWire,
  },
  {
    id: 'gas-fitting',
    title: 'Cylinder fitting',
    group: 'gas-path',
    slots: ['gas', 'flowMeter'],
    judge: gasFitting,
  },
  {
    id: 'flow-scale',
    title: 'Flow meter scale',
    group: 'gas-path',
    slots: ['gas', 'flowMeter', 'wire', 'cup'],
    judge: flowScale,
  },
  {
    id: 'regulator-freezing',
    title: 'Freezing',
    group: 'gas-path',
    slots: ['gas', 'flowMeter', 'wire', 'cup'],
    judge: regulatorFreezing,
  },
]
