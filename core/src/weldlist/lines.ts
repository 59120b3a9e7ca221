/** The fields of a weld line as a person types them, in the order of the line. */
import type { Joint } from '../kinds/job.ts'
import type { Shop } from '../kinds/shop.ts'
import type { Notation } from '../quantity/units.ts'
import { applyChange } from './applyChange.ts'
import { printPattern, readPattern } from './pattern.ts'
import type { TextRead } from './read.ts'
import { printSize, readSize } from './size.ts'
import { printJoint, printParts, printWelds, readJoint, readParts, readPosition, readWelds } from './text.ts'
import { printPosition } from './words.ts'

interface LineFieldWays {
  readonly read: (text: string, joint: Joint, notation: Notation) => TextRead
  readonly print: (joint: Joint, notation: Notation, ruleBook?: Shop['ruleBook']) => string
}

const FIELDS = {
  Welds: { read: (text, _, notation) => readWelds(text, notation), print: printWelds },
  Joint: { read: (text) => readJoint(text), print: printJoint },
  Parts: { read: readParts, print: printParts },
  Size: { read: readSize, print: printSize },
  Position: {
    read: (text) => readPosition(text),
    print: (joint, _, ruleBook) => printPosition(joint, ruleBook),
  },
  Pattern: { read: (text, _, notation) => readPattern(text, notation), print: printPattern },
} as const satisfies Readonly<Record<string, LineFieldWays>>

export type LineField = keyof typeof FIELDS
export const LINE_FIELDS = Object.keys(FIELDS) as readonly LineField[]
export const isLineField = (key: string | null): key is LineField =>
  (LINE_FIELDS as readonly (string | null)[]).includes(key)

/** @example printLineField('Welds', joint, notation) // '24 × 8 in' */
export const printLineField = (
  field: LineField,
  joint: Joint,
  notation: Notation,
  ruleBook?: Shop['ruleBook'],
): string => (FIELDS[field] as LineFieldWays).print(joint, notation, ruleBook)

export type LineRead =
  | { readonly ok: true; readonly joint: Joint; readonly understood: string }
  | { readonly ok: false; readonly message: string }

/**
 * @param joint as it was before anything was typed
 * @param isUnsized true of a new weld without a typed size: a fillet's leg follows the thinner part
 * @returns the weld with what was typed in one field; or why it cannot be, in words
 * @example readLineField('Parts', '14 ga 304', joint, notation)
 */
export function readLineField(
  field: LineField,
  text: string,
  joint: Joint,
  notation: Notation,
  isUnsized = false,
): LineRead {
  const read = FIELDS[field].read(text, joint, notation)
  if (!read.ok) return read
  const follows = isUnsized && field !== 'Size'
  const next = applyChange(joint, { ...read.change, ...(follows ? { legMm: null, legBMm: null } : {}) })
  return next.ok ? { ok: true, joint: next.joint, understood: read.understood } : next
}

/**
 * @param rows cells as text, of a list that has no headings
 * @param joint what a row is before any of it is read
 * @returns for each column the field that reads half of its cells or more, in the order of a weld line where it can be
 * @example guessFields([['4 x 6 in', 'T', '1/4']], joint, notation) // ['Welds', 'Joint', 'Parts']
 */
export function guessFields(
  rows: readonly (readonly string[])[],
  joint: Joint,
  notation: Notation,
): readonly (LineField | null)[] {
  const width = Math.max(0, ...rows.map(({ length }) => length))
  const taken = new Set<LineField>()
  // What a column says is known when the next one is read: CJP is no size of a fillet.
  let welds: readonly Joint[] = rows.map(() => joint)
  let after = 0
  return Array.from({ length: width }, (_, column) => {
    const cells = rows.map((row) => (row[column] ?? '').trim())
    const filled = cells.filter((text) => text !== '').length
    const readBy = (field: LineField): readonly LineRead[] =>
      cells.map((text, row) => readLineField(field, text, welds[row] ?? joint, notation))
    const isReadBy = (field: LineField): boolean => {
      const read = readBy(field).filter(({ ok }, row) => ok && cells[row] !== '').length
      return read > 0 && 2 * read >= filled
    }
    const inOrder = [...LINE_FIELDS.slice(after), ...LINE_FIELDS.slice(0, after)]
    const field = inOrder.find((one) => !taken.has(one) && isReadBy(one)) ?? null
    if (field) {
      taken.add(field)
      after = LINE_FIELDS.indexOf(field) + 1
      welds = readBy(field).map((read, row) => (read.ok ? read.joint : (welds[row] ?? joint)))
    }
    return field
  })
}
