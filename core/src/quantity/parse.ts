/** Reads what people write into a field: fractions, decimals, gauges, any unit, with the metal's name or without. */
import { GAUGE_TABLES, gaugeRange, type GaugeTableId } from './gauges.ts'
import { KINDS, type KindOfQuantity, type QuantityKind } from './kinds.ts'
import { isNumberProblem, type NumberForm, type NumberRead, readNumber } from './number.ts'
import { printQuantity } from './print.ts'
import { FOOT, INCH, type Notation, type Unit, type UnitSystem } from './units.ts'

export interface ParseContext extends Notation {
  /** The metal of the part, where known: a gauge means nothing without it. */
  readonly metal?: GaugeTableId
}

export type ProblemCode =
  | 'empty'
  | 'not-a-number'
  | 'negative'
  | 'zero-denominator'
  | 'ambiguous'
  | 'unknown-unit'
  | 'unknown-gauge'
  | 'gauge-needs-metal'
  | 'gauge-not-whole'
  | 'gauge-not-here'
  | 'metals-differ'
  | 'out-of-range'

export interface ParseProblem {
  readonly code: ProblemCode
  /** One or two sentences: what was understood, what is missing, what to write. */
  readonly message: string
}

export type Parsed =
  | { readonly ok: true; readonly value: number; readonly understood: string }
  | { readonly ok: false; readonly problem: ParseProblem }

const METAL_WORDS: readonly [RegExp, GaugeTableId][] = [
  [/^(galv(anised|anized)?\.?( steel| sheet)?)$/, 'galvanised'],
  [/^(30[1-9]l?|316l?|321|430|ss|stainless( steel)?)$/, 'stainless'],
  [/^(al|alu|alum|aluminium|aluminum|1100|3003|5052|5083|5086|6061|6063)$/, 'aluminium'],
  [/^(cs|ms|hr|cr|steel|mild steel|carbon steel|a36)$/, 'carbon-steel'],
]

const fail = (code: ProblemCode, message: string): Parsed => ({ ok: false, problem: { code, message } })

/** `50 l, 200 bar`: the room in a cylinder and the pressure that fills it. */
const CYLINDER =
  /^(?<room>[\d.,]+)\s*(?:l|litres?|liters?)\s*[,;@x×*/ ]*\s*(?:at\s+)?(?<pressure>[\d.,]+)\s*(?<unit>bar|psi)$/i
const BAR_PER_PSI = 0.0689476
/** Free gas at the pressure of the air, taken as ideal: within a tenth of what argon and its mixes are filled to. */
function freeGasL(
  { room = '', pressure = '', unit = '' }: Readonly<Record<string, string | undefined>>,
  { locale }: ParseContext,
): number {
  const [roomL, filled] = [room, pressure].map((figure) => {
    const read = readNumber(figure, locale)
    return isNumberProblem(read) ? Number.NaN : read.value
  })
  const bar = unit.toLowerCase() === 'psi' ? BAR_PER_PSI : 1
  return Math.round((roomL ?? 0) * (filled ?? 0) * bar)
}

/**
 * @param kind which quantity the field holds
 * @param text what was written
 * @param context the unit setting and, for a thickness, the metal
 * @returns the value in the inside unit with `understood` for the eye, or a problem with a remedy. Never throws.
 * @example parseQuantity('thickness', '14 ga', { system: 'imperial', metal: 'stainless' }) // 1.98374 mm
 */
export function parseQuantity(kind: QuantityKind, text: string, context: ParseContext): Parsed {
  const of = KINDS[kind]
  const written = text.trim().replace(/\s+/g, ' ')
  const example = `Enter ${of.example[context.system]}.`
  const filled = kind === 'cylinder' ? CYLINDER.exec(written)?.groups : undefined
  if (filled) return parseQuantity(kind, `${freeGasL(filled, context)} L`, { ...context, locale: 'en-US' })
  if (written === '') return fail('empty', `The ${of.noun} is empty. ${example}`)
  if (written.length > 60) {
    return fail('not-a-number', `“${written.slice(0, 24)}…” is too long for a ${of.noun}. ${example}`)
  }

  // Sheet is called by #10 as by 10 ga.
  const hash = of.gauge && /^#\s*\d+\b/.test(written)
  const read = readNumber(hash ? written.slice(1) : written, context.locale)
  if (isNumberProblem(read)) {
    const code =
      read.code === 'no-number' ? 'not-a-number' : read.code === 'ambiguous-comma' ? 'ambiguous' : read.code
    return fail(code, `“${written}” is not a ${of.noun}: ${read.reason}. ${example}`)
  }

  const gauge = /^#?(?:ga|gauge|gage)\b\.?\s*(.*)$/i.exec(hash ? `ga ${read.rest}` : read.rest)
  if (gauge) return parseGauge(of, written, read, gauge[1] ?? '', context)

  const feetAndInches = of.spellings["'"] === FOOT ? readFeetAndInches(read, context.locale) : null
  if (feetAndInches !== null) return inRange(kind, written, feetAndInches, context)

  const { unitText, metal } = splitMetal(read.rest, of.gauge)
  if (metal && context.metal && metal !== context.metal) return metalsDiffer(written, metal, context.metal)
  return withUnit(kind, of, written, read, unitText, context)
}

function withUnit(
  kind: QuantityKind,
  of: KindOfQuantity,
  written: string,
  read: NumberRead,
  unitText: string,
  context: ParseContext,
): Parsed {
  if (unitText === '') {
    const unit = bareUnit(of, read.form, context.system)
    const limit = of.bareWholeInchesBelow
    const doubtful =
      limit !== undefined && context.system === 'imperial' && read.form === 'whole' && read.value >= limit
    if (doubtful && read.value > 0) {
      const gauge = of.gauge ? `, ${read.value} ga` : ''
      return fail(
        'ambiguous',
        `“${written}” has no unit: it can be ${read.value} mm${gauge} or ${read.value} in. Enter the unit after it.`,
      )
    }
    return inRange(kind, written, read.value * unit.worth, context)
  }
  const unit = of.spellings[unitText.toLowerCase()]
  if (!unit) {
    const known = [...new Set(Object.values(of.spellings).map((u) => u.name))].join(', ')
    return fail(
      'unknown-unit',
      `“${written}”: “${unitText}” is not a unit of ${of.noun}. Use ${known}${of.gauge ? ' or ga' : ''}.`,
    )
  }
  return inRange(kind, written, read.value * unit.worth, context)
}

/** Nobody writes fractions of a millimetre: a bare fraction is inches in either setting. */
function bareUnit(of: KindOfQuantity, form: NumberForm, system: UnitSystem): Unit {
  return of.fractions && form === 'fraction' ? INCH : of.bare[system]
}

/** `2' 6"`, `2 ft 6-1/2 in`; null where the text is not of that form. */
function readFeetAndInches(feet: NumberRead, locale: Notation['locale']): number | null {
  const tail = /^(?:ft\.?|feet|foot|'|′|’)\s*(\d.*)$/i.exec(feet.rest)
  if (!tail) return null
  const inches = readNumber(tail[1] ?? '', locale)
  if (isNumberProblem(inches)) return null
  if (inches.rest !== '' && !/^(in\.?|inch|inches|"|″|”)$/i.test(inches.rest)) return null
  return feet.value * FOOT.worth + inches.value * INCH.worth
}

function splitMetal(rest: string, takesMetal: boolean): { unitText: string; metal: GaugeTableId | null } {
  if (!takesMetal) return { unitText: rest, metal: null }
  const whole = metalOf(rest)
  if (whole) return { unitText: '', metal: whole }
  const [first = '', ...others] = rest.split(' ')
  const metal = metalOf(others.join(' '))
  return metal ? { unitText: first, metal } : { unitText: rest, metal: null }
}

function metalOf(words: string): GaugeTableId | null {
  const lower = words.trim().toLowerCase()
  return METAL_WORDS.find(([pattern]) => pattern.test(lower))?.[1] ?? null
}

function metalsDiffer(written: string, named: GaugeTableId, field: GaugeTableId): Parsed {
  return fail(
    'metals-differ',
    `“${written}” names ${GAUGE_TABLES[named].name}, the part is ${GAUGE_TABLES[field].name}. Change one of them.`,
  )
}

function parseGauge(
  of: KindOfQuantity,
  written: string,
  read: NumberRead,
  metalWords: string,
  context: ParseContext,
): Parsed {
  if (!of.gauge) {
    return fail('gauge-not-here', `“${written}”: a ${of.noun} is not given in gauge. ${hint(of, context)}`)
  }
  if (read.form !== 'whole') {
    return fail(
      'gauge-not-whole',
      `“${written}”: a gauge is a whole number, such as 16 ga. For a fraction of an inch write in instead of ga.`,
    )
  }
  const named = metalWords === '' ? null : metalOf(metalWords)
  if (metalWords !== '' && !named) {
    return fail(
      'gauge-needs-metal',
      `“${written}”: ${read.value} ga needs a metal, “${metalWords}” is not one. Enter steel, galvanised, stainless or aluminium.`,
    )
  }
  if (named && context.metal && named !== context.metal) return metalsDiffer(written, named, context.metal)
  const metal = named ?? context.metal
  if (!metal) {
    return fail(
      'gauge-needs-metal',
      `“${written}”: ${read.value} ga is a different thickness in each metal. Say which, for example ${read.value} ga stainless.`,
    )
  }
  const table = GAUGE_TABLES[metal]
  const inches = table.inches.get(read.value)
  if (inches === undefined) {
    const { least, most } = gaugeRange(table)
    return fail(
      'unknown-gauge',
      `“${written}”: ${table.name} has no ${read.value} ga. Its gauges run from ${least} to ${most}. Enter the thickness in in or mm.`,
    )
  }
  return {
    ok: true,
    value: inches * INCH.worth,
    understood: `${read.value} ga ${table.name} = ${inches} in`,
  }
}

const hint = (of: KindOfQuantity, context: ParseContext): string => `Enter ${of.example[context.system]}.`

function inRange(kind: QuantityKind, written: string, value: number, context: ParseContext): Parsed {
  const of = KINDS[kind]
  const print = (v: number) => printQuantity(kind, v, context)
  // The unit's worth may leave 100.00000000000001; the limits themselves are allowed.
  const slack = 1e-9 * of.most
  if (value < of.least - slack || value > of.most + slack) {
    const side =
      value < of.least ? `below the minimum of ${print(of.least)}` : `above the maximum of ${print(of.most)}`
    return fail('out-of-range', `“${written}” is ${side}. ${hint(of, context)}`)
  }
  return { ok: true, value, understood: print(value) }
}
