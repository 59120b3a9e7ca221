/** The tables of the rule books in full, beside the values as the standards print them (all from memory). */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import type { Circuit } from '../kinds/equipment.ts'
import { USUAL_RUN } from '../kinds/usualRun.ts'
import { international as iec } from './books/international/international.ts'
import { northAmerican as nec } from './books/northAmerican/northAmerican.ts'
import { ALL_RULE_BOOKS } from './index.ts'
import { outletOf } from './ruleBook.ts'
import { suggestionsFor } from './suggestions.ts'
import type { WelderDraw, RuleBook, Wiring } from './ruleBook.ts'

const r = reckonerFor(assumptionsOf({ assumptions: {} }))
const wiring = (conductorSize: string, part: Partial<Wiring> = {}): Wiring => ({
  ...USUAL_RUN,
  conductorSize,
  columnC: 75,
  phases: 1,
  ...part,
})
const carries = (book: RuleBook, size: string, part: Partial<Wiring> = {}): number | undefined =>
  book.ampacity(wiring(size, part))?.value
const load = (i1MaxA: number, dutyPct: number, i1EffA: number | null = null): WelderDraw => ({
  i1MaxA,
  dutyPct,
  i1EffA,
})
const circuit = (part: Partial<Circuit>): Circuit => ({
  id: 'c',
  name: 'c',
  voltageV: 230,
  lengthMm: 0,
  breakerA: 50,
  held: 'owned' as const,
  price: null,
  ...USUAL_RUN,
  ...wiring('8 AWG'),
  ...part,
})

describe('NEC', () => {
  const COPPER = `14 AWG 15 20 25, 12 AWG 20 25 30, 10 AWG 30 35 40, 8 AWG 40 50 55, 6 AWG 55 65 75, 4 AWG 70 85 95,
    3 AWG 85 100 115, 2 AWG 95 115 130, 1 AWG 110 130 145, 1/0 AWG 125 150 170, 2/0 AWG 145 175 195, 3/0 AWG 165 200 225,
    4/0 AWG 195 230 260, 250 kcmil 215 255 290, 300 kcmil 240 285 320, 350 kcmil 260 310 350, 400 kcmil 280 335 380,
    500 kcmil 320 380 430, 600 kcmil 350 420 475`
  const ALUMINIUM = `12 AWG 15 20 25, 10 AWG 25 30 35, 8 AWG 35 40 45, 6 AWG 40 50 55, 4 AWG 55 65 75, 3 AWG 65 75 85,
    2 AWG 75 90 100, 1 AWG 85 100 115, 1/0 AWG 100 120 135, 2/0 AWG 115 135 150, 3/0 AWG 130 155 175, 4/0 AWG 150 180 205,
    250 kcmil 170 205 230, 300 kcmil 195 230 260, 350 kcmil 210 250 280, 400 kcmil 225 270 305, 500 kcmil 260 310 350,
    600 kcmil 285 340 385`
  it.each([
    ['copper', COPPER],
    ['aluminium', ALUMINIUM],
  ] as const)(
    'Table 310.16, %s: 60, 75 and 90 °C; by 110.14(C) no more than 75 °C of terminals',
    (metal, printed) => {
      const rows = printed.split(',').map((row) => row.trim().split(/\s+/))
      for (const [number, unit, ...amps] of rows) {
        const size = `${number} ${unit}`
        const [at60, at75, at90] = amps.map(Number)
        expect([carries(nec, size, { metal, columnC: 60 }), carries(nec, size, { metal })], size).toEqual([
          at60,
          at75,
        ])
        expect(carries(nec, size, { metal, columnC: 90 }), size).toBe(at75)
        expect(nec.ampacity(wiring(size, { metal, columnC: 90 }))?.tableA, size).toBe(at90)
      }
      if (metal === 'copper')
        expect(rows.map(([number, unit]) => `${number} ${unit}`)).toEqual(nec.conductorSizes)
    },
  )

  it('Table 310.15(B)(1): correction for warmth, and what is derated starts from the 90 °C column', () => {
    const at = (columnC: 60 | 75 | 90, ambientC: number) => carries(nec, '6 AWG', { columnC, ambientC })
    expect(at(60, 40)).toBeCloseTo(55 * 0.82, 9)
    expect(at(75, 40)).toBeCloseTo(65 * 0.88, 9)
    // 75 A × 0.91 = 68 A is above what 75 °C terminals allow.
    expect(at(90, 40)).toBe(65)
    expect(at(90, 50)).toBeCloseTo(75 * 0.82, 9)
    expect(at(75, 20)).toBe(65)
    expect(at(60, 56)).toBe(0)
    const printed = [1.2, 1.15, 1.11, 1.05, 1, 0.94, 0.88, 0.82, 0.75, 0.67, 0.58, 0.47, 0.33]
    printed.forEach((factor, index) => {
      expect(nec.ampacity(wiring('6 AWG', { ambientC: 10 + 5 * index }))?.ambientFactor).toBe(factor)
    })
  })

  it('Table 310.15(C)(1): conductors together', () => {
    const printed = [
      [3, 1],
      [4, 0.8],
      [6, 0.8],
      [7, 0.7],
      [9, 0.7],
      [10, 0.5],
      [20, 0.5],
      [21, 0.45],
      [31, 0.4],
      [41, 0.35],
    ] as const
    for (const [bundled, factor] of printed)
      expect(carries(nec, '8 AWG', { bundled })).toBeCloseTo(50 * factor, 9)
  })

  it('Chapter 9 Table 8, stranded: Ω/km, and it falls by about a quarter from one size to the next', () => {
    const printed = {
      '14 AWG': 10.3,
      '12 AWG': 6.5,
      '10 AWG': 4.07,
      '8 AWG': 2.551,
      '6 AWG': 1.608,
      '1/0 AWG': 0.399,
    }
    for (const [size, ohm] of Object.entries(printed)) expect(nec.ohmPerKm(size, 'copper')?.value).toBe(ohm)
    // AWG: three sizes double the cross-section (ASTM B258).
    for (const [size, three] of [
      ['14 AWG', '8 AWG'],
      ['12 AWG', '6 AWG'],
    ] as const) {
      const share = (nec.ohmPerKm(size, 'copper')?.value ?? 0) / (nec.ohmPerKm(three, 'copper')?.value ?? 1)
      expect(share).toBeGreaterThan(3.9)
      expect(share).toBeLessThan(4.2)
    }
    expect(nec.ohmPerKm('6 AWG', 'aluminium')?.value).toBe(2.652)
    // 2.5 mm² is more than 14 AWG (2.08 mm²) and less than 12: read as the thinner.
    expect(nec.ohmPerKm('2.5 mm²', 'copper')?.value).toBe(nec.ohmPerKm('14 AWG', 'copper')?.value)
    expect(nec.ohmPerKm('2.5', 'copper')).toBeNull()
  })

  it('takes the sizes as people write them, and guesses none', () => {
    for (const size of ['#12', ' 12 AWG ', '# 12', '12awg']) expect(carries(nec, size)).toBe(25)
    expect(carries(nec, '250 MCM')).toBe(255)
    expect(carries(nec, '2.5 mm²')).toBe(20)
    expect(carries(nec, '12')).toBeUndefined()
  })

  it('Table 400.5(A)(1): cords of two loaded conductors, and of three for three phases', () => {
    const sizes = ['18 AWG', '16 AWG', '14 AWG', '12 AWG', '10 AWG', '8 AWG']
    expect(sizes.map((size) => nec.cordA(size, 1)?.value)).toEqual([10, 13, 18, 25, 30, 40])
    expect(sizes.map((size) => nec.cordA(size, 3)?.value)).toEqual([7, 10, 15, 20, 25, 35])
    expect(nec.cordA('3 mm', 1)).toBeNull()
  })

  it('240.6(A), standard ratings up to 600 A', () => {
    expect(nec.breakerSizesA).toEqual([
      15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400,
      450, 500, 600,
    ])
  })

  it('630.11(A): the multiplier at each row and just beside it; between two rows the safe one', () => {
    const printed = [
      [20, 0.45],
      [30, 0.55],
      [40, 0.63],
      [50, 0.71],
      [60, 0.78],
      [70, 0.84],
      [80, 0.89],
      [90, 0.95],
      [100, 1],
    ] as const
    const asks = (duty: number) => nec.conductorA([load(100, duty)], r).value
    printed.forEach(([duty, factor], index) => {
      expect(asks(duty)).toBeCloseTo(100 * factor, 9)
      expect(asks(duty - 0.1)).toBeCloseTo(100 * factor, 9)
      expect(asks(duty + 0.1)).toBeCloseTo(100 * (printed[index + 1]?.[1] ?? 1), 9)
      // The rule rounds the square root of the duty, which is the heating.
      if (duty >= 30) expect(factor).toBeCloseTo(Math.sqrt(duty / 100), 1)
    })
    expect(nec.conductorA([load(100, 40, 58)], r).value).toBe(58)
  })

  it('630.11(B): of several all of the two largest, 85, 70 and 60 % of each further one', () => {
    const group = [60, 20, 50, 10, 40, 30].map((current) => load(current, 100))
    expect(nec.conductorA(group, r).value).toBeCloseTo(60 + 50 + 0.85 * 40 + 0.7 * 30 + 0.6 * (20 + 10), 9)
    expect(nec.conductorA(group.slice(0, 2), r).value).toBeCloseTo(80, 9)
    expect(nec.conductorA([], r).value).toBe(0)
  })

  it.each([
    [22, 45],
    [22.5, 45],
    [22.6, 50],
    [30, 60],
    [43, 90],
    [5, 15],
    [110, 225],
    [400, 600],
  ])('630.12: a machine of %f A, and a cable of as much, may have a breaker of %f A', (currentA, largest) => {
    const most = (machineA: number, cableA: number) =>
      nec.assess(circuit({}), cableA, [load(machineA, 100)], null, r)['breaker-rule']?.capacity
    expect(most(currentA, 600)).toBe(largest)
    expect(most(600, currentA)).toBe(largest)
    expect(nec.breakerMostForA(load(currentA, 100))?.value).toBe(largest)
  })

  it('a breaker too large for the machine alone is allowed where that protects itself, one too large for the cable is not', () => {
    const ruling = (breakerA: number, cableA: number) =>
      nec.assess(circuit({ breakerA }), cableA, [load(20, 100)], null, r)['breaker-rule']
    expect(ruling(50, 40)).toMatchObject({ capacity: 40, overOn: 'own-protection' })
    expect(ruling(100, 40)?.overOn).toBeUndefined()
  })

  // Practice of a 230 V machine that draws 43 A at its rated output: 70 A is usual, 90 A the most (630.12(A)).
  it('230 V with 43 A at rated output: 70 A is usual, 90 A the most; IEC goes by the plate’s effective current', () => {
    // 70 A is common practice, no source: half as much again, next standard size. 90 A: 630.12(A), next size from 86 A.
    expect(nec.breakerUsualA(load(43, 40))).toBe(70)
    expect(nec.breakerMostForA(load(43, 40))?.value).toBe(90)
    // 30 A at 25 % heat like 15 A (IEC 60974-1): a fuse of 16 A, as plates of that size have it.
    expect(iec.breakerUsualA(load(30, 25))).toBe(16)
  })

  it('230 V with 43 A at rated output: 8 AWG, and up to 90 A', () => {
    const plate = load(43, 40)
    expect(nec.conductorA([plate], r).value).toBeCloseTo(27.1, 1)
    expect(nec.assess(circuit({ breakerA: 70 }), 50, [plate], null, r)['breaker-rule']).toMatchObject({
      demand: 70,
      capacity: 90,
    })
  })

  it('receptacles by NEMA WD 6 carry what is in their name', () => {
    for (const { name, ratedA } of nec.outlets) expect(name).toMatch(new RegExp(`-${ratedA}$`))
    expect(nec.outlets.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['NEMA 5-15', 'NEMA 5-20', 'NEMA 6-50', 'NEMA 14-50']),
    )
    const ruled = nec.assess(circuit({ outlet: 'NEMA 6-20' }), 50, [load(43, 40)], null, r)['outlet-rule']
    expect(ruled).toMatchObject({ capacity: 20 })
    expect(ruled?.demand).toBeCloseTo(27.1, 1)
    expect(nec.assess(circuit({}), 50, [load(43, 40)], null, r)['outlet-rule']).toBeUndefined()
  })
})

describe('IEC 60364', () => {
  it('B.52, PVC, two and three loaded copper conductors, clipped to a wall', () => {
    const two = [19.5, 27, 36, 46, 63, 85, 112]
    const three = [17.5, 24, 32, 41, 57, 76, 96]
    iec.conductorSizes.slice(0, 7).forEach((size, index) => {
      expect(carries(iec, size, { method: 'C', columnC: 70 })).toBe(two[index])
      expect(carries(iec, size, { method: 'C', columnC: 70, phases: 3 })).toBe(three[index])
    })
  })

  it('the better a cable is cooled, the more it carries; XLPE more than PVC, three less than two (facts of the trade)', () => {
    const methods = ['A2', 'A1', 'B2', 'B1', 'C', 'E'] as const
    for (const size of iec.conductorSizes)
      for (const columnC of [70, 90] as const)
        for (const phases of [1, 3] as const) {
          const amps = methods.map((method) => carries(iec, size, { method, columnC, phases }) ?? 0)
          expect(amps, `${size} ${columnC} ${phases}`).toEqual([...amps].sort((a, b) => a - b))
          for (const [index, method] of methods.entries()) {
            expect(carries(iec, size, { method, columnC: 90, phases })).toBeGreaterThanOrEqual(
              carries(iec, size, { method, columnC: 70, phases }) ?? Infinity,
            )
            if (phases === 3)
              expect(amps[index]).toBeLessThan(carries(iec, size, { method, columnC, phases: 1 }) ?? 0)
          }
        }
  })

  it('Tables B.52.2 to B.52.5: 2.5 mm² in PVC is 23 A in conduit on a wall (B2), 30 A in XLPE; three loaded 20 and 26 A', () => {
    const at = (part: Parameters<typeof carries>[2]) => carries(iec, '2.5 mm²', part)
    // Where nobody has said how it lies, B2 is taken; a cable of 90 °C is read as XLPE, one of 70 or 75 as PVC.
    expect([at({ method: null, columnC: 70 }), at({ method: 'B2', columnC: 70 })]).toEqual([23, 23])
    expect([at({ method: null, columnC: 90 }), at({ method: null, columnC: 75 })]).toEqual([30, 23])
    expect([
      at({ method: 'B2', columnC: 70, phases: 3 }),
      at({ method: 'B2', columnC: 90, phases: 3 }),
    ]).toEqual([20, 26])
    expect(at({ method: null, columnC: 70, ambientC: null, bundled: null })).toBe(23)
    // IEC 60228 and terminals begin aluminium at 16 mm².
    expect(carries(iec, '2.5 mm²', { method: null, columnC: 70, metal: 'aluminium' })).toBeUndefined()
    expect(carries(iec, '3 mm²', { method: null, columnC: 70 })).toBe(23)
    expect(carries(iec, '1 mm²', { method: null, columnC: 70 })).toBeUndefined()
  })
  it('B.52.14 and B.52.17: warmth and company', () => {
    expect(carries(iec, '6 mm²', { method: 'C', columnC: 70, ambientC: 40, bundled: 2 })).toBeCloseTo(
      46 * 0.87 * 0.8,
      9,
    )
    expect(carries(iec, '6 mm²', { method: 'C', columnC: 90, ambientC: 40, bundled: 3 })).toBeCloseTo(
      58 * 0.91 * 0.7,
      9,
    )
    const bunched = [1, 0.8, 0.7, 0.65, 0.6, 0.57, 0.54, 0.52, 0.5]
    bunched.forEach((factor, index) => {
      expect(iec.ampacity(wiring('6 mm²', { columnC: 70, bundled: index + 1 }))?.bundleFactor).toBe(factor)
    })
  })

  it('433.1: no breaker above what the cable carries, whatever the machine', () => {
    const wired = circuit({ conductorSize: '6 mm²', columnC: 70, breakerA: 40 })
    expect(iec.assess(wired, 38, [load(20, 100)], null, r)['breaker-rule']).toMatchObject({
      demand: 40,
      capacity: 38,
    })
    expect(iec.breakerMostForA(load(20, 100))).toBeNull()
  })

  it('sizes a cable by I₁eff (IEC 60974-1): of 30 A at 25 %, 15 A; of several all together', () => {
    expect(iec.conductorA([load(30, 25)], r).value).toBeCloseTo(15, 9)
    expect(iec.conductorA([load(30, 25, 16)], r).value).toBe(16)
    expect(iec.conductorA([load(30, 25, 16), load(30, 25)], r).value).toBeCloseTo(31, 9)
  })

  it('IEC 60228 in the warmth of a loaded cable: a fifth above 20 °C (copper, 0.4 % for each kelvin)', () => {
    expect((iec.ohmPerKm('2,5mm2', 'copper')?.value ?? 0) / 7.41).toBeCloseTo(1 + 0.00393 * 50, 2)
    expect(iec.ohmPerKm('2.5 mm²', 'aluminium')).toBeNull()
    expect(carries(iec, '12 AWG')).toBe(carries(iec, '2.5 mm²'))
  })
})

describe('any book', () => {
  const machines = fc.array(
    fc.record({
      i1MaxA: fc.integer({ min: 5, max: 200 }),
      dutyPct: fc.integer({ min: 5, max: 100 }),
      i1EffA: fc.constant(null),
    }),
    { minLength: 1, maxLength: 12 },
  )
  it.each(ALL_RULE_BOOKS.map((book) => [book.id, book] as const))(
    '%s asks of a group no less than of its largest and no more than of all added up; at 100 %% duty all of I₁max',
    (_, book) => {
      fc.assert(
        fc.property(machines, (loads) => {
          const each = loads.map((one) => book.conductorA([one], r).value)
          const all = book.conductorA(loads, r).value
          expect(all).toBeGreaterThanOrEqual(Math.max(...each) - 1e-9)
          expect(all).toBeLessThanOrEqual(each.reduce((sum, one) => sum + one, 0) + 1e-9)
          const [first] = loads
          const without = first && book.conductorA([{ ...first, dutyPct: 100 }], r).value
          expect(without).toBeCloseTo(first?.i1MaxA ?? NaN, 9)
        }),
      )
    },
  )

  it.each(ALL_RULE_BOOKS.map((book) => [book.id, book] as const))(
    '%s: a larger conductor carries more and loses less',
    (_id, book) => {
      for (const columnC of book.columnsC as readonly Wiring['columnC'][])
        for (const [index, size] of book.conductorSizes.entries()) {
          const next = book.conductorSizes[index + 1]
          if (!next) continue
          expect(carries(book, next, { columnC })).toBeGreaterThan(
            carries(book, size, { columnC }) ?? Infinity,
          )
          expect(book.ohmPerKm(next, 'copper')?.value).toBeLessThan(book.ohmPerKm(size, 'copper')?.value ?? 0)
        }
      expect([...book.breakerSizesA]).toEqual([...book.breakerSizesA].sort((a, b) => a - b))
    },
  )

  it.each(ALL_RULE_BOOKS.map((book) => [book.id, book] as const))(
    'what is suggested under %s is what the book knows',
    (_id, book) => {
      const shop = { ruleBook: book.id as 'international' }
      const circuit = {
        metal: 'copper',
        columnC: 75,
        method: null,
        ambientC: null,
        bundled: null,
        phases: 1,
      } as const
      for (const conductorSize of suggestionsFor('cable', shop))
        expect(book.ampacity({ ...circuit, conductorSize }), conductorSize).not.toBeNull()
      for (const size of suggestionsFor('cord', shop)) expect(book.cordA(size, 1), size).not.toBeNull()
      for (const size of suggestionsFor('lead', shop))
        expect(book.ohmPerKm(size, 'flexible'), size).not.toBeNull()
      const outlets = suggestionsFor('outlet', shop)
      expect(outlets.length).toBeGreaterThan(5)
      for (const name of outlets) expect(outletOf(book, name)?.name).toBe(name)
    },
  )
})
