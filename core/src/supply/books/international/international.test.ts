/** The international book by its own tables and rules; where no clause is named the figure is common practice. All from memory. */
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../../../assumptions/assume.ts'
import { reckonerFor } from '../../../calculation/reckoner.ts'
import type { Circuit } from '../../../kinds/circuit.ts'
import { USUAL_RUN } from '../../../kinds/usualRun.ts'
import { heldWithoutEndA } from '../../breaker/overload.ts'
import { storesOf } from '../../breaker/breakerModel.ts'
import { IEC_60269_GG } from '../../breaker/models.ts'
import { isMadeFor, type WelderDraw, outletOf, smallestConductor, smallestOutlet } from '../../ruleBook.ts'
import { northAmerican } from '../northAmerican/northAmerican.ts'
import { international as iec } from './international.ts'

const r = reckonerFor(assumptionsOf({ assumptions: {} }))
const circuit = (part: Partial<Circuit> = {}): Circuit => ({
  ...USUAL_RUN,
  id: 'c',
  name: 'Socket by the door',
  voltageV: 230,
  phases: 1,
  breakerA: 16,
  conductorSize: '2.5 mm²',
  columnC: 70,
  lengthMm: 0,
  held: 'owned',
  price: null,
  ...part,
})
const load = (i1EffA: number): WelderDraw => ({ i1MaxA: i1EffA * 1.6, i1EffA, dutyPct: 40 })
const carries = (conductorSize: string, part: Partial<Circuit> = {}): number | undefined =>
  iec.ampacity(circuit({ conductorSize, ...part }))?.value

describe('IEC 60364-5-52, what a cable carries, A', () => {
  it.each([
    // B.52.2 and B.52.4: PVC.
    ['5G2,5', { phases: 3, method: 'B2' }, 20],
    ['4G2,5', { phases: 1, method: 'C' }, 27],
    ['NYM-J 5x2,5', { phases: 3, method: 'C' }, 24],
    ['3x1,5', { method: 'A1' }, 14.5],
    ['5G6', { phases: 3, method: 'B2' }, 34],
    ['5G16', { phases: 3, method: 'C' }, 76],
    ['240 mm²', { phases: 3, method: 'C' }, 403],
    ['120 mm²', { phases: 1, method: 'A2' }, 192],
    ['185 mm²', { phases: 3, method: 'B1' }, 296],
    // B.52.2 and B.52.4, in the ground: a duct (D1), the earth itself (D2).
    ['10 mm²', { phases: 3, method: 'D1' }, 50],
    ['16 mm²', { phases: 1, method: 'D1' }, 78],
    ['16 mm²', { phases: 3, method: 'D2' }, 70],
    // B.52.10: free air.
    ['5G10', { phases: 3, method: 'E' }, 60],
    ['3G2,5', { phases: 1, method: 'E' }, 30],
    ['95 mm²', { phases: 3, method: 'F' }, 264],
    // B.52.3, B.52.5, B.52.12: XLPE.
    ['5G2,5', { phases: 3, method: 'C', columnC: 90 }, 30],
    ['35 mm²', { phases: 3, method: 'E', columnC: 90 }, 158],
    ['50 mm²', { phases: 1, method: 'F', columnC: 90 }, 242],
    ['240 mm²', { phases: 3, method: 'D1', columnC: 90 }, 324],
    // Aluminium: the same tables, B.52.11 and B.52.13 in free air.
    ['16 mm²', { phases: 3, method: 'C', metal: 'aluminium' }, 59],
    ['50 mm²', { phases: 3, method: 'D1', metal: 'aluminium' }, 91],
    ['95 mm²', { phases: 3, method: 'B2', metal: 'aluminium', columnC: 90 }, 188],
    ['70 mm²', { phases: 3, method: 'F', metal: 'aluminium' }, 166],
    ['240 mm²', { phases: 1, method: 'E', metal: 'aluminium', columnC: 90 }, 470],
  ] as const)('%s %j: %d', (size, part, amps) => {
    expect(carries(size, part)).toBe(amps)
  })

  it('reads an American size as the next smaller of its own: 6 AWG is 13.3 mm², so 10 mm² and 63 A clipped', () => {
    expect(carries('6 AWG', { method: 'C' })).toBe(63)
    expect(iec.ampacity(circuit({ conductorSize: '6 AWG', method: 'C' }))?.source.text).toContain(
      'read as 10 mm²',
    )
  })

  it('single-core cables in free air begin at 25 mm², aluminium at 16', () => {
    expect(carries('16 mm²', { method: 'F' })).toBeUndefined()
    expect(carries('25 mm²', { method: 'F' })).toBe(131)
    expect(carries('10 mm²', { metal: 'aluminium', method: 'C' })).toBeUndefined()
  })

  it('aluminium carries some three quarters of copper (fact of the trade)', () => {
    for (const columnC of [70, 90] as const)
      for (const method of ['A1', 'A2', 'B1', 'B2', 'C', 'D1', 'D2', 'E', 'F'] as const)
        for (const phases of [1, 3] as const)
          for (const size of ['25 mm²', '95 mm²', '240 mm²']) {
            const at = { columnC, method, phases }
            const share =
              (carries(size, { ...at, metal: 'aluminium' }) ?? 0) / (carries(size, at) ?? Number.NaN)
            expect(share, `${size} ${columnC} ${method} ${phases}`).toBeGreaterThan(0.71)
            expect(share, `${size} ${columnC} ${method} ${phases}`).toBeLessThan(0.82)
          }
  })

  it('each row rises with the size, by less than the copper does (a thick conductor is cooled worse)', () => {
    for (const metal of ['copper', 'aluminium'] as const)
      for (const columnC of [70, 90] as const)
        for (const method of ['A1', 'A2', 'B1', 'B2', 'C', 'D1', 'D2', 'E', 'F'] as const)
          for (const phases of [1, 3] as const) {
            const amps = iec.conductorSizes.flatMap((size) => {
              const value = carries(size, { metal, columnC, method, phases })
              return value === undefined ? [] : [{ areaMm2: Number.parseFloat(size), value }]
            })
            const rows = amps.slice(1).map((one, index) => ({ one, before: amps[index] ?? one }))
            expect(rows.length).toBeGreaterThan(7)
            for (const { one, before } of rows) {
              expect(one.value).toBeGreaterThan(before.value)
              expect(one.value / before.value).toBeLessThan(one.areaMm2 / before.areaMm2)
            }
          }
  })

  it('B.52.15 and B.52.18: the earth is reckoned at 20 °C, not 30, and cables in it warm each other more', () => {
    const at = (part: Partial<Circuit>) => iec.ampacity(circuit({ method: 'D2', ...part }))
    expect(at({ ambientC: 20 })?.ambientFactor).toBe(1)
    expect(at({ ambientC: 30 })?.ambientFactor).toBe(0.89)
    expect(at({ ambientC: 10, columnC: 90 })?.ambientFactor).toBe(1.07)
    expect(at({ bundled: 2 })?.bundleFactor).toBe(0.75)
    expect(at({ bundled: 6 })?.bundleFactor).toBe(0.5)
    expect(at({ bundled: 99 })?.bundleFactor).toBe(0.29)
    expect(at({ method: 'E', ambientC: 30, bundled: 2 })).toMatchObject({
      ambientFactor: 1,
      bundleFactor: 0.8,
    })
  })
})

describe('IEC 60228, resistance at 20 °C, a fifth more when warm, Ω/km', () => {
  it.each([
    ['2.5 mm²', 'copper', 7.41],
    ['240 mm²', 'copper', 0.0754],
    // Class 5: the strands of a cord.
    ['2.5 mm²', 'flexible', 7.98],
    ['H07RN-F 5G6', 'flexible', 3.3],
    ['16 mm²', 'flexible', 1.21],
    ['16 mm²', 'aluminium', 1.91],
    ['150 mm²', 'aluminium', 0.206],
  ] as const)('%s, %s: %d', (size, metal, ohm) => {
    expect((iec.ohmPerKm(size, metal)?.value ?? 0) / 1.2).toBeCloseTo(ohm, 9)
  })

  it('a cord has more than the cable in the wall, aluminium 1.6 times copper (resistivities 28.3 and 17.2 nΩ·m)', () => {
    for (const size of iec.conductorSizes) {
      const copper = iec.ohmPerKm(size, 'copper')?.value ?? 0
      expect(iec.ohmPerKm(size, 'flexible')?.value ?? 0).toBeGreaterThan(copper * 0.99)
      const aluminium = iec.ohmPerKm(size, 'aluminium')
      if (aluminium) expect(aluminium.value / copper).toBeCloseTo(28.3 / 17.2, 1)
    }
  })
})

describe('433.1: I_b ≤ I_n ≤ I_z', () => {
  const ruled = (part: Partial<Circuit>, i1EffA: number, cordA: number | null = null) =>
    iec.assess(circuit(part), 27, [load(i1EffA)], cordA, r)
  const holds = (ruling: { demand: number; capacity: number } | undefined): boolean | undefined =>
    ruling && ruling.demand <= ruling.capacity

  it('a C16 does not serve a machine whose I_1eff is 18 or 19 A, and serves one of 16', () => {
    expect(holds(ruled({}, 18)['breaker-load-rule'])).toBe(false)
    expect(holds(ruled({}, 19)['breaker-load-rule'])).toBe(false)
    expect(holds(ruled({}, 16)['breaker-load-rule'])).toBe(true)
    expect(holds(ruled({ breakerA: 20 }, 18)['breaker-load-rule'])).toBe(true)
  })

  it('an outlet of 16 A is not put behind a C20, one of 32 A is', () => {
    const behind = (outlet: string, breakerA: number) =>
      holds(ruled({ outlet, breakerA }, 12)['outlet-breaker-rule'])
    expect(behind('CEE 7/4', 20)).toBe(false)
    expect(behind('CEE 7/4', 16)).toBe(true)
    expect(behind('32 A, 230 V, IEC 60309', 20)).toBe(true)
    expect(behind('10 A, 230 V', 16)).toBe(false)
  })

  it('a cord that carries less than the breaker lets through is not protected by it', () => {
    expect(holds(ruled({ breakerA: 32 }, 12, 25)['cord-breaker-rule'])).toBe(false)
    expect(holds(ruled({ breakerA: 16 }, 12, 16)['cord-breaker-rule'])).toBe(true)
    expect(ruled({}, 12)['cord-breaker-rule']).toBeUndefined()
  })

  it('says nothing of an outlet that nobody has looked at, or that is none of its own', () => {
    for (const outlet of [null, 'NEMA 6-50'])
      expect(Object.keys(ruled({ outlet }, 12))).toEqual([
        'conductor-rule',
        'breaker-rule',
        'breaker-load-rule',
      ])
  })

  it('the outlet carries the machine: 18 A is too much for 16', () => {
    expect(ruled({ outlet: 'CEE 7/4' }, 18)['outlet-rule']).toMatchObject({ demand: 18, capacity: 16 })
  })

  it('the American book has no such rules: a welder may have a breaker above its cable and its receptacle (630.12, 210.21(B)(1))', () => {
    const rules = northAmerican.assess(
      circuit({ outlet: 'NEMA 6-50', conductorSize: '8 AWG', breakerA: 70 }),
      50,
      [load(40)],
      30,
      r,
    )
    expect(Object.keys(rules)).toEqual(['conductor-rule', 'breaker-rule', 'outlet-rule'])
  })
})

describe('outlets', () => {
  const of = (printed: string) => outletOf(iec, printed)

  it.each([
    ['CEE 7/4', 16, 1],
    ['type F', 16, 1],
    ['BS 1363', 13, 1],
    ['16 A, 230 V', 16, 1],
    ['CEE 16 A 400 V', 16, 3],
    ['cee 32a 400v', 32, 3],
    ['63 A, 400 V, IEC 60309', 63, 3],
    ['125 A, 400 V, IEC 60309', 125, 3],
    ['CEE 16 A 110 V', 16, 1],
  ])('%s: %d A, %d phases', (printed, ratedA, phases) => {
    expect(of(printed)).toMatchObject({ ratedA, phases })
  })

  it('IEC 60309 has 16, 32, 63 and 125 A for 110, 230 and 400 V', () => {
    for (const volts of [110, 230, 400])
      expect(
        iec.outlets.filter(({ name }) => name.endsWith(`${volts} V, IEC 60309`)).map(({ ratedA }) => ratedA),
      ).toEqual([16, 32, 63, 125])
  })

  it('finds an American one as it is stamped, and not one of the other book', () => {
    expect(outletOf(northAmerican, '6-50R')).toMatchObject({ name: 'NEMA 6-50', ratedA: 50 })
    expect(outletOf(northAmerican, 'nema 14-50 receptacle')?.ratedA).toBe(50)
    expect(outletOf(northAmerican, 'CEE 7/4')).toBeNull()
    expect(of('NEMA 6-50')).toBeNull()
    expect(of('the grey one')).toBeNull()
  })

  it('is made for its own volts and phases: red for 400 V three-phase, blue for 230 V', () => {
    const red = of('CEE 16 A 400 V')
    const blue = of('CEE 16 A 230 V')
    const yellow = of('CEE 16 A 110 V')
    const takes = (outlet: typeof red, voltageV: number, phases: 1 | 3) =>
      outlet && isMadeFor(outlet, { voltageV, phases })
    expect([takes(red, 400, 3), takes(red, 230, 1), takes(red, 400, 1)]).toEqual([true, false, false])
    expect([takes(blue, 230, 1), takes(blue, 220, 1), takes(blue, 110, 1)]).toEqual([true, true, false])
    expect([takes(yellow, 110, 1), takes(yellow, 230, 1)]).toEqual([true, false])
    const small = outletOf(northAmerican, '5-20')
    expect([takes(small, 120, 1), takes(small, 240, 1)]).toEqual([true, false])
  })

  it('the next one that serves: 20 A at 230 V takes 32 A, at 400 V as well', () => {
    expect(smallestOutlet(iec, 20, { voltageV: 230, phases: 1 })?.ratedA).toBe(32)
    expect(smallestOutlet(iec, 20, { voltageV: 400, phases: 3 })?.name).toBe('32 A, 400 V, IEC 60309')
    expect(smallestOutlet(iec, 16, { voltageV: 400, phases: 3 })?.ratedA).toBe(16)
    expect(smallestOutlet(iec, 200, { voltageV: 400, phases: 3 })).toBeNull()
  })

  it('a plug has terminals for so much (IEC 60309-1, table 3): 2.5 mm² at 16 A, 6 at 32, 16 at 63', () => {
    const most = (printed: string) => of(printed)?.cordMostMm2
    expect([most('CEE 16 A 400 V'), most('CEE 32 A 400 V'), most('63 A, 400 V, IEC 60309')]).toEqual([
      2.5, 6, 16,
    ])
  })
})

describe('gG fuses (IEC 60269-1)', () => {
  it('carry 1.25 times their rating, melt at 1.6', () => {
    expect(iec.breaker('gg')).toBe(IEC_60269_GG)
    expect(heldWithoutEndA(circuit({ breakerKind: 'gg' }), iec.breaker('gg'), r)).toBeCloseTo(20, 9)
    expect(storesOf(IEC_60269_GG, 16).late.tripsAt).toBe(1.6)
  })

  it.each([
    // Gates: the current that may not melt it within 10 s.
    [16, 33],
    [20, 42],
    [25, 52],
    [32, 75],
    [40, 95],
    [50, 125],
    [63, 160],
    [100, 290],
  ])('%d A: %d A does not melt the earliest within 10 s', (ratingA, currentA) => {
    const { tripsAt, constantS } = storesOf(IEC_60269_GG, ratingA).early
    const meltsAfterS = -constantS * Math.log(1 - (tripsAt / (currentA / ratingA)) ** 2)
    expect(meltsAfterS).toBeGreaterThan(10 - 1e-9)
  })

  it('have no magnet that an inrush could throw', () => {
    expect(iec.breaker('gg').magnetic).toBeNull()
  })
})

describe('remarks', () => {
  it('outlets to 32 A want a residual current device (411.3.3), a larger one or a wired machine does not', () => {
    expect(iec.remarks(circuit({ outlet: 'CEE 7/4' }), [])).toEqual(['residual-current'])
    expect(iec.remarks(circuit({ outlet: '63 A, 400 V, IEC 60309', breakerA: 63 }), [])).toEqual([])
    expect(iec.remarks(circuit({}), [])).toEqual([])
  })

  it('a breaker above of less than 1.6 times may go first', () => {
    expect(iec.remarks(circuit({ breakerA: 32 }), [{ breakerA: 50 }])).toEqual(['discrimination'])
    expect(iec.remarks(circuit({ breakerA: 32 }), [{ breakerA: 63 }])).toEqual([])
  })
})

it('a cable for a breaker of 16 A three-phase is 2.5 mm² in conduit, of 32 A 6 mm² (usual in every workshop)', () => {
  const smallest = (breakerA: number) => smallestConductor(iec, breakerA, circuit({ phases: 3 }))
  expect([smallest(16), smallest(32), smallest(63)]).toEqual(['2.5 mm²', '6 mm²', '25 mm²'])
})
