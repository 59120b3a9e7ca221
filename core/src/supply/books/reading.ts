/** Reading the tables of rule books: a factor by the warmth or by the number of others, a standard rating. */

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
