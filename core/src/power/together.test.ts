/** Generators and lines of three phases with several at work on them: by volts times amperes, and phasors. */
import { describe, expect, it } from 'vitest'
import type { Circuit } from '../kinds/equipment.ts'
import type { Panel } from '../kinds/panel.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { demoShop, oneOf } from '../testing/samples.ts'
import { drawer, node, steady, together } from '../testing/together.ts'
import { shiftOf } from './shift.ts'
import { shopPowerOf } from './shopPower.ts'
import { type Together, togetherOf, type Wired } from './together.ts'

const demo = demoShop()
const outlet = oneOf(demo.circuits, 'withy-outlet')
const [anyLoad] = demo.loads
const [anyPanel] = demo.panels
if (!anyLoad || !anyPanel) throw new Error('the demo has no load or no panel')
const HOURS_4 = { hours: 4, runs: 3, seed: 1 }

/** A generator of 7.5 kVA as its plate says, where it loses nothing to height or heat. */
const generator = { ...oneOf(demo.generators, 'withy-9'), altitudeM: null, ambientC: null }
const onGenerator = (
  loads: readonly (Partial<typeof anyLoad> & { readonly id: string })[],
  circuit: Partial<Circuit> = {},
  panels: readonly Panel[] = [],
): Shelf => ({
  ...demo,
  generators: [generator],
  panels: [...panels],
  circuits: [{ ...outlet, ...circuit }],
  loads: loads.map((load) => ({ ...anyLoad, circuitId: outlet.id, startingA: null, ...load })),
})
const panel = (id: string, part: Partial<Panel>): Panel => ({ ...anyPanel, id, fedFromId: null, ...part })
const nodesOf = (shelf: Shelf) => togetherOf(demo.shop, shelf, []).nodes
const ALL_DAY = { id: 'heater', runningA: 10, onMin: null, offMin: null }

describe('a generator with several on it', () => {
  // Apparent power: U · I, with three phases √3 · U · I (IEC 60050-131, from memory).
  it.each([
    ['240 V', { voltageV: 240, phases: 1 }, 31.25],
    ['120 V', { voltageV: 120, phases: 1 }, 62.5],
    ['480 V in three phases', { voltageV: 480, phases: 3 }, 9.021],
  ] as const)(
    'of 7.5 kVA holds at %s what volts times amperes allow, and does not trip by heat',
    (_, circuit, heldA) => {
      const [node] = nodesOf(onGenerator([ALL_DAY], circuit))
      expect(node).toMatchObject({ kind: 'generator', id: 'withy-9', trips: null, run: null })
      expect(node).toMatchObject({ name: generator.name, ...circuit })
      expect(node?.heldA).toBeCloseTo(heldA, 3)
    },
  )

  it('stands once above all that hangs on it, panels and circuits below', () => {
    const shelf = onGenerator(
      [ALL_DAY, { ...ALL_DAY, id: 'lights' }],
      { panelId: 'trailer', generatorId: null },
      [panel('trailer', { name: 'Trailer', generatorId: generator.id })],
    )
    const nodes = nodesOf(shelf)
    expect(nodes.map(({ kind, carries }) => [kind, carries.map(({ drawer }) => drawer)])).toEqual([
      ['generator', [0, 1]],
      ['panel', [0, 1]],
      ['circuit', [0, 1]],
    ])
  })

  it('has the volts of the panel that it feeds, not of a circuit below it', () => {
    const main = panel('main', { voltageV: 480, phases: 3, generatorId: generator.id })
    const sub = panel('sub', { voltageV: 240, phases: 1, generatorId: null, fedFromId: 'main' })
    const below = panel('below', { voltageV: 240, phases: 1, generatorId: null, fedFromId: 'sub' })
    const wall = { voltageV: 120, phases: 1, panelId: 'below', generatorId: null } as const
    expect(nodesOf(onGenerator([ALL_DAY], wall, [main, sub, below]))[0]).toMatchObject({
      voltageV: 480,
      phases: 3,
    })
    expect(nodesOf(onGenerator([ALL_DAY], { ...wall, panelId: 'main' }, [main]))[0]).toMatchObject({
      voltageV: 480,
      phases: 3,
    })
  })

  it('fits below its running power, is tight above it now and then, and fails where that is usual', () => {
    const verdictOf = (load: Partial<typeof anyLoad>) =>
      shopPowerOf(demo.shop, onGenerator([{ ...ALL_DAY, ...load }]), [], HOURS_4).nodes[0]?.verdict
    expect(verdictOf({ runningA: 31 })).toBe('fits')
    expect(verdictOf({ runningA: 32 })).toBe('fails')
    // A minute of forty: 2.5 % of the time; four minutes of forty: 10 %.
    expect(verdictOf({ runningA: 32, onMin: 1, offMin: 39 })).toBe('tight')
    expect(verdictOf({ runningA: 32, onMin: 4, offMin: 36 })).toBe('fails')
  })
})

describe('lines of three phases', () => {
  const togetherOn = (on: readonly (readonly [amps: number, wired: Wired])[], heldA = 100): Together =>
    together(
      on.map(([amps]) => drawer([steady(amps)])),
      [
        node(
          heldA,
          on.map(([, wired]) => wired),
          3,
        ),
      ],
      0,
    )
  const peakA = (...on: readonly (readonly [amps: number, wired: Wired])[]) =>
    shiftOf(togetherOn(on), HOURS_4)[0]?.shift.peakA

  // Line currents of an unbalanced delta of unity power factor: I² = I₁² + I₂² + I₁·I₂ (fact of the trade, from memory).
  it.each([
    [
      'of 10 A and 6 A between lines meet in one line with 14 A',
      14,
      [
        [10, { between: 0 }],
        [6, { between: 1 }],
      ],
    ],
    [
      'of 10 A and 6 A the other way round as well',
      14,
      [
        [6, { between: 2 }],
        [10, { between: 1 }],
      ],
    ],
    [
      'between the same two lines add up',
      16,
      [
        [10, { between: 1 }],
        [6, { between: 1 }],
      ],
    ],
    ['between two lines are all in both', 10, [[10, { between: 2 }]]],
    [
      'on one line each are in no other',
      10,
      [
        [4, { on: 0 }],
        [10, { on: 2 }],
        [7, { on: 1 }],
      ],
    ],
    [
      'on one line add up with those on all three',
      15,
      [
        [10, { on: 2 }],
        [5, 'all'],
      ],
    ],
    [
      'on a line stand beside what meets in it',
      17,
      [
        [3, { on: 1 }],
        [10, { between: 0 }],
        [6, { between: 1 }],
      ],
    ],
    // Line 2 has its own 9 A and the 6 A of one pair alone.
    [
      'on a line of one pair alone too',
      15,
      [
        [9, { on: 2 }],
        [10, { between: 0 }],
        [6, { between: 1 }],
      ],
    ],
  ] as const)('currents %s', (_, expected, on) => {
    expect(peakA(...on)).toBeCloseTo(expected, 4)
  })

  it('the time above what it holds is that of the worst line', () => {
    const above = (heldA: number) =>
      shiftOf(
        togetherOn(
          [
            [4, { on: 0 }],
            [10, { on: 2 }],
          ],
          heldA,
        ),
        HOURS_4,
      )[0]?.shift.aboveShare
    expect([above(3), above(9), above(11)]).toEqual([1, 1, 0])
  })

  it('the picture is of the first shift, however many are tried', () => {
    const welder = drawer([{ onS: 40, offS: 60, times: 1, onA: 20, offA: 0 }], { isSteady: false })
    const both = together([drawer([steady(5)]), welder], [node(100, [{ on: 0 }, { on: 1 }], 3)], 0)
    const curve = (runs: number) => shiftOf(both, { hours: 1, runs, seed: 5 })[0]?.curve
    const first = curve(1)
    expect(first?.meanA).toHaveLength(60)
    expect(curve(6)).toEqual(first)
    // Of each minute the line that carries most: at least the steady one, at most the welder's 20 A.
    expect(Math.min(...(first?.meanA ?? []))).toBeGreaterThanOrEqual(5)
    expect(Math.max(...(first?.mostA ?? []))).toBeCloseTo(20, 4)
  })
})
