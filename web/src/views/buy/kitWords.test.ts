/** What the page says of a purchase plan: each sentence true of what was found. */
import type { JobWorth, Kit, KitItem, NextKit, Worth } from '@brannik/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { KitGround } from './kitMessages.ts'
import {
  differenceOf,
  differenceWords,
  headlineOf,
  type KitNames,
  nextWords,
  oneMoreWords,
  proofWords,
  withoutJobWords,
  worthWords,
} from './kitWords.ts'

const names: KitNames = {
  item: (key) => `[${key}]`,
  job: (id) => `<${id}>`,
  money: (amount) => `$${amount}`,
  percent: (share) => `${share} %`,
}
const item = (key: string): KitItem => ({ key, slot: 'powerSource', name: key, listed: 1, price: 1 })
const kit = (keys: readonly string[], part: Partial<Kit> = {}): Kit => ({
  buys: keys.map(item),
  does: [],
  undone: [],
  purchases: 0,
  running: 0,
  tight: 0,
  total: 0,
  ...part,
})
const ground = (part: Partial<KitGround['problem']> = {}): Pick<KitGround, 'items' | 'problem'> => ({
  items: 117,
  problem: { items: [], jobs: [], undoable: [], unpriced: [], horizonYears: 3, isWhole: true, ...part },
})

describe('what is to be bought', () => {
  it('is named in a line, with what is rented, and said where it is nothing', () => {
    expect(headlineOf(kit([]), [], 0, names)).toBe('Buy nothing: what you own does every job')
    expect(headlineOf(kit(['a', 'b']), ['Bay 1'], 1, names)).toBe('Buy Bay 1, a small part')
    const rents = kit([], {
      does: [
        {
          jobId: 'j',
          way: {
            setUpId: 's',
            verdict: 'fits',
            needs: [],
            oneOf: [],
            rents: 'powerSource heath',
            costPerRun: 1,
            tightCost: 0,
            guesses: [],
          },
        },
      ],
    })
    expect(headlineOf(rents, [], 0, names)).toBe('Rent [powerSource heath]')
    expect(headlineOf(rents, ['Bay 1'], 0, names)).toBe('Buy Bay 1; rent [powerSource heath]')
  })

  it('is parted by semicolons where a name has a comma of its own', () => {
    const large = ['Bay 1 rewired, 240 V 100 A', '25 ft water, 250 A class']
    expect(headlineOf(kit(['a', 'b']), large, 2, names)).toBe(
      'Buy Bay 1 rewired, 240 V 100 A; 25 ft water, 250 A class; 2 small parts',
    )
  })

  it('is proven among everything, or among what was looked at, and of what is priced', () => {
    const proven = { isProven: true, gap: 0 }
    expect(proofWords(proven, ground(), names)).toBe(
      'Proven optimal: no cheaper purchase plan exists among all combinations of the 117 items in your lists.',
    )
    expect(proofWords(proven, ground({ unpriced: ['Fen'] }), names)).toContain(
      'Items without a price are left out.',
    )
    expect(proofWords(proven, ground({ isWhole: false }), names)).toContain('among 3000 ways of each job')
    expect(proofWords({ isProven: false, gap: 0.04 }, ground(), names)).toMatch(
      /^Not proven: at most 4 % less/,
    )
  })
})

describe('what a purchase is worth', () => {
  const worth = (part: Partial<Worth>): Worth => ({
    key: 'k',
    saves: null,
    undone: [],
    done: [],
    never: [],
    isProven: true,
    ...part,
  })
  it('tells what nothing else does from what there is no money for', () => {
    expect(worthWords(worth({ saves: 40 }), names)).toBe('The next best plan without it costs $40 more')
    expect(worthWords(worth({ saves: 40, isProven: false }), names)).toBe(
      'The next best plan without it costs $40 more (not proven)',
    )
    expect(worthWords(worth({ undone: ['a'], never: ['a'] }), names)).toBe('Nothing else does <a>')
    expect(worthWords(worth({ undone: ['a'], done: ['b'] }), names)).toBe(
      'Without it there is no money for <a>; <b> would be done instead',
    )
  })
})

describe('what a job changes', () => {
  const worth = (part: Partial<JobWorth>): JobWorth => ({
    jobId: 'j',
    isDone: true,
    costs: 90,
    buysMore: [],
    buysLess: [],
    displaces: [],
    brings: [],
    isProven: true,
    ...part,
  })
  it('says what one job more costs, and never calls free what cannot be done', () => {
    expect(oneMoreWords(worth({ buysMore: ['a'] }), names)).toBe('costs $90 more: buy [a]')
    expect(oneMoreWords(worth({ isDone: false, costs: 0 }), names)).toBe('cannot be done for this money')
    expect(oneMoreWords(worth({ displaces: ['k'], costs: -750 }), names)).toBe(
      'can be done, but then there is no money for <k>: same purchases',
    )
  })
  it('says what is saved without a job, and what is done instead', () => {
    expect(withoutJobWords(worth({ buysMore: ['a'] }), names)).toBe('Saves $90; do not buy [a]')
    expect(withoutJobWords(worth({ displaces: ['k'], costs: -750 }), names)).toBe(
      '<k> can be done instead; same purchases',
    )
    expect(withoutJobWords(worth({ isDone: false }), names)).toBe('Not done: there is no money for it')
  })
})

it('says how another plan differs, and what more it does', () => {
  const next: NextKit = { ...kit(['a', 'c']), doesMore: ['x'], fits: ['y'], isProven: true }
  expect(nextWords(next, kit(['a', 'b']), names)).toBe(
    'with [c], without [b], also does <x>, <y> fits instead of tight',
  )
})

it('a column of amounts and its difference add up to the total, to the cent', () => {
  const amount = fc.double({ min: 0, max: 1e5, noNaN: true })
  fc.assert(
    fc.property(
      fc.array(amount, { maxLength: 20 }),
      fc.double({ min: 0, max: 1e6, noNaN: true }),
      (amounts, total) => {
        const sum = amounts.reduce((all, one) => all + Math.round(one * 100), 0) / 100
        expect(sum + (differenceOf(amounts, total) ?? 0)).toBeCloseTo(Math.round(total * 100) / 100, 6)
      },
    ),
  )
  expect(differenceOf([10.004, 10.004], 20.01)).toBe(0.01)
  expect(differenceOf([890, 729], 1619)).toBeNull()
  expect(differenceWords(0.01, [10.004, 10.004])).toBe('Rounding')
  expect(differenceWords(30, [890, 729])).toBe('Not in a line above')
})
