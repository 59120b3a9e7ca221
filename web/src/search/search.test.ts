import { LIBRARY, readDocument, shopDocumentSchema } from '@brannik/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import metric from '../../../demo/tollgate-orchard-works-metric.json' with { type: 'json' }
import { shopDocument } from '../testing/demo.ts'
import { IMPERIAL, METRIC } from '../testing/notation.ts'
import { rowOf } from '../views/equipment/lists.ts'
import { finder } from './finder.ts'
import { matcher, meaningOf, searchable } from './search.ts'
import { SAME_SIZE, SYNONYMS } from './synonyms.ts'

const read = readDocument(shopDocumentSchema, metric)
if (!read.ok) throw new Error('the metric demo cannot be read')
const shops = [
  [shopDocument, IMPERIAL],
  [read.value, METRIC],
] as const
const LISTS = [
  ['power-sources', 'powerSources'],
  ['guns', 'guns'],
  ['parts', 'parts'],
  ['wires', 'wires'],
  ['gases', 'gases'],
  ['tungstens', 'tungstens'],
] as const

/** Names of the equipment that a search finds, in the inch shop or in the metric one. */
const found = (search: string, isMetric = false): string[] => {
  const [shop, notation] = shops[isMetric ? 1 : 0]
  const matches = matcher(search)
  return LISTS.flatMap(([path, key]) =>
    shop[key]
      .map((record) => rowOf(path, record, null, notation))
      .filter(({ text }) => matches(text))
      .map(({ name }) => name),
  )
}

describe('the search', () => {
  // Common practice, no source: C25 is 25 % CO₂ in argon, tri-mix the helium mix for stainless.
  it('knows gases by what the counter calls them', () => {
    expect(found('C25')).toContain('75/25 Ar/CO₂')
    expect(found('c25')).not.toContain('CO₂')
    expect(found('100% argon')).toContain('Argon')
    expect(found('100% argon')).not.toContain('75/25 Ar/CO₂')
    expect(found('tri-mix')).toContain('90/7.5/2.5 He/Ar/CO₂')
    expect(found('trimix', true)).toContain('90/7,5/2,5 He/Ar/CO₂')
    expect(found('m21', true)).toContain('82/18 Ar/CO₂')
    expect(found('CO2')).toEqual(expect.arrayContaining(['CO₂', '75/25 Ar/CO₂']))
  })
  it('knows a size in inches, in millimeters and as it is said', () => {
    for (const size of ['035', '.035', '0.035', '0.9 mm', '0.9mm', '0,9'])
      expect(found(`${size} er70s`), size).toEqual(['0.035 ER70S-6'])
    expect(found('045', true)).toContain('1,2 G4Si1')
    expect(found('3/32 tungsten')).not.toEqual([])
    expect(found('2.4 wla20')).toEqual(['3/32 WLa20'])
  })
  it('knows processes and metals by the words of a shop', () => {
    const wires = (search: string): readonly string[] => found(search).filter((name) => / E/.test(name))
    expect(wires('flux core')).not.toEqual([])
    expect(wires('flux core').every((name) => /T-?\d/.test(name))).toBe(true)
    expect(wires('mild steel').every((name) => /E(R)?[67]\d/.test(name))).toBe(true)
    expect(wires('mild steel')).toContain('0.035 ER70S-6')
    expect(wires('aluminum').every((name) => /ER(5356|4043)/.test(name))).toBe(true)
    expect(found('mig')).toContain('Quillon 210')
    expect(found('mig aluminum')).not.toContain('0.035 ER70S-6')
    expect(found('tig')).toContain('Osier 160')
    expect(found('stick')).toEqual(expect.arrayContaining(['Quillon 210', '1/8 E7018']))
    expect(found('stinger')).not.toEqual([])
  })
  it('finds every item of the library by its own name', () => {
    for (const { record, summary } of LIBRARY)
      expect(matcher(record.name)(searchable(`${record.name} ${summary}`)), record.name).toBe(true)
  })
  it('never narrows by what a word also means, and always by another word', () => {
    const word = fc.constantFrom('mig', 'c25', '035', 'argon', 'flux core', 'er70s-6', 'roll', 'zz')
    fc.assert(
      fc.property(
        word,
        word,
        fc.constantFrom(...shopDocument.wires, ...shopDocument.wires),
        (one, two, wire) => {
          const { text } = rowOf('wires', wire, null, IMPERIAL)
          const isBoth = matcher(`${one} ${two}`)(text)
          expect(isBoth).toBe(matcher(one)(text) && matcher(two)(text))
          if (text.includes(one)) expect(matcher(one)(text)).toBe(true)
        },
      ),
    )
  })
  it('has its words written as texts are compared', () => {
    const all = [...SYNONYMS.flatMap(([said, written]) => [...said, ...written]), ...SAME_SIZE.flat()]
    expect(all.filter((one) => searchable(one) !== one)).toEqual([])
    fc.assert(fc.property(fc.string(), (text) => searchable(searchable(text)) === searchable(text)))
  })
  it('takes the longest name it knows', () => {
    expect(meaningOf('Flux core 035').map(({ typed }) => typed)).toEqual(['flux core', '035'])
    expect(meaningOf('  ')).toEqual([])
  })
})

describe('the finder', () => {
  const items = [
    { title: 'Board', group: 'Go to', weight: 2 },
    { title: 'Shop board 60 A', group: 'Panel' },
    { title: 'Records and backup', group: 'Shop', keywords: 'restore export' },
    { title: 'Press frame', group: 'Job', weight: 1.5 },
    { title: 'Press frame', group: 'Fit', keywords: 'quote cost price' },
    { title: '0.035 ER5356', group: 'Wire' },
    { title: '75/25 Ar/CO₂', group: 'Gas' },
  ]
  const titles = (search: string): string[] =>
    finder(items)(search).map(({ group, title }) => `${group}: ${title}`)
  it('shows the best first, equals in their order', () => {
    expect(titles('board')).toEqual(['Go to: Board', 'Panel: Shop board 60 A'])
    expect(titles('press frame')).toEqual(['Job: Press frame', 'Fit: Press frame'])
    expect(titles('fit press')[0]).toBe('Fit: Press frame')
  })
  it('forgives a slip in a word, never in a figure', () => {
    expect(titles('bakcup')).toEqual(['Shop: Records and backup'])
    expect(titles('5356')).toEqual(['Wire: 0.035 ER5356'])
    expect(titles('5357')).toEqual([])
  })
  it('knows other words', () => {
    expect(titles('quote')).toEqual(['Fit: Press frame'])
    expect(titles('c25')).toEqual(['Gas: 75/25 Ar/CO₂'])
    expect(titles('0.9 mm')).toEqual(['Wire: 0.035 ER5356'])
  })
})
