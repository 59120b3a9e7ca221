/** A bead on plate as a section: how wide, how high, how deep, and its toes. */
import type { Bead } from '@brannik/core'
import type { Drawing, Mark } from '../../charts/marks.ts'

const WIDTH = 110
const HEIGHT = 64
const PLATE_Y = 34
/** The widest bead fills so much of the picture. */
const FILL = 70

/** @param widestMm of the beads that stand beside each other: all are drawn to one scale */
export function beadDrawing(
  { widthMm, crownMm, penetrationMm, undercutMm, isOverlapped }: Bead,
  widestMm: number,
): Drawing {
  const scale = FILL / widestMm
  const half = (widthMm * scale) / 2
  const middle = WIDTH / 2
  const top = PLATE_Y - crownMm * scale * 2
  const deep = PLATE_Y + Math.max(2, penetrationMm * scale)
  // A cold toe rolls over the plate: it hangs beyond where it fuses.
  const root = isOverlapped ? half * 0.62 : half * 0.92
  const crown: Mark = {
    tag: 'path',
    at: {
      d: `M${middle - half} ${PLATE_Y}Q${middle} ${top} ${middle + half} ${PLATE_Y}L${middle + root} ${PLATE_Y}Q${middle} ${deep * 2 - PLATE_Y} ${middle - root} ${PLATE_Y}Z`,
      'stroke-width': 0.8,
    },
    fill: 'weld',
    stroke: 'line',
  }
  const notch = (x: number, side: 1 | -1): Mark => ({
    tag: 'path',
    at: { d: `M${x} ${PLATE_Y - 0.5}l${side * 5} 0l${side * -2} ${Math.max(3, undercutMm * scale)}z` },
    fill: 'sheet',
  })
  return {
    width: WIDTH,
    height: HEIGHT,
    marks: [
      {
        tag: 'rect',
        at: { x: 4, y: PLATE_Y, width: WIDTH - 8, height: 26, 'stroke-width': 0.8 },
        fill: 'part-b',
        stroke: 'line',
      },
      crown,
      ...(undercutMm > 0 ? [notch(middle + half - 1, 1), notch(middle - half + 1, -1)] : []),
    ],
  }
}
