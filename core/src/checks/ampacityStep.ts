/** The step that both cable checks end in: what the conductor in the wall carries. */
import { computed } from '../model/source.ts'
import { type Step, term } from '../model/working.ts'
import type { Ruled } from '../supply/ruleBook.ts'

export const ampacityStep = (conductorSize: string, ampacity: Ruled): Step => ({
  says: 'What the cable carries',
  formula: 'ampacity by size',
  terms: [term('size', 'conductor', conductorSize, '', computed('circuit'))],
  result: { symbol: 'ampacity', value: ampacity.value, unit: 'A' },
  source: ampacity.source,
})
