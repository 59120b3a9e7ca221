/** The worst ten minutes of 10,000 arcs must be found in a fiftieth of a second. */
import { bench, describe } from 'vitest'
import { type ArcSeries, worstArcOnS } from './window.ts'

/** Each arc another one: nothing repeats, so nothing is merged. */
const arcs: readonly ArcSeries[] = Array.from({ length: 10_000 }, (_, index) => ({
  arcS: 5 + ((index * 37) % 60),
  offS: 3 + ((index * 53) % 90),
  times: 1,
  stretches: true,
  heat: 0.4 + ((index * 29) % 60) / 100,
}))

describe('the worst ten minutes', () => {
  bench('of 10,000 arcs', () => {
    worstArcOnS(arcs)
  })
})
