/**
 * The one reader of what is printed on a cable, a cord or a lead: cores, area of one conductor, kind. An area is never
 * read without its unit: 10 AWG is 5.26 mm², and 10 mm² is nearly twice that.
 */

import { remembered } from '../basis/remembered.ts'

export interface Conductor {
  /** Of one conductor, mm². */
  readonly areaMm2: number
  /** Size in words that every book understands: `10 AWG`, `250 kcmil`, `2.5 mm²`. */
  readonly size: string
  /** Conductors in the cable, the earth among them where it is counted; null where the text does not say. */
  readonly cores: number | null
  /** What else is printed, such as `H07RN-F` or `NM-B`; empty where nothing is. */
  readonly kind: string
}

/** ASTM B258: each gauge is the 39th root of 92 thinner; 36 AWG is 0.005 in, 0000 is 0.46 in. */
const awgAreaMm2 = (gauge: number): number => (Math.PI / 4) * (0.127 * 92 ** ((36 - gauge) / 39)) ** 2
/** A circle of a thousandth of an inch, times a thousand. */
const KCMIL_MM2 = (Math.PI / 4) * 0.0254 ** 2 * 1000
/** Gauges that power cables come in; below them it is kcmil. */
const GAUGES: readonly number[] = [
  26, 24, 22, 20, 18, 16, 14, 12, 10, 9, 8, 7, 6, 5, 4, 3, 2, 1, 0, -1, -2, -3,
]
const LEAST_KCMIL = 250
const MOST_KCMIL = 2000
const MOST_MM2 = 630
const MOST_CORES = 61

const plain = (figure: string): number => Number(figure.replace(',', '.'))

/** `4/0` is four noughts: gauge −3. */
function gaugeOf(text: string): number | null {
  const noughts = /^([1-4])\/0$/.exec(text)
  const gauge = noughts ? 1 - Number(noughts[1]) : Number(text)
  return GAUGES.includes(gauge) ? gauge : null
}
const awgName = (gauge: number): string => `${gauge > 0 ? gauge : `${1 - gauge}/0`} AWG`

interface Area {
  readonly areaMm2: number
  readonly size: string
}
function inAwg(text: string): Area | null {
  const gauge = gaugeOf(text)
  return gauge === null ? null : { areaMm2: awgAreaMm2(gauge), size: awgName(gauge) }
}
function inMm2(figure: string): Area | null {
  const areaMm2 = plain(figure)
  return areaMm2 > 0 && areaMm2 <= MOST_MM2 ? { areaMm2, size: `${areaMm2} mm²` } : null
}
function inKcmil(figure: string): Area | null {
  const kcmil = Number(figure)
  return kcmil >= LEAST_KCMIL && kcmil <= MOST_KCMIL
    ? { areaMm2: kcmil * KCMIL_MM2, size: `${kcmil} kcmil` }
    : null
}

const FIGURE = String.raw`\d{1,3}(?:[.,]\d{1,2})?`
const GAUGE = String.raw`[1-4]\/0|\d{1,2}`
const MM2 = String.raw`(?:mm\s?(?:²|2|\^2)|qmm|sq\.?\s?mm)`
const of = (pattern: string): RegExp => new RegExp(`^${pattern}$`, 'i')

/** What may be written, each with what its groups are. */
const FORMS: readonly {
  readonly form: RegExp
  readonly read: (groups: readonly string[]) => { readonly area: Area | null; readonly cores: number | null }
}[] = [
  // `3G2,5`, `5 x 16 mm²`, `4 × 25`: cores times area, and an area it is (HD 361).
  {
    form: of(String.raw`(\d{1,2})\s*(?:[gx×]|\*)\s*(${FIGURE})\s*${MM2}?`),
    read: ([cores = '', area = '']) => ({ area: inMm2(area), cores: Number(cores) }),
  },
  { form: of(String.raw`(${FIGURE})\s*${MM2}`), read: ([area = '']) => ({ area: inMm2(area), cores: null }) },
  {
    form: of(String.raw`(\d{1,2})\s*(?:[x×]|\*)\s*(${GAUGE})\s*awg`),
    read: ([cores = '', gauge = '']) => ({ area: inAwg(gauge), cores: Number(cores) }),
  },
  {
    form: of(String.raw`(?:#|no\.?)\s*(${GAUGE})(?:\s*awg)?|(${GAUGE})\s*(?:awg|ga|gauge)|awg\s*(${GAUGE})`),
    read: ([one, other, third]) => ({ area: inAwg(one ?? other ?? third ?? ''), cores: null }),
  },
  { form: of(String.raw`([1-4]\/0)`), read: ([gauge = '']) => ({ area: inAwg(gauge), cores: null }) },
  {
    form: of(String.raw`(\d{3,4})\s*(?:kcmil|mcm)`),
    read: ([figure = '']) => ({ area: inKcmil(figure), cores: null }),
  },
  // `12/3`, `6-2`: gauge and conductors, as American cables and cords are printed; the earth is not counted.
  {
    form: of(String.raw`(\d{1,2})\s*[/-]\s*([2-5])(?:\s*awg)?`),
    read: ([gauge = '', cores = '']) => ({ area: inAwg(gauge), cores: Number(cores) }),
  },
]

/** A word of a cable's kind has a letter in it and is no unit: `H07RN-F`, `NYM-J`, `NM-B`, `SJTW`, `w/ground`. */
const KIND =
  /^(?!awg$|ga$|gauge$|kcmil$|mcm$|mm²?$|mm2$|qmm$|no\.?$|sq\.?$)(?=.*[a-z])[a-z0-9][a-z0-9/.+-]*$/i
/** `3G2.5`, `10AWG` and such are figures, whatever letters are in them. */
const IS_FIGURE = /^\d+(?:[.,]\d+)?(?:[gx×*]\d|\s*(?:awg|ga|mm))/i

function readBare(text: string): Conductor | null {
  for (const { form, read } of FORMS) {
    const found = form.exec(text)
    if (!found) continue
    const { area, cores } = read(found.slice(1))
    const isCores = cores === null || (cores >= 1 && cores <= MOST_CORES)
    return area && isCores ? { ...area, cores, kind: '' } : null
  }
  return null
}

/**
 * @param text as printed: `10 AWG`, `3G2,5`, `H07RN-F 5G6`, `NYM-J 5x2,5`, `6/3 NM-B`, `12/3 SJTW`, `25 mm²`
 * @returns null for a figure without a unit, and for what is no conductor
 * @example readConductor('H07RN-F 3G2,5') // { areaMm2: 2.5, size: '2.5 mm²', cores: 3, kind: 'H07RN-F' }
 */
export const readConductor = remembered((text: string): Conductor | null => {
  const words = text.trim().replace(/\s+/g, ' ').split(' ')
  const isKind = (word: string): boolean => KIND.test(word) && !IS_FIGURE.test(word)
  const first = words.findIndex((word) => !isKind(word))
  const last = words.findLastIndex((word) => !isKind(word))
  if (first < 0) return null
  const figures = words.slice(first, last + 1).join(' ')
  const found = readBare(figures)
  const kind = [...words.slice(0, first), ...words.slice(last + 1)].join(' ')
  return found && { ...found, kind }
})

/** Rounding in a table's areas must not make a size one smaller. */
const NEARLY = 0.005

/**
 * @param sizes that a book has a row for, the thinnest first
 * @returns the row of this conductor: its own size, or the next smaller that the book has; null below the smallest
 * @example rowOf('2.5 mm²', ['14 AWG', '12 AWG']) // '14 AWG': 2.08 mm² of copper
 */
export function rowOf(printed: string, sizes: readonly string[]): string | null {
  const conductor = readConductor(printed)
  if (!conductor) return null
  if (sizes.includes(conductor.size)) return conductor.size
  const areaOf = (size: string): number => readConductor(size)?.areaMm2 ?? Number.POSITIVE_INFINITY
  const fitting = sizes.filter((size) => areaOf(size) <= conductor.areaMm2 * (1 + NEARLY))
  return fitting.reduce<string | null>(
    (best, size) => (best === null || areaOf(size) > areaOf(best) ? size : best),
    null,
  )
}

/** What a source adds where a book reads another size than is printed; empty where it is the same. */
export const readAs = (printed: string, row: string): string =>
  readConductor(printed)?.size === row ? '' : `, read as ${row}`
