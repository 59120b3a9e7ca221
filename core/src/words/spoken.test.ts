/** A card, a fit and its rows in sentences, as somebody reads them at the machine. The figures are those of other tests. */
import { describe, expect, it } from 'vitest'
import { cardOf } from '../card/card.ts'
import { CHANGE_STEPS } from '../assumptions/changeMinutes.ts'
import { changeoverBetween } from '../changeover/changeover.ts'
import { onMachineOf } from '../changeover/onMachine.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { fitJob } from '../fit/fit.ts'
import { settleJoint } from '../joints/contradictions.ts'
import { message } from '../model/message.ts'
import { demoInput, demoShop, joint } from '../testing/samples.ts'
import { changeStepText, handOverText, hazardText, otherWayText, toolText, trapText } from './changeText.ts'
import { contradictionText } from './contradictionText.ts'
import { arcText, causeText, HEAT_SCALE, heatColorText, signText, stopText } from './dialInText.ts'
import { visualListName } from './evidenceText.ts'
import { mendText, suggestionText } from './mends.ts'
import { rowsOf } from './rows.ts'
import { speechOf } from './speech.ts'
import { spokenCard } from './spokenCard.ts'
import { spokenFit, spokenSteps } from './spokenFit.ts'

const { shop, setUps } = demoShop()
const speech = speechOf(shop)
const british = speechOf({ ...shop, locale: 'en-GB' })
const onMachine = (id: string) => {
  const found = setUps.find((one) => one.id === id)
  if (!found) throw new Error(`the demo has no set-up ${id}`)
  return onMachineOf(found, { ...demoShop() })
}

describe('a card', () => {
  const wire = () => spokenCard(speech, cardOf(demoInput('press-frame', 'bay-2-wire'), ''))
  const figureOf = (id: string) => wire().figures.find((one) => one.id === id)

  it('has its figures large: the unit stands in the title, or in the name of volts and amps', () => {
    expect(figureOf('volts')).toEqual({
      id: 'volts',
      title: 'Volts',
      value: '20.5',
      unit: '',
      notes: ['19.5–21.5 V'],
    })
    expect(figureOf('feed')).toMatchObject({
      title: 'Wire speed',
      value: '343',
      unit: 'in/min',
      notes: ['307–378 in/min'],
    })
    expect(figureOf('amps')).toMatchObject({ value: '190', unit: '' })
    // A band whose ends share their unit has it once.
    expect(figureOf('tip-to-work')).toMatchObject({ value: '3/8–1/2', unit: 'in' })
  })
  it('says what is written on the door: joint, leads, hold, passes', () => {
    const card = wire()
    expect(card.heading).toBe('MIG, short-circuit · T-joint, 1/4 in to 1/4 in, horizontal · 24 × 8 in')
    expect(card.verdict).toBe('tight')
    expect(card.against).toEqual([])
    expect(card.leads).toEqual({
      electrode: 'Gun',
      text: 'Gun on plus (+), work clamp on minus (−)',
      way: 'by the leads',
    })
    expect(card.hold).toBe('gun 45°, push 10–15°')
    expect(card.passes).toBe('one pass')
    expect(card.passSettings).toEqual([])
  })
  it('names each place with what is in it, each step with what can hurt, each sign with one change', () => {
    const card = wire()
    expect(card.rows.find(({ place }) => place === 'tension')).toEqual({
      place: 'tension',
      title: 'Roll tension',
      text: 'Mark 3: a 2 in loop curls on wood, slips on a glove',
      isMissing: false,
    })
    expect(card.steps.find(({ code }) => code === 'feed')).toEqual({
      code: 'feed',
      text: 'Work clamp off. Feed with the tip off',
      hazard: 'The wire is live while you feed it. Keep the gun off people and metal',
      isKey: true,
    })
    expect(card.steps.find(({ code }) => code === 'parts')).toMatchObject({ hazard: null, isKey: false })
    expect(card.symptoms[0]).toEqual({ code: 'ropey', sign: 'narrow, ropey bead', change: 'half a volt up' })
    expect(card.cautions.map(({ topic }) => topic)).toContain('Eyes')
    expect(card.pace).toMatch(/^Weld 3 min 40 s, then rest 6 min 20 s\./)
    expect(card.uses.split('. ').length).toBeGreaterThan(2)
  })
  it('says what is against it, with its criterion, and what is missing', () => {
    const input = demoInput('picking-platform', 'bay-2-wire')
    const card = spokenCard(speech, cardOf(input, ''))
    expect(card.verdict).toBe('fails')
    expect(card.against.length).toBeGreaterThan(0)
    for (const one of card.against) expect(one).toMatch(/^[A-Z0-9][^:]+: [A-Z0-9].*\.$/)
    const bare = spokenCard(speech, cardOf({ ...demoInput('press-frame', 'bay-2-wire'), tip: null }, ''))
    expect(bare.rows.find(({ place }) => place === 'tip')?.isMissing).toBe(true)
  })
  it('turns a polarity without a way to turn it in no words', () => {
    const input = demoInput('press-frame', 'bay-2-wire')
    const source = { ...input.powerSource, polarityChange: 'fixed-dcep' as const }
    expect(typeof spokenCard(speech, cardOf({ ...input, powerSource: source }, '')).leads.way).toBe('string')
  })
})

describe('rows of a fit', () => {
  const fit = fitJob(demoInput('press-frame', 'yard-cored'))
  const rows = rowsOf(speech, fit)
  const row = (id: string) => rows.find((one) => one.id === id)
  it('one that measures has its two sides and its margin', () => {
    expect(row('source-range')).toMatchObject({
      title: 'Source output',
      verdict: 'fits',
      isJudged: true,
      sentence: 'This weld needs 128 A. The source gives 25–230 A.',
      missing: '',
      demand: '128 A',
      capacity: '25–230 A',
      restsOn: 'data plate',
      weldId: 'upright',
    })
    expect(row('source-range')?.marginPct).toBeCloseTo((230 / 127.6 - 1) * 100, 0)
  })
  it('several that compare stand together, and say how many are met', () => {
    expect(row('together')).toMatchObject({
      title: 'Parts fit together',
      verdict: 'fits',
      sentence: 'All parts fit together.',
      demand: '–',
      capacity: '21 met',
      marginPct: null,
      restsOn: '',
      weldId: null,
      pass: null,
      mends: [],
    })
    expect(row('together')?.criteria).toHaveLength(21)
  })
  it('and name what is not met, worst first, with its ways to fix it', () => {
    const made = (criterion: string, verdict: Assessment['verdict']): Assessment => {
      const of = fit.criteria.find((one) => one.criterion === criterion)
      if (!of) throw new Error(`no ${criterion}`)
      return { ...of, verdict, weldId: criterion }
    }
    const [first, second] = fit.criteria
      .filter(({ group }) => group === 'together')
      .map(({ criterion }) => criterion)
    const criteria = fit.criteria.map((one) =>
      one.criterion === first ? made(first, 'tight') : one.criterion === second ? made(second, 'fails') : one,
    )
    const mends = { [first ?? '']: [message('other-roll')], [second ?? '']: [message('other-tip')] } as never
    const broken = rowsOf(speech, { criteria, mends }).find(({ id }) => id === 'together')
    expect(broken).toMatchObject({ verdict: 'fails', weldId: second })
    expect(broken?.criteria.slice(0, 2).map(({ criterion }) => criterion)).toEqual([second, first])
    expect(broken?.mends.map(({ code }) => code)).toEqual(['other-tip', 'other-roll'])
    expect(broken?.sentence.match(/\./g)?.length).toBeGreaterThanOrEqual(2)
    expect(broken?.capacity).not.toContain('met')
    expect(broken?.restsOn).not.toBe('')
    // What fits beside says nothing.
    expect(
      rowsOf(speech, { criteria: fit.criteria, mends }).find(({ id }) => id === 'together')?.mends,
    ).toEqual([])
  })
})

describe('a fit in sentences', () => {
  it('is the fit, with a sentence for everything that has a code', () => {
    const fit = fitJob(demoInput('picking-platform', 'bay-2-wire'), { chainsOf: 'all' })
    const said = spokenFit(speech, fit)
    expect(said.criteria).toHaveLength(fit.criteria.length)
    for (const [at, one] of said.criteria.entries()) {
      expect(one).toMatchObject(fit.criteria[at] as Assessment)
      expect([one.title, one.sentence].every((text) => /^[^a-z]/.test(text))).toBe(true)
      expect(one.mends.map(({ code }) => code)).toEqual(
        (fit.mends[one.criterion] ?? []).map(({ code }) => code),
      )
      expect(one.mends.map(({ sentence }) => sentence)).toEqual(
        (fit.mends[one.criterion] ?? []).map((mend) => mendText(speech, mend)),
      )
    }
    expect(said.criteria.some(({ mends }) => mends.length > 0)).toBe(true)
    for (const { sentence, links } of said.chains) {
      expect(sentence).toMatch(/[.!]?$/)
      for (const { title } of links) expect(title).not.toBe('')
    }
    expect(said.chains.map(({ links }) => links.length)).toEqual(fit.chains.map(({ links }) => links.length))
    expect(said.cautions.map(({ text }) => text)).not.toContain('')
  })
  it('has the formula of a step as people write it', () => {
    const step = {
      id: 'half',
      weldId: null,
      title: 'Half',
      expression: '60 * m / r',
      method: null,
      terms: [],
      result: { symbol: 'h', value: 1, unit: 'A' },
      source: { kind: 'computed', text: 'calculated above' },
    } as const
    expect(spokenSteps(speech, [step])[0]).toMatchObject({
      id: 'half',
      formula: expect.stringContaining('60·m / r') as string,
    })
  })
})

describe('a changeover and a trial in sentences', () => {
  it('begins each step with a capital, and tells the other way with the wire it costs more', () => {
    const { steps } = changeoverBetween(shop, onMachine('yard-cored'), onMachine('bay-2-wire'))
    for (const step of steps) expect(changeStepText(speech, step)).toMatch(/^[A-Z0-9].*[^{}]$/)
    expect(steps.map(({ code }) => CHANGE_STEPS.includes(code))).not.toContain(false)
    const off = steps.find(({ code }) => code === 'wire-off')
    // Fifteen feet of gun.
    expect(off && otherWayText(speech, off)).toMatch(/15 ft/)
    expect(steps[0] && otherWayText(speech, steps[0])).toBeNull()
    expect(trapText(speech, 'polarity-forgotten')).not.toMatch(/-/)
    expect(hazardText(speech, 'wire-live')).toMatch(/live/)
    expect(toolText(speech, 'hex-key')).toBe('hex key')
    expect(handOverText(speech, 'gas-closed')).toMatch(/closed|close/i)
  })
  it('says how the arc runs, and by how much the wire is off where it does not', () => {
    const arc = (state: 'runs' | 'stubs') =>
      arcText(speech, { state, balancePct: 149.6, balancedMmPerMin: 5080 })
    expect(arc('runs')).not.toContain('%')
    expect(arc('stubs')).toContain('150 %')
    // 5,080 mm/min is 200 in/min; two figures of it are enough.
    expect(arc('stubs')).toContain('201 in/min')
    expect(arc('stubs').startsWith(arc('stubs').split(' Wire')[0] ?? '-')).toBe(true)
  })
  it('has words for signs, causes, stops and the colors of a bead', () => {
    expect(signText(speech, 'stubs')).toBe('wire stubs, cold pile')
    expect(causeText(speech, 'clamp')).toMatch(/clamp/i)
    expect(stopText(speech, { stop: 'stop' })).toMatch(/^Stop here\./)
    expect(new Set(HEAT_SCALE.map((color) => heatColorText(speech, color))).size).toBe(HEAT_SCALE.length)
    expect(visualListName('none-such' as never)).toBe('none-such')
  })
  it('says what contradicts, as a whole sentence with both figures', () => {
    const [found] = settleJoint(joint({ kind: 'lap', legMm: 9.525 })).contradictions
    if (!found) throw new Error('nothing contradicts')
    expect(contradictionText(speech, found)).toMatch(/^[A-Z].*3\/8 in.*1\/4 in.*\.$/)
  })
})

describe('ways to fix it', () => {
  it('are spelled as the shop spells', () => {
    const said = (by: typeof speech): string => mendText(by, message('back-it'))
    expect([said(speech), said(british)]).toEqual([
      'A copper or aluminum backing bar',
      'A copper or aluminium backing bar',
    ])
    expect(suggestionText(british, message('back-it'))).toBe(said(british))
  })
  it('a suggestion has words of its own before those of a way to fix it', () => {
    const [code = '', text = ''] =
      Object.entries(speech.language.suggestions).find(([, one]) => !one.includes('{')) ?? []
    expect(suggestionText(speech, message(code)).toLowerCase()).toBe(text.toLowerCase())
  })
})
