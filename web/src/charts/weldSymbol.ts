/** A welding symbol as a drawing: reference line, arrow, marks on one side or both, tail. */
import type { SymbolMark, WeldSymbol } from '@brannik/core'
import { type Drawing, type Mark, textMark } from './marks.ts'

const WIDTH = 252
const HEIGHT = 96
const LINE_Y = 46
const AT = 96
const SIZE = 14

const stroke = (d: string): Mark => ({
  tag: 'path',
  at: { d, 'stroke-width': 1.4 },
  fill: 'none',
  stroke: 'ink',
})

/**
 * A mark hangs below the line (the arrow side), or stands above it (the other side).
 * @param down 1 below, -1 above
 */
function markPath(mark: SymbolMark, down: 1 | -1): string {
  const y = (steps: number): number => LINE_Y + down * steps
  const [l, m, r] = [AT - SIZE / 2, AT, AT + SIZE / 2]
  switch (mark) {
    case 'fillet':
      // The upright leg is always on the left.
      return `M${l} ${y(0)}V${y(SIZE)}L${r} ${y(0)}`
    case 'square':
      return `M${m - 3} ${y(0)}V${y(SIZE)}M${m + 3} ${y(0)}V${y(SIZE)}`
    case 'v':
      return `M${m} ${y(0)}L${l} ${y(SIZE)}M${m} ${y(0)}L${r} ${y(SIZE)}`
    case 'bevel':
      return `M${m} ${y(0)}V${y(SIZE)}M${m} ${y(0)}L${r} ${y(SIZE)}`
    case 'u':
      return `M${m} ${y(0)}V${y(6)}M${l} ${y(SIZE)}Q${l} ${y(6)} ${m} ${y(6)}Q${r} ${y(6)} ${r} ${y(SIZE)}`
    case 'j':
      return `M${m} ${y(0)}V${y(SIZE)}M${m} ${y(6)}Q${r} ${y(6)} ${r} ${y(SIZE)}`
    case 'flare-v':
      return `M${m - 2} ${y(0)}Q${m - 2} ${y(9)} ${l - 2} ${y(SIZE)}M${m + 2} ${y(0)}Q${m + 2} ${y(9)} ${r + 2} ${y(SIZE)}`
    case 'flare-bevel':
      return `M${m} ${y(0)}V${y(SIZE)}M${m + 3} ${y(0)}Q${m + 3} ${y(9)} ${r + 2} ${y(SIZE)}`
    case 'edge':
      return `M${m - 4} ${y(0)}V${y(SIZE)}M${m} ${y(0)}V${y(SIZE)}M${m + 4} ${y(0)}V${y(SIZE)}`
    case 'plug':
    case 'slot':
      return `M${l} ${y(0)}V${y(SIZE)}H${r}V${y(0)}`
  }
}

/** @returns the symbol; by ISO 2553 with the dashed line below, as the arrow side is on the line that is whole */
export function weldSymbolDrawing(symbol: WeldSymbol): Drawing {
  const {
    mark,
    isBothSides,
    size,
    length,
    isStaggered,
    angle,
    rootOpening,
    isAllAround,
    hasBacking,
    hasBackWeld,
    tail,
  } = symbol
  const isIso = symbol.standard === 'iso-2553'
  // AWS puts the arrow side below the line, ISO on the whole line, which is drawn above the dashed one.
  const arrowSide = isIso ? -1 : 1
  const otherSide = isIso ? 1 : -1
  const figures = (down: 1 | -1): Mark[] => {
    const y = LINE_Y + (down === 1 ? SIZE - 1 : -4)
    return [
      ...(size === '' ? [] : [textMark(AT - 12, y, size, { anchor: 'end' })]),
      ...(length === '' ? [] : [textMark(AT + 13 + (isStaggered && down === otherSide ? 10 : 0), y, length)]),
    ]
  }
  const atMark: Mark[] = [
    ...(angle === ''
      ? []
      : [textMark(AT, LINE_Y + arrowSide * (SIZE + 13) + 4, angle, { anchor: 'middle', size: 11 })]),
    ...(rootOpening === ''
      ? []
      : [textMark(AT, LINE_Y + arrowSide * (SIZE - 2) + 4, rootOpening, { anchor: 'middle', size: 9 })]),
  ]
  return {
    width: WIDTH,
    height: HEIGHT,
    marks: [
      stroke(`M40 ${LINE_Y}H196`),
      ...(isIso
        ? [
            {
              ...stroke(`M40 ${LINE_Y + 5}H196`),
              at: { d: `M40 ${LINE_Y + 5}H196`, 'stroke-width': 1, 'stroke-dasharray': '5 4' },
            },
          ]
        : []),
      // Arrow to the joint.
      stroke(`M40 ${LINE_Y}L10 88`),
      { tag: 'path', at: { d: 'M10 88l1.5 -10l7.5 4.6z' }, fill: 'ink' },
      stroke(markPath(mark, arrowSide)),
      ...figures(arrowSide),
      ...(isBothSides ? [stroke(markPath(mark, otherSide)), ...figures(otherSide)] : []),
      ...atMark,
      ...(isAllAround
        ? [
            {
              tag: 'circle' as const,
              at: { cx: 40, cy: LINE_Y, r: 6, 'stroke-width': 1.4 },
              fill: 'none' as const,
              stroke: 'ink' as const,
            },
          ]
        : []),
      ...(hasBacking && !isBothSides
        ? [stroke(`M${AT - 8} ${LINE_Y - arrowSide * 3}h16v${-arrowSide * 7}h-16z`)]
        : []),
      ...(hasBackWeld && !isBothSides
        ? [
            stroke(
              `M${AT - 8} ${LINE_Y - arrowSide * 2}Q${AT} ${LINE_Y - arrowSide * 15} ${AT + 8} ${LINE_Y - arrowSide * 2}`,
            ),
          ]
        : []),
      ...(tail === ''
        ? []
        : [
            stroke(`M206 ${LINE_Y - 10}L196 ${LINE_Y}L206 ${LINE_Y + 10}`),
            textMark(209, LINE_Y + 4, tail, { size: 10 }),
          ]),
    ],
  }
}
