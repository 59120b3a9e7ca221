/**
 * The mark of each verdict as one path in a square of 14, filled by the even-odd rule: told apart by shape, not by hue alone.
 * It has no lines, so that the board can cut its cells' colour to it: a mask or a picture takes several times as long to paint.
 */
import type { Verdict } from '@brannik/core'

const DISC = 'M7 .88a6.12 6.12 0 1 0 0 12.25 6.12 6.12 0 1 0 0-12.25z'
/** A point of a circle about the middle, so far round from the top. */
const on = (radius: number, turn: number): string =>
  [7 + radius * Math.sin(turn), 7 - radius * Math.cos(turn)].map((one) => one.toFixed(1)).join(' ')
const DASHES = 9
function dash(index: number): string {
  const from = (index / DASHES) * 2 * Math.PI
  const to = from + 0.38
  return `M${on(6.4, from)}A6.4 6.4 0 0 1 ${on(6.4, to)}L${on(5.2, to)}A5.2 5.2 0 0 0 ${on(5.2, from)}z`
}
const QUESTION =
  'M4.8 5.3C4.9 4 5.8 3.3 7 3.3s2.3.8 2.3 2.1c0 1.4-1.5 1.4-1.6 2.5H6.5c0-1.7 1.5-1.7 1.5-2.6 0-.4-.4-.7-1-.7s-1 .3-1.1 1.1zM6.5 8.9h1.2v1.2H6.5z'

export const MARK_PATHS: Readonly<Record<Verdict, string>> = {
  fits: `${DISC}M3.35 7.85L6.16 10.66L10.77 5.45L9.53 4.35L6.09 8.24L4.53 6.67z`,
  tight: `${DISC}M7 2.28a4.72 4.72 0 0 0 0 9.45z`,
  fails: 'M2.19.88h9.62l1.31 1.31v9.62l-1.31 1.31h-9.62L.88 11.81V2.19zM3.5 6.04h7v1.92h-7z',
  unknown: Array.from({ length: DASHES }, (_, index) => dash(index)).join('') + QUESTION,
}
