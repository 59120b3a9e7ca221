/** The library of a metric shop: sizes as sold by ISO 544 and ISO 6848, plates for 230 and 400 V (IEC 60038). */
import { describe, expect, it } from 'vitest'
import { fillerFamilyOf, formsOfClass } from '../reference/fillerFamilies.ts'
import { isSoldTo, LIBRARY, type LibraryEntry } from './index.ts'
import { idOf } from './entry.ts'
import { LIBRARY_MACHINES } from './machines.ts'
import { inBoth, on230V } from './metric.ts'
import { LIBRARY_PARTS } from './parts.ts'
import { heldWord, wireEntry } from './wireEntry.ts'
import { LIBRARY_WIRES } from './wires.ts'

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

describe('twins by millimetres', () => {
  const tips = LIBRARY_PARTS.filter(({ record }) => record.kind === 'contact-tip')
  it('are one for each size that is sold: 0.045 and 3/64 are both 1.2 mm', () => {
    const [of045] = tips.filter(({ record }) => record.name.includes('0.045'))
    if (!of045 || of045.record.kind !== 'contact-tip') throw new Error('the library has no tip of 0.045')
    const { record } = of045
    const name = record.name.replace('0.045', '3/64')
    const twice = [...tips, { ...of045, record: { ...record, id: `${record.id}al`, name, wireMm: 1.190625 } }]
    const both = inBoth(twice)
    const [inches, millimetres] = (['imperial', 'metric'] as const).map((system) =>
      both.filter(({ units }) => units === system),
    )
    expect(inches?.map((one) => one.record.name)).toEqual(twice.map((one) => one.record.name))
    expect(new Set(millimetres?.map((one) => one.record.name)).size).toBe(tips.length)
    expect(millimetres).toHaveLength(tips.length)
    for (const { record } of millimetres ?? []) {
      if (record.kind !== 'contact-tip') throw new Error(record.name)
      // ISO 544: the sizes of wire in millimetres.
      expect([0.6, 0.8, 0.9, 1.0, 1.2, 1.6, 2.4, 3.2, 4.0]).toContain(record.wireMm)
      expect(record.name).toContain(`${record.wireMm.toFixed(1)} mm`)
      expect(record.id).toMatch(/-mm$/)
    }
  })
  it('of what has no size of its own is itself, for both shops', () => {
    const cap = LIBRARY_PARTS.filter(({ record }) => record.kind === 'back-cap').slice(0, 1)
    expect(inBoth(cap)).toEqual(cap)
    expect(inBoth([])).toEqual([])
  })
  it('of a machine for two voltages puts out the same, and draws as much power from 230 V', () => {
    const dual = LIBRARY_MACHINES.find(({ record }) => /^120\/240 V/.test(record.name))
    if (!dual) throw new Error('the library has no such machine')
    const [twin, ...rest] = on230V(dual)
    expect(rest).toEqual([])
    expect(twin?.record.name).toBe(dual.record.name.replace('120/240 V', '230 V'))
    for (const [at, process] of dual.record.processes.entries()) {
      const [on240] = process.supplies.filter(({ voltageV }) => voltageV === 240)
      const supplies = twin?.record.processes[at]?.supplies
      expect(supplies).toHaveLength(1)
      expect(supplies?.[0]).toMatchObject({ voltageV: 230, outputMaxA: on240?.outputMaxA })
      for (const key of ['i1MaxA', 'i1EffA'] as const) {
        const [from, to] = [on240?.[key], supplies?.[0]?.[key]]
        if (typeof from !== 'number') expect(to).toBeNull()
        else expect((to ?? 0) * 230).toBeCloseTo(from * 240, -2)
      }
    }
    const one = LIBRARY_MACHINES.find(({ record }) => !/^120\/240 V/.test(record.name))
    expect(one && on230V(one)).toEqual([])
    const unknown = { ...dual.record.processes[0]?.supplies[0], voltageV: 240, i1MaxA: null, i1EffA: null }
    const bare = { ...dual, record: { ...dual.record, processes: [{ supplies: [unknown] }] } } as typeof dual
    expect(on230V(bare)[0]?.record.processes[0]?.supplies[0]).toMatchObject({ i1MaxA: null, i1EffA: null })
  })
  it('stand where their plates find their volts', () => {
    const shopOf = (name: RegExp) =>
      new Set(
        LIBRARY.flatMap(({ path, record, units }) =>
          path === 'power-sources' && name.test(record.name) ? [units] : [],
        ),
      )
    expect(shopOf(/^(120|208|240|480)/)).toEqual(new Set(['imperial']))
    expect(shopOf(/^(230|400)/)).toEqual(new Set(['metric']))
  })
})

it('a wire is named by its counter, and a self-shielded one runs on DCEN (trade reference, section 2)', () => {
  const [some] = LIBRARY_WIRES
  if (!some) throw new Error('the library has no wire')
  const { id, classification, metal, diameterMm } = some.record
  const sold = (form: 'solid' | 'rod' | 'covered' | 'cored-self-shielded', spoolMm: 200 | null) =>
    wireEntry({
      ...{ id, classification, metal, diameterMm, form, spoolMm, packageG: 5000 },
      ...{ called: '0.035 X', summary: 'For steel', source: some.source, units: 'imperial' },
    })
  expect(sold('solid', 200).record).toMatchObject({ name: '0.035 X, 200 mm spool', polarity: null })
  expect(sold('rod', null).record.name).toBe('0.035 X rod')
  expect(sold('covered', null).record.name).toBe('0.035 X electrode')
  expect(sold('cored-self-shielded', 200).record.polarity).toBe('dcen')
  expect([heldWord({ form: 'covered' }), heldWord({ form: 'rod' })]).toEqual(['electrode', 'rod'])
  expect(idOf('Lib', '0.035 in (X)')).toBe('lib-0-035-in-x')
  expect(idOf('(a)', 'b--c')).toBe('a-b-c')
})
