/** The columns of a weld list as a table: one a field of a joint, with its unit in the heading. */
import { JOINT_KINDS, PATTERNS, POSITIONS } from '../model/jointKinds.ts'
import { type Joint } from '../model/job.ts'
import { parseQuantity } from '../quantity/parse.ts'
import type { QuantityKind } from '../quantity/kinds.ts'
import type { Notation } from '../quantity/units.ts'
import { MATERIALS, materialOf } from '../reference/materials.ts'
import { JOINT_CHOICES, positionOf } from './words.ts'

type Cell = { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly message: string }

export interface Column {
  readonly key: keyof Joint
  readonly heading: string
  /** `mm` where it is a length. */
  readonly unit: string
  /** Other headings, lower case. */
  readonly words: readonly string[]
  read(text: string, context: CellContext): Cell
  print(joint: Joint): string
}

interface CellContext {
  /** The unit that the heading gave; empty where it gave none. */
  readonly unit: string
  readonly notation: Notation
  readonly row: Partial<Joint>
}

const ok = (value: unknown): Cell => ({ ok: true, value })
const no = (message: string): Cell => ({ ok: false, message })

/** Reads a bare number in the heading's unit, and anything that has its own. */
function lengthColumn(
  key: keyof Joint,
  heading: string,
  kind: QuantityKind,
  words: readonly string[],
  nullable = false,
): Column {
  return {
    key,
    heading,
    unit: 'mm',
    words,
    read(text, { unit, notation, row }) {
      if (text === '' && nullable) return ok(null)
      const bare = /^[\d.,/\s-]+$/.test(text)
      const material = key === 'thicknessBMm' ? (row.materialB ?? row.materialA) : row.materialA
      const parsed = parseQuantity(kind, bare && unit !== '' ? `${text} ${unit}` : text, {
        ...notation,
        ...(material === undefined ? {} : { metal: MATERIALS[material].gauge }),
      })
      return parsed.ok ? ok(parsed.value) : no(parsed.problem.message)
    },
    // Every digit: what is read again is the same number.
    print: (joint) => (joint[key] === null ? '' : String(joint[key])),
  }
}

function numberColumn(key: keyof Joint, heading: string, words: readonly string[], nullable = false): Column {
  return {
    key,
    heading,
    unit: '',
    words,
    read(text) {
      if (text === '' && nullable) return ok(null)
      const value = Number(text.replace(',', '.'))
      return text !== '' && Number.isFinite(value)
        ? ok(value)
        : no(`“${text}” is not a number for ${heading}. Write a plain number.`)
    },
    print: (joint) => (joint[key] === null ? '' : String(joint[key])),
  }
}

function choiceColumn(
  key: keyof Joint,
  heading: string,
  words: readonly string[],
  values: readonly string[],
  of: (text: string) => string | null,
): Column {
  return {
    key,
    heading,
    unit: '',
    words,
    read(text) {
      const lower = text.toLowerCase()
      const found = values.includes(lower) ? lower : of(lower)
      return found
        ? ok(found)
        : no(
            `“${text}” is not a ${heading}. Use ${values.slice(0, 6).join(', ')}${values.length > 6 ? ' …' : ''}.`,
          )
    },
    print: (joint) => String(joint[key]),
  }
}

function flagColumn(key: keyof Joint, heading: string, words: readonly string[]): Column {
  return {
    key,
    heading,
    unit: '',
    words,
    read(text) {
      if (/^(yes|y|true|1|x)$/i.test(text)) return ok(true)
      if (/^(no|n|false|0|)$/i.test(text)) return ok(false)
      return no(`“${text}” is neither yes nor no.`)
    },
    print: (joint) => (joint[key] === true ? 'yes' : 'no'),
  }
}

const materialColumn = (key: 'materialA' | 'materialB', heading: string, words: readonly string[]): Column =>
  choiceColumn(key, heading, words, Object.keys(MATERIALS), materialOf)

/** Metals come first: a gauge in a later column is read in them. */
export const COLUMNS: readonly Column[] = [
  {
    key: 'id',
    heading: 'id',
    unit: '',
    words: ['weld', 'weld no', 'mark', 'no'],
    read: (text) =>
      /^[a-z0-9][a-z0-9-]{0,63}$/.test(text)
        ? ok(text)
        : no(`“${text}” cannot be an id. Use up to 64 lower-case letters, digits and hyphens.`),
    print: ({ id }) => id,
  },
  choiceColumn(
    'kind',
    'joint',
    ['kind', 'type', 'joint type', 'weld type'],
    JOINT_KINDS,
    (text) => JOINT_CHOICES.find(({ words }) => words.includes(text))?.kind ?? null,
  ),
  flagColumn('around', 'around', ['all round', 'round tube', 'weld around']),
  materialColumn('materialA', 'material A', ['material', 'metal', 'base metal', 'material 1']),
  materialColumn('materialB', 'material B', ['material 2', 'other material']),
  lengthColumn('thicknessAMm', 'thickness A', 'thickness', ['thickness', 't', 'thk', 'thickness 1', 'wall']),
  lengthColumn('thicknessBMm', 'thickness B', 'thickness', ['thickness 2', 'other thickness', 'thk 2']),
  lengthColumn('legMm', 'leg', 'weldSize', ['size', 'weld size', 'fillet', 'leg size', 'leg a'], true),
  lengthColumn('legBMm', 'leg B', 'weldSize', ['other leg'], true),
  lengthColumn('rootGapMm', 'gap', 'weldSize', ['root gap', 'root opening']),
  lengthColumn('rootFaceMm', 'root face', 'weldSize', ['face', 'land']),
  numberColumn('includedAngleDeg', 'angle', ['included angle', 'groove angle', 'angle deg', 'bevel'], true),
  lengthColumn('rootRadiusMm', 'root radius', 'weldSize', ['radius']),
  lengthColumn('reinforcementMm', 'cap', 'weldSize', ['reinforcement']),
  lengthColumn('backWeldMm', 'back weld', 'weldSize', ['back']),
  flagColumn('backing', 'backing', ['backing bar']),
  lengthColumn('diameterMm', 'diameter', 'length', ['od', 'outside diameter', 'hole', 'dia'], true),
  lengthColumn('headerDiameterMm', 'header diameter', 'length', ['header', 'run od'], true),
  lengthColumn('slotLengthMm', 'slot length', 'length', ['slot'], true),
  numberColumn('passes', 'passes', ['no of passes', 'number of passes'], true),
  choiceColumn('position', 'position', ['pos'], POSITIONS, positionOf),
  numberColumn('count', 'count', ['qty', 'quantity', 'number', 'welds', 'pieces']),
  lengthColumn('lengthMm', 'length', 'length', ['weld length', 'each', 'l']),
  choiceColumn('pattern', 'pattern', ['continuity'], PATTERNS, (text) => (text === '' ? 'continuous' : null)),
  lengthColumn('segmentMm', 'segment', 'length', ['segment length', 'stitch'], true),
  lengthColumn('pitchMm', 'pitch', 'length', ['spacing'], true),
  numberColumn('tackS', 'tack s', ['tack', 'tack time'], true),
  numberColumn('repositionS', 'reposition s', ['reposition', 'reposition time'], true),
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
