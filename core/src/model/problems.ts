/** Says what is wrong with a document in words: which field, what was found there, what to write instead. */
import { z } from 'zod'
import { outlineProblems } from './outline.ts'

export interface FieldProblem {
  /** JSON Pointer (RFC 6901) to the field. */
  readonly pointer: string
  /** The field as a person reads it, for example `job › joints 1 › thicknessAMm`. */
  readonly field: string
  readonly message: string
}

type Issue = z.core.$ZodIssue

const escapePointer = (part: PropertyKey): string => String(part).replaceAll('~', '~0').replaceAll('/', '~1')

function fieldWords(path: readonly PropertyKey[]): string {
  if (path.length === 0) return 'document'
  return path.map((part) => (typeof part === 'number' ? `${part + 1}` : String(part))).join(' › ')
}

/** Problems that are told of one document: whoever has so many has one cause. */
export const MOST_PROBLEMS = 100
/** Names and values that one message quotes. */
const MOST_QUOTED = 12
const MOST_LETTERS = 60

const quoteOne = (value: unknown): string => {
  const text = String(value)
  return `“${text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS)}…` : text}”`
}
const quote = (values: readonly unknown[], most = Number.POSITIVE_INFINITY): string => {
  const more = values.length > most ? ` and ${values.length - most} more` : ''
  return values.slice(0, most).map(quoteOne).join(', ') + more
}

/** What a JSON value is, in words. */
function kindOf(value: unknown): string {
  if (value === undefined) return 'missing'
  if (value === null) return 'null'
  if (Array.isArray(value)) return 'a list'
  if (typeof value === 'object') return 'an object'
  return `a ${typeof value}`
}

const WANTED: Readonly<Record<string, string>> = {
  int: 'a whole number',
  array: 'a list',
  object: 'an object',
}

function messageOf(issue: Issue): string {
  switch (issue.code) {
    case 'invalid_type': {
      const found = kindOf(issue.input)
      const wanted = WANTED[issue.expected] ?? `a ${issue.expected}`
      return found === 'missing' ? `is missing. Enter ${wanted}` : `is ${found}. Enter ${wanted} instead`
    }
    case 'unrecognized_keys':
      return `has fields that are not known: ${quote(issue.keys, MOST_QUOTED)}. Remove them or correct their spelling`
    case 'invalid_value':
      return `must be one of ${quote(issue.values)}`
    case 'too_big':
      return issue.origin === 'array' ? `has more than ${String(issue.maximum)} entries` : issue.message
    case 'invalid_union':
      return 'has none of the allowed values'
    default:
      return issue.message
  }
}

const problemAt = (path: readonly PropertyKey[], message: string): FieldProblem => ({
  pointer: path.map((part) => `/${escapePointer(part)}`).join(''),
  field: fieldWords(path),
  message,
})

/** @returns one problem a broken rule, in the order of the document, at most {@link MOST_PROBLEMS} */
export function fieldProblems(error: z.core.$ZodError, root: readonly PropertyKey[] = []): FieldProblem[] {
  return error.issues
    .slice(0, MOST_PROBLEMS)
    .map((issue) => problemAt([...root, ...issue.path], messageOf(issue)))
}

export type Read<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] }

/** Lists longer than this are read entry by entry, so that reading can stop. */
const LONG_LIST = 50

const entryOf = (value: unknown, key: string): unknown =>
  typeof value === 'object' && value !== null ? Reflect.get(value, key) : undefined

/** What is wrong within the long lists of a document, up to {@link MOST_PROBLEMS}. */
function longListProblems(schema: unknown, value: unknown, path: readonly PropertyKey[]): FieldProblem[] {
  if (schema instanceof z.ZodObject) {
    const problems: FieldProblem[] = []
    for (const [key, inner] of Object.entries(schema.shape)) {
      problems.push(...longListProblems(inner, entryOf(value, key), [...path, key]))
      if (problems.length >= MOST_PROBLEMS) break
    }
    return problems.slice(0, MOST_PROBLEMS)
  }
  if (!(schema instanceof z.ZodArray) || !Array.isArray(value) || value.length <= LONG_LIST) return []
  const problems: FieldProblem[] = []
  for (const [index, entry] of value.entries()) {
    const read = z.safeParse(schema.element, entry, { reportInput: true })
    if (!read.success) problems.push(...fieldProblems(read.error, [...path, index]))
    if (problems.length >= MOST_PROBLEMS) break
  }
  return problems.slice(0, MOST_PROBLEMS)
}

interface Outside {
  readonly schema: z.ZodType
  /** Which lists it leaves out; empty for none. */
  readonly without: string
}
const known = new WeakMap<z.ZodType, Map<string, z.ZodType>>()

/**
 * The schema without what it asks of the entries of lists that are long: that has been asked entry by entry. All that it
 * asks of the lists as a whole, and of what stands around them, stays. It is made once for each pattern of long lists.
 */
function outside(schema: z.ZodType, value: unknown): Outside {
  if (!(schema instanceof z.ZodObject)) return { schema, without: '' }
  const shape = schema.shape as Readonly<Record<string, z.ZodType>>
  const left = Object.entries(shape).flatMap(([key, inner]) => {
    const held = entryOf(value, key)
    if (inner instanceof z.ZodArray && Array.isArray(held) && held.length > LONG_LIST)
      return [
        { key, name: key, make: () => z.core.clone(inner, { ...inner._zod.def, element: z.unknown() }) },
      ]
    const below = outside(inner, held)
    return below.without === '' ? [] : [{ key, name: `${key}(${below.without})`, make: () => below.schema }]
  })
  const without = left.map(({ name }) => name).join()
  if (without === '') return { schema, without }
  const made = known.get(schema) ?? new Map<string, z.ZodType>()
  known.set(schema, made)
  const changed = () => ({ ...shape, ...Object.fromEntries(left.map(({ key, make }) => [key, make()])) })
  const clone = made.get(without) ?? z.core.clone(schema, { ...schema._zod.def, shape: changed() })
  made.set(without, clone)
  return { schema: clone, without }
}

/**
 * Checks a value against a schema without changing or dropping anything of it. Stops at {@link MOST_PROBLEMS}.
 * @param root path put before the fields named in the problems
 * @returns the document, or every problem with its JSON Pointer, its field in words and the remedy
 * @example readDocument(gasSchema, { ...gas, co2Pct: 40 }) // { ok: false, problems: [{ pointer: '/argonPct', … }] }
 */
export function readDocument<T>(
  schema: z.ZodType<T>,
  value: unknown,
  root: readonly PropertyKey[] = [],
): Read<T> {
  const outline = outlineProblems(value, MOST_PROBLEMS)
  if (outline.length > 0)
    return { ok: false, problems: outline.map(({ path, message }) => problemAt([...root, ...path], message)) }
  const early = longListProblems(schema, value, root)
  if (early.length > 0) return { ok: false, problems: early }
  const result = outside(schema, value).schema.safeParse(value, { reportInput: true })
  return result.success
    ? { ok: true, value: result.data as T }
    : { ok: false, problems: fieldProblems(result.error, root) }
}
