/** How good a weld must be, and who says so. */

interface Quality {
  /** It carries a load that matters. */
  readonly isStructural: boolean
  /** Somebody else has to accept it: what is not done by the code is not bought. */
  readonly isByCode: boolean
  /** It is made by a qualified procedure and welder. */
  readonly isApproved: boolean
  /** What of a weld’s back is let pass. */
  readonly isPlain: boolean
  /** It goes by European standards: no procedure is prequalified there. */
  readonly isEuropean: boolean
}
const quality = (part: Partial<Quality> = {}): Quality => ({
  isStructural: false,
  isByCode: false,
  isApproved: false,
  isPlain: false,
  isEuropean: false,
  ...part,
})
const structural = quality({ isStructural: true, isApproved: true })
const byCode = quality({ isStructural: true, isByCode: true, isApproved: true })
const european = { isEuropean: true }

/** Execution classes of EN 1090-2 and 1090-3; quality levels of EN ISO 5817 and 10042. */
export const QUALITY = {
  ordinary: quality({ isPlain: true }),
  cosmetic: quality(),
  'leak-tight': quality({ isApproved: true }),
  structural,
  'code-bound': byCode,
  'exc-1': { ...structural, ...european },
  'exc-2': { ...structural, ...european },
  'exc-3': { ...byCode, ...european },
  'exc-4': { ...byCode, ...european },
  'level-d': quality({ isPlain: true, ...european }),
  'level-c': quality(european),
  'level-b': quality(european),
} as const satisfies Readonly<Record<string, Quality>>
export type QualityId = keyof typeof QUALITY
export const QUALITIES = Object.keys(QUALITY) as [QualityId, ...QualityId[]]
