/**
 * What each kind is, without its schema and its steps. A page shows records long before it checks one, so its build
 * replaces this file by its value (`web/facts.ts`) and fetches the schemas when they are needed.
 */
import { type Definition, KINDS, type RecordKind, type RecordPath } from './index.ts'
import type { Counting, KindDefinition } from './kind.ts'

export type ListKey = Exclude<Definition['listKey'], ''>
export interface KindFacts extends Pick<KindDefinition, 'noun' | 'scope' | 'writers'> {
  readonly kind: RecordKind
  readonly path: RecordPath
  readonly listKey: ListKey | ''
  /** The version in which it is written today. */
  readonly version: number
  readonly counting: Counting | null
}

export const KIND_FACTS: readonly KindFacts[] = KINDS.map(
  ({ schema: _schema, upcasters, most: _most, ...facts }) => ({ ...facts, version: upcasters.length + 1 }),
)
