/** Where to turn a dial or a tap, by the shop's own measurements. */

export interface DialMark {
  readonly mark: string
  readonly value: number
}

export interface DialSetting {
  /** The nearest mark, or where between marks a dial without steps is turned. */
  readonly mark: string
  /** What it then gives. */
  readonly gives: number
  /** The wanted figure lies beyond what was measured. */
  readonly isBeyond: boolean
}

/** Marks that are figures, `4`, `4,5`, `60%`; else null. */
const placeOf = (mark: string): number | null =>
  /^\d+([.,]\d+)?%?$/.test(mark) ? Number(mark.replace('%', '').replace(',', '.')) : null

const nearest = (marks: readonly DialMark[], wanted: number): DialMark | undefined =>
  marks.reduce<DialMark | undefined>(
    (best, next) => (!best || Math.abs(next.value - wanted) < Math.abs(best.value - wanted) ? next : best),
    undefined,
  )

/**
 * @param isStepped taps: only the marks themselves can be set
 * @returns null where nothing was measured
 * @example dialSettingOf([{ mark: '20', value: 1900 }, { mark: '40', value: 4200 }], 3050, false)?.mark // '30'
 */
export function dialSettingOf(
  marks: readonly DialMark[],
  wanted: number,
  isStepped: boolean,
): DialSetting | null {
  const best = nearest(marks, wanted)
  if (!best) return null
  const values = marks.map(({ value }) => value)
  const isBeyond = wanted > Math.max(...values) || wanted < Math.min(...values)
  const atMark = { mark: best.mark, gives: best.value, isBeyond }
  if (isStepped || isBeyond) return atMark
  const placed = marks.flatMap(({ mark, value }) => {
    const place = placeOf(mark)
    return place === null ? [] : [{ place, value }]
  })
  if (placed.length < marks.length) return atMark
  placed.sort((a, b) => a.value - b.value)
  const above = placed.findIndex(({ value }) => value >= wanted)
  const [from, to] = [placed[above - 1], placed[above]]
  if (!from || !to || to.value === from.value) return atMark
  const place = from.place + ((to.place - from.place) * (wanted - from.value)) / (to.value - from.value)
  const percent = best.mark.endsWith('%') ? '%' : ''
  return { mark: `${Number(place.toPrecision(2))}${percent}`, gives: wanted, isBeyond }
}
