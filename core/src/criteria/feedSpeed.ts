/** Criterion of the feeder's speed: fast enough for the weld with the highest current, and slow enough for the thinnest. */
import { computed, dataPlate, standard } from '../basis/source.ts'
import { assumed, calculation, from, input } from '../calculation/calculation.ts'
import { FEED_SLOTS } from '../capability/capability.ts'
import { leastWanted, mostWanted } from '../demand/demand.ts'
import { figure, message, word } from '../model/message.ts'
import { currentAtFeed, wireFeed, wireFeedSpeed } from '../trade/burnOff.ts'
import { BY_FEED, type Criterion, measured, unknown } from './criterion.ts'
import { verdictOfCurrent, WINDOW } from './withinWindow.ts'

const PLATE = dataPlate()

const feedReading = calculation({
  id: 'greatest-feed',
  title: 'Greatest feed speed on this supply voltage',
  symbol: 'v_max',
  unit: 'mm/min',
  expression: 'v_max',
  inputs: { v_max: input('greatest feed speed', 'mm/min', PLATE) },
  compute: ({ v_max }) => v_max,
  source: PLATE,
})

const slowestReading = calculation({
  id: 'least-feed',
  title: 'Slowest feed speed',
  symbol: 'v_min',
  unit: 'mm/min',
  expression: 'v_min',
  inputs: { v_min: input('slowest feed speed', 'mm/min', PLATE) },
  compute: ({ v_min }) => v_min,
  source: PLATE,
})

export const feedStretched = calculation({
  id: 'feed-within-band',
  title: 'Feed speed that its greatest still stands for, within the band of a start',
  symbol: 'v_b',
  unit: 'mm/min',
  expression: 'v_max / (1 - b / 100)',
  inputs: { v_max: from(feedReading), b: assumed('feedBandPct') },
  compute: ({ v_max, b }) => v_max / (1 - b / 100),
  source: computed('a start, not a procedure'),
})

/** At the job's currents; without a job at the wire's lowest. */
const feedSpeed: Criterion = {
  id: 'feed-speed',
  concerns: 'feed-path',
  group: null,
  slots: ['circuit', ...FEED_SLOTS, 'wire'],
  facets: BY_FEED,
  demandFrom: [wireFeed],
  capacityFrom: [feedReading],
  alsoFrom: [slowestReading, feedStretched, mostWanted, leastWanted, ...WINDOW],
  assess(capability, demand) {
    const { process, powerSource, wire, fedWire, feedPath, feedMaxMmPerMin, circuit, reckoner } = capability
    if (!process.feedsWire || !powerSource) return null
    if (!wire) return unknown('feed-speed', message('wire'))
    // Another criterion says that a rod is no wire.
    if (!fedWire) return null
    if (!feedPath) return unknown('feed-speed', message('feeder', { source: powerSource.name }))
    if (feedMaxMmPerMin === null) return unknown('feed-speed', message('feed-max', { feeder: feedPath.name }))
    const supply = circuit ? figure(circuit.voltageV, 'V') : word('supply', 'engine')
    const most = reckoner.compute(feedReading, { v_max: feedMaxMmPerMin })
    if (!demand) {
      const currentA = capability.electrode.range?.minA
      if (currentA === undefined) return null
      return measured(capability, 'feed-speed', {
        code: 'at-lowest',
        params: { wire: wire.name, feeder: feedPath.name, current: figure(currentA, 'A'), supply },
        demand: wireFeedSpeed(wire, currentA, process.id, reckoner),
        capacity: most,
        unit: 'mm/min',
        isLimit: true,
        source: standard('AWS handbook, plate', true),
      })
    }
    const currentAt = (feed: number) => currentAtFeed(wire, feed, process.id, reckoner)
    const slowest = feedPath.feeder.feedMinMmPerMin
    const least = slowest === null ? 0 : reckoner.compute(slowestReading, { v_min: slowest })
    const [highA, lowA] = [currentAt(most), currentAt(least)]
    // A start has a band: so little short of it, the arc is only a little shorter of wire than it might be.
    const mostA = currentAt(reckoner.compute(feedStretched, { v_max: most }))
    const carried = { lowA, highA, leastA: lowA, mostA }
    const isTooFast = lowA > demand.thinnest.wantedA
    const weld = isTooFast ? demand.thinnest : demand.hungriest
    const params = { wire: wire.name, feeder: feedPath.name, current: figure(weld.wantedA, 'A'), supply }
    return {
      ...measured(capability, 'feed-speed', {
        code: isTooFast ? 'too-fast' : 'measured',
        params,
        demand: wireFeedSpeed(wire, weld.wantedA, process.id, reckoner),
        capacity: most,
        // The slow end is only told where it is the trouble.
        capacityLow: isTooFast ? least : 0,
        unit: 'mm/min',
        isLimit: true,
        weldId: weld.joint.id,
        pass: weld.pass,
        source: standard('AWS handbook, plate', true),
      }),
      verdict: verdictOfCurrent(weld, carried),
    }
  },
  mends: (_c, demand, { code }) => [
    message(!demand ? 'thicker-wire' : code === 'too-fast' ? 'thinner-wire' : 'faster-feeder'),
  ],
}

export const FEED_CRITERIA: readonly Criterion[] = [feedSpeed]
