/** Runs of one set-up that are apart: three set-ups of one machine, worked out on paper. Sources: none outside. */
import { describe, expect, it } from 'vitest'
import { at, shopOf, task, way } from '../testing/paperPlan.ts'
import { batchesOf } from './batches.ts'
import type { PlanBuilt } from './build.ts'
import type { Task } from './problem.ts'

const NAMES = ['Solid wire', 'Flux-cored', 'Aluminum']
/** Jobs by their set-up, one after the other, an hour each; to another set-up takes so long. */
function batches(setUps: readonly number[], changeMin: number, tasks: readonly Partial<Task>[] = []) {
  const problem = shopOf(
    setUps.map((setUp, one) => task([way(60, { setUp })], { dueMin: at(24 * 4), ...tasks[one] })),
    {
      setUps: NAMES.map((id) => ({ id, machine: 0, changeFromNowMin: changeMin })),
      machines: ['one'],
      changeMin: NAMES.map((_, from) => NAMES.map((__, to) => (from === to ? 0 : changeMin))),
    },
  )
  const built = {
    problem,
    setUps: NAMES.map((name) => ({ name })),
    runs: setUps.map((_, one) => ({ job: { name: `Job ${one + 1}` } })),
    ways: [],
    welders: [],
    leftOut: [],
    lostPins: [],
  } as unknown as PlanBuilt
  const order = setUps.map((_, one) => one)
  return batchesOf(built, { order, way: order.map(() => 0), person: order.map(() => 0) }).map(
    ({ setUpName, jobNames, savesMin }) => ({ setUpName, jobNames, savesMin }),
  )
}

describe('runs of one set-up apart', () => {
  it('are put behind the first of them, and save the change to and fro', () => {
    expect(batches([0, 1, 0], 20)).toEqual([
      { setUpName: 'Solid wire', jobNames: ['Job 1', 'Job 3'], savesMin: 20 },
    ])
  })
  it('are named by what saves most first', () => {
    // Wire, cored, wire, aluminum, cored, wire: the three with wire save two changes.
    const found = batches([0, 1, 0, 2, 1, 0], 20)
    expect(found.map(({ setUpName, savesMin }) => [setUpName, savesMin])).toEqual([
      ['Solid wire', 40],
      ['Flux-cored', 20],
    ])
    expect(found[0]?.jobNames).toEqual(['Job 1', 'Job 3', 'Job 6'])
  })
  it.each([
    ['together already', [0, 0, 1], 20, []],
    ['each alone', [0, 1, 2], 20, []],
    ['for less than three minutes', [0, 1, 0], 2, []],
    ['pinned', [0, 1, 0], 20, [{}, {}, { fixed: { way: 0, person: 0, startMin: at(7), hasBegun: false } }]],
    ['where the one between them would be late', [0, 1, 0], 20, [{}, { dueMin: at(9.5) }, {}]],
  ] as const)('are not: %s', (_, setUps, changeMin, tasks) => {
    expect(batches(setUps, changeMin, tasks)).toEqual([])
  })
})
