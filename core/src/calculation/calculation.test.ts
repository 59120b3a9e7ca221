/** Every calculation: the formula that is shown gives what the code computes. Second opinion: mathjs. */
import { evaluate, parse } from 'mathjs'
import { describe, expect, it } from 'vitest'
import '../index.ts'
import { everyCalculation, type Input } from './calculation.ts'

const CALCULATIONS = [...everyCalculation().values()]

/** Plausible figures by unit, so that no formula leaves the range in which it means something. */
const RANGES: Readonly<Record<string, readonly [number, number]>> = {
  '%': [5, 95],
  A: [20, 400],
  V: [10, 480],
  s: [1, 600],
  mm: [1, 20],
  'mm length': [60, 4000],
  'mm diameter': [0.6, 3],
  '°': [5, 60],
  rad: [0.2, 1.4],
  '×': [0.2, 2],
}
/** Where the figures of one formula depend on each other. */
const FIXED: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  'groove-flare': { n: 2, R: 12, s: 7, g: 1 },
  'duty-exponent': { X_a: 60, X_b: 25, I_a: 85, I_b: 130 },
  'slot-run': { L: 40, d: 12 },
  'breaker-time-constant': { k: 1.35, m: 2 },
  'breaker-early-constant': { c: 1.13, m: 2.55 },
}
let seed = 1
/** A small generator, so that a failure comes again. */
const random = (): number => {
  seed = (seed * 16_807) % 2_147_483_647
  return seed / 2_147_483_647
}
const between = ([least, most]: readonly [number, number]): number => least + random() * (most - least)

function figuresFor(id: string, inputs: Readonly<Record<string, Input>>): Record<string, number | number[]> {
  return Object.fromEntries(
    Object.entries(inputs).map(([symbol, { unit, isList }]) => {
      const own = FIXED[id]?.[symbol]
      const range = RANGES[unit] ?? [1, 10]
      if (isList === true) return [symbol, [between(range), between(range), between(range)]]
      return [symbol, own ?? between(range)]
    }),
  )
}

describe('every calculation', () => {
  it('is known by a name of its own, and there are many', () => {
    expect(CALCULATIONS.length).toBeGreaterThan(70)
  })

  it.each(
    CALCULATIONS.filter(({ method }) => method === undefined || method.includes('H is')).map(({ id }) => id),
  )('%s: the formula shown gives what is computed', (id) => {
    const calculation = everyCalculation().get(id)
    if (!calculation) throw new Error(id)
    for (let round = 0; round < 25; round += 1) {
      const figures = figuresFor(id, calculation.inputs)
      const shown: unknown = evaluate(calculation.expression, { ...figures })
      const computed = calculation.compute(figures)
      expect(Number(shown), `${calculation.expression} of ${JSON.stringify(figures)}`).toBeCloseTo(
        computed,
        6,
      )
    }
  })

  it('names inputs that its formula uses, and uses none that it does not name', () => {
    for (const { id, expression, inputs, method } of CALCULATIONS) {
      const used = new Set<string>()
      parse(expression).traverse((node, _path, parent) => {
        const isFunction = parent && 'fn' in parent && parent.fn === node
        if ('isSymbolNode' in node && node.isSymbolNode && !isFunction && 'name' in node)
          used.add(String(node.name))
      })
      used.delete('pi')
      for (const symbol of used)
        if (!(method !== undefined && !(symbol in inputs))) expect(Object.keys(inputs), id).toContain(symbol)
      if (method === undefined && id !== 'gun-current')
        expect([...used].sort(), id).toEqual(Object.keys(inputs).sort())
    }
  })

  it('says where its inputs come from, and rests on calculations that exist', () => {
    for (const { id, inputs, source } of CALCULATIONS) {
      expect(source.text, id).not.toBe('')
      for (const [symbol, description] of Object.entries<Input>(inputs)) {
        expect(description.name, `${id} ${symbol}`).not.toBe('')
        expect(description.source.text, `${id} ${symbol}`).not.toBe('')
        for (const other of description.from ?? [])
          expect(everyCalculation().has(other), `${id} ${symbol} from ${other}`).toBe(true)
      }
    }
  })
})
