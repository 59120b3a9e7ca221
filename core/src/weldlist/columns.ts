/** The columns of a weld list as a table: one a field of a joint, with its unit in the heading. */
import { describeFields } from '../model/describe.ts'
import { type Joint, jointSchema } from '../kinds/job.ts'
import { materialOf } from '../reference/materials.ts'
import type { Cell } from '../sheet/cells.ts'
import { cellOf } from '../sheet/columns.ts'
import { takeFlags } from './flags.ts'
import { JOINT_CHOICES, positionOf } from './words.ts'

export interface Column {
  readonly key: keyof Joint
  readonly heading: string
  /** `mm` where it is a length. */
  readonly unit: string
  /** Other headings, lower case. */
  readonly words: readonly string[]
  readonly cell: Cell
}

/** What people write for a choice beside its own name. */
const KNOWN: Partial<Record<keyof Joint, (text: string) => string | null>> = {
  kind: (text) => JOINT_CHOICES.find(({ words }) => words.includes(text))?.kind ?? null,
  materialA: materialOf,
  materialB: materialOf,
  position: positionOf,
  penetration: (text) => takeFlags(text).said.penetration ?? null,
}

const FIELDS = describeFields(jointSchema)

function column(key: keyof Joint, heading: string, words: readonly string[]): Column {
  const field = FIELDS.find(({ path }) => path[0] === key)
  const cell = field && cellOf(field, KNOWN[key])
  if (!cell) throw new TypeError(`a weld has no field ${key} that is one cell`)
  return { key, heading, unit: field.kind === 'quantity' ? 'mm' : '', words, cell }
}

/** Metals come first: a gauge in a later column is read in them. */
export const COLUMNS: readonly Column[] = [
  column('id', 'id', ['weld', 'weld no', 'mark', 'no']),
  column('kind', 'joint', ['kind', 'type', 'joint type', 'weld type']),
  column('around', 'around', ['all round', 'round tube', 'weld around']),
  column('materialA', 'material A', ['material', 'metal', 'base metal', 'material 1']),
  column('materialB', 'material B', ['material 2', 'other material']),
  column('thicknessAMm', 'thickness A', ['thickness', 't', 'thk', 'thickness 1', 'wall']),
  column('thicknessBMm', 'thickness B', ['thickness 2', 'other thickness', 'thk 2']),
  column('legMm', 'leg', ['size', 'weld size', 'fillet', 'leg size', 'leg a']),
  column('legBMm', 'leg B', ['other leg']),
  column('bothSides', 'both sides', ['sides', 'each side']),
  column('penetration', 'penetration', ['joint penetration', 'cjp']),
  column('rootGapMm', 'gap', ['root gap', 'root opening']),
  column('rootFaceMm', 'root face', ['face', 'land']),
  column('includedAngleDeg', 'angle', ['included angle', 'groove angle', 'angle deg', 'bevel']),
  column('rootRadiusMm', 'root radius', ['radius']),
  column('reinforcementMm', 'cap', ['reinforcement']),
  column('backWeldMm', 'back weld', ['back']),
  column('backing', 'backing', ['backing bar']),
  column('purge', 'back purge', ['purge']),
  column('diameterMm', 'diameter', ['od', 'outside diameter', 'hole', 'dia']),
  column('headerDiameterMm', 'header diameter', ['header', 'run od']),
  column('slotLengthMm', 'slot length', ['slot']),
  column('passes', 'passes', ['no of passes', 'number of passes']),
  column('position', 'position', ['pos']),
  column('count', 'count', ['qty', 'quantity', 'number', 'welds', 'pieces']),
  column('lengthMm', 'length', ['weld length', 'each', 'l']),
  column('pattern', 'pattern', ['continuity']),
  column('segmentMm', 'segment', ['segment length', 'stitch']),
  column('pitchMm', 'pitch', ['spacing']),
  column('tackS', 'tack s', ['tack', 'tack time']),
  column('repositionS', 'reposition s', ['reposition', 'reposition time']),
]

/** The heading as it is written: `length (mm)`. */
export const headingOf = ({ heading, unit }: Column): string =>
  unit === '' ? heading : `${heading} (${unit})`

/** Splits `Length [in]` into name and unit. */
export function splitHeading(text: string): { name: string; unit: string } {
  const found = /^(.*?)\s*[([]\s*([^)\]]*)\s*[)\]]\s*$/.exec(text.trim())
  const name = (found?.[1] ?? text)
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, ' ')
  const unit = (found?.[2] ?? '').trim().toLowerCase()
  // `length_mm`, `length in`
  const tail = unit === '' ? /^(.+?) (mm|cm|m|in|inch|inches|ft)$/.exec(name) : null
  return tail ? { name: tail[1] ?? name, unit: tail[2] ?? '' } : { name, unit }
}
