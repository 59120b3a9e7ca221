/** Weld lines as drawings by EN ISO 2553, 6947 and EN 10220 to 10365 have them (from memory). */
import { describe, expect, it } from 'vitest'
import type { Joint } from '../kinds/job.ts'
import { POSITIONS } from '../model/jointKinds.ts'
import type { Notation } from '../quantity/index.ts'
import { joint } from '../testing/samples.ts'
import { examplesFor } from './examples.ts'
import { readPattern } from './pattern.ts'
import type { TextRead } from './read.ts'
import { printSize, readSize } from './size.ts'
import { readJoint, readParts, readPosition } from './text.ts'
import { printPosition } from './words.ts'

const MM: Notation = { system: 'metric', locale: 'de-DE' }
const INCH: Notation = { system: 'imperial', locale: 'en-US' }
const steel = joint()
const change = (read: TextRead): Partial<Joint> => {
  expect(read).toMatchObject({ ok: true })
  return read.ok ? read.change : {}
}
const understood = (read: TextRead): string => (read.ok ? read.understood : `refused: ${read.message}`)
const refused = (read: TextRead): string => (read.ok ? 'read' : read.message)

describe('fillets by throat and by leg', () => {
  // EN ISO 2553, 5.2: z = a · √2.
  it.each([
    ['a4', 5.657],
    ['a 4', 5.657],
    ['a 4 mm', 5.657],
    ['A3,5', 4.95],
    ['z6', 6],
    ['z 6', 6],
    ['s5', 7.071],
    ['6', 6],
  ])('%s is a leg of %f mm', (written, legMm) => {
    expect(change(readSize(written, steel, MM))['legMm']).toBeCloseTo(legMm, 3)
  })
  it('says both, prints the throat as it was typed, and reads that back', () => {
    const read = readSize('a4', steel, MM)
    expect(understood(read)).toBe('a 4 mm, z 5,66 mm')
    const sized = { ...steel, ...change(read) }
    expect(printSize(sized, MM)).toBe('a 4 mm')
    expect(change(readSize(printSize(sized, MM), sized, MM))['legMm']).toBeCloseTo(sized.legMm ?? 0, 9)
    expect(printSize({ ...steel, legMm: 6, legBMm: null }, MM)).toBe('6 mm')
    // A shop on inches is shown the leg.
    expect(printSize(sized, INCH)).not.toContain('a ')
  })
  it('of a groove s is its depth: what is left stands', () => {
    const groove = joint({ kind: 'v', thicknessAMm: 8, thicknessBMm: 8, legMm: null, rootFaceMm: 0 })
    expect(change(readSize('s5', groove, MM))).toEqual({ rootFaceMm: 3 })
    expect(change(readSize('s8, gap 2', groove, MM))).toEqual({ rootFaceMm: 0, rootGapMm: 2 })
    expect(refused(readSize('s9', groove, MM))).toContain('the part is thinner')
    expect(refused(readSize('a4', groove, MM))).toContain('sizes of a fillet')
    expect(refused(readSize('s5', joint({ kind: 'square', legMm: null }), MM))).toContain(
      'Enter root opening',
    )
  })
})

describe('joints by their letters', () => {
  it.each([
    ['HV', 'bevel'],
    ['HY', 'bevel'],
    ['Y', 'v'],
    ['DV', 'double-v'],
    ['DHV', 'double-bevel'],
    ['K', 'double-bevel'],
    ['FW', 'tee'],
    ['BW', 'square'],
    ['HU', 'j'],
  ])('%s is a %s', (written, kind) => {
    expect(change(readJoint(written))).toMatchObject({ kind })
  })
})

describe('sections', () => {
  it.each([
    // EN 10220: 60,3 is DN 50.
    ['60,3x2,9', 2.9, 60.3],
    ['60,3 x 2,9 1.4301', 2.9, 60.3],
    ['Ø 42,4x2', 2, 42.4],
    ['CHS 48,3x3,2', 3.2, 48.3],
    ['DN 50', 3.6, 60.3],
    ['DN50 x 2,9', 2.9, 60.3],
    // EN 10357: food tube of stainless is another one.
    ['DN 50 1.4301', 1.5, 53],
    ['DN 100 1.4404', 2, 104],
    ['RHS 60x40x3', 3, null],
    ['SHS 40x40x3', 3, null],
    ['SHS 40x3', 3, null],
    ['FB 40x5', 5, null],
    ['L 50x50x5', 5, null],
    ['HEA 120', 8, null],
    ['HEA 120 web', 5, null],
    ['IPE 200', 8.5, null],
    ['UPN 100', 8.5, null],
  ])('%s is welded at %f mm, outside %f', (written, wallMm, outsideMm) => {
    const read = change(readParts(written, steel, MM))
    expect(read['thicknessAMm']).toBeCloseTo(wallMm, 6)
    expect(read['diameterMm'] ?? null).toEqual(outsideMm === null ? null : expect.closeTo(outsideMm, 6))
  })
  it('what a name leaves open is said', () => {
    expect(understood(readParts('DN 50', steel, MM))).toContain('60.3 × 3.6 mm, EN 10255, medium')
    expect(understood(readParts('HEA 120 to 5', steel, MM))).toContain('the web, 5 mm')
    expect(refused(readParts('DN 200', steel, MM))).toContain('the wall is missing')
    expect(refused(readParts('DN 55', steel, MM))).toContain('no nominal diameter 55')
    expect(refused(readParts('HEA 130', steel, MM))).toContain('no HEA 130')
  })
  it('in a shop on inches a bare tube is in inches: 1.5x0.065 is 16 gauge wall', () => {
    const read = change(readParts('1.5x0.065', steel, INCH))
    expect(read['thicknessAMm']).toBeCloseTo(1.651, 6)
    expect(read['diameterMm']).toBeCloseTo(38.1, 6)
  })
})

describe('patterns and positions', () => {
  // EN ISO 2553: l(e), e is the distance between two welds.
  it.each([
    ['50(100)', 50, 150, 'intermittent', undefined],
    ['50 (100)', 50, 150, 'intermittent', undefined],
    ['5 x 50(100)', 50, 150, 'intermittent', 650],
    ['50(100) Z', 50, 150, 'staggered', undefined],
  ])('%s', (written, segmentMm, pitchMm, pattern, lengthMm) => {
    const read = change(readPattern(written, MM))
    expect(read).toMatchObject({ segmentMm, pitchMm, pattern })
    expect(read.lengthMm).toBe(lengthMm)
  })
  it('says the gap as a gap', () => {
    expect(understood(readPattern('50(100)', MM))).toBe('50 mm and 100 mm between')
    expect(refused(readPattern('0 x 50(100)', MM))).toContain('at least one weld')
    expect(refused(readPattern('50(x)', MM))).not.toBe('read')
  })

  const fillet = joint({ kind: 'tee', around: false })
  const butt = joint({ kind: 'v', around: false })
  // EN ISO 6947: PB and PD of fillets, PC and PE of butts; PH and PJ round a tube that is not turned.
  it.each([
    [fillet, 'flat', 'PA'],
    [fillet, 'horizontal', 'PB'],
    [butt, 'horizontal', 'PC'],
    [fillet, 'overhead', 'PD'],
    [butt, 'overhead', 'PE'],
    [butt, 'vertical-up', 'PF'],
    [fillet, 'vertical-down', 'PG'],
    [joint({ kind: 'square', around: true }), 'vertical-up', 'PH'],
    [joint({ kind: 'square', around: true }), 'vertical-down', 'PJ'],
  ] as const)('%# is printed %s %s', (weld, position, code) => {
    expect(printPosition({ ...weld, position }, 'international')).toBe(code)
    expect(change(readPosition(code))).toEqual({ position })
  })
  it('PK and H-L045 are judged as a fixed pipe going up', () => {
    for (const code of ['PK', 'H-L045', 'HL045'])
      expect(understood(readPosition(code))).toBe('round a fixed pipe: judged as vertical up')
  })
  it('other shops are shown words', () => {
    for (const position of POSITIONS)
      expect(printPosition({ ...fillet, position }, 'north-american')).not.toMatch(/^P/)
  })
})

describe('examples in messages', () => {
  const groove = joint({ kind: 'v', legMm: null })
  // What a message tells to write is read.
  it.each([
    ['metric', MM],
    ['imperial', INCH],
  ] as const)('of a %s shop are read as they stand, and are its own', (system, notation) => {
    const messages = [
      refused(readSize('', steel, notation)),
      refused(readSize('about five', steel, notation)),
      refused(readSize('5', groove, notation)),
      refused(readParts('5 to', steel, notation)),
      refused(readPattern('now and then', notation)),
    ]
    for (const message of messages) {
      expect(message).toMatch(/Enter|for example/)
      if (system === 'metric') expect(message).not.toMatch(/\d\/\d|\d in\b/)
    }
    const { parts, unequal, groove: sizes } = examplesFor(notation)
    expect(readParts(parts, steel, notation).ok).toBe(true)
    expect(readSize(unequal, steel, notation).ok).toBe(true)
    expect(readSize(sizes, groove, notation).ok).toBe(true)
  })
})
