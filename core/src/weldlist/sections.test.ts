/** Sections by their names. Sizes: EN 10220 and EN 10365, AISC channels, from memory. */
import { describe, expect, it } from 'vitest'
import type { Notation } from '../quantity/units.ts'
import { readSection, type Section } from './sections.ts'

const MM: Notation = { system: 'metric', locale: 'de-DE' }
const INCH: Notation = { system: 'imperial', locale: 'en-US' }
const read = (written: string, notation = MM) => readSection(written, 'hot-rolled', notation)
const section = (written: string, notation = MM): Section => {
  const found = read(written, notation)
  if (found === null || typeof found === 'string') throw new Error(`${written}: ${found}`)
  return found
}

describe('a section', () => {
  it('by diameter and wall is a tube', () => {
    expect(section('60,3x2,9')).toEqual({ thicknessMm: 2.9, diameterMm: 60.3, taken: '' })
    expect(section('CHS 114,3 x 6,3')).toEqual({ thicknessMm: 6.3, diameterMm: 114.3, taken: '' })
    expect(section('Ø 48,3 x 3,2')).toMatchObject({ thicknessMm: 3.2, diameterMm: 48.3 })
    const inches = section('1.5 OD x .065', INCH)
    expect(inches.diameterMm).toBeCloseTo(38.1, 6)
    expect(inches.thicknessMm).toBeCloseTo(1.651, 6)
  })
  it('that is not round has no diameter: a hollow section, a flat', () => {
    expect(section('RHS 60x40x3')).toEqual({ thicknessMm: 3, diameterMm: null, taken: '' })
    expect(section('SHS 50 x 4')).toMatchObject({ thicknessMm: 4, diameterMm: null })
    expect(section('FB 40 x 5')).toMatchObject({ thicknessMm: 5, diameterMm: null })
    expect(read('FB 40')).toBeNull()
  })
  // EN 10220: DN 50 is 60.3 mm outside.
  it('of a nominal size says what was taken for it', () => {
    const tube = section('DN 50 x 2,9')
    expect(tube).toMatchObject({ diameterMm: 60.3, thicknessMm: 2.9 })
    expect(tube.taken).toMatch(/^60\.3 × 2\.9 mm, /)
    expect(read('DN 51 x 3')).toMatch(/there is no nominal diameter 51 here\. Sizes run .*50/)
    expect(read('DN 50 x quux')).not.toContain('nominal')
  })
  // EN 10365: IPE 200 has a web of 5.6 mm and a flange of 8.5 mm.
  it('of a beam is its flange, and its web where that is named', () => {
    expect(section('IPE 200')).toMatchObject({ thicknessMm: 8.5, diameterMm: null })
    expect(section('IPE 200').taken).toBe('its flange. For the web, 5.6 mm, enter IPE 200 web')
    expect(section('ipe 200 web')).toEqual({ thicknessMm: 5.6, diameterMm: null, taken: 'its web' })
    expect(section('IPE 200 flange')).toMatchObject({ thicknessMm: 8.5 })
    expect(read('IPE 205')).toMatch(/there is no IPE 205 here\. Heights run .*200/)
  })
  // AISC: C4x5.4 has a web of 0.184 in.
  it('of a channel is its flange or its web', () => {
    expect(section('C4x5.4 web', INCH).thicknessMm).toBeCloseTo(0.184 * 25.4, 2)
    expect(section('C4 x 5.4 web', INCH).taken).toBe('its web')
    expect(section('C4x5.4', INCH).taken).toContain('enter C4x5.4 web')
    expect(section('C4x5.4', INCH).thicknessMm).toBeGreaterThan(section('C4x5.4 web', INCH).thicknessMm)
    expect(read('C4x99', INCH)).toMatch(/there is no C4x99 here\. Channels: .*C4x5\.4/)
  })
  it('that is none is none', () => {
    for (const text of ['1/4', '14 ga', 'plate', '60x3', 'x']) expect(read(text, INCH)).toBeNull()
  })
})
