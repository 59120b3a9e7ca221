/** The library of a metric shop: sizes as sold by ISO 544 and ISO 6848, plates for 230 and 400 V (IEC 60038). */
import { describe, expect, it } from 'vitest'
import { fillerFamilyOf, formsOfClass } from '../reference/fillerFamilies.ts'
import { isSoldTo, LIBRARY, type LibraryEntry } from './index.ts'

const soldIn = (unitSystem: 'imperial' | 'metric') =>
  LIBRARY.filter((entry) => isSoldTo(entry, { unitSystem }))
const [inch, metric] = [soldIn('imperial'), soldIn('metric')]
const namesAt = (entries: readonly LibraryEntry[], path: string) =>
  entries.filter((entry) => entry.path === path).map(({ record }) => record.name)

describe.each([
  ['imperial', inch],
  ['metric', metric],
] as const)('a shop that is %s', (_system, entries) => {
  it('finds every kind of thing, each once', () => {
    for (const path of ['power-sources', 'wires', 'gases', 'tungstens', 'guns', 'parts'])
      expect(namesAt(entries, path).length).toBeGreaterThan(5)
    const names = entries.map(({ path, record }) => `${path} ${record.name}`)
    expect(new Set(names).size).toBe(names.length)
  })
})

describe('names', () => {
  it('have no inches in a metric shop, and no EN ISO class in one on inches', () => {
    for (const path of ['wires', 'tungstens', 'parts'])
      for (const name of namesAt(metric, path))
        expect(name).not.toMatch(/(?<![\d.])0\.0\d\d|(?<!\d)\d\/\d(?!\d)/)
    for (const name of namesAt(inch, 'wires')) expect(name).not.toMatch(/G3Si1|W 19|AlMg/)
  })
  it.each([
    ['parts', 'Contact tip 1.2 mm'],
    ['parts', 'Smooth V roll 0.8 mm'],
    ['tungstens', '2.4 mm WLa20'],
    ['wires', '1.0 G3Si1, 300 mm spool'],
    ['wires', '2.5 rutile electrode'],
    ['power-sources', '230 V, 200 A class AC/DC TIG machine'],
    ['power-sources', '400 V three-phase, 350 A class wire machine'],
  ])('%s have %s', (path, name) => {
    expect(namesAt(metric, path)).toContain(name)
    expect(namesAt(inch, path)).not.toContain(name)
  })
})

it('sizes are those that are sold: 1.2 mm, not 1.143', () => {
  const parts = metric.flatMap(({ path, record }) => (path === 'parts' ? [record] : []))
  const tips = parts.flatMap((part) => ('wireMm' in part && part.kind === 'contact-tip' ? [part.wireMm] : []))
  expect([...new Set(tips)].sort((a, b) => (a ?? 0) - (b ?? 0))).toEqual([0.6, 0.8, 0.9, 1, 1.2, 1.6])
})

it('every wire by EN ISO is of a family that is known, in the form that it says', () => {
  for (const entry of metric) {
    if (entry.path !== 'wires') continue
    const { classification, form } = entry.record as { classification: string; form: string }
    expect(fillerFamilyOf(classification), classification).toMatch(/^(carbon|stainless|al)/)
    expect(formsOfClass(classification)).toContain(form)
    expect(entry.source.text).toContain('EN ISO')
  }
})

it('a plate for 230 V draws what its twin draws from 240 V, and goes on a 16 A outlet (IEC 60974-1: by I1eff)', () => {
  const twins = metric.flatMap(({ path, record }) =>
    path === 'power-sources' && /^230 V, 2/.test(record.name) ? [record] : [],
  )
  expect(twins.length).toBeGreaterThan(2)
  for (const twin of twins) {
    if (!('processes' in twin)) throw new Error(twin.name)
    for (const { supplies } of twin.processes)
      for (const { voltageV, i1EffA } of supplies) {
        expect(voltageV).toBe(230)
        expect(i1EffA ?? 0).toBeLessThanOrEqual(16)
      }
  }
})
