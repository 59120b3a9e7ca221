/** Rows of the log: which count, in which order, and what really went. No source. */
import { describe, expect, it } from 'vitest'
import { readDocument } from '../model/problems.ts'
import { record, row } from '../testing/logRows.ts'
import { rowsThatCount, usedGasL, usedWireG, weldRecorded, weldSubject } from './weldRecorded.ts'

describe('rows that count', () => {
  const early = row({ weldedAt: '2027-02-01T08:00:00Z' }, { seq: 5 })
  const late = row({ weldedAt: '2027-02-01T09:00:00Z' }, { seq: 4 })
  const later = row({ weldedAt: '2027-02-01T09:00:00Z' }, { seq: 6 })

  it('are in the order of welding, and of their storing where that is the same', () => {
    expect(rowsThatCount([later, late, early])).toEqual([early, late, later])
  })
  it('are not those that were corrected, whichever came first', () => {
    const correction = row({ weldedAt: '2027-02-01T07:00:00Z' }, { seq: 7, corrects: 4 })
    expect(rowsThatCount([late, correction, early])).toEqual([correction, early])
    expect(rowsThatCount([correction, early, late])).toEqual([correction, early])
  })
  it('are not those that were taken back, nor what takes them back', () => {
    const back = row({ isWithdrawn: true }, { seq: 8, corrects: 5 })
    expect(rowsThatCount([early, late, back])).toEqual([late])
  })
})

describe('what went', () => {
  it('is what two readings say, before what was counted', () => {
    const used = record({
      wireG: 410,
      gasL: 300,
      spool: { before: 12_400, after: 11_900 },
      cylinder: { before: 4000, after: 3650 },
    })
    expect([usedWireG(used), usedGasL(used)]).toEqual([500, 350])
  })
  it('is what was counted where nobody read, and unknown where nobody counted', () => {
    const counted = record({ wireG: 410, gasL: 300, spool: null, cylinder: null })
    expect([usedWireG(counted), usedGasL(counted)]).toEqual([410, 300])
    const unknown = record({ wireG: null, gasL: null, spool: null, cylinder: null })
    expect([usedWireG(unknown), usedGasL(unknown)]).toEqual([null, null])
  })

  const refusal = (part: object): string => {
    const read = readDocument(weldRecorded.body, { ...record(), ...part })
    return read.ok ? 'taken' : read.problems.map(({ field, message }) => `${field}: ${message}`).join()
  }
  it('cannot be more after than before', () => {
    expect(refusal({ spool: { before: 500, after: 501 } })).toMatch(/spool.*more after than before/)
    expect(refusal({ cylinder: { before: 500, after: 501 } })).toMatch(/cylinder.*more after than before/)
    expect(refusal({ spool: { before: 500, after: 500 } })).toBe('taken')
    expect(refusal({ cylinder: { before: 500, after: 0 } })).toBe('taken')
  })
})

it('a weld’s rows are found by its job and its name there', () => {
  expect(weldSubject('press-frame', 'upright')).toBe('weld.press-frame.upright')
  expect(weldRecorded.subject.safeParse('weld.press-frame.upright').success).toBe(true)
  expect(weldRecorded.subject.safeParse('weld.press-frame').success).toBe(false)
})
