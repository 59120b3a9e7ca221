/**
 * The outline of a document before its fields are looked at: how deep, how many, and whether its texts can be
 * stored. It costs one walk and stops at the first bounds that are broken, so that a list of a million wrong
 * entries is one problem and not a million.
 */

/** Levels of lists and objects; a document of the shop has seven at most. */
export const MOST_DEPTH = 20
/** Entries of one list, and fields of one object. */
export const MOST_ENTRIES = 5000

/** A broken bound, with the path to what breaks it. */
export interface OutlineProblem {
  readonly path: readonly PropertyKey[]
  readonly message: string
}

interface Place {
  readonly value: unknown
  readonly key: PropertyKey
  readonly depth: number
  readonly above: Place | null
}

function pathOf(place: Place): readonly PropertyKey[] {
  const path: PropertyKey[] = []
  for (let at: Place | null = place; at?.above; at = at.above) path.unshift(at.key)
  return path
}

const textProblem = (text: string): string | null => {
  if (text.includes('\u0000')) return 'holds the character U+0000, which cannot be stored; take it out'
  if (/\p{Surrogate}/u.test(text)) return 'holds half a character; type it again'
  return null
}

function problemOf(value: unknown, depth: number): string | null {
  if (typeof value === 'string') return textProblem(value)
  if (typeof value === 'number') {
    return Number.isFinite(value) ? null : 'is too large to be a number; correct it'
  }
  if (typeof value !== 'object' || value === null) return null
  if (depth >= MOST_DEPTH) return `stands more than ${MOST_DEPTH} levels deep; nothing of a shop does`
  const count = Array.isArray(value) ? value.length : Object.keys(value).length
  return count > MOST_ENTRIES ? `has ${count} entries, the most is ${MOST_ENTRIES}; send less at once` : null
}

/**
 * @param value what JSON can hold
 * @param most problems after which it stops looking
 */
export function outlineProblems(value: unknown, most: number): readonly OutlineProblem[] {
  const problems: OutlineProblem[] = []
  const waiting: Place[] = [{ value, key: '', depth: 0, above: null }]
  for (let place = waiting.pop(); place && problems.length < most; place = waiting.pop()) {
    const { value: at, depth } = place
    const message = problemOf(at, depth)
    if (message !== null) {
      problems.push({ path: pathOf(place), message })
      continue
    }
    if (typeof at !== 'object' || at === null) continue
    const below = Array.isArray(at) ? at.entries() : Object.entries(at)
    for (const [key, inner] of below) {
      if (typeof key === 'string' && textProblem(key) !== null)
        problems.push({ path: pathOf(place), message: 'has a field whose name cannot be stored; correct it' })
      waiting.push({ value: inner, key, depth: depth + 1, above: place })
    }
  }
  return problems
}
