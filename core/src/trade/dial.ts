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

/** A dial without steps is turned by half a mark, or by five of a hundred. */
const TURN = { marks: 0.5, percent: 5 } as const

export interface DialTurns {
  /** Where it is now. */
  readonly mark: string
  /** What one step down or up gives; null at the end of the dial. */
  readonly down: number | null
  readonly up: number | null
}

/** What a dial of measured marks gives between two of them, by a straight line. */
function valueAt(placed: readonly { readonly place: number; readonly value: number }[], place: number) {
  const above = placed.findIndex((one) => one.place >= place)
  const [from, to] = [placed[above - 1], placed[above]]
  if (to?.place === place) return to.value
  if (!from || !to) return null
  return from.value + ((to.value - from.value) * (place - from.place)) / (to.place - from.place)
}

/**
 * @param isStepped taps: one step is the next tap
 * @returns what one step of the dial gives, down and up; null where nothing was measured, or marks are no figures
 * @example turnsOf([{ mark: 'A', value: 16 }, { mark: 'B', value: 18 }], 16, true)?.up // 18
 */
export function turnsOf(marks: readonly DialMark[], value: number, isStepped: boolean): DialTurns | null {
  const at = dialSettingOf(marks, value, isStepped)
  if (!at) return null
  const byValue = marks.toSorted((a, b) => a.value - b.value)
  if (isStepped) {
    const index = byValue.findIndex(({ mark }) => mark === at.mark)
    return {
      mark: at.mark,
      down: byValue[index - 1]?.value ?? null,
      up: byValue[index + 1]?.value ?? null,
    }
  }
  const placed = byValue
    .flatMap((one) => {
      const place = placeOf(one.mark)
      return place === null ? [] : [{ place, value: one.value }]
    })
    .toSorted((a, b) => a.place - b.place)
  const place = placeOf(at.mark)
  if (placed.length < marks.length || place === null) return null
  const turn = at.mark.endsWith('%') ? TURN.percent : TURN.marks
  const [before, after] = [valueAt(placed, place - turn), valueAt(placed, place + turn)]
  // A dial that falls as its marks rise is turned the other way.
  const isRising = (placed.at(-1)?.value ?? 0) >= (placed[0]?.value ?? 0)
  const ends = isRising ? { down: before, up: after } : { down: after, up: before }
  return { mark: at.mark, ...ends }
}
