/** Words and drawing of the supply. */
import type { Circuit, NodePower, Panel } from '@brannik/core'
import { describe, expect, it } from 'vitest'
import { shopDocument } from '../../testing/demo.ts'
import { chanceWords } from './chanceWords.ts'
import { type Place, supplyTree } from './supplyTree.ts'

const chance = (times: number, low: number, high: number) => ({ times, of: 40, low, high })
const shift = (part: Partial<NodePower['shift']>): Pick<NodePower, 'shift'> => ({
  shift: {
    meanA: 10,
    peakA: 30,
    aboveShare: 0,
    trips: { early: chance(0, 0, 0.09), nominal: chance(0, 0, 0.09), late: chance(0, 0, 0.09) },
    usuallyAfterS: null,
    ...part,
  },
})
const span = (seconds: number): string => `${seconds} s`

describe('how likely a breaker is to go', () => {
  it('says how often the usual one went, in what interval, and when', () => {
    const trips = { early: chance(40, 0.91, 1), nominal: chance(38, 0.835, 0.986), late: chance(0, 0, 0.09) }
    expect(chanceWords(shift({ trips, usuallyAfterS: 720 }), span)).toBe(
      'A typical breaker trips in 38 of 40 simulated shifts (84 % to 99 % by sampling alone), half of them within 720 s; the fastest in 40, the slowest holds.',
    )
  })

  it('tells one that goes early from one that holds', () => {
    const trips = { early: chance(11, 0.16, 0.43), nominal: chance(0, 0, 0.09), late: chance(0, 0, 0.09) }
    expect(chanceWords(shift({ trips }), span)).toBe(
      'A typical breaker holds. The fastest of its type trips in 11 of 40 simulated shifts (16 % to 43 % by sampling alone).',
    )
    expect(chanceWords(shift({}), span)).toBe(
      'Even the fastest breaker holds in all 40 simulated shifts (at most 9 % trip, by sampling alone).',
    )
  })

  it('a generator does not trip by heat: it is asked for too much', () => {
    expect(chanceWords(shift({ trips: null }), span)).toContain('Never above')
    expect(chanceWords(shift({ trips: null, aboveShare: 0.123 }), span)).toContain('12 % of the time')
  })
})

describe('the drawing of the supply', () => {
  type Tree = ReturnType<typeof supplyTree>[number]
  const names = (trees: readonly Tree[]): readonly unknown[] =>
    trees.map(({ item, below }: { item: Place; below: readonly Tree[] }) =>
      below.length === 0 ? item.id : [item.id, names(below)],
    )
  const { panels, circuits, generators } = shopDocument

  it('runs from the supplier down, generators beside it', () => {
    expect(names(supplyTree({ panels, circuits, generators }, []))).toEqual([
      [
        'supplier',
        [
          [
            'service',
            [['shop-panel', ['bay-2', 'bay-1', 'north-wall', 'bay-1-rewired']], 'yard', 'yard-rewired'],
          ],
          ['three-phase', ['bay-3']],
        ],
      ],
      ['withy-9', ['withy-outlet']],
    ])
  })

  it('leaves nothing out: what hangs on no panel, and panels that feed each other', () => {
    const [panel] = panels
    const [circuit] = circuits
    if (!panel || !circuit) throw new Error('the demo has no supply')
    const ring: Panel[] = [
      { ...panel, id: 'a', fedFromId: 'b' },
      { ...panel, id: 'b', fedFromId: 'a' },
    ]
    const loose: Circuit = { ...circuit, id: 'loose', panelId: null }
    const drawn = JSON.stringify(names(supplyTree({ panels: ring, circuits: [loose], generators: [] }, [])))
    for (const id of ['"a"', '"b"', '"loose"']) expect(drawn.split(id)).toHaveLength(2)
    expect(supplyTree({ panels: [], circuits: [], generators: [] }, [])).toEqual([])
  })
})
