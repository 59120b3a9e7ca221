/** The two drawings of a card: the leads at their terminals, and the joint's section with the gun's angle. */
import {
  type Assumptions,
  crossSection,
  type Joint,
  type Leads,
  type Point,
  settleJoint,
} from '@brannik/core'
import type { Drawing, Mark } from '../../charts/marks.ts'
import { textMark } from '../../charts/marks.ts'

const WIDTH = 350
const HEIGHT = 140
const UPPER = 54
const LOWER = 102
/** Leads spread: their words stand under each other. */
const endOf = (y: number): number => (y === UPPER ? y - 12 : y + 12)

/**
 * @param names of the machine, of what holds the arc, and how the polarity is changed
 * @returns a case with two terminals, and which lead is on which
 */
export function leadsDrawing(
  { polarity }: Pick<Leads, 'polarity'>,
  names: { readonly source: string; readonly electrode: string; readonly way: string },
): Drawing {
  const isAc = polarity === 'ac'
  const electrodeOnTop = polarity !== 'dcen'
  const [top, bottom] = isAc ? ['~', '~'] : ['+', '−']
  const lead = (y: number, isElectrode: boolean): Mark => ({
    tag: 'path',
    at: {
      d: `M113 ${y} C 160 ${y}, 175 ${endOf(y)}, 222 ${endOf(y)}`,
      'stroke-width': 4,
    },
    fill: 'none',
    stroke: isElectrode ? 'plus' : 'minus',
  })
  const terminal = (y: number, sign: string): Mark[] => [
    { tag: 'circle', at: { cx: 102, cy: y, r: 11, 'stroke-width': 1.5 }, fill: 'sheet', stroke: 'ink' },
    textMark(102, y + 4.5, sign, { bold: true, anchor: 'middle', size: 14 }),
  ]
  const end = (y: number, isElectrode: boolean): Mark[] => {
    const at = endOf(y)
    const title = isElectrode ? names.electrode : 'Work clamp'
    const sign = isAc ? 'AC' : y === UPPER ? 'plus (+)' : 'minus (−)'
    return [
      textMark(228, at, title, { bold: true, size: 13 }),
      textMark(228, at + 15, isElectrode ? `electrode, ${sign}` : `work, ${sign}`, {
        fill: 'quiet',
        size: 11.5,
      }),
    ]
  }
  return {
    width: WIDTH,
    height: HEIGHT,
    marks: [
      {
        tag: 'rect',
        at: { x: 4, y: 6, width: 116, height: 126, rx: 4, 'stroke-width': 1.5 },
        fill: 'sheet',
        stroke: 'ink',
      },
      textMark(14, 26, names.source, { bold: true, size: 12 }),
      lead(UPPER, electrodeOnTop),
      lead(LOWER, !electrodeOnTop),
      ...terminal(UPPER, top),
      ...terminal(LOWER, bottom),
      textMark(84, 58, electrodeOnTop ? 'electrode' : 'work', { anchor: 'end', fill: 'quiet', size: 11.5 }),
      textMark(84, 106, electrodeOnTop ? 'work' : 'electrode', { anchor: 'end', fill: 'quiet', size: 11.5 }),
      ...end(UPPER, electrodeOnTop),
      ...end(LOWER, !electrodeOnTop),
      ...(names.way === '' ? [] : [textMark(14, 126, names.way, { fill: 'quiet', size: 10.5 })]),
    ],
  }
}

/** How much of the parts is shown around the weld, in its own size. */
const AROUND = 1.4
const PAD = 8
const HOLD_ROOM = 26
const rangeOf = (points: readonly Point[], axis: 0 | 1): [number, number] => {
  const values = points.map((point) => point[axis])
  return [Math.min(...values), Math.max(...values)]
}

/**
 * @param hold how the gun is held, in words; its line is drawn at the work angle
 * @param labels of the parts and the weld
 */
export function sectionDrawing(
  joint: Joint,
  assumptions: Assumptions,
  hold: { readonly words: string; readonly workAngleDeg: number },
  labels: { readonly a: string; readonly b: string; readonly weld: string },
): Drawing {
  const { shapes } = crossSection(settleJoint(joint).joint, assumptions)
  const all = shapes.flatMap(({ points }) => points)
  const weld = shapes.filter(({ role }) => role === 'weld').flatMap(({ points }) => points)
  const sizes = ([0, 1] as const).map((axis) => rangeOf(weld, axis)).map(([from, to]) => to - from)
  const room = AROUND * Math.max(...sizes)
  const [[x0, x1], [y0, y1]] = ([0, 1] as const).map((axis): [number, number] => {
    const [from, to] = rangeOf(weld, axis)
    const [least, most] = rangeOf(all, axis)
    return [Math.max(least, from - room), Math.min(most, to + room)]
  }) as [[number, number], [number, number]]
  const scale = Math.min((WIDTH - 150) / (x1 - x0), (HEIGHT - HOLD_ROOM - PAD) / (y1 - y0))
  const x = (mm: number): number => 70 + (mm - x0) * scale
  const y = (mm: number): number => HEIGHT - PAD - (mm - y0) * scale
  const inside = ([px, py]: Point): [number, number] => [
    Math.min(x1, Math.max(x0, px)),
    Math.min(y1, Math.max(y0, py)),
  ]
  const path = (points: readonly Point[]): string =>
    `M${points
      .map((point) => inside(point))
      .map(([px, py]) => `${x(px).toFixed(1)} ${y(py).toFixed(1)}`)
      .join('L')}Z`
  const [wx0, wx1] = rangeOf(weld, 0)
  const [wy0, wy1] = rangeOf(weld, 1)
  const [cx, cy] = [x((wx0 + wx1) / 2), y((wy0 + wy1) / 2)]
  const angle = (hold.workAngleDeg * Math.PI) / 180
  const reach = Math.min(80, cy - 16)
  const [gx, gy] = [
    cx + (reach / Math.tan(Math.max(0.6, angle))) * (hold.workAngleDeg < 90 ? 1 : 0),
    cy - reach,
  ]
  return {
    width: WIDTH,
    height: HEIGHT,
    marks: [
      ...shapes.map(({ role, points }): Mark => ({
        tag: 'path',
        at: { d: path(points), 'stroke-width': 0.8 },
        fill: role,
        stroke: 'line',
      })),
      { tag: 'line', at: { x1: cx, y1: cy, x2: gx, y2: gy, 'stroke-width': 1.5 }, stroke: 'ink' },
      textMark(Math.min(gx + 6, WIDTH - 150), Math.max(12, gy + 2), hold.words, { size: 11.5 }),
      textMark(4, y(y1) + 14 < HEIGHT ? y(y1) + 14 : 14, labels.a, { fill: 'quiet', size: 11.5 }),
      textMark(WIDTH - 4, HEIGHT - 14, labels.b, { fill: 'quiet', anchor: 'end', size: 11.5 }),
      ...(labels.weld === ''
        ? []
        : [textMark(WIDTH - 4, HEIGHT - 46, labels.weld, { anchor: 'end', size: 11.5 })]),
    ],
  }
}
