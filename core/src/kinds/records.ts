/** The fields of each kind, and what a record names of others. */
import { z } from 'zod'
import { describeFields, type FieldDescription } from '../model/describe.ts'
import { definitionOf, KINDS, type RecordKind } from './index.ts'
import { partSchemaOf } from './part.ts'
import { PART_KINDS } from './slots.ts'
import { amountSchemaOf } from './stock.ts'

/**
 * @param partKind of a part: each kind has fields of its own
 * @returns the fields of a kind of record; none of a part whose kind is not known
 * @example fieldsOf('part', 'cup').map(({ label }) => label)
 */
export function fieldsOf(kind: RecordKind, partKind: unknown = null): readonly FieldDescription[] {
  if (kind !== 'part') return describeFields(definitionOf(kind).schema)
  const known = PART_KINDS.find((one) => one === partKind)
  return known ? describeFields(partSchemaOf(known)) : []
}

/**
 * @returns how much there is of a kind of record, as a field; none of what nobody counts
 * @example stockFieldOf('wire')[0]?.label // 'Stock on hand'
 */
export function stockFieldOf(kind: string | null): readonly FieldDescription[] {
  const found = KINDS.find((one) => one.kind === kind)
  const amount = found ? amountSchemaOf(found) : null
  return amount ? describeFields(z.strictObject({ amount })) : []
}

/** One record that another names, and where. */
export interface ReferenceFound {
  /** Names and places down to the field, `joints/2/wireId`. */
  readonly field: string
  readonly toKind: string
  readonly toId: string
}

/**
 * @returns every record that this one names, however deep
 * @example referencesIn(fieldsOf('job'), job) // [{ field: 'setUpId', toKind: 'set-up', toId: 'bay-2-wire' }]
 */
export function referencesIn(
  fields: readonly FieldDescription[],
  record: Readonly<Record<string, unknown>>,
  above: readonly (string | number)[] = [],
): readonly ReferenceFound[] {
  return fields.flatMap((one): readonly ReferenceFound[] => {
    const name = one.path.at(-1) ?? ''
    const value = record[name]
    const here = [...above, name]
    const { reference } = one.more
    if (reference !== undefined) {
      const found = (toId: unknown, at: readonly (string | number)[]): readonly ReferenceFound[] =>
        typeof toId === 'string' ? [{ field: at.join('/'), toKind: reference, toId }] : []
      return Array.isArray(value)
        ? value.flatMap((toId: unknown, index) => found(toId, [...here, index]))
        : found(value, here)
    }
    const inside = (member: unknown, at: readonly (string | number)[]): readonly ReferenceFound[] =>
      (one.kind === 'object' || one.kind === 'list') && typeof member === 'object' && member !== null
        ? referencesIn(one.fields, member as Readonly<Record<string, unknown>>, at)
        : []
    return Array.isArray(value)
      ? value.flatMap((member: unknown, index) => inside(member, [...here, index]))
      : inside(value, here)
  })
}
