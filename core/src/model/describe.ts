/** Reads a schema: which fields a record has, what kind each is, and what is said of it. */
import { z } from 'zod'
import type { QuantityKind } from '../quantity/index.ts'
import type { FieldMeta, FieldMore } from './field.ts'

export type Choice = string | number

interface Common {
  /** Names from the record down to it. */
  readonly path: readonly string[]
  readonly label: string
  /** Heading of its group. */
  readonly group: string
  /** What an empty field means; absent where it must be filled. */
  readonly optional?: string
  readonly more: FieldMore
}
export type FieldDescription = Common &
  (
    | { readonly kind: 'text' }
    | { readonly kind: 'quantity'; readonly quantity: QuantityKind }
    | {
        readonly kind: 'number'
        readonly unit: string
        readonly least: number
        readonly most: number
        readonly decimals: boolean
      }
    | { readonly kind: 'choice'; readonly choices: readonly Choice[] }
    | { readonly kind: 'some'; readonly choices: readonly Choice[] }
    | { readonly kind: 'yes-no' }
    /** Described below, field by field: an object that may be absent, or a list of objects. */
    | { readonly kind: 'object'; readonly fields: readonly FieldDescription[] }
    | {
        readonly kind: 'list'
        readonly fields: readonly FieldDescription[]
        /** Members that it has at the least and at the most. */
        readonly least: number
        readonly most: number
      }
    /** A table by names, or the ids of several records: with an editor of its own. */
    | { readonly kind: 'table' }
  )

/** The schema of a record; those of the shelf are objects, the parts a union of them. */
type AnySchema = z.core.$ZodType

const metaOf = (schema: AnySchema): FieldMeta | null => {
  const meta = z.globalRegistry.get(schema)
  return meta && 'field' in meta ? (meta as unknown as FieldMeta) : null
}

/** Under what makes it nullable. */
const bare = (schema: AnySchema): AnySchema =>
  schema instanceof z.ZodNullable ? bare(schema.unwrap()) : schema

function choicesOf(schema: AnySchema): readonly Choice[] | null {
  if (schema instanceof z.ZodEnum) return schema.options
  if (!(schema instanceof z.ZodUnion)) return null
  const options: readonly AnySchema[] = schema.options
  const values = options.flatMap((one) => (one instanceof z.ZodLiteral ? [one.value] : []))
  const isChoice = (value: unknown): value is Choice => typeof value === 'string' || typeof value === 'number'
  return values.length === options.length && values.every(isChoice) ? values : null
}

function kindOf(schema: AnySchema, common: Common): FieldDescription {
  const { more, path } = common
  const choices = choicesOf(schema)
  if (choices) return { ...common, kind: 'choice', choices }
  if (schema instanceof z.ZodString || schema instanceof z.ZodStringFormat) return { ...common, kind: 'text' }
  if (schema instanceof z.ZodRecord) return { ...common, kind: 'table' }
  if (schema instanceof z.ZodBoolean) return { ...common, kind: 'yes-no' }
  if (schema instanceof z.ZodNumber) {
    if (more.quantity !== undefined) return { ...common, kind: 'quantity', quantity: more.quantity }
    const { minValue, maxValue, format } = schema
    return {
      ...common,
      kind: 'number',
      unit: more.unit ?? '',
      least: minValue ?? Number.NEGATIVE_INFINITY,
      most: maxValue ?? Number.POSITIVE_INFINITY,
      decimals: format !== 'safeint',
    }
  }
  if (schema instanceof z.ZodObject)
    return { ...common, kind: 'object', fields: fieldsBelow(schema, path, common.label) }
  if (schema instanceof z.ZodArray) {
    const { element } = schema
    const some = choicesOf(element)
    if (some) return { ...common, kind: 'some', choices: some }
    if (more.reference !== undefined && element instanceof z.ZodString) return { ...common, kind: 'table' }
    if (element instanceof z.ZodObject)
      return { ...common, kind: 'list', fields: fieldsBelow(element, [], common.label), ...boundsOf(schema) }
  }
  throw new TypeError(`the field ${path.join('.')} is of a kind that nothing describes`)
}

/** How many members a list may have, of its checks. */
function boundsOf(schema: z.ZodArray): { readonly least: number; readonly most: number } {
  const checks = (schema.def.checks ?? []).map((check) => check._zod.def)
  const boundOf = (check: string, bound: string): unknown =>
    checks.flatMap((one) => (one.check === check ? [Reflect.get(one, bound)] : []))[0]
  const [least, most] = [boundOf('min_length', 'minimum'), boundOf('max_length', 'maximum')]
  return {
    least: typeof least === 'number' ? least : 0,
    most: typeof most === 'number' ? most : Number.POSITIVE_INFINITY,
  }
}

function fieldsBelow(
  schema: { readonly shape: Readonly<Record<string, AnySchema>> },
  above: readonly string[],
  title: string,
): FieldDescription[] {
  let group = title
  return Object.entries(schema.shape).flatMap(([key, one]): FieldDescription[] => {
    const inner = bare(one)
    // What kind of part it is, is known before anybody describes it.
    if (inner instanceof z.ZodLiteral) return []
    const meta = metaOf(one) ?? metaOf(inner)
    if (!meta) throw new TypeError(`the field ${[...above, key].join('.')} has no description`)
    const { title: label, field: more } = meta
    group = more.group ?? group
    const optional = one instanceof z.ZodNullable ? (more.empty ?? '') : undefined
    return [
      kindOf(inner, {
        path: [...above, key],
        label,
        group,
        more,
        ...(optional === undefined ? {} : { optional }),
      }),
    ]
  })
}

const known = new WeakMap<AnySchema, readonly FieldDescription[]>()

/**
 * @param schema of a record
 * @returns its fields in order, each with what is said of it
 * @throws TypeError where a field has no description: every field of a record is described
 * @example describeFields(gunSchema)[0] // { kind: 'text', label: 'Name', … }
 */
export function describeFields(schema: AnySchema): readonly FieldDescription[] {
  const found = known.get(schema)
  if (found) return found
  if (!(schema instanceof z.ZodObject)) throw new TypeError('only objects have fields')
  const made = fieldsBelow(schema, [], 'What it is')
  known.set(schema, made)
  return made
}

/** The fields that stand on their own line of a form or a sheet: those of objects among them, lists apart. */
export const flatFields = (fields: readonly FieldDescription[]): readonly FieldDescription[] =>
  fields.flatMap((one) => (one.kind === 'object' ? flatFields(one.fields) : [one]))

/** What a new record has in a field. */
function blankValue(one: FieldDescription): unknown {
  if (one.more.blank !== undefined) return one.more.blank
  if (one.optional !== undefined) return null
  if (one.kind === 'text') return ''
  if (one.kind === 'choice') return one.choices[0]
  if (one.kind === 'yes-no') return false
  if (one.kind === 'some') return []
  if (one.kind === 'list') return [blankOf(one.fields)]
  return null
}

/**
 * @returns a new record: what must be filled is empty, and no figure is made up
 * @example blankOf(fieldsOf('gas')) // { id: '', name: '', co2Pct: 0, … }
 */
export const blankOf = (fields: readonly FieldDescription[]): Readonly<Record<string, unknown>> =>
  Object.fromEntries(
    fields
      .filter(({ more }) => more.startsOpen !== true)
      .map((one) => [one.path.at(-1) ?? '', blankValue(one)]),
  )
