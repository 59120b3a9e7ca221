/** Says what is wrong with a document in words: which field, what was found there, what to write instead. */
import type { z } from 'zod'

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

const quote = (values: readonly unknown[]): string => values.map((value) => `“${String(value)}”`).join(', ')

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
      return found === 'missing' ? `is missing; give ${wanted}` : `is ${found}; give ${wanted} instead`
    }
    case 'unrecognized_keys':
      return `has fields that are not known: ${quote(issue.keys)}; take them out or correct their spelling`
    case 'invalid_value':
      return `must be one of ${quote(issue.values)}`
    case 'invalid_union':
      return 'has none of the values that it may have'
    default:
      return issue.message
  }
}

/** @returns one problem a broken rule, in the order of the document */
export function fieldProblems(error: z.core.$ZodError, root: readonly PropertyKey[] = []): FieldProblem[] {
  return error.issues.map((issue) => {
    const path = [...root, ...issue.path]
    return {
      pointer: path.map((part) => `/${escapePointer(part)}`).join(''),
      field: fieldWords(path),
      message: messageOf(issue),
    }
  })
}

export type Read<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] }

/**
 * Checks a value against a schema without changing or dropping anything of it.
 * @param root path put before the fields named in the problems
 */
export function readDocument<T>(
  schema: z.ZodType<T>,
  value: unknown,
  root: readonly PropertyKey[] = [],
): Read<T> {
  const result = schema.safeParse(value, { reportInput: true })
  return result.success
    ? { ok: true, value: result.data }
    : { ok: false, problems: fieldProblems(result.error, root) }
}
