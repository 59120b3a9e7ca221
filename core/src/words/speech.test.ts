/** Sentences made by hand: what is filled in, joined, signed and rounded, in both systems of units. Expected texts are read. */
import { describe, expect, it } from 'vitest'
import type { BoardCell } from '../board/board.ts'
import type { Assessment } from '../criteria/criterion.ts'
import type { Chain, ChainLink } from '../fit/chain.ts'
import { figure, list, message, word } from '../model/message.ts'
import type { Source } from '../basis/source.ts'
import { arcText } from './dialInText.ts'
import { benchSpeechOf } from './benchSpeech.ts'
import { ENGLISH } from './english/index.ts'
import { mendText, suggestionText } from './mends.ts'
import {
  capital,
  cautionText,
  cellText,
  chainText,
  filled,
  groupTitle,
  groupWell,
  jointText,
  linkDetail,
  linkMissing,
  linkText,
  linkTitle,
  midSentence,
  missingOf,
  sentence,
  sentenceOf,
  sideOf,
  sourceText,
  spelledAll,
  speechOf,
  stepText,
  swapText,
  termText,
  titleOf,
} from './speech.ts'

const inch = speechOf({ unitSystem: 'imperial', locale: 'en-US' })
const metric = speechOf({ unitSystem: 'metric', locale: 'de-DE' })
const british = speechOf({ unitSystem: 'imperial', locale: 'en-GB' })
const NOWHERE = { text: 'a plate', fromMemory: false } as Source
const assessment = (part: Partial<Assessment>): Assessment =>
  ({
    criterion: 'source-range',
    code: 'measured',
    params: {},
    verdict: 'tight',
    unit: 'A',
    demand: 190,
    capacity: 210,
    capacityLow: null,
    marginPct: 10.5,
    source: NOWHERE,
    ...part,
  }) as Assessment
const say = (template: string, what: Parameters<typeof message>[1], by = inch): string =>
  filled(by, { it: template }, message('it', what))

describe('letters', () => {
  it('are capital at the head of a sentence, and small inside one but for an abbreviation', () => {
    expect([capital('gun on plus'), capital('')]).toEqual(['Gun on plus', ''])
    expect(midSentence('Source duty at 210 A')).toBe('source duty at 210 A')
    expect(midSentence('MIG gun')).toBe('MIG gun')
    expect(midSentence('T-joint')).toBe('T-joint')
  })
  it('end with one full stop, whatever ends it already', () => {
    expect(['Grind it', 'Grind it.', 'Is it dry?', 'Stop!'].map(sentence)).toEqual([
      'Grind it.',
      'Grind it.',
      'Is it dry?',
      'Stop!',
    ])
  })
  it('are spelled as the shop spells, in every text of a table and in no code', () => {
    const texts = { colour: { grey: 'Grey colour', other: 'plain' }, none: null }
    expect(spelledAll(texts, 'en-US')).toEqual({ colour: { grey: 'Gray color', other: 'plain' }, none: null })
    expect(spelledAll(texts, 'en-GB')).toEqual(texts)
    expect(british.language).toBe(ENGLISH)
    expect(speechOf({ unitSystem: 'metric', locale: 'en-US' }).language).toBe(inch.language)
    expect(inch.language).not.toBe(ENGLISH)
  })
})

describe('a template', () => {
  it('takes text, figures and words; what is not given leaves nothing', () => {
    expect(
      say('{a}: {b}, {c}{d}', { a: 'Bay 2', b: figure(4535.9237, 'g'), c: word('verdict', 'fits') }),
    ).toBe('Bay 2: 10 lb, Fits')
    expect(say('{b}', { b: figure(4535.9237, 'g') }, metric)).toBe('4,54 kg')
  })
  it('joins a list, and says a unit that all share once', () => {
    const volts = list([figure(240, 'V'), figure(120, 'V')])
    expect(say('{a}', { a: volts })).toBe('240, 120 V')
    expect(say('{a|or}', { a: volts })).toBe('240 or 120 V')
    expect(say('{a|and}', { a: list(['rolls', 'liner']) })).toBe('rolls and liner')
    expect(say('{a}', { a: list([figure(240, 'V'), figure(30, 'A')]) })).toBe('240 V, 30 A')
    expect(say('{a}', { a: list(['Quillon 210', figure(240, 'V')]) })).toBe('Quillon 210, 240 V')
    expect(say('{a}', { a: list([]) })).toBe('')
  })
  it('says a voltage with its phases as one thing', () => {
    expect(say('{a}', { a: list([figure(400, 'V'), word('phases', '3')]) })).toBe('400 V three-phase')
    expect(say('{a}', { a: list([figure(240, 'V'), word('phases', '1')]) })).toBe('240 V')
    expect(say('{a|or}', { a: list(['A', word('holder', 'gun')]) })).toBe('A or gun')
  })
  it('says a rule of thumb in the shop’s own unit alone where it is metric', () => {
    expect(say('1 in (25 mm) beside it', {}, metric)).toBe('25 mm beside it')
    expect(say('1 in (25 mm) beside it', {})).toBe('1 in (25 mm) beside it')
  })
  it('is the code itself where there is none', () => {
    expect(filled(inch, {}, message('unheard-of'))).toBe('unheard-of')
    expect(say('{a}', { a: message('nobody-knows') })).toBe('nobody-knows')
    expect(groupTitle(inch, 'no-group')).toBe('no-group')
    expect(groupWell(inch, 'no-group')).toBe('no-group.')
    expect(cautionText(inch, message('no-caution'))).toEqual({ topic: '', text: 'no-caution.' })
  })
})

describe('an assessment', () => {
  it('shows both ends of a range, the unit once', () => {
    const ranged = assessment({ capacity: 220, capacityLow: 60 })
    expect(sideOf(inch, ranged, 'capacity')).toBe('60–220 A')
    expect(sideOf(inch, ranged, 'demand')).toBe('190 A')
    expect(sideOf(inch, assessment({ capacity: null, unit: '' }), 'capacity')).toBe('–')
  })
  it('is one sentence with its figures; where something is missing it says what', () => {
    expect(sentenceOf(inch, assessment({}))).toBe('This weld needs 190 A. The source gives 210 A.')
    const unknown = assessment({ verdict: 'unknown', code: 'what-nobody-knows' })
    expect(missingOf(inch, unknown)).toBe('what-nobody-knows')
    expect(sentenceOf(inch, unknown)).toMatch(/what-nobody-knows\.$/)
    expect(missingOf(inch, assessment({}))).toBe('')
    expect(titleOf(inch, { criterion: 'no-criterion', params: {} })).toBe('No-criterion')
    expect(titleOf(inch, { criterion: 'gun-duty', params: { holder: word('holder', 'torch') } })).toBe(
      'Torch current',
    )
  })
  it('names its source, and says where that is from memory', () => {
    expect(sourceText(inch, { text: 'The colour chart', fromMemory: false } as Source)).toBe(
      'The color chart',
    )
    expect(sourceText(british, { text: 'The colour chart', fromMemory: true } as Source)).toBe(
      'The colour chart (from memory)',
    )
  })
})

describe('a cell of the board', () => {
  const cell = (limit: Partial<Assessment> | null, spareA: number | null = null): string =>
    cellText(inch, { limit: limit && assessment(limit), spareA } as BoardCell)
  it('says the room in amps where it fits', () => {
    expect([cell(null), cell(null, 45.04), cell(null, 4.26), cell(null, -3)]).toEqual([
      '',
      '+45 A',
      '+4 A',
      '−3 A',
    ])
  })
  it('says what limits it and by how much, at either end', () => {
    expect(cell({ demand: 190, capacity: 145 })).toBe('source −45 A')
    expect(cell({ demand: 190, capacity: 390 })).toBe('source +200 A')
    expect(cell({ demand: 40, capacity: 210, capacityLow: 60 })).toBe('source too hot −20 A')
    expect(cell({ demand: 60, capacity: 210, capacityLow: 60 })).toBe('source +150 A')
    expect(cell({ demand: 40, capacity: 210, capacityLow: null })).toBe('source +170 A')
    expect(cell({ demand: null, capacity: 210, capacityLow: 60 })).toBe('source')
    expect(cell({ demand: 40, capacity: null, capacityLow: null })).toBe('source')
  })
  it('is named by the whole title where there are no short words for it', () => {
    const compared = { unit: '', demand: null, capacity: null, marginPct: null }
    expect(cell({ ...compared, criterion: 'stick-strikes' })).toBe('striking the electrode')
    expect(cell({ ...compared, criterion: 'ac-control' })).toBe('AC balance and frequency')
    expect(cell({ ...compared, criterion: 'no-criterion' })).toBe('no-criterion')
    expect([midSentence('TIG Torch'), midSentence('Torch')]).toEqual(['TIG Torch', 'torch'])
    // Below its range there are words of its own, or the title.
    expect(cell({ criterion: 'no-criterion', unit: 'A', demand: 40, capacity: 210, capacityLow: 60 })).toBe(
      'no-criterion −20 A',
    )
    expect(cell({ ...compared, criterion: 'source-duty', capacity: 40 })).toBe('duty')
  })
  it('says per cent of what is measured in no amps, the figure itself where its words have a place for it', () => {
    expect(cell({ criterion: 'arc-volts', unit: 'V', demand: 24, capacity: 21, marginPct: -12.5 })).toBe(
      'arc volts −13 %',
    )
    expect(cell({ criterion: 'arc-volts', unit: 'V', demand: 24, capacity: 21, marginPct: null })).toBe(
      'arc volts',
    )
    expect(cell({ criterion: 'source-duty', unit: '%', demand: 62, capacity: 40, marginPct: -35 })).toBe(
      'duty 62 %',
    )
    expect(cell({ criterion: 'polarity', unit: '', demand: null, capacity: null, marginPct: null })).toBe(
      'polarity',
    )
  })
})

describe('the chain', () => {
  const link = (part: Partial<ChainLink>): ChainLink =>
    ({
      id: 'source',
      kind: word('link', 'circuit'),
      detail: 'Quillon 210',
      lowA: 30,
      highA: 180,
      missing: null,
      ...part,
    }) as ChainLink
  it('says of a link what it carries, or what is missing', () => {
    expect(linkText(inch, link({}), 190)).toBe(
      'Quillon 210 carries 30 A to 180 A for this job. This weld needs 190 A.',
    )
    expect(linkText(inch, link({ lowA: 0 }), 190)).toBe(
      'Quillon 210 carries up to 180 A for this job. This weld needs 190 A.',
    )
    const none = link({ missing: message('its-plate') })
    expect(linkText(inch, none, 190)).toBe('No data: its-plate.')
    expect([linkMissing(inch, none), linkMissing(inch, link({}))]).toEqual(['its-plate', ''])
    expect([linkTitle(inch, link({})), linkDetail(inch, link({}))]).toEqual(['Circuit', 'Quillon 210'])
  })
  it('names a link small inside its sentence, but as it is where nothing of it is known', () => {
    const told = (code: string): Pick<Chain, 'told'> => ({
      told: message(code, {
        kind: 'MIG gun',
        wanted: figure(190, 'A'),
        high: figure(150, 'A'),
        missing: 'its rating',
      }),
    })
    expect(chainText(inch, told('would-give-out'))).toBe(
      'This weld needs 190 A. The mig gun has the least to spare: it gives 150 A.',
    )
    expect(chainText(inch, told('not-known'))).toBe(
      'This weld needs 190 A. No data for the MIG gun: its rating.',
    )
  })
  it('says the window of the joint, open where the part is too thick to burn through', () => {
    const chain = (high: number | null): Chain => ({ wantedA: 190, windowA: { low: 160, high } }) as Chain
    expect(jointText(inch, chain(230))).toContain('Below 160 A it laps cold, above 230 A it burns through')
    expect(jointText(inch, chain(null))).toContain('From 160 A it is sound. The part is too thick')
  })
})

describe('ways to fix it', () => {
  it('are said of a suggestion in its words, else in those of a criterion', () => {
    expect(suggestionText(inch, message('swap', { what: 'tip 0.040' }))).toBe('Tip 0.040')
    const leads = message('swap-leads', { wanted: 'electrode minus' })
    expect(suggestionText(inch, leads)).toBe('Swap the leads to electrode minus')
    expect(mendText(inch, leads as never)).toBe('Swap the leads to electrode minus')
  })
  it('say what is to be bought, and what goes along with it', () => {
    const swap = (held: string, along: readonly string[]) =>
      swapText(
        inch,
        { item: { name: 'Dray spool gun', held, price: 295 }, along } as unknown as Parameters<
          typeof swapText
        >[1],
        { electrode: 'wire' },
      )
    expect(swap('owned', [])).toBe('Dray spool gun')
    expect(swap('candidate', [])).toBe('Dray spool gun, to buy')
    expect(swap('owned', ['roll', 'liner'])).toMatch(/^Dray spool gun, with its .*, .*liner/i)
    expect(swap('candidate', ['tip'])).toMatch(/^Dray spool gun, to buy, with its .*tip/i)
  })
})

describe('a working', () => {
  it('shows its formula, its symbol and its result', () => {
    const step = {
      expression: 'I_2 * 2',
      method: null,
      result: { symbol: 'I_1', value: 12.5, unit: 'A' },
    } as unknown as Parameters<typeof stepText>[1]
    expect(stepText(inch, step)).toEqual({
      formula: 'I₁ = I₂·2',
      symbol: 'I₁',
      result: '12.5 A',
      method: null,
    })
  })
  it('shows the first eight figures of a list, and how many there are', () => {
    expect(termText(inch, { value: 5, unit: 'A' })).toBe('5 A')
    expect(termText(inch, { value: [1, 2], unit: 'A' })).toBe('1 A, 2 A')
    const many = (count: number) => Array.from({ length: count }, (_, at) => at + 1)
    expect(termText(inch, { value: many(8), unit: 'V' })).toMatch(/7 V, 8 V$/)
    expect(termText(inch, { value: many(9), unit: 'V' })).toMatch(/7 V, 8 V … \(9\)$/)
  })
})

describe('at the machine', () => {
  it('speaks once for each who speaks, with words of its own beside the others', () => {
    expect(benchSpeechOf(inch)).toBe(benchSpeechOf(inch))
    expect(benchSpeechOf(inch)).not.toBe(benchSpeechOf(british))
    expect(benchSpeechOf(inch).language.vocabulary['verdict']).toEqual(inch.language.vocabulary['verdict'])
  })
  it('says how the arc runs, with the balance where it does not', () => {
    const arc = (state: string) =>
      arcText(inch, { state, balancePct: 123.4, balancedMmPerMin: 8712 } as Parameters<typeof arcText>[1])
    expect(arc('runs')).toBe('Volts and wire speed go together.')
    // 8,700 mm/min is 342.5 in/min.
    expect(arc('stubs')).toMatch(
      /piles up cold\. These volts burn 343 in\/min\. The wire feeds 123 % of that\.$/,
    )
  })
})
