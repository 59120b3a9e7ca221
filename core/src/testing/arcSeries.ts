/** A row of arcs by hand, each with its pause; a welder can stretch them. */
import type { ArcSeries } from '../duty/window.ts'

export const run = (arcS: number, offS: number, times: number, heat = 1): ArcSeries => ({
  arcS,
  offS,
  times,
  heat,
  stretches: true,
})
