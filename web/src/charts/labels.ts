/** Labels of a drawing: each as near to its place as it can be without covering another. */

export interface Label {
  readonly label: string
  readonly anchor: 'start' | 'middle' | 'end'
  readonly textX: number
  /** Of its base line. */
  readonly textY: number
}

/** Width of a letter on the average, with its margin. */
const LETTER_PX = 6.9
/** From one base line to the next. */
const ROW_PX = 15
/** Above the base line of the first row, below that of the last. */
const [TOP_PX, BOTTOM_PX] = [12, 3]

const widthOf = ({ label }: Pick<Label, 'label'>): number => label.length * LETTER_PX
/** @returns from where to where a label reaches across */
export function spanOf(one: Label): readonly [from: number, to: number] {
  const width = widthOf(one)
  const from =
    one.anchor === 'start' ? one.textX : one.anchor === 'middle' ? one.textX - width / 2 : one.textX - width
  return [from, from + width]
}
export function isCovered(one: Label, other: Label): boolean {
  const [[a0, a1], [b0, b1]] = [spanOf(one), spanOf(other)]
  return a0 < b1 && b0 < a1 && Math.abs(one.textY - other.textY) < ROW_PX
}

/** No label runs out of the picture sideways. */
function inside<L extends Label>(one: L, width: number): L {
  const [from, to] = spanOf(one)
  const shift = from < 0 ? -from : Math.min(0, width - to)
  return { ...one, textX: one.textX + shift }
}

/**
 * @param labels in the order of their weight: the first keep their places
 * @returns the same, moved up or down by whole rows where one would cover another
 */
export function placed<L extends Label>(
  labels: readonly L[],
  { width, height }: { readonly width: number; readonly height: number },
): readonly L[] {
  const [top, bottom] = [TOP_PX, height - BOTTOM_PX]
  const done: L[] = []
  for (const label of labels) {
    const one = inside(label, width)
    const wished = Math.min(bottom, Math.max(top, one.textY))
    // What is free lies a row below or above one that is there, or at the wish itself.
    const free = [wished, top, bottom, ...done.flatMap(({ textY }) => [textY + ROW_PX, textY - ROW_PX])]
      .filter((y) => y >= top && y <= bottom)
      .map((textY) => ({ ...one, textY }))
      .filter((tried) => done.every((other) => !isCovered(tried, other)))
      .toSorted((a, b) => Math.abs(a.textY - wished) - Math.abs(b.textY - wished))
    done.push(free[0] ?? { ...one, textY: wished })
  }
  return done
}
