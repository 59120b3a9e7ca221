/** Which ways are worth keeping, beside comparing each with each. Sources: none outside; whoever can go the one can go the other. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Needing, needsNoMore, UnbeatenWays } from './unbeaten.ts'

const KEYS = ['gun', 'roll', 'tip', 'liner'] as const
const keys = fc.uniqueArray(fc.constantFrom(...KEYS), { maxLength: 3 })
const sets = fc.array(fc.uniqueArray(fc.constantFrom(...KEYS), { minLength: 1, maxLength: 2 }), {
  minLength: 1,
  maxLength: 2,
})
const needing: fc.Arbitrary<Needing> = fc.record({ needs: keys, oneOf: fc.array(sets, { maxLength: 2 }) })
const way = fc.record({
  needs: keys,
  oneOf: fc.array(sets, { maxLength: 1 }),
  cost: fc.integer({ min: 1, max: 6 }),
})

/** Whether somebody who has bought these can go this way. */
const goes = (has: ReadonlySet<string>, { needs, oneOf }: Needing): boolean =>
  needs.every((one) => has.has(one)) &&
  oneOf.every((each) => each.some((set) => set.every((one) => has.has(one))))
const purchases = Array.from(
  { length: 2 ** KEYS.length },
  (_, bits) => new Set(KEYS.filter((_key, at) => (bits >> at) & 1)),
)

describe('a way needs no more than another', () => {
  it('only where whoever can go the other can go it', () => {
    fc.assert(
      fc.property(needing, needing, (a, b) => {
        if (needsNoMore(a, b)) expect(purchases.every((has) => !goes(has, b) || goes(has, a))).toBe(true)
      }),
    )
  })
  it('where it is plain that it does: nothing, the same, fewer, or a choice that the other has made', () => {
    const of = (needs: string[], ...oneOf: string[][][]): Needing => ({ needs, oneOf })
    expect(needsNoMore(of([]), of(['gun']))).toBe(true)
    expect(needsNoMore(of(['gun']), of([]))).toBe(false)
    expect(needsNoMore(of(['gun']), of(['roll', 'gun']))).toBe(true)
    expect(needsNoMore(of([], [['tip'], ['liner']]), of([], [['liner']]))).toBe(true)
    expect(needsNoMore(of([], [['liner']]), of([], [['tip'], ['liner']]))).toBe(false)
    expect(needsNoMore(of([], [['tip']]), of([], [['tip', 'liner']]))).toBe(true)
    expect(needsNoMore(of([], [['tip', 'liner']]), of([], [['tip']]))).toBe(false)
    expect(needsNoMore(of([], [['tip']], [['liner']]), of([], [['tip']]))).toBe(false)
  })
})

describe('ways that are kept', () => {
  it('are those that none before them beats: as cheap, and needing no more', () => {
    fc.assert(
      fc.property(fc.array(way, { maxLength: 12 }), (ways) => {
        const kept = new UnbeatenWays<(typeof ways)[number]>(({ cost }) => cost, 1000)
        const naive: (typeof ways)[number][] = []
        for (const one of ways) {
          const isBeaten = naive.some((other) => other.cost <= one.cost && needsNoMore(other, one))
          expect(kept.isHopeless(one.cost, one.needs, one.oneOf)).toBe(isBeaten)
          if (!isBeaten) naive.push(one)
          kept.keep(one)
        }
        expect(new Set(kept.found)).toEqual(new Set(naive))
        expect(kept.found).toHaveLength(naive.length)
        expect(kept.isFull).toBe(false)
      }),
    )
  })
  it('beyond the most are those alone that need nothing bought', () => {
    const kept = new UnbeatenWays<Needing & { readonly cost: number }>(({ cost }) => cost, 2)
    kept.keep({ needs: ['gun'], oneOf: [], cost: 5 })
    kept.keep({ needs: ['roll'], oneOf: [], cost: 5 })
    expect(kept.isFull).toBe(false)
    kept.keep({ needs: [], oneOf: [[['tip']]], cost: 4 })
    expect([kept.isFull, kept.found.length]).toEqual([true, 2])
    kept.keep({ needs: [], oneOf: [], cost: 9 })
    expect(kept.found.map(({ cost }) => cost).toSorted()).toEqual([5, 5, 9])
    // What is hopeless is left out for want of nothing.
    const roomy = new UnbeatenWays<Needing & { readonly cost: number }>(({ cost }) => cost, 1)
    roomy.keep({ needs: ['gun'], oneOf: [], cost: 5 })
    roomy.keep({ needs: ['gun'], oneOf: [], cost: 6 })
    expect([roomy.isFull, roomy.found.length]).toEqual([false, 1])
  })
})
