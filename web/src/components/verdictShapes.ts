/** What the mark of each verdict is made of, in a square of 16: told apart by shape, not by hue alone. */
import type { Verdict } from '@brannik/core'

export interface MarkPath {
  readonly d: string
  /** Width of the line; absent where it is filled. */
  readonly line?: number
  readonly dashes?: string
  /** Shows what is behind. */
  readonly isCut?: true
}

const circle = (radius: number): string => {
  const arc = `a${radius} ${radius} 0 1 0`
  return `M8 ${8 - radius}${arc} 0 ${2 * radius}${arc} 0-${2 * radius}z`
}

export const MARK_PATHS: Readonly<Record<Verdict, readonly MarkPath[]>> = {
  fits: [{ d: circle(7) }, { d: 'M4.5 8.3 7 10.8 11.6 5.6', line: 1.9, isCut: true }],
  tight: [{ d: circle(6.2), line: 1.6 }, { d: 'M8 1.8a6.2 6.2 0 0 1 0 12.4z' }],
  fails: [{ d: 'M2.5 1h11L15 2.5v11L13.5 15h-11L1 13.5v-11z' }, { d: 'M4 8h8', line: 2.2, isCut: true }],
  unknown: [
    { d: circle(6.6), line: 1.4, dashes: '2.4 2' },
    {
      d: 'M6.1 6.3c.1-1.2.9-1.8 1.9-1.8s1.9.6 1.9 1.6c0 1.3-1.8 1.3-1.8 2.7M8.1 10.6v1.2',
      line: 1.4,
    },
  ],
}
