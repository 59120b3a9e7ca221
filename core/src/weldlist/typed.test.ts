/**
 * What people type in a weld line, letter by letter: blanks where they may be left out, words around a figure, and what is
 * refused with its remedy. Common practice, no source, but where one is named.
 */
import { describe, expect, it } from 'vitest'
import type { Joint } from '../kinds/job.ts'
import type { Notation } from '../quantity/units.ts'
import { joint } from '../testing/samples.ts'
import { applyChange } from './applyChange.ts'
import { printPattern, readPattern } from './pattern.ts'
import type { TextRead } from './read.ts'
import { printSize, readSize } from './size.ts'
import { readSymbolText, symbolText, weldSymbolOf } from './symbol.ts'
import { interpretRows, mapColumns, readTable } from './table.ts'
import { printJoint, printParts, printWelds, readJoint, readParts, readPosition, readWelds } from './text.ts'
import { readLineField } from './lines.ts'
import { jointName, positionOf } from './words.ts'
import { POSITIONS } from '../model/jointKinds.ts'

const INCH: Notation = { system: 'imperial', locale: 'en-US' }
const MM: Notation = { system: 'metric', locale: 'en-GB' }
const tee = joint()
const change = (read: TextRead): Partial<Joint> | string => (read.ok ? read.change : read.message)
const refused = (read: TextRead): string => (read.ok ? 'read' : read.message)
const close = (expected: object): object =>
  Object.fromEntries(
    Object.entries(expected).map(([key, value]) => [
      key,
      typeof value === 'number' ? (expect.closeTo(value, 6) as unknown) : value,
    ]),
  )

describe('a pattern', () => {
  const stitch = { pattern: 'intermittent', segmentMm: 50.8, pitchMm: 152.4 }
  it.each([
    '2-6',
    '2 - 6',
    '2 in - 6 in',
    '2 @ 6',
    '2@6',
    '2 on 6',
    '2 In On 6 In',
    'stitch 2-6',
    'skip weld: 2-6',
    '2–6',
  ])('%s is two inches in six', (written) => {
    expect(change(readPattern(written, INCH))).toEqual(close(stitch))
  })
  it('takes the unit behind the second figure for both, and each its own where both have one', () => {
    expect(change(readPattern('50-150 mm', INCH))).toEqual(
      close({ pattern: 'intermittent', segmentMm: 50, pitchMm: 150 }),
    )
    expect(change(readPattern('2 in @ 150 mm', INCH))).toEqual(
      close({ pattern: 'intermittent', segmentMm: 50.8, pitchMm: 150 }),
    )
    // The last dash parts the two.
    expect(change(readPattern('1-1/2-6', INCH))).toMatchObject(close({ segmentMm: 38.1, pitchMm: 152.4 }))
  })
  it('is staggered where that is said, before or behind', () => {
    for (const written of ['2-6 staggered', '2-6 stag', 'Staggered 2-6', '2-6 z'])
      expect(change(readPattern(written, INCH)), written).toEqual(close({ ...stitch, pattern: 'staggered' }))
    expect(readPattern('2-6 staggered', INCH)).toMatchObject({
      understood: expect.stringMatching(/, staggered$/),
    })
    expect(readPattern('2-6', INCH)).not.toMatchObject({ understood: expect.stringContaining('staggered') })
  })
  it('by EN ISO 2553 has the gap in brackets: 5 x 50(100) is 250 mm of weld and four gaps', () => {
    expect(change(readPattern('50(100)', MM))).toEqual({
      pattern: 'intermittent',
      segmentMm: 50,
      pitchMm: 150,
    })
    expect(change(readPattern('5 x 50(100) staggered', MM))).toEqual({
      pattern: 'staggered',
      segmentMm: 50,
      pitchMm: 150,
      lengthMm: 650,
    })
    expect(change(readPattern('1x50(100)', MM))).toMatchObject({ lengthMm: 50 })
    expect(refused(readPattern('0 x 50(100)', MM))).toContain('at least one weld')
  })
  it('is refused where it is none, where a figure is none, and where the pitch is shorter than the weld', () => {
    for (const written of ['6', 'now and then', 'on 6', '@'])
      expect(refused(readPattern(written, INCH)), written).toContain('is not a pattern')
    expect(refused(readPattern('x-6', INCH))).toContain('x')
    expect(refused(readPattern('2-6 bananas', INCH))).not.toBe('read')
    expect(refused(readPattern('6-2', INCH))).toContain('Pitch is from middle to middle')
    expect(change(readPattern('6-6', INCH))).toMatchObject({ pattern: 'intermittent' })
    expect(refused(readPattern('50(x)', MM))).not.toBe('read')
    expect(refused(readPattern('x(50)', MM))).not.toBe('read')
  })
  it('is printed as it reads back, and as continuous where half of it is missing', () => {
    const of = (part: Partial<Joint>) =>
      printPattern({ ...tee, segmentMm: 50.8, pitchMm: 152.4, ...part }, INCH)
    expect(of({ pattern: 'intermittent' })).toBe('2 in @ 6 in')
    expect(of({ pattern: 'staggered' })).toBe('2 in @ 6 in staggered')
    expect(of({ pattern: 'continuous' })).toBe('continuous')
    expect(of({ pattern: 'intermittent', segmentMm: null })).toBe('continuous')
    expect(of({ pattern: 'intermittent', pitchMm: null })).toBe('continuous')
  })
})

describe('a size', () => {
  const groove = joint({ kind: 'v', legMm: null, thicknessAMm: 9.525, thicknessBMm: 9.525 })
  const plug = joint({ kind: 'plug', legMm: null, diameterMm: 12 })
  it.each(['1/4x3/8', '1/4 x 3/8', '1/4 x3/8', '1/4x 3/8', '1/4 X 3/8', '1/4 * 3/8', '1/4  ×  3/8'])(
    '%s is two legs',
    (written) => {
      expect(change(readSize(written, tee, INCH))).toEqual(close({ legMm: 6.35, legBMm: 9.525 }))
    },
  )
  it('of two equal legs is one, and of three none', () => {
    expect(change(readSize('1/4 x 1/4', tee, INCH))).toEqual(close({ legMm: 6.35, legBMm: null }))
    expect(refused(readSize('1/4 x 1/4 x 1/4', tee, INCH))).toContain('more than two legs')
    expect(refused(readSize('1/4 x banana', tee, INCH))).toContain('banana')
    expect(refused(readSize('', tee, INCH))).toContain('The leg is empty')
    // What cannot be read is named as it was written.
    for (const written of ['quux', '6x', '1/4 x', 'box'])
      expect(refused(readSize(written, tee, INCH))).toContain(`“${written}”`)
  })
  it('has the unit of the second leg for both where the first has none', () => {
    expect(change(readSize('6 x 8 mm', tee, INCH))).toEqual(close({ legMm: 6, legBMm: 8 }))
    expect(change(readSize('6 mm x 8 mm', tee, INCH))).toEqual(close({ legMm: 6, legBMm: 8 }))
    expect(change(readSize('1/4 x 3/8”', tee, MM))).toEqual(close({ legMm: 6.35, legBMm: 9.525 }))
  })
  it('of a groove says which size it is; a hole is read as a length', () => {
    expect(change(readSize('gap 3/32, face 1/16', groove, INCH))).toEqual(
      close({ rootGapMm: 2.38125, rootFaceMm: 1.5875 }),
    )
    expect(refused(readSize('3/32', groove, INCH))).toContain('enter which size it is')
    expect(refused(readSize('banana 3/32', groove, INCH))).toContain('gap 3/32')
    expect(refused(readSize('banana 3/32', tee, INCH))).toContain('1/4 x 3/8')
    expect(refused(readSize('gap banana', groove, INCH))).not.toBe('read')
    // More than any weld is thick: a hole and a slot may be so long.
    expect(change(readSize('hole 12 in', plug, INCH))).toEqual(close({ diameterMm: 304.8 }))
    const slot = joint({ kind: 'slot', legMm: null, diameterMm: 12, slotLengthMm: 40 })
    expect(change(readSize('long 20 in', slot, INCH))).toEqual(close({ slotLengthMm: 508 }))
    expect(refused(readSize('gap 20 in', groove, INCH))).not.toBe('read')
  })
  it('of partial penetration is its depth, no deeper than the part', () => {
    expect(change(readSize('PJP 3/16', groove, INCH))).toMatchObject(
      close({ penetration: 'partial', rootFaceMm: 9.525 - 4.7625 }),
    )
    expect(change(readSize('s 3/8', groove, INCH))).toEqual(close({ rootFaceMm: 0 }))
    expect(refused(readSize('s 0.5', groove, INCH))).toContain('the part is thinner')
  })
  it('by its throat is told with its leg, by its leg as it is', () => {
    expect(readSize('a 4', tee, MM)).toMatchObject({ understood: 'a 4 mm, z 5.66 mm' })
    expect(readSize('6', tee, MM)).toMatchObject({ understood: '6 mm' })
    expect(readSize('gap 2', { ...groove, legMm: 5.657 }, MM)).toMatchObject({
      understood: expect.not.stringContaining('z ') as string,
    })
    expect(printSize(joint({ legMm: 4.7625 }), INCH)).toBe('3/16 in')
  })
})

describe('welds', () => {
  it.each([
    ['(3) 12', { count: 3, lengthMm: 304.8 }],
    ['(3)12', { count: 3, lengthMm: 304.8 }],
    ['(12)  12', { count: 12, lengthMm: 304.8 }],
    ['4 x 6 long', { count: 4, lengthMm: 152.4 }],
    ['4 x 6  long', { count: 4, lengthMm: 152.4 }],
    ['6" lg.', { count: 1, lengthMm: 152.4 }],
    ['10 in LONG', { count: 1, lengthMm: 254 }],
  ])('%s', (written, expected) => {
    expect(change(readWelds(written, INCH))).toEqual(close(expected))
  })
  it('of no unit, of no length, or too many are refused with an example in the units of the shop', () => {
    expect(refused(readWelds('4', INCH))).toBe('“4”: 4 welds, or 4 in? Enter 4 x 18 in, or 4 in.')
    expect(refused(readWelds('4', MM))).toBe('“4”: 4 welds, or 4 mm? Enter 4 x 450 mm, or 4 mm.')
    expect(refused(readWelds('4 x', INCH))).toContain('the length is missing')
    expect(refused(readWelds('0 x 6 in', INCH))).toContain('must be from 1 to 100000')
    expect(refused(readWelds('100001 x 6 in', INCH))).toContain('must be from 1 to 100000')
    expect(change(readWelds('100000 x 6 in', INCH))).toMatchObject({ count: 100_000 })
    expect(change(readWelds('100000 x round', INCH))).toEqual({ count: 100_000 })
    expect(refused(readWelds('100001 x round', INCH))).not.toBe('read')
    expect(refused(readWelds('4 x banana', INCH))).toContain('4 x 18 in')
    expect(refused(readWelds('4 x banana', INCH))).not.toContain('4 ft')
  })
  it('round a tube, a hole or a slot have no length of their own', () => {
    const printed = (part: Partial<Joint>) => printWelds({ ...tee, count: 3, lengthMm: 254, ...part }, INCH)
    expect(printed({})).toBe('3 × 10 in')
    for (const part of [{ around: true }, { kind: 'saddle' }, { kind: 'plug' }, { kind: 'slot' }] as const)
      expect(printed(part), JSON.stringify(part)).toBe('3 × round')
  })
})

describe('a joint', () => {
  it.each([
    ['V 60', 60],
    ['V60', 60],
    ['V, 60', 60],
    ['V 60°', 60],
    ['V 60 deg', 60],
    ['V 60 degrees', 60],
    ['V 37.5', 37.5],
    ['V 37.55', 37.55],
    ['V 60  °', 60],
    ['V 1', 1],
    ['V 179', 179],
  ])('%s has its angle', (written, includedAngleDeg) => {
    expect(change(readJoint(written))).toEqual({ kind: 'v', around: false, includedAngleDeg })
  })
  it('without an angle has none, and one that cannot be is refused', () => {
    expect(change(readJoint('V'))).toEqual({ kind: 'v', around: false })
    for (const written of ['V 0', 'V 180', 'V 240'])
      expect(refused(readJoint(written)), written).toContain('between 0 and 180')
    expect(refused(readJoint('lap 60'))).toContain('has no angle')
    expect(refused(readJoint('60'))).toContain('is not a known joint')
    expect(refused(readJoint('V 60 banana'))).toContain('is not a known joint')
    expect(refused(readJoint(''))).toContain('The joint is empty')
    expect(readJoint('V 60')).toMatchObject({ understood: 'V butt, 60°' })
  })
  it('is printed with its angle where it is bevelled', () => {
    expect(printJoint(joint({ kind: 'v', includedAngleDeg: 60 }))).toBe('V butt 60')
    expect(printJoint({ ...joint({ kind: 'v' }), includedAngleDeg: null })).toBe('V butt')
    expect(printJoint({ ...tee, includedAngleDeg: 60 })).toBe('T-joint')
    expect(jointName({ kind: 'edge', around: true })).toBe('Edge')
  })
})

describe('parts', () => {
  const parts = (written: string, of = tee) => change(readParts(written, of, INCH))
  it('of a pipe are named by a nominal size, in decimals as well', () => {
    // ASME B36.10M: NPS 1-1/2 schedule 40 has a wall of 0.145 in.
    for (const written of [
      '1.5 sch 40',
      '1-1/2 sch 40',
      '1 1/2 sch 40',
      '1  1/2" sch. 40',
      'nps 1-1/2 schedule 40',
    ])
      expect(parts(written), written).toMatchObject(close({ thicknessAMm: 0.145 * 25.4 }))
    expect(refused(readParts('2.1 sch 40', tee, INCH))).toContain('there is no nominal size')
    expect(refused(readParts('2 sch 41', tee, INCH))).toContain('has no schedule')
    expect(refused(readParts('2 sch 40 banana', tee, INCH))).toContain('is not a metal')
    expect(parts('2 sch 40 pipe 304')).toMatchObject({ materialA: 'stainless-304' })
  })
  it('of a flat bar are its smaller figure, in either order and with one unit for both', () => {
    for (const written of [
      '1/4 x 2 flat bar',
      '2 x 1/4 flat bar',
      '2x1/4 in flat',
      '1/4x2 IN bar',
      '6.35 x 50 mm strip',
    ])
      expect(parts(written), written).toMatchObject(close({ thicknessAMm: 6.35 }))
    expect(parts('1/4 in x 50 mm flat bar')).toMatchObject(close({ thicknessAMm: 6.35 }))
  })
  it('of an angle or a tube are its wall', () => {
    for (const written of ['L2x2x1/8', '2 x 2 x 1/8 angle', 'hss 2x2x1/8', 'rhs 2x2x1/8'])
      expect(parts(written), written).toMatchObject(close({ thicknessAMm: 3.175 }))
    for (const written of ['a x 2 x 1/8', '2 x b x 1/8', '2 x 2 x'])
      expect(refused(readParts(written, tee, INCH)), written).not.toBe('read')
  })
  it('are two at most, the other metal of its own where it is named', () => {
    expect(refused(readParts('1/8 to 1/4 to 3/8', tee, INCH))).toContain('more than two parts')
    expect(refused(readParts('1/8 to', tee, INCH))).toContain('the other part is missing')
    expect(parts('1/8 304 to 1/4')).toMatchObject({ materialA: 'stainless-304', materialB: 'stainless-304' })
    expect(parts('1/8 to 1/4 304')).toMatchObject({ materialA: 'hot-rolled', materialB: 'stainless-304' })
    expect(refused(readParts('1/8 to banana', tee, INCH))).not.toBe('read')
    expect(refused(readParts('banana to 1/8', tee, INCH))).not.toBe('read')
  })
  it('are printed once where they are alike', () => {
    const printed = (part: Partial<Joint>) => printParts({ ...tee, ...part }, INCH)
    expect(printed({ thicknessAMm: 6.35, thicknessBMm: 6.35 })).not.toContain(' to ')
    expect(printed({ thicknessAMm: 3.175, thicknessBMm: 6.35 })).toMatch(/^1\/8 in \S.* to 1\/4 in$/)
    expect(printed({ materialB: 'stainless-304' })).toMatch(/ to 1\/4 in \S/)
  })
})

describe('a position', () => {
  it('of a pipe that is not turned says how it is judged', () => {
    for (const written of ['5G', '6GR', 'PH', 'PK', 'H-L045', 'HL045'])
      expect(readPosition(written), written).toMatchObject({
        understood: expect.stringContaining('round a fixed pipe') as string,
      })
    for (const written of ['3G', 'PF', 'vertical up'])
      expect(readPosition(written), written).toMatchObject({ understood: 'vertical up' })
    expect(refused(readPosition('sideways'))).toContain('is not a position')
  })
})

describe('the symbol', () => {
  it('of a plug has the size of its hole, and of a hole that nobody measured none', () => {
    const plug = joint({ kind: 'plug', legMm: null, diameterMm: 12.7 })
    expect(weldSymbolOf(plug, INCH, 'aws-a2.4').size).toBe('1/2')
    expect(weldSymbolOf({ ...plug, diameterMm: null }, INCH, 'aws-a2.4').size).toBe('')
    // The diameter of a tube is no size of its weld.
    expect(
      weldSymbolOf({ ...joint({ kind: 'v', legMm: null }), diameterMm: 12.7 }, INCH, 'aws-a2.4').size,
    ).toBe('')
  })
  it('of a fillet without a size has none, with unequal legs both', () => {
    expect(weldSymbolOf({ ...tee, legMm: null }, MM, 'iso-2553').size).toBe('')
    expect(weldSymbolOf({ ...tee, legMm: 6, legBMm: 8 }, MM, 'iso-2553').size).toBe('z6 × 8')
    expect(weldSymbolOf({ ...tee, legMm: 6, legBMm: 8 }, MM, 'aws-a2.4').size).toBe('6 × 8')
  })
  it('has length and pitch of a stitch alone, with its gap by ISO 2553, and says where it is staggered', () => {
    const of = (part: Partial<Joint>, standard: 'aws-a2.4' | 'iso-2553' = 'aws-a2.4') =>
      weldSymbolOf({ ...tee, segmentMm: 50, pitchMm: 150, ...part }, MM, standard)
    expect(of({ pattern: 'intermittent' })).toMatchObject({ length: '50-150', isStaggered: false })
    expect(of({ pattern: 'staggered' }, 'iso-2553')).toMatchObject({ length: '50 (100)', isStaggered: true })
    for (const part of [
      { pattern: 'continuous' as const },
      { pattern: 'intermittent' as const, segmentMm: null },
      { pattern: 'intermittent' as const, pitchMm: null },
    ])
      expect(of(part).length, JSON.stringify(part)).toBe('')
  })
  it('has a root opening where a groove has one, and no CJP where nobody asks for it', () => {
    const v = joint({ kind: 'v', legMm: null, rootGapMm: 0 })
    expect(weldSymbolOf(v, INCH, 'aws-a2.4')).toMatchObject({ rootOpening: '', tail: '' })
    expect(weldSymbolOf({ ...tee, rootGapMm: 2 }, INCH, 'aws-a2.4').rootOpening).toBe('')
  })
  it('is read part by part, and says which part it did not understand', () => {
    const read = readSymbolText(' V 60 ;; gap 1/8 ', tee, INCH)
    expect(read).toMatchObject({
      ok: true,
      change: close({ kind: 'v', includedAngleDeg: 60, rootGapMm: 3.175 }),
    })
    expect(refused(readSymbolText('T; 3/16; banana 2', tee, INCH))).toContain('banana')
    expect(refused(readSymbolText(';', tee, INCH))).toContain('The symbol is empty')
    // More than the part: the whole weld cannot be so.
    expect(refused(readSymbolText('V 60; face 20 in', tee, INCH))).not.toBe('read')
    const stitched = { ...tee, pattern: 'intermittent', segmentMm: 50.8, pitchMm: 152.4 } as const
    expect(symbolText(stitched, INCH)).toBe('T-joint; 3/16 in; 2 in @ 6 in')
    expect(symbolText(tee, INCH)).toBe('T-joint; 3/16 in')
  })
})

it('a change that cannot be names the column and what is wrong with it', () => {
  expect(applyChange(tee, { count: 0 })).toMatchObject({
    ok: false,
    message: expect.stringMatching(/^The (?!weld|undefined)\S.* must be /) as string,
  })
})

describe('a list that is pasted', () => {
  it('reads what hides behind an apostrophe, a gauge by the metal of its part, and cells that are not there', () => {
    const mapping = mapColumns([
      'id',
      'joint',
      'material A',
      'material B',
      'thickness A',
      'thickness B',
      'leg',
    ])
    const read = (cells: readonly string[]) => readTable([cells], mapping, INCH)[0]
    const keys = mapping.map(({ key }) => key)
    expect(keys).not.toContain(null)
    // 14 ga: 0.0747 in of steel, 0.0781 in of stainless, 0.0641 in of aluminium (manufacturers' standard and B&S gauges).
    const one = read(['w1', 'T', 'hot-rolled', 'stainless-304', '14 ga', '14 ga'])
    expect(one?.joint).toMatchObject(close({ thicknessAMm: 0.0747 * 25.4, thicknessBMm: 0.0781 * 25.4 }))
    const alike = read(['w1', 'T', 'aluminium-6061', '', '14 ga', '14 ga'])
    expect(alike?.joint).toMatchObject(
      close({ materialB: 'aluminium-6061', thicknessAMm: 0.0641 * 25.4, thicknessBMm: 0.0641 * 25.4 }),
    )
    expect(read(["'=w1", 'T', 'hot-rolled', '', '1/4'])?.problems).toEqual(
      read(['=w1', 'T', 'hot-rolled', '', '1/4'])?.problems,
    )
    expect(read([])?.joint).not.toBeNull()
  })
  it('is looked at as far as fifty rows tell what its columns hold', () => {
    const good = Array.from({ length: 50 }, () => ['4 x 6 in', 'T', '1/4'])
    const odd = Array.from({ length: 80 }, () => ['1/4', '4 x 6 in', 'T'])
    expect(interpretRows([...good, ...odd], INCH).mapping.map(({ key }) => key)).toEqual([
      'Welds',
      'Joint',
      'Parts',
    ])
    const wide = [Array.from({ length: 250 }, () => '1/4')]
    expect(interpretRows(wide, INCH).mapping).toHaveLength(200)
  })
})

it('a field that is typed keeps the size that was there, and lets a size that nobody typed follow the part', () => {
  const sized = joint({ legMm: 9 })
  const parts = (isUnsized?: boolean) => readLineField('Parts', '1/8', sized, INCH, isUnsized)
  const legOf = (read: ReturnType<typeof parts>) => (read.ok ? read.joint.legMm : read.message)
  expect(legOf(parts())).toBe(9)
  expect(legOf(parts(true))).not.toBe(9)
})
it('a position is known by the name that Brannik gives it', () => {
  for (const position of POSITIONS) {
    expect(positionOf(position)).toBe(position)
    expect(positionOf(position.replaceAll('-', ' '))).toBe(position)
  }
  expect(positionOf('sideways')).toBeNull()
})
it('a symbol of which a part is no figure is refused as a size is, and one that cannot be as the weld is', () => {
  const bad = readSize('wobble', tee, INCH)
  expect(refused(readSymbolText('T; wobble', tee, INCH))).toBe(refused(bad))
  expect(refused(bad)).toContain('wobble')
  const pitch = readPattern('2-6 wobble', INCH)
  expect(refused(pitch)).toContain('wobble')
  expect(refused(pitch)).not.toContain('not a pattern')
})
