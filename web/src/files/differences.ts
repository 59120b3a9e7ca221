/** What of a record is different between two versions, field by field, in words. */
import { type FieldDescription, midSentence, type Notation, printNumber, printQuantity } from '@brannik/core'
import { choiceWords } from './choices.ts'

export interface Difference {
  readonly field: string
  readonly before: string
  readonly after: string
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null

/** How fields are called and written: as their schemas describe them, in the shop's units. */
export interface Wording {
  readonly fields: readonly FieldDescription[]
  readonly notation: Notation
}

/** The field at the end of a path, with words for the way to it: `weld w1, thickness`. */
function fieldAt(
  { fields }: Wording,
  path: readonly string[],
): { words: string; field: FieldDescription | null } {
  const words: string[] = []
  let among = fields
  let field: FieldDescription | null = null
  for (const step of path) {
    const next = among.find((one) => one.path.at(-1) === step)
    if (next) {
      field = next
      among = next.kind === 'object' || next.kind === 'list' ? next.fields : []
      words.push(words.length === 0 ? next.label : midSentence(next.label))
      continue
    }
    // A member of a list, by its id or its place.
    const place = /^\d+$/.test(step) ? `${Number(step) + 1}` : step
    if (field?.more.member !== undefined) words.splice(-1, 1, `${field.more.member} ${place}`)
    else words.push(place)
  }
  const last = words.length === path.length ? field : null
  return {
    words: words.join(', '),
    field: among === fields && path.length > 0 && !field ? null : (last ?? field),
  }
}

const MOST_LETTERS = 60
function print(value: unknown, field: FieldDescription | null, notation: Notation): string {
  if (value === undefined || value === null || value === '') return '–'
  if (isObject(value) && !Array.isArray(value)) return 'there'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') {
    if (field?.kind === 'quantity') return printQuantity(field.quantity, value, notation)
    const unit = field?.kind === 'number' && field.unit !== '' ? ` ${field.unit}` : ''
    return `${printNumber(value, notation.locale, 6)}${unit}`
  }
  const word = field && 'choices' in field ? choiceWords(field)[String(value)] : undefined
  const text = word ?? (typeof value === 'string' ? value : JSON.stringify(value))
  return text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS)}…` : text
}

/** What a field is called, by its path: names of fields, and places or ids of members of lists. */
export const fieldWords = (wording: Wording, path: readonly string[]): string => fieldAt(wording, path).words
/** What stands in a field, with its unit. */
export const valueWords = (wording: Wording, path: readonly string[], value: unknown): string =>
  print(value, fieldAt(wording, path).field, wording.notation)

/** Members of a list are told apart by their id, where they have one. */
function keyed(value: Record<string, unknown>): Record<string, unknown> {
  if (!Array.isArray(value) || !value.every((one) => isObject(one) && typeof one['id'] === 'string'))
    return value
  return Object.fromEntries(value.map((one: Record<string, unknown>) => [String(one['id']), one]))
}

/**
 * @param most after which it stops looking
 * @returns in the order of the document; empty where both are the same
 */
export function differences(
  before: unknown,
  after: unknown,
  wording: Wording,
  most = 200,
): readonly Difference[] {
  const found: Difference[] = []
  const walk = (was: unknown, is: unknown, path: readonly string[]): void => {
    if (found.length >= most || was === is) return
    if (isObject(was) && isObject(is)) {
      const [left, right] = [keyed(was), keyed(is)]
      for (const key of new Set([...Object.keys(left), ...Object.keys(right)]))
        walk(left[key], right[key], [...path, key])
      return
    }
    const { words, field } = fieldAt(wording, path)
    const gone = isObject(was) && is === undefined
    const come = was === undefined && isObject(is)
    found.push({
      field: words,
      before: come ? '–' : gone ? 'there' : print(was, field, wording.notation),
      after: gone ? '–' : come ? 'there' : print(is, field, wording.notation),
    })
  }
  walk(before, after, [])
  return found
}
