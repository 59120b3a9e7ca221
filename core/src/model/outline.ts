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

const textProblem = (text: string): string | null => {
  if (text.includes('\u0000')) return 'has the character U+0000. Remove it'
  if (!text.isWellFormed()) return 'has half a character. Type it again'
  return null
}

function problemOf(value: unknown, depth: number): string | null {
  if (typeof value === 'string') return textProblem(value)
  if (typeof value === 'number') {
    return Number.isFinite(value) ? null : 'is too large. Correct it'
  }
  if (typeof value !== 'object' || value === null) return null
  if (depth >= MOST_DEPTH) return `stands more than ${MOST_DEPTH} levels deep. That is too many`
  const count = Array.isArray(value) ? value.length : Object.keys(value).length
  return count > MOST_ENTRIES ? `has ${count} entries, the most is ${MOST_ENTRIES}. Send less at once` : null
}

/**
 * @param value what JSON can hold
 * @param most problems after which it stops looking
 */
export function outlineProblems(value: unknown, most: number): readonly OutlineProblem[] {
  const problems: OutlineProblem[] = []
  /** Names of fields that can be stored: the members of a list have the same ones over and over. */
  const goodNames = new Set<string>()
  const path: PropertyKey[] = []
  const tell = (message: string): void => {
    if (problems.length < most) problems.push({ path: [...path], message })
  }
  const isGoodName = (name: string): boolean => {
    if (goodNames.has(name)) return true
    if (textProblem(name) !== null) return false
    goodNames.add(name)
    return true
  }
  // As deep as the bound allows, and no deeper.
  function walk(at: unknown, depth: number): void {
    const message = problemOf(at, depth)
    if (message !== null) {
      tell(message)
      return
    }
    if (typeof at !== 'object' || at === null) return
    const isList = Array.isArray(at)
    for (const key of Object.keys(at)) {
      if (problems.length >= most) return
      if (!isList && !isGoodName(key)) tell('has a field name that cannot be stored. Correct it')
      path.push(isList ? Number(key) : key)
      walk(Reflect.get(at, key), depth + 1)
      path.pop()
    }
  }
  walk(value, 0)
  return problems
}
