/** Rows of both boards answer with the cells that they were made of; what their cells have in common is counted over them. */
import { boardOf, MachineBoard, packedRow, placesOf } from '@brannik/core'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { shopDocument as demo } from '../../testing/demo.ts'
import { type BoardColumn, type BoardModel, commonReason, idleOf } from './boardModel.ts'
import { type CellRow, MachineRow, SetUpRow } from './cellRows.ts'

const places = placesOf(demo.setUps.map(({ id }) => id))
const rowsOf = demo.jobs.map((job) => {
  const cells = boardOf(demo.shop, demo, [job], demo.setUps)
  return { job, cells, row: new SetUpRow(packedRow(job.id, cells, places), places) as CellRow }
})
const columnsOf = (ids: readonly string[]): readonly BoardColumn[] =>
  ids.map((id) => ({ id, name: id, note: '', price: '', isOwned: true, circuitId: null, group: '' }))
/** Of two criteria that are said alike. */
const said = (criterion: string | undefined): string => (criterion === 'volts' ? 'wire' : (criterion ?? ''))
const model = { reasonOf: (limit) => said(limit?.criterion) } as BoardModel

it('a row of set-ups and a row of machines give back their cells', () => {
  for (const { job, cells, row } of rowsOf) {
    expect([row.jobId, row.all()]).toEqual([job.id, cells])
    for (const cell of cells) {
      expect(row.get(cell.setUpId)).toEqual(cell)
      expect(row.verdictOf(cell.setUpId)).toBe(cell.verdict)
      expect(row.limitOf(cell.setUpId)).toEqual(cell.limit)
    }
    expect([row.get('none'), row.verdictOf('none'), row.limitOf('none')]).toEqual([null, null, null])
  }
  const [job] = demo.jobs
  if (!job) throw new Error('the demo has no job')
  const machines = new MachineBoard(demo.shop, demo, demo.setUps)
  const cells = machines.row(job)
  const row = new MachineRow(job.id, cells)
  expect([row.jobId, row.all()]).toEqual([job.id, cells])
  for (const cell of cells) {
    expect(row.get(cell.stationId)).toBe(cell)
    expect(row.verdictOf(cell.stationId)).toBe(cell.verdict)
    expect(row.limitOf(cell.stationId)).toBe(cell.limit)
  }
  expect([row.get('none'), row.verdictOf('none'), row.limitOf('none')]).toEqual([null, null, null])
})

it('the reason that a row shares is the one that most of its failing columns have, from three on', () => {
  const ids = demo.setUps.map(({ id }) => id)
  fc.assert(
    fc.property(fc.constantFrom(...rowsOf), fc.subarray(ids), ({ cells, row }, some) => {
      const reasons = cells
        .filter(({ setUpId, verdict }) => some.includes(setUpId) && verdict === 'fails')
        .map(({ limit }) => said(limit?.criterion))
      const times = (reason: string): number => reasons.filter((one) => one === reason).length
      const common = commonReason(row, columnsOf(some), model)
      const most = Math.max(0, ...reasons.map(times))
      if (common === '') expect(most).toBeLessThan(3)
      else expect([most >= 3, times(common)]).toEqual([true, most])
    }),
  )
})

it('a column is idle where it does none of the jobs that are known, and not where none is', () => {
  const cells = new Map(rowsOf.map(({ job, row }) => [job.id, row]))
  const columns = columnsOf([...demo.setUps.map(({ id }) => id), 'unknown'])
  const does = (id: string): boolean =>
    rowsOf.some(({ cells: of }) =>
      of.some(({ setUpId, verdict }) => setUpId === id && ['fits', 'tight'].includes(verdict)),
    )
  expect(idleOf(columns, demo.jobs, cells).map(({ id }) => id)).toEqual(
    demo.setUps.map(({ id }) => id).filter((id) => !does(id)),
  )
  expect(idleOf(columns, [], cells)).toEqual([])
})
