/** The board as files: CSV as it is read, JSON with the figures. */
import { type Job, type Speech, verdictText } from '@brannik/core'
import Papa from 'papaparse'
import { type BoardColumn, type BoardModel, type Cells, cellOf } from './boardModel.ts'
import type { AnyCell } from './cellRows.ts'

/** @returns a cell in one line: `Fits +27 A, MIG 0.035, change over 10 min` */
export function cellLine(
  speech: Speech,
  cell: AnyCell | null,
  column: BoardColumn,
  model: BoardModel,
): string {
  if (!cell) return ''
  const { tone, head, way, first } = model.shownOf(cell, column)
  return [`${verdictText(speech, tone)} ${head}`.trim(), way, first].filter(Boolean).join(', ')
}

export const boardCsv = (speech: Speech, jobs: readonly Job[], model: BoardModel, cells: Cells): string => {
  const { columns } = model
  const rows = jobs.map((job) => [
    job.name,
    job.dueOn ?? '',
    ...columns.map((column) => cellLine(speech, cellOf(cells, job.id, column.id), column, model)),
  ])
  const heads = columns.map(({ name, note, group }) => (group === '' ? `${name}, ${note}` : name))
  return Papa.unparse([['job', 'due', ...heads], ...rows], { escapeFormulae: true, newline: '\r\n' })
}

export function boardJson(jobs: readonly Job[], { columns }: BoardModel, cells: Cells): string {
  const found = jobs.flatMap((job) =>
    columns.flatMap(({ id }) => {
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
      const by =
        'stationId' in cell
          ? {
              machine: cell.way?.setUp.powerSourceId ?? id.split(' ')[0],
              way: cell.way?.setUp ?? null,
              toBuy: cell.way?.toBuy ?? [],
            }
          : { setUp: id }
      return [{ job: job.id, ...by, verdict, limit: what, spareA, ...takes }]
    }),
  )
  return `${JSON.stringify({ format: 'brannik-board', version: 2, cells: found }, null, 2)}\n`
}
