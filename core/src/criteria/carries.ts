/** The current that each link of the chain carries for a job: circuit, power source, gun or torch, wire or tungsten. */
import { commonPractice, computed, dataPlate } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { currentAtDutyA, sustainedCurrent } from '../duty/curve.ts'
import { message, type Message } from '../model/message.ts'
import { leftForMachineA, leftForMachineFrom } from '../supply/generator.ts'
import { heldByBreaker, heldWithoutEndA, overloadFactor } from '../supply/breaker/overload.ts'
import { heldBesideA } from '../supply/otherLoads.ts'
import {
  currentAtEffectiveInputA,
  currentAtInput,
  currentAtInputA,
  currentByCable,
  weldingCurrentA,
  weldingCurrentAt,
} from '../supply/inputCurrent.ts'

export const LINK_IDS = ['circuit', 'source', 'gun', 'electrode'] as const
export type LinkId = (typeof LINK_IDS)[number]

/** What a link carries, A. */
export interface Carried {
  /** From the least to the most that it carries through this job without more rest than the job has. */
  readonly lowA: number
  readonly highA: number
  /** How low it can still be used, and how high with as much rest as it takes. */
  readonly leastA: number
  readonly mostA: number
}
/** What a link carries, or what is missing for it. */
export type Carries = (Carried & { readonly missing: null }) | { readonly missing: Message }

/** A link that rest does not change. */
const steady = (lowA: number, highA: number): Carries => ({
  lowA,
  highA,
  leastA: lowA,
  mostA: highA,
  missing: null,
})

/** How arcs and pauses follow each other. */
export type Pattern = Pick<Demand, 'dutyPct' | 'pauseS'>

const lacks = (missing: Message): Carries => ({ missing })
/** A job without arc time has no duty. */
export const NO_ARC_TIME = message('wire-for-arc')
/** Below this a duty is taken as this: the curve has no end there. */
const LEAST_DUTY_PCT = 0.1

const circuitCurrent = calculation({
  id: 'circuit-current',
  title: 'Current that the circuit sustains',
  symbol: 'I_circuit',
  unit: 'A',
  expression: 'min(I_b, I_c)',
  inputs: { I_b: from(currentAtInput), I_c: from(currentByCable) },
  compute: ({ I_b, I_c }) => Math.min(I_b, I_c),
  source: computed('the weaker of breaker and cable'),
})

const currentByGenerator = weldingCurrentAt({
  id: 'current-by-generator',
  title: 'Welding current at which the generator is fully used',
  symbol: 'I_k',
  I_1: leftForMachineFrom,
  source: computed('volts times amps: what its windings carry'),
})
const generatorCurrent = calculation({
  id: 'generator-current',
  title: 'Current that circuit and generator sustain',
  symbol: 'I_circuit',
  unit: 'A',
  expression: 'min(I_s, I_k)',
  inputs: { I_s: from(circuitCurrent), I_k: from(currentByGenerator) },
  compute: ({ I_s, I_k }) => Math.min(I_s, I_k),
  source: computed('the weaker of breaker, cable and generator'),
})

/** Welding current at which a generator is fully used, A; null where the supplier feeds the circuit. */
function generatorCarriesA({ generator, circuit, draw, building, reckoner }: Capability): number | null {
  if (!generator || !circuit || !draw) return null
  return weldingCurrentA(
    currentByGenerator,
    draw,
    leftForMachineA(generator, circuit, building, reckoner),
    reckoner,
  )
}

/** @returns null for a set that an engine drives: there is no circuit */
export const circuitCarries = (capability: Capability, demand: Demand, weld: WeldFigures): Carries | null =>
  circuitCarrier(capability, demand)?.(weld) ?? null

/** The same for one weld after the other: what the cable lets through is the same for all of them. */
export function circuitCarrier(
  capability: Capability,
  d: Pattern,
): ((weld: Pick<WeldFigures, 'oneArcS'>) => Carries) | null {
  const { circuit, draw, ampacity, rules, reckoner } = capability
  if (!circuit) return null
  const lacking = (missing: Message) => () => lacks(missing)
  if (!draw)
    return lacking(
      capability.supply ? capability.drawMissing : (capability.supplyAnswer.why ?? capability.drawMissing),
    )
  if (d.dutyPct === null) return lacking(NO_ARC_TIME)
  if (!ampacity) return lacking(message('ampacity', { size: circuit.conductorSize, book: rules.name }))
  const I_c = currentAtEffectiveInputA(draw, ampacity.value, d.dutyPct, reckoner)
  const I_h = heldBesideA(
    heldWithoutEndA(circuit, capability.breaker, reckoner),
    circuit,
    capability.building.loads,
    reckoner,
  )
  const I_k = generatorCarriesA(capability)
  return ({ oneArcS }) => {
    if (oneArcS === null) return lacks(NO_ARC_TIME)
    const k = overloadFactor(oneArcS, d.pauseS, capability.breakerConstantS, reckoner)
    const I_b = currentAtInputA(draw, reckoner.compute(heldByBreaker, { I_h, k }), reckoner)
    const I_s = reckoner.compute(circuitCurrent, { I_b, I_c })
    return steady(0, I_k === null ? I_s : reckoner.compute(generatorCurrent, { I_s, I_k }))
  }
}

export const lowestOutput = calculation({
  id: 'lowest-output',
  title: 'Least current that it holds on this supply voltage',
  symbol: 'I_low',
  unit: 'A',
  expression: 'max(I_min, I_stable)',
  inputs: {
    I_min: input('least output', 'A', dataPlate()),
    I_stable: input('lowest stable current, where known', 'A', dataPlate()),
  },
  compute: ({ I_min, I_stable }) => Math.max(I_min, I_stable),
  source: dataPlate(),
})

/** Least current at which the source holds an arc, A; null without a supply. */
export function lowestOutputA({ supply, powerSource, reckoner }: Capability): number | null {
  if (!supply || !powerSource) return null
  return reckoner.compute(lowestOutput, {
    I_min: supply.outputMinA,
    I_stable: powerSource.lowestStableA ?? supply.outputMinA,
  })
}

export const greatestOutput = calculation({
  id: 'greatest-output',
  title: 'Greatest output on this supply voltage',
  symbol: 'I_max',
  unit: 'A',
  expression: 'I_max',
  inputs: { I_max: input('greatest output', 'A', dataPlate()) },
  compute: ({ I_max }) => I_max,
  source: dataPlate(),
})
const sourceCurrent = calculation({
  id: 'source-current',
  title: 'Current that the source sustains',
  symbol: 'I_source',
  unit: 'A',
  expression: 'min(I, I_max)',
  inputs: { I: from(sustainedCurrent), I_max: from(greatestOutput) },
  compute: ({ I, I_max }) => Math.min(I, I_max),
  source: dataPlate(),
})

export function sourceCarries(capability: Capability, d: Pattern): Carries {
  const { supply, reckoner } = capability
  const lowA = lowestOutputA(capability)
  if (!supply || lowA === null) return lacks(capability.supplyAnswer.why ?? message('supply'))
  if (d.dutyPct === null) return lacks(NO_ARC_TIME)
  const I = currentAtDutyA(supply.ratedPoints, Math.max(d.dutyPct, LEAST_DUTY_PCT), reckoner)
  const mostA = reckoner.compute(greatestOutput, { I_max: supply.outputMaxA })
  return {
    lowA,
    highA: reckoner.compute(sourceCurrent, { I, I_max: mostA }),
    leastA: lowA,
    mostA,
    missing: null,
  }
}

const gunDutyPct = calculation({
  id: 'gun-duty-floor',
  title: 'Duty that the gun’s rating is taken at',
  symbol: 'X',
  unit: '%',
  expression: 'max(X_1, X_0)',
  inputs: {
    X_1: input(
      'duty cycle needed',
      '%',
      computed('duty of the job, or of its rating'),
      'job-duty',
      'capacity-duty',
      'capacity-limit-duty',
    ),
    X_0: inputOrAssumed('least duty', '%', computed()),
  },
  compute: ({ X_1, X_0 }) => Math.max(X_1, X_0),
  source: computed('a rating is not stretched below the least duty class'),
})
export const gunCurrent = calculation({
  id: 'gun-current',
  title: 'Current that the gun or torch sustains',
  symbol: 'I_gun',
  unit: 'A',
  expression: 'I',
  inputs: {
    I: from(sustainedCurrent),
    X: from(gunDutyPct),
  },
  compute: ({ I }) => I,
  source: computed('IEC 60974-7, rating of torches'),
})

const gunShortDuty = calculation({
  id: 'gun-short-duty',
  title: 'Duty of short welds with rest between',
  symbol: 'X',
  unit: '%',
  expression: 'X_0',
  inputs: { X_0: assumed('gunShortDutyPct') },
  compute: ({ X_0 }) => X_0,
  source: commonPractice(),
})
export const gunShortCurrent = calculation({
  id: 'gun-current-short',
  title: 'Current of the gun or torch in short welds with rest between',
  symbol: 'I_most',
  unit: 'A',
  expression: 'I',
  inputs: { I: from(sustainedCurrent) },
  compute: ({ I }) => I,
  source: commonPractice(),
})

/** @param dutyPct asked; the rating's own where no job asks */
export function gunCarriesAt(capability: Capability, dutyPct: number | null): Carries {
  const points = capability.gunPoints
  if (!points) return lacks(message('gun'))
  if (points.missing !== null) return lacks(points.missing)
  const { reckoner } = capability
  const X_1 = dutyPct ?? Math.max(...points.points.map((point) => point.dutyPct))
  const X_s = reckoner.compute(gunShortDuty, {})
  const mostA = reckoner.compute(gunShortCurrent, { I: currentAtDutyA(points.points, X_s, reckoner) })
  const X = reckoner.compute(gunDutyPct, { X_1, X_0: 'gunLeastDutyPct' })
  const highA = reckoner.compute(gunCurrent, { I: currentAtDutyA(points.points, X, reckoner), X })
  return { lowA: 0, leastA: 0, highA, mostA, missing: null }
}

export const gunCarries = (capability: Capability, demand: Demand): Carries =>
  demand.dutyPct === null && capability.gunPoints?.missing === null
    ? lacks(NO_ARC_TIME)
    : gunCarriesAt(capability, demand.dutyPct)

export const electrodeLeast = calculation({
  id: 'electrode-least',
  title: 'Least current that wire or tungsten runs at',
  symbol: 'I_min',
  unit: 'A',
  expression: 'I_min',
  inputs: { I_min: input('least usable current', 'A', computed('by form and diameter')) },
  compute: ({ I_min }) => I_min,
  source: computed('table, or the wire’s own data'),
})
export const electrodeCurrent = calculation({
  id: 'electrode-current',
  title: 'Most current that wire or tungsten takes',
  symbol: 'I_electrode',
  unit: 'A',
  expression: 'I_max',
  inputs: {
    I_max: input('most usable current', 'A', computed('by form and diameter')),
  },
  compute: ({ I_max }) => I_max,
  source: computed('table, or the wire’s own data'),
})

export function electrodeCarries({ electrode, reckoner }: Capability): Carries {
  if (electrode.missing !== null) return lacks(electrode.missing)
  const { minA, maxA, stableA, source } = electrode.range
  const lowA = reckoner.compute(electrodeLeast, { I_min: minA }, () => ({ I_min: { source } }))
  const highA = reckoner.compute(electrodeCurrent, { I_max: maxA }, () => ({ I_max: { source } }))
  return { lowA, highA, leastA: stableA, mostA: highA, missing: null }
}

/** The calculations that end in what each link carries: what its working shows. */
export const LINK_FROM = {
  circuit: [circuitCurrent, generatorCurrent],
  source: [sourceCurrent, greatestOutput],
  gun: [gunCurrent, gunShortCurrent],
  electrode: [electrodeLeast, electrodeCurrent],
} as const
