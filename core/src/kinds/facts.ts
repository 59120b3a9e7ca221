/** Finds what a kind is: by its name, its path or its scope. */
import { KIND_FACTS, type KindFacts, type ListKey } from './factList.ts'
import type { RecordKind, RecordPath } from './index.ts'
import type { Scope } from './kind.ts'

export { KIND_FACTS, type KindFacts, type ListKey } from './factList.ts'

const BY_KIND = new Map<string, KindFacts>(KIND_FACTS.map((facts) => [facts.kind, facts]))
const BY_PATH = new Map<string, KindFacts>(KIND_FACTS.map((facts) => [facts.path, facts]))

/**
 * @throws RangeError for a kind that there is not
 * @example factsOf('wire').noun // 'wire or rod'
 */
export function factsOf(kind: RecordKind): KindFacts {
  const facts = BY_KIND.get(kind)
  if (!facts) throw new RangeError(`there is no kind ${kind}`)
  return facts
}
/**
 * What is served under a path; null where nothing is.
 * @example factsAt('set-ups')?.kind // 'set-up'
 */
export const factsAt = (path: string): KindFacts | null => BY_PATH.get(path) ?? null
/** The path of a kind; one that is not known any more is its own. */
export const pathOfKind = (kind: string): string => BY_KIND.get(kind)?.path ?? kind

/** Kinds that have a list, in the order in which what is named stands before what names it. */
export type Listed = KindFacts & { readonly listKey: ListKey; readonly path: Exclude<RecordPath, 'shop'> }
const isListed = (facts: KindFacts): facts is Listed => facts.listKey !== ''
export const LISTED: readonly Listed[] = KIND_FACTS.filter(isListed)
/**
 * The kinds of these scopes that have a list.
 * @example listedIn('plan').map(({ listKey }) => listKey) // ['setUps', 'jobs']
 */
export const listedIn = (...scopes: readonly Scope[]): readonly Listed[] =>
  LISTED.filter(({ scope }) => scopes.includes(scope))
/**
 * The kind of a list of a file.
 * @throws RangeError for a list that there is not
 * @example kindOfList('gases').kind // 'gas'
 */
export function kindOfList(listKey: ListKey): Listed {
  const found = LISTED.find((one) => one.listKey === listKey)
  if (!found) throw new RangeError(`there is no list ${listKey}`)
  return found
}
/** What a fit looks at. */
export const SHELF_KINDS = listedIn('building', 'equipment', 'stores', 'bench', 'count')
/** What a board looks at: the shelf and what is planned with it. */
export const COMPUTED_KINDS = [...SHELF_KINDS, ...listedIn('people', 'plan')]

/**
 * Whether things of a kind are counted.
 * @example isStocked('gun') // false
 */
export const isStocked = (kind: string): boolean => (BY_KIND.get(kind)?.counting ?? null) !== null
