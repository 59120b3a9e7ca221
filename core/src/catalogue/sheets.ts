/** The sheets: a column for each field of a record, as its schema describes it. */
import {
  feederSchema,
  gasSchema,
  gunSchema,
  PART_KINDS,
  type PartKind,
  partSchemaOf,
  plateProcessSchema,
  powerSourceSchema,
  supplyRatingSchema,
  tungstenSchema,
  wireSchema,
} from '../model/equipment.ts'
import { describeFields, type FieldDescription } from '../model/describe.ts'
import { columnsOf, headingOf, type SheetColumn } from '../sheet/columns.ts'
import { kindOfPath } from '../model/versions.ts'
import { stockFieldOf } from '../model/records.ts'
import { CATALOGUE_LISTS, type CatalogueList } from './lists.ts'

/** An object that may be absent: its first column says whether it is there. */
interface Presence {
  readonly heading: string
  readonly path: readonly string[]
}

export interface Sheet {
  /** The word in the column `kind`. */
  readonly kind: string
  readonly title: string
  readonly list: CatalogueList
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

function sheet(
  kind: string,
  title: string,
  list: CatalogueList,
  schema: Parameters<typeof describeFields>[0],
  fixed: Sheet['fixed'] = {},
): Sheet {
  const fields = describeFields(schema)
  const [stock = null] = columnsOf(stockFieldOf(kindOfPath(CATALOGUE_LISTS[list].path)))
  return { kind, title, list, columns: columnsOf(fields), presences: presencesOf(fields), stock, fixed }
}

export const SHEETS: readonly Sheet[] = [
  sheet('power-source', 'Power sources', 'powerSources', powerSourceSchema),
  sheet('feeder', 'Wire feeders', 'feeders', feederSchema),
  sheet('gun-or-torch', 'Guns and torches', 'guns', gunSchema),
  ...PART_KINDS.map((kind) => sheet(kind, PART_TITLES[kind], 'parts', partSchemaOf(kind), { kind })),
  sheet('wire', 'Wires and rods', 'wires', wireSchema),
  sheet('gas', 'Gases', 'gases', gasSchema),
  sheet('tungsten', 'Tungstens', 'tungstens', tungstenSchema),
]

/** @returns the headings of a sheet, in order */
export function headingsOf({ kind, columns, stock, presences }: Sheet): readonly string[] {
  const own = [...columns, ...(stock ? [stock] : []), ...presences]
  const first = ['kind', ...own.map(({ heading }) => heading)]
  return kind === 'power-source'
    ? [...first, PROCESS_NUMBER, ...[...PROCESS_COLUMNS, ...SUPPLY_COLUMNS].map(({ heading }) => heading)]
    : first
}
