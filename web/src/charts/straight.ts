/**
 * A straight scale for what the first screen draws. That of d3 also blends colours and formats figures, which a bar does
 * not, and with them a tenth of a first load's own code.
 */
type Span = readonly [from: number, to: number]

/**
 * @param domain two different figures
 * @returns where a figure lies in the range
 * @example straight([0, 100], [0, 50])(20) // 10
 */
export const straight =
  ([a, b]: Span, [from, to]: Span) =>
  (value: number): number =>
    from + ((value - a) / (b - a)) * (to - from)
