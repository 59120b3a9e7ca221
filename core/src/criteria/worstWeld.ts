/** Which weld of a job decides a criterion. */
import type { Demand } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'

export interface OfWeld {
  readonly weld: WeldFigures
  readonly value: number
}

/** @returns the weld for which a figure is greatest, the first of equals */
export function weldWithMost({ welds, hungriest }: Demand, figureOf: (weld: WeldFigures) => number): OfWeld {
  let worst: OfWeld | null = null
  for (const weld of welds) {
    const value = figureOf(weld)
    if (!worst || value > worst.value) worst = { weld, value }
  }
  return worst ?? { weld: hungriest, value: 0 }
}

/** @returns the weld that comes nearest to an end of a range of current, or lies furthest outside it */
export function weldNearestEnd({ welds, hungriest }: Demand, lowA: number, highA: number): WeldFigures {
  let nearest = hungriest
  let least = Number.POSITIVE_INFINITY
  for (const weld of welds) {
    const room = Math.min(highA / weld.wantedA, lowA > 0 ? weld.wantedA / lowA : Number.POSITIVE_INFINITY)
    if (room < least) {
      least = room
      nearest = weld
    }
  }
  return nearest
}
