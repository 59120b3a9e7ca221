/** Whether the breaker is no larger than the rule book lets it be. */
import { term } from '../model/working.ts'
import { dataPlate } from '../model/source.ts'
import { plateInputA } from '../supply/plateInput.ts'
import { type Check, judge, unknownFinding } from './check.ts'

const NAME = { check: 'breaker-rule', title: 'Breaker, by the rule' }

export const breakerRule: Check = (context) => {
  const { circuit, rules, supply, draw } = context
  if (!circuit) return null
  if (!supply || !draw) return unknownFinding(NAME, context.drawSays)
  const ampacity = rules.ampacityA(circuit.conductorSize)
  if (!ampacity)
    return unknownFinding(NAME, `the ampacity of ${circuit.conductorSize}: not a size of ${rules.name}`)
  const { i1Max } = plateInputA(supply, draw)
  const largest = rules.largestBreakerA(Number(i1Max.value), ampacity.value)
  return judge(context, NAME, {
    demand: { value: circuit.breakerA, unit: 'A' },
    capacity: { value: largest.value, unit: 'A' },
    wantsMargin: false,
    restsOn: 'NEC 630.12, 240.6(A)',
    wants: 'The breaker is',
    gives: 'the rule allows up to',
    working: [
      {
        says: 'Largest breaker for this machine and this cable',
        formula: 'next standard size from min(2 · I₁max, 2 · ampacity)',
        terms: [i1Max, term('ampacity', circuit.conductorSize, ampacity.value, 'A', ampacity.source)],
        result: { symbol: 'Iₙ', value: largest.value, unit: 'A' },
        source: largest.source,
      },
      {
        says: 'In the panel',
        formula: 'Iₙ',
        terms: [term('Iₙ', 'breaker', circuit.breakerA, 'A', dataPlate('circuit'))],
        result: { symbol: 'Iₙ', value: circuit.breakerA, unit: 'A' },
        source: dataPlate('circuit'),
      },
    ],
    mends: () => [{ says: `A breaker of at most ${largest.value} A for this machine, by an electrician` }],
  })
}
