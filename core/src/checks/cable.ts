/** Whether the circuit's cable carries what this job draws. */
import { effectiveInputA, effectiveInputSteps } from '../supply/inputCurrent.ts'
import { smallestConductor } from '../supply/ruleBook.ts'
import { ampacityStep } from './ampacityStep.ts'
import { type Check, judge, unknownFinding } from './check.ts'

const NAME = { check: 'cable', title: 'Cable, this job' }

export const cable: Check = (context) => {
  const { circuit, rules, draw, duty, governing } = context
  if (!circuit) return null
  if (!draw) return unknownFinding(NAME, context.drawSays)
  if (!duty) return unknownFinding(NAME, 'a wire: arc time follows from it')
  const ampacity = rules.ampacityA(circuit.conductorSize)
  if (!ampacity)
    return unknownFinding(NAME, `the ampacity of ${circuit.conductorSize}: not a size of ${rules.name}`)
  const demandA = effectiveInputA(draw, governing.wanted.value, duty.value)
  return judge(context, NAME, {
    jointId: governing.joint.id,
    demand: { value: demandA, unit: 'A' },
    capacity: { value: ampacity.value, unit: 'A' },
    restsOn: 'IEC 60974-1 I₁eff, NEC 310.16',
    wants: 'The job’s heating equals a steady',
    gives: `${circuit.conductorSize} carries`,
    working: [
      ...duty.steps,
      ...effectiveInputSteps(draw, governing.wanted.value, duty.value),
      ampacityStep(circuit.conductorSize, ampacity),
    ],
    mends: () => {
      const size = smallestConductor(rules, demandA)
      return size === null ? [] : [{ says: `Cable of at least ${size}, by an electrician` }]
    },
  })
}
