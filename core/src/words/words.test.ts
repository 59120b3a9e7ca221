/** Every code has its sentence, every place in a sentence is filled, and nothing is said in code. */
import { describe, expect, it } from 'vitest'
import { assess, CRITERIA, mendsOf } from '../criteria/index.ts'
import { demoSides } from '../testing/pairs.ts'
import { demoShop } from '../testing/samples.ts'
import { ENGLISH } from './english/index.ts'
import { ENGLISH_MENDS } from './english/mends.ts'
import { rowsOf } from './rows.ts'
import { mendText } from './mends.ts'
import { cautionText, chainText, notationOf, sentenceOf, speechOf, titleOf, wordOf } from './speech.ts'
import { fitJob } from '../fit/fit.ts'

const { shop } = demoShop()
const speech = speechOf(shop)
const german = speechOf({ ...shop, unitSystem: 'metric', locale: 'de-DE' })
const UNFINISHED = /undefined|NaN|Infinity|\{\w|\[object| {2}/

describe('English', () => {
  it('has a title and sentences for every criterion, and none for what is no criterion', () => {
    const ids = CRITERIA.map(({ id }) => id)
    expect(Object.keys(ENGLISH.criteria).sort()).toEqual([...ids].sort())
    for (const { group } of CRITERIA) if (group) expect(ENGLISH.groups).toHaveProperty(group)
  })

  it('says whole sentences of every demo job with every demo set-up', () => {
    const wrong = new Set<string>()
    for (const { input, capability, demand } of demoSides()) {
      for (const asked of [demand, null]) {
        for (const assessment of assess(capability, asked)) {
          const { criterion, code, verdict } = assessment
          const table = verdict === 'unknown' ? ENGLISH.missing : ENGLISH.criteria[criterion]?.sentences
          if (!table || !(code in table)) wrong.add(`${criterion} has no sentence ${code}`)
          const said = [titleOf(speech, assessment), sentenceOf(speech, assessment)]
          for (const mend of mendsOf(assessment, capability, asked)) {
            if (!(mend.code in ENGLISH_MENDS)) wrong.add(`no mend ${mend.code}`)
            said.push(mendText(speech, mend))
          }
          for (const text of said)
            if (UNFINISHED.test(text) || !/^[^a-z]/.test(text)) wrong.add(`${criterion}: ${text}`)
        }
      }
      const fit = fitJob(input, { chainsOf: 'all' })
      for (const chain of fit.chains)
        if (UNFINISHED.test(chainText(speech, chain))) wrong.add(chainText(speech, chain))
      for (const caution of fit.cautions) {
        const { topic, text } = cautionText(speech, caution)
        if (topic === '' || UNFINISHED.test(text) || !text.endsWith('.')) wrong.add(text)
      }
    }
    expect([...wrong]).toEqual([])
  })

  it('prints figures in the units and with the marks of the shop', () => {
    const [pair] = demoSides()
    if (!pair) throw new Error('demo')
    const fit = fitJob(pair.input)
    const said = (by: typeof speech) => rowsOf(by, fit).map(({ demand }) => demand)
    expect(said(speech)).toContain('4.62 lb')
    expect(said(german)).toContain('2,09 kg')
    expect(notationOf(shop)).toEqual({ system: 'imperial', locale: 'en-US' })
  })

  it('has a word for what the model names by a code, and the code itself where it has none', () => {
    expect(wordOf(speech, 'process', 'gtaw-ac')).toBe('TIG, AC')
    expect(wordOf(speech, 'process', 'other')).toBe('other')
  })
})

describe('rows', () => {
  it('stand one for each criterion that measures, and one for each group, whose worst decides', () => {
    for (const { input } of demoSides()) {
      const fit = fitJob(input)
      const rows = rowsOf(speech, fit)
      expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length)
      expect(rows.flatMap(({ criteria }) => criteria)).toHaveLength(fit.criteria.length)
      for (const row of rows) expect(row.verdict).toBe(row.criteria[0]?.verdict)
    }
  })
})
