/** Columns of a sheet: one a field, as its schema describes it. */
import { type FieldDescription, flatFields } from '../model/describe.ts'
import {
  type Cell,
  feedDial,
  gunRatings,
  measure,
  number,
  oneOf,
  orNothing,
  outputRanges,
  programs,
  ratedPoints,
  rollGrooves,
  someOf,
  tensionMarks,
  voltsDial,
  words,
  yesNo,
} from './cells.ts'

export interface SheetColumn {
  readonly heading: string
  /** Where the field stands in the record; below `presence` where that says no. */
  readonly path: readonly string[]
  readonly cell: Cell
}

/** `acBalance.minPct` → `ac_balance_min_pct` */
export const headingOf = ({ path, more }: FieldDescription): string =>
  more.heading ?? path.map((name) => name.replace(/([a-z\d])([A-Z])/g, '$1_$2').toLowerCase()).join('_')

const LISTS = {
  'rated-points': ratedPoints,
  'gun-ratings': gunRatings,
  'volts-dial': voltsDial,
  'feed-dial': feedDial,
  'roll-grooves': rollGrooves,
  programs,
  'output-ranges': outputRanges,
  'tension-marks': tensionMarks,
} as const

function filledCell(one: FieldDescription): Cell | null {
  switch (one.kind) {
    case 'text':
      return words()
    case 'quantity':
      return measure(one.quantity)
    case 'number':
      return number()
    case 'some':
      return someOf(one.choices)
    case 'yes-no':
      return yesNo()
    default:
      return one.more.cell === undefined ? null : LISTS[one.more.cell]()
  }
}

/**
 * @param known what else people write for a choice, in small letters
 * @returns how a field is written in a cell; null where it is not one cell
 */
export function cellOf(one: FieldDescription, known?: (text: string) => string | null): Cell | null {
  const cell = one.kind === 'choice' ? oneOf(one.choices, known) : filledCell(one)
  return cell && one.optional !== undefined ? orNothing(cell) : cell
}

export const columnsOf = (fields: readonly FieldDescription[]): readonly SheetColumn[] =>
  flatFields(fields).flatMap((one) => {
    const cell = cellOf(one)
    return cell ? [{ heading: headingOf(one), path: one.path, cell }] : []
  })
