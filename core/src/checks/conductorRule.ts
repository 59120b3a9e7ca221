/** Whether the cable is large enough for this machine by the rule book, whatever the job. */
import { dutyAtCurrentPct } from '../duty/curve.ts'
import { dataPlate } from '../model/source.ts'
import { type Step, term } from '../model/working.ts'
import { plateInputA } from '../supply/plateInput.ts'
import { smallestConductor } from '../supply/ruleBook.ts'
import { ampacityStep } from './ampacityStep.ts'
import { type Check, judge, unknownFinding } from './check.ts'

const NAME = { check: 'conductor-rule', title: 'Cable, by the rule' }

export const conductorRule: Check = (context) => {
  const { circuit, rules, supply, draw } = context
  if (!circuit) return null
  if (!supply || !draw) return unknownFinding(NAME, context.drawSays)
  const ampacity = rules.ampacityA(circuit.conductorSize)
  if (!ampacity)
    return unknownFinding(NAME, `the ampacity of ${circuit.conductorSize}: not a size of ${rules.name}`)
  const { i1Max, ratedA } = plateInputA(supply, draw)
  const dutyPct = dutyAtCurrentPct(supply.ratedPoints, ratedA)
  const multiplier = rules.multiplier(dutyPct)
  const byRule = Number(i1Max.value) * multiplier.value
  const demandA = supply.i1EffA ?? byRule
  const step: Step =
    supply.i1EffA === null
      ? {
          says: 'Conductor current that the rule asks for',
          formula: 'I = I₁max · m',
          terms: [
            i1Max,
            term('X', 'rated duty at the highest rated current', dutyPct, '%', dataPlate()),
            term('m', 'multiplier for that duty', multiplier.value, '×', multiplier.source),
          ],
          result: { symbol: 'I', value: demandA, unit: 'A' },
          source: multiplier.source,
        }
      : {
          says: 'Conductor current that the rule asks for',
          formula: 'I = I₁eff of the plate',
          terms: [term('I₁eff', 'effective supply current', supply.i1EffA, 'A', dataPlate())],
          result: { symbol: 'I', value: demandA, unit: 'A' },
          source: multiplier.source,
        }
  return judge(context, NAME, {
    demand: { value: demandA, unit: 'A' },
    capacity: { value: ampacity.value, unit: 'A' },
    wantsMargin: false,
    restsOn: 'NEC 630.11(A), 310.16',
    wants: 'The machine asks for a cable of',
    gives: `${circuit.conductorSize} carries`,
    working: [step, ampacityStep(circuit.conductorSize, ampacity)],
    mends: () => {
      const size = smallestConductor(rules, demandA)
      return size === null ? [] : [{ says: `Cable of at least ${size}, by an electrician` }]
    },
  })
}
