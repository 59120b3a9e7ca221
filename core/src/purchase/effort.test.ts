/**
 * How much is looked at: what is passed over because nothing better can come of it changes no answer, and so no other test
 * would notice that it is looked at again. Counted, and not timed. Sources: none outside; where the demo grows, or a search
 * passes over more, the counts here are to be written anew.
 */
import { describe, expect, it, vi } from 'vitest'
import { Capability } from '../capability/capability.ts'
import { criterionOf } from '../criteria/index.ts'
import type { Wire } from '../kinds/equipment.ts'
import { does } from '../model/verdict.ts'
import { demoShop } from '../testing/samples.ts'
import { couldDo, CouldDoSearch } from './couldDo.ts'
import { Judge } from './judge.ts'
import { kitProblemOf } from './kitProblem.ts'
import { MachineBoard } from './machineBoard.ts'

const demo = demoShop()
const planned = demo.jobs.filter(({ state }) => state === 'planned')

/** @returns how many set-ups are put together, whole or in part */
function made(search: () => void): number {
  const spy = vi.spyOn(Capability.prototype, 'with')
  try {
    search()
    return spy.mock.calls.length
  } finally {
    spy.mockRestore()
  }
}

describe('no more is looked at than before', () => {
  // What fails whatever the job is, is not looked at again for the next job.
  it('for one job after the other', () => {
    const search = new CouldDoSearch(demo.shop, demo, false)
    const spy = vi.spyOn(Judge.prototype, 'at')
    for (const job of demo.jobs) search.answer(job, 20)
    const count = spy.mock.calls.length
    spy.mockRestore()
    expect(count).toBeLessThanOrEqual(1621)
  })

  it('for a kit of all that is planned', () => {
    let judged = 0
    const question = { shop: demo.shop, shelf: demo, setUps: demo.setUps, jobs: planned, seeksAll: true }
    const count = made(() =>
      kitProblemOf({
        ...question,
        counts: (verdict) => {
          judged += 1
          return does(verdict)
        },
      }),
    )
    expect(count).toBeLessThanOrEqual(6127)
    expect(judged).toBeLessThanOrEqual(4248)
  })

  // Most set-ups fall by process and wire, all that have both at once; most others by themselves or by their supply.
  it('for a kit of set-ups that are written down', () => {
    const criterion = criterionOf('electrode')
    const spy = vi.spyOn(criterion, 'assess')
    const problem = kitProblemOf({ shop: demo.shop, shelf: demo, setUps: demo.setUps, jobs: demo.jobs })
    const count = spy.mock.calls.length
    spy.mockRestore()
    expect(problem.jobs.length).toBeGreaterThan(0)
    expect(count).toBeLessThanOrEqual(29)
  })

  it('for the ways to do each job', () => {
    const all = made(() => {
      for (const job of demo.jobs) couldDo(demo.shop, demo, job, { most: 20 })
    })
    expect(all).toBeLessThanOrEqual(11_407)
  })

  // The same wire on two more spools: what volts arrive at the machine is the same.
  it('for wires that weld alike', () => {
    const asked = (wires: readonly Wire[]): number => {
      const spy = vi.spyOn(criterionOf('volts'), 'assess')
      for (const job of demo.jobs) couldDo(demo.shop, { ...demo, wires: [...wires] }, job, { most: 20 })
      const count = spy.mock.calls.length
      spy.mockRestore()
      return count
    }
    const others = [1, 2].flatMap((n) => demo.wires.map((wire) => ({ ...wire, id: `${wire.id}-${n}` })))
    const once = asked(demo.wires)
    expect(once).toBeGreaterThan(100)
    expect(asked([...demo.wires, ...others])).toBeLessThanOrEqual(once)
  })

  it('for a board of machines', () => {
    const board = new MachineBoard(demo.shop, demo, demo.setUps)
    const rows = (): number =>
      made(() => {
        for (const job of demo.jobs) board.row(job)
      })
    expect(rows()).toBeLessThanOrEqual(9647)
    // What has been worked out is there.
    expect(rows()).toBe(0)
  })
})
