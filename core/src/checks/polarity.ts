/** Whether the leads are on the right poles: wrong polarity is the commonest set-up fault there is. */
import { commonPractice, dataPlate } from '../model/source.ts'
import { term } from '../model/working.ts'
import type { Polarity } from '../reference/processes.ts'
import type { Check } from './check.ts'

const WORDS: Readonly<Record<Polarity, string>> = {
  dcep: 'DC, electrode +',
  dcen: 'DC, electrode −',
  ac: 'AC',
}

export const polarity: Check = ({ setUp, process, wire }) => {
  const ofWire = process.feedsWire ? (wire?.polarity ?? null) : null
  const wanted = ofWire ?? process.polarity
  const source = ofWire ? dataPlate('the wire’s own data') : commonPractice('usual polarity of the process')
  const right = setUp.polarity === wanted
  return {
    check: 'polarity',
    title: 'Polarity',
    verdict: right ? 'fits' : 'short',
    says: right
      ? `Leads on ${WORDS[wanted]}.`
      : `Leads are on ${WORDS[setUp.polarity]}, ${process.workshopWord} wants ${WORDS[wanted]}.`,
    jointId: null,
    demand: wanted.toUpperCase(),
    capacity: setUp.polarity.toUpperCase(),
    marginPct: null,
    missing: null,
    restsOn: ofWire ? 'wire data' : 'common practice',
    working: [
      {
        says: 'Polarity wanted',
        formula: 'the wire’s data, else the process',
        terms: [term('set', 'leads of the set-up', WORDS[setUp.polarity], '', dataPlate('set-up'))],
        result: { symbol: 'wanted', value: WORDS[wanted], unit: '' },
        source,
      },
    ],
    mends: right
      ? []
      : [
          {
            says: `Swap the leads to ${WORDS[wanted]}`,
            patch: { on: 'set-up', change: { polarity: wanted } },
          },
        ],
  }
}
