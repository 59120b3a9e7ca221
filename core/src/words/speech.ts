/** Makes sentences: from codes and parameters, in a language, with the units and the marks of the shop. */
import { slotWord } from '../capability/slots.ts'
import { isCandidate } from '../model/ownership.ts'
import type { Source } from '../basis/source.ts'
import { inOwnUnits, isAmerican, spelled } from '../basis/spelling.ts'
import { shownFormula, shownSymbol } from '../calculation/formula.ts'
import type { Step, Term } from '../calculation/step.ts'
import type { Slot } from '../kinds/slots.ts'
import type { Assessment } from '../criteria/criterion.ts'
import type { BoardCell } from '../board/board.ts'
import type { Swap } from '../assembly/swaps.ts'
import type { Chain, ChainLink } from '../fit/chain.ts'
import type { Shop } from '../kinds/shop.ts'
import { figure, list, type Param, type Params, message, type Message } from '../model/message.ts'
import type { Verdict } from '../model/verdict.ts'
import { printNumber, printValue } from '../quantity/printValue.ts'
import type { Process } from '../reference/processes.ts'
import type { Notation } from '../quantity/units.ts'
import { ENGLISH } from './english/index.ts'
import type { Language } from './language.ts'

/** Who speaks: in which language, with which units and marks. */
export interface Speech {
  readonly language: Language
  readonly notation: Notation
}

/**
 * How a shop writes its figures.
 * @example notationOf({ unitSystem: 'metric', locale: 'de-DE' }) // { system: 'metric', locale: 'de-DE' }
 */
export const notationOf = ({ unitSystem, locale }: Pick<Shop, 'unitSystem' | 'locale'>): Notation => ({
  system: unitSystem,
  locale,
})

/** Every text of a language, spelled otherwise; its codes stay. */
export function spelledAll<T>(texts: T, locale: string): T {
  if (typeof texts === 'string') return spelled(texts, locale) as T
  if (typeof texts !== 'object' || texts === null) return texts
  return Object.fromEntries(Object.entries(texts).map(([code, one]) => [code, spelledAll(one, locale)])) as T
}
let american: Language | null = null
const languageOf = (locale: string): Language => {
  if (!isAmerican(locale)) return ENGLISH
  american ??= spelledAll(ENGLISH, locale)
  return american
}

/**
 * English is the one language there is, in two spellings; a second is chosen here.
 * @example const speech = speechOf(shop)
 */
export const speechOf = (shop: Pick<Shop, 'unitSystem' | 'locale'>): Speech => ({
  language: languageOf(shop.locale),
  notation: notationOf(shop),
})

export const capital = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`
/** A title as it stands inside a sentence: “Source duty at 210 A” begins small, “MIG gun” does not. */
export const midSentence = (title: string): string =>
  /^\p{Lu}\p{Ll}/u.test(title) ? `${title.charAt(0).toLowerCase()}${title.slice(1)}` : title
export const sentence = (text: string): string => (/[.!?]$/.test(text) ? text : `${text}.`)

/**
 * @returns the word of the vocabulary; the code itself where the language has none
 * @example wordOf(speech, 'polarity', 'dcen') // 'DC, electrode negative (DCEN)'
 */
export const wordOf = ({ language }: Speech, kind: string, code: string): string =>
  language.vocabulary[kind]?.[code] ?? code

function said(speech: Speech, param: Param | undefined, join = ', '): string {
  if (param === undefined) return ''
  if (typeof param === 'string') return param
  if ('value' in param) return printValue(param.value, param.unit, speech.notation)
  if ('word' in param) return wordOf(speech, param.word, param.code)
  if ('list' in param) return joined(speech, param.list, join)
  return fill(speech, speech.language.missing[param.code] ?? param.code, param.params)
}

/** A supply is a voltage with its phases: one thing, not two. */
function joined(speech: Speech, params: readonly Param[], join: string): string {
  const [first, second] = params
  if (typeof second === 'object' && 'word' in second && second.word === 'phases')
    return `${said(speech, first)} ${said(speech, second)}`.trim()
  return withoutUnits(params.map((param) => said(speech, param))).join(join)
}

/** `240 V`, `120 V` → `240`, `120 V`: a unit that they share stands once. */
function withoutUnits(words: readonly string[]): readonly string[] {
  const unit = / \S+$/.exec(words.at(-1) ?? '')?.[0] ?? ''
  const areFigures = unit !== '' && words.every((word) => /^[\d.,]+ \S+$/.test(word) && word.endsWith(unit))
  return areFigures
    ? words.map((word, index) => (index < words.length - 1 ? word.slice(0, -unit.length) : word))
    : words
}

/** Puts parameters into a template. */
function fill(speech: Speech, template: string, params: Params): string {
  const text = template.replace(/\{(\w+)(?:\|(\w+))?\}/g, (_, name: string, join?: string) => {
    const between = join === undefined ? ', ' : ` ${wordOf(speech, 'join', join)} `
    return said(speech, params[name], between)
  })
  return inOwnUnits(text, speech.notation.system)
}

/** The template of a code, filled. */
export const filled = (
  speech: Speech,
  templates: Readonly<Record<string, string>>,
  { code, params }: Message,
): string => fill(speech, templates[code] ?? code, params)

/** A demand or a capacity in words: `60–220 A`; a dash for nothing. */
export function sideOf(speech: Speech, assessment: Assessment, side: 'demand' | 'capacity'): string {
  const value = assessment[side]
  if (value === null) {
    const template = speech.language.criteria[assessment.criterion]?.sides?.[side]
    return template === undefined ? '–' : fill(speech, template, assessment.params)
  }
  const main = printValue(value, assessment.unit, speech.notation)
  return side === 'capacity' && assessment.capacityLow !== null
    ? `${withoutUnit(printValue(assessment.capacityLow, assessment.unit, speech.notation))}–${main}`
    : main
}

/** `50 in/min` without its unit, for the lower end of a range. */
const withoutUnit = (printed: string): string => printed.split(' ')[0] ?? printed

/**
 * @returns the name of a criterion, as it stands at the head of its row
 * @example titleOf(speech, { criterion: 'gas-use', params: {} }) // 'Gas used'
 */
export const titleOf = (
  speech: Speech,
  { criterion, params }: Pick<Assessment, 'criterion' | 'params'>,
): string => capital(fill(speech, speech.language.criteria[criterion]?.title ?? criterion, params))

/** No margin in per cent: the amps themselves are what one knows. */
const signed = (value: number, unit: string, { locale }: Notation): string =>
  `${value < 0 ? '−' : '+'}${printNumber(Math.abs(value), locale, Math.abs(value) < 10 ? 1 : Math.abs(value) < 100 ? 2 : 3)} ${unit}`

/**
 * @returns what a cell of the board says below its mark: what limits it, and by how much
 * @example cellText(speech, cell) // 'source −45 A'
 */
export function cellText(speech: Speech, { limit, spareA }: Pick<BoardCell, 'limit' | 'spareA'>): string {
  const { notation } = speech
  if (limit === null) return spareA === null ? '' : signed(spareA, 'A', notation)
  const { demand, capacity, capacityLow, unit, marginPct } = limit
  const isLow = demand !== null && capacityLow !== null && demand < capacityLow
  const { short, shortLow } = speech.language.criteria[limit.criterion] ?? {}
  const template = isLow ? shortLow : short
  // Where the words have a place for what is asked, that is the figure, and not the room that is left.
  const asked = demand === null ? '' : figure(demand, unit)
  const name = midSentence(
    template === undefined
      ? titleOf(speech, limit)
      : fill(speech, template, { ...limit.params, demand: asked }),
  )
  if (demand === null || capacity === null || template?.includes('{demand}')) return name.trim()
  if (unit === 'A')
    return `${name} ${signed(isLow ? demand - (capacityLow ?? 0) : capacity - demand, unit, notation)}`
  return marginPct === null ? name : `${name} ${signed(marginPct, '%', notation)}`
}

/** @returns what is missing; empty where nothing is */
export const missingOf = (speech: Speech, assessment: Assessment): string =>
  assessment.verdict === 'unknown' ? filled(speech, speech.language.missing, assessment) : ''

/**
 * @returns the verdict of a criterion as one sentence, with its full stop
 * @example sentenceOf(speech, assessment) // 'Heats the breaker like a steady 5.4 A; it holds 30 A.'
 */
export function sentenceOf(speech: Speech, assessment: Assessment): string {
  const { language } = speech
  if (assessment.verdict === 'unknown') {
    const missing = missingOf(speech, assessment)
    return sentence(language.notKnown.replace('{missing}', () => missing))
  }
  const { criterion, code, params } = assessment
  const figures = {
    ...params,
    demand: sideOf(speech, assessment, 'demand'),
    capacity: sideOf(speech, assessment, 'capacity'),
  }
  return sentence(capital(fill(speech, language.criteria[criterion]?.sentences[code] ?? code, figures)))
}

/** The title of a group of criteria. */
export const groupTitle = ({ language }: Speech, group: string): string =>
  language.groups[group]?.title ?? group
/** What a group says where nothing of it is wrong. */
export const groupWell = ({ language }: Speech, group: string): string =>
  sentence(language.groups[group]?.well ?? group)

/** A part that would mend it, in words. */
export function swapText(speech: Speech, { item, along }: Swap, process: Pick<Process, 'electrode'>): string {
  const code = `swap${isCandidate(item) ? '-to-buy' : ''}${along.length > 0 ? '-along' : ''}`
  const params = { what: item.name, along: list(along.map((slot) => slotWord(slot, process))) }
  return filled(speech, speech.language.suggestions, message(code, params))
}

/** The workshop's word for a place; what holds the arc differs by process. */
export const slotText = (speech: Speech, slot: Slot, process: Pick<Process, 'electrode'>): string =>
  said(speech, slotWord(slot, process))

/** A caution in words, with its topic. */
export function cautionText(speech: Speech, { code, params }: Message): { topic: string; text: string } {
  const { topic, text } = speech.language.cautions[code] ?? { topic: '', text: code }
  return { topic, text: sentence(fill(speech, text, params)) }
}

/** The name of a link: gun or torch, wire or tungsten. */
export const linkTitle = (speech: Speech, { kind }: Pick<ChainLink, 'kind'>): string => said(speech, kind)
/**
 * What stands below a link of the chain.
 * @example linkDetail(speech, circuit) // 'North wall 120 V 20 A'
 */
export const linkDetail = (speech: Speech, { detail }: Pick<ChainLink, 'detail'>): string =>
  said(speech, detail)
/** Why a link of the chain has no figure. */
export const linkMissing = (speech: Speech, { missing }: Pick<ChainLink, 'missing'>): string =>
  missing ? filled(speech, speech.language.missing, missing) : ''

/** The chain in a sentence or two. */
export function chainText(speech: Speech, { told: { code, params } }: Pick<Chain, 'told'>): string {
  // In the middle of a sentence a link is no name.
  const kind = said(speech, params['kind'])
  const words = { ...params, kind: code === 'not-known' ? kind : kind.toLowerCase() }
  return sentence(fill(speech, speech.language.chain[code] ?? code, words))
}

/** What one link carries, in a sentence. */
export function linkText(speech: Speech, link: ChainLink, wantedA: number): string {
  const { detail, lowA, highA, missing } = link
  const { chain } = speech.language
  if (missing) return sentence(filled(speech, chain, message('link-unknown', { missing })))
  const params = {
    detail,
    low: figure(lowA ?? 0, 'A'),
    high: figure(highA ?? 0, 'A'),
    wanted: figure(wantedA, 'A'),
  }
  const code = (lowA ?? 0) > 0 ? 'link-carries-range' : 'link-carries'
  return sentence(filled(speech, chain, message(code, params)))
}

/** What the weld itself wants, in a sentence. */
export const jointText = (speech: Speech, { wantedA, windowA }: Chain): string =>
  sentence(
    filled(
      speech,
      speech.language.chain,
      message(windowA.high === null ? 'joint-thick' : 'joint', {
        wanted: figure(wantedA, 'A'),
        low: figure(windowA.low, 'A'),
        high: figure(windowA.high ?? 0, 'A'),
      }),
    ),
  )

/** What cannot be right on a plate, in words. */
export const plateText = (speech: Speech, fault: Message): string =>
  sentence(filled(speech, speech.language.plate, fault))
/** A way of feeding aluminium, or what it cannot do, in words. */
/** Why a source makes no set-up for one of its processes. */
export const lackText = (speech: Speech, lack: Message): string => filled(speech, speech.language.lacks, lack)

export const wayText = (speech: Speech, way: Message): string => filled(speech, speech.language.ways, way)
/** What is to be said of a fillet’s size. */
export const filletText = (speech: Speech, code: string): string =>
  sentence(filled(speech, speech.language.fillets, message(code)))

/**
 * A verdict as a word.
 * @example verdictText(speech, 'fails') // 'Fails'
 */
export const verdictText = (speech: Speech, verdict: Verdict): string => wordOf(speech, 'verdict', verdict)

/** A source as a person reads it. */
export const sourceText = (speech: Speech, { text, fromMemory }: Source): string =>
  filled(
    speech,
    speech.language.sources,
    message(fromMemory ? 'from-memory' : 'plain', { text: spelled(text, speech.notation.locale) }),
  )

/** More figures than this of a list tell nobody anything. */
const MOST_LISTED = 8

/** The figure of a term; of a list the first few. */
export function termText({ notation }: Speech, { value, unit }: Pick<Term, 'value' | 'unit'>): string {
  if (typeof value === 'number') return printValue(value, unit, notation)
  const shown = value.slice(0, MOST_LISTED).map((one) => printValue(one, unit, notation))
  return value.length > MOST_LISTED ? `${shown.join(', ')} … (${value.length})` : shown.join(', ')
}

export interface StepText {
  readonly formula: string
  readonly symbol: string
  readonly result: string
  readonly method: string | null
}

/** A step as it is shown: formula, symbol, result. */
export const stepText = ({ notation }: Speech, { expression, method, result }: Step): StepText => ({
  formula: `${shownSymbol(result.symbol)} = ${shownFormula(expression)}`,
  symbol: shownSymbol(result.symbol),
  result: printValue(result.value, result.unit, notation),
  method,
})
