/** Whether the feeder reaches the wire speed that the current burns off. */
import { dataPlate } from '../model/source.ts'
import { term } from '../model/working.ts'
import { type Check, judge, jointWithMost, unknownFinding } from './check.ts'

const NAME = { check: 'feed-speed', title: 'Wire feed speed' }

export const feedSpeed: Check = (context) => {
  const { process, powerSource, wire } = context
  if (!process.feedsWire) return null
  if (!wire) return unknownFinding(NAME, 'the wire')
  if (powerSource.feedMaxMmPerMin === null) {
    return unknownFinding(
      NAME,
      `the greatest wire feed speed of ${powerSource.name}: read it off the machine`,
    )
  }
  const figures = jointWithMost(context, ({ feed }) => feed?.value ?? 0)
  const demand = figures.feed
  if (!demand) return unknownFinding(NAME, 'the wire')
  return judge(context, NAME, {
    jointId: figures.joint.id,
    demand: { value: demand.value, unit: 'mm/min' },
    capacity: { value: powerSource.feedMaxMmPerMin, unit: 'mm/min' },
    restsOn: 'AWS handbook, plate',
    wants: `${wire.name} burns off at`,
    gives: 'the feeder reaches',
    working: [
      ...demand.steps,
      {
        says: 'Greatest feed speed',
        formula: 'v_max',
        terms: [term('v_max', 'feeder', powerSource.feedMaxMmPerMin, 'mm/min', dataPlate())],
        result: { symbol: 'v_max', value: powerSource.feedMaxMmPerMin, unit: 'mm/min' },
        source: dataPlate(),
      },
    ],
  })
}
