/** The order of welding laid out by hand: arcs, tacks and pauses of a piece and of a batch. */
import { describe, expect, it } from 'vitest'
import { joint } from '../testing/samples.ts'
import { sequenceOf, spellsOf } from './sequence.ts'
import type { WeldFigures } from './weldFigures.ts'

const weld = (part: Partial<WeldFigures> = {}): WeldFigures =>
  ({
    joint: joint({ id: 'rail', count: 2, bothSides: false }),
    pass: null,
    runs: [],
    oneArcS: 20,
    arcsPerWeld: 3,
    tacks: 3,
    tackS: 10,
    pauseS: 5,
    ...part,
  }) as WeldFigures

describe('the sequence of one piece', () => {
  it('has a line for each weld: two welds of 10 s of tacks and three arcs of 20 s with 5 s after each are 170 s', () => {
    expect(sequenceOf([weld()])).toEqual([
      {
        jointId: 'rail',
        tacks: 3,
        tackS: 10,
        arcs: [{ pass: null, arcS: 20, times: 6 }],
        repositionS: 5,
        pieceS: 170,
      },
    ])
  })
  it('counts a fillet on both sides as two welds', () => {
    const both = weld({ joint: joint({ id: 'rail', count: 2, bothSides: true }) })
    expect(sequenceOf([both])[0]).toMatchObject({ arcs: [{ times: 12 }], pieceS: 340 })
  })
  it('has root passes before fill passes, tacked once', () => {
    const root = weld({ pass: 'root', arcsPerWeld: 1, oneArcS: 40 })
    const fill = weld({ pass: 'fill', arcsPerWeld: 2, tacks: 0, tackS: 0 })
    const [line] = sequenceOf([weld({ runs: [root, fill] })])
    expect(line?.arcs).toEqual([
      { pass: 'root', arcS: 40, times: 2 },
      { pass: 'fill', arcS: 20, times: 4 },
    ])
    // Two welds: 10 s of tacks, 45 s of root, 50 s of fill.
    expect(line?.pieceS).toBe(210)
  })
  it('has arcs of no length where no wire is chosen', () => {
    const [line] = sequenceOf([weld({ oneArcS: null })])
    expect(line?.arcs[0]?.arcS).toBe(0)
    expect(line?.pieceS).toBe(50)
  })
})

describe('the spells of a batch', () => {
  const spells = (
    order: 'weld-by-weld' | 'piece-by-piece',
    quantity: number,
    welds = [weld()],
    heats = [1],
  ) => spellsOf({ order, quantity }, welds, heats, 2)

  it('weld by weld are all tacks of a line, then all its arcs', () => {
    expect(spells('weld-by-weld', 4)).toEqual([
      // Three tacks of 2 s in 10 s: six tenths of the time heats.
      { arcS: 80, offS: 0, times: 1, stretches: false, heat: expect.closeTo(0.6, 9) as number },
      { arcS: 20, offS: 5, times: 24, stretches: true, heat: 1 },
    ])
  })
  it('piece by piece are those of a piece, as often as there are pieces', () => {
    const three = spells('piece-by-piece', 3)
    expect(three.map(({ arcS, times }) => [arcS, times])).toEqual([
      [20, 1],
      [20, 6],
      [20, 1],
      [20, 6],
      [20, 1],
      [20, 6],
    ])
    expect(spells('piece-by-piece', 1)).toHaveLength(2)
  })
  it('are laid out no longer than ten minutes need: of pieces of 170 s five', () => {
    expect(spells('piece-by-piece', 5)).toHaveLength(10)
    expect(spells('piece-by-piece', 1000)).toEqual(spells('piece-by-piece', 5))
  })
  it('end with as much of the last piece as ten minutes hold', () => {
    const long = weld({
      joint: joint({ id: 'long', count: 1 }),
      oneArcS: 700,
      arcsPerWeld: 1,
      tackS: 0,
      tacks: 0,
    })
    const short = weld({ joint: joint({ id: 'short', count: 1 }) })
    const laid = spells('piece-by-piece', 9, [long, short], [1, 0.5])
    // 700 + 5 and 10 + 75: one piece fills ten minutes, the next is laid out up to its long arc.
    expect(laid.map(({ arcS }) => arcS)).toEqual([0, 700, 10, 20, 0, 700])
    expect(laid[3]?.heat).toBe(0.5)
  })
  it('heat by each weld’s own current, and tacks never more than all of their time', () => {
    const dense = weld({ tacks: 30 })
    expect(spells('weld-by-weld', 1, [dense], [0.49])[0]?.heat).toBe(0.49)
    const untacked = weld({ tacks: 0, tackS: 0 })
    expect(spells('weld-by-weld', 1, [untacked])[0]).toMatchObject({ arcS: 0, heat: 0 })
  })
  // Arcs of a hundredth of a second would be millions: they are taken several pieces at a time, and heat the same.
  it('of pieces that are done in a moment are few, and as much welding as ten minutes hold', () => {
    const moment = weld({
      joint: joint({ id: 'dot', count: 1 }),
      oneArcS: 0.001,
      arcsPerWeld: 1,
      tackS: 0,
      tacks: 0,
      pauseS: 0.001,
    })
    const laid = spells('piece-by-piece', 10_000_000, [moment])
    expect(laid.length).toBeLessThanOrEqual(40_002)
    const seconds = laid.reduce((sum, { arcS, offS, times }) => sum + (arcS + offS) * times, 0)
    expect(seconds).toBeGreaterThan(599)
    expect(seconds).toBeLessThan(602)
    // Two spells of so many pieces, no more than there are.
    expect(laid[1]?.times).toBe(16)
  })
  it('of pieces that take no time is one piece', () => {
    const nothing = weld({ oneArcS: null, tackS: 0, tacks: 0, pauseS: 0 })
    expect(spells('piece-by-piece', 50, [nothing])).toHaveLength(2)
  })
  it('end with the arc that fills ten minutes exactly', () => {
    const ten = weld({
      joint: joint({ id: 'ten', count: 1 }),
      oneArcS: 600,
      arcsPerWeld: 1,
      tackS: 0,
      pauseS: 0,
    })
    const after = weld({ joint: joint({ id: 'after', count: 1 }), pauseS: 0 })
    const laid = spells('piece-by-piece', 9, [ten, after], [1, 1])
    expect(laid.map(({ arcS }) => arcS)).toEqual([0, 600, 10, 20, 0, 600])
  })
})
