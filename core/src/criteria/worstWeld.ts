/** Which weld of a job decides a criterion. */
import type { Demand } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'

export interface OfWeld {
  readonly weld: WeldFigures
  readonly value: number
}

/** @returns the weld, or the pass of it, for which a figure is greatest, the first of equals */
export function weldWithMost({ runs, hungriest }: Demand, figureOf: (weld: WeldFigures) => number): OfWeld {
  let worst: OfWeld | null = null
  for (const weld of runs) {
    const value = figureOf(weld)
    if (!worst || value > worst.value) worst = { weld, value }
  }
  return worst ?? { weld: hungriest, value: 0 }
}
