/** Cells of a sheet: how a field of a record is written in one cell and read back. */
import { type Notation, parseQuantity, type QuantityKind } from '../quantity/index.ts'

export type CellRead =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly message: string }

export interface Cell {
  print(value: unknown): string
  read(text: string): CellRead
}

/** Open files are metric, with a point for the decimals. */
const OPEN_NOTATION: Notation = { system: 'metric', locale: 'en-US' }

const good = (value: unknown): CellRead => ({ ok: true, value })
const bad = (message: string): CellRead => ({ ok: false, message })

const EMPTY = bad('is empty; fill it in')

export const words = (): Cell => ({
  print: (value) => String(value ?? ''),
  read: (text) => (text === '' ? EMPTY : good(text)),
})

/** Nothing written is null. */
export const orNothing = (cell: Cell): Cell => ({
  print: (value) => (value === null || value === undefined ? '' : cell.print(value)),
  read: (text) => (text === '' ? good(null) : cell.read(text)),
})

const PLAIN_NUMBER = /^[+-]?(\d+(\.\d*)?|\.\d+)(e[+-]?\d+)?$/i

/** A number in the unit of the heading; with a kind, any unit that people write. */
export const number = (kind?: QuantityKind): Cell => ({
  print: String,
  read(text) {
    if (text === '') return EMPTY
    if (PLAIN_NUMBER.test(text)) return good(Number(text))
    if (kind === undefined) return bad(`is “${text}”; write a number, with a point for the decimals`)
    const parsed = parseQuantity(kind, text, OPEN_NOTATION)
    return parsed.ok ? good(parsed.value) : bad(parsed.problem.message)
  },
})

/** One of a few words, or of a few numbers. */
export const oneOf = (choices: readonly (string | number)[]): Cell => ({
  print: String,
  read(text) {
    if (text === '') return EMPTY
    const found = choices.find((choice) => String(choice).toLowerCase() === text.toLowerCase())
    return found === undefined ? bad(`is “${text}”; write one of ${choices.join(', ')}`) : good(found)
  },
})

/** Some of a few words, a blank between them. */
export const someOf = (choices: readonly (string | number)[]): Cell => {
  const one = oneOf(choices)
  return {
    print: (value) => (Array.isArray(value) ? value.join(' ') : ''),
    read(text) {
      const parts = text.split(/[\s,;+]+/).filter((part) => part !== '')
      const reads = parts.map((part) => one.read(part))
      const wrong = reads.find((read) => !read.ok)
      if (wrong) return wrong
      return good(reads.map((read) => (read.ok ? read.value : null)))
    },
  }
}

export const yesNo = (): Cell => ({
  print: (value) => (value === true ? 'yes' : 'no'),
  read(text) {
    const word = text.toLowerCase()
    if (word === 'yes' || word === 'y' || word === 'true') return good(true)
    if (word === 'no' || word === 'n' || word === 'false') return good(false)
    return bad(text === '' ? 'is empty; write yes or no' : `is “${text}”; write yes or no`)
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
      : bad(`holds “${wrong}”, which is not understood; write for example ${example}`)
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
