/** How the fields of one record are called and written. */
import { factsAt, fieldsOf, type Notation, stockedThing, stockFieldOf } from '@brannik/core'
import type { Wording } from './differences.ts'

/** @param path under which records of its kind are served */
export function wordingOf(path: string, record: object | null, notation: Notation): Wording {
  const kind = factsAt(path)?.kind
  const counted = path === 'stock' && record && 'id' in record ? stockedThing(String(record.id)).kind : null
  if (counted) return { fields: stockFieldOf(counted), notation }
  const partKind: unknown = record && 'kind' in record ? record.kind : null
  return { fields: kind ? fieldsOf(kind, partKind) : [], notation }
}
