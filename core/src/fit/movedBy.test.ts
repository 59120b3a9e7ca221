/** What another figure of an assumption moves in planned jobs. Common practice, no source. */
import { expect, it } from 'vitest'
import { demoInput } from '../testing/samples.ts'
import { movedBy } from './movedBy.ts'

const frame = demoInput('press-frame')
const cored = demoInput('loader-fork', 'yard-cored')

it('is hours alone where the work around the arc takes longer', () => {
  const moved = movedBy([frame, cored], 'besideArcWirePct', 200)
  expect(moved.map(({ jobId, name }) => [jobId, name])).toEqual([
    ['press-frame', frame.job.name],
    ['loader-fork', cored.job.name],
  ])
  for (const { before, after } of moved) {
    expect(after.workH ?? 0).toBeGreaterThan(before.workH ?? 0)
    expect({ ...after, workH: 0 }).toEqual({ ...before, workH: 0 })
  }
})
it('is nothing where the figure is that of another process, or the same as before', () => {
  expect(movedBy([frame], 'besideArcGtawPct', 200)).toEqual([])
  const [moved] = movedBy([frame], 'besideArcWirePct', 200)
  const { shop } = frame
  const told = { ...frame, shop: { ...shop, assumptions: { ...shop.assumptions, besideArcWirePct: 200 } } }
  expect(moved).toBeDefined()
  expect(movedBy([told], 'besideArcWirePct', 200)).toEqual([])
  // Nobody plans by three parts in a thousand.
  expect(movedBy([told], 'besideArcWirePct', 200.3)).toEqual([])
})
it('is gas where more leaks, and nothing where no gas flows', () => {
  // 5 % leaks unless the shop says otherwise: twice as much adds as much again.
  const [moved, none] = movedBy([frame, cored], 'gasLeakPct', 10)
  expect((moved?.after.gasL ?? 0) / (moved?.before.gasL ?? 1)).toBeCloseTo(1.1 / 1.05, 2)
  expect(moved?.after.workH).toBe(moved?.before.workH)
  expect(none).toBeUndefined()
})
it('is filler where more of the wire is cut off and thrown away', () => {
  const [moved] = movedBy([frame], 'wireWastePct', 20)
  expect(moved?.after.fillerG ?? 0).toBeGreaterThan((moved?.before.fillerG ?? 0) * 1.1)
  expect(moved?.after.gasL).toBe(moved?.before.gasL)
})
