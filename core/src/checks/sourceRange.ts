/** Whether the power source reaches the current of every joint, the thickest and the thinnest. */
import { dataPlate } from '../model/source.ts'
import { term } from '../model/working.ts'
import { type Check, judge, unknownFinding } from './check.ts'
import { rangeMargin } from './rangeMargin.ts'

const NAME = { check: 'source-range', title: 'Source output' }

export const sourceRange: Check = (context) => {
  const { supply, powerSource } = context
  if (!supply) return unknownFinding(NAME, 'a supply voltage that the source takes')
  const { outputMinA, outputMaxA } = supply
  const { lowestStableA } = powerSource
  const leastA = Math.max(outputMinA, lowestStableA ?? 0)
  const { figures, margin } = rangeMargin(context, leastA, outputMaxA)
  return judge(context, NAME, {
    jointId: figures.joint.id,
    demand: { value: figures.wanted.value, unit: 'A' },
    capacity: { value: outputMaxA, unit: 'A', lowValue: leastA },
    margin,
    restsOn: 'data plate',
    wants: 'The joint wants',
    gives: 'the source gives',
    working: [
      ...figures.wanted.steps,
      {
        says: 'Output on this supply voltage',
        formula: lowestStableA === null ? 'I_min ≤ I ≤ I_max' : 'max(I_min, I_stable) ≤ I ≤ I_max',
        terms: [
          term('I_min', 'least output', outputMinA, 'A', dataPlate()),
          ...(lowestStableA === null
            ? []
            : [term('I_stable', 'lowest stable current', lowestStableA, 'A', dataPlate())]),
          term('I_max', 'greatest output', outputMaxA, 'A', dataPlate()),
        ],
        result: { symbol: 'I', value: figures.wanted.value, unit: 'A' },
        source: dataPlate(),
      },
    ],
  })
}
