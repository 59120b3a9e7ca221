/** The current that each link of the chain can carry for one joint of the job. */
import { currentAtDutyA } from '../duty/curve.ts'
import { computed, dataPlate, type Source, standard } from '../model/source.ts'
import { type Step, term } from '../model/working.ts'
import { overloadFactor, timeConstantS } from '../supply/breakerHeat.ts'
import { currentAtEffectiveInputA, currentAtInputA } from '../supply/inputCurrent.ts'
import { supplyWords } from './supplyFor.ts'
import { electrodeRange } from './electrodeRange.ts'
import type { FitContext } from './context.ts'
import { gunPoints } from './gunPoints.ts'
import type { JointFigures } from './jointFigures.ts'

export const LINK_IDS = ['circuit', 'source', 'gun', 'electrode'] as const
export type LinkId = (typeof LINK_IDS)[number]

export interface Link {
  readonly id: LinkId
  readonly title: string
  readonly detail: string
  /** null where something is missing: then `missing` names it. */
  readonly lowA: number | null
  readonly highA: number | null
  readonly missing: string | null
  readonly working: readonly Step[]
}

const unknown = (id: LinkId, title: string, detail: string, missing: string): Link => ({
  id,
  title,
  detail,
  lowA: null,
  highA: null,
  missing,
  working: [],
})

const least = (candidates: readonly { says: string; value: number }[], source: Source): Step => ({
  says: 'The least of them decides',
  formula: 'I = min(…)',
  terms: candidates.map(({ says, value }, index) =>
    term(`I${'ₐᵦ'[index] ?? ''}`, says, value, 'A', computed()),
  ),
  result: { symbol: 'I', value: Math.min(...candidates.map(({ value }) => value)), unit: 'A' },
  source,
})

/** @returns null for a set that an engine drives: there is no circuit */
export function circuitLink(context: FitContext, figures: JointFigures): Link | null {
  const { circuit, rules, draw, duty, pauseS } = context
  if (!circuit) return null
  const name = ['circuit', 'Circuit', circuit.name] as const
  if (!draw) return unknown(...name, context.supply ? context.drawSays : context.supplyAnswer.says)
  if (!duty || figures.arcPerPassS === null) return unknown(...name, 'a wire: arc time follows from it')
  const ampacity = rules.ampacityA(circuit.conductorSize)
  if (!ampacity)
    return unknown(...name, `the ampacity of ${circuit.conductorSize}: not a size of ${rules.name}`)
  const holds = rules.breakerHoldsA(circuit.breakerA)
  const tripAtDouble = rules.breakerTripAtDoubleS(circuit.breakerA)
  const factor = overloadFactor(figures.arcPerPassS, pauseS, timeConstantS(tripAtDouble.value))
  const byBreaker = currentAtInputA(draw, holds.value * factor)
  const byCable = currentAtEffectiveInputA(draw, ampacity.value, duty.value)
  return {
    id: 'circuit',
    title: 'Circuit',
    detail: circuit.name,
    lowA: 0,
    highA: Math.min(byBreaker, byCable),
    missing: null,
    working: [
      ...duty.steps,
      {
        says: 'Welding current at which the breaker just holds',
        formula: 'U₂·I₂ = w · Iₙ · k',
        terms: [
          term(
            'w',
            'arc power for each ampere drawn',
            draw.arcWattsPerA,
            'W/A',
            dataPlate('plate or assumption'),
          ),
          term('Iₙ', 'breaker', holds.value, 'A', holds.source),
          term('k', 'overload that these arcs and pauses let it take', factor, '×', tripAtDouble.source),
        ],
        result: { symbol: 'Iₐ', value: byBreaker, unit: 'A' },
        source: computed('thermal estimate of the breaker; U₂ by IEC 60974-1'),
      },
      {
        says: 'Welding current at which the cable is fully used',
        formula: 'I₁eff(I₂) = ampacity',
        terms: [
          term('ampacity', circuit.conductorSize, ampacity.value, 'A', ampacity.source),
          term('X', 'worst ten minutes', duty.value, '%', computed()),
        ],
        result: { symbol: 'Iᵦ', value: byCable, unit: 'A' },
        source: standard('IEC 60974-1, effective supply current, solved for I₂', true),
      },
      least(
        [
          { says: 'by the breaker', value: byBreaker },
          { says: 'by the cable', value: byCable },
        ],
        computed('the weaker of breaker and cable'),
      ),
    ],
  }
}

export function sourceLink(context: FitContext): Link {
  const { supply, duty, powerSource, circuit } = context
  const name = ['source', 'Power source', `${powerSource.name}, ${supplyWords(circuit)}`] as const
  if (!supply) return unknown(...name, context.supplyAnswer.says)
  if (!duty) return unknown(...name, 'a wire: arc time follows from it')
  const byDuty = currentAtDutyA(supply.ratedPoints, Math.max(duty.value, 0.1))
  const highA = Math.min(byDuty, supply.outputMaxA)
  return {
    id: 'source',
    title: 'Power source',
    detail: `${powerSource.name}, ${supplyWords(circuit)}`,
    lowA: Math.max(supply.outputMinA, powerSource.lowestStableA ?? 0),
    highA,
    missing: null,
    working: [
      ...duty.steps,
      {
        says: 'Current that it sustains at this duty',
        formula: 'I = I_r · √(X_r / X)',
        terms: [
          ...supply.ratedPoints.map((point) =>
            term('I_r at X_r', `rated at ${point.dutyPct} %`, point.currentA, 'A', dataPlate()),
          ),
          term('X', 'worst ten minutes', duty.value, '%', computed()),
        ],
        result: { symbol: 'Iₐ', value: byDuty, unit: 'A' },
        source: standard('IEC 60974-1, I²·X constant between and beyond the rated points', true),
      },
      least(
        [
          { says: 'by duty', value: byDuty },
          { says: 'greatest output', value: supply.outputMaxA },
        ],
        dataPlate(),
      ),
    ],
  }
}

export function gunLink(context: FitContext): Link {
  const { gun, duty, assume } = context
  const title = gun.kind === 'gun' ? 'Gun' : 'Torch'
  const answer = gunPoints(context)
  const name = ['gun', title, gun.name] as const
  if (answer.missing !== null) return unknown(...name, answer.missing)
  if (!duty) return unknown(...name, 'a wire: arc time follows from it')
  const floor = assume.value('gunLeastDutyPct')
  const atDuty = Math.max(duty.value, floor)
  const highA = currentAtDutyA(answer.points, atDuty)
  return {
    id: 'gun',
    title,
    detail: gun.name,
    lowA: 0,
    highA,
    missing: null,
    working: [
      ...duty.steps,
      ...answer.steps,
      {
        says: 'Current that it sustains at this duty',
        formula: 'I = I_r · √(X_r / max(X, X₀))',
        terms: [
          ...answer.points.map((point) =>
            term('I_r at X_r', `rated at ${point.dutyPct} %`, point.currentA, 'A', answer.source),
          ),
          term('X', 'worst ten minutes', duty.value, '%', computed()),
          assume.term('gunLeastDutyPct', 'X₀'),
        ],
        result: { symbol: 'I', value: highA, unit: 'A' },
        source: standard('IEC 60974-7, rating of torches', true),
      },
    ],
  }
}

export function electrodeLink(context: FitContext): Link {
  const answer = electrodeRange(context)
  const name = ['electrode', answer.title, answer.detail] as const
  if (answer.missing !== null) return unknown(...name, answer.missing)
  const { minA, maxA, source } = answer.range
  return {
    id: 'electrode',
    title: answer.title,
    detail: answer.detail,
    lowA: minA,
    highA: maxA,
    missing: null,
    working: [
      {
        says: 'Usable current',
        formula: 'I_min to I_max by form and diameter',
        terms: [term('I_min', 'least', minA, 'A', source), term('I_max', 'most', maxA, 'A', source)],
        result: { symbol: 'I', value: `${minA} to ${maxA}`, unit: 'A' },
        source,
      },
    ],
  }
}

/** Several checks and the chain look at the same links: they are made once a context, or once a joint of it. */
const shared = new WeakMap<FitContext, readonly Link[]>()
const byJoint = new WeakMap<JointFigures, readonly Link[]>()

function remembered<K extends object, V>(known: WeakMap<K, V>, key: K, make: () => V): V {
  const found = known.get(key)
  if (found !== undefined) return found
  const made = make()
  known.set(key, made)
  return made
}

/** The links in the order in which the amps pass them. */
export const linksFor = (context: FitContext, figures: JointFigures): readonly Link[] =>
  remembered(byJoint, figures, () => [
    ...[circuitLink(context, figures)].filter((link) => link !== null),
    ...remembered(shared, context, () => [sourceLink(context), gunLink(context), electrodeLink(context)]),
  ])
