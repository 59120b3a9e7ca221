/** What is looked at first, and where a change would leave the window of the craft. Common practice, no source. */
import { describe, expect, it } from 'vitest'
import type { ArcState, ArcWindow } from '../trade/arcWindow.ts'
import { adviceOf, type AtMachine, type Move } from './advice.ts'

const arcAt = (state: ArcState): ArcWindow => ({ state, balancePct: 150, balancedMmPerMin: 5000 })
const free: AtMachine['moveOf'] = (key, way) => ({ key, from: 10, to: way === 'up' ? 11 : 9, way })
const stuck: AtMachine['moveOf'] = () => null
const at = (state: ArcState | null, moveOf = free): AtMachine => ({ arc: state && arcAt(state), moveOf })
/** All that is looked at, one after the other. */
function orderOf(...[weldClass, sign, , machine]: Parameters<typeof adviceOf>): readonly string[] {
  const order: string[] = []
  for (;;) {
    const { next } = adviceOf(weldClass, sign, order as never, machine)
    if (!next) return order
    order.push(next.cause)
  }
}

describe('the order of causes', () => {
  it('is that of the trade where the arc runs, or nothing is set yet', () => {
    const list = ['clamp', 'wire-speed', 'volts', 'stick-out']
    expect(orderOf('solid', 'stubs', [], null)).toEqual(list)
    expect(orderOf('solid', 'stubs', [], at('runs'))).toEqual(list)
    expect(orderOf('solid', 'stubs', [], at(null))).toEqual(list)
  })
  it('begins with wire and volts where they do not match, for a sign that this makes', () => {
    expect(orderOf('solid', 'stubs', [], at('stubs'))).toEqual(['wire-speed', 'clamp', 'volts', 'stick-out'])
    // Another sign comes of something else.
    expect(orderOf('solid', 'stubs', [], at('burns-back'))[0]).toBe('clamp')
  })
  it('keeps the leads before all: a look settles them', () => {
    expect(orderOf('solid', 'wide-spatter', [], at('spatters'))).toEqual([
      'polarity',
      'volts',
      'gas',
      'stick-out',
      'inductance',
    ])
    expect(orderOf('solid', 'ropey', [], at('stubs')).slice(0, 3)).toEqual(['polarity', 'volts', 'clamp'])
  })
  it('stays as it is where neither is a cause', () => {
    expect(orderOf('solid', 'stutters', [], at('burns-back'))).toEqual(
      orderOf('solid', 'stutters', [], at('runs')),
    )
  })
  it('is empty for a sign that its process does not have', () => {
    expect(adviceOf('stick', 'stubs', [])).toEqual({ next: null, stop: 'stop' })
  })
})

describe('a change', () => {
  it('leaves out a setting that can be turned no further, and says so where nothing else is left', () => {
    expect(orderOf('solid', 'stubs', [], at('runs', stuck))).toEqual(['clamp', 'stick-out'])
    expect(adviceOf('solid', 'stubs', ['clamp', 'stick-out'], at('runs', stuck))).toEqual({
      next: null,
      stop: 'stop-floor',
    })
    expect(adviceOf('solid', 'stubs', ['clamp', 'wire-speed', 'volts', 'stick-out'], at('runs'))).toEqual({
      next: null,
      stop: 'stop',
    })
    // Without a machine it is said in words.
    expect(adviceOf('solid', 'stubs', ['clamp']).next).toMatchObject({ cause: 'wire-speed', move: null })
  })
  it('names its figure, its way back, and which of how many it is', () => {
    const { next } = adviceOf('solid', 'stubs', ['clamp'], at('runs'))
    expect(next?.move).toEqual<Move>({ key: 'feedMmPerMin', from: 10, to: 9, way: 'down' })
    expect(next).toMatchObject({ step: 2, of: 4, change: { code: 'turn-down' }, undo: { code: 'undo-turn' } })
  })
  it('that is no setting is undone by nothing, one without a figure by turning back', () => {
    expect(adviceOf('solid', 'stubs', []).next).toMatchObject({ cause: 'clamp', undo: { code: 'undo-none' } })
    expect(adviceOf('solid', 'stubs', ['clamp']).next?.undo.code).toBe('undo-setting')
  })
  it('of travel is faster where it burns through, and not where it undercuts', () => {
    expect(adviceOf('solid', 'burns-through', []).next?.change.code).toBe('less-travel')
    expect(adviceOf('solid', 'undercut', []).next?.change.code).toBe('change-travel')
  })
})
