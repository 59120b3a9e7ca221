import type { Notation } from '../quantity/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Joint, jointSchema } from '../kinds/job.ts'
import { newJoint } from '../joints/newJoint.ts'
import { readDocument } from '../model/problems.ts'
import { demoShop, joint } from '../testing/samples.ts'
import { applyChange } from './applyChange.ts'
import { LINE_FIELDS, type LineField, printLineField, readLineField } from './lines.ts'
import { interpretRows, isHeadingRow, mapColumns, printTable, readTable, withUniqueIds } from './table.ts'
import * as pattern from './pattern.ts'
import type { TextRead } from './read.ts'
import * as size from './size.ts'
import * as text from './text.ts'
import { runs } from '../testing/runs.ts'

const IMPERIAL: Notation = { system: 'imperial', locale: 'en-US' }
const METRIC: Notation = { system: 'metric', locale: 'en-US' }

const message = (read: TextRead): string => (read.ok ? `read as ${read.understood}` : read.message)
const change = (read: TextRead): Partial<Joint> => {
  expect(message(read)).toMatch(/^read as/)
  return read.ok ? read.change : {}
}
/** Figures to a millionth: an inch is not a binary fraction of a millimetre. */
const near = (part: object) =>
  Object.fromEntries(
    Object.entries(part).map(([key, value]) => [
      key,
      typeof value === 'number' ? expect.closeTo(value, 6) : value,
    ]),
  )
const joints = demoShop().jobs.flatMap((job) => job.joints)

describe('both sides, CJP and PJP', () => {
  const fillet = joint({ legMm: 5 })
  const vee = joint({ kind: 'v', includedAngleDeg: 60, rootGapMm: 2 })
  const sized = (written: string, weld: Joint) => change(size.readSize(written, weld, IMPERIAL))
  it.each(['both sides', 'each side', '2 sides', 'b/s'])('a fillet “3/16 %s” is two', (words) => {
    expect(sized(`3/16 ${words}`, fillet)).toEqual(near({ legMm: 4.7625, legBMm: null, bothSides: true }))
    expect(sized(`3/16, ${words}`, fillet)).toMatchObject({ bothSides: true })
    expect(sized(words, fillet)).toEqual({ bothSides: true })
  })
  it('is gone where it is deleted', () => {
    expect(sized('3/16', { ...fillet, bothSides: true })).toMatchObject({ bothSides: false })
    expect(sized('gap 1/16', { ...vee, penetration: 'complete' })).toMatchObject({
      penetration: 'as-prepared',
    })
  })
  it.each([
    ['CJP', { penetration: 'complete' }],
    ['cjp, gap 1/8', { penetration: 'complete', rootGapMm: 3.175 }],
    ['gap 1/8, face 1/16 full pen', { penetration: 'complete', rootGapMm: 3.175, rootFaceMm: 1.5875 }],
    ['PJP', { penetration: 'partial' }],
    // A V in 1/4 in plate, welded 3/16 in deep, leaves 1/16 in.
    ['PJP 3/16', { penetration: 'partial', rootFaceMm: 1.5875 }],
    ['partial penetration', { penetration: 'partial' }],
  ])('a groove “%s”', (written, expected) => {
    expect(sized(written, vee)).toEqual(near(expected))
  })
  it('says where each belongs', () => {
    expect(message(size.readSize('3/16 CJP', fillet, IMPERIAL))).toMatch(/for a groove weld.*bevel 45/)
    expect(message(size.readSize('CJP both sides', vee, IMPERIAL))).toMatch(/for a fillet.*double V/)
    expect(message(text.readJoint('fillet CJP'))).toMatch(/for a groove weld/)
  })
  it('may be written with the joint', () => {
    expect(change(text.readJoint('V 60 CJP'))).toMatchObject({ kind: 'v', penetration: 'complete' })
    expect(change(text.readJoint('fillet both sides'))).toMatchObject({ kind: 'tee', bothSides: true })
  })
  it('prints as it reads', () => {
    for (const weld of [
      { ...fillet, legMm: 4.7625, bothSides: true },
      { ...vee, rootGapMm: 1.5875, penetration: 'complete' as const },
      { ...vee, rootGapMm: 0, penetration: 'partial' as const, rootFaceMm: 1.5875 },
    ]) {
      const blank = { ...weld, bothSides: false, penetration: 'as-prepared' as const }
      expect({ ...blank, ...sized(size.printSize(weld, IMPERIAL), blank) }).toEqual(near(weld))
    }
  })
  it('a groove of partial penetration has a root face, a quarter of the part where none is said', () => {
    const next = applyChange(vee, { penetration: 'partial' })
    expect(next).toMatchObject({ ok: true, joint: { rootFaceMm: vee.thicknessAMm / 4 } })
    expect(applyChange({ ...vee, penetration: 'complete' }, { kind: 'tee' })).toMatchObject({
      ok: true,
      joint: { penetration: 'as-prepared' },
    })
  })
})

describe('what people write in a weld line', () => {
  it.each([
    ['4 x 18 in', { count: 4, lengthMm: 457.2 }],
    ['4 × 18', { count: 4, lengthMm: 457.2 }],
    ['12 @ 2 ft', { count: 12, lengthMm: 609.6 }],
    ['18 in', { count: 1, lengthMm: 457.2 }],
    ['2x450 mm', { count: 2, lengthMm: 450 }],
    ['6 x round', { count: 6 }],
    // As people write it on a list; common practice, no source.
    ['3 at 6"', { count: 3, lengthMm: 152.4 }],
    ['8 ea 3in', { count: 8, lengthMm: 76.2 }],
    ['8 ea. 3 in', { count: 8, lengthMm: 76.2 }],
    ['6" long', { count: 1, lengthMm: 152.4 }],
    ['4 x 6 in lg', { count: 4, lengthMm: 152.4 }],
    ['(3) 12', { count: 3, lengthMm: 304.8 }],
    ['2 pcs 12 in', { count: 2, lengthMm: 304.8 }],
  ])('welds “%s”', (written, expected) => {
    expect(change(text.readWelds(written, IMPERIAL))).toEqual(near(expected))
  })

  it.each([
    ['T', { kind: 'tee', around: false }],
    ['lap', { kind: 'lap', around: false }],
    ['V 60', { kind: 'v', around: false, includedAngleDeg: 60 }],
    ['double bevel 45°', { kind: 'double-bevel', around: false, includedAngleDeg: 45 }],
    ['tube to plate', { kind: 'tee', around: true }],
    ['girth', { kind: 'square', around: true }],
    ['branch', { kind: 'saddle', around: false }],
    ['butt weld', { kind: 'square', around: false }],
    ['V-groove', { kind: 'v', around: false }],
    ['V-groove 60', { kind: 'v', includedAngleDeg: 60 }],
    ['single bevel groove weld', { kind: 'bevel', around: false }],
    ['Double-V butt', { kind: 'double-v', around: false }],
    ['T-joint fillet', { kind: 'tee', around: false }],
    ['fillet weld', { kind: 'tee', around: false }],
    ['lap fillet', { kind: 'lap', around: false }],
    ['flare bevel groove', { kind: 'flare-bevel', around: false }],
    ['tube to plate fillet', { kind: 'tee', around: true }],
  ])('joint “%s”', (written, expected) => {
    expect(change(text.readJoint(written))).toMatchObject(expected)
  })

  const steel = joint()
  it.each([
    ['3/16 to 1/4', { thicknessAMm: 4.7625, thicknessBMm: 6.35, materialA: 'hot-rolled' }],
    ['14 ga 304', { thicknessAMm: 0.0781 * 25.4, materialA: 'stainless-304', materialB: 'stainless-304' }],
    ['16 ga 304 to 1/4 steel', { materialA: 'stainless-304', materialB: 'hot-rolled', thicknessBMm: 6.35 }],
    ['1/8 6061 to 1/4', { materialA: 'aluminium-6061', materialB: 'aluminium-6061', thicknessBMm: 6.35 }],
    [
      '1-1/2 in sch 40 316L',
      { thicknessAMm: 0.145 * 25.4, diameterMm: 1.9 * 25.4, materialA: 'stainless-316' },
    ],
    [
      '2 sch 10 to 3/8 304',
      {
        thicknessAMm: 0.109 * 25.4,
        diameterMm: 2.375 * 25.4,
        thicknessBMm: 9.525,
        materialB: 'stainless-304',
      },
    ],
    ['3 mm galv', { thicknessAMm: 3, materialA: 'galvanised' }],
    ['3/16 plate', { thicknessAMm: 4.7625, materialA: 'hot-rolled' }],
    ['#10', { thicknessAMm: 0.1345 * 25.4 }],
    ['# 10 sheet to 1/4 plate', { thicknessAMm: 0.1345 * 25.4, thicknessBMm: 6.35 }],
    ['1.5 sch 40', { thicknessAMm: 0.145 * 25.4, diameterMm: 1.9 * 25.4 }],
    ['1-1/2 in sch 40 pipe', { thicknessAMm: 0.145 * 25.4, diameterMm: 1.9 * 25.4 }],
    ['0.75 sch 10s pipe 304', { thicknessAMm: 0.083 * 25.4, materialA: 'stainless-304' }],
    ['2x2x1/8 tube', { thicknessAMm: 3.175, thicknessBMm: 3.175 }],
    ['L2x2x1/4', { thicknessAMm: 6.35 }],
    ['2 x 2 x 11 ga square tubing to 1/4', { thicknessAMm: 0.1196 * 25.4, thicknessBMm: 6.35 }],
    ['50x50x3 mm tube', { thicknessAMm: 3 }],
    ['L 1-1/2 x 1-1/2 x 3/16 in angle 6061', { thicknessAMm: 4.7625, materialA: 'aluminium-6061' }],
    ['1/4 x 2 flat bar', { thicknessAMm: 6.35, thicknessBMm: 6.35 }],
    ['2 x 1/4 in flat bar 304', { thicknessAMm: 6.35, materialA: 'stainless-304' }],
    ['1/4 6061-T6', { thicknessAMm: 6.35, materialA: 'aluminium-6061' }],
    // American Standard channel, AISC Manual, table of dimensions (from memory): flange 0.296 in, web 0.184 in.
    ['C4x5.4', { thicknessAMm: 0.296 * 25.4 }],
    ['c4 x 5.4 web', { thicknessAMm: 0.184 * 25.4 }],
    ['1.5 OD x .065', { thicknessAMm: 0.065 * 25.4, diameterMm: 38.1 }],
    [
      '1-1/2 in OD x 0.065 in wall tube 4130',
      { thicknessAMm: 1.651, diameterMm: 38.1, materialA: 'chrome-moly' },
    ],
    ['4130 .065', { thicknessAMm: 0.065 * 25.4, materialA: 'chrome-moly' }],
    ['304L 1/8 to 1/4', { thicknessAMm: 3.175, thicknessBMm: 6.35, materialA: 'stainless-304' }],
    ['1/4 AR500', { thicknessAMm: 6.35, materialA: 'quenched-tempered' }],
  ])('parts “%s”', (written, expected) => {
    expect(change(text.readParts(written, steel, IMPERIAL))).toMatchObject(near(expected))
  })

  it.each([
    ['3/16', { legMm: 4.7625, legBMm: null }],
    ['1/4 x 3/8', { legMm: 6.35, legBMm: 9.525 }],
    ['3/16 leg', { legMm: 4.7625, legBMm: null }],
    ['3/16 fillet', { legMm: 4.7625, legBMm: null }],
    ['0,25 in', { legMm: 6.35, legBMm: null }],
  ])('leg “%s”', (written, expected) => {
    expect(change(size.readSize(written, steel, IMPERIAL))).toEqual(near(expected))
  })
  it.each([
    ['4,5', 4.5, null],
    ['5,5', 5.5, null],
    ['3,5 mm', 3.5, null],
    ['3,5 x 4,5', 3.5, 4.5],
    ['3,5 x 4,5 mm', 3.5, 4.5],
    ['3.5mm x 4.5mm', 3.5, 4.5],
  ])('a comma between figures is a decimal comma: leg “%s”', (written, legMm, legBMm) => {
    for (const locale of ['de-DE', 'fr-FR', 'en-GB'] as const)
      expect(change(size.readSize(written, steel, { system: 'metric', locale }))).toEqual(
        near({ legMm, legBMm }),
      )
  })
  it('a unit behind the second leg is that of both, whatever the shop measures in', () => {
    expect(change(size.readSize('3,5 x 4,5 mm', steel, IMPERIAL))).toEqual(near({ legMm: 3.5, legBMm: 4.5 }))
    expect(change(size.readSize('1/4 x 3/8 in', steel, METRIC))).toEqual(near({ legMm: 6.35, legBMm: 9.525 }))
    expect(change(size.readSize('6 mm x 1/4 in', steel, METRIC))).toEqual(near({ legMm: 6, legBMm: 6.35 }))
  })
  it('what is printed of a size is read back, in every locale (property)', () => {
    const tenths = fc.integer({ min: 10, max: 200 }).map((one) => one / 10)
    const locales = fc.constantFrom('en-US', 'en-GB', 'de-DE', 'fr-FR')
    const systems = fc.constantFrom('metric', 'imperial')
    fc.assert(
      fc.property(tenths, tenths, fc.boolean(), locales, systems, (one, other, isFillet, locale, system) => {
        const notation = { system, locale } as Notation
        const weld = isFillet
          ? joint({ legMm: one, legBMm: other })
          : joint({ kind: 'v', legMm: null, rootGapMm: one, rootFaceMm: other, reinforcementMm: one })
        const back = { ...weld, ...change(size.readSize(size.printSize(weld, notation), weld, notation)) }
        expect(back.legMm ?? 0).toBeCloseTo(weld.legMm ?? 0, 2)
        expect(back.legBMm ?? back.legMm ?? 0).toBeCloseTo(weld.legBMm ?? 0, 2)
        expect(back.rootGapMm).toBeCloseTo(weld.rootGapMm, 2)
        expect(back.rootFaceMm).toBeCloseTo(weld.rootFaceMm, 2)
      }),
      { numRuns: runs(100) },
    )
  })
  it('sizes of a groove are named', () => {
    const groove = joint({ kind: 'v', legMm: null, includedAngleDeg: 60 })
    expect(change(size.readSize('gap 3/32, face 1/16, cap 1/16', groove, IMPERIAL))).toEqual(
      near({ rootGapMm: 2.38125, rootFaceMm: 1.5875, reinforcementMm: 1.5875 }),
    )
    expect(message(size.readSize('3/32', groove, IMPERIAL))).toContain('enter which size')
  })

  it.each([
    ['2F', 'horizontal'],
    ['3g', 'vertical-up'],
    ['oh', 'overhead'],
    ['flat', 'flat'],
    ['4F', 'overhead'],
    ['PA', 'flat'],
    ['PB', 'horizontal'],
    ['PC', 'horizontal'],
    ['PD', 'overhead'],
    ['PE', 'overhead'],
    ['PF', 'vertical-up'],
    ['PG', 'vertical-down'],
    ['PH', 'vertical-up'],
    ['PJ', 'vertical-down'],
    ['5G', 'vertical-up'],
    ['6g', 'vertical-up'],
    ['downhill', 'vertical-down'],
    ['uphill', 'vertical-up'],
  ])('position “%s”', (written, position) => {
    expect(change(text.readPosition(written))).toEqual({ position })
  })

  it.each([
    ['', { pattern: 'continuous', segmentMm: null, pitchMm: null }],
    ['2-6', { pattern: 'intermittent', segmentMm: 50.8, pitchMm: 152.4 }],
    ['50-150 mm staggered', { pattern: 'staggered', segmentMm: 50, pitchMm: 150 }],
    ['1.5 in @ 4 in', { pattern: 'intermittent', segmentMm: 38.1, pitchMm: 101.6 }],
    ['stitch 2-6', { pattern: 'intermittent', segmentMm: 50.8, pitchMm: 152.4 }],
    ['3 on 12', { pattern: 'intermittent', segmentMm: 76.2, pitchMm: 304.8 }],
  ])('pattern “%s”', (written, expected) => {
    expect(change(pattern.readPattern(written, IMPERIAL))).toEqual(near(expected))
  })

  it.each([
    [text.readWelds('0 x 18 in', IMPERIAL), 'from 1 to 100000'],
    [text.readWelds('4 x', IMPERIAL), '4 x 18 in'],
    [text.readJoint('nail'), 'not a known joint'],
    [text.readJoint('V 180'), 'between 0 and 180'],
    [text.readJoint('T 45'), 'has no angle'],
    [text.readParts('14 ga 304 to', steel, IMPERIAL), 'the other part is missing'],
    [text.readParts('2 sch 33 304', steel, IMPERIAL), 'no schedule 33'],
    [text.readParts('7 sch 40', steel, IMPERIAL), 'no nominal size 7'],
    [text.readParts('2 ga 304', steel, IMPERIAL), 'has no 2 ga'],
    [text.readPosition('sideways'), '1F to 6G'],
    [text.readWelds('4', IMPERIAL), '4 welds, or 4 in?'],
    [text.readWelds('400', METRIC), '400 welds, or 400 mm?'],
    [text.readWelds('4 x', METRIC), '4 x 450 mm'],
    [text.readWelds('3 x 0.1 mm', METRIC), 'below the minimum of 0.5 mm. Enter for example 4 x 450 mm.'],
    [text.readJoint('groove'), 'not a known joint'],
    [pattern.readPattern('6-2', IMPERIAL), 'shorter than its weld'],
    [pattern.readPattern('often', IMPERIAL), '2-6'],
  ])('%#: says what to write', (read, words) => {
    expect(message(read)).toContain(words)
  })

  it('prints what it reads back to the same, for every weld of the demo, in either unit', () => {
    for (const one of joints) {
      for (const system of [IMPERIAL, METRIC]) {
        const again = [
          text.readWelds(text.printWelds(one, system), system),
          text.readJoint(text.printJoint(one)),
          text.readParts(text.printParts(one, system), one, system),
          size.readSize(size.printSize(one, system), one, system),
          pattern.readPattern(pattern.printPattern(one, system), system),
        ].reduce<Joint>((sum, read) => ({ ...sum, ...change(read) }), one)
        expect(again.kind).toBe(one.kind)
        expect(again.materialB).toBe(one.materialB)
        // The print rounds to what a rule can measure.
        expect(again.thicknessAMm).toBeCloseTo(one.thicknessAMm, 2)
        expect(again.lengthMm).toBeCloseTo(one.lengthMm, 0)
        expect(again.pitchMm ?? 0).toBeCloseTo(one.pitchMm ?? 0, 0)
        expect(again.legMm ?? 0).toBeCloseTo(one.legMm ?? 0, 2)
      }
    }
  })

  it('says of a pipe that is not turned how it is judged', () => {
    expect(message(text.readPosition('6G'))).toContain('round a fixed pipe: judged as vertical up')
    expect(message(text.readPosition('2G'))).toBe('read as horizontal')
  })

  it('echoes a gauge as a gauge, and what is no gauge of its metal in inches', () => {
    const parts = (written: string, system = IMPERIAL) => message(text.readParts(written, steel, system))
    expect(parts('14 ga to 1/4')).toContain('14 ga')
    expect(parts('0.0747')).toContain('14 ga')
    expect(parts('0.08')).toContain('0.08 in')
    expect(parts('16 ga 304')).toContain('1/16 in 304')
    expect(parts('14 ga', METRIC)).toContain('1.897 mm')
  })

  it('metric and imperial entry give the same weld', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 96 }),
        fc.integer({ min: 1, max: 48 }),
        fc.integer({ min: 1, max: 400 }),
        (thirtySeconds, legs, tenths) => {
          const [t, z, l] = [thirtySeconds / 32 + 0.1, legs / 32 + 0.05, tenths / 10 + 0.1]
          const inch = (inches: number) => `${inches} in`
          const metric = (inches: number) => `${inches * 25.4} mm`
          const entered = (write: (inches: number) => string, system: Notation) =>
            [
              text.readWelds(`3 x ${write(l)}`, system),
              text.readParts(`${write(t)} 304`, steel, system),
              size.readSize(write(z), steel, system),
            ].map(change)
          expect(entered(metric, METRIC)).toEqual(entered(inch, IMPERIAL).map(near))
        },
      ),
    )
  })

  it('never throws', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 40 }), (written) => {
        const reads = [
          text.readWelds(written, IMPERIAL),
          text.readJoint(written),
          text.readParts(written, steel, METRIC),
          size.readSize(written, steel, METRIC),
          text.readPosition(written),
          pattern.readPattern(written, METRIC),
        ]
        return reads.every((one) => (one.ok ? one.understood : one.message) !== '')
      }),
      { numRuns: runs(300) },
    )
  })
})

const table = (rows: readonly (readonly string[])[]) => {
  const [headings = [], ...cells] = rows
  return readTable(cells, mapColumns(headings), IMPERIAL)
}

describe('a weld list as a table', () => {
  it('every weld of the demo comes back the same, to the last digit', () => {
    expect(table(printTable(joints)).map((row) => row.joint)).toEqual(joints)
  })

  it.each(['en-US', 'de-DE', 'fr-FR', 'sv-SE'] as const)(
    'a shop in %s reads a file as the file writes it',
    (locale) => {
      const rows = [
        ['a', '4,5', '1.4301'],
        ['b', '12', ''],
      ]
      const read = (cells: readonly (readonly string[])[]) =>
        readTable(cells, mapColumns(['id', 'thickness A (mm)', 'material A']), {
          system: 'metric',
          locale,
        }).map(({ joint: one, problems }) => one?.thicknessAMm ?? problems[0]?.message)
      expect(read(rows)).toEqual([4.5, 12])
      expect(
        read([
          ['a', '4.763', ''],
          ['b', '12.5', ''],
        ]),
      ).toEqual([4.763, 12.5])
      expect(
        read([
          ['a', '4,763', ''],
          ['b', '12,5', ''],
        ]),
      ).toEqual([4.763, 12.5])
      expect(read([['a', '4,763', '']])[0]).toContain('4,763')
    },
  )

  it('any valid weld comes back the same', () => {
    const numbers = fc.double({ min: 0.6, max: 30, noNaN: true })
    fc.assert(
      fc.property(
        numbers,
        numbers,
        fc.constantFrom(...joints),
        fc.integer({ min: 1, max: 999 }),
        (a, b, one, count) => {
          const changed = {
            ...one,
            thicknessAMm: a + 3,
            thicknessBMm: b + 3,
            legMm: one.legMm === null ? null : 2.5,
            count,
            lengthMm: a * b,
          }
          if (!readDocument(jointSchema, changed).ok) return true
          return JSON.stringify(table(printTable([changed]))[0]?.joint) === JSON.stringify(changed)
        },
      ),
    )
  })

  it('maps other people’s headings and takes their units', () => {
    const [row] = table([
      ['Qty', 'Weld length [in]', 'Thk_mm', 'Weld size (in)', 'Material', 'Remarks'],
      ['4', '18', '6', '3/16', '304', 'see drawing'],
    ])
    expect(row?.joint).toMatchObject(
      near({
        count: 4,
        lengthMm: 457.2,
        thicknessAMm: 6,
        thicknessBMm: 6,
        legMm: 4.7625,
        materialA: 'stainless-304',
        materialB: 'stainless-304',
      }),
    )
    expect(mapColumns(['Remarks', 'Qty', 'Qty'])).toEqual([
      { heading: 'Remarks', key: null, unit: '' },
      { heading: 'Qty', key: 'count', unit: '' },
      { heading: 'Qty', key: null, unit: '' },
    ])
  })

  it('a gauge is read in the row’s own metal', () => {
    const row = (material: string) =>
      table([
        ['thickness', 'material', 'length'],
        ['14 ga', material, '10 in'],
      ])[0]?.joint?.thicknessAMm
    expect(row('304')).toBeCloseTo(0.0781 * 25.4, 9)
    expect(row('6061')).toBeCloseTo(0.0641 * 25.4, 9)
  })

  it('a row that cannot enter says which cell and what to write; the others are read', () => {
    const rows = table([
      ['count', 'length (in)', 'thickness (mm)', 'joint'],
      ['4', '18', '6', 'T'],
      ['four', '18', '6', 'T'],
      ['4', '18', '-6', 'nail'],
      ['4', '1e9', '6', 'T'],
    ])
    expect(rows.map(({ joint: one }) => one !== null)).toEqual([true, false, false, false])
    expect(rows[1]?.problems).toEqual([
      { field: 'count', column: 0, message: 'is “four”. Enter a plain number' },
    ])
    expect(rows[2]?.problems.map(({ field, column }) => [field, column])).toEqual([
      ['joint', 3],
      ['thickness A', 2],
    ])
    expect(rows[3]?.problems[0]?.message).toContain('above the maximum')
  })

  it('a rule across cells names its cell too', () => {
    const [row] = table([
      ['joint', 'thickness (mm)', 'angle'],
      ['bevel', '6', '95'],
    ])
    expect(row?.problems[0]).toMatchObject({ field: 'angle', column: 2 })
  })

  it('formulas of a spreadsheet are text and nothing else', () => {
    const [row] = table([
      ['count', 'joint'],
      ['=1+1', "'=cmd|' /C calc'!A0"],
    ])
    expect(row?.joint).toBeNull()
    expect(row?.problems).toHaveLength(2)
  })

  it('ten thousand columns and empty rows do no harm', () => {
    const wide = Array.from({ length: 10_000 }, (_, index) => `c${index}`)
    expect(mapColumns(wide).length).toBeLessThanOrEqual(200)
    expect(table([wide, wide])[0]?.joint).toEqual({ ...newJoint('w1'), legMm: 3.175 })
  })

  // Common practice, no source: a list as it is written on a pad, or copied out of a spreadsheet.
  const PAD = [
    ['4 x 6 in', 'T', '1/4', '3/16', '2F'],
    ['2 @ 12', 'lap', '11 ga to 1/4', '1/8 both sides', 'flat'],
    ['1 x round', 'girth', '1-1/2 in sch 10 316L', '', 'flat'],
  ]
  it('a list without headings is weld lines, its first row as well', () => {
    const { mapping, rows, hasHeadings } = interpretRows(PAD, IMPERIAL)
    expect(hasHeadings).toBe(false)
    expect(mapping.map(({ key }) => key)).toEqual(['Welds', 'Joint', 'Parts', 'Size', 'Position'])
    const welds = readTable(rows, mapping, IMPERIAL).map((row) => row.joint)
    expect(welds[0]).toMatchObject(near({ count: 4, lengthMm: 152.4, kind: 'tee', legMm: 4.7625 }))
    expect(welds[1]).toMatchObject(near({ count: 2, legMm: 3.175, bothSides: true, position: 'flat' }))
    expect(welds[2]).toMatchObject({ kind: 'square', around: true, materialA: 'stainless-316' })
  })
  it('finds the fields of a list in another order, or with some of them', () => {
    const fields = (rows: string[][]) => interpretRows(rows, IMPERIAL).mapping.map(({ key }) => key)
    expect(fields([['T', '1/4', '3/16', '4 x 6 in']])).toEqual(['Joint', 'Parts', 'Size', 'Welds'])
    expect(fields([['4 x 6 in', '1/4 304', '3/16']])).toEqual(['Welds', 'Parts', 'Size'])
    expect(fields([['2 x 12', 'V 60', '3/8', 'CJP, gap 3/32']])).toEqual(['Welds', 'Joint', 'Parts', 'Size'])
    expect(fields([['4 x 6 in', '“for the gate”', 'T']])).toEqual(['Welds', null, 'Joint'])
  })
  it('takes headings for headings', () => {
    expect(
      interpretRows(
        [
          ['Qty', 'Length (in)'],
          ['4', '6'],
        ],
        IMPERIAL,
      ),
    ).toMatchObject({
      hasHeadings: true,
      rows: [['4', '6']],
    })
    // Of another language: the columns are chosen by hand.
    expect(
      interpretRows(
        [
          ['Anzahl', 'Naht'],
          ['4', '6'],
        ],
        IMPERIAL,
      ),
    ).toMatchObject({ hasHeadings: true })
    expect(mapColumns(['Qty', 'Length', 'Parts']).map(({ key }) => key)).toEqual([
      'count',
      'lengthMm',
      'Parts',
    ])
    expect(isHeadingRow(['4 x 6 in', 'T'])).toBe(false)
    expect(isHeadingRow(['(3) 12', 'T'])).toBe(false)
    expect(isHeadingRow(['.065', 'T'])).toBe(false)
  })
  it('keeps the good rows beside one that is not understood, which says where', () => {
    const list = [...PAD, ['3 x 6 in', 'nail', '1/4', '1/8', 'flat']]
    const { mapping, rows } = interpretRows(list, IMPERIAL)
    const read = readTable(rows, mapping, IMPERIAL)
    expect(read.map((row) => row.joint !== null)).toEqual([true, true, true, false])
    expect(read[3]?.problems).toMatchObject([
      { field: 'Joint', column: 1, message: expect.stringMatching(/nail/) },
    ])
  })
  it('a leg that nobody wrote is that of the thinner part', () => {
    const { mapping, rows } = interpretRows([['4 x 6 in', 'T', '1/4 to 3/8']], IMPERIAL)
    expect(readTable(rows, mapping, IMPERIAL)[0]?.joint?.legMm).toBeCloseTo(6.35, 6)
  })
  it('reads what a weld line prints, of every weld of the demo', () => {
    for (const one of joints) {
      const cells = [LINE_FIELDS.map((field) => printLineField(field, one, IMPERIAL))]
      const mapping = LINE_FIELDS.map((key) => ({ heading: key, key, unit: '' }))
      const [row] = readTable(cells, mapping, IMPERIAL)
      expect(row?.problems, cells[0]?.join(' | ')).toEqual([])
      expect(LINE_FIELDS.map((field) => printLineField(field, row?.joint as Joint, IMPERIAL))).toEqual(
        cells[0],
      )
    }
  })
  it('the leg of a new weld follows its parts until somebody types one', () => {
    const fresh = newJoint('w')
    const typed = (field: LineField, written: string, weld: Joint, isUnsized: boolean): Joint => {
      const next = readLineField(field, written, weld, IMPERIAL, isUnsized)
      if (!next.ok) throw new Error(next.message)
      return next.joint
    }
    expect(typed('Parts', '3/16 to 1/4', fresh, true).legMm).toBeCloseTo(4.7625, 6)
    expect(typed('Parts', '3/16 to 1/4', fresh, false).legMm).toBe(3.175)
    expect(typed('Size', '1/4', fresh, true).legMm).toBeCloseTo(6.35, 6)
    expect(typed('Joint', 'V 60', fresh, true).legMm).toBeNull()
  })

  it('ids are made unique', () => {
    const ids = withUniqueIds([newJoint('w1'), newJoint('w1'), newJoint('w2')], ['w2']).map(({ id }) => id)
    expect(ids).toEqual(['w1', 'w1-2', 'w2-2'])
  })
})

describe('a text longer than anybody writes', () => {
  const readers: Readonly<Record<string, (written: string) => TextRead>> = {
    readWelds: (written) => text.readWelds(written, IMPERIAL),
    readJoint: text.readJoint,
    readParts: (written) => text.readParts(written, joint(), IMPERIAL),
    readPosition: text.readPosition,
    readPattern: (written) => pattern.readPattern(written, IMPERIAL),
    readSize: (written) => size.readSize(written, joint(), IMPERIAL),
  }
  it.each(Object.entries(readers))(
    '%s says how long it may be, and does not look into it',
    (_name, reader) => {
      // Ten million characters: a pattern that went back and forth in it would not end.
      for (const piece of ['1', '1/2 ', '1 x ', 'in ', 'a ', ' ']) {
        const answer = reader(piece.repeat(10_000_000 / piece.length))
        expect(answer).toMatchObject({ ok: false, message: expect.stringContaining('Enter at most 200') })
      }
      expect(reader('x'.repeat(201))).toMatchObject({ message: expect.stringContaining('201 characters') })
      expect(reader('x'.repeat(200))).not.toMatchObject({ message: expect.stringContaining('at most') })
    },
  )
})
