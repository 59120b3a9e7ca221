/** Whether the breaker holds through this job's arcs. */
import { computed } from '../model/source.ts'
import { term } from '../model/working.ts'
import { overloadFactor, timeConstantS } from '../supply/breakerHeat.ts'
import { inputCurrentA, inputSteps } from '../supply/inputCurrent.ts'
import { smallestBreakerA } from '../supply/ruleBook.ts'
import { type Check, judge, jointWithMost, unknownFinding } from './check.ts'

const NAME = { check: 'breaker-holds', title: 'Breaker holds' }

export const breakerHolds: Check = (context) => {
  const { circuit, rules, draw, duty, pauseS } = context
  if (!circuit) return null
  if (!draw) return unknownFinding(NAME, context.drawSays)
  if (!duty) return unknownFinding(NAME, 'a wire: arc time follows from it')
  const holds = rules.breakerHoldsA(circuit.breakerA)
  const trip = rules.breakerTripAtDoubleS(circuit.breakerA)
  const factorFor = (arcS: number | null) => overloadFactor(arcS ?? 0, pauseS, timeConstantS(trip.value))
  const figures = jointWithMost(
    context,
    ({ wanted, arcPerPassS }) => inputCurrentA(draw, wanted.value) / factorFor(arcPerPassS),
  )
  const input = inputCurrentA(draw, figures.wanted.value)
  const factor = factorFor(figures.arcPerPassS)
  const demandA = input / factor
  return judge(context, NAME, {
    jointId: figures.joint.id,
    demand: { value: demandA, unit: 'A' },
    capacity: { value: holds.value, unit: 'A' },
    restsOn: 'UL 489 trip points, estimate',
    wants: 'Heats the breaker like a steady',
    gives: 'it holds',
    working: [
      ...figures.wanted.steps,
      ...inputSteps(draw, figures.wanted.value),
      {
        says: 'Steady current that heats the breaker as much',
        formula: 'I_b = I₁ / k,  k = √((1 − e^(−T/θ)) / (1 − e^(−a/θ)))',
        terms: [
          term('I₁', 'drawn while the arc burns', input, 'A', computed()),
          term('a', 'one arc', figures.arcPerPassS ?? 0, 's', computed()),
          term('T', 'arc and pause', (figures.arcPerPassS ?? 0) + pauseS, 's', computed()),
          term('θ', 'time constant of the breaker', timeConstantS(trip.value), 's', trip.source),
          term('k', 'overload that it takes', factor, '×', computed()),
        ],
        result: { symbol: 'I_b', value: demandA, unit: 'A' },
        source: computed('one heat store fitted to the trip points of UL 489; an estimate'),
      },
    ],
    mends: () => {
      const size = smallestBreakerA(rules, demandA)
      return size === null
        ? []
        : [
            {
              says: `A circuit with a breaker of at least ${size} A, put in by an electrician with the cable to match`,
            },
          ]
    },
  })
}
