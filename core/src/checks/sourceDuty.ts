/** Whether the power source lasts through the worst ten minutes at the highest current wanted. */
import { dutyAtCurrentPct } from '../duty/curve.ts'
import { pauseFor } from '../fit/context.ts'
import { dataPlate, standard } from '../model/source.ts'
import { term } from '../model/working.ts'
import { printValue } from '../quantity/printValue.ts'
import { type Check, judge, unknownFinding } from './check.ts'
import { dutyMends } from './dutyMends.ts'

const CHECK = 'source-duty'

export const sourceDuty: Check = (context) => {
  const { supply, duty, governing } = context
  const currentA = governing.wanted.value
  const name = { check: CHECK, title: `Source duty at ${printValue(currentA, 'A', 'metric')}` }
  if (!supply) return unknownFinding(name, 'a supply voltage that the source takes')
  if (!duty) return unknownFinding(name, 'a wire: arc time follows from it')
  const allowed = dutyAtCurrentPct(supply.ratedPoints, currentA)
  return judge(context, name, {
    jointId: governing.joint.id,
    demand: { value: duty.value, unit: '%' },
    capacity: { value: allowed, unit: '%' },
    restsOn: 'IEC 60974-1, data plate',
    wants: 'The worst ten minutes ask',
    gives: 'the source allows',
    working: [
      ...duty.steps,
      {
        says: 'Duty that the source allows at this current',
        formula: 'X = X_r · (I_r / I)², at most 100 %',
        terms: [
          ...supply.ratedPoints.map((point) =>
            term('I_r at X_r', `rated at ${point.dutyPct} %`, point.currentA, 'A', dataPlate()),
          ),
          term('I', 'current wanted', currentA, 'A', dataPlate('worked out above')),
        ],
        result: { symbol: 'X', value: allowed, unit: '%' },
        source: standard('IEC 60974-1, I²·X constant between and beyond the rated points', true),
      },
    ],
    mends: () => dutyMends(pauseFor(context, allowed), 'the source'),
  })
}
