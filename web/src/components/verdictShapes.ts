/**
 * The mark of each verdict as one path in a square of 14, filled by the even-odd rule: told apart by shape, not by hue alone.
 * It has no lines, so that it can cut a cell's colour out too: a mask or a picture takes several times as long to paint.
 */
import type { Verdict } from '@brannik/core'

const DISC = 'M7 .88a6.12 6.12 0 1 0 0 12.25 6.12 6.12 0 1 0 0-12.25z'
const BROKEN_RING =
  'M7 .6a6.4 6.4 0 0 1 2.4 .5l-.5 1.1a5.2 5.2 0 0 0-1.9-.4z' +
  'M11.1 2.1a6.4 6.4 0 0 1 1.5 1.9l-1.1 .6a5.2 5.2 0 0 0-1.2-1.5z' +
  'M13.3 5.9a6.4 6.4 0 0 1 0 2.4l-1.2-.3a5.2 5.2 0 0 0 0-2z' +
  'M12.5 10.2a6.4 6.4 0 0 1-1.6 1.8l-.8-1a5.2 5.2 0 0 0 1.3-1.5z' +
  'M9.2 13a6.4 6.4 0 0 1-2.4 .4l0-1.2a5.2 5.2 0 0 0 1.9-.3z' +
  'M4.8 13a6.4 6.4 0 0 1-2.1-1.2l.8-.9a5.2 5.2 0 0 0 1.7 1z' +
  'M1.5 10.2a6.4 6.4 0 0 1-.8-2.3l1.2-.2a5.2 5.2 0 0 0 .6 1.8z' +
  'M.7 5.9a6.4 6.4 0 0 1 .9-2.3l1 .6a5.2 5.2 0 0 0-.7 1.8z' +
  'M2.9 2.1a6.4 6.4 0 0 1 2.1-1.2l.4 1.2a5.2 5.2 0 0 0-1.7 1z'
const QUESTION =
  'M5.9 5.7L6.1 5L6.5 4.7L7 4.6L7.6 4.7L7.9 4.9L8 5.3L7.9 5.7L7.5 6L6.8 6.6L6.5 7.5L7.7 7.9L7.9 7.3L8.3 6.9L8.9 6.4L9.3 5.4L9 4.2L8.1 3.5L7 3.3L5.9 3.5L5.1 4.3L4.8 5.3zM6.5 9.3h1.2v1H6.5z'

export const MARK_PATHS: Readonly<Record<Verdict, string>> = {
  fits: `${DISC}M3.35 7.85L6.16 10.66L10.77 5.45L9.53 4.35L6.09 8.24L4.53 6.67z`,
  tight: `${DISC}M7 2.28a4.72 4.72 0 0 0 0 9.45z`,
  fails: 'M2.19.88h9.62l1.31 1.31v9.62l-1.31 1.31h-9.62L.88 11.81V2.19zM3.5 6.04h7v1.92h-7z',
  unknown: `${BROKEN_RING}${QUESTION}`,
}
