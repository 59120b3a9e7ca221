/**
 * What people see of a field, said once, on its schema: forms, new records, sheets and the API's description are made
 * of it. Texts are English; another language translates them by these texts.
 */
import type { QuantityKind } from '../quantity/index.ts'

/** What a text names, for which the rule book of the shop has usual ones. */
export type Suggesting = 'cable' | 'cord' | 'lead' | 'outlet'
export interface FieldMore {
  /** A measure, typed in any unit and shown in the shop's. */
  readonly quantity?: QuantityKind
  /** Unit of a plain number. */
  readonly unit?: string
  /** What an empty field means; without it the field must be filled. */
  readonly empty?: string
  /** What it is, where the label does not say it. */
  readonly help?: string
  /** Heading of the group that it stands in; without it the group of the field before. */
  readonly group?: string
  /** Words of its choices; the name of a vocabulary where sentences use the same ones. */
  readonly words?: string | Readonly<Record<string, string>>
  /** What people write most; anything else may be written too. */
  readonly suggests?: Suggesting
  /** How a text is read when it is left: what it holds is shown back with its unit. */
  readonly reads?: 'conductor' | 'day'
  /** What a new record has; without it nothing, or the first choice. */
  readonly blank?: unknown
  /** A new record leaves it open: empty would say something. */
  readonly startsOpen?: true
  /** Heading of its column in a sheet; without it the field's own name in small letters. */
  readonly heading?: string
  /** How it is written in one cell, where it is a list of things. */
  readonly cell?:
    | 'rated-points'
    | 'gun-ratings'
    | 'volts-dial'
    | 'feed-dial'
    | 'roll-grooves'
    | 'programs'
    | 'output-ranges'
    | 'tension-marks'
  /** What one member of a list is called. */
  readonly member?: string
  /** Kind of the record whose id it holds. */
  readonly reference?: string
  /** Of an object that may be absent: the words for having it. */
  readonly presence?: string
  /** It has an editor of its own, or nobody types it. */
  readonly isApart?: true
}

export interface FieldMeta {
  readonly [key: string]: unknown
  readonly title: string
  readonly description?: string
  readonly field: FieldMore
}

/** @returns what `.meta()` takes */
export const field = (title: string, more: FieldMore = {}): FieldMeta => ({
  title,
  ...(more.help === undefined ? {} : { description: more.help }),
  field: more,
})

/** The words for an empty field that nobody has to fill. */
export const NOT_GIVEN = 'not given'
