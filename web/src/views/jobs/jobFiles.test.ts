import { mapColumns, newJob, newJoint, readTable } from '@brannik/core'
import { expect, it } from 'vitest'
import { readCsv } from '../../files/csv.ts'
import { csvOf, jsonOf, readJobFile, weldsIn } from './jobFiles.ts'
import { IMPERIAL, METRIC } from '../../testing/notation.ts'

const job = newJob('gate', 'Gate', {
  note: 'He said "=1+1", twice',
  joints: [
    newJoint('w1', { legMm: 4.7625, lengthMm: 203.2 }),
    newJoint('seam', {
      kind: 'v',
      legMm: null,
      includedAngleDeg: 60,
      rootGapMm: 1 / 3,
      thicknessAMm: 12.7,
      thicknessBMm: 12.7,
    }),
  ],
})

it('a CSV comes back as the same welds, to the last digit', () => {
  const read = readCsv(csvOf(job))
  if (!read.ok) throw new Error(read.message)
  expect(readTable(read.rows, mapColumns(read.headings), METRIC).map(({ joint }) => joint)).toEqual(
    job.joints,
  )
})

it('a job file comes back as the same job', () => {
  expect(readJobFile(jsonOf(job))).toEqual({ ok: true, job })
})

it('a formula in a cell leaves as text', () => {
  const hostile = { ...job, joints: [{ ...newJoint('w1'), id: '=cmd()' }] }
  const cell = csvOf(hostile).split('\r\n')[1]?.split(',')[0]
  expect(cell).toBe(`"'=cmd()"`)
})

it.each([
  ['{', 'not JSON'],
  ['{"format":"other"}', 'format must be one of'],
  [
    JSON.stringify({ format: 'brannik-job', version: 1, job: { ...job, quantity: 0 } }),
    'quantity must be at least 1',
  ],
])('a broken job file says what is wrong', (text, words) => {
  const read = readJobFile(text)
  expect(read.ok ? '' : read.message).toContain(words)
})

it('takes pasted rows as welds where all of them are understood, and none where one is not', () => {
  const welds = weldsIn('4 x 6 in\tT\t1/4\t3/16\n2 x 12 in\tlap\t11 ga\t1/8', IMPERIAL)
  expect(welds?.map(({ count, kind }) => [count, kind])).toEqual([
    [4, 'tee'],
    [2, 'lap'],
  ])
  expect(weldsIn('count,length (in)\n4,6', IMPERIAL)).toHaveLength(1)
  expect(weldsIn('4 x 6 in\tT\n4 x 6 in\tnail', IMPERIAL)).toBeNull()
  // A column that nothing reads is not dropped without a word.
  expect(weldsIn('4 x 6 in\tT\tfor the gate', IMPERIAL)).toBeNull()
  expect(weldsIn('a note, and nothing else\n', IMPERIAL)).toBeNull()
  expect(weldsIn('"4 x 6 in\tT', IMPERIAL)).toBeNull()
})
