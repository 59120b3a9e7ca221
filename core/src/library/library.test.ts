/** The generic library against the published designations; what could not be looked up is from memory. */
import { factsAt } from '../kinds/facts.ts'
import { schemaOf } from '../kinds/index.ts'
import { isSpooled } from '../kinds/spooled.ts'
import { describe, expect, it } from 'vitest'
import { readDocument } from '../model/problems.ts'
import { isSameSize } from '../trade/sameSize.ts'
import { LIBRARY } from './index.ts'
import { LIBRARY_GASES } from './gases.ts'
import { LIBRARY_TORCHES } from './torches.ts'
import { LIBRARY_TUNGSTENS } from './tungstens.ts'
import { LIBRARY_WIRES } from './wires.ts'
import { LIBRARY_PARTS } from './parts.ts'

describe('every entry', () => {
  it('is a valid record of its kind, with an id of its own, and a source', () => {
    const ids = new Set<string>()
    for (const { path, record, source, summary } of LIBRARY) {
      const kind = factsAt(path)?.kind
      if (!kind) throw new Error(`no list at ${path}`)
      expect(readDocument<unknown>(schemaOf(kind), record), record.name).toMatchObject({ ok: true })
      expect(ids).not.toContain(`${path}/${record.id}`)
      ids.add(`${path}/${record.id}`)
      expect(source.text).not.toBe('')
      expect(summary).not.toBe('')
    }
  })
})

describe('wires and rods', () => {
  it.each([
    // AWS A5.02 and ISO 544: inch and metric names of one size.
    ['0.023', 0.6],
    ['0.030', 0.8],
    ['0.035', 0.9],
    ['0.040', 1.0],
    ['0.045', 1.2],
    ['3/64', 1.2],
    ['1/16', 1.6],
    ['3/32', 2.4],
    ['1/8', 3.2],
  ])('%s in is what is sold as %f mm', (inch, mm) => {
    const sized = LIBRARY_WIRES.filter(({ record }) => record.name.startsWith(`${inch} `))
    expect(sized.length).toBeGreaterThan(0)
    for (const { record } of sized) expect(isSameSize(record.diameterMm, mm)).toBe(true)
  })

  it('a rod and a stick have no spool and a wire has one of ISO 544', () => {
    for (const { record } of LIBRARY_WIRES) expect(record.spoolMm === null).toBe(!isSpooled(record))
  })

  it('self-shielded wires are on DCEN, as nearly all are (trade reference, section 2)', () => {
    const selfShielded = LIBRARY_WIRES.filter(({ record }) => record.form === 'cored-self-shielded')
    expect(new Set(selfShielded.map(({ record }) => record.polarity))).toEqual(new Set(['dcen']))
  })
})

describe('gases, ISO 14175', () => {
  // Main groups by their oxidising and inert parts (ISO 14175 table 2, from memory).
  const GROUPS: readonly [string, (gas: (typeof LIBRARY_GASES)[number]['record']) => boolean][] = [
    ['I1', (gas) => gas.argonPct === 100],
    ['I2', (gas) => gas.heliumPct === 100],
    ['I3', (gas) => gas.heliumPct > 0.5 && gas.heliumPct <= 95 && gas.co2Pct === 0],
    ['M12', (gas) => gas.co2Pct > 0.5 && gas.co2Pct <= 5],
    ['M13', (gas) => gas.oxygenPct > 0.5 && gas.oxygenPct <= 3 && gas.co2Pct === 0],
    ['M20', (gas) => gas.co2Pct > 5 && gas.co2Pct <= 15],
    ['M21', (gas) => gas.co2Pct > 15 && gas.co2Pct <= 25],
    ['C1', (gas) => gas.co2Pct === 100],
  ]
  it.each(LIBRARY_GASES.map(({ record }) => [record.designation, record] as const))(
    '%s is of its group',
    (designation, gas) => {
      const group = GROUPS.find(([name]) => designation.split('-')[0] === name)
      expect(group?.[1](gas)).toBe(true)
    },
  )

  it('30 kg of CO₂ are some 16.4 m³ (8.74 ft³/lb, trade reference, section 8)', () => {
    const co2 = LIBRARY_GASES.find(({ record }) => record.designation === 'C1')?.record
    expect(co2?.fullL).toBeCloseTo((30 / 0.45359237) * 8.74 * 28.3168, -2)
  })
})

describe('tungsten, ISO 6848 and AWS A5.12', () => {
  it.each([
    ['1/16 WLa20', 'DCEN 70 to 150 A, AC 70 to 150 A'],
    ['3/32 WLa15', 'DCEN 150 to 250 A, AC 140 to 235 A'],
    ['1/8 WTh20', 'DCEN 250 to 400 A'],
    ['0.020 WCe20', 'DCEN 5 to 20 A'],
  ])('%s runs %s', (name, range) => {
    expect(LIBRARY_TUNGSTENS.find(({ record }) => record.name === name)?.summary).toContain(range)
  })
})

describe('torches and their parts', () => {
  it('air-cooled families of 125, 150 and 200 A, water-cooled from 250 A up (trade reference, section 6)', () => {
    const rated = (cooling: string) =>
      LIBRARY_TORCHES.filter(({ record }) => record.cooling === cooling).map(
        ({ record }) => record.ratings[0]?.currentA,
      )
    expect(rated('air')).toEqual([125, 150, 200])
    expect(Math.min(...rated('water').map(Number))).toBe(250)
  })

  it('a torch carries less on AC', () => {
    for (const { record } of LIBRARY_TORCHES) {
      const [dc, ac] = record.ratings
      expect(ac?.currentA).toBeLessThan(dc?.currentA ?? 0)
    }
  })

  it('for each head and tungsten there is a whole set', () => {
    const parts = LIBRARY_PARTS.map(({ record }) => record)
    for (const { record } of LIBRARY_TORCHES) {
      const own = parts.filter((part) => 'partsClass' in part && part.partsClass === record.partsClass)
      for (const kind of ['collet', 'collet-body', 'cup', 'back-cap'])
        expect(own.some((part) => part.kind === kind)).toBe(true)
    }
  })
})
