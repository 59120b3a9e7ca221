/** Whether the leads are where wire and process want them, and whether the source can be changed to it. */
import { wantedPolarity } from '../assembly/rules/polarity.ts'
import type { Check } from './check.ts'
import { rulesOf } from './rulesOf.ts'

const rules = rulesOf({
  name: { check: 'polarity', title: 'Polarity' },
  groups: ['polarity'],
  slots: [],
  wellSaid: ({ setUp }) => `Leads on ${setUp.polarity.toUpperCase()}, as it should be.`,
})

export const polarity: Check = (context) => {
  const found = rules(context)
  if (!found) return null
  return {
    check: found.check,
    title: found.title,
    verdict: found.verdict,
    says: found.says,
    jointId: null,
    marginPct: null,
    missing: found.missing,
    mends: found.mends,
    get working() {
      return found.working
    },
    demand: wantedPolarity(context).toUpperCase(),
    capacity: context.setUp.polarity.toUpperCase(),
    restsOn: context.process.feedsWire && context.wire?.polarity ? 'wire data' : 'common practice',
  }
}
