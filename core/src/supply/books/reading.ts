/** Reading the tables of rule books: a row by its size as people write it, a factor by the warmth or by the number of others. */

/** The factor of the first row that reaches as far; `beyond` where none does. */
export function factorUpTo(
  rows: readonly (readonly [upTo: number, factor: number])[],
  value: number,
  beyond: number,
): number {
  return rows.find(([upTo]) => value <= upTo + 1e-9)?.[1] ?? beyond
}

/** The smallest standard rating that is no smaller; the largest there is where none is. */
export const nextSizeA = (sizesA: readonly number[], limitA: number): number =>
  sizesA.find((size) => size >= limitA - 1e-9) ?? sizesA.at(-1) ?? limitA

/** `#12`, `12 awg`, `12AWG` are the same cable. */
export function awgOf(size: string): string {
  const text = size.trim().replace(/^#\s*/, '')
  const large = /^(\d+)\s*(kcmil|mcm)$/i.exec(text)
  return large ? `${large[1]} kcmil` : `${text.replace(/\s*awg$/i, '')} AWG`
}
/** `2,5mm2`, `2.5 mm²` and `2.5` are the same cable. */
export const mm2Of = (size: string): string => `${Number.parseFloat(size.trim().replace(',', '.'))} mm²`
