/** The sheets: a column for each field of a record, as its schema describes it. */
import { plateProcessSchema, type PartKind, partSchemaOf, supplyRatingSchema } from '../kinds/equipment.ts'
import { factsOf, type Listed } from '../kinds/facts.ts'
import { definitionOf, type RecordKind } from '../kinds/index.ts'
import { stockFieldOf } from '../kinds/records.ts'
import { PART_KINDS } from '../kinds/slots.ts'
import { describeFields, type FieldDescription } from '../model/describe.ts'
import { columnsOf, headingOf, type SheetColumn } from '../sheet/columns.ts'

/** An object that may be absent: its first column says whether it is there. */
interface Presence {
  readonly heading: string
  readonly path: readonly string[]
}

export interface Sheet {
  /** The word in the column `kind`. */
  readonly kind: string
  readonly title: string
  /** The kind of the records in it. */
  readonly of: Listed
  readonly columns: readonly SheetColumn[]
  readonly presences: readonly Presence[]
  /** How much there is, beside the record; null of what nobody counts. */
  readonly stock: SheetColumn | null
  /** Fields that every record of the sheet has. */
  readonly fixed: Readonly<Record<string, string>>
}

const presencesOf = (fields: readonly FieldDescription[]): readonly Presence[] =>
  fields.flatMap((one) => (one.kind === 'object' ? [{ heading: headingOf(one), path: one.path }] : []))

/** Columns of one process of the plate, the same in each row of that process. */
export const PROCESS_COLUMNS = columnsOf(describeFields(plateProcessSchema))
/** Columns of one supply voltage of one process: a row is one column of the data plate. */
export const SUPPLY_COLUMNS = columnsOf(describeFields(supplyRatingSchema))
export const PROCESS_NUMBER = 'process_no'

const PART_TITLES: Readonly<Record<PartKind, string>> = {
  'drive-roll': 'Drive rolls',
  liner: 'Liners',
  'contact-tip': 'Contact tips',
  nozzle: 'Nozzles',
  collet: 'Collets',
  'collet-body': 'Collet bodies',
  cup: 'Cups',
  'back-cap': 'Back caps',
  'flow-meter': 'Flow meters',
}

/** @param word in the column `kind` */
function sheet(title: string, kind: RecordKind, word: string = kind): Sheet {
  const fields = describeFields(definitionOf(kind).schema)
  return sheetOf(word, title, kind, fields, {})
}
function sheetOf(
  word: string,
  title: string,
  kind: RecordKind,
  fields: readonly FieldDescription[],
  fixed: Sheet['fixed'],
): Sheet {
  const [stock = null] = columnsOf(stockFieldOf(kind))
  return {
    kind: word,
    title,
    of: factsOf(kind) as Listed,
    columns: columnsOf(fields),
    presences: presencesOf(fields),
    stock,
    fixed,
  }
}

export const SHEETS: readonly Sheet[] = [
  sheet('Power sources', 'power-source'),
  sheet('Wire feeders', 'feeder'),
  sheet('Guns and torches', 'gun', 'gun-or-torch'),
  ...PART_KINDS.map((kind) =>
    sheetOf(kind, PART_TITLES[kind], 'part', describeFields(partSchemaOf(kind)), { kind }),
  ),
  sheet('Wires and rods', 'wire'),
  sheet('Gases', 'gas'),
  sheet('Tungstens', 'tungsten'),
]

/** @returns the headings of a sheet, in order */
export function headingsOf({ kind, columns, stock, presences }: Sheet): readonly string[] {
  const own = [...columns, ...(stock ? [stock] : []), ...presences]
  const first = ['kind', ...own.map(({ heading }) => heading)]
  return kind === 'power-source'
    ? [...first, PROCESS_NUMBER, ...[...PROCESS_COLUMNS, ...SUPPLY_COLUMNS].map(({ heading }) => heading)]
    : first
}
