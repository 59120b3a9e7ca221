/** Whether the feeder reaches, on this supply voltage, the wire speed that the current burns off. */
import { feedMaxOf, feedPathOf } from '../assembly/assembly.ts'
import { dataPlate } from '../model/source.ts'
import { term } from '../model/working.ts'
import { supplyWords } from '../fit/supplyFor.ts'
import { type Check, judge, jointWithMost, unknownFinding } from './check.ts'

const NAME = { check: 'feed-speed', title: 'Wire feed speed' }

export const feedSpeed: Check = (context) => {
  const { process, powerSource, wire, supply, circuit } = context
  if (!process.feedsWire) return null
  if (!wire) return unknownFinding(NAME, 'the wire')
  const path = feedPathOf(context)
  if (!path) return unknownFinding(NAME, `a wire feeder: ${powerSource.name} has none built in`)
  const mostMmPerMin = feedMaxOf(path, supply)
  if (mostMmPerMin === null) {
    return unknownFinding(NAME, `the greatest wire feed speed of ${path.name}: read it off the machine`)
  }
  const figures = jointWithMost(context, ({ feed }) => feed?.value ?? 0)
  const demand = figures.feed
  if (!demand) return unknownFinding(NAME, 'the wire')
  return judge(context, NAME, {
    jointId: figures.joint.id,
    demand: { value: demand.value, unit: 'mm/min' },
    capacity: { value: mostMmPerMin, unit: 'mm/min' },
    restsOn: 'AWS handbook, plate',
    wants: `${wire.name} burns off at`,
    gives: `${path.name} reaches on ${supplyWords(circuit)}`,
    working: [
      ...demand.steps,
      {
        says: 'Greatest feed speed',
        formula: 'v_max',
        terms: [term('v_max', path.name, mostMmPerMin, 'mm/min', dataPlate())],
        result: { symbol: 'v_max', value: mostMmPerMin, unit: 'mm/min' },
        source: dataPlate(),
      },
    ],
  })
}
