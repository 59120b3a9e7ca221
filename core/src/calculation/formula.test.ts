/** Formulas as they are printed: the usual marks of a handbook (ISO 80000-1: variables, subscripts, × as a raised dot). */
import { describe, expect, it } from 'vitest'
import { shownFormula, shownSymbol } from './formula.ts'

describe('a symbol', () => {
  it.each([
    ['I_1', 'I₁'],
    ['I_1max', 'I₁max'],
    ['t_e', 'tₑ'],
    ['x_12', 'x₁2'],
    // No letter stands below in these: they stay as they are written.
    ['I_min', 'I_min'],
    ['t_room', 't_room'],
    ['I_q', 'I_q'],
    ['I_9', 'I_9'],
    ['I_1_2', 'I₁_2'],
    ['T', 'T'],
    ['_', '_'],
  ])('%s is shown as %s', (symbol, shown) => expect(shownSymbol(symbol)).toBe(shown))
})

describe('a formula', () => {
  it.each([
    ['60 * m / r', '60·m / r'],
    ['ceil(t / t_1)', '⌈t / t₁⌉'],
    ['max(1, floor(z_1 * (a - b)))', 'max(1, ⌊z₁·(a − b)⌋)'],
    ['ceil(ceil(a) + floor(b))', '⌈⌈a⌉ + ⌊b⌋⌉'],
    ['sqrt(t * t_0)', '√(t·t₀)'],
    ['sum(I_o) + pi * d^2 / 4', 'Σ(Iₒ) + π·d² / 4'],
    ['theta - x^20', 'θ − x^20'],
    ['reconcile(a)', 'reconcile(a)'],
    ['I_1', 'I₁'],
    ['I_min * 2', 'I_min·2'],
    ['Uo_1 / 2', 'Uo₁ / 2'],
    ['2 * η_1', '2·η₁'],
    ['ceil(a', 'ceil(a'],
  ])('%s is shown as %s', (expression, shown) => expect(shownFormula(expression)).toBe(shown))
})
