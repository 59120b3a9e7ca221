/** Cells of a sheet: how a field of a record is written in one cell and read back. */
import { WIRE_FORMS } from '../kinds/wire.ts'
import { SPOOLED_FORMS } from '../kinds/feeder.ts'
import { GUN_GASES } from '../kinds/gun.ts'
import { METALS } from '../model/material.ts'
import { GROOVES, type RollGroove } from '../kinds/part.ts'
import type { Program } from '../kinds/powerSource.ts'
import { PROCESS_FAMILIES } from '../model/process.ts'
import type { DecimalMark } from '../quantity/numberFormat.ts'
import type { QuantityKind } from '../quantity/kinds.ts'
import { type ParseContext, parseQuantity } from '../quantity/parse.ts'

export type CellRead =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly message: string }

/** What a cell is read with, beside its own text. */
export interface CellContext {
  /** Of a bare number: the record's own (null), what the heading gave, or the shop's where it gave none (empty). */
  readonly unit: string | null
  readonly notation: ParseContext
  /** The mark that the file writes before its decimals; null where nothing in it says. */
  readonly decimal: DecimalMark | null
}
/** Open files are metric, with a point for the decimals, each number in the unit of its heading. */
export const OPEN: CellContext = {
  unit: null,
  notation: { system: 'metric', locale: 'en-US' },
  decimal: null,
}

export interface Cell {
  print(value: unknown): string
  read(text: string, context: CellContext): CellRead
  /** Whether it holds one figure, which says how the file writes them. */
  readonly isFigure?: true
}

const good = (value: unknown): CellRead => ({ ok: true, value })
const bad = (message: string): CellRead => ({ ok: false, message })

const EMPTY = bad('is empty. Enter a value')

export const words = (): Cell => ({
  print: (value) => String(value ?? ''),
  read: (text) => (text === '' ? EMPTY : good(text)),
})

/** Nothing written is null. */
export const orNothing = (cell: Cell): Cell => ({
  ...(cell.isFigure ? { isFigure: true } : {}),
  print: (value) => (value === null || value === undefined ? '' : cell.print(value)),
  read: (text, context) => (text === '' ? good(null) : cell.read(text, context)),
})

const PLAIN_NUMBER = /^[+-]?(\d+(\.\d*)?|\.\d+)(e[+-]?\d+)?$/i
/** A number or a fraction, and no unit with it. */
const BARE = /^[\d.,/\s-]+$/

/** Three figures behind one comma: a thousand, or a thousandth. */
const EITHER = /^[+-]?\d{1,3},\d{3}$/
const POINT_EITHER = /^[+-]?[1-9]\d{0,2}\.\d{3}$/
const WITH_COMMA = /^[+-]?\d+,\d+$/
/** Groups of three with the other mark behind them: `1.234,5`, `1,234.5`, `1 234,5`. */
const GROUPED = /^[+-]?\d{1,3}(?:[.,\s\u00a0\u202f]\d{3})+(?:[.,]\d+)?$/

/**
 * A number as spreadsheets write it, with a point or with a comma for its decimals.
 * @returns null for what is none; `either` where a comma could be one or the other
 */
function figureOf(text: string, decimal: DecimalMark | null): number | 'either' | null {
  if (decimal === ',' && POINT_EITHER.test(text)) return 'either'
  if (PLAIN_NUMBER.test(text)) return Number(text)
  if (EITHER.test(text) && decimal === null) return 'either'
  if (EITHER.test(text) && decimal === '.') return Number(text.replace(',', ''))
  if (WITH_COMMA.test(text)) return Number(text.replace(',', '.'))
  if (!GROUPED.test(text)) return null
  const marks = text.replace(/[\d+-]/g, '')
  const last = marks.at(-1)
  // The same mark throughout is between thousands; a last one that differs is before the decimals.
  const isDecimal =
    (last === '.' || last === ',') && marks.indexOf(last) === marks.length - 1 && marks.length > 1
  const at = isDecimal ? text.lastIndexOf(last) : text.length
  const whole = text.slice(0, at).replace(/[^\d+-]/g, '')
  return Number(isDecimal ? `${whole}.${text.slice(at + 1)}` : whole)
}
function readFigure(text: string, decimal: DecimalMark | null): CellRead {
  const figure = figureOf(text, decimal)
  if (figure === 'either')
    return bad(
      `is “${text}”, which could be ${text.replace(/[.,]/, '')} or ${text.replace(/[.,]/, decimal ?? '.')}. Enter that`,
    )
  return figure === null ? bad(`is “${text}”. Enter a plain number`) : good(figure)
}

/** A plain number; people write it with a comma too. */
export const number = (): Cell => ({
  print: String,
  read: (text, { decimal }) => (text === '' ? EMPTY : readFigure(text, decimal)),
  isFigure: true,
})

/** A measure in any unit that people write; a bare number is in the unit of its column. */
export const measure = (kind: QuantityKind): Cell => ({
  print: String,
  isFigure: true,
  read(text, { unit, notation, decimal }) {
    if (text === '') return EMPTY
    // In an open file a bare number is in the unit of its column, whatever mark is before its decimals.
    if (unit === null && figureOf(text, decimal) !== null) return readFigure(text, decimal)
    const parsed = parseQuantity(
      kind,
      unit !== null && unit !== '' && BARE.test(text) ? `${text} ${unit}` : text,
      notation,
    )
    return parsed.ok ? good(parsed.value) : bad(parsed.problem.message)
  },
})

const MOST_NAMED = 6
const someNamed = (choices: readonly (string | number)[]): string =>
  choices.length <= MOST_NAMED ? choices.join(', ') : `${choices.slice(0, MOST_NAMED).join(', ')} …`

/**
 * One of a few words, or of a few numbers.
 * @param known what else people write for one of them, in small letters; null where it is none
 */
export const oneOf = (
  choices: readonly (string | number)[],
  known: (text: string) => string | null = () => null,
): Cell => ({
  print: String,
  read(text) {
    if (text === '') return EMPTY
    const lower = text.toLowerCase()
    const found = choices.find((choice) => String(choice).toLowerCase() === lower) ?? known(lower)
    return found === null ? bad(`is “${text}”. Enter one of ${someNamed(choices)}`) : good(found)
  },
})

/** Some of a few words, a blank between them. */
export const someOf = (choices: readonly (string | number)[]): Cell => {
  const one = oneOf(choices)
  return {
    print: (value) => (Array.isArray(value) ? value.join(' ') : ''),
    read(text, context) {
      const parts = text.split(/[\s,;+]+/).filter((part) => part !== '')
      const reads = parts.map((part) => one.read(part, context))
      const wrong = reads.find((read) => !read.ok)
      if (wrong) return wrong
      return good(reads.map((read) => (read.ok ? read.value : null)))
    },
  }
}

export const yesNo = (): Cell => ({
  print: (value) => (value === true ? 'yes' : 'no'),
  read(text) {
    if (/^(yes|y|true|1|x)$/i.test(text)) return good(true)
    if (/^(no|n|false|0)$/i.test(text)) return good(false)
    return bad(text === '' ? 'is empty. Enter yes or no' : `is “${text}”. Enter yes or no`)
  },
})

/** Several things of one kind in one cell, a semicolon between them. */
const listOf = (print: (value: never) => string, read: (text: string) => unknown, example: string): Cell => ({
  print: (value) => (Array.isArray(value) ? value.map((one) => print(one as never)).join('; ') : ''),
  read(text) {
    const parts = text
      .split(';')
      .map((part) => part.trim())
      .filter((part) => part !== '')
    const values = parts.map(read)
    const wrong = parts[values.indexOf(null)]
    return wrong === undefined
      ? good(values)
      : bad(`holds “${wrong}”, which is not valid. Enter for example ${example}`)
  },
})

const RATED_POINT =
  /^(\d+(?:\.\d+)?)\s*(?:A\s*(?:@|at)?|@)\s*(\d+(?:\.\d+)?)\s*%(?:\s+(\d+(?:\.\d+)?)\s*V)?$/i
interface PlatePoint {
  readonly currentA: number
  readonly dutyPct: number
  readonly loadV: number | null
}
/** `200 A 25 % 24 V; 130 A 60 %` */
export const ratedPoints = (): Cell =>
  listOf(
    ({ currentA, dutyPct, loadV }: PlatePoint) =>
      `${currentA} A ${dutyPct} %${loadV === null ? '' : ` ${loadV} V`}`,
    (text) => {
      const found = RATED_POINT.exec(text)
      if (!found) return null
      return {
        currentA: Number(found[1]),
        dutyPct: Number(found[2]),
        loadV: found[3] === undefined ? null : Number(found[3]),
      }
    },
    '200 A 25 % 24 V; 130 A 60 %',
  )

const GUN_RATING = /^(co2|mixed|argon|none)\s+(dc|ac)\s+(\d+(?:\.\d+)?)\s*A\s+(\d+(?:\.\d+)?)\s*%$/i
interface GunRating {
  readonly gas: string
  readonly wave: string
  readonly currentA: number
  readonly dutyPct: number
}
/** `co2 dc 250 A 60 %; mixed dc 180 A 60 %` */
export const gunRatings = (): Cell =>
  listOf(
    ({ gas, wave, currentA, dutyPct }: GunRating) => `${gas} ${wave} ${currentA} A ${dutyPct} %`,
    (text) => {
      const found = GUN_RATING.exec(text)
      if (!found) return null
      return {
        gas: found[1]?.toLowerCase(),
        wave: found[2]?.toLowerCase(),
        currentA: Number(found[3]),
        dutyPct: Number(found[4]),
      }
    },
    'co2 dc 250 A 60 %; mixed dc 180 A 60 %',
  )

const oneWord = (word: string | undefined, known: readonly string[]): string | null =>
  known.find((one) => one === word?.toLowerCase()) ?? null
const MM = String.raw`\d+(?:\.\d+)?`
const ROLL_GROOVE = new RegExp(String.raw`^(\S+)\s+(${MM})(?:\s*[-–]\s*(${MM}))?(?:\s*mm)?$`)
/** `v-smooth 0.8-0.9; u 1.2`: each groove with the wires that it takes, mm. */
export const rollGrooves = (): Cell =>
  listOf(
    ({ form, wireMinMm, wireMaxMm }: RollGroove) =>
      `${form} ${wireMinMm}${wireMaxMm === wireMinMm ? '' : `-${wireMaxMm}`}`,
    (text) => {
      const found = ROLL_GROOVE.exec(text)
      const form = oneWord(found?.[1], GROOVES)
      if (!found || form === null) return null
      return { form, wireMinMm: Number(found[2]), wireMaxMm: Number(found[3] ?? found[2]) }
    },
    'v-smooth 0.8-0.9; u 1.2',
  )

const PROGRAM = new RegExp(String.raw`^(\S+)\s+(\S+)\s+(${MM})(?:\s*mm)?\s+(\S+)$`)
/** `solid carbon-steel 0.9 mixed; solid aluminium 1.2 argon` */
export const programs = (): Cell =>
  listOf(
    ({ form, metal, wireMm, gas }: Program) => `${form} ${metal} ${wireMm} ${gas}`,
    (text) => {
      const found = PROGRAM.exec(text)
      const form = oneWord(found?.[1], WIRE_FORMS)
      const metal = oneWord(found?.[2], METALS)
      const gas = oneWord(found?.[4], GUN_GASES)
      if (!found || form === null || metal === null || gas === null) return null
      return { form, metal, wireMm: Number(found[3]), gas }
    },
    'solid carbon-steel 0.9 mixed; solid aluminium 1.2 argon',
  )

const OUTPUT_RANGE = /^(\S+)\s+(.+?)\s+(\d+(?:\.\d+)?)\s*[-–]\s*(\d+(?:\.\d+)?)\s*A$/i
interface OutputRange {
  readonly family: string
  readonly mark: string
  readonly minA: number
  readonly maxA: number
}
/** `gtaw low 5-110 A; gtaw high 90-230 A` */
export const outputRanges = (): Cell =>
  listOf(
    ({ family, mark, minA, maxA }: OutputRange) => `${family} ${mark} ${minA}-${maxA} A`,
    (text) => {
      const found = OUTPUT_RANGE.exec(text)
      const family = oneWord(found?.[1], PROCESS_FAMILIES)
      if (!found || family === null) return null
      return { family, mark: found[2], minA: Number(found[3]), maxA: Number(found[4]) }
    },
    'gtaw low 5-110 A; gtaw high 90-230 A',
  )

const TENSION_MARK = /^([a-z-]+)\s*[=\s]\s*(\S{1,12})$/i
/** `solid = 3; cored-self-shielded = 2`: the mark on the tension knob for each form of wire. */
export const tensionMarks = (): Cell =>
  listOf(
    ({ form, mark }: { readonly form: string; readonly mark: string }) => `${form} = ${mark}`,
    (text) => {
      const found = TENSION_MARK.exec(text)
      const form = oneWord(found?.[1], SPOOLED_FORMS)
      return found && form !== null ? { form, mark: found[2] } : null
    },
    'solid = 3; cored-self-shielded = 2',
  )

const DIAL_MARK = /^([^\s;=]{1,12})\s*[=\s]\s*(.+)$/
interface DialMark {
  readonly mark: string
  readonly value: number
}
/** `A = 16.4; B = 18.1`: each mark of a dial or a tap with what it gives. */
export function dialMarks(value: Cell, example: string): Cell {
  const cell = (context: CellContext) =>
    listOf(
      ({ mark, value: gives }: DialMark) => `${mark} = ${value.print(gives)}`,
      (text) => {
        const found = DIAL_MARK.exec(text)
        const read = found ? value.read((found[2] ?? '').replace(/\s*V$/i, ''), context) : null
        return read?.ok === true ? { mark: found?.[1], value: read.value } : null
      },
      example,
    )
  return {
    print: (marks) => cell(OPEN).print(marks),
    read: (text, context) => cell(context).read(text, context),
  }
}
export const voltsDial = (): Cell => dialMarks(number(), 'A = 16.4; B = 18.1')
export const feedDial = (): Cell => dialMarks(measure('wireFeedSpeed'), '3 = 4500; 4 = 6000')
