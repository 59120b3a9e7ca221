/** A drawing as plain marks: the page draws them in its theme, a PDF in ink on white. */

/** What a mark is painted with, by what it shows. */
export const PAINTS = {
  ink: { page: 'var(--ink)', paper: '#111111' },
  quiet: { page: 'var(--ink-2)', paper: '#444444' },
  line: { page: 'var(--line-strong)', paper: '#777777' },
  sheet: { page: 'var(--sheet)', paper: '#ffffff' },
  'part-a': { page: 'var(--sunk)', paper: '#e7e4dc' },
  'part-b': { page: 'var(--steel-soft)', paper: '#d0d8df' },
  weld: { page: 'var(--copper)', paper: '#8a4a2d' },
  backing: { page: 'var(--line)', paper: '#bbbbbb' },
  plus: { page: 'var(--copper)', paper: '#8a4a2d' },
  minus: { page: 'var(--steel)', paper: '#50606c' },
  none: { page: 'none', paper: 'none' },
} as const
export type Paint = keyof typeof PAINTS

export interface Mark {
  readonly tag: 'path' | 'line' | 'rect' | 'circle' | 'text'
  readonly at: Readonly<Record<string, string | number>>
  readonly fill?: Paint
  readonly stroke?: Paint
  readonly text?: string
}
export interface Drawing {
  readonly width: number
  readonly height: number
  readonly marks: readonly Mark[]
}

/** The attributes of a mark for one of its two places. */
export const attributesOf = (
  { at, fill, stroke }: Mark,
  place: 'page' | 'paper',
): Readonly<Record<string, string | number>> => ({
  ...at,
  ...(fill ? { fill: PAINTS[fill][place] } : {}),
  ...(stroke ? { stroke: PAINTS[stroke][place] } : {}),
})

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')

/**
 * @returns the drawing as a text, for a PDF
 * @example svgOf({ width: 10, height: 10, marks: [] }) // '<svg …></svg>'
 */
export function svgOf({ width, height, marks }: Drawing): string {
  const inside = marks.map((mark) => {
    const attributes = Object.entries(attributesOf(mark, 'paper'))
      .map(([name, value]) => `${name}="${escaped(String(value))}"`)
      .join(' ')
    return `<${mark.tag} ${attributes}>${escaped(mark.text ?? '')}</${mark.tag}>`
  })
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${inside.join('')}</svg>`
}

/** @returns a line of text; `anchor` as in SVG */
export const textMark = (
  x: number,
  y: number,
  text: string,
  more: {
    readonly size?: number
    readonly bold?: true
    readonly anchor?: 'start' | 'middle' | 'end'
    readonly fill?: Paint
  } = {},
): Mark => ({
  tag: 'text',
  at: {
    x,
    y,
    'font-size': more.size ?? 12,
    'font-weight': more.bold ? 700 : 400,
    'text-anchor': more.anchor ?? 'start',
  },
  fill: more.fill ?? 'ink',
  text,
})
