/** A welder who is not there: arcs and pauses as a monitor would measure them, the same for the same seed. Invented. */
import { randomLcg, randomNormal } from 'd3-random'

/** What can go wrong while it is watched; packets are lost on the way, by the monitor. */
export const INCIDENTS = ['none', 'stubbing', 'gas-out', 'breaker-trip', 'lost-packets'] as const
export type Incident = (typeof INCIDENTS)[number]

/** Volts, amps, wire speed in mm/min, gas in L/min. */
export type Reading = readonly [voltsV: number, currentA: number, feedMmPerMin: number, flowLPerMin: number]

export const SAMPLES_PER_S = 100
const WELD = { voltsV: 19.6, currentA: 158, feedMmPerMin: 8100, flowLPerMin: 14.2 } as const
const OPEN_V = 62
/** Seconds of arc and pause, each drawn anew. */
const ARC_S = { least: 8, most: 26 } as const
const PAUSE_S = { least: 3, most: 14 } as const
const POST_FLOW_S = 1

const round = (value: number, digits: number): number => Number(value.toFixed(digits))

/**
 * Readings without end, 100 a second.
 * @param seed the same seed gives the same weld
 * @param incident happens in the second arc, and passes
 * @example simulatedWeld(7, 'none').next().value // [62, 0, 0, 0]
 */
export function* simulatedWeld(seed: number, incident: Incident = 'none'): Generator<Reading, never, void> {
  const random = randomLcg(seed)
  const spread = randomNormal.source(random)
  const [volts, amps, feed, flow] = [spread(0, 0.7), spread(0, 13), spread(0, 60), spread(0, 0.15)]
  const between = ({ least, most }: { readonly least: number; readonly most: number }): number =>
    Math.round((least + (most - least) * random()) * SAMPLES_PER_S)
  const idle = (): Reading => [OPEN_V + round(volts() / 3, 1), 0, 0, 0]
  for (let arc = 1; ; arc += 1) {
    for (let left = between(PAUSE_S); left > 0; left -= 1) yield idle()
    const length = between(ARC_S)
    const happens = arc === 2 ? incident : 'none'
    for (let at = 0; at < length; at += 1) {
      const isLate = at > length / 3
      if (happens === 'breaker-trip' && isLate) {
        // The panel is dead until somebody has walked there and back.
        for (let dead = 20 * SAMPLES_PER_S; dead > 0; dead -= 1) yield [0, 0, 0, 0]
        break
      }
      const isStub = happens === 'stubbing' && isLate && at % 40 < 12
      yield [
        round(Math.max(0, (isStub ? 6 : WELD.voltsV) + volts()), 2),
        round(Math.max(0, (isStub ? 270 : WELD.currentA) + amps()), 1),
        round(WELD.feedMmPerMin + feed(), 0),
        happens === 'gas-out' && isLate ? 0 : round(WELD.flowLPerMin + flow(), 2),
      ]
    }
    for (let left = POST_FLOW_S * SAMPLES_PER_S; left > 0; left -= 1)
      yield [OPEN_V, 0, 0, round(WELD.flowLPerMin, 2)]
  }
}
