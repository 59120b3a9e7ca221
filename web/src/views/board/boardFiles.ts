/** The board as files: CSV as it is read, JSON with the figures. */
import { type BoardCell, cellText, type Job, type SetUp, type Speech, verdictText } from '@brannik/core'
import Papa from 'papaparse'
import { type Cells, cellOf } from './useBoard.ts'

export const boardCsv = (
  speech: Speech,
  jobs: readonly Job[],
  setUps: readonly SetUp[],
  cells: Cells,
): string => {
  const words = (cell: BoardCell | null): string =>
    cell ? `${verdictText(speech, cell.verdict)} ${cellText(speech, cell)}`.trim() : ''
  const rows = jobs.map((job) => [
    job.name,
    job.dueOn ?? '',
    ...setUps.map(({ id }) => words(cellOf(cells, job.id, id))),
  ])
  return Papa.unparse([['job', 'due', ...setUps.map(({ name }) => name)], ...rows], {
    escapeFormulae: true,
    newline: '\r\n',
  })
}

export const boardJson = (jobs: readonly Job[], setUps: readonly SetUp[], cells: Cells): string => {
  const found = jobs.flatMap((job) =>
    setUps.flatMap(({ id }) => {
      const cell = cellOf(cells, job.id, id)
      if (!cell) return []
      const { verdict, limit, spareA, takes } = cell
      const what = limit && {
        criterion: limit.criterion,
        code: limit.code,
        weld: limit.weldId,
        demand: limit.demand,
        capacity: limit.capacity,
        unit: limit.unit,
      }
      return [{ job: job.id, setUp: id, verdict, limit: what, spareA, ...takes }]
    }),
  )
  return `${JSON.stringify({ format: 'brannik-board', version: 1, cells: found }, null, 2)}\n`
}
