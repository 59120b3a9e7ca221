/**
 * Which link gives out first, and in which words: the links of the demo beside welds that want more or less. What a word
 * claims is held against the amps of the link; facts of the trade are common practice, no source.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoInput, type DemoInput } from '../testing/samples.ts'
import { type Chain, chainFor, type ChainLink } from './chain.ts'
import { sidesOf } from './fit.ts'

interface Wants {
  readonly wantedA: number
  readonly lowA: number
  /** Null where the part is too thick to burn through. */
  readonly highA: number | null
}

const chainOf = (input: DemoInput, wants: Wants): Chain => {
  const { capability, demand } = sidesOf(input)
  return chainFor(capability, demand, { ...demand.hungriest, ...wants })
}
const firstOf = (chain: Chain): ChainLink => {
  const first = chain.links.find(({ id }) => id === chain.first)
  if (!first) throw new Error('no link decides')
  return first
}
const wire = demoInput('press-frame', 'bay-2-wire')
const tig = demoInput('pressing-tray', 'bench-tig-dc')
const wants = (wantedA: number, lowA: number, highA: number | null): Wants => ({ wantedA, lowA, highA })

describe('what the chain says of the first link', () => {
  it.each([
    // A thin sheet far below what a source of 25 A at least lights and keeps.
    ['a weld below what the source gives', wire, wants(20, 15, 30), 'electrode', 'too-high'],
    ['a weld below the usual range of the wire', wire, wants(10, 8, 100), 'electrode', 'below-usual'],
    ['a weld near the low end of the wire', wire, wants(60, 50, 80), 'electrode', 'near-low-end'],
    ['a thick part that the source makes slower', wire, wants(215, 200, null), 'source', 'paces'],
    ['a source that makes it at the low end', wire, wants(190, 150, null), 'source', 'cooler'],
    ['a source that is too small', wire, wants(400, 350, null), 'source', 'gives-out-at-duty'],
    ['a tungsten with room to spare', tig, wants(60, 50, 80), 'electrode', 'would-give-out'],
    ['a tungsten that is too thin', tig, wants(120, 100, null), 'electrode', 'gives-out'],
  ] as const)('%s', (_, input, asked, first, code) => {
    const chain = chainOf(input, asked)
    expect(chain.first).toBe(first)
    expect(chain.told.code).toBe(code)
  })

  // A rating has a duty cycle; the range of a wire or of a tungsten has none.
  it('tells the duty cycle of machines, never of wire or tungsten', () => {
    expect(chainOf(wire, wants(400, 350, null)).told.params).toHaveProperty('duty')
    expect(chainOf(wire, wants(190, 150, null)).told.params).toHaveProperty('duty')
    expect(chainOf(tig, wants(120, 100, null)).told.params).not.toHaveProperty('duty')
    expect(chainOf(tig, wants(60, 50, 80)).told.params).not.toHaveProperty('duty')
  })

  it('is true of the amps of that link', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(wire, tig),
        fc.integer({ min: 5, max: 450 }),
        fc.double({ min: 0.5, max: 1, noNaN: true }),
        fc.option(fc.double({ min: 1, max: 1.6, noNaN: true }), { nil: null }),
        (input, wantedA, down, up) => {
          const asked = wants(wantedA, wantedA * down, up === null ? null : wantedA * up)
          const chain = chainOf(input, asked)
          const { lowA, highA, verdict, id } = firstOf(chain)
          if (lowA === null || highA === null) throw new Error('the first link is known')
          const code = chain.told.code.replace('-at-duty', '')
          if (code === 'too-high' || code === 'rather-high' || code === 'below-usual')
            expect(wantedA).toBeLessThan(lowA)
          else if (code === 'gives-out' || code === 'paces' || code === 'cooler')
            expect(highA).toBeLessThan(wantedA)
          else {
            expect(wantedA).toBeGreaterThanOrEqual(lowA)
            expect(wantedA).toBeLessThanOrEqual(highA)
            expect(code === 'near-low-end').toBe(wantedA - lowA < highA - wantedA && lowA > 0)
          }
          if (code === 'gives-out' || code === 'too-high') expect(verdict).toBe('fails')
          if (code === 'paces' || code === 'cooler' || code === 'rather-high') expect(verdict).toBe('tight')
          if (code === 'cooler') expect(highA).toBeGreaterThanOrEqual(asked.lowA)
          if (code === 'below-usual') expect(id).toBe('electrode')
        },
      ),
    )
  })
})

describe('how far a link is outside the weld', () => {
  it('is told of what fails, and of nothing else', () => {
    for (const asked of [wants(60, 50, 80), wants(190, 150, null), wants(215, 200, null)])
      expect(chainOf(wire, asked).outsideA).toBeNull()
  })
  it('is below nothing where the link gives too little, by what lacks to the low end of the weld', () => {
    const short = chainOf(wire, wants(400, 350, null))
    const { mostA } = firstOf(short)
    expect(short.outsideA).toBeLessThan(0)
    expect((mostA ?? 0) - (short.outsideA ?? 0)).toBeCloseTo(350, 6)
  })
  it('is above nothing where the link gives too much, by what it is over the high end of the weld', () => {
    const burns = chainOf(wire, wants(3, 2, 4))
    const { lowA } = firstOf(burns)
    expect(burns.outsideA).toBeGreaterThan(0)
    expect((lowA ?? 0) - (burns.outsideA ?? 0)).toBeCloseTo(4, 6)
    expect(burns.told.code).toBe('too-high')
  })
})
