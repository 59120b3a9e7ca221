/** The marks as masks of a style: thousands of cells then need no drawing of their own in the page. */
import { VERDICTS } from '@brannik/core'
import { MARK_PATHS, type MarkPath } from '../../components/verdictShapes.ts'

/** White stays, black is cut out. */
function pathOf({ d, line, dashes, isCut }: MarkPath): string {
  const ink = isCut ? '#000' : '#fff'
  const paint = line === undefined ? `fill="${ink}"` : `fill="none" stroke="${ink}" stroke-width="${line}"`
  return `<path d="${d}" ${paint}${dashes === undefined ? '' : ` stroke-dasharray="${dashes}"`}/>`
}

/** By name of a style property, `--mark-fits` and so on. */
export const MARK_MASKS: Readonly<Record<string, string>> = Object.fromEntries(
  VERDICTS.map((verdict) => {
    const paths = MARK_PATHS[verdict].map(pathOf).join('')
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 16 16" width="14" height="14">${paths}</svg>`
    return [`--mark-${verdict}`, `url("data:image/svg+xml,${encodeURIComponent(svg)}")`]
  }),
)
