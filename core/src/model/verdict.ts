/** The four verdicts, and which of them is worse. */

export const VERDICTS = ['fits', 'tight', 'fails', 'unknown'] as const
export type Verdict = (typeof VERDICTS)[number]

/** How bad a verdict is: an unknown is worse than tight, since it never counts as fitting. */
export const VERDICT_RANK: Readonly<Record<Verdict, number>> = { fits: 0, tight: 1, unknown: 2, fails: 3 }

/** Tight is done as well, with more care. */
export const does = (verdict: Verdict): boolean => verdict === 'fits' || verdict === 'tight'

export const worseOf = (one: Verdict, other: Verdict): Verdict =>
  VERDICT_RANK[other] > VERDICT_RANK[one] ? other : one

/** The worst of some verdicts; `fits` for none. */
export const worstVerdict = (verdicts: readonly Verdict[]): Verdict => verdicts.reduce(worseOf, 'fits')

/** Worst first; among equals as they came. */
export const byWorst = <T extends { readonly verdict: Verdict }>(judged: readonly T[]): readonly T[] =>
  [...judged].sort((a, b) => VERDICT_RANK[b.verdict] - VERDICT_RANK[a.verdict])
