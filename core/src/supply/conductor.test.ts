/** What is printed on cables, cords and leads. Areas by ASTM B258 and IEC 60228; designations by HD 361 and NEC 310, 400 (from memory). */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ruleBookOf } from './index.ts'
import { USUAL_RUN } from '../kinds/usualRun.ts'
import { runs } from '../testing/runs.ts'
import { readConductor, rowOf } from './conductor.ts'
import { leadCarriesA } from './leads.ts'

const iec = ruleBookOf({ ruleBook: 'international' })
const nec = ruleBookOf({ ruleBook: 'north-american' })
const carries = (book: typeof iec, conductorSize: string, part: object = {}): number | undefined =>
  book.ampacity({ ...USUAL_RUN, columnC: 70, method: 'C', phases: 1, conductorSize, ...part })?.value

describe('a conductor as it is printed', () => {
  it.each([
    ['10 AWG', 5.26, null, ''],
    ['#10', 5.26, null, ''],
    ['AWG 10', 5.26, null, ''],
    ['12awg', 3.31, null, ''],
    ['14 ga', 2.08, null, ''],
    ['4/0', 107.2, null, ''],
    ['1/0 AWG', 53.5, null, ''],
    ['250 kcmil', 126.7, null, ''],
    ['250 MCM', 126.7, null, ''],
    ['2.5 mm²', 2.5, null, ''],
    ['2,5mm2', 2.5, null, ''],
    ['3G2,5', 2.5, 3, ''],
    ['4G1.5', 1.5, 4, ''],
    ['10G1,5', 1.5, 10, ''],
    ['5G6', 6, 5, ''],
    ['4 x 25', 25, 4, ''],
    ['5 × 16 mm²', 16, 5, ''],
    ['H07RN-F 3G2,5', 2.5, 3, 'H07RN-F'],
    ['NYM-J 5x2,5', 2.5, 5, 'NYM-J'],
    ['6/3 NM-B', 13.3, 3, 'NM-B'],
    ['12/3 SJTW', 3.31, 3, 'SJTW'],
    ['10-2 NM w/ground', 5.26, 2, 'NM w/ground'],
    ['H01N2-D 35 mm²', 35, null, 'H01N2-D'],
    ['3 x 8 AWG', 8.37, 3, ''],
  ])('%s is %f mm² in %s cores, %s', (text, areaMm2, cores, kind) => {
    const found = readConductor(text)
    expect((found?.areaMm2 ?? 0) / areaMm2).toBeCloseTo(1, 2)
    expect([found?.cores, found?.kind]).toEqual([cores, kind])
  })
  it.each([
    ['#1', '1 AWG'],
    ['1/0', '1/0 AWG'],
    ['4/0 AWG', '4/0 AWG'],
    ['10-2 NM', '10 AWG'],
    ['250 MCM', '250 kcmil'],
    ['5x2,5', '2.5 mm²'],
    ['630 mm²', '630 mm²'],
  ])('%s is called %s by every book', (text, size) => expect(readConductor(text)?.size).toBe(size))
  it.each([
    '10',
    '2,5',
    '4',
    '25',
    '',
    ' ',
    'thick',
    '3 mm',
    'AWG',
    '25 kcmil',
    '11 AWG',
    '5/0',
    '0 mm²',
    'G2.5',
    '-3 mm²',
    '3G',
    '10 mm² 5',
    '900 mm²',
    '99 x 2.5',
  ])('“%s” is none, or has no unit: nobody guesses', (text) => expect(readConductor(text)).toBeNull())
  it('three gauges double the area, and each of them is what it is named (ASTM B258)', () => {
    const area = (gauge: number) => readConductor(`${gauge} AWG`)?.areaMm2 ?? 0
    expect(area(6) / area(9)).toBeCloseTo(2, 1)
    expect(area(1) / area(4)).toBeCloseTo(2, 1)
  })
})

describe('each book answers by area, with its own size or the next smaller', () => {
  it('an American cable under IEC 60364 is never read as so many mm²', () => {
    // 10 AWG is 5.26 mm²: the row of 4 mm² (36 A), not of 10 (63 A).
    expect(carries(iec, '10 AWG')).toBe(36)
    // 6 AWG is 13.3 mm², between 10 (63 A) and 16 (85 A).
    expect(carries(iec, '6 AWG')).toBe(63)
    expect(carries(iec, '4/0')).toBeGreaterThan(carries(iec, '70 mm²') ?? Infinity)
    expect(iec.cordA('16 AWG', 1)?.value ?? 0).toBeLessThanOrEqual(iec.cordA('1.5 mm²', 1)?.value ?? 0)
    expect(iec.ohmPerKm('10 AWG', 'copper')?.value).toBe(iec.ohmPerKm('4 mm²', 'copper')?.value)
  })
  it('cores are no area: 4G1,5 is 1.5 mm², 10G1,5 too, 4 x 25 is 25', () => {
    expect(carries(iec, '4G1,5', { method: 'B1' })).toBe(17.5)
    expect(carries(iec, '10G1,5', { method: 'B1' })).toBe(17.5)
    expect(carries(iec, '4 x 25')).toBe(112)
    expect(carries(iec, '5G2,5', { method: 'B2', phases: 3 })).toBe(20)
    expect(carries(iec, '4G2,5')).toBe(27)
    expect(carries(iec, 'NYM-J 5x2,5')).toBe(27)
  })
  it('a metric cable under the NEC is the next smaller gauge, and the source says which', () => {
    // 2.5 mm² is more copper than 14 AWG and less than 12.
    expect(carries(nec, '2.5 mm²', { columnC: 75 })).toBe(carries(nec, '14 AWG', { columnC: 75 }))
    expect(carries(nec, '16 mm²', { columnC: 75 })).toBe(65)
    const read = nec.ampacity({ ...USUAL_RUN, columnC: 75, phases: 1, conductorSize: '16 mm²' })
    expect(read?.source.text).toContain('read as 6 AWG')
    const own = nec.ampacity({ ...USUAL_RUN, columnC: 75, phases: 1, conductorSize: '6/3 NM-B' })
    expect([own?.value, own?.source.text.includes('read as')]).toEqual([65, false])
  })
  it('a bare figure is in no book, nor what is thinner than its thinnest', () => {
    for (const book of [iec, nec]) {
      expect(carries(book, '10')).toBeUndefined()
      expect(book.cordA('10', 1)).toBeNull()
      expect(book.ohmPerKm('10', 'copper')).toBeNull()
    }
    expect(carries(iec, '18 AWG')).toBeUndefined()
    expect(carries(nec, '0.75 mm²')).toBeUndefined()
  })
  it('a lead is read by its area in either unit', () => {
    expect(leadCarriesA('35 mm²')).toBe(225)
    expect(leadCarriesA('2 AWG') ?? 0).toBeLessThan(225)
    expect(leadCarriesA('H01N2-D 35 mm²')).toBe(225)
    expect(leadCarriesA('35')).toBeNull()
  })
  it('more copper never carries less, however it is written (property)', () => {
    const sizes = fc.constantFrom(
      '14 AWG',
      '1.5 mm²',
      '2.5 mm²',
      '12/3 SJTW',
      '4G4',
      '10 AWG',
      '8 AWG',
      '10 mm²',
      '6 AWG',
      '3 x 16',
      '25 mm²',
      '2 AWG',
      '35 mm²',
      '1/0',
      '70 mm²',
    )
    fc.assert(
      fc.property(sizes, sizes, fc.constantFrom(iec, nec), (one, other, book) => {
        const [a, b] = [readConductor(one), readConductor(other)]
        if (!a || !b || a.areaMm2 > b.areaMm2) return
        expect(carries(book, one) ?? 0).toBeLessThanOrEqual(carries(book, other) ?? 0)
      }),
      { numRuns: runs(150) },
    )
  })
  it('what it answers is never more than by the next standard size above (property)', () => {
    const gauges = fc.constantFrom(
      '14 AWG',
      '12 AWG',
      '10 AWG',
      '8 AWG',
      '6 AWG',
      '4 AWG',
      '2 AWG',
      '1/0 AWG',
      '3/0 AWG',
    )
    fc.assert(
      fc.property(gauges, (size) => {
        const row = rowOf(size, iec.conductorSizes)
        expect(readConductor(row ?? '')?.areaMm2 ?? 0).toBeLessThanOrEqual(
          (readConductor(size)?.areaMm2 ?? 0) * 1.005,
        )
      }),
      { numRuns: runs(20) },
    )
  })
})
