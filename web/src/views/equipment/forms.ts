/** The fields of each kind of record in groups, as their schemas describe them: the form draws them. */
import {
  blankOf,
  describeFields,
  type FieldDescription,
  fieldsOf,
  flatFields,
  factsAt,
  type PartKind,
  plateProcessSchema,
  stockFieldOf,
  supplyRatingSchema,
} from '@brannik/core'
import { choiceWords } from '../../files/choices.ts'
import type { Draft, EquipmentPath } from './useRecordDraft.ts'
import { type WordedChoice, PART_WORDS } from './words.ts'

/** A field that stands on its own in a form. */
export type FieldSpec = Exclude<FieldDescription, { readonly kind: 'object' | 'list' | 'table' }>

export interface FieldGroup {
  readonly title: string
  readonly fields: readonly FieldSpec[]
  /** An object that may be absent: its path, the words for having it, and what it begins with. */
  readonly presence?: {
    readonly path: string
    readonly words: string
    readonly blank: Readonly<Record<string, unknown>>
  }
}

const isSpec = (one: FieldDescription): one is FieldSpec =>
  one.kind !== 'object' && one.kind !== 'list' && one.kind !== 'table'

/** A list that is typed as rows: each member with its fields beside each other. */
export type ListSpec = Extract<FieldDescription, { readonly kind: 'list' }>
export const specsOf = (list: ListSpec): readonly FieldSpec[] => list.fields.filter(isSpec)
/** The lists of a record that are written in one cell of a sheet: what has a table of its own is none. */
export const listsOf = (path: string, partKind: PartKind | null): readonly ListSpec[] =>
  fieldsAt(path, partKind).filter(
    (one): one is ListSpec => one.kind === 'list' && one.more.cell !== undefined,
  )

/** The choices of a field with their words. */
export function choicesOf(one: Extract<FieldSpec, { readonly choices: unknown }>): readonly WordedChoice[] {
  const words = choiceWords(one)
  return one.choices.map((choice) => [String(choice), words[choice] ?? String(choice)])
}

function groupsOf(fields: readonly FieldDescription[]): readonly FieldGroup[] {
  const groups = new Map<string, FieldGroup>()
  for (const one of fields) {
    if (one.kind === 'object') {
      const [path = ''] = one.path
      const presence = { path, words: one.more.presence ?? one.label, blank: blankOf(one.fields) }
      groups.set(one.label, { title: one.label, fields: flatFields(one.fields).filter(isSpec), presence })
    } else if (isSpec(one) && one.more.isApart !== true) {
      const known = groups.get(one.group)?.fields ?? []
      groups.set(one.group, { title: one.group, fields: [...known, one] })
    }
  }
  return [...groups.values()]
}

export const STOCK = 'Stock'
/** How much there is stands among the fields of the stock, though it is no field of the record. */
const stockField = (path: string): readonly FieldDescription[] =>
  stockFieldOf(factsAt(path)?.kind ?? null).map((one) => ({ ...one, group: STOCK }))

function fieldsAt(path: string, partKind: PartKind | null): readonly FieldDescription[] {
  const kind = factsAt(path)?.kind
  return kind ? fieldsOf(kind, partKind) : []
}

/**
 * @param partKind of a part
 * @param isStored what is not stored yet cannot be counted
 */
export const formOf = (path: string, partKind: PartKind | null, isStored: boolean): readonly FieldGroup[] =>
  groupsOf([...fieldsAt(path, partKind), ...(isStored ? stockField(path) : [])]).map((group) =>
    group.title === 'This part' ? { ...group, title: `This ${PART_WORDS[partKind ?? ''] ?? 'part'}` } : group,
  )

/** @param partKind which part, where the path is that of the parts */
export const blankRecord = (path: EquipmentPath, id: string, partKind: PartKind): Draft => {
  const kind = path === 'parts' ? partKind : null
  return { ...(kind === null ? {} : { kind }), ...blankOf(fieldsAt(path, kind)), id }
}

const SUPPLY_FIELDS = describeFields(supplyRatingSchema)
export const BLANK_SUPPLY = blankOf(SUPPLY_FIELDS)
export const BLANK_PROCESS = blankOf(describeFields(plateProcessSchema))

type Figure = Extract<FieldDescription, { readonly kind: 'number' }>
/** A figure of a supply column, or of one of its rated points. */
export function plateFigure(key: string, isOfPoint = false): Figure {
  const points = SUPPLY_FIELDS.find(({ kind }) => kind === 'list')
  const among = isOfPoint && points?.kind === 'list' ? points.fields : SUPPLY_FIELDS
  const found = among.find((one) => one.path.at(-1) === key)
  if (found?.kind !== 'number') throw new RangeError(`a plate has no figure ${key}`)
  return found
}

/**
 * A field as the form calls it, from its JSON Pointer: `/processes/0/supplies/1/i1MaxA` is “I₁max (process 1, column
 * 2)”.
 */
export function fieldWords(path: string, partKind: PartKind | null, pointer: string): string {
  let among = fieldsAt(path, partKind)
  let words = ''
  let member = ''
  const places: string[] = []
  for (const step of pointer.split('/').slice(1)) {
    if (/^\d+$/.test(step)) {
      places.push(`${member} ${Number(step) + 1}`)
      continue
    }
    const found = among.find((one) => one.path.at(-1) === step)
    if (!found) return [words, step].filter(Boolean).join(' ')
    words = found.label
    member = found.more.member ?? found.label
    among = found.kind === 'object' || found.kind === 'list' ? found.fields : []
  }
  return places.length === 0 ? words : `${words} (${places.join(', ')})`
}
